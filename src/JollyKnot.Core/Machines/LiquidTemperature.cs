// How warm the liquid must be, so that the dough comes out of kneading as warm as it should.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Machines;

/// <summary>How warm things are.</summary>
/// <param name="Room">The kitchen, and whatever is not from the fridge.</param>
/// <param name="Fridge">The fridge.</param>
/// <param name="FromFridge">Names of ingredients that come straight from it.</param>
/// <param name="Wanted">The dough after kneading.</param>
/// <param name="ColdPan">A metal pan from a cold place, which takes its share.</param>
public sealed record LoadConditions(
    Temperature Room,
    Temperature Fridge,
    ImmutableArray<string> FromFridge,
    Temperature? Wanted = null,
    bool ColdPan = false
);

/// <summary>The liquid's temperature.</summary>
/// <param name="Liquid">Warm the liquids to this.</param>
/// <param name="IsLimited">The balance wanted more or less than the yeast, the machine or the liquid's own freezing
/// allows.</param>
/// <param name="Dough">The dough after kneading with the liquid at this temperature.</param>
/// <param name="Liquids">How much of it there is.</param>
/// <param name="Boiling">Of the liquids, so much boiling water with the rest cold, where water is among them; null where it does
/// not reach.</param>
/// <param name="MicrowaveTime">Warming it from where it is in this kitchen's microwave; zero when it need not be warmed.</param>
public sealed record LiquidTemperature(
    Temperature Liquid,
    bool IsLimited,
    Temperature Dough,
    Mass Liquids,
    Mass? Boiling,
    TimeSpan MicrowaveTime
)
{
    /// <summary>A dough after kneading. Bakers' usage.</summary>
    public static Temperature UsualDough { get; } = Temperature.FromCelsius(27);

    /// <summary>Doughs that can be wished for. Ours, wide of what bakers want.</summary>
    public static Band<Temperature> Doughs { get; } = new(Temperature.FromCelsius(10), Temperature.FromCelsius(38));

    /// <summary>Liquid for yeast bloomed first. Bakers' usage.</summary>
    public static Band<Temperature> Bloom { get; } = new(Temperature.FromCelsius(38), Temperature.FromCelsius(43));

    /// <summary>Liquid for machines that warm by themselves. After the makers' manuals.</summary>
    public static Band<Temperature> ForWarmingMachines { get; } = new(Temperature.FromCelsius(21), Temperature.FromCelsius(27));

    /// <summary>Liquid on bare yeast: hotter kills it. Cardinal temperatures of baker's yeast.</summary>
    public static Temperature OnYeast { get; } = Temperature.FromCelsius(46);

    /// <summary>Liquid anywhere in the pan: hotter kills the yeast it finds.</summary>
    public static Temperature Anywhere { get; } = Temperature.FromCelsius(54);

    /// <summary>Liquid that scalds and is refused.</summary>
    public static Temperature Refused { get; } = Temperature.FromCelsius(60);

    // Yeast keeps in the fridge. Specific heat of water kJ/kg·K. Of a cold pan: what it takes off the dough, °C. Fitted.
    private const double YeastCelsius = 5,
        Water = 4.18,
        PanTakes = 3,
        Coolest = 2;

    // Part of a microwave's rated power that reaches the liquid. Fitted.
    private const double MicrowaveEfficiency = .75;

    /// <summary>Balances heat over everything that goes in at the start; yeast is taken from the fridge.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="machine">The machine, whose kneading warms the dough.</param>
    /// <param name="conditions">How warm things are.</param>
    /// <param name="microwave">The microwave's rated power.</param>
    /// <param name="boils">Where water boils here.</param>
    /// <returns>Null when the dough has nothing to pour.</returns>
    public static LiquidTemperature? Of(
        Dough dough,
        Machine machine,
        LoadConditions conditions,
        Power microwave,
        Temperature boils
    )
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(machine);
        ArgumentNullException.ThrowIfNull(conditions);
        var rows = dough.Rows.Where(r => !r.AtBeep).ToList();
        bool IsLiquid(DoughRow r) => r.Ingredient is { Role: Role.Liquid };
        double Celsius(DoughRow r) =>
            r.Ingredient.Role == Role.Yeast ? YeastCelsius
            : conditions.FromFridge.Contains(r.Ingredient.Name) ? conditions.Fridge.Celsius
            : conditions.Room.Celsius;
        double Capacity(DoughRow r) => r.Mass.Grams * r.Ingredient.HeatCapacity;

        var liquid = rows.Where(IsLiquid).Sum(Capacity);
        if (liquid <= 0)
            return null;
        var kneading = machine.KneadingWarms + (conditions.ColdPan ? -PanTakes : 0);
        var wanted = (conditions.Wanted ?? UsualDough).Celsius - kneading;
        var rest = rows.Where(r => !IsLiquid(r)).ToList();
        var balanced = wanted + rest.Sum(r => Capacity(r) * (wanted - Celsius(r))) / liquid;

        // A machine that warms first needs none of it; and no liquid may hurt the yeast.
        var limits = machine.Warms ? ForWarmingMachines : new(Temperature.FromCelsius(Coolest), OnYeast);
        var celsius = Math.Clamp(balanced, limits.From.Celsius, limits.To.Celsius);
        var mixed = (liquid * celsius + rest.Sum(r => Capacity(r) * Celsius(r))) / (liquid + rest.Sum(Capacity));
        var liquids = rows.Where(IsLiquid).ToList();
        var mass = liquids.Aggregate(Mass.Zero, (sum, r) => sum + r.Mass);
        var start = liquids.Sum(r => Capacity(r) * Celsius(r)) / liquid;
        var heat = liquid * Math.Max(0, celsius - start);
        var boiling = heat / (Water * (boils.Celsius - start));
        var water = liquids.Where(r => r.Ingredient.Water >= 1).Sum(r => r.Mass.Grams);
        return new(
            Temperature.FromCelsius(celsius),
            Math.Abs(celsius - balanced) > .5,
            Temperature.FromCelsius(machine.Warms ? (conditions.Wanted ?? UsualDough).Celsius : mixed + kneading),
            mass,
            boiling > 0 && boiling <= water ? Mass.FromGrams(boiling) : null,
            TimeSpan.FromSeconds(heat / (microwave.Watts * MicrowaveEfficiency))
        );
    }

    /// <summary>What stands against liquid this warm.</summary>
    /// <param name="liquid">Its temperature.</param>
    /// <param name="onBareYeast">It touches the yeast before the flour.</param>
    /// <returns>Null when nothing does; a problem of code <c>refused</c> must stop the baker, <c>hot-liquid</c> warn.</returns>
    public static Problem? Refuses(Temperature liquid, bool onBareYeast) =>
        liquid > Refused ? new("refused", "liquid", Refused)
        : liquid > Anywhere || (onBareYeast && liquid > OnYeast) ? new("hot-liquid", "liquid", onBareYeast ? OnYeast : Anywhere)
        : null;
}
