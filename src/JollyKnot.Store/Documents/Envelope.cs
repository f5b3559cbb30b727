using System.Text.Json;
using System.Text.Json.Nodes;

namespace JollyKnot.Store;

/// <summary>What stands around every document: its version.</summary>
/// <param name="Version">1 for the first.</param>
/// <param name="Document">What is inside.</param>
internal sealed record Envelope(int Version, JsonNode Document)
{
    private const string VersionMember = "version",
        DocumentMember = "document";

    /// <summary>Opens one. What has none was written before there were any: it is of version 1.</summary>
    /// <exception cref="JsonException">It is no JSON.</exception>
    public static Envelope Open(string text)
    {
        var kept = JsonNode.Parse(text) ?? throw new JsonException("It is empty.");
        return
            kept is JsonObject { Count: 2 } envelope
            && envelope[VersionMember] is JsonValue version
            && envelope[DocumentMember] is { } inside
            ? new(version.GetValue<int>(), inside.DeepClone())
            : new(1, kept);
    }

    /// <summary>As it is kept.</summary>
    public string Close() =>
        new JsonObject { [VersionMember] = Version, [DocumentMember] = Document }.ToJsonString(Json.Documents);
}
