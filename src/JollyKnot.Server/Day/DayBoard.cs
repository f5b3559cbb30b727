using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Kitchens;
using JollyKnot.Store;

namespace JollyKnot.Server.Day;

/// <summary>Something wrong with the day.</summary>
/// <param name="Impossible">It cannot be done so.</param>
/// <param name="At">When.</param>
/// <param name="Text">What.</param>
public sealed record FindingLine(DayTrouble Trouble, bool Impossible, DateTimeOffset At, string Text);

/// <summary>A change the day proposes.</summary>
public sealed record MoveLine(Guid Bake, string Title, string Text, DateTimeOffset From, DateTimeOffset To);

/// <summary>A better day.</summary>
/// <param name="Moves">What would move by more than a few minutes.</param>
/// <param name="Left">What would still be wrong.</param>
/// <param name="Key">The same proposal has the same key.</param>
public sealed record Proposal(ImmutableArray<MoveLine> Moves, ImmutableArray<FindingLine> Left, string Key);

/// <summary>How a bake that is being laid out goes with the rest.</summary>
/// <param name="Clashes">What would be in its way as it is.</param>
/// <param name="Start">When it would begin with the whole day laid out around it.</param>
/// <param name="Ready">When it would be ready then.</param>
/// <param name="Left">What would still be wrong.</param>
/// <param name="Moves">What of the others would move.</param>
public sealed record BesideView(ImmutableArray<FindingLine> Clashes, DateTimeOffset Start, DateTimeOffset Ready, ImmutableArray<FindingLine> Left, ImmutableArray<MoveLine> Moves);

/// <summary>One change after which the day can be done.</summary>
/// <param name="At">When it is wanted then; null where that stays.</param>
public sealed record FixLine(Guid Bake, FixKind Kind, string Text, DateTimeOffset? At);

/// <summary>A step of the chain that decides.</summary>
/// <param name="Held">It begins when the rest of the day lets it.</param>
public sealed record WhyLine(DateTimeOffset At, TimeSpan Length, string Text, bool Held);

/// <summary>A bake of the day.</summary>
public sealed record DayBakeView(Guid Id, string Title, string What, DateTimeOffset Start, DateTimeOffset Ready, DateTimeOffset? Wanted, BakeStatus Status, string Allergens, ImmutableArray<WhyLine> Why);

/// <summary>What the hands do.</summary>
public sealed record HandsLine(DateTimeOffset At, TimeSpan Length, Guid Bake, string Title, string Step, string Text, string Detail, Figure? Figure);

/// <summary>What an oven does.</summary>
public sealed record OvenLine(string Oven, DateTimeOffset From, DateTimeOffset To, string Text);

/// <summary>The day in full.</summary>
public sealed record DayView(
    ImmutableArray<DayBakeView> Bakes, ImmutableArray<FindingLine> Findings, Proposal? Proposal, ImmutableArray<FixLine> Fixes, ImmutableArray<HandsLine> Hands, ImmutableArray<OvenLine> Ovens,
    ImmutableArray<string> Cautions, Picture? Picture);

/// <summary>The day as it stands, and laid out better.</summary>
public sealed class DayBoard(BakeBook book, KitchenKeeper kitchens, HouseClock clock)
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

    // The best plan for these bakes; the quick one until it is found. Remembered while nothing was told and the minute lasts.
    private DayPlan PlanFor(ImmutableArray<Standing> bakes, Closed closed)
    {
        var now = clock.GetUtcNow();
        var days = bakes.Select(b => b.Day).ToImmutableArray();
        var key = $"{now.UtcTicks / TimeSpan.TicksPerMinute} {string.Join(" ", bakes.Select(b => $"{b.Id:N}{b.Stored?.Log.Position}"))} {closed.Hands.Length}.{closed.Machines.Length}";
        lock (@lock)
        {
            if (known?.Key == key) return known.Value.Best.IsCompletedSuccessfully ? known.Value.Best.Result : known.Value.Quick;
            known = (key, DayPlan.Of(days, now, closed), Task.Run(() => DayPlan.Best(days, now, closed)));
            return known.Value.Quick;
        }
    }

    private readonly Lock @lock = new();
    private (string Key, DayPlan Quick, Task<DayPlan> Best)? known;

    /// <summary>The day, with a better one if there is.</summary>
    /// <param name="frame">The picture's room; no picture without.</param>
    public async Task<DayView> Look(Frame? frame)
    {
        var (bakes, closed, words) = (await Stand(), await Closed(), kitchens.Words);
        var wrong = Wrong(bakes, closed);
        Proposal? proposal = null;
        if (!wrong.IsEmpty && bakes.Length > 0)
        {
            var held = Held(bakes, PlanFor(bakes, closed));
            var left = Wrong(held, closed);
            if (Better(bakes, held, closed)) proposal = new(Moves(bakes, held, words), left, string.Join(" ", Moves(bakes, held, words).Select(m => $"{m.Bake:N}{m.Text}{m.To:HHmm}")));
        }
        return new(
            [.. bakes.Select(b => View(b, words))], wrong, proposal is { Moves.IsEmpty: true } ? null : proposal,
            (proposal?.Left ?? wrong).IsEmpty ? [] : [.. (await Fixes(bakes, closed)).Select(f => new FixLine(bakes[f.Bake].Id, f.Kind, FixText(f), f.Kind == FixKind.Later ? f.Spec.ReadyBy : null))], HandsOf(bakes, words), OvensOf(bakes, words),
            [.. bakes.SelectMany(b => Core.Cautions.CautionRules.Of(b.Day.Spec, b.Day.Chain).Where(c => c.Caution != Core.Cautions.Caution.ChokingAllergen).Select(c => words.Of(c.Caution, b.Day.Spec))).Distinct()],
            frame is null || bakes.IsEmpty ? null : StrandLayout.Of([.. bakes.Select(b => new Drawn(b.Day.Spec, b.Day.Chain, b.Day.Timetable, b.Day.SoFar.DoughOf(b.Day.Spec)))], frame));
    }

    /// <summary>How one more bake goes with those that are open; null when none is.</summary>
    /// <param name="plan">The bake as it is alone.</param>
    public async Task<BesideView?> Beside(BakePlan plan)
    {
        var (others, closed, now) = (await Stand(), await Closed(), clock.GetUtcNow());
        if (others.IsEmpty) return null;
        var bakes = others.Add(new(Guid.Empty, null, new(plan.Spec, SoFar.Nothing(now), plan.Start)));
        var held = Held(bakes, DayPlan.Of([.. bakes.Select(b => b.Day)], now, closed));
        var table = held[^1].Day.Timetable;
        return new(Of(bakes), table.Start, table.Ready, Of(held), Moves([.. bakes.SkipLast(1)], [.. held.SkipLast(1)], kitchens.Words));

        // What has to do with it.
        ImmutableArray<FindingLine> Of(ImmutableArray<Standing> of) =>
            Lines(DayCheck.Of([.. of.Select(b => b.Day)], now, closed).Where(f => f.Bake == of.Length - 1 || f.Other == of.Length - 1), of);
    }

    /// <summary>Holds every bake to the better day.</summary>
    /// <param name="quick">The quick plan does.</param>
    /// <returns>How many bakes moved.</returns>
    public async Task<int> Arrange(bool quick = false)
    {
        var (bakes, closed, now, moved) = (await Stand(), await Closed(), clock.GetUtcNow(), 0);
        if (bakes.IsEmpty) return 0;
        var days = bakes.Select(b => b.Day).ToImmutableArray();
        var plan = quick ? DayPlan.Of(days, now, closed) : await Task.Run(() => DayPlan.Best(days, now, closed));
        for (var i = 0; i < bakes.Length; i++)
        {
            var (to, log) = (plan.Bakes[i], bakes[i].Stored!.Log);
            if (Same(to, bakes[i].Day.SoFar.Arranged)) continue;
            if (await book.Tell(bakes[i].Id, Guid.NewGuid(), log.Position, Arranged.Of(to), now) is Told.Kept) moved++;
        }
        return moved;
    }

    // More than these nobody reads. Ours.
    private const int MostFixes = 4;

    private async Task<ImmutableArray<DayFix>> Fixes(ImmutableArray<Standing> bakes, Closed closed) =>
        [.. DayFix.Of([.. bakes.Select(b => b.Day)], await kitchens.Get(), clock.GetUtcNow(), closed).Take(MostFixes)];

    private static string FixText(DayFix fix) => fix.Kind switch
    {
        FixKind.Machine => $"{fix.Spec.Dough.Name} in the {fix.Spec.Machine.Name}",
        FixKind.Oven => $"{fix.Spec.Dough.Name} in the {fix.Spec.Oven.Name}",
        _ => $"{fix.Spec.Dough.Name} later, for",
    };

    /// <summary>Makes one of the changes offered, and lays the day out around it.</summary>
    /// <param name="line">As offered.</param>
    /// <returns>Whether it could still be made.</returns>
    public async Task<bool> Fix(FixLine line)
    {
        var (bakes, closed, now) = (await Stand(), await Closed(), clock.GetUtcNow());
        var fixes = await Fixes(bakes, closed);
        if (fixes.FirstOrDefault(f => bakes[f.Bake].Id == line.Bake && f.Kind == line.Kind && FixText(f) == line.Text) is not { } fix) return false;
        if (!await book.Replan(line.Bake, Layout.Of(fix.Spec, now).Plan, now)) return false;
        await Arrange();
        return true;
    }

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
        a.NotBefore.Count == b.NotBefore.Count && a.NotBefore.All(n => b.NotBefore.TryGetValue(n.Key, out var t) && t == n.Value)
        && a.HotFrom.Count == b.HotFrom.Count && a.HotFrom.All(h => b.HotFrom.TryGetValue(h.Key, out var t) && t == h.Value);

    private static ImmutableArray<MoveLine> Moves(ImmutableArray<Standing> now, ImmutableArray<Standing> then, Words words)
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
        var words = kitchens.Words;
        (string Text, DateTimeOffset At) Of(int bake, string step) => bakes[bake].Day is var b && b.Timetable[step] is { } slot
            ? ($"{words.Of(slot.Step, b.Spec).Short} ({b.Spec.Dough.Name})", slot.Start) : (b.Spec.Dough.Name, clock.GetUtcNow());
        var ((a, at), (other, then)) = (Of(f.Bake, f.Step), Of(f.Other, f.OtherStep));
        var when = f.Trouble is DayTrouble.Late or DayTrouble.Over ? at : at > then ? at : then;
        return new(f.Trouble, f.Impossible, when, f.Trouble switch
        {
            DayTrouble.Hands => $"Two things for one pair of hands: {a} and {other}.",
            DayTrouble.Away => $"Nobody is there: {a}.",
            DayTrouble.Quiet => $"The machine would run in quiet hours: {a}.",
            DayTrouble.Pinned => $"Cannot be when you want it, {Words.Span(f.By)} off: {a}.",
            DayTrouble.Machine => $"Two doughs for one machine: {bakes[f.Bake].Day.Spec.Dough.Name} and {bakes[f.Other].Day.Spec.Dough.Name}.",
            DayTrouble.OvenHeat => $"One oven, two heats: {a} and {other}.",
            DayTrouble.Racks => $"Too few racks: {a} and {other}.",
            DayTrouble.DoughInOven => $"Dough rises in an oven that is wanted: {a} and {other}.",
            DayTrouble.Over => $"Over-proofed by {Words.Span(f.By)}: {a}.",
            _ => $"{bakes[f.Bake].Day.Spec.Dough.Name} {Words.Span(f.By)} later than wanted.",
        });
    }

    private static DayBakeView View(Standing bake, Words words)
    {
        var (spec, table) = (bake.Day.Spec, bake.Day.Timetable);
        var state = BakeState.Of(bake.Stored!.Plan, bake.Stored.Log, bake.Day.SoFar.Now);
        return new(bake.Id, spec.Dough.Name, Words.Bread(spec), table.Start, table.Ready, spec.ReadyBy, state.Status, string.Join(", ", spec.Dough.Allergens),
            [.. Deciding.Of(table).Where(d => d.Slot.Step.Kind != StepKind.WeighIn && (d.Slot.End > d.Slot.Start || d.Held)).Select(d => new WhyLine(d.Slot.Start, d.Slot.End - d.Slot.Start, words.Of(d.Slot.Step, spec).Short, d.Held))]);
    }

    private static ImmutableArray<HandsLine> HandsOf(ImmutableArray<Standing> bakes, Words words) =>
        [.. bakes.SelectMany(b => b.Day.Timetable.Slots.Where(s => s.Step.IsBeat && s.IsOpen && s.Step.Kind is not StepKind.WeighIn).Select(s =>
            words.Of(s.Step, b.Day.Spec) is var phrase ? new HandsLine(s.Start, s.End - s.Start, b.Id, b.Day.Spec.Dough.Name, s.Step.Id, phrase.Short, phrase.Detail, phrase.Figure) : null!)).OrderBy(l => l.At)];

    private static ImmutableArray<OvenLine> OvensOf(ImmutableArray<Standing> bakes, Words words) =>
        [.. bakes.SelectMany(b => b.Day.Timetable.Slots.Where(s => s.IsOpen && !s.Step.IsBeat && s.End > s.Start && s.Step.Occupies.Any(o => o.Kind == ResourceKind.Oven)).Select(s => new OvenLine(
            b.Day.Spec.OvenOf(b.Day.Spec.Batches[s.Step.Batch ?? 0].Bread).Name, s.Start, s.End, $"{words.Of(s.Step, b.Day.Spec).Short} ({b.Day.Spec.Dough.Name}{(s.Step.About?.Heat is { } heat ? $", {words.Degree(heat)}" : "")})")))
            .OrderBy(l => l.Oven, StringComparer.Ordinal).ThenBy(l => l.From)];
}
