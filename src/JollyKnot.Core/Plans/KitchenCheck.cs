// What is wrong with a kitchen as typed: each thing in it has limits, and each problem its field.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>Checks kitchens. The limits are those of household things, with room to spare; ours where nothing else is
/// said.</summary>
public static class KitchenCheck
{
    /// <summary>The most of anything a kitchen has.</summary>
    public const int Most = 30;

    /// <summary>An errand ends within this time: who is away for longer bakes nothing meanwhile. Ours.</summary>
    public static TimeSpan FarthestErrand { get; } = TimeSpan.FromDays(60);

    private const int MostPhases = 12,
        MostOfOneTin = 100;
    private static readonly Mass HeaviestThing = Mass.FromGrams(10_000);
    private static readonly TimeSpan TwoHours = TimeSpan.FromHours(2);

    /// <summary>What is wrong with a kitchen, each with its field; empty when nothing is.</summary>
    /// <param name="kitchen">As typed.</param>
    /// <param name="now">The time now, which errands are counted from.</param>
    public static ImmutableArray<Problem> Of(Kitchen kitchen, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        var found = new ProblemList();
        found.Add(PlainText.CheckName(kitchen.Name, "name"));
        CheckRooms(kitchen, found);
        found.If(kitchen.Zone is { } zone && !TimeZoneInfo.TryFindSystemTimeZoneById(zone, out _), "out-of-range:zone", "zone");

        found.If(kitchen.Ovens.IsDefaultOrEmpty, "empty:ovens", "ovens");
        Each(kitchen.Machines, "machines", m => m.Id, m => m.Name, CheckMachine, found);
        Each(kitchen.Ovens, "ovens", o => o.Id, o => o.Name, CheckOven, found);
        Each(kitchen.Tins, "tins", t => t.Id, t => t.Name, CheckTin, found);
        Each(kitchen.Places, "places", p => p.Id, p => p.Name, CheckPlace, found);
        Each(kitchen.Vessels, "vessels", v => v.Id, v => v.Name, CheckVessel, found);
        Each([kitchen.Pot], "pot", p => p.Id, p => p.Name, (pot, _, list) => CheckPot(pot, list), found);
        if (kitchen.Griddle is { } griddle)
            CheckGriddle(griddle, found);

        CheckHours(kitchen, now, found);
        CheckFigures(kitchen, found);
        CheckPrices(kitchen.Prices, found);
        return found.All;
    }

    private delegate void ThingCheck<T>(T thing, string at, ProblemList found);

    // Things of one kind: not too many, each with a name and an id of its own.
    private static void Each<T>(
        ImmutableArray<T> things,
        string field,
        Func<T, string> idOf,
        Func<T, string> nameOf,
        ThingCheck<T> check,
        ProblemList found
    )
        where T : class
    {
        if (things.IsDefault)
            return;
        found.If(things.Length > Most, "out-of-range:at-most", field, Most);
        var ids = things.Where(t => t is not null).Select(idOf).ToList();
        for (var i = 0; i < things.Length; i++)
        {
            var at = $"{field}[{i}]";
            if (things[i] is not { } thing)
            {
                found.Add(new Problem("empty:thing", at));
                continue;
            }
            var id = idOf(thing);
            found.Add(PlainText.CheckName(nameOf(thing), $"{at}.name"));
            found.If(!IsId(id) || ids.Count(other => other == id) > 1, "out-of-range:id", $"{at}.id");
            check(thing, at, found);
        }
    }

    private static bool IsId(string id) =>
        !string.IsNullOrWhiteSpace(id) && id.Length <= PlainText.LongestName && id != Machine.Hands.Id;

    private static void CheckRooms(Kitchen kitchen, ProblemList found)
    {
        CheckRoom(kitchen.Room, "room", found);
        if (kitchen.Seasons is not { } seasons)
            return;
        CheckRoom(seasons.Winter, "seasons.winter", found);
        CheckRoom(seasons.Spring, "seasons.spring", found);
        CheckRoom(seasons.Summer, "seasons.summer", found);
        CheckRoom(seasons.Autumn, "seasons.autumn", found);
    }

    private static void CheckRoom(Temperature room, string field, ProblemList found) =>
        found.Between<Temperature>(room, Kitchen.Rooms.From, Kitchen.Rooms.To, field);

    private static void CheckMachine(Machine machine, string at, ProblemList found)
    {
        found.Between<Mass>(machine.FlourLimit, Mass.FromGrams(50), Mass.FromGrams(5000), $"{at}.flourLimit");
        found.Over<Mass>(machine.DoughLimit, machine.FlourLimit, HeaviestThing, $"{at}.doughLimit");
        found.Between(machine.CountsDownFrom, TimeSpan.Zero, TwoHours, $"{at}.countsDownFrom");
        found.Between<int>(machine.Paddles, 0, 4, $"{at}.paddles");
        found.Over(machine.PanEmpty, Mass.Zero, HeaviestThing, $"{at}.panEmpty");
        found.Between<double>(machine.KneadingWarms, 0, 15, $"{at}.kneadingWarms");
        found.AtLeast<double>(machine.Bought?.Amount, 0, $"{at}.bought");
        found.If(machine.ByHand, "out-of-range:by-hand", $"{at}.byHand");

        var names = machine.Programs.Select(p => p.Name).ToList();
        found.If(
            names.Count > Most || names.Distinct().Count() < names.Count,
            "out-of-range:program-names",
            $"{at}.otherPrograms"
        );
        CheckProgram(machine.Programs.First(), at, $"{at}.program", found);
        for (var i = 0; i < machine.OtherPrograms.Length; i++)
        {
            var other = $"{at}.otherPrograms[{i}]";
            CheckProgram(machine.OtherPrograms[i], other, $"{other}.name", found);
        }
    }

    private static void CheckProgram(DoughProgram program, string at, string name, ProblemList found)
    {
        found.Add(PlainText.CheckName(program.Name, name));
        found.Between(program.Beep, TimeSpan.Zero, TwoHours, $"{at}.beep");
        var phases = program.Phases.IsDefault ? [] : program.Phases;
        var kneads = phases.Count(p => p?.Kind == PhaseKind.Knead);
        found.If(phases.Length > MostPhases || kneads != 1, "out-of-range:phases", $"{at}.phases", MostPhases);
        found.If(!phases.All(CanBe), "out-of-range:phase", $"{at}.phases", ShortestPhase, LongestPhase);
    }

    private static readonly TimeSpan ShortestPhase = TimeSpan.FromMinutes(1),
        LongestPhase = TimeSpan.FromHours(12);

    private static bool CanBe(Phase phase) =>
        phase is not null && Enum.IsDefined(phase.Kind) && phase.Length >= ShortestPhase && phase.Length <= LongestPhase;

    private static void CheckOven(Oven oven, string at, ProblemList found)
    {
        var dial = oven.Dial;
        var (coldest, hottest) = (Temperature.FromCelsius(20), Temperature.FromCelsius(500));
        found.If(
            dial.From >= dial.To || dial.From < coldest || dial.To > hottest,
            "out-of-range:dial",
            $"{at}.dial",
            coldest,
            hottest
        );
        found.Between<double>(oven.DegreesPerMinute, .5, 60, $"{at}.degreesPerMinute");
        found.Between<double>(oven.CoolsPerMinute, .1, 60, $"{at}.coolsPerMinute");
        found.Between<int>(oven.Racks, 1, 10, $"{at}.racks");
        found.Known<DialMarks>(oven.Marks, $"{at}.marks");
        found.Between(oven.Wide, Centimetres(10), Centimetres(150), $"{at}.wide");
        found.Between(oven.Deep, Centimetres(10), Centimetres(150), $"{at}.deep");
    }

    private static void CheckTin(Tin tin, string at, ProblemList found)
    {
        found.Between<Length>(tin.Length, Centimetres(2), Centimetres(150), $"{at}.length");
        found.Between<Length>(tin.Width, Centimetres(2), Centimetres(150), $"{at}.width");
        found.Between<int>(tin.Count, 1, MostOfOneTin, $"{at}.count");
        found.Known<TinShape>(tin.Shape, $"{at}.shape");

        var (shallow, deep) = (Centimetres(2), Centimetres(50));
        var tooShallow = tin.Shape == TinShape.Loaf && !(tin.Depth >= shallow);
        found.If(tooShallow || tin.Depth > deep, "out-of-range:between", $"{at}.depth", shallow, deep);

        var (small, large) = (Volume.FromMillilitres(5), Volume.FromMillilitres(5000));
        var tooSmall = tin.Shape == TinShape.Hollows && !(tin.HollowVolume >= small);
        found.If(tooSmall || tin.HollowVolume > large, "out-of-range:between", $"{at}.hollowVolume", small, large);
    }

    private static void CheckPlace(Place place, string at, ProblemList found)
    {
        var (coldest, warmest) = (Temperature.FromCelsius(0), Temperature.FromCelsius(50));
        var ownOnly = place.Steady is not null && Places.Find(place.Id) is null;
        found.If(!ownOnly, "out-of-range:between", $"{at}.steady", coldest, warmest);
        found.Between(place.Steady, coldest, warmest, $"{at}.steady");
        found.Between(place.Trays, 1, 100, $"{at}.trays");
    }

    private static void CheckVessel(Vessel vessel, string at, ProblemList found) =>
        found.Over<Mass>(vessel.Empty, Mass.Zero, HeaviestThing, $"{at}.empty");

    private static void CheckPot(Pot pot, ProblemList found)
    {
        found.Between<Length>(pot.Across, Centimetres(8), Centimetres(60), "pot.across");
        found.Between<double>(pot.Litres, .2, 50, "pot.litres");
    }

    private static void CheckGriddle(Tin griddle, ProblemList found)
    {
        found.Between<Length>(griddle.Length, Centimetres(8), Centimetres(100), "griddle.length");
        found.Between<Length>(griddle.Width, Centimetres(8), Centimetres(100), "griddle.width");
    }

    private static void CheckHours(Kitchen kitchen, DateTimeOffset now, ProblemList found)
    {
        found.If(kitchen.Awake is { IsDay: false }, "out-of-range:hours", "awake");
        found.If(kitchen.MachinesRun is { IsDay: false }, "out-of-range:hours", "machinesRun");
        found.If(kitchen.Up.Length > Most, "out-of-range:at-most", "up", Most);
        found.If(
            kitchen.Forgotten.Length > 2 * Most || kitchen.Forgotten.Any(f => string.IsNullOrWhiteSpace(f.Thing)),
            "out-of-range:at-most",
            "forgotten",
            2 * Most
        );
        found.If(kitchen.Gone.Length > Most || kitchen.Gone.Any(g => g.To <= g.From), "out-of-range:gone", "gone", Most);
        found.If(kitchen.Gone.Any(g => g.To > now + FarthestErrand), "out-of-range:errand", "gone", FarthestErrand.TotalDays);
    }

    private static void CheckFigures(Kitchen kitchen, ProblemList found)
    {
        found.Between(kitchen.ScaleStep, Mass.FromGrams(.01), Mass.FromGrams(50), "scaleStep");
        found.Between(kitchen.Tolerance?.Least, Mass.Zero, Mass.FromGrams(50), "tolerance.least");
        found.Between(kitchen.Tolerance?.Part, Share.FromPercent(0), Share.FromPercent(20), "tolerance.part");
        found.Between(kitchen.Hob, Power.FromWatts(100), Power.FromWatts(10_000), "hob");
        found.Between(kitchen.Microwave, Power.FromWatts(100), Power.FromWatts(3000), "microwave");
        found.Between(kitchen.Altitude, Centimetres(0), Centimetres(600_000), "altitude");
    }

    /// <summary>More than this nobody pays for bread, a pack or a kilowatt-hour, in any money. Ours.</summary>
    public const double Dearest = 1e6;

    private static void CheckPrices(KitchenPrices? prices, ProblemList found)
    {
        if (prices is null)
            return;
        found.Between<double>(prices.PerKilowattHour.Amount, 0, Dearest, "prices.perKilowattHour");
        found.If(!prices.Shop.All(CanBe), "out-of-range:at-least", "prices.shop", 0);
    }

    private static bool CanBe(ShopPrice price) =>
        price is { Each.Amount: >= 0 and <= Dearest } && Families.Find(price.FamilyId) is not null;

    private static Length Centimetres(double centimetres) => Length.FromMillimetres(centimetres * 10);
}
