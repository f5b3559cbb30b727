// An oven as far as planning needs it: what its dial allows and how long it takes to be hot.
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Baking;

/// <summary>The marks on an oven's dial.</summary>
public enum DialMarks
{
    /// <summary>Every 5 °C.</summary>
    Celsius5,

    /// <summary>Every 5 °F.</summary>
    Fahrenheit5,

    /// <summary>Every 25 °F.</summary>
    Fahrenheit25,
}

/// <summary>An oven.</summary>
/// <param name="Id">Stable name in the kitchen.</param>
/// <param name="Name">As the household calls it.</param>
/// <param name="Dial">Lowest and highest setting.</param>
/// <param name="DegreesPerMinute">How fast it heats; over 0.</param>
/// <param name="CoolsPerMinute">How fast it cools shut, °C/min; over 0.</param>
/// <param name="Racks">Trays it bakes at once; at least 1.</param>
/// <param name="Wide">Inner width, which a tray must not exceed; null takes any.</param>
/// <param name="Deep">Inner depth; null takes any.</param>
/// <param name="Fan">The dial is used with the fan on: the same bread wants it lower.</param>
/// <param name="Marks">The marks on its dial.</param>
public sealed record Oven(
    string Id,
    string Name,
    Band<Temperature> Dial,
    double DegreesPerMinute,
    double CoolsPerMinute = 4,
    int Racks = 1,
    bool Fan = false,
    Length? Wide = null,
    Length? Deep = null,
    DialMarks Marks = DialMarks.Celsius5
)
{
    /// <summary>How much lower the dial stands with the fan for the same minutes, °C. Bakers' usage.</summary>
    public const double FanLowers = 15;

    /// <summary>Until a stone is as hot as the air. Bakers' usage.</summary>
    public static TimeSpan StoneHeats { get; } = TimeSpan.FromMinutes(15);

    /// <summary>The dial's step, in its own degrees.</summary>
    public double DialStep => Marks == DialMarks.Fahrenheit25 ? 25 : 5;

    /// <summary>The mark nearest to a temperature, on the dial.</summary>
    public Temperature Nearest(Temperature heat)
    {
        if (Marks == DialMarks.Celsius5)
            return Kept(Temperature.FromCelsius(Math.Round(heat.Celsius / DialStep) * DialStep));
        return Kept(Temperature.FromFahrenheit(Math.Round(heat.Fahrenheit / DialStep) * DialStep));
        Temperature Kept(Temperature mark) =>
            mark > Dial.To ? Dial.To
            : mark < Dial.From ? Dial.From
            : mark;
    }

    /// <summary>Whether a tray or tin goes in, either way round.</summary>
    public bool Holds(Tin tin)
    {
        ArgumentNullException.ThrowIfNull(tin);
        bool Goes(Length a, Length b) => !(a.Millimetres > Wide?.Millimetres) && !(b.Millimetres > Deep?.Millimetres);
        return Goes(tin.Length, tin.Width) || Goes(tin.Width, tin.Length);
    }

    /// <summary>Racks left for bread: what makes steam takes one, where there are several.</summary>
    /// <param name="steamed">A steam tray or stones stand in it.</param>
    public int RacksBeside(bool steamed) => steamed ? Math.Max(1, Racks - 1) : Racks;

    /// <summary>From one temperature to another with the oven empty: heating and settling, or cooling with the door
    /// ajar.</summary>
    public TimeSpan Change(Temperature from, Temperature to) =>
        to == from ? TimeSpan.Zero
        : to > from ? TimeSpan.FromMinutes((to.Celsius - from.Celsius) / DegreesPerMinute) + Settling / 2
        : TimeSpan.FromMinutes((from.Celsius - to.Celsius) / AjarPerMinute);

    // Cooling with the door ajar, °C/min. Bakers' usage.
    private const double AjarPerMinute = 9;

    /// <summary>After the dial is reached the walls are still catching up. Bakers' usage.</summary>
    public static TimeSpan Settling { get; } = TimeSpan.FromMinutes(5);

    /// <summary>From switching on in a room this warm to being ready to load.</summary>
    /// <param name="heat">What it is set to.</param>
    /// <param name="room">The kitchen.</param>
    /// <param name="stone">With a stone that has to be hot too.</param>
    public TimeSpan Preheat(Temperature heat, Temperature room, bool stone = false) =>
        TimeSpan.FromMinutes(Math.Max(0, heat.Celsius - room.Celsius) / DegreesPerMinute)
        + Settling
        + (stone ? StoneHeats : TimeSpan.Zero);

    /// <summary>Refuses a temperature the dial does not have.</summary>
    /// <returns>Null when the dial has it.</returns>
    public Problem? Refuses(Temperature heat) => Dial.Holds(heat) ? null : new("off-the-dial", "heat", Name, Dial.From, Dial.To);
}
