// Why a bake begins when it does: the steps that leave no slack, back from the table.
using System.Collections.Immutable;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>A step that decides when the next one begins.</summary>
/// <param name="Slot">The step in time.</param>
/// <param name="Held">It begins when the rest of the day lets it, not when the one before it ends.</param>
public sealed record Deciding(Slot Slot, bool Held)
{
    // Closer than this there is no slack. Ours.
    private static readonly TimeSpan NoSlack = TimeSpan.FromSeconds(61);

    /// <summary>The chain without slack that ends with a bake being ready, in order.</summary>
    public static ImmutableArray<Deciding> Of(Timetable table)
    {
        ArgumentNullException.ThrowIfNull(table);
        var chain = new List<Deciding>();
        var slot = table.Slots[^1];
        while (true)
        {
            var before = slot
                .Step.After.Select(l =>
                    table[l.Step] is { } s ? (Slot: s, At: (l.Edge == Edge.Start ? s.Start : s.End) + l.Lag) : default
                )
                // What is done just in time decides nothing.
                .Where(b => b.Slot is not null && b.Slot.Step.InTimeFor is null)
                .OrderByDescending(b => b.At)
                .FirstOrDefault();
            var held = before.Slot is not null && slot.Start - before.At > NoSlack;
            chain.Add(new(slot, held));
            if (before.Slot is null || chain.Count > table.Slots.Length)
                break;
            slot = before.Slot;
        }
        chain.Reverse();
        return [.. chain];
    }
}
