using JollyKnot.Store;

namespace JollyKnot.Server.Clock;

/// <summary>
/// The one clock. A household's follows the clock on the wall; at another speed, or in the demo, it runs on from where it was,
/// also while the server is down. It never goes back: put back, the wall's clock is left behind, and bakes go on by the second;
/// once ahead it stays ahead until the next start.
/// </summary>
public sealed class HouseClock : TimeProvider
{
    /// <summary>Under this name the clock on the wall is registered: the real one, or one that tests set.</summary>
    public const string Wall = "wall";

    /// <summary>What it goes on from.</summary>
    internal static readonly DocumentKind<Anchor> Kept = new("clock");

    private readonly TimeProvider real;
    private readonly DateTimeOffset realThen,
        houseThen;
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
    public HouseClock(double speed, TimeProvider real, DateTimeOffset house, TimeSpan before = default)
    {
        Speed = speed;
        this.real = real;
        realThen = real.GetUtcNow();
        houseThen = house;
        then = real.GetTimestamp();
        this.before = before;
    }

    /// <summary>House seconds per real second; over 0.</summary>
    public double Speed { get; }

    /// <summary>House seconds per second of a screen's own counter: none where the clock on the wall is one that is
    /// set.</summary>
    public double OnScreens => real == System ? Speed : 0;

    /// <summary>How far the clock on the wall was put back while bakes went on.</summary>
    public TimeSpan PutBack => before + (GetUtcNow() - houseThen) / Speed - (real.GetUtcNow() - realThen);

    /// <inheritdoc/>
    public override DateTimeOffset GetUtcNow()
    {
        lock (@lock)
        {
            // The wall first: what passes between the two readings is no leap.
            var onWall = real.GetUtcNow() - realThen;
            var counted = real.GetElapsedTime(then);
            if (onWall - counted > leapt)
                leapt = onWall - counted;
            return houseThen + (counted + leapt) * Speed;
        }
    }

    /// <inheritdoc/>
    public override ITimer CreateTimer(TimerCallback callback, object? state, TimeSpan dueTime, TimeSpan period) =>
        real.CreateTimer(callback, state, Real(dueTime), Real(period));

    /// <summary>A household's clock: the wall's, going on from the store's last one at a speed, and not before anything that was
    /// told.</summary>
    /// <param name="settings">Where the last one is kept.</param>
    /// <param name="wall">The clock on the wall.</param>
    /// <param name="speed">House seconds per real second; over 0.</param>
    /// <param name="told">When the last thing was told; null when nothing was.</param>
    public static async Task<HouseClock> Household(Settings settings, TimeProvider wall, double speed, DateTimeOffset? told)
    {
        var now = wall.GetUtcNow();
        var house = Later(await GoneOn(settings, now), now);
        if (house < told)
            return new(speed, wall, told.Value, told.Value - house);
        if (speed == 1 && house == now)
            return new(1, wall, now);
        return await From(settings, wall, speed, house);
    }

    /// <summary>The demo's clock: it begins where it is told to, or runs on from where it was, whatever the wall says.</summary>
    /// <param name="settings">Where the last one is kept.</param>
    /// <param name="wall">The clock on the wall.</param>
    /// <param name="speed">House seconds per real second; over 0.</param>
    /// <param name="told">When the last thing was told; null when nothing was.</param>
    /// <param name="begins">When it begins; null when it goes on.</param>
    public static async Task<HouseClock> Demo(
        Settings settings,
        TimeProvider wall,
        double speed,
        DateTimeOffset? told,
        DateTimeOffset? begins
    )
    {
        var now = wall.GetUtcNow();
        return await From(settings, wall, speed, begins ?? Later(told, await GoneOn(settings, now) ?? now));
    }

    // Where the last clock stands by now; null when there was none.
    private static async Task<DateTimeOffset?> GoneOn(Settings settings, DateTimeOffset now) =>
        await settings.Get(Kept) is { } then ? then.House + (now - then.Real) * then.Speed : null;

    private static async Task<HouseClock> From(Settings settings, TimeProvider wall, double speed, DateTimeOffset house)
    {
        await settings.Set(Kept, new Anchor(wall.GetUtcNow(), house, speed));
        return new(speed, wall, house);
    }

    private static DateTimeOffset Later(DateTimeOffset? one, DateTimeOffset other) => one > other ? one.Value : other;

    private TimeSpan Real(TimeSpan span) => span == Timeout.InfiniteTimeSpan || span == TimeSpan.Zero ? span : span / Speed;

    /// <summary>Where the clock stood.</summary>
    internal sealed record Anchor(DateTimeOffset Real, DateTimeOffset House, double Speed);
}

/// <summary>What a screen needs to run the same clock.</summary>
/// <param name="Now">House time.</param>
/// <param name="Speed">House seconds per second of the screen's own; 0 when it stands until it is set.</param>
/// <param name="PutBack">How far the clock on the wall was put back; zero while it is not worth a word.</param>
public sealed record ClockView(DateTimeOffset Now, double Speed, TimeSpan PutBack)
{
    // Less than this nobody sees on a clock. Ours.
    private static readonly TimeSpan Unseen = TimeSpan.FromMinutes(1);

    internal static ClockView Of(HouseClock clock) =>
        new(clock.GetUtcNow(), clock.OnScreens, clock.PutBack < Unseen ? TimeSpan.Zero : clock.PutBack);
}
