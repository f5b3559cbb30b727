// A recipe as text: read from anywhere, and printed so that reading it again gives the same dough.
using System.Collections.Frozen;
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
public sealed record ReadSection(PartKind? Kind, string Name, PartWork? Work, ImmutableArray<ReadLine> Lines);

/// <summary>A recipe as understood.</summary>
/// <param name="Title">Its name; empty when it has none.</param>
/// <param name="Sections">The dough first, when there is any; sections without lines are left out.</param>
/// <param name="ByHand">It says it is mixed by hand.</param>
/// <param name="LeftOver">Every line that is no ingredient, as written: method, notes, yields.</param>
public sealed record ReadRecipe(string Title, ImmutableArray<ReadSection> Sections, bool ByHand, string LeftOver)
{
    /// <summary>What is understood as a draft; lines with something still to be asked are kept in its notes.</summary>
    public DoughDraft ToDraft()
    {
        static ImmutableArray<RowDraft> Drafts(IEnumerable<ReadLine> lines) =>
            [
                .. lines
                    .SelectMany(l => l.Rows)
                    .Where(r => r.Mass is not null && r.Role is not null)
                    .Select(r => new RowDraft(r.Ingredient, r.Mass!.Value, r.Role, r.AtBeep)),
            ];
        var open = Sections
            .SelectMany(s => s.Lines)
            .Where(l => l.Rows.Any(r => r.Mass is null || r.Role is null))
            .Select(l => l.Text);
        var parts = Sections
            .Where(s => s.Kind is not null)
            .Select(s => new PartDraft(s.Kind!.Value, s.Name, Drafts(s.Lines), s.Work))
            .Where(p => p.Rows.Length > 0);
        return new(
            Title,
            Drafts(Sections.Where(s => s.Kind is null).SelectMany(s => s.Lines)),
            [.. parts],
            ByHand,
            string.Join('\n', [.. open, .. LeftOver.Length > 0 ? new[] { LeftOver } : []])
        );
    }
}

/// <summary>Reads and prints recipes as plain text or Markdown.</summary>
public static class RecipeText
{
    /// <summary>The longest text read, in characters: a long recipe, several times over.</summary>
    public const int Longest = 50_000;

    private const string ByHandLine = "Mixed by hand.",
        TitleMark = "Title: ",
        NotesMark = "Notes",
        Hands = "min hands",
        Hob = "min hob",
        Cooling = "min cooling";

    private static readonly FrozenSet<string> MethodWords =
        "method instructions instruction directions direction preparation steps procedure".Split(' ').ToFrozenSet();

    // A line that begins so tells what to do or how much comes of it.
    private static readonly FrozenSet<string> Doing = string.Join(
            ' ',
            "mix knead bake preheat heat place put add combine stir let leave cover shape divide roll brush sprinkle "
                + "serve serves make makes yield yields prep cook rest turn",
            "set pour dissolve proof prove rise remove cool store transfer in when if then once oven time total use "
                + "take cut press work form tip grease line meanwhile after before while this these"
        )
        .Split(' ')
        .ToFrozenSet();

    // Which words of a heading make it a part.
    private static readonly ImmutableArray<(string Word, PartKind Kind)> PartWords =
    [
        ("filling", PartKind.Filling),
        ("wash", PartKind.Wash),
        ("glaze", PartKind.Wash),
        ("brush", PartKind.Wash),
        ("brushing", PartKind.Wash),
        ("butter", PartKind.Butter),
        ("topping", PartKind.Topping),
        ("top", PartKind.Topping),
        ("finish", PartKind.Topping),
        ("sprinkle", PartKind.Topping),
        ("crumble", PartKind.Topping),
    ];

    /// <summary>Reads a recipe.</summary>
    /// <returns>What was understood; or why it cannot be: too long, or nothing there.</returns>
    public static Outcome<ReadRecipe> Read(string text, HouseholdPantry pantry)
    {
        ArgumentNullException.ThrowIfNull(pantry);
        if (string.IsNullOrWhiteSpace(text))
            return new Problem("empty:recipe", "text");
        if (text.Length > Longest)
            return new Problem("too-long:recipe", "text", text.Length, Longest);

        var lines = PlainText.AsNote(text).Split('\n');
        var (title, byHand, sawTitle) = ("", false, false);
        var (sections, leftOver) = (
            new List<(PartKind? Kind, string Name, PartWork? Work, List<ReadLine> Lines)> { (null, "", null, []) },
            new StringBuilder()
        );
        for (var i = 0; i < lines.Length; i++)
        {
            var line = lines[i].Trim();
            var plain = line.TrimStart('#', ' ', '*', '=', '_').TrimEnd(' ', '*', '=', '_');
            if (plain.Length == 0)
                continue;
            var marked =
                line[0] == '#'
                || (line.StartsWith("**", StringComparison.Ordinal) && line.EndsWith("**", StringComparison.Ordinal));
            var heading = plain.TrimEnd(':').Trim();
            if (!sawTitle && line.StartsWith(TitleMark, StringComparison.Ordinal))
            {
                Title(line[TitleMark.Length..]);
                continue;
            }
            if (heading == NotesMark && (marked || plain[^1] == ':'))
            {
                Leave(string.Join('\n', lines[(i + 1)..]).Trim());
                break;
            }
            if (MethodWords.Contains(Phrase.Of(heading)) || MethodWords.Contains(heading.ToLowerInvariant()))
            {
                Leave(string.Join('\n', lines[i..]).Trim());
                break;
            }
            if (line == ByHandLine)
                byHand = true;
            else if (!sawTitle && line.StartsWith("# ", StringComparison.Ordinal))
                Title(line[2..].Trim());
            else if (Headed(plain) is { } own)
                sections.Add((own.Kind, own.Name, own.Work, []));
            else if (Phrase.Of(heading) is "ingredient" or "the ingredient")
                sawTitle = true;
            else if (marked || IsHeading(plain))
            {
                if (!sawTitle && !plain.EndsWith(':') && KindOf(heading) is null)
                    Title(heading);
                else
                    sections.Add((KindOf(heading), PlainText.AsName(heading), null, []));
            }
            else if (IngredientIn(line, pantry) is { } read)
            {
                sawTitle = true;
                if (Label(line) is { } label && KindOf(label) is { } kind)
                    sections.Add((kind, PlainText.AsName(label), null, [read]));
                else
                    sections[^1].Lines.Add(read);
            }
            else if (!sawTitle)
                Title(heading);
            else
                Leave(lines[i].TrimEnd());
        }
        return new ReadRecipe(
            title,
            [.. sections.Where(s => s.Lines.Count > 0).Select(s => new ReadSection(s.Kind, s.Name, s.Work, [.. s.Lines]))],
            byHand,
            leftOver.ToString()
        );

        void Title(string name) => (title, sawTitle) = (PlainText.AsName(name), true);
        void Leave(string rest)
        {
            if (leftOver.Length > 0 && rest.Length > 0)
                leftOver.Append('\n');
            leftOver.Append(rest);
        }
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
        foreach (var row in dough.Rows)
            text.Append(markdown ? "- " : "").Append(Print(row, pantry)).Append('\n');
        foreach (var part in dough.Parts)
        {
            text.Append('\n')
                .Append(markdown ? "## " : "")
                .Append(
                    CultureInfo.InvariantCulture,
                    $"{part.Kind}: {part.Name} [{part.Work.Hands.TotalMinutes:R} {Hands}, {part.Work.Hob.TotalMinutes:R} "
                        + $"{Hob}, {part.Work.Cool.TotalMinutes:R} {Cooling}]"
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
            && back.Ingredient == row.Ingredient.Name
            && back.Mass == row.Mass
            && IngredientIn(plain, pantry) is not null
            && Label(plain) is null
            ? plain
            : $"{grams} g \"{row.Ingredient.Name}\"{marks}";
    }

    // A line that asks for something: an amount of it, or at least a thing the pantry knows and few words.
    private static ReadLine? IngredientIn(string line, HouseholdPantry pantry)
    {
        if (
            line.Length > LineGrammar.LongestLine
            || Phrase.Split(line).FirstOrDefault(w => char.IsLetter(w[0])) is { } first && Doing.Contains(first)
        )
            return null;
        var rows = LineReading.Of(line, pantry);
        var asks =
            rows.Any(r => r.Mass is not null)
            || (
                rows.Length > 0
                && rows.Any(r => r.Known || char.IsDigit(line.TrimStart('-', '*', '•', ' ')[0]))
                && Phrase.Split(line).Count() <= 8
                && line[^1] != '.'
            );
        return asks && rows.Length > 0 ? new(line, rows) : null;
    }

    // "For the filling:", "Topping".
    private static bool IsHeading(string line)
    {
        if (line.Any(char.IsDigit) || line.Length > PlainText.LongestName)
            return false;
        if (line[^1] == ':')
            return true;
        var words = Phrase.Split(line).ToList();
        return words.Count <= 4
            && (
                words is ["for", ..] or ["to", ..]
                || (words.Count <= 2 && words.Count > 0 && PartWords.Any(p => p.Word == words[^1] && p.Kind != PartKind.Butter))
            );
    }

    private static PartKind? KindOf(string heading)
    {
        var words = Phrase.Split(heading).ToHashSet();
        return PartWords.Where(p => words.Contains(p.Word)).Select(p => (PartKind?)p.Kind).FirstOrDefault();
    }

    private static string? Label(string line) =>
        line.IndexOf(':', StringComparison.Ordinal) is > 0 and < 40 and var at && !line[..at].Any(char.IsDigit)
            ? line[..at].Trim()
            : null;

    // Our own heading of a part, with its minutes.
    private static (PartKind Kind, string Name, PartWork Work)? Headed(string line)
    {
        var (colon, open) = (line.IndexOf(": ", StringComparison.Ordinal), line.LastIndexOf(" [", StringComparison.Ordinal));
        if (colon < 0 || open < colon + 2 || line[^1] != ']' || !Enum.TryParse<PartKind>(line[..colon], out var kind))
            return null;
        var minutes = line[(open + 2)..^1].Split(", ");
        return
            minutes is [var hands, var hob, var cool]
            && Minutes(hands, Hands) is { } a
            && Minutes(hob, Hob) is { } b
            && Minutes(cool, Cooling) is { } c
            ? (kind, line[(colon + 2)..open], PartWork.Minutes(a, b, c))
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
