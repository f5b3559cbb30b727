// A day laid out: what each bake's steps are held to so that they do not get in one another's way.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>A day laid out.</summary>
/// <param name="Bakes">What each bake is held to, in the order given.</param>
/// <param name="Aims">How good it is.</param>
/// <param name="Proven">No day is better.</param>
public sealed record DayPlan(ImmutableArray<Arrangement> Bakes, DayAims Aims, bool Proven = false)
{
    /// <summary>Deterministic seconds spent on each aim when a day is improved. After measured days: three doughs are proven in
    /// less.</summary>
    public const double UsualEffort = .6;

    // Of a large day so many parts are tried for the first plan: about a second for twelve tight doughs. After measured days.
    private const int PartsAtFirst = 24;

    /// <summary>Whether a day is so large that it goes on getting better for longer than anybody waits.</summary>
    /// <param name="bakes">The bakes.</param>
    public static bool IsLarge(ImmutableArray<DayBake> bakes) => bakes.Length > DaySolver.Whole;

    // When each block begins.
    private ImmutableArray<int> Starts { get; init; }

    /// <summary>Lays a day out at once: every bake of it, around what has happened. The same day gives the same plan.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had; never when null.</param>
    /// <param name="roughly">A large day is put together only: for somebody who is still typing.</param>
    public static DayPlan Of(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed? closed = null, bool roughly = false)
    {
        var day = DayBlocks.Of(bakes, now, closed ?? Closed.Never);
        var starts = new DayBuilder(day).Build();
        return Of(day, DaySolver.InParts(day) && !roughly ? DaySolver.Hurry(day, starts, PartsAtFirst) : starts, bakes, false);
    }

    /// <summary>Lays a day out as well as can be found: aim after aim, and what need not move stays. The same day with the same
    /// effort gives the same plan.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had; never when null.</param>
    /// <param name="effort">Deterministic seconds for each aim; over 0.</param>
    /// <param name="first">The plan of the same day, laid out at once; laid out anew when null.</param>
    /// <param name="better">Told of each plan that is better than the one before, while a large day is improved part by part;
    /// null when only the last counts.</param>
    /// <param name="until">Stops improving; what was found until then is given.</param>
    public static DayPlan Best(
        ImmutableArray<DayBake> bakes,
        DateTimeOffset now,
        Closed? closed = null,
        double effort = UsualEffort,
        DayPlan? first = null,
        Action<DayPlan>? better = null,
        CancellationToken until = default
    )
    {
        first ??= Of(bakes, now, closed);
        var day = DayBlocks.Of(bakes, now, closed ?? Closed.Never);
        // Where each block is held now.
        var before = day
            .Blocks.Select(b =>
                bakes[b.Bake].SoFar.Arranged.NotBefore.TryGetValue(b.Steps[0], out var at)
                    ? (int?)(at - day.Zero).TotalMinutes
                    : null
            )
            .ToArray();
        var (starts, proven) = DaySolver.Improve(
            day,
            [.. first.Starts],
            before.Any(b => b is not null) ? before : null,
            effort,
            better is null ? null : s => better(Of(day, s, bakes, false)),
            until
        );
        return DayAims.Of(day, starts) > first.Aims ? first : Of(day, starts, bakes, proven);
    }

    private static DayPlan Of(DayBlocks day, int[] starts, ImmutableArray<DayBake> bakes, bool proven) =>
        new([.. bakes.Select((b, i) => ArrangementOf(day, starts, b, i))], DayAims.Of(day, starts), proven)
        {
            Starts = [.. starts],
        };

    private static Arrangement ArrangementOf(DayBlocks day, int[] starts, DayBake of, int bake)
    {
        var held = ImmutableDictionary.CreateBuilder<StepId, DateTimeOffset>();
        for (var b = 0; b < day.Blocks.Length; b++)
            if (day.Blocks[b] is { Fixed: null } block && block.Bake == bake)
                held[block.Steps[0]] = day.Zero.AddMinutes(starts[b]);
        var until = day
            .Proofs.Where(p => p.Bake == bake && starts[p.To] - starts[p.From] < p.Best && day.Blocks[p.To].Fixed is null)
            .ToImmutableDictionary(p => of.Chain.At(Milestone.Proving, p.Batch)!.Id, p => day.Zero.AddMinutes(starts[p.To]));
        var hot = ImmutableDictionary.CreateBuilder<string, Temperature>();
        foreach (var own in day.Stays.Where(s => s.Bake == bake && s.Heat is not null).GroupBy(s => s.Oven.Id))
        {
            var first = own.MinBy(s => starts[s.From])!;
            var goesIn = starts[first.From] + first.In;
            // Hot when another went in before and came out no longer ago than it takes to heat from cold.
            var before = day
                .Stays.Where(s =>
                    s.Bake != bake
                    && s.Oven.Id == own.Key
                    && s.Heat is not null
                    && (starts[s.From] + s.In, s.Bake).CompareTo((goesIn, bake)) < 0
                    && starts[s.Out] + 1 >= goesIn - first.FromCold
                )
                .MaxBy(s => starts[s.Out]);
            if (before is not null)
                hot[own.Key] = before.Heat!.Value;
        }
        return new(held.ToImmutable(), hot.ToImmutable())
        {
            Pins = of.SoFar.Arranged.Pins,
            Until = until,
            StillWarm = [.. ProofsInOvens(day, bake).Where(s => IsLeftWarm(day, starts, s)).Select(s => s.Oven.Id)],
        };
    }

    // Dough of a bake that proofs in an oven; not what only rises in its bowl there.
    private static IEnumerable<OvenStay> ProofsInOvens(DayBlocks day, int bake) =>
        day.Stays.Where(s =>
            s.Bake == bake && s.Heat is null && day.Proofs.Any(p => p.Bake == bake && p.Batch == 0 && p.From == s.From)
        );

    // What another bake left in it has fallen far enough for dough by then, and not too far.
    private static bool IsLeftWarm(DayBlocks day, int[] starts, OvenStay proof)
    {
        var goesIn = starts[proof.From] + proof.In + proof.Lead;
        var before = day
            .Stays.Where(s => s.Bake != proof.Bake && s.Oven.Id == proof.Oven.Id && s.Heat is not null && starts[s.Out] < goesIn)
            .MaxBy(s => starts[s.Out]);
        if (before is null)
            return false;
        var since = TimeSpan.FromMinutes(goesIn - starts[before.Out] - 1);
        var left = Place.LeftAt(before.Heat!.Value, proof.Room, since > TimeSpan.Zero ? since : TimeSpan.Zero);
        return left >= Place.WarmEnough;
    }
}
