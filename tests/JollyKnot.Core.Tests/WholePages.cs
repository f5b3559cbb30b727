using System.Globalization;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Tests;

/// <summary>Whole pages as they are found, name, rows, parts and plan, and nothing asked but what no page
/// tells.</summary>
public sealed class WholePages
{
    // A page, and what should be read of it.
    public sealed record Page(string Language, string Text, IReadOnlyDictionary<string, string> Wanted)
    {
        public override string ToString() => $"{Language} {Wanted["title"]}";
    }

    public static TheoryData<Page> Pages { get; } =
    [.. Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "pages"), "*.txt").Order().SelectMany(PagesOf)];

    private static IEnumerable<Page> PagesOf(string file)
    {
        foreach (var block in File.ReadAllText(file).Split("=== \n", StringSplitOptions.RemoveEmptyEntries))
        {
            var (text, told) = block.Split("--- ") is [var page, var wanted] ? (page, wanted) : throw new FormatException(block);
            var lines = told.Split('\n', StringSplitOptions.RemoveEmptyEntries);
            yield return new(
                lines[0].Trim(),
                text,
                lines[1..].Select(l => l.Split(':', 2)).ToDictionary(l => l[0], l => l[1].Trim())
            );
        }
    }

    [Theory, MemberData(nameof(Pages))]
    public void A_page_is_read_whole(Page page)
    {
        var read = RecipeText.Read(page.Text, HouseholdPantry.Plain).Value;
        read.Language.Code.ShouldBe(page.Language);
        read.Title.ShouldBe(page.Wanted["title"]);
        Rows(read).ShouldBe(page.Wanted["rows"], Said(read));
        Parts(read, page.Wanted["parts"]).ShouldBe(page.Wanted["parts"], Said(read));
        Plan(read.Plan, page.Wanted["plan"]).ShouldBe(page.Wanted["plan"], $"{read.Plan}");
        var asked =
            read.Sections.Count(s => s.IsAsked)
            + read.Sections.SelectMany(s => s.Lines).SelectMany(l => l.Rows).Count(r => !r.IsUnderstood);
        asked.ShouldBe(
            page.Wanted.TryGetValue("asked", out var told) ? int.Parse(told, CultureInfo.InvariantCulture) : 0,
            Said(read)
        );
    }

    private static string Said(ReadRecipe read) =>
        string.Join(
            "\n",
            read.Sections.SelectMany(s =>
                s.Lines.SelectMany(l => l.Rows.Select(r => $"{s.Kind}: {l.Text} -> {r.Mass?.Grams:0.#} {r.Ingredient} {r.Use}"))
            )
        ) + $"\nleft: {read.LeftOver}";

    // The last word of what it is reckoned like says enough, where the page's own name is another.
    private static string Rows(ReadRecipe read) =>
        string.Join(
            "; ",
            read.Sections.Where(s => s.Kind is null)
                .SelectMany(s => s.Lines)
                .SelectMany(l => l.Rows)
                .Select(r => $"{Math.Round(r.Mass?.Grams ?? -1).ToString(CultureInfo.InvariantCulture)} {Short(r.Ingredient)}")
        );

    private static readonly string[] Kinds =
    [
        "baking powder",
        "active dry yeast",
        "fresh yeast",
        "olive oil",
        "wholemeal",
        "rye",
        "sunflower seeds",
        "olives",
        "starter",
        "flour",
        "yeast",
        "milk",
        "butter",
        "sugar",
        "salt",
        "oil",
        "oats",
        "yogurt",
        "egg",
        "honey",
        "water",
    ];

    private static string Short(string ingredient) =>
        Kinds.FirstOrDefault(k => ingredient.Contains(k, StringComparison.Ordinal)) switch
        {
            "sunflower seeds" => "sunflower",
            "olives" => "olive",
            { } kind => kind,
            null => ingredient,
        };

    private static string Parts(ReadRecipe read, string wanted)
    {
        var parts = read
            .Sections.Where(s => s.Kind is not null && s.Lines.Any(l => l.Rows.Any(r => r.Mass is not null)))
            .ToList();
        return string.Join(
            ", ",
            parts.Select(s =>
                $"{(wanted.StartsWith("any", StringComparison.Ordinal) ? "any" : $"{s.Kind}".ToLowerInvariant())} "
                + $"{s.Lines.SelectMany(l => l.Rows).Count()}"
            )
        );
    }

    // As the page's own line tells it, and only what that tells.
    private static string Plan(RecipePlan plan, string wanted)
    {
        static string Lasts(string name, Lasts? lasts, bool isRange)
        {
            if (lasts is null)
                return "";
            var (from, to) = (lasts.From.TotalMinutes, lasts.To.TotalMinutes);
            return isRange || from != to ? $"{name} {from}-{to}" : $"{name} {from}";
        }

        var all = new Dictionary<string, string>
        {
            ["pieces"] = $"pieces {plan.Pieces}",
            ["shape"] = $"shape {plan.FamilyId}",
            ["heat"] = $"heat {Math.Round(plan.Heat?.Celsius ?? 0)}",
            ["fan"] = plan.WithFan ? "fan" : "",
            ["bake"] = Lasts("bake", plan.Bake, true),
            ["rise"] = Lasts("rise", plan.Rise, false),
            ["proof"] = Lasts("proof", plan.Proof, false),
            ["rest"] = Lasts("rest", plan.Rest, false),
            ["boil"] = $"boil {plan.Boil?.Middle.TotalSeconds}",
            ["pan"] = $"pan {plan.Pan?.Kind.ToString().ToLowerInvariant()} {Math.Round(plan.Pan?.Long?.Millimetres ?? 0)}",
            ["wash"] = $"wash {plan.WashId}",
            ["steam"] = $"steam {plan.Steam?.ToString().ToLowerInvariant()}",
            ["cooling"] = $"cooling {plan.Cooling?.ToString().ToLowerInvariant()}",
        };
        return string.Join(", ", wanted.Split(", ").Select(w => all[w.Split(' ')[0]]));
    }
}
