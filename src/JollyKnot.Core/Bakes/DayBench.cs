// One bench for all bakes of a day: which of them the one sentence is about, and what comes next in any of them.
using System.Collections.Immutable;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Bakes;

/// <summary>All bakes at one bench.</summary>
public static class DayBench
{
    /// <summary>The bake that hands are wanted for: what burns first, then what is in hand, then what is due longest, then what
    /// is due next.</summary>
    /// <param name="bakes">The open bakes as they stand.</param>
    /// <returns>Its place among them; null when nothing is left to do.</returns>
    public static int? AtHand(ImmutableArray<BakeState> bakes)
    {
        if (bakes.IsEmpty)
            return null;
        var inHand = Enumerable.Range(0, bakes.Length).MaxBy(i => bakes[i].LastTold?.At ?? DateTimeOffset.MinValue);
        return Enumerable
            .Range(0, bakes.Length)
            .Where(i => bakes[i].Now is not null)
            .OrderBy(i => Rank(bakes[i], i == inHand))
            .ThenBy(i => bakes[i].Now!.Start)
            .Select(i => (int?)i)
            .FirstOrDefault();
    }

    private static int Rank(BakeState bake, bool inHand)
    {
        var slot = bake.Now!;
        if (slot.Start > bake.SoFar.Now)
            return 3;
        return slot.Step.Rule.Urgency switch
        {
            Urgency.Burns => 0,
            Urgency.CanWait => 4,
            _ => inHand ? 1 : 2,
        };
    }

    /// <summary>What comes next in all bakes, soonest first; without what the bench is about.</summary>
    /// <param name="bakes">The open bakes as they stand.</param>
    /// <param name="most">At most so many.</param>
    public static ImmutableArray<(int Bake, Slot Slot)> Next(ImmutableArray<BakeState> bakes, int most)
    {
        var atHand = AtHand(bakes);
        return
        [
            .. bakes
                .SelectMany(
                    (b, i) => b.Next.Select(s => (Bake: i, Slot: s)).Concat(i != atHand && b.Now is { } now ? [(i, now)] : [])
                )
                .OrderBy(n => n.Slot.Start)
                .Take(most),
        ];
    }
}
