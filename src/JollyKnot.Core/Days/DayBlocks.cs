// A day's work as blocks: beats that follow one another without a wait are one block of hands; and what lies between blocks.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>A block waits for another.</summary>
/// <param name="Block">The other block.</param>
/// <param name="Least">Minutes from its start to the start of this one, at least.</param>
/// <param name="Beside">It is for what is made beside the dough: the dough's patience does not wait for that.</param>
internal sealed record BlockWait(int Block, int Least, bool Beside = false);

/// <summary>Beats that follow one another without a wait.</summary>
/// <param name="Bake">Which bake of the day.</param>
/// <param name="Steps">Their ids; the first is held to the block's start.</param>
/// <param name="InTime">It is done as late as it can be, instead of as soon.</param>
/// <param name="Minutes">How long, rounded up; at least 1.</param>
/// <param name="Hands">It keeps the hands busy all the time.</param>
/// <param name="Waits">What it waits for.</param>
/// <param name="Patience">Minutes it may start after it can; null when it does not mind.</param>
/// <param name="Fixed">When it began, if it has.</param>
/// <param name="From">Not before this minute.</param>
/// <param name="Pin">The minute the baker wants it at; null anywhere.</param>
internal sealed record Block(
    int Bake,
    ImmutableArray<StepId> Steps,
    bool InTime,
    int Minutes,
    bool Hands,
    ImmutableArray<BlockWait> Waits,
    int? Patience,
    int? Fixed,
    int From,
    int? Pin
);

/// <summary>What an oven holds for a while.</summary>
/// <param name="Bake">Which bake.</param>
/// <param name="Oven">Which oven.</param>
/// <param name="From">The block it goes in with.</param>
/// <param name="In">Minutes from that block's start.</param>
/// <param name="Out">The block it comes out with.</param>
/// <param name="Heat">What it bakes at; null for dough that proofs.</param>
/// <param name="Racks">Racks it takes.</param>
/// <param name="FromCold">Minutes from switching the oven on to going in; 0 for dough that proofs.</param>
/// <param name="Room">The kitchen.</param>
/// <param name="Lead">Minutes it is made warm before dough goes in; 0 where it is not.</param>
internal sealed record OvenStay(
    int Bake,
    Oven Oven,
    int From,
    int In,
    int Out,
    Temperature? Heat,
    int Racks,
    int FromCold,
    Temperature Room,
    int Lead = 0
)
{
    /// <summary>Minutes from another bread's heat to its own.</summary>
    public Func<Temperature, int> Turns { get; init; } = _ => 0;
}

/// <summary>A proof between two blocks.</summary>
/// <param name="Batch">Which batch.</param>
/// <param name="From">The block that ends with setting it to proof.</param>
/// <param name="To">The block that ends it.</param>
/// <param name="Early">Minutes from the start of <paramref name="From"/> to the start of <paramref name="To"/> when it can go
/// in.</param>
/// <param name="Best">The same at its best.</param>
/// <param name="Late">The same when it begins to be over.</param>
internal sealed record ProofSpan(int Bake, int Batch, int From, int To, int Early, int Best, int Late);

/// <summary>Trays stand at a place that holds only so many; or pans are in use, of which there are only so many.</summary>
/// <param name="Place">Which place, or which kind of pan.</param>
/// <param name="Holds">Trays at once.</param>
/// <param name="From">The block that sets them there.</param>
/// <param name="In">Minutes from its start.</param>
/// <param name="To">The block that takes them away.</param>
/// <param name="Trays">How many.</param>
internal sealed record PlaceStay(string Place, int Holds, int From, int In, int To, int Trays);

/// <summary>A machine is taken from one block to the next, and emptied.</summary>
/// <param name="After">Minutes from the start of <paramref name="To"/> until it is washed out.</param>
/// <param name="Silent">Minutes from the start of <paramref name="From"/> until it makes a noise.</param>
internal sealed record MachineStay(string Machine, int From, int To, int After, int Silent);

/// <summary>A batch is cool.</summary>
/// <param name="Block">The block it comes out with.</param>
/// <param name="Minutes">Minutes from that block's start.</param>
internal sealed record CoolAt(int Block, int Minutes);

/// <summary>Something is not to be had.</summary>
/// <param name="From">From this minute.</param>
/// <param name="To">Until this one.</param>
internal sealed record Shut(int From, int To);

/// <summary>A day's blocks with everything between them. Minutes are counted from <paramref name="Zero"/>.</summary>
/// <param name="Zero">The minute now.</param>
/// <param name="Blocks">Every block; one waits only for blocks before it, but for what is done in time.</param>
/// <param name="Stays">In the ovens.</param>
/// <param name="Proofs">Between shaping and the oven.</param>
/// <param name="Machines">In the machines.</param>
/// <param name="Rooms">At places that hold only so many.</param>
/// <param name="Ready">For each bake: when each of its batches is cool.</param>
/// <param name="Wanted">For each bake: when it is wanted; null as soon as can be.</param>
/// <param name="Fresh">For each bake: so many minutes it may be cool before it is wanted; null as many as it likes.</param>
/// <param name="Quiet">When no machine may run.</param>
/// <param name="Away">When there are no hands.</param>
internal sealed record DayBlocks(
    DateTimeOffset Zero,
    ImmutableArray<Block> Blocks,
    ImmutableArray<OvenStay> Stays,
    ImmutableArray<ProofSpan> Proofs,
    ImmutableArray<MachineStay> Machines,
    ImmutableArray<PlaceStay> Rooms,
    ImmutableArray<ImmutableArray<CoolAt>> Ready,
    ImmutableArray<int?> Wanted,
    ImmutableArray<int?> Fresh,
    ImmutableArray<Shut> Quiet,
    ImmutableArray<Shut> Away
)
{
    /// <summary>The minute that minutes are counted from.</summary>
    public static DateTimeOffset ZeroOf(DateTimeOffset now) => new(now.Ticks - now.Ticks % TimeSpan.TicksPerMinute, now.Offset);

    /// <summary>Cuts a day into blocks.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had.</param>
    public static DayBlocks Of(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed closed)
    {
        var cutter = new DayCutter(ZeroOf(now));
        for (var i = 0; i < bakes.Length; i++)
            cutter.Add(i, bakes[i]);
        return cutter.Made(bakes, closed);
    }
}
