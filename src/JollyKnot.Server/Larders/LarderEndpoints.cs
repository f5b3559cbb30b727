using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Larders;

/// <summary>Something in the fridge or the freezer.</summary>
/// <param name="Bake">The bake it is of.</param>
/// <param name="Cut">Which of its cuts.</param>
/// <param name="Kind">Dough or bread.</param>
/// <param name="Name">The dough's name.</param>
/// <param name="What">How much, in words.</param>
/// <param name="Since">Kept since.</param>
/// <param name="In">Where it is.</param>
/// <param name="BestUntil">Best until then.</param>
/// <param name="UseBy">Used or thrown away by then.</param>
/// <param name="How">How it is made ready; empty where there is nothing to do.</param>
/// <param name="Thawed">When it is thawed; null where it is not thawing.</param>
/// <param name="MadeInto">The bake that was made of it; null where none was.</param>
/// <param name="Wanted">When it is wanted on the table; null where nobody said.</param>
/// <param name="Steps">What is still to be done for that, and when.</param>
public sealed record KeptView(
    Guid Bake,
    int Cut,
    KeptKind Kind,
    string Name,
    string What,
    DateTimeOffset Since,
    KeptIn In,
    DateTimeOffset BestUntil,
    DateTimeOffset UseBy,
    string How,
    DateTimeOffset? Thawed,
    Guid? MadeInto,
    DateTimeOffset? Wanted,
    ImmutableArray<KeptStep> Steps
);

/// <summary>Something to do with what is kept.</summary>
/// <param name="At">When.</param>
/// <param name="Say">What, in words.</param>
public sealed record KeptStep(DateTimeOffset At, string Say);

/// <summary>Frozen bread is wanted.</summary>
/// <param name="At">When; null not any more.</param>
public sealed record KeptWanted(DateTimeOffset? At);

/// <summary>What a bake of a kept lump opens with.</summary>
/// <param name="DoughId">The dough in the book it came from; null where it is in none.</param>
/// <param name="Choice">What is chosen first.</param>
/// <param name="Name">The dough's name.</param>
public sealed record KeptOpening(Guid? DoughId, BakeChoice Choice, string Name);

/// <summary>Something goes somewhere else.</summary>
/// <param name="Kind">Dough or bread.</param>
/// <param name="To">Where to.</param>
public sealed record KeptMove(KeptKind Kind, KeptIn To);

/// <summary>Bread of a bake for the freezer.</summary>
/// <param name="Cut">Which of its cuts.</param>
/// <param name="Pieces">How many.</param>
public sealed record FreezeBread(int Cut, int Pieces);

/// <summary>Fridge and freezer over HTTP.</summary>
public static class LarderEndpoints
{
    /// <summary>Maps what is kept.</summary>
    public static void MapLarder(this Answers app)
    {
        app.MapGet("/api/larder", All).WithName("larder").WithSummary("Dough in the cold and bread in the freezer.");
        app.MapGet("/api/larder/{bake:guid}", OfBake)
            .WithName("keptOfBake")
            .WithSummary("What was kept of a bake, whatever became of it.");
        app.MapGet("/api/larder/{bake:guid}/{cut:int}/first-choice", Opening).WithName("keptOpening");
        app.MapPost("/api/larder/{bake:guid}/{cut:int}", Move).WithName("moveKept");
        app.MapPost("/api/larder/{bake:guid}/{cut:int}/wanted", Want)
            .WithName("wantKept")
            .WithSummary("When frozen bread is wanted on the table.");
        app.MapPost("/api/bakes/{bake:guid}/freeze", Freeze).WithName("freezeBread");
    }

    internal static async Task<ImmutableArray<KeptView>> All(LarderKeeper keeper, BakeBook book, KitchenKeeper kitchens)
    {
        await kitchens.Get();
        var views = ImmutableArray.CreateBuilder<KeptView>();
        foreach (var thing in (await keeper.Get()).There.OrderBy(t => t.In).ThenBy(t => t.Since))
            if (await book.Find(thing.Bake) is { } bake)
                views.Add(View(thing, bake.Plan.Spec, kitchens));
        return views.ToImmutable();
    }

    private static async Task<ImmutableArray<KeptView>> OfBake(
        Guid bake,
        LarderKeeper keeper,
        BakeBook book,
        KitchenKeeper kitchens
    )
    {
        await kitchens.Get();
        return await book.Find(bake) is { } of
            ? [.. (await keeper.Get()).Things.Where(t => t.Bake == bake).Select(t => View(t, of.Plan.Spec, kitchens))]
            : [];
    }

    private static KeptView View(KeptThing thing, BakeSpec spec, KitchenKeeper kitchens)
    {
        var words = kitchens.Voice;
        // In the fridge it keeps from when it came there; what thaws there too.
        var lump = thing.AsLump(spec.Cuts) with
        {
            Since = thing.Moved,
        };
        var (best, useBy) = thing switch
        {
            { In: KeptIn.Freezer, Kind: KeptKind.Bread } => (thing.Moved + Keeping.Frozen, thing.Moved + Keeping.Frozen),
            { In: KeptIn.Freezer } => (Lump.FrozenUntil(thing.Moved), Lump.FrozenUntil(thing.Moved)),
            { Kind: KeptKind.Shaped } => (lump.Since + ShapedPieces.Best, lump.Since + ShapedPieces.Keeps),
            _ => (lump.BestUntil, lump.UseBy(spec.Dough)),
        };
        var thawing = Thawing.Of(thing.Mass * (1.0 / thing.Pieces));
        var takes = thing.Kind == KeptKind.Bread ? thawing.OnCounter : Thawing.Lump;
        // What was moved after it was kept comes out of the freezer.
        var thaws = thing.In == KeptIn.Fridge && thing.Moved > thing.Since;
        return new(
            Bake: thing.Bake,
            Cut: thing.Cut,
            Kind: thing.Kind,
            Name: thing.Name,
            What: words.Kept(thing, spec),
            Since: thing.Since,
            In: thing.In,
            BestUntil: best,
            UseBy: useBy,
            How: HowToUse(),
            Thawed: thaws ? thing.Moved + takes : null,
            MadeInto: thing.MadeInto,
            Wanted: thing.Wanted,
            Steps: thing is { Kind: KeptKind.Bread, Wanted: { } wanted, In: not KeptIn.Gone }
                ? Steps(thing, thawing.For(wanted, spec.Oven.Preheat(Thawing.Heat, spec.Room)), thawing, words)
                : []
        );

        string HowToUse()
        {
            if (thing.In != KeptIn.Freezer && !thaws)
                return "";
            if (thing is { Kind: KeptKind.Shaped, In: KeptIn.Freezer })
                return Voice.BakedFromFrozen;
            return words.MadeReady(thing.Kind == KeptKind.Bread ? thawing : null, takes);
        }
    }

    private static ImmutableArray<KeptStep> Steps(KeptThing thing, Readying when, Thawing how, Voice words)
    {
        ImmutableArray<KeptStep> warm =
        [
            new(when.OvenOn, words.HeatsFor(Thawing.Heat)),
            new(when.In, words.Crisps(how)),
            new(when.Ready, Voice.OnTable),
        ];
        return thing.In == KeptIn.Freezer ? warm.Insert(0, new(when.Out, Voice.OutToThaw)) : warm;
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Want(
        Guid bake,
        int cut,
        KeptWanted wanted,
        LarderKeeper keeper,
        HouseClock clock
    )
    {
        if ((await keeper.Get()).Find(bake, cut, KeptKind.Bread) is not { In: not KeptIn.Gone })
            return Problems.Missing("bread");
        if (Wish.TimeProblem(wanted.At, clock.GetUtcNow(), "at") is { } never)
            return Problems.Bad(never);
        await keeper.Change(l => l.Find(bake, cut, KeptKind.Bread) is { } thing ? l.Want(thing, wanted.At) : l);
        return TypedResults.NoContent();
    }

    private static async Task<Results<Ok<KeptOpening>, ProblemHttpResult>> Opening(
        Guid bake,
        int cut,
        LarderKeeper keeper,
        BakeBook book,
        KitchenKeeper kitchens
    )
    {
        if ((await keeper.Get()).DoughOf(bake, cut) is not { } thing)
            return Problems.Missing("dough in the cold");
        if (await book.Find(bake) is not { Plan.Spec: var spec })
            return Problems.Missing("bake");
        var (lump, kitchen) = (thing.AsLump(spec.Cuts), await kitchens.Get());
        var first = FirstChoice.Of(lump.Of(spec.Dough), kitchen) with
        {
            MachineId = Core.Machines.Machine.Hands.Id,
            Program = null,
            After = null,
            From = new(bake, cut),
        };
        // As many as the whole recipe makes would be too many of it.
        first = first with
        {
            Cuts = lump.Shaped is null
                ? [.. first.Cuts.Select(c => c with { Pieces = null })]
                : [Again.Of(spec, first, kitchen).Cuts[cut] with { Each = null, Keep = null }],
        };
        return TypedResults.Ok(new KeptOpening(spec.Made.Source?.Id, first, spec.Dough.Name));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Move(
        Guid bake,
        int cut,
        KeptMove move,
        LarderKeeper keeper,
        HouseClock clock
    )
    {
        if (!Enum.IsDefined(move.To))
            return Problems.Bad(new Problem("unknown:answer", "to"));
        var kind = move.Kind;
        if ((await keeper.Get()).Find(bake, cut, kind) is null)
            return Problems.Missing("dough in the cold");
        await keeper.Change(l => l.Find(bake, cut, kind) is { } thing ? l.Move(thing, move.To, clock.GetUtcNow()) : l);
        return TypedResults.NoContent();
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Freeze(
        Guid bake,
        FreezeBread bread,
        LarderKeeper keeper,
        BakeBook book,
        HouseClock clock
    )
    {
        if (await book.Find(bake) is not { Plan.Spec: var spec })
            return Problems.Missing("bake");
        if (bread.Cut < 0 || bread.Cut >= spec.Cuts.Length || spec.Cuts[bread.Cut].Bread is null)
            return Problems.Bad(new Problem("unknown:answer", "cut"));
        var cut = spec.Cuts[bread.Cut];
        if (bread.Pieces < 1 || bread.Pieces > cut.Pieces)
            return Problems.Bad(new Problem("out-of-range:between", "pieces", 1, cut.Pieces));
        var now = clock.GetUtcNow();
        await keeper.Change(l =>
            l.With(
                new(
                    bake,
                    bread.Cut,
                    KeptKind.Bread,
                    spec.Dough.Name,
                    bread.Pieces,
                    cut.Each * bread.Pieces,
                    now,
                    KeptIn.Freezer,
                    now
                )
            )
        );
        return TypedResults.NoContent();
    }
}
