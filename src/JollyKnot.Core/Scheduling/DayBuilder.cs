// A day put together one bake after the other: each as late as it can be and still be in time, around those already there.
using System.Collections.Immutable;

namespace JollyKnot.Core.Scheduling;

/// <summary>Puts a day together by hand's rules: quick, always gives a plan, the same for the same day.</summary>
/// <param name="day">The day.</param>
/// <param name="away">Minutes without hands.</param>
internal sealed class DayBuilder(DayBlocks day, ImmutableArray<(int From, int To)> away)
{
    // How far a bake is begun earlier or later to fit in, and how finely, min. So many orders of bakes are tried. Ours.
    private const int Earlier = 8 * 60, Later = 16 * 60, Fineness = 3, Orders = 24, Horizon = 7 * 24 * 60;

    // What is not there yet; what has begun may have begun before the minute now.
    private const int Nowhere = int.MinValue;

    private readonly int[] starts = [.. day.Blocks.Select(b => b.Fixed ?? Nowhere)];
    private readonly List<int> placed = [];

    /// <summary>The start of each block.</summary>
    public int[] Build()
    {
        (int[] Starts, DayAims Aims)? best = null;
        foreach (var order in OrdersOf())
        {
            Array.Fill(starts, Nowhere);
            placed.Clear();
            // What has begun is there first.
            for (var b = 0; b < day.Blocks.Length; b++)
                if (day.Blocks[b].Fixed is { } at) Put(b, at);
            foreach (var bake in order) Place(bake);
            var aims = AimsOf(day, starts);
            if (best is null || aims < best.Value.Aims) best = ([.. starts], aims);
            if (best.Value.Aims is { Late: 0, Over: 0, Waits: 0 }) break;
        }
        return best!.Value.Starts;
    }

    /// <summary>How good these starts are.</summary>
    public static DayAims AimsOf(DayBlocks day, int[] starts)
    {
        var (late, waits, last) = (0, 0, 0);
        for (var bake = 0; bake < day.Ready.Length; bake++)
        {
            var ready = day.Ready[bake].Max(r => starts[r.Block] + r.Minutes);
            var wanted = day.Wanted[bake] ?? ready;
            if (day.Wanted[bake] is null) waits += ready;
            late += Math.Max(0, ready - wanted);
            waits += Math.Max(0, wanted - ready);
            last = Math.Max(last, Math.Max(ready, wanted));
        }
        return new(late, day.Proofs.Sum(p => Math.Max(0, starts[p.To] - starts[p.From] - p.Late)), waits,
            last - (day.Blocks.Length == 0 ? 0 : Enumerable.Range(0, day.Blocks.Length).Where(b => day.Blocks[b].Fixed is null).Select(b => starts[b]).DefaultIfEmpty(last).Min()));
    }

    private IEnumerable<int[]> OrdersOf()
    {
        // Those under way first, then by when they are wanted; then other orders of the rest.
        var under = Enumerable.Range(0, day.Wanted.Length).Where(b => day.Blocks.Any(k => k.Bake == b && k.Fixed is not null)).OrderBy(b => day.Wanted[b] ?? 0).ToArray();
        var free = Enumerable.Range(0, day.Wanted.Length).Except(under).OrderBy(b => day.Wanted[b] ?? 0).ThenBy(b => b).ToArray();
        return Permutations(free).Take(Orders).Select(o => under.Concat(o).ToArray());
    }

    private static IEnumerable<int[]> Permutations(int[] of)
    {
        if (of.Length <= 1)
        {
            yield return of;
            yield break;
        }
        for (var i = 0; i < of.Length; i++)
            foreach (var rest in Permutations([.. of.Where((_, k) => k != i)]))
                yield return [of[i], .. rest];
    }

    private void Place(int bake)
    {
        var blocks = Enumerable.Range(0, day.Blocks.Length).Where(b => day.Blocks[b].Bake == bake && day.Blocks[b].Fixed is null).ToList();
        if (blocks.Count == 0) return;
        var underWay = day.Blocks.Any(k => k.Bake == bake && k.Fixed is not null);
        (int[] Starts, (int Broken, int Late, int Over, int Waits) Cost)? best = null;
        foreach (var begin in underWay ? [0] : Begins(bake, blocks))
        {
            if (Try(blocks, begin) is not { } tried) continue;
            var ready = day.Ready[bake].Max(r => tried[r.Block] + r.Minutes);
            var over = day.Proofs.Where(p => p.Bake == bake).Sum(p => Math.Max(0, tried[p.To] - tried[p.From] - p.Late));
            var cost = (Broken(blocks, tried), Math.Max(0, ready - (day.Wanted[bake] ?? 0)), over, day.Wanted[bake] is { } wanted ? Math.Max(0, wanted - ready) : 0);
            if (best is null || cost.CompareTo(best.Value.Cost) < 0) best = (tried, cost);
            // Candidates come the latest first: nothing better follows the first that is in time.
            if (best.Value.Cost is (0, 0, 0, _) || (day.Wanted[bake] is null && best.Value.Cost is (0, _, 0, _))) break;
        }
        // A bake under way that meets with what cannot be helped is taken as it comes.
        var found = best?.Starts ?? Try(blocks, 0, force: true)!;
        foreach (var b in blocks) Put(b, found[b]);
    }

    // When to begin: as late as would do if it were alone, then ever earlier, then later than wanted.
    private IEnumerable<int> Begins(int bake, List<int> blocks)
    {
        if (day.Wanted[bake] is not { } wanted)
        {
            for (var later = 0; later <= Later; later += Fineness) yield return later;
            yield break;
        }
        var alone = new DayBuilder(day with { Wanted = day.Wanted }, []).Alone(blocks);
        var span = day.Ready[bake].Max(r => alone[r.Block] + r.Minutes);
        var latest = Math.Max(0, wanted - span);
        for (var earlier = 0; earlier <= Earlier && latest - earlier >= 0; earlier += Fineness) yield return latest - earlier;
        if (latest % Fineness != 0) yield return 0;
        for (var later = Fineness; later <= Later; later += Fineness) yield return latest + later;
    }

    private int[] Alone(List<int> blocks) => Try(blocks, 0, force: true)!;

    private void Put(int block, int at)
    {
        starts[block] = at;
        placed.Add(block);
    }

    // How many minutes of patience are broken.
    private int Broken(List<int> blocks, int[] at) => blocks.Sum(b => day.Blocks[b].Patience is { } patience ? Math.Max(0, at[b] - Earliest(b, at) - patience) : 0);

    private int Earliest(int block, int[] at) => day.Blocks[block].Waits.Where(w => at[w.Block] != Nowhere).Select(w => at[w.Block] + w.Least).Append(day.Blocks[block].From).Max();

    // The bake begun then, each block as soon as it can be; null when one cannot within its patience.
    private int[]? Try(List<int> blocks, int begin, bool force = false)
    {
        var at = (int[])starts.Clone();
        var own = new List<int>();
        foreach (var b in Ordered(blocks))
        {
            var block = day.Blocks[b];
            if (block.InTime) continue;
            var earliest = Math.Max(Earliest(b, at), block.Waits.IsEmpty || block.Waits.All(w => at[w.Block] == Nowhere) ? begin : 0);
            var t = earliest;
            for (; t < Horizon; t++)
            {
                if (!force && block.Patience is { } patience && t > earliest + patience) return null;
                var (free, next) = Free(b, t, at, own);
                if (free) break;
                t = Math.Max(t, next - 1);
            }
            at[b] = t;
            own.Add(b);
        }
        // What is made in time: as late as hands allow before what it is for.
        foreach (var b in blocks.Where(b => day.Blocks[b].InTime))
        {
            var latest = Enumerable.Range(0, day.Blocks.Length).SelectMany(k => day.Blocks[k].Waits.Where(w => w.Block == b).Select(w => at[k] - w.Least)).DefaultIfEmpty(begin).Min();
            var t = latest;
            while (t >= day.Blocks[b].From && !HandsFree(t, t + day.Blocks[b].Minutes, at, own)) t--;
            if (t < Math.Max(0, day.Blocks[b].From))
            {
                if (!force) return null;
                t = Math.Max(0, latest);
            }
            at[b] = t;
            own.Add(b);
        }
        return force || (Machines(at, own) && Ovens(at, own)) ? at : null;
    }

    // What waits for nothing that is not there yet comes first.
    private IEnumerable<int> Ordered(List<int> blocks)
    {
        var left = blocks.Where(b => !day.Blocks[b].InTime).ToList();
        while (left.Count > 0)
        {
            var next = left.FirstOrDefault(b => !day.Blocks[b].Waits.Any(w => left.Contains(w.Block)), left[0]);
            left.Remove(next);
            yield return next;
        }
    }

    private bool HandsFree(int from, int to, int[] at, List<int> own) => NextHands(from, to, at, own) is null;

    // When the hands are free again, if they are not between these.
    private int? NextHands(int from, int to, int[] at, List<int> own)
    {
        foreach (var (gone, back) in away)
            if (from < back && gone < to) return back;
        foreach (var k in placed.Concat(own))
            if (day.Blocks[k].Hands && from < at[k] + day.Blocks[k].Minutes && at[k] < to) return at[k] + day.Blocks[k].Minutes;
        return null;
    }

    private (bool Free, int Next) Free(int b, int t, int[] at, List<int> own)
    {
        var block = day.Blocks[b];
        if (block.Hands && NextHands(t, t + block.Minutes, at, own) is { } next) return (false, next);
        foreach (var stay in day.Stays)
        {
            if (stay.From != b && stay.Out != b) continue;
            if (stay.From == b && stay.Out != b)
            {
                // Out again when it can be: hands and oven have to agree to that now.
                var out_ = Math.Max(t + day.Blocks[stay.Out].Waits.Where(w => w.Block == b).Select(w => w.Least).DefaultIfEmpty(0).Max(), 0);
                if (day.Blocks[stay.Out].Patience == 0 && NextHands(out_, out_ + day.Blocks[stay.Out].Minutes, at, own) is { } busy) return (false, t + Math.Max(1, busy - out_));
                if (NextOven(stay, t + stay.In, out_ + 1, at, own) is { } then) return (false, Math.Max(t + 1, then - stay.In));
            }
            else if (stay.From == b && NextOven(stay, t + stay.In, t + block.Minutes, at, own) is { } then) return (false, Math.Max(t + 1, then - stay.In));
        }
        return (true, t);
    }

    // When the oven takes this stay, if not between these.
    private int? NextOven(OvenStay stay, int from, int to, int[] at, List<int> own)
    {
        var racks = stay.Racks;
        int? next = null;
        foreach (var other in day.Stays)
        {
            if (other == stay || other.Oven.Id != stay.Oven.Id || at[other.From] == Nowhere || at[other.Out] == Nowhere || !(placed.Contains(other.From) || own.Contains(other.From))) continue;
            var (goesIn, comesOut) = (at[other.From] + other.In, at[other.Out] + 1);
            if (other.Heat is not null && other.Heat == stay.Heat)
            {
                if (from < comesOut && goesIn < to && (racks += other.Racks) > stay.Oven.Racks) next = Math.Max(next ?? 0, comesOut);
                continue;
            }
            if (comesOut + Between(other, stay) <= from || to + Between(stay, other) <= goesIn) continue;
            next = Math.Max(next ?? 0, comesOut + Between(other, stay));
        }
        return next;
    }

    /// <summary>Minutes between two stays that cannot share an oven: to heat it, to cool it, or until it is safe for dough.</summary>
    public static int Between(OvenStay before, OvenStay after) => (before.Heat, after.Heat) switch
    {
        ({ } from, { } to) => (int)Math.Ceiling(after.Oven.Change(from, to).TotalMinutes),
        ({ } from, null) => (int)Math.Ceiling(Proofing.Place.SafeAfter(from, after.Room).TotalMinutes),
        (null, { }) => after.FromCold,
        _ => 0,
    };

    // What came out later than was reckoned when it went in.
    private bool Ovens(int[] at, List<int> own) => day.Stays.Where(s => own.Contains(s.Out)).All(s => NextOven(s, at[s.From] + s.In, s.From == s.Out ? at[s.From] + day.Blocks[s.From].Minutes : at[s.Out] + 1, at, own) is null);

    private bool Machines(int[] at, List<int> own) => day.Machines.Where(m => own.Contains(m.From) || own.Contains(m.To)).All(m =>
        day.Machines.All(o => o == m || o.Machine != m.Machine || at[o.From] == Nowhere || at[o.To] == Nowhere || at[o.To] + o.After <= at[m.From] || at[m.To] + m.After <= at[o.From]));
}
