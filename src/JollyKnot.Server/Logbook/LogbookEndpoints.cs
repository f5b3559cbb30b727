using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Scheduling;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Kitchens;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Logbook;

/// <summary>A past bake in the list.</summary>
public sealed record LogbookLine(
    Guid Id, string Title, string What, BakeStatus Status, DateTimeOffset? FinishedAt, TimeSpan LateBy, bool OnTime, int? Stars, string? Note, int? Spread, ScaleUnitView Scale);

/// <summary>A step, planned and real.</summary>
public sealed record StepRecordView(string Step, string Short, DateTimeOffset? Planned, DateTimeOffset? Actual, StepState State);

/// <summary>A past bake, whole.</summary>
public sealed record LogbookPage(
    Guid Id, string Title, string What, BakeStatus Status, DateTimeOffset? FinishedAt, DateTimeOffset PlannedReady, DateTimeOffset Ready,
    ImmutableArray<StepRecordView> Steps, Mass? Dough, Mass Expected, ImmutableArray<Piece> Parts, ImmutableArray<StationCut> Cuts, ScaleUnitView Scale,
    string Added, int? Stars, string? Note, DoughVersion? Source);

/// <summary>The logbook over HTTP.</summary>
public static class LogbookEndpoints
{
    // A year of bakes on one page.
    private const int Most = 200;

    /// <summary>Maps the logbook.</summary>
    public static void MapLogbook(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/logbook", async (BakeBook book, HouseClock clock) => (await book.Closed(Most)).Select(b => Line(b, clock)).ToImmutableArray()).WithName("logbook");
        app.MapGet("/api/logbook/{id:guid}", async Task<Results<Ok<LogbookPage>, ProblemHttpResult>> (Guid id, BakeBook book, HouseClock clock, KitchenKeeper keeper) =>
            await book.Find(id) is { } bake ? TypedResults.Ok(Page(bake, clock, keeper.Words)) : Problems.Missing("bake")).WithName("logbookPage");
    }

    private static LogbookLine Line(StoredBake bake, HouseClock clock)
    {
        var state = BakeEndpoints.State(bake, clock);
        var (record, late) = (BakeRecord.Of(state), state.Timetable.Ready - bake.Plan.Ready);
        return new(bake.Id, bake.Plan.Spec.Dough.Name, What(bake), record.Status, record.FinishedAt,
            late, late.Duration() <= BakeRecord.OnTimeWithin, record.Stars, record.Note, record.Even.IsEmpty ? null : record.Even.Max(e => e.Evenness.Spread), Words.Scale(bake.Plan.Spec.Step));
    }

    private static LogbookPage Page(StoredBake bake, HouseClock clock, Words words)
    {
        var state = BakeEndpoints.State(bake, clock);
        var (record, spec) = (BakeRecord.Of(state), bake.Plan.Spec);
        return new(
            bake.Id, spec.Dough.Name, What(bake), record.Status, record.FinishedAt, bake.Plan.Ready, state.Timetable.Ready,
            [.. record.Steps.Select(s => new StepRecordView(s.Step.Id, words.Of(s.Step, spec).Short, s.Planned, s.Actual, s.State))],
            record.Dough, record.Expected, record.Parts, StationView.CutsOf(spec, record.Even), Words.Scale(spec.Step), record.Added == Dose.None ? "nothing" : words.Of(record.Added), record.Stars, record.Note, spec.Source);
    }

    private static string What(StoredBake bake) => Words.Bread(bake.Plan.Spec);
}
