// Hours that come again every day: when somebody is up, when machines may run.
using System.Collections.Immutable;

namespace JollyKnot.Core.Plans;

/// <summary>Hours of every day, by the clock on the wall.</summary>
/// <param name="From">Since midnight.</param>
/// <param name="To">Since midnight; before <paramref name="From"/> when it is past midnight.</param>
public sealed record OpenHours(TimeSpan From, TimeSpan To)
{
    private static readonly TimeSpan Day = TimeSpan.FromDays(1);

    /// <summary>Whether these are times of a day, and leave some open.</summary>
    public bool IsDay => From >= TimeSpan.Zero && To >= TimeSpan.Zero && From < Day && To <= Day && From != To;

    /// <summary>The hours between, from a day before to so many days ahead. A night when the clocks change is as long as it
    /// is.</summary>
    /// <param name="now">The time now.</param>
    /// <param name="zone">The household's time zone.</param>
    /// <param name="days">Ahead; 1 or more.</param>
    public ImmutableArray<TimeBand> Shut(DateTimeOffset now, TimeZoneInfo zone, int days)
    {
        ArgumentNullException.ThrowIfNull(zone);
        var today = TimeZoneInfo.ConvertTime(now, zone).Date;
        DateTimeOffset At(DateTime day, TimeSpan clock)
        {
            var local = day + clock;
            // An hour that the clocks skip is the one after it.
            if (zone.IsInvalidTime(local))
                local += TimeSpan.FromHours(1);
            return new(local, zone.GetUtcOffset(local));
        }
        var up = From < To;
        // What is shut only in the hour that the clocks skip is not shut that night.
        return
        [
            .. Enumerable
                .Range(-1, days + 2)
                .Select(d => today.AddDays(d))
                .Select(d => new TimeBand(At(d, To), At(up ? d.AddDays(1) : d, From)))
                .Where(b => b.From < b.To),
        ];
    }
}
