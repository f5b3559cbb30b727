// What a name or a note may hold.
using System.Globalization;
using System.Text;

namespace JollyKnot.Core.Measures;

/// <summary>Checks on text that people type.</summary>
public static class PlainText
{
    /// <summary>The longest name, in characters: two lines on a phone.</summary>
    public const int LongestName = 80;

    /// <summary>The longest note, in characters: a printed page.</summary>
    public const int LongestNote = 2000;

    /// <summary>What is wrong with a name, or null. A name is words, digits and punctuation of any language; no markup, no
    /// pictures, no control characters.</summary>
    /// <param name="text">The name as typed.</param>
    /// <param name="field">The field it was typed into.</param>
    public static Problem? CheckName(string? text, string field)
    {
        if (string.IsNullOrWhiteSpace(text))
            return new("empty:name", field);
        text = Composed.Of(text);
        if (text.Length > LongestName)
            return new("too-long:name", field, text.Length, LongestName);
        return text.EnumerateRunes().Any(r => !BelongsInName(r)) ? new("not-plain:name", field) : null;
    }

    /// <summary>What is wrong with a note, or null. A note may be empty and may hold anything but control characters.</summary>
    /// <param name="text">The note as typed.</param>
    /// <param name="field">The field it was typed into.</param>
    /// <param name="longest">The most characters.</param>
    public static Problem? CheckNote(string text, string field, int longest = LongestNote)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > longest)
            return new("too-long:note", field, text.Length, longest);
        return text.Any(c => char.IsControl(c) && c is not ('\n' or '\r' or '\t')) ? new("not-plain:note", field) : null;
    }

    /// <summary>What of a text can be a name: composed, forbidden characters left out, blanks made single, cut to the longest.
    /// Empty when nothing is left.</summary>
    public static string AsName(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var kept = string.Concat(
            Composed.Of(text).EnumerateRunes().Select(r => BelongsInName(r) ? r.ToString() : " ").Take(4 * LongestName)
        );
        var words = string.Join(' ', kept.Split(' ', StringSplitOptions.RemoveEmptyEntries));
        return words.Length <= LongestName
            ? words
            : words[..(char.IsHighSurrogate(words[LongestName - 1]) ? LongestName - 1 : LongestName)].Trim();
    }

    /// <summary>A text composed, without control characters other than line breaks and tabs.</summary>
    public static string AsNote(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return string.Concat(Composed.Of(text).Where(c => !char.IsControl(c) || c is '\n' or '\t'));
    }

    private static bool BelongsInName(Rune rune) =>
        rune.Value switch
        {
            '<' or '>' or 0xFFFD => false,
            '°' => true,
            _ => Rune.GetUnicodeCategory(rune)
                is not (
                    UnicodeCategory.Control
                    or UnicodeCategory.OtherSymbol
                    or UnicodeCategory.Format
                    or UnicodeCategory.PrivateUse
                    or UnicodeCategory.Surrogate
                    or UnicodeCategory.OtherNotAssigned
                    or UnicodeCategory.LineSeparator
                    or UnicodeCategory.ParagraphSeparator
                ),
        };
}
