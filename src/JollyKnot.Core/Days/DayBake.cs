// One bake of a day: what was decided and what has happened, before the day says when.
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>One bake of a day.</summary>
/// <param name="Spec">What was decided.</param>
/// <param name="SoFar">What has happened, and the time now.</param>
/// <param name="Start">When its first step is planned.</param>
public sealed record DayBake(BakeSpec Spec, SoFar SoFar, DateTimeOffset Start)
{
    // Worked out once for each pair of what was decided and what has happened; a copy with another of either works out its own.
    private (BakeSpec Spec, SoFar SoFar, ChainOfSteps Chain)? made;

    /// <summary>Its steps.</summary>
    public ChainOfSteps Chain
    {
        get
        {
            if (made is not { } known || !ReferenceEquals(known.Spec, Spec) || !ReferenceEquals(known.SoFar, SoFar))
                made = known = (Spec, SoFar, Scheduling.Chain.Of(Spec, SoFar));
            return known.Chain;
        }
    }

    /// <summary>Its steps in time, as things stand.</summary>
    public Timetable Timetable => Timetable.Of(Chain.Steps, SoFar, Start);
}
