// A recipe as text: read from anywhere, and printed so that reading it again gives the same dough.
using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>A line and what was understood of it.</summary>
/// <param name="Text">As written.</param>
/// <param name="Rows">What it asks for; at least one.</param>
public sealed record ReadLine(string Text, ImmutableArray<ReadRow> Rows);

/// <summary>A section of a recipe.</summary>
/// <param name="Kind">What part it is; null for the dough itself.</param>
/// <param name="Name">Its heading; empty for the dough.</param>
/// <param name="Work">Its minutes, where the text tells them.</param>
/// <param name="Lines">Its lines.</param>
public sealed record ReadSection(PartKind? Kind, string Name, PartWork? Work, ImmutableArray<ReadLine> Lines)
{
    /// <summary>Its heading says nothing of what it is for: that is asked.</summary>
    public bool IsAsked { get; init; }

    /// <summary>When it meets the bread, where the text tells it; null for what its kind does.</summary>
    public PartMoment? Moment { get; init; }
}

/// <summary>A recipe as understood.</summary>
/// <param name="Title">Its name; empty when it has none.</param>
/// <param name="Sections">The dough first, when there is any; sections without lines are left out.</param>
/// <param name="ByHand">It says it is mixed by hand.</param>
/// <param name="LeftOver">Every line that is no ingredient, as written: method, notes, yields.</param>
public sealed record ReadRecipe(string Title, ImmutableArray<ReadSection> Sections, bool ByHand, string LeftOver)
{
    /// <summary>What it was read in.</summary>
    public RecipeLanguage Language { get; init; } = RecipeLanguage.English;

    /// <summary>What it says of pieces, heat and minutes.</summary>
    public RecipePlan Plan { get; init; } = RecipePlan.Nothing;

    /// <summary>It wants its rows put in as they stand.</summary>
    public bool OwnOrder { get; init; }

    /// <summary>What is understood as a draft; lines with something still to be asked are kept in its notes.</summary>
    public DoughDraft ToDraft()
    {
        static ImmutableArray<RowDraft> Drafts(IEnumerable<ReadLine> lines) =>
            [
                .. lines
                    .SelectMany(l => l.Rows)
                    .Where(r => r.Mass is not null && r.Role is not null)
                    .Select(r => new RowDraft(r.Called ?? r.Ingredient, r.Mass!.Value, r.Role, r.AtBeep)),
            ];
        var open = Sections
            .SelectMany(s => s.Lines)
            .Where(l => l.Rows.Any(r => r.Mass is null || r.Role is null))
            .Select(l => l.Text);
        var parts = Sections
            .Where(s => s.Kind is not null)
            .Select(s => new PartDraft(s.Kind!.Value, s.Name, Drafts(s.Lines), s.Work, s.Moment))
            .Where(p => p.Rows.Length > 0);
        return new(
            Title,
            Drafts(Sections.Where(s => s.Kind is null).SelectMany(s => s.Lines)),
            [.. parts],
            ByHand,
            string.Join('\n', [.. open, .. LeftOver.Length > 0 ? new[] { LeftOver } : []]),
            Plan.IsNothing ? null : Plan,
            OwnOrder
        );
    }
}

/// <summary>Reads and prints recipes as plain text or Markdown.</summary>
public static class RecipeText
{
    /// <summary>The longest text read, in characters: a long recipe, several times over.</summary>
    public const int Longest = 50_000;

    internal const string ByHandLine = "Mixed by hand.",
        OwnOrderLine = "Loaded in this order.",
        TitleMark = "Title: ",
        NotesMark = "Notes";

    private const string Hands = "min hands",
        Hob = "min hob",
        Cooling = "min cooling";

    /// <summary>Reads a recipe.</summary>
    /// <param name="text">As pasted.</param>
    /// <param name="pantry">The household's pantry.</param>
    /// <param name="language">What it is written in; guessed when null.</param>
    /// <returns>What was understood; or why it cannot be: too long, or nothing there.</returns>
    public static Outcome<ReadRecipe> Read(string text, HouseholdPantry pantry, RecipeLanguage? language = null)
    {
        ArgumentNullException.ThrowIfNull(pantry);
        if (string.IsNullOrWhiteSpace(text))
            return new Problem("empty:recipe", "text");
        if (text.Length > Longest)
            return new Problem("too-long:recipe", "text", text.Length, Longest);
        return new RecipeReader(pantry, language ?? RecipeLanguage.Guess(text)).Read(PlainText.AsNote(text));
    }

    /// <summary>Prints a dough as text that reads back as the same dough.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="pantry">The pantry it will be read with.</param>
    /// <param name="markdown">As Markdown instead of plain text.</param>
    public static string Print(Dough dough, HouseholdPantry pantry, bool markdown = false)
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(pantry);
        var text = new StringBuilder();
        var title = (markdown ? "# " : "") + dough.Name;
        text.Append(
                Read(title, pantry) is { IsOk: true, Value: var read }
                && read.Title == dough.Name
                && read.Sections.Length == 0
                && read.LeftOver.Length == 0
                    ? title
                    : TitleMark + dough.Name
            )
            .Append("\n\n");
        if (dough.ByHand)
            text.Append(ByHandLine).Append("\n\n");
        if (dough.OwnOrder)
            text.Append(OwnOrderLine).Append("\n\n");
        foreach (var row in dough.Rows)
            text.Append(markdown ? "- " : "").Append(Print(row, pantry)).Append('\n');
        foreach (var part in dough.Parts)
        {
            text.Append('\n')
                .Append(markdown ? "## " : "")
                .Append(
                    CultureInfo.InvariantCulture,
                    $"{part.Kind}: {part.Name} [{part.Work.Hands.TotalMinutes:R} {Hands}, {part.Work.Hob.TotalMinutes:R} "
                        + $"{Hob}, {part.Work.Cool.TotalMinutes:R} {Cooling}{(part.Told is { } moment ? $", {moment}" : "")}]"
                )
                .Append('\n');
            foreach (var row in part.Rows)
                text.Append(markdown ? "- " : "").Append(Print(row, pantry)).Append('\n');
        }
        if (dough.Notes.Length > 0)
            text.Append('\n')
                .Append(markdown ? "## " : "")
                .Append(NotesMark)
                .Append(markdown ? "" : ":")
                .Append('\n')
                .Append(dough.Notes)
                .Append('\n');
        return text.ToString();
    }

    /// <summary>Prints one row as an ingredient line: plainly where that reads back right, else with its name in
    /// quotes.</summary>
    public static string Print(DoughRow row, HouseholdPantry pantry)
    {
        ArgumentNullException.ThrowIfNull(row);
        ArgumentNullException.ThrowIfNull(pantry);
        var grams = row.Mass.Grams.ToString("R", CultureInfo.InvariantCulture);
        if (grams.Contains('E', StringComparison.Ordinal))
            grams = row.Mass.Grams.ToString("F24", CultureInfo.InvariantCulture);
        var marks =
            (row.AtBeep ? $" ({LineReading.BeepMark})" : "")
            + (
                pantry.Find(row.Ingredient.Name)?.Role == row.Ingredient.Role
                    ? ""
                    : $" [{LineReading.RoleMark}{row.Ingredient.Role.ToString().ToLowerInvariant()}]"
            );
        var plain = $"{grams} g {row.Ingredient.Name}{marks}";
        return
            LineReading.Of(plain, pantry) is [var back]
            && (back.Called ?? back.Ingredient) == row.Ingredient.Name
            && back.Mass == row.Mass
            && RecipeReader.IsPlainRow(plain, pantry)
            ? plain
            : $"{grams} g \"{row.Ingredient.Name}\"{marks}";
    }

    // Our own heading of a part.
    internal sealed record OwnHeading(PartKind Kind, string Name, PartWork Work, PartMoment? Moment);

    // Its minutes stand behind its name, and its moment where the baker said one.
    internal static OwnHeading? Headed(string line)
    {
        var (colon, open) = (line.IndexOf(": ", StringComparison.Ordinal), line.LastIndexOf(" [", StringComparison.Ordinal));
        if (colon < 0 || open < colon + 2 || line[^1] != ']' || !Enum.TryParse<PartKind>(line[..colon], out var kind))
            return null;
        var told = line[(open + 2)..^1].Split(", ");
        var moment = told.Length == 4 && Enum.TryParse<PartMoment>(told[3], out var at) ? at : default(PartMoment?);
        if (told.Length != (moment is null ? 3 : 4))
            return null;
        return Minutes(told[0], Hands) is { } hands && Minutes(told[1], Hob) is { } hob && Minutes(told[2], Cooling) is { } cool
            ? new(kind, line[(colon + 2)..open], PartWork.Minutes(hands, hob, cool), moment)
            : null;

        static double? Minutes(string text, string unit) =>
            text.EndsWith(" " + unit, StringComparison.Ordinal)
            && double.TryParse(
                text[..^(unit.Length + 1)],
                NumberStyles.AllowDecimalPoint,
                CultureInfo.InvariantCulture,
                out var n
            )
            && n <= Dough.LongestWork.TotalMinutes
                ? n
                : null;
    }
}
