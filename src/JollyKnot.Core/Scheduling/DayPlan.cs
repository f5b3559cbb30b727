// A day laid out: what each bake's steps are held to so that they do not get in one another's way.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Scheduling;

/// <summary>What one bake is held to.</summary>
/// <param name="NotBefore">Steps with the time they are held to.</param>
/// <param name="HotFrom">Ovens, by id, that another bake has heated before: to what.</param>
public sealed record Arrangement(ImmutableDictionary<string, DateTimeOffset> NotBefore, ImmutableDictionary<string, Temperature> HotFrom)
{
    /// <summary>Held to nothing.</summary>
    public static Arrangement Free { get; } = new(ImmutableDictionary<string, DateTimeOffset>.Empty, ImmutableDictionary<string, Temperature>.Empty);
}

/// <summary>How good a day is: what matters most comes first. Whole minutes over all bakes.</summary>
/// <param name="Late">After the time wanted.</param>
/// <param name="Over">Dough past its window.</param>
/// <param name="Waits">Bread cool before it is wanted.</param>
/// <param name="Awake">From the first thing to do until the last bread is wanted.</param>
public sealed record DayAims(int Late, int Over, int Waits, int Awake) : IComparable<DayAims>
{
    /// <inheritdoc/>
    public int CompareTo(DayAims? other) => other is null ? 1 : (Late, Over, Waits, Awake).CompareTo((other.Late, other.Over, other.Waits, other.Awake));

    /// <summary>Worse than.</summary>
    public static bool operator >(DayAims a, DayAims b) => a.CompareTo(b) > 0;

    /// <summary>Better than.</summary>
    public static bool operator <(DayAims a, DayAims b) => a.CompareTo(b) < 0;

    /// <summary>Not better than.</summary>
    public static bool operator >=(DayAims a, DayAims b) => a.CompareTo(b) >= 0;

    /// <summary>Not worse than.</summary>
    public static bool operator <=(DayAims a, DayAims b) => a.CompareTo(b) <= 0;
}

/// <summary>A stretch of time.</summary>
/// <param name="From">Its start.</param>
/// <param name="To">Its end.</param>
public sealed record TimeBand(DateTimeOffset From, DateTimeOffset To);

/// <summary>A day laid out.</summary>
/// <param name="Bakes">What each bake is held to, in the order given.</param>
/// <param name="Aims">How good it is.</param>
public sealed record DayPlan(ImmutableArray<Arrangement> Bakes, DayAims Aims)
{
    /// <summary>Lays a day out: every bake of it, around what has happened.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="now">The time now.</param>
    /// <param name="away">When there are no hands.</param>
    public static DayPlan Of(ImmutableArray<DayBake> bakes, DateTimeOffset now, ImmutableArray<TimeBand> away = default)
    {
        var day = DayBlocks.Of(bakes, now);
        ImmutableArray<(int, int)> gone = away.IsDefault ? [] : [.. away.Select(a => ((int)Math.Floor((a.From - day.Zero).TotalMinutes), (int)Math.Ceiling((a.To - day.Zero).TotalMinutes)))];
        var starts = new DayBuilder(day, gone).Build();
        return new([.. bakes.Select((b, i) => ArrangementOf(day, starts, bakes, i))], DayBuilder.AimsOf(day, starts));
    }

    private static Arrangement ArrangementOf(DayBlocks day, int[] starts, ImmutableArray<DayBake> bakes, int bake)
    {
        var held = ImmutableDictionary.CreateBuilder<string, DateTimeOffset>();
        for (var b = 0; b < day.Blocks.Length; b++)
            if (day.Blocks[b] is { Fixed: null } block && block.Bake == bake) held[block.Steps[0]] = day.Zero.AddMinutes(starts[b]);
        var hot = ImmutableDictionary.CreateBuilder<string, Temperature>();
        foreach (var own in day.Stays.Where(s => s.Bake == bake && s.Heat is not null).GroupBy(s => s.Oven.Id))
        {
            var first = own.MinBy(s => starts[s.From])!;
            var goesIn = starts[first.From] + first.In;
            // Hot when another went in before and came out no longer ago than it takes to heat from cold.
            var before = day.Stays.Where(s => s.Bake != bake && s.Oven.Id == own.Key && s.Heat is not null && (starts[s.From] + s.In, s.Bake).CompareTo((goesIn, bake)) < 0 && starts[s.Out] + 1 >= goesIn - first.FromCold)
                .MaxBy(s => starts[s.Out]);
            if (before is not null) hot[own.Key] = before.Heat!.Value;
        }
        return new(held.ToImmutable(), hot.ToImmutable());
    }
}
