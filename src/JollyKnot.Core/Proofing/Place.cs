// Where dough stands to rise, and how warm it is there as time goes by.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Proofing;

/// <summary>How a place gets warm, where somebody has to see to it.</summary>
public enum MadeWarm
{
    /// <summary>An oven is heated low, switched off and left to fall.</summary>
    HeatedAndOff,

    /// <summary>An oven is switched on for a minute.</summary>
    Briefly,

    /// <summary>The oven the bread is for stands below it, heating.</summary>
    ByTheHeatingOven,
}

/// <summary>A place for the second proof.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Name">As shown, to follow "the dough is".</param>
/// <param name="InOven">Dough standing here keeps the oven from heating.</param>
/// <param name="Steady">Its own steady temperature; null when it follows the room.</param>
/// <param name="OverRoom">Degrees over the room at the start, for places that follow it.</param>
/// <param name="FallsIn">Time in which what it is over the room falls to 1/e; null when it stays.</param>
/// <param name="StartsAt">How warm it is at the start, instead of so much over the room.</param>
/// <param name="Trays">It holds so many at once, 1 or more; any number when null. The oven has its racks instead.</param>
/// <param name="Made">What has to be done for it to be warm; null where nothing has.</param>
public sealed record Place(
    string Id,
    string Name,
    bool InOven,
    Temperature? Steady,
    double OverRoom,
    TimeSpan? FallsIn,
    Temperature? StartsAt = null,
    int? Trays = null,
    MadeWarm? Made = null
)
{
    /// <summary>Over this for longer than ten minutes the dough suffers. Cardinal temperatures of baker's yeast.</summary>
    public static Temperature TooWarm { get; } = Temperature.FromCelsius(45);

    /// <summary>A still warm oven is safe for dough from here down. Bakers' usage.</summary>
    public static Temperature Safe { get; } = Temperature.FromCelsius(38);

    /// <summary>An oven shut and switched off falls towards the room in this time. Bakers' usage.</summary>
    public static TimeSpan OvenFallsIn { get; } = TimeSpan.FromMinutes(35);

    /// <summary>An oven that proofs is heated to about this before it is switched off. Bakers' usage.</summary>
    public static Temperature LowHeat { get; } = Temperature.FromCelsius(60);

    /// <summary>An oven that is warmed briefly is on for so long. Bakers' usage.</summary>
    public static TimeSpan Briefly { get; } = TimeSpan.FromMinutes(1);

    // A place for dough, or an oven cooling down.
    private static readonly Band<Temperature> Heats = new(Temperature.FromCelsius(-5), Temperature.FromCelsius(120));
    private const double MostOverRoom = 60;

    /// <summary>Whether there can be such a place: named, and as warm as a kitchen has it.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsPossible =>
        Id is { Length: > 0 and <= PlainText.LongestName }
        && Name is { Length: > 0 and <= PlainText.LongestName }
        && (Made is not { } made || Enum.IsDefined(made))
        && Math.Abs(OverRoom) <= MostOverRoom
        && (Steady is not { } steady || Heats.Holds(steady))
        && (StartsAt is not { } start || Heats.Holds(start))
        && (FallsIn is not { } falls || falls > TimeSpan.Zero);

    /// <summary>How long after switching off an oven this hot is safe for dough.</summary>
    /// <param name="heat">What it was at.</param>
    /// <param name="room">The kitchen.</param>
    public static TimeSpan SafeAfter(Temperature heat, Temperature room) =>
        heat <= Safe ? TimeSpan.Zero
        : room >= Safe ? RiseModel.Horizon
        : OvenFallsIn * Math.Log((heat.Celsius - room.Celsius) / (Safe.Celsius - room.Celsius));

    /// <summary>How warm an oven is so long after it was switched off.</summary>
    /// <param name="heat">What it was at.</param>
    /// <param name="room">The kitchen.</param>
    /// <param name="since">0 or more.</param>
    public static Temperature LeftAt(Temperature heat, Temperature room, TimeSpan since) =>
        Temperature.FromCelsius(room.Celsius + (heat.Celsius - room.Celsius) * Math.Exp(-since / OvenFallsIn));

    /// <summary>An oven that another bake left at this or more is warm enough for dough. Bakers' usage.</summary>
    public static Temperature WarmEnough { get; } = Temperature.FromCelsius(30);

    /// <summary>How warm it is here so long after it was made ready.</summary>
    /// <param name="elapsed">0 or more.</param>
    /// <param name="room">The kitchen.</param>
    public Temperature At(TimeSpan elapsed, Temperature room) =>
        Steady
        ?? Temperature.FromCelsius(
            room.Celsius
                + (StartsAt is { } from ? from.Celsius - room.Celsius : OverRoom)
                    * (FallsIn is { } falls ? Math.Exp(-elapsed / falls) : 1)
        );
}

/// <summary>The places every kitchen has. Temperatures as bakers measured them; a household's own reading is better.</summary>
public static class Places
{
    /// <summary>On the counter, covered.</summary>
    public static Place Counter { get; } = new("counter", "on the counter", false, null, 0, null);

    /// <summary>In the fridge.</summary>
    public static Place Fridge { get; } = new("fridge", "in the fridge", false, Temperature.FromCelsius(4), 0, null);

    /// <summary>Somewhere cool, where dough waits its turn: about a fifth of the pace at 27 °C. Bakers' usage.</summary>
    public static Place Cool { get; } = new("cool", "in a cool place", false, Temperature.FromCelsius(12), 0, null);

    /// <summary>All places, in the order they are offered.</summary>
    public static ImmutableArray<Place> All { get; } =
    [
        Counter,
        new("oven-light", "in the oven, light on", true, null, 9, null),
        new("brief-warm", "in the oven, warmed for a minute", true, null, 16, TimeSpan.FromMinutes(40), Made: MadeWarm.Briefly),
        new("proof-setting", "in the oven, proof setting", true, Temperature.FromCelsius(35), 0, null),
        new(
            "heated-off",
            "in the oven, heated and off",
            true,
            null,
            0,
            Place.OvenFallsIn,
            Place.Safe,
            Made: MadeWarm.HeatedAndOff
        ),
        new("above-oven", "above the heating oven", false, null, 5, null, Made: MadeWarm.ByTheHeatingOven),
        Cool,
        Fridge,
    ];

    /// <summary>The place of this id, or null.</summary>
    public static Place? Find(string id) => All.FirstOrDefault(p => p.Id == id);
}
