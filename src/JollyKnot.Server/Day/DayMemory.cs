using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Store;

namespace JollyKnot.Server.Day;

/// <summary>One bake as it was: its plan, and what it was held to.</summary>
public sealed record BakeWas(Guid Id, BakePlan Plan, Arranged Held);

/// <summary>The day before it was last laid out anew.</summary>
/// <param name="Bakes">Every open bake of it; none when there is no day to go back to.</param>
/// <param name="Up">When somebody was up sooner.</param>
public sealed record DayWas(ImmutableArray<BakeWas> Bakes, ImmutableArray<DateTimeOffset> Up)
{
    /// <summary>No day to go back to.</summary>
    public static DayWas Nothing { get; } = new([], []);
}

/// <summary>Remembers the day before it was last laid out anew; also when the house was stopped in between.</summary>
public sealed class DayMemory(Settings settings)
{
    // 2: plans of version 2. There is no going back to a day of version 1. 3: plans of version 3.
    private static readonly DocumentKind<DayWas> Kept = new(
        "day-before",
        _ => Nothing(),
        InGroups,
        unchanged => unchanged,
        unchanged => unchanged,
        unchanged => unchanged,
        unchanged => unchanged,
        unchanged => unchanged
    );
    private DayWas? was;

    private static JsonNode Nothing() => JsonSerializer.SerializeToNode(DayWas.Nothing, Json.Documents)!;

    private static JsonNode InGroups(JsonNode day)
    {
        foreach (var bake in day["bakes"]!.AsArray())
            SpecInGroups.InPlan(bake!["plan"]!);
        return day;
    }

    /// <summary>The day to go back to.</summary>
    public async Task<DayWas> Get() => was ??= await settings.Get(Kept) ?? DayWas.Nothing;

    /// <summary>Keeps a day to go back to.</summary>
    public async Task Set(DayWas day)
    {
        was = day;
        await settings.Set(Kept, day);
    }
}
