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
/// <param name="Waits">Bread cool before it is wanted; and until bread that is wanted as soon as can be.</param>
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
/// <param name="Proven">No day is better.</param>
public sealed record DayPlan(ImmutableArray<Arrangement> Bakes, DayAims Aims, bool Proven = false)
{
    /// <summary>Deterministic seconds spent on each aim when a day is improved. After measured days: three doughs are proven in less.</summary>
    public const double UsualEffort = .6;

    /// <summary>Lays a day out at once: every bake of it, around what has happened.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="now">The time now.</param>
    /// <param name="away">When there are no hands.</param>
    public static DayPlan Of(ImmutableArray<DayBake> bakes, DateTimeOffset now, ImmutableArray<TimeBand> away = default)
    {
        var (day, gone) = (DayBlocks.Of(bakes, now), Gone(away, now));
        var starts = new DayBuilder(day, gone).Build();
        return Of(day, starts, bakes, false);
    }

    /// <summary>Lays a day out as well as can be found: aim after aim, and what need not move stays. The same day with the same effort gives the same plan.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="now">The time now.</param>
    /// <param name="away">When there are no hands.</param>
    /// <param name="effort">Deterministic seconds for each aim; over 0.</param>
    public static DayPlan Best(ImmutableArray<DayBake> bakes, DateTimeOffset now, ImmutableArray<TimeBand> away = default, double effort = UsualEffort)
    {
        var (day, gone) = (DayBlocks.Of(bakes, now), Gone(away, now));
        var first = new DayBuilder(day, gone).Build();
        // Where each block is held now.
        var before = day.Blocks.Select(b => bakes[b.Bake].SoFar.Arranged.NotBefore.TryGetValue(b.Steps[0], out var at) ? (int?)(at - day.Zero).TotalMinutes : null).ToArray();
        var (starts, proven) = DaySolver.Improve(day, gone, first, before.Any(b => b is not null) ? before : null, effort);
        return DayBuilder.AimsOf(day, starts) > DayBuilder.AimsOf(day, first) ? Of(day, first, bakes, false) : Of(day, starts, bakes, proven);
    }

    private static DayPlan Of(DayBlocks day, int[] starts, ImmutableArray<DayBake> bakes, bool proven) =>
        new([.. bakes.Select((b, i) => ArrangementOf(day, starts, bakes, i))], DayBuilder.AimsOf(day, starts), proven);

    private static ImmutableArray<(int, int)> Gone(ImmutableArray<TimeBand> away, DateTimeOffset now)
    {
        var zero = DayBlocks.ZeroOf(now);
        return away.IsDefault ? [] : [.. away.Select(a => ((int)Math.Floor((a.From - zero).TotalMinutes), (int)Math.Ceiling((a.To - zero).TotalMinutes)))];
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
