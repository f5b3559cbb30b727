// When a day cannot be done as wanted: the one change that would make it possible.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;

namespace JollyKnot.Core.Scheduling;

/// <summary>What is changed.</summary>
public enum FixKind
{
    /// <summary>Another machine.</summary>
    Machine,
    /// <summary>Another oven.</summary>
    Oven,
    /// <summary>Wanted later.</summary>
    Later,
}

/// <summary>One change to one bake, after which the day can be done.</summary>
/// <param name="Bake">Which bake of the day.</param>
/// <param name="Kind">What is changed.</param>
/// <param name="Spec">The bake, changed.</param>
public sealed record DayFix(int Bake, FixKind Kind, BakeSpec Spec)
{
    // What is wanted later is wanted at a round time. Ours.
    private static readonly TimeSpan Round = TimeSpan.FromMinutes(15);
    // So much over is not worth a change, min. Ours.
    private const int Nothing = 2;

    /// <summary>The changes that would do, those that keep every time first. Only bakes that have not begun are changed.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="kitchen">What there is.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had; never when null.</param>
    public static ImmutableArray<DayFix> Of(ImmutableArray<DayBake> bakes, Kitchen kitchen, DateTimeOffset now, Closed? closed = null)
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        var late = DayPlan.Of(bakes, now, closed).Aims.Late;
        return [.. Candidates(bakes, kitchen, TimeSpan.FromMinutes(late)).OrderBy(f => f.Kind).Where(f => Does(bakes.SetItem(f.Bake, bakes[f.Bake] with { Spec = f.Spec }), now, closed))];
    }

    private static IEnumerable<DayFix> Candidates(ImmutableArray<DayBake> bakes, Kitchen kitchen, TimeSpan late)
    {
        for (var i = 0; i < bakes.Length; i++)
        {
            if (!bakes[i].SoFar.Steps.IsEmpty) continue;
            var spec = bakes[i].Spec;
            foreach (var machine in kitchen.Machines.Where(m => m.Id != spec.Machine.Id && m.Refuses(Formula.Of(spec.Dough)) is null)) yield return new(i, FixKind.Machine, spec with { Machine = machine });
            foreach (var oven in kitchen.Ovens.Where(o => o.Id != spec.Oven.Id && spec.Batches.All(b => o.Dial.Holds(b.Bread.Heat) && b.Bread.Racks <= o.Racks && (b.Bread.Pan is null || o.Holds(b.Bread.Pan)))))
                yield return new(i, FixKind.Oven, spec with { Oven = oven });
            if (late > TimeSpan.Zero && spec.ReadyBy is { } by) yield return new(i, FixKind.Later, spec with { ReadyBy = by + Round * Math.Ceiling(late / Round) });
        }
    }

    private static bool Does(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed? closed)
    {
        var plan = DayPlan.Of(bakes, now, closed);
        return plan.Aims is { Late: <= Nothing, Over: <= Nothing }
            && !DayCheck.Of([.. bakes.Select((b, i) => b with { SoFar = b.SoFar with { Arranged = plan.Bakes[i] } })], now, closed).Any(f => f.Impossible);
    }
}
