using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Steps;

namespace JollyKnot.Store;

/// <summary>The shape of documents as JSON Schema: committed for each version, so that no shape changes unnoticed.</summary>
public static class DocumentSchemas
{
    private static readonly JsonSchemaExporterOptions Exact = new()
    {
        TreatNullObliviousAsNonNullable = true,
        TransformSchemaNode = Described,
    };

    /// <summary>Every kind of document that an assembly knows.</summary>
    public static IReadOnlyList<IDocumentKind> In(Assembly assembly)
    {
        ArgumentNullException.ThrowIfNull(assembly);
        const BindingFlags anywhere =
            BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic | BindingFlags.DeclaredOnly;
        return
        [
            .. assembly
                .GetTypes()
                .Where(t => !t.ContainsGenericParameters)
                .SelectMany(t => t.GetFields(anywhere))
                .Where(f => typeof(IDocumentKind).IsAssignableFrom(f.FieldType))
                .Select(f => (IDocumentKind)f.GetValue(null)!)
                .OrderBy(k => k.Name, StringComparer.Ordinal),
        ];
    }

    /// <summary>The file a version's schema is kept in.</summary>
    public static string FileOf(IDocumentKind kind)
    {
        ArgumentNullException.ThrowIfNull(kind);
        return $"{kind.Name}.{kind.Version}.json";
    }

    /// <summary>The schema of a kind as its version is written.</summary>
    public static string Of(IDocumentKind kind)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var schema = Json.Documents.GetJsonSchemaAsNode(kind.Type, Exact).AsObject();
        schema.Insert(0, "$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.Insert(1, "$id", $"urn:jolly-knot:document:{kind.Name}:{kind.Version}");
        return schema.ToJsonString(new JsonSerializerOptions { WriteIndented = true }) + "\n";
    }

    // Quantities, times and names of steps are written by converters of ours, which the exporter knows nothing of.
    private static JsonNode Described(JsonSchemaExporterContext context, JsonNode schema)
    {
        if (context.TypeInfo.Type == typeof(StepId))
            return new JsonObject { ["type"] = "string" };
        if (NumberOf(context.TypeInfo.Type) is { } number)
            return number;
        if (schema["properties"] is not JsonObject properties)
            return schema;
        // It leaves those that may be missing out altogether.
        foreach (var property in context.TypeInfo.Properties)
            if (properties.ContainsKey(property.Name) && NumberOf(property.PropertyType) is { } optional)
                properties[property.Name] = optional;
        return schema;
    }

    private static JsonObject? NumberOf(Type type)
    {
        var inner = Nullable.GetUnderlyingType(type);
        if (UnitOf(inner ?? type) is not { } unit)
            return null;
        return new JsonObject { ["type"] = inner is null ? "number" : new JsonArray("number", "null"), ["description"] = unit };
    }

    private static string? UnitOf(Type type)
    {
        if (type == typeof(TimeSpan))
            return "seconds";
        var isQuantity = type.GetInterfaces().Any(i => i.IsGenericType && i.GetGenericTypeDefinition() == typeof(IQuantity<>));
        const BindingFlags @explicit = BindingFlags.Static | BindingFlags.NonPublic;
        return isQuantity
            ? (string?)type.GetProperty($"JollyKnot.Core.Measures.IQuantity<{type.FullName}>.Unit", @explicit)?.GetValue(null)
            : null;
    }
}
