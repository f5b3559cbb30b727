using System.Text.Json;
using System.Text.Json.Nodes;
using JollyKnot.Core.Measures;

namespace JollyKnot.Store;

/// <summary>Brings a document of one version up to the next. One that is of the next already stays as it is.</summary>
/// <param name="document">The older one; may be changed.</param>
/// <returns>The newer one.</returns>
public delegate JsonNode Upcast(JsonNode document);

/// <summary>One kind of document: what it is called, which version is written, and how older ones are brought up.</summary>
public interface IDocumentKind
{
    /// <summary>What it is called, on disk and in the file of its schema.</summary>
    string Name { get; }

    /// <summary>The version that is written; 1 for the first.</summary>
    int Version { get; }

    /// <summary>What it is in memory.</summary>
    Type Type { get; }
}

/// <inheritdoc cref="IDocumentKind"/>
/// <typeparam name="T">What it is in memory.</typeparam>
/// <param name="name">What it is called.</param>
/// <param name="upcasts">From version 1 to 2, from 2 to 3, and so on; one for each older version.</param>
public sealed class DocumentKind<T>(string name, params Upcast[] upcasts) : IDocumentKind
    where T : class
{
    /// <inheritdoc/>
    public string Name => name;

    /// <inheritdoc/>
    public int Version => upcasts.Length + 1;

    /// <inheritdoc/>
    public Type Type => typeof(T);

    /// <summary>What must hold of it beyond its shape; a document that breaks it is one that cannot be read.</summary>
    public Func<T, bool> Holds { get; init; } = _ => true;

    /// <summary>The document in its envelope.</summary>
    public string Write(T document)
    {
        ArgumentNullException.ThrowIfNull(document);
        return new Envelope(Version, JsonSerializer.SerializeToNode(document, Json.Documents)!).Close();
    }

    /// <summary>A document of any version up to this one. What has no envelope was written before there were any: it is of
    /// version 1.</summary>
    /// <param name="text">As kept.</param>
    /// <param name="also">Brings up, after each version's own upcast, what only this place knows; for example what an event's
    /// bake says.</param>
    /// <returns>The document, or why it cannot be read.</returns>
    public Outcome<T> Read(string text, Func<int, JsonNode, JsonNode>? also = null)
    {
        ArgumentNullException.ThrowIfNull(text);
        try
        {
            var (version, document) = Envelope.Open(text);
            if (version > Version)
                return Unreadable("newer");
            var read = BroughtUp(document, version, also).Deserialize<T>(Json.Documents);
            return read is not null && Holds(read) ? read : Unreadable("impossible");
        }
        catch (Exception broken)
            when (broken
                    is JsonException
                        or InvalidOperationException
                        or NotSupportedException
                        or ArgumentException
                        or FormatException
                        or NullReferenceException
                        or OverflowException
            )
        {
            return Plain(broken);
        }
    }

    /// <summary>A document of an older version as this one has it.</summary>
    /// <param name="document">May be changed.</param>
    /// <param name="version">Its version.</param>
    /// <param name="also">As for <see cref="Read"/>.</param>
    internal JsonNode BroughtUp(JsonNode document, int version, Func<int, JsonNode, JsonNode>? also)
    {
        for (var from = version; from < Version; from++)
        {
            document = upcasts[from - 1](document);
            if (also is not null)
                document = also(from, document);
        }
        return document;
    }

    private static Problem Unreadable(string why) => new($"unreadable:{why}", "");

    // How the framework says that a thing is of a type it was not told of.
    private const string UnknownType = "type discriminator";

    private static Problem Plain(Exception broken) =>
        broken switch
        {
            JsonException when broken.Message.Contains(UnknownType, StringComparison.Ordinal) => Unreadable("unknown"),
            JsonException { Path: { Length: > 1 } path } => new("unreadable:damaged-at", "", path.TrimStart('$', '.')),
            NotSupportedException => Unreadable("unknown"),
            _ => Unreadable("damaged"),
        };
}
