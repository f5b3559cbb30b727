using System.Text.Json;
using System.Text.Json.Nodes;
using JollyKnot.Core.Doughs;

namespace JollyKnot.Store;

/// <summary>Before, steam, wash, cooling and place were looked for in a recipe's method whenever a bake opened. Now they stand in
/// its plan: read once, here, for what was kept before.</summary>
public static class ToldByMethod
{
    private static readonly string[] Added = ["program", "pan", "placeId", "washId", "steam", "cooling"];

    /// <summary>A dough whose plan says nothing of them.</summary>
    /// <param name="dough">May be changed.</param>
    public static JsonNode InDough(JsonNode dough)
    {
        ArgumentNullException.ThrowIfNull(dough);
        if (dough["plan"] is not JsonObject plan || dough["notes"]?.GetValue<string>() is not { } notes)
            return dough;
        var told = JsonSerializer.SerializeToNode(MethodReading.Of(notes), Json.Documents)!.AsObject();
        foreach (var name in Added)
            plan[name] = told[name]?.DeepClone();
        return dough;
    }
}
