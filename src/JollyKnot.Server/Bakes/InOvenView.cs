using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Bakes;

/// <summary>Bread in the oven.</summary>
/// <param name="Load">The step that loaded it.</param>
/// <param name="Wanted">What the middle should reach.</param>
/// <param name="Curve">The middle as reckoned, minute by minute.</param>
/// <param name="Readings">What the probe said.</param>
/// <param name="Done">When it is likely done by the probe; null while the probe cannot say.</param>
/// <param name="DoneFrom">At the soonest.</param>
/// <param name="DoneTo">At the latest.</param>
/// <param name="Believed">A reading outside this is asked back.</param>
/// <param name="ProbeHelps">A probe says when it is done; else its look does.</param>
public sealed record InOvenView(
    StepId Load,
    DateTimeOffset Loaded,
    Temperature Wanted,
    DateTimeOffset FirstLook,
    DateTimeOffset Turn,
    DateTimeOffset Likely,
    DateTimeOffset Latest,
    ImmutableArray<Temperature> Curve,
    ImmutableArray<ProbePoint> Readings,
    DateTimeOffset? Done,
    DateTimeOffset? DoneFrom,
    DateTimeOffset? DoneTo,
    PlausibleHeat Believed,
    bool ProbeHelps
)
{
    internal static InOvenView? Of(BakeState state)
    {
        if (state.Chain.Batches.FirstOrDefault(b => !b.Bread.OnGriddle && state.SoFar.InSince(b.Batch) is not null) is not { } of)
            return null;
        var (spec, batch, window) = (state.Plan.Spec, of.Batch.Index, of.Window);
        var loaded = state.SoFar.InSince(of.Batch)!.Value;
        var (body, heat, fan) = (of.Bread.Family.BodyOf(of.Piece), of.Bread.Heat, spec.OvenOf(of.Bread).Fan);
        var minutes = Enumerable.Range(0, (int)Math.Ceiling(window.Latest.TotalMinutes) + 1).Select(m => TimeSpan.FromMinutes(m));
        return new(
            Load: state.Chain.At(Milestone.In, batch)!.Id,
            Loaded: loaded,
            Wanted: of.Wanted,
            FirstLook: loaded + window.FirstLook,
            Turn: loaded + window.Turn,
            Likely: loaded + window.Likely,
            Latest: loaded + window.Latest,
            Curve: [.. minutes.Select(after => CoreHeat.At(body, heat, fan, after, spec.BoilsAt))],
            Readings: [.. state.SoFar.Probes.Where(p => p.Batch == batch).Select(p => new ProbePoint(p.At, p.Core))],
            Done: loaded + of.Probed?.Likely,
            DoneFrom: loaded + of.Probed?.From,
            DoneTo: loaded + of.Probed?.To,
            Believed: PlausibleHeat.InTheMiddle(CoreHeat.At(body, heat, fan, state.SoFar.Now - loaded, spec.BoilsAt)),
            ProbeHelps: of.ProbeHelps
        );
    }
}

/// <summary>A probe reading.</summary>
public sealed record ProbePoint(DateTimeOffset At, Temperature Core);

/// <summary>The bath, to be followed by ear.</summary>
/// <param name="Say">Said before the first is in.</param>
/// <param name="Beats">One batch after the other.</param>
public sealed record BathView(string Say, ImmutableArray<BathBeat> Beats)
{
    internal static BathView Of(BakeState state, Step step)
    {
        var (of, spec) = (state.Chain.Of(step), state.Plan.Spec);
        var beats = spec.Pot.Beats(
            of.Batch.Pieces,
            Footprint.Of(of.Bread.Family, of.Piece)!,
            spec.Handling.Bath,
            spec.BoilsASide
        );
        return new(
            Voice.Of(beats, spec.BoilsASide),
            [.. beats.Select(b => new BathBeat(Voice.Of(b), b.Act != PotAct.Out, b.Length))]
        );
    }
}

/// <summary>A beat at the pot.</summary>
/// <param name="Say">What to do as it begins.</param>
/// <param name="Boiling">Something is in the pot.</param>
/// <param name="Length">Until the next beat.</param>
public sealed record BathBeat(string Say, bool Boiling, TimeSpan Length);
