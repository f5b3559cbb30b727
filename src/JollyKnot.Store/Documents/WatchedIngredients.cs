using System.Text.Json.Nodes;

namespace JollyKnot.Store;

/// <summary>
/// Before, rules hung on the names of ingredients. Now an ingredient says itself that it is honey, or that what harms grows on it
/// in
/// fat. The names that rules hung on stand here as they were; a household's own honey is told by its name, once.
/// </summary>
public static class WatchedIngredients
{
    /// <summary>A dough whose ingredients say nothing of it.</summary>
    /// <param name="dough">May be changed.</param>
    public static JsonNode InDough(JsonNode dough)
    {
        ArgumentNullException.ThrowIfNull(dough);
        foreach (var row in dough["rows"]!.AsArray())
            In(row!["ingredient"]!);
        foreach (var part in dough["parts"]?.AsArray() ?? [])
            foreach (var row in part!["rows"]!.AsArray())
                In(row!["ingredient"]!);
        return dough;
    }

    /// <summary>A pantry whose own ingredients say nothing of it.</summary>
    /// <param name="pantry">May be changed.</param>
    public static JsonNode InPantry(JsonNode pantry)
    {
        ArgumentNullException.ThrowIfNull(pantry);
        foreach (var own in pantry["own"]?.AsArray() ?? [])
            In(own!);
        return pantry;
    }

    private static void In(JsonNode ingredient)
    {
        var name = ingredient["name"]!.GetValue<string>();
        ingredient["isHoney"] = name.Split(' ').Contains("honey", StringComparer.OrdinalIgnoreCase);
        ingredient["growsInFat"] = name is "garlic" or "fresh herbs";
    }
}
