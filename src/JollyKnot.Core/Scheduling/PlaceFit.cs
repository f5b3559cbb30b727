// Whether the place chosen for the second proof does: warm and safe in time, and the dough's for long enough.
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>Why a place does not do.</summary>
public enum PlaceTrouble
{
    /// <summary>It is not warm, or not safe yet, when the dough is shaped.</summary>
    NotReady,

    /// <summary>The dough has to leave it long before it is ready.</summary>
    ClearedTooSoon,
}

/// <summary>An oven that something else bakes in.</summary>
/// <param name="OvenId">Which.</param>
/// <param name="Heat">How hot.</param>
/// <param name="From">From when.</param>
/// <param name="To">Until when.</param>
public sealed record HotOven(string OvenId, Temperature Heat, DateTimeOffset From, DateTimeOffset To);

/// <summary>A place that would do, and how long the proof takes there.</summary>
/// <param name="Place">Which.</param>
/// <param name="Takes">How long.</param>
public sealed record PlaceThatDoes(Place Place, TimeSpan Takes);

/// <summary>A place that does not do.</summary>
/// <param name="Trouble">Why.</param>
/// <param name="ReadyAt">From when dough could go there.</param>
/// <param name="Stands">How long the dough would stand there.</param>
/// <param name="Wanted">How long it wants to.</param>
/// <param name="Instead">What would do; null where nothing is known to.</param>
public sealed record PlaceFit(
    PlaceTrouble Trouble,
    DateTimeOffset ReadyAt,
    TimeSpan Stands,
    TimeSpan Wanted,
    PlaceThatDoes? Instead
)
{
    // Less than this nobody minds waiting; and a stay of less than a third of the proof is not worth the way. Ours.
    private static readonly TimeSpan Unnoticed = TimeSpan.FromMinutes(5);
    private const double WorthTheWay = 1 / 3d;

    /// <summary>What is wrong with the place of a layout; null when nothing is.</summary>
    /// <param name="layout">The layout.</param>
    /// <param name="places">The places there are.</param>
    /// <param name="hot">What other bakes heat, and when.</param>
    public static PlaceFit? Of(Layout layout, IEnumerable<Place> places, IEnumerable<HotOven> hot)
    {
        ArgumentNullException.ThrowIfNull(layout);
        ArgumentNullException.ThrowIfNull(places);
        var first = layout.Steps.Batches[0];
        if (!first.Place.InOven || layout.Timetable.At(Milestone.SetToProof, 0) is not { } set)
            return null;
        var spec = layout.Plan.Spec;
        var shaped = layout.Timetable.Slots.Last(s => s.Step.Batch == 0 && s.Step.Holds == Lane.Hands && s.End <= set.Start).End;
        var safe = hot.Where(h => h.OvenId == spec.Oven.Id && h.From < set.End)
            .Select(h => h.To + Place.SafeAfter(h.Heat, spec.Room))
            .Append(set.Start)
            .Max();
        var wanted = first.Proof.Window?.Best ?? RiseModel.Horizon;
        var stands = first.Proof.OutOfOven ?? wanted;
        PlaceTrouble? trouble =
            safe - shaped > Unnoticed ? PlaceTrouble.NotReady
            : stands < wanted * WorthTheWay ? PlaceTrouble.ClearedTooSoon
            : null;
        return trouble is { } why ? new(why, safe, stands, wanted, Elsewhere(spec, places)) : null;
    }

    // Where nothing is to be done and the oven is not needed, the quickest; a place that is cold is for another day.
    private static PlaceThatDoes? Elsewhere(BakeSpec spec, IEnumerable<Place> places) =>
        places
            .Where(p => !p.InOven && p.Made is null && p.At(TimeSpan.Zero, spec.Room) >= spec.Room)
            .Select(p => (Place: p, Takes: TakesAt(spec, p)))
            .Where(p => p.Takes is not null)
            .OrderBy(p => p.Takes)
            .Select(p => new PlaceThatDoes(p.Place, p.Takes!.Value))
            .FirstOrDefault();

    private static TimeSpan? TakesAt(BakeSpec spec, Place place)
    {
        var there = spec with { Tools = spec.Tools with { Place = place }, Learned = spec.Learned with { Pace = null } };
        return new BakeSoFar(there, SoFar.Nothing(DateTimeOffset.UnixEpoch)).Forecasts[0].Proof.Window?.Best;
    }
}
