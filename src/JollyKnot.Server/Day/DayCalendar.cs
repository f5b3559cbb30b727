using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using JollyKnot.Server.Larders;

namespace JollyKnot.Server.Day;

/// <summary>The day as iCalendar (RFC 5545): one entry for everything the hands do, with an alarm.</summary>
public static class DayCalendar
{
    private static readonly TimeSpan Shortest = TimeSpan.FromMinutes(1);

    /// <summary>The calendar's text.</summary>
    /// <param name="day">The day.</param>
    /// <param name="kept">What is kept cold, with what is to be done with it.</param>
    public static string Of(DayView day, IEnumerable<KeptView> kept)
    {
        ArgumentNullException.ThrowIfNull(day);
        ArgumentNullException.ThrowIfNull(kept);
        var calendar = new Calendar { ProductId = "-//Jolly Knot//EN" };
        calendar.AddProperty("X-WR-CALNAME", "Jolly Knot");
        calendar.AddProperty("REFRESH-INTERVAL;VALUE=DURATION", "PT5M");
        foreach (var line in day.Hands)
        {
            var length = line.Length < Shortest ? Shortest : line.Length;
            // The same step keeps its entry when it moves.
            var entry = Entry($"{line.Bake:N}-{line.Step}", line.Text, line.Title, line.At, length);
            entry.Description = line.Detail;
            if (!line.Quiet)
                entry.Alarms.Add(Before(line.Text));
            calendar.Events.Add(entry);
        }
        foreach (var thing in kept)
            for (var i = 1; i <= thing.Steps.Length; i++)
            {
                // Counted from the end: what is over leaves the others their names.
                var step = thing.Steps[^i];
                var entry = Entry($"{thing.Bake:N}-{thing.Cut}-kept-{i}", step.Say, thing.Name, step.At, Shortest);
                entry.Alarms.Add(Before(step.Say));
                calendar.Events.Add(entry);
            }
        return new CalendarSerializer().SerializeToString(calendar)!;
    }

    private static CalendarEvent Entry(string name, string text, string title, DateTimeOffset at, TimeSpan length) =>
        new()
        {
            Uid = $"{name}@jolly-knot",
            Summary = $"{text} · {title}",
            Start = new CalDateTime(at.UtcDateTime, "UTC"),
            End = new CalDateTime((at + length).UtcDateTime, "UTC"),
        };

    private static Alarm Before(string text) =>
        new()
        {
            Action = AlarmAction.Display,
            Description = text,
            Trigger = new Trigger(Duration.FromMinutes(-2)),
        };
}
