// From an ingredient line to grams of something the pantry knows: what was understood, how, and what is still to be asked.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>One thing a line asks for, as understood.</summary>
/// <param name="Words">The line's own words for it, without amount and preparation; what a correction is learned for.</param>
/// <param name="Ingredient">The pantry's name for it, or the line's own where the pantry does not know it.</param>
/// <param name="Known">The pantry knows it.</param>
/// <param name="Role">What it does; a guess where it is not known, null where there is none.</param>
/// <param name="Mass">How much; null where it could not be told.</param>
/// <param name="Other">How much it would be measured the other usual way.</param>
/// <param name="AtBeep">Goes in at the beep.</param>
/// <param name="Notes">How it was understood: the middle of a range, which cup, what disagrees.</param>
/// <param name="Preparation">Softened, beaten, divided; empty where nothing is said.</param>
public sealed record ReadRow(
    string Words,
    string Ingredient,
    bool Known,
    Role? Role,
    Mass? Mass,
    Mass? Other,
    bool AtBeep,
    ImmutableArray<string> Notes,
    string Preparation
)
{
    /// <summary>What it is for.</summary>
    public Use Use { get; init; }

    /// <summary>When it meets the bread, where the line says so.</summary>
    public PartMoment? Moment { get; init; }

    /// <summary>The line's own word for it, where it is called otherwise than the pantry has it.</summary>
    public string? Called { get; init; }

    /// <summary>It may be left out.</summary>
    public bool IsOptional { get; init; }

    /// <summary>The line tells a second amount that differs too much to be the same: which one holds is asked.</summary>
    public Mass? Instead { get; init; }

    /// <summary>How much is left to the baker: a dusting, salt to sprinkle.</summary>
    public bool IsToTaste { get; init; }

    /// <summary>Nobody has told whether it spoils and what it contains, and its name does not.</summary>
    public bool IsUntold { get; init; }

    /// <summary>Nothing is left to ask.</summary>
    public bool IsUnderstood => Use == Use.Serving || (Known && (Mass is not null || IsToTaste) && Instead is null);
}

/// <summary>What a baker put right in a line.</summary>
/// <param name="Line">The line as written.</param>
/// <param name="Words">The words that were read in it.</param>
/// <param name="Name">What it is called here.</param>
/// <param name="Role">What it does; needed where the pantry does not know it.</param>
/// <param name="Mass">What it weighs.</param>
/// <param name="Told">Whether it spoils and what it contains; null where that was not told.</param>
public sealed record Correction(string Line, string Words, string Name, Role? Role = null, Mass? Mass = null, Told? Told = null);

/// <summary>What a baker tells of an ingredient nobody knows.</summary>
/// <param name="Spoils">It must not stand at room temperature for hours.</param>
/// <param name="Contains">Major allergens, by name.</param>
public sealed record Told(bool Spoils, ImmutableArray<string> Contains);

/// <summary>Reads single lines.</summary>
public static partial class LineReading
{
    /// <summary>How a role is marked in plain text on an ingredient the pantry does not know.</summary>
    public const string RoleMark = "does: ";

    /// <summary>How an add-in is marked in plain text.</summary>
    public const string BeepMark = "at the beep";

    /// <summary>A packet of dried yeast: 7 g is 2¼ tsp. As packed by the trade.</summary>
    public static Mass YeastPacket { get; } = Measures.Mass.FromGrams(7);

    // Two measures of the same thing may differ by so much before it is worth saying. Ours.
    private const double Agrees = .1;

    // And by so much before it is asked which one holds. Bakers' usage.
    private const double Asked = .15;

    // Without shell, after the weight classes of the USDA and of the European Union.
    private static readonly FrozenDictionary<string, double> UsEggs = new Dictionary<string, double>
    {
        ["small"] = 38,
        ["medium"] = 44,
        ["large"] = 50,
        ["xl"] = 56,
        ["jumbo"] = 63,
    }.ToFrozenDictionary();

    private static readonly FrozenDictionary<string, double> EuropeanEggs = new Dictionary<string, double>
    {
        ["small"] = 43,
        ["s"] = 43,
        ["medium"] = 50,
        ["m"] = 50,
        ["large"] = 58,
        ["l"] = 58,
        ["xl"] = 65,
    }.ToFrozenDictionary();

    // What the table's egg weighs.
    private const double TableEgg = 50;

    // Words that say how a thing is, not what it is.
    private static readonly FrozenSet<string> Manner = string.Join(
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
            "unsweetened sweetened salted unsalted dried dry whole fat full filtered tap bottled ripe active bubbly fed "
                + "plain strong pack packet sachet cube can tin jar carton tub size sized",
            "alittle dusting greasing brushing glazing sprinkling rolling kneading optional preferably ideally homemade "
                + "leftover day old thick thin runny clear liquid powdered without shell shells"
        )
        .Split(' ')
        .ToFrozenSet();

    // What many things share: with an unknown word before it, it is another thing.
    private static readonly FrozenSet<string> Heads = (
        "flour oil milk butter sugar cheese seed powder cream yeast salt syrup vinegar juice starch water nut spice "
        + "herb white yolk fruit sauce egg"
    )
        .Split(' ')
        .ToFrozenSet();

    /// <summary>Reads a line. Empty of a blank one.</summary>
    /// <param name="line">As written.</param>
    /// <param name="pantry">The household's pantry.</param>
    /// <param name="language">What it is written in; English when null.</param>
    public static ImmutableArray<ReadRow> Of(string line, HouseholdPantry pantry, RecipeLanguage? language = null)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(pantry);
        language ??= RecipeLanguage.English;
        if (Squeezed().Replace(line, "${whole} ${part}") is var apart && apart != line)
            return EitherWay(Read(apart, pantry, language), Read(line, pantry, language));
        return Read(line, pantry, language);
    }

    // "11/2 cups" is one and a half, most likely: both are asked.
    private static ImmutableArray<ReadRow> EitherWay(ImmutableArray<ReadRow> likely, ImmutableArray<ReadRow> literal) =>
        likely.IsEmpty || literal.IsEmpty ? literal : likely.SetItem(0, likely[0] with { Instead = literal[0].Mass });

    [GeneratedRegex(@"^\s*(?<whole>[1-9])(?<part>1/[2348]|3/[48]|2/3|[57]/8)(?=\s*\p{L})")]
    private static partial Regex Squeezed();

    private static ImmutableArray<ReadRow> Read(string line, HouseholdPantry pantry, RecipeLanguage language)
    {
        if (language.IsEuropean && pantry.Cups == CupSize.Us)
            pantry = pantry with { Cups = CupSize.Metric };
        var (quoted, rest) = Quoted(Composed.Of(line));
        var put = language.Put(LineText.Tidied(rest));
        var text = LineText.InTwo(RecipeLanguage.English.Put(put.Text).Text);
        var rows = ImmutableArray.CreateBuilder<ReadRow>();
        foreach (var item in LineGrammar.Read(text).SelectMany(i => Items(i, pantry)))
            Add(item, rows);
        if (rows.Count > 0 && LabelOf(text) is { } label)
            ForAll(rows, label);
        if (IsBath(rows))
            for (var i = 0; i < rows.Count; i++)
                rows[i] = rows[i] with { Use = Use.Bath };
        return rows.ToImmutable();

        // "2 yolks for brushing, with 2 tbsp milk": the milk is brushed on too.
        bool IsInTheWash(ReadRow row, ImmutableArray<ReadRow>.Builder before) =>
            before.Count > 0
            && before[^1].Use is Use.Wash or Use.HotBrush
            && IsBrushedOn(row.Role)
            && text.Contains(" with ", StringComparison.OrdinalIgnoreCase);

        void Add(LineItem item, ImmutableArray<ReadRow>.Builder before)
        {
            var said = quoted is null ? Uses.Of(item.Words) : new(item.Words, null, false, null);
            var (words, aside) = Apart(said.Words);
            if (before.Count > 0 && item.Amount is { } more && Phrase.Of(words).Length == 0 && quoted is null)
            {
                MoreOfTheSame(before, more, said, pantry);
                return;
            }
            var row = Row(item, quoted ?? words, words, aside, quoted, put.Said, pantry);
            row = row with
            {
                Use = said.Use ?? (IsInTheWash(row, before) ? before[^1].Use : Use.Dough),
                Moment = said.Moment,
                IsOptional = said.IsOptional,
                IsUntold = !row.Known && !Watched.In(row.Ingredient).IsTold,
                IsToTaste = row.Mass is null && item.Amount is null && (said.Use is not (null or Use.Dough) || IsAsWanted(words)),
            };
            if (row.IsToTaste && AsMuchAsItTakes(row) is { } some)
                row = row with { IsToTaste = false, Mass = some, Notes = [.. row.Notes, "as much as it takes"] };
            if (said.Use is { } use && use is Use.Wash or Use.Bath or Use.HotBrush)
                for (var i = FirstOfItsOwn(before); i < before.Count; i++)
                    if (before[i].Use == Use.Dough && before[i].Role != row.Role && IsBrushedOn(before[i].Role))
                        before[i] = before[i] with { Use = use };
            before.Add(row);
            // More water as needed is no other water.
            if (said.More is { } forMore && !(forMore == Use.Surface && row.Role == Role.Liquid))
                before.Add(row with { Mass = null, Other = null, Instead = null, Notes = [], Use = forMore, IsToTaste = true });
        }
    }

    // "1 egg, plus 1 egg with milk for the wash": the first egg is the dough's.
    private static int FirstOfItsOwn(ImmutableArray<ReadRow>.Builder rows)
    {
        for (var i = rows.Count - 1; i > 0; i--)
            if (rows.Take(i).Any(r => r.Ingredient == rows[i].Ingredient))
                return i;
        return 0;
    }

    // "3 tbsp baking soda per 1 l water" boils, and rises nothing.
    private static bool IsBath(ImmutableArray<ReadRow>.Builder rows) =>
        rows.All(r => r.Use == Use.Dough)
        && rows.Any(r => Ingredients.Find(r.Ingredient)?.LiftsInHeat == true)
        && rows.Any(r => r.Ingredient == "water" && r.Mass >= LeastBath);

    // No dough has soda with so much water. Ours.
    private static readonly Mass LeastBath = Measures.Mass.FromGrams(400);

    // Nobody says how much a brush or a tray takes: an egg, or a spoon of anything else. Bakers' usage.
    private static Mass? AsMuchAsItTakes(ReadRow row)
    {
        var isTaken = row.Use == Use.Wash || row is { Use: Use.Surface, Moment: PartMoment.OnThePan };
        // Salt is sprinkled by the eye.
        var isOnTop = row.Use == Use.Topping && row.Role != Role.Salt;
        if (!row.Known || !(isTaken || isOnTop))
            return null;
        if (isOnTop)
            return Measures.Mass.FromGrams(Ingredients.Find(row.Ingredient) is { Perishable: true } ? Handful : Sprinkling);
        return Measures.Mass.FromGrams(row.Role == Role.Egg ? TableEgg : Spoonful);
    }

    // A tablespoon of seeds, and a handful of cheese or the like, in grams.
    private const double Sprinkling = 9,
        Handful = 40;

    // Of anything else, in grams: a tablespoon of water.
    private const double Spoonful = 15;

    private static bool IsBrushedOn(Role? role) => role is Role.Egg or Role.Liquid or Role.Fat or Role.Sugar;

    // "2 tbsp sugar plus 1 tsp" adds up; "4 eggs + 1 for brushing" is another egg for something else.
    private static void MoreOfTheSame(ImmutableArray<ReadRow>.Builder before, Amount more, SaidUse said, HouseholdPantry pantry)
    {
        var last = before[^1];
        var added = Weigh(more, Identify(last.Words, pantry), pantry);
        if (said.Use is { } use && use != Use.Dough)
            before.Add(last with { Mass = added.Mass, Other = added.Other, Notes = added.Notes, Use = use, Instead = null });
        else
            before[^1] = last with { Mass = last.Mass + added.Mass, Notes = [.. last.Notes, .. added.Notes] };
    }

    private static ReadRow Row(
        LineItem item,
        string name,
        string words,
        string aside,
        string? quoted,
        ImmutableDictionary<string, string> said,
        HouseholdPantry pantry
    )
    {
        var found = quoted is null
            ? Identify(words, pantry)
            : new Identified(quoted, pantry.Known(quoted), pantry.Known(quoted), [], "");
        found = found with { Manner = [.. found.Manner, .. Phrase.Split(aside)] };
        var amount = item.Amount ?? NumberBehind(words, found);
        var again = AmountIn(aside, amount) ?? AmountIn(found.Preparation, amount);
        if (amount is not null && again is not null)
            amount = amount with { Same = [.. amount.Same, again.Sum, .. again.Same] };
        amount ??= again;
        var weighed = amount is null ? new(null, null, []) : Weigh(amount, found, pantry);
        var role = MarkedRole(aside) ?? found.Ingredient?.Role ?? found.Like?.Role;
        ImmutableArray<string> notes =
            found.Ingredient is null && found.Like is { } like && MarkedRole(aside) is null
                ? [$"not in the pantry; reckoned like {like.Name}", .. weighed.Notes]
                : weighed.Notes;
        if (found.Ingredient?.Brings is { } brings)
            notes = [.. notes, $"brings {brings}"];
        return new(
            name.Trim(),
            found.Ingredient?.Like ?? found.Ingredient?.Name ?? found.Name,
            found.Ingredient is not null,
            role,
            weighed.Mass,
            weighed.Other,
            aside.Contains(BeepMark, StringComparison.OrdinalIgnoreCase)
                || item.Words.Contains(BeepMark, StringComparison.OrdinalIgnoreCase),
            notes,
            string.Join(", ", new[] { found.Preparation, Shown(aside) }.Where(p => p.Length > 0))
        )
        {
            Called = CalledOf(found, said),
            Instead = weighed.Instead,
        };
    }

    // The line's own word: of many things of one name, and of what another language calls otherwise.
    private static string? CalledOf(Identified found, ImmutableDictionary<string, string> said)
    {
        if (found.Ingredient is not { } known)
            return null;
        return said.GetValueOrDefault(known.Name) ?? (known.Like is null ? null : known.Name);
    }

    // "1 tsp each salt and sugar" is a teaspoon of each; "4 eggs, 1 of them for brushing" is three and one.
    private static IEnumerable<LineItem> Items(LineItem item, HouseholdPantry pantry)
    {
        if (EachOf().Match(item.Words) is { Success: true } each && item.Amount is not null)
            return NamesFor(each.Groups["names"].Value, pantry).Select(n => item with { Words = n });
        if (SomeOfThem().Match(item.Words) is { Success: true } some && item.Amount is { Sum: [{ Unit.Kind: UnitKind.Piece } n] })
        {
            var taken = double.Parse(some.Groups["count"].Value, CultureInfo.InvariantCulture);
            if (taken < n.Count)
                return
                [
                    new(new([n with { Count = n.Count - taken }], []), some.Groups["name"].Value),
                    new(new([n with { Count = taken }], []), $"{some.Groups["name"].Value} {some.Groups["use"].Value}"),
                ];
        }
        return Together(item, pantry) ?? (item.Amount is null ? [item] : Listed(item, pantry));
    }

    // "50 g sunflower and pumpkin seeds": half of it each, or all of it each, is asked; of "1 egg and milk" the milk.
    private static IEnumerable<LineItem>? Together(LineItem item, HouseholdPantry pantry)
    {
        var end = item.Words.IndexOfAny([',', ';', '(']);
        var (head, tail) = end < 0 ? (item.Words, "") : (item.Words[..end], item.Words[end..]);
        if (!And().IsMatch(head) || pantry.Find(head) is not null)
            return null;
        var names = NamesFor(head, pantry).ToList();
        if (names.Select(n => Identify(n, pantry).Ingredient?.Name).Distinct().Count(n => n is not null) < names.Count)
            return null;
        if (item.Amount is not { } amount)
            return names.Select(name => new LineItem(null, name + tail));
        var share = amount with
        {
            Sum = [.. amount.Sum.Select(m => m with { Count = m.Count / names.Count })],
            Same = [amount.Sum],
        };
        var isCounted = amount.Sum.Any(m => m.Unit.Kind == UnitKind.Piece);
        return names.Select(
            (name, i) =>
                new LineItem(
                    isCounted
                        ? i == 0
                            ? amount
                            : null
                        : share,
                    name + tail
                )
        );
    }

    [GeneratedRegex(@"\s(?:and|&)\s", RegexOptions.IgnoreCase)]
    private static partial Regex And();

    // "poppy and sesame for sprinkling": both are sprinkled.
    private static IEnumerable<string> NamesFor(string list, HouseholdPantry pantry)
    {
        var said = Uses.Of(list);
        var purpose = said is { Use: { } use, Moment: null, More: null } ? Uses.Say(use) : null;
        return purpose is null ? Names(list, pantry) : Names(said.Words, pantry).Select(n => $"{n} {purpose}");
    }

    // "poppy and sesame seeds" are poppy seeds and sesame seeds.
    private static IEnumerable<string> Names(string list, HouseholdPantry pantry)
    {
        var names = AndOrComma().Split(list);
        var shared = names[^1].Split(' ')[^1];
        // A pumpkin is one thing, and pumpkin seeds are another.
        var isSeeds = Phrase.Singular(shared) is "seed" or "nut" or "kernel";
        return names.Select(WithItsEnd);

        string WithItsEnd(string name)
        {
            var whole = $"{name} {shared}";
            if (Identify(name, pantry).Ingredient is null)
                return Identify(whole, pantry).Ingredient is null ? name : whole;
            return isSeeds && pantry.Find(whole) is not null ? whole : name;
        }
    }

    // "240 g buttermilk, 120 g discard, 25 g oil": each comma before an amount of something known begins another.
    private static IEnumerable<LineItem> Listed(LineItem item, HouseholdPantry pantry)
    {
        for (var at = item.Words.IndexOfAny(Between); at > 0; at = item.Words.IndexOfAny(Between, at + 1))
        {
            var (before, rest) = (item.Words[..at], item.Words[(at + 1)..]);
            if (
                LineGrammar.Read(rest) is [{ Amount.Sum: [{ Unit.Kind: not UnitKind.Piece }, ..] } next, ..]
                && Identify(next.Words, pantry).Ingredient is { } another
                && Identify(before, pantry).Ingredient is { } one
                && (item.Words[at] == ',' || AreTwo(one, another))
            )
                return [item with { Words = before }, .. Listed(next, pantry)];
            // "2 tbsp oil, coarse salt": as much of it as one likes.
            if (
                item.Words[at] == ','
                && pantry.Find(rest.Trim()) is { Role: Role.Salt }
                && Identify(before, pantry).Ingredient is { Role: not Role.Salt }
            )
                return [item with { Words = before }, new(null, rest.Trim())];
        }
        return [item];
    }

    private static readonly char[] Between = [',', '/'];

    // "450 g plain flour / 50 g wholemeal": two flours are mixed; of anything else it is one or the other.
    private static bool AreTwo(Ingredient one, Ingredient another) =>
        one.Name != another.Name && one.Role == Role.Flour && another.Role == Role.Flour;

    [GeneratedRegex(@"^each(?:\s+of|\s*,)?\s+(?<names>.+)$", RegexOptions.IgnoreCase)]
    private static partial Regex EachOf();

    [GeneratedRegex(@"\s+and\s+|\s*,\s*|\s*&\s*", RegexOptions.IgnoreCase)]
    private static partial Regex AndOrComma();

    [GeneratedRegex(@"^(?<name>[^,;(]+)[,;(]\s*(?<count>\d) of (?:them|which)\s+(?<use>.+?)\)?$", RegexOptions.IgnoreCase)]
    private static partial Regex SomeOfThem();

    // "water 320", "eggs x 2": a number behind a name is grams, or how many of what is counted.
    private static Amount? NumberBehind(string words, Identified what)
    {
        if (NumberAtEnd().Match(words) is not { Success: true } found || what.Ingredient is not { } known)
            return null;
        var count = double.Parse(found.Groups["n"].Value.Replace(',', '.'), CultureInfo.InvariantCulture);
        var isCounted = found.Groups["times"].Length > 0 || known.Role == Role.Egg;
        return new([new(count, isCounted ? Unit.Piece : Unit.Gram)], []);
    }

    [GeneratedRegex(@"\p{L}\s*(?<times>[x×]?)\s*(?<n>\d{1,5}(?:[.,]\d{1,2})?)$", RegexOptions.IgnoreCase)]
    private static partial Regex NumberAtEnd();

    // An amount that stands by itself, in brackets or behind a comma: the same again.
    private static Amount? AmountIn(string text, Amount? of)
    {
        if (text.Length == 0 || LineGrammar.Read(text) is not [{ Amount: { } amount } item, ..])
            return null;
        var isMeasured = amount.Sum.All(m => m.Unit.Kind is UnitKind.Mass or UnitKind.MetricVolume or UnitKind.Volume);
        if (!isMeasured || !Phrase.Split(item.Words).All(w => Manner.Contains(w)))
            return null;
        var isOfEach = Phrase.Split(item.Words).Contains("each") && of is not null;
        return isOfEach ? new([.. amount.Sum.Select(m => m with { Count = m.Count * of!.Sum[0].Count })], []) : amount;
    }

    private static string? LabelOf(string text) =>
        text.IndexOf(':', StringComparison.Ordinal) is > 0 and < 40 and var at
        && !text[..at].Any(char.IsDigit)
        && text[(at + 1)..].Count(char.IsLetter) > 3
            ? text[..at]
            : null;

    private static void ForAll(ImmutableArray<ReadRow>.Builder rows, string label)
    {
        var use = Uses.OfHeading(label);
        var isOptional = Uses.Of(label).IsOptional;
        for (var i = 0; i < rows.Count; i++)
            rows[i] = rows[i] with
            {
                Use = use is { } told && rows[i].Use == Use.Dough ? told : rows[i].Use,
                IsOptional = rows[i].IsOptional || isOptional,
            };
    }

    // "a little oil": as much as it takes.
    private static bool IsAsWanted(string words) => Phrase.Split(words).Contains("alittle");

    // Words that are an ingredient only when they stand alone.
    private static readonly FrozenSet<string> Adjectives = "plain white strong rye wholemeal spelt malt barley"
        .Split(' ')
        .ToFrozenSet();

    /// <summary>Teaches a pantry what a baker put right.</summary>
    public static HouseholdPantry Learn(HouseholdPantry pantry, Correction correction)
    {
        ArgumentNullException.ThrowIfNull(pantry);
        ArgumentNullException.ThrowIfNull(correction);
        var known = pantry.Find(correction.Name);
        if (known is null && correction.Role is null)
            return pantry;
        var ingredient = known ?? Pantry.Ingredient.Own(PlainText.AsName(correction.Name), correction.Role!.Value);
        if (correction.Told is { } told)
            ingredient = ingredient with { Perishable = told.Spoils, Allergens = told.Contains, IsUntold = false };
        // A measure nobody could weigh, weighed by the baker: the next such line is understood.
        if (
            correction.Mass is { } mass
            && mass > Measures.Mass.Zero
            && LineGrammar.Read(correction.Line) is [{ Amount.Sum: [var measure] }, ..]
            && measure.Count > 0
            && One(measure, new("", ingredient, ingredient, [], ""), pantry) is null
        )
        {
            var packing = ingredient.Packing ?? new Packing();
            ingredient = ingredient with
            {
                Packing = measure.Unit.Kind switch
                {
                    UnitKind.Piece => packing with { Each = mass / measure.Count },
                    UnitKind.Volume or UnitKind.MetricVolume => packing with
                    {
                        PerCup = mass / measure.Count * (Packing.UsCup / measure.Unit.VolumeOf(pantry.Cups)),
                    },
                    _ => packing,
                },
            };
        }
        var with =
            ingredient == known || Pantry.Ingredient.Check(ingredient).Length > 0 || pantry.Own.Length >= HouseholdPantry.MostOwn
                ? pantry
                : pantry.With(ingredient);
        return with.Learn(correction.Words, correction.Name);
    }

    private sealed record Identified(
        string Name,
        Ingredient? Ingredient,
        Ingredient? Like,
        ImmutableArray<string> Manner,
        string Preparation
    );

    private sealed record Weighed(Mass? Mass, Mass? Other, ImmutableArray<string> Notes, Mass? Instead = null);

    // Behind these stands how it is, not what it is.
    private static readonly ImmutableArray<string> Commas = [",", ";", " - ", " – "];

    // "butter, softened": the ingredient is what stands before the comma, unless only both together are one.
    private static Identified Identify(string words, HouseholdPantry pantry)
    {
        var comma = Commas.Select(c => words.IndexOf(c, StringComparison.Ordinal)).Where(i => i >= 0).DefaultIfEmpty(-1).Min();
        var (before, after) = comma < 0 ? (words, "") : (words[..comma], words[(comma + 1)..].Trim(' ', '-', '–'));
        var first = Match(before, pantry);
        if (first.Ingredient is null && after.Length > 0 && Match(words, pantry) is { Ingredient: not null } both)
            return both;
        if (
            first.Ingredient is { Like: "fresh fruit", Name: var fruit }
            && first.Manner.Contains("dried")
            && pantry.Find($"dried {fruit}") is { } dried
        )
            first = first with { Ingredient = dried, Like = dried };
        if (after.Length > 0 && first.Ingredient is { } raw && Ingredients.Cooked(raw.Name, Phrase.Split(after)) is { } cooked)
            first = first with { Ingredient = pantry.Find(cooked), Like = pantry.Find(cooked) };
        return first with
        {
            Preparation = string.Join(", ", new[] { first.Preparation, after }.Where(p => p.Length > 0)),
            Manner = [.. first.Manner, .. Phrase.Split(after)],
        };
    }

    private static Identified Match(string words, HouseholdPantry pantry)
    {
        var all = Phrase
            .Split(words)
            .Where(w => w.Length > 0 && !char.IsDigit(w[0]) || w is "00" or "405" or "550")
            .ToImmutableArray();
        if (pantry.Find(string.Join(' ', all)) is { } exact)
            return new(exact.Name, exact, exact, all, "");
        // "milk or water": the first of the two.
        var or = all.IndexOf("or");
        if (or > 0 && Match(string.Join(' ', all[..or]), pantry) is { Ingredient: not null } oneOf)
            return oneOf with { Preparation = "or " + string.Join(' ', all[(or + 1)..]) };

        (int From, int To, Ingredient Found)? best = null;
        for (var from = 0; from < all.Length; from++)
            for (var to = Math.Min(all.Length, from + 5); to > from; to--)
                if (
                    (best is null || to - from >= best.Value.To - best.Value.From)
                    && pantry.Find(string.Join(' ', all[from..to].Where(w => w != "of"))) is { } found
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
        var another = left.Count > 0 && b.To - b.From == 1 && Heads.Contains(Phrase.Singular(all[b.From])) || left.Count > 3;
        return new(
            another ? words.Trim() : b.Found.Name,
            another ? null : b.Found,
            b.Found,
            all,
            string.Join(' ', all.Where((w, i) => (i < b.From || i >= b.To) && w.Length > 2 && w is not ("the" or "for" or "and")))
        );
    }

    private static Weighed Weigh(Amount amount, Identified what, HouseholdPantry pantry)
    {
        var told = amount.Same.Insert(0, amount.Sum);
        var masses = told.Select(sum => (Sum: sum, Mass: Sum(sum, what, pantry), Rank: sum.Min(m => m.Unit.Rank))).ToList();
        var believed = masses.Where(m => m.Mass is not null).OrderBy(m => m.Rank).FirstOrDefault();
        if (believed.Mass is not { } mass || mass.Mass <= Mass.Zero)
            return new(
                null,
                null,
                [
                    told[0].Any(m => m.Unit.Kind == UnitKind.Piece)
                        ? "how much one weighs is not known"
                        : "what this measure weighs is not known",
                ]
            );

        var notes = ImmutableArray.CreateBuilder<string>();
        foreach (var m in believed.Sum)
        {
            if (m.Range is { } r)
                notes.Add(Text($"middle of {r.From:0.##} to {r.To:0.##} {m.Unit.Name}").TrimEnd());
            if (m.Unit.IsGuess)
                notes.Add($"a {m.Unit.Name} is a guess");
        }
        Mass? instead = null;
        if (mass.Other is { } otherHabit)
            notes.Add(OtherHabit(otherHabit, what, pantry.Habit));
        foreach (var (sum, check, _) in masses.Where(m => m.Sum != believed.Sum && m.Mass is not null))
        {
            var (one, other) = (check!.Value.Mass, check.Value.Other ?? check.Value.Mass);
            var off = Math.Min(Math.Abs(one / mass.Mass - 1), Math.Abs(other / mass.Mass - 1));
            notes.Add(Text($"{Print(sum)} would be {one.Grams:0.#} g: {(off <= Agrees ? "agrees" : "differs")}"));
            if (off > Asked)
                instead ??= one;
        }
        return new(mass.Mass, mass.Other, notes.ToImmutable(), instead);
    }

    private static string OtherHabit(Mass other, Identified what, CupHabit habit)
    {
        if (what.Like?.Packing?.DensePerTeaspoon is not null)
            return Text($"light flakes; dense ones {other.Grams:0.#} g");

        var isSpooned = habit == CupHabit.Spooned;
        var (ours, theirs) = isSpooned ? ("spooned", "dipped") : ("dipped", "spooned");
        return Text($"{ours} cups; {theirs} {other.Grams:0} g");
    }

    private static (Mass Mass, Mass? Other)? Sum(ImmutableArray<Measure> sum, Identified what, HouseholdPantry pantry)
    {
        var (mass, other, differs) = (Mass.Zero, Mass.Zero, false);
        foreach (var measure in sum)
        {
            if (One(measure, what, pantry) is not { } one)
                return null;
            mass += one.Mass;
            other += one.Other ?? one.Mass;
            differs |= one.Other is not null;
        }
        return (mass, differs ? other : null);
    }

    private static (Mass Mass, Mass? Other)? One(Measure measure, Identified what, HouseholdPantry pantry)
    {
        var (unit, like) = (measure.Unit, what.Ingredient ?? what.Like);
        // A hand is nobody else's: what fills it is asked.
        if (unit.Name == "handful")
            return null;
        switch (unit.Kind)
        {
            case UnitKind.Mass:
                return (unit.Grams * measure.Count, null);
            case UnitKind.Pack:
                return like?.Role != Role.Yeast ? null
                    : unit.Grams > Mass.Zero ? (unit.Grams * measure.Count, null)
                    : (YeastPacket * measure.Count, null);
            case UnitKind.Piece:
                if (like?.Packing?.Each is not { } each)
                    return null;
                var size = like.Role == Role.Egg ? EggSize(what.Manner, pantry.Cups) / TableEgg : SizeOf(each, what.Manner);
                return (each * (size * measure.Count), null);
            default:
                var volume = unit.VolumeOf(pantry.Cups) * Math.Abs(measure.Count);
                var filled =
                    like?.Packing?.MassOf(volume, pantry.Habit, pantry.Cup, what.Manner.Contains("sifted"))
                    ?? (like?.Role == Role.Liquid ? (Mass.FromGrams(volume.Millilitres), (Mass?)null) : null);
                return filled is { } f && measure.Count < 0 ? (f.Mass * -1, f.Other * -1) : filled;
        }
    }

    // A small onion and a large one, beside one of no size; cloves and shallots are small anyhow. Ours.
    private static double SizeOf(Mass each, ImmutableArray<string> manner) =>
        each < LeastOfSizes ? 1
        : manner.Contains("small") ? .65
        : manner.Contains("large") ? 1.4
        : 1;

    private static readonly Mass LeastOfSizes = Measures.Mass.FromGrams(60);

    // An egg of no size is the large one in the US, the medium one elsewhere: both weigh the same.
    private static double EggSize(ImmutableArray<string> manner, CupSize cups)
    {
        var at = manner.IndexOf("large");
        var said = at > 0 && manner[at - 1] == "extra" ? "xl" : null;
        var sizes = cups == CupSize.Us ? UsEggs : EuropeanEggs;
        said ??= manner.FirstOrDefault(sizes.ContainsKey);
        return said is null ? TableEgg : sizes[said];
    }

    // Brackets stand apart from the name.
    private static (string Words, string Aside) Apart(string text)
    {
        var (words, aside, depth) = (new System.Text.StringBuilder(text.Length), new System.Text.StringBuilder(), 0);
        foreach (var c in text)
        {
            if (c is '(' or '[')
                depth++;
            else if (c is ')' or ']')
                depth = Math.Max(0, depth - 1);
            else
                (depth > 0 ? aside : words).Append(c);
            if (c is ')' or ']' && depth == 0)
                aside.Append(' ');
        }
        return (words.ToString().Trim(' ', ',', '.', '*', ':'), aside.ToString().Trim());
    }

    // A name in quotes is taken as it is, whatever it looks like.
    private static (string? Name, string Around) Quoted(string line)
    {
        var (first, last) = (line.IndexOf('"', StringComparison.Ordinal), line.LastIndexOf('"'));
        return last > first + 1 && line.Length <= LineGrammar.LongestLine
            ? (line[(first + 1)..last], line[..first] + " " + line[(last + 1)..])
            : (null, line);
    }

    private static Role? MarkedRole(string aside) =>
        aside.IndexOf(RoleMark, StringComparison.Ordinal) is >= 0 and var at
        && Enum.TryParse<Role>(Phrase.Split(aside[(at + RoleMark.Length)..]).FirstOrDefault(), true, out var role)
        && Enum.IsDefined(role)
            ? role
            : null;

    private static string Shown(string aside) =>
        aside.Contains(RoleMark, StringComparison.Ordinal) || aside.Contains(BeepMark, StringComparison.OrdinalIgnoreCase)
            ? ""
            : aside;

    private static string Print(ImmutableArray<Measure> sum) => string.Join(" + ", sum.Select(Print));

    private static string Print(Measure measure)
    {
        var isWord = measure.Unit.Name is "cup" or "pint" or "quart" or "stick" or "packet";
        var plural = isWord && measure.Count > 1 ? "s" : "";
        return Text($"{measure.Count:0.##} {measure.Unit.Name}{plural}").TrimEnd();
    }

    private static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
