// How warm the middle of a piece is in the oven, what it should reach, and when two readings of a probe say it will.
using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Baking;

/// <summary>A piece as the heat sees it.</summary>
/// <param name="Parts">Bodies whose solutions are multiplied, with their radius or half thickness.</param>
/// <param name="Heaviness">How many times the heat of plain dough it takes, for water, filling and tin; over 0. Fitted.</param>
/// <param name="Transfer">Heat transfer in W/m²K, over 0; the oven's when null.</param>
public sealed record HeatShape(ImmutableArray<(Body Body, Length Size)> Parts, double Heaviness, double? Transfer = null)
{
    // Reference bodies of each family. Fitted so that the minutes to the wanted core are those bakers measure.
    private static HeatShape Usual(string family) => family switch
    {
        "pan-roll" => Made(1, null, (Body.Sphere, 35)),
        "crusty-roll" => Made(1, null, (Body.Sphere, 39)),
        "round-bun" => Made(1.2, null, (Body.Cylinder, 61), (Body.Slab, 14)),
        "long-bun" => Made(1, null, (Body.Cylinder, 25), (Body.Slab, 70)),
        "knot" => Made(1, null, (Body.Sphere, 34)),
        "pretzel" => Made(2.5, null, (Body.Cylinder, 13)),
        "coil" => Made(.85, null, (Body.Cylinder, 90), (Body.Slab, 28)),
        "baton" => Made(1.5, null, (Body.Cylinder, 31), (Body.Slab, 170)),
        "tin-loaf" => Made(.7, null, (Body.Slab, 118), (Body.Slab, 55), (Body.Slab, 48)),
        "filled-loaf" => Made(.9, null, (Body.Slab, 105), (Body.Slab, 55), (Body.Slab, 36)),
        "tray-bread" => Made(1.6, null, (Body.Slab, 17)),
        "pocket-flatbread" => Made(1, 25, (Body.Slab, 9)),
        "griddle-flatbread" => Made(1, 25, (Body.Slab, 5)),
        "griddle-round" => Made(1, 40, (Body.Slab, 15)),
        _ => Made(.9, null, (Body.Cylinder, 39), (Body.Slab, 150)),
    };

    // Sizes in millimetres.
    private static HeatShape Made(double heaviness, double? transfer, params (Body Body, double Millimetres)[] parts) =>
        new([.. parts.Select(p => (p.Body, Length.FromMillimetres(p.Millimetres)))], heaviness, transfer);

    /// <summary>A piece of a family: its reference body, grown or shrunk with the cube root of its mass where its thickness is not set.</summary>
    public static HeatShape Of(Family family, Mass piece)
    {
        ArgumentNullException.ThrowIfNull(family);
        var usual = Usual(family.Id);
        if (family.Thickness is not null || family.Form == Form.Tray) return usual;
        var size = Math.Cbrt(piece / family.Usual);
        return usual with { Parts = [.. usual.Parts.Select(p => (p.Body, Length.FromMillimetres(p.Size.Millimetres * size)))] };
    }
}

/// <summary>The middle of a piece in the oven.</summary>
public static class CoreHeat
{
    // Baking dough: kg/m³, W/m·K, J/kg·K; heat transfer to the air of an oven, still and with fan, W/m²K. Fitted.
    private const double Density = 300, Conductivity = .5, SpecificHeat = 2800, Still = 16, Fan = 19;
    // Above this the water that boils off holds the middle back, until a degree over the boiling point. Fitted.
    private const double FreeUpTo = 70, OverBoiling = 1;

    /// <summary>Dough as it goes into the oven.</summary>
    public static Temperature AtTheDoor { get; } = Temperature.FromCelsius(28);

    /// <summary>The middle of a piece so long after it went in.</summary>
    /// <param name="shape">The piece.</param>
    /// <param name="air">The oven.</param>
    /// <param name="fan">With the fan.</param>
    /// <param name="inside">Time in the oven; 0 or more.</param>
    /// <param name="boils">Where water boils here.</param>
    public static Temperature At(HeatShape shape, Temperature air, bool fan, TimeSpan inside, Temperature boils)
    {
        ArgumentNullException.ThrowIfNull(shape);
        var transfer = shape.Transfer ?? (fan ? Fan : Still);
        var diffusivity = Conductivity / (Density * SpecificHeat * shape.Heaviness);
        var left = 1d;
        foreach (var (body, length) in shape.Parts)
        {
            var metres = length.Millimetres / 1000;
            left *= Conduction.Left(body, transfer * metres / Conductivity, diffusivity * inside.TotalSeconds / (metres * metres));
        }
        var v = air.Celsius + (AtTheDoor.Celsius - air.Celsius) * left;
        var top = boils.Celsius + OverBoiling;
        return Temperature.FromCelsius(v <= FreeUpTo ? v : top - (top - FreeUpTo) * Math.Exp(-(v - FreeUpTo) / (top - FreeUpTo)));
    }

    /// <summary>What the middle should reach: rich 90 °C, 93 in a tin; lean 96; never above the boiling point less 3 °C. Bakers' usage.</summary>
    public static Temperature Wanted(Formula formula, Family family, Temperature boils)
    {
        ArgumentNullException.ThrowIfNull(formula);
        ArgumentNullException.ThrowIfNull(family);
        var wanted = !formula.IsRich ? 96 : family.Form is Form.Loaf or Form.Swirl ? 93 : 90;
        return Temperature.FromCelsius(Math.Min(wanted, boils.Celsius - 3));
    }

    /// <summary>When the middle reaches a temperature; null when it does not within two hours.</summary>
    public static TimeSpan? TimeTo(HeatShape shape, Temperature air, bool fan, Temperature wanted, Temperature boils)
    {
        var (low, high) = (TimeSpan.Zero, TimeSpan.FromHours(2));
        if (At(shape, air, fan, high, boils) < wanted) return null;
        while (high - low > TimeSpan.FromSeconds(1))
        {
            var middle = (low + high) / 2;
            if (At(shape, air, fan, middle, boils) < wanted) low = middle; else high = middle;
        }
        return high;
    }
}

/// <summary>A reading of a probe.</summary>
/// <param name="After">Since the piece went in.</param>
/// <param name="Core">What the probe said.</param>
public sealed record ProbeReading(TimeSpan After, Temperature Core);

/// <summary>What is known of a piece in the oven.</summary>
public sealed record PieceInOven(HeatShape Shape, Temperature Air, bool Fan);

/// <summary>What probe readings say.</summary>
public static class Probe
{
    /// <summary>Below this a reading says nothing of the end.</summary>
    public static Temperature From { get; } = Temperature.FromCelsius(65);

    /// <summary>Two readings closer than this are one.</summary>
    public static TimeSpan Apart { get; } = TimeSpan.FromMinutes(2);

    // No middle warms faster than this, °C a minute, nor cools by more than a slip of place.
    private const double Fastest = 25, Slip = 4;

    /// <summary>When the middle will have reached a temperature, counted from going in. A piece that is known follows its own curve, faster or slower as the readings say; of one that is not, the gap to the boiling point is taken to close exponentially. Null while there are no two readings over <see cref="From"/>, <see cref="Apart"/>, with the later one warmer.</summary>
    /// <param name="readings">In order.</param>
    /// <param name="wanted">What it should reach.</param>
    /// <param name="boils">Where water boils here.</param>
    /// <param name="known">The piece and its oven; null when nobody knows.</param>
    public static TimeSpan? Done(IReadOnlyList<ProbeReading> readings, Temperature wanted, Temperature boils, PieceInOven? known = null)
    {
        ArgumentNullException.ThrowIfNull(readings);
        var top = boils.Celsius + 1;
        if (readings.Count > 0 && readings[^1].Core >= wanted) return readings.First(r => r.Core >= wanted).After;
        var used = readings.Where(r => r.Core >= From && r.Core.Celsius < top).ToList();
        if (used.Count < 2 || used[^1].After - used[0].After < Apart) return null;
        if (known is { Shape: var shape, Air: var air, Fan: var fan } && CoreHeat.TimeTo(shape, air, fan, wanted, boils) is { } reckoned)
        {
            // How much faster than reckoned it warms: where the readings lie neither over nor under the curve.
            var (slow, fast) = (1 / MostOff, MostOff);
            for (var i = 0; i < 40; i++)
            {
                var pace = Math.Sqrt(slow * fast);
                if (used.Sum(r => CoreHeat.At(shape, air, fan, r.After * pace, boils).Celsius - r.Core.Celsius) < 0) slow = pace; else fast = pace;
            }
            return reckoned / slow;
        }
        // A straight line through the logarithm of the gap, by least squares.
        double Gap(Temperature core) => Math.Log(top - core.Celsius);
        var (x, y) = (used.Average(r => r.After.TotalMinutes), used.Average(r => Gap(r.Core)));
        var slope = used.Sum(r => (r.After.TotalMinutes - x) * (Gap(r.Core) - y)) / used.Sum(r => Math.Pow(r.After.TotalMinutes - x, 2));
        return slope >= -1e-4 ? null : TimeSpan.FromMinutes(x + (Gap(wanted) - y) / slope);
    }

    // A piece warms no more than so many times faster or slower than reckoned.
    private const double MostOff = 4;

    /// <summary>What speaks against a reading; null when it can be believed.</summary>
    /// <param name="before">Readings before it, in order.</param>
    /// <param name="reading">The reading.</param>
    /// <param name="boils">Where water boils here.</param>
    public static Problem? Doubts(IReadOnlyList<ProbeReading> before, ProbeReading reading, Temperature boils)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reading);
        var core = reading.Core.Celsius;
        if (core > boils.Celsius + 2)
        {
            var fromFahrenheit = (core - 32) / 1.8;
            return new("over-boiling", "core", fromFahrenheit <= boils.Celsius + 1 && fromFahrenheit > 20
                ? Text($"Bread does not get to {core:0} °C inside. {core:0} °F would be {fromFahrenheit:0} °C: is the probe set to °F?")
                : Text($"Bread does not get to {core:0} °C inside: the tip touches the tin or has come out."));
        }
        if (core < 0) return new("too-cold", "core", "A piece in the oven is not frozen. Look at the probe.");
        if (before.Count == 0) return null;
        var (last, minutes) = (before[^1], (reading.After - before[^1].After).TotalMinutes);
        if (core < last.Core.Celsius - Slip) return new("falling", "core", Text($"It was {last.Core.Celsius:0} °C before. Push the tip into the middle again."));
        return core > last.Core.Celsius + Slip + Fastest * Math.Max(0, minutes)
            ? new("jumping", "core", Text($"From {last.Core.Celsius:0} to {core:0} °C in {minutes:0.#} min? The tip may touch the tin.")) : null;
    }

    private static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
