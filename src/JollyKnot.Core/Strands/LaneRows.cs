// Doughs that share a lane lie in rows of it: the later the higher, so that none falls through another on its way down.
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Strands;

/// <summary>A bake's row in a lane.</summary>
/// <param name="Row">From the top, from 0.</param>
/// <param name="Of">Of so many.</param>
internal sealed record LaneRow(int Row, int Of);

/// <summary>A bake's stay in a lane.</summary>
/// <param name="Bake">Which bake.</param>
/// <param name="Lane">Which lane.</param>
/// <param name="From">Left end, px.</param>
/// <param name="To">Right end, px.</param>
internal sealed record LaneStay(int Bake, Lane Lane, double From, double To);

/// <summary>The rows of every lane.</summary>
internal sealed class LaneRows
{
    // From a dough's end to the next one's beginning in one row, px. Ours.
    private const double Apart = 26;

    // So many rows are taken where so many are needed or not, before one is used again: fewer falls cross. Ours.
    private const int Roomy = 3;

    private sealed record Held(int Bake, double From, double To);

    private readonly Dictionary<(Lane, int), LaneRow> rows = [];

    /// <summary>Rows of these stays.</summary>
    /// <param name="stays">Each bake's stays, by lane.</param>
    public static LaneRows Of(IEnumerable<LaneStay> stays)
    {
        var of = new LaneRows();
        foreach (var lane in stays.GroupBy(s => s.Lane))
        {
            var held = lane.GroupBy(s => s.Bake)
                .Select(b => new Held(b.Key, b.Min(s => s.From), b.Max(s => s.To) + Apart))
                .OrderBy(h => h.From)
                .ThenBy(h => h.To)
                .ToList();
            foreach (var together in Together(held))
                of.Share(lane.Key, together);
        }
        return of;
    }

    /// <summary>A bake's row in a lane; the whole lane where it has none.</summary>
    /// <param name="lane">Which lane.</param>
    /// <param name="bake">Which bake.</param>
    public LaneRow At(Lane lane, int bake) => rows.GetValueOrDefault((lane, bake), new(0, 1));

    /// <summary>The most rows anywhere in a lane.</summary>
    /// <param name="lane">Which lane.</param>
    public int Most(Lane lane) => rows.Where(r => r.Key.Item1 == lane).Select(r => r.Value.Of).DefaultIfEmpty(1).Max();

    // Those that are in a lane at the same time, or next to one that is.
    private static IEnumerable<List<Held>> Together(List<Held> held)
    {
        var (open, until) = (new List<Held>(), double.MinValue);
        foreach (var one in held)
        {
            if (open.Count > 0 && one.From >= until)
            {
                yield return open;
                open = [];
            }
            open.Add(one);
            until = Math.Max(until, one.To);
        }
        if (open.Count > 0)
            yield return open;
    }

    private void Share(Lane lane, List<Held> together)
    {
        var most = together.Max(a => together.Count(b => b.From <= a.From && a.From < b.To));
        var of = Math.Min(together.Count, Math.Max(most, Roomy));
        var (ends, last) = (Enumerable.Repeat(double.MinValue, of).ToArray(), of);
        foreach (var one in together)
        {
            var free = Enumerable.Range(0, of).Where(r => ends[r] <= one.From).ToList();
            last = free.Where(r => r < last).DefaultIfEmpty(free[^1]).Max();
            ends[last] = one.To;
            rows[(lane, one.Bake)] = new(last, of);
        }
    }
}
