// How an oven really behaves: it heats at its rate, overshoots, cycles about its setting, and loses heat at the door.
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Baking;

/// <summary>The air in an oven.</summary>
public static class OvenHeat
{
    // Thermostats overshoot, then swing about the setting. °C and minutes. Fitted.
    private const double Overshoot = 9,
        Swing = 4,
        Period = 8,
        Settles = 6;

    // What opening the door costs, °C, and the minutes in which it is made good to 1/e. Bakers' usage.
    private const double DoorCosts = 15,
        DoorMinutes = 2;

    /// <summary>The air so long after switching on.</summary>
    /// <param name="oven">The oven.</param>
    /// <param name="room">Where it starts.</param>
    /// <param name="heat">Its setting.</param>
    /// <param name="on">Since it was switched on; 0 or more.</param>
    /// <param name="door">Since its door was last opened; null when it was not.</param>
    public static Temperature At(Oven oven, Temperature room, Temperature heat, TimeSpan on, TimeSpan? door = null)
    {
        ArgumentNullException.ThrowIfNull(oven);
        var reaches = Math.Max(0, heat.Celsius - room.Celsius) / oven.DegreesPerMinute;
        var minutes = on.TotalMinutes - reaches;
        var air =
            minutes < 0
                ? room.Celsius + oven.DegreesPerMinute * Math.Max(0, on.TotalMinutes)
                : heat.Celsius
                    + (Overshoot * Math.Exp(-minutes / Settles) + Swing * (1 - Math.Exp(-minutes / Settles)))
                        * Math.Sin(2 * Math.PI * minutes / Period);
        if (door is { } since && since >= TimeSpan.Zero)
            air -= DoorCosts * Math.Exp(-since.TotalMinutes / DoorMinutes);
        return Temperature.FromCelsius(Math.Max(room.Celsius, air));
    }
}
