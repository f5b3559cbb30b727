using JollyKnot.Server.Bakes;

namespace JollyKnot.Server.Day;

/// <summary>What became of laying the day out.</summary>
/// <param name="Moved">Bakes that moved.</param>
public sealed record ArrangeAnswer(int Moved);

/// <summary>The day over HTTP.</summary>
public static class DayEndpoints
{
    /// <summary>Maps the day.</summary>
    public static void MapDay(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/day", async (FrameRequest frame, DayBoard board) => await board.Look(frame.ToFrame())).WithName("day").WithSummary("Every open bake together: what is wrong, a better day, hands and ovens.");
        app.MapPost("/api/day/arrange", async (DayBoard board) => new ArrangeAnswer(await board.Arrange())).WithName("arrangeDay").WithSummary("Holds every bake to the better day.");
        app.MapGet("/api/day.ics", async (DayBoard board) => Results.Text(DayCalendar.Of(await board.Look(null)), "text/calendar; charset=utf-8")).WithName("dayCalendar").WithSummary("The day as a calendar with alarms, to be subscribed to.");
    }
}
