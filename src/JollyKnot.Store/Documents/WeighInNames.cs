using System.Globalization;
using System.Text.Json.Nodes;

namespace JollyKnot.Store;

/// <summary>
/// Version 1 named weigh-ins by their place in the pan's order: <c>weigh-3</c> meant something else when that order changed.
/// Since
/// version 2 they are named by the dough's row. The order of version 1 stands here as it was, whatever the machines' rules say
/// later.
/// </summary>
internal static class WeighInNames
{
    private const string Old = "weigh-",
        New = "weigh-in-";

    private static readonly string[] LiquidsFirst = ["liquid starter", "egg", "fat", "sugar", "other", "flour", "salt"];
    private static readonly string[] DryFirst = ["yeast", "flour", "sugar other", "salt", "fat", "egg"];

    /// <summary>A plan of version 1, from before or after there were cut lists, brought to version 2.</summary>
    public static JsonNode InPlan(JsonNode document)
    {
        var plan = document.AsObject();
        if (plan["spec"] is JsonObject spec && !spec.ContainsKey("cuts"))
            plan["spec"] = WithCuts(spec);
        var names = Of(plan["spec"]!);
        foreach (var step in plan["steps"]!.AsArray())
            step!["step"] = Renamed(step["step"]!.GetValue<string>(), names);
        plan["spec"]!["rules"] = 1;
        return plan;
    }

    /// <summary>An event of version 1, told to a bake whose weigh-ins have these names. One of version 2 stays as it
    /// is.</summary>
    public static JsonNode InEvent(JsonNode document, IReadOnlyList<string> names)
    {
        var told = document.AsObject();
        if (told["step"] is JsonValue step && step.TryGetValue<string>(out var id))
            told["step"] = Renamed(id, names);
        foreach (var times in (string[])["notBefore", "pins", "until"])
            if (told[times] is JsonObject byStep)
                told[times] = new JsonObject(
                    byStep.Select(t => KeyValuePair.Create(Renamed(t.Key, names), t.Value?.DeepClone()))
                );
        return told;
    }

    /// <summary>The names of a bake's weigh-ins, in the order that version 1 had them in.</summary>
    /// <param name="spec">The bake's spec, of any version.</param>
    public static IReadOnlyList<string> Of(JsonNode spec)
    {
        var (machine, dough, school) = spec["tools"] is null
            ? (spec["machine"], spec["dough"], spec["school"])
            : (spec["tools"]!["machine"], spec["made"]!["dough"], spec["handling"]!["school"]);
        var order = machine!["loadOrder"]!.GetValue<string>() == "liquids-first" ? LiquidsFirst : DryFirst;
        var rows = dough!["rows"]!
            .AsArray()
            .Select(
                (row, i) =>
                    (
                        Number: i + 1,
                        Role: row!["ingredient"]!["role"]!.GetValue<string>(),
                        Grams: row["mass"]!.GetValue<double>(),
                        AtBeep: row["atBeep"]?.GetValue<bool>() == true
                    )
            )
            .Where(r => !r.AtBeep)
            .ToList();
        var placed = rows.OrderBy(r => Place(order, r.Role)).ToList();

        // Yeast that bloomed went in first; liquid that bloomed it, or was held back, may have left nothing to weigh.
        var (bloom, hold) = (Is(school, "bloom"), Is(school, "holdBack"));
        var main = placed
            .Where(r => r.Role == "liquid")
            .Select(r => r.Number)
            .DefaultIfEmpty(0)
            .MaxBy(n => rows.Find(r => r.Number == n).Grams);
        var yeast = rows.Where(r => r.Role == "yeast").Sum(r => r.Grams);
        if (bloom && main > 0 && yeast > 0)
        {
            placed = [.. placed.OrderBy(r => r.Role == "yeast" ? 0 : 1)];
            var left = rows.Find(r => r.Number == main).Grams * (hold ? 2 / 3d : 1);
            if (left <= yeast * 10)
                placed.RemoveAll(r => r.Number == main);
        }
        return [.. placed.Select(r => $"{New}{r.Number}")];
    }

    private static int Place(string[] order, string role)
    {
        var place = Array.FindIndex(order, roles => roles.Split(' ').Contains(role));
        return place < 0 ? order.Length : place;
    }

    private static bool Is(JsonNode? school, string what) => school?[what]?.GetValue<bool>() == true;

    private static string Renamed(string step, IReadOnlyList<string> names) =>
        step.StartsWith(Old, StringComparison.Ordinal)
        && int.TryParse(step.AsSpan(Old.Length), NumberStyles.None, CultureInfo.InvariantCulture, out var place)
        && place >= 1
        && place <= names.Count
            ? names[place - 1]
            : step;

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
        spec["cuts"] = new JsonArray(
            new JsonObject
            {
                ["pieces"] = pieces,
                ["each"] = grams / pieces,
                ["pinned"] = false,
                ["bread"] = bread,
            }
        );
        return spec.DeepClone().AsObject();
    }
}
