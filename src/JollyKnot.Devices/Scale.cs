using JollyKnot.Core.Measures;

namespace JollyKnot.Devices;

/// <summary>What a scale shows.</summary>
/// <param name="Mass">Since the last tare; null on overload, or when the scale says nothing.</param>
/// <param name="Settled">The figure stands still.</param>
public sealed record ScaleReading(Mass? Mass, bool Settled);

/// <summary>A kitchen scale.</summary>
public interface IScale
{
    /// <summary>What it shows now.</summary>
    ScaleReading Read();

    /// <summary>Makes what lies on it the new zero.</summary>
    void Tare();
}

/// <summary>A stand-in that behaves like a kitchen scale: it overshoots, settles, drifts a little, rounds to a tenth of a gram
/// and overloads.</summary>
/// <param name="time">Its clock.</param>
public sealed class SimulatedScale(TimeProvider time) : IScale
{
    // A damped spring: rad/s and damping of a common load cell with its filter.
    private const double Pace = 9,
        Damping = .62;
    private const double DriftGrams = .35,
        DriftPeriod = 97;
    private static readonly Mass Limit = Mass.FromGrams(5000);
    private static readonly TimeSpan Settling = TimeSpan.FromSeconds(1.3);

    private readonly Lock @lock = new();
    private double load,
        shownBefore,
        tare;
    private DateTimeOffset changed = DateTimeOffset.MinValue;

    /// <summary>What really lies on it.</summary>
    public Mass Load
    {
        get
        {
            lock (@lock)
                return Mass.FromGrams(load);
        }
    }

    /// <summary>Puts something on, or takes it off when negative; never less than nothing.</summary>
    public void Put(Mass mass)
    {
        lock (@lock)
        {
            shownBefore = Spring(time.GetUtcNow());
            load = Math.Max(0, load + mass.Grams);
            changed = time.GetUtcNow();
        }
    }

    /// <inheritdoc/>
    public void Tare()
    {
        lock (@lock)
            tare = load;
    }

    /// <inheritdoc/>
    public ScaleReading Read()
    {
        lock (@lock)
        {
            var now = time.GetUtcNow();
            if (load > Limit.Grams)
                return new(null, false);
            var drift =
                DriftGrams * Math.Sin(now.ToUnixTimeMilliseconds() / 1000d / DriftPeriod * 2 * Math.PI) * Math.Min(1, load / 100);
            return new(Mass.FromGrams(Math.Round(Spring(now) - tare + drift, 1)), now - changed >= Settling);
        }
    }

    private double Spring(DateTimeOffset now)
    {
        var seconds = changed == DateTimeOffset.MinValue ? 60 : Math.Min(60, (now - changed).TotalSeconds);
        var ring = Pace * Math.Sqrt(1 - Damping * Damping);
        return load
            + (shownBefore - load)
                * Math.Exp(-Damping * Pace * seconds)
                * (Math.Cos(ring * seconds) + Damping / Math.Sqrt(1 - Damping * Damping) * Math.Sin(ring * seconds));
    }
}
