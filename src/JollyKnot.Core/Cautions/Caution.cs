// Cautions: each has an id, a trigger, and the step where it matters.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Cautions;

/// <summary>What to be careful of. The words are the interface's.</summary>
public enum Caution
{
    /// <summary>Hands and tools near a turning paddle.</summary>
    MachineHands,
    /// <summary>Raw flour and raw egg.</summary>
    RawDough,
    /// <summary>Dough in an oven that could be switched on.</summary>
    WarmOvenProof,
    /// <summary>Too warm for the yeast.</summary>
    TooWarm,
    /// <summary>Boiling soda water.</summary>
    BoilingBath,
    /// <summary>Very hot oven and parchment.</summary>
    HotSurfaces,
    /// <summary>Allergens present.</summary>
    ChokingAllergen,
    /// <summary>Honey and babies.</summary>
    HoneyInfant,
    /// <summary>The centre stays hot.</summary>
    CoolDown,
    /// <summary>Egg wash left over.</summary>
    LeftoverWash,
    /// <summary>Raw garlic or herbs in butter or oil.</summary>
    Garlic,
    /// <summary>Filled or topped with what spoils.</summary>
    KeepCold,
    /// <summary>Liquid too hot for the yeast.</summary>
    HotLiquid,
    /// <summary>Steam in the oven.</summary>
    Steam,
    /// <summary>A blade.</summary>
    Blade,
    /// <summary>Glass or ceramics from the fridge into the heat.</summary>
    ColdGlass,
}

/// <summary>A caution at a step.</summary>
/// <param name="Caution">Which.</param>
/// <param name="Step">Id of the step where it matters.</param>
public sealed record CautionAt(Caution Caution, string Step);

/// <summary>Finds the cautions of a bake.</summary>
public static class CautionRules
{
    /// <summary>Preheating above this wants gloves and a look at the parchment's limit. After paper makers' usual limit.</summary>
    public static Temperature HotOver { get; } = Temperature.FromCelsius(220);

    /// <summary>Dough over this slows and its surface dries. Cardinal temperatures of baker's yeast.</summary>
    public static Temperature DoughTooWarm { get; } = Temperature.FromCelsius(38);

    /// <summary>Every caution of a bake, in the order of its steps.</summary>
    public static ImmutableArray<CautionAt> Of(BakeSpec spec, ChainOfSteps chain)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(chain);
        return [.. chain.Steps.SelectMany(s => At(s, spec, chain).Select(c => new CautionAt(c, s.Id)))];
    }

    private static IEnumerable<Caution> At(Step step, BakeSpec spec, ChainOfSteps chain)
    {
        switch (step.Kind)
        {
            case StepKind.Paddle when !spec.Dough.Allergens.IsEmpty:
                yield return Caution.ChokingAllergen;
                break;
            case StepKind.WeighIn when step.About?.Thing is { } thing && spec.Dough.Rows.First(r => r.Ingredient.Name == thing).Ingredient.Role == Role.Egg:
            case StepKind.Divide:
            case StepKind.Brush when chain.Of(step).Batch.Bread.Wash.Egg:
                yield return Caution.RawDough;
                break;
            case StepKind.PaddleTurns or StepKind.Check or StepKind.AddIns:
                yield return Caution.MachineHands;
                break;
            case StepKind.StartProof when spec.Place.InOven && step.Batch is null or 0:
                yield return Caution.WarmOvenProof;
                break;
            case StepKind.Bath:
                yield return Caution.BoilingBath;
                break;
            case StepKind.Load when chain.Of(step).Batch.Bread is var bread && (bread.Heat > HotOver || bread.OnGriddle || bread.Pan?.IsStone == true):
                yield return Caution.HotSurfaces;
                if (spec.SteamFor(bread) != Baking.Steam.None) yield return Caution.Steam;
                break;
            case StepKind.Load when spec.SteamFor(chain.Of(step).Batch.Bread) != Baking.Steam.None:
                yield return Caution.Steam;
                break;
            case StepKind.Score:
                yield return Caution.Blade;
                break;
            case StepKind.OutOfFridge:
                yield return Caution.ColdGlass;
                break;
            case StepKind.Load when chain.Of(step).Batch.Bread.Wash.Egg:
                yield return Caution.LeftoverWash;
                break;
            case StepKind.Unload:
                yield return Caution.CoolDown;
                break;
            case StepKind.Bloom:
                yield return Caution.HotLiquid;
                break;
            case StepKind.MakePart when spec.Dough.Parts.Any(p => Chain.PartStep(spec.Dough.Parts.IndexOf(p)) == step.Id && Stores(p)):
                yield return Caution.Garlic;
                break;
        }
        if (step.Kind == StepKind.Review && spec.Dough.Everything.Any(r => r.Ingredient.Name == "honey")) yield return Caution.HoneyInfant;
        if (step.Kind == StepKind.Review && spec.Dough.Spoils)
            yield return Caution.KeepCold;
        if (step.Kind == StepKind.StartProof && chain.Of(step).Proof.Curve.Points.Any(p => p.Celsius > DoughTooWarm.Celsius))
            yield return Caution.TooWarm;
    }

    // Without air, in fat: what raw garlic and herbs must not keep in for long.
    private static bool Stores(Part part) => part.Rows.Any(r => r.Ingredient.Role == Role.Fat) && part.Rows.Any(r => r.Ingredient.Name is "garlic" or "fresh herbs");
}
