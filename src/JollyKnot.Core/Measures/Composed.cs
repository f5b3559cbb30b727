// Text as it is kept: composed, so that one word is written one way whatever keyboard or page it came from.
// Written here because this app carries no culture data of the system's, which machines may lack; the table is Unicode's own.
using System.Collections.Frozen;
using System.Globalization;
using System.Reflection;
using System.Text;

namespace JollyKnot.Core.Measures;

/// <summary>Unicode's canonical composition (NFC), and what of a text tells words apart when case and accents do not.</summary>
/// <remarks>Source: Unicode Standard Annex 15; Unicode Character Database.</remarks>
public static class Composed
{
    // Hangul syllables are made by a rule. Unicode Standard, 3.12.
    private const int Leads = 0x1100,
        Vowels = 0x1161,
        Tails = 0x11A7,
        Syllables = 0xAC00;
    private const int VowelCount = 21,
        TailCount = 28,
        LeadCount = 19,
        SyllableCount = LeadCount * VowelCount * TailCount;

    private static readonly Lazy<Tables> Canonical = new(Tables.Read);

    /// <summary>The text composed. Composed text comes back as it is.</summary>
    public static string Of(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return Ascii.IsValid(text) ? text : Text(Recomposed(Apart(text)));
    }

    /// <summary>Lower case, without accents: "Würfel", "wurfel" and "WÜRFEL" are one. For searching and sorting, never for
    /// keeping.</summary>
    public static string Folded(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (Ascii.IsValid(text))
            return text.ToLowerInvariant();
        var letters = Apart(text).Where(rune => Canonical.Value.ClassOf(rune) == 0);
        return Of(Text(letters).ToLowerInvariant()).Replace("ß", "ss", StringComparison.Ordinal);
    }

    // Every character taken apart, its marks in canonical order.
    private static List<int> Apart(string text)
    {
        var runes = new List<int>(text.Length);
        foreach (var rune in text.EnumerateRunes())
            TakeApart(rune.Value, runes);
        Order(runes);
        return runes;
    }

    private static void TakeApart(int rune, List<int> to)
    {
        var syllable = rune - Syllables;
        if (syllable is >= 0 and < SyllableCount)
        {
            to.Add(Leads + syllable / (VowelCount * TailCount));
            to.Add(Vowels + syllable % (VowelCount * TailCount) / TailCount);
            if (syllable % TailCount > 0)
                to.Add(Tails + syllable % TailCount);
        }
        else if (Canonical.Value.Parts.TryGetValue(rune, out var parts))
            foreach (var part in parts)
                TakeApart(part, to);
        else
            to.Add(rune);
    }

    // Marks behind one letter, sorted by their class; equal ones keep their order.
    private static void Order(List<int> runes)
    {
        for (var i = 1; i < runes.Count; i++)
        {
            var own = Canonical.Value.ClassOf(runes[i]);
            for (var at = i; own > 0 && at > 0 && Canonical.Value.ClassOf(runes[at - 1]) > own; at--)
                (runes[at - 1], runes[at]) = (runes[at], runes[at - 1]);
        }
    }

    private static List<int> Recomposed(List<int> runes)
    {
        var made = new List<int>(runes.Count);
        var (starter, lastClass) = (-1, 0);
        foreach (var rune in runes)
        {
            var own = Canonical.Value.ClassOf(rune);
            var reaches = starter >= 0 && (lastClass < own || starter == made.Count - 1);
            if (reaches && Together(made[starter], rune) is { } whole)
            {
                made[starter] = whole;
                continue;
            }
            made.Add(rune);
            lastClass = own;
            if (own > 0)
                continue;
            starter = made.Count - 1;
        }
        return made;
    }

    private static int? Together(int first, int second)
    {
        if (first - Leads is >= 0 and < LeadCount && second - Vowels is >= 0 and < VowelCount)
            return Syllables + ((first - Leads) * VowelCount + (second - Vowels)) * TailCount;
        if (
            first - Syllables is >= 0 and < SyllableCount
            && (first - Syllables) % TailCount == 0
            && second - Tails is > 0 and < TailCount
        )
            return first + (second - Tails);
        return Canonical.Value.Wholes.TryGetValue((first, second), out var whole) ? whole : null;
    }

    private static string Text(IEnumerable<int> runes)
    {
        var text = new StringBuilder();
        foreach (var rune in runes)
            text.Append(new Rune(rune).ToString());
        return text.ToString();
    }

    private sealed record Tables(
        FrozenDictionary<int, int[]> Parts,
        FrozenDictionary<(int First, int Second), int> Wholes,
        FrozenDictionary<int, int> Classes
    )
    {
        public int ClassOf(int rune) => Classes.GetValueOrDefault(rune);

        public static Tables Read()
        {
            var (parts, wholes, classes) = (
                new Dictionary<int, int[]>(),
                new Dictionary<(int, int), int>(),
                new Dictionary<int, int>()
            );
            using var file = new StreamReader(Assembly.GetExecutingAssembly().GetManifestResourceStream("canonical.txt")!);
            while (file.ReadLine() is { } line)
            {
                if (line[0] == '#')
                    continue;
                var words = line.TrimStart('~', '!').Split(' ');
                var rune = Hex(words[0]);
                if (line[0] == '~')
                {
                    classes[rune] = int.Parse(words[1], CultureInfo.InvariantCulture);
                    continue;
                }
                parts[rune] = [.. words[1..].Select(Hex)];
                if (line[0] != '!')
                    wholes[(parts[rune][0], parts[rune][1])] = rune;
            }
            return new(parts.ToFrozenDictionary(), wholes.ToFrozenDictionary(), classes.ToFrozenDictionary());
        }

        private static int Hex(string word) => int.Parse(word, NumberStyles.HexNumber, CultureInfo.InvariantCulture);
    }
}
