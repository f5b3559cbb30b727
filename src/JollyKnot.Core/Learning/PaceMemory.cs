// What past looks say of how fast dough rises in one place of this kitchen.
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Learning;

/// <summary>The household's pace in a place, carried from bake to bake.</summary>
public static class PaceMemory
{
    // A place's own pace before anything is known of it, and how much one proof differs from the next there: standard deviations
    // of the logarithm. Fitted.
    private const double BetweenPlaces = .15,
        BetweenProofs = .17;

    /// <summary>What to believe before the next proof there: the mean of past proofs, held towards the usual while they are few.
    /// The room is in the model, so a cold snap does not count.</summary>
    /// <param name="place">The place's id.</param>
    /// <param name="past">What past bakes say, the latest first.</param>
    public static PaceBelief For(string place, IEnumerable<Lessons> past)
    {
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(past);
        var precision = 1 / (BetweenPlaces * BetweenPlaces);
        var sum = 0d;
        foreach (var (lesson, fresh) in past.SelectMany(l => l.Paces).Where(p => p.Place == place).Fading())
        {
            var weight = fresh / (lesson.Variance + BetweenProofs * BetweenProofs);
            precision += weight;
            sum += weight * lesson.LogPace;
        }
        var spread = Math.Sqrt(1 / precision + BetweenProofs * BetweenProofs);
        return new(Math.Exp(sum / precision), Math.Min(PaceBelief.Prior.Spread, spread));
    }
}
