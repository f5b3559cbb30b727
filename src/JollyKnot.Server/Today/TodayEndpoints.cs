using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Kitchens;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Today;

/// <summary>The day.</summary>
/// <param name="Name">The household's name for itself or its day.</param>
/// <param name="Room">The kitchen's temperature.</param>
/// <param name="Bakes">Bakes that are not over, the one to see to first on top.</param>
public sealed record TodayView(string Name, Temperature Room, ImmutableArray<BenchView> Bakes);

/// <summary>The day over HTTP.</summary>
public static class TodayEndpoints
{
    /// <summary>Maps the day, the clock and health.</summary>
    public static void MapToday(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/clock", (HouseClock clock) => ClockView.Of(clock)).WithName("clock");
        app.MapGet("/api/today", async (BakeBook book, KitchenKeeper keeper, HouseClock clock) =>
        {
            var kitchen = await keeper.Get();
            return new TodayView(kitchen.Name, kitchen.RoomAt(clock.GetUtcNow()), [.. (await book.Open())
                .Select(b => BakeEndpoints.View(b, clock, keeper.Words)).OrderBy(b => b.Beat?.Due ?? DateTimeOffset.MaxValue)]);
        }).WithName("today");
        app.MapPost("/api/today/picture", async Task<Results<Ok<Picture>, NoContent>> (FrameRequest frame, BakeBook book, HouseClock clock) =>
            (await book.Open()).Select(b => BakeEndpoints.Draw(b, clock)).ToImmutableArray() is { Length: > 0 } bakes
                ? TypedResults.Ok(StrandLayout.Of(bakes, frame.ToFrame())) : TypedResults.NoContent()).WithName("todayPicture");
        app.MapGet("/health", async (JollyStore store) => await store.IsReady() ? Results.Ok(new { status = "ready" }) : Results.StatusCode(503)).ExcludeFromDescription();
    }
}
