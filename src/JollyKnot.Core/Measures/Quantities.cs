// The quantities of the job. Each is its own type, so that grams cannot be added to degrees.
using System.Text.Json.Serialization;

namespace JollyKnot.Core.Measures;

/// <summary>A quantity kept as one finite number in its canonical unit (grams, degrees Celsius, millimetres, or a share of
/// one).</summary>
/// <typeparam name="TSelf">The quantity itself.</typeparam>
public interface IQuantity<TSelf>
    where TSelf : struct, IQuantity<TSelf>
{
    /// <summary>The number in the canonical unit.</summary>
    double Value { get; }

    /// <summary>The canonical unit's name, as the open formats write it.</summary>
    static abstract string Unit { get; }

    /// <summary>Makes the quantity from its canonical unit.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The number is not finite, or outside the quantity's range.</exception>
    static abstract TSelf From(double value);
}

/// <summary>A mass in grams. Finite; may be negative where a difference is meant.</summary>
[JsonConverter(typeof(QuantityJsonConverter<Mass>))]
public readonly record struct Mass : IQuantity<Mass>, IComparable<Mass>
{
    private Mass(double grams) => Grams = grams;

    /// <summary>So little that a spoon measures it better than most scales. Ours.</summary>
    public bool IsLittle => Grams < 15;

    /// <summary>The mass in grams.</summary>
    public double Grams { get; }

    /// <summary>No mass at all.</summary>
    public static Mass Zero => default;

    /// <summary>A mass from grams.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not a finite number.</exception>
    public static Mass FromGrams(double grams) => new(Finite.Or(grams, nameof(grams)));

    double IQuantity<Mass>.Value => Grams;
    static string IQuantity<Mass>.Unit => "grams";

    static Mass IQuantity<Mass>.From(double value) => FromGrams(value);

    /// <summary>The whole number of grams nearest to this mass, as a kitchen scale would show it.</summary>
    public int WholeGrams => (int)Math.Round(Grams, MidpointRounding.AwayFromZero);

    /// <inheritdoc/>
    public int CompareTo(Mass other) => Grams.CompareTo(other.Grams);

    /// <summary>Adds two masses.</summary>
    public static Mass operator +(Mass a, Mass b) => FromGrams(a.Grams + b.Grams);

    /// <summary>The difference of two masses; may be negative.</summary>
    public static Mass operator -(Mass a, Mass b) => FromGrams(a.Grams - b.Grams);

    /// <summary>A mass so many times.</summary>
    public static Mass operator *(Mass a, double factor) => FromGrams(a.Grams * factor);

    /// <summary>A mass in so many parts.</summary>
    public static Mass operator /(Mass a, double parts) => FromGrams(a.Grams / parts);

    /// <summary>How many times one mass is the other, as a plain ratio.</summary>
    public static double operator /(Mass a, Mass b) => a.Grams / b.Grams;

    /// <summary>Lighter than.</summary>
    public static bool operator <(Mass a, Mass b) => a.Grams < b.Grams;

    /// <summary>Heavier than.</summary>
    public static bool operator >(Mass a, Mass b) => a.Grams > b.Grams;

    /// <summary>Not heavier than.</summary>
    public static bool operator <=(Mass a, Mass b) => a.Grams <= b.Grams;

    /// <summary>Not lighter than.</summary>
    public static bool operator >=(Mass a, Mass b) => a.Grams >= b.Grams;
}

/// <summary>A temperature in degrees Celsius, not below absolute zero.</summary>
[JsonConverter(typeof(QuantityJsonConverter<Temperature>))]
public readonly record struct Temperature : IQuantity<Temperature>, IComparable<Temperature>
{
    private Temperature(double celsius) => Celsius = celsius;

    /// <summary>The temperature in degrees Celsius.</summary>
    public double Celsius { get; }

    /// <summary>A temperature from degrees Celsius.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not finite, or below −273.15.</exception>
    public static Temperature FromCelsius(double celsius)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(celsius, -273.15);
        return new(Finite.Or(celsius, nameof(celsius)));
    }

    /// <summary>The temperature in degrees Fahrenheit.</summary>
    public double Fahrenheit => Celsius * 9 / 5 + 32;

    /// <summary>A temperature from degrees Fahrenheit.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not finite, or below absolute zero.</exception>
    public static Temperature FromFahrenheit(double fahrenheit) => FromCelsius((fahrenheit - 32) * 5 / 9);

    double IQuantity<Temperature>.Value => Celsius;
    static string IQuantity<Temperature>.Unit => "celsius";

    static Temperature IQuantity<Temperature>.From(double value) => FromCelsius(value);

    /// <inheritdoc/>
    public int CompareTo(Temperature other) => Celsius.CompareTo(other.Celsius);

    /// <summary>Cooler than.</summary>
    public static bool operator <(Temperature a, Temperature b) => a.Celsius < b.Celsius;

    /// <summary>Warmer than.</summary>
    public static bool operator >(Temperature a, Temperature b) => a.Celsius > b.Celsius;

    /// <summary>Not warmer than.</summary>
    public static bool operator <=(Temperature a, Temperature b) => a.Celsius <= b.Celsius;

    /// <summary>Not cooler than.</summary>
    public static bool operator >=(Temperature a, Temperature b) => a.Celsius >= b.Celsius;
}

/// <summary>A length in millimetres, never negative.</summary>
[JsonConverter(typeof(QuantityJsonConverter<Length>))]
public readonly record struct Length : IQuantity<Length>, IComparable<Length>
{
    private Length(double millimetres) => Millimetres = millimetres;

    /// <summary>The length in millimetres.</summary>
    public double Millimetres { get; }

    /// <summary>A length from millimetres.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Negative or not finite.</exception>
    public static Length FromMillimetres(double millimetres)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(millimetres);
        return new(Finite.Or(millimetres, nameof(millimetres)));
    }

    /// <summary>So many times.</summary>
    public static Length operator *(Length a, double factor) => FromMillimetres(a.Millimetres * factor);

    /// <inheritdoc/>
    public int CompareTo(Length other) => Millimetres.CompareTo(other.Millimetres);

    /// <summary>More than.</summary>
    public static bool operator >(Length a, Length b) => a.Millimetres > b.Millimetres;

    /// <summary>Less than.</summary>
    public static bool operator <(Length a, Length b) => a.Millimetres < b.Millimetres;

    /// <summary>Not less than.</summary>
    public static bool operator >=(Length a, Length b) => a.Millimetres >= b.Millimetres;

    /// <summary>Not more than.</summary>
    public static bool operator <=(Length a, Length b) => a.Millimetres <= b.Millimetres;

    double IQuantity<Length>.Value => Millimetres;
    static string IQuantity<Length>.Unit => "millimetres";

    static Length IQuantity<Length>.From(double value) => FromMillimetres(value);
}

/// <summary>A share of something: 0.644 is 64.4 %. In baker's percentages the whole is the flour, so it may exceed 1.</summary>
[JsonConverter(typeof(QuantityJsonConverter<Share>))]
public readonly record struct Share : IQuantity<Share>, IComparable<Share>
{
    private Share(double fraction) => Fraction = fraction;

    /// <summary>The share as a fraction of one.</summary>
    public double Fraction { get; }

    /// <summary>The share in percent.</summary>
    public double Percent => Fraction * 100;

    /// <summary>A share from a fraction of one.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not finite.</exception>
    public static Share FromFraction(double fraction) => new(Finite.Or(fraction, nameof(fraction)));

    /// <summary>A share from percent.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not finite.</exception>
    public static Share FromPercent(double percent) => FromFraction(percent / 100);

    double IQuantity<Share>.Value => Fraction;
    static string IQuantity<Share>.Unit => "fraction";

    static Share IQuantity<Share>.From(double value) => FromFraction(value);

    /// <inheritdoc/>
    public int CompareTo(Share other) => Fraction.CompareTo(other.Fraction);

    /// <summary>Less than.</summary>
    public static bool operator <(Share a, Share b) => a.Fraction < b.Fraction;

    /// <summary>More than.</summary>
    public static bool operator >(Share a, Share b) => a.Fraction > b.Fraction;

    /// <summary>Not more than.</summary>
    public static bool operator <=(Share a, Share b) => a.Fraction <= b.Fraction;

    /// <summary>Not less than.</summary>
    public static bool operator >=(Share a, Share b) => a.Fraction >= b.Fraction;
}

/// <summary>A closed range, lowest to highest.</summary>
/// <typeparam name="T">What is measured.</typeparam>
/// <param name="From">The lowest value that belongs to the range.</param>
/// <param name="To">The highest value that belongs to the range.</param>
public readonly record struct Band<T>(T From, T To)
    where T : IComparable<T>
{
    /// <summary>Whether the value lies in the range, ends included.</summary>
    public bool Holds(T value) => value.CompareTo(From) >= 0 && value.CompareTo(To) <= 0;
}

internal static class Finite
{
    public static double Or(double value, string name) =>
        double.IsFinite(value) ? value : throw new ArgumentOutOfRangeException(name, value, "Must be a finite number.");
}
