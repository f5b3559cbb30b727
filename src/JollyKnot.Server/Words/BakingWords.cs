using JollyKnot.Core.Baking;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>Into the oven and out of it.</summary>
internal static class BakingWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } =
        new()
        {
            ["bath"] = s =>
                new(
                    s.Marked("Through the soda bath"),
                    $"Boil {s.The()} {Seconds(s)} s a side, {s.Count} {(s.Count == 1 ? "batch" : "batches")}.",
                    Join(
                        s.Spec.Handling.Bath == PotSchool.DipAfterBoil
                            ? $"Then {Measured.Whole(Pot.Dip.TotalSeconds)} s in the warm soda dip."
                            : "",
                        "Drain a minute or two; salt while wet."
                    ),
                    s.IsOne ? "It is through" : "All through",
                    new(Seconds(s), "s a side")
                ),
            ["load"] = s => s.Bread.OnGriddle ? OntoGriddle(s) : IntoOven(s),
            ["bake"] = s =>
                s.Bread.OnGriddle
                    ? Phrase.Stretch(
                        s.Marked("Griddle"),
                        $"{Capital(s.TheyAre)} on the griddle, {Measured.HalfMinutes(s.About.Length!.Value)} a side."
                    )
                    : Phrase.Stretch(s.Marked("Bake"), $"{Capital(s.TheyAre)} baking."),
            ["mist-#"] = s =>
                new(s.Marked("Spray again"), "Spray once more, quickly.", "Not on the glass or the lamp.", "Sprayed"),
            ["griddle-#"] = s => s.Step.Is(Milestone.Flipped) ? Flip(s) : NextOn(s),
            ["turn"] = s => s.Family.Thickness is null ? TurnTray(s) : new($"Flip {s.Them}", $"Flip {s.The()}.", "", "Flipped"),
            ["first-look"] = s =>
                new(
                    s.Marked("First look"),
                    "Take a first look at the colour.",
                    Join(
                        "Through the glass, light on.",
                        s.Family.Bake.Length >= BakeWindow.Tented ? "Brown already? Lay foil over, loosely." : ""
                    ),
                    "Looked"
                ),
            ["unload"] = s => s.Bread.OnGriddle ? OffGriddle(s) : OutOfOven(s),
            ["butter"] = s =>
                new(
                    s.Marked($"Butter {s.Them}"),
                    $"Brush {s.The()} with butter while hot.",
                    Butter(s),
                    "Buttered",
                    s.Spec.NoScale ? null : s.MassFigure
                ),
            ["cool"] = s => Phrase.Stretch("Cool", $"{Capital(s.TheyAre)} cooling."),
        };

    // Without a scale a brush knows by itself.
    private static string Butter(Said s)
    {
        if (s.Spec.NoScale)
            return "";
        return $"About {s.Grams(s.About.Mass)}{s.DoesAll}.";
    }

    private static string Seconds(Said s) => Measured.Whole(s.About.Length!.Value.TotalSeconds);

    private static Phrase OntoGriddle(Said s)
    {
        var first = Math.Min(s.Count, s.Bread.AtOnce ?? 1);
        var laid = s.IsOne ? "it" : $"the first {first}";
        return new(
            s.Marked("The first on the griddle"),
            $"Lay {laid} on the {Lower(s.Thing)}.",
            $"{s.Counted}, {first} at a time; {Measured.HalfMinutes(s.About.Length!.Value)} a side.",
            s.IsOne ? "It is on" : "They are on",
            s.HeatFigure
        );
    }

    private static Phrase Flip(Said s) =>
        new(
            s.Marked(s.Count == 1 ? "Flip it" : "Flip them"),
            s.Count == 1 ? "Flip it." : $"Flip all {s.Count} on the {Lower(s.Thing)}.",
            $"{Measured.HalfMinutes(s.About.Length!.Value)} on this side too.",
            "Flipped"
        );

    private static Phrase NextOn(Said s) =>
        new(
            s.Marked("Off, and the next on"),
            $"Take them off, and lay the next {(s.Count == 1 ? "one" : s.Count)} on the {Lower(s.Thing)}.",
            $"{Measured.HalfMinutes(s.About.Length!.Value)} a side.",
            "They are on"
        );

    private static Phrase IntoOven(Said s) =>
        new(
            s.Marked("Load the oven"),
            $"Load the {Lower(s.Thing)}{(s.Spec.Batches.Length > 1 ? $": {s.Counted}" : "")}.",
            Join($"{Capital(s.Counted)}, {s.Dial}.", On(s), Steaming(s)),
            s.IsOne ? "It is in" : "They are in",
            s.DialFigure
        );

    private static string On(Said s)
    {
        if (s.Bread.Pan is not { } pan)
            return "";
        if (s.Bread.SlidOnHot)
            return $"Slide {s.Them} onto the hot {Lower(pan.Name)}.";
        if (pan.IsStone)
            return $"Straight onto the hot {Lower(pan.Name)}.";
        return pan.IsFlat ? $"On the {s.Pans}." : $"In the {s.Pans}.";
    }

    private static string Steaming(Said s) =>
        s.Spec.SteamFor(s.Bread) switch
        {
            Steam.Tray => $"A cup of hot water, {Measured.Whole(Core.Baking.Steaming.Cup)} mL, into the hot tray below.",
            Steam.Stones => "Half a cup of hot water over the stones.",
            Steam.Mist => "Spray the walls as you shut the door, not the glass or the lamp.",
            _ => "",
        };

    private static Phrase TurnTray(Said s)
    {
        var racks = s.Bread.Racks > 1;
        return new(
            s.Marked(racks ? "Swap the racks" : $"Turn the {Turns(s)}"),
            Join(
                s.Spec.SteamFor(s.Bread) == Steam.Tray ? "Take the steam tray out." : "",
                racks ? "Swap the racks, and turn the trays round." : Turned(s)
            ),
            s.Spec.SteamFor(s.Bread) switch
            {
                Steam.Tray => "From here the crust dries.",
                Steam.Stones => "The stones are dry by now: out with two gloves, or left in.",
                _ => "",
            },
            "Turned"
        );
    }

    private static string Turns(Said s) => s.Bread.Pan is { IsStone: true } ? "bread" : s.PanNoun;

    private static string Turned(Said s) =>
        s.Bread.Pan switch
        {
            { IsStone: true } => $"Turn {s.The()} round.",
            _ => $"Turn the {s.PanNoun} round.",
        };

    private static Phrase OffGriddle(Said s) =>
        new(
            s.Marked("Off the griddle"),
            s.IsOne ? "Take it off the griddle." : $"Take the last of {s.The()} off the griddle.",
            $"Under a cloth {(s.IsOne ? "it stays" : "they stay")} soft. Doughy inside: a few minutes in an oven at "
                + $"{s.Degree(BakeWindow.FinishedAt)} "
                + $"finish {s.Them}.",
            s.IsOne ? "It is off" : "They are off"
        );

    // In the bread's own words.
    private static string Done(Said s)
    {
        var they = s.IsOne ? "it is" : "they are";
        return s.Family.Form switch
        {
            Form.Disc when s.Family.Thickness is not null => s.IsOne
                ? "it has puffed and has brown spots"
                : "they have puffed and have brown spots",
            Form.Tray => "it is brown on top, and golden where an edge is lifted",
            Form.Loaf => "the top is brown, the sides are golden and the base sounds hollow",
            Form.Swirl => "the top is deep golden and the middle is firm",
            _ when s.Spec.Formula.IsRich => $"{they} golden all over",
            _ => s.IsOne ? "it is brown and sounds hollow" : "they are brown and sound hollow",
        };
    }

    // Nothing lies long on what is hot; bread that is flat on a stone was never in a pan.
    private static string OffThePan(Said s)
    {
        if (s.Bread.Pan is not { IsStone: false } pan)
            return "";
        return $"{(pan.IsFlat ? "Off" : "Out of")} the hot {s.PanNoun} at once, or the base goes soggy.";
    }

    private static Phrase OutOfOven(Said s)
    {
        var keeping = Keeping.Of(s.Spec.Formula, s.Family, s.Family.Usual, false, s.Spec.Way.Cooling);
        return new(
            s.Marked("Out of the oven"),
            $"Take {s.The()} out if {Done(s)}.",
            Join(OffThePan(s), Voice.Of(keeping.Cooling)),
            s.IsOne ? "It is out" : "They are out"
        );
    }
}
