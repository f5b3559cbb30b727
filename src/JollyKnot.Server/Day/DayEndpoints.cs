using JollyKnot.Server.Bakes;

using JollyKnot.Server.Guard;
using Microsoft.AspNetCore.Http.HttpResults;

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
        app.MapPost("/api/day/fix", async Task<Results<Ok<DayView>, ProblemHttpResult>> (FixLine line, DayBoard board) =>
            await board.Fix(line) ? TypedResults.Ok(await board.Look(null)) : Problems.Conflict(new("gone", "", "The day has changed since; look at what is offered now."))).WithName("fixDay").WithSummary("Makes one of the changes offered, and lays the day out around it.");
        app.MapGet("/api/day.ics", async (DayBoard board) => Results.Text(DayCalendar.Of(await board.Look(null)), "text/calendar; charset=utf-8")).WithName("dayCalendar").WithSummary("The day as a calendar with alarms, to be subscribed to.");
    }
}
