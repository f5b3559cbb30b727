// The second proof of a batch: cold first, then warm, looked at, and out of the oven it needs.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Steps;

/// <summary>Slowly, in the cold.</summary>
internal sealed class ColdProof() : BatchRule("cold")
{
    public override Lane? Holds => Lane.Proof;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.InTheCold];

    /// <summary>So long as planned, or as it was; zero for not at all.</summary>
    public static TimeSpan LengthOf(BakeSoFar bake, Forecast of)
    {
        if (of.Cold is not { } stay)
            return TimeSpan.Zero;
        var (began, left) = (
            bake.SoFar.When(Milestone.SetToProof, of.Batch.Index),
            bake.SoFar.When(Milestone.OutOfCold, of.Batch.Index)
        );
        return left - began is { } was ? Longer(was, TimeSpan.Zero) : stay.Long;
    }

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (of.Cold is not { } stay)
            yield break;
        yield return new(LengthOf(bake, of)) { EndedBy = new(Milestone.OutOfCold), About = new(stay.Place.Name) };
    }
}

/// <summary>Out of the cold, to its place.</summary>
internal sealed class OutOfCold() : BatchRule("warm-up")
{
    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Proof;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.OutOfCold];

    // Bakers' usage.
    public override TimeSpan? Patience => Minutes(10);

    public override bool IsGrip => true;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [Caution.ColdGlass];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (of.Cold is null)
            yield break;
        yield return new(Minutes(1)) { Calls = true, About = new(of.Place.Name) };
    }
}

/// <summary>The second proof.</summary>
internal sealed class SecondProof() : BatchRule("proof")
{
    public override RecipeStage? ToldAt => RecipeStage.Proofing;

    public override Lane? Holds => Lane.Proof;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Proving];

    /// <summary>From setting it to proof to taking it up at its best; past all patience where it does not get there.</summary>
    public static TimeSpan Best(Forecast of) =>
        Longer((of.Proof.Window?.Best ?? RiseModel.Horizon) - of.RisesMeanwhile, Minutes(1));

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var (best, cold) = (Best(of), ColdProof.LengthOf(bake, of));
        if (of.Proof.OutOfOven is { } leaves)
        {
            yield return new(Longer(leaves - cold, TimeSpan.Zero))
            {
                EndedBy = new(Milestone.OvenCleared),
                Occupies = new(ResourceKind.Oven, bake.Spec.Oven.Id),
                About = new(of.Place.Name),
            };
            yield break;
        }
        // It may go in from the early end of its window; what stands in the cold has its own end.
        var early = of.Proof.Window is { } window && of.Cold is null ? window.Best - window.Early : (TimeSpan?)null;
        yield return new(Longer(best - cold, Minutes(1)))
        {
            EndedBy = new(Milestone.TakenUp),
            Least = early is { } sooner ? Longer(best - sooner, Minutes(1)) : null,
            About = new(of.Place.Name),
        };
    }
}

/// <summary>Look at the proof, until it can go in.</summary>
internal sealed class LookAtProof() : BatchRule("look-#")
{
    public override RecipeStage? ToldAt => RecipeStage.Proofing;

    public override Ending? Ending => Steps.Ending.Look;

    public override bool IsGlance => true;

    public override Problem? Refuses(StepEvent told) => told is ProofLooked ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new ProofLooked(step.Id, Seen.Doubled);

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var taken = bake.SoFar.LooksAt(of.Batch);
        var next = Longer(of.Proof.NextLook - ColdProof.LengthOf(bake, of), TimeSpan.Zero);
        for (var number = 1; number <= taken.Length + 1; number++)
        {
            var isNext = number > taken.Length;
            if (isNext && (of.Proof.CanGoIn || of.Proof.OnlyRests))
                yield break;
            yield return new(Minutes(1))
            {
                Number = number,
                Waits = [new(new(Milestone.Proving), Edge.Start, isNext ? next : TimeSpan.Zero)],
                PointlessAfter = new(Milestone.TakenUp),
                Calls = true,
                About = new(of.Place.Name, Count: number),
            };
        }
    }
}

/// <summary>Take the proofing dough out of the oven.</summary>
internal sealed class ClearOven() : BatchRule("clear-oven")
{
    public override RecipeStage? ToldAt => RecipeStage.Proofing;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Proof;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.OvenCleared];

    // Bakers' usage.
    public override TimeSpan? Patience => Minutes(10);

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (of.Proof.OutOfOven is null)
            yield break;
        yield return new(Minutes(1)) { Calls = true, About = new(bake.Spec.Oven.Name) };
    }
}

/// <summary>The proof goes on while the oven heats.</summary>
internal sealed class ProofOnCounter() : BatchRule("proof-counter")
{
    public override Lane? Holds => Lane.Proof;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        if (of.Proof.OutOfOven is not { } left)
            yield break;
        var rest = SecondProof.Best(of) - left - Minutes(1);
        yield return new(Longer(rest, Minutes(1))) { EndedBy = new(Milestone.TakenUp), About = new(Places.Counter.Name) };
    }
}
