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

    // A place for dough, or an oven cooling down.
    private static readonly Temperature Coldest = Temperature.FromCelsius(-5), Hottest = Temperature.FromCelsius(120);

    /// <summary>What stands against this event, or null.</summary>
    /// <param name="state">The bake as it is.</param>
    /// <param name="told">The event, its time set.</param>
    public static Problem? Refuses(BakeState state, BakeEvent told)
    {
        ArgumentNullException.ThrowIfNull(state);
        ArgumentNullException.ThrowIfNull(told);
        if (TimeProblem(told.At, state.SoFar.Now) is { } wrongTime) return wrongTime;
        if (told is Undone undo)
            return state.Log.Standing().Any(e => e.Position == undo.Position) ? null : new("nothing-to-undo", "position");
        if (state.IsOver) return new("bake-over", "");
        return told switch
        {
            StepEvent step => Step(state, step),
            PartWeighed part => Part(state, part),
            ProbeRead probe => Probed(state, probe, told.At!.Value),
            Arranged arranged => Arrange(state, arranged),
            RulesTaken taken => Rules(state, taken),
            PlaceMeasured place => Place(state, place),
            AlarmsHushed or Stopped => null,
            _ => new("unknown:event", "type"),
        };
    }

    private static Problem? TimeProblem(DateTimeOffset? at, DateTimeOffset now) =>
        at is null ? new("empty:time", "at")
        : at > now + ClockSkew ? new("future", "at")
        : at < now - LongestAgo ? new("too-long-ago", "at", LongestAgo)
        : null;

    private static Problem? Part(BakeState state, PartWeighed told)
    {
        var parts = state.Plan.Spec.Parts;
        return told.Number < 1 || told.Number > parts ? new("unknown:part", "number", parts) : Weight(told.Mass, "mass");
    }

    private static Problem? Probed(BakeState state, ProbeRead told, DateTimeOffset at)
    {
        if (state.Chain.Batches.FirstOrDefault(b => b.Batch.Step("load") == told.Load) is not { Batch: var batch })
            return new("unknown:load", "load");
        if (state.SoFar.InSince(batch) is not { } loaded || at < loaded) return new("not-in-the-oven", "load");
        return Baking.Probe.Doubts(state.SoFar.ProbedAt(batch), new(at - loaded, told.Core), state.Plan.Spec.BoilsAt);
    }

    private static Problem? Arrange(BakeState state, Arranged told)
    {
        if (told.NotBefore is null || told.HotFrom is null) return new("unknown:step", "notBefore");
        var steps = told.NotBefore.Keys.Concat(told.Pins?.Keys ?? []).Concat(told.Until?.Keys ?? []);
        if (steps.Any(s => state.Timetable[s] is null)) return new("unknown:step", "notBefore");
        var times = told.NotBefore.Values.Concat(told.Pins?.Values ?? []);
        return times.Any(t => t > state.SoFar.Now + LongestAhead) ? new("out-of-range:ahead", "notBefore", LongestAhead.TotalDays) : null;
    }

    private static Problem? Rules(BakeState state, RulesTaken told) =>
        told.Rules <= state.Rules || told.Rules > RuleBook.Version ? new("out-of-range:rules", "rules") : null;

    private static Problem? Place(BakeState state, PlaceMeasured told)
    {
        if (!state.Chain.Batches.Any(b => b.Batch.Step("start-proof") == told.Proof)) return new("unknown:proof", "proof");
        return told.Heat < Coldest || told.Heat > Hottest ? new("out-of-range:place", "heat", Coldest, Hottest) : null;
    }

    private static Problem? Step(BakeState state, StepEvent told)
    {
        if (told.Step is null || state.Timetable[told.Step] is not { Step.IsBeat: true } slot) return new("unknown:step", "step");
        if (slot.State is StepState.Done or StepState.Skipped) return new("already-done", "step");
        return (told, slot.Step.Ending) switch
        {
            (StepSkipped, _) => null,
            (StepDone, Ending.Done or Ending.YesNo or Ending.Parts) => null,
            (StepDone, _) => new("needs-answer", "type"),
            (IngredientWeighed e, Ending.Mass) when slot.Step.Kind == StepKind.WeighIn => Weight(e.Mass, "mass"),
            (DoughWeighed e, Ending.Mass) when slot.Step.Kind == StepKind.WeighDough => Weight(e.Mass, "mass"),
            (DoughChecked e, Ending.Feel) => Known(e.Feel, "feel") ?? Dose(e.Water, "water") ?? Dose(e.Flour, "flour"),
            (DoughTakenOut e, Ending.TakeOut) => Known(e.Feel, "feel") ?? AfterCycle.Problem(e.Bulk, "bulk"),
            (ProofLooked e, Ending.Look) => Known(e.Seen, "seen"),
            (Reviewed e, Ending.Review) => Review(e),
            _ => new("wrong-event", "type"),
        };
    }

    private static Problem? Review(Reviewed told)
    {
        if (told.Stars is < 1 or > 5) return new("out-of-range:stars", "stars");
        return told.Note is null ? new("empty:note", "note") : PlainText.CheckNote(told.Note, "note");
    }

    private static Problem? Weight(Mass mass, string field) =>
        mass <= Mass.Zero ? new("not-positive", field)
        : mass > Heaviest ? new("too-heavy:scale", field, Heaviest)
        : null;

    private static Problem? Dose(Mass mass, string field) =>
        mass < Mass.Zero ? new("negative", field)
        : mass > Mass.Zero ? Weight(mass, field)
        : null;

    private static Problem? Known<T>(T value, string field) where T : struct, Enum =>
        Enum.IsDefined(value) ? null : new("unknown:answer", field);
}
