using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Day;
using JollyKnot.Server.Doughs;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Larders;
using JollyKnot.Server.Pantry;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Layouts;

/// <summary>A bake as chosen.</summary>
/// <param name="DoughId">A dough of the book.</param>
/// <param name="Choice">What is made of it, where and when.</param>
/// <param name="ScaleToFit">Scale the dough down to the machine's limit if it is over.</param>
/// <param name="ScaleToCuts">Scale the dough to what the pinned cuts want altogether.</param>
/// <param name="Frame">The picture's room; no picture without.</param>
public sealed record LayoutRequest(
    Guid DoughId,
    BakeChoice Choice,
    bool ScaleToFit = false,
    bool ScaleToCuts = false,
    FrameRequest? Frame = null
);

/// <summary>A row of the weigh-in list.</summary>
/// <param name="Measure">In cups and spoons, where nothing is weighed; else null.</param>
public sealed record WeighInRow(string Ingredient, Mass Mass, Mass Running, string? Measure);

/// <summary>A filling or the like, shared among the pieces.</summary>
public sealed record PartShare(PartKind Kind, string Name, Mass Total, Mass Each);

/// <summary>What one cut lies in.</summary>
/// <param name="Id">The pan.</param>
/// <param name="Pans">Pans filled.</param>
/// <param name="Loads">Times the oven is loaded.</param>
public sealed record PanView(string Id, string Name, int Pans, int Loads)
{
    internal static PanView Of(PanChoice choice) => new(choice.Layout.Tin.Id, choice.Layout.Tin.Name, choice.Pans, choice.Loads);
}

/// <summary>What a recipe says beside what is reckoned: either can be taken.</summary>
/// <param name="Recipe">By the recipe.</param>
/// <param name="Middle">The middle of that: what is taken of it.</param>
/// <param name="Reckoned">As reckoned, with this household's past.</param>
/// <param name="Joined">What follows from both.</param>
public sealed record TimesBeside(Lasts Recipe, TimeSpan Middle, TimeSpan Reckoned, TimeSpan Joined);

/// <summary>Another way to bake the same.</summary>
/// <param name="Heat">The oven.</param>
/// <param name="Likely">How long.</param>
/// <param name="Hotter">Hotter and shorter, softer; else cooler and longer, crisper.</param>
public sealed record HeatSchool(Temperature Heat, TimeSpan Likely, bool Hotter);

/// <summary>All on one tray, closer together than they like.</summary>
/// <param name="PanId">The tray.</param>
/// <param name="Name">As the household calls it.</param>
/// <param name="Longer">So much longer they bake; sides that touch stay soft.</param>
public sealed record OneTrayView(string PanId, string Name, TimeSpan Longer)
{
    internal static OneTrayView? Of(BakeSpec spec, Bread bread, Mass each, int pieces, Kitchen kitchen)
    {
        if (bread.OnGriddle || bread.Touching is not null || bread.Pan is not { Shape: TinShape.Tray })
            return null;
        var tins = kitchen.Tins.Where(spec.OvenOf(bread).Holds);
        if (PanChoice.OneTray(bread.Family, each, pieces, tins, spec.RacksFor(bread)) is not { } one)
            return null;
        var longer = spec.Window(bread with { Touching = true }, each).Likely - spec.Window(bread, each).Likely;
        return new(one.Layout.Tin.Id, one.Layout.Tin.Name, longer);
    }
}

/// <summary>Rounds from a sheet with a ring.</summary>
/// <param name="Ring">The ring's width.</param>
/// <param name="Thick">The sheet's thickness.</param>
/// <param name="PerRolling">From the first sheet, then from the gathered scraps.</param>
/// <param name="Scrap">Left in the end.</param>
public sealed record RingsView(Length Ring, Length Thick, ImmutableArray<int> PerRolling, Mass Scrap);

/// <summary>One cut laid out.</summary>
/// <param name="FamilyId">What it becomes; null for the fridge.</param>
/// <param name="Name">The same, as shown.</param>
/// <param name="EachStrand">One strand of a piece.</param>
/// <param name="Pinned">Number and weight stay; the others take the difference.</param>
/// <param name="BestProof">How long the second proof is likely to take.</param>
/// <param name="ProofTimes">How long by the recipe and as reckoned; null where the recipe does not say.</param>
/// <param name="Bake">How long it bakes.</param>
/// <param name="BakeTimes">How long by the recipe and as reckoned; null where the recipe does not say.</param>
/// <param name="WaitsFor">How much longer than at its best it stands before the oven is free; 0 when it does not wait.</param>
/// <param name="OverProofed">It waits past its window.</param>
/// <param name="RoundTin">The smallest round tin they would grow together in; null when they are no balls.</param>
/// <param name="Schools">Hotter and shorter, cooler and longer, as far as the dial goes.</param>
/// <param name="Rings">What a ring cuts from the sheet; null for what is not cut with one.</param>
/// <param name="Pans">The kitchen's pans that hold it, the best first.</param>
/// <param name="Slashes">How it is slashed.</param>
/// <param name="BallsRest">How long its balls rest before they are shaped; 0 for not at all.</param>
/// <param name="Gets">The parts of its dough that it gets, by number.</param>
/// <param name="WouldHold">What would hold it, where nothing here does; null where something does.</param>
public sealed record CutView(
    string? FamilyId,
    string Name,
    int Pieces,
    Mass Each,
    Mass EachStrand,
    int Strands,
    bool Pinned,
    Temperature? Heat,
    string? Wash,
    Aim? Aim,
    TimeSpan? BestProof,
    TimesBeside? ProofTimes,
    BakeWindow? Bake,
    TimesBeside? BakeTimes,
    TimeSpan WaitsFor,
    bool OverProofed,
    bool Washed,
    bool Scored,
    bool Steamed,
    Length? RoundTin,
    ImmutableArray<HeatSchool> Schools,
    RingsView? Rings,
    ImmutableArray<PanView> Pans,
    Slashes Slashes,
    TimeSpan BallsRest,
    ImmutableArray<int> Gets,
    string? WouldHold
)
{
    /// <summary>How it lies in the first of its pans, to scale; null where nothing holds it.</summary>
    public PanLayout? OnPan { get; init; }

    /// <summary>How one tray would be enough; null where it is anyway, or cannot be.</summary>
    public OneTrayView? OneTray { get; init; }
}

/// <summary>A caution at a step.</summary>
public sealed record CautionLine(StepId Step, string Text);

/// <summary>A bake laid out.</summary>
/// <param name="Dough">Dough expected out of the pan.</param>
/// <param name="Cuts">What it is cut into; together they are the dough.</param>
/// <param name="Scaled">The factor the dough was scaled by to fit; 1 when it was not.</param>
/// <param name="RoundReady">A round time it could be wanted at.</param>
/// <param name="LateBy">How much later than wanted; 0 when in time.</param>
/// <param name="Hint">What could be written into the recipe, in words; null when past checks do not agree.</param>
/// <param name="Hands">What it wants of hands.</param>
/// <param name="Before">What was added at the check before, and how the dough felt.</param>
public sealed record LayoutView(
    Mass Dough,
    ImmutableArray<CutView> Cuts,
    double Scaled,
    DateTimeOffset Start,
    DateTimeOffset Ready,
    DateTimeOffset RoundReady,
    TimeSpan LateBy,
    Temperature Room,
    FormulaView Formula,
    ImmutableArray<WeighInRow> WeighIn,
    ImmutableArray<string> AddIns,
    ImmutableArray<PartShare> SideJobs,
    ImmutableArray<string> Before,
    string? Hint,
    ImmutableArray<StepLine> Steps,
    ImmutableArray<CautionLine> Cautions,
    Picture? Picture,
    HandsWanted Hands
);

/// <summary>A bake laid out, beside what is planned already.</summary>
/// <param name="PlaceNote">Why the place for the proof does not do, and what would; null where it does.</param>
/// <param name="Beside">How it goes with what is planned already; null when nothing is.</param>
/// <param name="Wakes">Whom it wakes; null where it wakes nobody.</param>
public sealed record LayoutInDay(string? PlaceNote, BesideView? Beside, WakesView? Wakes);

/// <summary>It wants hands while everybody sleeps or is away.</summary>
/// <param name="At">When.</param>
/// <param name="What">For what.</param>
/// <param name="ReadyBy">The next time it could be wanted at without; null where there is none within a day.</param>
public sealed record WakesView(DateTimeOffset At, string What, DateTimeOffset? ReadyBy);

/// <summary>A bake to be kept: laid out the same way.</summary>
/// <param name="Id">Made by the screen; a repeat changes nothing.</param>
/// <param name="Layout">What was chosen.</param>
/// <param name="Arrange">Lay the whole day out around it.</param>
public sealed record NewBake(Guid Id, LayoutRequest Layout, bool Arrange = false);

/// <summary>Laying a bake out over HTTP.</summary>
public static class LayoutEndpoints
{
    /// <summary>Maps layouts.</summary>
    public static void MapLayouts(this Answers app)
    {
        app.MapPost(
                "/api/layouts",
                async Task<Results<Ok<LayoutView>, ProblemHttpResult>> (
                    LayoutRequest request,
                    Planner planner,
                    KitchenKeeper keeper,
                    PantryKeeper pantries,
                    DoseMemories memories,
                    HouseClock clock
                ) =>
                    await planner.LayOut(request) is var (layout, factor, problem) && problem is null
                        ? TypedResults.Ok(
                            View(
                                layout!,
                                factor,
                                keeper.Voice,
                                await pantries.Get(),
                                await keeper.Get(),
                                await memories.For(layout!.Plan.Spec),
                                request.Frame?.ToFrame(Nights(await keeper.Get(), keeper.Zone, clock.GetUtcNow()))
                            )
                        )
                        : problem
            )
            .WithName("layOut")
            .WithSummary("Lays a bake out; nothing is kept.");
        app.MapPost(
                "/api/layouts/in-day",
                async Task<Results<Ok<LayoutInDay>, ProblemHttpResult>> (
                    LayoutRequest request,
                    Planner planner,
                    KitchenKeeper keeper,
                    DayBoard board,
                    HouseClock clock
                ) =>
                {
                    var (layout, _, problem) = await planner.LayOut(request);
                    if (problem is not null)
                        return problem;
                    var kitchen = await keeper.Get();
                    var fit = PlaceFit.Of(layout!, kitchen.AllPlaces, await board.HotOvens());
                    var note = fit is null ? null : keeper.Voice.Of(fit, layout!.Plan.Spec);
                    var wakes = WakesSomebody.Of(layout!, Nights(kitchen, keeper.Zone, clock.GetUtcNow()), clock.GetUtcNow());
                    return TypedResults.Ok(
                        new LayoutInDay(
                            note,
                            await board.Beside(layout!.Plan),
                            wakes is null
                                ? null
                                : new(wakes.At, keeper.Voice.Of(wakes.Step, layout.Plan.Spec).Short, wakes.ReadyBy)
                        )
                    );
                }
            )
            .WithName("layOutInDay")
            .WithSummary("How a bake that is laid out goes with the rest of the day; nothing is kept.");
        app.MapPost(
                "/api/bakes",
                async Task<Results<Ok<BenchView>, ProblemHttpResult>> (
                    NewBake request,
                    Planner planner,
                    BakeBook book,
                    HouseClock clock,
                    KitchenKeeper keeper,
                    DayBoard board,
                    LarderKeeper larder
                ) =>
                {
                    if (request.Id == Guid.Empty)
                        return Problems.Bad(new Problem("empty:id", "id"));
                    if (await book.Find(request.Id) is { } there)
                        return TypedResults.Ok(BakeEndpoints.View(there, clock, keeper.Voice));
                    var (layout, _, problem) = await planner.LayOut(request.Layout, "layout.");
                    if (problem is not null)
                        return problem;
                    await book.Add(request.Id, layout!.Plan, clock.GetUtcNow());
                    if (layout.Plan.Spec.From is { } lump)
                        await larder.Change(l => l.UsedBy(request.Id, lump, clock.GetUtcNow()));
                    if (request.Arrange)
                        await board.Arrange([]);
                    return TypedResults.Ok(BakeEndpoints.View((await book.Find(request.Id))!, clock, keeper.Voice));
                }
            )
            .WithName("addBake");
    }

    // Where nobody said when they sleep, they sleep as most people do.
    private static Closed Nights(Kitchen kitchen, TimeZoneInfo zone, DateTimeOffset now) =>
        (kitchen with { Awake = kitchen.Awake ?? UsualKitchen.At(kitchen.Room).Awake }).Closed(now, zone);

    private static LayoutView View(
        Layout layout,
        double scaled,
        Voice words,
        HouseholdPantry pantry,
        Kitchen kitchen,
        DoseMemory memory,
        Frame? frame
    )
    {
        var (spec, table) = (layout.Plan.Spec, layout.Timetable);
        var dough = spec.ExpectedDough;
        var eaches = spec.Eaches(dough);
        return new(
            Dough: dough,
            Cuts: [.. spec.Cuts.Select((c, i) => View(layout, kitchen, words, c, i, eaches[i]))],
            Scaled: scaled,
            Start: table.Start,
            Ready: table.Ready,
            RoundReady: Wish.RoundAfter(table.Ready),
            LateBy: layout.LateBy,
            Room: spec.Room,
            Formula: FormulaView.Of(spec.Dough, pantry, spec.Batches[0].Bread.Family.Hydration),
            WeighIn:
            [
                .. spec.Pan.Steps.Select(p => new WeighInRow(
                    p.Row.Ingredient.Name,
                    p.Mass,
                    p.Running,
                    spec.NoScale ? words.Measure(p.Row.Ingredient, p.Mass, spec) : null
                )),
            ],
            AddIns: [.. spec.Dough.Rows.Where(r => r.AtBeep).Select(r => $"{words.Grams(r.Mass)} {r.Ingredient.Name}")],
            SideJobs:
            [
                .. spec
                    .Dough.Parts.Where(p => p.Kind is not (PartKind.Bath or PartKind.Surface))
                    .Select(p => new PartShare(p.Kind, p.Name, p.Made, p.Made / spec.Batches.Sum(b => b.Pieces))),
            ],
            Before: words.Of(memory, spec.Formula.Flour),
            Hint: memory.WrittenInto(spec.Dough) is { } better ? words.Hint(spec.Dough.Liquid!, better.Liquid!) : null,
            Steps:
            [
                .. table
                    .Slots.Where(s => s.Step.IsBeat && s.State != StepState.Passed)
                    .OrderBy(s => s.Start)
                    .Select(s => new StepLine(
                        s.Step.Id,
                        words.Of(s.Step, spec).Short,
                        s.Step.Ending,
                        s.State,
                        s.Start,
                        s.End,
                        null,
                        s.Step.WeighsIn
                    )),
            ],
            Cautions:
            [
                .. Cautions
                    .Of(layout.Steps)
                    .Select(c => new CautionLine(c.Step, words.Of(c.Caution, spec)))
                    .DistinctBy(c => c.Text),
            ],
            Picture: frame is null ? null : StrandLayout.Of([new(spec, layout.Steps.Batches, table, dough)], frame),
            Hands: HandsWanted.Of(layout)
        );
    }

    private static TimesBeside? ProofTimes(BakeSpec spec, Bread bread, Forecast of)
    {
        if (spec.RecipeOf(bread)?.Proof is not { } recipe || of.Proof.Reckoned is not { } reckoned || of.Cold is not null)
            return null;
        return new(recipe, recipe.Middle, reckoned, (spec.Learned.Pace ?? PaceBelief.Prior).With(reckoned, recipe.Middle).Takes);
    }

    private static TimesBeside? BakeTimes(BakeSpec spec, Bread bread, Mass each)
    {
        if (spec.RecipeOf(bread)?.Bake is not { } recipe || bread.OnGriddle)
            return null;
        var free = spec with { Handling = spec.Handling with { Times = null } };
        return new(recipe, recipe.Middle, spec.Reckoned(bread, each).Likely, free.Window(bread, each).Likely);
    }

    // Two schools for the same bread lie about so far to either side. Bakers' usage.
    private const double SchoolDegrees = 15;

    private static CutView View(Layout layout, Kitchen kitchen, Voice words, Cut cut, int index, Mass each)
    {
        var spec = layout.Plan.Spec;
        if (!cut.IsBaked || cut.Bread is not { } bread)
            return new(
                FamilyId: cut.Bread?.Family.Id,
                Name: cut.Bread is { } kept ? kept.Family.Name + Voice.Kept(cut.Keep) : "for the fridge",
                Pieces: cut.Pieces,
                Each: each,
                EachStrand: each,
                Strands: 1,
                Pinned: cut.Pinned,
                Heat: null,
                Wash: null,
                Aim: null,
                BestProof: null,
                ProofTimes: null,
                Bake: null,
                BakeTimes: null,
                WaitsFor: TimeSpan.Zero,
                OverProofed: false,
                Washed: false,
                Scored: false,
                Steamed: false,
                RoundTin: null,
                Schools: [],
                Rings: null,
                Pans: [],
                Slashes: Slashes.None,
                BallsRest: TimeSpan.Zero,
                Gets: [],
                WouldHold: null
            );
        var first = layout.Steps.Batches.First(b => b.Batch.Cut == index);
        var waiting = Waiting.Of(layout, index);
        var oven = spec.OvenOf(bread);
        var pans = PanChoice.Of(
            bread.Family,
            each,
            cut.Pieces,
            kitchen.Tins.Where(oven.Holds),
            spec.RacksFor(bread),
            bread.Touching
        );
        var best = pans.OrderByDescending(p => p.Layout.Tin == bread.Pan).ToImmutableArray();
        return new(
            FamilyId: bread.Family.Id,
            Name: cut.Pieces == 1 ? Voice.One(bread.Family.Name) : bread.Family.Name,
            Pieces: cut.Pieces,
            Each: each,
            EachStrand: each / cut.Strands,
            Strands: cut.Strands,
            Pinned: cut.Pinned,
            Heat: bread.Heat,
            Wash: bread.Wash.Id,
            Aim: Sizes.For(bread.Family, each, bread.Pan),
            BestProof: first.Proof.Window?.Best,
            ProofTimes: ProofTimes(spec, bread, first),
            Bake: first.Window,
            BakeTimes: BakeTimes(spec, bread, each),
            WaitsFor: waiting.Longer,
            OverProofed: waiting.OverProofed,
            Washed: bread.Brushed,
            Scored: bread.Family.Scored,
            Steamed: bread.Family.Steamed,
            RoundTin: Sizes.RoundTin(bread.Family, each, cut.Pieces),
            Schools: bread.OnGriddle
                ? []
                :
                [
                    .. new[] { SchoolDegrees, -SchoolDegrees }
                        .Select(d => oven.Nearest(Temperature.FromCelsius(bread.Heat.Celsius + d)))
                        .Where(h => h != bread.Heat && h >= BakeWindow.Coolest)
                        .Select(h => new HeatSchool(h, spec.Window(bread, each, h).Likely, h > bread.Heat)),
                ],
            Rings: bread.Family.Form == Form.Ring
            && RingSheet.Of(each * cut.Pieces, bread.Family.Thickness!.Value, bread.Family.Ring ?? RingSheet.UsualRing)
                is var rings
                ? new(rings.Ring, bread.Family.Thickness!.Value, [.. rings.Rollings.Select(r => r.Rings.Length)], rings.Scrap)
                : null,
            Pans: [.. best.Select(PanView.Of)],
            Slashes: bread.Family.Slashes,
            BallsRest: bread.BallsRest,
            Gets: [.. Enumerable.Range(1, spec.Dough.Parts.Length).Where(bread.IsGiven)],
            WouldHold: bread.Pan is null && Fits.Of(bread, each, cut.Pieces, kitchen, oven) is { } fits
                ? words.Of(fits, bread)
                : null
        )
        {
            OnPan = best.FirstOrDefault()?.Layout,
            OneTray = OneTrayView.Of(spec, bread, each, cut.Pieces, kitchen),
        };
    }
}

/// <summary>Turns what was chosen into a layout.</summary>
public sealed class Planner(
    DoughBook doughs,
    BakeBook bakes,
    KitchenKeeper kitchens,
    PantryKeeper pantries,
    LarderKeeper larder,
    HouseClock clock
)
{
    // The wash is listed by name elsewhere; the factor is rounded down so that it surely fits.
    private const double Rounding = 1000;

    // So many past bakes say how this kitchen's places proof.
    internal const int Remembered = 60;

    // Dough in the cold: the lump itself, and the dough it is of.
    private sealed record InTheCold(Lump Lump, Dough Dough, DoughVersion? Source);

    private async Task<InTheCold?> KeptOf(KeptDough kept)
    {
        if ((await larder.Get()).DoughOf(kept.Bake, kept.Cut) is not { } thing)
            return null;
        if (await bakes.Find(kept.Bake) is not { Plan.Spec: var spec })
            return null;
        var lump = thing.AsLump(spec.Cuts);
        return new(lump, lump.Of(spec.Dough), spec.Made.Source);
    }

    /// <summary>The layout and the factor the dough was scaled by, or the problem.</summary>
    /// <param name="request">What was chosen.</param>
    /// <param name="prefix">Where the choice lies in the caller's request.</param>
    public async Task<(Layout? Layout, double Factor, ProblemHttpResult? Problem)> LayOut(
        LayoutRequest request,
        string prefix = ""
    )
    {
        var (kitchen, now) = (await kitchens.Get(), clock.GetUtcNow());
        var from = request.Choice.From is { } kept ? await KeptOf(kept) : null;
        if (request.Choice.From is not null && from is null)
            return (null, 1, Problems.Bad(new Problem("unknown:thing", prefix + "choice.from", "dough in the cold")));
        var stored = from is null ? await doughs.Find(request.DoughId) : null;
        if (from is null && stored is null)
            return (null, 1, Problems.Bad(new Problem("unknown:thing", prefix + "doughId", "dough")));
        if (from?.Lump.Shaped is { } pieces && !pieces.Are(request.Choice.Cuts))
            return (null, 1, Problems.Bad(new Problem("shaped:already", prefix + "choice.cuts[0].familyId", pieces.Pieces)));
        var (dough, factor) = (from?.Dough ?? stored!.Dough, 1d);
        if (
            request.ScaleToFit
            && from is null
            && kitchen.Mixers.FirstOrDefault(m => m.Id == request.Choice.MachineId) is { } machine
            && machine.FactorThatFits(Formula.Of(dough)) is < 1 and var fits
        )
        {
            factor = Math.Floor(fits * Rounding) / Rounding;
            dough = dough.Scale(factor);
        }
        if (
            request.ScaleToCuts
            && stored is not null
            && !request.Choice.Cuts.IsDefaultOrEmpty
            && request.Choice.Cuts.All(c => c is { Share: null, Each: not null } && (c.Pieces is not null || c.FamilyId is null))
        )
        {
            factor =
                Formula.Needed(request.Choice.Cuts.Aggregate(Mass.Zero, (sum, c) => sum + c.Each!.Value * (c.Pieces ?? 1)))
                / stored.Dough.Total;
            if (factor is > 0 and < 100)
                dough = stored.Dough.Scale(factor);
        }
        var made = BakeDecision.Of(dough, request.Choice, kitchen, now);
        if (!made.Has(out var spec))
            return (null, factor, Problems.Bad([.. made.Problems.Select(p => p with { Field = $"{prefix}choice.{p.Field}" })]));
        var past = (await bakes.Closed(Remembered)).Select(b => StillSaid.By(b.Bake, kitchen.Forgotten)).ToList();
        var pantry = await pantries.Get();
        spec = spec with
        {
            Around = spec.Around with { Measuring = new(pantry.Cups, pantry.Habit) },
            Made = spec.Made with { Source = from is null ? new(stored!.Id, stored.Version) : from.Source, From = from?.Lump },
            Learned = new(PaceMemory.For(spec.Place.Id, past), OvenMemory.Of(past)),
        };
        return (Layout.Of(spec, now), factor, null);
    }
}
