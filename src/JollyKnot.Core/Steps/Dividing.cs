// Out of the machine and apart: taken out, left to rise, weighed, divided.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Steps;

/// <summary>Tip the dough out.</summary>
internal sealed class TakeOut() : DoughRule("take-out")
{
    public override RecipeStage? ToldAt => RecipeStage.Rising;

    public override Ending? Ending => Steps.Ending.TakeOut;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.OutOfMachine];

    // The machine keeps it warm for a while. Bakers' usage.
    public override TimeSpan? Patience => Minutes(30);

    public override bool BeginsAnew(Step step) => true;

    public override bool IsTurningPoint => true;

    public override Panel Panel => Panel.FirstRise;

    public override Problem? Refuses(StepEvent told) => told is DoughTakenOut ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new DoughTakenOut(step.Id, DoughFeel.Right);

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var machine = bake.Spec.Machine;
        yield return new(Minutes(3))
        {
            Calls = true,
            About = new(machine.Name, Count: machine.Paddles, Length: bake.Spec.Handling.After?.Bulk),
        };
    }
}

/// <summary>It rises on in a bowl.</summary>
internal sealed class Bulk() : DoughRule("bulk")
{
    public override RecipeStage? ToldAt => RecipeStage.Rising;

    public override Lane? Holds => Lane.Proof;

    /// <summary>So long, as told or as planned; zero for not at all.</summary>
    public static TimeSpan Of(BakeSoFar bake) => bake.SoFar.Bulk ?? bake.Spec.Handling.After?.Bulk ?? TimeSpan.Zero;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (Of(bake) <= TimeSpan.Zero)
            yield break;
        yield return new(Of(bake)) { EndedBy = new(Milestone.Weighed), About = new("in a bowl") };
    }
}

/// <summary>Weigh the whole dough.</summary>
internal sealed class WeighDough() : DoughRule("weigh-dough")
{
    public override Ending? Ending => Steps.Ending.Mass;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Weighed];

    // Bakers' usage.
    public override TimeSpan? Patience => Minutes(20);

    public override Problem? Refuses(StepEvent told) => told is DoughWeighed ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new DoughWeighed(step.Id, step.About!.Mass!.Value);

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        yield return new(Minutes(2)) { Calls = Bulk.Of(bake) > TimeSpan.Zero, About = new(Mass: bake.Dough) };
    }
}

/// <summary>Divide by weight.</summary>
internal sealed class Divide() : DoughRule("divide")
{
    public override RecipeStage? ToldAt => RecipeStage.Shaping;

    public override Ending? Ending => Steps.Ending.Parts;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Divided];

    public override bool IsGrip => true;

    public override Panel Panel => Panel.Station;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [Caution.RawDough];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var length = bake
            .Spec.Cuts.Select(c =>
                c.Bread is { Family: var family } ? family.HandsEach * c.Pieces * Family.DividingPart : Minutes(1)
            )
            .Aggregate(TimeSpan.Zero, (sum, t) => sum + t);
        yield return new(length) { About = new(Count: bake.Spec.Parts) };
    }
}

/// <summary>Put a share into the fridge.</summary>
internal sealed class KeepCold() : DoughRule("keep-#")
{
    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var cuts = bake.Spec.Cuts;
        for (var cut = 0; cut < cuts.Length; cut++)
            if (cuts[cut].Bread is null)
                yield return new(Minutes(1)) { Number = cut + 1, About = new(Mass: bake.Eaches[cut] * cuts[cut].Pieces) };
    }
}
