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

    /// <summary>Too warm for too long where it stands.</summary>
    TooWarm,

    /// <summary>It does not get there where it stands.</summary>
    DoesNotRise,
}

/// <summary>A look that was taken.</summary>
/// <param name="After">Since the start of the proof.</param>
/// <param name="Seen">What was seen.</param>
public sealed record LookTaken(TimeSpan After, Seen Seen);

/// <summary>Dough was moved.</summary>
/// <param name="After">Since the start of the proof.</param>
/// <param name="Place">Where it stands from then on.</param>
public sealed record Moved(TimeSpan After, Place Place);

/// <summary>All that a proof is predicted from.</summary>
/// <param name="Conditions">Piece, formula, kitchen.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="WantedRise">At the oven door.</param>
public sealed record ProofCase(RiseConditions Conditions, Place Place, double WantedRise)
{
    /// <summary>What was seen so far, in order.</summary>
    public ImmutableArray<LookTaken> Looks { get; init; } = [];

    /// <summary>Where it was moved to, in order.</summary>
    public ImmutableArray<Moved> Moves { get; init; } = [];

    /// <summary>Where it stands now.</summary>
    public Place Here => Moves.IsEmpty ? Place : Moves[^1].Place;

    /// <summary>The rim of its tin; null for what stands in none.</summary>
    public TinRim? Rim { get; init; }

    /// <summary>From taking the dough out of the oven to the oven being hot; used only for places in the oven.</summary>
    public TimeSpan Heating { get; init; }

    /// <summary>When it was really taken out of the oven; null while it was not.</summary>
    public TimeSpan? MovedOut { get; init; }

    /// <summary>It has stood for so long: if it is in the oven, it leaves no sooner.</summary>
    public TimeSpan Since { get; init; }

    /// <summary>First so long somewhere cold.</summary>
    public TimeSpan Cold { get; init; }

    /// <summary>Where; the fridge when null.</summary>
    public Place? ColdPlace { get; init; }

    /// <summary>What is believed of its pace beforehand.</summary>
    public PaceBelief Prior { get; init; } = PaceBelief.Prior;

    /// <summary>How long it takes by its recipe; null when that says nothing.</summary>
    public TimeSpan? Recipe { get; init; }

    /// <summary>How long the baker takes it to be; null for what follows from the rest.</summary>
    public TimeSpan? Taken { get; init; }
}

/// <summary>A proof as predicted.</summary>
/// <param name="Window">When it is ready; null when it does not get there inside <see cref="RiseModel.Horizon"/>.</param>
/// <param name="OutOfOven">When the dough leaves the oven so that it can heat, for proofs in the oven.</param>
/// <param name="Belief">What is believed of its pace after the looks.</param>
/// <param name="Curve">The rise at pace 1, place changes included.</param>
/// <param name="NextLook">When to look next.</param>
public sealed record Proof(ReadyWindow? Window, TimeSpan? OutOfOven, Believed Belief, RiseCurve Curve, TimeSpan NextLook)
{
    /// <summary>Between these the wanted rise comes with four chances in five, what is there already counted in; null when it
    /// does not get there.</summary>
    public (TimeSpan From, TimeSpan To)? Likely { get; init; }

    /// <summary>What goes wrong; null while nothing does.</summary>
    public ProofTrouble? Trouble { get; init; }

    /// <summary>How long it takes by the model and this household's past alone; null when it does not get there.</summary>
    public TimeSpan? Reckoned { get; init; }

    /// <summary>The last look said that it can go in: no look remains, and nothing is waited for.</summary>
    public bool CanGoIn { get; init; }

    /// <summary>It does not rise in the bowl; it only rests.</summary>
    public bool OnlyRests { get; init; }

    /// <summary>Where the last look put it; null before there is one.</summary>
    public SeenAt? Seen { get; init; }

    /// <summary>Rise over the wanted at which it is over, not just late. Fitted.</summary>
    public const double OverBy = .5;

    /// <summary>Rise short of the wanted from which it can be baked. Fitted.</summary>
    public const double EarlyBy = .15;

    /// <summary>Rise over the wanted from which it begins to be over. Fitted.</summary>
    public const double LateBy = .2;

    /// <summary>Between two looks at the least.</summary>
    public static TimeSpan BetweenLooks { get; } = TimeSpan.FromMinutes(4);

    /// <summary>Shaped dough that does not rise rests for so long. Bakers' usage.</summary>
    public static TimeSpan UsualRest { get; } = TimeSpan.FromMinutes(15);

    /// <summary>How far it is believed to be risen: where it was seen, and from there at its pace.</summary>
    /// <param name="after">Since the start of the proof.</param>
    public double RiseAt(TimeSpan after)
    {
        var (pace, modelled) = (Belief.Pace, Curve.At(after).Rise);
        if (Seen is not { } seen)
            return pace * modelled;
        if (after >= seen.After)
            return seen.Rise + pace * (modelled - seen.Modelled);
        return seen.Modelled > 0 ? seen.Rise * (modelled / seen.Modelled) : 0;
    }

    /// <summary>Predicts a proof.</summary>
    /// <param name="of">All it is predicted from.</param>
    public static Proof Predict(ProofCase of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return of.Conditions.OnlyRests ? Rest(of) : new ProofReckoning(of).Reckon();
    }

    private static Proof Rest(ProofCase of)
    {
        var length = of.Cold + (of.Taken ?? of.Recipe ?? UsualRest);
        var still = RiseModel.Simulate(of.Conditions, of.Place, 1);
        var window = new ReadyWindow(TimeSpan.Zero, length, RiseModel.Horizon);
        return new(window, of.MovedOut, of.Prior.After([]), still, RiseModel.Horizon) { Reckoned = UsualRest, OnlyRests = true };
    }
}

/// <summary>Where a look put the dough.</summary>
/// <param name="After">Since the start of the proof.</param>
/// <param name="Rise">How far risen it is held to be: as the belief has it, and inside what was said.</param>
/// <param name="Modelled">The rise at pace 1 there.</param>
public sealed record SeenAt(TimeSpan After, double Rise, double Modelled);

/// <summary>Reckons one proof.</summary>
/// <param name="of">All it is predicted from.</param>
internal sealed class ProofReckoning(ProofCase of)
{
    // A look of nothing counts against the yeast where the model had this much. Ours.
    private const double ShouldShow = .35;

    // A look that brings no answer is not repeated before so much of what remains is over. Ours.
    private const double WaitedForNews = .7;

    // How far the curve at pace 1 is reckoned beyond what the slowest edge of a fresh belief asks for, in rise.
    private const double Beyond = .3;

    private readonly double wanted = of.WantedRise;

    // A curve that goes on until so far risen at pace 1.
    private double until;

    public Proof Reckon()
    {
        var prior = of.Prior;
        until = (wanted + Proof.LateBy) / prior.Pace * Math.Exp(2 * prior.Spread) + Beyond;
        var stay = Stay();
        var reckoned = TimeTo(wanted / prior.Pace, stay);
        var joined = Joined(stay, reckoned);

        var looked = With(stay, of.MovedOut);
        var looks = SightsOf(looked);
        var belief = joined.After([.. looks.Select(l => new Look(l.Modelled, l.Sight))]);
        if ((wanted + Proof.LateBy) / belief.FourInFive.Slow is var slowest && slowest > until)
        {
            // Looks say it is slower than was thought possible: farther, then.
            until = slowest;
            stay = Stay();
        }
        var seen = looks is [.., var last] ? Held(last, belief.Pace) : null;
        double Modelled(double rise) => seen is null ? rise / belief.Pace : seen.Modelled + (rise - seen.Rise) / belief.Pace;

        var canGoIn = !of.Looks.IsEmpty && Sight.CanGoIn(of.Looks[^1].Seen, wanted, of.Rim);
        var leaves = of.Here.InOven ? of.MovedOut ?? (canGoIn ? of.Since : HandOver(stay, Modelled(wanted))) : (TimeSpan?)null;
        var curve = With(stay, leaves);
        var window = WindowOf(curve, Modelled, canGoIn);
        var proof = new Proof(window, leaves, belief, curve, NextLook(curve, belief, window, seen))
        {
            Likely = LikelyOf(curve, belief, window),
            Reckoned = reckoned,
            CanGoIn = canGoIn,
            Seen = seen,
        };
        return proof with { Trouble = TroubleOf(proof, looked) };
    }

    private RiseCurve Stay() => RiseModel.Along(of.Conditions, [.. Stays()], until, LastLook);

    private IEnumerable<(Place Place, TimeSpan Length)> Stays()
    {
        if (of.Cold > TimeSpan.Zero)
            yield return (of.ColdPlace ?? Places.Fridge, of.Cold);
        var (place, since) = (of.Place, of.Cold);
        foreach (var move in of.Moves.Where(m => m.After > of.Cold))
        {
            yield return (place, move.After - since);
            (place, since) = (move.Place, move.After);
        }
        yield return (of.Here, RiseModel.Horizon);
    }

    private TimeSpan LastLook => of.Looks.IsEmpty ? TimeSpan.Zero : of.Looks[^1].After;

    // What follows from the recipe's minutes, or from those the baker takes: minutes are of the warm proof.
    private PaceBelief Joined(RiseCurve stay, TimeSpan? reckoned)
    {
        if (reckoned is not { } own || own <= of.Cold || of.Recipe is null && of.Taken is null)
            return of.Prior;
        var warm = own - of.Cold;
        var (takes, spread) = of.Prior.With(warm, of.Recipe ?? of.Taken ?? warm);
        var at = stay.At(of.Cold + (of.Taken ?? takes)).Rise;
        return at > 0 ? new(wanted / at, spread) : of.Prior;
    }

    private sealed record SightAt(TimeSpan After, double Modelled, Sight Sight);

    private ImmutableArray<SightAt> SightsOf(RiseCurve looked) =>
        [
            .. of
                .Looks.Select(l => (l.After, Sight: Sight.Of(l.Seen, wanted, of.Rim)))
                .Where(l => l.Sight is not null)
                .Select(l => new SightAt(l.After, looked.At(l.After).Rise, l.Sight!)),
        ];

    private static SeenAt Held(SightAt look, double pace) =>
        new(look.After, look.Sight.Nearest(pace * look.Modelled), look.Modelled);

    private ReadyWindow? WindowOf(RiseCurve curve, Func<double, double> modelled, bool canGoIn)
    {
        var best = TimeTo(modelled(wanted), curve);
        var late = TimeTo(modelled(wanted + Proof.LateBy), curve) ?? RiseModel.Horizon;
        if (canGoIn && IsReady(of.Looks[^1].Seen))
        {
            // Seen ready is ready, whatever was reckoned. Told to go in, it is as good as ever until the oven is hot.
            var isTold = of.Looks[^1].Seen == Seen.GoesIn;
            return new(LastLook, LastLook, Longer(late, isTold ? LastLook + of.Heating : LastLook));
        }
        if (best is not { } reckoned)
            return null;
        var at = Longer(reckoned, LastLook);
        if (canGoIn)
            return new(LastLook, at, Longer(late, at));
        return new(TimeTo(modelled(wanted - Proof.EarlyBy), curve) ?? at, at, Longer(late, at));
    }

    // The first look comes when a fast proof would be nearly there; later ones wait for news.
    private TimeSpan NextLook(RiseCurve curve, Believed belief, ReadyWindow? window, SeenAt? seen)
    {
        var fast = belief.At(FastEdge);
        var nearly = wanted - Proof.EarlyBy;
        var modelled = seen is null ? nearly / fast : seen.Modelled + (nearly - seen.Rise) / fast;
        var look = TimeTo(modelled, curve) ?? RiseModel.Horizon;
        if (of.Looks.IsEmpty)
            return look;
        var last = of.Looks[^1].After;
        var remains = (window?.Best ?? last) - last;
        return Longer(look, last + Longer(Proof.BetweenLooks, remains * WaitedForNews));
    }

    // One standard deviation up.
    private const double FastEdge = .84;

    private (TimeSpan From, TimeSpan To)? LikelyOf(RiseCurve curve, Believed belief, ReadyWindow? window)
    {
        if (window is null || At(.1) is not { } from)
            return null;
        // What is there already is there: then the whole fifth that is left out lies behind.
        if (!of.Looks.IsEmpty && (from <= LastLook || window.Best <= LastLook))
            return (LastLook, Longer(At(.8) ?? RiseModel.Horizon, LastLook));
        return (Shorter(from, window.Best), Longer(At(.9) ?? RiseModel.Horizon, window.Best));

        // Such a share of proofs are there by then.
        TimeSpan? At(double share) => TimeTo(wanted / belief.At(1 - share), curve);
    }

    private ProofTrouble? TroubleOf(Proof proof, RiseCurve looked)
    {
        // What can still be saved comes first.
        if (Enumerable.Range(0, 3).All(i => of.Here.At(TimeSpan.FromMinutes(5 * i), of.Conditions.Room) > Place.TooWarm))
            return ProofTrouble.TooWarm;
        if (of.Looks.Length > 1 && of.Looks.TakeLast(2).All(l => ShowsNothing(l, looked)))
            return ProofTrouble.DeadYeast;
        if (!of.Looks.IsEmpty && IsOver(of.Looks[^1].Seen))
            return ProofTrouble.Over;
        return proof.Window is null ? ProofTrouble.DoesNotRise : null;
    }

    private static bool ShowsNothing(LookTaken look, RiseCurve looked) =>
        look.Seen == Seen.Nothing && looked.At(look.After).Rise >= ShouldShow;

    private bool IsOver(Seen seen) =>
        seen is Seen.Over or Seen.Stays
        || seen is not Seen.AboveRim && Sight.Of(seen, wanted, of.Rim) is { } sight && sight.Middle >= wanted + Proof.OverBy;

    private bool IsReady(Seen seen) =>
        seen == Seen.GoesIn || Sight.Of(seen, wanted, of.Rim) is { } sight && sight.Middle >= wanted - Nearly;

    // So near to the wanted rise is there. Ours.
    private const double Nearly = .05;

    private static TimeSpan? TimeTo(double modelled, RiseCurve curve) => modelled <= 0 ? TimeSpan.Zero : curve.TimeTo(modelled);

    // The moment at which a proof taken out of the oven then and left on the counter for the heating time is just ready.
    private TimeSpan HandOver(RiseCurve stay, double modelled)
    {
        double AtTheDoor(TimeSpan out_) =>
            RiseModel.Simulate(of.Conditions, Places.Counter, stay.At(out_), double.MaxValue, of.Heating).At(of.Heating).Rise;
        var (low, high) = (TimeSpan.Zero, RiseModel.Step * (stay.Points.Count - 1));
        while (high - low > RiseModel.Step / 2)
        {
            var middle = (low + high) / 2;
            (low, high) = AtTheDoor(middle) < modelled ? (middle, high) : (low, middle);
        }
        return Longer(high, of.Since);
    }

    private RiseCurve With(RiseCurve stay, TimeSpan? movedOut)
    {
        if (movedOut is not { } at)
            return stay;
        // Told out of order, it may have left before it was told to have come.
        var steps = (int)Math.Clamp(Math.Round(at / RiseModel.Step), 0, stay.Points.Count - 1);
        var left = LastLook - RiseModel.Step * steps;
        var counter = RiseModel.Simulate(of.Conditions, Places.Counter, stay.Points[steps], until, RiseModel.Horizon, left);
        return new([.. stay.Points.Take(steps), .. counter.Points]);
    }

    private static TimeSpan Longer(TimeSpan a, TimeSpan b) => a > b ? a : b;

    private static TimeSpan Shorter(TimeSpan a, TimeSpan b) => a < b ? a : b;
}
