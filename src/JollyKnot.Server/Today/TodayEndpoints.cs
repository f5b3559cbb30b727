using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Today;

/// <summary>What comes next in one of the bakes.</summary>
public sealed record NextLine(Guid Bake, string Title, StepId Step, string Text, DateTimeOffset At);

/// <summary>The day.</summary>
/// <param name="Name">The household's name for itself or its day.</param>
/// <param name="Room">The kitchen's temperature.</param>
/// <param name="Bakes">Bakes that are not over, the one that hands are wanted for on top.</param>
/// <param name="Next">What comes next in all of them.</param>
/// <param name="SetAside">What is kept but cannot be read by this version.</param>
/// <param name="Lost">What is missing at the end of the book; null where it is whole.</param>
public sealed record TodayView(
    string Name,
    Temperature Room,
    ImmutableArray<BenchView> Bakes,
    ImmutableArray<NextLine> Next,
    ImmutableArray<UnreadView> SetAside,
    Lost? Lost
);

/// <summary>Something kept that this version cannot read.</summary>
/// <param name="Kind">What sort of document.</param>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called, as far as that can be told.</param>
/// <param name="Reason">Why it cannot be read.</param>
public sealed record UnreadView(string Kind, string Id, string Name, string Reason)
{
    internal static UnreadView Of(Unread unread) =>
        new(unread.Kind, unread.Id, unread.Name, ProblemWords.OfHousehold.Of(unread.Why));
}

/// <summary>The day over HTTP.</summary>
public static class TodayEndpoints
{
    // So much at once can be kept in mind. Ours.
    private const int Announced = 3;

    /// <summary>Maps the day, the clock and health.</summary>
    public static void MapToday(this Answers app)
    {
        app.MapGet("/api/clock", (HouseClock clock) => ClockView.Of(clock)).WithName("clock");
        app.MapGet(
                "/api/today",
                async (BakeBook book, KitchenKeeper keeper, HouseClock clock, SetAside aside, HowFar howFar) =>
                {
                    var (kitchen, bakes) = (await keeper.Get(), await book.Open());
                    var away = kitchen.Closed(clock.GetUtcNow(), keeper.Zone).IsAway(clock.GetUtcNow());
                    var states = bakes.Select(b => BakeEndpoints.State(b, clock)).ToImmutableArray();
                    var atHand = DayBench.AtHand(states) is { } first ? bakes[first].Id : Guid.Empty;
                    return new TodayView(
                        kitchen.Name,
                        kitchen.RoomAt(clock.GetUtcNow()),
                        [
                            .. bakes
                                .Zip(states, (bake, state) => BenchView.Of(bake, state, keeper.Voice, away: away))
                                .OrderBy(b => b.Id != atHand)
                                .ThenBy(b => b.Beat?.Due ?? DateTimeOffset.MaxValue),
                        ],
                        [
                            .. DayBench
                                .Next(states, Announced)
                                .Select(n =>
                                    states[n.Bake].Plan.Spec is var spec
                                        ? new NextLine(
                                            bakes[n.Bake].Id,
                                            spec.Dough.Name,
                                            n.Slot.Step.Id,
                                            keeper.Voice.Of(n.Slot.Step, spec).Short,
                                            n.Slot.Start
                                        )
                                        : null!
                                ),
                        ],
                        [.. aside.All.Select(UnreadView.Of)],
                        howFar.Lost
                    );
                }
            )
            .WithName("today");
        app.MapPost(
                "/api/today/picture",
                async Task<Results<Ok<Picture>, NoContent>> (
                    FrameRequest frame,
                    BakeBook book,
                    KitchenKeeper keeper,
                    HouseClock clock
                ) =>
                    (await book.Open()).Select(b => BakeEndpoints.Draw(b, clock)).ToImmutableArray() is { Length: > 0 } bakes
                        ? TypedResults.Ok(
                            StrandLayout.Of(bakes, frame.ToFrame((await keeper.Get()).Closed(clock.GetUtcNow(), keeper.Zone)))
                        )
                        : TypedResults.NoContent()
            )
            .WithName("todayPicture");
        app.MapGet("/health", Health).ExcludeFromDescription();
    }

    private static async Task<IResult> Health(JollyStore store, Folder folder)
    {
        if (!await store.IsReady())
            return TypedResults.StatusCode(StatusCodes.Status503ServiceUnavailable);
        return folder.IsWritable()
            ? TypedResults.Ok(new { status = "ready" })
            : TypedResults.Json(new { status = "no-room" }, statusCode: StatusCodes.Status503ServiceUnavailable);
    }
}
