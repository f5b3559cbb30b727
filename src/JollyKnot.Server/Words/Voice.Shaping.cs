using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Server.Words;

// What hands do with a piece, and what each piece gets.
public sealed partial class Voice
{
    /// <summary>A filling or topping shared out among the bread, in whole scale units that add up to all of it, and what of it
    /// each piece of a cut gets.</summary>
    public string Shared(Part part, Station station, BakeSpec spec, int cut)
    {
        var pieces = station.Pieces.Where(p => spec.Cuts[p.Cut].Bread is not null).GroupBy(p => (p.Cut, p.Of)).ToList();
        var shares = Targets.Share(station.Units(part.Made), [.. pieces.Select(g => g.Sum(p => p.Weighed ?? p.Target))]);
        var own = pieces
            .Zip(shares)
            .Where(p => p.First.Key.Cut == cut)
            .GroupBy(p => p.Second)
            .OrderByDescending(g => g.Count())
            .ToList();
        var each =
            own.Count == 1
                ? $"{Grams(spec.Step * own[0].Key)} for each"
                : string.Join(", ", own.OrderBy(g => g.Key).Select(g => $"{Grams(spec.Step * g.Key)} for {g.Count()}"));
        return $"{Sentences.Capital(part.Name)}: {each}.";
    }

    /// <summary>What the hands do, in a sentence or two.</summary>
    public static string How(Form form) =>
        form switch
        {
            Form.Ball => "Gather under, pinch the base, keep the skin on top whole.",
            Form.Disc => "Press or roll it out from the middle; keep turning it.",
            Form.Rope => "Roll from the middle out; thin ends.",
            Form.Plait => "Roll the strands even. Pinch both ends and turn them under.",
            Form.Log => "Flatten, roll up towards you, pinch the seam; seam down, ends tucked.",
            Form.Coil => "Wind it round itself, loosely, and seal the end underneath.",
            Form.Loaf => "Flatten to the tin's length, roll up, pinch the seam; seam down.",
            Form.Swirl => "Roll to a rectangle, fill to the edges less a finger, roll up, pinch.",
            Form.Tray => "Stretch with fingertips to the corners; rest it if it pulls back.",
            _ => "Roll the sheet even, press out, gather the scraps and roll once or twice more.",
        };

    /// <summary>What helps against sticking.</summary>
    public static string Sticky(StickySchool school) =>
        school switch
        {
            StickySchool.Flour => "A little flour if it sticks; water tears it.",
            StickySchool.Oil => "Oiled hands if it sticks.",
            _ => "Wet hands if it sticks.",
        };

    /// <summary>Which piece or strand.</summary>
    public static string Piece(Piece piece, BakeSpec spec)
    {
        var cut = spec.Cuts[piece.Cut];
        if (cut.Bread is null)
            return "the share for the fridge";
        var one = spec.Cuts.Length > 1 ? One(cut.Bread.Family.Name) : "piece";
        if (cut.Strands > 1)
        {
            var plait = cut.Bread.Family.Form == Form.Plait ? "plait" : one;
            var which = cut.Pieces == 1 ? "" : $", {plait} {piece.Of} of {cut.Pieces}";
            return $"strand {piece.Strand} of {cut.Strands}{which}";
        }
        return cut.Pieces == 1 && spec.Cuts.Length > 1
            ? $"the {One(cut.Bread.Family.Name)}"
            : $"{one} {piece.Of} of {cut.Pieces}";
    }

    /// <summary>What would hold a bread that nothing here holds.</summary>
    public string Of(Fits fits, Bread bread)
    {
        ArgumentNullException.ThrowIfNull(fits);
        ArgumentNullException.ThrowIfNull(bread);
        var shorter = fits.Longest is { } longest ? $"At most {Millimetres(longest)} long it lies on the longest tray." : "";
        var others = fits is { Pieces: { } pieces, In: { } tin }
            ? $"As {Counted(pieces, bread.Family)} it goes with the {Sentences.Lower(tin.Name)}."
            : "";
        var tinOf = fits.Holds is { } volume ? $"A tin of {measured.Litres(volume)} would hold one." : "";
        return Sentences.Join(shorter, others, tinOf);
    }

    /// <summary>How a bread is slashed.</summary>
    public static string Slashes(Slashes slashes) =>
        slashes switch
        {
            Core.Shaping.Slashes.Long => "One long slash",
            Core.Shaping.Slashes.Diagonals => "Three or four slanting slashes, side by side",
            _ => "A cross",
        };

    /// <summary>So many of a bread.</summary>
    public static string Bread(int pieces, Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return Counted(pieces, bread.Family);
    }

    /// <summary>What a bake becomes.</summary>
    public static string Bread(BakeSpec spec) =>
        string.Join(
            ", ",
            spec.Cuts.Where(c => c.Bread is not null).Select(c => Counted(c.Pieces, c.Bread!.Family) + Kept(c.Keep))
        );

    /// <summary>Where what is shaped waits for another day; nothing where it is baked.</summary>
    public static string Kept(ShapedIn? keep) =>
        keep switch
        {
            ShapedIn.Fridge => " for the fridge",
            ShapedIn.Freezer => " for the freezer",
            _ => "",
        };
}
