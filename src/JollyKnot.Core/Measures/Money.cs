// What things cost. One household, one currency: the amount is all that is reckoned with.
using System.Text.Json.Serialization;

namespace JollyKnot.Core.Measures;

/// <summary>An amount of the household's money. Finite; may be negative where a difference is meant.</summary>
[JsonConverter(typeof(QuantityJsonConverter<Money>))]
public readonly record struct Money : IQuantity<Money>
{
    private Money(double amount) => Amount = amount;

    /// <summary>The amount in the household's currency.</summary>
    public double Amount { get; }

    /// <summary>Nothing.</summary>
    public static Money Zero => default;

    /// <summary>An amount of money.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not a finite number.</exception>
    public static Money Of(double amount) => new(Finite.Or(amount, nameof(amount)));

    double IQuantity<Money>.Value => Amount;
    static string IQuantity<Money>.Unit => "currency";

    static Money IQuantity<Money>.From(double value) => Of(value);

    /// <summary>Adds two amounts.</summary>
    public static Money operator +(Money a, Money b) => Of(a.Amount + b.Amount);

    /// <summary>The difference of two amounts.</summary>
    public static Money operator -(Money a, Money b) => Of(a.Amount - b.Amount);

    /// <summary>An amount so many times.</summary>
    public static Money operator *(Money a, double factor) => Of(a.Amount * factor);
}
