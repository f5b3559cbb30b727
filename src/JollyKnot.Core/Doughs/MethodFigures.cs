// The figures of a method: its times, its heats, how many pieces it makes, in words and numbers of five languages.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Doughs;

// An oven's heat, and whether it is for the fan.
internal sealed record ToldHeat(Temperature Heat, bool WithFan);

internal static partial class MethodFigures
{
    // Of two heats, the one without the fan; of one, what its sentence says.
    public static ToldHeat? HeatIn(string sentence)
    {
        var told = Heats()
            .Matches(sentence)
            .Select(m => (Match: m, Heat: HeatOf(m)))
            .Where(h => h.Heat is not null)
            .Select(h => new ToldHeat(h.Heat!.Value, IsForFan(sentence, h.Match)))
            .ToList();
        if (told is [var only])
            return only with { WithFan = !NamesTheFansOwn(sentence) && MethodWords.In("fan", sentence) is not null };
        return told.Find(h => !h.WithFan) ?? told.FirstOrDefault();
    }

    // "200C (180 fan)": a figure of its own, that is no heat by its unit, is the fan's.
    private static bool NamesTheFansOwn(string sentence)
    {
        var heats = Heats().Matches(sentence);
        return Figures().Matches(sentence).Any(figure => !heats.Any(h => Holds(h, figure)) && IsForFan(sentence, figure));
    }

    private static bool Holds(Match heat, Match figure) => figure.Index >= heat.Index && figure.Index < heat.Index + heat.Length;

    [GeneratedRegex(@"\b(?:1[1-9]\d|2\d\d)\b")]
    private static partial Regex Figures();

    // "160C fan", "160 °C (fan)", "fan 160".
    private static bool IsForFan(string sentence, Match heat) =>
        BesideFan(sentence[(heat.Index + heat.Length)..].TrimStart(' ', '(', ','), begins: true)
        || BesideFan(sentence[..heat.Index].TrimEnd(' ', '(', ':'), begins: false);

    private static bool BesideFan(string text, bool begins) =>
        MethodWords.Words("fan", "on").Match(text) is { Success: true } fan
        && (begins ? fan.Index == 0 : fan.Index + fan.Length == text.Length);

    private static Temperature? HeatOf(Match match)
    {
        if (match.Groups["mark"].Success)
            return GasMark(match.Groups["mark"].Value);
        var figure = double.Parse(match.Groups["heat"].Value, CultureInfo.InvariantCulture);
        // "350°" without more is no oven's Celsius.
        var isFahrenheit = match.Groups["unit"].Value is "F" or "f" || (!match.Groups["unit"].Success && figure > HottestDial);
        var heat = isFahrenheit ? Temperature.FromFahrenheit(figure) : Temperature.FromCelsius(figure);
        return OvenHeats.Holds(heat) ? heat : null;
    }

    // Above this a bare figure is Fahrenheit. Ours.
    private const double HottestDial = 300;

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

    public static Lasts? LastsOf(Match match)
    {
        if (match.Groups["hours"].Success)
        {
            var clock = TimeSpan.FromHours(int.Parse(match.Groups["hours"].Value, CultureInfo.InvariantCulture));
            return Same(clock + TimeSpan.FromMinutes(int.Parse(match.Groups["past"].Value, CultureInfo.InvariantCulture)));
        }
        if (match.Groups["andhalf"].Success)
            return Same(TimeSpan.FromMinutes(90));
        if (match.Groups["quarters"].Success)
            return Same(TimeSpan.FromMinutes(45));
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
        var more = TimeSpan.FromMinutes(
            match.Groups["half"].Success ? 30
            : match.Groups["more"].Success ? int.Parse(match.Groups["more"].ValueSpan, CultureInfo.InvariantCulture)
            : 0
        );
        return from > 0 && to >= from ? new(one * from + more, one * to + more) : null;

        static Lasts Same(TimeSpan span) => new(span, span);
    }

    public static double? NumberOf(string text)
    {
        if (Pantry.LineGrammar.NumberWords.TryGetValue(text, out var word) || OtherNumbers.TryGetValue(text, out word))
            return word;
        text = text.Replace(',', '.').Trim();
        if (text.Length > 2 && text[^2] == '/')
            return (
                (text.Length > 4 ? int.Parse(text[..^4], CultureInfo.InvariantCulture) : 0)
                + (double)(text[^3] - '0') / (text[^1] - '0')
            );
        if (text.Length > 0 && Pantry.LineGrammar.Vulgars.TryGetValue(text[^1], out var part))
            return part + (double.TryParse(text[..^1], CultureInfo.InvariantCulture, out var whole) ? whole : 0);
        return double.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n) ? n : null;
    }

    public static int? PiecesIn(string text) =>
        Pieces().Matches(text).Select(CountOf).FirstOrDefault(n => n is >= 1 and <= 100) is { } n ? (int)n : null;

    private static double? CountOf(Match told) =>
        told.Groups["two"].Success ? 2
        : told.Groups["dozen"].Success ? 12 * (told.Groups["n"].Success ? NumberOf(told.Groups["n"].Value) : 1)
        : NumberOf(told.Groups["n"].Value);

    // Each time a sentence tells, and where; "45 minutes-1 hour" is one.
    public static IEnumerable<(int At, Lasts Lasts)> TimesIn(string sentence)
    {
        var told = Times()
            .Matches(sentence)
            .Select(m => (At: m.Index, End: m.Index + m.Length, Lasts: LastsOf(m)))
            .Where(t => t.Lasts is not null)
            .ToList();
        for (var i = 0; i < told.Count; i++)
        {
            var (at, end, lasts) = told[i];
            if (i + 1 < told.Count && Until().IsMatch(sentence[end..told[i + 1].At]) && told[i + 1].Lasts!.To >= lasts!.From)
                lasts = new(lasts.From, told[++i].Lasts!.To);
            yield return (at, lasts!);
        }
    }

    [GeneratedRegex(@"^\s*(?:-|–|to|or|bis|à|a)\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex Until();

    private const string HeatsTold =
        @"gas(?: mark)?\s*(?<mark>[1-9]|¼|½|1/4|1/2)|"
        + @"(?<heat>\d{2,3})\s*(?:(?:°|º|(?:deg|degrees?|grad|degrés|grados|gradi)\b\.?)(?:\s*(?<unit>[CF])\b)?|(?<unit>[CF])\b)|"
        + @"(?:at|bei|à|a|(?:oven|ofen|four|horno|forno)\s+(?:to|auf|à|a))\s+"
        + @"(?<heat>1[4-9]\d|2[0-9]\d|3[0-2]\d)\b(?!\s*(?:g|ml|min|°|º|deg|grad|[CF]\b))";

    [GeneratedRegex(HeatsTold, RegexOptions.IgnoreCase)]
    public static partial Regex Heats();

    // Numbers in words before a time, in the other languages.
    private static readonly FrozenDictionary<string, double> OtherNumbers = new (double Number, string Words)[]
    {
        (1, "eine einer ein une un una otra altra another"),
        (2, "zwei deux dos due"),
        (3, "drei trois tres tre"),
        (4, "vier quatre cuatro quattro"),
        (5, "fünf cinq cinco cinque"),
        (6, "sechs six seis sei"),
        (8, "acht huit ocho otto"),
        (10, "zehn dix diez dieci"),
        (12, "zwölf douze doce dodici"),
        (15, "fünfzehn quinze quince quindici"),
        (20, "zwanzig vingt veinte venti"),
        (30, "dreißig dreissig thirty trente treinta trenta"),
        (40, "vierzig forty quarante cuarenta quaranta"),
    }
        .SelectMany(n => n.Words.Split(' ').Select(w => (w, n.Number)))
        .ToFrozenDictionary(n => n.w, n => n.Number, StringComparer.OrdinalIgnoreCase);

    private const string OtherWords =
        "eine?r?|une?|una|otra|altra|another(?= hour)|zwei|deux|dos|due|drei|trois|tres|tre|vier|quatre|cuatro|quattro"
        + "|fünf|cinq|cinco"
        + "|cinque|sechs|seis|sei|"
        + "acht|huit|ocho|otto|zehn|dix|diez|dieci|zwölf|douze|doce|dodici|fünfzehn|quinze|quince|quindici"
        + "|zwanzig|vingt|veinte|"
        + "venti|drei(?:ß|ss)ig|thirty|trente|treinta|trenta|vierzig|forty|quarante|cuarenta|quaranta";

    private const string TimesTold =
        @"\b(?<hours>[1-5]):(?<past>[0-5]\d)\b|"
        + @"(?<andhalf>\b(?:hora y media|heure et demie|ora e mezza|(?:anderthalb|eineinhalb) stunden|hour and a half))\b|"
        + @"(?<quarters>three quarters of an hour|dreiviertelstunde|trois quarts d['’]heure|"
        + @"tres cuartos de hora|tre quarti d['’]ora)|"
        + @"(?<quarter>quarter of an hour|viertelstunde|quart d['’]heure|cuarto de hora|quarto d['’]ora)|"
        + @"(?<halfhour>half an hour|halbe stunde|demi-heure|media hora|mezz['’]ora)|"
        + @"(?<from>\d+ [1-3]/[2-4]|[1-3]/[2-4]|\d+(?:[.,]\d+)?[½¼¾]?|[½¼¾]|"
        + @"\b(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|eighteen|"
        + @"twenty|an(?= hour)|\b(?:"
        + OtherWords
        + @")(?=\s|['’])))['’]?"
        + @"(?:\s*(?:-|–|to|or|bis|à|a)\s*(?<to>\d+ [1-3]/[2-4]|[1-3]/[2-4]|\d+(?:[.,]\d+)?[½¼¾]?))?\s*"
        + @"(?:(?<unit>hours?|hrs?|h|std|stunden?|heures?|horas?|ore|ora)(?:\b|(?<=\dh)(?=\d))\.?"
        + @"(?:\s+(?<half>and a half|e mezza|y media|et demie)\b|"
        + @"\s*(?:(?:and|und|et|y|e)\s+)?(?<more>[1-5]?\d)\s*(?:minutes?|minuten|minutos|minuti|mins?)\b|"
        + @"\s*(?:(?:y|et|e|and)\s+)?(?<more>[0-5]\d)\b(?!\s*(?:g|ml|°|º|%|[x×,.]\d|\p{L}{3})))?|"
        + @"(?<unit>minutes?|minuten|minutos|minuti|mins?|seconds?|secs?|sekunden|sek|secondes|segundos|secondi|s)\b)";

    [GeneratedRegex(TimesTold, RegexOptions.IgnoreCase)]
    public static partial Regex Times();

    private const string PiecesTold =
        @"(?:divide|cut|split) (?:the dough |it )?in(?:to)? "
        + @"(?:(?<two>half|halves)\b|(?<n>two|three|four|five|six|eight)\b(?=\s*[,.;]))|"
        + @"(?:makes|yields?|into)\s*:?\s*(?:about\s+)?(?:(?<n>\d|one|two|three|four)\s+|a\s+)?(?<dozen>doz(?:en)?)\b|"
        + @"\babout\s+(?<n>\d|one|two|three|four)\s+(?<dozen>doz(?:en)?)\b|"
        + @"(?:makes|yields?|ergibt|für|pour|para|per|into|gives|salen|rinde)\s*:?\s*"
        + @"(?:(?:about|ca\.?|un[oa]s|environ|env\.|circa|etwa)\s+)?"
        + @"(?<n>\d{1,3}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|sixteen|twenty)\b"
        + @"(?!\s*(?:[-–]\s*\d+\s*)?(?:min|hour|h\b|g\b|ml|cm|°|stunden|heures|horas|ore|"
        + @"person|people|portion|serving|slices?|scheiben|tranches|rebanadas|fette))|"
        + @"\b(?<two>halbieren|halve(?= (?:the dough|it)\b))|"
        + @"(?:cut|divide|split|shape)\s+(?:\w+ ){0,2}in\s+(?<n>\d{1,2})\b(?!\s*(?:min|cm|g\b))|"
        + @"(?:divi[dst]\p{L}*|partag\p{L}+|form\p{L}+|façonn\p{L}+|coup\p{L}+|cort\p{L}+|tagli\p{L}+)\s+(?:la masa "
        + @"|l['’]impasto |la pâte |le pâton )?"
        + @"(?:en|in)\s+(?<n>\d{1,2})\b(?!\s*(?:min|cm|g\b))|"
        + @"\bin\s+(?<n>\d{1,2})\s+(?:\w+\s+){0,2}(?:stücke|teile|teiglinge|portionen|kugeln|stränge)\b|"
        + @"(?<![x×/\d]\s?)(?<n>\d{1,3})\s+(?:rolls|buns|pretzels|loaves|loaf(?! (?:tin|pan))|pieces|"
        + @"balls|batons|knots|flatbreads|(?:bread)?sticks|scrolls|"
        + @"brötchen|semmeln|stü?c?k|brezeln|brezen|knoten|stangen|fladen|hörnchen|weckerl|kugeln|"
        + @"pains|petits pains|pâtons|boules|navettes|baguettes|panecillos|panes|bollos|barras|piezas|unidades|trenzas|"
        + @"panini|pezzi|trecce|treccine|palline|grissini|filoncini)\b";

    [GeneratedRegex(PiecesTold, RegexOptions.IgnoreCase)]
    private static partial Regex Pieces();
}
