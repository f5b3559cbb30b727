// Several things told as one item: each of two, a list behind one amount, some of them for something else.
using System.Globalization;
using System.Text.RegularExpressions;

namespace JollyKnot.Core.Pantry;

internal static partial class SeveralInOne
{
    // "1 tsp each salt and sugar" is a teaspoon of each; "4 eggs, 1 of them for brushing" is three and one.
    public static IEnumerable<LineItem> Of(LineItem item, HouseholdPantry pantry)
    {
        if (EachOf().Match(item.Words) is { Success: true } each && item.Amount is not null)
            // "raisins and figs, chopped": how they are is no third thing.
            return NamesFor(each.Groups["names"].Value, pantry)
                .Where(n => !Phrase.Split(n).All(Naming.Manner.Contains))
                .Select(n => item with { Words = n });
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
        if (AndElse().Match(item.Words) is { Success: true } other && item.Amount is not null && IsKnown(other, pantry))
            return
            [
                item with
                {
                    Words = other.Groups["one"].Value,
                },
                new(null, $"{other.Groups["name"].Value} {other.Groups["use"].Value}"),
            ];
        return Together(item, pantry) ?? (item.Amount is null ? Seasoning(item, pantry) : Listed(item, pantry));
    }

    // "For brushing: 1 egg, pearl sugar, flaked almonds": each name behind a comma is another thing.
    public static IEnumerable<LineItem> AndNames(LineItem item, HouseholdPantry pantry)
    {
        var parts = item.Words.Split(',', StringSplitOptions.TrimEntries);
        bool IsOne(string part) =>
            Naming.Of(part, pantry).Ingredient is not null && !Phrase.Split(part).All(Naming.Manner.Contains);
        var names = parts[1..].Where(IsOne).ToList();
        if (names.Count == 0 || !IsOne(parts[0]))
            return [item];
        var rest = string.Join(", ", parts.Where((p, i) => i == 0 || !names.Contains(p)));
        return [item with { Words = rest }, .. names.Select(name => new LineItem(null, name))];
    }

    // "1 tsp fine salt, plus flaky salt to finish": the second is as much as one likes.
    [GeneratedRegex(
        @"^(?<one>[^+]+?),?\s+(?:plus|\+)\s+(?!(?:some\s+|alittle\s+|a bit\s+)?(?:more|extra)\b|(?:alittle"
            + @"|some)\s+(?:for|to|as|if|on|in)\b)"
            + @"(?:alittle\s+|some\s+)?(?:of\s+)?(?<name>\p{L}[\p{L} -]{2,40}?)\s+(?<use>(?:for|to)\s.+)$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex AndElse();

    private static bool IsKnown(Match other, HouseholdPantry pantry) =>
        Naming.Of(other.Groups["one"].Value, pantry).Ingredient is not null
        && Naming.Of(other.Groups["name"].Value, pantry).Ingredient is not null;

    // "50 g sunflower and pumpkin seeds": half of it each, or all of it each, is asked; of "1 egg and milk" the milk.
    private static IEnumerable<LineItem>? Together(LineItem item, HouseholdPantry pantry)
    {
        var end = item.Words.IndexOfAny([',', ';', '(']);
        var (head, tail) = end < 0 ? (item.Words, "") : (item.Words[..end], item.Words[end..]);
        if (!And().IsMatch(head) || TwoColours().IsMatch(head) || pantry.Find(head) is not null)
            return null;
        var names = NamesFor(head, pantry).ToList();
        if (names.Select(n => Naming.Of(n, pantry).Ingredient?.Name).Distinct().Count(n => n is not null) < names.Count)
            return null;
        if (item.Amount is not { } amount)
            return names.Select(name => new LineItem(null, AsWanted(name) + tail));
        // "salt and pepper, a little": of each.
        string AsWanted(string name) =>
            LineReading.IsAsWanted(head + tail) && !LineReading.IsAsWanted(name) ? $"alittle {name}" : name;

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

    // "white and black sesame seeds" are one.
    [GeneratedRegex(
        @"\b(?:white|black|red|green|yellow|brown|dark|light|golden)\s+(?:and|&)\s+(?:white|black|red|green"
            + @"|yellow|brown|dark|light|golden)\s",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex TwoColours();

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
            if (Naming.Of(name, pantry).Ingredient is null)
                return Naming.Of(whole, pantry).Ingredient is null ? name : whole;
            return isSeeds && pantry.Find(whole) is not null ? whole : name;
        }
    }

    // "salt, pepper", "poppy, sesame and flaky salt, as you like": several things, each as one likes.
    private static IEnumerable<LineItem> Seasoning(LineItem item, HouseholdPantry pantry)
    {
        var (list, liking) = AsLiked().Match(item.Words) is { Success: true } liked
            ? (item.Words[..liked.Index], liked.Value)
            : (item.Words, "");
        if (!list.Contains(',', StringComparison.Ordinal))
            return [item];
        var names = Names(list, pantry).ToList();
        bool IsStrewn(string name) =>
            Naming.Of(name, pantry).Ingredient is { Role: Role.Salt or Role.Sugar or Role.Other }
            && !Phrase.Split(name).All(Naming.Manner.Contains);
        return names.Count > 1 && names.All(IsStrewn) ? names.Select(n => new LineItem(null, n + liking)) : [item];
    }

    [GeneratedRegex(
        @"\s*,?\s*\b(?:as you (?:like|please|wish)|to taste|or whatever you like|if you like|optional)\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex AsLiked();

    // "240 g buttermilk, 120 g discard, 25 g oil": each comma before an amount of something known begins another.
    private static IEnumerable<LineItem> Listed(LineItem item, HouseholdPantry pantry)
    {
        for (var at = item.Words.IndexOfAny(Between); at > 0; at = item.Words.IndexOfAny(Between, at + 1))
        {
            var (before, rest) = (item.Words[..at], item.Words[(at + 1)..]);
            if (
                LineGrammar.Read(rest) is [{ Amount.Sum: [{ Unit.Kind: not UnitKind.Piece }, ..] } next, ..]
                && Naming.Of(next.Words, pantry).Ingredient is { } another
                && Naming.Of(before, pantry).Ingredient is { } one
                && (item.Words[at] == ',' || AreTwo(one, another))
            )
                return [item with { Words = before }, .. Listed(next, pantry)];
            // "2 tbsp oil, coarse salt": as much of it as one likes.
            if (
                item.Words[at] == ','
                && pantry.Find(rest.Trim()) is { Role: Role.Salt }
                && Naming.Of(before, pantry).Ingredient is { Role: not Role.Salt }
            )
                return [item with { Words = before }, new(null, rest.Trim())];
        }
        return [item];
    }

    private static readonly char[] Between = [',', '/'];

    // "450 g plain flour / 50 g wholemeal": two flours are mixed; of anything else it is one or the other.
    private static bool AreTwo(Ingredient one, Ingredient another) =>
        one.Name != another.Name && one.Role == Role.Flour && another.Role == Role.Flour;

    [GeneratedRegex(@"^(?:of\s+)?each(?:\s+of|\s*[,:])?\s+(?<names>.+)$", RegexOptions.IgnoreCase)]
    private static partial Regex EachOf();

    [GeneratedRegex(@"\s+and\s+|\s*,\s*|\s*&\s*", RegexOptions.IgnoreCase)]
    private static partial Regex AndOrComma();

    [GeneratedRegex(
        @"^(?<name>[^,;(]+)[,;(]\s*(?<count>\d)(?: of (?:them|which))?\s+(?<use>(?:for|to|as)\s.+?)\)?$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex SomeOfThem();
}
