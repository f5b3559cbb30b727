using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;

namespace JollyKnot.Server.Words;

// The dough: how it feels, what it is given, what likely went wrong.
public sealed partial class Voice
{
    /// <summary>What to do when a paddle does not turn.</summary>
    public const string DoesNotTurn =
        "Stop the machine and unplug it. Seat the paddle, start again, then take back the start here and tell it anew.";

    /// <summary>What is felt, in the order offered.</summary>
    public static string Of(DoughFeel feel, bool byHand = false) =>
        feel switch
        {
            DoughFeel.Ragged => byHand ? "Ragged, dry flour left" : "Ragged, flour in the corners",
            DoughFeel.Stiff => byHand ? "Stiff, hard to fold" : "Stiff, knocks",
            DoughFeel.Right => "Right",
            DoughFeel.Sticky => "Sticks to the finger",
            _ => byHand ? "Runs in the bowl" : "Pools round the paddle",
        };

    /// <summary>A dose in grams and spoons.</summary>
    public string Of(Dose dose) =>
        dose switch
        {
            { Water.Grams: > 0 } => $"{Grams(dose.Water)} water, {Spoons(dose.Water / DoughCheck.WaterSpoon)}",
            { Flour.Grams: > 0 } => $"{Grams(dose.Flour)} flour, {Spoons(dose.Flour / DoughCheck.FlourSpoon)}",
            _ => "Leave it alone",
        };

    /// <summary>What was held back is poured in first.</summary>
    public string AllHeld(Mass held, string liquid) => $"All the {liquid} held back, {Grams(held)}, or so much";

    /// <summary>What was put right with a change to a dough.</summary>
    public string Of(PutRight note) =>
        note switch
        {
            EggsWhole eggs => $"{eggs.Count} whole {eggs.Egg}{(eggs.Count > 1 ? "s" : "")} instead of {Grams(eggs.InsteadOf)}; "
                + $"{eggs.Liquid} makes up the rest",
            OtherWater { By: var by } =>
                $"{Grams(by > Mass.Zero ? by : Mass.Zero - by)} {(by > Mass.Zero ? "more" : "less")} water",
            _ => throw new ArgumentOutOfRangeException(nameof(note), note, null),
        };

    private string Of(PastDose past)
    {
        var when = past.SameDough ? "Last time" : "Same flour";
        var added = past.Added == Dose.None ? "nothing added" : Of(past.Added);
        var felt = past.Feel is { } feel ? $", {Felt(feel).ToLowerInvariant()} at take-out" : "";
        return $"{when}, {past.Season.ToString().ToLowerInvariant()}: {added}{felt}.";
    }

    /// <summary>The major allergens, and of what nobody has told.</summary>
    public static string Contents(Dough dough)
    {
        ArgumentNullException.ThrowIfNull(dough);
        var known = string.Join(", ", dough.Allergens);
        if (dough.Untold.IsEmpty)
            return known;
        var untold = $"allergens not known: {string.Join(", ", dough.Untold)}";
        return known.Length == 0 ? untold : $"{known}; {untold}";
    }

    /// <summary>What past checks say, a line each.</summary>
    public ImmutableArray<string> Of(DoseMemory memory, Mass flour)
    {
        ArgumentNullException.ThrowIfNull(memory);
        var lines = memory.Past.Take(1).Select(Of);
        return Math.Abs(memory.Lately.Fraction) < DoseMemory.Noise.Fraction
            ? [.. lines]
            :
            [
                .. lines,
                $"On average it wanted {Grams(flour * Math.Abs(memory.Lately.Fraction))} "
                    + $"{(memory.Lately.Fraction > 0 ? "more" : "less")} water.",
            ];
    }

    /// <summary>What a recipe's main liquid becomes.</summary>
    public string Hint(DoughRow was, DoughRow becomes)
    {
        ArgumentNullException.ThrowIfNull(was);
        ArgumentNullException.ThrowIfNull(becomes);
        return $"{Grams(becomes.Mass)} {becomes.Ingredient.Name} instead of {Grams(was.Mass)}";
    }

    /// <summary>How the dough felt at take-out.</summary>
    public static string Felt(DoughFeel feel) =>
        feel switch
        {
            DoughFeel.Stiff or DoughFeel.Ragged => "Tight",
            DoughFeel.Right => "Right",
            _ => "Still sticky",
        };

    /// <summary>What likely went wrong.</summary>
    public static string Of(Slip slip) =>
        slip switch
        {
            Slip.ForgottenLiquid => "A liquid was left out: egg, butter, the rest of the milk?",
            Slip.ForgottenFlour => "Flour was left out, or a liquid went in twice?",
            Slip.DippedCups => "Cups dipped into the flour hold a sixth more.",
            Slip.WetAddIn => "Something wet gave up more water than reckoned.",
            Slip.DrinksLate => "Wholemeal, rye and oats drink late: give it ten minutes.",
            _ => "Another flour than usual?",
        };

    /// <summary>By how much dough in a bowl has grown.</summary>
    /// <param name="by">1 is doubled.</param>
    public static string Grown(double by) =>
        by switch
        {
            .5 => "grown half as big again",
            1 => "about doubled",
            _ => $"grown by {Text(by * 100)} %",
        };

    /// <summary>Between the machine and the divide, in a few words.</summary>
    public static string Of(AfterCycle after)
    {
        ArgumentNullException.ThrowIfNull(after);
        return after.Bulk <= TimeSpan.Zero ? "divide now"
            : after.Early ? $"out early, {Span(after.Bulk)} in a bowl"
            : after.IsRest ? $"rest {Span(after.Bulk)}"
            : $"{Span(after.Bulk)} in a bowl";
    }
}
