// The one judgement that saves the batch: what is felt early in kneading, and the dose that puts it right.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Doughs;

/// <summary>What the dough looks and feels like early in kneading.</summary>
public enum DoughFeel
{
    /// <summary>Ragged, flour left in the corners.</summary>
    Ragged,

    /// <summary>Stiff, knocks against the pan.</summary>
    Stiff,

    /// <summary>A ball, slightly tacky, leaves finger and walls clean.</summary>
    Right,

    /// <summary>Sticks to the finger, smears.</summary>
    Sticky,

    /// <summary>Pools round the paddle.</summary>
    Pooling,
}

/// <summary>A dose at the dough check; one of the two is 0.</summary>
/// <param name="Water">Water to add.</param>
/// <param name="Flour">Flour to add.</param>
public sealed record Dose(Mass Water, Mass Flour)
{
    /// <summary>Nothing added.</summary>
    public static Dose None { get; } = new(Mass.Zero, Mass.Zero);
}

/// <summary>What likely went wrong when doses do not help.</summary>
public enum Slip
{
    /// <summary>A liquid was left out.</summary>
    ForgottenLiquid,

    /// <summary>Flour was left out, or a liquid went in twice.</summary>
    ForgottenFlour,

    /// <summary>Cups were dipped into the flour, which packs it.</summary>
    DippedCups,

    /// <summary>Something gave up more water than reckoned.</summary>
    WetAddIn,

    /// <summary>A flour that drinks more, or less, than the usual one.</summary>
    OtherFlour,

    /// <summary>A flour that drinks late has not drunk yet.</summary>
    DrinksLate,
}

/// <summary>A dough with what was added at the check.</summary>
/// <param name="Added">All doses so far.</param>
/// <param name="Hydration">True hydration now.</param>
/// <param name="Dough">Everything in the pan now.</param>
/// <param name="Stop">No more doses: a slip is likelier.</param>
/// <param name="Slips">The likely ones, likeliest first; empty until it is time to stop.</param>
public sealed record Dosed(Dose Added, Share Hydration, Mass Dough, bool Stop, ImmutableArray<Slip> Slips);

/// <summary>Doses at the check, as bakers give them: small, then a wait.</summary>
public static class DoughCheck
{
    /// <summary>What is asked when the dough comes out: tight, right, sticky.</summary>
    public static ImmutableArray<DoughFeel> AtTakeOut { get; } = [DoughFeel.Stiff, DoughFeel.Right, DoughFeel.Sticky];

    /// <summary>From the start of kneading to the first check.</summary>
    public static TimeSpan First { get; } = TimeSpan.FromMinutes(6);

    /// <summary>From the start of kneading to the last useful dose.</summary>
    public static TimeSpan Last { get; } = TimeSpan.FromMinutes(12);

    // Between doses: white flour, and flours that drink late. Bakers' usage.
    private static readonly TimeSpan Wait = TimeSpan.FromMinutes(3),
        WaitForLate = TimeSpan.FromMinutes(6);

    // Much wholemeal, rye or oats, share of flour. Ours.
    private const double MuchLate = .3;

    /// <summary>Wait between doses: longer where much of it drinks late.</summary>
    public static TimeSpan WaitFor(Dough dough)
    {
        ArgumentNullException.ThrowIfNull(dough);
        var late = dough.Rows.Where(r => r.Ingredient.Late).Sum(r => r.Mass.Grams);
        return late >= MuchLate * Formula.Of(dough).Flour.Grams ? WaitForLate : Wait;
    }

    /// <summary>All doses together, share of flour, from which a measuring slip is likelier than thirsty flour.</summary>
    public const double StopAt = .06;

    /// <summary>A dough after these doses.</summary>
    /// <param name="dough">The dough as written.</param>
    /// <param name="added">All doses together, over the recipe.</param>
    /// <param name="heldLeft">Liquid of the recipe that is not in yet.</param>
    /// <param name="water">The part of that liquid that is water.</param>
    public static Dosed After(Dough dough, Dose added, Mass heldLeft = default, Share water = default)
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(added);
        var f = Formula.Of(dough);
        var stop = Math.Max(added.Water / f.Flour, added.Flour / f.Flour) >= StopAt - 1e-9;
        return new(
            added,
            Share.FromFraction(
                (f.Hydration.Fraction * f.Flour.Grams + added.Water.Grams - heldLeft.Grams * water.Fraction)
                    / (f.Flour + added.Flour).Grams
            ),
            f.Total + added.Water + added.Flour - heldLeft,
            stop,
            stop ? [.. Likely(dough, added.Flour > added.Water)] : []
        );
    }

    private static IEnumerable<Slip> Likely(Dough dough, bool tooWet)
    {
        if (tooWet && dough.Rows.Any(r => r.Ingredient.WaterGiven < 1))
            yield return Slip.WetAddIn;
        if (tooWet && dough.Rows.Any(r => r.Ingredient.Late))
            yield return Slip.DrinksLate;
        yield return tooWet ? Slip.ForgottenFlour : Slip.ForgottenLiquid;
        if (!tooWet)
            yield return Slip.DippedCups;
        yield return Slip.OtherFlour;
    }

    /// <summary>From one spoon to the next: it has to be kneaded in. Bakers' usage.</summary>
    public static TimeSpan BetweenSpoons { get; } = TimeSpan.FromMinutes(1);

    /// <summary>A level tablespoon of flour. Bakers' usage.</summary>
    public static Mass FlourSpoon { get; } = Mass.FromGrams(8);

    /// <summary>A tablespoon of water. Metric spoon.</summary>
    public static Mass WaterSpoon { get; } = Mass.FromGrams(15);

    /// <summary>The dose for what is felt, from the flour in this batch.</summary>
    public static Dose For(DoughFeel feel, Mass flour) =>
        feel switch
        {
            DoughFeel.Ragged => new(flour * .03, Mass.Zero),
            DoughFeel.Stiff => new(flour * .02, Mass.Zero),
            DoughFeel.Sticky => new(Mass.Zero, flour * .02),
            DoughFeel.Pooling => new(Mass.Zero, flour * .04),
            _ => Dose.None,
        };
}
