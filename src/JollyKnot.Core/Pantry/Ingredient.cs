// What one ingredient is made of and does in a dough.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>What an ingredient does in the dough; decides what it counts towards and where it goes in the pan.</summary>
public enum Role
{
    /// <summary>Ground grain: the whole of every baker's percentage.</summary>
    Flour,

    /// <summary>Anything poured.</summary>
    Liquid,

    /// <summary>Whole eggs, yolks or whites.</summary>
    Egg,

    /// <summary>Butter and oils.</summary>
    Fat,

    /// <summary>Sugars, honey and syrups.</summary>
    Sugar,

    /// <summary>Salt.</summary>
    Salt,

    /// <summary>Packaged yeast of any kind.</summary>
    Yeast,

    /// <summary>Fermented flour and water.</summary>
    Starter,

    /// <summary>Seeds, fruit, vegetables, spices: everything else.</summary>
    Other,
}

/// <summary>An ingredient with its make-up. All shares are of the ingredient's own mass, 0 to 1.</summary>
/// <param name="Name">As shown, singular, lower case.</param>
/// <param name="Role">What it does in the dough.</param>
/// <param name="Water">Free water; the water bound in flour is left out.</param>
/// <param name="Fat">Fat.</param>
/// <param name="Sugar">Sugar that sweetens and slows yeast; lactose is left out.</param>
/// <param name="WaterGiven">The part of its water that the hands feel while kneading: 1, or less where it comes late.</param>
/// <param name="Drinks">Water it takes up itself: the thirst of a flour, of oats, of cocoa.</param>
/// <param name="FlourInside">Flour inside a starter.</param>
/// <param name="YeastStrength">Instant-yeast equivalent: instant 1, active dry 1/1.25, fresh 1/3.</param>
/// <param name="Perishable">Must not stand at room temperature for hours.</param>
/// <param name="MilkSolids">Solids of milk, which brown and soften.</param>
/// <param name="Packing">What a measure of it weighs.</param>
/// <param name="SpecificHeat">kJ/kg·K; the usual one of its role when null.</param>
/// <param name="Chilled">Kept in the fridge.</param>
/// <param name="Late">A flour that drinks late, so that a dose takes longer to show.</param>
public sealed record Ingredient(
    string Name,
    Role Role,
    double Water = 0,
    double Fat = 0,
    double Sugar = 0,
    double WaterGiven = 1,
    double Drinks = 0,
    double FlourInside = 0,
    double YeastStrength = 0,
    bool Perishable = false,
    double MilkSolids = 0,
    Packing? Packing = null,
    double? SpecificHeat = null,
    bool Chilled = false,
    bool Late = false
)
{
    /// <summary>Major allergens, by name; empty when there are none.</summary>
    public ImmutableArray<string> Allergens { get; init; } = [];

    /// <summary>The pantry's name for what it is reckoned like, where it goes by the baker's own word; null else.</summary>
    public string? Like { get; init; }

    /// <summary>Nobody has told what it contains and whether it spoils.</summary>
    public bool IsUntold { get; init; }

    /// <summary>It lifts a dough in the oven's heat: baking soda, baking powder.</summary>
    public bool LiftsInHeat { get; init; }

    /// <summary>What it brings along that a recipe counts by itself; null when nothing.</summary>
    public string? Brings { get; init; }

    /// <summary>Honey of any kind: not for babies.</summary>
    public bool IsHoney { get; init; }

    /// <summary>Raw garlic or herbs: without air, in fat, what harms grows on them.</summary>
    public bool GrowsInFat { get; init; }

    // 20 % of ripe starter doubles a dough at 25 °C in about five hours. Fitted.
    private const double RipeStarter = .0075;

    /// <summary>The instant yeast that one gram of it does the work of.</summary>
    public double Lifts => Role == Role.Starter && YeastStrength <= 0 ? RipeStarter : YeastStrength;

    /// <summary>Starter that was not fed.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsUnfed => Role == Role.Starter && YeastStrength > 0;

    /// <summary>Specific heat, kJ/kg·K. Food engineers' tables, rounded.</summary>
    public double HeatCapacity =>
        SpecificHeat
        ?? Role switch
        {
            Role.Flour or Role.Yeast => 1.8,
            Role.Liquid => 4.18,
            Role.Egg => 3.3,
            Role.Fat => 2.3,
            Role.Sugar => 1.25,
            Role.Salt => .9,
            Role.Starter => 3.0,
            _ => 1.9,
        };

    /// <summary>An ingredient the pantry does not know, of which the baker told only what it does.</summary>
    /// <param name="name">The baker's own word; the caller has checked it.</param>
    /// <param name="role">What it does. A liquid is taken as water, a fat as oil, a sugar as sugar, yeast as instant, an egg as
    /// hen's egg.</param>
    public static Ingredient Own(string name, Role role)
    {
        var watched = Watched.In(name);
        return new Ingredient(
            name,
            role,
            Water: role switch
            {
                Role.Liquid => 1,
                Role.Egg => .76,
                Role.Starter => .5,
                _ => 0,
            },
            Fat: role switch
            {
                Role.Fat => 1,
                Role.Egg => .10,
                _ => 0,
            },
            Sugar: role == Role.Sugar ? 1 : 0,
            FlourInside: role == Role.Starter ? .5 : 0,
            YeastStrength: role == Role.Yeast ? 1 : 0,
            Perishable: role is Role.Egg || watched.Spoils
        )
        {
            Allergens = role == Role.Egg ? [.. watched.Allergens.Append("egg").Distinct()] : watched.Allergens,
            IsHoney = role == Role.Sugar && SoundsLikeHoney(name),
            // A flour, salt or yeast of a name of its own is what it says it does.
            IsUntold = role is Role.Other or Role.Liquid && !watched.IsTold,
        };
    }

    // What a baker most likely means, until told otherwise.
    private static bool SoundsLikeHoney(string name) => name.Split(' ').Any(w => Composed.Folded(w) == "honey");

    // Of anything that is eaten, kJ/kg·K; and the heaviest a cup or a piece of it is.
    private const double LowestHeatCapacity = .1,
        HighestHeatCapacity = 10;
    private static readonly Mass HeaviestMeasure = Mass.FromGrams(2000);

    /// <summary>What is wrong with an own ingredient: its name, shares outside 0 to 1 or over 1 together, measures no kitchen
    /// has, an unknown allergen.</summary>
    /// <param name="ingredient">As typed.</param>
    /// <param name="field">Where it was typed.</param>
    public static ImmutableArray<Problem> Check(Ingredient ingredient, string field = "")
    {
        ArgumentNullException.ThrowIfNull(ingredient);
        var problems = ImmutableArray.CreateBuilder<Problem>();
        var at = field.Length > 0 ? field + "." : "";
        if (PlainText.CheckName(ingredient.Name, at + "name") is { } badName)
            problems.Add(badName);
        if (!Enum.IsDefined(ingredient.Role))
            problems.Add(new("unknown-role", at + "role"));
        var i = ingredient;
        foreach (
            var (name, share, most) in new[]
            {
                ("water", i.Water, 1),
                ("fat", i.Fat, 1),
                ("sugar", i.Sugar, 1),
                ("waterGiven", i.WaterGiven, 1),
                ("drinks", i.Drinks, 2),
                ("flourInside", i.FlourInside, 1),
                ("yeastStrength", i.YeastStrength, 2),
                ("milkSolids", i.MilkSolids, 1d),
            }
        )
            if (!double.IsFinite(share) || share < 0 || share > most)
                problems.Add(new("out-of-range:of-its-weight", at + name, 0, most));
        if (problems.Count == 0 && i.Water + i.Fat + i.Sugar > 1.001)
            problems.Add(new("out-of-range:whole", at + "water"));
        if (i.SpecificHeat is { } heat && heat is not (>= LowestHeatCapacity and <= HighestHeatCapacity))
            problems.Add(new("out-of-range:between", at + "specificHeat", LowestHeatCapacity, HighestHeatCapacity));
        var p = i.Packing;
        foreach (
            var (name, mass) in new[]
            {
                ("perCup", p?.PerCup),
                ("dippedPerCup", p?.DippedPerCup),
                ("siftedPerCup", p?.SiftedPerCup),
                ("perTeaspoon", p?.PerTeaspoon),
                ("densePerTeaspoon", p?.DensePerTeaspoon),
                ("each", p?.Each),
                ("weighedCup", p?.WeighedCup),
            }
        )
            if (mass is { } m && (m <= Mass.Zero || m > HeaviestMeasure))
                problems.Add(new("out-of-range:over", $"{at}packing.{name}", Mass.Zero, HeaviestMeasure));
        if (i.Allergens.Any(a => !Ingredients.Allergens.Contains(a)))
            problems.Add(new("unknown:allergen", at + "allergens"));
        return problems.ToImmutable();
    }
}
