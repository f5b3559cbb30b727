// The first questions over HTTP: what there is to choose from, and the kitchen as answered.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Kitchens;

/// <summary>The first questions.</summary>
/// <param name="Cycles">Dough cycles.</param>
/// <param name="Tops">Tops of dials.</param>
/// <param name="Tins">Trays and tins.</param>
/// <param name="Days">When people are up.</param>
/// <param name="UsualDay">When somebody is up as long as nobody said.</param>
/// <param name="Kitchen">As it is so far.</param>
public sealed record FirstQuestionsView(
    ImmutableArray<TimeSpan> Cycles,
    ImmutableArray<Temperature> Tops,
    ImmutableArray<Tin> Tins,
    ImmutableArray<OpenHours> Days,
    OpenHours UsualDay,
    Kitchen Kitchen
)
{
    internal static FirstQuestionsView Of(Kitchen kitchen)
    {
        var units = kitchen.Units ?? HouseholdUnits.Plain;
        return new(
            FirstAnswers.Cycles,
            FirstAnswers.Tops(units),
            FirstAnswers.UsualTins(units),
            FirstAnswers.Days,
            UsualKitchen.At(kitchen.Room).Awake,
            kitchen
        );
    }
}

/// <summary>The first questions over HTTP.</summary>
public static class FirstQuestionsEndpoints
{
    /// <summary>Maps the first questions.</summary>
    public static void MapFirstQuestions(this Answers app)
    {
        app.MapGet("/api/kitchen/first", async (KitchenKeeper keeper) => FirstQuestionsView.Of(await keeper.Get()))
            .WithName("firstQuestions");
        app.MapPost("/api/kitchen/first", Answer)
            .WithName("answerFirstQuestion")
            .WithSummary("Writes what was answered into the kitchen; all else stays as it is.");
    }

    private static async Task<Results<Ok<FirstQuestionsView>, ProblemHttpResult>> Answer(
        FirstAnswers answers,
        KitchenKeeper keeper,
        HouseClock clock
    )
    {
        if (answers.Check() is { Length: > 0 } wrong)
            return Problems.Bad(wrong);
        if (await keeper.Change(answers.In, k => KitchenCheck.Of(k, clock.GetUtcNow())) is { Length: > 0 } problems)
            return Problems.Bad(problems);
        return TypedResults.Ok(FirstQuestionsView.Of(await keeper.Get()));
    }
}
