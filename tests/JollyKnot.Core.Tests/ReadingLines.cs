using System.Globalization;
using JollyKnot.Core.Pantry;
using Xunit.Abstractions;

namespace JollyKnot.Core.Tests;

/// <summary>Ingredient lines as people write them, and what they weigh, what they are for, and what is asked of them.</summary>
public sealed class ReadingLines(ITestOutputHelper output)
{
    // A figure of a table is met to this, whatever a spoon is rounded to.
    private const double Near = .015;

    private sealed record Wanted(double? Grams, string Name, Use Use, bool IsAsked, bool IsOptional);

    private sealed record Written(string Line, Wanted[] Items);

    // "500 plain flour @surface !asked": "?" where no amount can be told.
    private static Wanted Item(string text)
    {
        var words = text.Split(' ');
        var marks = words.Skip(1).Where(w => w.Length > 1 && w[0] is '@' or '!').ToList();
        var use = marks.FirstOrDefault(m => m[0] == '@')?[1..] ?? "dough";
        return new(
            words[0] == "?" ? null : double.Parse(words[0], CultureInfo.InvariantCulture),
            string.Join(' ', words.Skip(1).Except(marks)),
            use == "butter" ? Use.HotBrush : Enum.Parse<Use>(use, ignoreCase: true),
            marks.Contains("!asked"),
            marks.Contains("!optional")
        );
    }

    private static List<Written> From(string file) =>
        [
            .. File.ReadLines(Path.Combine(AppContext.BaseDirectory, "lines", file))
                .Where(l => l.Length > 0 && l[0] != '#')
                .Select(l => l.Split(" => "))
                .Select(p => new Written(p[0], [.. p[1].Split("; ").Select(Item)])),
        ];

    private static string AsRead(ReadRow row) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{row.Mass?.Grams:0.##} {(row.Known ? "" : "? ")}{row.Called ?? row.Ingredient} ({row.Ingredient}) "
                + $"@{row.Use}{(row.IsUnderstood ? "" : " !asked")}{(row.IsOptional ? " !optional" : "")}"
        );

    [Theory]
    [InlineData("plain.txt", "en")]
    [InlineData("uses.txt", "en")]
    [InlineData("de.txt", "de")]
    [InlineData("fr.txt", "fr")]
    [InlineData("es.txt", "es")]
    [InlineData("it.txt", "it")]
    public void Every_written_line_is_read_as_it_should(string file, string code)
    {
        var language = RecipeLanguage.Of(code);
        var lines = From(file);
        lines.Count.ShouldBeGreaterThanOrEqualTo(60);
        var wrong = lines.Where(w => !Matches(w, language)).Select(w => $"{w.Line} => {Said(w.Line, language)}").ToList();
        output.WriteLine($"{file}: {lines.Count - wrong.Count} of {lines.Count} as wanted");
        wrong.ShouldBeEmpty();
    }

    private static string Said(string line, RecipeLanguage? language) =>
        string.Join("; ", LineReading.Of(line, HouseholdPantry.Plain, language).Select(AsRead));

    // A composed and a decomposed line are one.
    private static bool Matches(Written written, RecipeLanguage? language) =>
        new[] { System.Text.NormalizationForm.FormC, System.Text.NormalizationForm.FormD }.All(form =>
        {
            var rows = LineReading.Of(written.Line.Normalize(form), HouseholdPantry.Plain, language);
            return rows.Length == written.Items.Length && rows.Zip(written.Items).All(p => IsAs(p.First, p.Second));
        });

    private static bool IsAs(ReadRow row, Wanted wanted) =>
        IsNamed(row, wanted.Name)
        && Weighs(row, wanted.Grams)
        && row.Use == wanted.Use
        && row.IsOptional == wanted.IsOptional
        && (!wanted.IsAsked || !row.IsUnderstood);

    private static bool IsNamed(ReadRow row, string name) =>
        name == "?"
            ? !row.Known
            : row.Known && (Phrase.Of(row.Ingredient) == Phrase.Of(name) || Phrase.Of(row.Called ?? "") == Phrase.Of(name));

    private static bool Weighs(ReadRow row, double? grams) =>
        grams is { } g ? row.Mass is { } m && Math.Abs(m.Grams - g) <= Math.Max(.06, g * Near) : row.Mass is null;
}
