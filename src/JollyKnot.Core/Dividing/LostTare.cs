// A scale that fell asleep forgets what was tared. Bowls and pans weighed empty once put it right.
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Dividing;

/// <summary>Something that may stand on the scale untared.</summary>
/// <param name="Name">As the household calls it.</param>
/// <param name="Mass">What it weighs; over 0.</param>
public sealed record Ballast(string Name, Mass Mass);

/// <summary>A reading explained.</summary>
/// <param name="Ballast">What lies under it.</param>
/// <param name="Net">What is left without it.</param>
public sealed record LostTare(Ballast Ballast, Mass Net)
{
    // As near as this the reading, or what is left of it, is what was expected. Ours.
    private const double Near = .2;

    /// <summary>What explains a reading that is far over what was expected; null when nothing does, or nothing needs
    /// to.</summary>
    /// <param name="reading">What the scale shows.</param>
    /// <param name="expected">What was to be weighed; over 0.</param>
    /// <param name="known">What may stand there.</param>
    public static LostTare? Explain(Mass reading, Mass expected, IEnumerable<Ballast> known)
    {
        ArgumentNullException.ThrowIfNull(known);
        double Off(Mass mass) => Math.Abs(mass / expected - 1);
        if (expected <= Mass.Zero || reading <= expected || Off(reading) <= Near)
            return null;
        return known.Select(b => new LostTare(b, reading - b.Mass)).Where(l => Off(l.Net) <= Near).MinBy(l => Off(l.Net));
    }
}
