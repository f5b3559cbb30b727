using System.Globalization;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Server.Words;

/// <summary>The one figure that matters at a step.</summary>
/// <param name="Value">As shown.</param>
/// <param name="Unit">Its unit, or empty.</param>
public sealed record Figure(string Value, string Unit);

/// <summary>Figures as a kitchen reads them, in the household's units.</summary>
/// <param name="units">What the household reads.</param>
public sealed class Measured(HouseholdUnits units)
{
    private const double MillimetresPerInch = 25.4;

    // From here on centimetres read better than millimetres, and so do whole ones.
    private static readonly Length InCentimetres = Core.Measures.Length.FromMillimetres(200);
    private static readonly Length Exactly = Core.Measures.Length.FromMillimetres(100);

    // Under so much a household wants one digit more.
    private static readonly Mass Tiny = Mass.FromGrams(.1);
    private static readonly Mass SmallGrams = Mass.FromGrams(10),
        SmallOunces = Mass.FromGrams(28);

    private string DegreeUnit => units.Temperature == TemperatureUnit.Celsius ? "°C" : "°F";

    private string MassUnitName => units.Mass == MassUnit.Grams ? "g" : "oz";

    /// <summary>A temperature in the household's degrees.</summary>
    public string Degree(Temperature heat) => $"{Degrees(heat)} {DegreeUnit}";

    /// <summary>The same, as a figure.</summary>
    public Figure DegreeFigure(Temperature heat) => new(Degrees(heat), DegreeUnit);

    private string Degrees(Temperature heat) =>
        Whole(units.Temperature == TemperatureUnit.Celsius ? heat.Celsius : heat.Fahrenheit);

    /// <summary>A mass as a kitchen weighs it: whole grams, a tenth under 10; ounces to a tenth, a hundredth under 1.</summary>
    public string Grams(Mass? mass) => mass is { } m ? $"{MassValue(m)} {MassUnitName}" : "";

    /// <summary>The same, as a figure.</summary>
    public Figure? MassFigure(Mass? mass) => mass is { } m ? new(MassValue(m), MassUnitName) : null;

    private string MassValue(Mass mass)
    {
        if (mass > Mass.Zero && mass < Tiny)
            return Digits(units.Mass == MassUnit.Grams ? mass.Grams : mass / Unit.Find("oz")!.Grams, "0.####");
        if (units.Mass == MassUnit.Ounces)
            return Digits(mass / Unit.Find("oz")!.Grams, mass < SmallOunces ? "0.##" : "0.#");
        return mass < SmallGrams ? Digits(mass.Grams, "0.#") : Whole(mass.Grams);
    }

    /// <summary>A length: millimetres, centimetres from 20 of them on, or inches to a tenth.</summary>
    public string Length(Length length)
    {
        if (units.Length == LengthUnit.Inches)
            return $"{Digits(length.Millimetres / MillimetresPerInch, "0.#")} in";
        return length >= InCentimetres ? $"{Whole(length.Millimetres / 10)} cm" : $"{Whole(length.Millimetres)} mm";
    }

    /// <summary>A length by a width, both in one unit.</summary>
    public string Sides(Length one, Length other)
    {
        var isLarge = one >= InCentimetres || other >= InCentimetres;
        if (units.Length == LengthUnit.Inches || !isLarge)
            return $"{Length(one)} by {Length(other)}";
        return $"{Whole(one.Millimetres / 10)} by {Whole(other.Millimetres / 10)} cm";
    }

    /// <summary>The same, as a figure.</summary>
    /// <param name="length">The length.</param>
    /// <param name="how">Which way it is measured, such as across.</param>
    public Figure LengthFigure(Length length, string how)
    {
        var said = Length(length).Split(' ');
        return new(said[0], $"{said[1]} {how}");
    }

    /// <summary>A mark to cut at: to the millimetre under 10 cm, else to half a centimetre; to an eighth of an inch.</summary>
    public string Mark(Length at)
    {
        if (units.Length == LengthUnit.Inches)
            return Digits(Math.Round(at.Millimetres / MillimetresPerInch * 8) / 8, "0.###");
        var nearest = at < Exactly ? Math.Round(at.Millimetres) : Math.Round(at.Millimetres / 5) * 5;
        return Digits(nearest / 10, "0.#");
    }

    /// <summary>What a scale of this step counts in: what it shows itself, whatever the household reads elsewhere.</summary>
    public static ScaleUnitView Scale(Mass step)
    {
        var grams = IsWhole(step.Grams * 10);
        var each = grams ? step.Grams : step / Unit.Find("oz")!.Grams;
        var digits = 0;
        while (digits < 3 && !IsWhole(each * Math.Pow(10, digits)))
            digits++;
        return new(grams ? "g" : "oz", each, digits, step);
    }

    private static bool IsWhole(double value) => Math.Abs(value - Math.Round(value)) < 1e-6;

    /// <summary>An amount as it is measured: "3¾ cups and 2 tbsp", "2" of eggs; as a mass where nobody knows.</summary>
    public string ByMeasure(Ingredient ingredient, Mass mass, Measuring? measuring)
    {
        var measures = InMeasures.Of(ingredient, mass, measuring ?? Measuring.Usual);
        return measures.IsEmpty ? Grams(mass) : string.Join(" and ", measures.Select(In));
    }

    private static string In(InMeasure measure)
    {
        var count = Fractions(measure.Count);
        return measure.Kind switch
        {
            MeasureKind.Cup => $"{count} cup{(measure.Count > 1 ? "s" : "")}",
            MeasureKind.Tablespoon => $"{count} tbsp",
            MeasureKind.Teaspoon => $"{count} tsp",
            _ => count,
        };
    }

    private static readonly (double Part, string Sign)[] Signs =
    [
        (0, ""),
        (1 / 8d, "⅛"),
        (1 / 4d, "¼"),
        (1 / 3d, "⅓"),
        (1 / 2d, "½"),
        (2 / 3d, "⅔"),
        (3 / 4d, "¾"),
        (1, ""),
    ];

    /// <summary>A number with the fraction that measures come in.</summary>
    public static string Fractions(double count)
    {
        var whole = Math.Floor(count);
        var (part, sign) = Signs.MinBy(s => Math.Abs(s.Part - (count - whole)));
        whole += part == 1 ? 1 : 0;
        return whole == 0 ? sign : Whole(whole) + sign;
    }

    /// <summary>A volume to the tenth of a litre, or in US pints where masses are ounces.</summary>
    public string Litres(Volume volume) =>
        units.Mass == MassUnit.Ounces
            ? $"{Digits(volume / Unit.Find("pint")!.Us, "0.#")} pints"
            : $"{Digits(volume.Litres, "0.#")} {(Math.Round(volume.Litres, 1) == 1 ? "litre" : "litres")}";

    /// <summary>Spoons, to the half; at least half a one.</summary>
    public static string Spoons(double spoons)
    {
        var halves = Math.Max(1, (int)Math.Round(spoons * 2));
        if (halves == 1)
            return "½ tbsp";
        return halves % 2 == 0 ? $"{halves / 2} tbsp" : $"{halves / 2}½ tbsp";
    }

    /// <summary>A length of time as people say it; nothing for none.</summary>
    public static string Span(TimeSpan? span)
    {
        if (span is not { } s)
            return "";
        var minutes = (long)Math.Round(s.TotalMinutes);
        return minutes < 60 ? $"{minutes} min"
            : minutes % 60 == 0 ? $"{minutes / 60} h"
            : $"{minutes / 60} h {minutes % 60:00} min";
    }

    /// <summary>Minutes, to the tenth.</summary>
    public static string Minutes(TimeSpan span) => $"{Digits(span.TotalMinutes, "0.#")} min";

    /// <summary>What somebody stands beside and counts, to half a minute.</summary>
    public static string HalfMinutes(TimeSpan span) =>
        Minutes(TimeSpan.FromMinutes(Math.Max(1, Math.Round(span.TotalMinutes * 2, MidpointRounding.AwayFromZero)) / 2));

    /// <summary>A number without its digits behind the point.</summary>
    public static string Whole(double value) => Digits(Math.Round(value, MidpointRounding.AwayFromZero), "0");

    /// <summary>A number in this format.</summary>
    public static string Digits(double value, string format) => value.ToString(format, CultureInfo.InvariantCulture);
}

/// <summary>What the scale counts in.</summary>
/// <param name="Unit">As written behind a figure.</param>
/// <param name="PerStep">One scale unit in it.</param>
/// <param name="Digits">Digits after the point.</param>
/// <param name="Grams">One scale unit in grams.</param>
public sealed record ScaleUnitView(string Unit, double PerStep, int Digits, Mass Grams);
