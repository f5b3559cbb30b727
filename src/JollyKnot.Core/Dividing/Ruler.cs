// Dividing without a scale: marks along a log, and cuts by eye.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Dividing;

/// <summary>Cutting an even log by ruler.</summary>
public static class Ruler
{
    /// <summary>How long a log is rolled where nobody says: a forearm and a hand. Ours.</summary>
    public static Length UsualLog { get; } = Length.FromMillimetres(480);

    /// <summary>Where to cut, from the log's left end: after every piece, in proportion to the targets; the last mark is the
    /// log's end.</summary>
    /// <param name="log">The log's length.</param>
    /// <param name="targets">Whole units, at least one over 0.</param>
    public static ImmutableArray<Length> Marks(Length log, IReadOnlyList<int> targets)
    {
        ArgumentNullException.ThrowIfNull(targets);
        var (whole, sum) = (targets.Sum(t => (long)t), 0L);
        ArgumentOutOfRangeException.ThrowIfLessThan(whole, 1, nameof(targets));
        return [.. targets.Select(t => Length.FromMillimetres(log.Millimetres * (sum += t) / whole))];
    }
}

/// <summary>A lump and how it is cut by eye.</summary>
/// <param name="Pieces">How many pieces come of it.</param>
/// <param name="Share">This part of the whole dough.</param>
/// <param name="Parts">What it is cut into; empty for a piece.</param>
/// <param name="Even">The parts are alike; else each is as large as its share says.</param>
/// <param name="Cut">Which cut of the list it belongs to; null while it holds several.</param>
public sealed record EyeCut(int Pieces, Share Share, ImmutableArray<EyeCut> Parts, bool Even, int? Cut = null)
{
    // What an eye cuts evenly.
    private static readonly int[] Ways = [2, 3, 5];

    /// <summary>The cuts for a cut list: first its lines apart, then each into pieces, then those into strands.</summary>
    /// <param name="groups">At least one.</param>
    public static EyeCut Of(ImmutableArray<Group> groups)
    {
        var whole = groups.Sum(g => (double)g.Each * g.Pieces);
        var lines = groups.Select((g, i) => Line(g.Pieces, g.Strands, g.Each * g.Pieces / whole, i)).ToImmutableArray();
        return lines.Length == 1 ? lines[0] : new(lines.Sum(l => l.Pieces), Share.FromFraction(1), lines, false);
    }

    /// <summary>Cuts on the longest way down to a piece.</summary>
    public int Depth => Parts.IsEmpty ? 0 : 1 + Parts.Max(p => p.Depth);

    private static EyeCut Line(int pieces, int strands, double share, int cut)
    {
        var best = Plan(pieces);
        return Build(pieces, share);

        EyeCut Build(int n, double part)
        {
            if (n == 1)
                return strands == 1 ? new(1, Share.FromFraction(part), [], true, cut) : Line(strands, 1, part, cut);
            var sizes = Targets.Equal(n, best[n].Way);
            return new(
                n * strands,
                Share.FromFraction(part),
                [.. sizes.Select(s => Build(s, part * s / n))],
                n % best[n].Way == 0,
                cut
            );
        }
    }

    // For every number: the way to cut that leaves the fewest uneven cuts, then the fewest levels.
    private static (int Way, int Uneven, int Levels)[] Plan(int pieces)
    {
        var best = new (int Way, int Uneven, int Levels)[pieces + 1];
        for (var n = 2; n <= pieces; n++)
        {
            best[n] = (0, int.MaxValue, int.MaxValue);
            foreach (var way in Ways.Where(w => w <= n))
            {
                var sizes = Targets.Equal(n, way).Distinct().ToList();
                var found = (
                    Way: way,
                    Uneven: (n % way == 0 ? 0 : 1) + sizes.Sum(s => best[s].Uneven),
                    Levels: 1 + sizes.Max(s => best[s].Levels)
                );
                if ((found.Uneven, found.Levels).CompareTo((best[n].Uneven, best[n].Levels)) < 0)
                    best[n] = found;
            }
        }
        return best;
    }
}
