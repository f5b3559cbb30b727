using System.Collections.Concurrent;
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Store;

/// <summary>Something kept that this version cannot read. It stays as it is, and nothing else waits for it.</summary>
/// <param name="Kind">What sort of document.</param>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called, as far as that can be told.</param>
/// <param name="Why">Why it cannot be read.</param>
public sealed record Unread(string Kind, string Id, string Name, Problem Why);

/// <summary>Everything that was met so far and could not be read.</summary>
public sealed class SetAside
{
    private readonly ConcurrentDictionary<(string Kind, string Id), Unread> met = new();

    /// <summary>All of it, in order of kind and name.</summary>
    public ImmutableArray<Unread> All =>
        [.. met.Values.OrderBy(u => u.Kind, StringComparer.Ordinal).ThenBy(u => u.Name, StringComparer.Ordinal)];

    internal void Add(Unread unread) => met[(unread.Kind, unread.Id)] = unread;

    internal void Remove(string kind, string id) => met.TryRemove((kind, id), out _);
}
