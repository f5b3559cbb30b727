using JollyKnot.Core.Proofing;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>The second proof.</summary>
internal static class ProofingWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } =
        new()
        {
            ["warm-on"] = WarmOn,
            ["gets-warm"] = s => Phrase.Stretch("The oven gets warm", $"The {Lower(s.Thing)} gets warm for the dough."),
            ["warm-off"] = s =>
                new(
                    "Oven off again",
                    $"Switch the {Lower(s.Thing)} off.",
                    s.About.Heat is null
                        ? "The dough goes in now, and the door stays shut."
                        : $"Door shut. It falls to {s.Degree(Place.Safe)} in {Measured.Span(s.About.Length!.Value)}; a "
                            + "thermometer knows better.",
                    "It is off"
                ),
            ["falls-to-safe"] = s => Phrase.Stretch("The oven falls", $"The {Lower(s.Thing)} falls until dough can go in."),
            ["cold"] = s => Phrase.Stretch(s.Marked("In the fridge"), $"{Capital(s.TheyAre)} rising slowly {s.Thing}."),
            ["warm-up"] = s =>
                new(
                    s.Marked($"Out of the {Cold(s)}"),
                    $"Take {s.The()} out of the {Cold(s)} and set {s.Them} {s.Thing}.",
                    "Cold dough wants its time: a big piece most.",
                    s.IsOne ? "It is there" : "They are there"
                ),
            ["proof"] = Rising,
            ["proof-counter"] = Rising,
            ["look-#"] = s =>
                new(
                    s.Marked(s.Count > 1 ? "Look at the proof again" : "Look at the proof"),
                    s.Bread.HasRim
                        ? "Look at the tin: how high is the dough?"
                        : $"Look at {s.The("the proof")}: how much {(s.IsOne ? "has it" : "have they")} grown?",
                    "Size decides, not the clock.",
                    "Seen"
                ),
            ["clear-oven"] = s =>
                new(
                    "Dough out of the oven",
                    $"Take the dough out of the {Lower(s.Thing)} first.",
                    "It goes on rising on the counter while the oven heats.",
                    "It is out"
                ),
        };

    private static Phrase WarmOn(Said s)
    {
        var minutes = Measured.Span(s.About.Length!.Value);
        if (s.About.Heat is not { } heat)
            return new(
                "Oven on for a moment",
                $"Switch the {Lower(s.Thing)} on for {minutes}, at its lowest.",
                "So it is warm for the dough, not hot. See that it is empty.",
                "It is on"
            );
        return new(
            $"Oven on for the proof, {s.Degree(heat)}",
            $"Switch the {Lower(s.Thing)} on: {s.Degree(heat)}, for the dough to rise in.",
            $"See that it is empty. It goes off again in {minutes}, before any dough goes in.",
            "It is on",
            s.HeatFigure
        );
    }

    private static Phrase Rising(Said s) => Phrase.Stretch(s.Marked("Second proof"), $"{Capital(s.TheyAre)} rising {s.Thing}.");

    // What waits for the oven is held somewhere cool; a night is one in the fridge.
    private static string Cold(Said s) => s.Spec.ColdOf(s.Bread) is null ? "cold" : "fridge";
}
