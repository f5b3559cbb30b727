using JollyKnot.Core.Machines;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>Into the pan.</summary>
internal static class LoadingWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } =
        new()
        {
            ["fetch-out"] = s =>
                new(
                    $"{Capital(s.Thing)} out of the fridge",
                    $"Take the {s.Thing} out of the fridge.",
                    "An hour brings it to the warmth of the room.",
                    "Out"
                ),
            ["comes-to-room"] = s => Phrase.Stretch($"The {s.Thing} warm up", "Butter and eggs come to the room."),
            ["feed-starter"] = s =>
                new(
                    "Feed the starter",
                    $"Feed the {s.Thing}.",
                    $"{s.Grams(s.About.Mass)} of it is wanted ripe, and some to keep. It is ripe when it domes and smells mild.",
                    "Fed"
                ),
            ["starter-ripens"] = _ => Phrase.Stretch("The starter ripens", "The starter is ripening."),
            ["bloom"] = s =>
                new(
                    "Bloom the yeast",
                    $"Stir the yeast into warm {s.Thing}.",
                    $"At {s.Degree(LiquidTemperature.Bloom.From)} to {s.Degree(LiquidTemperature.Bloom.To)}, with a "
                        + $"pinch of {s.About.With ?? "sugar"}. It foams within {Measured.Span(LoadSchool.Blooming)} if it "
                        + "is alive.",
                    "Stirred in",
                    s.MassFigure
                ),
            ["blooms"] = _ => Phrase.Stretch("The yeast blooms", "The yeast is blooming."),
            ["paddle"] = s =>
                new(
                    s.Count > 1 ? $"{s.Count} paddles in" : "Paddle in",
                    s.Count > 1 ? $"Put both paddles in the {Lower(s.Thing)}." : $"Put the paddle in the {Lower(s.Thing)}.",
                    s.Spec.NoScale ? "Push until it sits." : "Push until it sits. Have the scale and the pan at hand.",
                    "In"
                ),
            ["weigh-in-#"] = s => s.About.IsPinch ? Pinch(s) : WeighIn(s),
            ["start-cycle"] = s => s.ByHand ? Mix : Start(s),
        };

    private static Phrase Pinch(Said s) => new($"A pinch of {s.Thing}", $"Add a pinch of {s.Thing}.", Where(s), "It is in");

    private static Phrase WeighIn(Said s) => s.Spec.NoScale ? MeasureIn(s) : OnScale(s);

    // In cups, spoons and eggs.
    private static Phrase MeasureIn(Said s)
    {
        var measure = s.Measure(s.Row.Ingredient, s.About.Mass!.Value);
        return new($"Add {s.Thing}", $"Add {measure} {Together(s)}.", Where(s), "It is in", new(measure, ""));
    }

    private static Phrase OnScale(Said s) =>
        new(
            $"Weigh in {s.Thing}",
            $"Weigh in the {Together(s)}.",
            Join(Spooned(s), $"{s.Grams(s.About.Running)} in the {(s.ByHand ? "bowl" : "pan")} after this.", Where(s)),
            "It is in",
            s.MassFigure
        );

    // So little is easier to spoon than to weigh.
    private static string Spooned(Said s)
    {
        if (s.About.Mass is not { IsLittle: true } mass || s.Row.Ingredient.Role == Core.Pantry.Role.Egg)
            return "";
        var spoons = s.Measure(s.Row.Ingredient, mass);
        return spoons == s.Grams(mass) ? "" : $"About {spoons}.";
    }

    // Yeast that bloomed goes in with what it bloomed in.
    private static string Together(Said s) => s.About.With is { } liquid ? $"{s.Thing} with its {liquid}" : s.Thing;

    private static string Where(Said s) =>
        s.About.Spot switch
        {
            Spot.Dimple => "Into a dimple in the flour, dry, away from the salt.",
            Spot.Bottom => "First, on the bottom, where it stays dry.",
            Spot.FirstCorner => "Into a corner, away from the yeast.",
            Spot.SecondCorner => "Into the corner across.",
            _ => "",
        };

    private const string Running = "It is already running since";

    private static Phrase Mix =>
        new("Mix it", "Mix it to a rough dough.", "No dry flour left at the bottom of the bowl.", "Mixed", Earlier: Running);

    private static Phrase Start(Said s)
    {
        var machine = s.Spec.Machine;
        var timer = s.Spec.Handling.Timer is { } waits ? $", its timer set so that it begins in {Measured.Span(waits)}" : "";
        return new(
            "Start the dough cycle",
            $"Start program {machine.Program} on the {Lower(s.Thing)}{timer}.",
            machine.Pulled
                ? $"This program runs on: you will be called after {Measured.Span(s.About.Length)}."
                : Shows(s, machine),
            "It is running",
            new(machine.Program, "program"),
            Running
        );
    }

    private static string Shows(Said s, Machine machine)
    {
        var warming = machine.Warms ? $", the first {Measured.Span(machine.KneadStart)} of it warming: nothing moves" : "";
        var display =
            machine.Display == Display.FinishClock ? "its display shows the time of day it ends" : "its display counts down";
        return $"It takes {Measured.Span(s.About.Length)}{warming}; {display}.";
    }
}
