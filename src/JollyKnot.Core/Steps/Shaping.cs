// Shaped, finished and set to proof, one batch after the other.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Steps;

/// <summary>Shape.</summary>
internal sealed class Shape() : BatchRule("shape")
{
    public override RecipeStage? ToldAt => RecipeStage.Shaping;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Shaped];

    // Bakers' usage.
    public override TimeSpan? Patience => Minutes(60);

    public override bool IsTurningPoint => true;

    public override Panel Panel => Panel.Shape;

    // The next batch is another piece of work.
    public override bool BeginsAnew(Step step) => step.Batch > 0;

    /// <summary>Shaping a batch, ready hands.</summary>
    public static TimeSpan LengthOf(Batch batch) => batch.Bread.Family.HandsEach * batch.Pieces * (1 - Family.DividingPart);

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var (batch, family, piece) = (of.Batch, of.Bread.Family, bake.Eaches[of.Batch.Cut]);
        var later = ShapedLater(bake, batch);
        var before = batch.Index == 0 ? new Target(Milestone.Divided) : new Target(Milestone.SetToProof, batch.Index - 1);
        var tins = batch.TinsOf(bake.Batches);
        yield return new(LengthOf(batch))
        {
            Calls = later > TimeSpan.Zero || tins is not null,
            Waits =
            [
                .. later > TimeSpan.Zero ? [new Wait(before, Edge.End, later)] : Array.Empty<Wait>(),
                .. tins is null ? [] : new[] { After(Milestone.Out, tins.Index) },
            ],
            About = new(family.Name, piece, Count: batch.Pieces, Aim: Sizes.For(family, piece, batch.Bread.Pan)),
        };
    }

    // By as much as it would wait for the oven, less what those before it waited; where the baker does it so.
    private static TimeSpan ShapedLater(BakeSoFar bake, Batch batch)
    {
        if (bake.Spec.Way.Later != LaterLoads.ShapedLater)
            return TimeSpan.Zero;
        var (delayed, own) = (TimeSpan.Zero, TimeSpan.Zero);
        foreach (var forecast in bake.Forecasts.Take(batch.Index + 1))
        {
            own = forecast.Late - delayed > Forecast.Unheld ? forecast.Late - delayed : TimeSpan.Zero;
            delayed += own;
        }
        return own;
    }
}

/// <summary>Brush the wash on, before the second proof or after it.</summary>
internal sealed class Brush(bool beforeProof) : BatchRule("brush")
{
    public override RecipeStage? ToldAt => RecipeStage.Finishing;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Brushed, Milestone.TakenUp];

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) =>
        bake.Batches[step.Batch ?? 0].Bread.Wash.Egg ? [Caution.RawDough] : [];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var (bread, pieces) = (of.Bread, of.Batch.Pieces);
        if (!bread.Brushed || bake.Spec.Way.WashesFirst != beforeProof)
            yield break;
        yield return new(Finish.SecondsEach * pieces)
        {
            Calls = !beforeProof,
            Waits = beforeProof ? [] : OvenFree.For(bake, of),
            Marks = beforeProof ? [Milestone.Brushed] : null,
            About = new(bread.Wash.Name, Finish.WashFor(bread.Wash, bread.Family, of.Piece, pieces), Count: pieces),
        };
    }
}

/// <summary>Score, before the second proof or after it.</summary>
internal sealed class Score(bool beforeProof) : BatchRule("score")
{
    public override RecipeStage? ToldAt => RecipeStage.Finishing;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.TakenUp];

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [Caution.Blade];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (!of.Bread.Family.Scored || bake.Spec.Way.ScoresFirst != beforeProof)
            yield break;
        // In the same hands as the brush, where it is brushed then.
        var follows = beforeProof || bake.Spec.BrushedLast(of.Bread);
        yield return new(Finish.SecondsEach * of.Batch.Pieces)
        {
            Calls = !follows,
            Waits = follows ? [] : OvenFree.For(bake, of),
            Marks = beforeProof ? [] : null,
            About = new(Count: of.Batch.Pieces),
        };
    }
}

/// <summary>Cover and set to proof.</summary>
internal sealed class StartProof() : BatchRule("start-proof")
{
    public override RecipeStage? ToldAt => RecipeStage.Proofing;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.SetToProof];

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake)
    {
        if (bake.Spec.Place.InOven && step.Batch is null or 0)
            yield return Caution.WarmOvenProof;
        if (bake.Forecasts[step.Batch ?? 0].Proof.Curve.Points.Any(p => p.Celsius > Cautions.DoughTooWarm.Celsius))
            yield return Caution.TooWarm;
    }

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        // What is not warm yet, or not safe, is waited for.
        var warms = WarmedOven.For(bake, of) is not null;
        yield return new(Minutes(1))
        {
            Waits = warms ? [After(Milestone.WarmAndSafe)] : [],
            Calls = warms,
            About = new((of.Cold?.Place ?? of.Place).Name),
        };
    }
}
