using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>Shaped, finished and set to proof.</summary>
internal static class ShapingWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } =
        new()
        {
            ["shape"] = s =>
                new(
                    $"Shape {s.Counted}",
                    $"Shape {s.Counted}.",
                    Join(Size(s), Voice.How(s.Family.Form), Voice.Sticky(s.Family.Sticky)),
                    "All shaped",
                    SizeFigure(s)
                ),
            ["brush"] = s =>
                new(
                    s.Marked($"Brush with {s.Thing}"),
                    $"Brush {s.The()} with {s.Thing}.",
                    s.About.Mass is { } wash && wash > Mass.Zero
                        ? $"About {s.Grams(wash)} does all {s.Count}{Egg(s.Bread.Wash, wash)}."
                        : "",
                    "Brushed"
                ),
            ["score"] = s =>
                new(
                    s.Marked("Score"),
                    $"Score {s.The()}.",
                    "5 to 6 mm deep, a thin or serrated blade, once or in a cross.",
                    "Scored"
                ),
            ["start-proof"] = s =>
                new(s.Marked("Set to proof"), $"Cover {s.The()} and set them {s.Thing}.", Covered(s), "They are there"),
        };

    private static string Size(Said s) =>
        s.About.Aim switch
        {
            { Rope: { } rope, Thickness: { } thick } =>
                $"{Ropes(s.Family)} of {s.Length(rope)}, about {s.Length(thick)} thick; roll "
                    + $"{s.Length(Sizes.RolledTo(rope))}, they shrink back.",
            { Sheet: { } sheet, Thickness: { } thick } =>
                $"Flatten it to {s.Length(sheet.Length)} by {s.Length(sheet.Width)}, {s.Length(thick)} thick.",
            { Across: { } across, Thickness: { } thick } => $"Rolled {s.Length(thick)} thin they are {s.Length(across)} across.",
            { Across: { } across } => $"About {s.Length(across)} across, skin stretched, seam under.",
            _ => "",
        };

    private static string Ropes(Family family)
    {
        if (family.Strands > 1)
            return "Strands";
        return family.Form == Form.Log ? "Logs" : "Ropes";
    }

    private static Figure? SizeFigure(Said s) =>
        s.About.Aim switch
        {
            { Rope: { } rope } => s.Measured.LengthFigure(rope, "long"),
            { Across: { } across } => s.Measured.LengthFigure(across, "across"),
            { Sheet: { } sheet } => s.Measured.LengthFigure(sheet.Length, "long"),
            _ => null,
        };

    private static string Egg(Wash wash, Mass mass) =>
        Keeping.EggFor(wash, mass) switch
        {
            { Need: EggNeed.Yolk } => ": a yolk and a spoon of water is enough",
            { Yolks: { } yolks } => $": {yolks} yolks, each with a spoon of water",
            { Need: EggNeed.Half } => ": half an egg; the rest goes in the fridge and into an omelette within 2 days",
            _ => "",
        };

    private static string Covered(Said s)
    {
        var spec = s.Spec;
        var cover = Voice.Of(spec.Way.Cover);
        if (spec.Place is not { Made: MadeWarm.HeatedAndOff, StartsAt: { } safe } || spec.ColdOf(s.Bread) is not null)
            return cover;
        // What another bake left hot takes longer.
        var falls = Measured.Span(Place.SafeAfter(s.Bread.Heat, spec.Room));
        return $"The oven is off, at {s.Degree(safe)} or below. Still hot from {s.Degree(s.Bread.Heat)}, it takes {falls} to get "
            + $"there. {cover}";
    }
}
