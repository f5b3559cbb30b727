using JollyKnot.Core.Measures;
using JollyKnot.Core.Steps;
using JollyKnot.Devices;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.StandIns;

/// <summary>What the stand-ins show for a bake.</summary>
/// <param name="Probe">In the middle of a piece; null when nothing is in the oven.</param>
/// <param name="Oven">The oven's air; null while it is off.</param>
/// <param name="Room">The kitchen.</param>
/// <param name="Machine">The bread machine; null while it stands still.</param>
public sealed record StandInView(Temperature? Probe, Temperature? Oven, Temperature? Room, MachineReading? Machine);

/// <summary>Thermometers that stand in for real ones.</summary>
public static class StandInEndpoints
{
    /// <summary>Maps the stand-in thermometers.</summary>
    public static void MapStandIns(this Answers app) =>
        app.MapGet(
                "/api/bakes/{id:guid}/thermometers",
                async Task<Results<Ok<StandInView>, ProblemHttpResult>> (
                    Guid id,
                    BakeBook book,
                    KitchenKeeper kitchens,
                    SimulatedProbe probe,
                    SimulatedOven oven,
                    SimulatedRoom room,
                    SimulatedMachine machine,
                    HouseClock clock
                ) =>
                {
                    if (await book.Find(id) is not { } bake)
                        return Problems.Missing("bake");
                    var (state, spec) = (BakeEndpoints.State(bake, clock), bake.Plan.Spec);
                    room.Room = (await kitchens.Get()).RoomAt(clock.GetUtcNow());
                    var loaded = state.Chain.Batches.FirstOrDefault(b => state.SoFar.InSince(b.Batch) is not null);
                    var at = loaded is null ? null : state.SoFar.InSince(loaded.Batch);
                    probe.Stick(
                        loaded is null
                            ? null
                            : (
                                new(
                                    loaded.Batch.Bread.Family.BodyOf(loaded.Piece),
                                    loaded.Batch.Bread.Heat,
                                    spec.OvenOf(loaded.Batch.Bread).Fan
                                ),
                                at!.Value,
                                spec.BoilsAt
                            )
                    );
                    // What is in the oven, or is the first to go in.
                    var first = (loaded ?? state.Chain.Batches.FirstOrDefault(b => !b.Batch.Bread.OnGriddle))?.Batch;
                    oven.Set(
                        first is not null
                        && state.Chain.At(Milestone.SwitchedOn, first.HeatedFor(spec.Batches).Index) is { } switched
                        && state.SoFar.When(switched.Id) is { } on
                        && state.SoFar.When(Milestone.Eaten) is null
                            ? (spec.OvenOf(first.Bread), spec.Room, first.Bread.Heat, on, at)
                            : null
                    );
                    machine.Run(
                        state.CycleBegan is { } began && state.SoFar.When(Milestone.OutOfMachine) is null
                            ? (spec.Machine, began)
                            : null
                    );
                    return TypedResults.Ok(new StandInView(probe.Read(), oven.Read(), room.Read(), machine.Read()));
                }
            )
            .WithName("thermometers")
            .WithSummary("What the stand-in probe, oven, room sensor and machine show for a bake.");
}
