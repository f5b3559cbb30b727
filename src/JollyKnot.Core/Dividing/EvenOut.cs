// The fewest pinches that bring every piece inside its tolerance.
using System.Collections.Immutable;
using System.Numerics;

namespace JollyKnot.Core.Dividing;

/// <summary>Take so much from one piece and press it under another.</summary>
/// <param name="From">Number of the piece it comes from.</param>
/// <param name="To">Number of the piece it goes to.</param>
/// <param name="Units">Whole scale units; over 0.</param>
public sealed record Pinch(int From, int To, int Units);

/// <summary>Evens pieces out. All in whole scale units; the total stays.</summary>
/// <remarks>
/// Pieces that can be evened among themselves form a group; a group of k needs k − 1 pinches at most. So the fewest
/// pinches are the most groups: found exactly up to <see cref="ExactUpTo"/> pieces that matter, by greedy pairing beyond.
/// </remarks>
public static class EvenOut
{
    /// <summary>Up to so many pieces the answer is the best there is.</summary>
    public const int ExactUpTo = 11;

    /// <summary>The pinches; empty when nothing needs them or nothing helps, because there is too much or too little dough for
    /// all.</summary>
    /// <param name="pieces">Weighed pieces; those still to be cut are left out.</param>
    public static ImmutableArray<Pinch> Of(IEnumerable<Piece> pieces)
    {
        var all = pieces
            .Where(p => p.Weighed is not null)
            .Select(p => new Part(p.Number, p.Weighed!.Value, p.Target, p.Tolerance))
            .ToList();
        if (all.TrueForAll(p => p.IsGood) || !Balances(all))
            return [];
        return [.. Groups(all).SelectMany(Within)];
    }

    private readonly record struct Part(int Number, int Weight, int Target, int Tolerance)
    {
        public int Low => Target - Tolerance;
        public int High => Target + Tolerance;
        public bool IsGood => Weight >= Low && Weight <= High;
        public int Off => Weight - Target;
    }

    private static bool Balances(IEnumerable<Part> group)
    {
        var (low, weight, high) = (0, 0, 0);
        foreach (var p in group)
            (low, weight, high) = (low + p.Low, weight + p.Weight, high + p.High);
        return weight >= low && weight <= high;
    }

    // Good pieces stay alone, but for those whose slack is needed.
    private static List<List<Part>> Groups(List<Part> all)
    {
        if (all.Count <= ExactUpTo)
            return Exact(all);
        var groups = new List<List<Part>>();
        var bad = all.Where(p => !p.IsGood).OrderByDescending(p => Math.Abs(p.Off)).ToList();
        var good = all.Where(p => p.IsGood).ToList();
        // The largest first, each with the partner that fits it best: a bad one, which mends two, before a good one.
        var rest = new List<Part>();
        while (bad.Count > 0)
        {
            var one = bad[0];
            bad.RemoveAt(0);
            if (Partner(one, bad) is { } other)
                bad.Remove(other);
            else if (Partner(one, good) is { } helper)
                good.Remove(other = helper);
            else
            {
                rest.Add(one);
                continue;
            }
            groups.Add([one, other]);
        }
        // What no single partner mends is mended together, with as many good ones as that takes.
        var over = rest.Sum(p => p.Off) > 0;
        foreach (var helper in good.OrderByDescending(p => over ? p.High - p.Weight : p.Weight - p.Low).ToList())
        {
            if (rest.Count == 0 || Balances(rest))
                break;
            rest.Add(helper);
        }
        if (rest.Count > 0 && !Balances(rest))
        {
            // Only all of them together have the slack.
            return [all];
        }
        if (rest.Count > 0)
            groups.AddRange(rest.Count <= ExactUpTo ? Exact(rest) : [rest]);
        return groups;
    }

    private static Part? Partner(Part one, List<Part> among) =>
        among
            .Where(p => p.Off * one.Off <= 0 && Balances([one, p]))
            .OrderBy(p => Math.Abs(p.Off + one.Off))
            .Select(p => (Part?)p)
            .FirstOrDefault();

    // The partition into the most groups that each balance, over all subsets.
    private static List<List<Part>> Exact(List<Part> all)
    {
        var n = all.Count;
        var (balances, best, last) = (new bool[1 << n], new int[1 << n], new int[1 << n]);
        for (var set = 1; set < 1 << n; set++)
            balances[set] = Balances(Members(all, set));
        for (var set = 1; set < 1 << n; set++)
        {
            best[set] = int.MinValue;
            // The group that holds the set's lowest piece.
            var lowest = set & -set;
            for (var group = set; group > 0; group = (group - 1) & set)
            {
                if ((group & lowest) == 0 || !balances[group] || best[set ^ group] == int.MinValue)
                    continue;
                if (best[set ^ group] + 1 > best[set])
                    (best[set], last[set]) = (best[set ^ group] + 1, group);
            }
        }
        var groups = new List<List<Part>>();
        for (var set = (1 << n) - 1; set > 0; set ^= last[set])
            groups.Add([.. Members(all, last[set])]);
        return groups;
    }

    private static IEnumerable<Part> Members(List<Part> all, int set)
    {
        for (; set != 0; set &= set - 1)
            yield return all[BitOperations.TrailingZeroCount(set)];
    }

    // Inside a group: what each should weigh in the end, then from the fullest to the emptiest.
    private static IEnumerable<Pinch> Within(List<Part> group)
    {
        if (group.Count == 1)
            yield break;
        var final = group.Select(p => Math.Clamp(p.Weight, p.Low, p.High)).ToArray();
        var spare = group.Sum(p => p.Weight) - final.Sum();
        for (var i = 0; i < group.Count && spare != 0; i++)
        {
            var room = spare > 0 ? Math.Min(spare, group[i].High - final[i]) : Math.Max(spare, group[i].Low - final[i]);
            (final[i], spare) = (final[i] + room, spare - room);
        }
        var surplus = group.Select((p, i) => p.Weight - final[i]).ToArray();
        while (true)
        {
            var (from, to) = (Array.IndexOf(surplus, surplus.Max()), Array.IndexOf(surplus, surplus.Min()));
            var units = Math.Min(surplus[from], -surplus[to]);
            if (units <= 0)
                yield break;
            (surplus[from], surplus[to]) = (surplus[from] - units, surplus[to] + units);
            yield return new(group[from].Number, group[to].Number, units);
        }
    }
}
