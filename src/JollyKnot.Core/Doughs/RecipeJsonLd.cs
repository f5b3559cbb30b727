// A recipe as schema.org Recipe in JSON-LD, alone or in a page's script: read as data, whatever it holds, and written so that
// nothing is lost.
using System.Collections.Immutable;
using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>Reads and writes schema.org recipes.</summary>
public static class RecipeJsonLd
{
    // Our own dough inside the recipe: what schema.org has no words for.
    private const string OwnKey = "jk:dough",
        OwnContext = "urn:jolly-knot:";
    private const int Deepest = 64;

    private static readonly JsonSerializerOptions Own = new(JsonSerializerDefaults.Web)
    {
        Converters =
        {
            new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false),
            new SecondsJsonConverter(),
        },
        MaxDepth = Deepest,
        RespectNullableAnnotations = true,
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Encoder = JavaScriptEncoder.Default,
        WriteIndented = true,
    };

    private sealed record OwnDough(DoughDraft Draft, ImmutableArray<Ingredient> Ingredients);

    /// <summary>Writes a dough as a recipe. What is written can stand inside a page: angle brackets are escaped.</summary>
    public static string Write(Dough dough, HouseholdPantry pantry)
    {
        ArgumentNullException.ThrowIfNull(dough);
        var recipe = new JsonObject
        {
            ["@context"] = new JsonArray("https://schema.org", new JsonObject { ["jk"] = OwnContext }),
            ["@type"] = "Recipe",
            ["name"] = dough.Name,
            ["recipeIngredient"] = new JsonArray([
                .. dough
                    .Rows.Concat(dough.Parts.SelectMany(p => p.Rows))
                    .Select(r => JsonValue.Create(RecipeText.Print(r, pantry))),
            ]),
            ["recipeInstructions"] = dough.Notes,
            [OwnKey] = JsonSerializer.SerializeToNode(
                new OwnDough(dough.ToDraft(), [.. dough.Everything.Select(r => r.Ingredient).DistinctBy(i => (i.Name, i.Role))]),
                Own
            ),
        };
        return recipe.ToJsonString(Own);
    }

    /// <summary>Whether a text is JSON, or a page that holds recipes, rather than plain text.</summary>
    public static bool Recognises(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var start = text.AsSpan().TrimStart();
        return start.Length > 0
            && (start[0] is '{' or '[' || text.Contains("application/ld+json", StringComparison.OrdinalIgnoreCase));
    }

    /// <summary>One of the recipes of a page, as understood.</summary>
    /// <param name="Recipe">What was understood.</param>
    /// <param name="Exact">The very dough, where we wrote it ourselves.</param>
    /// <param name="Names">What all its recipes are called, in their order; at least this one.</param>
    public sealed record Found(ReadRecipe Recipe, Dough? Exact, ImmutableArray<string> Names);

    // More in one page are no recipes to choose from. Ours.
    private const int MostRecipes = 50;

    /// <summary>Reads one of the recipes found.</summary>
    /// <param name="text">JSON, or a page.</param>
    /// <param name="pantry">The household's pantry.</param>
    /// <param name="language">What it is written in; guessed when null.</param>
    /// <param name="which">Which of several; 0 for the first. The first, when there are not so many.</param>
    /// <returns>What was understood; or why it cannot be.</returns>
    public static Outcome<Found> Read(string text, HouseholdPantry pantry, RecipeLanguage? language = null, int which = 0)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(pantry);
        var found = new List<JsonElement>();
        var broken = Recipes(text, found);
        if (found.Count == 0)
            return broken;
        var recipe = which > 0 && which < found.Count ? found[which] : found[0];
        var read = RecipeText.Read(AsText(recipe), pantry, language);
        if (!read.IsOk)
            return read.Problems;
        return new Found(read.Value, Exact(recipe, pantry), [.. found.Select(r => PlainText.AsName(Line(Get(r, "name"))))]);
    }

    // Every recipe in it, each once; and what is wrong with it, where there is none.
    private static Problem Recipes(string text, List<JsonElement> found)
    {
        var broken = new Problem("not-readable:json", "text");
        foreach (var document in Documents(text))
        {
            JsonElement root;
            try
            {
                using var parsed = JsonDocument.Parse(
                    document,
                    new()
                    {
                        MaxDepth = Deepest,
                        AllowTrailingCommas = true,
                        CommentHandling = JsonCommentHandling.Skip,
                    }
                );
                root = parsed.RootElement.Clone();
            }
            catch (JsonException error)
            {
                broken = new("not-readable:json-line", "text", (error.LineNumber ?? 0) + 1);
                continue;
            }
            broken = new("not-readable:no-recipe", "text");
            found.AddRange(Find(root).Take(MostRecipes - found.Count));
        }
        return broken;
    }

    private static Dough? Exact(JsonElement recipe, HouseholdPantry pantry)
    {
        try
        {
            // Ours or made up by somebody: checked like anything typed.
            if (
                Get(recipe, OwnKey)?.Deserialize<OwnDough>(Own) is not { } own
                || own.Draft is null
                || own.Ingredients.IsDefault
                || own.Ingredients.Length > 2 * Dough.MostRows * Dough.MostParts
            )
                return null;
            if (own.Ingredients.Any(i => i is null || Ingredient.Check(i).Length > 0))
                return null;
            var with = own.Ingredients.Aggregate(pantry, (p, i) => p.Find(i.Name) == i ? p : p.With(i));
            return Dough.Create(own.Draft, with) is { IsOk: true, Value: var dough } ? dough : null;
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or NotSupportedException)
        {
            return null;
        }
    }

    // The JSON itself, or the scripts of a page.
    private static IEnumerable<string> Documents(string text)
    {
        if (text.AsSpan().TrimStart() is [('{' or '['), ..])
        {
            yield return text;
            yield break;
        }
        for (var at = 0; (at = text.IndexOf("<script", at, StringComparison.OrdinalIgnoreCase)) >= 0;)
        {
            var open = text.IndexOf('>', at);
            if (open < 0)
                yield break;
            var close = text.IndexOf("</script", open, StringComparison.OrdinalIgnoreCase);
            if (close < 0)
                yield break;
            if (text.AsSpan(at, open - at).Contains("ld+json", StringComparison.OrdinalIgnoreCase))
                yield return text[(open + 1)..close];
            at = close;
        }
    }

    // A recipe may lie alone, in a list, or in a graph.
    private static IEnumerable<JsonElement> Find(JsonElement node) =>
        node.ValueKind switch
        {
            JsonValueKind.Array => node.EnumerateArray().SelectMany(Find),
            JsonValueKind.Object when IsRecipe(node) => [node],
            JsonValueKind.Object => Listed(Get(node, "@graph")).Concat(Listed(Get(node, "mainEntity"))).SelectMany(Find),
            _ => [],
        };

    private static bool IsRecipe(JsonElement node) =>
        Listed(Get(node, "@type")).Any(t => Said(t) is { } type && type[(type.LastIndexOfAny(['/', ':']) + 1)..] == "Recipe");

    private static string AsText(JsonElement recipe)
    {
        var text = new StringBuilder().Append("# ").Append(Line(Get(recipe, "name"))).Append('\n').Append("Ingredients\n");
        foreach (var ingredient in Listed(Get(recipe, "recipeIngredient") ?? Get(recipe, "ingredients")))
            text.Append(Line(ingredient)).Append('\n');
        text.Append("Notes:\n");
        if (Line(Get(recipe, "description")) is { Length: > 0 } description)
            text.Append(description).Append('\n');
        if (string.Join(", ", Listed(Get(recipe, "recipeYield")).Select(n => Line(n))) is { Length: > 0 } yield)
            text.Append(yield.All(char.IsAsciiDigit) ? "Makes " : "").Append(yield).Append('\n');
        foreach (var step in Listed(Get(recipe, "recipeInstructions")))
            Steps(text, step);
        foreach (var diet in Listed(Get(recipe, "suitableForDiet")).Select(d => Line(d)))
            text.Append("Suits: ").Append(DietName(diet)).Append('\n');
        if (Lasting(Get(recipe, "prepTime")) is { } preparing)
            text.Append(CultureInfo.InvariantCulture, $"Preparation: {preparing} minutes.\n");
        if (Lasting(Get(recipe, "cookTime")) is { } minutes)
            text.Append(CultureInfo.InvariantCulture, $"Bake {minutes} minutes.\n");
        return text.Length > RecipeText.Longest ? text.ToString(0, RecipeText.Longest) : text.ToString();
    }

    // "https://schema.org/VeganDiet" is vegan.
    private static string DietName(string diet) =>
        diet[(diet.LastIndexOf('/') + 1)..].Replace("Diet", "", StringComparison.Ordinal).ToLowerInvariant();

    // "PT25M", as ISO 8601 has it; null of what is none, or no baking.
    private static double? Lasting(JsonElement? node)
    {
        try
        {
            var lasts = System.Xml.XmlConvert.ToTimeSpan(Plain(node));
            return lasts > TimeSpan.Zero && lasts < TimeSpan.FromHours(4) ? Math.Round(lasts.TotalMinutes) : null;
        }
        catch (FormatException)
        {
            return null;
        }
    }

    // A step may hold steps; the parser has bounded how deep.
    private static void Steps(StringBuilder text, JsonElement step)
    {
        if (Plain(step.ValueKind == JsonValueKind.Object ? Get(step, "text") ?? Get(step, "name") : step) is { Length: > 0 } said)
            text.Append(said).Append('\n');
        foreach (var inner in Listed(Get(step, "itemListElement")))
            Steps(text, inner);
    }

    private static List<JsonElement> Listed(JsonElement? node) =>
        node switch
        {
            null => [],
            { ValueKind: JsonValueKind.Array } list => [.. list.EnumerateArray()],
            { } one => [one],
        };

    private static string Line(JsonElement? node) => Plain(node).Replace('\n', ' ').Replace('\r', ' ').Trim();

    private static string Plain(JsonElement? node) => node is { } n ? WebUtility.HtmlDecode(Said(n) ?? "").Trim() : "";

    private static string? Said(JsonElement node) =>
        node.ValueKind switch
        {
            JsonValueKind.String => node.GetString(),
            JsonValueKind.Number => node.GetRawText(),
            _ => null,
        };

    // Of a key told twice the last counts.
    private static JsonElement? Get(JsonElement node, string key) =>
        node.ValueKind == JsonValueKind.Object && node.TryGetProperty(key, out var found) && found.ValueKind != JsonValueKind.Null
            ? found
            : null;
}
