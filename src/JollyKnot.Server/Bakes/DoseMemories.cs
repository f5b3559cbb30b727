using JollyKnot.Core.Doughs;
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
    public Task<DoseMemory> For(BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        return For(spec.Dough, spec.Made.Source?.Id);
    }

    /// <summary>What is remembered for a dough.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="id">Which it is in the book; null when it is in none.</param>
    public async Task<DoseMemory> For(Dough dough, Guid? id) =>
        DoseMemory.For(dough, id, clock.GetUtcNow(), (await book.Closed(Most)).Select(b => b.Bake.Lessons));
}
