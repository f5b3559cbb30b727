// The points of a bake that other steps are counted from. A rule says which its step is; nobody asks for a step by its kind.
namespace JollyKnot.Core.Steps;

/// <summary>A point of the job's way.</summary>
public enum Milestone
{
    /// <summary>The starter was fed.</summary>
    Fed,

    /// <summary>What is cold was taken out of the fridge.</summary>
    Fetched,

    /// <summary>The yeast was stirred into its liquid.</summary>
    YeastStirred,

    /// <summary>The yeast has bloomed.</summary>
    Bloomed,

    /// <summary>The first thing goes into the pan.</summary>
    FirstIn,

    /// <summary>The machine is started.</summary>
    Started,

    /// <summary>The dough cycle.</summary>
    Cycle,

    /// <summary>Its first rise in a bowl was looked at.</summary>
    RiseSeen,

    /// <summary>The dough comes out of the machine, or of its first bowl.</summary>
    OutOfMachine,

    /// <summary>It rises in a bowl.</summary>
    InBowl,

    /// <summary>It was looked at there.</summary>
    BowlSeen,

    /// <summary>The whole dough is weighed.</summary>
    Weighed,

    /// <summary>It is divided.</summary>
    Divided,

    /// <summary>Its balls have rested.</summary>
    Rested,

    /// <summary>A share is in the cold.</summary>
    KeptCold,

    /// <summary>A batch is shaped.</summary>
    Shaped,

    /// <summary>The oven is switched on for dough to rise in.</summary>
    WarmingOn,

    /// <summary>It gets warm.</summary>
    Warming,

    /// <summary>It is switched off again.</summary>
    WarmingOff,

    /// <summary>It is warm, and safe for dough.</summary>
    WarmAndSafe,

    /// <summary>A batch is set to proof.</summary>
    SetToProof,

    /// <summary>It is in the cold.</summary>
    InTheCold,

    /// <summary>It comes out of the cold.</summary>
    OutOfCold,

    /// <summary>It proofs.</summary>
    Proving,

    /// <summary>The dough that proofs in the oven is out of it.</summary>
    OvenCleared,

    /// <summary>The oven, or griddle, is switched on.</summary>
    SwitchedOn,

    /// <summary>What bakes it is hot.</summary>
    Hot,

    /// <summary>The pot is put on.</summary>
    PotOn,

    /// <summary>The bath boils.</summary>
    PotHot,

    /// <summary>Hands take the batch up after its proof: to boil, brush, score or load it.</summary>
    TakenUp,

    /// <summary>It is brushed.</summary>
    Brushed,

    /// <summary>It goes in.</summary>
    In,

    /// <summary>It bakes.</summary>
    Baking,

    /// <summary>So many of it are on the griddle.</summary>
    LaidOn,

    /// <summary>They are flipped.</summary>
    Flipped,

    /// <summary>It comes out.</summary>
    Out,

    /// <summary>It is cool.</summary>
    Cooled,

    /// <summary>A filling, topping, wash or butter is made.</summary>
    PartMade,

    /// <summary>It is eaten.</summary>
    Eaten,
}

/// <summary>A step, by what it is in the job.</summary>
/// <param name="Milestone">Which point.</param>
/// <param name="Batch">Of which batch; null is the own batch, or what is done for the whole dough.</param>
/// <param name="Number">Which of several; 0 for any.</param>
public sealed record Target(Milestone Milestone, int? Batch = null, int Number = 0);

/// <summary>A step waits for an edge of another, and then so long.</summary>
/// <param name="For">The other step.</param>
/// <param name="Edge">Its start or end.</param>
/// <param name="Lag">And then so long; below zero that much sooner.</param>
public sealed record Wait(Target For, Edge Edge = Edge.End, TimeSpan Lag = default)
{
    /// <summary>The same, so much sooner.</summary>
    public Wait Sooner(TimeSpan by) => this with { Lag = Lag - by };
}
