// What can happen in a bake. The log of these is append-only; names and fields are part of the open formats.
using System.Collections.Immutable;
using System.Text.Json.Serialization;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
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
[JsonDerivedType(typeof(PartWeighed), "part-weighed")]
[JsonDerivedType(typeof(ProofLooked), "proof-looked")]
[JsonDerivedType(typeof(ProbeRead), "probe-read")]
[JsonDerivedType(typeof(PlaceMeasured), "place-measured")]
[JsonDerivedType(typeof(Reviewed), "reviewed")]
[JsonDerivedType(typeof(AlarmsHushed), "alarms-hushed")]
[JsonDerivedType(typeof(Arranged), "arranged")]
[JsonDerivedType(typeof(RulesTaken), "rules-taken")]
[JsonDerivedType(typeof(Stopped), "stopped")]
[JsonDerivedType(typeof(Undone), "undone")]
public abstract record BakeEvent
{
    /// <summary>When it happened, which may be before it was told; null means when it was told.</summary>
    public DateTimeOffset? At { get; init; }

    /// <summary>As it is kept: with text composed.</summary>
    public virtual BakeEvent Composed() => this;
}

/// <summary>An event that does one step.</summary>
/// <param name="Step">The step's id.</param>
public abstract record StepEvent(string Step) : BakeEvent;

/// <summary>A step was done.</summary>
public sealed record StepDone(string Step) : StepEvent(Step);

/// <summary>A step was left out.</summary>
public sealed record StepSkipped(string Step) : StepEvent(Step);

/// <summary>An ingredient went in.</summary>
/// <param name="Step">The weigh-in step.</param>
/// <param name="Mass">What was really put in.</param>
public sealed record IngredientWeighed(string Step, Mass Mass) : StepEvent(Step);

/// <summary>The dough was judged while kneading.</summary>
/// <param name="Step">The check step.</param>
/// <param name="Feel">What was felt.</param>
/// <param name="Water">Water added, 0 or more.</param>
/// <param name="Flour">Flour added, 0 or more.</param>
public sealed record DoughChecked(string Step, DoughFeel Feel, Mass Water, Mass Flour) : StepEvent(Step);

/// <summary>The dough came out of the pan.</summary>
/// <param name="Step">The take-out step.</param>
/// <param name="Feel">How it felt then; worth as much for next time as what was added.</param>
/// <param name="Bulk">It goes into a bowl for so long; null goes on as planned, zero divides now.</param>
public sealed record DoughTakenOut(string Step, DoughFeel Feel, TimeSpan? Bulk = null) : StepEvent(Step);

/// <summary>The whole dough was weighed.</summary>
/// <param name="Step">The weighing step.</param>
/// <param name="Mass">What the scale said.</param>
public sealed record DoughWeighed(string Step, Mass Mass) : StepEvent(Step);

/// <summary>A piece or strand was weighed off, or weighed again.</summary>
/// <param name="Number">1 for the first.</param>
/// <param name="Mass">What the scale said.</param>
public sealed record PartWeighed(int Number, Mass Mass) : BakeEvent;

/// <summary>The proof was looked at.</summary>
/// <param name="Step">The look step.</param>
/// <param name="Seen">What was seen.</param>
public sealed record ProofLooked(string Step, Seen Seen) : StepEvent(Step);

/// <summary>A probe was read while the bread is in the oven.</summary>
/// <param name="Load">The step that loaded it.</param>
/// <param name="Core">What the probe said.</param>
public sealed record ProbeRead(string Load, Temperature Core) : BakeEvent;

/// <summary>The proofing place was measured; a reading beats what is reckoned.</summary>
/// <param name="Proof">The step that set the dough to proof.</param>
/// <param name="Heat">What the thermometer said.</param>
public sealed record PlaceMeasured(string Proof, Temperature Heat) : BakeEvent;

/// <summary>The bread was eaten and judged.</summary>
/// <param name="Step">The review step.</param>
/// <param name="Stars">1 to 5.</param>
/// <param name="Note">For next time; may be empty.</param>
public sealed record Reviewed(string Step, int Stars, string Note) : StepEvent(Step)
{
    /// <inheritdoc/>
    public override BakeEvent Composed() => this with { Note = Measures.Composed.Of(Note) };
}

/// <summary>Whatever was calling then was heard.</summary>
public sealed record AlarmsHushed : BakeEvent;

/// <summary>The day was laid out anew around this bake; the last one counts.</summary>
/// <param name="NotBefore">Steps with the time they are held to.</param>
/// <param name="HotFrom">Ovens that another bake has heated before, by id: to what.</param>
public sealed record Arranged(ImmutableDictionary<string, DateTimeOffset> NotBefore, ImmutableDictionary<string, Temperature> HotFrom) : BakeEvent
{
    /// <summary>Steps the baker wants at a time of their own; none when null.</summary>
    public ImmutableDictionary<string, DateTimeOffset>? Pins { get; init; }

    /// <summary>Stretches cut short, with their ends; none when null.</summary>
    public ImmutableDictionary<string, DateTimeOffset>? Until { get; init; }

    /// <summary>An arrangement, told.</summary>
    public static Arranged Of(Arrangement to)
    {
        ArgumentNullException.ThrowIfNull(to);
        return new(to.NotBefore, to.HotFrom) { Pins = to.Pins.IsEmpty ? null : to.Pins, Until = to.Until.IsEmpty ? null : to.Until };
    }

    /// <summary>What it holds the bake to.</summary>
    public Arrangement ToArrangement() => new(NotBefore, HotFrom) { Pins = Pins ?? Arrangement.Free.Pins, Until = Until ?? Arrangement.Free.Until };
}

/// <summary>The baker takes steps over that came after the bake was laid out.</summary>
/// <param name="Rules">Up to this version of the rules.</param>
public sealed record RulesTaken(int Rules) : BakeEvent;

/// <summary>The bake was given up.</summary>
public sealed record Stopped : BakeEvent;

/// <summary>An earlier event is taken back; may itself be taken back.</summary>
/// <param name="Position">The event's position in the log.</param>
public sealed record Undone(int Position) : BakeEvent;
