// Equal circles in a round tin: rings around rings, each as close as it goes.
using System.Collections.Concurrent;
using System.Collections.Immutable;

namespace JollyKnot.Core.Shaping;

/// <summary>So many equal circles in the smallest round tin that rings give.</summary>
/// <param name="Ratio">Tin radius over circle radius.</param>
/// <param name="Centres">Centres, with the circle's radius as unit and the tin's middle as origin.</param>
/// <remarks>Within 4 % of the best packings known up to 20 circles (R. L. Graham and others, 1998), which a test holds.</remarks>
public sealed record RoundPacking(double Ratio, ImmutableArray<(double X, double Y)> Centres)
{
    /// <summary>More than this no round tin is asked to hold.</summary>
    public const int Most = 40;

    // Rotations of a ring against the one inside it that are tried, and halvings of its radius.
    private const int Rotations = 48,
        Halvings = 30;
    private static readonly ConcurrentDictionary<int, RoundPacking> Known = new();

    /// <summary>The packing of this many.</summary>
    /// <param name="circles">1 to <see cref="Most"/>.</param>
    public static RoundPacking Of(int circles)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(circles, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(circles, Most);
        return Known.GetOrAdd(circles, Best);
    }

    /// <summary>How many circles of this radius a tin of this radius holds; 0 when not even one.</summary>
    public static int Holds(double tin, double circle)
    {
        var most = 0;
        for (var n = 1; n <= Most && Of(n).Ratio * circle <= tin + 1e-9; n++)
            most = n;
        return most;
    }

    private static RoundPacking Best(int circles)
    {
        if (circles == 1)
            return new(1, [(0, 0)]);
        RoundPacking? best = null;
        foreach (var rings in Splits(circles, circles))
        {
            if (
                Build(rings, best?.Ratio ?? double.MaxValue) is { } packing
                && (best is null || packing.Ratio < best.Ratio - 1e-9)
            )
                best = packing;
        }
        return best!;
    }

    // Ring sizes from the middle outwards, each ring no smaller than the one inside it.
    private static IEnumerable<ImmutableArray<int>> Splits(int circles, int outermost)
    {
        for (var outer = Math.Min(circles, outermost); outer >= 1; outer--)
        {
            if (outer == circles)
                yield return [outer];
            else
                foreach (var inner in Splits(circles - outer, outer))
                    // A ring outside another that is far emptier than it could be is never the best.
                    if (outer >= inner[^1] + 1)
                        yield return inner.Add(outer);
        }
    }

    private static RoundPacking? Build(ImmutableArray<int> rings, double toBeat)
    {
        var centres = new List<(double X, double Y)>();
        var outer = 0d;
        foreach (var count in rings)
        {
            // Neighbours in the ring touch at this radius; the ring inside may push it out.
            var tight = count == 1 ? 0 : 1 / Math.Sin(Math.PI / count);
            var (radius, turn) = (double.MaxValue, 0d);
            for (var t = 0; t < (centres.Count == 0 ? 1 : Rotations); t++)
            {
                var angle = 2 * Math.PI / count * t / Rotations;
                if (Clear(tight, angle))
                {
                    (radius, turn) = (tight, angle);
                    break;
                }
                var (low, high) = (tight, outer + 2);
                if (radius < double.MaxValue && !Clear(radius - 1e-6, angle))
                    continue;
                for (var i = 0; i < Halvings; i++)
                {
                    var middle = (low + high) / 2;
                    if (Clear(middle, angle))
                        high = middle;
                    else
                        low = middle;
                }
                if (high < radius)
                    (radius, turn) = (high, angle);
            }
            if (radius + 1 >= toBeat)
                return null;
            for (var i = 0; i < count; i++)
                centres.Add(
                    (radius * Math.Cos(turn + 2 * Math.PI * i / count), radius * Math.Sin(turn + 2 * Math.PI * i / count))
                );
            outer = radius;

            bool Clear(double at, double angle)
            {
                for (var i = 0; i < count; i++)
                {
                    var (x, y) = (at * Math.Cos(angle + 2 * Math.PI * i / count), at * Math.Sin(angle + 2 * Math.PI * i / count));
                    foreach (var (cx, cy) in centres)
                        if ((x - cx) * (x - cx) + (y - cy) * (y - cy) < 4 - 1e-9)
                            return false;
                }
                return true;
            }
        }
        return new(outer + 1, [.. centres]);
    }
}
