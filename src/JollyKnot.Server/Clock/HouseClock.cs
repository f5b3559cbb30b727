using JollyKnot.Store;

namespace JollyKnot.Server.Clock;

/// <summary>The one clock. At speed 1 it is the real one; at another speed it runs on from where it was, also while the server is down. It never goes back: once ahead of the real one it stays ahead.</summary>
public sealed class HouseClock : TimeProvider
{
    private const string Key = "clock";
    private readonly DateTimeOffset realThen, houseThen;

    private HouseClock(double speed, DateTimeOffset realThen, DateTimeOffset houseThen) =>
        (Speed, this.realThen, this.houseThen) = (speed, realThen, houseThen);

    /// <summary>House seconds per real second; over 0.</summary>
    public double Speed { get; }

    /// <inheritdoc/>
    public override DateTimeOffset GetUtcNow() => houseThen + (System.GetUtcNow() - realThen) * Speed;

    /// <inheritdoc/>
    public override ITimer CreateTimer(TimerCallback callback, object? state, TimeSpan dueTime, TimeSpan period) =>
        System.CreateTimer(callback, state, Real(dueTime), Real(period));

    /// <summary>The clock for this speed, going on from the store's last one.</summary>
    public static async Task<HouseClock> Start(Settings settings, double speed)
    {
        var now = System.GetUtcNow();
        var then = await settings.Get<Anchor>(Key);
        var house = then is null ? now : then.House + (now - then.Real) * then.Speed;
        if (house < now) house = now;
        if (speed == 1 && house == now) return new(1, now, now);
        var clock = new HouseClock(speed, now, house);
        await settings.Set(Key, new Anchor(now, house, speed));
        return clock;
    }

    private TimeSpan Real(TimeSpan span) => span == Timeout.InfiniteTimeSpan || span == TimeSpan.Zero ? span : span / Speed;

    private sealed record Anchor(DateTimeOffset Real, DateTimeOffset House, double Speed);
}

/// <summary>What a screen needs to run the same clock.</summary>
/// <param name="Now">House time.</param>
/// <param name="Speed">House seconds per real second.</param>
public sealed record ClockView(DateTimeOffset Now, double Speed);
