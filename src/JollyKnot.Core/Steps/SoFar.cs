// What has really happened in a bake, as far as the plan for the rest depends on it.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Steps;

/// <summary>A step that is behind us.</summary>
/// <param name="At">When it was done or skipped.</param>
/// <param name="Skipped">It was skipped, not done.</param>
public sealed record Happened(DateTimeOffset At, bool Skipped);

/// <summary>A dough check that was made.</summary>
/// <param name="Feel">What was felt.</param>
/// <param name="Dose">What was added.</param>
public sealed record Checked(DoughFeel Feel, Dose Dose);

/// <summary>Everything that has happened.</summary>
/// <param name="Now">The time now.</param>
/// <param name="Steps">Steps done or skipped, by id.</param>
/// <param name="WeighedIn">Masses really put in, by step id.</param>
/// <param name="Checks">Dough checks, in order.</param>
/// <param name="Dough">The whole dough as weighed.</param>
/// <param name="Parts">Piece or strand number to whole scale units.</param>
/// <param name="Looks">Looks at the proofs by step, in order, with when they were taken.</param>
public sealed record SoFar(
    DateTimeOffset Now,
    ImmutableDictionary<string, Happened> Steps,
    ImmutableDictionary<string, Mass> WeighedIn,
    ImmutableArray<Checked> Checks,
    Mass? Dough,
    ImmutableDictionary<int, int> Parts,
    ImmutableArray<(string Step, DateTimeOffset At, Seen Seen)> Looks)
{
    /// <summary>How long it was decided to let the dough rise in a bowl; null when nothing was said.</summary>
    public TimeSpan? Bulk { get; init; }

    /// <summary>What the day holds this bake to.</summary>
    public Arrangement Arranged { get; init; } = Arrangement.Free;

    /// <summary>Rules that its baker took over while it was under way; null when none were.</summary>
    public int? RulesTaken { get; init; }

    /// <summary>The rules whose steps the bake has.</summary>
    public int RulesOf(BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        return RulesTaken is { } taken && taken > spec.Rules ? taken : spec.Rules;
    }

    /// <summary>Probe readings by the step that loaded, in order.</summary>
    public ImmutableArray<(string Load, DateTimeOffset At, Temperature Core)> Probes { get; init; } = [];

    /// <summary>The proofing place as last measured, by the step that set the dough there.</summary>
    public ImmutableDictionary<string, Temperature> PlaceReadings { get; init; } = ImmutableDictionary<string, Temperature>.Empty;

    /// <summary>When a batch went in, while it is in; null before and after.</summary>
    public DateTimeOffset? InSince(Batch batch)
    {
        ArgumentNullException.ThrowIfNull(batch);
        return When(batch.Step("unload")) is null ? When(batch.Step("load")) : null;
    }

    /// <summary>The probe readings of a batch, counted from its loading; empty before.</summary>
    public ImmutableArray<Baking.ProbeReading> ProbedAt(Batch batch)
    {
        ArgumentNullException.ThrowIfNull(batch);
        var load = batch.Step("load");
        return When(load) is { } loaded ? [.. Probes.Where(p => p.Load == load).Select(p => new Baking.ProbeReading(p.At - loaded, p.Core))] : [];
    }

    /// <summary>The looks at one batch, in order.</summary>
    public ImmutableArray<(string Step, DateTimeOffset At, Seen Seen)> LooksAt(Batch batch)
    {
        ArgumentNullException.ThrowIfNull(batch);
        return [.. Looks.Where((l, _) => batch.Index == 0 ? !l.Step.Contains('@') : l.Step.EndsWith(batch.Step(""), StringComparison.Ordinal))];
    }

    /// <summary>Nothing has happened yet.</summary>
    public static SoFar Nothing(DateTimeOffset now) => new(
        now, ImmutableDictionary<string, Happened>.Empty, ImmutableDictionary<string, Mass>.Empty, [], null,
        ImmutableDictionary<int, int>.Empty, []);

    /// <summary>When a step was done or skipped; null while it is open.</summary>
    public DateTimeOffset? When(string step) => Steps.TryGetValue(step, out var happened) ? happened.At : null;

    /// <summary>All flour and water added at checks.</summary>
    public Dose Added => Checks.Aggregate(Dose.None, (sum, c) => new(sum.Water + c.Dose.Water, sum.Flour + c.Dose.Flour));

    /// <summary>The dough: weighed, or expected from what really went in.</summary>
    public Mass DoughOf(BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        if (Dough is { } weighed) return weighed;
        var pan = spec.Pan;
        var wentIn = pan.Steps.Select(step => WeighedIn.GetValueOrDefault($"weigh-in-{step.Number}", step.Mass))
            .Concat(pan.AddIns.Select(r => r.Mass))
            .Aggregate(Checks.IsEmpty ? pan.HeldBack ?? Mass.Zero : Mass.Zero, (sum, m) => sum + m);
        return Formula.Yield(wentIn + Added.Water + Added.Flour);
    }
}
