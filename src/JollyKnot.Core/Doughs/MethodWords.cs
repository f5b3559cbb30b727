// The words of a recipe's method: data, in method-words.txt beside this.
using System.Collections.Immutable;
using System.Text.RegularExpressions;

namespace JollyKnot.Core.Doughs;

/// <summary>Words that tell one thing.</summary>
/// <param name="Kind">What they tell of: "doing", "stage", "shape" and so on.</param>
/// <param name="Which">Which of it.</param>
/// <param name="Words">The words, found as whole words.</param>
internal sealed record ToldBy(string Kind, string Which, Regex Words);

/// <summary>The words of methods.</summary>
internal static class MethodWords
{
    private static readonly ImmutableArray<ToldBy> All = [.. Lines().Select(Of)];

    private static readonly ILookup<string, ToldBy> ByKind = All.ToLookup(w => w.Kind);

    /// <summary>All words of a kind, in their order.</summary>
    /// <param name="kind">The kind.</param>
    public static IEnumerable<ToldBy> Kind(string kind) => ByKind[kind];

    /// <summary>The words of one thing.</summary>
    /// <param name="kind">Its kind.</param>
    /// <param name="which">Which of it.</param>
    public static Regex Words(string kind, string which) => ByKind[kind].First(w => w.Which == which).Words;

    /// <summary>Which of a kind a text tells; null when it tells none. The first line of the kind that fits.</summary>
    /// <param name="kind">The kind.</param>
    /// <param name="text">The text.</param>
    public static string? In(string kind, string text) => ByKind[kind].FirstOrDefault(w => w.Words.IsMatch(text))?.Which;

    private static ToldBy Of(string line)
    {
        var (told, words) = (line[..line.IndexOf('=')].Trim().Split(' '), line[(line.IndexOf('=') + 1)..].Trim());
        const RegexOptions options = RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.Compiled;
        // What a page says beside its recipe begins a line.
        var begins = told[0] == "page" ? @"\A" : @"(?<!\p{L})";
        return new(told[0], told[1], new Regex($@"{begins}(?:{words})(?!\p{{L}})", options));
    }

    private static List<string> Lines()
    {
        using var stream =
            typeof(MethodWords).Assembly.GetManifestResourceStream("method.words")
            ?? throw new InvalidOperationException("The words of methods are missing.");
        using var reader = new StreamReader(stream);
        return reader.ReadToEnd().Split('\n').Where(l => l.Contains('=', StringComparison.Ordinal) && l[0] != '#').ToList();
    }
}
