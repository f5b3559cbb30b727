// What is predicted of each batch before its steps are made: its proof, its turn in the oven, its bake.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Steps;

/// <summary>Somewhere cold, and so long, before the proofing place.</summary>
/// <param name="Place">Where.</param>
/// <param name="Long">How long.</param>
public sealed record ColdStay(Place Place, TimeSpan Long);

/// <summary>What is predicted of one batch.</summary>
/// <param name="Batch">The batch.</param>
/// <param name="Piece">One piece of it.</param>
/// <param name="Place">Where its second proof stands.</param>
/// <param name="Cold">Where it stands first; null when it goes to its place at once.</param>
/// <param name="Proof">Its second proof.</param>
/// <param name="Window">Its bake.</param>
/// <param name="Wanted">What its middle should reach.</param>
/// <param name="Probed">When the probe says it does, from going in; null while it cannot say.</param>
/// <param name="Finishing">How long hands boil, brush or score it before it goes in.</param>
/// <param name="Turn">How long after the first load of its oven it can go in.</param>
/// <param name="Late">By how much its turn would come after its best, if nothing held it back.</param>
public sealed record Forecast(
    Batch Batch,
    Mass Piece,
    Place Place,
    ColdStay? Cold,
    Proof Proof,
    BakeWindow Window,
    Temperature Wanted,
    DoneBetween? Probed,
    TimeSpan Finishing,
    TimeSpan Turn,
    TimeSpan Late
)
{
    // Less than this is not worth holding back. Ours.
    internal static readonly TimeSpan Unheld = TimeSpan.FromMinutes(2);

    /// <summary>The bread.</summary>
    public Bread Bread => Batch.Bread;

    /// <summary>A probe in its middle says when it is done; what is thin and quick is done by its look.</summary>
    public bool ProbeHelps => !Bread.OnGriddle && Window.Likely >= Probe.UsefulFrom;

    /// <summary>How long it rises on while hands finish it: brushed dough does, bathed dough does not.</summary>
    public TimeSpan RisesMeanwhile => Bread.Family.Bathed ? TimeSpan.Zero : Finishing;
}

/// <summary>Predicts the batches of a bake.</summary>
/// <param name="bake">The bake.</param>
internal sealed class Forecaster(BakeSoFar bake)
{
    private static readonly TimeSpan Moment = TimeSpan.FromMinutes(1);

    // Warm dough takes its time to cool: held for so many times what it has to wait, at the most. Ours.
    private const double HeldAtMost = 2;

    private readonly BakeSpec spec = bake.Spec;
    private readonly SoFar soFar = bake.SoFar;
    private readonly List<Forecast> made = [];

    /// <summary>Every batch, in order: one may have to wait for those before it.</summary>
    public static ImmutableArray<Forecast> All(BakeSoFar bake)
    {
        var forecaster = new Forecaster(bake);
        foreach (var batch in bake.Batches)
            forecaster.made.Add(forecaster.Of(batch));
        return [.. forecaster.made];
    }

    private Forecast Of(Batch batch)
    {
        var (bread, piece) = (batch.Bread, bake.Eaches[batch.Cut]);
        var (window, wanted) = (spec.Window(bread, piece), CoreHeat.Wanted(spec.Formula, bread.Family, spec.BoilsAt));
        var probed = Probe.Done(
            soFar.ProbedAt(batch),
            wanted,
            spec.BoilsAt,
            new(bread.Family.BodyOf(piece), bread.Heat, spec.OvenOf(bread).Fan)
        );
        var (place, finishing) = (PlaceOf(batch), FinishingOf(batch, piece));
        var rises = new ProofCase(Conditions(piece), place, bread.WantedRise(piece))
        {
            Rim = bread.RimFor(piece),
            Prior = spec.Learned.Pace ?? PaceBelief.Prior,
            Recipe = spec.RecipeOf(bread)?.Proof?.Middle,
            Taken = spec.Handling.Times?.Proof,
        };

        var turn = TurnOf(batch);
        var late = LateBy(batch, turn, rises);
        var cold = ColdOf(bread, late, rises);
        var forecast = new Forecast(
            batch,
            piece,
            MovedTo(batch) ?? place,
            cold,
            null!,
            window,
            wanted,
            probed,
            finishing,
            turn,
            late
        );
        return forecast with { Proof = ProofOf(forecast, rises) };
    }

    // Dough from the machine is warm; a lump from the fridge is as cold as that.
    private RiseConditions Conditions(Mass piece)
    {
        var warm = RiseConditions.Of(spec.Formula, piece, spec.Room);
        if (spec.From is not { } lump)
            return warm;
        if (lump.Shaped is { } pieces)
            return pieces.Out(warm, (soFar.When(Milestone.OutOfMachine) ?? Later(soFar.Now, spec.ReadyBy)) - lump.Since);
        return warm with { Dough = Places.Fridge.StartsAt ?? Places.Fridge.Steady ?? warm.Dough };
    }

    private static DateTimeOffset Later(DateTimeOffset now, DateTimeOffset? wanted) => wanted > now ? wanted.Value : now;

    // At its best so long after it was set to proof; null when it does not get there.
    private static TimeSpan? BestAfter(ColdStay? cold, ProofCase rises) =>
        Proof.Predict(rises with { Cold = cold?.Long ?? TimeSpan.Zero, ColdPlace = cold?.Place }).Window?.Best;

    // The proof as it goes, or as it is going, with what was seen and measured.
    private Proof ProofOf(Forecast of, ProofCase rises)
    {
        var batch = of.Batch;
        var started = soFar.When(Milestone.SetToProof, batch.Index);
        var since = started is { } at && soFar.Now > at ? soFar.Now - at : TimeSpan.Zero;
        var moves = started is { } was ? MovesSince(batch, was) : [];
        var place = moves.IsEmpty ? Measured(rises.Place, batch) : rises.Place;
        if (!moves.IsEmpty)
            moves = moves.SetItem(moves.Length - 1, moves[^1] with { Place = Measured(moves[^1].Place, batch) });
        return Proof.Predict(
            rises with
            {
                Place = place,
                Moves = moves,
                Looks = started is { } from ? [.. soFar.LooksAt(batch).Select(l => new LookTaken(l.At - from, l.Seen))] : [],
                Heating = HeatingFor(of),
                MovedOut = soFar.When(Milestone.OvenCleared) - started,
                Since = since,
                Cold = TimeInTheCold(of, started, since),
                ColdPlace = of.Cold?.Place,
            }
        );
    }

    private ImmutableArray<Moved> MovesSince(Batch batch, DateTimeOffset started) =>
        [.. soFar.MovesOf(batch).Select(m => new Moved(m.At - started, Clear(m.To, batch)))];

    private Place? MovedTo(Batch batch) => soFar.MovesOf(batch) is [.., var last] ? Clear(last.To, batch) : null;

    // Only the first batch's dough is in the way of the oven.
    private static Place Clear(Place place, Batch batch) => batch.Index > 0 ? place with { InOven = false } : place;

    private Place Measured(Place place, Batch batch) =>
        soFar.PlaceReadings.TryGetValue(batch.Index, out var reading) ? place with { Steady = reading } : place;

    // From taking the dough out of the oven to the oven being hot, less what hands do meanwhile without its rising.
    private TimeSpan HeatingFor(Forecast of)
    {
        var preheat = spec.Preheat(of.Bread);
        return preheat + Moment * 2 - (of.Finishing - of.RisesMeanwhile);
    }

    // As long as planned, or as long as it was.
    private TimeSpan TimeInTheCold(Forecast of, DateTimeOffset? started, TimeSpan since)
    {
        if (of.Cold is not { Long: var planned })
            return TimeSpan.Zero;
        if (started is not { } began)
            return planned;
        if (soFar.When(Milestone.OutOfCold, of.Batch.Index) is not { } left)
            return planned > since ? planned : since;
        return left > began ? left - began : TimeSpan.Zero;
    }

    // The oven as proofing place is the first batch's; the others must not be in its way. Nothing is in the way of an oven that
    // nothing bakes in.
    private Place PlaceOf(Batch batch)
    {
        if (!spec.Place.InOven)
            return spec.Place;
        if (batch.Index > 0 || batch.Bread.OnGriddle)
            return Places.Counter;
        return bake.Batches.Any(b => b.Bread is { OnGriddle: false, Oven: null })
            ? spec.Place
            : spec.Place with
            {
                InOven = false,
            };
    }

    private TimeSpan FinishingOf(Batch batch, Mass piece)
    {
        var tops = bake.Rules < RuleBook.Finishing ? TimeSpan.Zero : PutOn.LengthOf(spec, batch);
        if (batch.Bread.Family.Bathed)
            return Pot.BathLength(Bath.Boils(spec, batch, piece), spec.Handling.Bath, spec.BoilsASide) + tops;
        var times = (spec.BrushedLast(batch.Bread) ? 1 : 0) + (spec.ScoredLast(batch.Bread) ? 1 : 0);
        return Finish.SecondsEach * batch.Pieces * times + tops;
    }

    // How long after the first load of its oven a batch can go in.
    private TimeSpan TurnOf(Batch batch)
    {
        var oven = spec.OvenOf(batch.Bread);
        if (batch.WaitsFor(bake.Batches, spec.RacksFor(batch.Bread)) is not { } before)
            return TimeSpan.Zero;
        var first = made[before.Index];
        return first.Turn + first.Window.Likely + Moment * 2 + oven.Change(before.Bread.Heat, batch.Bread.Heat);
    }

    // By how much its turn comes after its best, where its baker does something about that. What is shaped after the others is
    // behind them anyway.
    private TimeSpan LateBy(Batch batch, TimeSpan turn, ProofCase rises)
    {
        if (turn <= TimeSpan.Zero || spec.Way.Later == LaterLoads.Wait)
            return TimeSpan.Zero;
        var leads = batch.HeatedFor(bake.Batches).Index;
        if (made[leads].Proof.Window is not { } leading || BestAfter(null, rises) is not { } own)
            return TimeSpan.Zero;
        var shapedBetween = made.Where(f => f.Batch.Index > leads).Select(f => f.Batch).Append(batch);
        var behind = shapedBetween.Aggregate(TimeSpan.Zero, (sum, b) => sum + Shape.LengthOf(b) + Moment);
        return leading.Best + turn - own - behind;
    }

    private ColdStay? ColdOf(Bread bread, TimeSpan late, ProofCase rises)
    {
        if (spec.ColdOf(bread) is { } fridge)
            return new(Places.Fridge, fridge);
        if (spec.Way.Later != LaterLoads.HeldCool || late <= Forecast.Unheld)
            return null;
        return HeldIn(Places.Cool, late, rises) ?? HeldIn(Places.Fridge, late, rises) ?? new(Places.Fridge, late);
    }

    // Held there for so long, in whole minutes, that it is ready when its turn comes, and not before; null when it goes on rising
    // there as warm dough does.
    private static ColdStay? HeldIn(Place where, TimeSpan late, ProofCase rises)
    {
        var atOnce = BestAfter(null, rises);
        TimeSpan? Delays(int minutes) => BestAfter(new(where, Moment * minutes), rises) - atOnce;
        var (low, high) = (0, (int)(late.TotalMinutes * HeldAtMost));
        if (!(Delays(high) >= late))
            return null;
        while (high - low > 1)
        {
            var middle = (low + high) / 2;
            (low, high) = Delays(middle) < late ? (middle, high) : (low, middle);
        }
        return new(where, Moment * high);
    }
}
