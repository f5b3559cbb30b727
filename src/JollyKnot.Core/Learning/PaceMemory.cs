// What past looks say of how fast dough rises in one place of this kitchen.
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;

namespace JollyKnot.Core.Learning;

/// <summary>The household's pace in a place, carried from bake to bake.</summary>
public static class PaceMemory
{
    // A place's own pace before anything is known of it, and how much one proof differs from the next there: standard deviations of the logarithm. Fitted.
    private const double BetweenPlaces = .15, BetweenProofs = .17;

    /// <summary>What to believe before the next proof there: the mean of past proofs, held towards the usual while they are few. The room is in the model, so a cold snap does not count.</summary>
    /// <param name="place">The place.</param>
    /// <param name="bakes">Past bakes with their logs.</param>
    public static PaceBelief For(Place place, IEnumerable<(BakePlan Plan, BakeLog Log)> bakes)
    {
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(bakes);
        var (precision, sum) = (1 / (BetweenPlaces * BetweenPlaces), 0d);
        foreach (var (plan, log) in bakes)
        {
            if (plan.Spec.Place.Id != place.Id || log.Entries.IsEmpty) continue;
            // Reckoned anew without what was believed then, and without the dead.
            var state = BakeState.Of(plan with { Spec = plan.Spec with { Pace = null } }, log, log.Entries[^1].At);
            foreach (var forecast in state.Chain.Batches.Where(b => !state.SoFar.LooksAt(b.Batch).IsEmpty && b.Proof.Trouble != ProofTrouble.DeadYeast))
            {
                var (pace, spread) = (forecast.Proof.Belief.Pace, forecast.Proof.Belief.Spread);
                // What the looks alone say: the posterior without its prior.
                var own = 1 / (spread * spread) - 1 / (PaceBelief.Prior.Spread * PaceBelief.Prior.Spread);
                if (own <= 1e-6) continue;
                var mean = Math.Log(pace) / (spread * spread) / own;
                var weight = 1 / (1 / own + BetweenProofs * BetweenProofs);
                (precision, sum) = (precision + weight, sum + weight * mean);
            }
        }
        return new(Math.Exp(sum / precision), Math.Min(PaceBelief.Prior.Spread, Math.Sqrt(1 / precision + BetweenProofs * BetweenProofs)));
    }
}
