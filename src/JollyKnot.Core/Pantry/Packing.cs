// How an ingredient fills a measure: the bridge from cups and spoons to grams.
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>How the household fills a cup of flour.</summary>
public enum CupHabit
{
    /// <summary>Spooned in and levelled.</summary>
    Spooned,

    /// <summary>Scooped and levelled.</summary>
    Dipped,
}

/// <summary>Which cups and spoons the household owns.</summary>
public enum CupSize
{
    /// <summary>The US cup of 236.59 mL and its spoons.</summary>
    Us,

    /// <summary>The metric cup of 250 mL and its spoons.</summary>
    Metric,

    /// <summary>Metric cups and spoons; pints and fluid ounces are the imperial ones of the United Kingdom.</summary>
    Imperial,

    /// <summary>The Australian ones: a tablespoon of 20 mL, imperial pints.</summary>
    Australian,
}

/// <summary>How a household measures what it does not weigh.</summary>
/// <param name="Cups">Its cups and spoons.</param>
/// <param name="Habit">How it fills them.</param>
public sealed record Measuring(CupSize Cups, CupHabit Habit)
{
    /// <summary>US cups, spooned.</summary>
    public static Measuring Usual { get; } = new(CupSize.Us, CupHabit.Spooned);
}

/// <summary>What a measure of an ingredient weighs. Null where it is not measured that way.</summary>
/// <param name="PerCup">A US cup; of flours, spooned.</param>
/// <param name="DippedPerCup">A US cup of flour, dipped.</param>
/// <param name="SiftedPerCup">A US cup of flour, sifted before measuring.</param>
/// <param name="PerTeaspoon">A US teaspoon, where it is known better than from the cup.</param>
/// <param name="DensePerTeaspoon">The same of its denser kind, where there are two.</param>
/// <param name="Each">One of it.</param>
/// <param name="WeighedCup">The household's own weighed cup, which wins over habit and table.</param>
public sealed record Packing(
    Mass? PerCup = null,
    Mass? DippedPerCup = null,
    Mass? SiftedPerCup = null,
    Mass? PerTeaspoon = null,
    Mass? DensePerTeaspoon = null,
    Mass? Each = null,
    Mass? WeighedCup = null
)
{
    /// <summary>The US cup, to which the table's figures belong.</summary>
    public static Volume UsCup { get; } = Volume.FromMillilitres(236.59);

    /// <summary>The US teaspoon, to which the table's figures belong.</summary>
    public static Volume UsTeaspoon { get; } = Volume.FromMillilitres(4.93);

    // Up to here a spoon's figure is nearer the truth than a cup's.
    private static readonly Volume SpoonsUpTo = Volume.FromMillilitres(50);

    /// <summary>What so much of it weighs, and what it would weigh filled the other way; null where nothing is known.</summary>
    /// <param name="volume">The volume.</param>
    /// <param name="habit">How the cup is filled.</param>
    /// <param name="cup">The cup a weighed cup was weighed with.</param>
    /// <param name="sifted">Sifted before measuring.</param>
    public (Mass Mass, Mass? Other)? MassOf(Volume volume, CupHabit habit, Volume cup, bool sifted = false)
    {
        Mass? Of(Mass? each, Volume measure) => each is { } m ? m * (volume / measure) : null;
        if (Of(WeighedCup, cup) is { } weighed)
            return (weighed, null);
        if (sifted && Of(SiftedPerCup, UsCup) is { } light)
            return (light, null);
        if (PerTeaspoon is not null && (volume.Millilitres <= SpoonsUpTo.Millilitres || PerCup is null))
            return (Of(PerTeaspoon, UsTeaspoon)!.Value, Of(DensePerTeaspoon, UsTeaspoon));
        var (spooned, dipped) = (Of(PerCup, UsCup), Of(DippedPerCup, UsCup));
        // A spoon is filled alike by everybody; the habit is one of cups.
        if (spooned is { } s && (dipped is null || volume.Millilitres <= SpoonsUpTo.Millilitres))
            return (s, null);
        return (spooned, dipped, habit) switch
        {
            ({ } a, { } b, CupHabit.Spooned) => (a, b),
            ({ } a, { } b, _) => (b, a),
            _ => null,
        };
    }

    /// <summary>The volume of so much of it, filled as the household does; null where nothing is known.</summary>
    /// <param name="mass">How much.</param>
    /// <param name="measuring">How it measures.</param>
    public Volume? VolumeOf(Mass mass, Measuring measuring)
    {
        ArgumentNullException.ThrowIfNull(measuring);
        // What a volume weighs goes with the volume, apart from the step from spoons to cups.
        var cup = Unit.Find("cup")!.VolumeOf(measuring.Cups);
        if (MassOf(cup, measuring.Habit, cup) is { } whole && cup * (mass / whole.Mass) is var poured && poured > SpoonsUpTo)
            return poured;
        var spoon = Unit.Find("tsp")!.VolumeOf(measuring.Cups);
        return MassOf(spoon, measuring.Habit, cup) is { } little ? spoon * (mass / little.Mass) : null;
    }

    /// <summary>The volume of so much of it by the table; null where nothing is known.</summary>
    public Volume? VolumeOf(Mass mass) =>
        (PerTeaspoon, PerCup) switch
        {
            ({ } tsp, _) => UsTeaspoon * (mass / tsp),
            (_, { } c) => UsCup * (mass / c),
            _ => null,
        };
}
