// The second proof of one batch: when it is early, ready and late, and the hand-over when it stands in the oven it needs.
using System.Collections.Immutable;

namespace JollyKnot.Core.Proofing;

/// <summary>When a proof is worth a look, at its best, and at its latest, counted from its start.</summary>
/// <param name="Early">From here it can be baked.</param>
/// <param name="Best">The wanted rise.</param>
/// <param name="Late">From here it begins to be over.</param>
public sealed record ReadyWindow(TimeSpan Early, TimeSpan Best, TimeSpan Late);

/// <summary>What can go wrong with a proof.</summary>
public enum ProofTrouble
{
    /// <summary>Two looks of nothing where something should show: the yeast is dead.</summary>
    DeadYeast,

    /// <summary>Risen too far.</summary>
    Over,

    /// <summary>The last look does not fit the ones before.</summary>
    Contradicts,

    /// <summary>Too warm for too long where it stands.</summary>
    TooWarm,

    /// <summary>It does not get there where it stands.</summary>
    DoesNotRise,
}

/// <summary>A look that was taken.</summary>
/// <param name="After">Since the start of the proof.</param>
/// <param name="Seen">What was seen.</param>
public sealed record LookTaken(TimeSpan After, Seen Seen);

/// <summary>A proof as predicted.</summary>
/// <param name="Window">When it is ready; null when it does not get there inside <see cref="RiseModel.Horizon"/>.</param>
/// <param name="OutOfOven">When the dough leaves the oven so that it can heat, for proofs in the oven.</param>
/// <param name="Belief">What is believed of its pace after the looks.</param>
/// <param name="Curve">The rise at pace 1, place changes included.</param>
/// <param name="NextLook">When to look next.</param>
/// <param name="Likely">Between these the wanted rise comes with four chances in five; null when it does not get there.</param>
/// <param name="Trouble">What goes wrong; null while nothing does.</param>
public sealed record Proof(
    ReadyWindow? Window,
    TimeSpan? OutOfOven,
    PaceBelief Belief,
    RiseCurve Curve,
    TimeSpan NextLook,
    (TimeSpan From, TimeSpan To)? Likely = null,
    ProofTrouble? Trouble = null
)
{
    /// <summary>Rise over the wanted at which it is over, not just late. Fitted.</summary>
    public const double OverBy = .5;

    // A look this far outside what the looks before allow contradicts them, in rise: three times its own error. Ours.
    private const double Odd = 3 * PaceBelief.LookError;

    // A look of nothing counts against the yeast where the model had this much. Ours.
    private const double ShouldShow = .35;

    /// <summary>Rise short of the wanted from which it can be baked. Fitted.</summary>
    public const double EarlyBy = .15;

    /// <summary>Rise over the wanted from which it begins to be over. Fitted.</summary>
    public const double LateBy = .2;

    /// <summary>Between two looks at the least.</summary>
    public static TimeSpan BetweenLooks { get; } = TimeSpan.FromMinutes(4);

    /// <summary>Predicts a proof.</summary>
    /// <param name="conditions">Piece, formula, kitchen.</param>
    /// <param name="place">Where it stands.</param>
    /// <param name="wantedRise">At the oven door.</param>
    /// <param name="looks">What was seen so far.</param>
    /// <param name="heating">From taking the dough out of the oven to the oven being hot; used only for places in the
    /// oven.</param>
    /// <param name="movedOut">When it was really taken out of the oven, if it was.</param>
    /// <param name="notBefore">It is still in the oven so long after the start, so it leaves no sooner.</param>
    /// <param name="cold">First so long somewhere cold.</param>
    /// <param name="coldPlace">Where; the fridge when null.</param>
    /// <param name="prior">What is believed of its pace beforehand; the usual when null.</param>
    public static Proof Predict(
        RiseConditions conditions,
        Place place,
        double wantedRise,
        ImmutableArray<LookTaken> looks,
        TimeSpan heating,
        TimeSpan? movedOut = null,
        TimeSpan notBefore = default,
        TimeSpan cold = default,
        PaceBelief? prior = null,
        Place? coldPlace = null
    )
    {
        ArgumentNullException.ThrowIfNull(conditions);
        ArgumentNullException.ThrowIfNull(place);
        // Far enough for the slowest edge of a fresh belief.
        prior ??= PaceBelief.Prior;
        var until = (wantedRise + LateBy) / prior.Pace * Math.Exp(2 * prior.Spread) + .3;
        RiseCurve Stay() =>
            cold <= TimeSpan.Zero
                ? RiseModel.Simulate(conditions, place, until)
                : RiseModel.Along(conditions, [(coldPlace ?? Places.Fridge, cold), (place, RiseModel.Horizon)], until);
        var stay = Stay();
        var modelled = CurveWith(conditions, stay, movedOut, until);
        ImmutableArray<Look> seen = looks.IsDefault
            ? []
            : [.. looks.Select(l => new Look(modelled.At(l.After).Rise, PaceBelief.RiseOf(l.Seen, wantedRise)))];
        var belief = prior.After(seen);
        if ((wantedRise + LateBy) / belief.FourInFive.Slow is var slowest && slowest > until)
        {
            // Looks say it is slower than was thought possible: farther, then.
            until = slowest;
            stay = Stay();
        }

        var out_ = place.InOven
            ? movedOut ?? HandOver(conditions, stay, wantedRise / belief.Pace, heating, notBefore)
            : (TimeSpan?)null;
        var curve = CurveWith(conditions, stay, out_, until);
        TimeSpan? TimeTo(double rise, double pace) => curve.TimeTo(rise / pace);
        var window = TimeTo(wantedRise, belief.Pace) is { } best
            ? new ReadyWindow(
                TimeTo(wantedRise - EarlyBy, belief.Pace) ?? best,
                best,
                TimeTo(wantedRise + LateBy, belief.Pace) ?? RiseModel.Horizon
            )
            : null;

        // The first look comes when a fast proof would be nearly there; later ones wait for news.
        var look = TimeTo(wantedRise - EarlyBy, belief.Fast) ?? RiseModel.Horizon;
        if (!looks.IsDefaultOrEmpty && looks[^1].After + BetweenLooks is var soonest && look < soonest)
            look = soonest;
        var likely = TimeTo(wantedRise, belief.FourInFive.Fast) is { } from
            ? (from, TimeTo(wantedRise, belief.FourInFive.Slow) ?? RiseModel.Horizon)
            : ((TimeSpan, TimeSpan)?)null;
        return new(window, out_, belief, curve, look, likely, Troubled());

        ProofTrouble? Troubled()
        {
            // What can still be saved comes first.
            if (Enumerable.Range(0, 3).All(i => place.At(TimeSpan.FromMinutes(5 * i), conditions.Room) > Place.TooWarm))
                return ProofTrouble.TooWarm;
            if (
                !looks.IsDefaultOrEmpty
                && looks.Length > 1
                && looks.TakeLast(2).All(l => l.Seen == Seen.Nothing && modelled.At(l.After).Rise >= ShouldShow)
            )
                return ProofTrouble.DeadYeast;
            if (
                !looks.IsDefaultOrEmpty
                && (
                    looks[^1].Seen is Seen.Over or Seen.Stays
                    || PaceBelief.RiseOf(looks[^1].Seen, wantedRise) >= wantedRise + OverBy - 1e-9
                )
            )
                return ProofTrouble.Over;
            if (
                seen.Length > 1
                && prior.After(seen[..^1]).FourInFive is var (slow, fast)
                && (seen[^1].Observed < slow * seen[^1].Modelled - Odd || seen[^1].Observed > fast * seen[^1].Modelled + Odd)
            )
                return ProofTrouble.Contradicts;
            return window is null ? ProofTrouble.DoesNotRise : null;
        }
    }

    /// <summary>Whether dough seen like this can go in: not short of the wanted rise by more than <see cref="EarlyBy"/>, with the
    /// look's own coarseness allowed.</summary>
    public static bool CanGoIn(Seen seen, double wantedRise) => PaceBelief.RiseOf(seen, wantedRise) >= wantedRise - EarlyBy - .02;

    // The moment h at which a proof taken out of the oven then and left on the counter for the heating time is just ready.
    private static TimeSpan HandOver(
        RiseConditions conditions,
        RiseCurve stay,
        double modelled,
        TimeSpan heating,
        TimeSpan notBefore
    )
    {
        double AtTheDoor(TimeSpan h) =>
            RiseModel.Simulate(conditions, Places.Counter, stay.At(h), double.MaxValue, heating).At(heating).Rise;
        var (low, high) = (TimeSpan.Zero, RiseModel.Step * (stay.Points.Count - 1));
        while (high - low > RiseModel.Step / 2)
        {
            var middle = (low + high) / 2;
            (low, high) = AtTheDoor(middle) < modelled ? (middle, high) : (low, middle);
        }
        return high < notBefore ? notBefore : high;
    }

    private static RiseCurve CurveWith(RiseConditions conditions, RiseCurve stay, TimeSpan? movedOut, double until)
    {
        if (movedOut is not { } h)
            return stay;
        // Told out of order, it may have left before it was told to have come.
        var steps = (int)Math.Clamp(Math.Round(h / RiseModel.Step), 0, stay.Points.Count - 1);
        var counter = RiseModel.Simulate(conditions, Places.Counter, stay.Points[steps], until, RiseModel.Horizon);
        return new([.. stay.Points.Take(steps), .. counter.Points]);
    }
}
