// The grammar of an ingredient line: amounts in any usual spelling, then what they are of.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Measures;
using Superpower;
using Superpower.Model;
using Superpower.Parsers;

namespace JollyKnot.Core.Pantry;

/// <summary>So many of a unit. Ranges are told by their middle.</summary>
/// <param name="Count">How many; the middle of a range.</param>
/// <param name="Unit">Of what.</param>
/// <param name="Range">Lowest and highest, where a range was given.</param>
public sealed record Measure(double Count, Unit Unit, (double From, double To)? Range = null);

/// <summary>An amount: measures to be added, or taken off where they are negative; and other ways in which the line tells the
/// same.</summary>
/// <param name="Sum">At least one.</param>
/// <param name="Same">Each again a sum.</param>
public sealed record Amount(ImmutableArray<Measure> Sum, ImmutableArray<ImmutableArray<Measure>> Same);

/// <summary>One item of a line.</summary>
/// <param name="Amount">How much; null when the line does not say.</param>
/// <param name="Words">The rest: what it is, and what is done to it.</param>
public sealed record LineItem(Amount? Amount, string Words);

internal enum Lexeme
{
    Number,
    Vulgar,
    Word,
    Slash,
    Dash,
    Plus,
    Times,
    Open,
    Close,
    Comma,
    Colon,
    Dot,
    Other,
}

/// <summary>Reads lines. Total: whatever is given, it answers, in time that grows with the length.</summary>
public static class LineGrammar
{
    /// <summary>A longer line is no ingredient.</summary>
    public const int LongestLine = 300;

    // Larger or longer numbers are no kitchen's; they stay words.
    private const double Largest = 1e7;
    private const int LongestNumber = 40;

    internal static readonly FrozenDictionary<char, double> Vulgars = new Dictionary<char, double>
    {
        ['¼'] = 1 / 4d,
        ['½'] = 1 / 2d,
        ['¾'] = 3 / 4d,
        ['⅓'] = 1 / 3d,
        ['⅔'] = 2 / 3d,
        ['⅛'] = 1 / 8d,
        ['⅜'] = 3 / 8d,
        ['⅝'] = 5 / 8d,
        ['⅞'] = 7 / 8d,
        ['⅕'] = 1 / 5d,
        ['⅖'] = 2 / 5d,
        ['⅗'] = 3 / 5d,
        ['⅘'] = 4 / 5d,
        ['⅙'] = 1 / 6d,
        ['⅚'] = 5 / 6d,
    }.ToFrozenDictionary();

    /// <summary>Numbers that recipes write as words.</summary>
    internal static readonly Dictionary<string, double> NumberWords = new(StringComparer.OrdinalIgnoreCase)
    {
        ["a"] = 1,
        ["an"] = 1,
        ["one"] = 1,
        ["two"] = 2,
        ["three"] = 3,
        ["four"] = 4,
        ["five"] = 5,
        ["six"] = 6,
        ["seven"] = 7,
        ["eight"] = 8,
        ["nine"] = 9,
        ["ten"] = 10,
        ["eleven"] = 11,
        ["twelve"] = 12,
        ["fifteen"] = 15,
        ["sixteen"] = 16,
        ["eighteen"] = 18,
        ["twenty"] = 20,
        ["half"] = .5,
        ["quarter"] = .25,
        ["third"] = 1 / 3d,
    };

    // How full, said before the unit; believed only where it matters.
    private static readonly Dictionary<string, double> Fullness = new(StringComparer.OrdinalIgnoreCase)
    {
        ["level"] = 1,
        ["heaped"] = 1.25,
        ["heaping"] = 1.25,
        ["rounded"] = 1.1,
        ["scant"] = .95,
        ["generous"] = 1.05,
        ["good"] = 1.05,
        ["small"] = 1,
        ["large"] = 1,
        ["big"] = 1,
        ["fl"] = 1,
        ["fluid"] = 1,
    };

    private static readonly Lexer Lexer = new();

    private static readonly TokenListParser<Lexeme, Token<Lexeme>> Dash = Token.EqualTo(Lexeme.Dash),
        Slash = Token.EqualTo(Lexeme.Slash),
        Plus = Token.EqualTo(Lexeme.Plus),
        Comma = Token.EqualTo(Lexeme.Comma),
        Open = Token.EqualTo(Lexeme.Open),
        Close = Token.EqualTo(Lexeme.Close),
        Half = Said("half"),
        Quarter = Said("quarter"),
        Quarters = Said("quarters"),
        Of = Said("of"),
        MaybeDash = Dash.OptionalOrDefault(),
        MaybeDot = Token.EqualTo(Lexeme.Dot).OptionalOrDefault(),
        MaybeA = Said("a", "an").OptionalOrDefault(),
        MaybeOf = Said("a", "of", "and").OptionalOrDefault(),
        MaybeAbout = Said("about", "approx", "approximately", "ca").OptionalOrDefault(),
        MaybeClose = Close.OptionalOrDefault(),
        AndPart = Dash.Or(Said("and")).Or(Plus).OptionalOrDefault(),
        UpTo = Dash.Or(Said("to", "or")),
        Until = Dash.Or(Said("to")),
        TimesOrOpen = Token.EqualTo(Lexeme.Times).Or(Said("x")).Or(Open).OptionalOrDefault(),
        Sign = Plus.Or(Said("plus", "and", "minus", "less")).Or(Comma).OptionalOrDefault(),
        Either = Slash.Or(Comma).Or(Said("or")),
        OrElse = Slash.Or(Said("or")).Or(Dash);

    private static readonly TokenListParser<Lexeme, double> Plain = Token
        .EqualTo(Lexeme.Number)
        .Where(t => t.Span.Length <= LongestNumber)
        .Select(t => Number(t.ToStringValue()))
        .Where(n => n < Largest);

    private static readonly TokenListParser<Lexeme, double> Vulgar = Token
        .EqualTo(Lexeme.Vulgar)
        .Select(t => Vulgars[t.ToStringValue()[0]]);

    private static readonly TokenListParser<Lexeme, double> Fraction = (
        from over in Plain
        from slash in Slash
        from under in Plain
        where under is >= 2 and <= 16 && over < 100 && over == Math.Floor(over)
        select over / under
    ).Try();

    private static readonly TokenListParser<Lexeme, double> Part = Fraction.Where(f => f < 1).Try().Or(Vulgar);

    // "1 3/4", "1¾", "1-3/4", "1 and 3/4".
    private static readonly TokenListParser<Lexeme, double> Mixed = (
        from whole in Plain
        from between in AndPart
        from part in Part
        select whole + part
    ).Try();

    // "half a", "one and a half", "three-quarters", which is told as a factor below 0.
    private static readonly TokenListParser<Lexeme, double> SpokenPart = (
        from of in MaybeOf
        from a in MaybeA
        from part in Half.Value(.5).Or(Quarter.Value(.25))
        select part
    )
        .Try()
        .Or((from dash in MaybeDash from quarters in Quarters select -.25).Try())
        .OptionalOrDefault();

    private static readonly TokenListParser<Lexeme, double> Spoken = (
        from word in Token.EqualTo(Lexeme.Word).Where(t => NumberWords.ContainsKey(t.ToStringValue()))
        from part in SpokenPart
        from article in MaybeA
        select (Number: NumberWords[word.ToStringValue()], IsArticle: word.Span.Length < 3) switch
        {
            var (n, _) when part < 0 => n * -part,
            (_, true) when part > 0 => part,
            var (n, _) => n + part,
        }
    ).Try();

    private static readonly TokenListParser<Lexeme, double> Counted = Mixed.Or(Fraction).Or(Vulgar).Or(Plain).Or(Spoken);

    private static readonly TokenListParser<Lexeme, double> High = (from to in UpTo from h in Counted select h)
        .Try()
        .OptionalOrDefault();

    private static readonly TokenListParser<Lexeme, (double Count, (double, double)? Range)> Ranged = (
        from low in Counted
        from high in High
        where high == 0 || high > low
        select high > 0 ? ((low + high) / 2, ((double, double)?)(low, high)) : (low, null)
    )
        .Try()
        .Or(Counted.Select(n => (n, ((double, double)?)null)));

    private static readonly TokenListParser<Lexeme, Token<Lexeme>?> MaybeFull = (
        from full in Token.EqualTo(Lexeme.Word).Where(t => Fullness.ContainsKey(t.ToStringValue()))
        from dot in MaybeDot
        select (Token<Lexeme>?)full
    )
        .Try()
        .OptionalOrDefault();

    private static readonly TokenListParser<Lexeme, Token<Lexeme>> UnitToken = Token
        .EqualTo(Lexeme.Word)
        .Where(t => Unit.Find(t.ToStringValue()) is not null);

    private static readonly TokenListParser<Lexeme, (Unit Unit, double Full)> UnitWord =
        from dash in MaybeDash
        from full in MaybeFull
        from unit in UnitToken
        from dot in MaybeDot
        select Joined(full?.ToStringValue(), unit.ToStringValue());

    private static readonly TokenListParser<Lexeme, Measure> WithUnit = (
        from about in MaybeAbout
        from dot in MaybeDot
        from full in MaybeFull
        from n in Ranged
        from unit in UnitWord
        select new Measure(n.Count * unit.Full * (full is { } f ? Filled(f.ToStringValue(), unit.Unit) : 1), unit.Unit, n.Range)
    ).Try();

    // "350 g–400 g".
    private static readonly TokenListParser<Lexeme, Measure?> Higher = (
        from to in Until
        from high in WithUnit
        select (Measure?)high
    )
        .Try()
        .OptionalOrDefault();

    private static readonly TokenListParser<Lexeme, bool> PackWord = UnitWord
        .Where(u => u.Unit.Kind == UnitKind.Pack)
        .Value(true)
        .Try()
        .OptionalOrDefault();

    // "2 x 7 g sachets", "1 (7 g) packet", "1 7-g packet".
    private static readonly TokenListParser<Lexeme, Measure> Packs = (
        from n in Counted
        from times in TimesOrOpen
        from each in WithUnit
        from close in MaybeClose
        from pack in PackWord
        where pack || times.Kind is Lexeme.Times or Lexeme.Word
        select each with
        {
            Count = n * each.Count,
            Range = null,
        }
    ).Try();

    private static readonly TokenListParser<Lexeme, Measure> Bare = Ranged.Select(n => new Measure(n.Count, Unit.Piece, n.Range));

    // A number before a unit is the most common, and so tried first; packs have something else between the two.
    private static readonly TokenListParser<Lexeme, Measure> One = (
        from low in WithUnit
        from high in Higher
        where high is null || (high.Unit == low.Unit && high.Count > low.Count)
        select high is null ? low : low with { Count = (low.Count + high.Count) / 2, Range = (low.Count, high.Count) }
    )
        .Try()
        .Or(Packs)
        .Or(WithUnit);

    private static readonly TokenListParser<Lexeme, (Token<Lexeme> Sign, Measure Measure)[]> Further = (
        from sign in Sign
        from next in One
        where BelongsAfter(sign, next)
        select (sign, next)
    )
        .Try()
        .Many();

    private static readonly TokenListParser<Lexeme, ImmutableArray<Measure>> Sum =
        from first in One
        from more in Further
        select Added(first, more);

    private static readonly TokenListParser<Lexeme, ImmutableArray<Measure>[]> OthersToo = (
        from s in Either
        from m in Sum
        select m
    )
        .Try()
        .Many();

    private static readonly TokenListParser<Lexeme, bool> EachOrTotal = Said("each")
        .Value(true)
        .Or(Said("total", "in").Value(false))
        .OptionalOrDefault();

    private static readonly TokenListParser<Lexeme, (ImmutableArray<ImmutableArray<Measure>> Same, bool Each)> InParens = (
        from open in Open
        from first in Sum
        from more in OthersToo
        from each in EachOrTotal
        from close in Close
        select (ImmutableArray.Create([first, .. more]), each)
    ).Try();

    private static readonly TokenListParser<Lexeme, (ImmutableArray<ImmutableArray<Measure>> Same, bool Each)[]> SameAgain =
        InParens.Or((from s in OrElse from m in Sum select (ImmutableArray.Create(m), false)).Try()).Many();

    private static readonly TokenListParser<Lexeme, ImmutableArray<Measure>> SumOrBare = Sum.Try()
        .Or(Bare.Select(b => ImmutableArray.Create(b)));

    private static readonly TokenListParser<Lexeme, Amount> AmountParser =
        from sum in SumOrBare
        from same in SameAgain
        select Told(sum, same);

    // "pinch of salt", "splash of milk": a unit alone is one of it.
    private static readonly TokenListParser<Lexeme, Amount> Alone =
        from unit in UnitWord.Where(u => u.Unit.Kind is UnitKind.Volume || u.Unit.IsGuess)
        from of in unit.Unit.IsGuess || unit.Unit.Name == "pinch" ? MaybeOf : Of
        select new Amount([new Measure(unit.Full, unit.Unit)], []);

    private static readonly TokenListParser<Lexeme, Amount> Leading = AmountParser.Try().Or(Alone);

    // At the end a number without a unit is believed only after a sign that it is one.
    private static readonly TokenListParser<Lexeme, Amount> Trailing =
        from sum in Sum
        from same in SameAgain
        select Told(sum, same);

    private static readonly TokenListParser<Lexeme, Amount> Measured = One.Select(m => new Amount([m], []));

    /// <summary>Reads a line into its items: usually one, two for "2 eggs plus 1 yolk", none for a blank one.</summary>
    public static ImmutableArray<LineItem> Read(string line)
    {
        ArgumentNullException.ThrowIfNull(line);
        line = Composed.Of(line);
        if (line.Length > LongestLine)
            return [new(null, line.Trim())];
        var lexemes = Lexer.TryTokenize(line);
        if (!lexemes.HasValue)
            return [new(null, line.Trim())];
        var tokens = lexemes.Value.ToArray();
        var items = ImmutableArray.CreateBuilder<LineItem>();
        var at = Labelled(tokens, Bulleted(tokens));
        while (at < tokens.Length)
        {
            var (amount, from) = At(Leading, tokens, at);
            var to = NextItem(tokens, from);
            if (amount is null && items.Count == 0)
            {
                items.Add(Behind(line, tokens, at));
                break;
            }
            items.Add(new(amount, Slice(line, tokens, from, to)));
            at = to < tokens.Length ? to + 1 : to;
        }
        return items.ToImmutable();
    }

    // "Flour: 500 g", "butter (50 g), soft", "zest of 1 orange".
    private static LineItem Behind(string line, Token<Lexeme>[] tokens, int at)
    {
        for (var i = at + 1; i < tokens.Length; i++)
        {
            if (tokens[i].Kind is not (Lexeme.Number or Lexeme.Vulgar or Lexeme.Word))
                continue;
            var said = tokens[i].Kind == Lexeme.Word;
            if (said && !IsOneOf(tokens[i], "a", "an", "about", "one", "half"))
                continue;
            var (amount, end) = At(Trailing, tokens, i);
            if (
                amount is null
                && (
                    IsOneOf(tokens[i - 1], "of")
                    || tokens[i - 1].Kind is Lexeme.Colon or Lexeme.Comma
                    || (tokens[i - 1].Kind == Lexeme.Dash && i > 1)
                    || tokens[i - 1].Kind == Lexeme.Times
                )
                && (!said || IsOneOf(tokens[i - 1], "of"))
            )
                (amount, end) = At(AmountParser, tokens, i);
            if (amount is null)
                continue;
            var before = Slice(line, tokens, at, i).TrimEnd(' ', ':', '-', '–', '—', ',', '(', '=', '×');
            // A bracket opened before the amount closes behind it.
            if (end < tokens.Length && tokens[end].Kind == Lexeme.Close && tokens[i - 1].Kind == Lexeme.Open)
                end++;
            var after = Slice(line, tokens, end, tokens.Length);
            return new(
                amount,
                after.Length == 0 ? before
                    : after[0] is ',' or '(' || IsOneOf(tokens[i - 1], "of") ? $"{before} {after}"
                    : $"{before}, {after}"
            );
        }
        return new(null, Slice(line, tokens, at, tokens.Length));
    }

    // Where the next item of the line begins: at the "plus" of "2 eggs plus 1 yolk".
    private static int NextItem(Token<Lexeme>[] tokens, int from)
    {
        for (var (i, depth) = (from, 0); i < tokens.Length - 1; i++)
        {
            depth += tokens[i].Kind switch
            {
                Lexeme.Open => 1,
                Lexeme.Close => -1,
                _ => 0,
            };
            if (
                depth == 0
                && (tokens[i].Kind == Lexeme.Plus || IsOneOf(tokens[i], "plus", "and", "with"))
                && At(Leading, tokens, i + 1).Amount is not null
                && (tokens[i + 1].Kind != Lexeme.Word || At(Measured, tokens, i + 1).Amount is not null)
            )
                return i;
        }
        return tokens.Length;
    }

    // "- ", "• ", "[ ] " and the like; a dash before a number is a bullet, not a sign.
    private static int Bulleted(Token<Lexeme>[] tokens)
    {
        var at = 0;
        while (
            at < tokens.Length
            && (
                tokens[at].Kind is Lexeme.Dash or Lexeme.Other or Lexeme.Plus or Lexeme.Comma
                || (
                    tokens[at].Kind == Lexeme.Open
                    && at + 1 < tokens.Length
                    && (tokens[at + 1].Kind == Lexeme.Close || IsOneOf(tokens[at + 1], "x"))
                )
            )
        )
            at +=
                tokens[at].Kind == Lexeme.Open
                    ? IsOneOf(tokens[at + 1], "x")
                        ? 3
                        : 2
                    : 1;
        // "1. 500 g flour" and "2) 50 g butter".
        if (
            at + 2 < tokens.Length
            && tokens[at].Kind == Lexeme.Number
            && tokens[at + 1].Kind is Lexeme.Dot or Lexeme.Close
            && tokens[at + 2].Kind is Lexeme.Number or Lexeme.Vulgar
        )
            at += 2;
        return Math.Min(at, tokens.Length);
    }

    // "Egg wash: 1 egg": what stands before the colon names the whole, when an amount of something stands behind it.
    private static int Labelled(Token<Lexeme>[] tokens, int at)
    {
        var colon = Array.FindIndex(tokens, at, t => t.Kind == Lexeme.Colon);
        if (colon < 0 || At(Leading, tokens, at).Amount is not null)
            return at;
        var (amount, end) = At(Leading, tokens, colon + 1);
        return amount is not null && end < tokens.Length && tokens[end].Kind == Lexeme.Word ? colon + 1 : at;
    }

    private static (Amount? Amount, int End) At(TokenListParser<Lexeme, Amount> parser, Token<Lexeme>[] tokens, int at)
    {
        var result = parser(new TokenList<Lexeme>(tokens[at..]));
        return result.HasValue ? (result.Value, at + result.Remainder.Position) : (null, at);
    }

    private static string Slice(string line, Token<Lexeme>[] tokens, int from, int to)
    {
        if (from >= to || from >= tokens.Length)
            return "";
        var start = tokens[from].Span.Position.Absolute;
        var end = tokens[to - 1].Span.Position.Absolute + tokens[to - 1].Span.Length;
        var text = line[start..end].Trim();
        return text.StartsWith("of ", StringComparison.OrdinalIgnoreCase) ? text[3..] : text;
    }

    // "2 eggs (50 g each)": what is told of one holds as many times.
    private static Amount Told(
        ImmutableArray<Measure> sum,
        IEnumerable<(ImmutableArray<ImmutableArray<Measure>> Same, bool Each)> others
    ) =>
        new(
            sum,
            [
                .. others.SelectMany(o =>
                    o.Same.Select(s => o.Each ? [.. s.Select(m => m with { Count = m.Count * sum[0].Count })] : s)
                ),
            ]
        );

    // A heap on a spoon is a quarter of it, on a cup a tenth.
    private static double Filled(string full, Unit unit)
    {
        var factor = Fullness[full];
        return factor > HeapedCup && unit.Name == "cup" ? HeapedCup : factor;
    }

    // Bakers' usage.
    private const double HeapedCup = 1.1;

    private static (Unit, double) Joined(string? full, string unit) =>
        full?.ToLowerInvariant() is "fl" or "fluid" && Unit.Find(unit)?.Name == "oz"
            ? (Unit.Find("floz")!, 1)
            : (Unit.Find(unit)!, full is null ? 1 : Filled(full, Unit.Find(unit)!));

    // Nothing between joins only a pound and ounces; a comma tells the same again.
    private static bool BelongsAfter(Token<Lexeme> sign, Measure next) =>
        sign.HasValue ? sign.Kind != Lexeme.Comma : next.Unit.Name == "oz";

    private static ImmutableArray<Measure> Added(Measure first, (Token<Lexeme> Sign, Measure Measure)[] more)
    {
        var sum = ImmutableArray.CreateBuilder<Measure>(1 + more.Length);
        sum.Add(first);
        foreach (var (sign, next) in more)
            sum.Add(sign.HasValue && IsOneOf(sign, "minus", "less") ? next with { Count = -next.Count } : next);
        return sum.ToImmutable();
    }

    private static TokenListParser<Lexeme, Token<Lexeme>> Said(params string[] words) =>
        Token.EqualTo(Lexeme.Word).Where(t => IsOneOf(t, words));

    private static bool IsOneOf(Token<Lexeme> token, params ReadOnlySpan<string> words)
    {
        foreach (var word in words)
            if (token.Kind == Lexeme.Word && token.Span.EqualsValueIgnoreCase(word))
                return true;
        return false;
    }

    // "1,000" and "1.5" and "1,5".
    private static double Number(string text)
    {
        var comma = text.IndexOf(',', StringComparison.Ordinal);
        if (comma >= 0)
            text =
                comma <= 3 && text.Length - comma == 4 && text[0] != '0' || text.Count(c => c == ',') > 1
                    ? text.Replace(",", "", StringComparison.Ordinal)
                    : text.Replace(',', '.');
        return double.Parse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture);
    }
}

// Cuts a line into lexemes; whatever it is, it can be cut.
internal sealed class Lexer : Tokenizer<Lexeme>
{
    protected override IEnumerable<Result<Lexeme>> Tokenize(TextSpan span)
    {
        var text = span.Source!;
        var (at, end) = (span.Position.Absolute, span.Position.Absolute + span.Length);
        var here = span;
        while (at < end)
        {
            if (char.IsWhiteSpace(text[at]))
            {
                (at, here) = (at + 1, here.Skip(1));
                continue;
            }
            var length =
                char.IsAsciiDigit(text[at]) ? Number(text, at, end)
                : IsWord(text[at]) ? Word(text, at, end)
                : 1;
            var after = here.Skip(length);
            yield return Result.Value(Kind(text[at]), here, after);
            (at, here) = (at + length, after);
        }
    }

    private static int Word(string text, int at, int end)
    {
        var to = at;
        while (to < end && IsWord(text[to]))
            to++;
        return to - at;
    }

    // "1,000,000" and "1.5" and "1,5" are one number each; "1,2,3" is three.
    private static int Number(string text, int at, int end)
    {
        var to = Digits(text, at, end);
        while (to < end && text[to] == ',' && Digits(text, to + 1, end) == to + 4)
            to += 4;
        if (to + 1 < end && text[to] is '.' or ',' && char.IsAsciiDigit(text[to + 1]))
            to = Digits(text, to + 1, end);
        return to - at;
    }

    private static int Digits(string text, int at, int end)
    {
        while (at < end && char.IsAsciiDigit(text[at]))
            at++;
        return at;
    }

    private static bool IsWord(char c) => char.IsLetter(c) || c is '\'' or '’';

    private static Lexeme Kind(char c) =>
        c switch
        {
            >= '0' and <= '9' => Lexeme.Number,
            '×' => Lexeme.Times,
            '/' or '⁄' => Lexeme.Slash,
            '-' or '–' or '—' or '‐' or '‑' => Lexeme.Dash,
            '+' or '&' => Lexeme.Plus,
            '(' or '[' => Lexeme.Open,
            ')' or ']' => Lexeme.Close,
            ',' or ';' => Lexeme.Comma,
            ':' => Lexeme.Colon,
            '.' => Lexeme.Dot,
            _ when LineGrammar.Vulgars.ContainsKey(c) => Lexeme.Vulgar,
            _ when IsWord(c) => Lexeme.Word,
            _ => Lexeme.Other,
        };
}
