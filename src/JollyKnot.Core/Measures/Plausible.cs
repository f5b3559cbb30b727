// A figure far from what is expected is another unit, or a digit too few: it is asked back, not refused.
namespace JollyKnot.Core.Measures;

/// <summary>What is believed of a mass that was typed.</summary>
/// <param name="From">Less is asked back.</param>
/// <param name="To">More is asked back.</param>
public sealed record Plausible(Mass From, Mass To)
{
    // An ounce is 28 times a gram; nobody weighs in less than two fifths, or more than two and a half times. Ours.
    private const double Least = .4,
        Most = 2.5;

    /// <summary>What is believed where so much is expected.</summary>
    /// <param name="expected">Expected; 0 or more.</param>
    public static Plausible Around(Mass expected) => new(expected * Least, expected * Most);
}

/// <summary>What is believed of a temperature that was typed.</summary>
/// <param name="From">Less is asked back.</param>
/// <param name="To">More is asked back.</param>
public sealed record PlausibleHeat(Temperature From, Temperature To)
{
    // A degree of the other scale typed for one of this is off by 20 or more at every place of a kitchen, and by 30 in bread
    // that is nearly done. Kelvin. Ours.
    private const double AtPlace = 15,
        InBread = 30;

    // No probe reads more. What is over boiling is refused, with its reason.
    private static readonly Temperature Hottest = Temperature.FromCelsius(300);

    /// <summary>What is believed where dough stands.</summary>
    /// <param name="expected">As reckoned or measured before.</param>
    public static PlausibleHeat AtAPlace(Temperature expected) => Around(expected, AtPlace);

    /// <summary>What is believed of the middle of bread in the oven.</summary>
    /// <param name="expected">As reckoned.</param>
    public static PlausibleHeat InTheMiddle(Temperature expected) => Around(expected, InBread) with { To = Hottest };

    private static PlausibleHeat Around(Temperature expected, double off) =>
        new(Temperature.FromCelsius(expected.Celsius - off), Temperature.FromCelsius(expected.Celsius + off));
}
