// The middle line of one strand of a plait: smooth through its places, never past them.
using System.Collections.Immutable;

namespace JollyKnot.Core.Shaping;

/// <summary>A line that goes downwards through places: a cubic whose slopes keep it between them.</summary>
internal sealed class Ribbon
{
    // Points between one end of a stretch and the other.
    private const int Fine = 20;

    // Below its last place a strand hangs straight after so much.
    private const double Straightens = .9;

    private readonly List<(double Y, double X)> knots;
    private readonly double[] slopes;

    private Ribbon(List<(double Y, double X)> knots, double[] slopes) => (this.knots, this.slopes) = (knots, slopes);

    /// <summary>The line through these.</summary>
    /// <param name="knots">At least two, downwards.</param>
    public static Ribbon Through(List<(double Y, double X)> knots)
    {
        var secants = Enumerable
            .Range(0, knots.Count - 1)
            .Select(i => (knots[i + 1].X - knots[i].X) / (knots[i + 1].Y - knots[i].Y))
            .ToArray();
        var slopes = new double[knots.Count];
        for (var i = 1; i < secants.Length; i++)
            slopes[i] = Mean(secants[i - 1], secants[i]);
        return new(knots, slopes);
    }

    // The harmonic mean of two slopes of one sign; level where they differ (Fritsch and Butland, 1984).
    private static double Mean(double a, double b) => a * b <= 0 ? 0 : 2 * a * b / (a + b);

    /// <summary>Where it is at a height.</summary>
    public double At(double y)
    {
        if (y <= knots[0].Y)
            return knots[0].X;
        if (y >= knots[^1].Y)
            return knots[^1].X;
        var i = knots.FindLastIndex(k => k.Y <= y);
        var (a, b) = (knots[i], knots[i + 1]);
        var (h, t) = (b.Y - a.Y, (y - a.Y) / (b.Y - a.Y));
        var (t2, t3) = (t * t, t * t * t);
        return (2 * t3 - 3 * t2 + 1) * a.X
            + (t3 - 2 * t2 + t) * h * slopes[i]
            + (3 * t2 - 2 * t3) * b.X
            + (t3 - t2) * h * slopes[i + 1];
    }

    /// <summary>The height between two others at which it passes a place.</summary>
    public double HeightAt(double x, double top, double bottom)
    {
        var isRightwards = At(bottom) > At(top);
        var (low, high) = (top, bottom);
        for (var i = 0; i < 40; i++)
        {
            var middle = (low + high) / 2;
            if (At(middle) < x == isRightwards)
                low = middle;
            else
                high = middle;
        }
        return (low + high) / 2;
    }

    /// <summary>Points from one height to another.</summary>
    public ImmutableArray<double> Between(double top, double bottom) => Points(top, bottom, At);

    /// <summary>Points from a height on, where the rest is not worked yet: bending into hanging straight.</summary>
    public ImmutableArray<double> RunsOut(double from)
    {
        var i = knots.FindLastIndex(k => k.Y <= from);
        var (x, slope) = (At(from), slopes[i]);
        return Points(from - Weave.Joint, from + Straightens, y => y <= from ? At(y) : x + slope * Bent(y - from));
    }

    // Goes on at the slope it comes with, and ends level.
    private static double Bent(double down)
    {
        var t = Math.Min(1, down / Straightens);
        return Straightens * (t - t * t + t * t * t / 3);
    }

    private static ImmutableArray<double> Points(double top, double bottom, Func<double, double> at)
    {
        var points = ImmutableArray.CreateBuilder<double>(2 * (Fine + 1));
        for (var i = 0; i <= Fine; i++)
        {
            var y = top + (bottom - top) * i / Fine;
            points.AddRange(Math.Round(at(y), 3), Math.Round(y, 3));
        }
        return points.ToImmutable();
    }
}
