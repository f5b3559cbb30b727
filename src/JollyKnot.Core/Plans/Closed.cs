// When hands and machines are not to be had.
using System.Collections.Immutable;

namespace JollyKnot.Core.Plans;

/// <summary>A stretch of time.</summary>
/// <param name="From">Its start.</param>
/// <param name="To">Its end.</param>
public sealed record TimeBand(DateTimeOffset From, DateTimeOffset To)
{
    /// <summary>Whether a time is in it; its end is not.</summary>
    /// <param name="at">When.</param>
    public bool Holds(DateTimeOffset at) => From <= at && at < To;
}

/// <summary>When hands and machines are not to be had.</summary>
/// <param name="Hands">Nobody is there, or up.</param>
/// <param name="Machines">No machine may run.</param>
public sealed record Closed(ImmutableArray<TimeBand> Hands, ImmutableArray<TimeBand> Machines)
{
    /// <summary>Never.</summary>
    public static Closed Never { get; } = new([], []);

    /// <summary>Whether there are no hands at a time.</summary>
    /// <param name="at">When.</param>
    public bool IsAway(DateTimeOffset at) => Hands.Any(b => b.Holds(at));

    /// <summary>The same, with somebody up at these times already: what is left of a night then is not one.</summary>
    /// <param name="up">When.</param>
    public Closed UpAt(IEnumerable<DateTimeOffset> up) =>
        this with
        {
            Hands =
            [
                .. Hands.Select(b =>
                    up.Where(u => b.From < u && u < b.To).Cast<DateTimeOffset?>().Min() is { } first ? b with { To = first } : b
                ),
            ],
        };
}
