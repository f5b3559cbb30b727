// Puts a table that was pasted cell by cell together again.
using System.Text.RegularExpressions;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>Finds amounts that stand on a line by themselves.</summary>
internal sealed partial class PastedCells(
    RecipeLanguage language,
    Func<string, string, bool> isHeading,
    Func<string, string, bool> beginsTheRest
)
{
    /// <summary>The lines with each amount beside its name: the one under it, or over it where the first name stands over its
    /// amount.</summary>
    /// <param name="lines">As pasted.</param>
    public List<string> Joined(string[] lines)
    {
        var from = Array.FindIndex(lines, l => PageWords.RestOfListHeading(l.Trim().TrimEnd(':').Trim()) is not null);
        var end = Array.FindIndex(
            lines,
            from + 1,
            l => RecipeReader.Unmarked(l.Trim()) is { Length: > 0 } plain && beginsTheRest(l.Trim(), plain)
        );
        bool IsBare(int i) => i > from && i < (end < 0 ? lines.Length : end) && IsAnAmount(lines[i]);
        bool IsName(int i) =>
            i >= 0
            && i < lines.Length
            && lines[i].Trim() is { Length: > 1 and <= LongestCell } name
            && char.IsLetter(name[0])
            && name[^1] is not (':' or '.')
            && LineGrammar.Read(language.Put(name).Text).All(item => item.Amount is null)
            && PageWords.RestOfListHeading(name) is null
            && !PageWords.HeadsMethod(name);
        var bare = Enumerable.Range(0, lines.Length).Where(i => IsBare(i) && (IsName(i - 1) || IsName(i + 1))).ToList();
        if (bare.Count < FewestBare)
            return [.. lines];
        var first = bare.Find(i => !(IsName(i - 1) && PageWords.IsTold($"{lines[i - 1]} {lines[i]}")));
        var isUnder = IsName(first - 1) && !isHeading(lines[first - 1].Trim(), RecipeReader.Unmarked(lines[first - 1].Trim()));
        var joined = new List<string>();
        for (var i = 0; i < lines.Length; i++)
            if (IsName(i) && IsBare(i + 1) && PageWords.IsTold($"{lines[i]} {lines[i + 1]}"))
                joined.Add($"{lines[i].Trim()} {lines[++i].Trim()}");
            else if (isUnder && IsName(i) && IsBare(i + 1))
                joined.Add($"{lines[i + 1].Trim()} {lines[i++].Trim()}");
            else if (!isUnder && IsBare(i) && IsName(i + 1))
                joined.Add($"{lines[i].Trim()} {lines[++i].Trim()}");
            else
                joined.Add(lines[i]);
        return joined;
    }

    private bool IsAnAmount(string line) =>
        FigureAndUnit().IsMatch(line)
        && LineGrammar.Read(language.Put(line.Trim()).Text) is [{ Amount: not null } item]
        && !item.Words.Any(char.IsLetter);

    // "450 g", "2", "a handful", "2 c. à soupe": what is looked at more closely.
    [GeneratedRegex(
        @"^\s*(?:an?|une?|ein|una|[\d½¼¾⅓⅔][\d.,/ ½¼¾⅓⅔–-]{0,12})\s*"
            + @"(?:\p{L}{0,12}\.?|fl\.? ?oz\.?|\p{L}{1,9}\.? ?[àa] ?\p{L}{1,6}\.?)\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex FigureAndUnit();

    // No cell of a table is longer, and of fewer it is none. Ours.
    private const int LongestCell = 60,
        FewestBare = 3;
}
