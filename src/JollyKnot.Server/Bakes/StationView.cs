using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Bakes;

/// <summary>One cut at the station.</summary>
/// <param name="Name">What it becomes.</param>
/// <param name="Shape">The form given by hand; null for a share that is kept.</param>
/// <param name="Spread">Heaviest less lightest so far; null until two are weighed.</param>
/// <param name="BakeBetween">What that does in the oven.</param>
public sealed record StationCut(string Name, Form? Shape, int Pieces, int Strands, int? Spread, TimeSpan? BakeBetween);

/// <summary>Weights in whole scale units.</summary>
/// <param name="From">The lightest.</param>
/// <param name="To">The heaviest.</param>
public sealed record Weights(int From, int To);

/// <summary>The scale station, in whole scale units.</summary>
/// <param name="Balls">A ball of one piece, or of one strand, of each cut, across: what the eye goes by.</param>
/// <param name="Believed">A piece, or strand, of each cut: what is typed outside this is asked back.</param>
/// <param name="NoScale">Nothing is weighed: by ruler or by eye.</param>
/// <param name="EvenOut">Once all are weighed: the fewest pinches that make them even.</param>
public sealed record StationView(
    int Dough,
    int Left,
    int? Next,
    int? Target,
    int? From,
    int? To,
    ImmutableArray<Piece> Pieces,
    ImmutableArray<StationCut> Cuts,
    ScaleUnitView Scale,
    ImmutableArray<Pinch> EvenOut,
    EyeCut Eye,
    bool NoScale,
    ImmutableArray<Length> Balls,
    ImmutableArray<Weights> Believed
)
{
    internal static StationView Of(BakeState state)
    {
        var (station, spec) = (state.Station, state.Plan.Spec);
        var next = station.Next;
        return new(
            Dough: station.Dough,
            Left: station.Left,
            Next: next?.Number,
            Target: next?.Target,
            From: next?.Target - next?.Tolerance,
            To: next?.Target + next?.Tolerance,
            Pieces: station.Pieces,
            Cuts: CutsOf(spec, CutEvenness.Of(spec, station)),
            Scale: Measured.Scale(spec.Step),
            EvenOut: next is null ? Core.Dividing.EvenOut.Of(station.Pieces) : [],
            Eye: EyeCut.Of([.. spec.Cuts.Select(c => c.Group(spec.Step))]),
            NoScale: spec.NoScale,
            Balls: [.. spec.Cuts.Select(c => Sizes.BallAcross(c.Each / c.Strands))],
            Believed: [.. spec.Cuts.Select((_, cut) => BelievedOf(station, cut, spec.Step))]
        );
    }

    internal static ImmutableArray<StationCut> CutsOf(BakeSpec spec, ImmutableArray<CutEvenness> even) =>
        [.. spec.Cuts.Select((cut, i) => CutOf(cut, even.FirstOrDefault(e => e.Cut == i)))];

    // Around what the dough as weighed leaves for each.
    private static Weights BelievedOf(Station station, int cut, Mass step)
    {
        var target = station.Pieces.Where(p => p.Cut == cut).Select(p => p.Target).DefaultIfEmpty(0).Max();
        var believed = Plausible.Around(step * target);
        return new((int)(believed.From / step), (int)(believed.To / step));
    }

    private static StationCut CutOf(Cut cut, CutEvenness? even) =>
        new(
            cut.Bread is { Family.Name: var name } ? name + Voice.Kept(cut.Keep) : "for the fridge",
            cut.Bread?.Family.Form,
            cut.Pieces,
            cut.Strands,
            even?.Evenness.Spread,
            even?.BakeBetween
        );
}
