// How warm the middle of a piece is in the oven, and what it should reach.
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Baking;

/// <summary>The middle of a piece in the oven.</summary>
public static class CoreHeat
{
    // Baking dough: kg/m³, W/m·K, J/kg·K; heat transfer to the air of an oven, still and with fan, W/m²K. Fitted.
    private const double Density = 300,
        Conductivity = .5,
        SpecificHeat = 2800,
        Still = 16,
        Fan = 19;

    // Above this the water that boils off holds the middle back, until a degree over the boiling point. Fitted.
    private const double FreeUpTo = 70,
        OverBoiling = 1;

    /// <summary>Dough as it goes into the oven.</summary>
    public static Temperature AtTheDoor { get; } = Temperature.FromCelsius(28);

    /// <summary>The middle of a piece so long after it went in.</summary>
    /// <param name="body">The piece.</param>
    /// <param name="air">The oven.</param>
    /// <param name="fan">With the fan.</param>
    /// <param name="inside">Time in the oven; 0 or more.</param>
    /// <param name="boils">Where water boils here.</param>
    public static Temperature At(HeatBody body, Temperature air, bool fan, TimeSpan inside, Temperature boils)
    {
        ArgumentNullException.ThrowIfNull(body);
        var transfer = body.Transfer ?? (fan ? Fan : Still);
        var diffusivity = Conductivity / (Density * SpecificHeat * body.Heaviness);
        var left = 1d;
        foreach (var part in body.Parts)
        {
            var metres = part.Size.Millimetres / 1000;
            left *= Conduction.Left(
                part.Body,
                transfer * metres / Conductivity,
                diffusivity * inside.TotalSeconds / (metres * metres)
            );
        }
        var v = air.Celsius + (AtTheDoor.Celsius - air.Celsius) * left;
        var top = boils.Celsius + OverBoiling;
        return Temperature.FromCelsius(v <= FreeUpTo ? v : top - (top - FreeUpTo) * Math.Exp(-(v - FreeUpTo) / (top - FreeUpTo)));
    }

    /// <summary>What the middle should reach: rich 90 °C, 93 in a tin; lean 96; never above the boiling point less 3 °C. Bakers'
    /// usage.</summary>
    public static Temperature Wanted(Formula formula, Family family, Temperature boils)
    {
        ArgumentNullException.ThrowIfNull(formula);
        ArgumentNullException.ThrowIfNull(family);
        var wanted =
            !formula.IsRich ? 96
            : family.Form is Form.Loaf or Form.Swirl ? 93
            : 90;
        return Temperature.FromCelsius(Math.Min(wanted, boils.Celsius - 3));
    }

    /// <summary>When the middle reaches a temperature; null when it does not within two hours.</summary>
    public static TimeSpan? TimeTo(HeatBody body, Temperature air, bool fan, Temperature wanted, Temperature boils)
    {
        var (low, high) = (TimeSpan.Zero, TimeSpan.FromHours(2));
        if (At(body, air, fan, high, boils) < wanted)
            return null;
        while (high - low > TimeSpan.FromSeconds(1))
        {
            var middle = (low + high) / 2;
            if (At(body, air, fan, middle, boils) < wanted)
                low = middle;
            else
                high = middle;
        }
        return high;
    }
}
