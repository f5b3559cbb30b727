// Cuts the bakes of a day into blocks, and finds what lies between them.
using System.Collections.Immutable;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>Cuts a day.</summary>
/// <param name="zero">The minute now.</param>
internal sealed class DayCutter(DateTimeOffset zero)
{
    // A machine is washed out after the dough, min. Bakers' usage.
    private const int Emptying = 10;

    // An oven is switched on so long before it is needed on, min.
    private const int SwitchingOn = 2;

    private static readonly ImmutableArray<Milestone> Warming =
    [
        Milestone.WarmingOn,
        Milestone.Warming,
        Milestone.WarmingOff,
        Milestone.WarmAndSafe,
    ];

    private readonly DateTimeOffset zero = zero;
    private readonly List<Block> blocks = [];
    private readonly List<OvenStay> stays = [];
    private readonly List<ProofSpan> proofs = [];
    private readonly List<MachineStay> machines = [];
    private readonly List<PlaceStay> rooms = [];
    private readonly List<ImmutableArray<CoolAt>> ready = [];

    /// <summary>The day, when all its bakes are cut.</summary>
    /// <param name="bakes">The bakes.</param>
    /// <param name="closed">When hands and machines are not to be had.</param>
    public DayBlocks Made(ImmutableArray<DayBake> bakes, Closed closed) =>
        new(
            zero,
            [.. blocks],
            [.. stays],
            [.. proofs],
            [.. machines],
            [.. rooms],
            [.. ready],
            [.. bakes.Select(b => b.Spec.ReadyBy is { } by ? (int?)Floor(by - zero) : null)],
            [.. bakes.Select(b => b.Spec.Wish.Fresh is { } fresh ? (int?)Ceiling(fresh) : null)],
            [.. closed.Machines.Where(b => b.To > zero).Select(Minutes)],
            [.. closed.Hands.Where(b => b.To > zero).Select(Minutes)]
        );

    private Shut Minutes(TimeBand band) => new(Floor(band.From - zero), Ceiling(band.To - zero));

    /// <summary>Cuts one bake, after those before it.</summary>
    /// <param name="bake">Its place in the day.</param>
    /// <param name="of">The bake.</param>
    public void Add(int bake, DayBake of)
    {
        var cut = new BakeCut(this, bake, of);
        foreach (var group in cut.Groups())
            blocks.Add(cut.BlockOf(group));
        cut.HoldBackForSideJobs();
        cut.WaitForSharedHeat();
        cut.Machine();
        cut.BowlInOven();
        foreach (var forecast in of.Chain.Batches)
            cut.Batch(forecast);
        ready.Add(cut.CoolAt());
    }

    private static int Ceiling(TimeSpan span) => (int)Math.Ceiling(span.TotalMinutes - 1e-6);

    private static int Floor(TimeSpan span) => (int)Math.Floor(span.TotalMinutes + 1e-6);

    // A beat in its block: when it begins and ends, from the block's start.
    private sealed record Beat(int Block, TimeSpan Start, TimeSpan End);

    // A block that something waits for, and how long after its start.
    private sealed record Behind(int Block, TimeSpan Lag);

    private sealed class BakeCut(DayCutter day, int bake, DayBake of)
    {
        private readonly Dictionary<StepId, Beat> at = [];
        private readonly Dictionary<StepId, Step> steps = of.Chain.Steps.ToDictionary(s => s.Id);
        private readonly Timetable table = of.Timetable;

        private BakeSpec Spec => of.Spec;

        // Beats that join hands: each waits for the one before and nothing else that takes time.
        public List<List<Step>> Groups()
        {
            var groups = new List<List<Step>>();
            foreach (var step in of.Chain.Steps.Where(TakesHands))
                if (JoinedTo(groups, step) is { } group)
                    group.Add(step);
                else
                    groups.Add([step]);
            return groups;
        }

        private static bool TakesHands(Step step) =>
            (step.IsBeat || step.Occupies.Contains(Resource.Hands)) && !step.Rule.IsTheEnd && !step.IsGlance;

        private static List<Step>? JoinedTo(List<List<Step>> groups, Step step)
        {
            if (step.Rule.BeginsAnew(step) || step.InTimeFor is not null)
                return null;
            // The first link is the dough's own way.
            if (step.After is not [{ Edge: Edge.End, Lag.Ticks: 0 } own, ..])
                return null;
            return groups.FirstOrDefault(g => g[^1].Id == own.Step);
        }

        /// <summary>The next block: these beats, one after the other.</summary>
        public Block BlockOf(List<Step> group)
        {
            var index = day.blocks.Count;
            var length = LayOut(group, index);
            var slots = group.Select(s => table[s.Id]!).ToList();
            var begun = BegunAt(slots);
            // What has begun goes by the clock, and ends when its last beat does.
            if (begun is { } minute)
            {
                var began = day.zero + TimeSpan.FromMinutes(minute);
                foreach (var slot in slots)
                    at[slot.Step.Id] = new(index, slot.Start - began, slot.End - began);
                length = slots.Max(s => s.End) - began;
            }
            return new(
                bake,
                [.. group.Select(s => s.Id)],
                group[0].Rule.IsSideJob,
                Math.Max(1, Ceiling(length)),
                group.Any(s => s.KeepsHands),
                WaitsOf(group),
                (int?)group[0].Rule.Patience?.TotalMinutes,
                begun,
                Math.Max(0, group.Max(NotBefore)),
                begun is null ? PinOf(group) : null
            );
        }

        // Each beat after the one before; yeast blooms between two beats of one block.
        private TimeSpan LayOut(List<Step> group, int index)
        {
            var start = TimeSpan.Zero;
            foreach (var step in group)
            {
                var inside = step.After.SelectMany(l => BehindOf(l, [])).Where(b => b.Block == index).Select(b => b.Lag);
                start = inside.Append(start).Max();
                at[step.Id] = new(index, start, start + step.Length);
                start += step.Length;
            }
            return start;
        }

        private int? BegunAt(List<Slot> slots)
        {
            var over = slots.All(s => s.State is StepState.Passed);
            var underWay = slots.Any(s => s.State is StepState.Done or StepState.Skipped);
            return over || underWay ? Floor(slots.Min(s => s.Start) - day.zero) : null;
        }

        private ImmutableArray<BlockWait> WaitsOf(List<Step> group)
        {
            var own = group.Select(s => s.Id).ToHashSet();
            var behind = group.SelectMany(s =>
                s.After.Where(l => !own.Contains(l.Step))
                    .SelectMany(l => BehindOf(l, []))
                    .Select(b => b with { Lag = b.Lag - at[s.Id].Start })
            );
            return [.. behind.GroupBy(b => b.Block).Select(g => new BlockWait(g.Key, Ceiling(g.Max(b => b.Lag))))];
        }

        // What heats for it and has not begun wants its time from now on.
        private int NotBefore(Step step)
        {
            var from = step.After.Select(FromNow).DefaultIfEmpty(TimeSpan.Zero).Max() - at[step.Id].Start;
            return (int)Math.Ceiling(from.TotalMinutes);
        }

        private int? PinOf(List<Step> group)
        {
            var pins = of.SoFar.Arranged.Pins;
            if (group.FirstOrDefault(s => pins.ContainsKey(s.Id)) is not { Id: var pinned })
                return null;
            return Floor(pins[pinned] - day.zero - at[pinned].Start);
        }

        // The blocks behind a link, through the stretches between, with the time from the block's start.
        private IEnumerable<Behind> BehindOf(Link link, ImmutableHashSet<Link> seen)
        {
            if (seen.Contains(link with { Lag = default }))
                yield break;
            seen = seen.Add(link with { Lag = default });
            if (at.TryGetValue(link.Step, out var beat))
            {
                yield return new(beat.Block, (link.Edge == Edge.Start ? beat.Start : beat.End) + link.Lag);
                yield break;
            }
            if (!steps.TryGetValue(link.Step, out var stretch))
                yield break;
            var through = (link.Edge == Edge.End ? stretch.Length : TimeSpan.Zero) + link.Lag;
            foreach (var behind in stretch.After.SelectMany(l => BehindOf(l, seen)))
                yield return behind with
                {
                    Lag = behind.Lag + through,
                };
        }

        // What a link asks of the clock: heating that was begun ends when it ends; heating that was not begins now.
        private TimeSpan FromNow(Link link)
        {
            if (at.ContainsKey(link.Step) || !steps.TryGetValue(link.Step, out var step) || step.InTimeFor is null)
                return TimeSpan.Zero;
            var slot = table[step.Id]!;
            if (slot.State is StepState.Done or StepState.Passed or StepState.Skipped)
                return slot.End - day.zero + link.Lag;
            var before = step.After.Select(FromNow).DefaultIfEmpty(TimeSpan.Zero).Max();
            return before + step.Length + link.Lag;
        }

        /// <summary>What is made in time for a block holds that block back, until it is cool.</summary>
        public void HoldBackForSideJobs()
        {
            foreach (var job in of.Chain.Steps.Where(s => s.Rule.IsSideJob))
            {
                if (
                    !at.TryGetValue(job.Id, out var made)
                    || job.InTimeFor is not { } wanted
                    || !at.TryGetValue(wanted, out var target)
                )
                    continue;
                var cools = of
                    .Chain.Steps.Where(s => s.After.Any(l => l.Step == job.Id))
                    .Select(s => s.Length)
                    .Append(TimeSpan.Zero)
                    .Max();
                var block = day.blocks[target.Block];
                var wait = new BlockWait(made.Block, Ceiling(made.End + cools - target.Start), Beside: true);
                day.blocks[target.Block] = block with { Waits = block.Waits.Add(wait) };
            }
        }

        /// <summary>An oven is hot when the batch it is heated for goes in: what goes in with that goes in no sooner.</summary>
        public void WaitForSharedHeat()
        {
            var batches = of.Chain.Bake.Batches;
            foreach (var batch in batches.Where(b => !b.Bread.OnGriddle && !IsBehind(Milestone.In, b.Index)))
            {
                var leads = batch.HeatedFor(batches);
                if (leads == batch || IsBehind(Milestone.In, leads.Index))
                    continue;
                var (first, own) = (BeatAt(Milestone.In, leads.Index)!, BeatAt(Milestone.In, batch.Index)!);
                var block = day.blocks[own.Block];
                var wait = new BlockWait(first.Block, Ceiling(first.Start - own.Start), Beside: true);
                day.blocks[own.Block] = block with { Waits = block.Waits.Add(wait) };
            }
        }

        /// <summary>The machine, from the first thing in it until it is washed out.</summary>
        public void Machine()
        {
            var takeOut = of.Chain.At(Milestone.OutOfMachine)!;
            if (Spec.Machine.ByHand || of.SoFar.When(takeOut.Id) is not null)
                return;
            var first = of.Chain.Steps.First(s => at.ContainsKey(s.Id) && s.Holds == Lane.Machine).Id;
            var silent = table.At(Milestone.Cycle)!.Start - table[first]!.Start;
            var (from, to) = (at[first], at[takeOut.Id]);
            day.machines.Add(
                new(Spec.Machine.Id, from.Block, to.Block, Ceiling(to.Start + takeOut.Length) + Emptying, Floor(silent))
            );
        }

        private Beat? BeatAt(Milestone milestone, int batch) =>
            of.Chain.At(milestone, batch) is { } step ? at.GetValueOrDefault(step.Id) : null;

        private bool IsBehind(Milestone milestone, int batch) => of.SoFar.When(milestone, batch) is not null;

        /// <summary>When all is cool.</summary>
        public ImmutableArray<CoolAt> CoolAt() =>
            [
                .. of
                    .Chain.Batches.Select(f => (Out: BeatAt(Milestone.Out, f.Batch.Index)!, f.Bread.Family.Cooling))
                    .Select(b => new CoolAt(b.Out.Block, Ceiling(b.Out.End + b.Cooling))),
            ];

        /// <summary>Where a batch stands and bakes, as far as that is still to come.</summary>
        public void Batch(Forecast forecast)
        {
            var batch = forecast.Batch.Index;
            if (IsBehind(Milestone.Out, batch))
                return;
            var proof = BeatAt(Milestone.SetToProof, batch)!;
            var (load, unload) = (BeatAt(Milestone.In, batch)!, BeatAt(Milestone.Out, batch)!);
            if (!forecast.Bread.OnGriddle)
                Bakes(forecast, load, unload);
            if (forecast.Proof.OutOfOven is not null && !IsBehind(Milestone.OvenCleared, 0) && batch == 0)
                ProofsInOven(proof);
            StandsInPan(forecast, unload);
            if (IsBehind(Milestone.In, batch))
                return;
            StandsAtPlace(forecast, load);
            Proofs(forecast, proof, load);
        }

        private void Bakes(Forecast forecast, Beat load, Beat unload)
        {
            var (bread, batches) = (forecast.Bread, of.Chain.Bake.Batches);
            var oven = Spec.OvenOf(bread);
            var fromCold = Ceiling(Spec.Preheat(bread)) + 1;
            // What goes in with others shares their steam.
            var shares =
                forecast.Batch.HeatedFor(batches) != forecast.Batch
                && forecast.Batch.WaitsFor(batches, Spec.RacksFor(bread)) is null;
            var racks = shares ? bread.Racks : Spec.RacksTaken(bread);
            // What dough rises above is on from then.
            if (WarmsPlace(forecast.Batch) is { } set)
                day.stays.Add(Stay(set.Block, Floor(set.Start) - SwitchingOn, load.Block, 0));
            day.stays.Add(Stay(load.Block, Floor(load.Start), unload.Block, racks));

            OvenStay Stay(int from, int starts, int until, int taken) =>
                new(bake, oven, from, starts, until, bread.Heat, taken, fromCold, Spec.Room)
                {
                    Turns = heat => Ceiling(Spec.ChangeTo(heat, bread)),
                };
        }

        // When the dough is set to proof above this batch's oven; null where it is not.
        private Beat? WarmsPlace(Batch batch) =>
            of.Chain.At(Milestone.SwitchedOn, batch.Index) is { InTimeFor: { } by } && steps[by].Is(Milestone.SetToProof)
                ? at.GetValueOrDefault(by)
                : null;

        private int Between(int before, int after) =>
            day.blocks[after].Waits.Where(w => w.Block == before).Select(w => w.Least).Append(0).Max();

        private void ProofsInOven(Beat proof)
        {
            var cleared = BeatAt(Milestone.OvenCleared, 0)!;
            var lead = Ceiling(of.Chain.Steps.Where(Warms).Aggregate(TimeSpan.Zero, (sum, s) => sum + s.Length));
            day.stays.Add(
                new(
                    bake,
                    Spec.Oven,
                    proof.Block,
                    Floor(proof.Start) - lead,
                    cleared.Block,
                    null,
                    Spec.Oven.Racks,
                    0,
                    Spec.Room,
                    lead
                )
            );
        }

        // It makes the oven warm for dough, and is not behind.
        private bool Warms(Step step) => table[step.Id] is { IsOpen: true } && step.Marks.Any(Warming.Contains);

        /// <summary>Dough that rises in its bowl, where the bowl stands in the oven.</summary>
        public void BowlInOven()
        {
            var ends = of.Chain.At(Milestone.Weighed)!;
            if (of.Chain.At(Milestone.InBowl) is not { Occupies.IsEmpty: false } || of.SoFar.When(ends.Id) is not null)
                return;
            var (takeOut, weighed) = (at[of.Chain.At(Milestone.OutOfMachine)!.Id], at[ends.Id]);
            day.stays.Add(
                new(bake, Spec.Oven, takeOut.Block, Ceiling(takeOut.End), weighed.Block, null, Spec.Oven.Racks, 0, Spec.Room)
            );
        }

        // A tin or tray is in one place at a time, from shaping until its bread is out.
        private void StandsInPan(Forecast forecast, Beat unload)
        {
            var used = forecast.Batch.PansFrom(of.Chain.Bake.Batches);
            if (used == 0 || forecast.Bread is not { Pan: { } pan, Pans: { } pans })
                return;
            var shape = BeatAt(Milestone.Shaped, forecast.Batch.Index)!;
            day.rooms.Add(new(pan.Kind, pans.Owned, shape.Block, Floor(shape.Start), unload.Block, used));
        }

        private void StandsAtPlace(Forecast forecast, Beat load)
        {
            if (Spec.Place is not { InOven: false, Trays: { } holds })
                return;
            var set = BeatAt(forecast.Cold is null ? Milestone.SetToProof : Milestone.OutOfCold, forecast.Batch.Index)!;
            day.rooms.Add(
                new(Spec.Place.Id, holds, set.Block, Ceiling(set.End), load.Block, Math.Min(forecast.Bread.Racks, holds))
            );
        }

        private void Proofs(Forecast forecast, Beat proof, Beat load)
        {
            if (forecast.Proof.Window is not { } window)
                return;
            var best = Between(proof.Block, load.Block);
            // What stands in the oven or the cold has its own end.
            var proves = of.Chain.At(Milestone.Proving, forecast.Batch.Index)!;
            var sooner = proves.Least is { } least ? Floor(proves.Length - least) : 0;
            var late = Math.Max(best, Floor(proof.End + window.Late - load.Start));
            day.proofs.Add(new(bake, forecast.Batch.Index, proof.Block, load.Block, best - sooner, best, late));
        }
    }
}
