// The shape of an archive, published: JSON Schema, draft 2020-12.
using System.Text.Json.Nodes;
using JollyKnot.Store;

namespace JollyKnot.Server.Archiving;

/// <summary>The archive's schema.</summary>
internal static class ArchiveSchema
{
    private const string Id = "urn:jolly-knot:archive:1";

    /// <summary>Documents may be of an older version; those of this one have the shape given.</summary>
    public static JsonObject Written() =>
        new()
        {
            ["$schema"] = "https://json-schema.org/draft/2020-12/schema",
            ["$id"] = Id,
            ["title"] = "Everything a household keeps in Jolly Knot",
            ["type"] = "object",
            ["required"] = new JsonArray("format", "writtenAt", "doughs", "bakes", "settings"),
            ["properties"] = new JsonObject
            {
                ["format"] = new JsonObject { ["const"] = Archive.CurrentFormat },
                ["writtenAt"] = Time(),
                ["doughs"] = ListOf(
                    new()
                    {
                        ["id"] = Uuid(),
                        ["putAwayAt"] = OrNull(Time()),
                        ["versions"] = ListOf(
                            new()
                            {
                                ["version"] = Counted(),
                                ["savedAt"] = Time(),
                                ["dough"] = Enveloped(Kinds.Dough),
                            }
                        ),
                    }
                ),
                ["bakes"] = ListOf(
                    new()
                    {
                        ["id"] = Uuid(),
                        ["createdAt"] = Time(),
                        ["closedAt"] = OrNull(Time()),
                        ["plan"] = Enveloped(Kinds.Plan),
                        ["closed"] = OrNull(Enveloped(Kinds.Closed)),
                        ["events"] = ListOf(
                            new()
                            {
                                ["id"] = Uuid(),
                                ["position"] = Counted(),
                                ["toldAt"] = Time(),
                                ["event"] = Enveloped(Kinds.Event),
                            }
                        ),
                    }
                ),
                ["settings"] = ListOf(
                    new()
                    {
                        ["name"] = new JsonObject { ["type"] = "string" },
                        ["document"] = true,
                    }
                ),
            },
            ["$defs"] = new JsonObject(
                new IDocumentKind[] { Kinds.Dough, Kinds.Plan, Kinds.Event, Kinds.Closed }.Select(kind =>
                    KeyValuePair.Create(kind.Name, JsonNode.Parse(DocumentSchemas.Of(kind)))
                )
            ),
        };

    private static JsonObject Time() => new() { ["type"] = "string", ["format"] = "date-time" };

    private static JsonObject Uuid() => new() { ["type"] = "string", ["format"] = "uuid" };

    private static JsonObject Counted() => new() { ["type"] = "integer", ["minimum"] = 1 };

    private static JsonObject OrNull(JsonObject shape) =>
        new() { ["anyOf"] = new JsonArray(new JsonObject { ["type"] = "null" }, shape) };

    private static JsonObject ListOf(JsonObject properties) =>
        new()
        {
            ["type"] = "array",
            ["items"] = new JsonObject
            {
                ["type"] = "object",
                ["required"] = new JsonArray([.. properties.Select(p => (JsonNode)p.Key)]),
                ["properties"] = properties,
            },
        };

    // One without an envelope is of version 1.
    private static JsonObject Enveloped(IDocumentKind kind) =>
        new()
        {
            ["type"] = "object",
            ["if"] = new JsonObject
            {
                ["required"] = new JsonArray("version"),
                ["properties"] = new JsonObject { ["version"] = new JsonObject { ["const"] = kind.Version } },
            },
            ["then"] = new JsonObject
            {
                ["required"] = new JsonArray("document"),
                ["properties"] = new JsonObject { ["document"] = new JsonObject { ["$ref"] = $"#/$defs/{kind.Name}" } },
            },
        };
}
