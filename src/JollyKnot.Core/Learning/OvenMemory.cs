// What past bakes say of how long an oven really takes.
using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Scheduling;

namespace JollyKnot.Core.Learning;

/// <summary>The household's ovens, carried from bake to bake.</summary>
public static class OvenMemory
{
    // An oven's own pace before anything is known of it, and how much one bake differs from the next: standard deviations of the logarithm. Fitted.
    private const double BetweenOvens = .12, BetweenBakes = .15;
    // Farther off than this the door was forgotten or the button was; it says nothing of the oven. Ours.
    private static readonly double Believable = Math.Log(1.8);

    /// <summary>What each oven needs over what is usual, held towards 1 while bakes are few.</summary>
    /// <param name="bakes">Past bakes with their logs.</param>
    /// <returns>By oven id, over 0; an oven that nothing is known of is not listed.</returns>
    public static ImmutableDictionary<string, double> Of(IEnumerable<(BakePlan Plan, BakeLog Log)> bakes)
    {
        ArgumentNullException.ThrowIfNull(bakes);
        var sums = new Dictionary<string, (double Precision, double Sum)>();
        foreach (var (plan, log) in bakes.Where(b => !b.Log.Entries.IsEmpty))
        {
            var spec = plan.Spec with { OvenPaces = null };
            var soFar = log.SoFar(spec, log.Entries[^1].At);
            var eaches = spec.Eaches(soFar.DoughOf(spec));
            foreach (var batch in spec.Batches.Where(b => !b.Bread.OnGriddle))
            {
                if (soFar.When(batch.Step("load")) is not { } load || soFar.When(batch.Step("unload")) is not { } unload || unload - load <= Chain.UnloadTakes) continue;
                var off = Math.Log((unload - load - Chain.UnloadTakes) / spec.Window(batch.Bread, eaches[batch.Cut]).Likely);
                if (Math.Abs(off) > Believable) continue;
                var id = spec.OvenOf(batch.Bread).Id;
                var (precision, sum) = sums.GetValueOrDefault(id, (1 / (BetweenOvens * BetweenOvens), 0));
                sums[id] = (precision + 1 / (BetweenBakes * BetweenBakes), sum + off / (BetweenBakes * BetweenBakes));
            }
        }
        return sums.ToImmutableDictionary(s => s.Key, s => Math.Exp(s.Value.Sum / s.Value.Precision));
    }
}
