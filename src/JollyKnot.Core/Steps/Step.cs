// A bake's steps are data: what happens, what it occupies, how long, what it waits for, what ends it.
// Screens know endings, not steps; a new side job, rest or load is one more row.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Steps;

/// <summary>What happens in a step.</summary>
public enum StepKind
{
    /// <summary>Feed the starter.</summary>
    FeedStarter,
    /// <summary>The starter ripens.</summary>
    StarterRipens,
    /// <summary>Take out of the fridge what is to be as warm as the room.</summary>
    FetchOut,
    /// <summary>It comes to the room.</summary>
    ComesToRoom,
    /// <summary>Make a filling, topping, wash or butter.</summary>
    MakePart,
    /// <summary>It cools.</summary>
    PartCools,
    /// <summary>Stir the yeast into warm liquid.</summary>
    Bloom,
    /// <summary>It blooms.</summary>
    Blooms,
    /// <summary>Put the paddle in.</summary>
    Paddle,
    /// <summary>Weigh one ingredient in.</summary>
    WeighIn,
    /// <summary>Press start.</summary>
    StartCycle,
    /// <summary>The machine waits for its timer.</summary>
    Timer,
    /// <summary>The dough cycle runs.</summary>
    Cycle,
    /// <summary>Knead by hand.</summary>
    Knead,
    /// <summary>See that the paddle turns.</summary>
    PaddleTurns,
    /// <summary>Judge the dough and dose.</summary>
    Check,
    /// <summary>Add-ins at the beep.</summary>
    AddIns,
    /// <summary>Tip the dough out.</summary>
    TakeOut,
    /// <summary>It rises on in a bowl.</summary>
    Bulk,
    /// <summary>Weigh the whole dough.</summary>
    WeighDough,
    /// <summary>Divide by weight.</summary>
    Divide,
    /// <summary>Put a share into the fridge.</summary>
    KeepCold,
    /// <summary>Shape.</summary>
    Shape,
    /// <summary>Cover and set to proof.</summary>
    StartProof,
    /// <summary>Slowly, in the fridge.</summary>
    ColdProof,
    /// <summary>Out of the fridge, to its place.</summary>
    OutOfFridge,
    /// <summary>The second proof.</summary>
    Proof,
    /// <summary>Look at the proof.</summary>
    Look,
    /// <summary>Take the proofing dough out of the oven.</summary>
    ClearOven,
    /// <summary>The proof goes on while the oven heats.</summary>
    ProofOnCounter,
    /// <summary>Switch the oven on.</summary>
    OvenOn,
    /// <summary>The oven heats.</summary>
    Preheat,
    /// <summary>Put the pot on.</summary>
    PotOn,
    /// <summary>The pot comes to the boil.</summary>
    PotHeats,
    /// <summary>Through the soda bath.</summary>
    Bath,
    /// <summary>Brush the wash on.</summary>
    Brush,
    /// <summary>Score.</summary>
    Score,
    /// <summary>Griddle on.</summary>
    GriddleOn,
    /// <summary>The griddle heats.</summary>
    GriddleHeats,
    /// <summary>Into the oven, or the first on the griddle.</summary>
    Load,
    /// <summary>The bake.</summary>
    Bake,
    /// <summary>Turn the tray or flip the piece.</summary>
    Turn,
    /// <summary>Spray water once more.</summary>
    Mist,
    /// <summary>First look through the door.</summary>
    FirstLook,
    /// <summary>Out of the oven.</summary>
    Unload,
    /// <summary>Brush with butter while hot.</summary>
    Butter,
    /// <summary>Cooling.</summary>
    Cool,
    /// <summary>Ready to eat: rate it and note.</summary>
    Review,
}

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
/// <param name="Step">The other step's id.</param>
/// <param name="Edge">Its start or end.</param>
/// <param name="Lag">And then so long.</param>
public sealed record Link(string Step, Edge Edge, TimeSpan Lag = default);

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
public sealed record About(
    string? Thing = null, Mass? Mass = null, Mass? Running = null, Temperature? Heat = null, int? Count = null,
    TimeSpan? Length = null, Shaping.Aim? Aim = null, Machines.Spot? Spot = null, Temperature? From = null);

/// <summary>One step of a bake.</summary>
/// <param name="Id">Unique within the bake and stable while it runs, such as <c>weigh-in-3</c>.</param>
/// <param name="Kind">What happens.</param>
/// <param name="Length">How long it is likely to take.</param>
/// <param name="After">What it waits for, each of them.</param>
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
    string Id, StepKind Kind, TimeSpan Length, ImmutableArray<Link> After, Ending? Ending = null, Lane? Holds = null,
    ImmutableArray<Resource> Occupies = default, string? InTimeFor = null, string? EndedBy = null, bool Calls = false,
    TimeSpan? UsefulFor = null, string? PointlessAfter = null, About? About = null)
{
    /// <summary>The batch it belongs to; null for what is done for the whole dough.</summary>
    public int? Batch { get; init; }

    /// <summary>For a stretch that may be cut short: it takes at least so long.</summary>
    public TimeSpan? Least { get; init; }

    /// <summary>Hands can break off for it, so a day is not planned around it. Everything else that is done keeps them busy.</summary>
    public bool IsGlance => Kind is StepKind.OvenOn or StepKind.PotOn or StepKind.GriddleOn or StepKind.PaddleTurns or StepKind.AddIns
        or StepKind.Look or StepKind.Turn or StepKind.FirstLook or StepKind.Mist or StepKind.Butter or StepKind.Knead or StepKind.FeedStarter or StepKind.FetchOut;

    /// <summary>It can be left out or made good: nobody who sleeps or is away is called for it.</summary>
    public bool WakesNobody => Kind is StepKind.FetchOut or StepKind.FeedStarter;

    /// <summary>It keeps the hands busy, so that no other such step can be done meanwhile.</summary>
    public bool KeepsHands => Occupies.Contains(Resource.Hands) && !IsGlance && Length > TimeSpan.Zero;

    /// <summary>It can be wanted at a time of its own: what follows on another at once goes with it.</summary>
    public bool CanPin => IsBeat && Kind != StepKind.Review && !IsGlance;

    /// <summary>Whether the baker does it, rather than it running by itself.</summary>
    public bool IsBeat => Ending is not null;
}
