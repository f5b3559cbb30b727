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
