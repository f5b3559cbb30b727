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

/// <summary>Proofing dough was moved.</summary>
/// <param name="Batch">Which batch.</param>
/// <param name="At">When.</param>
/// <param name="To">Where to.</param>
public sealed record MovedTo(int Batch, DateTimeOffset At, Place To);

/// <summary>A look at a proof that was taken.</summary>
/// <param name="Step">Which look.</param>
/// <param name="At">When.</param>
/// <param name="Seen">What was seen.</param>
public sealed record LookedAt(StepId Step, DateTimeOffset At, Seen Seen);

/// <summary>A probe that was read.</summary>
/// <param name="Batch">In which batch.</param>
/// <param name="At">When.</param>
/// <param name="Core">What it said.</param>
public sealed record Probed(int Batch, DateTimeOffset At, Temperature Core);

/// <summary>Everything that has happened. What an event adds to it stands with the event.</summary>
/// <param name="Now">The time now.</param>
public sealed record SoFar(DateTimeOffset Now)
{
    /// <summary>Steps done or skipped.</summary>
    public ImmutableDictionary<StepId, Happened> Steps { get; init; } = ImmutableDictionary<StepId, Happened>.Empty;

    /// <summary>Masses really put in, by the number of the dough's row.</summary>
    public ImmutableDictionary<int, Mass> WeighedIn { get; init; } = ImmutableDictionary<int, Mass>.Empty;

    /// <summary>Dough checks, in order.</summary>
    public ImmutableArray<Checked> Checks { get; init; } = [];

    /// <summary>What was kneaded in on the table.</summary>
    public Dose OnTable { get; init; } = Dose.None;

    /// <summary>The whole dough as weighed; null before.</summary>
    public Mass? Dough { get; init; }

    /// <summary>Piece or strand number to whole scale units.</summary>
    public ImmutableDictionary<int, int> Parts { get; init; } = ImmutableDictionary<int, int>.Empty;

    /// <summary>Looks at the proofs, in order.</summary>
    public ImmutableArray<LookedAt> Looks { get; init; } = [];

    /// <summary>How long it was decided to let the dough rise in a bowl; null when nothing was said.</summary>
    public TimeSpan? Bulk { get; init; }

    /// <summary>How far the dough was seen to have grown when it was taken out; null when nobody said.</summary>
    public Seen? Risen { get; init; }

    /// <summary>What the day holds this bake to.</summary>
    public Arrangement Arranged { get; init; } = Arrangement.Free;

    /// <summary>Rules that its baker took over while it was under way; null when none were.</summary>
    public int? RulesTaken { get; init; }

    /// <summary>Probe readings, in order.</summary>
    public ImmutableArray<Probed> Probes { get; init; } = [];

    /// <summary>Proofing dough that was moved, in order.</summary>
    public ImmutableArray<MovedTo> Moves { get; init; } = [];

    /// <summary>The proofing place as last measured, by batch.</summary>
    public ImmutableDictionary<int, Temperature> PlaceReadings { get; init; } = ImmutableDictionary<int, Temperature>.Empty;

    /// <summary>Nothing has happened yet.</summary>
    public static SoFar Nothing(DateTimeOffset now) => new(now);

    /// <summary>The rules whose steps the bake has.</summary>
    public int RulesOf(BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        return RulesTaken is { } taken && taken > spec.Rules ? taken : spec.Rules;
    }

    /// <summary>When a step was done or skipped; null while it is open.</summary>
    public DateTimeOffset? When(StepId step) => Steps.TryGetValue(step, out var happened) ? happened.At : null;

    /// <summary>When a point of the job was done or skipped; null while it is open.</summary>
    /// <param name="milestone">Which point.</param>
    /// <param name="batch">Of which batch.</param>
    public DateTimeOffset? When(Milestone milestone, int batch = 0)
    {
        foreach (var kind in StepRules.At(milestone))
            if (When(new StepId(kind, batch)) is { } at)
                return at;
        return null;
    }

    /// <summary>When a batch went in, while it is in; null before and after.</summary>
    public DateTimeOffset? InSince(Batch batch)
    {
        ArgumentNullException.ThrowIfNull(batch);
        return When(Milestone.Out, batch.Index) is null ? When(Milestone.In, batch.Index) : null;
    }

    /// <summary>The probe readings of a batch, counted from its loading; empty before.</summary>
    public ImmutableArray<Baking.ProbeReading> ProbedAt(Batch batch)
    {
        ArgumentNullException.ThrowIfNull(batch);
        if (When(Milestone.In, batch.Index) is not { } loaded)
            return [];
        return [.. Probes.Where(p => p.Batch == batch.Index).Select(p => new Baking.ProbeReading(p.At - loaded, p.Core))];
    }

    /// <summary>Where one batch was moved to, in order.</summary>
    public ImmutableArray<MovedTo> MovesOf(Batch batch)
    {
        ArgumentNullException.ThrowIfNull(batch);
        return [.. Moves.Where(m => m.Batch == batch.Index)];
    }

    /// <summary>The looks at one batch, in order.</summary>
    public ImmutableArray<LookedAt> LooksAt(Batch batch)
    {
        ArgumentNullException.ThrowIfNull(batch);
        return [.. Looks.Where(l => l.Step.Batch == batch.Index && !Is(l, Milestone.BowlSeen) && !Is(l, Milestone.RiseSeen))];
    }

    /// <summary>The looks at the dough in its bowl, in order: at its first rise, where hands kneaded it, or after the
    /// machine.</summary>
    /// <param name="seen">Which of the two.</param>
    public IEnumerable<LookedAt> BowlLooks(Milestone seen) => Looks.Where(l => Is(l, seen));

    private static bool Is(LookedAt look, Milestone seen) => StepRules.At(seen).Contains(look.Step.Kind);

    /// <summary>All that went in at checks: flour, and water or the liquid that was held back.</summary>
    public Dose Poured => Checks.Aggregate(Dose.None, (sum, c) => new(sum.Water + c.Dose.Water, sum.Flour + c.Dose.Flour));

    /// <summary>What was added over the recipe, at checks and on the table: liquid that was held back is the recipe's
    /// own.</summary>
    /// <param name="spec">What was decided.</param>
    public Dose AddedOver(BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        var over = Over(Poured.Water, spec.Pan.HeldBack ?? Mass.Zero);
        return new(over + OnTable.Water, Poured.Flour + OnTable.Flour);
    }

    /// <summary>Liquid held back that was not poured in yet.</summary>
    /// <param name="spec">What was decided.</param>
    public Mass HeldLeft(BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        return Over(spec.Pan.HeldBack ?? Mass.Zero, Poured.Water);
    }

    private static Mass Over(Mass all, Mass part) => all > part ? all - part : Mass.Zero;

    /// <summary>The dough: weighed, or expected from what really went in.</summary>
    public Mass DoughOf(BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        if (Dough is { } weighed)
            return weighed;
        var pan = spec.Pan;
        // What was held back goes in at the check.
        var heldBack = Checks.IsEmpty ? pan.HeldBack ?? Mass.Zero : Mass.Zero;
        var wentIn = pan
            .Steps.Select(step => WeighedIn.GetValueOrDefault(step.Number, step.Mass))
            .Concat(pan.AddIns.Select(r => r.Mass))
            .Aggregate(heldBack, (sum, m) => sum + m);
        return Formula.Yield(wentIn + Poured.Water + Poured.Flour) + OnTable.Water + OnTable.Flour;
    }
}
