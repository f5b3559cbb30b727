using System.Text.Json.Nodes;

namespace JollyKnot.Store;

/// <summary>The first doughs said nothing of parts, of hands or of notes, because there were none.</summary>
internal static class WholeDough
{
    /// <summary>A dough of version 1 brought to version 2.</summary>
    public static JsonNode Of(JsonNode document)
    {
        var dough = document.AsObject();
        dough.TryAdd("parts", new JsonArray());
        dough.TryAdd("byHand", false);
        dough.TryAdd("notes", "");
        return dough;
    }

    /// <summary>A plan whose dough is of version 1.</summary>
    public static JsonNode InPlan(JsonNode plan)
    {
        Of(plan["spec"]!["dough"]!);
        return plan;
    }
}
