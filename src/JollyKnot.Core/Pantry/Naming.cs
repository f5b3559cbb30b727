// What a line's words name: the pantry's ingredient, or the nearest to it, and how it is prepared.
using System.Collections.Frozen;
using System.Collections.Immutable;

namespace JollyKnot.Core.Pantry;

// What was named; what it is reckoned like where the pantry does not know it.
internal sealed record Identified(
    string Name,
    Ingredient? Ingredient,
    Ingredient? Like,
    ImmutableArray<string> Manner,
    string Preparation
);

internal static class Naming
{
    // Words that say how a thing is, not what it is.
    public static FrozenSet<string> Manner { get; } =
        string.Join(
                ' ',
                "of the a an and or in at for with from to plus your some more extra as i e g about approx approximately "
                    + "each total need needed taste serve",
                "softened soft melted beaten lightly well whisked lukewarm warm warmed hot cold cool cooled chilled ice icy "
                    + "tepid boiling boiled room temperature temp blood hand",
                "divided sifted packed firmly lightly loosely level levelled leveled heaped heaping rounded scant generous "
                    + "good fresh freshly finely roughly coarsely thinly",
                "grated shredded chopped diced sliced minced crushed ground crumbled cubed peeled drained rinsed toasted "
                    + "roasted pitted seedless raw cooked fried mashed scalded riced boiled",
                "large medium small xl jumbo big free range organic local best quality unbleached bleached stoneground "
                    + "stone milled enriched pure natural",
                "unsweetened sweetened salted unsalted dried dry whole fat full filtered tap bottled ripe active"
                    + " bubbly fed fine frozen "
                    + "plain strong pack packet sachet cube can tin jar carton tub glass bottle spoon spoonful handful"
                    + " size sized",
                "alittle dusting greasing brushing glazing sprinkling topping filling rolling kneading rubbed optional "
                    + "preferably ideally homemade leftover day old thick thin runny clear liquid powdered without shell shells"
            )
            .Split(' ')
            .ToFrozenSet();

    // What many things share: with an unknown word before it, it is another thing.
    private static readonly FrozenSet<string> Heads = (
        "flour oil milk butter sugar cheese seed powder cream yeast salt syrup vinegar juice starch water nut spice "
        + "herb white yolk fruit sauce egg soda"
    )
        .Split(' ')
        .ToFrozenSet();

    // Behind a thing's name these tell its form; any other word makes another thing of it: hazelnut spread, chicken stock.
    private static readonly FrozenSet<string> Forms = (
        "leaf thread strand clove ball half halves chunk cube piece strip stick wedge slice floret heart"
        + " kernel flake crumb bit "
        + "shaving curl ring round segment stem sprig bunch head bulb needle pod grain mix blend style brand type kind tin "
        + "fillet drop chip square block bar lump pearl steak breast tip on over under until while if as per or but not "
        + "left see depending according up off out any only both just then so before after dissolved made bought kept cut torn "
        + "split broken shell skin stone mature sharp mild aged smoky kosher crusty "
        + "using use such because mine yours okay works fine"
    )
        .Split(' ')
        .ToFrozenSet();

    // What these are said of is not what it is without them.
    private static readonly FrozenSet<string> Otherwise = "candied glace glacé crystallised crystallized vegan wild"
        .Split(' ')
        .ToFrozenSet();

    // Milk, cream and cheese of plants hold no milk.
    private static readonly FrozenSet<string> OfPlants = "soy soya coconut oat almond cashew rice hemp pea vegan plant"
        .Split(' ')
        .ToFrozenSet();

    // Words that are an ingredient only when they stand alone.
    private static readonly FrozenSet<string> Adjectives = "plain white strong rye wholemeal spelt malt barley"
        .Split(' ')
        .ToFrozenSet();

    // Behind these stands what it lies in or is for, not what it is.
    private static readonly FrozenSet<string> LiesIn = "in dans en sott for".Split(' ').ToFrozenSet();

    // Behind these stands how it is, not what it is.
    private static readonly ImmutableArray<string> Commas = [",", ";", " - ", " – "];

    // "butter, softened": the ingredient is what stands before the comma, unless only both together are one.
    public static Identified Of(string words, HouseholdPantry pantry, RecipeLanguage? language = null)
    {
        var comma = Commas.Select(c => words.IndexOf(c, StringComparison.Ordinal)).Where(i => i >= 0).DefaultIfEmpty(-1).Min();
        var (before, after) = comma < 0 ? (words, "") : (words[..comma], words[(comma + 1)..].Trim(' ', '-', '–'));
        var first = Match(before, pantry, language);
        if (first.Ingredient is null && after.Length > 0 && Match(words, pantry, language) is { Ingredient: not null } both)
            return both;
        // "flour, strong white".
        if (
            after.Length > 0
            && first.Ingredient is { } one
            && pantry.Find($"{after} {before}") is { } turned
            && (turned.Like is null || turned.Like != one.Like)
        )
            return first with { Name = turned.Name, Ingredient = turned, Like = turned };
        ImmutableArray<string> manner = [.. first.Manner, .. Phrase.Split(after)];
        var meant = first.Ingredient is { } named ? MadeOf(named, manner, pantry) ?? named : null;
        return first with
        {
            Ingredient = meant,
            Like = meant ?? first.Like,
            Preparation = string.Join(", ", new[] { first.Preparation, after }.Where(p => p.Length > 0)),
            Manner = manner,
        };
    }

    // What the words around a name make of the thing: cherries that are dried, an onion that is fried, yeast that is fresh.
    private static Ingredient? MadeOf(Ingredient named, ImmutableArray<string> manner, HouseholdPantry pantry) =>
        named switch
        {
            { Like: "fresh fruit" } when manner.Contains("dried") => pantry.Find($"dried {named.Name}"),
            { Like: "dried fruit" } when manner.Any(m => m is "fresh" or "frozen") => pantry.Find("fresh fruit")! with
            {
                Name = named.Name,
                Like = "fresh fruit",
            },
            { Name: "plain flour" } when manner.Contains("strong") => pantry.Find("strong white flour"),
            { Role: Role.Yeast } => YeastSaid(named, manner, pantry),
            _ when Ingredients.Cooked(named.Name, manner) is { } cooked => AsMuchAsIsLeft(named, pantry.Find(cooked)),
            _ => null,
        };

    // What holds more water is fresh: dried, it is another thing. Ours.
    private const double FreshFrom = .5;

    // Fresh yeast is fresh whatever stands between the two words, and dried yeast dried: one weighs for three of the other.
    private static Ingredient? YeastSaid(Ingredient yeast, ImmutableArray<string> manner, HouseholdPantry pantry)
    {
        var isFresh = yeast.Name == Fresh;
        var saysFresh = manner.Contains("fresh");
        if (saysFresh == isFresh)
            return null;
        return saysFresh ? pantry.Find(Fresh)
            : manner.Any(m => m is "dry" or "dried") ? pantry.Find("dry yeast")
            : null;
    }

    private const string Fresh = "fresh yeast";

    // By the piece, what was raw is weighed as it was, less what frying takes.
    private static Ingredient? AsMuchAsIsLeft(Ingredient raw, Ingredient? cooked) =>
        cooked?.Packing is { } packing && raw.Packing?.Each is { } each
            ? cooked with
            {
                Packing = packing with { Each = each * LeftByFrying },
            }
            : cooked;

    // Bakers' usage.
    private const double LeftByFrying = 2 / 3d;

    private static Identified Match(string words, HouseholdPantry pantry, RecipeLanguage? language)
    {
        var all = Phrase
            .Split(words)
            .Where(w => w.Length > 0 && !char.IsDigit(w[0]) || w is "00" or "405" or "550")
            .ToImmutableArray();
        if (pantry.Find(string.Join(' ', all)) is { } exact)
            return new(exact.Name, exact, exact, all, "");
        // "milk or water": the first of the two.
        var or = all.IndexOf("or");
        if (or > 0 && Match(string.Join(' ', all[..or]), pantry, language) is { Ingredient: not null } oneOf)
            return oneOf with { Preparation = "or " + string.Join(' ', all[(or + 1)..]) };

        // "Artichokes in olive oil" are artichokes.
        var kept = all.ToList().FindIndex(LiesIn.Contains);
        if (kept > 0)
        {
            var thing = Match(string.Join(' ', all[..kept]), pantry, language);
            return thing with { Manner = all, Preparation = string.Join(' ', [thing.Preparation, .. all[kept..]]).Trim() };
        }

        // "Huile de sésame" is an oil, "sesame oil" too.
        var isHeadFirst = language?.IsHeadFirst == true;
        ImmutableArray<string> phrase = [.. all.Select(Phrase.Singular)];
        (int From, int To, Ingredient Found)? best = null;
        for (var from = 0; from < all.Length; from++)
            for (var to = pantry.Begins(phrase[from]) ? Math.Min(all.Length, from + 5) : from; to > from; to--)
                if (
                    all[to - 1] != "of"
                    && (best is null || (!isHeadFirst && to - from >= best.Value.To - best.Value.From))
                    && pantry.FindPhrase(string.Join(' ', phrase[from..to].Where(w => w != "of"))) is { } found
                )
                    best = (from, to, found);
        // Words of manner may stand between: "strong organic white flour".
        var plain = all.Where(w =>
                !Manner.Contains(w)
                || w
                    is "plain"
                        or "strong"
                        or "whole"
                        or "dry"
                        or "dried"
                        or "active"
                        or "fresh"
                        or "ripe"
                        or "white"
                        or "ground"
                        or "raw"
                        or "cooked"
                        or "fried"
                        or "smoked"
            )
            .ToImmutableArray();
        var core = all.Where(w => !Manner.Contains(w)).ToImmutableArray();
        foreach (var fewer in new[] { plain, core })
            if (
                fewer.Length > 0
                && (best is null || fewer.Length > best.Value.To - best.Value.From)
                && pantry.Find(string.Join(' ', fewer)) is { } direct
            )
                return new(direct.Name, direct, direct, all, string.Join(' ', all.Except(fewer).Where(w => w.Length > 2)));
        if (best is not { } b || b.To - b.From == 1 && all.Length > 1 && Adjectives.Contains(all[b.From]))
            return new(words.Trim(), null, null, all, "");
        var left = all.Where((w, i) => i < b.From || i >= b.To)
            .Where(w => w.Length > 1 && !Manner.Contains(w) && !Manner.Contains(Phrase.Singular(w)))
            .ToList();
        var another =
            left.Count > 3
            || (
                left.Count > 0
                && (b.To - b.From == 1 || language is { IsEuropean: true })
                && Heads.Contains(Phrase.Singular(all[b.To - 1]))
            )
            || IsMadeOfIt(all, b.From, b.To, language)
            || left.Any(Otherwise.Contains)
            || (b.Found.Allergens.Contains("milk") && left.Any(OfPlants.Contains))
            || (b.Found.Role == Role.Starter && all.Contains("dried"))
            || (
                all.Any(w => w is "dried" or "powdered" or "dehydrated")
                && b.Found is { Role: Role.Other or Role.Liquid, Water: > FreshFrom }
                && pantry.Find($"dried {b.Found.Name}") is null
            );
        return new(
            another ? words.Trim() : b.Found.Name,
            another ? null : b.Found,
            b.Found,
            all,
            string.Join(' ', all.Where((w, i) => (i < b.From || i >= b.To) && w.Length > 2 && w is not ("the" or "for" or "and")))
        );
    }

    // Whether the words beside a name make another thing of it: in English the one behind it, where names come first what they
    // are the name of.
    private static bool IsMadeOfIt(ImmutableArray<string> all, int from, int to, RecipeLanguage? language)
    {
        if (language is null or { IsEuropean: true, IsHeadFirst: false })
            return false;
        bool SaysHow(string word) =>
            word.Length < 2
            || Manner.Contains(word)
            || Manner.Contains(Phrase.Singular(word))
            || Forms.Contains(Phrase.Singular(word))
            || word.EndsWith("ed", StringComparison.Ordinal)
            || word.EndsWith("ly", StringComparison.Ordinal);
        if (!language.IsHeadFirst)
            return to < all.Length && !SaysHow(all[to]);
        return all[..from].Any(w => !SaysHow(w)) || (to < all.Length - 1 && all[to] == "of" && !SaysHow(all[to + 1]));
    }
}
