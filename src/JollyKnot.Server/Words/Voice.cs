using JollyKnot.Core.Dividing;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;

namespace JollyKnot.Server.Words;

/// <summary>The words of the bench. All of them, so that one voice speaks, in the household's units.</summary>
/// <param name="units">What the household reads.</param>
public sealed partial class Voice(HouseholdUnits units)
{
    private readonly Measured measured = new(units);

    /// <summary>The household's own, for a scale of this step.</summary>
    public static ScaleUnitView Scale(Mass step) => Measured.Scale(step);

    /// <summary>How a step is said.</summary>
    /// <param name="step">The step.</param>
    /// <param name="spec">The bake it is of.</param>
    /// <param name="station">The scale station, where the sentence is about the next piece.</param>
    public Phrase Of(Step step, BakeSpec spec, Station? station = null) => StepWords.Of(new(step, spec, measured, station));

    /// <summary>What goes on while nothing is wanted of the baker.</summary>
    public string Meanwhile(Slot? stretch, BakeSpec spec, DateTimeOffset now)
    {
        if (stretch is null)
            return "Nothing to do yet.";
        return stretch.Step.Is(Milestone.Cycle) ? Cycle(spec.Machine, now - stretch.Start) : Of(stretch.Step, spec).Say;
    }

    private static string Cycle(Machine machine, TimeSpan since)
    {
        if (machine.ByHand)
            return "The dough is rising in its bowl.";
        return machine.PhaseAt(since)?.Kind switch
        {
            PhaseKind.Warm => $"The {Sentences.Lower(machine.Name)} is warming. Nothing moves yet.",
            PhaseKind.Knead => $"The {Sentences.Lower(machine.Name)} is kneading.",
            PhaseKind.Rise => "The dough is rising in the machine.",
            _ => "The dough cycle is nearly over.",
        };
    }

    /// <summary>So many of a family.</summary>
    internal static string Counted(int pieces, Family family) =>
        pieces == 1 ? "one " + One(family.Name) : $"{pieces} {family.Name}";

    internal static string One(string plural) =>
        plural.EndsWith("loaves", StringComparison.Ordinal) ? plural[..^3] + "f" : plural[..^1];

    private string Celsius(Temperature? heat) => measured.Degree(heat!.Value);

    /// <summary>A temperature in the household's degrees.</summary>
    public string Degree(Temperature heat) => measured.Degree(heat);

    /// <summary>A mark to cut at.</summary>
    public string Mark(Length at) => measured.Mark(at);

    /// <summary>A mass as a kitchen weighs it.</summary>
    public string Grams(Mass? mass) => measured.Grams(mass);

    /// <summary>An amount in cups and spoons.</summary>
    public string Measure(Ingredient ingredient, Mass mass, BakeSpec spec) =>
        measured.ByMeasure(ingredient, mass, spec.Around.Measuring);

    private string Millimetres(Length length) => measured.Length(length);

    private Figure? Kilo(Mass? mass) => measured.MassFigure(mass);

    private static string Spoons(double spoons) => Measured.Spoons(spoons);

    private static string Text(double value) => Measured.Whole(value);

    private static string Minutes(TimeSpan span) => Measured.Minutes(span);

    /// <summary>A length of time as people say it.</summary>
    public static string Span(TimeSpan? span) => Measured.Span(span);
}
