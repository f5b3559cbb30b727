using System.Text.Json.Nodes;

namespace JollyKnot.Store;

/// <summary>
/// Up to version 2 a bake's spec was one list of twenty members, and the bodies that heat goes into were no part of a family.
/// Since
/// version 3 they stand in groups, nothing is left to a default, and each family brings its body. Defaults and bodies of
/// version 2 stand here as they were.
/// </summary>
public static class SpecInGroups
{
    private const double UsualHob = 1800,
        BoilsAtSeaLevel = 100,
        UsualScaleStep = 1;

    /// <summary>A plan of version 2 brought to version 3.</summary>
    /// <param name="document">May be changed.</param>
    public static JsonNode InPlan(JsonNode document)
    {
        ArgumentNullException.ThrowIfNull(document);
        document["spec"] = Of(document["spec"]!.AsObject());
        return document;
    }

    private static JsonObject Of(JsonObject spec)
    {
        JsonNode? Take(string member) => spec[member]?.DeepClone();
        return new()
        {
            ["made"] = new JsonObject
            {
                ["dough"] = WatchedIngredients.InDough(Take("dough")!),
                ["cuts"] = WithBodies(Take("cuts")!.AsArray()),
                ["source"] = Take("source"),
            },
            ["tools"] = new JsonObject
            {
                ["machine"] = Take("machine"),
                ["oven"] = Take("oven"),
                ["place"] = Take("place"),
                ["pot"] = Take("pot"),
            },
            ["handling"] = new JsonObject
            {
                ["school"] = Take("school") ?? new JsonObject { ["bloom"] = false, ["holdBack"] = false },
                ["after"] = Take("after"),
                ["timer"] = Take("timer"),
                ["cold"] = Take("cold"),
                ["bath"] = Take("bath") ?? "in-the-pot",
                ["ways"] = Take("ways") ?? new JsonObject { ["cover"] = "greased-film", ["later"] = "wait" },
            },
            ["around"] = new JsonObject
            {
                ["room"] = Take("room"),
                ["boils"] = Take("boils") ?? BoilsAtSeaLevel,
                ["hob"] = Take("hob") ?? UsualHob,
                ["scaleStep"] = Take("scaleStep") ?? UsualScaleStep,
                ["tolerance"] = Take("tolerance") ?? new JsonObject { ["least"] = 2, ["part"] = .03 },
            },
            ["wish"] = new JsonObject { ["readyBy"] = Take("readyBy"), ["fresh"] = Take("fresh") },
            ["learned"] = new JsonObject { ["pace"] = Take("pace"), ["ovenPaces"] = Take("ovenPaces") ?? new JsonObject() },
            ["rules"] = Take("rules") ?? 1,
        };
    }

    private static JsonArray WithBodies(JsonArray cuts)
    {
        foreach (var cut in cuts)
        {
            if (cut!["bread"]?["family"] is not JsonObject family)
                continue;
            family["bake"]!["body"] = Body(family["id"]!.GetValue<string>());
        }
        return cuts;
    }

    // What is not known here is taken to be like a plait, as it was.
    private static JsonObject Body(string family) =>
        family switch
        {
            "pan-roll" => Made(1, null, ("sphere", 35)),
            "crusty-roll" => Made(1, null, ("sphere", 39)),
            "round-bun" => Made(1.2, null, ("cylinder", 61), ("slab", 14)),
            "long-bun" => Made(1, null, ("cylinder", 25), ("slab", 70)),
            "knot" => Made(1, null, ("sphere", 34)),
            "pretzel" => Made(2.5, null, ("cylinder", 13)),
            "coil" => Made(.85, null, ("cylinder", 90), ("slab", 28)),
            "baton" => Made(1.5, null, ("cylinder", 31), ("slab", 170)),
            "tin-loaf" => Made(.7, null, ("slab", 118), ("slab", 55), ("slab", 48)),
            "filled-loaf" => Made(.9, null, ("slab", 105), ("slab", 55), ("slab", 36)),
            "pocket-flatbread" => Made(1, 25, ("slab", 9)),
            "griddle-flatbread" => Made(1, 25, ("slab", 5)),
            "tray-bread" => Made(1.6, null, ("slab", 17)),
            "griddle-round" => Made(1, 40, ("slab", 15)),
            _ => Made(.9, null, ("cylinder", 39), ("slab", 150)),
        };

    private static JsonObject Made(double heaviness, double? transfer, params (string Body, double Millimetres)[] parts) =>
        new()
        {
            ["parts"] = new JsonArray([.. parts.Select(p => new JsonObject { ["body"] = p.Body, ["size"] = p.Millimetres })]),
            ["heaviness"] = heaviness,
            ["transfer"] = transfer,
        };
}
