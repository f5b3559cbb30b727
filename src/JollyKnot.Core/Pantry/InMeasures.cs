// An amount as cups, spoons and pieces: for who has no scale.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>A measure that is filled or counted.</summary>
public enum MeasureKind
{
    /// <summary>Cups.</summary>
    Cup,

    /// <summary>Tablespoons.</summary>
    Tablespoon,

    /// <summary>Teaspoons.</summary>
    Teaspoon,

    /// <summary>Pieces: eggs.</summary>
    Piece,
}

/// <summary>So many of a measure.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Count">How many; over 0, in the fractions that measures come in.</param>
public sealed record InMeasure(MeasureKind Kind, double Count);

/// <summary>Amounts as they are measured.</summary>
public static class InMeasures
{
    // From here on a cup is taken rather than spoons: a quarter of one.
    private const double LeastCup = .25;

    // What is left under this part of the whole is not worth another spoon. Ours.
    private const double Nearly = .02;

    private const int TeaspoonsInTablespoon = 3;

    private static readonly ImmutableArray<double> CupParts = [0, 1 / 4d, 1 / 3d, 1 / 2d, 2 / 3d, 3 / 4d];
    private static readonly ImmutableArray<double> SpoonParts = [1 / 8d, 1 / 4d, 1 / 3d, 1 / 2d, 2 / 3d, 3 / 4d];

    /// <summary>An amount as it is measured, the largest measure first; empty where nobody knows what a measure of it
    /// weighs.</summary>
    /// <param name="ingredient">Of what.</param>
    /// <param name="mass">How much; over 0.</param>
    /// <param name="measuring">How the household measures.</param>
    public static ImmutableArray<InMeasure> Of(Ingredient ingredient, Mass mass, Measuring measuring)
    {
        ArgumentNullException.ThrowIfNull(ingredient);
        ArgumentNullException.ThrowIfNull(measuring);
        if (ingredient.Packing is not { } packing)
            return [];
        if (packing.Each is { } each && (ingredient.Role == Role.Egg || packing is { PerCup: null, PerTeaspoon: null }))
            return [new(MeasureKind.Piece, Math.Max(.5, Math.Round(mass / each * 2) / 2))];
        return packing.VolumeOf(mass, measuring) is { } volume ? OfVolume(volume, measuring.Cups) : [];
    }

    private static ImmutableArray<InMeasure> OfVolume(Volume volume, CupSize cups)
    {
        var (cup, spoon) = (Unit.Find("cup")!.VolumeOf(cups), Unit.Find("tsp")!.VolumeOf(cups));
        var filled = CupsIn(volume / cup);
        var left = (volume.Millilitres - filled * cup.Millilitres) / spoon.Millilitres;
        var isEnough = filled > 0 && left * spoon.Millilitres < volume.Millilitres * Nearly;
        return
        [
            .. filled > 0 ? [new InMeasure(MeasureKind.Cup, filled)] : Array.Empty<InMeasure>(),
            .. isEnough ? []
            : filled > 0 ? Roughly(left)
            : Spoons(left),
        ];
    }

    // The most cups, in the parts that cups come in, that are not more than what is wanted.
    private static double CupsIn(double wanted)
    {
        if (wanted < LeastCup * (1 - Nearly))
            return 0;
        var allowed = wanted * (1 + Nearly);
        return CupParts.Select(part => Math.Floor(allowed - part) + part).Where(cups => cups <= allowed).Max();
    }

    // Beside cups nobody levels off teaspoons, once there is a tablespoon of it.
    private static ImmutableArray<InMeasure> Roughly(double teaspoons) =>
        teaspoons < TeaspoonsInTablespoon
            ? Spoons(teaspoons)
            : [new(MeasureKind.Tablespoon, Math.Round(teaspoons / TeaspoonsInTablespoon * 2) / 2)];

    private static ImmutableArray<InMeasure> Spoons(double teaspoons)
    {
        var tablespoons = Math.Round(teaspoons / TeaspoonsInTablespoon * 2) / 2;
        if (Math.Abs(teaspoons - tablespoons * TeaspoonsInTablespoon) <= teaspoons * Nearly * 2 && tablespoons >= 1)
            return [new(MeasureKind.Tablespoon, tablespoons)];
        var whole = Math.Floor(teaspoons / TeaspoonsInTablespoon);
        var rest = NearestSpoon(teaspoons - whole * TeaspoonsInTablespoon);
        if (rest >= TeaspoonsInTablespoon)
            (whole, rest) = (whole + 1, 0);
        return
        [
            .. whole > 0 ? [new InMeasure(MeasureKind.Tablespoon, whole)] : Array.Empty<InMeasure>(),
            .. rest > 0 ? [new InMeasure(MeasureKind.Teaspoon, rest)] : Array.Empty<InMeasure>(),
        ];
    }

    private static double NearestSpoon(double teaspoons)
    {
        var whole = Math.Floor(teaspoons);
        return SpoonParts.Select(part => whole + part).Append(whole).Append(whole + 1).MinBy(s => Math.Abs(s - teaspoons));
    }
}
