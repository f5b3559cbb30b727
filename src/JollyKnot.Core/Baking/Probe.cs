// What a probe in the bread says: when its middle is done, and when a reading cannot be believed.
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Baking;

/// <summary>A reading of a probe.</summary>
/// <param name="After">Since the piece went in.</param>
/// <param name="Core">What the probe said.</param>
public sealed record ProbeReading(TimeSpan After, Temperature Core);

/// <summary>What is known of a piece in the oven.</summary>
/// <param name="Body">The piece.</param>
/// <param name="Air">The oven.</param>
/// <param name="Fan">With the fan.</param>
public sealed record PieceInOven(HeatBody Body, Temperature Air, bool Fan);

/// <summary>When a middle is done, counted from going in, by two ways of reckoning.</summary>
/// <param name="From">By the sooner.</param>
/// <param name="To">By the later.</param>
public sealed record DoneBetween(TimeSpan From, TimeSpan To)
{
    /// <summary>In the middle between them.</summary>
    public TimeSpan Likely => (From + To) / 2;
}

/// <summary>What probe readings say.</summary>
public static class Probe
{
    /// <summary>Below this a reading says nothing of the end.</summary>
    public static Temperature From { get; } = Temperature.FromCelsius(65);

    /// <summary>Two readings closer than this are one.</summary>
    public static TimeSpan Apart { get; } = TimeSpan.FromMinutes(2);

    // No middle warms faster than this, °C a minute, nor cools by more than a slip of place.
    private const double Fastest = 25,
        Slip = 4;

    // A reading that would be warmer than this in °F may have been one.
    private static readonly Temperature WarmKitchen = Temperature.FromCelsius(20);

    // A piece warms no more than so many times faster or slower than reckoned; halved so often the pace is exact enough.
    private const double MostOff = 4;
    private const int Halvings = 40;

    // A gap that closes no faster than this, in its logarithm a minute, does not close.
    private const double Standstill = -1e-4;

    /// <summary>Bread that is in for no longer has no middle to wait for: it is done by its look. Ours.</summary>
    public static TimeSpan UsefulFrom { get; } = TimeSpan.FromMinutes(10);

    // With so many readings both ways of reckoning weigh alike; with each one more, the readings' own weighs more. Ours.
    private const double WeighAlike = 2;

    /// <summary>
    /// When the middle will have reached a temperature, counted from going in: by the gap to the boiling point, taken to close
    /// exponentially, and by the piece's own curve, faster or slower as the readings say. The more readings, the nearer the
    /// two. Null while there are no two readings over <see cref="From"/>, <see cref="Apart"/>, with the later one warmer.
    /// </summary>
    /// <param name="readings">In order.</param>
    /// <param name="wanted">What it should reach.</param>
    /// <param name="boils">Where water boils here.</param>
    /// <param name="known">The piece and its oven; null when nobody knows.</param>
    public static DoneBetween? Done(
        IReadOnlyList<ProbeReading> readings,
        Temperature wanted,
        Temperature boils,
        PieceInOven? known = null
    )
    {
        ArgumentNullException.ThrowIfNull(readings);
        if (readings.Count > 0 && readings[^1].Core >= wanted)
        {
            var reached = readings.First(r => r.Core >= wanted).After;
            return new(reached, reached);
        }

        var top = boils.Celsius + 1;
        var used = readings.Where(r => r.Core >= From && r.Core.Celsius < top).ToList();
        if (used.Count < 2 || used[^1].After - used[0].After < Apart)
            return null;

        var reckoned = known is null ? null : CoreHeat.TimeTo(known.Body, known.Air, known.Fan, wanted, boils);
        var byGap = WhenTheGapCloses(used, wanted, top);
        var byCurve = reckoned is { } time ? time / PaceOf(used, known!, boils) : byGap;
        if ((byGap ?? byCurve) is not { } first || byCurve is not { } whole)
            return null;
        var second = first + (whole - first) * (WeighAlike / used.Count);
        return first < second ? new(first, second) : new(second, first);
    }

    // How much faster than reckoned it warms: where the readings lie neither over nor under its curve.
    private static double PaceOf(List<ProbeReading> readings, PieceInOven known, Temperature boils)
    {
        var (slow, fast) = (1 / MostOff, MostOff);
        for (var i = 0; i < Halvings; i++)
        {
            var pace = Math.Sqrt(slow * fast);
            if (IsTooSlow(pace))
                slow = pace;
            else
                fast = pace;
        }
        return slow;

        bool IsTooSlow(double pace) =>
            readings.Sum(r => CoreHeat.At(known.Body, known.Air, known.Fan, r.After * pace, boils).Celsius - r.Core.Celsius) < 0;
    }

    // A straight line through the logarithm of the gap, by least squares.
    private static TimeSpan? WhenTheGapCloses(List<ProbeReading> readings, Temperature wanted, double top)
    {
        double Gap(Temperature core) => Math.Log(top - core.Celsius);

        var minutes = readings.Average(r => r.After.TotalMinutes);
        var gap = readings.Average(r => Gap(r.Core));
        var together = readings.Sum(r => (r.After.TotalMinutes - minutes) * (Gap(r.Core) - gap));
        var spread = readings.Sum(r => Math.Pow(r.After.TotalMinutes - minutes, 2));
        var slope = together / spread;
        return slope >= Standstill ? null : TimeSpan.FromMinutes(minutes + (Gap(wanted) - gap) / slope);
    }

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
            var asFahrenheit = Temperature.FromFahrenheit(core);
            return asFahrenheit.Celsius <= boils.Celsius + 1 && asFahrenheit > WarmKitchen
                ? new("over-boiling:fahrenheit", "core", reading.Core, core, asFahrenheit)
                : new("over-boiling", "core", reading.Core);
        }
        if (core < 0)
            return new("too-cold", "core");
        if (before.Count == 0)
            return null;
        var (last, minutes) = (before[^1], (reading.After - before[^1].After).TotalMinutes);
        if (core < last.Core.Celsius - Slip)
            return new("falling", "core", last.Core);
        return core > last.Core.Celsius + Slip + Fastest * Math.Max(0, minutes)
            ? new("jumping", "core", last.Core, reading.Core, minutes)
            : null;
    }
}
