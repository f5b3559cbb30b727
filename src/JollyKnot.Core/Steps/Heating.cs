// What bakes a batch is hot when it is wanted: oven, griddle, pot.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Steps;

/// <summary>Griddle on.</summary>
internal sealed class GriddleOn() : BatchRule("griddle-on")
{
    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.SwitchedOn];

    public override bool IsGlance => true;

    /// <summary>There is one in a kitchen.</summary>
    public static Resource Griddle { get; } = new(ResourceKind.Griddle, "");

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (!of.Bread.OnGriddle)
            yield break;
        yield return new(Minutes(1))
        {
            InTimeFor = new(Milestone.In),
            PointlessAfter = new(Milestone.In),
            Occupies = Griddle,
            Calls = true,
            About = new(of.Bread.Pan?.Name, Heat: of.Bread.Heat),
        };
    }
}

/// <summary>The griddle heats, at a low flame.</summary>
internal sealed class GriddleHeats() : BatchRule("griddle-heats")
{
    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Hot];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (!of.Bread.OnGriddle)
            yield break;
        // Bakers' usage.
        yield return new(Minutes(8))
        {
            Waits = [After(Milestone.SwitchedOn, of.Batch.Index)],
            InTimeFor = new(Milestone.In),
            EndedBy = new(Milestone.In),
            Occupies = GriddleOn.Griddle,
            About = new(of.Bread.Pan?.Name),
        };
    }
}

/// <summary>The oven of a batch, when that batch is the one it is heated for.</summary>
/// <param name="Oven">Which.</param>
/// <param name="Heat">What the batch bakes at.</param>
/// <param name="From">What another bake left it at, when it did.</param>
/// <param name="Takes">How long it takes to get there.</param>
/// <param name="Named">The batch its steps are named after: the first oven's are named after none.</param>
internal sealed record Heating(Oven Oven, Temperature Heat, Temperature? From, TimeSpan Takes, int Named)
{
    /// <summary>The dough rises above it: it is on by then.</summary>
    public bool WarmsPlace { get; init; }

    /// <summary>It stands at that heat already.</summary>
    public bool IsThere => From is not null && Takes == TimeSpan.Zero;

    /// <summary>What its steps are about.</summary>
    public About About => new(Oven.Name, Heat: Heat, From: From);

    /// <summary>Heating for a batch; null when it is heated for another, or goes on the griddle.</summary>
    public static Heating? For(BakeSoFar bake, Batch batch)
    {
        if (batch.Bread.OnGriddle || batch.HeatedFor(bake.Batches) != batch)
            return null;
        var (spec, bread) = (bake.Spec, batch.Bread);
        var oven = spec.OvenOf(bread);
        var inOvens = bake.Batches.Where(b => !b.Bread.OnGriddle).ToList();
        var named = inOvens[0] == batch ? 0 : batch.Index;
        // Another bake may have heated it before the first of this one.
        var isFirst = inOvens.First(b => b.Bread.Oven == bread.Oven) == batch;
        if (isFirst && bake.SoFar.Arranged.HotFrom.TryGetValue(oven.Id, out var hot))
            return new(oven, bread.Heat, hot, spec.ChangeTo(hot, bread), named);
        var takes = spec.Preheat(bread);
        return new(oven, bread.Heat, null, takes, named) { WarmsPlace = isFirst && WarmsPlaceOf(bake, batch, takes) };
    }

    // What is hot later than the dough is ready is on sooner anyway.
    private static bool WarmsPlaceOf(BakeSoFar bake, Batch batch, TimeSpan takes)
    {
        var of = bake.Forecasts[batch.Index];
        return bake.Spec.Place.Made == MadeWarm.ByTheHeatingOven
            && bake.SoFar.RulesOf(bake.Spec) >= WarmOn.FromRules
            && of.Cold is null
            && of.Proof.Window?.Early > takes + Moment;
    }

    // Switching it on.
    private static readonly TimeSpan Moment = TimeSpan.FromMinutes(2);
}

/// <summary>Switch the oven on.</summary>
internal sealed class OvenOn() : BatchRule("oven-on")
{
    public override RecipeStage? ToldAt => RecipeStage.Baking;

    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.SwitchedOn];

    public override bool IsGlance => true;

    public override bool IsTurningPoint => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (Heating.For(bake, of.Batch) is not { IsThere: false } heating)
            yield break;
        var dough = bake.Forecasts[0].Proof.OutOfOven is not null && of.Bread.Oven is null;
        yield return new(Minutes(1))
        {
            Named = heating.Named,
            Waits = dough ? [After(Milestone.OvenCleared)] : [],
            InTimeFor = new(heating.WarmsPlace ? Milestone.SetToProof : Milestone.In),
            PointlessAfter = new(Milestone.In),
            Occupies = new(ResourceKind.Oven, heating.Oven.Id),
            Calls = true,
            About = heating.About,
        };
    }
}

/// <summary>The oven heats.</summary>
internal sealed class Preheat() : BatchRule("preheat")
{
    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Hot];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (Heating.For(bake, of.Batch) is not { } heating)
            yield break;
        yield return new(heating.Takes)
        {
            Named = heating.Named,
            Waits = heating.IsThere ? [] : [After(Milestone.SwitchedOn, of.Batch.Index)],
            InTimeFor = heating.WarmsPlace ? null : new(Milestone.In),
            EndedBy = new(Milestone.In),
            Occupies = new(ResourceKind.Oven, heating.Oven.Id),
            About = heating.About,
        };
    }
}

/// <summary>Put the pot on, once for all batches that are boiled.</summary>
internal sealed class PotOn() : BatchRule("pot-on")
{
    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.PotOn];

    public override bool IsGlance => true;

    /// <summary>Whether the pot is put on for this batch.</summary>
    public static bool IsFor(BakeSoFar bake, Batch batch) => bake.Batches.FirstOrDefault(b => b.Bread.Family.Bathed) == batch;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (!IsFor(bake, of.Batch))
            yield break;
        var pot = bake.Spec.Pot;
        yield return new(Minutes(1))
        {
            Named = 0,
            InTimeFor = new(Milestone.TakenUp),
            PointlessAfter = new(Milestone.TakenUp),
            Occupies = new(ResourceKind.Pot, pot.Id),
            Calls = true,
            About = new(pot.Name, bake.Spec.Handling.Bath == PotSchool.InThePot ? bake.Spec.Bath.Soda : null),
        };
    }
}

/// <summary>The pot comes to the boil.</summary>
internal sealed class PotHeats() : BatchRule("pot-heats")
{
    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.PotHot];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (!PotOn.IsFor(bake, of.Batch))
            yield break;
        var (spec, pot) = (bake.Spec, bake.Spec.Pot);
        yield return new(pot.ToBoil(spec.Room, spec.Around.Hob, spec.BoilsAt))
        {
            Named = 0,
            Waits = [After(Milestone.PotOn)],
            InTimeFor = new(Milestone.TakenUp),
            EndedBy = new(Milestone.TakenUp),
            Occupies = new(ResourceKind.Pot, pot.Id),
            About = new(pot.Name),
        };
    }
}
