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
    private readonly Job[] jobs;
    private readonly int[] starts;
    private readonly HandsTime hands;
    private readonly OvenTimes ovens;

    /// <param name="day">The day.</param>
    public DayBuilder(DayBlocks day)
    {
        this.day = day;
        jobs = [.. Enumerable.Range(0, day.Ready.Length).Select(b => new Job(b, day))];
        starts = [.. day.Blocks.Select(b => b.Fixed ?? Nowhere)];
        hands = new(LastMinute() + Beyond + Later);
        ovens = new(day);
        foreach (var (from, to) in day.Away)
            hands.Take(from, to);
        for (var b = 0; b < starts.Length; b++)
            if (IsThere(b))
                TakeHands(b);
        foreach (var stay in Enumerable.Range(0, day.Stays.Length))
            TakeOven(stay);
    }

    // What of a bake is still to be put somewhere.
    private sealed class Job
    {
        public Job(int bake, DayBlocks day)
        {
            Bake = bake;
            var all = Enumerable.Range(0, day.Blocks.Length).Where(b => day.Blocks[b].Bake == bake).ToList();
            var open = all.Where(b => day.Blocks[b].Fixed is null).ToList();
            UnderWay = open.Count < all.Count;
            InOrder = Ordered([.. open.Where(b => !day.Blocks[b].InTime)], day);
            InTime = [.. open.Where(b => day.Blocks[b].InTime)];
            Stays = [.. Enumerable.Range(0, day.Stays.Length).Where(s => day.Stays[s].Bake == bake)];
        }

        public int Bake { get; }

        // Some of it has begun.
        public bool UnderWay { get; }

        // Blocks done as soon as can be, each after those it waits for; and those done in time for others.
        public int[] InOrder { get; }

        public int[] InTime { get; }

        public IEnumerable<int> Open => InOrder.Concat(InTime);

        public int[] Stays { get; }

        // A block waits only for blocks before it, but for what is made in time.
        private static int[] Ordered(List<int> left, DayBlocks day)
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
    }

    private int LastMinute() =>
        day
            .Wanted.Select(w => w ?? 0)
            .Concat(day.Blocks.Select(b => (b.Fixed ?? b.From) + b.Minutes))
            .Concat(day.Away.Where(a => a.From < Beyond).Select(a => a.To))
            .Append(0)
            .Max();

    /// <summary>The start of each block.</summary>
    public int[] Build()
    {
        // Those under way first, then by when they are wanted.
        var order = jobs.OrderBy(j => !j.UnderWay).ThenBy(j => day.Wanted[j.Bake] ?? 0).ThenBy(j => j.Bake).ToArray();
        foreach (var job in order)
            Place(job);
        return Improved([.. Groups(order)]);
    }

    // Which are taken out together, and in which order they are put back.
    private static IEnumerable<Job[]> Groups(Job[] order)
    {
        foreach (var job in order)
            yield return [job];
        for (var i = 0; i < order.Length; i++)
            foreach (var other in order.Skip(i + 1))
            {
                yield return [other, order[i]];
                yield return [order[i], other];
            }
        foreach (var a in order)
            foreach (var b in order.Where(b => b != a))
                foreach (var c in order.Where(c => c != a && c != b))
                    yield return [a, b, c];
    }

    // Round the groups until none of them made the day better, nothing is wrong with it, or enough was tried.
    private int[] Improved(Job[][] groups)
    {
        var (best, aims) = ((int[])starts.Clone(), DayAims.Of(day, starts));
        var (left, group, since) = (MostPutBack, 0, 0);
        while (since < groups.Length && left > 0 && aims is not { Off: 0, Late: 0, Over: 0, Waits: 0 })
        {
            foreach (var job in groups[group])
                Remove(job);
            foreach (var job in groups[group])
                Place(job);
            left -= groups[group].Length;
            since++;
            if (DayAims.Of(day, starts) is var now && now < aims)
                (best, aims, since) = ((int[])starts.Clone(), now, 0);
            else
                Restore(groups[group], best);
            group = (group + 1) % groups.Length;
        }
        return best;
    }

    private bool IsThere(int block) => starts[block] != Nowhere;

    private void TakeHands(int b)
    {
        if (day.Blocks[b].Hands)
            hands.Take(starts[b], starts[b] + day.Blocks[b].Minutes);
    }

    // As soon as it is known when it goes in and comes out.
    private void TakeOven(int s)
    {
        var stay = day.Stays[s];
        if (ovens.Has(s) || !IsThere(stay.From) || !IsThere(stay.Out))
            return;
        var end = stay.From == stay.Out ? starts[stay.From] + day.Blocks[stay.From].Minutes : starts[stay.Out] + 1;
        ovens.Take(s, starts[stay.From] + stay.In, end);
    }

    private void Remove(Job job)
    {
        foreach (var b in job.Open)
        {
            if (day.Blocks[b].Hands && IsThere(b))
                hands.Give(starts[b], starts[b] + day.Blocks[b].Minutes);
            starts[b] = Nowhere;
        }
        foreach (var s in job.Stays.Where(s => !IsThere(day.Stays[s].From) || !IsThere(day.Stays[s].Out)))
            ovens.Give(s);
    }

    private void Restore(Job[] group, int[] from)
    {
        foreach (var job in group)
            Remove(job);
        foreach (var job in group)
            Put(job, from);
    }

    private void Put(Job job, int[] from)
    {
        foreach (var b in job.Open)
        {
            starts[b] = from[b];
            TakeHands(b);
        }
        foreach (var s in job.Stays)
            TakeOven(s);
    }

    // What is against a bake as it was put, the gravest first: minutes from its pins, of patience broken, late, over, early.
    private readonly record struct Against(int Off, int Broken, int Late, int Over, int Early) : IComparable<Against>
    {
        public int CompareTo(Against other) =>
            (Off, Broken, Late, Over, Early).CompareTo((other.Off, other.Broken, other.Late, other.Over, other.Early));
    }

    private void Place(Job job)
    {
        if (!job.Open.Any())
            return;
        int[]? best = null;
        var least = default(Against);
        foreach (var begin in job.UnderWay ? [0] : Begins(job))
        {
            if (!Try(job, begin, false))
                continue;
            var against = AgainstIt(job);
            if (best is null || against.CompareTo(least) < 0)
                (best, least) = ([.. starts], against);
            Remove(job);
            // Candidates come the latest first: nothing better follows the first that is in time.
            if (least is { Off: 0, Broken: 0, Over: 0 } && (least.Late == 0 || day.Wanted[job.Bake] is null))
                break;
        }
        // A bake that meets with what cannot be helped is taken as it comes.
        if (best is null)
            Try(job, 0, true);
        else
            Put(job, best);
    }

    private Against AgainstIt(Job job)
    {
        var ready = day.Ready[job.Bake].Max(r => starts[r.Block] + r.Minutes);
        var wanted = day.Wanted[job.Bake];
        return new(
            job.Open.Sum(b => day.Blocks[b].Pin is { } pin ? Math.Abs(starts[b] - pin) : 0),
            job.InOrder.Sum(Impatience),
            Math.Max(0, ready - (wanted ?? 0)),
            day.Proofs.Where(p => p.Bake == job.Bake).Sum(p => Math.Max(0, starts[p.To] - starts[p.From] - p.Late)),
            Math.Max(0, (wanted ?? ready) - ready)
        );
    }

    // Minutes of patience that are broken.
    private int Impatience(int b) =>
        day.Blocks[b] is { Patience: { } patience, Pin: null } ? Math.Max(0, starts[b] - Soonest(b) - patience) : 0;

    // When to begin: as late as would do if it were alone, then ever earlier, then later than wanted.
    private IEnumerable<int> Begins(Job job)
    {
        if (day.Wanted[job.Bake] is not { } wanted)
        {
            for (var later = 0; later <= Later; later += Math.Max(Fineness, later / Coarser))
                yield return later;
            yield break;
        }
        var latest = Math.Max(0, wanted - Alone(job));
        for (var earlier = 0; earlier <= Earlier && latest - earlier >= 0; earlier += Fineness)
            yield return latest - earlier;
        if (latest % Fineness != 0)
            yield return 0;
        for (var later = Fineness; later <= Later; later += Math.Max(Fineness, later / Coarser))
            yield return latest + later;
    }

    // How long it takes with nothing in its way.
    private int Alone(Job job)
    {
        var at = new Dictionary<int, int>();
        foreach (var b in job.InOrder)
            at[b] = day.Blocks[b]
                .Waits.Where(w => at.ContainsKey(w.Block))
                .Select(w => at[w.Block] + w.Least)
                .Append(day.Blocks[b].From)
                .Max();
        return day.Ready[job.Bake].Max(r => (at.TryGetValue(r.Block, out var start) ? start : starts[r.Block]) + r.Minutes);
    }

    private int Earliest(int block) => After(block, day.Blocks[block].Waits);

    // When the dough is there for it, whatever else it waits for: its patience counts from then.
    private int Soonest(int block) => After(block, day.Blocks[block].Waits.Where(w => !w.Beside));

    private int After(int block, IEnumerable<BlockWait> waits)
    {
        var earliest = day.Blocks[block].From;
        foreach (var wait in waits)
            if (IsThere(wait.Block))
                earliest = Math.Max(earliest, starts[wait.Block] + wait.Least);
        return earliest;
    }

    // The bake begun then, each block as soon as it can be. False, and nothing of it there, when one cannot within its patience.
    private bool Try(Job job, int begin, bool force)
    {
        if (job.InOrder.All(b => PutSoon(b, job, begin, force)) && job.InTime.All(b => PutInTime(b, job, begin, force)))
            if (force || (Machines(job) && Rooms(job) && job.Stays.All(ovens.Goes)))
                return true;
        Remove(job);
        return false;
    }

    // As soon as hands and ovens allow.
    private bool PutSoon(int b, Job job, int begin, bool force)
    {
        var block = day.Blocks[b];
        var notBefore = block.Waits.Any(w => IsThere(w.Block)) ? 0 : begin;
        var patient = block.Pin is null && !force ? block.Patience : null;
        var last = patient is { } patience ? Math.Max(Soonest(b), notBefore) + patience : int.MaxValue;
        var t = Math.Max(Math.Max(Earliest(b), notBefore), block.Pin ?? int.MinValue);
        while (t < hands.End)
        {
            if (t > last)
                return false;
            var next = Next(b, t);
            if (next == t)
                break;
            t = next;
        }
        starts[b] = t;
        TakeHands(b);
        foreach (var s in job.Stays)
            TakeOven(s);
        return true;
    }

    // As late as hands allow before what it is for.
    private bool PutInTime(int b, Job job, int begin, bool force)
    {
        var block = day.Blocks[b];
        var latest =
            block.Pin
            ?? job.InOrder.SelectMany(k => day.Blocks[k].Waits.Where(w => w.Block == b).Select(w => starts[k] - w.Least))
                .DefaultIfEmpty(begin)
                .Min();
        var (t, least) = (latest, Math.Max(0, block.From));
        while (t >= least && block.Hands && hands.BusyUntil(t, t + block.Minutes) is not null)
            t--;
        if (t < least && !force)
            return false;
        starts[b] = t < least ? Math.Max(0, latest) : t;
        TakeHands(b);
        return true;
    }

    // The minute itself when the block can begin then, else the next to try.
    private int Next(int b, int t)
    {
        var block = day.Blocks[b];
        if (block.Hands && hands.BusyUntil(t, t + block.Minutes) is { } free)
            return free;
        for (var s = 0; s < day.Stays.Length; s++)
            if (day.Stays[s].From == b && NextForOven(s, b, t) is { } next)
                return next;
        return t;
    }

    // The next minute to try where what goes in with this block cannot at this one; null when it can.
    private int? NextForOven(int s, int b, int t)
    {
        var stay = day.Stays[s];
        var end = t + day.Blocks[b].Minutes;
        if (stay.Out != b)
        {
            // Out again when it can be: hands and oven have to agree to that now.
            var (outAt, unload) = (t, day.Blocks[stay.Out]);
            foreach (var wait in unload.Waits)
                if (wait.Block == b)
                    outAt = Math.Max(outAt, t + wait.Least);
            if (unload.Patience == 0 && hands.BusyUntil(outAt, outAt + unload.Minutes) is { } free)
                return t + Math.Max(1, free - outAt);
            end = outAt + 1;
        }
        return ovens.Next(s, t + stay.In, end) is { } oven ? Math.Max(t + 1, oven - stay.In) : null;
    }

    private bool Machines(Job job) => day.Machines.All(m => !IsOf(job, m) || Goes(m));

    private bool IsOf(Job job, MachineStay m) => IsThere(m.From) && IsThere(m.To) && day.Blocks[m.From].Bake == job.Bake;

    // No other dough is in it, and it is quiet when it has to be.
    private bool Goes(MachineStay m) =>
        day.Machines.All(o => o == m || o.Machine != m.Machine || !IsThere(o.From) || !IsThere(o.To) || Apart(m, o))
        && day.Quiet.All(q => starts[m.To] <= q.From || q.To <= starts[m.From] + m.Silent);

    private bool Apart(MachineStay a, MachineStay b) =>
        starts[b.To] + b.After <= starts[a.From] || starts[a.To] + a.After <= starts[b.From];

    // As many trays as stand anywhere in the time, whether or not all at once.
    private bool Rooms(Job job) =>
        day.Rooms.All(r =>
            day.Blocks[r.To].Bake != job.Bake
            || !IsThere(r.To)
            || r.Trays + day.Rooms.Where(o => o != r && o.Place == r.Place && Meets(o, r)).Sum(o => o.Trays) <= r.Holds
        );

    private bool Meets(PlaceStay a, PlaceStay b) =>
        IsThere(a.From) && IsThere(a.To) && starts[a.From] + a.In < starts[b.To] && starts[b.From] + b.In < starts[a.To];
}
