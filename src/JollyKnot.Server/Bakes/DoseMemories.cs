using JollyKnot.Core.Learning;
using JollyKnot.Core.Plans;
using JollyKnot.Server.Clock;
using JollyKnot.Store;

namespace JollyKnot.Server.Bakes;

/// <summary>What past checks say of a bake to come.</summary>
public sealed class DoseMemories(BakeBook book, HouseClock clock)
{
    // Older bakes than these say nothing of today's flour.
    private const int Most = 100;

    /// <summary>What is remembered for a bake.</summary>
    public async Task<DoseMemory> For(BakeSpec spec) =>
        DoseMemory.For(spec, clock.GetUtcNow(), (await book.Closed(Most)).Select(b => b.Bake.Lessons));
}
