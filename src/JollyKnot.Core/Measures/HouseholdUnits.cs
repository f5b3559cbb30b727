// The units a household reads. Inside, everything stays in grams, degrees Celsius and millimetres.
namespace JollyKnot.Core.Measures;

/// <summary>How masses are shown.</summary>
public enum MassUnit
{
    /// <summary>Grams.</summary>
    Grams,

    /// <summary>Ounces of 28.35 g.</summary>
    Ounces,
}

/// <summary>How temperatures are shown.</summary>
public enum TemperatureUnit
{
    /// <summary>Degrees Celsius.</summary>
    Celsius,

    /// <summary>Degrees Fahrenheit.</summary>
    Fahrenheit,
}

/// <summary>How lengths are shown.</summary>
public enum LengthUnit
{
    /// <summary>Millimetres and centimetres.</summary>
    Metric,

    /// <summary>Inches.</summary>
    Inches,
}

/// <summary>How times of day are shown.</summary>
public enum ClockFace
{
    /// <summary>00:00 to 23:59.</summary>
    TwentyFour,

    /// <summary>With am and pm.</summary>
    Twelve,
}

/// <summary>What the household reads; mixed if it likes.</summary>
public sealed record HouseholdUnits(
    MassUnit Mass = MassUnit.Grams,
    TemperatureUnit Temperature = TemperatureUnit.Celsius,
    LengthUnit Length = LengthUnit.Metric,
    ClockFace Clock = ClockFace.TwentyFour
)
{
    /// <summary>Grams, Celsius, centimetres.</summary>
    public static HouseholdUnits Plain { get; } = new();
}
