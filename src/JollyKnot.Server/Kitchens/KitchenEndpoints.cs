using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text.Json;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Days;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Kitchens;

/// <summary>A program on offer.</summary>
public sealed record ProgramView(string Name, TimeSpan CycleLength, ImmutableArray<Phase> Phases, bool Pulled);

/// <summary>A machine on offer, the usual program first.</summary>
public sealed record MachineView(
    string Id,
    string Name,
    Mass FlourLimit,
    Mass DoughLimit,
    bool ByHand,
    ImmutableArray<ProgramView> Programs
);

/// <summary>A family on offer.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Name">As it is called.</param>
/// <param name="Usual">What a piece usually weighs.</param>
/// <param name="Heat">What it is usually baked at.</param>
/// <param name="Strands">Ropes for each.</param>
/// <param name="UsualWash">What it is usually brushed with.</param>
/// <param name="Form">The form given by hand.</param>
/// <param name="Rolled">It is rolled to a set thickness.</param>
/// <param name="Bathed">It goes through a soda bath.</param>
public sealed record FamilyView(
    string Id,
    string Name,
    Mass Usual,
    Temperature Heat,
    int Strands,
    string UsualWash,
    bool Bathed,
    Form Form,
    bool Rolled
);

/// <summary>A tin on offer, with the dough that suits it.</summary>
public sealed record TinView(string Id, string Name, Mass Dough);

/// <summary>Something on offer.</summary>
public sealed record Choice(string Id, string Name);

/// <summary>How a quantity is shown: so many of its unit to one of ours, after an offset, to a step.</summary>
/// <param name="Name">As written behind the figure.</param>
/// <param name="Factor">Units to one gram, degree Celsius or millimetre.</param>
/// <param name="Offset">Added after.</param>
/// <param name="Digits">Digits after the point.</param>
/// <param name="Fine">Under this, a digit more.</param>
/// <param name="Long">As written before a figure.</param>
public sealed record ShownIn(string Name, double Factor, double Offset, int Digits, double Fine, string Long);

/// <summary>How this household reads quantities.</summary>
/// <param name="Mass">Masses.</param>
/// <param name="Temperature">Temperatures.</param>
/// <param name="Length">Lengths.</param>
/// <param name="Typed">Units that may be typed behind any figure, whatever the household reads.</param>
public sealed record UnitsView(ShownIn Mass, ShownIn Temperature, ShownIn Length, TypedUnits Typed, ClockFace Clock)
{
    private const double MillimetresPerInch = 25.4;

    private static readonly ShownIn Grams = new("g", 1, 0, 0, 10, "grams"),
        Ounces = new("oz", 1 / Unit.Find("oz")!.Grams.Grams, 0, 1, 1, "ounces"),
        Pounds = new("lb", 1 / Unit.Find("lb")!.Grams.Grams, 0, 2, 1, "pounds"),
        Kilos = new("kg", .001, 0, 3, 1, "kilograms"),
        Celsius = new("°C", 1, 0, 0, 0, "°C"),
        Fahrenheit = new("°F", 1.8, 32, 0, 0, "°F"),
        Centimetres = new("cm", .1, 0, 0, 10, "centimetres"),
        Millimetres = new("mm", 1, 0, 0, 0, "millimetres"),
        Inches = new("in", 1 / MillimetresPerInch, 0, 1, 1, "inches");

    internal static UnitsView Of(HouseholdUnits units) =>
        new(
            units.Mass == MassUnit.Grams ? Grams : Ounces,
            Shown(units.Temperature),
            units.Length == LengthUnit.Metric ? Centimetres : Inches,
            new([Grams, Kilos, Ounces, Pounds], [Celsius, Fahrenheit], [Millimetres, Centimetres, Inches]),
            units.Clock
        );

    internal static ShownIn Shown(TemperatureUnit unit) => unit == TemperatureUnit.Celsius ? Celsius : Fahrenheit;
}

/// <summary>Units that may be typed behind a figure.</summary>
public sealed record TypedUnits(
    ImmutableArray<ShownIn> Mass,
    ImmutableArray<ShownIn> Temperature,
    ImmutableArray<ShownIn> Length
);

/// <summary>A way from the machine to the divide.</summary>
public sealed record AfterView(AfterCycle After, string Name);

/// <summary>An oven on offer.</summary>
/// <param name="Dial">How its dial reads.</param>
/// <param name="Step">From mark to mark.</param>
public sealed record OvenView(string Id, string Name, ShownIn Dial, double Step)
{
    internal static OvenView Of(Oven oven, HouseholdUnits units) =>
        new(
            oven.Id,
            oven.Name,
            UnitsView.Shown(oven.Marks == DialMarks.Celsius5 ? units.Temperature : TemperatureUnit.Fahrenheit),
            oven.DialStep
        );
}

/// <summary>So much growth in the bowl.</summary>
public sealed record GrownView(double By, string Name);

/// <summary>A step of a scale on offer.</summary>
public sealed record ScaleStepView(Mass Step, string Name);

/// <summary>What can be chosen when a bake is laid out.</summary>
/// <param name="Shelves">The places whole, for dough that is moved to one.</param>
/// <param name="BowlPlaces">Where dough may rise in its bowl.</param>
/// <param name="Colds">Nights in the fridge.</param>
/// <param name="Freshes">How fresh bread could be wanted.</param>
/// <param name="Timers">For a machine that is loaded before.</param>
/// <param name="Rests">For a piece that springs back.</param>
/// <param name="UsualFolds">Folds in the bowl.</param>
/// <param name="Grows">By how much dough may be left to grow in its bowl.</param>
/// <param name="UsualLog">How long a log is rolled to be divided by ruler.</param>
/// <param name="MostCuts">Lines of a cut list.</param>
/// <param name="UsualWays">What most bakers do.</param>
/// <param name="UsualSchool">How most bakers load.</param>
/// <param name="StandIns">A scale and a probe stand in for real ones: only in the demo.</param>
/// <param name="Grain">By how much a time is moved at once.</param>
/// <param name="Zone">The time zone it is in; null where nobody said.</param>
public sealed record KitchenView(
    string Name,
    Temperature Room,
    ImmutableArray<MachineView> Machines,
    ImmutableArray<OvenView> Ovens,
    ImmutableArray<TinView> Tins,
    ImmutableArray<FamilyView> Families,
    ImmutableArray<Choice> Places,
    ImmutableArray<Place> Shelves,
    ImmutableArray<Choice> Washes,
    UnitsView Units,
    bool NoScale,
    ImmutableArray<AfterView> Afters,
    ImmutableArray<Choice> BowlPlaces,
    ImmutableArray<TimeSpan> Colds,
    ImmutableArray<TimeSpan> Freshes,
    ImmutableArray<TimeSpan> Timers,
    ImmutableArray<TimeSpan> Rests,
    Folds UsualFolds,
    ImmutableArray<GrownView> Grows,
    Length UsualLog,
    ImmutableArray<ScaleStepView> ScaleSteps,
    int MostCuts,
    Ways UsualWays,
    LoadSchool UsualSchool,
    TimeSpan Grain,
    string? Zone,
    bool StandIns = false
);

/// <summary>The kitchen over HTTP.</summary>
public static class KitchenEndpoints
{
    /// <summary>Maps the kitchen.</summary>
    public static void MapKitchen(this Answers app)
    {
        app.MapGet("/api/kitchen/learned", (BakeBook book, KitchenKeeper keeper) => LearnedHere.Of(book, keeper))
            .WithName("learned")
            .WithSummary("What past bakes say of its ovens and places.");
        app.MapGet(
                "/api/kitchen",
                async (KitchenKeeper keeper, HouseClock clock, IConfiguration settings) =>
                    View(await keeper.Get(), clock.GetUtcNow()) with
                    {
                        StandIns = settings.GetValue("demo", false),
                    }
            )
            .WithName("kitchen");
        app.MapGet(
                "/api/kitchen/setup",
                async (KitchenKeeper keeper, HttpResponse response) => Marked(await keeper.Get(), response)
            )
            .WithName("kitchenSetup")
            .WithSummary("Everything the kitchen has, to be edited.");
        app.MapGet("/api/kitchen/usual", async (KitchenKeeper keeper) => UsualKitchen.At((await keeper.Get()).Room))
            .WithName("usualKitchen")
            .WithSummary(
                "What one more machine, oven, tray, place or bowl is like, and what is meant where nothing was entered."
            );
        app.MapPut("/api/kitchen/setup", Keep)
            .WithName("saveKitchenSetup")
            .WithSummary("Keeps the kitchen; with If-Match, only where nobody changed it since it was read.");
    }

    // The mark of a kitchen: the same for the same.
    private static string MarkOf(Kitchen kitchen) =>
        $"\"{Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(kitchen, Json.Documents)))}\"";

    private static Kitchen Marked(Kitchen kitchen, HttpResponse response)
    {
        response.Headers.ETag = MarkOf(kitchen);
        return kitchen;
    }

    private static async Task<Results<Ok<Kitchen>, ProblemHttpResult>> Keep(
        Kitchen kitchen,
        KitchenKeeper keeper,
        HouseClock clock,
        HttpContext context
    )
    {
        var (read, isChanged) = (context.Request.Headers.IfMatch.ToString(), false);
        var wrong = await keeper.Change(
            there =>
            {
                isChanged = read.Length > 0 && read != MarkOf(there);
                return isChanged ? there : kitchen;
            },
            k => KitchenCheck.Of(k, clock.GetUtcNow())
        );
        return isChanged ? Problems.Changed()
            : wrong.Length > 0 ? Problems.Bad(wrong)
            : TypedResults.Ok(Marked(await keeper.Get(), context.Response));
    }

    private static KitchenView View(Kitchen kitchen, DateTimeOffset now) =>
        new(
            Name: kitchen.Name,
            Room: kitchen.RoomAt(now),
            Machines:
            [
                .. kitchen.Mixers.Select(m => new MachineView(
                    m.Id,
                    m.Name,
                    m.FlourLimit,
                    m.DoughLimit,
                    m.ByHand,
                    [.. m.Programs.Select(p => new ProgramView(p.Name, m.SetTo(p.Name)!.CycleLength, p.Phases, p.Pulled))]
                )),
            ],
            Ovens: [.. kitchen.Dials.Select(o => OvenView.Of(o, kitchen.Units ?? HouseholdUnits.Plain))],
            Tins: [.. kitchen.Tins.Select(t => new TinView(t.Id, t.Name, t.Dough))],
            Families:
            [
                .. kitchen.Families.Select(f => new FamilyView(
                    f.Id,
                    f.Name,
                    f.Usual,
                    f.Bake.Heat,
                    f.Strands,
                    f.UsualWash,
                    f.Bathed,
                    f.Form,
                    f.Thickness is not null
                )),
            ],
            Places: [.. kitchen.AllPlaces.Select(p => new Choice(p.Id, p.Name))],
            Shelves: [.. kitchen.AllPlaces],
            Washes: [.. Washes.All.Select(w => new Choice(w.Id, w.Name))],
            Units: UnitsView.Of(kitchen.Units ?? HouseholdUnits.Plain),
            NoScale: kitchen.NoScale,
            Afters: [.. AfterCycle.Usual.Select(a => new AfterView(a, Voice.Of(a)))],
            BowlPlaces: [.. kitchen.AllPlaces.Where(p => p.Made is null).Select(p => new Choice(p.Id, p.Name))],
            Colds: Handling.UsualCold,
            Freshes: Wish.UsualFresh,
            Timers: Handling.UsualTimers,
            Rests: Family.Rests,
            UsualFolds: Folds.Usual,
            Grows: [.. Handling.UsualGrown.Select(g => new GrownView(g, Voice.Grown(g)))],
            UsualLog: Core.Dividing.Ruler.UsualLog,
            ScaleSteps:
            [
                .. Kitchen.ScaleSteps.Select(s =>
                    Voice.Scale(s) is var u ? new ScaleStepView(s, $"{u.PerStep} {u.Unit}") : null!
                ),
            ],
            MostCuts: CutList.MostLines,
            UsualWays: Ways.Usual,
            UsualSchool: LoadSchool.Plain,
            Grain: DayChange.Grain,
            Zone: kitchen.Zone
        );
}
