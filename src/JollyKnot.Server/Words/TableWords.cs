using JollyKnot.Core.Doughs;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>What belongs to the bread but is no dough, and the table.</summary>
internal static class TableWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } =
        new()
        {
            ["part-#"] = s =>
                new(
                    $"Make the {Lower(s.Thing)}",
                    $"Make the {Lower(s.Thing)}.",
                    Join(
                        s.Spec.NoScale ? $"{Rows(s)}." : $"{s.Grams(s.About.Mass)}: {Rows(s)}.",
                        AtTheHob(s),
                        Shared(s),
                        White(s)
                    ),
                    "Made"
                ),
            ["part-#-cools"] = s => Phrase.Stretch($"The {s.Thing} cools", $"The {s.Thing} is cooling."),
            ["review"] = s =>
                new(
                    "Ready to eat",
                    $"{Capital(Voice.Bread(s.Spec))}: ready. How {WasIt(s)}?",
                    "Break one open and look.",
                    "Keep"
                ),
        };

    private static string WasIt(Said s) => s.Spec.Batches.Sum(b => b.Pieces) == 1 ? "was it" : "were they";

    private static Part PartOf(Said s) => s.Spec.Dough.Parts[s.Step.Id.Number - 1];

    private static string Rows(Said s) =>
        string.Join(
            ", ",
            PartOf(s)
                .Rows.Select(r => $"{(s.Spec.NoScale ? s.Measure(r.Ingredient, r.Mass) : s.Grams(r.Mass))} {r.Ingredient.Name}")
        );

    // What a yolk leaves.
    private static string White(Said s) =>
        PartOf(s).Rows.Any(r => r.Ingredient.Name == "egg yolk") ? "The white keeps two days in the fridge, or frozen." : "";

    private static string AtTheHob(Said s) =>
        s.About.Length > TimeSpan.Zero ? $"{Measured.Span(s.About.Length)} at the hob; stir every 5." : "";

    // Shared out like the dough: each piece its part.
    private static string Shared(Said s) =>
        PartOf(s).Kind == PartKind.Wash || s.Spec.NoScale || s.Spec.Parts == 1
            ? ""
            : $"{s.Grams(s.About.Mass / s.Spec.Batches.Sum(b => b.Pieces))} for each.";
}
