using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace JollyKnot.Server.Day;

/// <summary>The day as iCalendar (RFC 5545): one entry for everything the hands do, with an alarm.</summary>
public static class DayCalendar
{
    private static readonly TimeSpan Shortest = TimeSpan.FromMinutes(1);

    /// <summary>The calendar's text.</summary>
    public static string Of(DayView day)
    {
        ArgumentNullException.ThrowIfNull(day);
        var calendar = new Calendar { ProductId = "-//Jolly Knot//EN" };
        calendar.AddProperty("X-WR-CALNAME", "Jolly Knot");
        calendar.AddProperty("REFRESH-INTERVAL;VALUE=DURATION", "PT5M");
        foreach (var line in day.Hands)
        {
            var length = line.Length < Shortest ? Shortest : line.Length;
            var entry = new CalendarEvent
            {
                // The same step keeps its entry when it moves.
                Uid = $"{line.Bake:N}-{line.Step}@jolly-knot",
                Summary = $"{line.Text} · {line.Title}",
                Description = line.Detail,
                Start = new CalDateTime(line.At.UtcDateTime, "UTC"),
                End = new CalDateTime((line.At + length).UtcDateTime, "UTC"),
            };
            if (!line.Quiet)
                entry.Alarms.Add(
                    new Alarm
                    {
                        Action = AlarmAction.Display,
                        Description = line.Text,
                        Trigger = new Trigger(Duration.FromMinutes(-2)),
                    }
                );
            calendar.Events.Add(entry);
        }
        return new CalendarSerializer().SerializeToString(calendar)!;
    }
}
