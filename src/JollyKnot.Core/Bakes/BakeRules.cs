// Which events a bake takes. What is refused changes nothing.
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Bakes;

/// <summary>Checks an event against the bake it is told to.</summary>
public static class BakeRules
{
    /// <summary>How far back a thing may be told to have happened.</summary>
    public static TimeSpan LongestAgo { get; } = TimeSpan.FromHours(48);

    /// <summary>How far ahead a step may be held.</summary>
    public static TimeSpan LongestAhead { get; } = TimeSpan.FromDays(15);

    // Clocks of two devices differ by a little.
    private static readonly TimeSpan ClockSkew = TimeSpan.FromSeconds(5);

    /// <summary>The heaviest thing a kitchen scale reads.</summary>
    public static Mass Heaviest { get; } = Mass.FromGrams(20_000);

    /// <summary>What stands against this event, or null.</summary>
    /// <param name="state">The bake as it is.</param>
    /// <param name="told">The event, its time set.</param>
    public static Problem? Refuses(BakeState state, BakeEvent told)
    {
        ArgumentNullException.ThrowIfNull(state);
        ArgumentNullException.ThrowIfNull(told);
        var now = state.SoFar.Now;
        if (told.At is not { } at) return new("empty", "at", "A time is wanted here.");
        if (at > now + ClockSkew) return new("future", "at", "This time has not come yet.");
        if (at < now - LongestAgo) return new("too-long-ago", "at", $"More than {LongestAgo.TotalHours:0} hours ago.");
        if (told is Undone undo)
            return state.Log.Standing().Any(e => e.Position == undo.Position) ? null
                : new("nothing-to-undo", "position", "There is nothing at this place of the log to take back, or it was taken back already.");
        if (state.Status is BakeStatus.Finished or BakeStatus.Stopped)
            return new("bake-over", "", "This bake is over. Take back its end first.");
        return told switch
        {
            StepEvent step => Step(state, step),
            PartWeighed part when part.Number < 1 || part.Number > state.Plan.Spec.Parts =>
                new("unknown", "number", $"There are {state.Plan.Spec.Parts} parts, from 1."),
            PartWeighed part => Weight(part.Mass, "mass"),
            ProbeRead probe => Probed(state, probe, at),
            Arranged e when e.NotBefore is null || e.HotFrom is null || e.NotBefore.Keys.Concat(e.Pins?.Keys ?? []).Concat(e.Until?.Keys ?? []).Any(s => state.Timetable[s] is null) => new("unknown", "notBefore", "This bake has no such step."),
            Arranged e when e.NotBefore.Values.Concat(e.Pins?.Values ?? []).Any(t => t > now + LongestAhead) => new("out-of-range", "notBefore", $"Up to {LongestAhead.TotalDays:0} days ahead."),
            RulesTaken e when e.Rules <= state.SoFar.RulesOf(state.Plan.Spec) || e.Rules > RuleBook.Version => new("out-of-range", "rules", "There are no such newer rules to take."),
            PlaceMeasured place when !state.Chain.Batches.Any(b => b.Batch.Step("start-proof") == place.Proof) => new("unknown", "proof", "Nothing is set to proof by this step."),
            PlaceMeasured { Heat.Celsius: < -5 or > 120 } => new("out-of-range", "heat", "From −5 to 120 °C is a place for dough, or an oven cooling down."),
            Arranged or PlaceMeasured or RulesTaken or AlarmsHushed or Stopped => null,
            _ => new("unknown", "type", "This kind of event is not known here."),
        };
    }

    private static Problem? Probed(BakeState state, ProbeRead told, DateTimeOffset at)
    {
        if (state.Chain.Batches.FirstOrDefault(b => b.Batch.Step("load") == told.Load) is not { Batch: var batch }) return new("unknown", "load", "Nothing is loaded by this step.");
        if (state.SoFar.InSince(batch) is not { } loaded || at < loaded)
            return new("not-in-the-oven", "load", "These are not in the oven.");
        return Baking.Probe.Doubts(state.SoFar.ProbedAt(batch), new(at - loaded, told.Core), state.Plan.Spec.BoilsAt);
    }

    private static Problem? Step(BakeState state, StepEvent told)
    {
        if (told.Step is null || state.Timetable[told.Step] is not { Step.IsBeat: true } slot)
            return new("unknown", "step", "This bake has no such step.");
        if (slot.State is StepState.Done or StepState.Skipped)
            return new("already-done", "step", "This step is behind us. Take it back first to tell it anew.");
        return (told, slot.Step.Ending) switch
        {
            (StepSkipped, _) => null,
            (StepDone, Ending.Done or Ending.YesNo or Ending.Parts) => null,
            (StepDone, _) => new("needs-answer", "type", "This step ends with a reading or an answer."),
            (IngredientWeighed e, Ending.Mass) when slot.Step.Kind == StepKind.WeighIn => Weight(e.Mass, "mass"),
            (DoughWeighed e, Ending.Mass) when slot.Step.Kind == StepKind.WeighDough => Weight(e.Mass, "mass"),
            (DoughChecked e, Ending.Feel) => Known(e.Feel, "feel") ?? Dose(e.Water, "water") ?? Dose(e.Flour, "flour"),
            (DoughTakenOut e, Ending.TakeOut) => Known(e.Feel, "feel")
                ?? (e.Bulk is { } bulk && (bulk < TimeSpan.Zero || bulk > AfterCycle.Longest) ? new("out-of-range", "bulk", $"Up to {AfterCycle.Longest.TotalHours:0} hours in the bowl.") : null),
            (ProofLooked e, Ending.Look) => Known(e.Seen, "seen"),
            (Reviewed e, Ending.Review) => e.Stars is < 1 or > 5
                ? new("out-of-range", "stars", "From 1 to 5.")
                : e.Note is null ? new("empty", "note", "A note is wanted here; it may be empty text.") : PlainText.CheckNote(e.Note, "note"),
            _ => new("wrong-event", "type", "This is not how this step ends."),
        };
    }

    private static Problem? Weight(Mass mass, string field) =>
        mass <= Mass.Zero ? new("not-positive", field, "More than 0 g is wanted here.")
        : mass > Heaviest ? new("too-heavy", field, $"No kitchen scale reads more than {Heaviest.Grams:0} g.")
        : null;

    private static Problem? Dose(Mass mass, string field) =>
        mass < Mass.Zero ? new("negative", field, "0 g or more is wanted here.") : mass > Mass.Zero ? Weight(mass, field) : null;

    private static Problem? Known<T>(T value, string field) where T : struct, Enum =>
        Enum.IsDefined(value) ? null : new("unknown", field, "Not one of the answers.");
}
