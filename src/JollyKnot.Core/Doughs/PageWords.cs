// What stands on a page beside its recipe.
using System.Text.RegularExpressions;

namespace JollyKnot.Core.Doughs;

/// <summary>Tells what of a pasted page is no recipe, by the words of pages in method-words.txt.</summary>
internal static partial class PageWords
{
    /// <summary>Nothing to read: what is pressed, counted or drawn, such as "Print recipe", "214 votes" or a rule.</summary>
    /// <param name="line">The line.</param>
    public static bool IsToPress(string line)
    {
        if (line.Length > Longest || IsTrail().IsMatch(line))
            return line.Length <= Longest;
        var rest = AfterMarks(line);
        while (rest.Length > 0 && MethodWords.Words("page", "pressed").Match(rest) is { Success: true, Length: > 0 } pressed)
            rest = AfterMarks(rest[pressed.Length..]);
        return rest.Length == 0;
    }

    // What is left behind stars, bars and blanks.
    private static string AfterMarks(string line) =>
        LetterOrDigit().Match(line) is { Success: true, Index: var at } ? line[at..] : "";

    // "Home » Recipes » Breads".
    [GeneratedRegex(@"^\s*[\p{L}&' ]+ [»›>] [\p{L}&' ]+")]
    private static partial Regex IsTrail();

    /// <summary>What is told of the recipe, not in it: "Prep time 20 minutes", "Difficulty: easy".</summary>
    /// <param name="line">The line.</param>
    public static bool IsTold(string line)
    {
        if (line.Length > Longest || MethodFigures.Heats().IsMatch(line))
            return false;
        bool Begins(string which, out string rest)
        {
            var label = MethodWords.Words("page", which).Match(line);
            rest = label.Success ? line[label.Length..] : "";
            return rest.Trim(' ', ':').Length > 0;
        }
        return Begins("about", out _) || (Begins("figure", out var figure) && figure.Any(char.IsDigit));
    }

    /// <summary>A heading after which it is told what to do.</summary>
    /// <param name="heading">Without its colon.</param>
    public static bool HeadsMethod(string heading) => IsWhole("method", heading);

    /// <summary>What a heading of a list of ingredients says besides: "for the filling" of "Ingredients for the filling"; empty
    /// where nothing; null where it heads no such list.</summary>
    /// <param name="heading">Without its colon.</param>
    public static string? RestOfListHeading(string heading)
    {
        if (heading.Length > Longest / 2 || heading.Contains(':', StringComparison.Ordinal))
            return null;
        var list = MethodWords.Words("page", "list");
        if (list.Match(heading) is { Success: true, Length: var length })
            return ForWhat().Match(heading[length..]) is { Success: true } told ? told.Groups["rest"].Value : null;
        var last = heading.LastIndexOf(' ');
        var endsSo =
            last > 0 && heading.Count(c => c == ' ') < 3 && !heading.Any(char.IsDigit) && list.IsMatch(heading[(last + 1)..]);
        return endsSo ? heading[..last].Trim() : null;
    }

    // Nothing, "(makes 12)", "for the filling"; "should be at room temperature" heads no list.
    [GeneratedRegex(@"^\s*(?<rest>|list|[\d(|].*|(?:for|für|zum|zur|pour|para|per)\s.*)$", RegexOptions.IgnoreCase)]
    private static partial Regex ForWhat();

    /// <summary>A heading of what a portion holds: nothing behind it is the recipe's.</summary>
    /// <param name="line">The line.</param>
    public static bool HeadsNutrition(string line) =>
        line.Length <= Longest / 2 && MethodWords.Words("page", "rest").IsMatch(line);

    private static bool IsWhole(string which, string heading) =>
        heading.Length <= Longest
        && MethodWords.Words("page", which).Match(heading) is { Success: true, Length: var length }
        && length == heading.Length;

    // Longer is no label and its value. Ours.
    private const int Longest = 120;

    [GeneratedRegex(@"[\p{L}\p{N}]")]
    private static partial Regex LetterOrDigit();
}
