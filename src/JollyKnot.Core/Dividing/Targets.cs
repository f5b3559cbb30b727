// Targets in whole scale units that add up exactly to the dough on the scale.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Dividing;

/// <summary>Splits whole scale units so that nothing is left over and nothing is made up.</summary>
public static class Targets
{
    /// <summary>Equal parts by the largest remainder: they differ by one unit at most, the larger ones first.</summary>
    /// <param name="whole">What there is, whole scale units; 0 or more.</param>
    /// <param name="parts">At least 1.</param>
    public static ImmutableArray<int> Equal(int whole, int parts)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(whole);
        ArgumentOutOfRangeException.ThrowIfLessThan(parts, 1);
        var (each, over) = (whole / parts, whole % parts);
        return [.. Enumerable.Range(0, parts).Select(i => i < over ? each + 1 : each)];
    }

    /// <summary>Parts in proportion to their weights, by the largest remainder; the earlier of equal remainders gets the
    /// unit.</summary>
    /// <param name="whole">What there is, whole scale units; 0 or more.</param>
    /// <param name="weights">At least one; 0 or more each. All 0 shares equally.</param>
    public static ImmutableArray<int> Share(int whole, IReadOnlyList<int> weights)
    {
        ArgumentNullException.ThrowIfNull(weights);
        ArgumentOutOfRangeException.ThrowIfNegative(whole);
        var sum = weights.Sum(w => (long)w);
        if (sum == 0)
            return Equal(whole, weights.Count);
        var parts = weights.Select(w => (int)(whole * (long)w / sum)).ToArray();
        var over = whole - parts.Sum();
        foreach (var i in Enumerable.Range(0, parts.Length).OrderByDescending(i => whole * (long)weights[i] % sum).Take(over))
            parts[i]++;
        return [.. parts];
    }

    /// <summary>How many pieces of about this weight a dough gives: the nearest whole number, at least 1.</summary>
    /// <param name="dough">The dough that will come out of the pan.</param>
    /// <param name="each">The wanted weight; over 0.</param>
    public static int CountFor(Mass dough, Mass each)
    {
        ArgumentOutOfRangeException.ThrowIfLessThanOrEqual(each.Grams, 0);
        return (int)Math.Clamp(Math.Round(dough / each, MidpointRounding.AwayFromZero), 1, int.MaxValue);
    }
}
