// What a look at the proof tells: a size, as coarse as eyes and fingers are.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

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

    /// <summary>Deep in its tin.</summary>
    DeepInTin,

    /// <summary>A finger below the rim of its tin.</summary>
    FingerBelow,

    /// <summary>Level with the rim.</summary>
    LevelWithRim,

    /// <summary>Over the rim.</summary>
    AboveRim,

    /// <summary>However large it is: it goes in now.</summary>
    GoesIn,
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

/// <summary>Where the rim of a tin is for the dough in it.</summary>
/// <param name="Level">The rise at which it is level with the rim.</param>
/// <param name="Finger">The rise at which it is a finger below.</param>
public sealed record TinRim(double Level, double Finger)
{
    /// <summary>A finger's breadth. Everybody's.</summary>
    public static Length FingerBreadth { get; } = Length.FromMillimetres(15);

    // What this part of the tin holds, the dough fills level with the rim; the rest is its crown's. Fitted.
    private const double Filled = .95;

    // Degassed machine dough, g/mL. Fitted.
    private const double Density = 1.05;

    /// <summary>The rim of a tin of straight walls.</summary>
    /// <param name="volume">Of the tin; over 0.</param>
    /// <param name="depth">Its inner depth.</param>
    /// <param name="dough">What is in it; over 0.</param>
    public static TinRim Of(Volume volume, Length depth, Mass dough)
    {
        var level = Filled * volume.Millilitres / (dough.Grams / Density) - 1;
        var height = 1 - FingerBreadth.Millimetres / Math.Max(depth.Millimetres, 2 * FingerBreadth.Millimetres);
        return new(level, (1 + level) * height - 1);
    }

    /// <summary>The rise wanted of dough in it: level with the rim; where that asks too much or too little of the dough, as much
    /// as dough gives. Fitted.</summary>
    public double Wanted => Math.Clamp(Level, .5, 1.2);

    // Between level and a finger below, and as far again over the rim.
    private double Half => (Level - Finger) / 2;

    /// <summary>How far risen it is when it is seen like this; null for what says nothing of the rim.</summary>
    /// <param name="seen">What was seen.</param>
    public (double From, double To)? Of(Seen seen) =>
        seen switch
        {
            Seen.DeepInTin => (0, Finger - Half),
            Seen.FingerBelow => (Finger - Half, Level - Half),
            Seen.LevelWithRim => (Level - Half, Level + Half),
            Seen.AboveRim => (Level + Half, double.PositiveInfinity),
            _ => null,
        };
}

/// <summary>How far risen dough is that was seen like this.</summary>
/// <param name="From">At least; 0 where it may be anything below <paramref name="To"/>.</param>
/// <param name="To">At the most; infinite where it may be anything above <paramref name="From"/>.</param>
/// <param name="Error">Standard deviation of this look, in rise.</param>
public sealed record Sight(double From, double To, double Error)
{
    /// <summary>Error of one look of the eye, and what one person is off in all of them, in rise. Fitted.</summary>
    public const double OfEye = .07,
        OfPerson = .07;

    // Error of one poke, in rise. Fitted.
    private const double OfFinger = .15;

    // A look of more or less than so much is neither shown nor meant beyond it. Ours.
    private const double WellOver = 1.4;

    /// <summary>In the middle of it; of what is open above, a little over its lower edge.</summary>
    public double Middle => double.IsInfinity(To) ? Math.Max(From, WellOver) : (From + To) / 2;

    /// <summary>The nearest rise that fits it.</summary>
    /// <param name="rise">Any rise.</param>
    public double Nearest(double rise) => Math.Clamp(rise, From, To);

    /// <summary>What a look tells; null where it tells nothing of the size.</summary>
    /// <param name="seen">What was seen or felt.</param>
    /// <param name="wanted">Rise wanted at the oven door: a poke tells of that.</param>
    /// <param name="rim">Of its tin; null for what stands in none.</param>
    public static Sight? Of(Seen seen, double wanted, TinRim? rim = null)
    {
        if (rim?.Of(seen) is { } seenInTin)
            return new(Math.Max(0, seenInTin.From), Math.Max(0, seenInTin.To), OfEye);
        return seen switch
        {
            Seen.Nothing => new(0, .17, OfEye),
            Seen.Third => new(.17, .42, OfEye),
            Seen.Half => new(.42, .62, OfEye),
            Seen.ThreeQuarters => new(.62, .88, OfEye),
            Seen.Doubled => new(.88, 1.2, OfEye),
            Seen.Over => new(1.2, double.PositiveInfinity, OfEye),
            Seen.SpringsBack => new(0, Math.Max(0, wanted - Proof.EarlyBy), OfFinger),
            Seen.SlowDent => new(Math.Max(0, wanted - Proof.EarlyBy), wanted + Proof.LateBy, OfFinger),
            Seen.Stays => new(wanted + Proof.LateBy, double.PositiveInfinity, OfFinger),
            _ => null,
        };
    }

    /// <summary>Whether dough seen like this can go in: not short of the wanted rise by more than <see cref="Proof.EarlyBy"/>,
    /// with the look's own coarseness allowed.</summary>
    /// <param name="seen">What was seen.</param>
    /// <param name="wanted">Rise wanted at the oven door.</param>
    /// <param name="rim">Of its tin; null for what stands in none.</param>
    public static bool CanGoIn(Seen seen, double wanted, TinRim? rim = null) =>
        seen == Seen.GoesIn || Of(seen, wanted, rim) is { } sight && sight.Middle >= wanted - Proof.EarlyBy - Coarse;

    private const double Coarse = .02;
}

/// <summary>How a look is made.</summary>
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

    /// <summary>What can be told of a piece: of one in a tin against its rim, of any other by its size.</summary>
    /// <param name="rim">Of its tin; null for what stands in none.</param>
    public static ImmutableArray<Seen> Answers(TinRim? rim) => rim is null ? BySize : AtTheRim;

    /// <summary>What can be told of the whole dough in its bowl.</summary>
    public static ImmutableArray<Seen> InBowl { get; } =
    [Seen.Nothing, Seen.Third, Seen.Half, Seen.ThreeQuarters, Seen.Doubled, Seen.Over];

    private static readonly ImmutableArray<Seen> BySize =
    [
        Seen.Nothing,
        Seen.Third,
        Seen.Half,
        Seen.ThreeQuarters,
        Seen.Doubled,
        Seen.Over,
        Seen.SpringsBack,
        Seen.SlowDent,
        Seen.Stays,
        Seen.GoesIn,
    ];

    private static readonly ImmutableArray<Seen> AtTheRim =
    [
        Seen.DeepInTin,
        Seen.FingerBelow,
        Seen.LevelWithRim,
        Seen.AboveRim,
        Seen.SpringsBack,
        Seen.SlowDent,
        Seen.Stays,
        Seen.GoesIn,
    ];
}
