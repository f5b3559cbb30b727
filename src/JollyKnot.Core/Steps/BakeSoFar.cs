// What a rule is given: what was decided, what has happened, and what follows from both before there are steps.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;

namespace JollyKnot.Core.Steps;

/// <summary>A bake, before its steps are made.</summary>
public sealed class BakeSoFar
{
    /// <summary>A bake.</summary>
    /// <param name="spec">What was decided.</param>
    /// <param name="soFar">What has happened.</param>
    public BakeSoFar(BakeSpec spec, SoFar soFar)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(soFar);
        (Spec, SoFar) = (spec, soFar);
        Pan = spec.Pan;
        Batches = spec.Batches;
        Dough = soFar.DoughOf(spec);
        Eaches = spec.Eaches(Dough);
        Forecasts = Forecaster.All(this);
    }

    /// <summary>What was decided.</summary>
    public BakeSpec Spec { get; }

    /// <summary>What has happened.</summary>
    public SoFar SoFar { get; }

    /// <summary>The rules its steps are made by.</summary>
    public int Rules => SoFar.RulesOf(Spec);

    /// <summary>What is brushed on a bread when it is hot stands in its recipe, and has a beat of its own.</summary>
    internal bool HasOwnButter(Bread bread) =>
        Rules >= RuleBook.Finishing
        && Spec.Dough.Parts.Any(p => p.Kind == PartKind.Butter && bread.IsGiven(Spec.Dough.Parts.IndexOf(p) + 1));

    /// <summary>How the pan is loaded.</summary>
    public PanLoad Pan { get; }

    /// <summary>What goes into the oven, in order.</summary>
    public ImmutableArray<Batch> Batches { get; }

    /// <summary>The dough: weighed, or expected.</summary>
    public Mass Dough { get; }

    /// <summary>One piece of each cut.</summary>
    public ImmutableArray<Mass> Eaches { get; }

    /// <summary>What is predicted of each batch.</summary>
    public ImmutableArray<Forecast> Forecasts { get; }
}

/// <summary>The steps of a bake with what they were made for.</summary>
/// <param name="Steps">Every step; one waits only for steps before it in this list, or is in time for a later one.</param>
/// <param name="Bake">What they were made for.</param>
public sealed record ChainOfSteps(ImmutableArray<Step> Steps, BakeSoFar Bake)
{
    /// <summary>Each batch as predicted, in order.</summary>
    public ImmutableArray<Forecast> Batches => Bake.Forecasts;

    /// <summary>The batch a step belongs to; the first where it belongs to all.</summary>
    public Forecast Of(Step step)
    {
        ArgumentNullException.ThrowIfNull(step);
        return Batches[step.Batch ?? 0];
    }

    /// <summary>The step that is this point of the job; null where the bake has none.</summary>
    /// <param name="milestone">Which point.</param>
    /// <param name="batch">Of which batch; null is any.</param>
    public Step? At(Milestone milestone, int? batch = null) =>
        Steps.FirstOrDefault(s => s.Is(milestone) && (batch is null || s.Batch == batch));
}
