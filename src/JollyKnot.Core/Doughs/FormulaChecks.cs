// Whether a formula is out of the ordinary: which figure, why it matters, and a fix.
using System.Collections.Immutable;
using System.Globalization;
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
    public static ImmutableArray<Problem> Of(Formula formula, Band<Share>? hydrationBand = null)
    {
        ArgumentNullException.ThrowIfNull(formula);
        var found = ImmutableArray.CreateBuilder<Problem>();
        void Check(Share share, Band<Share> band, string what, string low, string high, double fixPer)
        {
            if (band.Holds(share)) return;
            var isLow = share < band.From;
            var grams = Math.Abs((isLow ? band.From : band.To).Fraction - share.Fraction) * formula.Flour.Grams * fixPer;
            found.Add(new($"{what}-{(isLow ? "low" : "high")}", what,
                string.Create(CultureInfo.InvariantCulture,
                    $"{share.Percent:0.0} % {what}; {band.From.Percent:0.#} to {band.To.Percent:0.#} is usual. {(isLow ? low : high)} {(isLow ? "Add" : "Take away")} {grams:0.#} g.")));
        }

        Check(formula.Salt, Salt, "salt", "It will taste flat and rise too fast.", "It will taste salty and rise slowly.", 1);
        if (formula.Yeast.Fraction < 1e-9 && formula.Starter.Fraction > 0)
            found.Add(new("starter-only", "yeast", "Starter alone does not rise within a dough cycle: let the machine only knead, and give it hours in a bowl."));
        else Check(formula.Yeast, Yeast, "yeast", "The rise may not fit the dough cycle.", "It will rise fast and taste of yeast.", 1);
        if (hydrationBand is { } band)
            Check(formula.WorkingHydration, band, "hydration", "The dough will be tight for this shape: water.", "The dough will be slack for this shape: water.", 1);
        if (formula.Sugar > SugarForOrdinaryYeast)
            found.Add(new("sugar-high", "sugar", string.Create(CultureInfo.InvariantCulture,
                $"{formula.Sugar.Percent:0.0} % sugar slows ordinary yeast: allow more time, or use a yeast made for sweet dough.")));
        return found.ToImmutable();
    }
}
