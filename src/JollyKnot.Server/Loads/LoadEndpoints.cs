using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Loads;

/// <summary>What is loaded, how, and how warm it is.</summary>
/// <param name="Program">Which program; the usual one when null.</param>
/// <param name="FromFridge">Ingredients straight from the fridge; those kept there when null.</param>
/// <param name="Room">The kitchen; as the season has it when null.</param>
/// <param name="Liquid">The liquid as measured, to be judged.</param>
/// <param name="DelayHours">A timer start so much later.</param>
public sealed record LoadRequest(
    Guid DoughId,
    string MachineId,
    string? Program = null,
    bool Bloom = false,
    bool HoldBack = false,
    bool ColdPan = false,
    ImmutableArray<string>? FromFridge = null,
    Temperature? Room = null,
    Temperature? Wanted = null,
    Temperature? Liquid = null,
    double? DelayHours = null
);

/// <summary>A thing to put in the pan.</summary>
/// <param name="OnScale">What the scale shows with the pan on it, should the tare get lost; null where the pan was never
/// weighed.</param>
/// <param name="Spoons">The same in spoons, where the scale is too coarse for it.</param>
/// <param name="Note">Where it goes.</param>
public sealed record LoadStep(
    string Ingredient,
    Role Role,
    Mass Mass,
    Mass Running,
    Mass? OnScale,
    string? Spoons,
    Spot Spot,
    string Note
);

/// <summary>A loaded pan.</summary>
/// <param name="Chilled">What could come straight from the fridge.</param>
/// <param name="FromFridge">What does.</param>
/// <param name="Problems">What stands against it: over the limit, too hot, perishables under a timer.</param>
public sealed record LoadView(
    string Machine,
    LoadOrder Order,
    int Paddles,
    ImmutableArray<LoadStep> Steps,
    Mass? HeldBack,
    Mass? BloomIn,
    string? Liquid,
    Band<Temperature> BloomAt,
    ImmutableArray<RowLine> AddIns,
    TimeSpan? Beep,
    Temperature Room,
    ImmutableArray<string> Chilled,
    ImmutableArray<string> FromFridge,
    LiquidTemperature? Temperature,
    bool Warms,
    ImmutableArray<ProblemView> Problems
);

/// <summary>An ingredient and how much of it.</summary>
public sealed record RowLine(string Ingredient, Mass Mass);

/// <summary>Loading the pan over HTTP.</summary>
public static class LoadEndpoints
{
    private static readonly Temperature Fridge = Temperature.FromCelsius(5);
    private static readonly TimeSpan LongestDelay = TimeSpan.FromHours(24);

    /// <summary>Maps loading.</summary>
    public static void MapLoads(this Answers app) =>
        app.MapPost("/api/loads", Load).WithName("load").WithSummary("The pan's load, step by step; nothing is kept.");

    private static async Task<Results<Ok<LoadView>, ProblemHttpResult>> Load(
        LoadRequest request,
        DoughBook book,
        KitchenKeeper keeper,
        HouseClock clock
    )
    {
        if (await book.Find(request.DoughId) is not { Dough: var dough })
            return Problems.Bad(new Problem("unknown:thing", "doughId", "dough"));
        var kitchen = await keeper.Get();
        var machine = kitchen.Mixers.FirstOrDefault(m => m.Id == request.MachineId);
        if (machine is not null && request.Program is { } program)
            machine = machine.SetTo(program);
        if (machine is null)
            return Problems.Bad(
                request.Program is null ? new Problem("unknown:machine", "machineId") : new Problem("unknown:program", "program")
            );
        var room = request.Room ?? kitchen.RoomAt(clock.GetUtcNow());
        if (!Kitchen.Rooms.Holds(room))
            return Problems.Bad(new Problem("room", "room", room, Kitchen.Rooms.From, Kitchen.Rooms.To));
        if (request.Wanted is { } wanted && !LiquidTemperature.Doughs.Holds(wanted))
            return Problems.Bad(
                new Problem("out-of-range:between", "wanted", LiquidTemperature.Doughs.From, LiquidTemperature.Doughs.To)
            );
        if (request.DelayHours is { } delay && !(delay >= 0 && delay <= LongestDelay.TotalHours))
            return Problems.Bad(new Problem("out-of-range:between", "delayHours", 0, LongestDelay.TotalHours));

        ImmutableArray<string> chilled =
        [
            .. dough.Rows.Where(r => !r.AtBeep && r.Ingredient.Chilled).Select(r => r.Ingredient.Name).Distinct(),
        ];
        var fromFridge =
            request.FromFridge
            ?? [.. chilled.Where(c => dough.Rows.First(r => r.Ingredient.Name == c).Ingredient.Role == Role.Liquid)];
        var pan = PanLoad.Of(dough, machine, new(request.Bloom, request.HoldBack));
        var temperature = LiquidTemperature.Of(
            dough,
            machine,
            new(room, Fridge, fromFridge, request.Wanted, request.ColdPan),
            kitchen.Microwave ?? Kitchen.UsualMicrowave,
            kitchen.Boils
        );
        var problems = new[]
        {
            machine.Refuses(Formula.Of(dough)),
            request.Liquid is { } liquid ? LiquidTemperature.Refuses(liquid, request.Bloom) : null,
            request.DelayHours is { } hours ? PanLoad.RefusesDelay(dough, TimeSpan.FromHours(hours), room) : null,
        };
        // By hand it goes into a bowl.
        var vessel = machine.ByHand ? kitchen.Vessels.FirstOrDefault()?.Empty : machine.PanEmpty;
        var step = kitchen.ScaleStep ?? Mass.FromGrams(1);
        return TypedResults.Ok(
            new LoadView(
                Machine: machine.Name,
                Order: machine.LoadOrder,
                Paddles: machine.Paddles,
                Steps:
                [
                    .. pan.Steps.Select(s => new LoadStep(
                        s.Row.Ingredient.Name,
                        s.Row.Ingredient.Role,
                        s.Mass,
                        s.Running,
                        vessel is { } empty ? empty + s.Running : null,
                        Spoons(s, step),
                        s.Spot,
                        Note(s, machine, pan)
                    )),
                ],
                HeldBack: pan.HeldBack,
                BloomIn: pan.BloomIn,
                Liquid: dough.Rows.Where(r => r.Ingredient.Role == Role.Liquid).MaxBy(r => r.Mass)?.Ingredient.Name,
                BloomAt: LiquidTemperature.Bloom,
                AddIns: [.. pan.AddIns.Select(r => new RowLine(r.Ingredient.Name, r.Mass))],
                Beep: machine.Beep is { } beep ? machine.KneadStart + beep : null,
                Room: room,
                Chilled: chilled,
                FromFridge: [.. fromFridge],
                Temperature: temperature,
                Warms: machine.Warms,
                Problems: [.. problems.OfType<Problem>().Select(ProblemView.Of)]
            )
        );
    }

    // A scale that shows whole grams is no help with 3.5 g of yeast.
    private static string? Spoons(PanStep step, Mass scaleStep)
    {
        if (step.Row.Ingredient.Packing?.PerTeaspoon is not { } each || step.Mass > scaleStep * 10)
            return null;
        var eighths = Math.Max(1, Math.Round(step.Mass / each * 8));
        var (whole, part) = ((int)eighths / 8, (int)eighths % 8);
        string[] parts = ["", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"];
        return string.Create(CultureInfo.InvariantCulture, $"{(whole > 0 ? whole : "")}{parts[part]} tsp");
    }

    private static string Note(PanStep step, Machine machine, PanLoad pan) =>
        step.Spot switch
        {
            Spot.Dimple => "dimple in the flour, dry",
            Spot.Bottom => "on the bottom, dry",
            Spot.FirstCorner => "one corner",
            Spot.SecondCorner => "the corner across",
            _ when step.Row.Ingredient.Role == Role.Yeast && pan.BloomIn is not null => "bloomed, with its liquid",
            _ when step.Row.Ingredient.Role == Role.Flour && machine.LoadOrder == LoadOrder.LiquidsFirst =>
                "over the liquid, covering it",
            _ => "",
        };
}
