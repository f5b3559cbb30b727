// Finds what a recipe's method says: its own plan, and which of its sentences belong to a step.
using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Doughs;

/// <summary>What a recipe tells of, in the order of the job.</summary>
public enum RecipeStage
{
    /// <summary>Mixing and kneading.</summary>
    Mixing,

    /// <summary>Between kneading and dividing: a rest, or a rise.</summary>
    Rising,

    /// <summary>Dividing and shaping.</summary>
    Shaping,

    /// <summary>The second proof.</summary>
    Proofing,

    /// <summary>Brushing, scoring, sprinkling.</summary>
    Finishing,

    /// <summary>The bath.</summary>
    Boiling,

    /// <summary>In the oven or on the griddle.</summary>
    Baking,

    /// <summary>Out of it.</summary>
    Cooling,
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

    // The words of each stage, for sentences that are shown where they belong.
    private static readonly ImmutableArray<(Regex Words, RecipeStage Stage)> Stages =
    [
        (Word("mix|knead|stir|dissolve|kneten|mischen|pétrir|mélanger|amasar|mezclar|impastare|mescolare"), RecipeStage.Mixing),
        (Word("rest|relax|rise|rising|doubled?|ruhen|gehen|reposer|lever|reposar|levar|riposare|lievitare"), RecipeStage.Rising),
        (
            Word(
                "divide|shape|roll|pull|plait|braid|twist|tie|form|cut|teilen|formen|diviser|façonner|dividir|formar|"
                    + "dividere|formare"
            ),
            RecipeStage.Shaping
        ),
        (
            Word("proof|prove|rise|rising|grow|doubled?|rim|gehen|gare|lever|pousse|levar|fermentar|lievitare"),
            RecipeStage.Proofing
        ),
        (
            Word(
                "brush|glaze|sprinkle|scatter|slash|score|snip|dust|bestreichen|bestreuen|badigeonner|parsemer|pintar|spennellare"
            ),
            RecipeStage.Finishing
        ),
        (Word("boil|dip|poach|bath|kochen|tauchen|pocher|hervir|bollire"), RecipeStage.Boiling),
        (
            Word(
                "bake|baking|oven|backen|ofen|golden|hollow|goldbraun|cuire|cuisson|enfourner|four|dorée?s?|hornear|horno|"
                    + "cuocere|infornare|forno|dorate"
            ),
            RecipeStage.Baking
        ),
        (Word("cool|cooling|rack|cloth|towel|auskühlen|abkühlen|refroidir|enfriar|raffreddare"), RecipeStage.Cooling),
    ];

    /// <summary>What a recipe says at a stage: its sentences that speak of it, in their order; empty when none does.</summary>
    /// <param name="text">Its method.</param>
    /// <param name="stage">The stage.</param>
    public static ImmutableArray<string> Said(string text, RecipeStage stage)
    {
        ArgumentNullException.ThrowIfNull(text);
        var said = Sentence()
            .Split(text)
            .Select(s => s.Trim(' ', '\r', '\n', '.'))
            .Where(s => s.Length is > 0 and <= LongestSentence);
        // After the oven a cloth is for cooling, and before it for the proof.
        var words = Stages.First(s => s.Stage == stage).Words;
        if (stage == RecipeStage.Cooling)
            said = said.SkipWhile(s => !Stages.First(b => b.Stage == RecipeStage.Baking).Words.IsMatch(s));
        return [.. said.Where(s => words.IsMatch(s))];
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
                Doing.Proofing when plan.Bake is null => plan with { Rise = plan.Rise ?? plan.Proof, Proof = lasts },
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

    private static double? NumberOf(string text)
    {
        if (Pantry.LineGrammar.NumberWords.TryGetValue(text, out var word))
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
        + @"(?<from>\d+(?:[.,]\d+)?[½¼¾]?|[½¼¾]|(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|eighteen|"
        + @"twenty|an(?= hour)))"
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
