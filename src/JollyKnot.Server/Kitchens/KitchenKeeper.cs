using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Server.Words;
using JollyKnot.Store;

namespace JollyKnot.Server.Kitchens;

/// <summary>The household's kitchen: kept in the store, a plain one until somebody enters theirs.</summary>
public sealed class KitchenKeeper(Settings settings)
{
    // 2: its places say how they are made warm. 3: its ring.
    private static readonly DocumentKind<Kitchen> Kept = new("kitchen", unchanged => unchanged, unchanged => unchanged)
    {
        Holds = kitchen => !kitchen.Ovens.IsDefaultOrEmpty && kitchen.Pot is not null,
    };
    private Kitchen? kept;

    /// <summary>The words in this kitchen's units.</summary>
    public Voice Voice { get; private set; } = new(HouseholdUnits.Plain);

    /// <summary>The kitchen.</summary>
    public async Task<Kitchen> Get() => kept ?? Remember(await settings.Get(Kept) ?? Plain);

    /// <summary>Keeps a kitchen.</summary>
    public async Task Set(Kitchen kitchen)
    {
        await settings.Set(Kept, kitchen);
        Remember(kitchen);
    }

    private Kitchen Remember(Kitchen kitchen)
    {
        Voice = new(kitchen.Units ?? HouseholdUnits.Plain);
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
