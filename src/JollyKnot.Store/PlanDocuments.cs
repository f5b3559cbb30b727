using System.Text.Json;
using System.Text.Json.Nodes;
using JollyKnot.Core.Scheduling;

namespace JollyKnot.Store;

/// <summary>Reads plans as this version and earlier ones wrote them.</summary>
internal static class PlanDocuments
{
    /// <summary>A plan from its document.</summary>
    public static BakePlan Read(string document)
    {
        var plan = JsonNode.Parse(document)!.AsObject();
        if (plan["spec"] is JsonObject spec && !spec.ContainsKey("cuts")) plan["spec"] = WithCuts(spec);
        return plan.Deserialize<BakePlan>(Json.Documents)!;
    }

    // Before there were cut lists, a dough became pieces of one kind.
    private static JsonObject WithCuts(JsonObject spec)
    {
        var pieces = spec["pieces"]!.GetValue<int>();
        var grams = spec["dough"]!["rows"]!.AsArray().Sum(r => r!["mass"]!.GetValue<double>());
        var bread = new JsonObject();
        foreach (var field in (string[])["family", "heat", "wash"])
        {
            bread[field] = spec[field]?.DeepClone();
            spec.Remove(field);
        }
        spec.Remove("pieces");
        spec["cuts"] = new JsonArray(new JsonObject { ["pieces"] = pieces, ["each"] = grams / pieces, ["pinned"] = false, ["bread"] = bread });
        return spec.DeepClone().AsObject();
    }
}
