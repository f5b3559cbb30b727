using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
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
            ["balls-rest"] = s =>
                Phrase.Stretch(
                    s.Marked(s.IsOne ? "The ball rests" : "The balls rest"),
                    s.IsOne ? "The ball rests, covered." : "The balls rest, covered."
                ),
            ["gather-#"] = s =>
                new(
                    s.Marked("Gather, roll again"),
                    $"Gather the scraps, roll them {s.Length(s.About.Aim!.Thickness!.Value)} thick and cut {s.Count} more.",
                    "Press them together, do not knead; let them rest if they pull back.",
                    "Cut"
                ),
            ["shape"] = s =>
                s.Spec.IsShaped ? SetOut(s)
                : s.Family.Form == Form.Ring ? RollAndCut(s)
                : Shape(s),
            ["brush"] = s =>
                new(
                    s.Marked($"{Brushing(s)} with {s.Thing}"),
                    $"{Brushing(s)} {s.The()} with {s.Thing}.",
                    WashAmount(s),
                    "It is on"
                ),
            ["score"] = s =>
                new(
                    s.Marked("Score"),
                    $"Score {s.The()}.",
                    $"{Voice.Slashes(s.Family.Slashes)}, {s.Length(Core.Finishing.Finish.SlashDeep.From)} to "
                        + $"{s.Length(Core.Finishing.Finish.SlashDeep.To)} deep, with a thin or serrated blade.",
                    "Scored"
                ),
            ["start-proof"] = s =>
                new(
                    s.Marked("Set to proof"),
                    $"Cover {s.The()} and set {s.Them} {s.Thing}.",
                    Covered(s),
                    s.IsOne ? "It is there" : "They are there"
                ),
        };

    private static Phrase Shape(Said s) =>
        new(
            $"Shape {s.Counted}",
            $"Shape {s.Counted}.",
            Join(Size(s), Voice.How(s.Family.Form), Voice.Sticky(s.Family.Sticky), IntoTin(s)),
            s.IsOne ? "Shaped" : "All shaped",
            SizeFigure(s)
        );

    // Shaped another day.
    private static Phrase SetOut(Said s)
    {
        var frozen = s.Spec.From!.Shaped!.Was == ShapedWas.Frozen;
        return new(
            $"{Capital(s.Counted)} out",
            $"Take {s.Counted} out of the {(frozen ? "freezer" : "fridge")} and set {s.Them} out, apart.",
            Join(IntoTin(s), frozen ? "They thaw and rise in one." : ""),
            s.IsOne ? "It is out" : "They are out"
        );
    }

    private static string IntoTin(Said s) =>
        s.Bread is { OnGriddle: false, Pan.IsFlat: false } ? $"Into the greased {s.Pans}." : "";

    // Nothing is divided: it is rolled whole, and cut.
    private static Phrase RollAndCut(Said s)
    {
        var (ring, thick) = (s.Family.Ring ?? RingSheet.UsualRing, s.Family.Thickness!.Value);
        return new(
            "Roll and cut",
            $"Roll the dough {s.Length(thick)} thick and cut rounds with the ring of {s.Length(ring)}.",
            Join("Press straight down, do not twist.", Voice.Sticky(s.Family.Sticky)),
            "Cut",
            s.Measured.LengthFigure(thick, "thick")
        );
    }

    // Flour is dusted, everything else is brushed.
    private static string Brushing(Said s) => s.Bread.Wash.Id == "flour" ? "Dust" : "Brush";

    private static string WashAmount(Said s)
    {
        if (s.About.Mass is not { } wash || wash <= Mass.Zero)
            return "";
        var egg = Egg(s.Bread.Wash, wash);
        if (s.Spec.NoScale)
            return egg.Length == 0 ? "" : Capital(egg[2..]) + ".";
        return $"About {s.Grams(wash)}{s.DoesAll}{egg}.";
    }

    private static string Size(Said s) =>
        s.About.Aim switch
        {
            { Rope: { } rope, Thickness: { } thick } =>
                $"{Ropes(s.Family, s.Batch.Pieces)} of {s.Length(rope)}, about {s.Length(thick)} thick; roll "
                    + $"{s.Length(Sizes.RolledTo(rope))}, {Shrinks(s)} back.",
            { Sheet: { } sheet, Thickness: { } thick } =>
                $"Flatten it to {s.Measured.Sides(sheet.Length, sheet.Width)}, {s.Length(thick)} thick.",
            { Across: { } across, Thickness: { } thick } =>
                $"Rolled {s.Length(thick)} thin {(s.IsOne ? "it is" : "they are")} {s.Length(across)} across.",
            { Across: { } across } => $"About {s.Length(across)} across, skin stretched, seam under.",
            _ => "",
        };

    private static string Shrinks(Said s) => s.Batch.Pieces * s.Family.Strands == 1 ? "it shrinks" : "they shrink";

    private static string Ropes(Family family, int pieces)
    {
        if (family.Strands > 1)
            return "Strands";
        var one = family.Form == Form.Log ? "A log" : "A rope";
        return pieces == 1 ? one : $"{one[2..3].ToUpperInvariant()}{one[3..]}s";
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
