using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Pantry;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace JollyKnot.Server.Doughs;

/// <summary>Part of the dough book.</summary>
public sealed record DoughPage(ImmutableArray<DoughLine> Doughs, int Total);

/// <summary>A change to try.</summary>
/// <param name="Dough">The dough as it stands on the screen.</param>
/// <param name="Change">The change; null to scale it to a machine's limit.</param>
/// <param name="MachineId">The machine to fit.</param>
/// <param name="WholeEggs">Keep eggs whole where they nearly are.</param>
public sealed record ChangeRequest(DoughDraft Dough, Change? Change = null, string? MachineId = null, bool WholeEggs = true);

/// <summary>A change tried: nothing is kept.</summary>
public sealed record ChangeView(FormulaView Before, FormulaView After, string Name, double Factor, ImmutableArray<string> Notes);

/// <summary>What to reckon the cost of.</summary>
public sealed record CostRequest(Guid DoughId, string FamilyId, int? Pieces = null, string? MachineId = null);

/// <summary>What it costs.</summary>
/// <param name="Pieces">Pieces it was shared among.</param>
public sealed record CostView(int Pieces, Cost Cost, Money? ShopEach);

/// <summary>The dough book over HTTP.</summary>
public static class DoughEndpoints
{
    private const int MostAtOnce = 100;

    /// <summary>Maps the dough book.</summary>
    public static void MapDoughs(this Answers app)
    {
        app.MapGet(
                "/api/doughs",
                async (DoughBook book, string? search, int? skip, int? take) =>
                    await book.List(search ?? "", Math.Max(0, skip ?? 0), Math.Clamp(take ?? MostAtOnce, 1, MostAtOnce))
                        is var part
                        ? new DoughPage([.. part.Doughs.Select(DoughLine.Of)], part.Total)
                        : null!
            )
            .WithName("doughs");
        app.MapGet(
                "/api/doughs/names",
                async (DoughBook book) => (await book.Names()).Select(d => new DoughName(d.Id, d.Name)).ToImmutableArray()
            )
            .WithName("doughNames");
        app.MapGet(
                "/api/doughs/away",
                async (DoughBook book) =>
                    (await book.Names(away: true)).Select(d => new DoughName(d.Id, d.Name)).ToImmutableArray()
            )
            .WithName("doughsAway")
            .WithSummary("Doughs that were put away, to be brought back.");
        app.MapGet("/api/starters", ShelfOf).WithName("starters").WithSummary("Base doughs to begin with, as what they become.");
        app.MapPost("/api/starters", Take).WithName("takeStarter").WithSummary("Takes a base dough into the book.");
        app.MapGet("/api/doughs/{id:guid}", Find).WithName("dough");
        app.MapGet(
                "/api/doughs/{id:guid}/versions",
                async (Guid id, DoughBook book, PantryKeeper pantries) =>
                    await pantries.Get() is var pantry
                        ? (await book.Versions(id)).Select(d => DoughView.Of(d, pantry)).ToImmutableArray()
                        : []
            )
            .WithName("doughVersions");
        app.MapGet("/api/doughs/{id:guid}/first-choice", FirstOf)
            .WithName("firstChoice")
            .WithSummary("What a bake of this dough opens with: as its recipe says, else as it is good for.");
        app.MapGet("/api/doughs/{id:guid}/export", Export)
            .WithName("exportDough")
            .WithSummary("The dough as a file: json-ld, text or markdown.");
        app.MapPut("/api/doughs/{id:guid}", Save)
            .WithName("saveDough")
            .WithSummary("Keeps a dough; with If-Match, its version, only where no other came after that.");
        app.MapPost("/api/doughs/{id:guid}/hint", WriteHint)
            .WithName("writeHint")
            .WithSummary("Writes what past checks steadily wanted into the recipe.");
        app.MapDelete("/api/doughs/{id:guid}", (Guid id, DoughBook book, HouseClock clock) => PutAway(id, true, book, clock))
            .WithName("putDoughAway");
        app.MapPost(
                "/api/doughs/{id:guid}/return",
                (Guid id, DoughBook book, HouseClock clock) => PutAway(id, false, book, clock)
            )
            .WithName("returnDough");
        app.MapPost("/api/formulas", Reckon)
            .WithName("reckon")
            .WithSummary("Baker's percentages of a dough as it is typed; nothing is kept.");
        app.MapPost("/api/changes", TryChange)
            .WithName("tryChange")
            .WithSummary("A change to a dough, before and after; nothing is kept.");
        app.MapPost("/api/costs", CostOf).WithName("cost");
    }

    // Each as it would be baked here, if it were begun now.
    private static async Task<ImmutableArray<StarterView>> ShelfOf(KitchenKeeper kitchens, HouseClock clock)
    {
        var (kitchen, now) = (await kitchens.Get(), clock.GetUtcNow());
        // What this kitchen has nothing for is not offered.
        var here = Starters.All.Where(s => kitchen.Families.Any(f => f.Id == s.Plan!.FamilyId));
        return [.. here.Select(s => StarterView.Of(s, kitchen, now))];
    }

    private static async Task<Results<Ok<DoughView>, ProblemHttpResult>> Take(
        TakeStarter request,
        DoughBook book,
        PantryKeeper pantries,
        HouseClock clock
    )
    {
        if (request.Id == Guid.Empty)
            return Problems.Bad(new Problem("empty:id", "id"));
        if (Starters.All.FirstOrDefault(s => s.Name == request.Name) is not { } draft)
            return Problems.Bad(new Problem("unknown:answer", "name"));
        var kept = await book.Find(request.Id) ?? await book.Save(request.Id, Dough.Create(draft).Value, clock.GetUtcNow());
        return TypedResults.Ok(DoughView.Of(kept, await pantries.Get()));
    }

    private static async Task<Results<Ok<DoughView>, ProblemHttpResult>> Find(
        Guid id,
        DoughBook book,
        PantryKeeper pantries,
        SetAside aside
    ) =>
        await book.Find(id) is { } dough
            ? TypedResults.Ok(DoughView.Of(dough, await pantries.Get()))
            : Problems.Missing("dough", id, aside);

    private static async Task<Results<Ok<BakeChoice>, ProblemHttpResult>> FirstOf(
        Guid id,
        DoughBook book,
        BakeBook bakes,
        KitchenKeeper kitchens,
        SetAside aside
    )
    {
        if (await book.Find(id) is not { } stored)
            return Problems.Missing("dough", id, aside);
        var kitchen = await kitchens.Get();
        var first = FirstChoice.Of(stored.Dough, kitchen);
        return TypedResults.Ok(await LastGood(id, stored.Dough, bakes) is { } last ? Again.Of(last, first, kitchen) : first);
    }

    // So many bakes back a dough is still known by what was made of it; with so many stars it was good.
    private const int LookedBack = 60,
        Good = 3;

    // The last good bake of this very dough.
    private static async Task<BakeSpec?> LastGood(Guid id, Dough dough, BakeBook bakes)
    {
        var past = (await bakes.Closed(LookedBack)).Where(b =>
            b.Bake.Title.Dough == dough.Name && b.Bake.End is { Status: BakeStatus.Finished, Stars: null or >= Good }
        );
        foreach (var one in past)
            if (await bakes.Find(one.Id) is { Plan.Spec: var spec } && spec.Made.Source?.Id == id && spec.From is null)
                return spec;
        return null;
    }

    private static async Task<Results<Ok<DoughView>, ProblemHttpResult>> Save(
        Guid id,
        DoughDraft draft,
        DoughBook book,
        PantryKeeper pantries,
        HouseClock clock,
        [FromHeader(Name = "If-Match")] string? of = null
    )
    {
        var pantry = await pantries.Get();
        var made = Dough.Create(draft, pantry);
        if (!made.Has(out var dough))
            return Problems.Bad(made.Problems);

        // Reckoned before it is kept: what cannot be shown is not kept.
        var facts = FormulaView.Of(dough, pantry);
        var version = int.TryParse(of?.Trim('"'), NumberStyles.None, CultureInfo.InvariantCulture, out var v) ? v : default(int?);
        return await book.SaveOver(version, id, dough, clock.GetUtcNow()) is { } kept
            ? TypedResults.Ok(DoughView.Of(kept, facts))
            : Problems.Changed();
    }

    private static async Task<Results<Ok<DoughView>, ProblemHttpResult>> WriteHint(
        Guid id,
        DoughBook book,
        DoseMemories memories,
        PantryKeeper pantries,
        HouseClock clock,
        SetAside aside
    )
    {
        if (await book.Find(id) is not { } stored)
            return Problems.Missing("dough", id, aside);
        if ((await memories.For(stored.Dough, id)).WrittenInto(stored.Dough) is not { } better)
            return Problems.Bad(new Problem("no-hint", "id"));
        return TypedResults.Ok(DoughView.Of(await book.Save(id, better, clock.GetUtcNow()), await pantries.Get()));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> PutAway(
        Guid id,
        bool away,
        DoughBook book,
        HouseClock clock
    ) => await book.PutAway(id, away, clock.GetUtcNow()) ? TypedResults.NoContent() : Problems.Missing("dough");

    private static async Task<Results<Ok<FormulaView>, ProblemHttpResult>> Reckon(DoughDraft draft, PantryKeeper pantries)
    {
        var pantry = await pantries.Get();
        return Dough.Create(draft, pantry) is var made && made.Has(out var dough)
            ? TypedResults.Ok(FormulaView.Of(dough, pantry))
            : Problems.Bad(made.Problems);
    }

    private static async Task<Results<Ok<ChangeView>, ProblemHttpResult>> TryChange(
        ChangeRequest request,
        PantryKeeper pantries,
        KitchenKeeper kitchens
    )
    {
        var pantry = await pantries.Get();
        var made = Dough.Create(request.Dough, pantry);
        if (!made.Has(out var dough))
            return Problems.Bad([.. made.Problems.Select(p => p with { Field = "dough." + p.Field })]);
        var change = request.Change;
        if (request.MachineId is { } id)
        {
            if ((await kitchens.Get()).Mixers.FirstOrDefault(m => m.Id == id) is not { } machine)
                return Problems.Bad(new Problem("unknown:machine", "machineId"));
            var formula = Formula.Of(dough);
            change = new ToFlour(formula.Flour * machine.FactorThatFits(formula));
        }
        if (change is null)
            return Problems.Bad(new Problem("empty:change", "change"));
        var changed = Changes.Make(dough, change, pantry, request.WholeEggs);
        return changed.Has(out var done)
            ? TypedResults.Ok(
                new ChangeView(
                    FormulaView.Of(dough, pantry),
                    FormulaView.Of(done.Dough, pantry),
                    done.Dough.Name,
                    done.Factor,
                    [.. done.Notes.Select(kitchens.Voice.Of)]
                )
            )
            : Problems.Bad([.. changed.Problems.Select(p => p with { Field = "change." + p.Field })]);
    }

    private static async Task<Results<Ok<CostView>, ProblemHttpResult>> CostOf(
        CostRequest request,
        DoughBook book,
        PantryKeeper pantries,
        KitchenKeeper kitchens
    )
    {
        if (await book.Find(request.DoughId) is not { } stored)
            return Problems.Bad(new Problem("unknown:thing", "doughId", "dough"));
        if (Families.Find(request.FamilyId ?? "") is not { } family)
            return Problems.Bad(new Problem("unknown:family", "familyId"));
        if (request.Pieces is < 1 or > BakeSpec.MostPieces)
            return Problems.Bad(new Problem("pieces:divided", "pieces", BakeSpec.MostPieces));
        var (kitchen, dough) = (await kitchens.Get(), stored.Dough);
        var yield = Formula.Yield(dough.Total);
        var pieces = request.Pieces ?? Core.Dividing.Targets.CountFor(yield, family.Usual);
        var machine =
            kitchen.Mixers.FirstOrDefault(m => m.Id == request.MachineId)
            ?? (dough.ByHand ? Machine.Hands : kitchen.Mixers.First());
        var prices = kitchen.Prices ?? KitchenPrices.Unknown;
        var shop = prices.Shop.FirstOrDefault(s => s.FamilyId == family.Id)?.Each;
        return TypedResults.Ok(
            new CostView(
                pieces,
                Cost.Of(
                    dough,
                    pieces,
                    BakeWindow.For(family, yield / pieces, family.Bake.Heat).Likely,
                    family.HeatedBy == HeatedBy.Griddle,
                    !machine.ByHand,
                    await pantries.Get(),
                    prices.PerKilowattHour,
                    shop,
                    machine.Bought
                ),
                shop
            )
        );
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Export(
        Guid id,
        string? format,
        DoughBook book,
        PantryKeeper pantries
    )
    {
        if (await book.Find(id) is not { Dough: var dough })
            return Problems.Missing("dough");
        var pantry = await pantries.Get();
        var (text, type, ending) = format switch
        {
            null or "json-ld" => (RecipeJsonLd.Write(dough, pantry), "application/ld+json", "jsonld"),
            "text" => (RecipeText.Print(dough, pantry), "text/plain", "txt"),
            "markdown" => (RecipeText.Print(dough, pantry, markdown: true), "text/markdown", "md"),
            _ => ("", "", ""),
        };
        if (text.Length == 0)
            return Problems.Bad(new Problem("unknown:format", "format"));
        var file = string.Concat(dough.Name.Select(c => char.IsAsciiLetterOrDigit(c) ? char.ToLowerInvariant(c) : '-')).Trim('-');
        return TypedResults.File(
            Encoding.UTF8.GetBytes(text),
            type + "; charset=utf-8",
            $"{(file.Length > 0 ? file : "dough")}.{ending}"
        );
    }
}

/// <summary>A dough's name.</summary>
public sealed record DoughName(Guid Id, string Name);
