// A bread machine as far as its dough cycle goes.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Machines;

/// <summary>What a machine does in one part of its program.</summary>
public enum PhaseKind
{
    /// <summary>Silent warming before anything moves.</summary>
    Warm,

    /// <summary>Mixing and kneading.</summary>
    Knead,

    /// <summary>The first rise in the warm pan.</summary>
    Rise,

    /// <summary>A short turn of the paddle that presses the gas out.</summary>
    KnockBack,
}

/// <summary>One part of a program.</summary>
/// <param name="Kind">What happens.</param>
/// <param name="Length">How long.</param>
public sealed record Phase(PhaseKind Kind, TimeSpan Length);

/// <summary>What the machine's display shows while it runs.</summary>
public enum Display
{
    /// <summary>Time left.</summary>
    Countdown,

    /// <summary>The time of day at which it finishes.</summary>
    FinishClock,
}

/// <summary>What the display should show at a moment; one of the two.</summary>
/// <param name="FinishAt">The time of day it ends.</param>
/// <param name="Left">Time left.</param>
public sealed record DisplayShows(DateTimeOffset? FinishAt, TimeSpan? Left);

/// <summary>What goes into the pan first.</summary>
public enum LoadOrder
{
    /// <summary>Liquids, then flour, yeast last in a dimple.</summary>
    LiquidsFirst,

    /// <summary>Yeast and flour, liquids last.</summary>
    DryFirst,
}

/// <summary>One of a machine's programs, up to where the dough is taken out.</summary>
/// <param name="Name">The number or name to choose on it.</param>
/// <param name="Phases">In order; one of them kneads.</param>
/// <param name="Beep">From the start of kneading to the add-in beep; null when it has none.</param>
/// <param name="Pulled">It runs on, and must be stopped by the baker's own alarm.</param>
public sealed record DoughProgram(string Name, ImmutableArray<Phase> Phases, TimeSpan? Beep = null, bool Pulled = false);

/// <summary>A machine with the program it makes dough with.</summary>
/// <param name="Id">Stable name in the kitchen.</param>
/// <param name="Name">As the household calls it.</param>
/// <param name="FlourLimit">The most flour it kneads.</param>
/// <param name="DoughLimit">The most dough it holds.</param>
/// <param name="Program">The number or name to choose on it.</param>
/// <param name="Phases">The program up to where the dough is taken out, in order; one phase kneads.</param>
/// <param name="Display">What it shows.</param>
/// <param name="LoadOrder">What goes in first.</param>
/// <param name="Beep">From the start of kneading to the add-in beep; null when it has none.</param>
/// <param name="Paddles">How many paddles to put in and to look for.</param>
/// <param name="Pulled">The program is longer than this and must be stopped by the baker's own alarm.</param>
/// <param name="KneadingWarms">Degrees Celsius that kneading adds to the dough. Fitted; the household may correct it.</param>
/// <param name="PanEmpty">The empty pan with its paddles; null when it was never weighed.</param>
/// <param name="ByHand">No machine at all: two hands and a bowl.</param>
/// <param name="Bought">What it cost; null when nobody remembers.</param>
/// <param name="CountsDownFrom">A display with a finish clock counts down from so long before the end; null when it never
/// does.</param>
public sealed record Machine(
    string Id,
    string Name,
    Mass FlourLimit,
    Mass DoughLimit,
    string Program,
    ImmutableArray<Phase> Phases,
    Display Display,
    LoadOrder LoadOrder,
    TimeSpan? Beep,
    int Paddles = 1,
    bool Pulled = false,
    double KneadingWarms = 4,
    Mass? PanEmpty = null,
    bool ByHand = false,
    Money? Bought = null,
    TimeSpan? CountsDownFrom = null
)
{
    /// <summary>Two hands and a bowl: what needs no machine.</summary>
    public static Machine Hands { get; } =
        new(
            "hand",
            "By hand",
            Mass.FromGrams(1500),
            Mass.FromGrams(2700),
            "",
            [new(PhaseKind.Knead, TimeSpan.FromMinutes(12)), new(PhaseKind.Rise, TimeSpan.FromMinutes(60))],
            Display.Countdown,
            LoadOrder.LiquidsFirst,
            TimeSpan.FromMinutes(10),
            Paddles: 0,
            KneadingWarms: 1,
            ByHand: true
        );

    /// <summary>What else it makes dough with; empty when it has one program.</summary>
    public ImmutableArray<DoughProgram> OtherPrograms { get; init; } = [];

    /// <summary>Every program, the usual one first.</summary>
    public IEnumerable<DoughProgram> Programs => [new(Program, Phases, Beep, Pulled), .. OtherPrograms];

    /// <summary>Whether it warms the pan by itself before kneading.</summary>
    public bool Warms => Phases.Any(p => p.Kind == PhaseKind.Warm);

    /// <summary>The machine set to one of its programs; null when it has no such program.</summary>
    public Machine? SetTo(string program) =>
        Programs.FirstOrDefault(p => p.Name == program) is { } p
            ? this with
            {
                Program = p.Name,
                Phases = p.Phases,
                Beep = p.Beep,
                Pulled = p.Pulled,
                OtherPrograms = [.. Programs.Where(o => o.Name != program)],
            }
            : null;

    /// <summary>The same hands, kneading so long and leaving it to rise so long.</summary>
    public Machine Kneading(TimeSpan kneads, TimeSpan rises) =>
        this with
        {
            Phases =
            [
                new(PhaseKind.Knead, kneads),
                .. rises > TimeSpan.Zero ? [new Phase(PhaseKind.Rise, rises)] : Array.Empty<Phase>(),
            ],
        };

    /// <summary>From pressing start to taking the dough out.</summary>
    public TimeSpan CycleLength => Phases.Aggregate(TimeSpan.Zero, (sum, p) => sum + p.Length);

    /// <summary>From pressing start to the start of kneading.</summary>
    public TimeSpan KneadStart =>
        Phases.TakeWhile(p => p.Kind != PhaseKind.Knead).Aggregate(TimeSpan.Zero, (sum, p) => sum + p.Length);

    /// <summary>How long it kneads, or one kneads by hand.</summary>
    public TimeSpan Kneads => Phases.First(p => p.Kind == PhaseKind.Knead).Length;

    /// <summary>From pressing start to the end of kneading.</summary>
    public TimeSpan KneadEnd => KneadStart + Kneads;

    /// <summary>What the display shows, so that a wrong program is seen; null by hand, when it does not run, and for a program
    /// that runs on past the dough.</summary>
    /// <param name="started">When start was pressed.</param>
    /// <param name="now">The time now.</param>
    public DisplayShows? Shows(DateTimeOffset started, DateTimeOffset now)
    {
        var left = started + CycleLength - now;
        return ByHand || Pulled || now < started || left <= TimeSpan.Zero ? null
            : Display == Display.Countdown || left <= CountsDownFrom ? new(null, left)
            : new(started + CycleLength, null);
    }

    /// <summary>Which phase runs so long after the start; null before the start and after the end.</summary>
    public Phase? PhaseAt(TimeSpan elapsed)
    {
        if (elapsed < TimeSpan.Zero)
            return null;
        foreach (var phase in Phases)
        {
            if (elapsed < phase.Length)
                return phase;
            elapsed -= phase.Length;
        }
        return null;
    }

    /// <summary>Where in the pan order a row goes: lower is earlier.</summary>
    public int PlaceInPan(Role role) =>
        (LoadOrder, role) switch
        {
            (LoadOrder.LiquidsFirst, Role.Liquid or Role.Starter) => 0,
            (LoadOrder.LiquidsFirst, Role.Egg) => 1,
            (LoadOrder.LiquidsFirst, Role.Fat) => 2,
            (LoadOrder.LiquidsFirst, Role.Sugar) => 3,
            (LoadOrder.LiquidsFirst, Role.Other) => 4,
            (LoadOrder.LiquidsFirst, Role.Flour) => 5,
            (LoadOrder.LiquidsFirst, Role.Salt) => 6,
            (LoadOrder.LiquidsFirst, _) => 7,
            (_, Role.Yeast) => 0,
            (_, Role.Flour) => 1,
            (_, Role.Sugar or Role.Other) => 2,
            (_, Role.Salt) => 3,
            (_, Role.Fat) => 4,
            (_, Role.Egg) => 5,
            _ => 6,
        };

    // The factor is told to a tenth of a percent, rounded down so that it surely fits.
    private const double ToldExactly = 1000;

    /// <summary>Refuses a dough over this machine's limits and names the factor that fits. Add-ins count as dough.</summary>
    /// <returns>Null when it fits.</returns>
    public Problem? Refuses(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        var factor = FactorThatFits(formula);
        if (factor >= 1)
            return null;
        var byFlour = FlourLimit / formula.Flour <= DoughLimit / formula.Total;
        var fits = Share.FromFraction(Math.Floor(factor * ToldExactly) / ToldExactly);
        return byFlour
            ? new("capacity:flour", "machineId", formula.Flour, FlourLimit, Name, fits)
            : new("capacity:dough", "machineId", formula.Total, DoughLimit, Name, fits);
    }

    /// <summary>The largest factor at which the dough fits this machine: at least 1 when it fits as it is.</summary>
    public double FactorThatFits(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return Math.Min(FlourLimit / formula.Flour, DoughLimit / formula.Total);
    }
}
