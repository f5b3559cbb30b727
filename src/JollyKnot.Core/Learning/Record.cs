// A bake looked back on: what was planned beside what happened.
using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Scheduling;

namespace JollyKnot.Core.Learning;

/// <summary>One step, planned and real.</summary>
/// <param name="Step">The step.</param>
/// <param name="Planned">When it was meant to be done; null for a step nobody planned, such as a second look.</param>
/// <param name="Actual">When it was done; null when it was not.</param>
/// <param name="State">How it ended.</param>
public sealed record StepRecord(Step Step, DateTimeOffset? Planned, DateTimeOffset? Actual, StepState State);

/// <summary>How alike the pieces of one cut came out, and what that does.</summary>
/// <param name="Cut">Which cut.</param>
/// <param name="Evenness">In whole scale units.</param>
/// <param name="BakeBetween">Between the lightest and the heaviest being done in the oven; null for what is not baked, or when it is too little to matter.</param>
public sealed record CutEvenness(int Cut, Evenness Evenness, TimeSpan? BakeBetween)
{
    // A difference in the oven that a baker could act on. Ours.
    private static readonly TimeSpan WorthSaying = TimeSpan.FromSeconds(30);

    /// <summary>For every cut of which at least two parts were weighed.</summary>
    public static ImmutableArray<CutEvenness> Of(BakeSpec spec, Station station)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(station);
        return [.. station.Pieces.Where(p => p.Weighed is not null).GroupBy(p => p.Cut).Where(g => g.Count() > 1).Select(g =>
        {
            var (cut, even) = (spec.Cuts[g.Key], Evenness.Of([.. g.Select(p => p.Weighed!.Value)])!);
            Mass Piece(int units) => spec.Step * units * cut.Strands;
            var between = cut.Bread is not { } b || even.Lightest < 1 ? TimeSpan.Zero : spec.Window(b, Piece(even.Heaviest)).Likely - spec.Window(b, Piece(even.Lightest)).Likely;
            return new CutEvenness(g.Key, even, between < WorthSaying ? null : between);
        })];
    }
}

/// <summary>A bake's record.</summary>
/// <param name="Status">How it ended.</param>
/// <param name="Steps">Every step the baker had to do.</param>
/// <param name="WentIn">What was planned to go in.</param>
/// <param name="Dough">The dough as weighed.</param>
/// <param name="Expected">The dough as it was expected.</param>
/// <param name="Parts">Each piece or strand, in order.</param>
/// <param name="Even">How alike the pieces of each cut are, for cuts of more than one that were weighed.</param>
/// <param name="Added">Flour and water added at the check.</param>
/// <param name="Stars">1 to 5.</param>
/// <param name="Note">For next time.</param>
/// <param name="FinishedAt">When it was over.</param>
public sealed record BakeRecord(
    BakeStatus Status, ImmutableArray<StepRecord> Steps, Mass WentIn, Mass? Dough, Mass Expected, ImmutableArray<Piece> Parts,
    ImmutableArray<CutEvenness> Even, Dose Added, int? Stars, string? Note, DateTimeOffset? FinishedAt)
{
    /// <summary>Ready within so much of the plan, either way, counts as on time: a clock on the wall shows no less. Ours.</summary>
    public static TimeSpan OnTimeWithin { get; } = TimeSpan.FromSeconds(90);

    /// <summary>The record of a bake as it stands.</summary>
    public static BakeRecord Of(BakeState state)
    {
        ArgumentNullException.ThrowIfNull(state);
        var (spec, soFar) = (state.Plan.Spec, state.SoFar);
        var planned = state.Plan.Steps.ToDictionary(p => p.Step, p => p.End);
        var standing = state.Log.Standing();
        var review = standing.Select(e => e.Event).OfType<Reviewed>().LastOrDefault();
        var last = standing.LastOrDefault(e => e.Event is Reviewed or Stopped or StepSkipped);
        return new(
            state.Status,
            [.. state.Timetable.Slots.Where(s => s.Step.IsBeat).Select(s => new StepRecord(
                s.Step, planned.TryGetValue(s.Step.Id, out var end) ? end : null, soFar.When(s.Step.Id), s.State))],
            spec.Dough.Total, soFar.Dough, spec.ExpectedDough,
            state.Station.Pieces, CutEvenness.Of(spec, state.Station),
            soFar.Added, review?.Stars, review?.Note,
            state.Status is BakeStatus.Finished or BakeStatus.Stopped ? last?.At : null);
    }
}
