using System.Collections.Immutable;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Server.Words;
using JollyKnot.Store;

namespace JollyKnot.Server.Kitchens;

/// <summary>The household's kitchen: kept in the store, a plain one until somebody enters theirs.</summary>
public sealed class KitchenKeeper(Settings settings) : IDisposable
{
    // 2: its places say how they are made warm. 3: its ring. 4: its clock, and what was learned and is to be forgotten. 5: its
    // time zone.
    private static readonly DocumentKind<Kitchen> Kept = new(
        "kitchen",
        unchanged => unchanged,
        unchanged => unchanged,
        unchanged => unchanged,
        unchanged => unchanged
    )
    {
        Holds = kitchen => !kitchen.Ovens.IsDefaultOrEmpty && kitchen.Pot is not null,
    };
    private readonly SemaphoreSlim writing = new(1);
    private Kitchen? kept;

    /// <summary>The words in this kitchen's units.</summary>
    public Voice Voice { get; private set; } = new(HouseholdUnits.Plain);

    /// <summary>Where this kitchen's clock hangs.</summary>
    public TimeZoneInfo Zone { get; private set; } = TimeZoneInfo.Local;

    /// <summary>Writes and reads a plain kitchen once: how that goes need not be found out while somebody waits.</summary>
    public static void Rehearse() => Kept.Read(Kept.Write(Plain));

    /// <summary>The kitchen.</summary>
    public async Task<Kitchen> Get() => kept ?? Remember(await settings.Get(Kept) ?? Plain);

    /// <summary>Keeps a kitchen.</summary>
    public Task Set(Kitchen kitchen) => Change(_ => kitchen);

    /// <summary>Changes the kitchen as it is by then: of two changes at once none undoes the other.</summary>
    /// <param name="to">The change.</param>
    /// <param name="wrong">What speaks against a kitchen; null takes any.</param>
    /// <returns>What speaks against it; empty when it was kept.</returns>
    public async Task<ImmutableArray<Problem>> Change(
        Func<Kitchen, Kitchen> to,
        Func<Kitchen, ImmutableArray<Problem>>? wrong = null
    )
    {
        ArgumentNullException.ThrowIfNull(to);
        await writing.WaitAsync();
        try
        {
            var changed = to(await Get());
            if (wrong?.Invoke(changed) is { Length: > 0 } problems)
                return problems;
            changed = changed.Composed();
            await settings.Set(Kept, changed);
            Remember(changed);
            return [];
        }
        finally
        {
            writing.Release();
        }
    }

    /// <inheritdoc/>
    public void Dispose() => writing.Dispose();

    private Kitchen Remember(Kitchen kitchen)
    {
        Voice = new(kitchen.Units ?? HouseholdUnits.Plain);
        Zone = kitchen.ZoneOr(TimeZoneInfo.Local);
        return kept = kitchen;
    }

    private static Kitchen Plain { get; } =
        new(
            "Our kitchen",
            Temperature.FromCelsius(20),
            [
                new(
                    "machine",
                    "Bread machine",
                    Mass.FromGrams(560),
                    Mass.FromGrams(1000),
                    "dough",
                    [new(PhaseKind.Knead, TimeSpan.FromMinutes(25)), new(PhaseKind.Rise, TimeSpan.FromMinutes(60))],
                    Display.Countdown,
                    LoadOrder.LiquidsFirst,
                    TimeSpan.FromMinutes(18)
                ),
            ],
            [new("oven", "Oven", new(Temperature.FromCelsius(50), Temperature.FromCelsius(275)), 10)],
            new("pot", "Wide pot", Length.FromMillimetres(260), 2.5)
        );
}
