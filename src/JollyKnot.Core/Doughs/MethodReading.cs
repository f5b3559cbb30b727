// Finds what a recipe's method says: its own plan, and which of its sentences belong to a step.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

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

/// <summary>Folds as a recipe tells them.</summary>
/// <param name="Count">How often; null when not told.</param>
/// <param name="Gap">From one to the next.</param>
public sealed record ToldFolds(int? Count, TimeSpan Gap);

/// <summary>Finds a recipe's own plan in its method: a number belongs to the nearest verb before it.</summary>
public static partial class MethodReading
{
    /// <summary>What a recipe says of itself.</summary>
    /// <param name="text">Its title and method.</param>
    public static RecipePlan Of(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var plan = StrandsIn(
            text,
            RecipePlan.Nothing with
            {
                Pieces = MethodFigures.PiecesIn(text),
                FamilyId = MethodWords.In("shape", text),
            }
        );
        // "Prep 20 min · rest 2 h · bake 20 min" at the head sums up what the method tells, and is no step of it; "Rise: 2 h"
        // is one where nothing else tells of it.
        var lines = text.Split('\n').Where(line => !SumsUp(line)).ToList();
        var telling = Through(plan, string.Join('\n', lines.Where(line => !PageWords.IsTold(line.Trim()))));
        if (telling.Waits.Count == 0)
            telling = Through(plan, string.Join('\n', lines));
        if (telling.Plan.Bake is null)
            telling = telling with
            {
                Plan = telling.Plan with { Bake = Through(RecipePlan.Nothing, Between().Replace(text, "\n")).Plan.Bake },
            };
        return Waiting(telling) with
        {
            PlaceId = MethodWords.In("place", string.Join(' ', Said(text, RecipeStage.Proofing))),
            WashId = WashIn(text),
            Steam = SteamIn(text),
            Cooling = Enum<ToldCooling>(MethodWords.In("cooling", string.Join(' ', Said(text, RecipeStage.Cooling)))),
        };
    }

    // Two or more times in a line, each behind its name and nothing after it; beside them only what is short.
    private static bool SumsUp(string line)
    {
        var parts = line.Length <= LongestSentence ? Between().Split(line) : [];
        return parts.Count(IsNamedTime) > 1 && parts.All(p => p.Trim().Length <= LongestPart);
    }

    private static bool IsNamedTime(string part) =>
        MethodFigures.Times().Match(part) is { Success: true } time
        && part[..time.Index].Any(char.IsLetter)
        && !part[..time.Index].Any(char.IsDigit)
        && part[(time.Index + time.Length)..].Trim(' ', '.', '\r').Length == 0;

    // No sentence of a method. Ours.
    private const int LongestPart = 40;

    [GeneratedRegex(@"\s[·•|/—–-]\s")]
    private static partial Regex Between();

    // "Divide into 6 pieces, roll each into a rope, braid": pieces that are plaited together are strands of one.
    private static RecipePlan StrandsIn(string text, RecipePlan plan) =>
        plan is { FamilyId: "plait-3", Pieces: { } strands } && strands is 3 or 4 or 6 && Strands().IsMatch(text)
            ? plan with
            {
                FamilyId = $"plait-{strands}",
                Pieces = 1,
            }
            : plan;

    [GeneratedRegex(
        @"\b(?:strands?|ropes?|sausages|stränge?n?|boudins?|cordones?|tiras|filon(?:e|i|cini))\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Strands();

    /// <summary>The clauses of a method that tell one thing.</summary>
    /// <param name="thing">A kind of words, such as "strewn", "late" or "fried".</param>
    /// <param name="method">The method.</param>
    internal static ImmutableArray<string> Clauses(string thing, string method) =>
        [.. Sentences(method).SelectMany(s => s.Split(", ")).Where(c => MethodWords.In(thing, c) is not null).Take(MostClauses)];

    // No bread has more to tell of one thing. Ours.
    private const int MostClauses = 20;

    /// <summary>What a sentence does with what it names: brushed on, strewn, or else put into the dough.</summary>
    /// <param name="sentence">The sentence.</param>
    internal static Use UseOf(string sentence) =>
        MethodWords.In("brushed", sentence) is not null
            ? MethodWords.In("hot", sentence) is null
                ? Use.Wash
                : Use.HotBrush
            : MethodWords.In("strewn", sentence) is not null
                ? Use.Topping
                : Use.Dough;

    /// <summary>What a method does with the rest of something it divides.</summary>
    /// <param name="Use">What the rest is for.</param>
    /// <param name="Before">How much it takes before, as written; null where it does not say.</param>
    internal sealed record TheRest(Use Use, string? Before);

    /// <summary>What becomes of the rest of something: "brush with the remaining butter"; null where a method tells of none, or
    /// it is dough as well.</summary>
    /// <param name="thing">What it is.</param>
    /// <param name="sentences">The method's.</param>
    internal static TheRest? RestOf(string thing, List<string> sentences)
    {
        var named = Regex.Escape(thing);
        var rest = new Regex($@"\b(?:remaining|rest of the|reserved)\s+(?:\w+ ){{0,3}}?{named}\b", RegexOptions.IgnoreCase);
        var at = sentences.FindIndex(rest.IsMatch);
        if (at < 0 || DoneWithTheRest(sentences[at], rest.Match(sentences[at]).Index) is not { } use || use == Use.Dough)
            return null;
        if (use == Use.Wash && Bakes(sentences) is >= 0 and var bakes && bakes < at)
            use = Use.HotBrush;
        var before = new Regex($@"(?<amount>[\d½¼¾⅓⅔][^,;.]{{0,40}}?)\s{named}\b", RegexOptions.IgnoreCase);
        var taken = sentences.Take(at).Select(s => before.Match(s)).FirstOrDefault(m => m.Success);
        return new(use, taken?.Groups["amount"].Value);
    }

    /// <summary>The first time that is told in clauses, a short one.</summary>
    /// <param name="clauses">The clauses.</param>
    internal static Lasts? TimeIn(IEnumerable<string> clauses) =>
        clauses.SelectMany(MethodFigures.TimesIn).Select(t => t.Lasts).FirstOrDefault(l => l.To <= LongestKnead);

    /// <summary>Words name a loaf, of whatever shape.</summary>
    /// <param name="text">A title.</param>
    public static bool IsLoaf(string text) => MethodWords.In("loaf", text) is not null;

    /// <summary>A method names what is shaped a loaf.</summary>
    /// <param name="method">Its method.</param>
    public static bool ShapesLoaf(string method) =>
        Said(method, RecipeStage.Shaping).Any(s => MethodWords.In("shaped", s) is not null);

    /// <summary>It is kneaded by hand, and no machine is named for it.</summary>
    /// <param name="method">Its method.</param>
    public static bool IsByHand(string method) =>
        Sentences(method)
            .Any(s =>
                (MethodWords.Words("hand", "kneaded").IsMatch(s) || AtOnceByHand().IsMatch(s))
                && !MethodWords.Words("hand", "or").IsMatch(s)
            );

    /// <summary>How often the dough is folded in its bowl, and how far apart; null where nothing says how far.</summary>
    /// <param name="method">Its method.</param>
    public static ToldFolds? FoldsIn(string method)
    {
        foreach (var sentence in Sentences(method).Where(s => MethodWords.Words("fold", "done").IsMatch(s)))
            foreach (Match time in MethodFigures.Times().Matches(sentence))
                if (EndsApart(sentence[..time.Index]) && MethodFigures.LastsOf(time) is { } gap)
                    return new(Often().Match(sentence) is { Success: true } often ? CountOf(often) : null, gap.Middle);
        return null;
    }

    private static bool EndsApart(string text) =>
        MethodWords.Words("fold", "apart").Matches(text.TrimEnd()) is [.., var last]
        && last.Index + last.Length == text.TrimEnd().Length;

    private static int? CountOf(Match often) =>
        often.Groups["twice"].Success ? 2 : (int?)MethodFigures.NumberOf(often.Groups["n"].Value);

    /// <summary>By how much the dough is to grow in its bowl, 1 is doubled; null where nothing says so.</summary>
    /// <param name="method">Its method.</param>
    public static double? GrownIn(string method) =>
        MethodWords.In("grown", method) switch
        {
            "half" => .5,
            "third" => 1.0 / 3,
            _ => null,
        };

    /// <summary>It spends a night in the cold, shaped: dough that is shaped after it is not meant.</summary>
    /// <param name="method">Its method.</param>
    public static bool IsColdOvernight(string method)
    {
        ArgumentNullException.ThrowIfNull(method);
        var cold = MethodWords.Words("cold", "overnight").Match(method);
        return cold.Success && !MethodWords.Words("turn", "shaping").IsMatch(method[cold.Index..]);
    }

    [GeneratedRegex(
        @"(?<n>\d|one|two|three|four|five|six|zwei|drei|vier|deux|trois|quatre|dos|tres|cuatro|due|tre|quattro)"
            + @"\s*(?:times|sets|folds|mal|x\b|×|fois|veces|volte)|(?<twice>twice)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Often();

    [GeneratedRegex(@"^by hand\b(?! or\b)", RegexOptions.IgnoreCase)]
    private static partial Regex AtOnceByHand();

    /// <summary>The family that words name; null where they name none.</summary>
    /// <param name="text">A title, or a whole recipe.</param>
    public static string? ShapeIn(string text) => MethodWords.In("shape", text);

    /// <summary>The recipe wants its rows put in as they stand.</summary>
    /// <param name="text">Its method.</param>
    public static bool TellsOrder(string text) => MethodWords.In("order", text) is not null;

    /// <summary>Its first rise is told of as one in a bowl.</summary>
    /// <param name="method">Its method.</param>
    public static bool IsInBowl(string method) =>
        Said(method, RecipeStage.Rising).Any(s => MethodWords.In("bowl", s) is not null);

    /// <summary>Words tell of a dip.</summary>
    /// <param name="words">The name of a part, or a sentence.</param>
    public static bool IsDip(string words) => MethodWords.In("bath", words) is not null;

    /// <summary>Pieces are boiled, and then dipped.</summary>
    /// <param name="method">Its method.</param>
    public static bool DipsAfterBoiling(string method)
    {
        var said = string.Join(' ', Said(method, RecipeStage.Boiling));
        return IsDip(said) && MethodWords.In("pot", said) is not null;
    }

    /// <summary>What covers the second proof, by the name of its kind; null where nothing says so.</summary>
    /// <param name="method">Its method.</param>
    public static string? CoverIn(string method)
    {
        var waiting = Said(method, RecipeStage.Proofing).Concat(Said(method, RecipeStage.Rising));
        return waiting.Select(s => MethodWords.In("cover", s)).LastOrDefault(c => c is not null);
    }

    /// <summary>It is scored before the second proof.</summary>
    /// <param name="method">Its method.</param>
    public static bool ScoresFirst(string method) => Sentences(method).Any(s => MethodWords.In("scored", s) is not null);

    /// <summary>How thin it is rolled out; null where nothing says so.</summary>
    /// <param name="method">Its method.</param>
    public static Length? Thickness(string method) =>
        Sentences(method)
            .Where(s => MethodWords.Words("turn", "shaping").IsMatch(s))
            .Select(s => Thick().Match(s))
            .FirstOrDefault(m => m.Success)
            is { } thick
        && MethodFigures.NumberOf(thick.Groups["mm"].Value) is { } figure
            ? Length.FromMillimetres(figure)
            : null;

    /// <summary>How wide the ring is that rounds are cut with; null where nothing says so.</summary>
    /// <param name="method">Its method.</param>
    public static Length? RingIn(string method) =>
        Ring().Match(method ?? "") is { Success: true } ring && MethodFigures.NumberOf(ring.Groups["wide"].Value) is { } figure
            ? Length.FromMillimetres(
                figure
                    * (
                        ring.Groups["unit"].Value switch
                        {
                            "mm" => 1,
                            "cm" => 10,
                            _ => 25.4,
                        }
                    )
            )
            : null;

    [GeneratedRegex(
        @"(?<wide>\d{1,3}(?:[.,]\d)?)[- ]?(?<unit>mm|cm|inch(?:es)?|in\b|"")[- ]?(?:\w+ )?"
            + @"(?:ring|cutter|ausstecher|emporte-pièce|cortador|coppapasta)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Ring();

    /// <summary>How long balls rest before they are rolled out; null where nothing says so.</summary>
    /// <param name="method">Its method.</param>
    public static Lasts? BallsRest(string method)
    {
        ArgumentNullException.ThrowIfNull(method);
        var (_, waits, turns) = Through(RecipePlan.Nothing, method);
        bool IsTheirs(Wait w) => turns.Take(w.Turns).Contains("dividing") && turns.Skip(w.Turns).Contains("shaping");
        return waits.Find(w => w.Doing == "resting" && IsTheirs(w))?.Lasts;
    }

    // What it is brushed with before the oven.
    private static string? WashIn(string text) =>
        MethodWords.In("wash", string.Join(' ', BrushedBefore(Sentences(text).ToList())));

    /// <summary>A method before hands shape, and from there until it bakes.</summary>
    /// <param name="Before">Everything until then.</param>
    /// <param name="Then">Sentence by sentence from the word that shapes; none where nothing shapes or bakes.</param>
    internal sealed record AtShaping(string Before, ImmutableArray<string> Then)
    {
        /// <summary>What becomes of something named only now: rolled up in the bread or laid on it; null where it is named
        /// before, or not at all.</summary>
        /// <param name="name">What it is.</param>
        public Use? Of(string name)
        {
            if (Before.Contains(name, StringComparison.OrdinalIgnoreCase))
                return null;
            var said = Then.FirstOrDefault(s => s.Contains(name, StringComparison.OrdinalIgnoreCase));
            if (said is null)
                return null;
            return MethodWords.Words("rest", "filling").IsMatch(said) ? Use.Filling : Use.Topping;
        }
    }

    /// <summary>Where hands begin to shape.</summary>
    /// <param name="sentences">The method's.</param>
    internal static AtShaping WhenShaped(List<string> sentences)
    {
        var shaping = MethodWords.Words("turn", "shaping");
        var (at, bakes) = (sentences.FindIndex(shaping.IsMatch), Bakes(sentences));
        if (at < 0 || bakes < at)
            return new(string.Join('\n', sentences), []);
        var word = shaping.Match(sentences[at]).Index;
        return new(
            string.Join('\n', [.. sentences.Take(at), sentences[at][..word]]),
            [sentences[at][word..], .. sentences.Skip(at + 1).Take(bakes - at)]
        );
    }

    // What is brushed after it baked is brushed hot.
    private static IEnumerable<string> BrushedBefore(List<string> sentences)
    {
        var bakes = Bakes(sentences);
        return sentences
            .Take(bakes < 0 ? sentences.Count : bakes + 1)
            .Where(s => WordsOf(RecipeStage.Finishing).IsMatch(s))
            .Where(s => MethodWords.In("brushed", s) is not null && MethodWords.In("hot", s) is null);
    }

    /// <summary>It is brushed hot out of the oven, and not before.</summary>
    /// <param name="method">Its method.</param>
    internal static bool BrushesOnlyHot(string method)
    {
        var sentences = Sentences(method).ToList();
        return !BrushedBefore(sentences).Any() && sentences.Any(IsBrushedHot);
    }

    private static bool IsBrushedHot(string sentence) =>
        MethodWords.In("brushed", sentence) is not null && MethodWords.In("hot", sentence) is not null;

    // By the nearest verb before it, else the first behind.
    private static Use? DoneWithTheRest(string sentence, int at)
    {
        var done = MethodWords
            .Kind("rest")
            .SelectMany(v => v.Words.Matches(sentence).Select(m => new DoneAt(m.Index, v.Which)))
            .OrderBy(v => v.Index)
            .ToList();
        return Nearest(done, at) is { } told ? System.Enum.Parse<Use>(told, ignoreCase: true) : null;
    }

    /// <summary>What a method puts in before it bakes, by its name: "spread with the garlic butter".</summary>
    /// <param name="name">Its name.</param>
    /// <param name="method">The method.</param>
    internal static bool TakesBeforeOven(string name, string method)
    {
        var sentences = Sentences(method).ToList();
        var named = sentences.FindIndex(s => s.Contains(name, StringComparison.OrdinalIgnoreCase));
        return named >= 0 && named <= Bakes(sentences) && !sentences.Any(IsBrushedHot);
    }

    // The sentence that tells of the bake.
    private static int Bakes(List<string> sentences) =>
        sentences.FindIndex(s =>
            MethodWords.Words("doing", "baking").IsMatch(s) && MethodFigures.Times().IsMatch(s) && !PageWords.IsTold(s)
        );

    // The first sentence that tells of it; "no steam" and "do not spray" are no steam.
    private static ToldSteam? SteamIn(string text)
    {
        foreach (var sentence in Sentences(text).SkipWhile(s => !WordsOf(RecipeStage.Baking).IsMatch(s)))
            foreach (var told in MethodWords.Kind("steam"))
                if (told.Words.Match(sentence) is { Success: true, Index: var at })
                    return MethodWords.In("without", sentence[..at]) is null ? Enum<ToldSteam>(told.Which) : ToldSteam.None;
        return null;
    }

    private static T? Enum<T>(string? name)
        where T : struct, Enum => name is null ? null : System.Enum.Parse<T>(name, ignoreCase: true);

    /// <summary>What a recipe says at a stage: its sentences that speak of it, in their order; empty when none does.</summary>
    /// <param name="text">Its method.</param>
    /// <param name="stage">The stage.</param>
    public static ImmutableArray<string> Said(string text, RecipeStage stage)
    {
        ArgumentNullException.ThrowIfNull(text);
        var said = Sentences(text);
        // After the oven a cloth is for cooling, and before it for the proof.
        var words = WordsOf(stage);
        if (stage == RecipeStage.Cooling)
            said = said.SkipWhile(s => !WordsOf(RecipeStage.Baking).IsMatch(s));
        return [.. said.Where(s => words.IsMatch(s))];
    }

    /// <summary>A method's sentences, none so long that it tells nothing.</summary>
    /// <param name="text">The method.</param>
    internal static IEnumerable<string> Sentences(string text) =>
        Sentence().Split(text).Select(s => s.Trim(' ', '\r', '\n', '.')).Where(s => s.Length is > 0 and <= LongestSentence);

    private static readonly FrozenDictionary<string, RecipeStage> Stages = System
        .Enum.GetValues<RecipeStage>()
        .ToFrozenDictionary(s => s.ToString().ToLowerInvariant());

    private static Regex WordsOf(RecipeStage stage) => MethodWords.Words("stage", Stages.First(s => s.Value == stage).Key);

    // A longer one tells no baker anything; and each number in it looks through all of it.
    private const int LongestSentence = 600;

    // What a method tells from its first sentence to its last: its plan, its waits, and what hands turn to between them.
    private sealed record Telling(RecipePlan Plan, List<Wait> Waits, List<string> Turns);

    private static Telling Through(RecipePlan plan, string text)
    {
        var (waits, turns) = (new List<Wait>(), new List<string>());
        foreach (var sentence in Sentence().Split(text).Where(s => s.Length <= LongestSentence))
            plan = With(plan, sentence, waits, turns);
        return new(plan, waits, turns);
    }

    // A wait, and how many turns of the hands were told before it.
    private sealed record Wait(string Doing, Lasts Lasts, int Turns);

    // The last wait before the oven is the second proof, unless hands shape after it; what is called a rest is one where they
    // shaped before it, or where it leads to the bath. Before that there may be a first rise and a rest.
    private static RecipePlan Waiting(Telling told)
    {
        var (plan, waits, turns) = told;
        if (waits is not [.., var last])
            return plan;
        var isShapedAfter = turns.Skip(last.Turns).Contains("shaping");
        var isFirstRest = last.Doing == "resting" && last.Turns == 0 && plan.Boil is null;
        var proof = isShapedAfter || isFirstRest ? null : last;
        var before = waits.Where(w => w != proof).ToList();
        return plan with
        {
            // What is longer is a night in the cold.
            Proof = proof?.Lasts is { } proves && proves.To <= LongestProof ? proves : null,
            Rise = before.Find(w => w.Doing == "proofing")?.Lasts,
            // Once there are pieces, a rest is theirs.
            Rest = before.Find(w => w.Doing == "resting" && !turns.Take(w.Turns).Contains("dividing"))?.Lasts,
        };
    }

    private static RecipePlan With(RecipePlan plan, string sentence, List<Wait> waits, List<string> turns)
    {
        var turned = MethodWords
            .Kind("turn")
            .SelectMany(t => t.Words.Matches(sentence).Select(m => new DoneAt(m.Index, t.Which)))
            .Where(_ => plan.Bake is null)
            .OrderBy(t => t.Index)
            .ToList();
        // Yeast that is woken before it is kneaded.
        if (plan.Knead is null && MethodWords.Words("doing", "kneading").IsMatch(sentence))
            waits.RemoveAll(w => w.Doing == "resting" && w.Lasts.To <= LongestFroth);
        int TurnsBefore(int at) => turns.Count + turned.Count(t => t.Index < at);
        if (plan.Heat is null && MethodFigures.HeatIn(sentence) is { } heat)
            plan = plan with { Heat = heat.Heat, WithFan = heat.WithFan };
        plan = plan with { Pan = plan.Pan ?? PanIn(sentence) };
        foreach (var (at, told) in MethodFigures.TimesIn(sentence))
        {
            // What waited before it was kneaded was no dough yet.
            if (plan.Knead is null && told.From >= ShortestKnead && DoingBefore(sentence, at, IsHot(plan)) == "kneading")
                waits.Clear();
            // "2 minutes a side" are four.
            var lasts = ASide().IsMatch(sentence[at..]) && IsOnAGriddle(plan) ? new Lasts(told.From * 2, told.To * 2) : told;
            plan = DoingBefore(sentence, at, IsHot(plan)) switch
            {
                "cycling" when plan.Program is null && lasts.From >= ShortestCycle && lasts.To <= LongestCycle => plan with
                {
                    Program = lasts,
                },
                "baking" when plan.Bake is null && lasts.To <= LongestBake => plan with { Bake = lasts },
                "baking" when plan.Bake is not null && NextHeat(sentence, plan) is { } next => GoesOn(plan, next, lasts),
                "kneading" when plan.Knead is null && lasts.To <= LongestKnead => plan with { Knead = lasts },
                "boiling" when plan.Boil is null && lasts.To <= LongestBoil => plan with { Boil = lasts },
                _ => plan,
            };
            if (
                DoingBefore(sentence, at, IsHot(plan)) is ("proofing" or "resting") and var waiting
                && plan.Bake is null
                && MethodWords.In("froth", sentence) is null
            )
                waits.Add(new(waiting, lasts, TurnsBefore(at)));
        }
        turns.AddRange(turned.Select(t => t.Doing));
        return plan;
    }

    // What is cooked from here on is the bread.
    private static bool IsHot(RecipePlan plan) => plan.Heat is not null || IsOnAGriddle(plan);

    private static bool IsOnAGriddle(RecipePlan plan) => plan.FamilyId is "griddle-round" or "griddle-flatbread";

    [GeneratedRegex(
        @"^[^.;]{0,40}\b(?:a|per|each|on each|every|the first|je|pro|auf jeder|von jeder|de chaque|par|por"
            + @"|por cada|per|su ogni|da ogni)\s+"
            + @"(?:sides?|seite|côtés?|lados?|lato)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex ASide();

    // A start and a rest: the oven is turned to another heat, and it bakes on.
    private static Temperature? NextHeat(string sentence, RecipePlan plan)
    {
        if (
            MethodFigures.HeatIn(sentence) is not { WithFan: var fan, Heat: var heat }
            || heat == plan.Heat
            || fan != plan.WithFan
        )
            return null;
        var begins = MethodFigures.Heats().Match(sentence).Index == sentence.Length - sentence.TrimStart().Length;
        return begins || MethodWords.Words("heat", "next").IsMatch(sentence) ? heat : null;
    }

    // The heat of the longer stretch is the bread's.
    private static RecipePlan GoesOn(RecipePlan plan, Temperature heat, Lasts lasts) =>
        plan with
        {
            Heat = lasts.Middle > plan.Bake!.Middle ? heat : plan.Heat,
            Bake = new(plan.Bake.From + lasts.From, plan.Bake.To + lasts.To),
        };

    // Longer than this is no bread in a home oven, and no bath. Ours.
    private static readonly TimeSpan LongestBake = TimeSpan.FromHours(2),
        LongestBoil = TimeSpan.FromMinutes(5),
        ShortestKnead = TimeSpan.FromMinutes(4),
        LongestFroth = TimeSpan.FromMinutes(15),
        LongestKnead = TimeSpan.FromMinutes(60),
        LongestProof = TimeSpan.FromHours(6),
        ShortestCycle = TimeSpan.FromMinutes(20),
        LongestCycle = TimeSpan.FromHours(5);

    // The tin or tray a sentence names, with its size where it tells one.
    private static ToldPan? PanIn(string sentence)
    {
        if (Enum<PanKind>(MethodWords.In("pan", sentence)) is not { } kind)
            return null;
        var named = MethodWords.Kind("pan").Select(p => p.Words.Match(sentence)).First(m => m.Success).Index;
        if (PanSize().Matches(sentence).MinBy(m => Math.Abs(m.Index - named)) is not { } size)
            return new(kind, null, null);
        var inches = size.Groups["unit"].Value is not ("cm" or "centimetres");
        Length? Of(string group) =>
            MethodFigures.NumberOf(size.Groups[group].Value) is { } figure
                ? Length.FromMillimetres(figure * (inches ? 25.4 : 10))
                : null;
        return new(kind, Of("long"), Of("wide"));
    }

    // The nearest verb before the number in its own clause, else the first behind it there: some languages end with the verb. In
    // a clause without one, the nearest before in the whole sentence, else the first behind.
    private static string DoingBefore(string sentence, int at, bool isHeated)
    {
        var found = MethodWords
            .Kind("doing")
            .SelectMany(v => v.Words.Matches(sentence).Select(m => new DoneAt(m.Index, v.Which)))
            .OrderBy(v => v.Index)
            .ToList();
        var (from, to) = (
            sentence.LastIndexOf(", ", at, StringComparison.Ordinal),
            sentence.IndexOf(", ", at, StringComparison.Ordinal)
        );
        // "After 2 hours" is a wait before what is done then.
        if (After().IsMatch(sentence[..at]))
            return "nothing";
        var clause = found.Where(v => v.Index > from && (to < 0 || v.Index < to)).ToList();
        var isHot = MethodFigures.HeatIn(sentence) is not null;
        var end = to < 0 || sentence[to..].StartsWith(", until", StringComparison.OrdinalIgnoreCase) ? sentence.Length : to;
        // "Prove 20 minutes, 220 °C about 15 minutes": at an oven's heat it bakes.
        var isInOven =
            clause.Count == 0 && MethodFigures.HeatIn(sentence[(from + 1)..(to < 0 ? sentence.Length : to)]) is not null;
        return (Nearest(clause, at) ?? (isInOven ? "baking" : Nearest(found, at))) switch
        {
            "cooking" when isHeated && (Cooked().IsMatch(sentence) || ASide().IsMatch(sentence[at..])) => "baking",
            null or "cooking" => isHot ? "baking" : "nothing",
            // "Leave for an hour until doubled" is a rise.
            "resting" when MethodWords.In("until", sentence[(from + 1)..end]) is not null => "proofing",
            var doing => doing,
        };
    }

    // "Cook 6 to 8 minutes" is the bread, "cook the leeks for 10 minutes" is not.
    [GeneratedRegex(
        @"\bcook(?:ed)?(?:\s+(?:for|about|around|them|it|each|one|breads?|flatbreads?|rounds?|pieces?|side|in|on|the|a|hot|dry|"
            + @"oven|stone|tray|pan|griddle|at|time))*\s+(?:\d|one|two|three|four|five|half)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Cooked();

    [GeneratedRegex(@"\b(?:after|nach|après|tras|después de|dopo)\s+(?:about\s+|another\s+)?$", RegexOptions.IgnoreCase)]
    private static partial Regex After();

    // Something that is done, and where in the sentence it stands.
    private sealed record DoneAt(int Index, string Doing);

    private static string? Nearest(List<DoneAt> found, int at) =>
        (found.FindLast(v => v.Index < at) ?? found.FirstOrDefault())?.Doing;

    // "30 Min. gehen lassen" is one: what is short for a word ends no sentence that goes on in small letters.
    [GeneratedRegex(
        @"(?:\.(?!,)(?<!\b(?:min|std)\.(?=\s*(?-i:\p{Ll}))|\b(?:ca|approx|env)\.|\bstd\.(?=\s*\d))|[;\n])\s*(?!\d)|,\s*then\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Sentence();

    [GeneratedRegex(@"(?<mm>\d{1,2}(?:[.,]\d)?)\s*mm\b", RegexOptions.IgnoreCase)]
    private static partial Regex Thick();

    private const string SizeTold =
        @"(?<long>\d{1,2}(?:[.,]\d)?)\s*(?:cm|inch(?:es)?|in|""|zoll)?\s*(?:(?:[x×]|by|mal)\s*(?<wide>\d{1,2}(?:[.,]\d)?)\s*)?"
        + @"(?:(?:[x×]|by)\s*\d{1,2}(?:[.,]\d)?\s*)?[- ]?(?<unit>cm|centimetres|inch(?:es)?|in\b|""|zoll)"
        + @"(?!\s*(?:apart|abstand|d['’]écart|de distancia|di distanza))";

    [GeneratedRegex(SizeTold, RegexOptions.IgnoreCase)]
    private static partial Regex PanSize();
}
