// What is said of a file that was merged into the book.
using JollyKnot.Store;

namespace JollyKnot.Server.Words;

/// <summary>Merging in words.</summary>
internal static class MergingWords
{
    /// <summary>What was taken, what stayed as it was, what could not be read.</summary>
    public static string Of(Merged merged)
    {
        string[] taken =
        [
            .. Counted(merged.Doughs, "dough"),
            .. Counted(merged.Versions, "version"),
            .. Counted(merged.Bakes, "bake"),
            .. Counted(merged.Events, "event"),
            .. Counted(merged.Settings, "list"),
        ];
        string[] kept = [.. Counted(merged.Kept.Length, "bake")];
        string[] unread = [.. Counted(merged.Unread.Length, "thing")];
        return string.Join(
            ' ',
            [
                taken.Length > 0 ? $"Taken: {string.Join(", ", taken)}." : "All of it was here.",
                .. kept.Select(bakes => $"{bakes} went on in both and stayed as here."),
                .. unread.Select(things => $"{things} could not be read."),
            ]
        );
    }

    private static IEnumerable<string> Counted(int n, string what) => n == 0 ? [] : [n == 1 ? $"1 {what}" : $"{n} {what}s"];
}
