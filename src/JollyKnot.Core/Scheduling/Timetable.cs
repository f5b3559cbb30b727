// When each step happens: what is past is fixed, the rest follows from it and from the clock.
using System.Collections.Immutable;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>How a step stands.</summary>
public enum StepState
{
    /// <summary>Still to come.</summary>
    Ahead,

    /// <summary>Due now: the baker can do it, or it is running.</summary>
    Open,

    /// <summary>Done.</summary>
    Done,

    /// <summary>Skipped by the baker.</summary>
    Skipped,

    /// <summary>Passed by without being done, because something after it was, or it came too late to be of use.</summary>
    Passed,
}

/// <summary>A step in time.</summary>
/// <param name="Step">The step.</param>
/// <param name="Start">When it is due, or began.</param>
/// <param name="End">When it is over.</param>
/// <param name="State">How it stands.</param>
public sealed record Slot(Step Step, DateTimeOffset Start, DateTimeOffset End, StepState State)
{
    /// <summary>Whether it still has to be done.</summary>
    public bool IsOpen => State is StepState.Ahead or StepState.Open;
}

/// <summary>A bake's steps in time.</summary>
/// <param name="Slots">In the order of the chain.</param>
public sealed record Timetable(ImmutableArray<Slot> Slots)
{
    private readonly Dictionary<StepId, Slot> byId = Slots.ToDictionary(s => s.Step.Id);

    /// <summary>The slot of a step, or null when the bake has no such step.</summary>
    public Slot? this[StepId id] => byId.GetValueOrDefault(id);

    /// <summary>The slot that is this point of the job; null when the bake has none.</summary>
    /// <param name="milestone">Which point.</param>
    /// <param name="batch">Of which batch; null is any.</param>
    public Slot? At(Milestone milestone, int? batch = null) =>
        Slots.FirstOrDefault(s => s.Step.Is(milestone) && (batch is null || s.Step.Batch == batch));

    /// <summary>When the bread can be eaten.</summary>
    public DateTimeOffset Ready => Slots[^1].Start;

    /// <summary>When the baker first has to be there.</summary>
    public DateTimeOffset Start => Slots[0].Start;

    /// <summary>Puts steps in time.</summary>
    /// <param name="steps">The chain; one waits only for steps before it, or is in time for a later one.</param>
    /// <param name="soFar">What has happened, and the time now.</param>
    /// <param name="start">When the first step is planned.</param>
    public static Timetable Of(ImmutableArray<Step> steps, SoFar soFar, DateTimeOffset start)
    {
        ArgumentNullException.ThrowIfNull(soFar);
        var passed = Overtaken(steps, soFar);
        // First without what is done just in time, to see when that is wanted; then with it.
        var wanted = Pass(steps.Where(s => s.InTimeFor is null), soFar, start, passed, null);
        var all = Pass(steps, soFar, start, passed, wanted);
        return new([.. steps.Select(s => all[s.Id])]);
    }

    private static Dictionary<StepId, Slot> Pass(
        IEnumerable<Step> steps,
        SoFar soFar,
        DateTimeOffset start,
        HashSet<StepId> overtaken,
        Dictionary<StepId, Slot>? wanted
    )
    {
        var slots = new Dictionary<StepId, Slot>();
        var chains = steps
            .Where(s => s.InTimeFor is not null)
            .GroupBy(s => s.InTimeFor!.Value)
            .ToDictionary(g => g.Key, g => g.ToList());
        foreach (var step in steps)
        {
            var from = step
                .After.Where(l => slots.ContainsKey(l.Step))
                .Select(l => (l.Edge == Edge.Start ? slots[l.Step].Start : slots[l.Step].End) + l.Lag)
                .DefaultIfEmpty(
                    step.InTimeFor is not null
                        ? DateTimeOffset.MinValue
                        : soFar.Arranged.NotBefore.GetValueOrDefault(step.Id, start)
                )
                .Max();
            if (
                step.InTimeFor is { } target
                && wanted is not null
                && !chains[target].Any(c => step.After.Any(l => l.Step == c.Id))
            )
            {
                // The first of its chain: as late as it can be, the target's time less all that follows on it.
                var latest = soFar.Arranged.NotBefore.TryGetValue(step.Id, out var at)
                    ? at
                    : wanted[target].Start - Whole(step, chains[target]);
                if (from < latest)
                    from = latest;
            }
            else if (soFar.Arranged.NotBefore.TryGetValue(step.Id, out var held) && from < held)
                from = held;
            slots[step.Id] = Place(step, from, soFar, overtaken);
        }
        return slots;
    }

    private static TimeSpan Whole(Step step, List<Step> chain) =>
        step.Length
        + chain.Where(c => c.After.Any(l => l.Step == step.Id)).Select(c => Whole(c, chain)).DefaultIfEmpty(TimeSpan.Zero).Max();

    private static Slot Place(Step step, DateTimeOffset from, SoFar soFar, HashSet<StepId> overtaken)
    {
        var now = soFar.Now;
        if (soFar.Steps.TryGetValue(step.Id, out var happened))
        {
            var began = happened.At - step.Length;
            return new(
                step,
                began > from ? began
                    : from < happened.At ? from
                    : happened.At,
                happened.At,
                happened.Skipped ? StepState.Skipped : StepState.Done
            );
        }
        var end = from + step.Length;
        if (step.IsBeat)
        {
            if (overtaken.Contains(step.Id))
                return new(step, from < now ? from : now, from < now ? from : now, StepState.Passed);
            if (step.UsefulFor is { } useful && from + useful < now)
                return new(step, from, from, StepState.Passed);
            return new(step, from, end > now ? end : now, from <= now ? StepState.Open : StepState.Ahead);
        }
        // A stretch ends when the step that ends it was done, early or late.
        if (step.EndedBy is { } by && (soFar.When(by) is not null || overtaken.Contains(by)))
        {
            var ended = soFar.When(by) ?? (end < now ? end : now);
            return new(step, from < ended ? from : ended, end < ended ? end : ended, StepState.Done);
        }
        // Cut short by the day, as far as it may be.
        if (step.Least is { } least && soFar.Arranged.Until.TryGetValue(step.Id, out var until) && until < end)
            end = until > from + least ? until : from + least;
        return new(step, from, end, from <= now ? StepState.Open : StepState.Ahead);
    }

    // Beats that something done later makes pointless: whatever a done step waited for, however far back.
    private static HashSet<StepId> Overtaken(ImmutableArray<Step> steps, SoFar soFar)
    {
        var behind = new HashSet<StepId>();
        foreach (var step in steps.Reverse())
            if (soFar.Steps.ContainsKey(step.Id) || behind.Contains(step.Id))
                behind.UnionWith(step.After.Select(l => l.Step));
        foreach (var aside in steps)
            if (aside.PointlessAfter is { } by && (soFar.Steps.ContainsKey(by) || behind.Contains(by)))
                behind.Add(aside.Id);
        return behind;
    }
}
