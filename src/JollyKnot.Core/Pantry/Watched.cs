// What a name itself tells of an ingredient nobody has described: whether it spoils, and which major allergens it holds.
using System.Collections.Immutable;

namespace JollyKnot.Core.Pantry;

/// <summary>What a name tells.</summary>
/// <param name="Spoils">It must not stand at room temperature for hours.</param>
/// <param name="Allergens">Major allergens.</param>
/// <param name="IsTold">The name tells something at all.</param>
public sealed record Watched(bool Spoils, ImmutableArray<string> Allergens, bool IsTold)
{
    private sealed record Sign(string Words, bool Spoils, string? Allergen);

    // Words in any name, after the allergen lists of food authorities. What is harmless is told too, so that it is not asked.
    private static readonly ImmutableArray<Sign> Signs =
    [
        new("milk|cream|yogurt|yoghurt|kefir|whey|buttermilk|custard|quark|curd|skyr", true, "milk"),
        new("cheese|mascarpone|ricotta|mozzarella|feta|cheddar|gouda|brie|halloumi|paneer", true, "milk"),
        new("butter|ghee", false, "milk"),
        new("egg|eggs|mayonnaise", true, "egg"),
        new("meat|ham|bacon|sausage|chicken|beef|pork|lamb|turkey|chorizo|salami|mince", true, null),
        new("fish|salmon|tuna|anchovy|anchovies|trout|mackerel|herring|cod", true, "fish"),
        new("prawn|prawns|shrimp|crab|lobster|crayfish", true, "crustaceans"),
        new("mussel|mussels|squid|octopus|oyster|clam|clams", true, "molluscs"),
        new(
            "nut|nuts|almond|almonds|walnut|walnuts|hazelnut|hazelnuts|pecan|pecans|cashew|cashews|pistachio|pistachios|marzipan",
            false,
            "nuts"
        ),
        new("peanut|peanuts|groundnut", false, "peanut"),
        new("soy|soya|tofu|miso|tempeh|edamame", false, "soy"),
        new("sesame|tahini", false, "sesame"),
        new("mustard", false, "mustard"),
        new("celery|celeriac", false, "celery"),
        new("lupin|lupine", false, "lupin"),
        new("wine|sulphite|sulphites|sulfite", false, "sulphites"),
        new(
            "wheat|rye|barley|oat|oats|spelt|malt|bran|semolina|couscous|breadcrumb|breadcrumbs|kamut|emmer|einkorn|beer",
            false,
            "wheat/gluten"
        ),
        new(
            "water|salt|sugar|oil|rice|corn|maize|potato|apple|pear|banana|berry|berries|cherry|lemon|orange|date|fig|raisin|"
                + "onion|garlic|tomato|pepper|chilli|carrot|herb|spice|tea|coffee|cocoa|vanilla|honey|syrup|vinegar|yeast",
            false,
            null
        ),
    ];

    /// <summary>What this name tells.</summary>
    public static Watched In(string name)
    {
        ArgumentNullException.ThrowIfNull(name);
        var words = Phrase.Split(name).SelectMany(w => new[] { w, Phrase.Singular(w) }).ToHashSet();
        var found = Signs.Where(s => s.Words.Split('|').Any(words.Contains)).ToList();
        // "Almond milk" and "coconut cream" are of no cow.
        if (words.Overlaps(["almond", "oat", "soy", "soya", "coconut", "rice", "nut", "peanut", "cocoa"]))
            found.RemoveAll(s => s.Allergen == "milk" && !words.Contains("cheese"));
        return new(
            found.Any(s => s.Spoils),
            [.. found.Select(s => s.Allergen).OfType<string>().Distinct()],
            found.Count > 0 || words.Contains("coconut")
        );
    }
}
