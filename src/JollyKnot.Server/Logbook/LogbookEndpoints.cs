using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Larders;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Logbook;

/// <summary>A past bake in the list.</summary>
public sealed record LogbookLine(
    Guid Id,
    string Title,
    string What,
    BakeStatus Status,
    DateTimeOffset? FinishedAt,
    TimeSpan LateBy,
    bool OnTime,
    int? Stars,
    string? Note,
    int? Spread,
    ScaleUnitView Scale
);

/// <summary>A step, planned and real.</summary>
public sealed record StepRecordView(StepId Step, string Short, DateTimeOffset? Planned, DateTimeOffset? Actual, StepState State);

/// <summary>A past bake, whole.</summary>
public sealed record LogbookPage(
    Guid Id,
    string Title,
    string What,
    BakeStatus Status,
    DateTimeOffset? FinishedAt,
    DateTimeOffset PlannedReady,
    DateTimeOffset Ready,
    ImmutableArray<StepRecordView> Steps,
    Mass? Dough,
    Mass Expected,
    ImmutableArray<Piece> Parts,
    ImmutableArray<StationCut> Cuts,
    ScaleUnitView Scale,
    string Added,
    int? Stars,
    string? Note,
    DoughVersion? Source
);

/// <summary>The logbook over HTTP.</summary>
public static class LogbookEndpoints
{
    /// <summary>What the page shows at first.</summary>
    internal const int AtOnce = 50;

    // A year of bakes, where nobody says how many.
    private const int Usual = 200,
        Most = 100_000;

    /// <summary>Maps the logbook.</summary>
    public static void MapLogbook(this Answers app)
    {
        app.MapGet("/api/logbook", Lines).WithName("logbook").WithSummary("Bakes that are over, the latest first.");
        app.MapGet(
                "/api/logbook/{id:guid}",
                async Task<Results<Ok<LogbookPage>, ProblemHttpResult>> (
                    Guid id,
                    BakeBook book,
                    HouseClock clock,
                    KitchenKeeper keeper
                ) => await book.Find(id) is { } bake ? TypedResults.Ok(Page(bake, clock, keeper.Voice)) : Problems.Missing("bake")
            )
            .WithName("logbookPage");
        app.MapGet(
                "/api/logbook/{id:guid}/again",
                async Task<Results<Ok<KeptOpening>, ProblemHttpResult>> (Guid id, BakeBook book, KitchenKeeper keeper) =>
                {
                    if (await book.Find(id) is not { Plan.Spec: var spec })
                        return Problems.Missing("bake");
                    var kitchen = await keeper.Get();
                    var again = Again.Of(spec, FirstChoice.Of(spec.Dough, kitchen), kitchen);
                    return TypedResults.Ok(new KeptOpening(spec.Made.Source?.Id, again, spec.Dough.Name));
                }
            )
            .WithName("again")
            .WithSummary("What was chosen for a past bake, to be chosen again.");
    }

    /// <param name="search">Words, all of which are in a bake's dough, bread, note or day.</param>
    /// <param name="good">Only those that went well.</param>
    /// <param name="take">At most so many.</param>
    private static async Task<ImmutableArray<LogbookLine>> Lines(
        BakeBook book,
        KitchenKeeper keeper,
        string? search,
        bool? good,
        int? take
    )
    {
        var most = Math.Clamp(take ?? Usual, 1, Most);
        await keeper.Get();
        var words = Composed.Folded(search ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var found =
            words.Length == 0 && good is not true
                ? await book.Closed(most)
                : await book.Closed(b => IsMeant(b, words, good is true, keeper.Zone), most);
        return [.. found.Select(Line)];
    }

    private static bool IsMeant(ClosedBake bake, string[] words, bool good, TimeZoneInfo zone) =>
        (!good || bake.End.WentWell) && words.All(Says(bake, zone).Contains);

    // What a search looks through.
    private static string Says(ClosedBake bake, TimeZoneInfo zone)
    {
        var day = bake.End.At is { } at
            ? TimeZoneInfo.ConvertTime(at, zone).ToString("d MMMM yyyy yyyy-MM-dd", CultureInfo.InvariantCulture)
            : "";
        return Composed.Folded($"{bake.Title.Dough} {bake.Title.Bread} {bake.End.Note} {day}");
    }

    private static LogbookLine Line(PastBake past)
    {
        var (title, end, even) = (past.Bake.Title, past.Bake.End, past.Bake.Weights.Even);
        return new(
            past.Id,
            title.Dough,
            title.Bread,
            end.Status,
            end.At,
            end.Late,
            end.OnTime,
            end.Stars,
            end.Note,
            even.IsEmpty ? null : even.Max(e => e.Evenness.Spread),
            Voice.Scale(title.ScaleStep)
        );
    }

    private static LogbookPage Page(StoredBake bake, HouseClock clock, Voice words)
    {
        var (past, spec) = (PastBakes.Of(bake, clock, words), bake.Plan.Spec);
        var (title, end, weights) = (past.Title, past.End, past.Weights);
        return new(
            Id: bake.Id,
            Title: title.Dough,
            What: title.Bread,
            Status: end.Status,
            FinishedAt: end.At,
            PlannedReady: end.PlannedReady,
            Ready: end.Ready,
            Steps:
            [
                .. past
                    .Steps.Where(s => s.Beat)
                    .Select(s => new StepRecordView(s.Step, s.Short, s.Times.Planned, s.Times.Actual, s.State)),
            ],
            Dough: weights.Dough,
            Expected: weights.Expected,
            Parts: weights.Parts,
            Cuts: StationView.CutsOf(spec, weights.Even),
            Scale: Voice.Scale(title.ScaleStep),
            Added: weights.Added == Dose.None ? "nothing" : words.Of(weights.Added),
            Stars: end.Stars,
            Note: end.Note,
            Source: spec.Made.Source
        );
    }
}
