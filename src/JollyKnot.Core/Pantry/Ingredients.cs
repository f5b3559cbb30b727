// The pantry's own list. Make-up and measures after the USDA food tables, rounded; strengths of yeast as bakers reckon them.
using System.Collections.Frozen;
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>Every ingredient the pantry knows, and finding one by the baker's word for it.</summary>
public static class Ingredients
{
    // A vocabulary of a size that no pantry outgrows: what a name may hold as allergen.
    private static readonly ImmutableArray<string> Gluten = ["wheat/gluten"],
        Milk = ["milk"],
        HensEgg = ["egg"],
        Sesame = ["sesame"],
        Nuts = ["nuts"],
        Soy = ["soy"],
        Mustard = ["mustard"],
        Sulphites = ["sulphites"];

    /// <summary>The major allergens an own ingredient may be marked with.</summary>
    public static ImmutableArray<string> Allergens { get; } =
    [
        .. Gluten,
        .. Milk,
        .. HensEgg,
        .. Sesame,
        .. Nuts,
        .. Soy,
        .. Mustard,
        "peanut",
        "celery",
        "fish",
        "crustaceans",
        "molluscs",
        "lupin",
        .. Sulphites,
    ];

    /// <summary>All known ingredients, in the order of the pantry shelf.</summary>
    public static ImmutableArray<Ingredient> All { get; } =
    [
        Of("strong white flour", Role.Flour, Fat: .015, Allergens: Gluten, Packing: Flour(127, 145, 117)),
        Of("plain flour", Role.Flour, Fat: .01, Allergens: Gluten, Packing: Flour(125, 142, 115)),
        Of("wholemeal flour", Role.Flour, Fat: .025, Drinks: .06, Allergens: Gluten, Packing: Flour(120, 135), Late: true),
        Of("rye flour", Role.Flour, Allergens: Gluten, Packing: Flour(102, 120), Late: true),
        Of("spelt flour", Role.Flour, Allergens: Gluten, Packing: Flour(120, 135)),
        Of("semolina", Role.Flour, Allergens: Gluten, Packing: Cup(160)),
        Of("fine cornmeal", Role.Flour, Packing: Cup(160)),
        Of("dark rye flour", Role.Flour, Drinks: .06, Allergens: Gluten, Packing: Flour(128, 146), Late: true),
        Of("buckwheat flour", Role.Flour, Packing: Flour(120, 137)),
        Of("self-raising flour", Role.Flour, Fat: .01, Allergens: Gluten, Packing: Flour(125, 142, 115)) with
        {
            Brings = "salt and baking powder",
            LiftsInHeat = true,
        },
        Of("rice flour", Role.Flour, Packing: Flour(158, 165)),
        Of("potato starch", Role.Flour, Packing: Cup(160)),
        Of("cornflour", Role.Flour, Packing: Cup(128)),
        Of("water", Role.Liquid, Water: 1, Packing: Cup(236.6, 4.93)),
        Of(
            "whole milk",
            Role.Liquid,
            Water: .88,
            Fat: .033,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .12,
            Packing: Cup(244, 5.1),
            SpecificHeat: 3.9,
            Chilled: true
        ),
        Of(
            "skim milk",
            Role.Liquid,
            Water: .91,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .09,
            Packing: Cup(245),
            SpecificHeat: 3.9,
            Chilled: true
        ),
        Of(
            "buttermilk",
            Role.Liquid,
            Water: .90,
            Fat: .01,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .10,
            Packing: Cup(245),
            SpecificHeat: 3.9,
            Chilled: true
        ),
        Of(
            "plain yogurt",
            Role.Liquid,
            Water: .87,
            Fat: .033,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .13,
            Packing: Cup(245),
            SpecificHeat: 3.7,
            Chilled: true
        ),
        Of(
            "sour cream",
            Role.Liquid,
            Water: .74,
            Fat: .19,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .26,
            Packing: Cup(230),
            SpecificHeat: 3.5,
            Chilled: true
        ),
        Of(
            "cream",
            Role.Liquid,
            Water: .58,
            Fat: .36,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .42,
            Packing: Cup(238),
            SpecificHeat: 3.3,
            Chilled: true
        ),
        Of(
            "single cream",
            Role.Liquid,
            Water: .74,
            Fat: .19,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .26,
            Packing: Cup(240),
            SpecificHeat: 3.5,
            Chilled: true
        ),
        Of(
            "double cream",
            Role.Liquid,
            Water: .47,
            Fat: .48,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .53,
            Packing: Cup(240),
            SpecificHeat: 3.0,
            Chilled: true
        ),
        Of(
            "goat milk",
            Role.Liquid,
            Water: .87,
            Fat: .04,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .13,
            Packing: Cup(244, 5.1),
            SpecificHeat: 3.9,
            Chilled: true
        ),
        Of("oat drink", Role.Liquid, Water: .90, Fat: .015, Sugar: .04, Allergens: Gluten, Packing: Cup(236.6), Chilled: true),
        Of("soy drink", Role.Liquid, Water: .91, Fat: .02, Allergens: Soy, Packing: Cup(236.6), Chilled: true),
        Of("almond drink", Role.Liquid, Water: .96, Fat: .01, Allergens: Nuts, Packing: Cup(236.6), Chilled: true),
        Of("rice drink", Role.Liquid, Water: .88, Fat: .01, Sugar: .05, Packing: Cup(236.6), Chilled: true),
        Of("soy yogurt", Role.Liquid, Water: .87, Fat: .023, Allergens: Soy, Packing: Cup(245), SpecificHeat: 3.7, Chilled: true),
        Of("coconut yogurt", Role.Liquid, Water: .75, Fat: .15, Packing: Cup(240), SpecificHeat: 3.5, Chilled: true),
        Of("stock", Role.Liquid, Water: .97, Perishable: true, Allergens: ["celery"], Packing: Cup(237)),
        Of("coconut milk", Role.Liquid, Water: .72, Fat: .21, Packing: Cup(236.6)),
        Of("tea or coffee", Role.Liquid, Water: .99, Packing: Cup(237)),
        Of("beer", Role.Liquid, Water: .92, Allergens: Gluten, Packing: Cup(237)),
        Of("apple juice", Role.Liquid, Water: .88, Sugar: .10, Packing: Cup(248)),
        Of("lemon juice", Role.Liquid, Water: .92, Packing: new(G(244), Each: G(45))),
        Of("vinegar", Role.Liquid, Water: .94, Packing: Cup(239)),
        Of("wine", Role.Liquid, Water: .87, Allergens: Sulphites, Packing: Cup(236)),
        Of("spirits", Role.Liquid, Water: .62, Packing: Cup(225)),
        Of("vegetable juice", Role.Liquid, Water: .93, Sugar: .04, Packing: Cup(243)),
        Of(
            "curd cheese",
            Role.Other,
            Water: .80,
            Fat: .04,
            WaterGiven: .5,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .20,
            Packing: Cup(220),
            SpecificHeat: 3.5,
            Chilled: true
        ),
        Of(
            "cream cheese",
            Role.Other,
            Water: .54,
            Fat: .34,
            WaterGiven: .5,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .46,
            Packing: Cup(232),
            Chilled: true
        ),
        Of(
            "ricotta",
            Role.Other,
            Water: .72,
            Fat: .13,
            WaterGiven: .5,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .28,
            Packing: Cup(246),
            Chilled: true
        ),
        Of(
            "mascarpone",
            Role.Other,
            Water: .46,
            Fat: .45,
            WaterGiven: .5,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .54,
            Packing: Cup(235),
            Chilled: true
        ),
        Of(
            "soft cheese",
            Role.Other,
            Water: .52,
            Fat: .22,
            WaterGiven: .2,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .48,
            Packing: Cup(113),
            Chilled: true
        ),
        Of("skim milk powder", Role.Other, Water: .03, Fat: .01, Allergens: Milk, MilkSolids: .97, Packing: Cup(68)),
        Of("dried egg", Role.Egg, Water: .03, Fat: .43, Allergens: HensEgg, Packing: Cup(85)),
        Of("dried milk powder", Role.Other, Water: .03, Fat: .01, Allergens: Milk, MilkSolids: .97, Packing: Cup(120, 2.5)),
        Of(
            "malted milk powder",
            Role.Other,
            Water: .03,
            Fat: .08,
            Sugar: .5,
            Allergens: [.. Milk, .. Gluten],
            MilkSolids: .4,
            Packing: Cup(120, 2.5)
        ),
        Of("egg", Role.Egg, Water: .76, Fat: .10, Perishable: true, Allergens: HensEgg, Packing: Each(50), Chilled: true),
        Of("egg yolk", Role.Egg, Water: .52, Fat: .27, Perishable: true, Allergens: HensEgg, Packing: Each(18), Chilled: true),
        Of("egg white", Role.Egg, Water: .88, Perishable: true, Allergens: HensEgg, Packing: Each(32), Chilled: true),
        Of("butter", Role.Fat, Water: .16, Fat: .81, Allergens: Milk, Packing: Cup(227, 4.7), Chilled: true),
        Of("olive oil", Role.Fat, Fat: 1, Packing: Cup(218, 4.5)),
        Of("sunflower oil", Role.Fat, Fat: 1, Packing: Cup(218, 4.5)),
        Of("rapeseed oil", Role.Fat, Fat: 1, Packing: Cup(218, 4.5)),
        Of("coconut oil", Role.Fat, Fat: 1, Packing: Cup(218, 4.5)),
        Of("sesame oil", Role.Fat, Fat: 1, Allergens: Sesame, Packing: Cup(218, 4.5)),
        Of("nut oil", Role.Fat, Fat: 1, Allergens: Nuts, Packing: Cup(218, 4.5)),
        Of("peanut oil", Role.Fat, Fat: 1, Allergens: ["peanut"], Packing: Cup(218, 4.5)),
        Of("clarified butter", Role.Fat, Fat: 1, Allergens: Milk, Packing: Cup(205)),
        Of("vegan butter", Role.Fat, Water: .16, Fat: .8, Packing: Cup(227, 4.7)),
        Of("lard", Role.Fat, Fat: 1, Packing: Cup(205)),
        Of("shortening", Role.Fat, Fat: 1, Packing: Cup(190)),
        Of("sugar", Role.Sugar, Sugar: 1, Packing: Cup(200, 4.2)),
        Of("vanilla sugar", Role.Sugar, Sugar: 1, Packing: new(G(200), PerTeaspoon: G(4.2), Each: G(8))),
        Of("icing sugar", Role.Sugar, Sugar: 1, Packing: Cup(120)),
        Of("brown sugar", Role.Sugar, Water: .013, Sugar: .97, Packing: Cup(220, 4.6)),
        Of("honey", Role.Sugar, Water: .17, Sugar: .82, Packing: Cup(339, 7.1), SpecificHeat: 2.5) with
        {
            IsHoney = true,
        },
        Of("malt powder", Role.Sugar, Sugar: .5, Allergens: Gluten, Packing: Cup(130, 2.9)),
        Of("barley malt syrup", Role.Sugar, Water: .22, Sugar: .7, Allergens: Gluten, Packing: Cup(330, 6.9), SpecificHeat: 2.5),
        Of("black treacle", Role.Sugar, Water: .22, Sugar: .7, Packing: Cup(330, 6.9), SpecificHeat: 2.5),
        Of("sugar beet syrup", Role.Sugar, Water: .22, Sugar: .67, Packing: Cup(330, 6.9), SpecificHeat: 2.5),
        Of("golden syrup", Role.Sugar, Water: .20, Sugar: .78, Packing: Cup(340, 7.1), SpecificHeat: 2.5),
        Of("maple syrup", Role.Sugar, Water: .32, Sugar: .67, Packing: Cup(315, 6.6), SpecificHeat: 2.5),
        Of("jam", Role.Sugar, Water: .3, Sugar: .65, Packing: Cup(320, 6.7), SpecificHeat: 2.8),
        Of(
            "lemon curd",
            Role.Sugar,
            Water: .3,
            Fat: .1,
            Sugar: .45,
            Perishable: true,
            Allergens: [.. Milk, .. HensEgg],
            Packing: Cup(300)
        ),
        Of("fine salt", Role.Salt, Packing: Spoon(6.0)),
        Of("coarse salt", Role.Salt, Packing: new(PerTeaspoon: G(2.8), DensePerTeaspoon: G(4.8))),
        Of("coarse sea salt", Role.Salt, Packing: Spoon(5.0)),
        Of("instant yeast", Role.Yeast, YeastStrength: 1, Packing: Spoon(3.1)),
        Of("active dry yeast", Role.Yeast, YeastStrength: 1 / 1.25, Packing: Spoon(3.1)),
        Of("fresh yeast", Role.Yeast, Water: .70, YeastStrength: 1 / 3d, Chilled: true),
        Of("ripe starter", Role.Starter, Water: .5, FlourInside: .5, Allergens: Gluten, Packing: Cup(227)),
        Of("ripe rye starter", Role.Starter, Water: .5, FlourInside: .5, Allergens: Gluten, Packing: Cup(227)),
        // Unfed, it does a tenth of a ripe one's work. Fitted.
        Of(
            "starter discard",
            Role.Starter,
            Water: .5,
            FlourInside: .5,
            YeastStrength: .00075,
            Allergens: Gluten,
            Packing: Cup(227)
        ),
        Of("rolled oats", Role.Other, Fat: .07, Drinks: .9, Allergens: Gluten, Packing: Cup(90), Late: true),
        Of("wheat bran", Role.Other, Fat: .04, Drinks: .9, Allergens: Gluten, Packing: Cup(58), Late: true),
        Of("cracked grain", Role.Other, Fat: .02, Drinks: .9, Allergens: Gluten, Packing: Cup(165), Late: true),
        Of("breadcrumbs", Role.Other, Water: .1, WaterGiven: 0, Drinks: .9, Allergens: Gluten, Packing: Cup(110), Late: true),
        Of("wheat gluten", Role.Other, Allergens: Gluten, Packing: Cup(130)),
        Of("raisins", Role.Other, Water: .15, WaterGiven: 0, Sugar: .6, Packing: Cup(150)),
        Of("dried fruit", Role.Other, Water: .20, WaterGiven: 0, Sugar: .6, Packing: Cup(140)),
        Of(
            "fresh fruit",
            Role.Other,
            Water: .86,
            Sugar: .1,
            WaterGiven: .3,
            Perishable: true,
            Packing: new(G(150), Each: G(150))
        ),
        Of("marzipan", Role.Other, Water: .1, WaterGiven: 0, Fat: .25, Sugar: .45, Allergens: Nuts, Packing: Cup(250)),
        Of("pumpkin seeds", Role.Other, Fat: .45, Drinks: .1, Packing: Cup(140, 2.9)),
        Of("sunflower seeds", Role.Other, Fat: .5, Drinks: .1, Packing: Cup(140, 2.9)),
        Of("sesame seeds", Role.Other, Fat: .5, Drinks: .1, Allergens: Sesame, Packing: Cup(145, 3)),
        Of("poppy seeds", Role.Other, Fat: .45, Drinks: .1, Packing: Cup(145, 3)),
        Of("linseed", Role.Other, Fat: .42, Drinks: .1, Packing: Cup(140, 2.9)),
        Of("ground almonds", Role.Other, Water: .05, WaterGiven: 0, Fat: .5, Allergens: Nuts, Packing: Cup(96)),
        Of("ground nuts", Role.Other, Water: .05, WaterGiven: 0, Fat: .5, Allergens: Nuts, Packing: Cup(110)),
        Of("coconut flour", Role.Other, Fat: .15, Drinks: 1, Packing: Cup(112)),
        Of("desiccated coconut", Role.Other, Fat: .65, Packing: Cup(80, 1.6)),
        Of("soy flour", Role.Other, Fat: .2, Drinks: .5, Allergens: Soy, Packing: Cup(85)),
        Of("peanuts", Role.Other, Fat: .49, Allergens: ["peanut"], Packing: Cup(146)),
        Of("peanut butter", Role.Fat, Water: .02, Fat: .5, Allergens: ["peanut"], Packing: Cup(258)),
        Of("nut butter", Role.Fat, Water: .02, Fat: .55, Allergens: Nuts, Packing: Cup(256)),
        Of("tahini", Role.Fat, Water: .03, Fat: .53, Allergens: Sesame, Packing: Cup(240)),
        Of(
            "chocolate spread",
            Role.Other,
            WaterGiven: 0,
            Fat: .31,
            Sugar: .55,
            Allergens: [.. Milk, .. Soy, .. Nuts],
            Packing: Cup(300)
        ),
        Of("pesto", Role.Other, Fat: .45, Perishable: true, Allergens: [.. Milk, .. Nuts], Packing: Cup(240), Chilled: true),
        Of("chopped nuts", Role.Other, Fat: .55, Allergens: Nuts, Packing: Cup(120)),
        Of("chocolate", Role.Other, Fat: .32, Sugar: .5, WaterGiven: 0, Allergens: [.. Milk, .. Soy], Packing: Cup(170)),
        Of(
            "hard cheese",
            Role.Other,
            Water: .35,
            WaterGiven: 0,
            Fat: .33,
            Perishable: true,
            Allergens: Milk,
            Packing: Cup(100),
            Chilled: true
        ),
        Of("mashed potato", Role.Other, Water: .78, WaterGiven: .5, Perishable: true, Packing: Cup(210), SpecificHeat: 3.4),
        Of("pumpkin purée", Role.Other, Water: .9, WaterGiven: .5, Perishable: true, Packing: Cup(245), SpecificHeat: 3.8),
        Of(
            "porridge",
            Role.Other,
            Water: .84,
            WaterGiven: .4,
            Perishable: true,
            Allergens: Gluten,
            Packing: Cup(234),
            SpecificHeat: 3.7
        ),
        Of("cooked grain", Role.Other, Water: .66, WaterGiven: .1, Perishable: true, Allergens: Gluten, Packing: Cup(170)),
        Of("cooked rice", Role.Other, Water: .68, WaterGiven: .1, Perishable: true, Packing: Cup(186)),
        Of("applesauce", Role.Other, Water: .82, Sugar: .11, WaterGiven: .7, Packing: Cup(244), SpecificHeat: 3.7),
        Of("tomato sauce", Role.Other, Water: .9, WaterGiven: .8, Packing: Cup(245), SpecificHeat: 3.8),
        Of("tomato paste", Role.Other, Water: .74, WaterGiven: .5, Packing: Cup(262, 5.4)),
        Of("dried vegetables", Role.Other, Water: .15, WaterGiven: 0, Packing: new(G(80), Each: G(5))),
        Of(
            "cooked leek",
            Role.Other,
            Water: .88,
            WaterGiven: .5,
            Perishable: true,
            Packing: new(G(210), Each: G(113)),
            SpecificHeat: 3.8
        ),
        Of(
            "cooked onion",
            Role.Other,
            Water: .88,
            WaterGiven: .5,
            Perishable: true,
            Packing: new(G(210), Each: G(100)),
            SpecificHeat: 3.8
        ),
        Of("potato flakes", Role.Other, Water: .07, Drinks: 1, Packing: Cup(60)),
        Of("raw onion", Role.Other, Water: .90, Packing: new(G(150), Each: G(150)), SpecificHeat: 3.8),
        Of("raw leek", Role.Other, Water: .90, Packing: new(G(150), Each: G(170)), SpecificHeat: 3.8),
        Of("raw pepper", Role.Other, Water: .90, Packing: new(G(150), Each: G(150)), SpecificHeat: 3.8),
        Of("smoked fish", Role.Other, Water: .65, WaterGiven: 0, Perishable: true, Allergens: ["fish"], Chilled: true),
        Of("chopped vegetables", Role.Other, Water: .92, Perishable: true, Packing: Cup(150), SpecificHeat: 3.9, Chilled: true),
        Of("bacon", Role.Other, Water: .4, WaterGiven: 0, Fat: .4, Perishable: true, Chilled: true),
        Of("cocoa", Role.Other, Fat: .12, Drinks: .8, Packing: Cup(85)),
        Of("cinnamon", Role.Other, Packing: Spoon(2.6)),
        Of("cream of tartar", Role.Other, Packing: Spoon(3)),
        Of("ground spice", Role.Other, Packing: Spoon(2.2)),
        Of("mustard", Role.Other, Water: .8, Allergens: Mustard, Packing: Spoon(5.2)),
        Of("mustard seeds", Role.Other, Fat: .3, Allergens: Mustard, Packing: Spoon(3)),
        Of("nutritional yeast", Role.Other, Packing: Cup(60, 1.7)),
        Of("vanilla extract", Role.Other, Water: .5, Packing: Spoon(4.3)),
        Of("almond extract", Role.Other, Water: .5, Allergens: Nuts, Packing: Spoon(4.3)),
        // Its seeds: the pod is taken out again.
        Of("vanilla pod", Role.Other, Packing: Each(.5)),
        Of("orange zest", Role.Other, Packing: new(PerTeaspoon: G(2), Each: G(4))),
        Of("spring onion", Role.Other, Water: .90, Packing: new(G(100), Each: G(15)), SpecificHeat: 3.8),
        Of("shallot", Role.Other, Water: .88, Packing: new(G(150), Each: G(30)), SpecificHeat: 3.8),
        Of("pearl sugar", Role.Sugar, Sugar: 1, Packing: Cup(190, 4)),
        Of(
            "evaporated milk",
            Role.Liquid,
            Water: .74,
            Fat: .08,
            Sugar: .10,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .26,
            Packing: Cup(252)
        ),
        Of(
            "condensed milk",
            Role.Liquid,
            Water: .27,
            Fat: .08,
            Sugar: .55,
            Perishable: true,
            Allergens: Milk,
            MilkSolids: .28,
            Packing: Cup(306)
        ),
        Of("orange juice", Role.Liquid, Water: .88, Sugar: .09, Packing: new(G(248), Each: G(80))),
        Of("banana", Role.Other, Water: .75, Sugar: .12, Packing: new(G(225), Each: G(118)), SpecificHeat: 3.4),
        Of("lemon zest", Role.Other, Packing: new(PerTeaspoon: G(2), Each: G(3))),
        Of("garlic", Role.Other, Water: .6, WaterGiven: .5, Packing: new(PerTeaspoon: G(2.8), Each: G(4))) with
        {
            GrowsInFat = true,
        },
        Of(
            "fresh herbs",
            Role.Other,
            Water: .85,
            WaterGiven: 0,
            Packing: new(PerCup: G(25), PerTeaspoon: G(.8)),
            Chilled: true
        ) with
        {
            GrowsInFat = true,
        },
        Of("dried herbs", Role.Other, Packing: Spoon(1)),
        Of("baking soda", Role.Other, Packing: Spoon(4.6)) with
        {
            LiftsInHeat = true,
        },
        Of("baking powder", Role.Other, Packing: Spoon(4.6)) with
        {
            LiftsInHeat = true,
        },
    ];

    // Other words for what stands on the shelf.
    internal static readonly ImmutableArray<(string Word, string Name)> Words =
    [
        .. WordList
            .Lines("shelf")
            .SelectMany(line => line.To.Split('|', StringSplitOptions.TrimEntries).Select(word => (word, line.From))),
    ];

    // Names of many things: one of them keeps the baker's own word, and is reckoned like them.
    private static readonly FrozenSet<string> Collective = new[]
    {
        "ground spice",
        "chopped vegetables",
        "fresh herbs",
        "dried herbs",
        "dried fruit",
        "chopped nuts",
        "ground nuts",
        "hard cheese",
        "soft cheese",
        "bacon",
        "smoked fish",
        "raisins",
        "pumpkin seeds",
        "mashed potato",
        "tea or coffee",
        "fresh fruit",
        "jam",
        "spirits",
        "dried vegetables",
        "cracked grain",
        "cooked grain",
        "cooked rice",
    }.ToFrozenSet();

    // What a word begins with that is kept beside what it is reckoned like: kefir is no buttermilk, and weighs like it.
    internal const char KeepsItsWord = '~';

    private static readonly FrozenDictionary<string, string> CookedNames = new Dictionary<string, string>
    {
        ["raw onion"] = "cooked onion",
        ["raw leek"] = "cooked leek",
        ["spring onion"] = "cooked onion",
        ["shallot"] = "cooked onion",
    }.ToFrozenDictionary();

    /// <summary>What a raw thing is called when it was cooked so; null when it was not, or goes by the same name.</summary>
    internal static string? Cooked(string name, IEnumerable<string> manner) =>
        manner.Any(m => m is "fried" or "cooked" or "softened" or "caramelised" or "caramelized" or "roasted" or "sauteed")
            ? CookedNames.GetValueOrDefault(name)
            : null;

    /// <summary>What a raw thing is called once it was cooked.</summary>
    internal static string CookedOf(string name) =>
        CookedNames.GetValueOrDefault(name) ?? (name.StartsWith(Raw, StringComparison.Ordinal) ? name[Raw.Length..] : name);

    private const string Raw = "raw ";

    private static readonly Lazy<FrozenSet<string>> EveryWord = new(() =>
        All.Select(i => i.Name).Concat(Words.Select(w => w.Word)).Select(Phrase.Of).ToFrozenSet()
    );

    /// <summary>Whether the shelf has something that goes by these words.</summary>
    internal static bool IsName(string words) => EveryWord.Value.Contains(Phrase.Of(words));

    /// <summary>Whether this is the name of many things, each of which bakers call otherwise.</summary>
    internal static bool IsCollective(string name) => Collective.Contains(name);

    /// <summary>The ingredient that goes by this word, or null when the pantry does not know it. Case and outer blanks do not
    /// matter.</summary>
    public static Ingredient? Find(string word) => HouseholdPantry.Plain.Find(word);

    private static Ingredient Of(
        string name,
        Role role,
        double Water = 0,
        double Fat = 0,
        double Sugar = 0,
        double WaterGiven = 1,
        double Drinks = 0,
        double FlourInside = 0,
        double YeastStrength = 0,
        bool Perishable = false,
        ImmutableArray<string> Allergens = default,
        double MilkSolids = 0,
        Packing? Packing = null,
        double? SpecificHeat = null,
        bool Chilled = false,
        bool Late = false
    ) =>
        new(
            name,
            role,
            Water,
            Fat,
            Sugar,
            WaterGiven,
            Drinks,
            FlourInside,
            YeastStrength,
            Perishable,
            MilkSolids,
            Packing,
            SpecificHeat,
            Chilled,
            Late
        )
        {
            Allergens = Allergens.IsDefault ? [] : Allergens,
        };

    private static Mass G(double grams) => Mass.FromGrams(grams);

    private static Packing Flour(double spooned, double dipped, double? sifted = null) =>
        new(G(spooned), G(dipped), sifted is { } s ? G(s) : null);

    private static Packing Cup(double grams, double? teaspoon = null) =>
        new(G(grams), PerTeaspoon: teaspoon is { } t ? G(t) : null);

    private static Packing Spoon(double grams) => new(PerTeaspoon: G(grams));

    private static Packing Each(double grams) => new(Each: G(grams));
}
