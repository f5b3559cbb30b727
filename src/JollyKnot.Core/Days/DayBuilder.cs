// A day put together one bake after the other: each as late as it can be and still be in time, around those already there;
// then one, two or three taken out and put back in another order, for as long as that helps.

namespace JollyKnot.Core.Days;

/// <summary>Puts a day together by hand's rules: quick, always gives a plan, the same for the same day.</summary>
internal sealed class DayBuilder
{
    // How far a bake is begun earlier or later to fit in, and how finely, min; the later the less finely, by a twentieth. Ours.
    private const int Earlier = 8 * 60,
        Later = 48 * 60,
        Fineness = 3,
        Coarser = 20,
        Beyond = 48 * 60;

    // So many bakes are put back at most, all in all: what keeps the quick plan quick. Ours.
    private const int MostPutBack = 1000;

    // What is not there yet; what has begun may have begun before the minute now.
    private const int Nowhere = int.MinValue;

    private readonly DayBlocks day;
    private readonly int bakes;
    private readonly int[] starts;

    // For each minute, by how many things hands are wanted then; nobody being there is one.
    private readonly byte[] busy;

    // The blocks of each bake that have not begun: those done as soon as can be in their order, then those done in time.
    private readonly int[][] own,
        inTime;
    private readonly int[] goesIn,
        comesOut;

    // The stays a block begins or ends; stays of one oven; minutes between two stays.
    private readonly int[][] staysFrom,
        staysOf,
        inOven;
    private readonly int[,] between;

    /// <param name="day">The day.</param>
    public DayBuilder(DayBlocks day)
    {
        (this.day, bakes) = (day, day.Ready.Length);
        var blocks = Enumerable.Range(0, day.Blocks.Length).ToList();
        starts = [.. day.Blocks.Select(b => b.Fixed ?? Nowhere)];
        busy = new byte[
            day.Wanted.Select(w => w ?? 0)
                .Concat(day.Blocks.Select(b => (b.Fixed ?? b.From) + b.Minutes))
                .Concat(day.Away.Where(a => a.From < Beyond).Select(a => a.To))
                .Append(0)
                .Max()
                + Beyond
                + Later
        ];
        foreach (var (from, to) in day.Away)
            Mark(from, to, 1);
        own =
        [
            .. Enumerable
                .Range(0, bakes)
                .Select(i =>
                    Ordered([
                        .. blocks.Where(b => day.Blocks[b].Bake == i && day.Blocks[b].Fixed is null && !day.Blocks[b].InTime),
                    ])
                ),
        ];
        inTime =
        [
            .. Enumerable
                .Range(0, bakes)
                .Select(i =>
                    blocks.Where(b => day.Blocks[b].Bake == i && day.Blocks[b].Fixed is null && day.Blocks[b].InTime).ToArray()
                ),
        ];
        var stays = Enumerable.Range(0, day.Stays.Length).ToList();
        staysFrom = [.. blocks.Select(b => stays.Where(s => day.Stays[s].From == b).ToArray())];
        staysOf = [.. Enumerable.Range(0, bakes).Select(i => stays.Where(s => day.Stays[s].Bake == i).ToArray())];
        inOven = [.. stays.Select(s => stays.Where(o => o != s && day.Stays[o].Oven.Id == day.Stays[s].Oven.Id).ToArray())];
        between = new int[stays.Count, stays.Count];
        foreach (var s in stays)
            foreach (var o in inOven[s])
                between[s, o] = Between(day.Stays[s], day.Stays[o]);
        (goesIn, comesOut) = (new int[stays.Count], new int[stays.Count]);
        Array.Fill(goesIn, Nowhere);
        foreach (var b in blocks.Where(b => day.Blocks[b].Fixed is not null))
            Take(b);
        foreach (var s in stays.Where(s => starts[day.Stays[s].From] != Nowhere && starts[day.Stays[s].Out] != Nowhere))
            Occupy(s);
    }

    /// <summary>The start of each block.</summary>
    public int[] Build()
    {
        // Those under way first, then by when they are wanted.
        var order = Enumerable
            .Range(0, bakes)
            .OrderBy(b => !UnderWay(b))
            .ThenBy(b => day.Wanted[b] ?? 0)
            .ThenBy(b => b)
            .ToArray();
        foreach (var bake in order)
            Place(bake);
        var (best, aims, left) = ((int[])starts.Clone(), DayAims.Of(day, starts), MostPutBack);
        var groups = order
            .Select(b => new[] { b })
            .Concat(order.SelectMany((a, i) => order.Skip(i + 1).SelectMany(b => new[] { new[] { b, a }, [a, b] })))
            .Concat(
                order.SelectMany(a =>
                    order.Where(b => b != a).SelectMany(b => order.Where(c => c != a && c != b).Select(c => new[] { a, b, c }))
                )
            )
            .ToList();
        for (
            var (g, since) = (0, 0);
            since < groups.Count && left > 0 && aims is not { Off: 0, Late: 0, Over: 0, Waits: 0 };
            g = (g + 1) % groups.Count, since++
        )
        {
            foreach (var bake in groups[g])
                Remove(bake);
            foreach (var bake in groups[g])
                Place(bake);
            left -= groups[g].Length;
            if (DayAims.Of(day, starts) is var now && now < aims)
                (best, aims, since) = ((int[])starts.Clone(), now, -1);
            else
                Restore(groups[g], best);
        }
        return best;
    }

    private bool UnderWay(int bake) => day.Blocks.Any(k => k.Bake == bake && k.Fixed is not null);

    // A block waits only for blocks before it, but for what is made in time.
    private int[] Ordered(List<int> left)
    {
        var order = new List<int>();
        while (left.Count > 0)
        {
            var next = left.FirstOrDefault(b => !day.Blocks[b].Waits.Any(w => left.Contains(w.Block)), left[0]);
            left.Remove(next);
            order.Add(next);
        }
        return [.. order];
    }

    private void Mark(int from, int to, int more)
    {
        for (var t = Math.Max(0, from); t < to && t < busy.Length; t++)
            busy[t] = (byte)(busy[t] + more);
    }

    private void Take(int b)
    {
        if (day.Blocks[b].Hands)
            Mark(starts[b], starts[b] + day.Blocks[b].Minutes, 1);
    }

    private void Occupy(int s)
    {
        var stay = day.Stays[s];
        (goesIn[s], comesOut[s]) = (
            starts[stay.From] + stay.In,
            stay.From == stay.Out ? starts[stay.From] + day.Blocks[stay.From].Minutes : starts[stay.Out] + 1
        );
    }

    private void Remove(int bake)
    {
        foreach (var b in own[bake].Concat(inTime[bake]))
        {
            if (day.Blocks[b].Hands && starts[b] != Nowhere)
                Mark(starts[b], starts[b] + day.Blocks[b].Minutes, -1);
            starts[b] = Nowhere;
        }
        foreach (var s in staysOf[bake])
            if (starts[day.Stays[s].From] == Nowhere || starts[day.Stays[s].Out] == Nowhere)
                goesIn[s] = Nowhere;
    }

    private void Restore(int[] group, int[] from)
    {
        foreach (var bake in group)
            Remove(bake);
        foreach (var bake in group)
            Put(bake, from);
    }

    private void Put(int bake, int[] from)
    {
        foreach (var b in own[bake].Concat(inTime[bake]))
        {
            starts[b] = from[b];
            Take(b);
        }
        foreach (var s in staysOf[bake])
            Occupy(s);
    }

    private void Place(int bake)
    {
        if (own[bake].Length + inTime[bake].Length == 0)
            return;
        (int[] Starts, (int Off, int Broken, int Late, int Over, int Waits) Cost)? best = null;
        foreach (var begin in UnderWay(bake) ? [0] : Begins(bake))
        {
            if (!Try(bake, begin, false))
                continue;
            var ready = day.Ready[bake].Max(r => starts[r.Block] + r.Minutes);
            var over = day.Proofs.Where(p => p.Bake == bake).Sum(p => Math.Max(0, starts[p.To] - starts[p.From] - p.Late));
            var cost = (
                Off(bake),
                Broken(bake),
                Math.Max(0, ready - (day.Wanted[bake] ?? 0)),
                over,
                day.Wanted[bake] is { } wanted ? Math.Max(0, wanted - ready) : 0
            );
            if (best is null || cost.CompareTo(best.Value.Cost) < 0)
                best = ([.. starts], cost);
            Remove(bake);
            // Candidates come the latest first: nothing better follows the first that is in time.
            if (best.Value.Cost is (0, 0, 0, 0, _) || (day.Wanted[bake] is null && best.Value.Cost is (0, 0, _, 0, _)))
                break;
        }
        // A bake that meets with what cannot be helped is taken as it comes.
        if (best is null)
            Try(bake, 0, true);
        else
            Put(bake, best.Value.Starts);
    }

    // When to begin: as late as would do if it were alone, then ever earlier, then later than wanted.
    private IEnumerable<int> Begins(int bake)
    {
        if (day.Wanted[bake] is not { } wanted)
        {
            for (var later = 0; later <= Later; later += Math.Max(Fineness, later / Coarser))
                yield return later;
            yield break;
        }
        var latest = Math.Max(0, wanted - Alone(bake));
        for (var earlier = 0; earlier <= Earlier && latest - earlier >= 0; earlier += Fineness)
            yield return latest - earlier;
        if (latest % Fineness != 0)
            yield return 0;
        for (var later = Fineness; later <= Later; later += Math.Max(Fineness, later / Coarser))
            yield return latest + later;
    }

    // How long it takes with nothing in its way.
    private int Alone(int bake)
    {
        var at = new Dictionary<int, int>();
        foreach (var b in own[bake])
            at[b] = day.Blocks[b]
                .Waits.Where(w => at.ContainsKey(w.Block))
                .Select(w => at[w.Block] + w.Least)
                .Append(day.Blocks[b].From)
                .Max();
        return day.Ready[bake].Max(r => (at.TryGetValue(r.Block, out var start) ? start : starts[r.Block]) + r.Minutes);
    }

    // How many minutes of patience are broken, and how far what is pinned is from its pin.
    private int Broken(int bake) =>
        own[bake]
            .Sum(b =>
                day.Blocks[b] is { Patience: { } patience, Pin: null } ? Math.Max(0, starts[b] - Soonest(b) - patience) : 0
            );

    private int Off(int bake) =>
        own[bake].Concat(inTime[bake]).Sum(b => day.Blocks[b].Pin is { } pin ? Math.Abs(starts[b] - pin) : 0);

    private int Earliest(int block) => After(block, day.Blocks[block].Waits);

    // When the dough is there for it, whatever else it waits for: its patience counts from then.
    private int Soonest(int block) => After(block, day.Blocks[block].Waits.Where(w => !w.Beside));

    private int After(int block, IEnumerable<BlockWait> waits)
    {
        var earliest = day.Blocks[block].From;
        foreach (var wait in waits)
            if (starts[wait.Block] != Nowhere)
                earliest = Math.Max(earliest, starts[wait.Block] + wait.Least);
        return earliest;
    }

    // The bake begun then, each block as soon as it can be. False, and nothing of it there, when one cannot within its patience.
    private bool Try(int bake, int begin, bool force)
    {
        if (Walk(bake, begin, force))
            return true;
        Remove(bake);
        return false;
    }

    private bool Walk(int bake, int begin, bool force)
    {
        foreach (var b in own[bake])
        {
            var block = day.Blocks[b];
            var earliest = Math.Max(Earliest(b), block.Waits.All(w => starts[w.Block] == Nowhere) ? begin : 0);
            var patient = Math.Max(Soonest(b), block.Waits.All(w => starts[w.Block] == Nowhere) ? begin : 0);
            var t = Math.Max(earliest, block.Pin ?? int.MinValue);
            while (t < busy.Length)
            {
                if (!force && block.Pin is null && block.Patience is { } patience && t > patient + patience)
                    return false;
                var next = Next(b, t);
                if (next == t)
                    break;
                t = next;
            }
            starts[b] = t;
            Take(b);
            foreach (var s in staysOf[bake])
                if (goesIn[s] == Nowhere && starts[day.Stays[s].From] != Nowhere && starts[day.Stays[s].Out] != Nowhere)
                    Occupy(s);
        }
        // What is made in time: as late as hands allow before what it is for.
        foreach (var b in inTime[bake])
        {
            var latest =
                day.Blocks[b].Pin
                ?? own[bake]
                    .SelectMany(k => day.Blocks[k].Waits.Where(w => w.Block == b).Select(w => starts[k] - w.Least))
                    .DefaultIfEmpty(begin)
                    .Min();
            var (t, least) = (latest, Math.Max(0, day.Blocks[b].From));
            while (t >= least && day.Blocks[b].Hands && BusyUntil(t, t + day.Blocks[b].Minutes) is not null)
                t--;
            if (t < least && !force)
                return false;
            starts[b] = t < least ? Math.Max(0, latest) : t;
            Take(b);
        }
        return force
            || (
                Machines(bake)
                && Rooms(bake)
                && staysOf[bake].All(s => goesIn[s] == Nowhere || NextOven(s, goesIn[s], comesOut[s]) is null)
            );
    }

    // When the hands are free again, if they are not between these.
    private int? BusyUntil(int from, int to)
    {
        for (var t = Math.Min(to, busy.Length) - 1; t >= Math.Max(0, from); t--)
            if (busy[t] > 0)
            {
                while (t < busy.Length && busy[t] > 0)
                    t++;
                return t;
            }
        return null;
    }

    // The minute itself when the block can begin then, else the next to try.
    private int Next(int b, int t)
    {
        var block = day.Blocks[b];
        if (block.Hands && BusyUntil(t, t + block.Minutes) is { } free)
            return free;
        foreach (var s in staysFrom[b])
        {
            var (stay, out_) = (day.Stays[s], t + block.Minutes);
            if (stay.Out != b)
            {
                // Out again when it can be: hands and oven have to agree to that now.
                out_ = t;
                foreach (var wait in day.Blocks[stay.Out].Waits)
                    if (wait.Block == b)
                        out_ = Math.Max(out_, t + wait.Least);
                if (day.Blocks[stay.Out].Patience == 0 && BusyUntil(out_, out_ + day.Blocks[stay.Out].Minutes) is { } then)
                    return t + Math.Max(1, then - out_);
                out_++;
            }
            if (NextOven(s, t + stay.In, out_) is { } oven)
                return Math.Max(t + 1, oven - stay.In);
        }
        return t;
    }

    // When the oven takes this stay, if not between these.
    private int? NextOven(int s, int from, int to)
    {
        var (stay, racks, next) = (day.Stays[s], day.Stays[s].Racks, (int?)null);
        foreach (var o in inOven[s])
        {
            if (goesIn[o] == Nowhere)
                continue;
            var other = day.Stays[o];
            if (other.Heat is not null && other.Heat == stay.Heat)
            {
                if (from < comesOut[o] && goesIn[o] < to && (racks += other.Racks) > stay.Oven.Racks)
                    next = Math.Max(next ?? 0, comesOut[o]);
            }
            else if (comesOut[o] + between[o, s] > from && to + between[s, o] > goesIn[o])
                next = Math.Max(next ?? 0, comesOut[o] + between[o, s]);
        }
        return next;
    }

    /// <summary>Minutes between two stays that cannot share an oven: to heat it, to cool it, or until it is safe for
    /// dough.</summary>
    public static int Between(OvenStay before, OvenStay after) =>
        (before.Heat, after.Heat) switch
        {
            ({ } from, { }) => after.Turns(from),
            ({ } from, null) => UntilSafe(from, after),
            (null, { }) => after.FromCold,
            _ => 0,
        };

    // It may fall while it is about to be made warm.
    private static int UntilSafe(Measures.Temperature from, OvenStay proof) =>
        Math.Max(0, (int)Math.Ceiling(Proofing.Place.SafeAfter(from, proof.Room).TotalMinutes) - proof.Lead);

    private bool Machines(int bake) =>
        day.Machines.All(m =>
            starts[m.From] == Nowhere
            || starts[m.To] == Nowhere
            || day.Blocks[m.From].Bake != bake
            || (
                day.Machines.All(o =>
                    o == m
                    || o.Machine != m.Machine
                    || starts[o.From] == Nowhere
                    || starts[o.To] == Nowhere
                    || starts[o.To] + o.After <= starts[m.From]
                    || starts[m.To] + m.After <= starts[o.From]
                ) && day.Quiet.All(q => starts[m.To] <= q.From || q.To <= starts[m.From] + m.Silent)
            )
        );

    // As many trays as stand anywhere in the time, whether or not all at once.
    private bool Rooms(int bake) =>
        day.Rooms.All(r =>
            day.Blocks[r.To].Bake != bake
            || starts[r.To] == Nowhere
            || r.Trays
                + day.Rooms.Where(o =>
                        o != r
                        && o.Place == r.Place
                        && starts[o.From] != Nowhere
                        && starts[o.To] != Nowhere
                        && starts[o.From] + o.In < starts[r.To]
                        && starts[r.From] + r.In < starts[o.To]
                    )
                    .Sum(o => o.Trays)
                <= r.Holds
        );
}
