// What a kind of step is. Everything particular to a kind stands in its rule, and nowhere else.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Steps;

/// <summary>A step as its rule makes it, before it is put between the others.</summary>
/// <param name="Length">How long it is likely to take.</param>
public sealed record Draft(TimeSpan Length)
{
    /// <summary>Which of several of its kind; 0 where there is only one.</summary>
    public int Number { get; init; }

    /// <summary>The batch in its name, where that is not its own: what serves several is named after none.</summary>
    public int? Named { get; init; }

    /// <summary>What it waits for, besides the dough's own way.</summary>
    public ImmutableArray<Wait> Waits { get; init; } = [];

    /// <summary>Done as late as it can be for this.</summary>
    public Target? InTimeFor { get; init; }

    /// <summary>For a stretch: what ends it.</summary>
    public Target? EndedBy { get; init; }

    /// <summary>Pointless once this is done.</summary>
    public Target? PointlessAfter { get; init; }

    /// <summary>Pointless so long after it was due.</summary>
    public TimeSpan? UsefulFor { get; init; }

    /// <summary>A stretch may be cut short to this.</summary>
    public TimeSpan? Least { get; init; }

    /// <summary>The baker is called.</summary>
    public bool Calls { get; init; }

    /// <summary>What it keeps busy besides hands.</summary>
    public Resource? Occupies { get; init; }

    /// <summary>What it is about.</summary>
    public About? About { get; init; }

    /// <summary>The points of the job it is; those of its kind when null.</summary>
    public ImmutableArray<Milestone>? Marks { get; init; }
}

/// <summary>How much something that is due now presses, in one bench for all bakes.</summary>
public enum Urgency
{
    /// <summary>Bread burns.</summary>
    Burns,

    /// <summary>Hands go on with what they have begun.</summary>
    Usual,

    /// <summary>It can be done at any time.</summary>
    CanWait,
}

/// <summary>A kind of step.</summary>
/// <param name="name">Its name: stable, see <see cref="StepKind"/>.</param>
public abstract class StepRule(string name)
{
    /// <summary>What happens.</summary>
    public StepKind Kind { get; } = new(name);

    /// <summary>The version of the rules it came with: bakes laid out before do not have it.</summary>
    public virtual int Since => 1;

    /// <summary>It is of making dough: a lump that is made already has no use for it.</summary>
    public virtual bool MakesDough => false;

    /// <summary>What ends it, and so what it asks; null for a stretch that runs by itself.</summary>
    public virtual Ending? Ending => null;

    /// <summary>Where the dough is during it: such a step is one on the dough's own way. Null for what is done beside
    /// it.</summary>
    public virtual Lane? Holds => null;

    /// <summary>The points of the job it is.</summary>
    public virtual ImmutableArray<Milestone> Marks => [];

    /// <summary>Hands can break off for it, so a day is not planned around it.</summary>
    public virtual bool IsGlance => false;

    /// <summary>It can be left out or made good: nobody who sleeps or is away is called for it.</summary>
    public virtual bool WakesNobody => false;

    /// <summary>It may be done so much later than it could be; null when it does not mind.</summary>
    public virtual TimeSpan? Patience => null;

    /// <summary>Hands begin anew with it, whatever they did just before.</summary>
    /// <param name="step">The step.</param>
    public virtual bool BeginsAnew(Step step) => false;

    /// <summary>It is made as late as it can be by a day, and holds back what it is for.</summary>
    public virtual bool IsSideJob => false;

    /// <summary>A knot in the strand: a good place to pull at.</summary>
    public virtual bool IsGrip => false;

    /// <summary>Another lane than its own, where the strand is drawn at it; null for its own.</summary>
    public virtual Lane? GripAt => null;

    /// <summary>It is worth a word when a day is told step by step.</summary>
    public virtual bool WorthTelling => true;

    /// <summary>Bread suffers when it is done before its time.</summary>
    /// <param name="of">How its batch is forecast.</param>
    public virtual bool SuffersEarly(Forecast of) => false;

    /// <summary>When the day moves it, that is told.</summary>
    public virtual bool IsTurningPoint => false;

    /// <summary>The bread is eaten: the bake is over with it.</summary>
    public virtual bool IsTheEnd => false;

    /// <summary>How much it presses.</summary>
    public virtual Urgency Urgency => Urgency.Usual;

    /// <summary>What the bench shows beside its sentence.</summary>
    public virtual Panel Panel => Panel.None;

    /// <summary>Where a recipe tells of it; null where none does.</summary>
    public virtual RecipeStage? ToldAt => null;

    /// <summary>What to be careful of at it.</summary>
    /// <param name="step">The step.</param>
    /// <param name="bake">The bake it is of.</param>
    public virtual IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [];

    /// <summary>What stands against ending it so; null when nothing does. Leaving it out is always possible.</summary>
    /// <param name="told">What was told.</param>
    public virtual Problem? Refuses(StepEvent told)
    {
        var isSaid = Ending is Steps.Ending.Done or Steps.Ending.YesNo or Steps.Ending.Parts;
        if (told is StepDone)
            return isSaid ? null : new("needs-answer", "type");
        return new("wrong-event", "type");
    }

    /// <summary>How it usually ends: for the demo, and for whoever goes through a bake.</summary>
    /// <param name="step">The step.</param>
    public virtual StepEvent Usual(Step step)
    {
        ArgumentNullException.ThrowIfNull(step);
        return new StepDone(step.Id);
    }

    /// <summary>The first of its kind.</summary>
    /// <param name="batch">Which batch's.</param>
    /// <param name="number">Which of several; 0 where there is only one.</param>
    public StepId Id(int batch = 0, int number = 0) => new(Kind, batch, number);

    private protected static TimeSpan Minutes(double minutes) => TimeSpan.FromMinutes(minutes);

    private protected static TimeSpan Longer(TimeSpan a, TimeSpan b) => a > b ? a : b;

    private protected static Wait After(Milestone milestone, int? batch = null, int number = 0) =>
        new(new(milestone, batch, number));
}

/// <summary>What the bench shows beside the sentence of a step.</summary>
public enum Panel
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>Doses, and what past checks say.</summary>
    Doses,

    /// <summary>How far the dough has risen in the machine.</summary>
    FirstRise,

    /// <summary>The scale station.</summary>
    Station,

    /// <summary>The scale station, and how a piece is shaped.</summary>
    Shape,

    /// <summary>The beats at the pot.</summary>
    Bath,
}

/// <summary>A kind of step of the whole dough.</summary>
/// <inheritdoc cref="StepRule(string)"/>
public abstract class DoughRule(string name) : StepRule(name)
{
    /// <summary>The steps of this kind that a bake has, in order; none where it has no need of it.</summary>
    /// <param name="bake">The bake.</param>
    public abstract IEnumerable<Draft> StepsOf(BakeSoFar bake);
}

/// <summary>A kind of step of each batch.</summary>
/// <inheritdoc cref="StepRule(string)"/>
public abstract class BatchRule(string name) : StepRule(name)
{
    /// <summary>The steps of this kind that a batch has, in order; none where it has no need of it.</summary>
    /// <param name="bake">The bake.</param>
    /// <param name="of">The batch, as predicted.</param>
    public abstract IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of);
}

/// <summary>A kind that no rule has: kept by another version, and shown as it was.</summary>
internal sealed class UnknownRule(StepKind kind) : DoughRule(kind.ToString())
{
    public override IEnumerable<Draft> StepsOf(BakeSoFar bake) => [];
}
