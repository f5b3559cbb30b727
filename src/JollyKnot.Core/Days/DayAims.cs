// What makes one day better than another, the most important first.

namespace JollyKnot.Core.Days;

/// <summary>How good a day is: what matters most comes first. Whole minutes over all bakes.</summary>
/// <param name="Off">What the baker pinned is so far from its pin.</param>
/// <param name="Late">After the time wanted.</param>
/// <param name="Over">Dough past its window.</param>
/// <param name="Under">Dough short of its best.</param>
/// <param name="Stale">Bread cool for longer than it may be before it is wanted.</param>
/// <param name="Waits">Bread cool before it is wanted; and until bread that is wanted as soon as can be.</param>
/// <param name="Awake">From the first thing to do until the last bread is wanted.</param>
/// <param name="Heated">Ovens on: heating from cold or standing hot until something goes in.</param>
public sealed record DayAims(int Off, int Late, int Over, int Under, int Stale, int Waits, int Awake, int Heated) : IComparable<DayAims>
{
    /// <summary>How good these starts are.</summary>
    internal static DayAims Of(DayBlocks day, int[] starts)
    {
        var (late, stale, waits, last) = (0, 0, 0, 0);
        for (var bake = 0; bake < day.Ready.Length; bake++)
        {
            var ready = day.Ready[bake].Max(r => starts[r.Block] + r.Minutes);
            var wanted = day.Wanted[bake] ?? ready;
            if (day.Wanted[bake] is null) waits += ready;
            late += Math.Max(0, ready - wanted);
            waits += Math.Max(0, wanted - ready);
            if (day.Fresh[bake] is { } fresh) stale += Math.Max(0, wanted - ready - fresh);
            last = Math.Max(last, Math.Max(ready, wanted));
        }
        var begins = Enumerable.Range(0, day.Blocks.Length).Where(b => day.Blocks[b].Fixed is null).Select(b => starts[b]).DefaultIfEmpty(last).Min();
        return new(
            day.Blocks.Select((b, i) => b.Pin is { } pin ? Math.Abs(starts[i] - pin) : 0).Sum(), late,
            day.Proofs.Sum(p => Math.Max(0, starts[p.To] - starts[p.From] - p.Late)), day.Proofs.Sum(p => Math.Max(0, p.Best - (starts[p.To] - starts[p.From]))), stale, waits, last - begins, Heating(day, starts));
    }

    // From cold for each load, or hot since the one before came out, whichever is shorter.
    private static int Heating(DayBlocks day, int[] starts)
    {
        var heated = 0;
        for (var i = 0; i < day.Stays.Length; i++)
        {
            if (day.Stays[i] is not { Heat: not null } stay || day.Blocks[stay.From].Fixed is not null) continue;
            var (goesIn, least) = (starts[stay.From] + stay.In, stay.FromCold);
            for (var k = 0; k < day.Stays.Length; k++)
                if (k != i && day.Stays[k] is { Heat: not null } other && other.Oven.Id == stay.Oven.Id && (starts[other.From] + other.In, k).CompareTo((goesIn, i)) < 0)
                    least = Math.Min(least, Math.Max(0, goesIn - (other.From == other.Out ? starts[other.From] + day.Blocks[other.From].Minutes : starts[other.Out] + 1)));
            heated += least;
        }
        return heated;
    }

    private (int, int, int, int, int, int, int, int) Order => (Off, Late, Over, Under, Stale, Waits, Awake, Heated);

    /// <inheritdoc/>
    public int CompareTo(DayAims? other) => other is null ? 1 : Order.CompareTo(other.Order);

    /// <summary>Worse than.</summary>
    public static bool operator >(DayAims a, DayAims b) => a.CompareTo(b) > 0;

    /// <summary>Better than.</summary>
    public static bool operator <(DayAims a, DayAims b) => a.CompareTo(b) < 0;

    /// <summary>Not better than.</summary>
    public static bool operator >=(DayAims a, DayAims b) => a.CompareTo(b) >= 0;

    /// <summary>Not worse than.</summary>
    public static bool operator <=(DayAims a, DayAims b) => a.CompareTo(b) <= 0;
}
