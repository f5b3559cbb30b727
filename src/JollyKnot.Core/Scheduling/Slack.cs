// Where a bake gives: how much later a step could be done before anything after it has to move.
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>Slack of steps.</summary>
public static class Slack
{
    // Less is none: plans are in whole minutes. Ours.
    private static readonly TimeSpan Least = TimeSpan.FromMinutes(2);

    /// <summary>How much later a step could be done and nothing after it moves; null when it gives less than two
    /// minutes.</summary>
    /// <param name="table">The bake's steps in time.</param>
    /// <param name="slot">One of them.</param>
    public static TimeSpan? Of(Timetable table, Slot slot)
    {
        ArgumentNullException.ThrowIfNull(table);
        ArgumentNullException.ThrowIfNull(slot);
        // What is done just in time for another ends there; what waits for it begins there.
        var target = slot.Step.InTimeFor is { } id && table[id] is { } aim ? aim.Start - slot.End : (TimeSpan?)null;
        var gives = table
            .Slots.SelectMany(s =>
                s.Step.After.Where(l => l.Step == slot.Step.Id)
                    .Select(l => s.Start - ((l.Edge == Edge.Start ? slot.Start : slot.End) + l.Lag))
            )
            .Concat(target is { } t ? [t] : [])
            .Cast<TimeSpan?>()
            .DefaultIfEmpty(null)
            .Min();
        return gives >= Least ? gives : null;
    }
}
