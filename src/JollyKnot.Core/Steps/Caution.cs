// Cautions: which there are, the grave ones first. When one matters stands with the rule of its step.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Steps;

/// <summary>What to be careful of, the gravest first. The words are the interface's.</summary>
public enum Caution
{
    /// <summary>Allergens present.</summary>
    ChokingAllergen,

    /// <summary>Honey and babies.</summary>
    HoneyInfant,

    /// <summary>Dough in an oven that could be switched on.</summary>
    WarmOvenProof,

    /// <summary>Boiling soda water.</summary>
    BoilingBath,

    /// <summary>A program that goes on to bake.</summary>
    RunsOn,

    /// <summary>Steam in the oven.</summary>
    Steam,

    /// <summary>Very hot oven and parchment.</summary>
    HotSurfaces,

    /// <summary>Hands and tools near a turning paddle.</summary>
    MachineHands,

    /// <summary>A blade.</summary>
    Blade,

    /// <summary>Glass or ceramics from the fridge into the heat.</summary>
    ColdGlass,

    /// <summary>Liquid too hot for the yeast.</summary>
    HotLiquid,

    /// <summary>Raw garlic or herbs in butter or oil.</summary>
    Garlic,

    /// <summary>Filled or topped with what spoils.</summary>
    KeepCold,

    /// <summary>Egg wash left over.</summary>
    LeftoverWash,

    /// <summary>Raw flour and raw egg.</summary>
    RawDough,

    /// <summary>The centre stays hot.</summary>
    CoolDown,

    /// <summary>Too warm for the yeast.</summary>
    TooWarm,

    /// <summary>The first rise went far past double.</summary>
    OverRisen,
}

/// <summary>A caution at a step.</summary>
/// <param name="Caution">Which.</param>
/// <param name="Step">Where it matters.</param>
public sealed record CautionAt(Caution Caution, StepId Step);

/// <summary>Finds the cautions of a bake.</summary>
public static class Cautions
{
    /// <summary>A load hotter than this wants gloves and a look at the parchment's limit. After paper makers' usual
    /// limit.</summary>
    public static Temperature HotOver { get; } = Temperature.FromCelsius(220);

    /// <summary>Dough over this slows and its surface dries. Cardinal temperatures of baker's yeast.</summary>
    public static Temperature DoughTooWarm { get; } = Temperature.FromCelsius(38);

    /// <summary>The middle of bread stays over this for minutes. Bakers' usage.</summary>
    public static Temperature CentreStaysOver { get; } = Temperature.FromCelsius(90);

    /// <summary>Every caution of a bake, in the order of its steps; of one step, the gravest first.</summary>
    public static ImmutableArray<CautionAt> Of(ChainOfSteps chain)
    {
        ArgumentNullException.ThrowIfNull(chain);
        return [.. chain.Steps.SelectMany(s => s.Rule.CautionsAt(s, chain.Bake).Order().Select(c => new CautionAt(c, s.Id)))];
    }
}
