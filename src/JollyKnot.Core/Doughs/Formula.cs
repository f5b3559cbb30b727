// Baker's arithmetic: everything as a share of the flour.
using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>What a dough is, in baker's percentages. Every share is of the flour's mass.</summary>
/// <param name="Total">What goes in altogether.</param>
/// <param name="Flour">All flour, that inside a starter included; over 0.</param>
/// <param name="Rows">Each row's baker's percentage, in the dough's order.</param>
/// <param name="Hydration">True hydration: added water and the water inside the other ingredients.</param>
/// <param name="WorkingHydration">What the hands will feel while kneading: late water left out, thirsty ingredients' share taken
/// off.</param>
/// <param name="Fat">Added fat.</param>
/// <param name="Sugar">Added sugar that dissolves in the dough, without lactose: not that inside fruit, chips and the
/// like.</param>
/// <param name="Salt">Salt.</param>
/// <param name="Yeast">Yeast as instant yeast.</param>
/// <param name="Egg">Egg.</param>
/// <param name="MilkSolids">Solids of milk.</param>
/// <param name="Starter">Flour inside starters.</param>
/// <param name="Leaven">Yeast and starters, as instant yeast.</param>
public sealed record Formula(
    Mass Total,
    Mass Flour,
    ImmutableArray<Share> Rows,
    Share Hydration,
    Share WorkingHydration,
    Share Fat,
    Share Sugar,
    Share Salt,
    Share Yeast,
    Share Egg,
    Share MilkSolids,
    Share Starter,
    Share Leaven
)
{
    /// <summary>Fat and sugar together from which a dough counts as rich, share of flour. Bakers' usage.</summary>
    public const double RichFromFatAndSugar = .10;

    /// <summary>Egg from which a dough counts as rich, share of flour. Bakers' usage.</summary>
    public const double RichFromEgg = .08;

    /// <summary>Part of the dough that never comes out of machine and bowl. Fitted.</summary>
    public const double LostShare = .01;

    /// <summary>What sticks to pan and paddle whatever the batch. Fitted.</summary>
    public static Mass LeftInPan { get; } = Mass.FromGrams(6);

    /// <summary>Rich doughs brown sooner, are done cooler and keep longer.</summary>
    public bool IsRich => Fat.Fraction + Sugar.Fraction >= RichFromFatAndSugar || Egg.Fraction >= RichFromEgg;

    // A dough does not change, nor does what follows from it; it is asked for at every step.
    private static readonly ConditionalWeakTable<Dough, Formula> Reckoned = [];

    /// <summary>Reckons a dough.</summary>
    public static Formula Of(Dough dough)
    {
        ArgumentNullException.ThrowIfNull(dough);
        return Reckoned.GetValue(dough, Reckon);
    }

    private static Formula Reckon(Dough dough)
    {
        double Sum(Func<DoughRow, double> part) => dough.Rows.Sum(r => part(r) * r.Mass.Grams);
        var flour = Sum(r => r.Ingredient.Role == Role.Flour ? 1 : r.Ingredient.FlourInside);
        Share OfFlour(double grams) => Share.FromFraction(grams / flour);
        // Beside soda or baking powder, unfed starter is there for its taste.
        var isLiftedInHeat = dough.Rows.Any(r => r.Ingredient.LiftsInHeat);
        Share OfRole(Role role) => OfFlour(Sum(r => r.Ingredient.Role == role ? 1 : 0));
        return new(
            dough.Total,
            Mass.FromGrams(flour),
            [.. dough.Rows.Select(r => OfFlour(r.Mass.Grams))],
            OfFlour(Sum(r => r.Ingredient.Water)),
            OfFlour(Sum(r => r.Ingredient.Water * r.Ingredient.WaterGiven - r.Ingredient.Drinks)),
            OfFlour(Sum(r => r.Ingredient.Role == Role.Flour ? 0 : r.Ingredient.Fat)),
            OfFlour(Sum(r => r.Ingredient.Role == Role.Other ? 0 : r.Ingredient.Sugar)),
            OfRole(Role.Salt),
            OfFlour(Sum(r => r.Ingredient.Role == Role.Yeast ? r.Ingredient.YeastStrength : 0)),
            OfRole(Role.Egg),
            OfFlour(Sum(r => r.Ingredient.MilkSolids)),
            OfFlour(Sum(r => r.Ingredient.FlourInside)),
            OfFlour(Sum(r => isLiftedInHeat && r.Ingredient.IsUnfed ? 0 : r.Ingredient.Lifts))
        );
    }

    /// <summary>The dough that comes out of the pan when so much went in; never below 0.</summary>
    public static Mass Yield(Mass wentIn) => Mass.FromGrams(Math.Max(0, wentIn.Grams * (1 - LostShare) - LeftInPan.Grams));

    /// <summary>What has to go in so that so much comes out: the inverse of <see cref="Yield"/>.</summary>
    public static Mass Needed(Mass comesOut) => Mass.FromGrams((comesOut.Grams + LeftInPan.Grams) / (1 - LostShare));
}
