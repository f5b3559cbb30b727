using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Bakes;

/// <summary>What becomes of the bread.</summary>
/// <param name="Out">When it came out.</param>
/// <param name="Cooling">How it cools, in words.</param>
/// <param name="Slices">Even shares of one; null for what is eaten whole.</param>
/// <param name="Slice">How wide one is.</param>
/// <param name="Cut">Which cut it is of; 0 for the first.</param>
public sealed record FinishView(
    int Cut,
    string What,
    DateTimeOffset Out,
    int Pieces,
    Mass Baked,
    DateTimeOffset? CutAt,
    string Cooling,
    int? Slices,
    Length? Slice,
    DateTimeOffset? KeepBy,
    DateTimeOffset? FreezeBy,
    bool KeepCold,
    BreadLook Look
)
{
    internal static ImmutableArray<FinishView> Of(BakeState state) =>
        [.. state.Chain.Batches.Select(b => Of(b, state)).OfType<FinishView>()];

    private static FinishView? Of(Forecast of, BakeState state)
    {
        if (state.SoFar.When(Milestone.Out, of.Batch.Index) is not { } came)
            return null;
        var (spec, family) = (state.Plan.Spec, of.Bread.Family);
        var keeping = Keeping.Of(spec.Formula, family, of.Piece, spec.Dough.Spoils, spec.Way.Cooling);
        var slices = Keeping.Slices(family, of.Piece, of.Bread.Pan);
        return new(
            Cut: of.Batch.Cut,
            What: of.Batch.Pieces == 1 ? Voice.One(family.Name) : family.Name,
            Out: came,
            Pieces: of.Batch.Pieces,
            Baked: keeping.Baked,
            CutAt: came + keeping.CutAfter,
            Cooling: Voice.Of(keeping.Cooling),
            Slices: slices?.Count,
            Slice: slices?.Each,
            KeepBy: came + keeping.Keeps,
            FreezeBy: came + Keeping.Frozen,
            KeepCold: keeping.KeepCold,
            Look: spec.LookOf(of.Bread)
        );
    }

    /// <summary>One loaf of a cut in so many slices; null for what is not sliced.</summary>
    internal static Slicing? Sliced(BakeState state, int cut, int count)
    {
        var spec = state.Plan.Spec;
        if (state.Chain.Batches.FirstOrDefault(b => b.Batch.Cut == cut) is not { } of)
            return null;
        if (Keeping.Slices(of.Bread.Family, of.Piece, of.Bread.Pan) is not { } usual)
            return null;
        var keeping = Keeping.Of(spec.Formula, of.Bread.Family, of.Piece, spec.Dough.Spoils, spec.Way.Cooling);
        return Slicing.Of(usual.Each * usual.Count, keeping.Baked, count);
    }
}
