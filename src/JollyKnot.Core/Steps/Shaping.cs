// Shaped, finished and set to proof, one batch after the other.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
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

    // The next batch is another piece of work, and so is what was waited for.
    public override bool BeginsAnew(Step step) => step.Batch > 0 || step.Calls;

    /// <summary>Shaping a batch, ready hands.</summary>
    public static TimeSpan LengthOf(Batch batch) => batch.Bread.Family.HandsEach * batch.Pieces * (1 - Family.DividingPart);

    // One piece that is neither weighed nor divided comes straight into the hands.
    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) =>
        step.Batch is null or 0 && IsFirstInHand(bake) ? TakeOut.WasOver(bake) : [];

    private static bool IsFirstInHand(BakeSoFar bake) => !Divide.IsNeeded(bake) && !WeighDough.IsNeeded(bake);

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var (batch, family, piece) = (of.Batch, of.Bread.Family, bake.Eaches[of.Batch.Cut]);
        var later = ShapedLater(bake, batch);
        var before = batch.Index == 0 ? new Target(Milestone.Divided) : new Target(Milestone.SetToProof, batch.Index - 1);
        var tins = batch.TinsOf(bake.Batches);
        var isFirst = batch.Index == 0 && IsFirstInHand(bake);
        if (bake.Spec.IsShaped)
        {
            yield return SetOut(batch, piece);
            yield break;
        }
        yield return new(LengthOf(batch))
        {
            Calls =
                of.Bread.BallsRest > TimeSpan.Zero
                || later > TimeSpan.Zero
                || tins is not null
                || (isFirst && Divide.EndsBowl(bake)),
            Marks = isFirst ? [Milestone.Weighed, Milestone.Divided, Milestone.Shaped] : null,
            Waits =
            [
                .. later > TimeSpan.Zero ? [new Wait(before, Edge.End, later)] : Array.Empty<Wait>(),
                After(Milestone.Rested, batch.Index),
                .. tins is null ? [] : new[] { After(Milestone.Out, tins.Index) },
            ],
            About = new(family.Name, piece, Count: batch.Pieces, Aim: Sizes.For(family, piece, batch.Bread.Pan)),
        };
    }

    // Shaped another day: it is only taken out, and set where it is to rise.
    private static Draft SetOut(Batch batch, Mass piece) =>
        new(SettingEach * batch.Pieces + Minutes(1))
        {
            Calls = true,
            Marks =
                batch.Index == 0
                    ? [Milestone.FirstIn, Milestone.OutOfMachine, Milestone.Weighed, Milestone.Divided, Milestone.Shaped]
                    : null,
            About = new(batch.Bread.Family.Name, piece, Count: batch.Pieces),
        };

    // Out of its bag and onto the tray. Ours.
    private static readonly TimeSpan SettingEach = TimeSpan.FromSeconds(8);

    /// <summary>The sheet that rounds are cut from; null for everything else.</summary>
    internal static RingSheet? SheetOf(BakeSoFar bake, Forecast of)
    {
        if (of.Bread.Family is not { Form: Form.Ring, Thickness: { } thick } family)
            return null;
        return RingSheet.Of(bake.Eaches[of.Batch.Cut] * of.Batch.Pieces, thick, family.Ring ?? RingSheet.UsualRing);
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

/// <summary>Balls rest before they are rolled, or they spring back.</summary>
internal sealed class BallsRest() : BatchRule("balls-rest")
{
    public override int Since => RuleBook.Finishing;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Rested];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var rest = of.Bread.BallsRest;
        if (rest <= TimeSpan.Zero || bake.Spec.IsShaped)
            yield break;
        yield return new(rest)
        {
            Waits = [After(Divide.LastBeforeShaping(bake))],
            EndedBy = new(Milestone.Shaped),
            About = new(of.Bread.Family.Name, Count: of.Batch.Pieces),
        };
    }
}

/// <summary>Gather the scraps of a sheet, roll it again and cut the rest.</summary>
internal sealed class Gather() : BatchRule("gather-#")
{
    public override int Since => RuleBook.Finishing;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override RecipeStage? ToldAt => RecipeStage.Shaping;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (Shape.SheetOf(bake, of) is not { } sheet || bake.Spec.IsShaped)
            yield break;
        var number = 0;
        foreach (var rolling in sheet.Rollings.Skip(1))
            yield return new(of.Bread.Family.HandsEach * rolling.Rings.Length)
            {
                Number = ++number,
                About = new(
                    of.Bread.Family.Name,
                    Count: rolling.Rings.Length,
                    Aim: new(sheet.Ring, null, of.Bread.Family.Thickness)
                ),
            };
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
            About = new(WashName(bake, bread), Finish.WashFor(bread.Wash, bread.Family, of.Piece, pieces), Count: pieces),
        };
    }

    // In the recipe's own words, where it says what it is.
    private static string WashName(BakeSoFar bake, Bread bread)
    {
        var own = bake.Spec.Dough.Parts.FirstOrDefault(p =>
            p.Kind == PartKind.Wash && Washes.MadeOf([.. p.Rows.Select(r => r.Ingredient)]) == bread.Wash
        );
        return bake.Rules < RuleBook.Finishing || own is null ? bread.Wash.Name : own.Contents;
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
