// What past bakes say of how long an oven really takes.
using System.Collections.Immutable;

namespace JollyKnot.Core.Learning;

/// <summary>The household's ovens, carried from bake to bake.</summary>
public static class OvenMemory
{
    // An oven's own pace before anything is known of it, and how much one bake differs from the next: standard deviations of the
    // logarithm. Fitted.
    private const double BetweenOvens = .12,
        BetweenBakes = .15;

    /// <summary>What each oven needs over what is usual, held towards 1 while bakes are few.</summary>
    /// <param name="past">What past bakes say, the latest first.</param>
    /// <returns>By oven id, over 0; an oven that nothing is known of is not listed.</returns>
    public static ImmutableDictionary<string, double> Of(IEnumerable<Lessons> past)
    {
        ArgumentNullException.ThrowIfNull(past);
        return past.SelectMany(l => l.Ovens).GroupBy(o => o.Oven).ToImmutableDictionary(g => g.Key, Need);
    }

    private static double Need(IEnumerable<OvenLesson> lessons)
    {
        var precision = 1 / (BetweenOvens * BetweenOvens);
        var sum = 0d;
        foreach (var (lesson, fresh) in lessons.Fading())
        {
            var weight = fresh / (BetweenBakes * BetweenBakes);
            precision += weight;
            sum += weight * lesson.LogOff;
        }
        return Math.Exp(sum / precision);
    }
}
