// A warm place that has to be made: the oven heated low and switched off, or on for a minute, in time for the dough.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Steps;

/// <summary>An oven that is made warm for dough.</summary>
/// <param name="Oven">Which.</param>
/// <param name="Heat">What it is heated to; null where it is only on for a moment.</param>
/// <param name="On">How long it is on.</param>
/// <param name="Falls">How long it then falls until it is safe for dough.</param>
internal sealed record WarmedOven(Oven Oven, Temperature? Heat, TimeSpan On, TimeSpan Falls)
{
    /// <summary>What is made warm for a batch; null where its place needs nothing done, or is not the oven.</summary>
    public static WarmedOven? For(BakeSoFar bake, Forecast of)
    {
        var (oven, room) = (bake.Spec.Oven, bake.Spec.Room);
        if (of.Cold is not null || !of.Place.InOven || of.Batch.Index > 0)
            return null;
        if (bake.SoFar.Arranged.StillWarm.Contains(oven.Id))
            return null;
        if (of.Place.Made == MadeWarm.Briefly)
            return new(oven, null, Place.Briefly, TimeSpan.Zero);
        if (of.Place.Made != MadeWarm.HeatedAndOff)
            return null;
        var heat = oven.Nearest(Place.LowHeat);
        var rises = Math.Max(0, heat.Celsius - room.Celsius) / oven.DegreesPerMinute;
        return new(oven, heat, TimeSpan.FromMinutes(rises), Place.SafeAfter(heat, room));
    }

    /// <summary>What its steps are about.</summary>
    public About About => new(Oven.Name, Heat: Heat, Length: On);

    /// <summary>It is the oven that is taken.</summary>
    public Resource Taken => new(ResourceKind.Oven, Oven.Id);
}

/// <summary>Switch the oven on, for the dough to rise in.</summary>
internal sealed class WarmOn() : BatchRule("warm-on")
{
    /// <summary>The rules from which on warm places are made.</summary>
    public const int FromRules = 3;

    public override int Since => FromRules;

    public override RecipeStage? ToldAt => RecipeStage.Proofing;

    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.WarmingOn];

    public override bool IsGlance => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (WarmedOven.For(bake, of) is not { } warmed)
            yield break;
        // Not while the bowl stands in it.
        var bowl = Bulk.Of(bake) > TimeSpan.Zero && Bulk.PlaceOf(bake).InOven;
        yield return new(TimeSpan.FromSeconds(30))
        {
            Waits = bowl ? [After(Milestone.Weighed)] : [],
            InTimeFor = new(Milestone.SetToProof),
            PointlessAfter = new(Milestone.SetToProof),
            Occupies = warmed.Taken,
            Calls = true,
            About = warmed.About,
        };
    }
}

/// <summary>It gets warm.</summary>
internal sealed class GetsWarm() : BatchRule("gets-warm")
{
    public override int Since => WarmOn.FromRules;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Warming];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (WarmedOven.For(bake, of) is not { } warmed)
            yield break;
        yield return new(warmed.On)
        {
            Waits = [After(Milestone.WarmingOn)],
            InTimeFor = new(Milestone.SetToProof),
            EndedBy = new(Milestone.WarmingOff),
            Occupies = warmed.Taken,
            About = warmed.About,
        };
    }
}

/// <summary>Switch it off again.</summary>
internal sealed class WarmOff() : BatchRule("warm-off")
{
    public override int Since => WarmOn.FromRules;

    public override RecipeStage? ToldAt => RecipeStage.Proofing;

    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.WarmingOff];

    public override bool IsGlance => true;

    // It goes on heating.
    public override Urgency Urgency => Urgency.Burns;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (WarmedOven.For(bake, of) is not { } warmed)
            yield break;
        yield return new(TimeSpan.FromSeconds(30))
        {
            Waits = [After(Milestone.Warming)],
            InTimeFor = new(Milestone.SetToProof),
            PointlessAfter = new(Milestone.SetToProof),
            Occupies = warmed.Taken,
            Calls = true,
            About = warmed.About with { Length = warmed.Falls },
        };
    }
}

/// <summary>It falls until dough can go in.</summary>
internal sealed class FallsToSafe() : BatchRule("falls-to-safe")
{
    public override int Since => WarmOn.FromRules;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.WarmAndSafe];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (WarmedOven.For(bake, of) is not { } warmed)
            yield break;
        yield return new(warmed.Falls)
        {
            Waits = [After(Milestone.WarmingOff)],
            InTimeFor = new(Milestone.SetToProof),
            EndedBy = new(Milestone.SetToProof),
            Occupies = warmed.Taken,
            About = warmed.About,
        };
    }
}
