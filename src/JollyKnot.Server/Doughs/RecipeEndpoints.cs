using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Pantry;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Pantry;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Doughs;

/// <summary>A recipe as pasted, or a file's content.</summary>
/// <param name="Text">The text.</param>
/// <param name="Language">Two letters; guessed when null.</param>
/// <param name="Which">Which of several recipes in a page; 0 for the first.</param>
public sealed record RecipeToRead(string Text, string? Language = null, int? Which = null);

/// <summary>A recipe as understood; nothing is kept.</summary>
/// <param name="Exact">The very dough, when this house wrote the recipe: then nothing needs asking.</param>
/// <param name="Understood">Things with name and grams.</param>
/// <param name="Asked">Things with something still to be told, and headings that say nothing.</param>
/// <param name="OwnOrder">It wants its rows put in as they stand.</param>
/// <param name="Language">What it was read in.</param>
/// <param name="Names">What the recipes of a page are called, where there are several; empty else.</param>
/// <param name="Plan">What it says of pieces, heat and minutes; null when it says nothing.</param>
public sealed record RecipeView(
    string Title,
    ImmutableArray<ReadSection> Sections,
    bool ByHand,
    bool OwnOrder,
    string LeftOver,
    DoughDraft? Exact,
    int Understood,
    int Asked,
    string Language,
    ImmutableArray<string> Names,
    RecipePlan? Plan
);

/// <summary>Reading recipes over HTTP.</summary>
public static class RecipeEndpoints
{
    /// <summary>Maps reading.</summary>
    public static void MapRecipes(this Answers app) =>
        app.MapPost("/api/recipes/read", Read)
            .WithName("readRecipe")
            .WithSummary("Reads a recipe: text, Markdown, JSON-LD, or a page that holds it.");

    private static async Task<Results<Ok<RecipeView>, ProblemHttpResult>> Read(RecipeToRead recipe, PantryKeeper pantries)
    {
        var pantry = await pantries.Get();
        var language = RecipeLanguage.Of(recipe.Language);
        if (RecipeJsonLd.Recognises(recipe.Text))
        {
            var found = RecipeJsonLd.Read(recipe.Text, pantry, language, recipe.Which ?? 0);
            return found.Has(out var one)
                ? TypedResults.Ok(View(one.Recipe, one.Exact?.ToDraft(), one.Names))
                : Problems.Bad(found.Problems);
        }
        var read = RecipeText.Read(recipe.Text, pantry, language);
        return read.IsOk ? TypedResults.Ok(View(read.Value, null, [])) : Problems.Bad(read.Problems);
    }

    private static RecipeView View(ReadRecipe read, DoughDraft? exact, ImmutableArray<string> names)
    {
        var rows = read.Sections.SelectMany(s => s.Lines).SelectMany(l => l.Rows).ToList();
        return new(
            read.Title,
            read.Sections,
            read.ByHand,
            read.OwnOrder,
            read.LeftOver,
            exact,
            rows.Count(r => r.IsUnderstood),
            rows.Count(r => !r.IsUnderstood) + read.Sections.Count(s => s.IsAsked),
            read.Language.Code,
            names.Length > 1 ? names : [],
            read.Plan.IsNothing ? null : read.Plan
        );
    }
}
