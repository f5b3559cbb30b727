// A bake that is over, as it was: what was reckoned, planned and shown is kept when it closes, so that a rule changed next year
// does not rewrite the logbook. Taken back, it is a bake like any other; closed again, it is kept anew.
using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Learning;

/// <summary>What a closed bake is called in a list.</summary>
/// <param name="Dough">The dough's name.</param>
/// <param name="Bread">What it became, in the words shown then.</param>
/// <param name="ScaleStep">What one unit of its scale weighed.</param>
public sealed record BakeTitle(string Dough, string Bread, Mass ScaleStep);

/// <summary>How a bake ended.</summary>
/// <param name="Status">Finished or stopped.</param>
/// <param name="At">When; null when nothing says.</param>
/// <param name="PlannedReady">When bread was planned to be ready.</param>
/// <param name="Ready">When it was.</param>
/// <param name="Stars">1 to 5.</param>
/// <param name="Note">For next time.</param>
public sealed record BakeEnd(
    BakeStatus Status,
    DateTimeOffset? At,
    DateTimeOffset PlannedReady,
    DateTimeOffset Ready,
    int? Stars,
    string? Note
)
{
    /// <summary>Ready within so much of the plan, either way, counts as on time: a clock on the wall shows no less.
    /// Ours.</summary>
    public static TimeSpan OnTimeWithin { get; } = TimeSpan.FromSeconds(90);

    // From so many stars on, of five. Ours.
    private const int GoodFrom = 4;

    /// <summary>Its baker liked it.</summary>
    public bool WentWell => Stars >= GoodFrom;

    /// <summary>How much later than planned; below zero when sooner.</summary>
    public TimeSpan Late => Ready - PlannedReady;

    /// <summary>As planned, as far as a clock on the wall shows.</summary>
    public bool OnTime => Late.Duration() <= OnTimeWithin;
}

/// <summary>What was weighed.</summary>
/// <param name="Dough">The dough as weighed.</param>
/// <param name="Expected">The dough as it was expected.</param>
/// <param name="Parts">Each piece or strand, in order.</param>
/// <param name="Even">How alike the pieces of each cut came out.</param>
/// <param name="Added">Flour and water added at the check.</param>
public sealed record BakeWeights(
    Mass? Dough,
    Mass Expected,
    ImmutableArray<Piece> Parts,
    ImmutableArray<CutEvenness> Even,
    Dose Added
);

/// <summary>A step as it went.</summary>
/// <param name="Step">Its id.</param>
/// <param name="Short">What it was called.</param>
/// <param name="Batch">The batch it belonged to; null for the whole dough.</param>
/// <param name="Times">When it was, and was meant to be.</param>
/// <param name="State">How it ended.</param>
/// <param name="Holds">Where the dough was during it.</param>
/// <param name="Beat">The baker did it.</param>
/// <param name="Hands">It kept hands busy.</param>
public sealed record KeptStep(
    StepId Step,
    string Short,
    int? Batch,
    KeptTimes Times,
    StepState State,
    Lane? Holds,
    bool Beat,
    bool Hands
);

/// <summary>When a step was.</summary>
/// <param name="Start">It began.</param>
/// <param name="End">It was over.</param>
/// <param name="Planned">It was meant to be done; null for a step nobody planned.</param>
/// <param name="Actual">It was done; null when it was not.</param>
public sealed record KeptTimes(DateTimeOffset Start, DateTimeOffset End, DateTimeOffset? Planned, DateTimeOffset? Actual);

/// <summary>A bake that is over.</summary>
/// <param name="Rules">The version of the rules it was reckoned by.</param>
/// <param name="Title">What it is called.</param>
/// <param name="End">How it ended.</param>
/// <param name="Weights">What was weighed.</param>
/// <param name="Steps">Every step, as it went.</param>
/// <param name="Lessons">What it says for the next ones.</param>
public sealed record ClosedBake(
    int Rules,
    BakeTitle Title,
    BakeEnd End,
    BakeWeights Weights,
    ImmutableArray<KeptStep> Steps,
    Lessons Lessons
)
{
    /// <summary>Keeps a bake as it stands.</summary>
    /// <param name="over">One that is over, or to be looked at as if it were.</param>
    /// <param name="bread">What it became, in words.</param>
    /// <param name="called">What a step is called.</param>
    public static ClosedBake Of(BakeState over, string bread, Func<Step, string> called)
    {
        ArgumentNullException.ThrowIfNull(over);
        ArgumentNullException.ThrowIfNull(called);
        var (spec, soFar) = (over.Plan.Spec, over.SoFar);
        var planned = over.Plan.Steps.ToDictionary(p => p.Step, p => p.End);
        return new(
            RuleBook.Version,
            new(spec.Dough.Name, bread, spec.Step),
            EndOf(over),
            new(soFar.Dough, spec.ExpectedDough, over.Station.Pieces, CutEvenness.Of(spec, over.Station), soFar.AddedOver(spec)),
            [.. over.Timetable.Slots.Select(Kept)],
            Lessons.Of(over)
        );

        KeptStep Kept(Slot slot) =>
            new(
                slot.Step.Id,
                slot.Step.IsBeat ? called(slot.Step) : "",
                slot.Step.Batch,
                new(slot.Start, slot.End, planned.TryGetValue(slot.Step.Id, out var end) ? end : null, soFar.When(slot.Step.Id)),
                slot.State,
                slot.Step.Holds,
                slot.Step.IsBeat,
                slot.Step.Occupies.Contains(Resource.Hands) && !slot.Step.Rule.IsTheEnd
            );
    }

    private static BakeEnd EndOf(BakeState over)
    {
        var standing = over.Log.Standing();
        var review = standing.Select(e => e.Event).OfType<Reviewed>().LastOrDefault();
        var end = over.Timetable.Slots[^1].Step.Id;
        var last = standing.FirstOrDefault(e => e.Event is Stopped || (e.Event is StepEvent told && told.Step == end));
        return new(
            over.Status,
            over.IsOver ? last?.At : null,
            over.Plan.Ready,
            over.Timetable.Ready,
            review?.Stars,
            review?.Note
        );
    }

    /// <summary>The same, judged anew; nothing else of it is reckoned again.</summary>
    public ClosedBake Judged(Reviewed anew)
    {
        ArgumentNullException.ThrowIfNull(anew);
        return this with { End = End with { Stars = anew.Stars, Note = anew.Note } };
    }

    /// <summary>Its steps in time, to be drawn.</summary>
    public Timetable Timetable => new([.. Steps.Select(s => new Slot(Drawn(s), s.Times.Start, s.Times.End, s.State))]);

    // What happened in it matters no more, only where and when.
    private static Step Drawn(KeptStep kept) =>
        new(
            kept.Step,
            kept.Times.End - kept.Times.Start,
            [],
            kept.Beat ? Ending.Done : null,
            kept.Holds,
            kept.Hands ? [Resource.Hands] : []
        )
        {
            Batch = kept.Batch,
            Marks = StepRules.Of(kept.Step.Kind).Marks,
        };
}
