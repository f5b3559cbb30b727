// What one bake says for the next ones. Kept with it when it closes, so that laying out another reads no logs.
using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Learning;

/// <summary>What the looks at one proof said of its pace, by themselves.</summary>
/// <param name="Place">Where it stood.</param>
/// <param name="LogPace">Mean of the logarithm of the pace; 0 is as the model says.</param>
/// <param name="Variance">Of that mean; over 0.</param>
public sealed record PaceLesson(string Place, double LogPace, double Variance);

/// <summary>How long one load took.</summary>
/// <param name="Oven">In which oven.</param>
/// <param name="LogOff">Logarithm of what it took over what is usual; 0 is as usual.</param>
public sealed record OvenLesson(string Oven, double LogOff);

/// <summary>What one dough wanted at its check.</summary>
/// <param name="Dough">The dough in the book; null when it was in none.</param>
/// <param name="Name">Its name.</param>
/// <param name="Flour">Its main flour.</param>
/// <param name="At">When it came out.</param>
/// <param name="Added">What was added.</param>
/// <param name="Feel">How it felt at take-out; null when nobody said.</param>
/// <param name="OfFlour">Water over flour that went in over the recipe, at loading and at the check, as a share of the flour:
/// over 0 where the flour wanted more water.</param>
/// <param name="Hydration">The recipe's hydration then; null where it was not kept.</param>
public sealed record DoseLesson(
    Guid? Dough,
    string Name,
    string? Flour,
    DateTimeOffset At,
    Dose Added,
    DoughFeel? Feel,
    Share OfFlour,
    Share? Hydration = null
)
{
    /// <summary>The dough's main flour; null when it has none.</summary>
    public static string? MainFlour(Dough dough)
    {
        ArgumentNullException.ThrowIfNull(dough);
        return dough.Rows.Where(r => r.Ingredient.Role == Role.Flour).MaxBy(r => r.Mass)?.Ingredient.Name;
    }
}

/// <summary>What one bake says for the next ones.</summary>
/// <param name="Paces">A lesson for each proof that was looked at.</param>
/// <param name="Ovens">A lesson for each load of an oven.</param>
/// <param name="Dose">What its dough wanted; null when it was not checked.</param>
public sealed record Lessons(ImmutableArray<PaceLesson> Paces, ImmutableArray<OvenLesson> Ovens, DoseLesson? Dose)
{
    // Farther off than this the door was forgotten or the button was; it says nothing of the oven. Ours.
    private static readonly double Believable = Math.Log(1.8);

    // Less than so much is no evidence.
    private const double Least = 1e-6;

    /// <summary>What a bake says.</summary>
    public static Lessons Of(BakeState over)
    {
        ArgumentNullException.ThrowIfNull(over);
        return new([.. PacesOf(over)], [.. OvensOf(over)], DoseOf(over));
    }

    // Reckoned anew without what was believed or read then, and without the dead.
    private static IEnumerable<PaceLesson> PacesOf(BakeState over)
    {
        if (over.Log.Entries.IsEmpty)
            yield break;
        var known = over.Plan.Spec.Learned;
        var spec = over.Plan.Spec with
        {
            Learned = known with { Pace = null },
            Made = over.Plan.Spec.Made with { Dough = over.Plan.Spec.Dough.WithoutPlan() },
            Handling = over.Plan.Spec.Handling with { Times = null },
        };
        var plan = over.Plan with { Spec = spec };
        var state = BakeState.Of(plan, over.Log, over.Log.Entries[^1].At);
        var prior = 1 / (PaceBelief.Prior.Spread * PaceBelief.Prior.Spread);
        foreach (var forecast in state.Chain.Batches)
        {
            // What was moved tells of no one place.
            if (!state.SoFar.MovesOf(forecast.Batch).IsEmpty)
                continue;
            if (state.SoFar.LooksAt(forecast.Batch).IsEmpty || forecast.Proof.Trouble == ProofTrouble.DeadYeast)
                continue;
            // What the looks alone say: the posterior without its prior.
            var belief = forecast.Proof.Belief;
            var all = 1 / (belief.LogSpread * belief.LogSpread);
            var own = all - prior;
            if (own <= Least)
                continue;
            yield return new(plan.Spec.Place.Id, belief.LogMean * all / own, 1 / own);
        }
    }

    private static IEnumerable<OvenLesson> OvensOf(BakeState over)
    {
        if (over.Log.Entries.IsEmpty)
            yield break;
        var spec = over.Plan.Spec with { Learned = Learned.Nothing };
        var soFar = over.Log.SoFar(spec, over.Log.Entries[^1].At);
        var eaches = spec.Eaches(soFar.DoughOf(spec));
        foreach (var batch in spec.Batches.Where(b => !b.Bread.OnGriddle))
        {
            if (soFar.When(Milestone.In, batch.Index) is not { } load || soFar.When(Milestone.Out, batch.Index) is not { } unload)
                continue;
            var took = unload - load - Unload.Takes;
            if (took <= TimeSpan.Zero)
                continue;
            var off = Math.Log(took / spec.Reckoned(batch.Bread, eaches[batch.Cut]).Likely);
            if (Math.Abs(off) <= Believable)
                yield return new(spec.OvenOf(batch.Bread).Id, off);
        }
    }

    private static DoseLesson? DoseOf(BakeState over)
    {
        var (spec, standing) = (over.Plan.Spec, over.Log.Standing());
        var checks = standing.Select(e => e.Event).OfType<DoughChecked>().ToList();
        if (checks.Count == 0 && over.SoFar.OnTable == Doughs.Dose.None)
            return null;
        var added = over.SoFar.AddedOver(spec);
        var takenOut = standing.LastOrDefault(e => e.Event is DoughTakenOut);
        return new(
            spec.Made.Source?.Id,
            spec.Dough.Name,
            DoseLesson.MainFlour(spec.Dough),
            takenOut?.At ?? standing[^1].At,
            added,
            (takenOut?.Event as DoughTakenOut)?.Feel,
            Share.FromFraction((added.Water.Grams - added.Flour.Grams + LoadedOver(over)) / spec.Formula.Flour.Grams),
            spec.Formula.Hydration
        );
    }

    // Water over flour that was weighed in over the recipe, in grams: who pours the hint at loading needs no dose.
    private static double LoadedOver(BakeState over)
    {
        var sum = 0d;
        foreach (var step in over.Plan.Spec.Pan.Steps)
        {
            var off = over.SoFar.WeighedIn.GetValueOrDefault(step.Number, step.Mass).Grams - step.Mass.Grams;
            sum += step.Row.Ingredient.Role switch
            {
                Role.Liquid => off * step.Row.Ingredient.Water,
                Role.Flour => -off,
                _ => 0,
            };
        }
        return sum;
    }
}
