// The household's pantry: the shelf everybody has, and what this household added, weighed, learned and pays.
using System.Collections.Immutable;
using System.Text.Json.Serialization;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>A pack as bought.</summary>
/// <param name="Pack">What is in it; over 0.</param>
/// <param name="Cost">What it costs; 0 or more.</param>
public sealed record Price(Mass Pack, Money Cost)
{
    /// <summary>What so much of it costs.</summary>
    public Money Of(Mass mass) => Cost * (mass / Pack);
}

/// <summary>A household's pantry.</summary>
/// <param name="Habit">How cups of flour are filled.</param>
/// <param name="Cups">Which cups and spoons.</param>
/// <param name="Own">Own ingredients, and own versions of known ones, which win.</param>
/// <param name="Learned">Own words: from a phrase, as <see cref="Phrase.Of"/> makes it, to an ingredient's name.</param>
/// <param name="Prices">Packs by ingredient name.</param>
public sealed record HouseholdPantry(
    CupHabit Habit,
    CupSize Cups,
    ImmutableArray<Ingredient> Own,
    ImmutableDictionary<string, string> Learned,
    ImmutableDictionary<string, Price> Prices
)
{
    /// <summary>The most own ingredients and own words.</summary>
    public const int MostOwn = 500;

    // What names were made of, and the names: a copy with other cups has the same.
    private sealed record Named(
        ImmutableArray<Ingredient> Own,
        ImmutableDictionary<string, string> Learned,
        Dictionary<string, Ingredient> ByPhrase,
        HashSet<string> FirstWords
    );

    private Named? named;

    /// <summary>The shelf everybody has, US cups, spooned.</summary>
    public static HouseholdPantry Plain { get; } =
        new(
            CupHabit.Spooned,
            CupSize.Us,
            [],
            ImmutableDictionary<string, string>.Empty,
            ImmutableDictionary<string, Price>.Empty
        );

    private Named Names =>
        named is { } known && known.Own == Own && known.Learned == Learned ? known : named = Index(Own, Learned);

    /// <summary>The household's cup.</summary>
    [JsonIgnore]
    public Volume Cup => Cups == CupSize.Us ? Packing.UsCup : Volume.FromMillilitres(250);

    /// <summary>Every ingredient: the shelf with own versions in their place, then own ones.</summary>
    [JsonIgnore]
    public IEnumerable<Ingredient> All =>
        Ingredients
            .All.Select(i => Own.FirstOrDefault(o => o.Name == i.Name) ?? i)
            .Concat(Own.Where(o => Ingredients.All.All(i => i.Name != o.Name)));

    /// <summary>The ingredient that goes by exactly these words, or null. Case, plural and order of blanks do not
    /// matter.</summary>
    public Ingredient? Find(string words) => words is null ? null : FindPhrase(Phrase.Of(words));

    // The same of words that are a phrase already.
    internal Ingredient? FindPhrase(string phrase) => Names.ByPhrase.GetValueOrDefault(phrase);

    // Whether any name begins with this word of a phrase.
    internal bool Begins(string word) => Names.FirstWords.Contains(word);

    /// <summary>What goes by these words here, or in another language that recipes are read in; then it keeps that
    /// name.</summary>
    public Ingredient? Known(string words)
    {
        if (words is null || Find(words) is { } found)
            return words is null ? null : Find(words);
        return RecipeLanguage.NameIn(words) is { } name && Find(name) is { } like
            ? like with
            {
                Name = PlainText.AsName(words),
                Like = like.Like ?? like.Name,
            }
            : null;
    }

    /// <summary>This pantry with an own ingredient, or an own version of a known one.</summary>
    public HouseholdPantry With(Ingredient ingredient)
    {
        ArgumentNullException.ThrowIfNull(ingredient);
        return this with { Own = [.. Own.Where(o => Phrase.Of(o.Name) != Phrase.Of(ingredient.Name)), ingredient] };
    }

    /// <summary>This pantry with a word learned; unchanged when it is known to mean that already, or means nothing
    /// here.</summary>
    /// <param name="words">As read.</param>
    /// <param name="name">What it is called here.</param>
    public HouseholdPantry Learn(string words, string name)
    {
        var phrase = Phrase.Of(words);
        return phrase.Length == 0 || Find(name) is not { } meant || Find(words)?.Name == meant.Name || Learned.Count >= MostOwn
            ? this
            : this with
            {
                Learned = Learned.SetItem(phrase, meant.Name),
            };
    }

    // Of many things that go by one name, each keeps its own.
    private static Ingredient CalledSo(string word, Ingredient ingredient) =>
        word[0] == Ingredients.KeepsItsWord || Ingredients.IsCollective(ingredient.Name)
            ? ingredient with
            {
                Name = word.TrimStart(Ingredients.KeepsItsWord),
                Like = ingredient.Name,
            }
            : ingredient;

    private static Named Index(ImmutableArray<Ingredient> own, ImmutableDictionary<string, string> learned)
    {
        var index = new Dictionary<string, Ingredient>();
        foreach (var ingredient in Ingredients.All.Concat(own))
            index[Phrase.Of(ingredient.Name)] = ingredient;
        var names = new Dictionary<string, Ingredient>(index);
        foreach (var (word, name) in Ingredients.Words)
            index.TryAdd(Phrase.Of(word), CalledSo(word, names[Phrase.Of(name)]));
        foreach (var (phrase, name) in learned)
            if (names.TryGetValue(Phrase.Of(name), out var meant))
                index[phrase] = meant;
        return new(own, learned, index, [.. index.Keys.Select(k => k.Split(' ')[0])]);
    }
}

/// <summary>Words reduced to what tells ingredients apart.</summary>
public static class Phrase
{
    /// <summary>Lower case, words and digits only, plain plurals as singular: "Egg Yolks" and "egg yolk" are one.</summary>
    public static string Of(string words)
    {
        ArgumentNullException.ThrowIfNull(words);
        return string.Join(' ', Split(words).Select(Singular));
    }

    /// <summary>The words, lower case.</summary>
    public static IEnumerable<string> Split(string words)
    {
        ArgumentNullException.ThrowIfNull(words);
        words = Composed.Of(words);
        var from = -1;
        for (var i = 0; i <= words.Length; i++)
        {
            var inside = i < words.Length && (char.IsLetterOrDigit(words[i]) || (words[i] is '\'' or '’' && from >= 0));
            if (inside && from < 0)
                from = i;
            if (inside || from < 0)
                continue;
            yield return words[from..i]
                .ToLowerInvariant()
                .Replace("'s", "", StringComparison.Ordinal)
                .Replace("’s", "", StringComparison.Ordinal)
                .Trim('\'', '’');
            from = -1;
        }
    }

    /// <summary>A plain plural's singular.</summary>
    public static string Singular(string word)
    {
        ArgumentNullException.ThrowIfNull(word);
        return word switch
        {
            "chillies" or "chilies" or "chilis" => "chilli",
            { Length: > 4 } when word.EndsWith("ies", StringComparison.Ordinal) => word[..^3] + "y",
            { Length: > 4 } when word.EndsWith("oes", StringComparison.Ordinal) => word[..^2],
            { Length: > 4 } when word.EndsWith("leaves", StringComparison.Ordinal) => word[..^3] + "f",
            { Length: > 3 } when word[^1] == 's' && word[^2] is not ('s' or 'u') => word[..^1],
            _ => word,
        };
    }
}
