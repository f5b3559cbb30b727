// What is believed of how fast a proof goes, before it is looked at and after.
using System.Collections.Immutable;

namespace JollyKnot.Core.Proofing;

/// <summary>One look: how far the model, at pace 1, had the rise, and what was seen.</summary>
/// <param name="Modelled">Rise by the model at pace 1.</param>
/// <param name="Sight">What was seen.</param>
public sealed record Look(double Modelled, Sight Sight);

/// <summary>The belief, before any look, about how much faster than the model a proof runs: log-normal, but for some that are off
/// by far more.</summary>
/// <param name="Pace">The median: 1.1 is a tenth faster.</param>
/// <param name="Spread">Standard deviation of its logarithm; over 0.</param>
public sealed record PaceBelief(double Pace, double Spread)
{
    /// <summary>The part of proofs that are off by far more, and the standard deviation of their logarithm. Fitted.</summary>
    public const double FarOff = .1;

    /// <inheritdoc cref="FarOff"/>
    public static double FarOffSpread { get; } = Math.Log(2);

    /// <summary>Where nothing is known: a factor of 1.35 each way. Fitted.</summary>
    public static PaceBelief Prior { get; } = new(1, Math.Log(1.35));

    /// <summary>A recipe's own minutes are off by a factor of 1.2 each way. Fitted.</summary>
    public static double RecipeSpread { get; } = Math.Log(1.2);

    /// <summary>This belief of how long something takes, joined with what a recipe says of it.</summary>
    /// <param name="reckoned">How long it takes by this belief; over 0.</param>
    /// <param name="told">How long it takes by the recipe; over 0.</param>
    /// <returns>How long by both, and the standard deviation of its logarithm.</returns>
    public (TimeSpan Takes, double Spread) With(TimeSpan reckoned, TimeSpan told)
    {
        var (own, its) = (1 / (Spread * Spread), 1 / (RecipeSpread * RecipeSpread));
        var log = (own * Math.Log(reckoned.TotalMinutes) + its * Math.Log(told.TotalMinutes)) / (own + its);
        return (TimeSpan.FromMinutes(Math.Exp(log)), Math.Sqrt(1 / (own + its)));
    }

    // The grid: the logarithm of the pace as far as the far-off ones go, and what the person is off, in standard deviations.
    private const int Half = 100;
    private const double Farthest = 4,
        PersonFarthest = 2.5;
    private const int PersonHalf = 3;

    /// <summary>The belief after these looks: Bayes on a grid of the pace and of what this person is off in all their looks.
    /// </summary>
    /// <param name="looks">What was seen; none leaves the belief as it is.</param>
    public Believed After(ImmutableArray<Look> looks)
    {
        var (from, step) = (Math.Log(Pace) - Farthest * FarOffSpread, Farthest * FarOffSpread / Half);
        var weights = new double[2 * Half + 1];
        for (var i = 0; i < weights.Length; i++)
        {
            var log = from + step * i;
            weights[i] = Density(log) * (looks.IsDefaultOrEmpty ? 1 : Likelihood(Math.Exp(log), looks));
        }
        return Believed.Of(from, step, weights);
    }

    private double Density(double log)
    {
        double Of(double spread) => Math.Exp(-.5 * Math.Pow((log - Math.Log(Pace)) / spread, 2)) / spread;
        return (1 - FarOff) * Of(Spread) + FarOff * Of(Math.Max(Spread, FarOffSpread));
    }

    // What one person is off is the same in all their looks.
    private static double Likelihood(double pace, ImmutableArray<Look> looks)
    {
        var sum = 0d;
        for (var i = -PersonHalf; i <= PersonHalf; i++)
        {
            var z = PersonFarthest * i / PersonHalf;
            var likely = Math.Exp(-.5 * z * z);
            foreach (var look in looks)
                likely *= Chance(look.Sight, pace * look.Modelled + z * Sight.OfPerson);
            sum += likely;
        }
        return sum;
    }

    // That this is what is seen of dough that looks so far risen. Nobody answers nothing at all: a little of everything is left.
    private static double Chance(Sight sight, double rise)
    {
        var above = double.IsInfinity(sight.To) ? 1 : Normal((sight.To - rise) / sight.Error);
        var below = sight.From <= 0 ? 0 : Normal((sight.From - rise) / sight.Error);
        return Math.Max(above - below, Slip);
    }

    private const double Slip = 1e-7;

    // The normal distribution, to 1e-7: Abramowitz and Stegun, 26.2.17.
    private static double Normal(double z)
    {
        var t = 1 / (1 + .2316419 * Math.Abs(z));
        var tail =
            Math.Exp(-.5 * z * z)
            / Math.Sqrt(2 * Math.PI)
            * t
            * (.319381530 + t * (-.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
        return z >= 0 ? 1 - tail : tail;
    }
}

/// <summary>What is believed of the pace once all is weighed.</summary>
public sealed class Believed
{
    private readonly double from,
        step;
    private readonly double[] shares;

    private Believed(double from, double step, double[] shares, double logMean, double logSpread) =>
        (this.from, this.step, this.shares, LogMean, LogSpread) = (from, step, shares, logMean, logSpread);

    /// <summary>Mean of the pace's logarithm.</summary>
    public double LogMean { get; }

    /// <summary>Standard deviation of the pace's logarithm.</summary>
    public double LogSpread { get; }

    /// <summary>The median.</summary>
    public double Pace => At(.5);

    /// <summary>Four in five are faster than the first and slower than the second.</summary>
    public (double Slow, double Fast) FourInFive => (At(.1), At(.9));

    /// <summary>The pace that this share of proofs stays under.</summary>
    /// <param name="share">Over 0 and under 1.</param>
    public double At(double share)
    {
        var i = Array.FindIndex(shares, s => s >= share);
        var before = i > 0 ? shares[i - 1] : 0;
        var part = shares[i] > before ? (share - before) / (shares[i] - before) : 1;
        return Math.Exp(from + step * (i - .5 + part));
    }

    internal static Believed Of(double from, double step, double[] weights)
    {
        var sum = weights.Sum();
        var (mean, square) = (0d, 0d);
        var shares = new double[weights.Length];
        for (var i = 0; i < weights.Length; i++)
        {
            var (weight, log) = (weights[i] / sum, from + step * i);
            mean += weight * log;
            square += weight * log * log;
            shares[i] = (i > 0 ? shares[i - 1] : 0) + weight;
        }
        shares[^1] = 1;
        return new(from, step, shares, mean, Math.Sqrt(Math.Max(0, square - mean * mean)));
    }
}
