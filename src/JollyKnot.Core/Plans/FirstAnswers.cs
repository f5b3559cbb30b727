// Five questions to a household that is new here, and what their answers make of its kitchen. What is not answered stays usual.
using System.Collections.Immutable;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>What was answered; null where nothing was.</summary>
/// <param name="Cycle">How long the dough cycle says it takes: 40 min to 3 h.</param>
/// <param name="StandsFirst">It begins by standing still.</param>
/// <param name="NoScale">Cups and spoons, and no scale.</param>
/// <param name="Units">What is read.</param>
/// <param name="Hottest">The top of the oven's dial.</param>
/// <param name="Fan">It has a fan that is used.</param>
/// <param name="Racks">Trays it bakes at once.</param>
/// <param name="Tins">Which of the usual trays and tins are there, by their ids.</param>
/// <param name="Awake">When somebody is up.</param>
/// <param name="Zone">The time zone of the screen it was answered at.</param>
public sealed record FirstAnswers(
    TimeSpan? Cycle = null,
    bool? StandsFirst = null,
    bool? NoScale = null,
    HouseholdUnits? Units = null,
    Temperature? Hottest = null,
    bool? Fan = null,
    int? Racks = null,
    ImmutableArray<string>? Tins = null,
    OpenHours? Awake = null,
    string? Zone = null
)
{
    /// <summary>Dough cycles there are.</summary>
    public static Band<TimeSpan> CyclesThereAre { get; } = new(TimeSpan.FromMinutes(40), TimeSpan.FromHours(3));

    /// <summary>Dough cycles to choose from. Makers' labels.</summary>
    public static ImmutableArray<TimeSpan> Cycles { get; } =
    [
        TimeSpan.FromMinutes(60),
        TimeSpan.FromMinutes(75),
        TimeSpan.FromMinutes(80),
        TimeSpan.FromMinutes(90),
        TimeSpan.FromMinutes(95),
        TimeSpan.FromMinutes(110),
    ];

    /// <summary>Tops of dials to choose from, °C or °F as they are marked. Makers' labels.</summary>
    public static ImmutableArray<Temperature> Tops(HouseholdUnits units)
    {
        ArgumentNullException.ThrowIfNull(units);
        return units.Temperature == TemperatureUnit.Fahrenheit
            ? [.. ((double[])[450, 475, 500, 550]).Select(Temperature.FromFahrenheit)]
            : [.. ((double[])[220, 230, 250, 275]).Select(Temperature.FromCelsius)];
    }

    /// <summary>When people are up, to choose from.</summary>
    public static ImmutableArray<OpenHours> Days { get; } = [Hours(5, 21), Hours(6, 22), Hours(7, 23), Hours(8, 24)];

    private static OpenHours Hours(int from, int to) => new(TimeSpan.FromHours(from), TimeSpan.FromHours(to));

    // Silent warming, and kneading, as most machines have them. Bakers' usage: 20 to 30, and 20 to 30 minutes.
    private static readonly TimeSpan Standing = TimeSpan.FromMinutes(20),
        Kneading = TimeSpan.FromMinutes(25),
        ShortestRise = TimeSpan.FromMinutes(10),
        ShortestKnead = TimeSpan.FromMinutes(10);

    /// <summary>Trays and tins that many kitchens have, in the sizes sold where these units are read. Makers' labels.</summary>
    public static ImmutableArray<Tin> UsualTins(HouseholdUnits units)
    {
        ArgumentNullException.ThrowIfNull(units);
        return units.Length == LengthUnit.Metric
            ?
            [
                Flat("tray", "Baking tray", 400, 300),
                Flat("small-tray", "Small tray", 330, 230),
                Deep("loaf-tin", "Loaf tin", TinShape.Loaf, 250, 110, 70),
                Deep("small-loaf-tin", "Small loaf tin", TinShape.Loaf, 200, 100, 60),
                Deep("round-tin", "Round tin", TinShape.Round, 260, 260, 60),
                Deep("square-tin", "Square tin", TinShape.Rectangle, 230, 230, 50),
                Flat("stone", "Stone", 380, 300) with
                {
                    Shape = TinShape.Stone,
                },
            ]
            :
            [
                Flat("tray", "Half-sheet tray", Inches(18), Inches(13)),
                Flat("small-tray", "Quarter-sheet tray", Inches(13), Inches(9.5)),
                Deep("loaf-tin", "Loaf tin", TinShape.Loaf, Inches(9), Inches(5), Inches(2.75)),
                Deep("small-loaf-tin", "Small loaf tin", TinShape.Loaf, Inches(8.5), Inches(4.5), Inches(2.75)),
                Deep("round-tin", "Round tin", TinShape.Round, Inches(9), Inches(9), Inches(2)),
                Deep("square-tin", "Oblong tin", TinShape.Rectangle, Inches(13), Inches(9), Inches(2)),
                Flat("stone", "Stone", Inches(15), Inches(12)) with
                {
                    Shape = TinShape.Stone,
                },
            ];
    }

    private const double MillimetresPerInch = 25.4;

    private static double Inches(double inches) => inches * MillimetresPerInch;

    private static Tin Flat(string id, string name, double length, double width) =>
        new(id, name, TinShape.Tray, Length.FromMillimetres(length), Length.FromMillimetres(width));

    private static Tin Deep(string id, string name, TinShape shape, double length, double width, double depth) =>
        new(id, name, shape, Length.FromMillimetres(length), Length.FromMillimetres(width), Length.FromMillimetres(depth));

    /// <summary>A cycle so long in its usual phases: they are the machine's own as soon as somebody says better.</summary>
    /// <param name="cycle">As the machine says.</param>
    /// <param name="standsFirst">It begins by standing still.</param>
    public static ImmutableArray<Phase> PhasesOf(TimeSpan cycle, bool standsFirst)
    {
        var standing = standsFirst ? Standing : TimeSpan.Zero;
        var left = cycle - standing - ShortestRise;
        var kneading =
            left >= Kneading ? Kneading
            : left >= ShortestKnead ? left
            : ShortestKnead;
        var rising = cycle - standing - kneading;
        ImmutableArray<Phase> phases =
        [
            new(PhaseKind.Warm, standing),
            new(PhaseKind.Knead, kneading),
            new(PhaseKind.Rise, rising > ShortestRise ? rising : ShortestRise),
        ];
        return [.. phases.Where(p => p.Length > TimeSpan.Zero)];
    }

    /// <summary>Whether a machine's phases are only taken for usual: nobody has seen it run.</summary>
    /// <param name="machine">The machine.</param>
    public static bool IsUsual(Machine machine)
    {
        ArgumentNullException.ThrowIfNull(machine);
        return machine.Phases.SequenceEqual(PhasesOf(machine.CycleLength, machine.Warms));
    }

    /// <summary>A kitchen with these answers; all else stays as it is.</summary>
    /// <param name="kitchen">With a machine and an oven.</param>
    public Kitchen In(Kitchen kitchen)
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        var units = Units ?? kitchen.Units ?? HouseholdUnits.Plain;
        return kitchen with
        {
            Machines = [.. kitchen.Machines.Select((m, i) => i == 0 ? In(m) : m)],
            Ovens = [.. kitchen.Ovens.Select((o, i) => i == 0 ? In(o) : o)],
            NoScale = NoScale ?? kitchen.NoScale,
            Units = Units ?? kitchen.Units,
            Awake = Awake ?? kitchen.Awake,
            Zone = kitchen.Zone ?? Zone,
            Tins = Tins is { } owned ? TinsIn(kitchen, UsualTins(units), owned) : kitchen.Tins,
        };
    }

    private Machine In(Machine machine)
    {
        if (Cycle is null && StandsFirst is null)
            return machine;
        var stands = StandsFirst ?? machine.Phases.Any(p => p.Kind == PhaseKind.Warm);
        var phases = PhasesOf(Cycle ?? machine.CycleLength, stands);
        var kneading = phases.First(p => p.Kind == PhaseKind.Knead).Length;
        return machine with { Phases = phases, Beep = machine.Beep < kneading ? machine.Beep : null };
    }

    private Baking.Oven In(Baking.Oven oven) =>
        oven with
        {
            Dial = Hottest is { } top ? new(oven.Dial.From, top) : oven.Dial,
            Fan = Fan ?? oven.Fan,
            Racks = Racks ?? oven.Racks,
        };

    // Those of the household's own that are none of the usual ones stay.
    private static ImmutableArray<Tin> TinsIn(Kitchen kitchen, ImmutableArray<Tin> usual, ImmutableArray<string> owned) =>
        [.. kitchen.Tins.Where(t => usual.All(u => u.Id != t.Id)), .. usual.Where(u => owned.Contains(u.Id))];

    /// <summary>What is wrong with the answers; empty when nothing is. What they make of the kitchen is checked as the kitchen
    /// is.</summary>
    public ImmutableArray<Problem> Check()
    {
        var found = new ProblemList();
        found.Between(Cycle, CyclesThereAre.From, CyclesThereAre.To, "cycle");
        return found.All;
    }
}
