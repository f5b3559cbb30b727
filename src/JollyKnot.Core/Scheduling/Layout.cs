// A bake laid out: from now, or backwards from when bread is wanted.
using System.Collections.Immutable;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>When a step was meant to happen, kept so that the logbook can set it beside what did.</summary>
/// <param name="Step">The step.</param>
/// <param name="Start">Planned start.</param>
/// <param name="End">Planned end.</param>
public sealed record Planned(StepId Step, DateTimeOffset Start, DateTimeOffset End);

/// <summary>A bake as decided and planned. With the log it is all there is to know about a bake.</summary>
/// <param name="Spec">What was decided.</param>
/// <param name="Start">When the first step is planned.</param>
/// <param name="Steps">Every step's planned time.</param>
public sealed record BakePlan(BakeSpec Spec, DateTimeOffset Start, ImmutableArray<Planned> Steps)
{
    /// <summary>When bread was planned to be ready.</summary>
    public DateTimeOffset Ready => Steps[^1].Start;
}

/// <summary>A bake laid out.</summary>
/// <param name="Plan">The plan.</param>
/// <param name="Steps">Its steps and predictions.</param>
/// <param name="Timetable">The steps in time.</param>
/// <param name="LateBy">How much later than wanted it would be ready; zero when in time.</param>
public sealed record Layout(BakePlan Plan, ChainOfSteps Steps, Timetable Timetable, TimeSpan LateBy)
{
    /// <summary>Lays a bake out: as late as it can start and be ready when wanted, or now.</summary>
    public static Layout Of(BakeSpec spec, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(spec);
        var soFar = SoFar.Nothing(now);
        var chain = Chain.Of(spec, soFar);
        var fromNow = Timetable.Of(chain.Steps, soFar, now);
        var slack = (spec.ReadyBy ?? fromNow.Ready) - fromNow.Ready;
        var table = slack > TimeSpan.Zero ? Timetable.Of(chain.Steps, soFar, now + slack) : fromNow;
        return new(
            new(spec, table.Start, [.. table.Slots.Select(s => new Planned(s.Step.Id, s.Start, s.End))]),
            chain,
            table,
            slack < TimeSpan.Zero ? -slack : TimeSpan.Zero
        );
    }
}
