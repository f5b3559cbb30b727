using JollyKnot.Store;

namespace JollyKnot.Server.Clock;

/// <summary>The one clock. At speed 1 it follows the real one; at another speed it runs on from where it was, also while the server is down. It never goes back: put back, the real clock is left behind, and bakes go on by the second; once ahead it stays ahead until the next start.</summary>
public sealed class HouseClock : TimeProvider
{
    private const string Key = "clock";
    private readonly TimeProvider real;
    private readonly DateTimeOffset realThen, houseThen;
    private readonly long then;
    private readonly TimeSpan before;
    private readonly Lock @lock = new();
    // How far the real clock ran ahead of the counter: the machine slept, or its clock was put forward.
    private TimeSpan leapt;

    /// <summary>A clock that stands at a house time now.</summary>
    /// <param name="speed">House seconds per real second; over 0.</param>
    /// <param name="real">The clock on the wall.</param>
    /// <param name="house">The house time now.</param>
    /// <param name="before">How far the clock on the wall had been put back before.</param>
    public HouseClock(double speed, TimeProvider real, DateTimeOffset house, TimeSpan before = default) =>
        (Speed, this.real, realThen, houseThen, then, this.before) = (speed, real, real.GetUtcNow(), house, real.GetTimestamp(), before);

    /// <summary>House seconds per real second; over 0.</summary>
    public double Speed { get; }

    /// <summary>How far the clock on the wall was put back while bakes went on.</summary>
    public TimeSpan PutBack => before + (GetUtcNow() - houseThen) / Speed - (real.GetUtcNow() - realThen);

    /// <inheritdoc/>
    public override DateTimeOffset GetUtcNow()
    {
        lock (@lock)
        {
            var counted = real.GetElapsedTime(then);
            var leap = real.GetUtcNow() - realThen - counted;
            if (leap > leapt) leapt = leap;
            return houseThen + (counted + leapt) * Speed;
        }
    }

    /// <inheritdoc/>
    public override ITimer CreateTimer(TimerCallback callback, object? state, TimeSpan dueTime, TimeSpan period) =>
        real.CreateTimer(callback, state, Real(dueTime), Real(period));

    /// <summary>The clock for this speed, going on from the store's last one, and not before anything that was told.</summary>
    /// <param name="settings">Where the last one is kept.</param>
    /// <param name="speed">House seconds per real second; over 0.</param>
    /// <param name="told">When the last thing was told; null when nothing was.</param>
    public static async Task<HouseClock> Start(Settings settings, double speed, DateTimeOffset? told = null)
    {
        var now = System.GetUtcNow();
        var then = await settings.Get<Anchor>(Key);
        var house = then is null ? now : then.House + (now - then.Real) * then.Speed;
        if (house < now) house = now;
        if (house < told) return new(speed, System, told.Value, told.Value - house);
        if (speed == 1 && house == now) return new(1, System, now);
        var clock = new HouseClock(speed, System, house);
        await settings.Set(Key, new Anchor(now, house, speed));
        return clock;
    }

    private TimeSpan Real(TimeSpan span) => span == Timeout.InfiniteTimeSpan || span == TimeSpan.Zero ? span : span / Speed;

    private sealed record Anchor(DateTimeOffset Real, DateTimeOffset House, double Speed);
}

/// <summary>What a screen needs to run the same clock.</summary>
/// <param name="Now">House time.</param>
/// <param name="Speed">House seconds per real second.</param>
/// <param name="PutBack">How far the clock on the wall was put back; zero while it is not worth a word.</param>
public sealed record ClockView(DateTimeOffset Now, double Speed, TimeSpan PutBack)
{
    // Less than this nobody sees on a clock. Ours.
    private static readonly TimeSpan Unseen = TimeSpan.FromMinutes(1);

    internal static ClockView Of(HouseClock clock) => new(clock.GetUtcNow(), clock.Speed, clock.PutBack < Unseen ? TimeSpan.Zero : clock.PutBack);
}
