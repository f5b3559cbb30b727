using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Bakes;

/// <summary>What is being shaped.</summary>
/// <param name="Form">The form given by hand.</param>
/// <param name="Strands">Ropes in one piece.</param>
/// <param name="Tie">What the rope is tied or wound into; null when it is not.</param>
/// <param name="Aim">What to aim for.</param>
/// <param name="RollTo">How far to roll a rope or disc, which shrinks back; null where nothing is rolled.</param>
/// <param name="Pan">Where they go.</param>
/// <param name="Shares">Fillings and toppings shared out among the pieces by weight, in words.</param>
public sealed record ShapeView(
    Form Form,
    int Strands,
    Ties.Kind? Tie,
    Aim Aim,
    Length? RollTo,
    PanLayout? Pan,
    ImmutableArray<string> Shares
)
{
    internal static ShapeView Of(BakeState state, Step step, Voice words)
    {
        var (of, spec) = (state.Chain.Of(step), state.Plan.Spec);
        var (bread, family) = (of.Bread, of.Bread.Family);
        var aim = Sizes.For(family, of.Piece, bread.Pan);
        return new(
            family.Form,
            family.Strands,
            Ties.Of(family),
            aim,
            Sizes.RolledTo(aim),
            bread.Pan is { } pan ? PanLayout.Of(family, of.Piece, of.Batch.Pieces, pan, bread.Touching) : null,
            [
                .. spec
                    .Dough.Parts.Where(p => p.Moment == PartMoment.Shaping)
                    .Select(p => words.Shared(p, state.Station, spec, of.Batch.Cut)),
            ]
        );
    }
}
