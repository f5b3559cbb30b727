// What a baker changes in a day: a step at a time of its own, or how a bake that has not begun is made. And which one change
// would save a day.
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
public sealed record DayChange(
    int Bake,
    ChangeKind Kind,
    string? Id = null,
    DateTimeOffset? At = null,
    Temperature? Heat = null,
    TimeSpan? Length = null
)
{
    /// <summary>By how much a time is moved at once, and what a step that is pulled along comes to stand on.</summary>
    public static TimeSpan Grain { get; } = TimeSpan.FromMinutes(5);

    // So much over is not worth a change. Ours.
    private static readonly TimeSpan Nothing = TimeSpan.FromMinutes(2);

    // So much sooner somebody may be asked to get up, and from what a night is. Ours.
    private static readonly TimeSpan Sooner = TimeSpan.FromMinutes(30),
        MuchSooner = TimeSpan.FromHours(3),
        Night = TimeSpan.FromHours(4);

    /// <summary>Whether this one, told later, stands in the place of another: the same thing of the same bake; of pins, of
    /// the same step. A tray less is a tray less each time.</summary>
    /// <param name="earlier">Told before.</param>
    public bool Replaces(DayChange earlier)
    {
        ArgumentNullException.ThrowIfNull(earlier);
        if (Kind == ChangeKind.FewerTrays || Bake != earlier.Bake || IsPin != earlier.IsPin)
            return false;
        return IsPin ? Id == earlier.Id : Kind == earlier.Kind;
    }

    private bool IsPin => Kind is ChangeKind.Pin or ChangeKind.Unpin;

    /// <summary>The day with these changes, one after the other, before it is laid out again; what a later one replaces is
    /// not looked at.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="changes">The changes.</param>
    /// <param name="kitchen">What there is.</param>
    /// <param name="now">The time now.</param>
    /// <returns>The bakes, or what cannot be, with the change at fault.</returns>
    public static Outcome<ImmutableArray<DayBake>> Apply(
        ImmutableArray<DayBake> bakes,
        ImmutableArray<DayChange> changes,
        Kitchen kitchen,
        DateTimeOffset now
    )
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        for (var i = 0; i < changes.Length; i++)
        {
            var change = changes[i];
            if (changes.Skip(i + 1).Any(later => later.Replaces(change)))
                continue;
            if (change.Bake < 0 || change.Bake >= bakes.Length)
                return new Problem("unknown:bake", $"changes[{i}].bake");
            var changed = change.To(bakes[change.Bake], kitchen, now);
            if (!changed.Has(out var bake))
            {
                var first = changed.Problems[0];
                return first with { Field = $"changes[{i}].{first.Field}" };
            }
            bakes = bakes.SetItem(change.Bake, bake);
        }
        return bakes;
    }

    private Outcome<DayBake> To(DayBake bake, Kitchen kitchen, DateTimeOffset now) =>
        Kind switch
        {
            ChangeKind.Up => WantedTime(now) is { } never ? never : bake,
            ChangeKind.Unpin => Pinned(bake, bake.SoFar.Arranged.Pins.Remove(Id ?? "")),
            ChangeKind.Pin => Pin(bake, now),
            _ => MadeOtherwise(bake, kitchen, now),
        };

    private Outcome<DayBake> Pin(DayBake bake, DateTimeOffset now)
    {
        if (bake.Timetable[Id ?? ""] is not { IsOpen: true, Step.CanPin: true } slot)
            return new Problem("unknown:open-step", "id");
        if (WantedTime(now) is { } never)
            return never;
        return Pinned(bake, bake.SoFar.Arranged.Pins.SetItem(slot.Step.Id, At!.Value));
    }

    // Planned anew, with what is still pinned.
    private Outcome<DayBake> MadeOtherwise(DayBake bake, Kitchen kitchen, DateTimeOffset now)
    {
        if (!bake.SoFar.Steps.IsEmpty)
            return new Problem("begun", "bake", bake.Spec.Dough.Name);
        var made = Made(bake.Spec, kitchen, now);
        if (!made.Has(out var spec))
            return made.Problems;
        var plan = Layout.Of(spec, now).Plan;
        var still = bake.SoFar.Arranged.Pins.Where(p => plan.Steps.Any(s => s.Step == p.Key)).ToImmutableDictionary();
        return Pinned(new(spec, SoFar.Nothing(now), plan.Start), still);
    }

    private Problem? WantedTime(DateTimeOffset now) => At is { } at ? Wish.TimeProblem(at, now, "at") : new Problem("past", "at");

    /// <summary>When hands are not to be had, with these changes.</summary>
    /// <param name="closed">Without them.</param>
    /// <param name="up">When somebody is up sooner; null when nobody is.</param>
    public static Closed Opened(Closed closed, DateTimeOffset? up)
    {
        ArgumentNullException.ThrowIfNull(closed);
        return up is { } at ? closed.UpAt([at]) : closed;
    }

    /// <summary>When somebody is up sooner, by what was told last; null when that was not changed.</summary>
    /// <param name="changes">The changes.</param>
    public static DateTimeOffset? Up(IEnumerable<DayChange> changes) => changes.LastOrDefault(c => c.Kind == ChangeKind.Up)?.At;

    private static DayBake Pinned(DayBake bake, ImmutableDictionary<StepId, DateTimeOffset> pins) =>
        bake with
        {
            SoFar = bake.SoFar with { Arranged = bake.SoFar.Arranged with { Pins = pins } },
        };

    private Outcome<BakeSpec> Made(BakeSpec spec, Kitchen kitchen, DateTimeOffset now) =>
        Kind switch
        {
            ChangeKind.Machine => InMachine(spec, kitchen),
            ChangeKind.Oven => InOven(spec, kitchen),
            ChangeKind.Place => AtPlace(spec, kitchen),
            ChangeKind.Bowl => InBowl(spec),
            ChangeKind.Fridge => InFridge(spec),
            ChangeKind.Heat => AtHeat(spec),
            ChangeKind.FewerTrays => Fewer(spec) is { } cuts ? WithCuts(spec, cuts) : new Problem("one-tray", "bake"),
            ChangeKind.ReadyBy => WantedBy(spec, now),
            ChangeKind.Fresh => WantedFresh(spec),
            _ => new Problem("unknown:change", "kind"),
        };

    private Outcome<BakeSpec> InMachine(BakeSpec spec, Kitchen kitchen)
    {
        if (kitchen.Mixers.FirstOrDefault(m => m.Id == Id) is not { } machine)
            return new Problem("unknown:machine", "id");
        if (machine.Refuses(spec.Formula) is { } tooMuch)
            return tooMuch with { Field = "id" };
        return spec with { Tools = spec.Tools with { Machine = machine } };
    }

    private Outcome<BakeSpec> InOven(BakeSpec spec, Kitchen kitchen)
    {
        if (kitchen.Dials.FirstOrDefault(o => o.Id == Id) is not { } oven)
            return new Problem("unknown:oven", "id");
        var its = spec.Cuts.Select(c => c.Bread).OfType<Bread>().Where(b => b is { OnGriddle: false, Oven: null });
        if (!its.All(b => Takes(oven, b)))
            return new Problem("does-not-fit:oven", "id", oven.Name);
        return spec with { Tools = spec.Tools with { Oven = oven } };
    }

    private Outcome<BakeSpec> AtPlace(BakeSpec spec, Kitchen kitchen)
    {
        if (kitchen.AllPlaces.FirstOrDefault(p => p.Id == Id) is not { } place)
            return new Problem("unknown:place", "id");
        return spec with { Tools = spec.Tools with { Place = place } };
    }

    private Outcome<BakeSpec> InBowl(BakeSpec spec)
    {
        if (AfterCycle.Problem(Length, "length") is { } tooLong)
            return tooLong;
        if (Length == TimeSpan.Zero)
            return new Problem("out-of-range:bowl", "length", AfterCycle.Longest);
        return spec with { Handling = spec.Handling with { After = Length is { } rise ? new(true, rise) : null } };
    }

    private Outcome<BakeSpec> InFridge(BakeSpec spec)
    {
        if (Handling.ColdProblem(Length, "length") is { } tooLong)
            return tooLong;
        return spec with { Handling = spec.Handling with { Cold = Length } };
    }

    private Outcome<BakeSpec> AtHeat(BakeSpec spec)
    {
        if (Heat is not { } heat || heat < BakeWindow.Coolest)
            return new Problem("too-cool", "heat", BakeWindow.Coolest);
        var ovens = spec.Batches.Where(b => !b.Bread.OnGriddle).Select(b => spec.OvenOf(b.Bread));
        if (ovens.Select(o => o.Refuses(heat)).OfType<Problem>().FirstOrDefault() is { } offDial)
            return offDial;
        return WithCuts(spec, [.. spec.Cuts.Select(c => Baked(c, heat))]);
    }

    private static Cut Baked(Cut cut, Temperature heat) =>
        cut.Bread is { OnGriddle: false } bread ? cut with { Bread = bread with { Heat = heat } } : cut;

    private Outcome<BakeSpec> WantedBy(BakeSpec spec, DateTimeOffset now)
    {
        if (Wish.TimeProblem(At, now, "at") is { } never)
            return never;
        return spec with { Wish = spec.Wish with { ReadyBy = At } };
    }

    private Outcome<BakeSpec> WantedFresh(BakeSpec spec)
    {
        if (Wish.FreshProblem(Length, "length") is { } problem)
            return problem;
        return spec with { Wish = spec.Wish with { Fresh = Length } };
    }

    private static BakeSpec WithCuts(BakeSpec spec, ImmutableArray<Cut> cuts) =>
        spec with
        {
            Made = spec.Made with { Cuts = cuts },
        };

    private static bool Takes(Oven oven, Bread bread) =>
        oven.Dial.Holds(bread.Heat) && bread.Racks <= oven.Racks && (bread.Pan is null || oven.Holds(bread.Pan));

    // Without the last load, or without one of the trays that go in together.
    private static ImmutableArray<Cut>? Fewer(BakeSpec spec)
    {
        var last = spec.Batches[^1];
        var loads = spec.Batches.Length > 1;
        if (!loads && last.Bread.Racks == 1)
            return null;
        var less = loads ? last.Pieces : last.Pieces / last.Bread.Racks;
        if (less == 0)
            return null;
        var cut = spec.Cuts[last.Cut];
        var kept = new Cut(1, cut.Each * less, false);
        var left = cut with
        {
            Pieces = cut.Pieces - less,
            Bread = loads ? last.Bread : last.Bread with { Racks = last.Bread.Racks - 1 },
        };
        return left.Pieces > 0 ? spec.Cuts.SetItem(last.Cut, left).Add(kept) : spec.Cuts.RemoveAt(last.Cut).Add(kept);
    }

    /// <summary>The single changes after which the day can be done, those first that leave more as it was. Only bakes that have
    /// not begun are changed.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="kitchen">What there is.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had; never when null.</param>
    /// <param name="most">At most so many; 1 or more.</param>
    /// <param name="until">Stops looking.</param>
    public static ImmutableArray<DayChange> ThatWouldDo(
        ImmutableArray<DayBake> bakes,
        Kitchen kitchen,
        DateTimeOffset now,
        Closed? closed = null,
        int most = int.MaxValue,
        CancellationToken until = default
    )
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        var shut = closed ?? Closed.Never;
        var late = TimeSpan.FromMinutes(DayPlan.Of(bakes, now, closed).Aims.Late);
        return
        [
            .. Candidates(bakes, kitchen, late)
                .Concat(UpSooner(bakes, now, shut))
                .OrderBy(c => c.Kind)
                .TakeWhile(_ => !until.IsCancellationRequested)
                .Where(c => Apply(bakes, [c], kitchen, now).Has(out var changed) && Does(changed, now, Opened(shut, Up([c]))))
                .Take(most),
        ];
    }

    private static IEnumerable<DayChange> Candidates(ImmutableArray<DayBake> bakes, Kitchen kitchen, TimeSpan late)
    {
        for (var i = 0; i < bakes.Length; i++)
        {
            if (!bakes[i].SoFar.Steps.IsEmpty)
                continue;
            var spec = bakes[i].Spec;
            foreach (var machine in kitchen.Machines.Where(m => m.Id != spec.Machine.Id))
                yield return new(i, ChangeKind.Machine, machine.Id);
            foreach (var oven in kitchen.Dials.Where(o => o.Id != spec.Oven.Id))
                yield return new(i, ChangeKind.Oven, oven.Id);
            foreach (var place in kitchen.AllPlaces.Where(p => p.Id != spec.Place.Id))
                yield return new(i, ChangeKind.Place, place.Id);
            if (spec is { Handling.After: null, Machine.ByHand: false })
                yield return new(i, ChangeKind.Bowl, Length: AfterCycle.Usual[^1].Bulk);
            if (spec.Handling.Cold is not null)
                yield return new(i, ChangeKind.Fridge);
            if (spec.Batches.Length > 1)
                yield return new(i, ChangeKind.FewerTrays);
            if (late > TimeSpan.Zero && spec.ReadyBy is { } by)
                yield return new(i, ChangeKind.ReadyBy, At: by + Wish.Round * Math.Ceiling(late / Wish.Round));
        }
    }

    // Each night, as little sooner as would do.
    private static IEnumerable<DayChange> UpSooner(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed closed)
    {
        foreach (
            var night in closed.Hands.Where(b =>
                b.To - b.From >= Night && b.To - MuchSooner > now && bakes.Any(k => k.Spec.ReadyBy > b.To)
            )
        )
        {
            var sooner = Enumerable
                .Range(1, (int)(MuchSooner / Sooner))
                .Select(i => new DayChange(0, ChangeKind.Up, At: night.To - Sooner * i));
            if (sooner.FirstOrDefault(up => Does(bakes, now, Opened(closed, up.At))) is { } up)
                yield return up;
        }
    }

    // Nothing late worth a word, and nothing that cannot be.
    private static bool Does(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed? closed)
    {
        var plan = DayPlan.Of(bakes, now, closed);
        var inTime =
            TimeSpan.FromMinutes(plan.Aims.Late) <= Nothing
            && TimeSpan.FromMinutes(plan.Aims.Over) <= Nothing
            && plan.Aims.Off == 0;
        if (!inTime)
            return false;
        ImmutableArray<DayBake> arranged =
        [
            .. bakes.Zip(plan.Bakes, (b, to) => b with { SoFar = b.SoFar with { Arranged = to } }),
        ];
        return !DayCheck.Of(arranged, now, closed).Any(f => f.Impossible);
    }
}
