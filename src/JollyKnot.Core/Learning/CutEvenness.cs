// How alike the pieces of a bake came out, and what that does in the oven.
using System.Collections.Immutable;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;

namespace JollyKnot.Core.Learning;

/// <summary>How alike the pieces of one cut came out, and what that does.</summary>
/// <param name="Cut">Which cut.</param>
/// <param name="Evenness">In whole scale units.</param>
/// <param name="BakeBetween">Between the lightest and the heaviest being done in the oven; null for what is not baked, or when it
/// is too little to matter.</param>
public sealed record CutEvenness(int Cut, Evenness Evenness, TimeSpan? BakeBetween)
{
    // A difference in the oven that a baker could act on. Ours.
    private static readonly TimeSpan WorthSaying = TimeSpan.FromSeconds(30);

    /// <summary>For every cut of which at least two parts were weighed.</summary>
    public static ImmutableArray<CutEvenness> Of(BakeSpec spec, Station station)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(station);
        return
        [
            .. station
                .Pieces.Where(p => p.Weighed is not null)
                .GroupBy(p => p.Cut)
                .Where(g => g.Count() > 1)
                .Select(g =>
                {
                    var (cut, even) = (spec.Cuts[g.Key], Evenness.Of([.. g.Select(p => p.Weighed!.Value)])!);
                    Mass Piece(int units) => spec.Step * units * cut.Strands;
                    var between =
                        cut.Bread is not { } b || even.Lightest < 1
                            ? TimeSpan.Zero
                            : spec.Window(b, Piece(even.Heaviest)).Likely - spec.Window(b, Piece(even.Lightest)).Likely;
                    return new CutEvenness(g.Key, even, between < WorthSaying ? null : between);
                }),
        ];
    }
}
