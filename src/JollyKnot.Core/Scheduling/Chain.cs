// The chain of one bake: every step from the paddle to the table, made of what was decided and what has happened.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>What is predicted of one batch.</summary>
/// <param name="Batch">The batch.</param>
/// <param name="Piece">One piece of it.</param>
/// <param name="Proof">Its second proof.</param>
/// <param name="Window">Its bake.</param>
/// <param name="Wanted">What its middle should reach.</param>
/// <param name="Probed">When the probe says it does, from going in; null while it cannot say.</param>
/// <param name="First">Where it stands first, and so long, before its proofing place; null when it goes there at once.</param>
/// <param name="Turn">How long after the first load of its oven it can go in.</param>
/// <param name="Late">By how much its turn would come after its best, if nothing held it back.</param>
public sealed record Forecast(Batch Batch, Mass Piece, Proof Proof, BakeWindow Window, Temperature Wanted, TimeSpan? Probed, (Place Place, TimeSpan Long)? First, TimeSpan Turn, TimeSpan Late);

/// <summary>The steps of a bake with what they were made for.</summary>
/// <param name="Steps">Every step; one waits only for steps before it in this list.</param>
/// <param name="Batches">Each batch as predicted, in order.</param>
public sealed record ChainOfSteps(ImmutableArray<Step> Steps, ImmutableArray<Forecast> Batches)
{
    /// <summary>The batch a step belongs to; the first where it belongs to all.</summary>
    public Forecast Of(Step step) => Batches[step.Batch ?? 0];
}

/// <summary>Makes the chain of a bake.</summary>
public static class Chain
{
    // Hands times. Bakers' usage: loading takes 8 to 15 min, taking out and weighing 5, a check 3.
    private static readonly TimeSpan
        Moment = TimeSpan.FromMinutes(1), Loading = TimeSpan.FromMinutes(10), CheckTakes = TimeSpan.FromMinutes(3),
        TakingOut = TimeSpan.FromMinutes(3), WeighingDough = TimeSpan.FromMinutes(2), Glance = TimeSpan.FromSeconds(30);

    /// <summary>From the end of a bake to saying that all is out. Bakers' usage.</summary>
    public static TimeSpan UnloadTakes => Moment;

    /// <summary>From the start of kneading to seeing whether the paddle turns.</summary>
    public static TimeSpan PaddleTurnsAfter { get; } = TimeSpan.FromMinutes(1);

    // Missed by this much, a look at the paddle or a handful of seeds is pointless.
    private static readonly TimeSpan PaddleUseful = TimeSpan.FromMinutes(4), AddInsUseful = TimeSpan.FromMinutes(8);

    // A griddle at a low flame. Bakers' usage.
    private static readonly TimeSpan GriddleHeats = TimeSpan.FromMinutes(8);

    /// <summary>A starter is fed this long before it is weighed in. Bakers' usage: 8 to 12 h.</summary>
    public static TimeSpan StarterRipens { get; } = TimeSpan.FromHours(10);

    // Butter and eggs are taken out so long before, and are of use for all but the last minutes. Bakers' usage.
    private static readonly TimeSpan ComesToRoom = TimeSpan.FromMinutes(60), FetchMargin = TimeSpan.FromMinutes(10);

    // And may be fed so much later than planned.
    private static readonly TimeSpan StarterMargin = TimeSpan.FromHours(2);

    /// <summary>Id of the step that weighs a row of the dough in: named by what is weighed, so that another order renames nothing.</summary>
    /// <param name="row">1 for the dough's first row.</param>
    public static string WeighStep(int row) => $"weigh-in-{row}";

    /// <summary>The chain of a bake.</summary>
    /// <param name="spec">What was decided.</param>
    /// <param name="soFar">What has happened.</param>
    public static ChainOfSteps Of(BakeSpec spec, SoFar soFar) => Of(spec, soFar, _ => 1);

    internal static ChainOfSteps Of(BakeSpec spec, SoFar soFar, Func<StepKind, int> since)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(soFar);
        var dough = soFar.DoughOf(spec);
        var eaches = spec.Eaches(dough);
        var batches = spec.Batches;
        var made = ImmutableArray.CreateBuilder<Forecast>(batches.Length);
        foreach (var batch in batches) made.Add(Predict(spec, soFar, batch, eaches[batch.Cut], made));
        var forecasts = made.ToImmutable();
        var rules = soFar.RulesOf(spec);
        var steps = new Steps(kind => since(kind) <= rules);

        WeighIn(steps, spec);
        Cycle(steps, spec, soFar);
        Hands(steps, spec, soFar, dough, eaches, forecasts);
        foreach (var forecast in forecasts)
        {
            steps.Fork(forecast.Batch, forecast.Batch.Step("start-proof"));
            SecondProof(steps, spec, soFar, forecast);
            Heat(steps, spec, soFar, forecast, forecasts);
            Oven(steps, spec, forecast, batches);
        }
        SideJobs(steps, spec);
        steps.Join([.. batches.Select(b => b.Step("cool"))]);
        steps.Beat("review", StepKind.Review, TimeSpan.Zero, Ending.Review, Lane.Table, calls: true, about: new(Count: batches.Sum(b => b.Pieces)));
        return new(steps.Made(), forecasts);
    }

    private static Forecast Predict(BakeSpec spec, SoFar soFar, Batch batch, Mass piece, ImmutableArray<Forecast>.Builder made)
    {
        var oven = spec.OvenOf(batch.Bread);
        var window = spec.Window(batch.Bread, piece);
        var wanted = CoreHeat.Wanted(spec.Formula, batch.Bread.Family, spec.BoilsAt);
        var probed = Probe.Done(soFar.ProbedAt(batch), wanted, spec.BoilsAt, new(batch.Bread.Family.BodyOf(piece), batch.Bread.Heat, oven.Fan));
        var finishing = FinishingLength(spec, batch, piece);
        var heating = oven.Preheat(batch.Bread.Heat, spec.Room, batch.Bread.Pan?.IsStone == true) + Moment * 2 - (finishing - Rising(batch, finishing));
        var started = soFar.When(batch.Step("start-proof"));
        var sinceStart = started is { } s && soFar.Now > s ? soFar.Now - s : TimeSpan.Zero;
        var (conditions, place) = (RiseConditions.Of(spec.Formula, piece, spec.Room), PlaceOf(spec, batch));
        (Place Place, TimeSpan Long)? first = spec.ColdOf(batch.Bread) is { } fridge ? (Places.Fridge, fridge) : null;
        TimeSpan? Best(Place where, TimeSpan held) => Proof.Predict(conditions, place, batch.Bread.Family.WantedRise, [], TimeSpan.Zero, cold: held, prior: spec.Learned.Pace, coldPlace: where).Window?.Best;
        var turn = TurnOf(spec, batch, made);
        var (late, atOnce) = (TimeSpan.Zero, (TimeSpan?)null);
        if (turn > TimeSpan.Zero && spec.Way.Later != LaterLoads.Wait && FirstIn(batch, spec.Batches) is var leads && made[leads.Index].Proof.Window is { } leading && (atOnce = Best(place, TimeSpan.Zero)) is { } own)
            // What is shaped after the others is behind them anyway.
            late = leading.Best + turn - own - made.Where(f => f.Batch.Index > leads.Index).Select(f => f.Batch).Append(batch).Aggregate(TimeSpan.Zero, (sum, b) => sum + ShapingOf(b) + Moment);
        if (first is null && spec.Way.Later == LaterLoads.HeldCool && late > Unheld)
            first = Held(Places.Cool) is { } cool ? (Places.Cool, cool) : (Places.Fridge, Held(Places.Fridge) ?? late);

        // There as long as planned, or as long as it was.
        var cold = first is not (_, var planned) ? TimeSpan.Zero
            : started is null ? planned : soFar.When(batch.Step("warm-up")) is { } out_ ? Longer(out_ - started.Value, TimeSpan.Zero) : Longer(planned, sinceStart);
        if (soFar.PlaceReadings.TryGetValue(batch.Step("start-proof"), out var reading)) place = place with { Steady = reading };
        var proof = Proof.Predict(
            conditions, place, batch.Bread.Family.WantedRise,
            started is { } from ? [.. soFar.LooksAt(batch).Select(l => new LookTaken(l.At - from, l.Seen))] : [],
            heating, started is null ? null : soFar.When("clear-oven") - started, sinceStart, cold, spec.Learned.Pace, first?.Place);
        return new(batch, piece, proof, window, wanted, probed, first, turn, late);

        // Held there for so long, in whole minutes, that it is ready when its turn comes, and not before; null when it goes on rising there as warm dough does.
        TimeSpan? Held(Place where)
        {
            TimeSpan? Delays(int minutes) => Best(where, Moment * minutes) - atOnce;
            var (low, high) = (0, (int)(late.TotalMinutes * HeldAtMost));
            if (!(Delays(high) >= late)) return null;
            while (high - low > 1)
            {
                var middle = (low + high) / 2;
                (low, high) = Delays(middle) < late ? (middle, high) : (low, middle);
            }
            return Moment * high;
        }
    }

    // How long after the first load of its oven a batch can go in.
    private static TimeSpan TurnOf(BakeSpec spec, Batch batch, ImmutableArray<Forecast>.Builder made)
    {
        var oven = spec.OvenOf(batch.Bread);
        return batch.WaitsFor(spec.Batches, oven.Racks) is { } before
            ? made[before.Index].Turn + made[before.Index].Window.Likely + Moment * 2 + oven.Change(before.Bread.Heat, batch.Bread.Heat) : TimeSpan.Zero;
    }

    // Less than this is not worth holding back. Ours.
    private static readonly TimeSpan Unheld = TimeSpan.FromMinutes(2);

    // Warm dough takes its time to cool: held for so many times what it has to wait, at the most. Ours.
    private const double HeldAtMost = 2;

    private static TimeSpan ShapingOf(Batch batch) => batch.Bread.Family.HandsEach * batch.Pieces * (1 - Family.DividingPart);

    // The oven as proofing place is the first batch's; the others must not be in its way. Nothing is in the way of an oven that nothing bakes in.
    private static Place PlaceOf(BakeSpec spec, Batch batch) => !spec.Place.InOven ? spec.Place
        : batch.Index > 0 || batch.Bread.OnGriddle ? Places.Counter
        : spec.Batches.Any(b => b.Bread is { OnGriddle: false, Oven: null }) ? spec.Place : spec.Place with { InOven = false };

    // Wanted at the oven door: brushed dough rises on while it is brushed, bathed dough does not.
    private static TimeSpan Rising(Batch batch, TimeSpan finishing) => batch.Bread.Family.Bathed ? TimeSpan.Zero : finishing;

    private static void WeighIn(Steps steps, BakeSpec spec)
    {
        var pan = spec.Pan;
        var first = pan.Steps.IsEmpty ? "start-cycle" : WeighStep(pan.Steps[0].Number);
        if (pan.BloomIn is { } liquid)
        {
            steps.Beat("bloom", StepKind.Bloom, Moment * 2, Ending.Done, Lane.Hands, about: new(spec.Liquid?.Ingredient.Name, liquid, Heat: LiquidTemperature.Bloom.From));
            steps.Beside("blooms", StepKind.Blooms, LoadSchool.Blooming, new("bloom", Edge.End), first);
        }
        if (spec.Machine.Paddles > 0)
            steps.Beat("paddle", StepKind.Paddle, Moment, Ending.Done, Lane.Machine, about: new(spec.Machine.Name, Count: spec.Machine.Paddles));
        for (var i = 0; i < pan.Steps.Length; i++)
            steps.Beat(WeighStep(pan.Steps[i].Number), StepKind.WeighIn, Loading / pan.Steps.Length, Ending.Mass, Lane.Machine, also: [i == 0 && pan.BloomIn is not null ? new("blooms", Edge.End) : null],
                about: new(pan.Steps[i].Row.Ingredient.Name, pan.Steps[i].Mass, pan.Steps[i].Running, Spot: pan.Steps[i].Spot));
        steps.Beat("start-cycle", StepKind.StartCycle, Moment, Ending.Done, Lane.Machine, about: new(spec.Machine.Name, Length: spec.Machine.CycleLength + (spec.Handling.Timer ?? TimeSpan.Zero)));

        // Butter and eggs come to the room; where there is no time left, the liquid is warmer instead. Nobody is woken for it.
        var cold = pan.Steps.Select(s => s.Row.Ingredient).Where(i => i is { Chilled: true, Role: Role.Fat or Role.Egg }).ToList();
        if (cold.Count > 0 && spec.Handling.Timer is null)
        {
            var about = new About(string.Join(" and ", cold.Select(i => i.Name)));
            steps.InTime("fetch-out", StepKind.FetchOut, first, Moment, [], Resource.Hands, about, calls: true, usefulFor: ComesToRoom - FetchMargin, quiet: true);
            steps.InTime("comes-to-room", StepKind.ComesToRoom, first, ComesToRoom, [new("fetch-out", Edge.End)], null, about);
        }

        // Fed the evening before; where there is no evening left, it is taken to be ripe.
        if (pan.Steps.FirstOrDefault(s => s.Row.Ingredient.Role == Role.Starter) is { } starter)
        {
            steps.InTime("feed-starter", StepKind.FeedStarter, first, Moment * 5, [], Resource.Hands, new(starter.Row.Ingredient.Name, starter.Mass), calls: true, usefulFor: StarterMargin);
            steps.InTime("starter-ripens", StepKind.StarterRipens, first, StarterRipens, [new("feed-starter", Edge.End)], null, new(starter.Row.Ingredient.Name));
        }
    }

    // What belongs to the bread but is no dough: each as late as it can be, and ready, and cool, when it is wanted.
    private static void SideJobs(Steps steps, BakeSpec spec)
    {
        steps.Join([]);
        for (var i = 0; i < spec.Dough.Parts.Length; i++)
        {
            var part = spec.Dough.Parts[i];
            var target = part.Kind switch
            {
                // Before the hands are full of dough.
                PartKind.Filling => "take-out",
                PartKind.Butter => "unload",
                PartKind.Wash when spec.Batches.FirstOrDefault(b => b.Bread.Brushed) is { } brushed => brushed.Step("brush"),
                _ => "load",
            };
            var (id, about) = (PartStep(i), new About(part.Name, part.Total, Length: part.Work.Hob));
            steps.InTime(id, StepKind.MakePart, target, part.Work.Hands + part.Work.Hob, [], Resource.Hands, about, calls: true);
            if (part.Work.Cool > TimeSpan.Zero) steps.InTime($"{id}-cools", StepKind.PartCools, target, part.Work.Cool, [new(id, Edge.End)], null, about);
        }
    }

    /// <summary>Id of the step that makes the part number <paramref name="index"/> + 1.</summary>
    public static string PartStep(int index) => $"part-{index + 1}";

    private static void Cycle(Steps steps, BakeSpec spec, SoFar soFar)
    {
        var machine = spec.Machine;
        var kneading = machine.KneadStart;
        // Taken out early, the dough leaves the machine when kneading ends.
        var inMachine = spec.Handling.After is { Early: true } ? kneading + machine.Phases.First(p => p.Kind == PhaseKind.Knead).Length : machine.CycleLength;
        if (spec.Handling.Timer is { } timer) steps.Stretch("timer", StepKind.Timer, timer, Lane.Machine, "take-out", new(ResourceKind.Machine, machine.Id), new(machine.Name));
        steps.Stretch("cycle", StepKind.Cycle, inMachine, Lane.Machine, "take-out", new(ResourceKind.Machine, machine.Id), new(machine.Name));
        if (machine.ByHand)
            steps.Aside("knead", StepKind.Knead, machine.Phases.First(p => p.Kind == PhaseKind.Knead).Length, Ending.Done, new("cycle", Edge.Start), "take-out", null, new(machine.Name));
        // Nobody stands by when the timer starts it.
        else if (spec.Handling.Timer is not null) return;
        else steps.Aside("paddle-turns", StepKind.PaddleTurns, Glance, Ending.YesNo, new("cycle", Edge.Start, kneading + PaddleTurnsAfter), "take-out", PaddleUseful,
            new(machine.Name, Count: machine.Paddles));

        // A dose wants another look; a right dough, or one past help, does not.
        var wait = DoughCheck.WaitFor(spec.Dough);
        for (var i = 0; i <= soFar.Checks.Length; i++)
        {
            if (i > 0 && soFar.Checks[i - 1].Feel == DoughFeel.Right) break;
            var due = i == 0 || soFar.When(CheckStep(i - 1)) is not { } before || soFar.When("start-cycle") is not { } start
                ? kneading + DoughCheck.First + wait * i
                : before + wait - start;
            var useful = kneading + DoughCheck.Last - due;
            if (useful <= TimeSpan.Zero && i > 0) break;
            steps.Aside(CheckStep(i), StepKind.Check, CheckTakes, Ending.Feel, new("cycle", Edge.Start, due), "take-out", Longer(useful, CheckTakes),
                new(i == 0 && spec.Pan.HeldBack is not null ? spec.Liquid?.Ingredient.Name : null, i == 0 ? spec.Pan.HeldBack : null, Count: i + 1));
        }

        var addIns = spec.Dough.Rows.Where(r => r.AtBeep).ToList();
        if (addIns.Count > 0)
            steps.Aside("add-ins", StepKind.AddIns, Moment, Ending.Done,
                new("cycle", Edge.Start, kneading + (machine.Beep ?? DoughCheck.Last)), "take-out", AddInsUseful,
                new(string.Join(", ", addIns.Select(r => r.Ingredient.Name)), addIns.Aggregate(Mass.Zero, (sum, r) => sum + r.Mass)));
    }

    private static void Hands(Steps steps, BakeSpec spec, SoFar soFar, Mass dough, ImmutableArray<Mass> eaches, ImmutableArray<Forecast> forecasts)
    {
        var machine = spec.Machine;
        steps.Beat("take-out", StepKind.TakeOut, TakingOut, Ending.TakeOut, Lane.Hands, calls: true, about: new(machine.Name, Count: machine.Paddles, Length: spec.Handling.After?.Bulk));
        var bulk = soFar.Bulk ?? spec.Handling.After?.Bulk ?? TimeSpan.Zero;
        if (bulk > TimeSpan.Zero) steps.Stretch("bulk", StepKind.Bulk, bulk, Lane.Proof, "weigh-dough", null, new("in a bowl"));
        steps.Beat("weigh-dough", StepKind.WeighDough, WeighingDough, Ending.Mass, Lane.Hands, calls: bulk > TimeSpan.Zero, about: new(Mass: dough));
        steps.Beat("divide", StepKind.Divide, spec.Cuts.Aggregate(TimeSpan.Zero, (sum, c) => sum + (c.Bread is { } b ? b.Family.HandsEach * c.Pieces * Family.DividingPart : Moment)),
            Ending.Parts, Lane.Hands, about: new(Count: spec.Parts));
        for (var c = 0; c < spec.Cuts.Length; c++)
            if (spec.Cuts[c].Bread is null)
                steps.Beat(KeepStep(c), StepKind.KeepCold, Moment, Ending.Done, Lane.Hands, about: new(Mass: eaches[c] * spec.Cuts[c].Pieces));
        var delayed = TimeSpan.Zero;
        foreach (var forecast in forecasts)
        {
            var (batch, bread, family) = (forecast.Batch, forecast.Batch.Bread, forecast.Batch.Bread.Family);
            steps.Of(batch);
            // Shaped later by as much as it would wait, less what those before it waited.
            var later = spec.Way.Later == LaterLoads.ShapedLater && forecast.Late - delayed > Unheld ? forecast.Late - delayed : TimeSpan.Zero;
            delayed += later;
            steps.Beat(batch.Step("shape"), StepKind.Shape, ShapingOf(batch), Ending.Done, Lane.Hands, calls: later > TimeSpan.Zero,
                also: [later > TimeSpan.Zero ? new(batch.Index == 0 ? "divide" : forecasts[batch.Index - 1].Batch.Step("start-proof"), Edge.End, later) : null], about: new(family.Name, eaches[batch.Cut], Count: batch.Pieces, Aim: Sizes.For(family, eaches[batch.Cut], batch.Bread.Pan)));
            if (bread.Brushed && spec.Way.WashesFirst) Brush(steps, batch, forecast.Piece, default);
            if (family.Scored && spec.Way.ScoresFirst) Score(steps, batch, default, calls: false);
            steps.Beat(batch.Step("start-proof"), StepKind.StartProof, Moment, Ending.Done, Lane.Hands, about: new((forecast.First?.Place ?? PlaceOf(spec, batch)).Name));
        }
    }

    /// <summary>Id of the step that puts the cut number <paramref name="cut"/> + 1 into the fridge.</summary>
    public static string KeepStep(int cut) => $"keep-{cut + 1}";

    private static void SecondProof(Steps steps, BakeSpec spec, SoFar soFar, Forecast forecast)
    {
        var (batch, proof) = (forecast.Batch, forecast.Proof);
        var (bread, place) = (batch.Bread, PlaceOf(spec, batch));
        var best = Longer((proof.Window?.Best ?? RiseModel.Horizon) - Rising(batch, FinishingLength(spec, batch, forecast.Piece)), Moment);
        var first = batch.Step(bread.Family.Bathed ? "bath" : spec.BrushedLast(bread) ? "brush" : spec.ScoredLast(bread) ? "score" : "load");
        var cold = TimeSpan.Zero;
        if (forecast.First is (var coldPlace, var planned))
        {
            cold = soFar.When(batch.Step("warm-up")) is { } left && soFar.When(batch.Step("start-proof")) is { } began ? Longer(left - began, TimeSpan.Zero) : planned;
            steps.Stretch(batch.Step("cold"), StepKind.ColdProof, cold, Lane.Proof, batch.Step("warm-up"), null, new(coldPlace.Name));
            steps.Beat(batch.Step("warm-up"), StepKind.OutOfFridge, Moment, Ending.Done, Lane.Proof, calls: true, about: new(place.Name));
        }
        if (proof.OutOfOven is { } out_)
        {
            steps.Stretch("proof", StepKind.Proof, Longer(out_ - cold, TimeSpan.Zero), Lane.Proof, "clear-oven", new(ResourceKind.Oven, spec.Oven.Id), new(place.Name));
            Looks();
            steps.Beat("clear-oven", StepKind.ClearOven, Moment, Ending.Done, Lane.Proof, calls: true, about: new(spec.Oven.Name));
            steps.Stretch("proof-counter", StepKind.ProofOnCounter, Longer(best - out_ - Moment, Moment), Lane.Proof, first, null, new(Places.Counter.Name));
        }
        else
        {
            steps.Stretch(batch.Step("proof"), StepKind.Proof, Longer(best - cold, Moment), Lane.Proof, first, null, new(place.Name),
                least: proof.Window is { } window && forecast.First is null ? Longer(best - (window.Best - window.Early), Moment) : null);
            Looks();
        }

        void Looks()
        {
            var taken = soFar.LooksAt(batch);
            for (var i = 0; i <= taken.Length; i++)
            {
                if (i == taken.Length && i > 0 && Proof.CanGoIn(taken[^1].Seen, bread.Family.WantedRise)) break;
                var after = i < taken.Length ? TimeSpan.Zero : Longer(proof.NextLook - cold, TimeSpan.Zero);
                steps.Aside(LookStep(batch, i), StepKind.Look, Moment, Ending.Look, new(batch.Step("proof"), Edge.Start, after), first, null, new(place.Name, Count: i + 1));
            }
        }
    }

    /// <summary>The step that heats a batch's oven: the first oven's has no mark.</summary>
    /// <param name="id"><c>oven-on</c> or <c>preheat</c>.</param>
    /// <param name="batch">A batch in an oven.</param>
    /// <param name="batches">All batches.</param>
    public static string HeatStep(string id, Batch batch, ImmutableArray<Batch> batches)
    {
        ArgumentNullException.ThrowIfNull(batch);
        var first = FirstIn(batch, batches);
        return first == batches.First(b => !b.Bread.OnGriddle) ? id : first.Step(id);
    }

    // The first batch in the same oven, without a night between.
    private static Batch FirstIn(Batch batch, ImmutableArray<Batch> batches) => batches.First(b => !b.Bread.OnGriddle && b.Bread.SameTurn(batch.Bread));

    private static void Heat(Steps steps, BakeSpec spec, SoFar soFar, Forecast forecast, ImmutableArray<Forecast> forecasts)
    {
        var (batch, batches) = (forecast.Batch, spec.Batches);
        var own = spec.OvenOf(batch.Bread);
        var oven = new Resource(ResourceKind.Oven, own.Id);
        if (batch.Bread.OnGriddle)
        {
            var griddle = new Resource(ResourceKind.Griddle, "");
            steps.InTime(batch.Step("griddle-on"), StepKind.GriddleOn, batch.Step("load"), Moment, [], griddle, new(batch.Bread.Pan?.Name, Heat: batch.Bread.Heat), calls: true);
            steps.InTime(batch.Step("griddle-heats"), StepKind.GriddleHeats, batch.Step("load"), GriddleHeats, [new(batch.Step("griddle-on"), Edge.End)], griddle, new(batch.Bread.Pan?.Name));
        }
        else if (batch == FirstIn(batch, batches))
        {
            var after = forecasts[0].Proof.OutOfOven is not null && batch.Bread.Oven is null ? ImmutableArray.Create(new Link("clear-oven", Edge.End)) : [];
            var about = new About(own.Name, Heat: batch.Bread.Heat);
            var on = HeatStep("oven-on", batch, batches);
            // Another bake may have heated it before.
            var first = batches.First(b => !b.Bread.OnGriddle && b.Bread.Oven == batch.Bread.Oven) == batch;
            TimeSpan? change = soFar.Arranged.HotFrom.TryGetValue(own.Id, out var hot) && first ? own.Change(hot, batch.Bread.Heat) : null;
            if (change is not null) about = about with { From = hot };
            if (change != TimeSpan.Zero)
                steps.InTime(on, StepKind.OvenOn, batch.Step("load"), Moment, after, oven, about, calls: true);
            steps.InTime(HeatStep("preheat", batch, batches), StepKind.Preheat, batch.Step("load"), change ?? own.Preheat(batch.Bread.Heat, spec.Room, batch.Bread.Pan?.IsStone == true),
                change == TimeSpan.Zero ? [] : [new(on, Edge.End)], oven, about);
        }
        if (!batch.Bread.Family.Bathed || batches.First(b => b.Bread.Family.Bathed).Index != batch.Index) return;
        var (pot, bath) = (new Resource(ResourceKind.Pot, spec.Pot.Id), batch.Step("bath"));
        steps.InTime("pot-on", StepKind.PotOn, bath, Moment, [], pot, new(spec.Pot.Name, spec.Handling.Bath == PotSchool.InThePot ? spec.Pot.Soda : null), calls: true);
        steps.InTime("pot-heats", StepKind.PotHeats, bath, spec.Pot.ToBoil(spec.Room, spec.Around.Hob, spec.BoilsAt), [new("pot-on", Edge.End)], pot, new(spec.Pot.Name));
    }

    private static void Oven(Steps steps, BakeSpec spec, Forecast forecast, ImmutableArray<Batch> batches)
    {
        var (batch, window, piece) = (forecast.Batch, forecast.Window, forecast.Piece);
        var (bread, finishing, oven) = (batch.Bread, FinishingLength(spec, batch, piece), spec.OvenOf(batch.Bread));
        string Id(string id) => batch.Step(id);
        // What cannot go in together goes one after the other, with time to change the oven's temperature between them.
        var before = batch.WaitsFor(batches, oven.Racks);
        var change = before is null ? TimeSpan.Zero : oven.Change(before.Bread.Heat, bread.Heat);
        var free = before is null ? null : new Link(before.Step("unload"), Edge.End, change);
        if (bread.Family.Bathed)
            steps.Beat(Id("bath"), StepKind.Bath, finishing, Ending.Done, Lane.Hands, calls: true, also: [Heats("pot-heats"), Sooner(free, finishing)],
                about: new(spec.Pot.Name, spec.Handling.Bath == PotSchool.InThePot ? spec.Pot.Soda : Pot.DipSoda, Count: Boils(spec, batch, piece), Length: Pot.PerSide(spec.Handling.Bath)));
        else if (spec.BrushedLast(bread)) Brush(steps, batch, piece, [Sooner(free, finishing)], calls: true);
        if (spec.ScoredLast(bread)) Score(steps, batch, [spec.BrushedLast(bread) ? null : Sooner(free, finishing)], calls: !spec.BrushedLast(bread));
        if (before is not null && change > TimeSpan.Zero)
            steps.Aside(Id("oven-to"), StepKind.OvenOn, Glance, Ending.Done, new(before.Step("unload"), Edge.End), Id("load"), null, new(oven.Name, Heat: bread.Heat));
        steps.Beat(Id("load"), StepKind.Load, Moment, Ending.Done, Lane.Hands, calls: true, also: [free ?? Heats(bread.OnGriddle ? Id("griddle-heats") : HeatStep("preheat", batch, batches))], about: new(bread.OnGriddle ? bread.Pan?.Name : oven.Name, Heat: bread.Heat, Count: batch.Pieces));
        if (bread.OnGriddle)
        {
            // One batch after the other, hands at the griddle all the time.
            var rounds = (batch.Pieces + (bread.AtOnce ?? 1) - 1) / (bread.AtOnce ?? 1);
            steps.Stretch(Id("bake"), StepKind.Bake, (window.Likely + Moment) * rounds, Lane.Oven, Id("unload"), Resource.Hands, new(bread.Pan?.Name, Heat: bread.Heat, Count: rounds, Length: window.Likely / 2));
        }
        // The probe knows the middle; the crust is not there before the first look.
        else steps.Stretch(Id("bake"), StepKind.Bake, forecast.Probed is { } done ? Longer(done, window.FirstLook) : window.Likely, Lane.Oven, Id("unload"), new(ResourceKind.Oven, oven.Id), new(oven.Name, Heat: bread.Heat));
        var (turn, look) = (window.Turn, window.FirstLook);
        if (!bread.OnGriddle)
        {
            if (spec.SteamFor(bread) == Steam.Mist)
                foreach (var (at, i) in Steaming.Mists(window.Likely).Select((at, i) => (at, i)))
                    steps.Aside(Id($"mist-{i + 1}"), StepKind.Mist, Glance, Ending.Done, new(Id("bake"), Edge.Start, at), Id("unload"), window.Likely / 10, new(Count: i + 1));
            steps.Aside(Id("turn"), StepKind.Turn, Glance, Ending.Done, new(Id("bake"), Edge.Start, turn), Id("unload"), window.Likely - turn, new(Count: batch.Pieces));
            steps.Aside(Id("first-look"), StepKind.FirstLook, Glance, Ending.Done, new(Id("bake"), Edge.Start, look), Id("unload"), window.Likely - look, null);
        }
        steps.Beat(Id("unload"), StepKind.Unload, Moment, Ending.Done, Lane.Oven, calls: true, about: new(oven.Name, Count: batch.Pieces));
        if (spec.Way.Buttered)
            steps.Aside(Id("butter"), StepKind.Butter, Finish.SecondsEach * batch.Pieces, Ending.Done, new(Id("unload"), Edge.End), "review", bread.Family.Cooling, new("butter", Finish.ButterFor(piece, batch.Pieces), Count: batch.Pieces));
        steps.Stretch(Id("cool"), StepKind.Cool, bread.Family.Cooling, Lane.Rack, "review", null, null);

        static Link Heats(string step) => new(step, Edge.End);
        static Link? Sooner(Link? link, TimeSpan by) => link is null ? null : link with { Lag = link.Lag - by };
    }

    private static void Brush(Steps steps, Batch batch, Mass piece, ImmutableArray<Link?> also, bool calls = false) =>
        steps.Beat(batch.Step("brush"), StepKind.Brush, Finish.SecondsEach * batch.Pieces, Ending.Done, Lane.Hands, calls, also,
            new(batch.Bread.Wash.Name, Finish.WashFor(batch.Bread.Wash, batch.Bread.Family, piece, batch.Pieces), Count: batch.Pieces));

    private static void Score(Steps steps, Batch batch, ImmutableArray<Link?> also, bool calls) =>
        steps.Beat(batch.Step("score"), StepKind.Score, Finish.SecondsEach * batch.Pieces, Ending.Done, Lane.Hands, calls, also, new(Count: batch.Pieces));

    private static int Boils(BakeSpec spec, Batch batch, Mass piece) => Footprint.Of(batch.Bread.Family, piece) is { } one ? spec.Pot.Batches(batch.Pieces, one) : 1;

    private static TimeSpan FinishingLength(BakeSpec spec, Batch batch, Mass piece) =>
        batch.Bread.Family.Bathed ? Pot.BathLength(Boils(spec, batch, piece), spec.Handling.Bath)
        : Finish.SecondsEach * batch.Pieces * ((spec.BrushedLast(batch.Bread) ? 1 : 0) + (spec.ScoredLast(batch.Bread) ? 1 : 0));

    /// <summary>Id of the dough check number <paramref name="index"/> + 1.</summary>
    public static string CheckStep(int index) => $"check-{index + 1}";

    /// <summary>Id of a batch's look number <paramref name="index"/> + 1.</summary>
    public static string LookStep(Batch batch, int index)
    {
        ArgumentNullException.ThrowIfNull(batch);
        return batch.Step($"look-{index + 1}");
    }

    private static TimeSpan Longer(TimeSpan a, TimeSpan b) => a > b ? a : b;

    // Collects steps; the spine is the dough's own way, each link of it waiting for the one before.
    private sealed class Steps(Func<StepKind, bool> known)
    {
        private readonly ImmutableArray<Step>.Builder made = ImmutableArray.CreateBuilder<Step>();
        private ImmutableArray<string> spine = [];
        private int? batch;

        public ImmutableArray<Step> Made() => made.ToImmutable();

        // The steps from here on belong to this batch.
        public void Of(Batch of) => batch = of.Index;

        // The batch goes its own way from this step.
        public void Fork(Batch of, string from) => (batch, spine) = (of.Index, [from]);

        // All ways come together.
        public void Join(ImmutableArray<string> ways) => (batch, spine) = (null, ways);

        public void Beat(string id, StepKind kind, TimeSpan length, Ending ending, Lane holds, bool calls = false, ImmutableArray<Link?> also = default, About? about = null)
        {
            if (Add(new(id, kind, length, AfterSpine(also), ending, holds, [Resource.Hands], Calls: calls, About: about))) spine = [id];
        }

        public void Stretch(string id, StepKind kind, TimeSpan length, Lane holds, string endedBy, Resource? occupies, About? about, TimeSpan? least = null)
        {
            if (Add(new(id, kind, length, AfterSpine(default), null, holds, occupies is null ? [] : [occupies], EndedBy: endedBy, About: about) { Least = least })) spine = [id];
        }

        public void Aside(string id, StepKind kind, TimeSpan length, Ending ending, Link after, string pointlessAfter, TimeSpan? usefulFor, About? about) =>
            Add(new(id, kind, length, [after], ending, null, [Resource.Hands], Calls: true, UsefulFor: usefulFor, PointlessAfter: pointlessAfter, About: about));

        public void InTime(
            string id, StepKind kind, string target, TimeSpan length, ImmutableArray<Link> after, Resource? occupies, About about, bool calls = false, TimeSpan? usefulFor = null, bool quiet = false) =>
            Add(new(id, kind, length, after, calls ? Ending.Done : null, null, [.. new[] { occupies, calls ? Resource.Hands : null }.OfType<Resource>().Distinct()],
                target, calls ? null : target, calls && !quiet, usefulFor, calls ? target : null, about));

        public void Beside(string id, StepKind kind, TimeSpan length, Link after, string endedBy) =>
            Add(new(id, kind, length, [after], EndedBy: endedBy, Occupies: []));

        // Steps that came after the bake was laid out are left out.
        private bool Add(Step step)
        {
            if (!known(step.Kind)) return false;
            made.Add(step with { Batch = batch });
            return true;
        }

        private ImmutableArray<Link> AfterSpine(ImmutableArray<Link?> also) =>
            [.. spine.Select(s => new Link(s, Edge.End)), .. also.IsDefault ? [] : also.OfType<Link>()];
    }
}
