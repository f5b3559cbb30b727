using System.Collections.Immutable;
using JollyKnot.Core.Days;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Words;
using JollyKnot.Store;

namespace JollyKnot.Server.Day;

/// <summary>One bake of the board.</summary>
/// <param name="Id">Which.</param>
/// <param name="Stored">As it is kept; null while it is only laid out.</param>
/// <param name="Day">As the day sees it.</param>
public sealed record Standing(Guid Id, StoredBake? Stored, DayBake Day)
{
    /// <summary>What was decided.</summary>
    public BakeSpec Spec => Day.Spec;

    /// <summary>What it is called.</summary>
    public string Name => Spec.Dough.Name;
}

/// <summary>The day as it stands, and laid out better.</summary>
public sealed class DayBoard(BakeBook book, KitchenKeeper kitchens, DayMemory memory, HouseClock clock) : IDisposable
{
    // How long somebody waits for the best plan before the quick one is shown. Ours.
    private static readonly TimeSpan Patience = TimeSpan.FromMilliseconds(30);

    // More than these nobody reads. Ours.
    private const int MostFixes = 4;

    private readonly LastOf<DayPlanned> known = new();

    /// <summary>Every open bake as it stands now.</summary>
    public async Task<ImmutableArray<Standing>> Stand()
    {
        var now = clock.GetUtcNow();
        return
        [
            .. (await book.Open()).Select(b => new Standing(
                b.Id,
                b,
                new(b.Plan.Spec, b.Log.SoFar(b.Plan.Spec, now), b.Plan.Start)
            )),
        ];
    }

    /// <summary>When hands and machines are not to be had.</summary>
    public async Task<Closed> Closed() => (await kitchens.Get()).Closed(clock.GetUtcNow(), kitchens.Zone);

    /// <summary>What is wrong with bakes as they are held.</summary>
    public ImmutableArray<FindingLine> Wrong(ImmutableArray<Standing> bakes, Closed closed) =>
        Shown(bakes).Findings(Found(bakes, closed));

    private ImmutableArray<DayFinding> Found(ImmutableArray<Standing> bakes, Closed closed) =>
        DayCheck.Of([.. bakes.Select(b => b.Day)], clock.GetUtcNow(), closed);

    private DayShown Shown(ImmutableArray<Standing> bakes) => new(bakes, kitchens.Voice, clock.GetUtcNow());

    /// <summary>The bakes as a plan holds them.</summary>
    public static ImmutableArray<Standing> Held(ImmutableArray<Standing> bakes, DayPlan plan) =>
        [.. bakes.Zip(plan.Bakes, (b, to) => b with { Day = b.Day with { SoFar = b.Day.SoFar with { Arranged = to } } })];

    // Remembered while nothing was told or changed, and the minute lasts.
    private async Task<DayPlanned> PlanFor(ImmutableArray<Standing> bakes, ImmutableArray<ChangeLine> changes, Closed closed)
    {
        var (now, kitchen) = (clock.GetUtcNow(), await kitchens.Get());
        var key = string.Join(
            " ",
            now.UtcTicks / TimeSpan.TicksPerMinute,
            string.Join(" ", bakes.Select(b => $"{b.Id:N}{b.Stored?.Log.Position}")),
            string.Join(" ", changes),
            string.Join(" ", closed.Hands.Concat(closed.Machines))
        );
        var plan = known.For(key, () => new([.. bakes.Select(b => b.Day)], now, closed, kitchen, MostFixes));
        await Task.WhenAny(plan.Best, Task.Delay(Patience));
        return plan;
    }

    // Enough to have it loaded, deterministic seconds. Ours.
    private const double Least = .001;

    /// <summary>Loads the solver before somebody waits for it.</summary>
    public async Task Warm()
    {
        var (days, now) = ((await Stand()).Select(b => b.Day).ToImmutableArray(), clock.GetUtcNow());
        await Task.Run(() => DayPlan.Best(days, now, effort: Least));
    }

    /// <inheritdoc/>
    public void Dispose() => known.Forget();

    /// <summary>The day, laid out with what the baker would change; or with a better one if there is.</summary>
    /// <param name="frame">The pictures' room; no pictures without.</param>
    /// <param name="changes">What the baker would change; nothing is kept.</param>
    /// <returns>The day, or what cannot be changed so.</returns>
    public async Task<Outcome<DayView>> Look(Frame? frame, ImmutableArray<ChangeLine> changes)
    {
        var (bakes, closed, kitchen) = (await Stand(), await Closed(), await kitchens.Get());
        var wrong = Wrong(bakes, closed);
        var found = Looked.Nothing(frame);
        if (!bakes.IsEmpty && (!wrong.IsEmpty || !changes.IsEmpty))
        {
            var looked = await LookFor(bakes, wrong, closed, changes, frame);
            if (!looked.Has(out found))
                return looked.Problems;
        }
        return Shown(bakes).Day(kitchen, closed, wrong, found, await memory.Get() is { Bakes.IsEmpty: false });
    }

    // A better day, or the day with what is changed; and what else would do.
    private async Task<Outcome<Looked>> LookFor(
        ImmutableArray<Standing> bakes,
        ImmutableArray<FindingLine> wrong,
        Closed closed,
        ImmutableArray<ChangeLine> changes,
        Frame? frame
    )
    {
        var changed = await Changed(bakes, changes);
        if (!changed.Has(out var draft))
            return changed.Problems;
        var open = DayChange.Opened(closed, DayChange.Up(Told(bakes, changes)));
        var plan = await PlanFor(draft, changes, open);
        var looking = !plan.Best.IsCompleted;
        var held = Held(draft, plan.Now);
        // Two days one over the other show the same hours.
        if (!changes.IsEmpty && frame is not null)
            frame = frame with { Shows = StrandLayout.Needed([.. DayShown.ToDraw(bakes), .. DayShown.ToDraw(held)]) };

        var left = Wrong(held, open);
        Proposal? proposal = null;
        if (!changes.IsEmpty || IsBetter(Found(held, closed), Found(bakes, closed)))
        {
            var moves = Shown(bakes).MovesTo(held);
            var picture = changes.IsEmpty ? null : DayShown.Drawn(held, frame);
            var why = Shown(bakes).WhyBetter(held);
            var spared = wrong.FirstOrDefault(w => left.All(l => l.Text != w.Text))?.Text;
            proposal = new(
                moves,
                left,
                Trouble(bakes, closed),
                plan.Now.Proven,
                DayShown.Figures(bakes),
                DayShown.Figures(held),
                why,
                spared,
                picture
            );
        }
        var stillWrong = proposal is null ? wrong : left;
        if (stillWrong.IsEmpty)
            return new Looked(frame, Told(proposal, changes), [], looking);

        // Looked for once; who asks again finds them.
        var ways = plan.Fixes.Value;
        if (!looking)
            await Task.WhenAny(ways, Task.Delay(Patience));
        if (!ways.IsCompletedSuccessfully)
            return new Looked(frame, Told(proposal, changes), [], true);
        var kitchen = await kitchens.Get();
        ImmutableArray<FixLine> fixes =
        [
            .. ways.Result.Select(f => new FixLine(
                new(bakes[f.Bake].Id, f.Kind, f.Id, f.At, f.Heat, f.Length),
                Voice.Of(f, draft[f.Bake].Spec, kitchen)
            )),
        ];
        return new Looked(frame, Told(proposal, changes), fixes, looking);
    }

    // A day in which nothing moves is none, unless it was asked for.
    private static Proposal? Told(Proposal? proposal, ImmutableArray<ChangeLine> changes) =>
        proposal is { Moves.IsEmpty: true } && changes.IsEmpty ? null : proposal;

    // So much later it is another trouble, worth being asked again. Ours.
    private static readonly TimeSpan AnotherTrouble = TimeSpan.FromMinutes(15);

    // What is wrong, whatever better day is found for it: who leaves the day as it is is not asked again for the same.
    private string Trouble(ImmutableArray<Standing> bakes, Closed closed) =>
        string.Join(
            " ",
            Found(bakes, closed)
                .Select(f =>
                    $"{f.Trouble} {bakes[f.Bake].Id:N} {bakes[f.Other].Id:N} {(f.Impossible ? 0 : (int)(f.By / AnotherTrouble))}"
                )
                .Distinct()
                .Order(StringComparer.Ordinal)
        );

    // Less that cannot be; or no more of it, and by so much less late, over or stale.
    private static bool IsBetter(ImmutableArray<DayFinding> then, ImmutableArray<DayFinding> now)
    {
        static int Impossible(ImmutableArray<DayFinding> found) => found.Count(f => f.Impossible);
        static double Minutes(ImmutableArray<DayFinding> found) => found.Where(f => !f.Impossible).Sum(f => f.By.TotalMinutes);
        if (Impossible(then) != Impossible(now))
            return Impossible(then) < Impossible(now);
        return Minutes(now) - Minutes(then) > DayShown.Matters.TotalMinutes;
    }

    private static ImmutableArray<DayChange> Told(ImmutableArray<Standing> bakes, ImmutableArray<ChangeLine> changes)
    {
        var ids = bakes.Select(b => b.Id).ToList();
        return [.. changes.Select(c => new DayChange(ids.IndexOf(c.Bake), c.Kind, c.Id, c.At, c.Heat, c.Length))];
    }

    // The bakes with what is changed; the day is not laid out again yet.
    private async Task<Outcome<ImmutableArray<Standing>>> Changed(
        ImmutableArray<Standing> bakes,
        ImmutableArray<ChangeLine> changes
    )
    {
        var made = DayChange.Apply([.. bakes.Select(b => b.Day)], Told(bakes, changes), await kitchens.Get(), clock.GetUtcNow());
        if (!made.Has(out var days))
            return made.Problems;
        return bakes.Zip(days, (b, day) => b with { Day = day }).ToImmutableArray();
    }

    /// <summary>How one more bake goes with those that are open; null when none is.</summary>
    /// <param name="plan">The bake as it is alone.</param>
    public async Task<BesideView?> Beside(BakePlan plan)
    {
        var (others, closed, now) = (await Stand(), await Closed(), clock.GetUtcNow());
        if (others.IsEmpty)
            return null;
        var bakes = others.Add(new(Guid.Empty, null, new(plan.Spec, SoFar.Nothing(now), plan.Start)));
        var held = Held(bakes, DayPlan.Of([.. bakes.Select(b => b.Day)], now, closed, roughly: true));
        var table = held[^1].Day.Timetable;
        return new(
            WithIt(bakes),
            table.Start,
            table.Ready,
            WithIt(held),
            Shown([.. bakes.SkipLast(1)]).EndsMovedTo([.. held.SkipLast(1)])
        );

        // What has to do with it.
        ImmutableArray<FindingLine> WithIt(ImmutableArray<Standing> of)
        {
            var last = of.Length - 1;
            return Shown(of).Findings(Found(of, closed).Where(f => f.Bake == last || f.Other == last));
        }
    }

    /// <summary>What open bakes heat, and when.</summary>
    public async Task<ImmutableArray<HotOven>> HotOvens() =>
        [.. (await Stand()).SelectMany(s => s.Day.Chain.Batches.Select(f => HotFor(s.Day, f))).OfType<HotOven>()];

    private static HotOven? HotFor(DayBake bake, Forecast of)
    {
        var (load, unload) = (bake.Timetable.At(Milestone.In, of.Batch.Index), bake.Timetable.At(Milestone.Out, of.Batch.Index));
        return of.Bread.OnGriddle || load is null || unload is null
            ? null
            : new(bake.Spec.OvenOf(of.Bread).Id, of.Bread.Heat, load.Start, unload.End);
    }

    /// <summary>Changes the day so and holds every bake to it.</summary>
    /// <param name="changes">What the baker changes; none for the better day as it is.</param>
    /// <param name="quick">The quick plan does.</param>
    /// <returns>How many bakes moved, or what cannot be changed so.</returns>
    public async Task<Outcome<int>> Arrange(ImmutableArray<ChangeLine> changes, bool quick = false)
    {
        var (bakes, closed, now, moved) = (await Stand(), await Closed(), clock.GetUtcNow(), 0);
        if (bakes.IsEmpty)
            return 0;
        var changed = await Changed(bakes, changes);
        if (!changed.Has(out var draft))
            return changed.Problems;
        var days = draft.Select(b => b.Day).ToImmutableArray();
        var kitchen = await kitchens.Get();
        var up = DayChange.Up(Told(bakes, changes));
        if (up is { } early)
        {
            await kitchens.Change(k => k with { Up = [.. k.Up.Where(u => u > now), early] });
            closed = await Closed();
        }
        // What the baker saw is what is done; of a large day the best that was found until now.
        var planned = quick ? null : await PlanFor(draft, changes, closed);
        if (planned is { Large: false })
            await planned.Best;
        var plan = planned?.Now ?? DayPlan.Of(days, now, closed);
        for (var i = 0; i < bakes.Length; i++)
        {
            var made = !ReferenceEquals(draft[i].Day.Spec, bakes[i].Day.Spec);
            if (made && !await book.Replan(bakes[i].Id, Layout.Of(draft[i].Day.Spec, now).Plan, now))
                continue;
            if (await Hold(bakes[i], plan.Bakes[i], now) || made)
                moved++;
        }
        // A bake made otherwise has the same log: what was planned before does not count.
        known.Forget();
        if ((moved > 0 || up is not null) && !quick)
            await memory.Set(new([.. bakes.Select(Was)], kitchen.Up));
        return moved;
    }

    private static BakeWas Was(Standing bake) => new(bake.Id, bake.Stored!.Plan, Arranged.Of(bake.Day.SoFar.Arranged));

    private async Task<bool> Hold(Standing bake, Arrangement to, DateTimeOffset now) =>
        !IsSame(to, bake.Day.SoFar.Arranged)
        && await book.Tell(bake.Id, Guid.NewGuid(), bake.Stored!.Log.Position, Arranged.Of(to), now) is Told.Kept;

    /// <summary>Holds every bake to what it was held to before the day was last laid out anew.</summary>
    /// <returns>Whether there was anything to go back to.</returns>
    public async Task<bool> Undo()
    {
        if (await memory.Get() is not { Bakes: { IsEmpty: false } back, Up: var up })
            return false;
        var (now, kitchen) = (clock.GetUtcNow(), await kitchens.Get());
        if (!kitchen.Up.SequenceEqual(up))
            await kitchens.Change(k => k with { Up = up });
        foreach (var bake in await Stand())
            if (back.FirstOrDefault(b => b.Id == bake.Id) is { Plan: { } plan, Held: { } held })
            {
                await book.Replan(bake.Id, plan, now);
                await Hold(bake, held.ToArrangement(), now);
            }
        await memory.Set(DayWas.Nothing);
        // A bake made otherwise has the same log: what was planned before does not count.
        known.Forget();
        return true;
    }

    private static bool IsSame(Arrangement a, Arrangement b) =>
        IsSame(a.NotBefore, b.NotBefore) && IsSame(a.HotFrom, b.HotFrom) && IsSame(a.Pins, b.Pins) && IsSame(a.Until, b.Until);

    private static bool IsSame<TKey, TValue>(ImmutableDictionary<TKey, TValue> a, ImmutableDictionary<TKey, TValue> b)
        where TKey : notnull => a.Count == b.Count && a.All(n => b.TryGetValue(n.Key, out var t) && Equals(t, n.Value));
}
