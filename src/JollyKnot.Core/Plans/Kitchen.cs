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
    public Temperature In(Season season) => season switch { Season.Winter => Winter, Season.Spring => Spring, Season.Summer => Summer, _ => Autumn };
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
    string Name, Temperature Room, ImmutableArray<Machine> Machines, ImmutableArray<Oven> Ovens, Pot Pot,
    RoomBySeason? Seasons = null, Mass? ScaleStep = null, Power? Hob = null, Power? Microwave = null,
    Length? Altitude = null, KitchenPrices? Prices = null, HouseholdUnits? Units = null, Tolerance? Tolerance = null, bool NoScale = false)
{
    /// <summary>Steps that kitchen scales show. Makers' labels.</summary>
    public static ImmutableArray<Mass> ScaleSteps { get; } =
        [Mass.FromGrams(1), Mass.FromGrams(.1), Mass.FromGrams(5), Pantry.Unit.Find("oz")!.Grams * .1, Pantry.Unit.Find("oz")!.Grams * .125];

    /// <summary>The most of anything a kitchen has.</summary>
    public const int Most = 30;

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

    /// <summary>Every proofing place: those every kitchen has, and its own.</summary>
    [JsonIgnore]
    public IEnumerable<Place> AllPlaces => Proofing.Places.All.Concat(Places);

    /// <summary>What can be baked here.</summary>
    [JsonIgnore]
    public IEnumerable<Family> Families => Griddle is null ? Shaping.Families.ForOven : Shaping.Families.All;

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

    /// <summary>When hands and machines are not to be had from now on.</summary>
    /// <param name="now">The time now.</param>
    /// <param name="zone">The household's time zone.</param>
    public Closed Closed(DateTimeOffset now, TimeZoneInfo zone) =>
        new([.. new Closed(Awake?.Shut(now, zone, Nights) ?? [], []).UpAt(Up).Hands, .. GoneWithin(now)], MachinesRun?.Shut(now, zone, Nights) ?? []);

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
    public Kitchen Composed() => this with
    {
        Name = Measures.Composed.Of(Name),
        Machines = [.. Machines.Select(m => m with { Name = Measures.Composed.Of(m.Name) })],
        Ovens = [.. Ovens.Select(o => o with { Name = Measures.Composed.Of(o.Name) })],
        Tins = [.. Tins.Select(t => t with { Name = Measures.Composed.Of(t.Name) })],
        Places = [.. Places.Select(p => p with { Name = Measures.Composed.Of(p.Name) })],
        Vessels = [.. Vessels.Select(v => v with { Name = Measures.Composed.Of(v.Name) })],
    };

    /// <summary>An errand ends within this time: who is away for longer bakes nothing meanwhile. Ours.</summary>
    public static TimeSpan FarthestErrand { get; } = TimeSpan.FromDays(60);

    /// <summary>What is wrong with a kitchen as typed, each with its field.</summary>
    /// <param name="kitchen">As typed.</param>
    /// <param name="now">The time now, which errands are counted from.</param>
    public static ImmutableArray<Problem> Check(Kitchen kitchen, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        var problems = ImmutableArray.CreateBuilder<Problem>();
        void Wrong(bool wrong, string field, string reason) { if (wrong) problems.Add(new("out-of-range", field, reason)); }
        void Name(string? name, string field) { if (PlainText.CheckName(name, field) is { } bad) problems.Add(bad); }
        void Room(Temperature room, string field) => Wrong(!BakeSpec.Rooms.Holds(room), field, $"From {BakeSpec.Rooms.From.Celsius:0} to {BakeSpec.Rooms.To.Celsius:0} °C is wanted here.");
        void Things<T>(ImmutableArray<T> things, string field, Func<T, (string Id, string Name)> named, Action<T, string> check)
        {
            Wrong(things.Length > Most, field, $"{Most} are the most.");
            for (var i = 0; i < things.Length; i++)
            {
                var at = $"{field}[{i}]";
                if (things[i] is null) { Wrong(true, at, "Something is wanted here."); continue; }
                var (id, name) = named(things[i]);
                Name(name, $"{at}.name");
                Wrong(string.IsNullOrWhiteSpace(id) || id.Length > PlainText.LongestName || things.Count(t => t is not null && named(t).Id == id) > 1 || id == Machine.Hands.Id, $"{at}.id", "Each wants an id of its own.");
                check(things[i], at);
            }
        }

        Name(kitchen.Name, "name");
        Room(kitchen.Room, "room");
        if (kitchen.Seasons is { } s)
            foreach (var (room, season) in new[] { (s.Winter, "winter"), (s.Spring, "spring"), (s.Summer, "summer"), (s.Autumn, "autumn") }) Room(room, $"seasons.{season}");
        Wrong(kitchen.Ovens.IsDefaultOrEmpty, "ovens", "A kitchen needs an oven.");
        Things(kitchen.Machines.IsDefault ? [] : kitchen.Machines, "machines", m => (m.Id, m.Name), (m, at) =>
        {
            Wrong(m.FlourLimit.Grams is < 50 or > 5000, $"{at}.flourLimit", "From 50 to 5,000 g is wanted here.");
            Wrong(m.DoughLimit <= m.FlourLimit || m.DoughLimit.Grams > 10_000, $"{at}.doughLimit", "More than the flour, and up to 10,000 g.");
            Wrong(m.CountsDownFrom is { } from && (from < TimeSpan.Zero || from > TimeSpan.FromHours(2)), $"{at}.countsDownFrom", "Up to 2 h before the end.");
            Wrong(m.Paddles is < 0 or > 4, $"{at}.paddles", "From 0 to 4.");
            Wrong(m.PanEmpty is { Grams: <= 0 or > 10_000 }, $"{at}.panEmpty", "Over 0 and up to 10,000 g.");
            Wrong(m.KneadingWarms is not (>= 0 and <= 15), $"{at}.kneadingWarms", "From 0 to 15 °C.");
            Wrong(m.Bought is { Amount: < 0 }, $"{at}.bought", "0 or more is wanted here.");
            Wrong(m.ByHand, $"{at}.byHand", "Two hands are always there.");
            Wrong(m.OtherPrograms.Length > Most || m.Programs.Select(p => p.Name).Distinct().Count() <= m.OtherPrograms.Length, $"{at}.otherPrograms", "Each program wants a name of its own.");
            foreach (var (program, i) in m.Programs.Select((p, i) => (p, i)))
            {
                var where = i == 0 ? at : $"{at}.otherPrograms[{i - 1}]";
                Name(program.Name, i == 0 ? $"{where}.program" : $"{where}.name");
                Wrong(program.Phases.IsDefaultOrEmpty || program.Phases.Length > 12 || program.Phases.Count(p => p?.Kind == PhaseKind.Knead) != 1, $"{where}.phases", "One phase kneads; up to 12 in all.");
                Wrong(!program.Phases.IsDefault && program.Phases.Any(p => p is null || p.Length < TimeSpan.FromMinutes(1) || p.Length > TimeSpan.FromHours(12) || !Enum.IsDefined(p.Kind)), $"{where}.phases", "Each phase takes from 1 min to 12 h.");
                Wrong(program.Beep is { } beep && (beep < TimeSpan.Zero || beep > TimeSpan.FromHours(2)), $"{where}.beep", "Up to 2 h after kneading starts.");
            }
        });
        Things(kitchen.Ovens.IsDefault ? [] : kitchen.Ovens, "ovens", o => (o.Id, o.Name), (o, at) =>
        {
            Wrong(o.Dial.From >= o.Dial.To || o.Dial.From.Celsius < 20 || o.Dial.To.Celsius > 500, $"{at}.dial", "From a lower to a higher setting, 20 to 500 °C.");
            Wrong(o.DegreesPerMinute is not (>= .5 and <= 60), $"{at}.degreesPerMinute", "From 0.5 to 60 °C a minute.");
            Wrong(o.CoolsPerMinute is not (>= .1 and <= 60), $"{at}.coolsPerMinute", "From 0.1 to 60 °C a minute.");
            Wrong(o.Racks is < 1 or > 10, $"{at}.racks", "From 1 to 10 racks.");
            Wrong(!Enum.IsDefined(o.Marks), $"{at}.marks", "Not one of the dials.");
            Wrong(o.Wide is { Millimetres: < 100 or > 1500 }, $"{at}.wide", "From 10 to 150 cm.");
            Wrong(o.Deep is { Millimetres: < 100 or > 1500 }, $"{at}.deep", "From 10 to 150 cm.");
        });
        Things(kitchen.Tins, "tins", t => (t.Id, t.Name), (t, at) =>
        {
            foreach (var (length, side) in new[] { (t.Length, "length"), (t.Width, "width") }) Wrong(length.Millimetres is < 20 or > 1500, $"{at}.{side}", "From 2 to 150 cm.");
            Wrong(t.Depth is { Millimetres: > 500 } || (t.Shape == TinShape.Loaf && t.Depth is not { Millimetres: >= 20 }), $"{at}.depth", "A loaf tin is 2 to 50 cm deep.");
            Wrong(t.Count is < 1 or > 100, $"{at}.count", "From 1 to 100.");
            Wrong(t.HollowVolume is { Millilitres: > 5000 } || (t.Shape == TinShape.Hollows && t.HollowVolume is not { Millilitres: >= 5 }), $"{at}.hollowVolume", "From 5 to 5,000 mL.");
            Wrong(!Enum.IsDefined(t.Shape), $"{at}.shape", "Not one of the shapes.");
        });
        Things(kitchen.Places, "places", p => (p.Id, p.Name), (p, at) =>
        {
            Wrong(p.Steady is not { Celsius: >= 0 and <= 50 } || Proofing.Places.Find(p.Id) is not null, $"{at}.steady", "From 0 to 50 °C.");
            Wrong(p.Trays is < 1 or > 100, $"{at}.trays", "From 1 to 100 trays, or any number when empty.");
        });
        if (kitchen.Griddle is { } g) Wrong(g.Length.Millimetres is < 80 or > 1000 || g.Width.Millimetres is < 80 or > 1000, "griddle.length", "From 8 to 100 cm.");
        Things(kitchen.Vessels, "vessels", v => (v.Id, v.Name), (v, at) => Wrong(v.Empty <= Mass.Zero || v.Empty.Grams > 10_000, $"{at}.empty", "Over 0 and up to 10,000 g."));
        Things(ImmutableArray.Create(kitchen.Pot), "pot", p => (p.Id, p.Name), (p, at) =>
        {
            Wrong(p.Across.Millimetres is < 80 or > 600, "pot.across", "From 8 to 60 cm.");
            Wrong(p.Litres is not (>= .2 and <= 50), "pot.litres", "From 0.2 to 50 litres.");
        });
        Wrong(kitchen.Awake is { IsDay: false }, "awake", "From one time of the day to another.");
        Wrong(kitchen.MachinesRun is { IsDay: false }, "machinesRun", "From one time of the day to another.");
        Wrong(kitchen.Up.Length > Most, "up", $"Up to {Most} times.");
        Wrong(kitchen.Gone.Length > Most || kitchen.Gone.Any(g => g.To <= g.From), "gone", $"From one time to a later one; up to {Most}.");
        Wrong(kitchen.Gone.Any(g => g.To > now + FarthestErrand), "gone", $"An errand ends within {FarthestErrand.TotalDays:0} days.");
        Wrong(kitchen.ScaleStep is { Grams: < .01 or > 50 }, "scaleStep", "From 0.01 to 50 g.");
        Wrong(kitchen.Tolerance is { } t && (t.Least.Grams is < 0 or > 50 || t.Part.Fraction is < 0 or > .2), "tolerance", "Up to 50 g, and up to 20 %.");
        Wrong(kitchen.Hob is { Watts: < 100 or > 10_000 }, "hob", "From 100 to 10,000 W.");
        Wrong(kitchen.Microwave is { Watts: < 100 or > 3000 }, "microwave", "From 100 to 3,000 W.");
        Wrong(kitchen.Altitude is { Millimetres: > 6_000_000 }, "altitude", "Up to 6,000 m.");
        Wrong(kitchen.Prices is { PerKilowattHour.Amount: < 0 or > 1e6 }, "prices.perKilowattHour", "0 or more is wanted here.");
        Wrong(kitchen.Prices?.Shop.Any(p => p is null || p.Each.Amount is < 0 or > 1e6 || Shaping.Families.Find(p.FamilyId) is null) == true, "prices.shop", "0 or more is wanted here.");
        return problems.ToImmutable();
    }
}
