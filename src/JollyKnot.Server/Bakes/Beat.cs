using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Reflection;
using System.Text.Json.Serialization;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Bakes;

/// <summary>One answer on offer at a step.</summary>
/// <param name="Value">What the event says.</param>
/// <param name="Label">What the button says.</param>
/// <param name="Hint">What follows from it; may be empty.</param>
/// <param name="Water">Suggested dose of water.</param>
/// <param name="Flour">Suggested dose of flour.</param>
/// <param name="Poked">What a finger leaves, where the answer is one of poking.</param>
public sealed record Answer(
    string Value,
    string Label,
    string Hint = "",
    Mass? Water = null,
    Mass? Flour = null,
    Poke? Poked = null
);

/// <summary>The one thing now.</summary>
/// <param name="Step">Step id.</param>
/// <param name="Ending">What ends it: which control to show.</param>
/// <param name="Tells">The type of the event that usually ends it.</param>
/// <param name="IsDue">The baker can do it now; else it is waited for.</param>
/// <param name="Due">When it is due.</param>
/// <param name="Say">The bench sentence: what to do, or what is going on meanwhile.</param>
/// <param name="Phrase">How the step itself is said.</param>
/// <param name="Expected">The reading expected, for steps that end with a mass.</param>
/// <param name="Believed">A reading outside this is asked back; null where none is expected.</param>
/// <param name="OnScale">It is weighed; else it is measured, and its mass is only reckoned.</param>
/// <param name="Answers">Answers on offer.</param>
/// <param name="Cautions">Cautions that matter here.</param>
/// <param name="Recipe">What the recipe says here; may be empty.</param>
public sealed record Beat(
    StepId Step,
    Ending Ending,
    string Tells,
    bool IsDue,
    DateTimeOffset Due,
    string Say,
    Phrase Phrase,
    Mass? Expected,
    Plausible? Believed,
    bool OnScale,
    ImmutableArray<Answer> Answers,
    ImmutableArray<string> Cautions,
    string Recipe
)
{
    /// <summary>Before its time it is asked once: bread would suffer.</summary>
    public bool AsksFirst { get; init; }

    /// <summary>Why it is done; empty once something of its kind was done in this bake.</summary>
    public string Why { get; init; } = "";

    /// <summary>The bread in hand, as it will look; null while it is dough for all of them.</summary>
    public BreadLook? Bread { get; init; }

    internal static Beat Of(BakeState state, Slot slot, Voice words)
    {
        var (spec, step, now) = (state.Plan.Spec, slot.Step, state.SoFar.Now);
        var isDue = slot.Start <= now;
        var phrase = words.Of(step, spec, step.Rule.Panel == Panel.Station ? state.Station : null);
        // Once pieces are weighed, hands know.
        var cautions = state.SoFar.Parts.IsEmpty ? Core.Steps.Cautions.Of(state.Chain).Where(c => c.Step == step.Id) : [];
        return new(
            Step: step.Id,
            Ending: step.Ending!.Value,
            Tells: EventTypes[step.Rule.Usual(step).GetType()],
            IsDue: isDue,
            Due: slot.Start,
            Say: isDue ? phrase.Say : Meanwhile(state, words),
            Phrase: phrase,
            Expected: step.Ending == Ending.Mass ? step.About?.Mass : null,
            Believed: step.Ending == Ending.Mass && step.About?.Mass is { } planned ? Plausible.Around(planned) : null,
            OnScale: !spec.NoScale,
            Answers: AnswersTo(step, state, words),
            Cautions: [.. cautions.Select(c => words.Of(c.Caution, spec))],
            Recipe: step.Rule.ToldAt is { } stage ? string.Join(". ", MethodReading.Said(spec.Dough.Notes, stage)) : ""
        )
        {
            AsksFirst = step.Batch is not null && step.Rule.SuffersEarly(state.Chain.Of(step)),
            Why = state.Timetable.Slots.Any(s => s.State == StepState.Done && s.Step.Kind == step.Kind)
                ? ""
                : WhyWords.Of(step.Kind),
            Bread = step.Batch is null ? null : spec.LookOf(state.Chain.Of(step).Bread),
        };
    }

    // What events are called on the wire.
    private static readonly FrozenDictionary<Type, string> EventTypes = typeof(BakeEvent)
        .GetCustomAttributes<JsonDerivedTypeAttribute>()
        .ToFrozenDictionary(a => a.DerivedType, a => (string)a.TypeDiscriminator!);

    private static string Meanwhile(BakeState state, Voice words)
    {
        var stretch = GoesOn(state);
        if (stretch?.Step is { Holds: Lane.Proof } proof && state.Chain.Of(proof) is { Proof.CanGoIn: true } of)
            return Voice.WaitsForOven(of.Bread);
        return words.Meanwhile(stretch, state.Plan.Spec, state.SoFar.Now);
    }

    // The stretch that the dough is in.
    private static Slot? GoesOn(BakeState state) =>
        state.Timetable.Slots.LastOrDefault(s =>
            !s.Step.IsBeat && s.Step.Holds is not null && s.Start <= state.SoFar.Now && s.State == StepState.Open
        );

    private static ImmutableArray<Answer> AnswersTo(Step step, BakeState state, Voice words) =>
        step.Ending switch
        {
            Ending.YesNo => [new("no", "It does not", Voice.DoesNotTurn)],
            Ending.Feel => [.. Enum.GetValues<DoughFeel>().Select(f => Dose(f, state, words))],
            Ending.TakeOut => [.. DoughCheck.AtTakeOut.Select(f => new Answer(Name(f), Voice.Felt(f)))],
            Ending.Look => step.Batch is null ? LooksInBowl(state.Plan.Spec) : LooksAt(state.Chain.Of(step)),
            _ => [],
        };

    private static Answer Dose(DoughFeel feel, BakeState state, Voice words)
    {
        var (dose, held) = (state.DoseFor(feel), state.SoFar.HeldLeft(state.Plan.Spec));
        var isHeld = held > Mass.Zero && dose.Water > Mass.Zero;
        var hint = isHeld ? words.AllHeld(held, state.Plan.Spec.Liquid!.Ingredient.Name) : words.Of(dose);
        return new(Name(feel), Voice.Of(feel, state.Plan.Spec.Machine.ByHand), hint, Rounded(dose.Water), Rounded(dose.Flour));
    }

    private static ImmutableArray<Answer> LooksAt(Forecast of)
    {
        var (wanted, rim) = (of.Bread.WantedRise(of.Piece), of.Bread.RimFor(of.Piece));
        return [.. Looks.Answers(rim).Select(seen => Look(seen, Sight.CanGoIn(seen, wanted, rim)))];
    }

    private static ImmutableArray<Answer> LooksInBowl(BakeSpec spec) =>
        [.. Looks.InBowl.Select(seen => new Answer(Name(seen), Voice.Of(seen), BowlRise.Has(seen, spec) ? "Divide it" : ""))];

    private static Answer Look(Seen seen, bool canGoIn) =>
        new(Name(seen), Voice.Of(seen), canGoIn && seen != Seen.GoesIn ? "Can go in" : "", Poked: Looks.PokeOf(seen));

    private static Mass Rounded(Mass mass) => Mass.FromGrams(mass.WholeGrams);

    private static string Name<T>(T value)
        where T : struct, Enum => System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString());
}
