using JollyKnot.Core.Measures;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>While it kneads.</summary>
internal static class KneadingWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } =
        new()
        {
            ["timer"] = _ => Phrase.Stretch("The timer runs", "The machine waits for its timer."),
            ["cycle"] = s => Phrase.Stretch(s.ByHand ? "Kneaded, and in its bowl" : "Dough cycle", ""),
            ["knead"] = s =>
                new(
                    "Knead",
                    "Knead until smooth and springy, then cover the bowl.",
                    $"About {Measured.Span(s.Step.Length)}. {(s.Spec.RisesInBowl ? "Then it rises." : "Then it rests.")}",
                    "Kneaded and covered"
                ),
            ["paddle-turns"] = s =>
                new(
                    s.Count > 1 ? "Do the paddles turn?" : "Does the paddle turn?",
                    s.Count > 1 ? "Do both paddles turn?" : "Does the paddle turn?",
                    "Lift the lid and look; the dough should move.",
                    "It turns"
                ),
            ["check-#"] = s =>
                new(
                    s.Count > 1 ? "Check the dough again" : "Check the dough",
                    "Check the dough: look and touch.",
                    Join(
                        s.About.Mass is { } held
                            ? $"{HeldBack(s, held)} {s.Thing} held back: pour in what it wants, and tell how much."
                            : "",
                        s.ByHand ? "" : "Scrape the corners down with a soft spatula first.",
                        s.ByHand
                            ? "Wanted: a ball, slightly tacky, that leaves the bowl clean."
                            : "Wanted: a ball, slightly tacky, walls clean."
                    ),
                    "Kept"
                ),
            ["add-ins"] = s =>
                new(
                    $"Add {s.Thing}",
                    $"Add the {s.Thing} now.",
                    s.ByHand ? "Fold it in until it is spread evenly." : "Lid down again when it is mixed in.",
                    "Added",
                    s.Spec.NoScale ? null : s.MassFigure
                ),
        };

    private static string HeldBack(Said s, Mass held) =>
        s.Spec.NoScale ? s.Measure(s.Spec.Liquid!.Ingredient, held) : s.Grams(held);
}
