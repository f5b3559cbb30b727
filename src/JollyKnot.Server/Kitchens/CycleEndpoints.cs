using System.Collections.Immutable;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Kitchens;

/// <summary>A machine whose program is watched while it runs.</summary>
/// <param name="Machine">Its name.</param>
/// <param name="Offers">What it may begin next.</param>
/// <param name="Seen">What was seen so far.</param>
public sealed record CycleView(string Machine, ImmutableArray<CycleChange> Offers, ImmutableArray<CycleTouch> Seen);

/// <summary>Something a machine begins.</summary>
/// <param name="Change">What.</param>
public sealed record CycleSaid(CycleChange Change);

/// <summary>Cycles that were watched: kept in the store.</summary>
public sealed class CycleKeeper(Settings settings)
{
    private static readonly DocumentKind<CyclesSeen> Kept = new("cycles");

    /// <summary>Every machine's.</summary>
    public async Task<CyclesSeen> Get() => await settings.Get(Kept) ?? CyclesSeen.Empty;

    /// <summary>Keeps one.</summary>
    /// <param name="cycle">The cycle.</param>
    public async Task Keep(CycleSeen cycle) => await settings.Set(Kept, (await Get()).With(cycle));
}

/// <summary>A machine is learned, not asked: one touch at each change of its first cycle.</summary>
public static class CycleEndpoints
{
    /// <summary>Maps watched cycles.</summary>
    public static void MapCycles(this Answers app)
    {
        app.MapGet("/api/bakes/{id:guid}/cycle", Watch)
            .WithName("cycle")
            .WithSummary("The running cycle, if its machine is to be learned.");
        app.MapPost("/api/bakes/{id:guid}/cycle", Say).WithName("sayCycle");
        app.MapDelete("/api/bakes/{id:guid}/cycle", TakeBack).WithName("takeCycleBack");
    }

    // A cycle that runs, of a machine that is taken for usual.
    private sealed record Running(CycleSeen Cycle, Machine Machine, TimeSpan Since);

    private static async Task<Results<Ok<CycleView>, NoContent>> Watch(
        Guid id,
        BakeBook book,
        KitchenKeeper kitchens,
        CycleKeeper cycles,
        HouseClock clock
    ) => await Find(id, book, kitchens, cycles, clock) is { } running ? TypedResults.Ok(View(running)) : TypedResults.NoContent();

    private static async Task<Results<Ok<CycleView>, ProblemHttpResult>> Say(
        Guid id,
        CycleSaid said,
        BakeBook book,
        KitchenKeeper kitchens,
        CycleKeeper cycles,
        HouseClock clock
    )
    {
        if (!Enum.IsDefined(said.Change))
            return Problems.Bad(new Problem("unknown:answer", "change"));
        if (await Find(id, book, kitchens, cycles, clock) is not { } running)
            return Problems.Missing("running cycle");
        var seen = running.Cycle;
        // Told twice it began once.
        if (seen.Touches.LastOrDefault()?.Change == said.Change)
            return TypedResults.Ok(View(running));
        return await Keep(
            running with
            {
                Cycle = seen with { Touches = seen.Touches.Add(new(said.Change, running.Since)) },
            },
            kitchens,
            cycles
        );
    }

    private static async Task<Results<Ok<CycleView>, ProblemHttpResult>> TakeBack(
        Guid id,
        BakeBook book,
        KitchenKeeper kitchens,
        CycleKeeper cycles,
        HouseClock clock
    )
    {
        if (await Find(id, book, kitchens, cycles, clock) is not { Cycle.Touches: [.. var before, _] } running)
            return Problems.Missing("running cycle");
        return await Keep(running with { Cycle = running.Cycle with { Touches = before } }, kitchens, cycles);
    }

    private static async Task<Results<Ok<CycleView>, ProblemHttpResult>> Keep(
        Running running,
        KitchenKeeper kitchens,
        CycleKeeper cycles
    )
    {
        await cycles.Keep(running.Cycle);
        await kitchens.Change(k =>
            k with
            {
                Machines = [.. k.Machines.Select(m => m.Id == running.Machine.Id ? running.Cycle.Of(m) : m)],
            }
        );
        return TypedResults.Ok(View(running));
    }

    private static async Task<Running?> Find(Guid id, BakeBook book, KitchenKeeper kitchens, CycleKeeper cycles, HouseClock clock)
    {
        if (await book.Find(id) is not { Closed: null } bake)
            return null;
        var state = BakeEndpoints.State(bake, clock);
        if (state.CycleBegan is not { } began || state.SoFar.When(Milestone.OutOfMachine) is not null)
            return null;
        var own = (await kitchens.Get()).Machines.FirstOrDefault(m => m.Id == state.Plan.Spec.Machine.Id);
        if (own is null or { ByHand: true } || own.Program != state.Plan.Spec.Machine.Program)
            return null;
        var seen = (await cycles.Get()).Of(own.Id);
        if (seen?.Bake != id && (seen is { SaysEnough: true } || !FirstAnswers.IsUsual(own)))
            return null;
        return new(seen?.Bake == id ? seen : new(own.Id, id, own.Phases, []), own, clock.GetUtcNow() - began);
    }

    private static CycleView View(Running running) =>
        new(
            running.Machine.Name,
            [.. Enum.GetValues<CycleChange>().Where(c => running.Cycle.Touches.LastOrDefault()?.Change != c)],
            running.Cycle.Touches
        );
}
