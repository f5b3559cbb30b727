// What a recipe itself says of pieces, heat and minutes: proposals that stand beside what is reckoned.
using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Doughs;

/// <summary>A time told as a range, or as one figure twice.</summary>
/// <param name="From">The shortest; over 0.</param>
/// <param name="To">The longest.</param>
public sealed record Lasts(TimeSpan From, TimeSpan To);

/// <summary>A recipe's own plan. Null where it says nothing.</summary>
/// <param name="Pieces">How many it makes.</param>
/// <param name="FamilyId">What shape its words say.</param>
/// <param name="Heat">The oven's.</param>
/// <param name="WithFan">The heat is told for a fan.</param>
/// <param name="Bake">In the oven.</param>
/// <param name="Proof">The last rise before the oven.</param>
/// <param name="Rest">After kneading, before dividing.</param>
/// <param name="Boil">In the bath, each side.</param>
public sealed record RecipePlan(
    int? Pieces = null,
    string? FamilyId = null,
    Temperature? Heat = null,
    bool WithFan = false,
    Lasts? Bake = null,
    Lasts? Proof = null,
    Lasts? Rest = null,
    Lasts? Boil = null
)
{
    // More is no home baker's, hotter no home oven's. Ours.
    private const int MostPieces = 500;
    private static readonly TimeSpan Longest = TimeSpan.FromDays(2);
    private static readonly Band<Temperature> Heats = new(Temperature.FromCelsius(50), Temperature.FromCelsius(400));

    /// <summary>What cannot be in a plan that was sent; the field at fault within it.</summary>
    /// <param name="field">Where it stands.</param>
    internal IEnumerable<Problem> Problems(string field)
    {
        if (Pieces is < 1 or > MostPieces)
            yield return new("out-of-range:between", $"{field}.pieces", 1, MostPieces);
        if (FamilyId is { Length: > PlainText.LongestName })
            yield return new("unknown:answer", $"{field}.familyId");
        if (Heat is { } heat && !Heats.Holds(heat))
            yield return new("out-of-range:between", $"{field}.heat", Heats.From, Heats.To);
        foreach (var (name, lasts) in new[] { ("bake", Bake), ("proof", Proof), ("rest", Rest), ("boil", Boil) })
            if (lasts is { } told && !(told.From > TimeSpan.Zero && told.From <= told.To && told.To <= Longest))
                yield return new("out-of-range:between", $"{field}.{name}", TimeSpan.Zero, Longest);
    }

    /// <summary>It says nothing.</summary>
    public static RecipePlan Nothing { get; } = new();

    /// <summary>Whether it says nothing.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsNothing => this == Nothing;
}

/// <summary>Finds a recipe's own plan in its method: a number belongs to the nearest verb before it.</summary>
public static partial class MethodReading
{
    private enum Doing
    {
        Nothing,
        Resting,
        Proofing,
        Baking,
        Boiling,
    }

    // The words of each, in the languages that recipes are read in.
    private static readonly ImmutableArray<(Regex Words, Doing Doing)> Verbs =
    [
        (
            Word("bake|baking|backen|gebacken|oven|ofen|cuire|cuisson|enfourner|four|hornear|horno|cuocere|infornare|forno"),
            Doing.Baking
        ),
        (Word("boil|dip|poach|bath|kochen|pocher|hervir|bollire"), Doing.Boiling),
        (
            Word("proof|prove|rise|rising|grow|double|doubled|gehen|aufgehen|gare|lever|levée|pousse|levar|fermentar|lievitare"),
            Doing.Proofing
        ),
        (Word("rest|relax|ruhen|reposer|repos|reposar|riposare"), Doing.Resting),
        (
            Word("knead|mix|cool|fold|preheat|fry|kneten|pétrir|amasar|impastare|auskühlen|refroidir|enfriar|raffreddare"),
            Doing.Nothing
        ),
    ];

    // Families by the words of a title or method, the more particular first.
    private static readonly ImmutableArray<(Regex Words, string Family)> Shapes =
    [
        (Word(@"pretzels?|\p{L}*brezeln?|\p{L}*brezen?"), "pretzel"),
        (Word(@"plait(?:ed|s)?|braid(?:ed|s)?|\p{L}*zopf|tresse|trenza|treccia"), "plait-3"),
        (Word("coil(?:ed)?|spiral coil|schnecke"), "coil"),
        (Word("knots?|knoten"), "knot"),
        (Word(@"batons?|baguettes?|sticks?|\p{L}*stangen?"), "baton"),
        (Word("pockets?|pittas?|pitas?|fladen"), "pocket-flatbread"),
        (Word("griddle breads?|thin breads?"), "griddle-flatbread"),
        (Word("griddle rounds?"), "griddle-round"),
        (Word("tray ?bread|slab|blechbrot"), "tray-bread"),
        (Word("long buns?|finger rolls?|hot ?dog buns?"), "long-bun"),
        (Word("buns?|burger buns?"), "round-bun"),
        (Word(@"crusty rolls?|\p{L}*brötchen|\p{L}*semmeln?"), "crusty-roll"),
        (Word("rolls?|panini|panecillos|petits pains"), "pan-roll"),
        (Word("tin loaf|sandwich loaf|loaf tin|kastenbrot|toastbrot|pain de mie"), "tin-loaf"),
    ];

    /// <summary>What a recipe says of itself.</summary>
    /// <param name="text">Its title and method.</param>
    public static RecipePlan Of(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var plan = RecipePlan.Nothing with { Pieces = PiecesIn(text), FamilyId = FamilyIn(text) };
        foreach (var sentence in Sentence().Split(text).Where(s => s.Length <= LongestSentence))
            plan = With(plan, sentence);
        return plan;
    }

    // A longer one tells no baker anything; and each number in it looks through all of it.
    private const int LongestSentence = 600;

    private static RecipePlan With(RecipePlan plan, string sentence)
    {
        foreach (Match heat in Heats().Matches(sentence))
            if (plan.Heat is null && HeatOf(heat) is { } told)
                plan = plan with { Heat = told, WithFan = Fan().IsMatch(sentence) };
        foreach (Match time in Times().Matches(sentence))
        {
            if (LastsOf(time) is not { } lasts)
                continue;
            plan = DoingBefore(sentence, time.Index) switch
            {
                Doing.Baking when plan.Bake is null && lasts.To <= LongestBake => plan with { Bake = lasts },
                Doing.Boiling when plan.Boil is null && lasts.To <= LongestBoil => plan with { Boil = lasts },
                // The last one told before the oven is the second proof.
                Doing.Proofing when plan.Bake is null => plan with { Proof = lasts },
                Doing.Resting when plan.Rest is null => plan with { Rest = lasts },
                _ => plan,
            };
        }
        return plan;
    }

    // Longer than this is no bread in a home oven, and no bath. Ours.
    private static readonly TimeSpan LongestBake = TimeSpan.FromHours(2),
        LongestBoil = TimeSpan.FromMinutes(5);

    // The nearest verb before the number; the first one behind it where there is none before.
    private static Doing DoingBefore(string sentence, int at)
    {
        var found = Verbs
            .SelectMany(v => v.Words.Matches(sentence).Select(m => (m.Index, v.Doing)))
            .OrderBy(v => v.Index)
            .ToList();
        var before = found.FindLastIndex(v => v.Index < at);
        if (before >= 0)
            return found[before].Doing;
        return found.Count > 0 ? found[0].Doing : Doing.Nothing;
    }

    private static Temperature? HeatOf(Match match)
    {
        if (match.Groups["mark"].Success)
            return GasMark(match.Groups["mark"].Value);
        var figure = double.Parse(match.Groups["heat"].Value, CultureInfo.InvariantCulture);
        var isFahrenheit = match.Groups["unit"].Value is "F" or "f";
        var heat = isFahrenheit ? Temperature.FromFahrenheit(figure) : Temperature.FromCelsius(figure);
        return OvenHeats.Holds(heat) ? heat : null;
    }

    // Cooler is water, dough or crumb; hotter is no home oven. Gas ¼ is the lowest mark. Ours.
    private static readonly Band<Temperature> OvenHeats = new(Temperature.FromCelsius(110), Temperature.FromCelsius(320));

    // Gas marks ¼, ½, 1 to 9. Makers' tables.
    private static Temperature? GasMark(string mark) =>
        mark switch
        {
            "¼" or "1/4" => Temperature.FromCelsius(110),
            "½" or "1/2" => Temperature.FromCelsius(120),
            [>= '1' and <= '9'] => Temperature.FromCelsius(Marks[mark[0] - '1']),
            _ => null,
        };

    private static readonly ImmutableArray<int> Marks = [140, 150, 170, 180, 190, 200, 220, 230, 240];

    private static Lasts? LastsOf(Match match)
    {
        if (match.Groups["quarter"].Success)
            return Same(TimeSpan.FromMinutes(15));
        if (match.Groups["halfhour"].Success)
            return Same(TimeSpan.FromMinutes(30));
        if (NumberOf(match.Groups["from"].Value) is not { } from)
            return null;
        var to = match.Groups["to"].Success ? NumberOf(match.Groups["to"].Value) ?? from : from;
        var unit = match.Groups["unit"].Value.ToLowerInvariant();
        var one =
            unit[0] is 'h' or 'u'
            || unit.StartsWith("std", StringComparison.Ordinal)
            || unit.StartsWith("stu", StringComparison.Ordinal)
            || unit.StartsWith("or", StringComparison.Ordinal)
                ? TimeSpan.FromHours(1)
            : unit[0] == 's' ? TimeSpan.FromSeconds(1)
            : TimeSpan.FromMinutes(1);
        return from > 0 && to >= from ? new(one * from, one * to) : null;

        static Lasts Same(TimeSpan span) => new(span, span);
    }

    private static readonly ImmutableArray<string> Numbers =
    [
        "zero",
        "one",
        "two",
        "three",
        "four",
        "five",
        "six",
        "seven",
        "eight",
        "nine",
        "ten",
        "eleven",
        "twelve",
        "thirteen",
        "fourteen",
        "fifteen",
        "sixteen",
        "seventeen",
        "eighteen",
        "nineteen",
        "twenty",
    ];

    private static double? NumberOf(string text)
    {
        if (Numbers.IndexOf(text.ToLowerInvariant()) is >= 0 and var word)
            return word;
        text = text.Replace(',', '.').Trim();
        if (text.Length > 0 && Pantry.LineGrammar.Vulgars.TryGetValue(text[^1], out var part))
            return part + (double.TryParse(text[..^1], CultureInfo.InvariantCulture, out var whole) ? whole : 0);
        return double.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n) ? n : null;
    }

    private static int? PiecesIn(string text) =>
        Pieces().Matches(text).Select(m => NumberOf(m.Groups["n"].Value)).FirstOrDefault(n => n is >= 1 and <= 100) is { } n
            ? (int)n
            : null;

    private static string? FamilyIn(string text) => Shapes.FirstOrDefault(s => s.Words.IsMatch(text)).Family;

    private static Regex Word(string words) =>
        new(
            $@"(?<!\p{{L}})(?:{words})(?!\p{{L}})",
            RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.Compiled
        );

    [GeneratedRegex(@"[.;\n]\s*(?!\d)|,\s*then\b", RegexOptions.IgnoreCase)]
    private static partial Regex Sentence();

    private const string HeatsTold =
        @"gas(?: mark)?\s*(?<mark>[1-9]|¼|½|1/4|1/2)|"
        + @"(?<heat>\d{2,3})\s*(?:(?:°|º|degrees?|grad|degrés|grados|gradi)\s*(?<unit>[CF])?|(?<unit>[CF]))\b|"
        + @"(?:at|bei|à|a)\s+(?<heat>1[4-9]\d|2[0-9]\d|3[0-2]\d)\b(?!\s*(?:g|ml|min))";

    [GeneratedRegex(HeatsTold, RegexOptions.IgnoreCase)]
    private static partial Regex Heats();

    [GeneratedRegex(@"\bfan\b|umluft|heißluft|chaleur tournante|convection|ventilador|ventilato", RegexOptions.IgnoreCase)]
    private static partial Regex Fan();

    private const string TimesTold =
        @"(?<quarter>quarter of an hour|viertelstunde|quart d['’]heure|cuarto de hora|quarto d['’]ora)|"
        + @"(?<halfhour>half an hour|halbe stunde|demi-heure|media hora|mezz['’]ora)|"
        + @"(?<from>\d+(?:[.,]\d+)?[½¼¾]?|[½¼¾]|(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty))"
        + @"(?:\s*(?:-|–|to|or|bis|à|a)\s*(?<to>\d+(?:[.,]\d+)?[½¼¾]?))?\s*"
        + @"(?<unit>hours?|hrs?|h|std|stunden?|heures?|horas?|ore|ora|minutes?|minuten|minutos|minuti|mins?|"
        + @"seconds?|secs?|sekunden|secondes|segundos|secondi|s)\b";

    [GeneratedRegex(TimesTold, RegexOptions.IgnoreCase)]
    private static partial Regex Times();

    private const string PiecesTold =
        @"(?:makes|yields?|ergibt|für|pour|para|per|into|gives)\s*:?\s*(?:about\s+|ca\.?\s+|unos\s+|environ\s+|circa\s+)?"
        + @"(?<n>\d{1,3}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|sixteen|twenty)\b"
        + @"(?!\s*(?:min|hour|h\b|g\b|ml|cm|°|stunden|heures|horas|ore|person|people|portion|serving))|"
        + @"(?<n>\d{1,3})\s+(?:rolls|buns|pretzels|loaves|loaf|pieces|balls|batons|knots|flatbreads|"
        + @"brötchen|stück|brezeln|panini|pains|panecillos)\b";

    [GeneratedRegex(PiecesTold, RegexOptions.IgnoreCase)]
    private static partial Regex Pieces();
}
