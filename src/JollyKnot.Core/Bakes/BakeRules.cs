// Which events a bake takes. What is refused changes nothing.
using JollyKnot.Core.Measures;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Bakes;

/// <summary>Checks an event against the bake it is told to.</summary>
public static class BakeRules
{
    /// <summary>How far back a thing may be told to have happened.</summary>
    public static TimeSpan LongestAgo { get; } = TimeSpan.FromHours(48);

    // Clocks of two devices differ by a little.
    private static readonly TimeSpan ClockSkew = TimeSpan.FromSeconds(5);

    /// <summary>What stands against this event, or null.</summary>
    /// <param name="state">The bake as it is.</param>
    /// <param name="told">The event, its time set.</param>
    public static Problem? Refuses(BakeState state, BakeEvent told)
    {
        ArgumentNullException.ThrowIfNull(state);
        ArgumentNullException.ThrowIfNull(told);
        if (TimeProblem(told.At, state.SoFar.Now) is { } wrongTime)
            return wrongTime;
        if (told is Undone undo && !state.Log.Standing().Any(e => e.Position == undo.Position))
            return new("nothing-to-undo", "position");
        if (state.IsOver && !told.CanFollowTheEnd)
            return new("bake-over", "");
        return told is StepEvent step ? Step(state, step) : told.Refused(state.Chain);
    }

    private static Problem? TimeProblem(DateTimeOffset? at, DateTimeOffset now) =>
        at is null ? new("empty:time", "at")
        : at > now + ClockSkew ? new("future", "at")
        : at < now - LongestAgo ? new("too-long-ago", "at", LongestAgo)
        : null;

    private static Problem? Step(BakeState state, StepEvent told)
    {
        if (state.Timetable[told.Step] is not { Step.IsBeat: true } slot)
            return new("unknown:step", "step");
        if (slot.State is StepState.Done or StepState.Skipped && !told.CanFollowTheEnd)
            return new("already-done", "step");
        return told is StepSkipped ? null : slot.Step.Rule.Refuses(told);
    }
}
