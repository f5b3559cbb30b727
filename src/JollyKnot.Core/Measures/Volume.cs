// Volume: recipes speak of cups and spoons, a kitchen weighs.
using System.Text.Json.Serialization;

namespace JollyKnot.Core.Measures;

/// <summary>A volume in millilitres, never negative.</summary>
[JsonConverter(typeof(QuantityJsonConverter<Volume>))]
public readonly record struct Volume : IQuantity<Volume>, IComparable<Volume>
{
    private Volume(double millilitres) => Millilitres = millilitres;

    /// <summary>The volume in millilitres.</summary>
    public double Millilitres { get; }

    /// <summary>The same in litres.</summary>
    public double Litres => Millilitres / 1000;

    /// <summary>A volume from millilitres.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Negative or not finite.</exception>
    public static Volume FromMillilitres(double millilitres)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(millilitres);
        return new(Finite.Or(millilitres, nameof(millilitres)));
    }

    /// <inheritdoc/>
    public int CompareTo(Volume other) => Millilitres.CompareTo(other.Millilitres);

    /// <summary>More than.</summary>
    public static bool operator >(Volume a, Volume b) => a.Millilitres > b.Millilitres;

    /// <summary>Less than.</summary>
    public static bool operator <(Volume a, Volume b) => a.Millilitres < b.Millilitres;

    /// <summary>Not less than.</summary>
    public static bool operator >=(Volume a, Volume b) => a.Millilitres >= b.Millilitres;

    /// <summary>Not more than.</summary>
    public static bool operator <=(Volume a, Volume b) => a.Millilitres <= b.Millilitres;

    double IQuantity<Volume>.Value => Millilitres;
    static string IQuantity<Volume>.Unit => "millilitres";

    static Volume IQuantity<Volume>.From(double value) => FromMillilitres(value);

    /// <summary>A volume so many times.</summary>
    public static Volume operator *(Volume a, double factor) => FromMillilitres(a.Millilitres * factor);

    /// <summary>How many times one volume is the other, as a plain ratio.</summary>
    public static double operator /(Volume a, Volume b) => a.Millilitres / b.Millilitres;
}
