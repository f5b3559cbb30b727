// What the day holds one bake to, so that bakes do not get in one another's way.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Steps;

/// <summary>What one bake is held to.</summary>
/// <param name="NotBefore">Steps with the time they are held to.</param>
/// <param name="HotFrom">Ovens, by id, that another bake has heated before: to what.</param>
public sealed record Arrangement(ImmutableDictionary<string, DateTimeOffset> NotBefore, ImmutableDictionary<string, Temperature> HotFrom)
{
    /// <summary>Steps the baker wants at a time of their own.</summary>
    public ImmutableDictionary<string, DateTimeOffset> Pins { get; init; } = ImmutableDictionary<string, DateTimeOffset>.Empty;

    /// <summary>Stretches cut short: each ends then, if it may.</summary>
    public ImmutableDictionary<string, DateTimeOffset> Until { get; init; } = ImmutableDictionary<string, DateTimeOffset>.Empty;

    /// <summary>Held to nothing.</summary>
    public static Arrangement Free { get; } = new(ImmutableDictionary<string, DateTimeOffset>.Empty, ImmutableDictionary<string, Temperature>.Empty);
}
