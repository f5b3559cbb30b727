// What heat takes: energy, and power over time.
using System.Text.Json.Serialization;

namespace JollyKnot.Core.Measures;

/// <summary>Energy in kilowatt-hours, never negative.</summary>
[JsonConverter(typeof(QuantityJsonConverter<Energy>))]
public readonly record struct Energy : IQuantity<Energy>
{
    private Energy(double kilowattHours) => KilowattHours = kilowattHours;

    /// <summary>The energy in kilowatt-hours.</summary>
    public double KilowattHours { get; }

    /// <summary>Energy from kilowatt-hours.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Negative or not finite.</exception>
    public static Energy FromKilowattHours(double kilowattHours)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(kilowattHours);
        return new(Finite.Or(kilowattHours, nameof(kilowattHours)));
    }

    double IQuantity<Energy>.Value => KilowattHours;
    static string IQuantity<Energy>.Unit => "kilowatt-hours";

    static Energy IQuantity<Energy>.From(double value) => FromKilowattHours(value);

    /// <summary>Adds energies.</summary>
    public static Energy operator +(Energy a, Energy b) => FromKilowattHours(a.KilowattHours + b.KilowattHours);
}

/// <summary>Power in watts, over 0.</summary>
[JsonConverter(typeof(QuantityJsonConverter<Power>))]
public readonly record struct Power : IQuantity<Power>, IComparable<Power>
{
    private Power(double watts) => Watts = watts;

    /// <summary>The power in watts.</summary>
    public double Watts { get; }

    /// <summary>Power from watts.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not over 0, or not finite.</exception>
    public static Power FromWatts(double watts)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(watts);
        return new(Finite.Or(watts, nameof(watts)));
    }

    /// <inheritdoc/>
    public int CompareTo(Power other) => Watts.CompareTo(other.Watts);

    /// <summary>More than.</summary>
    public static bool operator >(Power a, Power b) => a.Watts > b.Watts;

    /// <summary>Less than.</summary>
    public static bool operator <(Power a, Power b) => a.Watts < b.Watts;

    /// <summary>Not less than.</summary>
    public static bool operator >=(Power a, Power b) => a.Watts >= b.Watts;

    /// <summary>Not more than.</summary>
    public static bool operator <=(Power a, Power b) => a.Watts <= b.Watts;

    double IQuantity<Power>.Value => Watts;
    static string IQuantity<Power>.Unit => "watts";

    static Power IQuantity<Power>.From(double value) => FromWatts(value);
}
