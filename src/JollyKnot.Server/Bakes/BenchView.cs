using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Words;
using JollyKnot.Store;

namespace JollyKnot.Server.Bakes;

/// <summary>A step in a list.</summary>
public sealed record StepLine(
    StepId Step,
    string Short,
    Ending? Ending,
    StepState State,
    DateTimeOffset Start,
    DateTimeOffset End,
    DateTimeOffset? Planned,
    bool WeighsIn = false
);

/// <summary>Something that was told and can be taken back.</summary>
public sealed record Taken(int Position, string Short);

/// <summary>Steps that are known since the bake was laid out; it has them once its baker takes them over.</summary>
/// <param name="Rules">What to take over: the rules up to this version.</param>
/// <param name="Steps">What they are, in words.</param>
public sealed record NewSteps(int Rules, ImmutableArray<string> Steps);

/// <summary>Dough on the table, where more can be kneaded into it.</summary>
/// <param name="FlourSpoon">A level tablespoon of flour.</param>
/// <param name="Kneaded">What was, in words; empty when nothing was.</param>
public sealed record TableView(Mass FlourSpoon, string Kneaded);

/// <summary>A bake at the bench.</summary>
public sealed record BenchView(
    Guid Id,
    string Title,
    string What,
    BakeStatus Status,
    int Position,
    DateTimeOffset Ready,
    DateTimeOffset PlannedReady,
    Beat? Beat,
    ImmutableArray<StepLine> Next,
    ImmutableArray<StepLine> Calling,
    ImmutableArray<StepLine> WillCall,
    ImmutableArray<StepLine> Steps,
    Taken? Undo,
    Taken? Redo,
    StationView? Station,
    ProofView? Proof,
    CheckView? Check,
    ShapeView? Shape,
    InOvenView? InOven,
    BathView? Bath,
    ImmutableArray<FinishView> Finish,
    FirstRiseView? FirstRise,
    DisplayShows? Display,
    TableView? OnTable,
    NewSteps? NewSteps,
    string Method
)
{
    /// <summary>A bake at the bench.</summary>
    /// <param name="bake">The bake.</param>
    /// <param name="state">As it stands.</param>
    /// <param name="words">The household's.</param>
    /// <param name="step">A step that is looked at instead of the one now; null for that.</param>
    /// <param name="memory">What past checks say; null where it is not asked for.</param>
    /// <param name="away">Nobody is there, or up.</param>
    internal static BenchView Of(
        StoredBake bake,
        BakeState state,
        Voice words,
        StepId? step = null,
        DoseMemory? memory = null,
        bool away = false
    )
    {
        var (plan, spec) = (bake.Plan, bake.Plan.Spec);
        var planned = plan.Steps.ToDictionary(s => s.Step, s => s.Start);
        StepLine Line(Slot slot) =>
            new(
                slot.Step.Id,
                words.Of(slot.Step, spec).Short,
                slot.Step.Ending,
                slot.State,
                slot.Start,
                slot.End,
                planned.TryGetValue(slot.Step.Id, out var start) ? start : null
            );

        var chosen = step is { } id && state.Timetable[id] is { Step.IsBeat: true } slot ? DueNow(slot, state) : null;
        var now = state.Now?.Step;
        var panel = now?.Rule.Panel ?? Panel.None;
        var showsStation = panel is Panel.Station or Panel.Shape || chosen?.Step.Rule.Panel == Panel.Station;
        var showsRise = Panel.FirstRise == (chosen?.Step.Rule.Panel ?? panel);
        return new(
            Id: bake.Id,
            Title: spec.Dough.Name,
            What: Voice.Bread(spec),
            Status: state.Status,
            Position: state.Log.Position,
            Ready: state.Timetable.Ready,
            PlannedReady: plan.Ready,
            Beat: (chosen ?? state.Now) is { } shown ? Beat.Of(state, shown, words) : null,
            Next: [.. state.Next.Select(Line)],
            Calling: [.. state.Calling.Where(s => !(away && s.Step.Rule.WakesNobody)).Select(Line)],
            WillCall: [.. state.WillCall.Where(s => !s.Step.Rule.WakesNobody).Select(Line)],
            Steps: [.. state.Timetable.Slots.Where(s => s.Step.IsBeat).OrderBy(s => s.Start).Select(Line)],
            Undo: state.LastTold is { } last ? new(last.Position, words.Told(last.Event, state)) : null,
            Redo: state.LastUndone is { } undo ? new(undo.Position, "") : null,
            Station: showsStation ? StationView.Of(state) : null,
            Proof: ProofView.Of(state, words, Line),
            Check: panel == Panel.Doses ? CheckView.Of(state, words, memory) : null,
            Shape: panel == Panel.Shape && !state.Plan.Spec.IsShaped ? ShapeView.Of(state, now!, words) : null,
            InOven: InOvenView.Of(state),
            Bath: panel == Panel.Bath ? BathView.Of(state, now!) : null,
            Finish: FinishView.Of(state),
            FirstRise: showsRise && state.CycleBegan is { } began ? FirstRiseView.Of(began, state) : null,
            Display: state.SoFar.When(Milestone.OutOfMachine) is null && state.CycleBegan is { } started
                ? spec.Machine.Shows(started, state.SoFar.Now)
                : null,
            OnTable: now?.Rule.Holds == Lane.Hands && KneadedIn.CanBe(state.Chain)
                ? new(DoughCheck.FlourSpoon, state.SoFar.OnTable == Dose.None ? "" : words.Of(state.SoFar.OnTable))
                : null,
            NewSteps: state.NewSteps is { IsEmpty: false } later
                ? new(RuleBook.Version, [.. later.Select(s => words.Of(s, spec).Short)])
                : null,
            Method: spec.Dough.Notes
        );
    }

    // What is looked at can be done at once.
    private static Slot DueNow(Slot slot, BakeState state) =>
        slot.IsOpen && slot.Start > state.SoFar.Now ? slot with { Start = state.SoFar.Now } : slot;
}
