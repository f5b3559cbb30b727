// What a look at the proof tells, and how it narrows the guess about this dough's pace.
using System.Collections.Immutable;

namespace JollyKnot.Core.Proofing;

/// <summary>What is seen at a look.</summary>
public enum Seen
{
    /// <summary>No change yet.</summary>
    Nothing,

    /// <summary>A third larger.</summary>
    Third,

    /// <summary>Half as large again.</summary>
    Half,

    /// <summary>Three quarters larger.</summary>
    ThreeQuarters,

    /// <summary>Twice the size.</summary>
    Doubled,

    /// <summary>More than twice the size, the skin weak.</summary>
    Over,

    /// <summary>Poked, it springs straight back.</summary>
    SpringsBack,

    /// <summary>Poked, it comes back slowly and leaves a dent.</summary>
    SlowDent,

    /// <summary>Poked, the dent stays, or it sinks.</summary>
    Stays,
}

/// <summary>What a finger leaves in the dough.</summary>
public enum Poke
{
    /// <summary>Nothing: it springs straight back.</summary>
    Nothing,

    /// <summary>A shallow dent that fills slowly.</summary>
    Dent,

    /// <summary>A hole that stays.</summary>
    Hole,
}

/// <summary>How a look was made.</summary>
public static class Looks
{
    /// <summary>What the finger left; null when it was looked at, not poked.</summary>
    public static Poke? PokeOf(Seen seen) =>
        seen switch
        {
            Seen.SpringsBack => Poke.Nothing,
            Seen.SlowDent => Poke.Dent,
            Seen.Stays => Poke.Hole,
            _ => null,
        };
}

/// <summary>One look: how far the model, at pace 1, had the rise, and how far it was seen to be.</summary>
/// <param name="Modelled">Rise by the model at pace 1.</param>
/// <param name="Observed">Rise as seen.</param>
public sealed record Look(double Modelled, double Observed);

/// <summary>The belief about how much faster than the model this proof runs: log-normal.</summary>
/// <param name="Pace">The median: 1.1 is a tenth faster.</param>
/// <param name="Spread">Standard deviation of its logarithm.</param>
public sealed record PaceBelief(double Pace, double Spread)
{
    /// <summary>Before any look: a factor of 1.25 each way. Fitted.</summary>
    public static PaceBelief Prior { get; } = new(1, Math.Log(1.25));

    /// <summary>Error of one look, in rise. Fitted.</summary>
    public const double LookError = .1;

    // What a poke is off the wanted rise when it springs back, or stays. Fitted.
    private const double Early = .3,
        Gone = .35;

    /// <summary>The slow and the fast edge between which the pace lies with four chances in five. Normal distribution of its
    /// logarithm.</summary>
    public (double Slow, double Fast) FourInFive => (Pace * Math.Exp(-1.2816 * Spread), Pace * Math.Exp(1.2816 * Spread));

    /// <summary>The fast edge of the belief, one standard deviation up.</summary>
    public double Fast => Pace * Math.Exp(Spread);

    /// <summary>The slow edge of the belief, one standard deviation down.</summary>
    public double Slow => Pace * Math.Exp(-Spread);

    /// <summary>The rise that stands for what was seen. A poke tells of the wanted rise, not of the size.</summary>
    /// <param name="seen">What was seen or felt.</param>
    /// <param name="wanted">Rise wanted at the oven door.</param>
    public static double RiseOf(Seen seen, double wanted = 1) =>
        seen switch
        {
            Seen.SpringsBack => Math.Max(0, wanted - Early),
            Seen.SlowDent => wanted,
            Seen.Stays => wanted + Gone,
            Seen.Third => 1 / 3d,
            Seen.Half => .5,
            Seen.ThreeQuarters => .75,
            Seen.Doubled => 1,
            Seen.Over => 1.4,
            _ => 0,
        };

    /// <summary>The belief after these looks: Bayes on the logarithm of the pace, on a grid of ±4 standard deviations.</summary>
    public PaceBelief After(ImmutableArray<Look> looks)
    {
        if (looks.IsDefaultOrEmpty)
            return this;
        const int half = 200;
        var (weights, sum, mean) = (new double[2 * half + 1], 0d, 0d);
        double Z(int i) => 4d * (i - half) / half;
        for (var i = 0; i < weights.Length; i++)
        {
            var pace = Pace * Math.Exp(Spread * Z(i));
            var misfit = looks.Sum(l => Math.Pow((l.Observed - pace * l.Modelled) / LookError, 2));
            weights[i] = -.5 * (Z(i) * Z(i) + misfit);
        }
        var best = weights.Max();
        for (var i = 0; i < weights.Length; i++)
        {
            weights[i] = Math.Exp(weights[i] - best);
            (sum, mean) = (sum + weights[i], mean + weights[i] * Z(i));
        }
        mean /= sum;
        var variance = 0d;
        for (var i = 0; i < weights.Length; i++)
            variance += weights[i] / sum * Math.Pow(Z(i) - mean, 2);
        return new(Pace * Math.Exp(Spread * mean), Spread * Math.Sqrt(variance));
    }
}
