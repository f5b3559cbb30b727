using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Bakes;

/// <summary>A moment of a proof as drawn.</summary>
/// <param name="At">When.</param>
/// <param name="Rise">As believed.</param>
/// <param name="Slow">If it is slow: one chance in ten is slower.</param>
/// <param name="Fast">If it is fast.</param>
public sealed record ProofPoint(DateTimeOffset At, double Rise, double Slow, double Fast);

/// <summary>A look as drawn.</summary>
public sealed record ProofLook(DateTimeOffset At, double Rise, string Seen);

/// <summary>How large the dough is now and is to be: as many times as wide as freshly shaped; in a tin, as much of its
/// depth.</summary>
/// <param name="InTin">It stands in a tin.</param>
/// <param name="SetDown">As it was set down.</param>
/// <param name="Now">As it is believed to be.</param>
/// <param name="Wanted">As it is wanted.</param>
public sealed record ProofSize(bool InTin, double SetDown, double Now, double Wanted)
{
    internal static ProofSize Of(double now, double wanted, TinRim? rim)
    {
        double Size(double rise) => rim is null ? Math.Cbrt(1 + rise) : (1 + rise) / (1 + rim.Level);
        return new(rim is not null, Size(0), Size(now), Size(wanted));
    }
}

/// <summary>The second proof.</summary>
/// <param name="Step">The step that set the dough to proof.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="PlaceNow">How warm it is there now, measured or reckoned.</param>
/// <param name="PlaceBelieved">A reading outside this is asked back.</param>
/// <param name="DoughNow">How warm the dough is.</param>
/// <param name="Moves">When it moves, and where to.</param>
/// <param name="Trouble">What goes wrong, and what to do.</param>
/// <param name="Ready">It was seen ready: what now, and at what price it waits; null before.</param>
/// <param name="InAt">When it goes in, as planned.</param>
/// <param name="HoldsUntil">From then on it begins to be over.</param>
/// <param name="Size">How large it is, to be drawn.</param>
public sealed record ProofView(
    StepId Step,
    DateTimeOffset Start,
    double RiseNow,
    double WantedRise,
    DateTimeOffset? Early,
    DateTimeOffset? Best,
    DateTimeOffset? Late,
    DateTimeOffset? LikelyFrom,
    DateTimeOffset? LikelyTo,
    string Place,
    Temperature PlaceNow,
    PlausibleHeat PlaceBelieved,
    Temperature DoughNow,
    ImmutableArray<ProofPoint> Curve,
    ImmutableArray<ProofLook> Looks,
    ImmutableArray<StepLine> Moves,
    string? Trouble,
    string? Ready,
    DateTimeOffset? InAt,
    DateTimeOffset? HoldsUntil,
    ProofSize Size
)
{
    // What goes in so soon goes in now. Ours.
    private static readonly TimeSpan Soon = TimeSpan.FromMinutes(2);

    // What is at its best is so still: no best lies behind.
    private static DateTimeOffset? Later(DateTimeOffset? at, DateTimeOffset now) => at < now ? now : at;

    // Four looks in five are no farther off. Normal distribution.
    private const double ShownError = 1.2816 * Sight.OfEye;

    // A little past its window, in as many points as a screen shows.
    private const int Points = 60;
    private const double ShownPast = 1.15;
    private static readonly TimeSpan ShownWithoutWindow = TimeSpan.FromHours(4);

    internal static ProofView? Of(BakeState state, Voice words, Func<Slot, StepLine> line)
    {
        if (Shown(state) is not { } of || state.SoFar.When(Milestone.SetToProof, of.Batch.Index) is not { } start)
            return null;
        var (proof, wanted) = (of.Proof, of.Bread.WantedRise(of.Piece));
        var since = state.SoFar.Now - start;
        var now = proof.Curve.At(since);
        var place = StandsAt(of, state);
        var heat = HeatAt(place, of, state, start);
        var load = state.Timetable.At(Milestone.In, of.Batch.Index);
        return new(
            Step: state.Chain.At(Milestone.SetToProof, of.Batch.Index)!.Id,
            Start: start,
            RiseNow: proof.RiseAt(since),
            WantedRise: wanted,
            Early: start + proof.Window?.Early,
            Best: Later(start + proof.Window?.Best, state.SoFar.Now),
            Late: start + proof.Window?.Late,
            LikelyFrom: start + proof.Likely?.From,
            LikelyTo: start + proof.Likely?.To,
            Place: place.Name,
            PlaceNow: heat,
            PlaceBelieved: PlausibleHeat.AtAPlace(heat),
            DoughNow: Temperature.FromCelsius(now.Celsius),
            Curve: [.. CurveOf(proof, start, state.SoFar.Now)],
            Looks:
            [
                .. state
                    .SoFar.LooksAt(of.Batch)
                    .Select(l => new ProofLook(
                        l.At,
                        Sight.Of(l.Seen, wanted, of.Bread.RimFor(of.Piece))?.Middle ?? proof.RiseAt(l.At - start),
                        Voice.Of(l.Seen)
                    )),
            ],
            Moves: [.. state.Timetable.Slots.Where(s => MovesIt(s, of.Batch)).Select(line)],
            Trouble: proof.Trouble is { } trouble ? words.Of(trouble, of.Bread.Family) : null,
            Ready: proof.CanGoIn
                ? words.SeenReady(load?.Start <= state.SoFar.Now + Soon, state.Plan.Spec.HotterStart(of.Bread))
                : null,
            InAt: load?.Start,
            HoldsUntil: start + proof.Window?.Late,
            Size: ProofSize.Of(proof.RiseAt(since), wanted, of.Bread.RimFor(of.Piece))
        );
    }

    // The proof that is looked at, or else the first that still goes on.
    private static Forecast? Shown(BakeState state)
    {
        var proving = state
            .Chain.Batches.Where(b =>
                state.SoFar.When(Milestone.SetToProof, b.Batch.Index) is not null
                && state.SoFar.When(Milestone.In, b.Batch.Index) is null
            )
            .ToList();
        return proving.FirstOrDefault(b => b.Batch.Index == state.Now?.Step.Batch) ?? proving.FirstOrDefault();
    }

    private static Place StandsAt(Forecast of, BakeState state)
    {
        var inTheCold = state.Timetable.At(Milestone.InTheCold, of.Batch.Index) is { IsOpen: true };
        return inTheCold && of.Cold is { } cold ? cold.Place : of.Place;
    }

    // Measured, or as it is reckoned since the dough came there.
    private static Temperature HeatAt(Place place, Forecast of, BakeState state, DateTimeOffset start)
    {
        if (state.SoFar.PlaceReadings.TryGetValue(of.Batch.Index, out var measured))
            return measured;
        var came = state.SoFar.MovesOf(of.Batch) is [.., var last]
            ? last.At
            : state.Timetable.At(Milestone.Proving, of.Batch.Index)?.Start;
        var since = state.SoFar.Now - (came ?? start);
        return place.At(since > TimeSpan.Zero ? since : TimeSpan.Zero, state.Plan.Spec.Room);
    }

    private static IEnumerable<ProofPoint> CurveOf(Proof proof, DateTimeOffset start, DateTimeOffset now)
    {
        var (slow, fast) = proof.Belief.FourInFive;
        var until = (proof.Window?.Late ?? ShownWithoutWindow) * ShownPast;
        if (now - start > until)
            until = now - start;
        for (var i = 0; i <= Points; i++)
        {
            var after = until * ((double)i / Points);
            var (rise, modelled) = (proof.RiseAt(after), proof.Curve.At(after).Rise);
            yield return new(start + after, rise, Edge(slow, -1), Edge(fast, 1));

            // From a look on it goes on from there, as coarse as the look is.
            double Edge(double pace, int side)
            {
                var since = proof.Seen is { } seen && after >= seen.After ? seen : null;
                var edge = since is null ? pace * modelled : since.Rise + side * ShownError + pace * (modelled - since.Modelled);
                return Math.Max(0, side < 0 ? Math.Min(rise, edge) : Math.Max(rise, edge));
            }
        }
    }

    private static bool MovesIt(Slot slot, Batch batch) =>
        slot.IsOpen
        && (slot.Step.Is(Milestone.OutOfCold) || slot.Step.Is(Milestone.OvenCleared))
        && (slot.Step.Batch ?? batch.Index) == batch.Index;
}
