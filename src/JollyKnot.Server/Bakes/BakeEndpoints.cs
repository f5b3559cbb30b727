using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Larders;
using JollyKnot.Server.Logbook;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Bakes;

/// <summary>Something told about a bake.</summary>
/// <param name="Id">Made by the screen; a repeat changes nothing.</param>
/// <param name="BasedOn">The log position the screen saw.</param>
/// <param name="Event">What happened.</param>
public sealed record TellRequest(Guid Id, int BasedOn, BakeEvent Event);

/// <summary>What became of it.</summary>
/// <param name="Position">Where it stands in the log.</param>
/// <param name="Again">It had been told before.</param>
/// <param name="Bench">The bake as it is now.</param>
public sealed record TellAnswer(int Position, bool Again, BenchView Bench);

/// <summary>An entry of a log as told.</summary>
public sealed record LogLine(int Position, DateTimeOffset At, string Text, bool Stands, BakeEvent Event);

/// <summary>Bakes over HTTP.</summary>
public static class BakeEndpoints
{
    /// <summary>Maps bakes and their events.</summary>
    public static void MapBakes(this Answers app)
    {
        app.MapGet(
                "/api/bakes/{id:guid}",
                async Task<Results<Ok<BenchView>, ProblemHttpResult>> (
                    Guid id,
                    string? step,
                    BakeBook book,
                    HouseClock clock,
                    KitchenKeeper keeper,
                    DoseMemories memories,
                    SetAside aside
                ) =>
                {
                    if (await book.Find(id) is not { } bake)
                        return Problems.Missing("bake", id, aside);
                    var state = State(bake, clock);
                    return TypedResults.Ok(
                        BenchView.Of(
                            bake,
                            state,
                            keeper.Voice,
                            step is null ? default(StepId?) : StepId.Parse(step),
                            state.Now?.Step.Rule.Panel == Panel.Doses ? await memories.For(bake.Plan.Spec) : null
                        )
                    );
                }
            )
            .WithName("bench")
            .WithSummary("A bake at the bench; with a step, that step instead of the one that is due.");
        app.MapPost("/api/bakes/{id:guid}/events", Tell).WithName("tell");
        app.MapGet(
                "/api/bakes/{id:guid}/log",
                async Task<Results<Ok<ImmutableArray<LogLine>>, ProblemHttpResult>> (
                    Guid id,
                    BakeBook book,
                    HouseClock clock,
                    KitchenKeeper keeper
                ) =>
                    await book.Find(id) is { } bake ? TypedResults.Ok(Lines(bake, clock, keeper.Voice)) : Problems.Missing("bake")
            )
            .WithName("log");
        app.MapGet(
                "/api/bakes/{id:guid}/slices",
                async Task<Results<Ok<Slicing>, ProblemHttpResult>> (
                    Guid id,
                    int cut,
                    int count,
                    BakeBook book,
                    HouseClock clock
                ) =>
                {
                    if (count is < 1 or > Slicing.Most)
                        return Problems.Bad(new Problem("out-of-range:between", "count", 1, Slicing.Most));
                    if (await book.Find(id) is not { } bake)
                        return Problems.Missing("bake");
                    return FinishView.Sliced(State(bake, clock), cut, count) is { } sliced
                        ? TypedResults.Ok(sliced)
                        : Problems.Bad(new Problem("unknown:answer", "cut"));
                }
            )
            .WithName("slices")
            .WithSummary("A loaf in so many even slices: where to cut, and which cut first.");
        app.MapPost(
                "/api/bakes/{id:guid}/picture",
                async Task<Results<Ok<Picture>, ProblemHttpResult>> (
                    Guid id,
                    FrameRequest frame,
                    BakeBook book,
                    HouseClock clock
                ) =>
                    await book.Find(id) is { } bake
                        ? TypedResults.Ok(StrandLayout.Of([Draw(bake, clock)], frame.ToFrame()))
                        : Problems.Missing("bake")
            )
            .WithName("bakePicture");
    }

    internal static BakeState State(StoredBake bake, HouseClock clock) => BakeState.Of(bake.Plan, bake.Log, clock.GetUtcNow());

    internal static BenchView View(StoredBake bake, HouseClock clock, Voice words) =>
        BenchView.Of(bake, State(bake, clock), words);

    internal static Drawn Draw(StoredBake bake, HouseClock clock)
    {
        if (bake.Closed is { } closed)
            return PastBakes.Draw(bake, closed);
        var state = State(bake, clock);
        return new(bake.Plan.Spec, state.Chain.Batches, state.Timetable, state.SoFar.DoughOf(bake.Plan.Spec));
    }

    private static async Task<Results<Ok<TellAnswer>, ProblemHttpResult>> Tell(
        Guid id,
        TellRequest request,
        BakeBook book,
        HouseClock clock,
        KitchenKeeper keeper,
        LarderKeeper larder
    )
    {
        if (request.Id == Guid.Empty)
            return Problems.Bad(new Problem("empty:id", "id"));
        return await book.Tell(id, request.Id, request.BasedOn, request.Event, clock.GetUtcNow()) switch
        {
            Told.Kept kept => TypedResults.Ok(
                new TellAnswer(kept.Position, kept.Again, await Told((await book.Find(id))!, clock, keeper.Voice, larder))
            ),
            Told.Conflict conflict => Problems.Conflict(new Problem("conflict", "basedOn"), conflict.Position),
            Told.Refused { Problem.Type: "already-done" or "bake-over" or "nothing-to-undo" } refused => Problems.Conflict(
                At(refused.Problem)
            ),
            Told.Refused refused => Problems.Bad(At(refused.Problem)),
            _ => Problems.Missing("bake"),
        };

        static Problem At(Problem problem) =>
            problem.Field is "" or "id" ? problem : problem with { Field = "event." + problem.Field };
    }

    // What it puts into the cold stands on the first screen from then on.
    private static async Task<BenchView> Told(StoredBake bake, HouseClock clock, Voice words, LarderKeeper larder)
    {
        if (bake.Plan.Spec.Cuts.Any(c => !c.IsBaked))
            await larder.Change(l => l.Seen(bake.Id, State(bake, clock)));
        return View(bake, clock, words);
    }

    private static ImmutableArray<LogLine> Lines(StoredBake bake, HouseClock clock, Voice words)
    {
        var state = State(bake, clock);
        var standing = bake.Log.Standing().Select(e => e.Position).ToHashSet();
        return
        [
            .. bake.Log.Entries.Select(e => new LogLine(
                e.Position,
                e.At,
                words.Told(e.Event, state),
                standing.Contains(e.Position),
                e.Event
            )),
        ];
    }
}
