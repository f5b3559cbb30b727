// What a household bakes with.
using System.Collections.Immutable;
using System.Text.Json.Serialization;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>A bowl or pan that was weighed empty once.</summary>
/// <param name="Id">Stable name in the kitchen.</param>
/// <param name="Name">As the household calls it.</param>
/// <param name="Empty">Its own weight.</param>
public sealed record Vessel(string Id, string Name, Mass Empty);

/// <summary>Room temperatures through the year, of the northern half of the world.</summary>
public sealed record RoomBySeason(Temperature Winter, Temperature Spring, Temperature Summer, Temperature Autumn)
{
    /// <summary>The room in a season.</summary>
    public Temperature In(Season season) =>
        season switch
        {
            Season.Winter => Winter,
            Season.Spring => Spring,
            Season.Summer => Summer,
            _ => Autumn,
        };
}

/// <summary>What the shop asks for one.</summary>
/// <param name="FamilyId">Of which family.</param>
/// <param name="Each">The price; 0 or more.</param>
public sealed record ShopPrice(string FamilyId, Money Each);

/// <summary>What things cost beside the ingredients.</summary>
/// <param name="PerKilowattHour">Electricity; 0 or more.</param>
/// <param name="Shop">The shop's prices.</param>
public sealed record KitchenPrices(Money PerKilowattHour, ImmutableArray<ShopPrice> Shop)
{
    /// <summary>Nothing known.</summary>
    public static KitchenPrices Unknown { get; } = new(Money.Zero, []);
}

/// <summary>A kitchen.</summary>
/// <param name="Name">What the household calls itself or its day.</param>
/// <param name="Room">Room temperature, where no season says better.</param>
/// <param name="Machines">Bread machines; two hands are always there.</param>
/// <param name="Ovens">At least one.</param>
/// <param name="Pot">For the soda bath.</param>
/// <param name="Seasons">Room temperature through the year.</param>
/// <param name="ScaleStep">What the scale shows: 1 g, a tenth, or 5 g; over 0.</param>
/// <param name="Hob">The hob's power.</param>
/// <param name="Microwave">The microwave's rated power.</param>
/// <param name="Altitude">Above the sea.</param>
/// <param name="Prices">Energy, and the shop.</param>
/// <param name="Units">What the household reads.</param>
/// <param name="Tolerance">What the household leaves alone when dividing; 2 g or 3 % when null.</param>
/// <param name="NoScale">There is no scale: dough is divided by ruler or by eye.</param>
public sealed record Kitchen(
    string Name,
    Temperature Room,
    ImmutableArray<Machine> Machines,
    ImmutableArray<Oven> Ovens,
    Pot Pot,
    RoomBySeason? Seasons = null,
    Mass? ScaleStep = null,
    Power? Hob = null,
    Power? Microwave = null,
    Length? Altitude = null,
    KitchenPrices? Prices = null,
    HouseholdUnits? Units = null,
    Tolerance? Tolerance = null,
    bool NoScale = false
)
{
    /// <summary>Steps that kitchen scales show. Makers' labels.</summary>
    public static ImmutableArray<Mass> ScaleSteps { get; } =
    [
        Mass.FromGrams(1),
        Mass.FromGrams(.1),
        Mass.FromGrams(5),
        Pantry.Unit.Find("oz")!.Grams * .1,
        Pantry.Unit.Find("oz")!.Grams * .125,
    ];

    /// <summary>A common scale shows whole grams, or tenths of an ounce.</summary>
    /// <param name="units">What the household reads.</param>
    public static Mass UsualScaleStep(HouseholdUnits? units) =>
        units is { Mass: MassUnit.Ounces } ? Pantry.Unit.Find("oz")!.Grams * .1 : Mass.FromGrams(1);

    /// <summary>Rooms people bake in.</summary>
    public static Band<Temperature> Rooms { get; } = new(Temperature.FromCelsius(5), Temperature.FromCelsius(40));

    /// <summary>A common microwave. Makers' labels.</summary>
    public static Power UsualMicrowave { get; } = Power.FromWatts(800);

    // Water boils 1 °C cooler for each so many metres. Physics, rounded.
    private const double MetresPerDegree = 300;

    /// <summary>Trays and tins; empty when none were entered.</summary>
    public ImmutableArray<Tin> Tins { get; init; } = [];

    /// <summary>The household's own proofing places; empty when there are none.</summary>
    public ImmutableArray<Place> Places { get; init; } = [];

    /// <summary>The griddle, as a tray is described; null when there is none.</summary>
    public Tin? Griddle { get; init; }

    /// <summary>Its ovens with the dials as the household reads them: who reads Fahrenheit has it on the dial, where nothing else
    /// was said.</summary>
    [JsonIgnore]
    public ImmutableArray<Oven> Dials =>
        Units is { Temperature: TemperatureUnit.Fahrenheit }
            ? [.. Ovens.Select(o => o.Marks == DialMarks.Celsius5 ? o with { Marks = DialMarks.Fahrenheit5 } : o)]
            : Ovens;

    /// <summary>Every proofing place: those every kitchen has, and its own.</summary>
    [JsonIgnore]
    public IEnumerable<Place> AllPlaces => Proofing.Places.All.Concat(Places);

    /// <summary>What can be baked here.</summary>
    [JsonIgnore]
    public IEnumerable<Family> Families => Griddle is null ? Shaping.Families.ForOven : Shaping.Families.All;

    /// <summary>The household's own ring for cutting rounds; a usual one when null.</summary>
    public Length? Ring { get; init; }

    /// <summary>What was learned of its ovens and places and is to be forgotten.</summary>
    public ImmutableArray<Forgotten> Forgotten { get; init; } = [];

    /// <summary>When somebody is up; always when null.</summary>
    public OpenHours? Awake { get; init; }

    /// <summary>When machines may run; always when null.</summary>
    public OpenHours? MachinesRun { get; init; }

    /// <summary>When nobody is in, once.</summary>
    public ImmutableArray<TimeBand> Gone { get; init; } = [];

    // So many nights ahead are kept free of work: as far as bread is planned.
    private const int Nights = 14;

    /// <summary>Somebody is up at these times already, sooner than usual.</summary>
    public ImmutableArray<DateTimeOffset> Up { get; init; } = [];

    /// <summary>Where on earth it is, as the tz database names it; null where nobody said.</summary>
    public string? Zone { get; init; }

    /// <summary>The time zone it is in.</summary>
    /// <param name="machine">The zone of the machine that serves it, which holds where nothing is said or known.</param>
    public TimeZoneInfo ZoneOr(TimeZoneInfo machine) =>
        Zone is { } name && TimeZoneInfo.TryFindSystemTimeZoneById(name, out var zone) ? zone : machine;

    /// <summary>When hands and machines are not to be had from now on.</summary>
    /// <param name="now">The time now.</param>
    /// <param name="zone">The household's time zone.</param>
    public Closed Closed(DateTimeOffset now, TimeZoneInfo zone) =>
        new(
            [.. new Closed(Awake?.Shut(now, zone, Nights) ?? [], []).UpAt(Up).Hands, .. GoneWithin(now)],
            MachinesRun?.Shut(now, zone, Nights) ?? []
        );

    // What is longer ahead than bread is planned does not matter yet.
    private IEnumerable<TimeBand> GoneWithin(DateTimeOffset now)
    {
        var end = now.AddDays(Nights + 1);
        return Gone.Where(g => g.To > now && g.From < end).Select(g => g.To > end ? new TimeBand(g.From, end) : g);
    }

    /// <summary>Bowls and pans weighed empty; empty when none were.</summary>
    public ImmutableArray<Vessel> Vessels { get; init; } = [];

    /// <summary>Where water boils here.</summary>
    [JsonIgnore]
    public Temperature Boils => Temperature.FromCelsius(100 - (Altitude?.Millimetres ?? 0) / 1000 / MetresPerDegree);

    /// <summary>Machines, and two hands.</summary>
    [JsonIgnore]
    public IEnumerable<Machine> Mixers => Machines.Append(Machine.Hands);

    /// <summary>The room at a time of the year.</summary>
    public Temperature RoomAt(DateTimeOffset at) => Seasons?.In(Measures.Seasons.Of(at)) ?? Room;

    /// <summary>The same kitchen with every name composed, so that it is found however it was typed.</summary>
    public Kitchen Composed() =>
        this with
        {
            Name = Measures.Composed.Of(Name),
            Machines = [.. Machines.Select(m => m with { Name = Measures.Composed.Of(m.Name) })],
            Ovens = [.. Ovens.Select(o => o with { Name = Measures.Composed.Of(o.Name) })],
            Tins = [.. Tins.Select(t => t with { Name = Measures.Composed.Of(t.Name) })],
            Places = [.. Places.Select(p => p with { Name = Measures.Composed.Of(p.Name) })],
            Vessels = [.. Vessels.Select(v => v with { Name = Measures.Composed.Of(v.Name) })],
        };
}
