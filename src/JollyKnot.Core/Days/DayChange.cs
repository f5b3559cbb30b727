// What a baker changes in a day: a step at a time of its own, or how a bake that has not begun is made. And which one change would save a day.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>What is changed. As a way out of a day that cannot be done, those that leave more as it was come first.</summary>
public enum ChangeKind
{
    /// <summary>A step is wanted at a time of its own.</summary>
    Pin,
    /// <summary>A step may be at any time again.</summary>
    Unpin,
    /// <summary>Another machine.</summary>
    Machine,
    /// <summary>Another oven.</summary>
    Oven,
    /// <summary>Another proofing place.</summary>
    Place,
    /// <summary>Out of the machine early, to rise in a bowl; without a length: not so.</summary>
    Bowl,
    /// <summary>Another oven temperature.</summary>
    Heat,
    /// <summary>First so long in the fridge; without a length: not so.</summary>
    Fridge,
    /// <summary>One tray less; its dough is kept in the fridge for another day.</summary>
    FewerTrays,
    /// <summary>Somebody is up then, sooner than usual: a change to the day, to no bake of it.</summary>
    Up,
    /// <summary>Wanted at another time; without one: as soon as can be.</summary>
    ReadyBy,
    /// <summary>Cool no longer than so before it is wanted; without a length: it does not matter.</summary>
    Fresh,
}

/// <summary>One change to one bake of a day.</summary>
/// <param name="Bake">Which bake of the day.</param>
/// <param name="Kind">What is changed.</param>
/// <param name="Id">A step, machine, oven or place.</param>
/// <param name="At">A time.</param>
/// <param name="Heat">A temperature.</param>
/// <param name="Length">How long.</param>
public sealed record DayChange(int Bake, ChangeKind Kind, string? Id = null, DateTimeOffset? At = null, Temperature? Heat = null, TimeSpan? Length = null)
{
    // What is wanted later is wanted at a round time. So much over is not worth a change. Ours.
    private static readonly TimeSpan Round = TimeSpan.FromMinutes(15), Nothing = TimeSpan.FromMinutes(2);
    // So much sooner somebody may be asked to get up, and from what a night is. Ours.
    private static readonly TimeSpan Sooner = TimeSpan.FromMinutes(30), MuchSooner = TimeSpan.FromHours(3), Night = TimeSpan.FromHours(4);

    /// <summary>The day with these changes, one after the other, before it is laid out again.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="changes">The changes.</param>
    /// <param name="kitchen">What there is.</param>
    /// <param name="now">The time now.</param>
    /// <returns>The bakes, or what cannot be, with the change at fault.</returns>
    public static Outcome<ImmutableArray<DayBake>> Apply(ImmutableArray<DayBake> bakes, ImmutableArray<DayChange> changes, Kitchen kitchen, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        for (var i = 0; i < changes.Length; i++)
        {
            if (changes[i].Bake < 0 || changes[i].Bake >= bakes.Length) return new Problem("unknown", $"changes[{i}].bake", "There is no such bake in the day.");
            var changed = changes[i].To(bakes[changes[i].Bake], kitchen, now);
            if (!changed.Has(out var bake)) return changed.Problems[0] with { Field = $"changes[{i}].{changed.Problems[0].Field}" };
            bakes = bakes.SetItem(changes[i].Bake, bake);
        }
        return bakes;
    }

    private Outcome<DayBake> To(DayBake bake, Kitchen kitchen, DateTimeOffset now)
    {
        var pins = bake.SoFar.Arranged.Pins;
        if (Kind == ChangeKind.Up) return NotThen(At ?? now.AddTicks(-1), now) is { } never ? never : bake;
        if (Kind == ChangeKind.Unpin) return Pinned(bake, pins.Remove(Id ?? ""));
        if (Kind == ChangeKind.Pin)
            return bake.Timetable[Id ?? ""] is not { IsOpen: true } slot || !slot.Step.CanPin ? new Problem("unknown", "id", "No such step is open.")
                : NotThen(At ?? now.AddTicks(-1), now) is { } notThen ? notThen : Pinned(bake, pins.SetItem(Id!, At!.Value));
        if (!bake.SoFar.Steps.IsEmpty) return new Problem("begun", "bake", $"{bake.Spec.Dough.Name} has begun.");
        return Changed(bake.Spec, kitchen, now) is var made && made.Has(out var spec) ? Anew(spec) : made.Problems;

        // Planned anew, with what is still pinned.
        DayBake Anew(BakeSpec to)
        {
            var plan = Layout.Of(to, now).Plan;
            return Pinned(new(to, SoFar.Nothing(now), plan.Start), pins.Where(p => plan.Steps.Any(s => s.Step == p.Key)).ToImmutableDictionary());
        }
    }

    private static Problem? NotThen(DateTimeOffset at, DateTimeOffset now) =>
        at < now ? new("past", "at", "This time has passed.") : at > now.AddDays(14) ? new("far-off", "at", "More than two weeks ahead.") : null;

    /// <summary>When hands are not to be had, with these changes.</summary>
    /// <param name="closed">Without them.</param>
    /// <param name="changes">The changes.</param>
    public static Closed Opened(Closed closed, IEnumerable<DayChange> changes)
    {
        ArgumentNullException.ThrowIfNull(closed);
        return closed.UpAt(changes.Where(c => c is { Kind: ChangeKind.Up, At: not null }).Select(c => c.At!.Value));
    }

    private static DayBake Pinned(DayBake bake, ImmutableDictionary<string, DateTimeOffset> pins) => bake with { SoFar = bake.SoFar with { Arranged = bake.SoFar.Arranged with { Pins = pins } } };

    private Outcome<BakeSpec> Changed(BakeSpec spec, Kitchen kitchen, DateTimeOffset now)
    {
        switch (Kind)
        {
            case ChangeKind.Machine:
                if (kitchen.Mixers.FirstOrDefault(m => m.Id == Id) is not { } machine) return new Problem("unknown", "id", "There is no such machine in this kitchen.");
                return machine.Refuses(spec.Formula) is { } tooMuch ? tooMuch with { Field = "id" } : spec with { Machine = machine };
            case ChangeKind.Oven:
                if (kitchen.Ovens.FirstOrDefault(o => o.Id == Id) is not { } oven) return new Problem("unknown", "id", "There is no such oven in this kitchen.");
                return spec.Cuts.All(c => c.Bread is null or { OnGriddle: true } or { Oven: not null } || Takes(oven, c.Bread))
                    ? spec with { Oven = oven } : new Problem("does-not-fit", "id", $"The {oven.Name} does not take this bread on its trays, or not this hot.");
            case ChangeKind.Place:
                return kitchen.AllPlaces.FirstOrDefault(p => p.Id == Id) is { } place ? spec with { Place = place } : new Problem("unknown", "id", "There is no such place.");
            case ChangeKind.Bowl:
                return Length is { } bulk && (bulk <= TimeSpan.Zero || bulk > AfterCycle.Longest) ? new Problem("out-of-range", "length", $"Up to {AfterCycle.Longest.TotalHours:0} hours in the bowl.")
                    : spec with { After = Length is { } rise ? new(true, rise) : null };
            case ChangeKind.Fridge:
                return Length is { } cold && (cold <= TimeSpan.Zero || cold > BakeSpec.LongestCold) ? new Problem("out-of-range", "length", $"Up to {BakeSpec.LongestCold.TotalHours:0} hours in the fridge.") : spec with { Cold = Length };
            case ChangeKind.Heat:
                if (Heat is not { } heat || heat < BakeWindow.Coolest) return new Problem("too-cool", "heat", $"Bread does not bake under {BakeWindow.Coolest.Celsius:0} °C.");
                if (spec.Batches.Where(b => !b.Bread.OnGriddle).Select(b => spec.OvenOf(b.Bread).Refuses(heat)).OfType<Problem>().FirstOrDefault() is { } offDial) return offDial;
                return spec with { Cuts = [.. spec.Cuts.Select(c => c.Bread is { OnGriddle: false } bread ? c with { Bread = bread with { Heat = heat } } : c)] };
            case ChangeKind.FewerTrays:
                return Fewer(spec) is { } cuts ? spec with { Cuts = cuts } : new Problem("one-tray", "bake", "It is one tray; nothing is left without it.");
            case ChangeKind.ReadyBy:
                return At is { } by && NotThen(by, now) is { } notThen ? notThen : spec with { ReadyBy = At };
            case ChangeKind.Fresh:
                return BakeSpec.Unfresh(Length, "length") is { } unfresh ? unfresh : spec with { Fresh = Length };
            default:
                return new Problem("unknown", "kind", "There is no such change.");
        }
    }

    private static bool Takes(Oven oven, Bread bread) => oven.Dial.Holds(bread.Heat) && bread.Racks <= oven.Racks && (bread.Pan is null || oven.Holds(bread.Pan));

    // Without the last load, or without one of the trays that go in together.
    private static ImmutableArray<Cut>? Fewer(BakeSpec spec)
    {
        var last = spec.Batches[^1];
        var less = spec.Batches.Length > 1 ? last.Pieces : last.Bread.Racks > 1 ? last.Pieces / last.Bread.Racks : 0;
        if (less == 0) return null;
        var cut = spec.Cuts[last.Cut];
        var kept = new Cut(1, cut.Each * less, false);
        var left = cut with { Pieces = cut.Pieces - less, Bread = spec.Batches.Length > 1 ? last.Bread : last.Bread with { Racks = last.Bread.Racks - 1 } };
        return left.Pieces > 0 ? spec.Cuts.SetItem(last.Cut, left).Add(kept) : spec.Cuts.RemoveAt(last.Cut).Add(kept);
    }

    /// <summary>The single changes after which the day can be done, those first that leave more as it was. Only bakes that have not begun are changed.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="kitchen">What there is.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had; never when null.</param>
    /// <param name="most">At most so many; 1 or more.</param>
    /// <param name="until">Stops looking.</param>
    public static ImmutableArray<DayChange> ThatWouldDo(ImmutableArray<DayBake> bakes, Kitchen kitchen, DateTimeOffset now, Closed? closed = null, int most = int.MaxValue, CancellationToken until = default)
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        var late = TimeSpan.FromMinutes(DayPlan.Of(bakes, now, closed).Aims.Late);
        return [.. Candidates(bakes, kitchen, late).Concat(UpSooner(bakes, now, closed ?? Closed.Never)).OrderBy(c => c.Kind).TakeWhile(_ => !until.IsCancellationRequested).Where(c => Apply(bakes, [c], kitchen, now).Has(out var changed) && Does(changed, now, Opened(closed ?? Closed.Never, [c]))).Take(most)];
    }

    private static IEnumerable<DayChange> Candidates(ImmutableArray<DayBake> bakes, Kitchen kitchen, TimeSpan late)
    {
        for (var i = 0; i < bakes.Length; i++)
        {
            if (!bakes[i].SoFar.Steps.IsEmpty) continue;
            var spec = bakes[i].Spec;
            foreach (var machine in kitchen.Machines.Where(m => m.Id != spec.Machine.Id)) yield return new(i, ChangeKind.Machine, machine.Id);
            foreach (var oven in kitchen.Ovens.Where(o => o.Id != spec.Oven.Id)) yield return new(i, ChangeKind.Oven, oven.Id);
            foreach (var place in kitchen.AllPlaces.Where(p => p.Id != spec.Place.Id)) yield return new(i, ChangeKind.Place, place.Id);
            if (spec is { After: null, Machine.ByHand: false }) yield return new(i, ChangeKind.Bowl, Length: AfterCycle.Usual[^1].Bulk);
            if (spec.Cold is not null) yield return new(i, ChangeKind.Fridge);
            if (spec.Batches.Length > 1) yield return new(i, ChangeKind.FewerTrays);
            if (late > TimeSpan.Zero && spec.ReadyBy is { } by) yield return new(i, ChangeKind.ReadyBy, At: by + Round * Math.Ceiling(late / Round));
        }
    }

    // Each night, as little sooner as would do.
    private static IEnumerable<DayChange> UpSooner(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed closed)
    {
        foreach (var night in closed.Hands.Where(b => b.To - b.From >= Night && b.To - MuchSooner > now && bakes.Any(k => k.Spec.ReadyBy > b.To)))
            for (var sooner = Sooner; sooner <= MuchSooner; sooner += Sooner)
            {
                var up = new DayChange(0, ChangeKind.Up, At: night.To - sooner);
                if (!Does(bakes, now, Opened(closed, [up]))) continue;
                yield return up;
                break;
            }
    }

    private static bool Does(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed? closed)
    {
        var plan = DayPlan.Of(bakes, now, closed);
        return TimeSpan.FromMinutes(plan.Aims.Late) <= Nothing && TimeSpan.FromMinutes(plan.Aims.Over) <= Nothing && plan.Aims.Off == 0
            && !DayCheck.Of([.. bakes.Select((b, i) => b with { SoFar = b.SoFar with { Arranged = plan.Bakes[i] } })], now, closed).Any(f => f.Impossible);
    }
}
