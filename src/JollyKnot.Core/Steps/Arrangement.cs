// What the day holds one bake to, so that bakes do not get in one another's way.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Steps;

/// <summary>What one bake is held to.</summary>
/// <param name="NotBefore">Steps with the time they are held to.</param>
/// <param name="HotFrom">Ovens, by id, that another bake has heated before: to what.</param>
public sealed record Arrangement(
    ImmutableDictionary<StepId, DateTimeOffset> NotBefore,
    ImmutableDictionary<string, Temperature> HotFrom
)
{
    /// <summary>Steps the baker wants at a time of their own.</summary>
    public ImmutableDictionary<StepId, DateTimeOffset> Pins { get; init; } = ImmutableDictionary<StepId, DateTimeOffset>.Empty;

    /// <summary>Stretches cut short: each ends then, if it may.</summary>
    public ImmutableDictionary<StepId, DateTimeOffset> Until { get; init; } = ImmutableDictionary<StepId, DateTimeOffset>.Empty;

    /// <summary>Ovens, by id, that another bake has left warm for dough: they need not be made so.</summary>
    public ImmutableHashSet<string> StillWarm { get; init; } = [];

    /// <summary>Held to nothing.</summary>
    public static Arrangement Free { get; } =
        new(ImmutableDictionary<StepId, DateTimeOffset>.Empty, ImmutableDictionary<string, Temperature>.Empty);
}
