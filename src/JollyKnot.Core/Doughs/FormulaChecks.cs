// Whether a formula is out of the ordinary: which figure, why it matters, and a fix.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Doughs;

/// <summary>Checks of a formula against what bakers find normal. Advice, never a refusal.</summary>
public static class FormulaChecks
{
    /// <summary>Salt that tastes right and lets yeast work, share of flour. Bakers' usage.</summary>
    public static Band<Share> Salt { get; } = new(Share.FromPercent(1.4), Share.FromPercent(2.5));

    /// <summary>Yeast (as instant) that fits a dough cycle, share of flour. Bakers' usage.</summary>
    public static Band<Share> Yeast { get; } = new(Share.FromPercent(.4), Share.FromPercent(2.5));

    /// <summary>Sugar from which ordinary yeast slows, share of flour. Bakers' usage.</summary>
    public static Share SugarForOrdinaryYeast { get; } = Share.FromPercent(12);

    /// <summary>What is out of the ordinary in this formula; empty when nothing is.</summary>
    /// <param name="formula">The formula.</param>
    /// <param name="hydrationBand">The working hydration the wanted shape likes, when a shape is chosen.</param>
    /// <param name="byHand">It rises as long as it takes, in a bowl.</param>
    public static ImmutableArray<Problem> Of(Formula formula, Band<Share>? hydrationBand = null, bool byHand = false)
    {
        ArgumentNullException.ThrowIfNull(formula);
        var found = new ProblemList();
        found.Add(Outside(formula, formula.Salt, Salt, "salt"));
        if (formula.Yeast.Fraction > NoYeast)
            found.Add(Outside(formula, formula.Yeast, Yeast, "yeast"));
        else if (!byHand && formula.Starter.Fraction > 0 && formula.Leaven.Fraction > NoYeast)
            found.Add(new Problem("starter-only", "yeast"));
        if (hydrationBand is { } band)
            found.Add(Outside(formula, formula.WorkingHydration, band, "hydration"));
        found.If(formula.Sugar > SugarForOrdinaryYeast, "sugar-high", "sugar", formula.Sugar);
        return found.All;
    }

    // As it is shown: nobody is told that 1.4 % is under 1.4 %.
    private static Share Shown(Share share) => Share.FromPercent(Math.Round(share.Percent, 1));

    // What is left of none in reckoning.
    private const double NoYeast = 1e-9;

    // Too little or too much of something, and how much of it to add or take away.
    private static Problem? Outside(Formula formula, Share share, Band<Share> band, string what)
    {
        if (band.Holds(Shown(share)))
            return null;
        var isLow = share < band.From;
        var missing = Math.Abs((isLow ? band.From : band.To).Fraction - share.Fraction);
        return new($"{what}-{(isLow ? "low" : "high")}", what, share, band.From, band.To, formula.Flour * missing);
    }
}
