// The words that ship as data: of every language, and the shelf's own other names.
namespace JollyKnot.Core.Pantry;

internal static class WordList
{
    // What stands before and behind the sign, line by line; remarks and headings are left out.
    public static IEnumerable<(string From, string To)> Lines(string name)
    {
        using var stream =
            typeof(WordList).Assembly.GetManifestResourceStream($"languages.{name}.txt")
            ?? throw new InvalidOperationException($"The words of {name} are missing.");
        using var reader = new StreamReader(stream);
        return
        [
            .. reader
                .ReadToEnd()
                .Split('\n')
                .Where(line => line.Length > 0 && line[0] != '#')
                .Select(line => line.Split(" = ", 2))
                .Where(parts => parts.Length == 2)
                .Select(parts => (parts[0], parts[1])),
        ];
    }
}
