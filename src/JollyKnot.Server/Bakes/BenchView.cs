using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Cautions;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Words;
using JollyKnot.Store;

namespace JollyKnot.Server.Bakes;

/// <summary>One answer on offer at a step.</summary>
/// <param name="Value">What the event says.</param>
/// <param name="Label">What the button says.</param>
/// <param name="Hint">What follows from it; may be empty.</param>
/// <param name="Water">Suggested dose of water.</param>
/// <param name="Flour">Suggested dose of flour.</param>
public sealed record Answer(string Value, string Label, string Hint = "", Mass? Water = null, Mass? Flour = null);

/// <summary>The one thing now.</summary>
/// <param name="Step">Step id.</param>
/// <param name="Kind">What sort of step.</param>
/// <param name="Ending">What ends it: which control to show.</param>
/// <param name="IsDue">The baker can do it now; else it is waited for.</param>
/// <param name="Due">When it is due.</param>
/// <param name="Say">The bench sentence: what to do, or what is going on meanwhile.</param>
/// <param name="Phrase">How the step itself is said.</param>
/// <param name="Expected">The reading expected, for steps that end with a mass.</param>
/// <param name="Answers">Answers on offer.</param>
/// <param name="Cautions">Cautions that matter here.</param>
public sealed record Beat(
    string Step, StepKind Kind, Ending Ending, bool IsDue, DateTimeOffset Due, string Say, Phrase Phrase, Mass? Expected,
    ImmutableArray<Answer> Answers, ImmutableArray<string> Cautions);

/// <summary>A step in a list.</summary>
public sealed record StepLine(
    string Step, string Short, Ending? Ending, StepState State, DateTimeOffset Start, DateTimeOffset End, DateTimeOffset? Planned);

/// <summary>Something that was told and can be taken back.</summary>
public sealed record Taken(int Position, string Short);

/// <summary>One cut at the station.</summary>
/// <param name="Name">What it becomes.</param>
/// <param name="Shape">The form given by hand; null for a share that is kept.</param>
/// <param name="Spread">Heaviest less lightest so far; null until two are weighed.</param>
/// <param name="BakeBetween">What that does in the oven.</param>
public sealed record StationCut(string Name, Form? Shape, int Pieces, int Strands, int? Spread, TimeSpan? BakeBetween);

/// <summary>The scale station, in whole scale units.</summary>
/// <param name="EvenOut">Once all are weighed: the fewest pinches that make them even.</param>
public sealed record StationView(
    int Dough, int Left, int? Next, int? Target, int? From, int? To, ImmutableArray<Piece> Pieces, ImmutableArray<StationCut> Cuts, ScaleUnitView Scale, ImmutableArray<Pinch> EvenOut, EyeCut Eye)
{
    internal static StationView Of(BakeState state)
    {
        var (station, spec) = (state.Station, state.Plan.Spec);
        var next = station.Next;
        return new(station.Dough, station.Left, next?.Number, next?.Target, next?.Target - next?.Tolerance, next?.Target + next?.Tolerance, station.Pieces,
            CutsOf(spec, CutEvenness.Of(spec, station)), Voice.Scale(spec.Step), next is null ? Core.Dividing.EvenOut.Of(station.Pieces) : [], EyeCut.Of([.. spec.Cuts.Select(c => c.Group(spec.Step))]));
    }

    internal static ImmutableArray<StationCut> CutsOf(BakeSpec spec, ImmutableArray<CutEvenness> even) =>
        [.. spec.Cuts.Select((c, i) => new StationCut(c.Bread?.Family.Name ?? "for the fridge", c.Bread?.Family.Form, c.Pieces, c.Strands,
            even.FirstOrDefault(e => e.Cut == i)?.Evenness.Spread, even.FirstOrDefault(e => e.Cut == i)?.BakeBetween))];
}

/// <summary>The dough check so far.</summary>
/// <param name="Added">In words.</param>
/// <param name="Hydration">True hydration now.</param>
/// <param name="Dough">Everything in the pan now.</param>
/// <param name="Stop">No more doses.</param>
/// <param name="Slips">What likely went wrong, in words.</param>
/// <param name="Wait">Between a dose and the next look.</param>
/// <param name="LastLook">After this no dose helps.</param>
/// <param name="Before">What was added and felt before, in words.</param>
public sealed record CheckView(string Added, Share Hydration, Mass Dough, bool Stop, ImmutableArray<string> Slips, TimeSpan Wait, DateTimeOffset? LastLook, ImmutableArray<string> Before);

/// <summary>A moment of a proof as drawn.</summary>
/// <param name="At">When.</param>
/// <param name="Rise">As believed.</param>
/// <param name="Slow">If it is slow: one chance in ten is slower.</param>
/// <param name="Fast">If it is fast.</param>
public sealed record ProofPoint(DateTimeOffset At, double Rise, double Slow, double Fast);

/// <summary>A look as drawn.</summary>
public sealed record ProofLook(DateTimeOffset At, double Rise, string Seen);

/// <summary>The second proof.</summary>
/// <param name="Step">The step that set the dough to proof.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="PlaceNow">How warm it is there now, measured or reckoned.</param>
/// <param name="DoughNow">How warm the dough is.</param>
/// <param name="Moves">When it moves, and where to.</param>
/// <param name="Trouble">What goes wrong, and what to do.</param>
/// <param name="Width">How much wider it is at the wanted rise than freshly shaped.</param>
public sealed record ProofView(
    string Step, DateTimeOffset Start, double RiseNow, double WantedRise, DateTimeOffset? Early, DateTimeOffset? Best, DateTimeOffset? Late, DateTimeOffset? LikelyFrom, DateTimeOffset? LikelyTo,
    string Place, Temperature PlaceNow, Temperature DoughNow, ImmutableArray<ProofPoint> Curve, ImmutableArray<ProofLook> Looks, ImmutableArray<StepLine> Moves, string? Trouble, double Width);

/// <summary>Bread in the oven.</summary>
/// <param name="Load">The step that loaded it.</param>
/// <param name="Wanted">What the middle should reach.</param>
/// <param name="Curve">The middle as reckoned, minute by minute.</param>
/// <param name="Readings">What the probe said.</param>
/// <param name="Done">When it is done by the probe; null while the probe cannot say.</param>
public sealed record InOvenView(
    string Load, DateTimeOffset Loaded, Temperature Wanted, DateTimeOffset FirstLook, DateTimeOffset Turn, DateTimeOffset Likely, DateTimeOffset Latest, ImmutableArray<Temperature> Curve,
    ImmutableArray<ProbePoint> Readings, DateTimeOffset? Done);

/// <summary>A probe reading.</summary>
public sealed record ProbePoint(DateTimeOffset At, Temperature Core);

/// <summary>The bath, to be followed by ear.</summary>
/// <param name="Say">Said before the first is in.</param>
/// <param name="Beats">One batch after the other.</param>
public sealed record BathView(string Say, ImmutableArray<BathBeat> Beats);

/// <summary>A beat at the pot.</summary>
/// <param name="Say">What to do as it begins.</param>
/// <param name="Boiling">Something is in the pot.</param>
/// <param name="Length">Until the next beat.</param>
public sealed record BathBeat(string Say, bool Boiling, TimeSpan Length);

/// <summary>What becomes of the bread.</summary>
/// <param name="Out">When it came out.</param>
/// <param name="Cooling">How it cools, in words.</param>
/// <param name="Slices">Even shares of one; null for what is eaten whole.</param>
/// <param name="Slice">How wide one is.</param>
public sealed record FinishView(string What, DateTimeOffset Out, int Pieces, Mass Baked, DateTimeOffset? CutAt, string Cooling, int? Slices, Length? Slice, DateTimeOffset? KeepBy, DateTimeOffset? FreezeBy, bool KeepCold);

/// <summary>What is being shaped.</summary>
/// <param name="Form">The form given by hand.</param>
/// <param name="Strands">Ropes in one piece.</param>
/// <param name="Tie">What the rope is tied or wound into; null when it is not.</param>
/// <param name="Aim">What to aim for.</param>
/// <param name="RollTo">How far to roll a rope or disc, which shrinks back; null where nothing is rolled.</param>
/// <param name="Pan">Where they go.</param>
/// <param name="Shares">Fillings and toppings shared out among the pieces by weight, in words.</param>
public sealed record ShapeView(Form Form, int Strands, Ties.Kind? Tie, Aim Aim, Length? RollTo, PanLayout? Pan, ImmutableArray<string> Shares)
{
    internal static ShapeView Of(BakeState state, Step step, Voice words)
    {
        var (batch, piece) = state.Chain.Of(step) is var f ? (f.Batch, f.Piece) : default;
        var (family, aim, spec) = (batch.Bread.Family, Sizes.For(batch.Bread.Family, piece, batch.Bread.Pan), state.Plan.Spec);
        Ties.Kind? tie = family.Form == Form.Coil ? Ties.Kind.Coil : family.Form != Form.Rope ? null : family.Bathed ? Ties.Kind.Pretzel : Ties.Kind.Knot;
        var rolled = aim.Rope ?? (aim.Thickness is null ? null : aim.Across);
        return new(family.Form, family.Strands, tie, aim, rolled is { } r ? Length.FromMillimetres(r.Millimetres * (1 + Sizes.ShrinkBack)) : null,
            batch.Bread.Pan is { } pan ? PanLayout.Of(family, piece, batch.Pieces, pan, batch.Bread.Touching) : null,
            [.. spec.Dough.Parts.Where(p => p.Kind != PartKind.Wash).Select(p => words.Shared(p, state.Station, spec, batch.Cut))]);
    }
}

/// <summary>Steps that are known since the bake was laid out; it has them once its baker takes them over.</summary>
/// <param name="Rules">What to take over: the rules up to this version.</param>
/// <param name="Steps">What they are, in words.</param>
public sealed record NewSteps(int Rules, ImmutableArray<string> Steps);

/// <summary>A bake at the bench.</summary>
public sealed record BenchView(
    Guid Id, string Title, string What, BakeStatus Status, int Position, DateTimeOffset Ready, DateTimeOffset PlannedReady,
    Beat? Beat, ImmutableArray<StepLine> Next, ImmutableArray<StepLine> Calling, ImmutableArray<StepLine> Steps,
    Taken? Undo, Taken? Redo, StationView? Station, ProofView? Proof, CheckView? Check, ShapeView? Shape, InOvenView? InOven, BathView? Bath, ImmutableArray<FinishView> Finish, FirstRise? FirstRise, DisplayShows? Display,
    NewSteps? NewSteps)
{
    internal static BenchView Of(StoredBake bake, BakeState state, Voice words, string? step = null, DoseMemory? memory = null, bool away = false)
    {
        var (plan, spec) = (bake.Plan, bake.Plan.Spec);
        var planned = plan.Steps.ToDictionary(s => s.Step, s => s.Start);
        StepLine Line(Slot s) => new(s.Step.Id, words.Of(s.Step, spec).Short, s.Step.Ending, s.State, s.Start, s.End,
            planned.TryGetValue(s.Step.Id, out var p) ? p : null);
        return new(
            bake.Id, spec.Dough.Name, Voice.Bread(spec), state.Status, state.Log.Position, state.Timetable.Ready, plan.Ready,
            (step is null ? null : state.Timetable[step] is { Step.IsBeat: true } chosen ? chosen : null) is { } slot ? BeatOf(state, words, slot with { Start = slot.IsOpen && slot.Start > state.SoFar.Now ? state.SoFar.Now : slot.Start })
                : state.Now is { } now ? BeatOf(state, words, now) : null,
            [.. state.Next.Select(Line)], [.. state.Calling.Where(s => !(away && s.Step.WakesNobody)).Select(Line)],
            [.. state.Timetable.Slots.Where(s => s.Step.IsBeat).OrderBy(s => s.Start).Select(Line)],
            state.LastTold is { } last ? new(last.Position, Told(last.Event, state, words)) : null,
            state.LastUndone is { } undo ? new(undo.Position, "") : null,
            state.Now?.Step.Kind is StepKind.Divide or StepKind.Shape || step == "divide" ? StationView.Of(state) : null,
            ProofOf(state, words, Line), state.Now?.Step.Kind is StepKind.Check ? CheckOf(state, words, memory) : null,
            state.Now?.Step is { Kind: StepKind.Shape } shape ? ShapeView.Of(state, shape, words) : null,
            OvenOf(state), state.Now?.Step is { Kind: StepKind.Bath } bath ? BathOf(state, bath) : null, FinishOf(state),
            state.Now?.Step.Kind == StepKind.TakeOut && state.CycleBegan is { } began ? FirstRise.Of(spec.Machine, spec.Formula, state.SoFar.DoughOf(spec), spec.Room, state.SoFar.Now - began) : null,
            state.SoFar.When("take-out") is null && state.CycleBegan is { } started ? spec.Machine.Shows(started, state.SoFar.Now) : null,
            state.NewSteps is { IsEmpty: false } later ? new(RuleBook.Version, [.. later.Select(s => words.Of(s, spec).Short)]) : null);
    }

    /// <summary>What was told, in a few words.</summary>
    internal static string Told(BakeEvent told, BakeState state, Voice words)
    {
        string Short(string step) => state.Timetable[step] is { } slot ? words.Of(slot.Step, state.Plan.Spec).Short : step;
        return told switch
        {
            PartWeighed e when state.Station.Pieces.FirstOrDefault(p => p.Number == e.Number) is { } piece => $"{Capital(Voice.Piece(piece, state.Plan.Spec))}: {words.Grams(e.Mass)}",
            DoughWeighed e => $"Dough: {words.Grams(e.Mass)}",
            IngredientWeighed e => $"{Short(e.Step)}: {words.Grams(e.Mass)}",
            DoughChecked e => $"{Short(e.Step)}: {Voice.Of(e.Feel)}; {words.Of(new Dose(e.Water, e.Flour))}",
            DoughTakenOut e => $"{Short(e.Step)}: {Voice.Of(e.Feel)}",
            ProbeRead e => $"Probe: {words.Degree(e.Core)}",
            PlaceMeasured e => $"Place: {words.Degree(e.Heat)}",
            ProofLooked e => $"{Short(e.Step)}: {Voice.Of(e.Seen)}",
            StepSkipped e => $"Skipped: {Short(e.Step)}",
            StepEvent e => Short(e.Step),
            Arranged => "The day laid out anew",
            RulesTaken => "New steps taken over",
            PartWeighed e => $"Part {e.Number}: {words.Grams(e.Mass)}",
            Stopped => "Bake stopped",
            AlarmsHushed => "Heard",
            Undone e => $"Taken back: no. {e.Position}",
            _ => throw new InvalidOperationException($"No words for {told.GetType().Name}."),
        };
    }

    private static Beat BeatOf(BakeState state, Voice words, Slot slot)
    {
        var spec = state.Plan.Spec;
        var now = state.SoFar.Now;
        var due = slot.Start <= now;
        var phrase = words.Of(slot.Step, spec, slot.Step.Kind == StepKind.Divide ? state.Station : null);
        var stretch = state.Timetable.Slots.LastOrDefault(s => !s.Step.IsBeat && s.Step.Holds is not null && s.Start <= now && s.State == StepState.Open);
        return new(
            slot.Step.Id, slot.Step.Kind, slot.Step.Ending!.Value, due, slot.Start,
            due ? phrase.Say : words.Meanwhile(stretch, spec, now), phrase,
            slot.Step.Ending == Ending.Mass ? slot.Step.About?.Mass : null,
            Answers(state, words, slot.Step),
            [.. CautionRules.Of(spec, state.Chain).Where(c => c.Step == slot.Step.Id && state.SoFar.Parts.IsEmpty).Select(c => words.Of(c.Caution, spec))]);
    }

    private static ImmutableArray<Answer> Answers(BakeState state, Voice words, Step step) => step.Ending switch
    {
        Ending.YesNo => [new("no", "It does not", "Stop the machine and unplug it. Seat the paddle, start again, then take back the start here and tell it anew.")],
        Ending.Feel => [.. Enum.GetValues<DoughFeel>().Select(f => state.DoseFor(f) is var dose
            ? new Answer(Name(f), Voice.Of(f), words.Of(dose), Rounded(dose.Water), Rounded(dose.Flour)) : null!)],
        Ending.TakeOut => [.. Enum.GetValues<DoughFeel>().Where(f => f is DoughFeel.Stiff or DoughFeel.Right or DoughFeel.Sticky).Select(f => new Answer(Name(f), Voice.Felt(f)))],
        Ending.Look => [.. Enum.GetValues<Seen>().Select(s => new Answer(Name(s), Voice.Of(s),
            Core.Proofing.Proof.CanGoIn(s, state.Chain.Of(step).Batch.Bread.Family.WantedRise) ? "Can go in" : ""))],
        _ => [],
    };

    private static Mass Rounded(Mass mass) => Mass.FromGrams(mass.WholeGrams);
    private static string Name<T>(T value) where T : struct, Enum => System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString());

    private static CheckView CheckOf(BakeState state, Voice words, DoseMemory? memory)
    {
        var spec = state.Plan.Spec;
        var now = DoughCheck.After(spec.Dough, state.SoFar.Added);
        var start = state.SoFar.When("start-cycle");
        return new(now.Added == Dose.None ? "" : words.Of(now.Added), now.Hydration, now.Dough, now.Stop, [.. now.Slips.Select(Voice.Of)],
            DoughCheck.WaitFor(spec.Dough), start + spec.Machine.KneadStart + DoughCheck.Last, memory is null ? [] : words.Of(memory, spec.Formula.Flour));
    }

    private const int ProofPoints = 60;
    private const double ShownPast = 1.15;
    private static readonly TimeSpan ShownWithoutWindow = TimeSpan.FromHours(4);

    private static ProofView? ProofOf(BakeState state, Voice words, Func<Slot, StepLine> line)
    {
        // The proof that is looked at, or else the first that still goes on.
        var batches = state.Chain.Batches.Where(b => state.SoFar.When(b.Batch.Step("start-proof")) is not null && state.SoFar.When(b.Batch.Step("load")) is null).ToList();
        if ((batches.FirstOrDefault(b => b.Batch.Index == state.Now?.Step.Batch) ?? batches.FirstOrDefault()) is not { } forecast) return null;
        var (batch, proof, spec, now) = (forecast.Batch, forecast.Proof, state.Plan.Spec, state.SoFar.Now);
        var (start, wanted, step) = (state.SoFar.When(batch.Step("start-proof"))!.Value, batch.Bread.Family.WantedRise, batch.Step("start-proof"));
        var (belief, (slow, fast)) = (proof.Belief, proof.Belief.FourInFive);
        // A little past its window, in as many points as a screen shows.
        var until = (proof.Window?.Late ?? ShownWithoutWindow) * ShownPast;
        if (now - start > until) until = now - start;
        var at = proof.Curve.At(now - start);
        var cold = state.Timetable[batch.Step("cold")];
        var place = cold is { IsOpen: true } && forecast.First is { } first ? first.Place : spec.Place;
        var since = state.Timetable[batch.Step("proof")] is { } slot ? now - slot.Start : now - start;
        return new(step, start, at.Rise * belief.Pace, wanted,
            start + proof.Window?.Early, start + proof.Window?.Best, start + proof.Window?.Late, start + proof.Likely?.From, start + proof.Likely?.To,
            place.Name, state.SoFar.PlaceReadings.TryGetValue(step, out var measured) ? measured : place.At(since > TimeSpan.Zero ? since : TimeSpan.Zero, spec.Room), Temperature.FromCelsius(at.Celsius),
            [.. Enumerable.Range(0, ProofPoints + 1).Select(i => start + until * ((double)i / ProofPoints)).Select(t => proof.Curve.At(t - start).Rise is var x ? new ProofPoint(t, x * belief.Pace, x * slow, x * fast) : null!)],
            [.. state.SoFar.LooksAt(batch).Select(l => new ProofLook(l.At, PaceBelief.RiseOf(l.Seen, wanted), Voice.Of(l.Seen)))],
            [.. state.Timetable.Slots.Where(s => s.IsOpen && s.Step.Kind is StepKind.OutOfFridge or StepKind.ClearOven && (s.Step.Batch ?? batch.Index) == batch.Index).Select(line)],
            proof.Trouble is { } trouble ? Voice.Of(trouble, batch.Bread.Family) : null, Math.Cbrt(1 + wanted));
    }

    private static InOvenView? OvenOf(BakeState state)
    {
        if (state.Chain.Batches.FirstOrDefault(b => !b.Batch.Bread.OnGriddle && state.SoFar.InSince(b.Batch) is not null) is not { } forecast) return null;
        var (batch, piece, window, wanted, probed) = (forecast.Batch, forecast.Piece, forecast.Window, forecast.Wanted, forecast.Probed);
        var (spec, loaded) = (state.Plan.Spec, state.SoFar.InSince(batch)!.Value);
        var shape = batch.Bread.Family.BodyOf(piece);
        return new(batch.Step("load"), loaded, wanted, loaded + window.FirstLook, loaded + window.Turn, loaded + window.Likely, loaded + window.Latest,
            [.. Enumerable.Range(0, (int)Math.Ceiling(window.Latest.TotalMinutes) + 1).Select(m => CoreHeat.At(shape, batch.Bread.Heat, spec.OvenOf(batch.Bread).Fan, TimeSpan.FromMinutes(m), spec.BoilsAt))],
            [.. state.SoFar.Probes.Where(p => p.Load == batch.Step("load")).Select(p => new ProbePoint(p.At, p.Core))], loaded + probed);
    }

    private static BathView BathOf(BakeState state, Step step)
    {
        var forecast = state.Chain.Of(step);
        var (spec, bread) = (state.Plan.Spec, forecast.Batch.Bread);
        var beats = spec.Pot.Beats(forecast.Batch.Pieces, Footprint.Of(bread.Family, forecast.Piece)!, spec.Handling.Bath);
        return new($"{beats[^1].Batch} {(beats[^1].Batch == 1 ? "batch" : "batches")} of {beats[0].Pieces}, {Pot.PerSide(spec.Handling.Bath).TotalSeconds:0} s a side.",
            [.. beats.Select(b => new BathBeat(Voice.Of(b), b.Act != PotAct.Out, b.Length))]);
    }

    internal static ImmutableArray<FinishView> FinishOf(BakeState state)
    {
        var spec = state.Plan.Spec;
        return [.. state.Chain.Batches.Where(b => state.SoFar.When(b.Batch.Step("unload")) is not null).Select(b =>
        {
            var (came, keeping) = (state.SoFar.When(b.Batch.Step("unload"))!.Value, Keeping.Of(spec.Formula, b.Batch.Bread.Family, b.Piece, spec.Dough.Spoils, spec.Way.Cooling));
            var slices = Keeping.Slices(b.Batch.Bread.Family, b.Piece, b.Batch.Bread.Pan);
            return new FinishView(b.Batch.Bread.Family.Name, came, b.Batch.Pieces, keeping.Baked, came + keeping.CutAfter, Voice.Of(keeping.Cooling), slices?.Count, slices?.Each, came + keeping.Keeps, came + Keeping.Frozen, keeping.KeepCold);
        })];
    }

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
