// What people most likely have, until they say what theirs is like.
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>What one more of anything is like, and what is meant where nothing was entered. After makers' labels and bakers'
/// usage; every figure is there to be typed over.</summary>
/// <param name="Machine">A bread machine.</param>
/// <param name="Phase">One more part of its program.</param>
/// <param name="Oven">An oven.</param>
/// <param name="Tin">A baking tray.</param>
/// <param name="Griddle">A griddle.</param>
/// <param name="Place">A warm shelf.</param>
/// <param name="Vessel">A bowl.</param>
/// <param name="Awake">When somebody is up.</param>
/// <param name="MachinesRun">When machines may be heard.</param>
/// <param name="Seasons">The room through the year.</param>
/// <param name="Tolerance">What is left alone when dividing.</param>
/// <param name="ScaleStep">What a scale shows.</param>
/// <param name="Hob">The hob's power.</param>
/// <param name="Microwave">The microwave's power.</param>
/// <param name="Altitude">Above the sea.</param>
/// <param name="Units">What is read.</param>
/// <param name="Prices">Energy, and the shop.</param>
public sealed record UsualKitchen(
    Machine Machine,
    Phase Phase,
    Oven Oven,
    Tin Tin,
    Tin Griddle,
    Place Place,
    Vessel Vessel,
    OpenHours Awake,
    OpenHours MachinesRun,
    RoomBySeason Seasons,
    Tolerance Tolerance,
    Mass ScaleStep,
    Power Hob,
    Power Microwave,
    Length Altitude,
    HouseholdUnits Units,
    KitchenPrices Prices
)
{
    /// <summary>What is usual in a kitchen as warm as this.</summary>
    /// <param name="room">The room where no season says otherwise.</param>
    public static UsualKitchen At(Temperature room) =>
        new(
            AMachine,
            new(PhaseKind.Rise, TimeSpan.FromMinutes(30)),
            AnOven,
            new("", "Another tray", TinShape.Tray, Millimetres(400), Millimetres(300)),
            new("griddle", "Griddle", TinShape.Tray, Millimetres(400), Millimetres(260)),
            new("", "on another shelf", InOven: false, Temperature.FromCelsius(26), OverRoom: 0, FallsIn: null),
            new("", "Another bowl", Mass.FromGrams(400)),
            new(TimeSpan.FromHours(6), TimeSpan.FromHours(22)),
            new(TimeSpan.FromHours(7), TimeSpan.FromHours(22)),
            new(room, room, room, room),
            Tolerance.Usual,
            Kitchen.UsualScaleStep(null),
            Pot.UsualHob,
            Kitchen.UsualMicrowave,
            Millimetres(0),
            HouseholdUnits.Plain,
            KitchenPrices.Unknown
        );

    private static Machine AMachine { get; } =
        new(
            "",
            "Another machine",
            Mass.FromGrams(500),
            Mass.FromGrams(900),
            "dough",
            [new(PhaseKind.Knead, TimeSpan.FromMinutes(25)), new(PhaseKind.Rise, TimeSpan.FromMinutes(60))],
            Display.Countdown,
            LoadOrder.LiquidsFirst,
            Beep: null
        );

    private static Oven AnOven { get; } =
        new("", "Another oven", new(Temperature.FromCelsius(50), Temperature.FromCelsius(250)), DegreesPerMinute: 10);

    private static Length Millimetres(double length) => Length.FromMillimetres(length);
}
