// From an ingredient line to grams of something the pantry knows: what was understood, how, and what is still to be asked.
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

    // Farina "00".
    [GeneratedRegex(@"(?<=\p{L}{4}\s+(?:tipo\s+)?)[""“”„«']\s*(?<grade>00?)\s*[""“”»']")]
    private static partial Regex GradeInQuotes();

    // "11/2 cups" is one and a half, most likely: both are asked.
    private static ImmutableArray<ReadRow> EitherWay(ImmutableArray<ReadRow> likely, ImmutableArray<ReadRow> literal) =>
        likely.IsEmpty || literal.IsEmpty ? literal : likely.SetItem(0, likely[0] with { Instead = literal[0].Mass });

    [GeneratedRegex(@"^\s*(?<whole>[1-9])(?<part>1/[2348]|3/[48]|2/3|[57]/8)(?=\s*\p{L})")]
    private static partial Regex Squeezed();

    private static ImmutableArray<ReadRow> Read(string line, HouseholdPantry pantry, RecipeLanguage language)
    {
        if (language.IsEuropean && pantry.Cups == CupSize.Us)
            pantry = pantry with { Cups = CupSize.Metric };
        line = GradeInQuotes().Replace(line, "${grade}");
        if (Region().Match(line) is { Success: true } region)
        {
            pantry = pantry with { Cups = CupsOf(region.Groups["whose"].Value) };
            line = Region().Replace(line, " ");
        }
        var (quoted, rest) = Quoted(Composed.Of(line));
        var put = language.Put(LineText.Tidied(rest));
        var english = RecipeLanguage.English.Put(put.Text).Text;
        var text = LineText.InTwo(english);
        var rows = ImmutableArray.CreateBuilder<ReadRow>();
        Amount? spoken = null;
        // "To decorate: sesame and flaky salt": what stands before the colon is no part of a name. "Butter: 40 g" is butter.
        var label = LabelOf(text) is { } told && pantry.Find(told) is null ? told : null;
        if (label is not null && (Uses.OfHeading(label) is not null || Naming.Of(label, pantry).Like is null))
            text = text[(label.Length + 1)..];
        var items = LineGrammar.Read(text).SelectMany(i => SeveralInOne.Of(i, pantry));
        foreach (var item in label is null ? items : items.SelectMany(i => SeveralInOne.AndNames(i, pantry)))
            Add(item, rows);
        if (rows.Count > 0 && label is not null)
            ForAll(rows, label);
        if (IsBath(rows, text))
            AllFor(Use.Bath, rows);
        else if (IsEggWash(rows) && Beaten().IsMatch(english))
            AllFor(Use.Wash, rows);
        else if (rows is [{ Use: Use.Dough, Ingredient: "icing sugar" }, { Use: Use.Dough, Role: Role.Liquid }])
            AllFor(Use.Topping, rows);
        return rows.ToImmutable();

        // "¼ pint milk (imperial)", "1 Australian tablespoon": whatever the kitchen has.
        static CupSize CupsOf(string whose) =>
            whose.ToLowerInvariant() switch
            {
                "us" or "american" => CupSize.Us,
                "metric" => CupSize.Metric,
                "australian" => CupSize.Australian,
                _ => CupSize.Imperial,
            };

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
            if (item.Amount is not null && quoted is null)
                words = Container().Replace(words, "");
            if (before.Count > 0 && item.Amount is { } more && quoted is null && IsOfTheSame(words, pantry))
            {
                more = InUnitOf(more, spoken);
                MoreOfTheSame(before, more, said with { Use = UseOf(said.Use, before[^1].Role, true, item.Words) }, pantry);
                return;
            }
            spoken = item.Amount ?? spoken;
            var row = Row(item, quoted ?? words, words, aside, quoted, put, pantry, language);
            var meant =
                !row.Known && item.Amount is null && Tool().IsMatch(words)
                    ? Use.Serving
                    : UseOf(said.Use, row.Role, item.Amount is not null, item.Words)
                        ?? (IsInTheWash(row, before) ? before[^1].Use : Use.Dough);
            row = row with
            {
                Use = meant,
                Moment = said.Moment,
                IsOptional = said.IsOptional,
                IsUntold = !row.Known && !Watched.In(row.Ingredient).IsTold,
                IsToTaste = row.Mass is null && item.Amount is null && (meant != Use.Dough || IsAsWanted(words)),
            };
            if (row.IsToTaste && AsMuchAsItTakes(row) is { } some)
                row = row with { IsToTaste = false, Mass = some, Notes = [.. row.Notes, "as much as it takes"] };
            if (said.Use is Use.Topping or Use.Filling && (Mixed().IsMatch(english) || AreOneTopping(row, before, text)))
                AllFor(said.Use.Value, before);
            if (said.Use is { } use && use is Use.Wash or Use.Bath or Use.HotBrush)
                for (var i = FirstOfItsOwn(before); i < before.Count; i++)
                    if (before[i].Use == Use.Dough && before[i].Role != row.Role && IsBrushedOn(before[i].Role))
                        before[i] = before[i] with { Use = use };
            before.Add(row);
            // More water as needed is no other water.
            if (said.More is not { } forMore || (forMore == Use.Surface && row.Role == Role.Liquid))
                return;
            // What is strewn of the dough's own flour goes under it.
            if (forMore == Use.Topping && row.Role == Role.Flour)
                forMore = Use.Surface;
            before.Add(row with { Mass = null, Other = null, Instead = null, Notes = [], Use = forMore, IsToTaste = true });
        }
    }

    // Flour that is sprinkled, nobody says how much of, lies under the dough; sugar that is dusted and seeds that it is rolled in
    // lie on the bread; milk and egg on top are brushed on.
    private static Use? UseOf(Use? said, Role? role, bool isMeasured, string words)
    {
        bool Says(string word) => words.Contains(word, StringComparison.OrdinalIgnoreCase);
        return (said, role) switch
        {
            (Use.Topping, Pantry.Role.Liquid) when !isMeasured => Use.Wash,
            (Use.Topping, Pantry.Role.Egg) => Use.Wash,
            (Use.Topping, Pantry.Role.Flour) when !isMeasured && Says("sprinkling") => Use.Surface,
            (null, Pantry.Role.Fat) when !isMeasured && Says("spray") => Use.Surface,
            (Use.Surface, Pantry.Role.Sugar) when Says("dusting") => Use.Topping,
            (Use.Surface, Pantry.Role.Other) when Says("rolling") => Use.Topping,
            _ => said,
        };
    }

    [GeneratedRegex(
        @"\(\s*(?<whose>imperial|UK|British|US|American|Australian|metric)(?:\s+(?:measures?|cups?|spoons?|pints?))?\s*\)"
            + @"|\b(?<whose>imperial|UK|British|US|American|Australian|metric)\s+"
            + @"(?=(?:fluid\s+|fl\.?\s+)?(?:cups?|pints?|quarts?|tablespoons?|tbsp|teaspoons?|tsp|ounces?|oz)\b)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Region();

    // "2 tsp cinnamon mixed with 50 g sugar, for the filling": both go there.
    [GeneratedRegex(@"\b(?:mixed|tossed|combined|stirred)\s+(?:together\s+)?with\b", RegexOptions.IgnoreCase)]
    private static partial Regex Mixed();

    // "1 tbsp poppy seeds and 1 tbsp sesame, to sprinkle": a comma before the purpose, or a spoon of each, and it is of both.
    private static bool AreOneTopping(ReadRow row, ImmutableArray<ReadRow>.Builder before, string text) =>
        before.All(r => r is { Use: Use.Dough, Role: Role.Other or Role.Sugar or Role.Fat } && r.Ingredient != row.Ingredient)
        && row.Role is Role.Other or Role.Sugar or Role.Fat or Role.Liquid
        && OfBoth().IsMatch(text);

    [GeneratedRegex(
        @"\band\b.*,\s*(?:for|to|as)\b|\bt(?:b?sp)s?\b.*(?:\band\b|\+|\bplus\b).*\bt(?:b?sp)s?\b.*\b(?:for|to)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex OfBoth();

    // What stands among the ingredients, and is none.
    [GeneratedRegex(
        @"^(?:(?:baking |greaseproof |parchment |cling|aluminium |kitchen |tin|bamboo |wooden )?(?:parchment"
            + @"|paper|film|foil|string|twine|skewers?)"
            + @"|Backpapier|Alufolie|Frischhaltefolie|papier (?:de )?cuisson|papel (?:de |of )?(?:horno|hornear)"
            + @"|carta (?:da )?forno)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Tool();

    // "1 jar of pesto" is pesto.
    [GeneratedRegex(
        @"^(?:jar|can|tin|tub|carton|pack|package|bag|bottle|box|pot|beaker)s?(?:e?s)?\s+(?:of\s+)?(?=\p{L})",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Container();

    // "1 egg, plus 1 egg with milk for the wash": the first egg is the dough's.
    private static int FirstOfItsOwn(ImmutableArray<ReadRow>.Builder rows)
    {
        for (var i = rows.Count - 1; i > 0; i--)
            if (rows.Take(i).Any(r => r.Ingredient == rows[i].Ingredient))
                return i;
        return 0;
    }

    private static void AllFor(Use use, ImmutableArray<ReadRow>.Builder rows)
    {
        for (var i = 0; i < rows.Count; i++)
            rows[i] = rows[i] with { Use = use };
    }

    // "3 tbsp baking soda per 1 l water" boils, and rises nothing; so does "1 tsp baking soda for the water".
    private static bool IsBath(ImmutableArray<ReadRow>.Builder rows, string text) =>
        rows.All(r => r.Use == Use.Dough)
        && rows.Any(r => Ingredients.Find(r.Ingredient)?.LiftsInHeat == true)
        && (rows.Any(r => r.Ingredient == "water" && r.Mass >= LeastBath) || ForTheWater().IsMatch(text));

    [GeneratedRegex(@"\bfor the (?:boiling |cooking )?water\b", RegexOptions.IgnoreCase)]
    private static partial Regex ForTheWater();

    // "1 egg yolk beaten with 1 tbsp milk" is brushed on, whether or not it says so; a whole egg may be the dough's.
    private static bool IsEggWash(ImmutableArray<ReadRow>.Builder rows) =>
        rows is [{ Use: Use.Dough, Ingredient: "egg yolk" }, { Use: Use.Dough, Role: Role.Liquid } thinned]
        && thinned.Mass <= MostInAWash;

    // Two tablespoons. Ours.
    internal static readonly Mass MostInAWash = Measures.Mass.FromGrams(32);

    [GeneratedRegex(@"\b(?:beaten|whisked|mixed|thinned|loosened|dissolved)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Beaten();

    // No dough has soda with so much water. Ours.
    private static readonly Mass LeastBath = Measures.Mass.FromGrams(400);

    // Milk and eggs among what goes on top are brushed on, and no brush takes seeds.
    private static Use UnderHeading(Use heading, ReadRow row) =>
        heading == Use.Wash && IsStrewn(row.Ingredient)
            ? Use.Topping
            : UseOf(heading, row.Role, row.Mass is not null, "") ?? heading;

    // What no brush takes goes on top, whatever its heading says.
    internal static bool IsStrewn(string ingredient) =>
        ingredient is "pearl sugar" or "chopped nuts" or "hard cheese" or "rolled oats" or "coarse salt" or "coarse sea salt"
        || ingredient.EndsWith(" seeds", StringComparison.Ordinal);

    // A row that its heading says the use of: as much as it takes, or as one likes, where nothing says how much.
    internal static ReadRow For(Use use, ReadRow row)
    {
        row = row with { Use = use };
        return row is not { Known: true, Mass: null, IsToTaste: false } || use == Use.Dough || !row.Notes.IsEmpty ? row
            : AsMuchAsItTakes(row) is { } some ? row with { Mass = some }
            : row with { IsToTaste = true };
    }

    // Nobody says how much a brush or a tray takes: an egg, or a spoon of anything else. Bakers' usage.
    private static Mass? AsMuchAsItTakes(ReadRow row)
    {
        var isTaken = row.Use == Use.Wash || row is { Use: Use.Surface, Moment: PartMoment.OnThePan };
        // Salt is sprinkled by the eye.
        var isOnTop = row.Use == Use.Topping && row.Role != Role.Salt;
        if (!row.Known || !(isTaken || isOnTop))
            return null;
        if (isOnTop)
            return Measures.Mass.FromGrams(
                Ingredients.Find(row.Ingredient) is { Perishable: true } ? Handful
                : row.Ingredient == "dried herbs" ? SprinkledHerbs
                : Sprinkling
            );
        return Measures.Mass.FromGrams(row.Role == Role.Egg ? Weighing.TableEgg : Spoonful);
    }

    // A tablespoon of seeds or of dried herbs, and a handful of cheese or the like, in grams.
    private const double Sprinkling = 9,
        SprinkledHerbs = 3,
        Handful = 40;

    // Of anything else, in grams: a tablespoon of water.
    private const double Spoonful = 15;

    // Nothing is named, or only how it is: "3 tbsp butter, plus 1 tbsp melted for brushing".
    private static bool IsOfTheSame(string words, HouseholdPantry pantry) =>
        Phrase.Of(words).Length == 0 || (Phrase.Split(words).All(Naming.Manner.Contains) && pantry.Find(words) is null);

    private static bool IsBrushedOn(Role? role) => role is Role.Egg or Role.Liquid or Role.Fat or Role.Sugar;

    // "3 tbsp sunflower seeds, plus 1 for the top": of spoons, too.
    private static Amount InUnitOf(Amount more, Amount? first) =>
        more.Sum is [{ Unit.Kind: UnitKind.Piece } count] && first is { Sum: [{ Unit.Kind: UnitKind.Volume } spoons] }
            ? more with
            {
                Sum = [count with { Unit = spoons.Unit }],
            }
            : more;

    // "2 tbsp sugar plus 1 tsp" adds up; "4 eggs + 1 for brushing" is another egg for something else.
    private static void MoreOfTheSame(ImmutableArray<ReadRow>.Builder before, Amount more, SaidUse said, HouseholdPantry pantry)
    {
        var last = before[^1];
        var added = Weighing.Of(more, Naming.Of(last.Words, pantry), pantry);
        if (said.IsOptional)
            before.Add(
                last with
                {
                    Mass = added.Mass,
                    Other = added.Other,
                    Notes = added.Notes,
                    IsOptional = true,
                    Instead = null,
                }
            );
        else if (said.Use is { } use && use != Use.Dough)
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
        PutIntoEnglish put,
        HouseholdPantry pantry,
        RecipeLanguage language
    )
    {
        var found = quoted is null
            ? Naming.Of(words, pantry, language)
            : new Identified(quoted, pantry.Known(quoted), pantry.Known(quoted), [], "");
        found = found with { Manner = [.. found.Manner, .. Phrase.Split(aside)] };
        var amount = item.Amount ?? NumberBehind(words, found);
        var again = AmountIn(aside, amount) ?? AmountIn(found.Preparation, amount);
        if (amount is not null && again is not null)
            amount = amount with { Same = [.. amount.Same, again.Sum, .. again.Same] };
        amount ??= again;
        var weighed = amount is null ? new(null, null, []) : Weighing.Of(amount, found, pantry);
        var role = MarkedRole(aside) ?? found.Ingredient?.Role ?? found.Like?.Role;
        ImmutableArray<string> notes =
            found.Ingredient is null && found.Like is { } like && MarkedRole(aside) is null
                ? [$"not in the pantry; reckoned like {like.Name}", .. weighed.Notes]
                : weighed.Notes;
        if (found.Ingredient?.Brings is { } brings)
            notes = [.. notes, $"brings {brings}"];
        return new(
            name.Trim(),
            found.Ingredient?.Like ?? found.Ingredient?.Name ?? put.Back(found.Name),
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
            Called = CalledOf(found, put, pantry),
            Instead = weighed.Instead,
        };
    }

    // The line's own word: of many things of one name, and of what another language calls otherwise.
    private static string? CalledOf(Identified found, PutIntoEnglish put, HouseholdPantry pantry)
    {
        if (found.Ingredient is not { } known)
            return null;
        var own = put.Said.FirstOrDefault(s => pantry.Find(s.Key)?.Name == known.Name).Value;
        return own ?? (known.Like is null ? null : put.Back(known.Name));
    }

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
        if (!isMeasured || !Phrase.Split(item.Words).All(w => Naming.Manner.Contains(w)))
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
                Use = use is { } told && rows[i].Use == Use.Dough ? UnderHeading(told, rows[i]) : rows[i].Use,
                IsOptional = rows[i].IsOptional || isOptional,
            };
        // "For the top: sesame, coarse salt": as much of it as one likes.
        for (var i = 0; i < rows.Count; i++)
            rows[i] = For(rows[i].Use, rows[i]);
    }

    // "a little oil", "flour as needed": as much as it takes.
    internal static bool IsAsWanted(string words) => Phrase.Split(words).Any(w => w is "alittle" or "needed");

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
            && Weighing.One(measure, new("", ingredient, ingredient, [], ""), pantry) is null
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
        words.Replace("  ", " ");
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
}
