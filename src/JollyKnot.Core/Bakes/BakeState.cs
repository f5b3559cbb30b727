// What a bake is at this moment: a pure function of plan, log and clock.
using System.Collections.Immutable;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Bakes;

/// <summary>How a bake stands.</summary>
public enum BakeStatus
{
    /// <summary>Laid out; nothing has happened.</summary>
    Planned,

    /// <summary>Under way.</summary>
    UnderWay,

    /// <summary>Eaten and judged.</summary>
    Finished,

    /// <summary>Given up.</summary>
    Stopped,
}

/// <summary>A bake at one moment.</summary>
/// <param name="Plan">What was planned.</param>
/// <param name="Log">What was told.</param>
/// <param name="SoFar">What that amounts to.</param>
/// <param name="Chain">The steps as they are now.</param>
/// <param name="Timetable">The steps in time.</param>
/// <param name="Status">How it stands.</param>
/// <param name="Now">The one thing to do now or next; null when nothing is left.</param>
/// <param name="Next">What comes after it, soonest first.</param>
/// <param name="Calling">What is due, calls, and was not hushed since.</param>
/// <param name="WillCall">What calls later, as far as is known, soonest first.</param>
public sealed record BakeState(
    BakePlan Plan,
    BakeLog Log,
    SoFar SoFar,
    ChainOfSteps Chain,
    Timetable Timetable,
    BakeStatus Status,
    Slot? Now,
    ImmutableArray<Slot> Next,
    ImmutableArray<Slot> Calling,
    ImmutableArray<Slot> WillCall
)
{
    /// <summary>Finished or given up.</summary>
    public bool IsOver => Status is BakeStatus.Finished or BakeStatus.Stopped;

    /// <summary>How many beats are announced after the one now.</summary>
    private const int Announced = 3;

    /// <summary>The state of a bake at a time. Total: any log gives a state.</summary>
    public static BakeState Of(BakePlan plan, BakeLog log, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(log);
        var soFar = log.SoFar(plan.Spec, now);
        var chain = Scheduling.Chain.Of(plan.Spec, soFar);
        var table = Timetable.Of(chain.Steps, soFar, plan.Start);
        var standing = log.Standing();
        var status =
            standing.Any(e => e.Event.GivesUp) ? BakeStatus.Stopped
            : !table.Slots[^1].IsOpen ? BakeStatus.Finished
            : standing.Any(e => e.Event.Begins) ? BakeStatus.UnderWay
            : BakeStatus.Planned;
        var over = status is BakeStatus.Finished or BakeStatus.Stopped;
        var hushed = standing.Where(e => e.Event is AlarmsHushed).Select(e => e.At).DefaultIfEmpty(DateTimeOffset.MinValue).Max();

        // What is due comes before what is not, and a step the dough waits for before one beside it.
        ImmutableArray<Slot> open = over ? [] : [.. table.Slots.Where(s => s.Step.IsBeat && s.IsOpen).OrderBy(s => s.Start)];
        ImmutableArray<Slot> calling = over ? [] : [.. open.Where(s => s.Step.Calls && s.Start <= now && s.Start > hushed)];
        ImmutableArray<Slot> later = [.. open.Where(s => s.Step.Calls && s.Start > now)];
        ImmutableArray<Slot> next = [.. open.Skip(1).Take(Announced)];
        return new(plan, log, soFar, chain, table, status, open.FirstOrDefault(), next, calling, later);
    }

    /// <summary>The scale station: every part with its target, and what is left.</summary>
    public Station Station => Plan.Spec.Station(SoFar.DoughOf(Plan.Spec), SoFar.Parts);

    /// <summary>The dose that suits a feel, for this batch's flour.</summary>
    public Dose DoseFor(DoughFeel feel)
    {
        var dose = DoughCheck.For(feel, Plan.Spec.Formula.Flour);
        // What was held back goes in before anything is added to the recipe.
        var held = SoFar.HeldLeft(Plan.Spec);
        return dose.Water > Mass.Zero && held > Mass.Zero ? dose with { Water = held } : dose;
    }

    /// <summary>Steps that came after the bake was laid out, which it would have had its baker taken them over.</summary>
    public ImmutableArray<Step> NewSteps =>
        Rules == RuleBook.Version
            ? []
            :
            [
                .. Scheduling
                    .Chain.Of(Plan.Spec, SoFar with { RulesTaken = RuleBook.Version })
                    .Steps.Where(s => s.IsBeat && Timetable[s.Id] is null),
            ];

    /// <summary>The rules whose steps it has.</summary>
    public int Rules => SoFar.RulesOf(Plan.Spec);

    /// <summary>The next moment at which something will call by itself; null when nothing will.</summary>
    public DateTimeOffset? NextCall
    {
        get
        {
            var calls = Timetable.Slots.Where(s => s.Step.Calls && s.IsOpen && s.Start > SoFar.Now).Select(s => s.Start).ToList();
            return Status is BakeStatus.Finished or BakeStatus.Stopped || calls.Count == 0 ? null : calls.Min();
        }
    }

    /// <summary>When the machine began its cycle, by hand or by its timer; null before.</summary>
    public DateTimeOffset? CycleBegan =>
        SoFar.When(Milestone.Started) + (Plan.Spec.Handling.Timer ?? TimeSpan.Zero) is { } began && began <= SoFar.Now
            ? began
            : null;

    /// <summary>The last thing told that still stands and can be taken back: the one an undo button means.</summary>
    public Entry? LastTold => Log.Standing().LastOrDefault(e => e.Event.IsTakenBackByButton);

    /// <summary>The last undo that stands, which a redo takes back; null once something newer was told.</summary>
    public Entry? LastUndone => Log.Standing().LastOrDefault() is { Event: Undone } undo ? undo : null;
}
