using System.Globalization;
using JollyKnot.Core.Pantry;
using Xunit.Abstractions;

namespace JollyKnot.Core.Tests;

/// <summary>Ingredient lines as people write them, and what they weigh.</summary>
public sealed class ReadingLines(ITestOutputHelper output)
{
    private static readonly (string Line, (double? Grams, string? Name)[] Items)[] Written =
    [
        .. File.ReadLines(Path.Combine(AppContext.BaseDirectory, "lines.txt"))
            .Where(l => l.Length > 0 && l[0] != '#')
            .Select(l => l.Split(" => "))
            .Select(p =>
                (
                    p[0],
                    p[1]
                        .Split("; ")
                        .Select(i => i.Split(' ', 2))
                        .Select(i =>
                            (
                                i[0] == "?" ? (double?)null : double.Parse(i[0], CultureInfo.InvariantCulture),
                                i[1] == "?" ? null : i[1]
                            )
                        )
                        .ToArray()
                )
            ),
    ];

    private static string AsRead(ReadRow row) =>
        string.Create(CultureInfo.InvariantCulture, $"{row.Mass?.Grams:0.##} {(row.Known ? "" : "? ")}{row.Ingredient}");

    [Fact]
    public void Every_written_line_weighs_what_it_should()
    {
        Written.Length.ShouldBeGreaterThanOrEqualTo(150);
        var wrong = Written
            .Where(w => !Matches(w.Line, w.Items))
            .Select(w => $"{w.Line} => {string.Join("; ", LineReading.Of(w.Line, HouseholdPantry.Plain).Select(AsRead))}")
            .ToList();
        var understood = Written.Count(w => LineReading.Of(w.Line, HouseholdPantry.Plain).All(r => r.IsUnderstood));
        output.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{Written.Length} lines, {100d * understood / Written.Length:0.0} % understood whole, {wrong.Count} wrong"
            )
        );
        wrong.ShouldBeEmpty();
    }

    private static bool Matches(string line, (double? Grams, string? Name)[] items)
    {
        var rows = LineReading.Of(line, HouseholdPantry.Plain);
        return rows.Length == items.Length
            && rows.Zip(items)
                .All(p =>
                    (p.Second.Name is { } name ? p.First.Known && p.First.Ingredient == name : !p.First.Known)
                    && (
                        p.Second.Grams is { } grams
                            ? p.First.Mass is { } m && Math.Abs(m.Grams - grams) < .006
                            : p.First.Mass is null
                    )
                );
    }
}
