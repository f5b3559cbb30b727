// Into the oven and out of it.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Steps;

/// <summary>When the oven is free for a batch that cannot go in with those before it.</summary>
/// <param name="Before">The batch that has to come out first.</param>
/// <param name="Change">Then the oven gets from its heat to the next one's.</param>
internal sealed record OvenFree(Batch Before, TimeSpan Change)
{
    /// <summary>From when it can go in.</summary>
    public Wait Wait => new(new(Milestone.Out, Before.Index), Edge.End, Change);

    /// <summary>What a batch waits for in its oven; null when it goes in at once.</summary>
    public static OvenFree? Of(BakeSoFar bake, Batch batch)
    {
        var oven = bake.Spec.OvenOf(batch.Bread);
        if (batch.WaitsFor(bake.Batches, bake.Spec.RacksFor(batch.Bread)) is not { } before)
            return null;
        return new(before, oven.Change(before.Bread.Heat, batch.Bread.Heat));
    }

    /// <summary>From when hands may take a batch up, so that it goes in as soon as the oven is hot and free: what is brushed or
    /// scored does not stand about.</summary>
    public static ImmutableArray<Wait> For(BakeSoFar bake, Forecast of)
    {
        var wait = Of(bake, of.Batch)?.Wait ?? new Wait(Hot(bake, of.Batch));
        return [wait.Sooner(of.Finishing)];
    }

    /// <summary>What bakes a batch is hot.</summary>
    public static Target Hot(BakeSoFar bake, Batch batch) =>
        new(Milestone.Hot, batch.Bread.OnGriddle ? batch.Index : batch.HeatedFor(bake.Batches).Index);
}

/// <summary>Through the soda bath.</summary>
internal sealed class Bath() : BatchRule("bath")
{
    public override RecipeStage? ToldAt => RecipeStage.Boiling;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.TakenUp];

    public override bool IsTurningPoint => true;

    public override Panel Panel => Panel.Bath;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [Caution.BoilingBath];

    /// <summary>How often the pot is filled for a batch.</summary>
    public static int Boils(BakeSpec spec, Batch batch, Mass piece) =>
        Footprint.Of(batch.Bread.Family, piece) is { } one ? spec.Pot.Batches(batch.Pieces, one) : 1;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (!of.Bread.Family.Bathed)
            yield break;
        yield return new(of.Finishing)
        {
            Waits = [After(Milestone.PotHot), .. OvenFree.For(bake, of)],
            Calls = true,
            About = new(
                bake.Spec.Pot.Name,
                bake.Spec.Bath.Soda,
                Count: Boils(bake.Spec, of.Batch, of.Piece),
                Length: bake.Spec.BoilsASide
            ),
        };
    }
}

/// <summary>Turn the oven to the next batch's heat.</summary>
internal sealed class OvenTo() : BatchRule("oven-to")
{
    public override RecipeStage? ToldAt => RecipeStage.Baking;

    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override bool IsTurningPoint => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (OvenFree.Of(bake, of.Batch) is not { } free || free.Change <= TimeSpan.Zero)
            yield break;
        yield return new(TimeSpan.FromSeconds(30))
        {
            Waits = [After(Milestone.Out, free.Before.Index)],
            PointlessAfter = new(Milestone.In),
            Calls = true,
            About = new(bake.Spec.OvenOf(of.Bread).Name, Heat: of.Bread.Heat, From: free.Before.Bread.Heat),
        };
    }
}

/// <summary>Into the oven, or the first on the griddle.</summary>
internal sealed class Load() : BatchRule("load")
{
    public override RecipeStage? ToldAt => RecipeStage.Baking;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.TakenUp, Milestone.In];

    public override bool IsGrip => true;

    public override Lane? GripAt => Lane.Oven;

    public override bool IsTurningPoint => true;

    // What was seen to be ready is not argued with.
    public override bool SuffersEarly(Forecast of) => !of.Proof.CanGoIn;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake)
    {
        var bread = bake.Batches[step.Batch ?? 0].Bread;
        if (bread.Heat > Cautions.HotOver || bread.OnGriddle || bread.Pan?.IsStone == true)
            yield return Caution.HotSurfaces;
        if (bake.Spec.SteamFor(bread) != Steam.None)
            yield return Caution.Steam;
        if (bread.Brushed && bread.Wash.Egg)
            yield return Caution.LeftoverWash;
    }

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var (batch, bread) = (of.Batch, of.Bread);
        yield return new(Minutes(1))
        {
            Waits = [OvenFree.Of(bake, batch)?.Wait ?? new Wait(OvenFree.Hot(bake, batch))],
            Calls = true,
            About = new(
                bread.OnGriddle ? bread.Pan?.Name : bake.Spec.OvenOf(bread).Name,
                Heat: bread.Heat,
                Count: batch.Pieces,
                Length: bread.OnGriddle ? OnGriddle.ASide(of) : null
            ),
        };
    }
}

/// <summary>The bake.</summary>
internal sealed class Bake() : BatchRule("bake")
{
    public override RecipeStage? ToldAt => RecipeStage.Baking;

    public override Lane? Holds => Lane.Oven;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Baking];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        yield return of.Bread.OnGriddle ? AtTheGriddle(of) : InOven(bake, of);
    }

    // One after the other, hands at the griddle all the time.
    private static Draft AtTheGriddle(Forecast of)
    {
        var (bread, rounds) = (of.Bread, OnGriddle.Rounds(of));
        return new((OnGriddle.ASide(of) * 2 + OnGriddle.Changing) * rounds)
        {
            EndedBy = new(Milestone.Out),
            Occupies = Resource.Hands,
            About = new(bread.Pan?.Name, Heat: bread.Heat, Count: rounds, Length: OnGriddle.ASide(of)),
        };
    }

    // The probe knows the middle; the crust is not there before the first look.
    private static Draft InOven(BakeSoFar bake, Forecast of)
    {
        var oven = bake.Spec.OvenOf(of.Bread);
        return new(of.Probed is { } done ? Longer(done.Likely, of.Window.FirstLook) : of.Window.Likely)
        {
            EndedBy = new(Milestone.Out),
            Occupies = new(ResourceKind.Oven, oven.Id),
            About = new(oven.Name, Heat: of.Bread.Heat),
        };
    }
}

/// <summary>What a batch is on the griddle: so many at a time, one side after the other.</summary>
internal static class OnGriddle
{
    /// <summary>Off with some, on with the next. Bakers' usage.</summary>
    public static TimeSpan Changing { get; } = TimeSpan.FromMinutes(1);

    /// <summary>One side.</summary>
    public static TimeSpan ASide(Forecast of) => of.Window.Likely / 2;

    /// <summary>How often the griddle is filled.</summary>
    public static int Rounds(Forecast of) => (of.Batch.Pieces + AtOnce(of) - 1) / AtOnce(of);

    /// <summary>How many are on it in a round, 1 for the first.</summary>
    public static int Pieces(Forecast of, int round) => Math.Min(AtOnce(of), of.Batch.Pieces - (round - 1) * AtOnce(of));

    private static int AtOnce(Forecast of) => of.Bread.AtOnce ?? 1;
}

/// <summary>At the griddle, one after the other: flip these; off with them and on with the next; flip those.</summary>
internal sealed class AtGriddle() : BatchRule("griddle-#")
{
    private static readonly ImmutableArray<Milestone> Flips = [Milestone.Flipped],
        LaysOn = [Milestone.LaidOn];

    public override int Since => 2;

    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [.. Flips, .. LaysOn];

    public override bool IsGlance => true;

    public override Urgency Urgency => Urgency.Burns;

    public override RecipeStage? ToldAt => RecipeStage.Baking;

    /// <summary>The number of the last of them: the last flip.</summary>
    public static int Last(Forecast of) => 2 * OnGriddle.Rounds(of) - 1;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (!of.Bread.OnGriddle)
            yield break;
        for (var number = 1; number <= Last(of); number++)
        {
            var isFlip = number % 2 == 1;
            yield return new(isFlip ? TimeSpan.FromSeconds(30) : OnGriddle.Changing)
            {
                Number = number,
                Waits = [AfterOneSide(of, number)],
                PointlessAfter = new(Milestone.Out),
                Calls = true,
                About = new(of.Bread.Pan?.Name, Count: OnGriddle.Pieces(of, number / 2 + 1), Length: OnGriddle.ASide(of)),
                Marks = isFlip ? Flips : LaysOn,
            };
        }
    }

    private static Wait AfterOneSide(Forecast of, int number)
    {
        var (side, batch) = (OnGriddle.ASide(of), of.Batch.Index);
        if (number == 1)
            return new(new(Milestone.Baking, batch), Edge.Start, side);
        return new(new(number % 2 == 1 ? Milestone.LaidOn : Milestone.Flipped, batch, number - 1), Lag: side);
    }
}

/// <summary>Spray water once more.</summary>
internal sealed class Mist() : BatchRule("mist-#")
{
    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (of.Bread.OnGriddle || bake.Spec.SteamFor(of.Bread) != Steam.Mist)
            yield break;
        var likely = of.Window.Likely;
        var number = 0;
        foreach (var at in Steaming.Mists(likely))
            yield return new(TimeSpan.FromSeconds(30))
            {
                Number = ++number,
                Waits = [new(new(Milestone.Baking), Edge.Start, at)],
                PointlessAfter = new(Milestone.Out),
                UsefulFor = likely / 10,
                Calls = true,
                About = new(Count: number),
            };
    }
}

/// <summary>Turn the tray or flip the piece.</summary>
internal sealed class Turn() : BatchRule("turn")
{
    public override RecipeStage? ToldAt => RecipeStage.Baking;

    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (of.Bread.OnGriddle)
            yield break;
        yield return new(TimeSpan.FromSeconds(30))
        {
            Waits = [new(new(Milestone.Baking), Edge.Start, of.Window.Turn)],
            PointlessAfter = new(Milestone.Out),
            UsefulFor = of.Window.Likely - of.Window.Turn,
            Calls = true,
            About = new(Count: of.Batch.Pieces),
        };
    }
}

/// <summary>First look through the door.</summary>
internal sealed class FirstLook() : BatchRule("first-look")
{
    public override RecipeStage? ToldAt => RecipeStage.Baking;

    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (of.Bread.OnGriddle)
            yield break;
        yield return new(TimeSpan.FromSeconds(30))
        {
            Waits = [new(new(Milestone.Baking), Edge.Start, of.Window.FirstLook)],
            PointlessAfter = new(Milestone.Out),
            UsefulFor = of.Window.Likely - of.Window.FirstLook,
            Calls = true,
        };
    }
}

/// <summary>Out of the oven.</summary>
internal sealed class Unload() : BatchRule("unload")
{
    public override RecipeStage? ToldAt => RecipeStage.Baking;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Oven;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Out];

    // Bread burns.
    public override TimeSpan? Patience => TimeSpan.Zero;

    public override bool SuffersEarly(Forecast of) => true;

    public override Urgency Urgency => Urgency.Burns;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [Caution.CoolDown];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        yield return new(Takes)
        {
            Waits = of.Bread.OnGriddle
                ? [new(new(Milestone.Flipped, of.Batch.Index, AtGriddle.Last(of)), Lag: OnGriddle.ASide(of))]
                : [],
            Calls = true,
            About = new(bake.Spec.OvenOf(of.Bread).Name, Count: of.Batch.Pieces),
        };
    }

    /// <summary>From the end of a bake to saying that all is out. Bakers' usage.</summary>
    public static TimeSpan Takes { get; } = TimeSpan.FromMinutes(1);
}

/// <summary>Brush with butter while hot.</summary>
internal sealed class Butter() : BatchRule("butter")
{
    public override RecipeStage? ToldAt => RecipeStage.Finishing;

    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (!bake.Spec.Way.Buttered || bake.HasOwnButter(of.Bread))
            yield break;
        var pieces = of.Batch.Pieces;
        yield return new(Finish.SecondsEach * pieces)
        {
            Waits = [After(Milestone.Out, of.Batch.Index)],
            PointlessAfter = new(Milestone.Eaten),
            UsefulFor = of.Bread.Family.Cooling,
            Calls = true,
            About = new("butter", Finish.ButterFor(of.Piece, pieces), Count: pieces),
        };
    }
}

/// <summary>Cooling.</summary>
internal sealed class Cool() : BatchRule("cool")
{
    public override RecipeStage? ToldAt => RecipeStage.Cooling;

    public override Lane? Holds => Lane.Rack;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Cooled];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        yield return new(of.Bread.Family.Cooling) { EndedBy = new(Milestone.Eaten) };
    }
}
