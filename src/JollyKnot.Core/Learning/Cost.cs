// What a bake costs, against the shop; and when the machine has paid for itself.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Learning;

/// <summary>One row's cost.</summary>
/// <param name="Ingredient">What.</param>
/// <param name="Cost">Its cost; null where no pack's price is known.</param>
public sealed record RowCost(string Ingredient, Money? Cost);

/// <summary>What a batch costs.</summary>
/// <param name="Rows">Every row of dough and parts.</param>
/// <param name="Ingredients">Of the rows whose price is known.</param>
/// <param name="Energy">Electricity used.</param>
/// <param name="EnergyCost">What that costs.</param>
/// <param name="Batch">All of it.</param>
/// <param name="Each">One piece.</param>
/// <param name="Saved">Against the shop, the whole batch; null where the shop's price is not known.</param>
/// <param name="PaidBackAfter">Bakes like this until the machine is paid for; null where something is not known, or nothing is
/// saved.</param>
public sealed record Cost(
    ImmutableArray<RowCost> Rows,
    Money Ingredients,
    Energy Energy,
    Money EnergyCost,
    Money Batch,
    Money Each,
    Money? Saved,
    int? PaidBackAfter
)
{
    /// <summary>A dough cycle. Measured by bakers with a plug meter.</summary>
    public static Energy Cycle { get; } = Energy.FromKilowattHours(.12);

    /// <summary>Heating an oven. The same.</summary>
    public static Energy Preheat { get; } = Energy.FromKilowattHours(.5);

    // An oven kept hot, and a griddle, kWh an hour. The same.
    private const double HotOven = .9,
        HotGriddle = 1.0;

    /// <summary>Reckons a batch.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="pieces">How many it makes; at least 1.</param>
    /// <param name="baking">How long the oven is hot.</param>
    /// <param name="onGriddle">It is baked on a griddle, and no oven is heated.</param>
    /// <param name="byMachine">A machine makes the dough.</param>
    /// <param name="pantry">With the prices of packs.</param>
    /// <param name="perKilowattHour">Electricity.</param>
    /// <param name="shop">What the shop asks for one like it; null when not known.</param>
    /// <param name="machine">What the machine cost; null when not known.</param>
    public static Cost Of(
        Dough dough,
        int pieces,
        TimeSpan baking,
        bool onGriddle,
        bool byMachine,
        HouseholdPantry pantry,
        Money perKilowattHour,
        Money? shop,
        Money? machine
    )
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(pantry);
        ArgumentOutOfRangeException.ThrowIfLessThan(pieces, 1);
        ImmutableArray<RowCost> rows =
        [
            .. dough.Everything.Select(r => new RowCost(
                r.Ingredient.Name,
                r.Ingredient.Name == "water" ? Money.Zero
                    : pantry.Prices.TryGetValue(r.Ingredient.Like ?? r.Ingredient.Name, out var price) ? price.Of(r.Mass)
                    : null
            )),
        ];
        var ingredients = rows.Aggregate(Money.Zero, (sum, r) => sum + (r.Cost ?? Money.Zero));
        var heating = onGriddle
            ? Energy.FromKilowattHours(HotGriddle * baking.TotalHours)
            : Preheat + Energy.FromKilowattHours(HotOven * baking.TotalHours);
        var energy = heating + (byMachine ? Cycle : default);
        var forEnergy = perKilowattHour * energy.KilowattHours;
        var batch = ingredients + forEnergy;
        var saved = shop is { } s ? s * pieces - batch : (Money?)null;
        return new(
            rows,
            ingredients,
            energy,
            forEnergy,
            batch,
            batch * (1d / pieces),
            saved,
            saved is { Amount: > 0 } each && machine is { Amount: > 0 } price2 && byMachine
                ? (int)Math.Min(100_000, Math.Ceiling(price2.Amount / each.Amount))
                : null
        );
    }
}
