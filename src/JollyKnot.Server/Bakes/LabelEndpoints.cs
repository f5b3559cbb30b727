using System.Collections.Immutable;
using JollyKnot.Core.Shaping;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Bakes;

/// <summary>A label for one piece.</summary>
/// <param name="Name">The dough.</param>
/// <param name="What">What it became.</param>
/// <param name="Weight">One of it, baked.</param>
/// <param name="Baked">When it came out.</param>
/// <param name="Ingredients">Everything in it, the heaviest first.</param>
/// <param name="Allergens">Those present.</param>
/// <param name="Pieces">How many labels.</param>
/// <param name="Look">How it is drawn.</param>
public sealed record LabelView(
    string Name,
    string What,
    string Weight,
    DateTimeOffset Baked,
    DateTimeOffset? KeepBy,
    bool KeepCold,
    string Ingredients,
    string Allergens,
    int Pieces,
    BreadLook Look
);

/// <summary>Labels over HTTP.</summary>
public static class LabelEndpoints
{
    /// <summary>Maps labels.</summary>
    public static void MapLabels(this Answers app) =>
        app.MapGet(
                "/api/bakes/{id:guid}/labels",
                async Task<Results<Ok<ImmutableArray<LabelView>>, ProblemHttpResult>> (
                    Guid id,
                    BakeBook book,
                    HouseClock clock,
                    KitchenKeeper keeper
                ) =>
                {
                    if (await book.Find(id) is not { } bake)
                        return Problems.Missing("bake");
                    var (state, dough, words) = (BakeEndpoints.State(bake, clock), bake.Plan.Spec.Dough, keeper.Voice);
                    var ingredients = dough
                        .Everything.GroupBy(r => r.Ingredient.Name)
                        .OrderByDescending(g => g.Sum(r => r.Mass.Grams))
                        .Select(g => g.Key);
                    var contents = Voice.Contents(dough);
                    var allergens = contents.Length == 0 ? "" : $"Contains {contents}.";
                    var honey = dough.HasHoney ? " Not for babies under 12 months." : "";
                    return TypedResults.Ok(
                        FinishView
                            .Of(state)
                            .Select(f => new LabelView(
                                dough.Name,
                                f.What,
                                (state.SoFar.Dough is null ? "about " : "") + words.Grams(f.Baked),
                                f.Out,
                                f.KeepBy,
                                f.KeepCold,
                                string.Join(", ", ingredients),
                                allergens + honey,
                                f.Pieces,
                                f.Look
                            ))
                            .ToImmutableArray()
                    );
                }
            )
            .WithName("labels")
            .WithSummary("A label for each kind of bread that is out of the oven.");
}
