// The languages recipes are read in: each a list of phrases and what the grammar of lines reads instead, kept as data.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>A line in the words that the grammar knows.</summary>
/// <param name="Text">The line, put into them.</param>
/// <param name="Said">What stood for a name in the line itself, by the name that stands there now.</param>
/// <param name="Own">Everything that was put into other words, in the order of the line.</param>
public sealed record PutIntoEnglish(
    string Text,
    ImmutableDictionary<string, string> Said,
    ImmutableArray<(string Put, string Own)> Own
)
{
    /// <summary>Words of the text as the line itself has them.</summary>
    /// <param name="words">A part of the text.</param>
    public string Back(string words)
    {
        ArgumentNullException.ThrowIfNull(words);
        foreach (var put in Own.GroupBy(o => o.Put, o => o.Own).Where(o => o.Key.Length > 0).OrderByDescending(o => o.Key.Length))
        {
            var whole = new Regex($@"(?<!\p{{L}}){Regex.Escape(put.Key.TrimEnd('s'))}s?(?!\p{{L}})(?<gap> ?)");
            var own = put.ToList();
            // What stands before the name was put, too: the last ones are the name's.
            var at = Math.Max(0, own.Count - whole.Count(words));
            words = whole.Replace(
                words,
                m =>
                    own[Math.Min(at++, own.Count - 1)] is var said && said[^1] is '\'' or '’'
                        ? said
                        : said + m.Groups["gap"].Value
            );
        }
        return words;
    }
}

/// <summary>A language that recipes are written in.</summary>
public sealed partial class RecipeLanguage
{
    // What is told of a language's words: lower case, without accents, one blank between.
    private readonly FrozenDictionary<string, string> phrases;
    private readonly FrozenSet<string> marks;

    // How many words the longest phrase has that begins with this one.
    private readonly FrozenDictionary<string, int> longest;

    private RecipeLanguage(string code)
    {
        Code = code;
        var all = new Dictionary<string, string>();
        foreach (var (from, to) in WordList.Lines(code))
            all[Key(from)] = to == LeftOut ? "" : to;
        phrases = all.ToFrozenDictionary();
        longest = phrases
            .Keys.Select(p => p.Split(' '))
            .GroupBy(p => p[0])
            .ToFrozenDictionary(p => p.Key, p => p.Max(words => words.Length));
        marks = phrases.Keys.SelectMany(p => p.Split(' ')).Where(w => w.Length > 3).ToFrozenSet();
    }

    // What stands for a word that changes nothing.
    private const string LeftOut = "_";

    /// <summary>English: what the others are put into.</summary>
    public static RecipeLanguage English { get; } = new("en");

    /// <summary>Every language, English first.</summary>
    public static ImmutableArray<RecipeLanguage> All { get; } = [English, new("de"), new("fr"), new("es"), new("it")];

    /// <summary>Two letters, as ISO 639-1 has them.</summary>
    public string Code { get; }

    /// <summary>Whether cups and spoons are those of the rest of Europe, whatever the household has.</summary>
    public bool IsEuropean => this != English;

    /// <summary>Whether a thing's name comes before what it is made of and how it is.</summary>
    public bool IsHeadFirst => Code is "fr" or "es" or "it";

    /// <summary>The pantry's name for what goes by these words in any other language; null when nothing does.</summary>
    public static string? NameIn(string words) =>
        All.Select(l => l.phrases.GetValueOrDefault(Key(words))).FirstOrDefault(n => n is not null && Ingredients.IsName(n));

    /// <summary>The language of this code; null when there is none.</summary>
    public static RecipeLanguage? Of(string? code) => All.FirstOrDefault(l => l.Code == code);

    /// <summary>The language most of a text's words belong to; English where none has more.</summary>
    public static RecipeLanguage Guess(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var words = WordsOf(text).Take(MostWords).Select(w => w.Folded).ToList();
        var best = All.Where(l => l != English).MaxBy(l => words.Count(l.marks.Contains))!;
        var theirs = words.Count(best.marks.Contains);
        return theirs > words.Count(IsEnglish) ? best : English;
    }

    // So many words tell a language. Ours.
    private const int MostWords = 2000;

    private static readonly FrozenSet<string> EnglishMarks = Ingredients
        .All.Select(i => i.Name)
        .Concat(Ingredients.Words.Select(w => w.Word.TrimStart(Ingredients.KeepsItsWord)))
        .SelectMany(n => n.Split(' '))
        .Concat("cup cups tbsp tsp teaspoon tablespoon the and for with until dough mix bake".Split(' '))
        .Where(w => w.Length > 2)
        .ToFrozenSet();

    private static bool IsEnglish(string word) => EnglishMarks.Contains(word);

    /// <summary>The line with each phrase of this language put into the words of the grammar, the longest first.</summary>
    public PutIntoEnglish Put(string line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var words = WordsOf(line);
        var text = new StringBuilder(line.Length);
        var said = ImmutableDictionary.CreateBuilder<string, string>();
        var own = ImmutableArray.CreateBuilder<(string, string)>();
        var from = 0;
        for (var i = 0; i < words.Count;)
        {
            var (count, found) = Longest(line, words, i);
            if (found is null)
            {
                i++;
                continue;
            }
            var (first, end) = (words[i].From, words[i + count - 1].To);
            if (Ingredients.IsName(found))
                said[found] = line[first..end];
            text.Append(line, from, first - from).Append(found);
            // A point behind an abbreviation belongs to it; an apostrophe behind an article too.
            from = end < line.Length && line[end] is '.' or '\'' or '’' ? end + 1 : end;
            own.Add((found, line[first..(end < line.Length && line[end] == '.' ? end : from)]));
            if (from > end && (from == line.Length || line[from] != ' '))
                text.Append(' ');
            i += count;
        }
        return new(text.Append(line, from, line.Length - from).ToString(), said.ToImmutable(), own.ToImmutable());
    }

    private (int Count, string? Found) Longest(string line, List<Word> words, int at)
    {
        for (var count = StandTogether(line, words, at, longest.GetValueOrDefault(words[at].Folded)); count > 0; count--)
            if (phrases.TryGetValue(string.Join(' ', words.GetRange(at, count).Select(w => w.Folded)), out var found))
                return (count, found);
        return (1, null);
    }

    // How many words from here, of so many at most, could be a phrase: between them stand blanks, points, apostrophes and
    // hyphens only.
    private static int StandTogether(string line, List<Word> words, int at, int most)
    {
        var last = at;
        while (last + 1 < Math.Min(words.Count, at + most) && IsNoBreak(line.AsSpan()[words[last].To..words[last + 1].From]))
            last++;
        return Math.Min(last + 1 - at, most);
    }

    private static bool IsNoBreak(ReadOnlySpan<char> between) => !between.ContainsAnyExcept(" .'’-");

    private sealed record Word(int From, int To, string Folded);

    private static List<Word> WordsOf(string line)
    {
        var words = new List<Word>();
        foreach (var word in Words().EnumerateMatches(line))
            words.Add(new(word.Index, word.Index + word.Length, Composed.Folded(line.Substring(word.Index, word.Length))));
        return words;
    }

    private static string Key(string words) => string.Join(' ', WordsOf(Composed.Of(words)).Select(w => w.Folded));

    [GeneratedRegex(@"\p{L}[\p{L}\p{M}]*|\p{N}+")]
    private static partial Regex Words();
}
