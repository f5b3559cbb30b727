// What a line's ingredient is for, where that is not the dough: said before it, behind it, or as a heading.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.RegularExpressions;

namespace JollyKnot.Core.Pantry;

/// <summary>What an ingredient of a recipe is for.</summary>
public enum Use
{
    /// <summary>It goes into the dough.</summary>
    Dough,

    /// <summary>Rolled or folded in while shaping.</summary>
    Filling,

    /// <summary>On top.</summary>
    Topping,

    /// <summary>Brushed on before the oven.</summary>
    Wash,

    /// <summary>Brushed on hot out of the oven.</summary>
    HotBrush,

    /// <summary>In the water that pieces are dipped or boiled in.</summary>
    Bath,

    /// <summary>Under the dough: greasing, dusting, rolling.</summary>
    Surface,

    /// <summary>Beside the bread at the table.</summary>
    Serving,
}

/// <summary>When a part meets the bread.</summary>
public enum PartMoment
{
    /// <summary>On the pan, before the dough.</summary>
    OnThePan,

    /// <summary>In the hands, while it is shaped.</summary>
    Shaping,

    /// <summary>Before the second proof.</summary>
    BeforeProof,

    /// <summary>After the proof: once it is washed or out of its bath, before it is scored and loaded.</summary>
    BeforeOven,

    /// <summary>For its last minutes in the oven.</summary>
    PartWay,

    /// <summary>Hot out of the oven.</summary>
    Hot,

    /// <summary>When it is cold.</summary>
    Cold,
}

/// <summary>What was found besides amount and name.</summary>
/// <param name="Words">The rest.</param>
/// <param name="Use">What it is for; null when nothing says so.</param>
/// <param name="IsOptional">It may be left out.</param>
/// <param name="More">Some more of it, nobody says how much, is for this; null when none is.</param>
public sealed record SaidUse(string Words, Use? Use, bool IsOptional, Use? More)
{
    /// <summary>When it meets the bread; null when nothing says so.</summary>
    public PartMoment? Moment { get; init; }
}

/// <summary>Finds what an ingredient is for.</summary>
public static partial class Uses
{
    // What follows "for" or "to". Data of ours, by how bakers write.
    private static readonly FrozenDictionary<string, Use> Purposes = new (Use Use, string Words)[]
    {
        (
            Use.Dough,
            "yeast|yeast mixture|bloom|dough|main dough|sponge|poolish|biga|preferment|tangzhong|roux|starter|levain|bread|"
                + "buns|rolls|loaf|mix"
        ),
        (Use.Filling, "filling|fill|stuffing|stuff|spreading|spread|inside"),
        (
            Use.Topping,
            "topping|toppings|top|tops|sprinkling|sprinkle|finishing|finish|decorating|decoration|decorate|garnish|scattering|"
                + "scatter|crust|icing|frosting|drizzle|drizzling|crumble|streusel|coating|coat|rolling in|sprinkling over"
        ),
        (Use.Wash, "seal|sealing|wash|egg wash|eggwash|brushing|brush|glazing|glaze|milk wash|brush on top|brush over"),
        (
            Use.Bath,
            "bath|dip|dipping|boil|boiling|poaching|poach|soda bath|boiling bath|water bath|pot|poaching liquid|dipping bath"
        ),
        (
            Use.Surface,
            "surface|work surface|worktop|counter|bench|board|dusting|dust|flouring|rolling|rolling out|kneading|shaping|"
                + "greasing|grease|oiling|oil|bowl|tin|tins|pan|pans|tray|trays|baking tray|baking sheet|sheet|mould|moulds|"
                + "lining|line|griddle|hands|cloth|banneton|basket|proving basket|parchment|peel|baker's peel"
        ),
        (Use.Serving, "serving|serve|table|eating|eat|steam|steaming"),
    }
        .SelectMany(p => p.Words.Split('|').Select(w => (w, p.Use)))
        .ToFrozenDictionary(p => p.w, p => p.Use);

    private static readonly string Nouns = string.Join('|', Purposes.Keys.OrderByDescending(k => k.Length).Select(Regex.Escape));

    // A match ends in time that grows with the length: no alternative of these begins another twice.
    private static readonly Regex Purpose = new(
        $@"(?:^|[\s,(])(?:for|to|as)\s+(?:the\s+|a\s+|an\s+|your\s+|our\s+)?(?<what>{Nouns})\b[^,;)]*\)?"
            + @"|\(\s*(?:egg\s+)?(?<what>glaze|wash|topping|filling|garnish)\s*\)",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking
    );

    private static readonly Regex SomeMore = new(
        @"(?:[,(]\s*|[\s,(]+(?:plus|and|with|\+)\s+)"
            + @"(?:(?:alittle\s+|a\s+bit\s+|some\s+|an\s+)?(?:more|extra)|alittle)\b(?<rest>[^)]*)\)?",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking
    );

    private static readonly Regex SomeOfIt = new(
        @"[,;(]?\s*\b(?:of which|of them|including|reserv(?:e|ing)|sav(?:e|ing)|keep(?:ing)?|set(?:ting)? aside)\b.*$",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking
    );

    private static readonly Regex Optionally = new(
        @"[(,]?\s*\b(?:optional(?:ly)?|if you like|if liked|if desired|(?:only )?if (?:needed|necessary|required)|"
            + @"(?:only )?if (?:too )?(?:dry|stiff|sticky|wet)|"
            + @"(?:only )?if (?:it|(?:the )?dough) (?:needs it|(?:is|looks|seems|feels) "
            + @"(?:too )?(?:dry|stiff|wet|sticky)))\b\s*[):]?",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking
    );

    private static readonly Regex Afterwards = new(
        @"\b(?:after baking|after the oven|once baked|when baked|hot out of the oven|while (?:still )?(?:hot|warm)|"
            + @"(?:the )?hot (?:loaf|loaves|bread|rolls|buns|plait))\b",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking
    );

    // Words that tell when something meets the bread. Data of ours, by how bakers write.
    private static readonly ImmutableArray<ToldMoment> Moments =
    [
        Told(PartMoment.PartWay, @"(?:(?:for|in|during) )?(?:the )?last (?:few |[\w½¼]+ )?min(?:ute)?s?\b[^,;)]*"),
        Told(PartMoment.PartWay, @"(?:part|half)[- ]?way(?: through)?\b[^,;)]*"),
        Told(
            PartMoment.BeforeProof,
            @"before (?:the |its |their )?(?:second |last |final )?(?:proof|rise|rising|proving)\b[^,;)]*"
        ),
        Told(
            PartMoment.BeforeOven,
            @"(?:just |right |shortly )?before (?:the oven|baking|it goes in|they go in|it bakes|they bake|loading)\b[^,;)]*"
        ),
        Told(PartMoment.Cold, @"(?:when|once) (?:it is |they are |quite |completely )*(?:cold|cool|cooled)\b"),
        Told(null, @"(?:on|over) (?:the )?(?:top|loaf|rolls|buns|plait|crust)\b"),
    ];

    private static ToldMoment Told(PartMoment? moment, string words) =>
        new(moment, new(@"[,(]?\s*\b" + words + @"\)?", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant));

    // Null says only that it goes on top.
    private sealed record ToldMoment(PartMoment? Moment, Regex Words);

    /// <summary>What a heading or a label says its lines are for; null when it does not say.</summary>
    /// <param name="heading">In the words of the grammar, such as "For the dip" or "Topping".</param>
    public static Use? OfHeading(string heading)
    {
        ArgumentNullException.ThrowIfNull(heading);
        if (Afterwards.IsMatch(heading))
            return Use.HotBrush;
        if (Of($" {heading}").Use is { } said)
            return said;

        // "Egg wash", "Cheese topping", "Dip": the last word tells; "butter" alone is brushed on hot.
        var words = Phrase.Split(heading).ToList();
        for (var count = Math.Min(2, words.Count); count > 0; count--)
            if (Purposes.TryGetValue(string.Join(' ', words.TakeLast(count)), out var use) && IsPart(use, words))
                return use;
        return words is [.., "butter"] ? Use.HotBrush : null;
    }

    // "Rolls" as a heading is a title as often as not.
    private static bool IsPart(Use use, List<string> words) =>
        use != Use.Dough || words[^1] is "dough" or "sponge" or "poolish" or "biga" or "preferment" or "tangzhong" or "starter";

    /// <summary>Takes out of an ingredient's words what it is for.</summary>
    public static SaidUse Of(string words)
    {
        ArgumentNullException.ThrowIfNull(words);
        Use? more = null;
        if (SomeMore.Match($" {words}") is { Success: true } extra && !IsAnother(extra) && !IsAKind(extra.Groups["rest"].Value))
        {
            more = Purpose.Match($" {extra.Groups["rest"].Value}") is { Success: true } told ? UseOf(told) : Use.Surface;
            words = $" {words}".Remove(extra.Index, extra.Length);
        }
        // "More if needed" is not optional, what it is more of.
        var isOptional = Optionally.IsMatch(words);
        if (isOptional)
            words = Optionally.Replace(words, " ");
        // "320 ml milk, of which some for brushing".
        if (more is null && SomeOfIt.Match(words) is { Success: true } of && Purpose.Match(of.Value) is { Success: true } forSome)
            (more, words) = (UseOf(forSome), words.Remove(of.Index, of.Length));
        var isAfter = Afterwards.IsMatch(words);
        if (isAfter)
            words = Afterwards.Replace(words, " ");

        var onTop = Moments.Where(m => m.Words.IsMatch(words)).ToList();
        words = onTop.Aggregate(words, (rest, told) => told.Words.Replace(rest, " "));

        Use? use = null;
        var isForThePan = false;
        if (Purpose.Match(words) is { Success: true } purpose)
        {
            use = UseOf(purpose);
            isForThePan = Pans.Contains(purpose.Groups["what"].Value.ToLowerInvariant());
            var what = purpose.Groups["what"];
            var behind = purpose.Value[(what.Index + what.Length - purpose.Index)..];
            words = words.Remove(purpose.Index, purpose.Length);
            // "For dusting rice flour": what it is stands behind.
            if (string.IsNullOrWhiteSpace(words))
                words = behind;
        }
        if (isAfter)
            use = Use.HotBrush;
        else if (onTop.Count > 0)
            use ??= Use.Topping;
        var moment = onTop.Find(m => m.Moment is not null)?.Moment;
        if (isForThePan)
            moment = PartMoment.OnThePan;
        return new(words.Trim(' ', ',', ';', '('), use, isOptional, more) { Moment = moment };
    }

    /// <summary>How a line says it; null where it says nothing.</summary>
    internal static string? Say(Use use) =>
        use switch
        {
            Use.Filling => "for filling",
            Use.Topping => "for topping",
            Use.Wash => "for brushing",
            Use.HotBrush => "after baking",
            Use.Bath => "for boiling",
            Use.Surface => "for dusting",
            Use.Serving => "to serve",
            _ => null,
        };

    // What dough lies in or on in the oven.
    private static readonly FrozenSet<string> Pans = "tin|tins|pan|pans|tray|trays|baking tray|baking sheet|sheet|mould|moulds"
        .Split('|')
        .ToFrozenSet();

    // "beaten with a little milk" is milk, and no more of the same.
    private static bool IsAnother(Match extra) =>
        LittleAlone().IsMatch(extra.Value)
        && Phrase.Split(extra.Groups["rest"].Value).FirstOrDefault()
            is not (null or "for" or "to" or "as" or "if" or "on" or "in");

    [GeneratedRegex(@"\balittle\b(?!\s+(?:more|extra)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex LittleAlone();

    // "extra large", "extra virgin" is no more of it.
    private static bool IsAKind(string rest) =>
        Phrase.Split(rest).FirstOrDefault()
            is "large"
                or "virgin"
                or "fine"
                or "strong"
                or "ripe"
                or "dry"
                or "thick"
                or "mature";

    private static Use UseOf(Match purpose) => Purposes[purpose.Groups["what"].Value.ToLowerInvariant()];
}
