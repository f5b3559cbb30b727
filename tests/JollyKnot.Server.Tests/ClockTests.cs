using JollyKnot.Server.Clock;

namespace JollyKnot.Server.Tests;

/// <summary>The one clock, whatever happens to the one on the wall.</summary>
public sealed class ClockTests
{
    private static readonly DateTimeOffset Noon = new(2026, 11, 28, 12, 0, 0, TimeSpan.Zero);

    [Fact]
    public void Put_back_it_goes_on_by_the_second_and_says_so()
    {
        var wall = new Wall();
        var clock = new HouseClock(1, wall, Noon);
        wall.Pass(TimeSpan.FromMinutes(10));
        (clock.GetUtcNow(), clock.PutBack).ShouldBe((Noon.AddMinutes(10), TimeSpan.Zero));
        wall.Put(Noon.AddMinutes(-50));
        (clock.GetUtcNow(), clock.PutBack).ShouldBe((Noon.AddMinutes(10), TimeSpan.FromHours(1)));
        wall.Pass(TimeSpan.FromSeconds(1));
        clock.GetUtcNow().ShouldBe(Noon.AddMinutes(10).AddSeconds(1));
    }

    [Fact]
    public void Asleep_or_put_forward_it_follows_the_wall()
    {
        var wall = new Wall();
        var clock = new HouseClock(1, wall, Noon);
        wall.Put(Noon.AddHours(2));
        (clock.GetUtcNow(), clock.PutBack).ShouldBe((Noon.AddHours(2), TimeSpan.Zero));
        // Forward by mistake and back again: what was told in between stays in the past.
        wall.Put(Noon);
        (clock.GetUtcNow(), clock.PutBack).ShouldBe((Noon.AddHours(2), TimeSpan.FromHours(2)));
    }

    [Fact]
    public void At_speed_it_runs_from_where_it_stood()
    {
        var wall = new Wall();
        var clock = new HouseClock(60, wall, Noon.AddDays(1));
        wall.Pass(TimeSpan.FromMinutes(1));
        (clock.GetUtcNow(), clock.PutBack).ShouldBe((Noon.AddDays(1).AddHours(1), TimeSpan.Zero));
    }

    [Fact]
    public void Held_up_between_two_readings_it_does_not_run_ahead()
    {
        var wall = new Wall();
        var clock = new HouseClock(1, wall, Noon);
        wall.HeldUp = TimeSpan.FromMinutes(20);
        for (var i = 0; i < 5; i++)
            clock.GetUtcNow().ShouldBeLessThanOrEqualTo(wall.GetUtcNow());
    }

    // A wall clock that can be put anywhere while its counter goes on.
    private sealed class Wall : TimeProvider
    {
        private DateTimeOffset shows = Noon;
        private TimeSpan counted;

        // So long passes after each reading.
        public TimeSpan HeldUp { get; set; }

        public void Pass(TimeSpan span) => (shows, counted) = (shows + span, counted + span);

        public void Put(DateTimeOffset to) => shows = to;

        public override DateTimeOffset GetUtcNow() => Read(shows);

        public override long GetTimestamp() => Read(counted).Ticks;

        private T Read<T>(T shown)
        {
            Pass(HeldUp);
            return shown;
        }

        public override long TimestampFrequency => TimeSpan.TicksPerSecond;
    }
}
