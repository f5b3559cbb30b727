// Rounds cut from a sheet with a ring: how many a rolling gives, and what the scraps still make.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Shaping;

/// <summary>One rolling of the sheet.</summary>
/// <param name="Length">The sheet's longer side.</param>
/// <param name="Width">Its shorter side.</param>
/// <param name="Rings">Where the ring is set, from the sheet's corner.</param>
public sealed record Rolling(Length Length, Length Width, ImmutableArray<Seat> Rings);

/// <summary>A dough cut with a ring.</summary>
/// <param name="Ring">The ring's width.</param>
/// <param name="Each">What one round weighs.</param>
/// <param name="Rollings">The first sheet, and what the gathered scraps give; tougher each time.</param>
/// <param name="Scrap">What is left in the end.</param>
public sealed record RingSheet(Length Ring, Mass Each, ImmutableArray<Rolling> Rollings, Mass Scrap)
{
    /// <summary>A usual ring. Bakers' usage.</summary>
    public static Length UsualRing { get; } = Length.FromMillimetres(85);

    /// <summary>Scraps are gathered and rolled again this often at most. Bakers' usage.</summary>
    public const int Rerolls = 2;

    // The ring is set so far from its neighbour and from the ragged edge. Ours.
    private const double Clear = 2;

    /// <summary>Rings and cutters there are.</summary>
    public static Band<Length> Rings { get; } = new(Length.FromMillimetres(30), Length.FromMillimetres(200));

    // As thick as a round is rolled, and as thin; tried in such steps. Ours.
    private const double Thickest = 30,
        Thinnest = 4,
        ThicknessStep = .25;

    /// <summary>The thickest sheet that still gives so many; null where none does.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="pieces">How many; at least 1.</param>
    /// <param name="ring">The ring's width; over 0.</param>
    public static Length? ThicknessFor(Mass dough, int pieces, Length ring)
    {
        for (var thick = Thickest; thick >= Thinnest; thick -= ThicknessStep)
            if (Of(dough, Length.FromMillimetres(thick), ring).Count >= pieces)
                return Length.FromMillimetres(thick);
        return null;
    }

    /// <summary>How many a dough gives.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="thickness">Rolled to this.</param>
    /// <param name="ring">The ring's width; over 0.</param>
    public static RingSheet Of(Mass dough, Length thickness, Length ring)
    {
        var perSquare = Sizes.Density * thickness.Millimetres / 1000;
        var each = Math.PI / 4 * ring.Millimetres * ring.Millimetres * perSquare;
        var (left, rollings) = (dough.Grams, ImmutableArray.CreateBuilder<Rolling>());
        for (var i = 0; i <= Rerolls && left >= each; i++)
        {
            var rolling = Best(left / perSquare, ring.Millimetres);
            if (rolling.Rings.IsEmpty)
                break;
            rollings.Add(rolling);
            left -= rolling.Rings.Length * each;
        }
        return new(ring, Mass.FromGrams(each), rollings.ToImmutable(), Mass.FromGrams(left));
    }

    /// <summary>Rounds altogether.</summary>
    public int Count => Rollings.Sum(r => r.Rings.Length);

    // The sheet of this area, between a square and a strip, that gives the most.
    private static Rolling Best(double area, double ring)
    {
        var best = new Rolling(Length.FromMillimetres(Math.Sqrt(area)), Length.FromMillimetres(Math.Sqrt(area)), []);
        for (var proportion = 1d; proportion <= 3; proportion += .05)
        {
            var width = Math.Sqrt(area / proportion);
            var rings = new SeatRows(ring, ring, Clear, area / width, width) { Staggered = true }.Seats();
            if (rings.Length > best.Rings.Length)
                best = new(Length.FromMillimetres(area / width), Length.FromMillimetres(width), rings);
        }
        return best;
    }
}
