using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
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

/// <summary>The day as it stands, and laid out better.</summary>
public sealed class DayBoard(BakeBook book, KitchenKeeper kitchens, DayMemory memory, HouseClock clock) : IDisposable
{
    // Moves under this nobody has to be told of. Ours.
    private static readonly TimeSpan Matters = TimeSpan.FromMinutes(3);

    /// <summary>One bake of the board.</summary>
    public sealed record Standing(Guid Id, StoredBake? Stored, DayBake Day);

    /// <summary>Every open bake as it stands now.</summary>
    public async Task<ImmutableArray<Standing>> Stand()
    {
        var now = clock.GetUtcNow();
        return [.. (await book.Open()).Select(b => new Standing(b.Id, b, new(b.Plan.Spec, b.Log.SoFar(b.Plan.Spec, now), b.Plan.Start)))];
    }

    /// <summary>When hands and machines are not to be had.</summary>
    public async Task<Closed> Closed() => (await kitchens.Get()).Closed(clock.GetUtcNow(), TimeZoneInfo.Local);

    /// <summary>What is wrong with bakes as they are held.</summary>
    public ImmutableArray<FindingLine> Wrong(ImmutableArray<Standing> bakes, Closed closed) =>
        Lines(DayCheck.Of([.. bakes.Select(b => b.Day)], clock.GetUtcNow(), closed), bakes);

    // The first of its kind between two bakes stands for all.
    private ImmutableArray<FindingLine> Lines(IEnumerable<DayFinding> found, ImmutableArray<Standing> bakes) =>
        [.. found.GroupBy(f => (f.Trouble, f.Bake, f.Other)).Select(g => g.Select(f => Line(f, bakes)).OrderBy(l => l.At).First() is var first && g.Count() > 1
            ? first with { Text = $"{first.Text} {g.Count()} times in all." } : first).OrderByDescending(l => l.Impossible).ThenBy(l => l.At)];

    /// <summary>The bakes as a plan holds them.</summary>
    public static ImmutableArray<Standing> Held(ImmutableArray<Standing> bakes, DayPlan plan) =>
        [.. bakes.Select((b, i) => b with { Day = b.Day with { SoFar = b.Day.SoFar with { Arranged = plan.Bakes[i] } } })];

    // How long somebody waits for the best plan before the quick one is shown. Ours.
    private static readonly TimeSpan Patience = TimeSpan.FromMilliseconds(30);

    private readonly LastOf<DayPlanned> known = new();

    // Remembered while nothing was told or changed, and the minute lasts.
    private async Task<DayPlanned> PlanFor(ImmutableArray<Standing> bakes, ImmutableArray<ChangeLine> changes, Closed closed)
    {
        var (now, kitchen) = (clock.GetUtcNow(), await kitchens.Get());
        var key = $"{now.UtcTicks / TimeSpan.TicksPerMinute} {string.Join(" ", bakes.Select(b => $"{b.Id:N}{b.Stored?.Log.Position}"))} {string.Join(" ", changes)} {string.Join(" ", closed.Hands.Concat(closed.Machines))}";
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
        var (bakes, closed, kitchen, words) = (await Stand(), await Closed(), await kitchens.Get(), kitchens.Voice);
        var wrong = Wrong(bakes, closed);
        var (proposal, fixes, looking) = ((Proposal?)null, ImmutableArray<FixLine>.Empty, false);
        if (!bakes.IsEmpty && (!wrong.IsEmpty || !changes.IsEmpty))
        {
            var changed = await Changed(bakes, changes);
            if (!changed.Has(out var draft)) return changed.Problems;
            var open = Opened(closed, changes);
            var plan = await PlanFor(draft, changes, open);
            looking = !plan.Best.IsCompleted;
            var held = Held(draft, plan.Now);
            // Two days one over the other show the same hours.
            if (!changes.IsEmpty && frame is not null) frame = frame with { Shows = StrandLayout.Needed([.. ToDraw(bakes), .. ToDraw(held)]) };
            var left = Wrong(held, open);
            if (Better(bakes, held, closed) || !changes.IsEmpty)
            {
                var moves = Moves(bakes, held, words);
                proposal = new(moves, left, TroubleOf(bakes, closed), plan.Now.Proven, Figures(bakes), Figures(held), Why(bakes, held, wrong, left), changes.IsEmpty ? null : Drawn(held, frame));
            }
            if (!(proposal is null ? wrong : left).IsEmpty)
            {
                // Looked for once; who asks again finds them.
                var ways = plan.Fixes.Value;
                if (!looking) await Task.WhenAny(ways, Task.Delay(Patience));
                if (ways.IsCompletedSuccessfully) fixes = [.. ways.Result.Select(f => new FixLine(new(bakes[f.Bake].Id, f.Kind, f.Id, f.At, f.Heat, f.Length), FixText(f, draft[f.Bake].Day.Spec, kitchen)))];
                else looking = true;
            }
        }
        return new DayView(
            [.. bakes.Select(b => View(b, kitchen, words))], wrong, proposal is { Moves.IsEmpty: true } && changes.IsEmpty ? null : proposal, fixes, HandsOf(bakes, closed, words), OvensOf(bakes, words),
            [.. bakes.SelectMany(b => Core.Cautions.CautionRules.Of(b.Day.Spec, b.Day.Chain).Where(c => c.Caution != Core.Cautions.Caution.ChokingAllergen).Select(c => words.Of(c.Caution, b.Day.Spec))).Distinct()],
            looking, await memory.Get() is { Bakes.IsEmpty: false }, Drawn(bakes, frame));
    }

    // So much later it is another trouble, worth being asked again. Ours.
    private static readonly TimeSpan AnotherTrouble = TimeSpan.FromMinutes(15);

    // What is wrong, whatever better day is found for it: who leaves the day as it is is not asked again for the same.
    private string TroubleOf(ImmutableArray<Standing> bakes, Closed closed) => string.Join(" ", DayCheck.Of([.. bakes.Select(b => b.Day)], clock.GetUtcNow(), closed)
        .Select(f => $"{f.Trouble} {bakes[f.Bake].Id:N} {bakes[f.Other].Id:N} {(f.Impossible ? 0 : (int)(f.By / AnotherTrouble))}").Distinct().Order(StringComparer.Ordinal));

    // Who goes before whom in an oven where it was the other way round; or the first thing that is not wrong any more.
    private static string? Why(ImmutableArray<Standing> now, ImmutableArray<Standing> then, ImmutableArray<FindingLine> wrong, ImmutableArray<FindingLine> left)
    {
        static IEnumerable<(int Bake, string Step, string Oven, DateTimeOffset At)> Loads(ImmutableArray<Standing> of) =>
            of.SelectMany((b, i) => b.Day.Timetable.Slots.Where(s => s is { IsOpen: true, Step: { Kind: StepKind.Load, Batch: not null } }).Select(s => (i, s.Step.Id, b.Day.Spec.OvenOf(b.Day.Spec.Batches[s.Step.Batch!.Value].Bread).Id, s.Start)));
        var was = Loads(now).ToDictionary(l => (l.Bake, l.Step), l => l.At);
        var will = Loads(then).Where(l => was.ContainsKey((l.Bake, l.Step))).ToList();
        foreach (var a in will.OrderBy(l => l.At))
            foreach (var b in will.Where(b => b.Bake != a.Bake && b.Oven == a.Oven && a.At < b.At && was[(a.Bake, a.Step)] > was[(b.Bake, b.Step)]))
                return $"{now[a.Bake].Day.Spec.Dough.Name} before {now[b.Bake].Day.Spec.Dough.Name} in the oven";
        return wrong.FirstOrDefault(w => left.All(l => l.Text != w.Text))?.Text is { } text ? $"Otherwise: {text}" : null;
    }

    private static Picture? Drawn(ImmutableArray<Standing> bakes, Frame? frame) => frame is null || bakes.IsEmpty ? null : StrandLayout.Of(ToDraw(bakes), frame);

    private static ImmutableArray<Drawn> ToDraw(ImmutableArray<Standing> bakes) => [.. bakes.Select(b => new Drawn(b.Day.Spec, b.Day.Chain.Batches, b.Day.Timetable, b.Day.SoFar.DoughOf(b.Day.Spec)))];

    private static DayFigures Figures(ImmutableArray<Standing> bakes)
    {
        var tables = bakes.Select(b => (b.Day.Timetable, Wanted: b.Day.Spec.ReadyBy ?? b.Day.Timetable.Ready)).ToList();
        TimeSpan Sum(Func<(Timetable Timetable, DateTimeOffset Wanted), TimeSpan> of) => tables.Aggregate(TimeSpan.Zero, (sum, t) => of(t) is var one && one > TimeSpan.FromMinutes(1) ? sum + one : sum);
        return new(Sum(t => t.Timetable.Ready - t.Wanted), Sum(t => t.Wanted - t.Timetable.Ready), tables.Min(t => t.Timetable.Slots.Where(s => s.IsOpen).Select(s => s.Start).DefaultIfEmpty(t.Timetable.Ready).Min()), tables.Max(t => t.Timetable.Ready));
    }

    private static Closed Opened(Closed closed, ImmutableArray<ChangeLine> changes) => DayChange.Opened(closed, changes.Select(c => new DayChange(0, c.Kind, At: c.At)));

    // The bakes with what is changed; the day is not laid out again yet.
    private async Task<Outcome<ImmutableArray<Standing>>> Changed(ImmutableArray<Standing> bakes, ImmutableArray<ChangeLine> changes)
    {
        var made = DayChange.Apply([.. bakes.Select(b => b.Day)], [.. changes.Select(c => new DayChange(bakes.Select((b, i) => (b.Id, i)).FirstOrDefault(b => b.Id == c.Bake, (default, -1)).Item2, c.Kind, c.Id, c.At, c.Heat, c.Length))], await kitchens.Get(), clock.GetUtcNow());
        return made.Has(out var days) ? bakes.Select((b, i) => b with { Day = days[i] }).ToImmutableArray() : made.Problems;
    }

    /// <summary>How one more bake goes with those that are open; null when none is.</summary>
    /// <param name="plan">The bake as it is alone.</param>
    public async Task<BesideView?> Beside(BakePlan plan)
    {
        var (others, closed, now) = (await Stand(), await Closed(), clock.GetUtcNow());
        if (others.IsEmpty) return null;
        var bakes = others.Add(new(Guid.Empty, null, new(plan.Spec, SoFar.Nothing(now), plan.Start)));
        var held = Held(bakes, DayPlan.Of([.. bakes.Select(b => b.Day)], now, closed, roughly: true));
        var table = held[^1].Day.Timetable;
        return new(Of(bakes), table.Start, table.Ready, Of(held), Moves([.. bakes.SkipLast(1)], [.. held.SkipLast(1)], kitchens.Voice));

        // What has to do with it.
        ImmutableArray<FindingLine> Of(ImmutableArray<Standing> of) =>
            Lines(DayCheck.Of([.. of.Select(b => b.Day)], now, closed).Where(f => f.Bake == of.Length - 1 || f.Other == of.Length - 1), of);
    }

    /// <summary>Changes the day so and holds every bake to it.</summary>
    /// <param name="changes">What the baker changes; none for the better day as it is.</param>
    /// <param name="quick">The quick plan does.</param>
    /// <returns>How many bakes moved, or what cannot be changed so.</returns>
    public async Task<Outcome<int>> Arrange(ImmutableArray<ChangeLine> changes, bool quick = false)
    {
        var (bakes, closed, now, moved) = (await Stand(), await Closed(), clock.GetUtcNow(), 0);
        if (bakes.IsEmpty) return 0;
        var changed = await Changed(bakes, changes);
        if (!changed.Has(out var draft)) return changed.Problems;
        var days = draft.Select(b => b.Day).ToImmutableArray();
        var kitchen = await kitchens.Get();
        var up = changes.Where(c => c is { Kind: ChangeKind.Up, At: not null }).Select(c => c.At!.Value).ToList();
        if (up.Count > 0)
        {
            await kitchens.Set(kitchen with { Up = [.. kitchen.Up.Where(u => u > now), .. up] });
            closed = await Closed();
        }
        // What the baker saw is what is done; of a large day the best that was found until now.
        var planned = quick ? null : await PlanFor(draft, changes, closed);
        if (planned is { Large: false }) await planned.Best;
        var plan = planned?.Now ?? DayPlan.Of(days, now, closed);
        for (var i = 0; i < bakes.Length; i++)
        {
            var made = !ReferenceEquals(draft[i].Day.Spec, bakes[i].Day.Spec);
            if (made && !await book.Replan(bakes[i].Id, Layout.Of(draft[i].Day.Spec, now).Plan, now)) continue;
            if (await Hold(bakes[i], plan.Bakes[i], now) || made) moved++;
        }
        // A bake made otherwise has the same log: what was planned before does not count.
        known.Forget();
        if (moved + up.Count > 0 && !quick) await memory.Set(new([.. bakes.Select(b => new BakeWas(b.Id, b.Stored!.Plan, Arranged.Of(b.Day.SoFar.Arranged)))], kitchen.Up));
        return moved;
    }

    private async Task<bool> Hold(Standing bake, Arrangement to, DateTimeOffset now) =>
        !Same(to, bake.Day.SoFar.Arranged) && await book.Tell(bake.Id, Guid.NewGuid(), bake.Stored!.Log.Position, Arranged.Of(to), now) is Told.Kept;

    /// <summary>Holds every bake to what it was held to before the day was last laid out anew.</summary>
    /// <returns>Whether there was anything to go back to.</returns>
    public async Task<bool> Undo()
    {
        if (await memory.Get() is not { Bakes: { IsEmpty: false } back, Up: var up }) return false;
        var (now, kitchen) = (clock.GetUtcNow(), await kitchens.Get());
        if (!kitchen.Up.SequenceEqual(up)) await kitchens.Set(kitchen with { Up = up });
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

    // More than these nobody reads. Ours.
    private const int MostFixes = 4;

    private static string FixText(DayChange fix, BakeSpec spec, Kitchen kitchen) =>
        fix.Kind switch
        {
            ChangeKind.Machine => $"{spec.Dough.Name} in the {kitchen.Mixers.First(m => m.Id == fix.Id).Name}",
            ChangeKind.Oven => $"{spec.Dough.Name} in the {kitchen.Ovens.First(o => o.Id == fix.Id).Name}",
            ChangeKind.Place => $"{spec.Dough.Name} to proof: {kitchen.AllPlaces.First(p => p.Id == fix.Id).Name}",
            ChangeKind.Bowl => $"{spec.Dough.Name} to rise in a bowl",
            ChangeKind.Fridge => $"{spec.Dough.Name} not in the fridge first",
            ChangeKind.Up => "Up sooner, at",
            ChangeKind.FewerTrays => $"{spec.Dough.Name} with one tray less",
            _ => $"{spec.Dough.Name} later, for",
        };

    private bool Better(ImmutableArray<Standing> now, ImmutableArray<Standing> then, Closed closed)
    {
        (int Impossible, double Minutes) Cost(ImmutableArray<Standing> of)
        {
            var found = DayCheck.Of([.. of.Select(b => b.Day)], clock.GetUtcNow(), closed);
            return (found.Count(f => f.Impossible), found.Where(f => !f.Impossible).Sum(f => f.By.TotalMinutes));
        }
        var (a, b) = (Cost(now), Cost(then));
        return b.Impossible < a.Impossible || (b.Impossible == a.Impossible && a.Minutes - b.Minutes > Matters.TotalMinutes);
    }

    private static bool Same(Arrangement a, Arrangement b) =>
        Equal(a.NotBefore, b.NotBefore) && a.HotFrom.Count == b.HotFrom.Count && a.HotFrom.All(h => b.HotFrom.TryGetValue(h.Key, out var t) && t == h.Value)
        && Equal(a.Pins, b.Pins) && Equal(a.Until, b.Until);

    private static bool Equal(ImmutableDictionary<string, DateTimeOffset> a, ImmutableDictionary<string, DateTimeOffset> b) => a.Count == b.Count && a.All(n => b.TryGetValue(n.Key, out var t) && t == n.Value);

    private static ImmutableArray<MoveLine> Moves(ImmutableArray<Standing> now, ImmutableArray<Standing> then, Voice words)
    {
        var moves = ImmutableArray.CreateBuilder<MoveLine>();
        for (var i = 0; i < now.Length; i++)
        {
            var (a, b, spec) = (now[i].Day.Timetable, then[i].Day.Timetable, now[i].Day.Spec);
            // The beginning, the end, and what the baker is called to in between.
            var key = a.Slots.Where(s => s.IsOpen && s.Step.IsBeat).Select(s => s.Step.Id).FirstOrDefault();
            foreach (var slot in a.Slots.Where(s => s.IsOpen && s.Step.IsBeat && (s.Step.Id == key || s.Step.Calls) && !s.Step.Id.StartsWith("weigh-", StringComparison.Ordinal)))
                if (b[slot.Step.Id] is { } moved && (moved.Start - slot.Start).Duration() > Matters && (slot.Step.Id == key || slot.Step.Kind is StepKind.TakeOut or StepKind.Shape or StepKind.Load or StepKind.OvenOn or StepKind.Bath or StepKind.Review))
                    moves.Add(new(now[i].Id, spec.Dough.Name, words.Of(slot.Step, spec).Short, slot.Start, moved.Start));
        }
        return moves.ToImmutable();
    }

    private FindingLine Line(DayFinding f, ImmutableArray<Standing> bakes)
    {
        var words = kitchens.Voice;
        (string Text, DateTimeOffset At) Of(int bake, string step) => bakes[bake].Day is var b && b.Timetable[step] is { } slot
            ? ($"{words.Of(slot.Step, b.Spec).Short} ({b.Spec.Dough.Name})", slot.Start) : (b.Spec.Dough.Name, clock.GetUtcNow());
        var ((a, at), (other, then)) = (Of(f.Bake, f.Step), Of(f.Other, f.OtherStep));
        var when = f.Trouble is DayTrouble.Late or DayTrouble.Over or DayTrouble.Stale ? at : at > then ? at : then;
        return new(f.Trouble, f.Impossible, when, f.Trouble switch
        {
            DayTrouble.Hands => $"Two things for one pair of hands: {a} and {other}.",
            DayTrouble.Away => $"Nobody is there: {a}.",
            DayTrouble.Quiet => $"The machine would run in quiet hours: {a}.",
            DayTrouble.Pinned => $"Cannot be when you want it, {Voice.Span(f.By)} off: {a}.",
            DayTrouble.Machine => $"Two doughs for one machine: {bakes[f.Bake].Day.Spec.Dough.Name} and {bakes[f.Other].Day.Spec.Dough.Name}.",
            DayTrouble.OvenHeat => $"One oven, two heats: {a} and {other}.",
            DayTrouble.Racks => $"Too few racks: {a} and {other}.",
            DayTrouble.Place => $"Not room enough {bakes[f.Bake].Day.Spec.Place.Name}: {a} and {other}.",
            DayTrouble.DoughInOven => $"Dough rises in an oven that is wanted: {a} and {other}.",
            DayTrouble.Stale => $"Cool {Voice.Span(f.By)} longer than wanted: {bakes[f.Bake].Day.Spec.Dough.Name}.",
            DayTrouble.Over => $"Over-proofed by {Voice.Span(f.By)}: {a}.",
            _ => $"{bakes[f.Bake].Day.Spec.Dough.Name} {Voice.Span(f.By)} later than wanted.",
        });
    }

    private static DayBakeView View(Standing bake, Kitchen kitchen, Voice words)
    {
        var (spec, table) = (bake.Day.Spec, bake.Day.Timetable);
        var state = BakeState.Of(bake.Stored!.Plan, bake.Stored.Log, bake.Day.SoFar.Now);
        return new(bake.Id, spec.Dough.Name, Voice.Bread(spec), table.Start, table.Ready, spec.ReadyBy, state.Status, string.Join(", ", spec.Dough.Allergens),
            [.. Deciding.Of(table).Where(d => d.Slot.Step.Kind != StepKind.WeighIn && (d.Slot.End > d.Slot.Start || d.Held)).Select(d => new WhyLine(d.Slot.Start, d.Slot.End - d.Slot.Start, words.Of(d.Slot.Step, spec).Short, d.Held))],
            bake.Day.SoFar.Steps.IsEmpty ? Making(spec, kitchen) : null);
    }

    private static MakingView Making(BakeSpec spec, Kitchen kitchen) => new(
        [.. kitchen.Mixers.Where(m => m.Refuses(spec.Formula) is null).Select(m => new Choosable(m.Id, m.Name))], spec.Machine.Id, [.. kitchen.Ovens.Select(o => new Choosable(o.Id, o.Name))], spec.Oven.Id,
        [.. kitchen.AllPlaces.Select(p => new Choosable(p.Id, p.Name))], spec.Place.Id, spec.Batches.Where(b => !b.Bread.OnGriddle).Select(b => (Temperature?)b.Bread.Heat).FirstOrDefault(), OvenView.Of(spec.Oven, kitchen.Units ?? HouseholdUnits.Plain),
        spec.Handling.After is { Early: true } bowl ? bowl.Bulk : null, AfterCycle.Usual[^1].Bulk, spec.Handling.Cold, spec.Wish.Fresh, Wish.UsualFresh, spec.Batches.Length > 1 || spec.Batches.Any(b => b.Bread.Racks > 1));

    private static ImmutableArray<HandsLine> HandsOf(ImmutableArray<Standing> bakes, Closed closed, Voice words) =>
        [.. bakes.SelectMany(b => b.Day.Timetable.Slots.Where(s => s.Step.IsBeat && s.IsOpen && s.Step.Kind is not StepKind.WeighIn).Select(s =>
            words.Of(s.Step, b.Day.Spec) is var phrase ? new HandsLine(s.Start, s.End - s.Start, b.Id, b.Day.Spec.Dough.Name, s.Step.Id, phrase.Short, phrase.Detail, phrase.Figure, b.Day.SoFar.Arranged.Pins.ContainsKey(s.Step.Id), s.Step.CanPin, s.Step.WakesNobody && closed.IsAway(s.Start), Slack.Of(b.Day.Timetable, s)) : null!)).OrderBy(l => l.At)];

    private static ImmutableArray<OvenLine> OvensOf(ImmutableArray<Standing> bakes, Voice words) =>
        [.. bakes.SelectMany(b => b.Day.Timetable.Slots.Where(s => s.IsOpen && !s.Step.IsBeat && s.End > s.Start && s.Step.Occupies.Any(o => o.Kind == ResourceKind.Oven)).Select(s => new OvenLine(
            b.Day.Spec.OvenOf(b.Day.Spec.Batches[s.Step.Batch ?? 0].Bread).Name, s.Start, s.End, $"{words.Of(s.Step, b.Day.Spec).Short} ({b.Day.Spec.Dough.Name}{(s.Step.About?.Heat is { } heat ? $", {words.Degree(heat)}" : "")})")))
            .OrderBy(l => l.Oven, StringComparer.Ordinal).ThenBy(l => l.From)];
}
