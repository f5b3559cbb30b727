using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Pantry;

/// <summary>The household's pantry, kept in the store.</summary>
public sealed class PantryKeeper(Settings settings) : IDisposable
{
    // 2: own ingredients say what to watch.
    private static readonly DocumentKind<HouseholdPantry> Kept = new(
        "pantry",
        WatchedIngredients.InPantry,
        unchanged => unchanged
    );
    private readonly SemaphoreSlim writing = new(1);
    private HouseholdPantry? kept;

    /// <summary>The pantry.</summary>
    public async Task<HouseholdPantry> Get() => kept ??= await settings.Get(Kept) ?? HouseholdPantry.Plain;

    /// <summary>Changes the pantry; one change at a time.</summary>
    public async Task<HouseholdPantry> Change(Func<HouseholdPantry, HouseholdPantry> change)
    {
        await writing.WaitAsync();
        try
        {
            var changed = change(await Get());
            await settings.Set(Kept, changed);
            return kept = changed;
        }
        finally
        {
            writing.Release();
        }
    }

    /// <inheritdoc/>
    public void Dispose() => writing.Dispose();
}

/// <summary>An ingredient on the shelf.</summary>
/// <param name="Own">The household's own, or its own version.</param>
/// <param name="Price">A pack as bought; null when not known.</param>
public sealed record PantryItem(Ingredient Ingredient, bool Own, Price? Price);

/// <summary>The pantry.</summary>
public sealed record PantryView(
    CupHabit Habit,
    CupSize Cups,
    Volume Cup,
    ImmutableArray<PantryItem> Items,
    ImmutableArray<LearnedWord> Learned,
    ImmutableArray<string> Allergens
)
{
    internal static PantryView Of(HouseholdPantry pantry) =>
        new(
            pantry.Habit,
            pantry.Cups,
            pantry.Cup,
            [
                .. pantry.All.Select(i => new PantryItem(
                    i,
                    pantry.Own.Any(o => o.Name == i.Name),
                    pantry.Prices.GetValueOrDefault(i.Name)
                )),
            ],
            [.. pantry.Learned.OrderBy(l => l.Key, StringComparer.Ordinal).Select(l => new LearnedWord(l.Key, l.Value))],
            Ingredients.Allergens
        );
}

/// <summary>How cups are filled, and which they are.</summary>
public sealed record CupSettings(CupHabit Habit, CupSize Cups);

/// <summary>A word and what it means here.</summary>
public sealed record LearnedWord(string Words, string Name);

/// <summary>What a corrected recipe teaches.</summary>
public sealed record Lesson(ImmutableArray<Correction> Corrections);

/// <summary>The pantry over HTTP.</summary>
public static class PantryEndpoints
{
    // A pack a household buys, at most.
    private static readonly Mass LargestPack = Mass.FromGrams(100_000);

    /// <summary>Maps the pantry.</summary>
    public static void MapPantry(this Answers app)
    {
        app.MapGet("/api/pantry", async (PantryKeeper keeper) => PantryView.Of(await keeper.Get())).WithName("pantry");
        app.MapPut(
                "/api/pantry/cups",
                async Task<Results<Ok<PantryView>, ProblemHttpResult>> (CupSettings cups, PantryKeeper keeper) =>
                    TypedResults.Ok(PantryView.Of(await keeper.Change(p => p with { Habit = cups.Habit, Cups = cups.Cups })))
            )
            .WithName("saveCups");
        app.MapPut("/api/pantry/ingredients", Save)
            .WithName("saveIngredient")
            .WithSummary("An own ingredient, or an own version of a known one, with its price.");
        app.MapDelete(
                "/api/pantry/ingredients/{name}",
                async (string name, PantryKeeper keeper) =>
                    PantryView.Of(
                        await keeper.Change(p =>
                            p with
                            {
                                Own = [.. p.Own.Where(o => o.Name != name)],
                                Prices = p.Prices.Remove(name),
                            }
                        )
                    )
            )
            .WithName("forgetIngredient");
        app.MapPost("/api/pantry/lessons", Learn)
            .WithName("learn")
            .WithSummary("Learns ingredients and words from a corrected recipe.");
        app.MapDelete(
                "/api/pantry/words/{words}",
                async (string words, PantryKeeper keeper) =>
                    PantryView.Of(await keeper.Change(p => p with { Learned = p.Learned.Remove(words) }))
            )
            .WithName("forgetWord");
    }

    private static async Task<Results<Ok<PantryView>, ProblemHttpResult>> Save(PantryIngredient item, PantryKeeper keeper)
    {
        var found = new ProblemList();
        found.Add(Ingredient.Check(item.Ingredient, "ingredient"));
        found.Over(item.Price?.Pack, Mass.Zero, LargestPack, "price.pack");
        found.Between(item.Price?.Cost.Amount, 0, KitchenCheck.Dearest, "price.cost");
        if (found.Count > 0)
            return Problems.Bad(found.All);
        var pantry = await keeper.Get();
        if (pantry.Own.Length >= HouseholdPantry.MostOwn)
            return Problems.Bad(new Problem("too-many:own", "ingredient", HouseholdPantry.MostOwn));
        return TypedResults.Ok(
            PantryView.Of(
                await keeper.Change(p =>
                {
                    // The shelf's own entry needs no copy of itself, only its price.
                    var known = p.Find(item.Ingredient.Name);
                    var told = item.Ingredient with { IsUntold = false };
                    var with =
                        known is not null && known.Name == item.Ingredient.Name && JsonEqual(known, item.Ingredient)
                            ? p
                            : p.With(told);
                    return with with
                    {
                        Prices = item.Price is { } cost
                            ? with.Prices.SetItem(item.Ingredient.Name, cost)
                            : with.Prices.Remove(item.Ingredient.Name),
                    };
                })
            )
        );
    }

    private static async Task<Results<Ok<PantryView>, ProblemHttpResult>> Learn(Lesson lesson, PantryKeeper keeper)
    {
        if (lesson.Corrections.Length > HouseholdPantry.MostOwn)
            return Problems.Bad(new Problem("too-many:corrections", "corrections"));
        ImmutableArray<Problem> problems =
        [
            .. lesson.Corrections.SelectMany(
                (c, i) =>
                    new[]
                    {
                        PlainText.CheckName(c.Name, $"corrections[{i}].name"),
                        c.Line is { Length: <= LineGrammar.LongestLine } && c.Words is { Length: <= LineGrammar.LongestLine }
                            ? null
                            : new Problem("too-long:line", $"corrections[{i}].line"),
                        c.Told is { Contains: var told } && (told.IsDefault || !told.All(Ingredients.Allergens.Contains))
                            ? new Problem("unknown:answer", $"corrections[{i}].told.contains")
                            : null,
                    }.OfType<Problem>()
            ),
        ];
        return problems.Length > 0
            ? Problems.Bad(problems)
            : TypedResults.Ok(PantryView.Of(await keeper.Change(p => lesson.Corrections.Aggregate(p, LineReading.Learn))));
    }

    // Arrays inside a record compare by reference; their text does not.
    private static bool JsonEqual(Ingredient a, Ingredient b) =>
        System.Text.Json.JsonSerializer.Serialize(a, Json.Documents)
        == System.Text.Json.JsonSerializer.Serialize(b, Json.Documents);
}

/// <summary>An ingredient as edited, with the price of a pack.</summary>
public sealed record PantryIngredient(Ingredient Ingredient, Price? Price);
