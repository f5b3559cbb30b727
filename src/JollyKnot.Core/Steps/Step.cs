// A bake's steps are data: what happens, what it occupies, how long, what it waits for, what ends it.
// All that is particular to a kind of step stands in its rule.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Steps;

/// <summary>Where the dough is, from the machine down to the table.</summary>
public enum Lane
{
    /// <summary>In a machine.</summary>
    Machine,

    /// <summary>In the baker's hands.</summary>
    Hands,

    /// <summary>At its proofing place.</summary>
    Proof,

    /// <summary>In the oven.</summary>
    Oven,

    /// <summary>On the rack.</summary>
    Rack,

    /// <summary>On the table.</summary>
    Table,
}

/// <summary>Something only one thing can have at a time.</summary>
/// <param name="Kind">What sort.</param>
/// <param name="Id">Which one; empty for the baker's hands.</param>
public sealed record Resource(ResourceKind Kind, string Id)
{
    /// <summary>The baker's hands.</summary>
    public static Resource Hands { get; } = new(ResourceKind.Hands, "");
}

/// <summary>Sorts of resources.</summary>
public enum ResourceKind
{
    /// <summary>The baker.</summary>
    Hands,

    /// <summary>A bread machine.</summary>
    Machine,

    /// <summary>An oven, heating, baking or with dough in it.</summary>
    Oven,

    /// <summary>A pot on the hob.</summary>
    Pot,

    /// <summary>The griddle.</summary>
    Griddle,
}

/// <summary>Which end of a step another waits for.</summary>
public enum Edge
{
    /// <summary>Its start.</summary>
    Start,

    /// <summary>Its end.</summary>
    End,
}

/// <summary>A step waits for an edge of another, and then so long.</summary>
/// <param name="Step">The other step.</param>
/// <param name="Edge">Its start or end.</param>
/// <param name="Lag">And then so long.</param>
public sealed record Link(StepId Step, Edge Edge, TimeSpan Lag = default);

/// <summary>What ends a step that the baker ends. Steps without one are stretches that another step ends.</summary>
public enum Ending
{
    /// <summary>The baker says it is done.</summary>
    Done,

    /// <summary>Yes or no: no means it needs doing again.</summary>
    YesNo,

    /// <summary>A mass is read.</summary>
    Mass,

    /// <summary>Every part is weighed.</summary>
    Parts,

    /// <summary>The dough is judged and dosed.</summary>
    Feel,

    /// <summary>How the dough feels at take-out is told.</summary>
    TakeOut,

    /// <summary>The proof is seen.</summary>
    Look,

    /// <summary>Rated and noted.</summary>
    Review,
}

/// <summary>The figures a step is about; null where it has none.</summary>
/// <param name="Thing">What is handled, or where.</param>
/// <param name="Mass">How much.</param>
/// <param name="Running">How much there is after it.</param>
/// <param name="Heat">How hot.</param>
/// <param name="Count">How many.</param>
/// <param name="Length">How long.</param>
/// <param name="Aim">What a piece is shaped to.</param>
/// <param name="Spot">Where in the pan.</param>
/// <param name="From">How hot it was before.</param>
public sealed record About(
    string? Thing = null,
    Mass? Mass = null,
    Mass? Running = null,
    Temperature? Heat = null,
    int? Count = null,
    TimeSpan? Length = null,
    Shaping.Aim? Aim = null,
    Machines.Spot? Spot = null,
    Temperature? From = null
)
{
    /// <summary>What goes with it, or what it is taken from; null where nothing does.</summary>
    public string? With { get; init; }

    /// <summary>So little that fingers measure it, and no kitchen scale. Ours.</summary>
    public bool IsPinch => Mass < MostOfAPinch;

    private static readonly Mass MostOfAPinch = Measures.Mass.FromGrams(.5);

    /// <summary>It cools to get there.</summary>
    public bool Cools => From > Heat;
}

/// <summary>One step of a bake: what its rule makes of it, put between the others.</summary>
/// <param name="Id">Unique within the bake and stable while it runs.</param>
/// <param name="Length">How long it is likely to take.</param>
/// <param name="After">What it waits for, each of them; the first is the dough's own way.</param>
/// <param name="Ending">What ends it; null for a stretch that runs by itself.</param>
/// <param name="Holds">Where the dough is during it; null when the dough is elsewhere.</param>
/// <param name="Occupies">What it keeps busy.</param>
/// <param name="InTimeFor">It is done as late as it can be for this step to start in time, instead of as soon as it can.</param>
/// <param name="EndedBy">For a stretch: the step whose doing ends it.</param>
/// <param name="Calls">The baker is called when it is due.</param>
/// <param name="UsefulFor">After so long past its due time it is pointless and passes by itself.</param>
/// <param name="PointlessAfter">Once this other step is done it passes by itself.</param>
/// <param name="About">Its figures.</param>
public sealed record Step(
    StepId Id,
    TimeSpan Length,
    ImmutableArray<Link> After,
    Ending? Ending = null,
    Lane? Holds = null,
    ImmutableArray<Resource> Occupies = default,
    StepId? InTimeFor = null,
    StepId? EndedBy = null,
    bool Calls = false,
    TimeSpan? UsefulFor = null,
    StepId? PointlessAfter = null,
    About? About = null
)
{
    /// <summary>What happens.</summary>
    public StepKind Kind => Id.Kind;

    /// <summary>The rule of its kind: all that is particular to it.</summary>
    public StepRule Rule { get; } = StepRules.Of(Id.Kind);

    /// <summary>The batch it belongs to; null for what is done for the whole dough.</summary>
    public int? Batch { get; init; }

    /// <summary>For a stretch that may be cut short: it takes at least so long.</summary>
    public TimeSpan? Least { get; init; }

    /// <summary>The points of the job it is.</summary>
    public ImmutableArray<Milestone> Marks { get; init; } = [];

    /// <summary>Hands can break off for it, so a day is not planned around it. Everything else that is done keeps them
    /// busy.</summary>
    public bool IsGlance => Rule.IsGlance;

    /// <summary>It keeps the hands busy, so that no other such step can be done meanwhile.</summary>
    public bool KeepsHands => Occupies.Contains(Resource.Hands) && !IsGlance && Length > TimeSpan.Zero;

    /// <summary>Eating is no work, though hands end it.</summary>
    public bool IsWork => IsBeat && !Rule.IsTheEnd;

    /// <summary>It can be wanted at a time of its own: what follows on another at once goes with it.</summary>
    public bool CanPin => IsWork && !IsGlance;

    /// <summary>Whether the baker does it, rather than it running by itself.</summary>
    public bool IsBeat => Ending is not null;

    /// <summary>Whether one ingredient is weighed in.</summary>
    public bool WeighsIn => IsBeat && Rule.Usual(this) is IngredientWeighed;

    /// <summary>Whether it is this point of the job.</summary>
    public bool Is(Milestone milestone) => Marks.Contains(milestone);
}
