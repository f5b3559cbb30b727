// What can happen in a bake. The log of these is append-only; names and fields are part of the open formats.
using System.Collections.Immutable;
using System.Text.Json.Serialization;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Steps;

/// <summary>Something that happened in a bake.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "type")]
[JsonDerivedType(typeof(StepDone), "step-done")]
[JsonDerivedType(typeof(StepSkipped), "step-skipped")]
[JsonDerivedType(typeof(IngredientWeighed), "ingredient-weighed")]
[JsonDerivedType(typeof(DoughChecked), "dough-checked")]
[JsonDerivedType(typeof(DoughTakenOut), "dough-taken-out")]
[JsonDerivedType(typeof(DoughWeighed), "dough-weighed")]
[JsonDerivedType(typeof(KneadedIn), "kneaded-in")]
[JsonDerivedType(typeof(PartWeighed), "part-weighed")]
[JsonDerivedType(typeof(ProofLooked), "proof-looked")]
[JsonDerivedType(typeof(ProbeRead), "probe-read")]
[JsonDerivedType(typeof(PlaceMeasured), "place-measured")]
[JsonDerivedType(typeof(ProofMoved), "proof-moved")]
[JsonDerivedType(typeof(Reviewed), "reviewed")]
[JsonDerivedType(typeof(AlarmsHushed), "alarms-hushed")]
[JsonDerivedType(typeof(Arranged), "arranged")]
[JsonDerivedType(typeof(RulesTaken), "rules-taken")]
[JsonDerivedType(typeof(Stopped), "stopped")]
[JsonDerivedType(typeof(Undone), "undone")]
public abstract record BakeEvent
{
    /// <summary>The heaviest thing a kitchen scale reads.</summary>
    public static Mass Heaviest { get; } = Mass.FromGrams(20_000);

    /// <summary>When it happened, which may be before it was told; null means when it was told.</summary>
    public DateTimeOffset? At { get; init; }

    /// <summary>Hands began with the bake, or something in it was seen.</summary>
    internal virtual bool Begins => true;

    /// <summary>An undo button means it, when it is the last.</summary>
    internal virtual bool IsTakenBackByButton => true;

    /// <summary>It ends the bake before its end.</summary>
    internal virtual bool GivesUp => false;

    /// <summary>It can be told of a bake that is over.</summary>
    internal virtual bool CanFollowTheEnd => false;

    /// <summary>As it is kept: with text composed.</summary>
    public virtual BakeEvent Composed() => this;

    /// <summary>What has happened, with this too.</summary>
    /// <param name="soFar">What has happened before.</param>
    /// <param name="spec">What was decided.</param>
    internal virtual SoFar AddTo(SoFar soFar, BakeSpec spec) => soFar;

    /// <summary>What stands against telling it; null when nothing does.</summary>
    /// <param name="chain">The bake's steps as they stand.</param>
    internal virtual Problem? Refused(ChainOfSteps chain) => null;

    private protected DateTimeOffset Then => At ?? DateTimeOffset.MinValue;

    private protected static Problem? Weight(Mass mass, string field) =>
        mass <= Mass.Zero ? new("not-positive", field)
        : mass > Heaviest ? new("too-heavy:scale", field, Heaviest)
        : null;

    private protected static Problem? Known<T>(T value, string field)
        where T : struct, Enum => Enum.IsDefined(value) ? null : new("unknown:answer", field);
}

/// <summary>An event that does one step.</summary>
/// <param name="Step">The step.</param>
public abstract record StepEvent(StepId Step) : BakeEvent
{
    /// <summary>What is wrong with what it says; null when nothing is.</summary>
    internal virtual Problem? Wrong() => null;

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        soFar with
        {
            Steps = soFar.Steps.SetItem(Step, new(Then, false)),
        };
}

/// <summary>A step was done.</summary>
public sealed record StepDone(StepId Step) : StepEvent(Step);

/// <summary>A step was left out.</summary>
public sealed record StepSkipped(StepId Step) : StepEvent(Step)
{
    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        soFar with
        {
            Steps = soFar.Steps.SetItem(Step, new(Then, true)),
        };
}

/// <summary>An ingredient went in.</summary>
/// <param name="Step">The weigh-in step.</param>
/// <param name="Mass">What was really put in.</param>
public sealed record IngredientWeighed(StepId Step, Mass Mass) : StepEvent(Step)
{
    internal override Problem? Wrong() => Weight(Mass, "mass");

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        base.AddTo(soFar, spec) with
        {
            WeighedIn = soFar.WeighedIn.SetItem(Step.Number, Mass),
        };
}

/// <summary>The dough was judged while kneading.</summary>
/// <param name="Step">The check step.</param>
/// <param name="Feel">What was felt.</param>
/// <param name="Water">Water added, 0 or more.</param>
/// <param name="Flour">Flour added, 0 or more.</param>
public sealed record DoughChecked(StepId Step, DoughFeel Feel, Mass Water, Mass Flour) : StepEvent(Step)
{
    internal override Problem? Wrong() => Known(Feel, "feel") ?? Dosed(Water, "water") ?? Dosed(Flour, "flour");

    internal static Problem? Dosed(Mass mass, string field)
    {
        if (mass < Mass.Zero)
            return new("negative", field);
        return mass > Mass.Zero ? Weight(mass, field) : null;
    }

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        base.AddTo(soFar, spec) with
        {
            Checks = soFar.Checks.Add(new(Feel, new Dose(Water, Flour))),
        };
}

/// <summary>The dough came out of the pan.</summary>
/// <param name="Step">The take-out step.</param>
/// <param name="Feel">How it felt then; worth as much for next time as what was added.</param>
/// <param name="Bulk">It goes into a bowl for so long; null goes on as planned, zero divides now.</param>
/// <param name="Risen">How far it had grown in there, one of <see cref="FirstRise.Answers"/>; null when nobody said.</param>
public sealed record DoughTakenOut(StepId Step, DoughFeel Feel, TimeSpan? Bulk = null, Seen? Risen = null) : StepEvent(Step)
{
    internal override Problem? Wrong() =>
        Known(Feel, "feel")
        ?? AfterCycle.Problem(Bulk, "bulk")
        ?? (Risen is { } risen && !FirstRise.Answers.Contains(risen) ? new("unknown:answer", "risen") : null);

    // What has sunken does not rise on as planned.
    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        base.AddTo(soFar, spec) with
        {
            Bulk = Bulk ?? (Risen == Seen.Stays ? TimeSpan.Zero : soFar.Bulk),
            Risen = Risen,
        };
}

/// <summary>The whole dough was weighed.</summary>
/// <param name="Step">The weighing step.</param>
/// <param name="Mass">What the scale said.</param>
public sealed record DoughWeighed(StepId Step, Mass Mass) : StepEvent(Step)
{
    internal override Problem? Wrong() => Weight(Mass, "mass");

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) => base.AddTo(soFar, spec) with { Dough = Mass };
}

/// <summary>Something was kneaded in on the table.</summary>
/// <param name="Water">Water, 0 or more.</param>
/// <param name="Flour">Flour, 0 or more.</param>
public sealed record KneadedIn(Mass Water, Mass Flour) : BakeEvent
{
    /// <summary>Whether dough lies on the table: out of its machine, and not all of it set to proof.</summary>
    /// <param name="chain">The bake's steps as they stand.</param>
    public static bool CanBe(ChainOfSteps chain)
    {
        ArgumentNullException.ThrowIfNull(chain);
        var soFar = chain.Bake.SoFar;
        return soFar.When(Milestone.OutOfMachine) is not null
            && chain.Batches.Any(b => soFar.When(Milestone.SetToProof, b.Batch.Index) is null);
    }

    internal override Problem? Refused(ChainOfSteps chain)
    {
        if (!CanBe(chain))
            return new("not-on-the-table", "type");
        return DoughChecked.Dosed(Water, "water")
            ?? DoughChecked.Dosed(Flour, "flour")
            ?? (Water + Flour > Mass.Zero ? null : new("not-positive", "flour"));
    }

    // What was weighed before is so much heavier now.
    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        soFar with
        {
            OnTable = new(soFar.OnTable.Water + Water, soFar.OnTable.Flour + Flour),
            Dough = soFar.Dough + Water + Flour,
        };
}

/// <summary>A piece or strand was weighed off, or weighed again. The last one divides the dough.</summary>
/// <param name="Number">1 for the first.</param>
/// <param name="Mass">What the scale said.</param>
public sealed record PartWeighed(int Number, Mass Mass) : BakeEvent
{
    internal override Problem? Refused(ChainOfSteps chain)
    {
        var parts = chain.Bake.Spec.Parts;
        return Number < 1 || Number > parts ? new("unknown:part", "number", parts) : Weight(Mass, "mass");
    }

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec)
    {
        if (Number > spec.Parts)
            return soFar;
        var parts = soFar.Parts.SetItem(Number, Dividing.Station.UnitsOf(Mass, spec.Step));
        var divided = StepRules.IdAt(Milestone.Divided);
        var isLast = parts.Count == spec.Parts && !soFar.Steps.ContainsKey(divided);
        return soFar with { Parts = parts, Steps = isLast ? soFar.Steps.Add(divided, new(Then, false)) : soFar.Steps };
    }
}

/// <summary>The proof was looked at.</summary>
/// <param name="Step">The look step.</param>
/// <param name="Seen">What was seen.</param>
public sealed record ProofLooked(StepId Step, Seen Seen) : StepEvent(Step)
{
    internal override Problem? Wrong() => Known(Seen, "seen");

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        base.AddTo(soFar, spec) with
        {
            Looks = soFar.Looks.Add(new(Step, Then, Seen)),
        };
}

/// <summary>A probe was read while the bread is in the oven.</summary>
/// <param name="Load">The step that loaded it.</param>
/// <param name="Core">What the probe said.</param>
public sealed record ProbeRead(StepId Load, Temperature Core) : BakeEvent
{
    internal override Problem? Refused(ChainOfSteps chain)
    {
        if (chain.At(Milestone.In, Load.Batch) is not { } load || load.Id != Load)
            return new("unknown:load", "load");
        var soFar = chain.Bake.SoFar;
        var batch = chain.Of(load).Batch;
        if (soFar.InSince(batch) is not { } loaded || At < loaded)
            return new("not-in-the-oven", "load");
        return Baking.Probe.Doubts(soFar.ProbedAt(batch), new(Then - loaded, Core), chain.Bake.Spec.BoilsAt);
    }

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        soFar with
        {
            Probes = soFar.Probes.Add(new(Load.Batch, Then, Core)),
        };
}

/// <summary>The proofing place was measured; a reading beats what is reckoned.</summary>
/// <param name="Proof">The step that set the dough to proof.</param>
/// <param name="Heat">What the thermometer said.</param>
public sealed record PlaceMeasured(StepId Proof, Temperature Heat) : BakeEvent
{
    // A place for dough, or an oven cooling down.
    private static readonly Temperature Coldest = Temperature.FromCelsius(-5),
        Hottest = Temperature.FromCelsius(120);

    internal override Problem? Refused(ChainOfSteps chain)
    {
        if (chain.At(Milestone.SetToProof, Proof.Batch)?.Id != Proof)
            return new("unknown:proof", "proof");
        return Heat < Coldest || Heat > Hottest ? new("out-of-range:place", "heat", Coldest, Hottest) : null;
    }

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        soFar with
        {
            PlaceReadings = soFar.PlaceReadings.SetItem(Proof.Batch, Heat),
        };
}

/// <summary>The proofing dough was moved: what it has risen stays, the rest follows the new place.</summary>
/// <param name="Proof">The step that set the dough to proof.</param>
/// <param name="To">Where it stands from then on.</param>
public sealed record ProofMoved(StepId Proof, Place To) : BakeEvent
{
    internal override Problem? Refused(ChainOfSteps chain)
    {
        if (chain.At(Milestone.SetToProof, Proof.Batch)?.Id != Proof)
            return new("unknown:proof", "proof");
        return To is { IsPossible: true } ? null : new("unknown:place", "to");
    }

    // What was measured was of the place before.
    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) =>
        soFar with
        {
            Moves = soFar.Moves.Add(new(Proof.Batch, Then, To)),
            PlaceReadings = soFar.PlaceReadings.Remove(Proof.Batch),
        };
}

/// <summary>The bread was eaten and judged; told again, it is judged anew and ends no later for it.</summary>
/// <param name="Step">The review step.</param>
/// <param name="Stars">1 to 5.</param>
/// <param name="Note">For next time; may be empty.</param>
public sealed record Reviewed(StepId Step, int Stars, string Note) : StepEvent(Step)
{
    internal override Problem? Wrong()
    {
        if (Stars is < 1 or > 5)
            return new("out-of-range:stars", "stars");
        return Note is null ? new("empty:note", "note") : PlainText.CheckNote(Note, "note");
    }

    /// <inheritdoc/>
    public override BakeEvent Composed() => this with { Note = Measures.Composed.Of(Note) };

    internal override bool CanFollowTheEnd => true;

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) => soFar.Steps.ContainsKey(Step) ? soFar : base.AddTo(soFar, spec);
}

/// <summary>Whatever was calling then was heard.</summary>
public sealed record AlarmsHushed : BakeEvent
{
    internal override bool Begins => false;

    internal override bool IsTakenBackByButton => false;
}

/// <summary>The day was laid out anew around this bake; the last one counts.</summary>
/// <param name="NotBefore">Steps with the time they are held to.</param>
/// <param name="HotFrom">Ovens that another bake has heated before, by id: to what.</param>
public sealed record Arranged(
    ImmutableDictionary<StepId, DateTimeOffset> NotBefore,
    ImmutableDictionary<string, Temperature> HotFrom
) : BakeEvent
{
    /// <summary>How far ahead a step may be held.</summary>
    public static TimeSpan LongestAhead { get; } = TimeSpan.FromDays(15);

    /// <summary>Steps the baker wants at a time of their own; none when null.</summary>
    public ImmutableDictionary<StepId, DateTimeOffset>? Pins { get; init; }

    /// <summary>Stretches cut short, with their ends; none when null.</summary>
    public ImmutableDictionary<StepId, DateTimeOffset>? Until { get; init; }

    /// <summary>Ovens that another bake has left warm for dough, by id; none when null.</summary>
    public ImmutableHashSet<string>? StillWarm { get; init; }

    internal override bool Begins => false;

    internal override bool IsTakenBackByButton => false;

    /// <summary>An arrangement, told.</summary>
    public static Arranged Of(Arrangement to)
    {
        ArgumentNullException.ThrowIfNull(to);
        return new(to.NotBefore, to.HotFrom)
        {
            Pins = to.Pins.IsEmpty ? null : to.Pins,
            Until = to.Until.IsEmpty ? null : to.Until,
            StillWarm = to.StillWarm.IsEmpty ? null : to.StillWarm,
        };
    }

    /// <summary>What it holds the bake to.</summary>
    public Arrangement ToArrangement() =>
        new(NotBefore, HotFrom)
        {
            Pins = Pins ?? Arrangement.Free.Pins,
            Until = Until ?? Arrangement.Free.Until,
            StillWarm = StillWarm ?? [],
        };

    internal override Problem? Refused(ChainOfSteps chain)
    {
        if (NotBefore is null || HotFrom is null)
            return new("unknown:step", "notBefore");
        var known = chain.Steps.Select(s => s.Id).ToHashSet();
        var steps = NotBefore.Keys.Concat(Pins?.Keys ?? []).Concat(Until?.Keys ?? []);
        if (!steps.All(known.Contains))
            return new("unknown:step", "notBefore");
        var times = NotBefore.Values.Concat(Pins?.Values ?? []);
        var farthest = chain.Bake.SoFar.Now + LongestAhead;
        return times.Any(t => t > farthest) ? new("out-of-range:ahead", "notBefore", LongestAhead.TotalDays) : null;
    }

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) => soFar with { Arranged = ToArrangement() };
}

/// <summary>The baker takes steps over that came after the bake was laid out.</summary>
/// <param name="Rules">Up to this version of the rules.</param>
public sealed record RulesTaken(int Rules) : BakeEvent
{
    internal override bool Begins => false;

    internal override Problem? Refused(ChainOfSteps chain)
    {
        var bake = chain.Bake;
        return Rules <= bake.SoFar.RulesOf(bake.Spec) || Rules > RuleBook.Version ? new("out-of-range:rules", "rules") : null;
    }

    internal override SoFar AddTo(SoFar soFar, BakeSpec spec) => soFar with { RulesTaken = Rules };
}

/// <summary>The bake was given up.</summary>
public sealed record Stopped : BakeEvent
{
    internal override bool GivesUp => true;
}

/// <summary>An earlier event is taken back; may itself be taken back.</summary>
/// <param name="Position">The event's position in the log.</param>
public sealed record Undone(int Position) : BakeEvent
{
    internal override bool Begins => false;

    internal override bool IsTakenBackByButton => false;

    internal override bool CanFollowTheEnd => true;
}
