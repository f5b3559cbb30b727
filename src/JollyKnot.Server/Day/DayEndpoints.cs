using System.Collections.Immutable;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Larders;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Day;

/// <summary>What became of laying the day out.</summary>
/// <param name="Moved">Bakes that moved.</param>
public sealed record ArrangeAnswer(int Moved);

/// <summary>The live calendar.</summary>
/// <param name="Address">For others in the house; null while the house network is shut.</param>
public sealed record CalendarView(string? Address);

/// <summary>What of the day is wanted.</summary>
/// <param name="Frame">The pictures' room; no pictures without.</param>
/// <param name="Changes">What the baker would change, one after the other.</param>
public sealed record DayRequest(FrameRequest? Frame = null, ImmutableArray<ChangeLine>? Changes = null);

/// <summary>How the day is laid out anew.</summary>
/// <param name="Changes">What the baker changes, one after the other.</param>
public sealed record ArrangeRequest(ImmutableArray<ChangeLine>? Changes = null);

/// <summary>The day over HTTP.</summary>
public static class DayEndpoints
{
    private static ImmutableArray<ChangeLine> Told(ImmutableArray<ChangeLine>? changes) =>
        changes is { IsDefault: false } some ? some : [];

    /// <summary>Maps the day.</summary>
    public static void MapDay(this Answers app)
    {
        app.MapPost(
                "/api/day",
                async Task<Results<Ok<DayView>, ProblemHttpResult>> (DayRequest request, DayBoard board) =>
                    await board.Look(request.Frame?.ToFrame(await board.Closed()), Told(request.Changes)) is var seen
                    && seen.Has(out var day)
                        ? TypedResults.Ok(day)
                        : Problems.Bad(seen.Problems)
            )
            .WithName("day")
            .WithSummary(
                "Every open bake together: what is wrong, a better day or the day with these changes, hands and ovens. "
                    + "Nothing is kept."
            );
        app.MapPost(
                "/api/day/arrange",
                async Task<Results<Ok<ArrangeAnswer>, ProblemHttpResult>> (ArrangeRequest request, DayBoard board) =>
                    await board.Arrange(Told(request.Changes)) is var done && done.Has(out var moved)
                        ? TypedResults.Ok(new ArrangeAnswer(moved))
                        : Problems.Bad(done.Problems)
            )
            .WithName("arrangeDay")
            .WithSummary("Changes the day so, and holds every bake to the best day that can be found.");
        app.MapPost(
                "/api/day/undo",
                async Task<Results<NoContent, ProblemHttpResult>> (DayBoard board) =>
                    await board.Undo() ? TypedResults.NoContent() : Problems.Conflict(new("nothing-to-undo:day", ""))
            )
            .WithName("undoDay")
            .WithSummary("Back to the day before it was last laid out anew.");
        app.MapGet(
                "/api/day.ics",
                async (DayBoard board, LarderKeeper larder, BakeBook book, KitchenKeeper kitchens) =>
                    Results.Text(
                        DayCalendar.Of((await board.Look(null, [])).Value, await LarderEndpoints.All(larder, book, kitchens)),
                        "text/calendar; charset=utf-8"
                    )
            )
            .WithName("dayCalendar")
            .WithSummary("The day as a calendar with alarms, to be subscribed to.");
        app.MapGet("/api/day/calendar", (HouseNetwork house) => new CalendarView(house.CalendarAddress()))
            .WithName("calendarAddress")
            .WithSummary("Where others in the house subscribe to the day.");
    }
}
