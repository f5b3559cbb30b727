// A day's work cut into blocks: beats that follow one another without a wait are one block of hands, and what it waits for.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>One bake of a day.</summary>
/// <param name="Spec">What was decided.</param>
/// <param name="SoFar">What has happened, and the time now.</param>
/// <param name="Start">When its first step is planned.</param>
public sealed record DayBake(BakeSpec Spec, SoFar SoFar, DateTimeOffset Start)
{
    // Worked out once for each pair of what was decided and what has happened; a copy with another of either works out its own.
    private (BakeSpec Spec, SoFar SoFar, ChainOfSteps Chain)? made;

    /// <summary>Its steps.</summary>
    public ChainOfSteps Chain
    {
        get
        {
            if (made is not { } m || !ReferenceEquals(m.Spec, Spec) || !ReferenceEquals(m.SoFar, SoFar)) made = m = (Spec, SoFar, Scheduling.Chain.Of(Spec, SoFar));
            return m.Chain;
        }
    }

    /// <summary>Its steps in time, as things stand.</summary>
    public Timetable Timetable => Timetable.Of(Chain.Steps, SoFar, Start);
}

/// <summary>A block waits for another.</summary>
/// <param name="Block">The other block.</param>
/// <param name="Least">Minutes from its start to the start of this one, at least.</param>
internal sealed record Wait(int Block, int Least);

/// <summary>Beats that follow one another without a wait.</summary>
/// <param name="Bake">Which bake of the day.</param>
/// <param name="Steps">Their ids; the first is held to the block's start.</param>
/// <param name="Kind">The kind of the first.</param>
/// <param name="Minutes">How long, rounded up; at least 1.</param>
/// <param name="Hands">It keeps the hands busy all the time.</param>
/// <param name="Waits">What it waits for.</param>
/// <param name="Patience">Minutes it may start after it can; null when it does not mind.</param>
/// <param name="Fixed">When it began, if it has.</param>
/// <param name="From">Not before this minute.</param>
/// <param name="Pin">The minute the baker wants it at; null anywhere.</param>
internal sealed record Block(int Bake, ImmutableArray<string> Steps, StepKind Kind, int Minutes, bool Hands, ImmutableArray<Wait> Waits, int? Patience, int? Fixed, int From, int? Pin)
{
    /// <summary>Whether it is done as late as it can be, instead of as soon.</summary>
    public bool InTime => Kind is StepKind.MakePart;
}

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
internal sealed record OvenStay(int Bake, Oven Oven, int From, int In, int Out, Temperature? Heat, int Racks, int FromCold, Temperature Room);

/// <summary>A proof between two blocks.</summary>
/// <param name="Batch">Which batch.</param>
/// <param name="From">The block that ends with setting it to proof.</param>
/// <param name="To">The block that ends it.</param>
/// <param name="Early">Minutes from the start of <paramref name="From"/> to the start of <paramref name="To"/> when it can go in.</param>
/// <param name="Best">The same at its best.</param>
/// <param name="Late">The same when it begins to be over.</param>
internal sealed record ProofSpan(int Bake, int Batch, int From, int To, int Early, int Best, int Late);

/// <summary>Trays stand at a place that holds only so many.</summary>
/// <param name="Place">Which.</param>
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

/// <summary>A day's blocks with everything between them. Minutes are counted from <paramref name="Zero"/>.</summary>
/// <param name="Zero">The minute now.</param>
/// <param name="Blocks">Every block; one waits only for blocks before it, but for what is done in time.</param>
/// <param name="Stays">In the ovens.</param>
/// <param name="Proofs">Between shaping and the oven.</param>
/// <param name="Machines">In the machines.</param>
/// <param name="Rooms">At places that hold only so many.</param>
/// <param name="Ready">For each bake: block and minutes from its start until all is cool, for each of its batches.</param>
/// <param name="Wanted">For each bake: when it is wanted; null as soon as can be.</param>
/// <param name="Fresh">For each bake: so many minutes it may be cool before it is wanted; null as many as it likes.</param>
/// <param name="Quiet">When no machine may run.</param>
/// <param name="Away">When there are no hands.</param>
internal sealed record DayBlocks(
    DateTimeOffset Zero, ImmutableArray<Block> Blocks, ImmutableArray<OvenStay> Stays, ImmutableArray<ProofSpan> Proofs, ImmutableArray<MachineStay> Machines, ImmutableArray<PlaceStay> Rooms,
    ImmutableArray<ImmutableArray<(int Block, int Minutes)>> Ready, ImmutableArray<int?> Wanted, ImmutableArray<int?> Fresh,
    ImmutableArray<(int From, int To)> Quiet, ImmutableArray<(int From, int To)> Away)
{
    // A machine is washed out after the dough, min. Bakers' usage.
    private const int Emptying = 10;

    // How long a block may wait after it could begin, min. The machine keeps dough warm for a while; a check has its window. Bakers' usage.
    private static int? PatienceOf(Step step) => step.Kind switch
    {
        StepKind.Check => 4,
        StepKind.TakeOut => 30,
        StepKind.WeighDough => 20,
        StepKind.OutOfFridge or StepKind.ClearOven => 10,
        StepKind.Unload => 0,
        StepKind.Shape => 60,
        _ => null,
    };

    /// <summary>The minute that minutes are counted from.</summary>
    public static DateTimeOffset ZeroOf(DateTimeOffset now) => new(now.Ticks - now.Ticks % TimeSpan.TicksPerMinute, now.Offset);

    /// <summary>Cuts a day into blocks.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had.</param>
    public static DayBlocks Of(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed closed)
    {
        var cutter = new Cutter(ZeroOf(now));
        for (var i = 0; i < bakes.Length; i++) cutter.Add(i, bakes[i]);
        return cutter.Made(bakes, closed);
    }

    private sealed class Cutter(DateTimeOffset zero)
    {
        private readonly List<Block> blocks = [];
        private readonly List<OvenStay> stays = [];
        private readonly List<ProofSpan> proofs = [];
        private readonly List<MachineStay> machines = [];
        private readonly List<PlaceStay> rooms = [];
        private readonly List<ImmutableArray<(int, int)>> ready = [];

        // Where a beat lies: its block, and its own start and end in it.
        private Dictionary<string, (int Block, TimeSpan Start, TimeSpan End)> at = [];
        private Dictionary<string, Step> steps = [];

        public DayBlocks Made(ImmutableArray<DayBake> bakes, Closed closed) => new(zero, [.. blocks], [.. stays], [.. proofs], [.. machines], [.. rooms], [.. ready],
            [.. bakes.Select(b => b.Spec.ReadyBy is { } by ? (int?)Floor(by - zero) : null)],
            [.. bakes.Select(b => b.Spec.Wish.Fresh is { } fresh ? (int?)Ceiling(fresh) : null)], Minutes(closed.Machines), Minutes(closed.Hands));

        private ImmutableArray<(int, int)> Minutes(ImmutableArray<TimeBand> bands) => [.. bands.Where(b => b.To > zero).Select(b => (Floor(b.From - zero), Ceiling(b.To - zero)))];

        public void Add(int bake, DayBake of)
        {
            (at, steps) = ([], of.Chain.Steps.ToDictionary(s => s.Id));
            var table = of.Timetable;
            foreach (var group in Groups(of.Chain.Steps))
            {
                var first = group[0];
                var start = TimeSpan.Zero;
                foreach (var step in group)
                {
                    // Yeast blooms between two beats of one block.
                    var inside = step.After.SelectMany(l => Resolve(l, [])).Where(w => w.Block == blocks.Count).Select(w => w.Lag).DefaultIfEmpty(TimeSpan.Zero).Max();
                    if (inside > start) start = inside;
                    at[step.Id] = (blocks.Count, start, start + step.Length);
                    start += step.Length;
                }
                var slots = group.Select(s => table[s.Id]!).ToList();
                int? begun = slots.All(s => s.State is StepState.Passed) || slots.Any(s => s.State is StepState.Done or StepState.Skipped) ? Floor(slots.Min(s => s.Start) - zero) : null;
                // What has begun goes by the clock, and ends when its last beat does.
                if (begun is { } minute)
                    foreach (var slot in slots) at[slot.Step.Id] = (blocks.Count, slot.Start - zero - TimeSpan.FromMinutes(minute), slot.End - zero - TimeSpan.FromMinutes(minute));
                var minutes = begun is { } b ? Math.Max(1, Ceiling(slots.Max(s => s.End) - zero) - b) : Math.Max(1, Ceiling(start));
                var waits = group.SelectMany((s, i) => s.After.Where(l => !group.Any(g => g.Id == l.Step)).SelectMany(l => Resolve(l, [])).Select(w => (w.Block, Lag: w.Lag - at[s.Id].Start)))
                    .Where(w => w.Block is not null).GroupBy(w => w.Block!.Value).Select(g => new Wait(g.Key, Ceiling(g.Max(w => w.Lag)))).ToImmutableArray();
                // What heats for it and has not begun wants its time from now on.
                var from = group.Select((s, i) => (int)Math.Ceiling((s.After.Select(l => FromNow(l, table)).DefaultIfEmpty(TimeSpan.Zero).Max() - at[s.Id].Start).TotalMinutes)).Max();
                var pin = group.Where(s => of.SoFar.Arranged.Pins.ContainsKey(s.Id)).Select(s => (int?)Floor(of.SoFar.Arranged.Pins[s.Id] - zero - at[s.Id].Start)).FirstOrDefault();
                blocks.Add(new(bake, [.. group.Select(s => s.Id)], first.Kind, minutes, group.Any(s => s.KeepsHands), waits, PatienceOf(first), begun, Math.Max(0, from), begun is null ? pin : null));
            }
            // What is made in time for a block holds that block back.
            foreach (var part in of.Chain.Steps.Where(s => s is { InTimeFor: not null, Kind: StepKind.MakePart } && at.ContainsKey(s.Id)))
                if (at.TryGetValue(part.InTimeFor!, out var target))
                {
                    var cools = of.Chain.Steps.Where(s => s.Kind == StepKind.PartCools && s.After.Any(l => l.Step == part.Id)).Select(s => s.Length).DefaultIfEmpty(TimeSpan.Zero).Max();
                    var block = blocks[target.Block];
                    blocks[target.Block] = block with { Waits = block.Waits.Add(new(at[part.Id].Block, Ceiling(at[part.Id].End + cools - target.Start))) };
                }
            Places(bake, of, table);
        }

        // Beats that join hands: each waits for the one before and nothing else that takes time.
        private static List<List<Step>> Groups(ImmutableArray<Step> chain)
        {
            var groups = new List<List<Step>>();
            foreach (var step in chain)
            {
                if (!(step.IsBeat || step.Occupies.Contains(Resource.Hands)) || step.Kind == StepKind.Review || step.IsGlance) continue;
                // The first link is the dough's own way.
                var own = step.After.FirstOrDefault();
                var joins = step.Kind != StepKind.TakeOut && !(step.Kind == StepKind.Shape && step.Batch > 0) && step.InTimeFor is null && own is { Edge: Edge.End } && own.Lag == TimeSpan.Zero
                    ? groups.FirstOrDefault(g => g[^1].Id == own.Step) : null;
                if (joins is not null) joins.Add(step);
                else groups.Add([step]);
            }
            return groups;
        }

        // The blocks behind a link, through the stretches between, with the time from the block's start.
        private IEnumerable<(int? Block, TimeSpan Lag)> Resolve(Link link, HashSet<string> seen)
        {
            if (!seen.Add(link.Step + link.Edge)) yield break;
            if (at.TryGetValue(link.Step, out var beat))
            {
                yield return (beat.Block, (link.Edge == Edge.Start ? beat.Start : beat.End) + link.Lag);
                yield break;
            }
            if (!steps.TryGetValue(link.Step, out var stretch)) yield break;
            foreach (var behind in stretch.After)
                foreach (var (block, lag) in Resolve(behind, [.. seen]))
                    yield return (block, lag + (link.Edge == Edge.End ? stretch.Length : TimeSpan.Zero) + link.Lag);
        }

        // What a link asks of the clock: heating that was begun ends when it ends; heating that was not begins now.
        private TimeSpan FromNow(Link link, Timetable table)
        {
            if (at.ContainsKey(link.Step) || !steps.TryGetValue(link.Step, out var step) || step.InTimeFor is null) return TimeSpan.Zero;
            var slot = table[step.Id]!;
            if (slot.State is StepState.Done or StepState.Passed or StepState.Skipped) return slot.End - zero + link.Lag;
            var before = step.After.Select(l => FromNow(l, table)).DefaultIfEmpty(TimeSpan.Zero).Max();
            return before + step.Length + link.Lag;
        }

        private void Places(int bake, DayBake of, Timetable table)
        {
            var (spec, soFar) = (of.Spec, of.SoFar);
            var cool = ImmutableArray.CreateBuilder<(int, int)>();
            if (!spec.Machine.ByHand && soFar.When("take-out") is null)
            {
                var first = of.Chain.Steps.First(s => at.ContainsKey(s.Id) && s.Holds == Lane.Machine).Id;
                machines.Add(new(spec.Machine.Id, at[first].Block, at["take-out"].Block, Ceiling(at["take-out"].Start + steps["take-out"].Length) + Emptying, Floor(table["cycle"]!.Start - table[first]!.Start)));
            }
            foreach (var forecast in of.Chain.Batches)
            {
                var (batch, bread) = (forecast.Batch, forecast.Batch.Bread);
                var (load, unload, proof) = (at[batch.Step("load")], at[batch.Step("unload")], at[batch.Step("start-proof")]);
                cool.Add((unload.Block, Ceiling(unload.End + bread.Family.Cooling)));
                if (soFar.When(batch.Step("unload")) is not null) continue;
                if (!bread.OnGriddle)
                {
                    var oven = spec.OvenOf(bread);
                    stays.Add(new(bake, oven, load.Block, Floor(load.Start), unload.Block, bread.Heat, bread.Racks, Ceiling(oven.Preheat(bread.Heat, spec.Room, bread.Pan?.IsStone == true)) + 1, spec.Room));
                }
                if (forecast.Proof.OutOfOven is not null && soFar.When("clear-oven") is null && batch.Index == 0)
                    stays.Add(new(bake, spec.Oven, proof.Block, Floor(proof.Start), at["clear-oven"].Block, null, spec.Oven.Racks, 0, spec.Room));
                if (spec.Place is { InOven: false, Trays: { } holds } && soFar.When(batch.Step("load")) is null && at[batch.Step(forecast.First is null ? "start-proof" : "warm-up")] is var set)
                    rooms.Add(new(spec.Place.Id, holds, set.Block, Ceiling(set.End), load.Block, Math.Min(bread.Racks, holds)));
                if (forecast.Proof.Window is not { } window || soFar.When(batch.Step("load")) is not null) continue;
                var ends = of.Chain.Steps.First(s => s.Id == batch.Step("bath") || s.Id == batch.Step("brush") || s.Id == batch.Step("score") || s.Id == batch.Step("load"));
                if (spec.Way.WashesFirst || spec.Way.ScoresFirst) ends = steps[blocks[load.Block].Steps[0]];
                var best = blocks[load.Block].Waits.Where(w => w.Block == proof.Block).Select(w => w.Least).DefaultIfEmpty(0).Max();
                // What stands in the oven or the cold has its own end.
                var sooner = steps[batch.Step("proof")] is { Least: { } least } whole ? Floor(whole.Length - least) : 0;
                proofs.Add(new(bake, batch.Index, proof.Block, load.Block, best - sooner, best, Math.Max(best, Floor(proof.End + window.Late - at[ends.Id].Start - (at[batch.Step("load")].Start - at[ends.Id].Start)))));
            }
            ready.Add(cool.ToImmutable());
        }

        private static int Ceiling(TimeSpan span) => (int)Math.Ceiling(span.TotalMinutes - 1e-6);
        private static int Floor(TimeSpan span) => (int)Math.Floor(span.TotalMinutes + 1e-6);
    }
}
