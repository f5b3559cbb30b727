using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Days;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Day;

/// <summary>What was found when a better day was looked for.</summary>
/// <param name="Frame">The pictures' room.</param>
/// <param name="Proposal">The better day; null for none.</param>
/// <param name="Fixes">Single changes that would do.</param>
/// <param name="Looking">More is looked for.</param>
internal sealed record Looked(Frame? Frame, Proposal? Proposal, ImmutableArray<FixLine> Fixes, bool Looking)
{
    /// <summary>Nothing, because nothing is wrong.</summary>
    public static Looked Nothing(Frame? frame) => new(frame, null, [], false);
}

/// <summary>A day as a screen shows it.</summary>
/// <param name="bakes">Its bakes.</param>
/// <param name="words">The household's.</param>
/// <param name="now">The time now.</param>
internal sealed class DayShown(ImmutableArray<Standing> bakes, Voice words, DateTimeOffset now)
{
    /// <summary>Moves under this nobody has to be told of. Ours.</summary>
    public static TimeSpan Matters { get; } = TimeSpan.FromMinutes(3);

    /// <summary>The whole day.</summary>
    public DayView Day(Kitchen kitchen, Closed closed, ImmutableArray<FindingLine> wrong, Looked found, bool canUndo) =>
        new(
            [.. bakes.Select(b => BakeOf(b, kitchen))],
            wrong,
            found.Proposal,
            found.Fixes,
            [.. bakes.SelectMany(b => HandsOf(b, closed)).OrderBy(l => l.At)],
            [.. bakes.SelectMany(OvensOf).OrderBy(l => l.Oven, StringComparer.Ordinal).ThenBy(l => l.From)],
            [.. bakes.SelectMany(CautionsOf).Distinct()],
            found.Looking,
            canUndo,
            Drawn(bakes, found.Frame)
        );

    /// <summary>What is wrong, a line each: the first of its kind between two bakes stands for all.</summary>
    public ImmutableArray<FindingLine> Findings(IEnumerable<DayFinding> found) =>
        [
            .. found
                .GroupBy(f => (f.Trouble, f.Bake, f.Other))
                .Select(FirstOf)
                .OrderByDescending(l => l.Impossible)
                .ThenBy(l => l.At),
        ];

    private FindingLine FirstOf(IEnumerable<DayFinding> alike)
    {
        var lines = alike.Select(Line).OrderBy(l => l.At).ToList();
        return lines.Count == 1 ? lines[0] : lines[0] with { Text = $"{lines[0].Text} {lines.Count} times in all." };
    }

    private FindingLine Line(DayFinding found)
    {
        var (one, other) = (At(found.Bake, found.Step), At(found.Other, found.OtherStep));
        var ofOne = !found.Impossible || one > other;
        var text = Voice.Of(
            found,
            Said(found.Bake, found.Step),
            Said(found.Other, found.OtherStep),
            bakes[found.Bake].Spec,
            bakes[found.Other].Spec
        );
        return new(found.Trouble, found.Impossible, ofOne ? one : other, text);
    }

    private DateTimeOffset At(int bake, StepId step) => bakes[bake].Day.Timetable[step]?.Start ?? now;

    private string Said(int bake, StepId step)
    {
        var of = bakes[bake];
        return of.Day.Timetable[step] is { } slot ? $"{words.Of(slot.Step, of.Spec).Short} ({of.Name})" : of.Name;
    }

    /// <summary>What moves, when the day becomes another: the beginning, the end, and what hands turn to in between.</summary>
    public ImmutableArray<MoveLine> MovesTo(ImmutableArray<Standing> then) => [.. bakes.Zip(then, MovesOf).SelectMany(m => m)];

    /// <summary>Of each bake the last that moves, in short.</summary>
    public ImmutableArray<MoveLine> EndsMovedTo(ImmutableArray<Standing> then) =>
        [.. MovesTo(then).GroupBy(m => m.Bake).Select(of => of.Last())];

    private IEnumerable<MoveLine> MovesOf(Standing bake, Standing then)
    {
        var open = bake.Day.Timetable.Slots.Where(s => s.IsOpen && s.Step.IsBeat).ToList();
        foreach (
            var slot in open.Where(s =>
                s.Step.Ending != Ending.Mass && (s == open[0] || (s.Step.Calls && s.Step.Rule.IsTurningPoint))
            )
        )
            if (then.Day.Timetable[slot.Step.Id] is { } moved && (moved.Start - slot.Start).Duration() > Matters)
                yield return new(bake.Id, bake.Name, words.Of(slot.Step, bake.Spec).Short, slot.Start, moved.Start);
    }

    // Something goes into an oven.
    private sealed record LoadAt(int Bake, StepId Step, string Oven, DateTimeOffset At);

    private static IEnumerable<LoadAt> Loads(ImmutableArray<Standing> of) =>
        of.SelectMany(
            (b, i) =>
                b
                    .Day.Timetable.Slots.Where(s => s.IsOpen && s.Step.Is(Milestone.In))
                    .Select(s => new LoadAt(i, s.Step.Id, b.Spec.OvenOf(b.Spec.Batches[s.Step.Batch!.Value].Bread).Id, s.Start))
        );

    /// <summary>Who goes before whom in an oven where it was the other way round; null when nobody does.</summary>
    public string? WhyBetter(ImmutableArray<Standing> then)
    {
        var was = Loads(bakes).ToDictionary(l => (l.Bake, l.Step), l => l.At);
        var will = Loads(then).Where(l => was.ContainsKey((l.Bake, l.Step))).ToList();
        bool Overtakes(LoadAt one, LoadAt other) =>
            other.Bake != one.Bake
            && other.Oven == one.Oven
            && one.At < other.At
            && was[(one.Bake, one.Step)] > was[(other.Bake, other.Step)];
        foreach (var one in will.OrderBy(l => l.At))
            if (will.Find(other => Overtakes(one, other)) is { } other)
                return $"{bakes[one.Bake].Name} before {bakes[other.Bake].Name} in the oven";
        return null;
    }

    /// <summary>A day drawn; null without a frame, or without bakes.</summary>
    public static Picture? Drawn(ImmutableArray<Standing> bakes, Frame? frame) =>
        frame is null || bakes.IsEmpty ? null : StrandLayout.Of(ToDraw(bakes), frame);

    /// <summary>What is drawn of bakes.</summary>
    public static ImmutableArray<Drawn> ToDraw(ImmutableArray<Standing> bakes) =>
        [.. bakes.Select(b => new Drawn(b.Spec, b.Day.Chain.Batches, b.Day.Timetable, b.Day.SoFar.DoughOf(b.Spec)))];

    // Less than this is in time.
    private static readonly TimeSpan InTime = TimeSpan.FromMinutes(1);

    /// <summary>A day in figures.</summary>
    public static DayFigures Figures(ImmutableArray<Standing> bakes)
    {
        var late = bakes.Select(b => b.Day.Timetable.Ready - (b.Spec.ReadyBy ?? b.Day.Timetable.Ready)).ToList();
        static TimeSpan Sum(IEnumerable<TimeSpan> spans) =>
            spans.Where(s => s > InTime).Aggregate(TimeSpan.Zero, (sum, s) => sum + s);
        return new(
            Sum(late),
            Sum(late.Select(l => -l)),
            bakes.Min(b =>
                b.Day.Timetable.Slots.Where(s => s.IsOpen).Select(s => s.Start).DefaultIfEmpty(b.Day.Timetable.Ready).Min()
            ),
            bakes.Max(b => b.Day.Timetable.Ready)
        );
    }

    private DayBakeView BakeOf(Standing bake, Kitchen kitchen)
    {
        var (spec, table) = (bake.Spec, bake.Day.Timetable);
        var state = BakeState.Of(bake.Stored!.Plan, bake.Stored.Log, bake.Day.SoFar.Now);
        return new(
            bake.Id,
            bake.Name,
            Voice.Bread(spec),
            table.Start,
            table.Ready,
            spec.ReadyBy,
            state.Status,
            Voice.Contents(spec.Dough),
            [.. Deciding.Of(table).Where(IsWorthTelling).Select(d => WhyLine(d, spec))],
            bake.Day.SoFar.Steps.IsEmpty ? MakingView.Of(spec, kitchen) : null
        );
    }

    private static bool IsWorthTelling(Deciding deciding) =>
        deciding.Slot.Step.Rule.WorthTelling && (deciding.Held || deciding.Slot.End > deciding.Slot.Start);

    private WhyLine WhyLine(Deciding deciding, BakeSpec spec)
    {
        var slot = deciding.Slot;
        return new(slot.Start, slot.End - slot.Start, words.Of(slot.Step, spec).Short, deciding.Held);
    }

    private IEnumerable<HandsLine> HandsOf(Standing bake, Closed closed) =>
        bake
            .Day.Timetable.Slots.Where(s => s.Step.IsBeat && s.IsOpen && s.Step.Rule.WorthTelling)
            .Select(s => HandsLine(bake, s, closed));

    private HandsLine HandsLine(Standing bake, Slot slot, Closed closed)
    {
        var (step, phrase) = (slot.Step, words.Of(slot.Step, bake.Spec));
        return new(
            At: slot.Start,
            Length: slot.End - slot.Start,
            Bake: bake.Id,
            Title: bake.Name,
            Step: step.Id,
            Text: phrase.Short,
            Detail: phrase.Detail,
            Figure: phrase.Figure,
            Pinned: bake.Day.SoFar.Arranged.Pins.ContainsKey(step.Id),
            CanPin: step.CanPin,
            Quiet: step.Rule.WakesNobody && closed.IsAway(slot.Start),
            Slack: Slack.Of(bake.Day.Timetable, slot)
        );
    }

    // Heating is told with what it is for.
    private IEnumerable<OvenLine> OvensOf(Standing bake) =>
        InOvens(bake).Where(s => !s.Step.Is(Milestone.Hot)).Select(s => OvenLine(bake, s));

    private static IEnumerable<Slot> InOvens(Standing bake) =>
        bake.Day.Timetable.Slots.Where(s =>
            s.IsOpen && !s.Step.IsBeat && s.End > s.Start && s.Step.Occupies.Any(o => o.Kind == ResourceKind.Oven)
        );

    private OvenLine OvenLine(Standing bake, Slot slot)
    {
        var oven = bake.Spec.OvenOf(bake.Spec.Batches[slot.Step.Batch ?? 0].Bread);
        var heats = slot.Step.Is(Milestone.Baking)
            ? InOvens(bake).FirstOrDefault(s => s.Step.Is(Milestone.Hot) && s.Step.Batch == slot.Step.Batch)
            : null;
        return new(
            oven.Name,
            slot.Start,
            slot.End,
            $"{words.Of(slot.Step, bake.Spec).Short} ({bake.Name})",
            slot.Step.About?.Heat is { } h ? words.Degree(h) : null,
            heats?.Start
        );
    }

    // Allergens stand beside each bake.
    private IEnumerable<string> CautionsOf(Standing bake) =>
        Cautions.Of(bake.Day.Chain).Where(c => c.Caution != Caution.ChokingAllergen).Select(c => words.Of(c.Caution, bake.Spec));
}
