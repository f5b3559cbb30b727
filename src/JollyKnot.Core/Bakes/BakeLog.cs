// The log of a bake, and what it amounts to.
using System.Collections.Immutable;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Bakes;

/// <summary>One entry of a log.</summary>
/// <param name="Position">1 for the first; no gaps.</param>
/// <param name="Event">What happened; its time is set.</param>
public sealed record Entry(int Position, BakeEvent Event)
{
    /// <summary>When it happened.</summary>
    public DateTimeOffset At => Event.At ?? DateTimeOffset.MinValue;
}

/// <summary>A log: everything told about a bake, in order.</summary>
/// <param name="Entries">All entries, undone ones included.</param>
public sealed record BakeLog(ImmutableArray<Entry> Entries)
{
    /// <summary>Position of the last entry; 0 of an empty log.</summary>
    public int Position => Entries.IsEmpty ? 0 : Entries[^1].Position;

    /// <summary>The entries that stand: an entry counts unless one that itself counts takes it back.</summary>
    public ImmutableArray<Entry> Standing()
    {
        var undone = new HashSet<int>();
        var standing = new List<Entry>(Entries.Length);
        foreach (var entry in Entries.Reverse())
        {
            if (undone.Contains(entry.Position))
                continue;
            if (entry.Event is Undone undo)
                undone.Add(undo.Position);
            standing.Add(entry);
        }
        standing.Reverse();
        return [.. standing];
    }

    /// <summary>What has happened, as far as the plan for the rest depends on it.</summary>
    /// <param name="spec">What was decided.</param>
    /// <param name="now">The time now.</param>
    public SoFar SoFar(BakeSpec spec, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(spec);
        return Standing().Aggregate(Steps.SoFar.Nothing(now), (soFar, entry) => entry.Event.AddTo(soFar, spec));
    }
}
