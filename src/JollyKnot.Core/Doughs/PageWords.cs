// What stands on a page beside its recipe.
using System.Text.RegularExpressions;

namespace JollyKnot.Core.Doughs;

/// <summary>Tells what of a pasted page is no recipe, by the words of pages in method-words.txt.</summary>
internal static partial class PageWords
{
    /// <summary>Nothing to read: what is pressed, counted or drawn, such as "Print recipe", "214 votes" or a rule.</summary>
    /// <param name="line">The line.</param>
    public static bool IsToPress(string line) =>
        line.Length <= Longest
        && (IsTrail().IsMatch(line) || !LetterOrDigit().IsMatch(MethodWords.Words("page", "pressed").Replace(line, " ")));

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
            rest = label is { Success: true, Index: 0 } ? line[label.Length..] : "";
            return rest.Trim(' ', ':').Length > 0;
        }
        return Begins("about", out _) || (Begins("figure", out var figure) && figure.Any(char.IsDigit));
    }

    // Longer is no label and its value. Ours.
    private const int Longest = 120;

    [GeneratedRegex(@"[\p{L}\p{N}]")]
    private static partial Regex LetterOrDigit();
}
