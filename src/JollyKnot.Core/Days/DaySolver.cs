// A day made as good as can be by a constraint solver, one aim after the other, from the plan that is there.
using System.Globalization;
using Google.OrTools.Sat;

namespace JollyKnot.Core.Days;

/// <summary>Improves a day and says whether it can be improved further. The solver's types stay in here.</summary>
internal static class DaySolver
{
    // Beyond the plan that is there nothing is looked for farther than this, min. Ours.
    private const int Beyond = 60;

    // More bakes than this are improved a few at a time, with so much effort each. After measured days.
    public const int Whole = 6;
    private const int AtATime = 5, Anyhow = 60;
    private const double EffortForSome = .02;
    // What is worse weighs so much more, where aims are taken together: more than minutes of the next ever add up to.
    private const long Worse = 100_000;

    /// <summary>Whether a day is improved a few bakes at a time.</summary>
    /// <param name="day">The day.</param>
    public static bool InParts(DayBlocks day) => Open(day).Count > Whole;

    private static List<int> Open(DayBlocks day) => [.. day.Blocks.Where(b => b.Fixed is null).Select(b => b.Bake).Distinct()];

    /// <summary>The best starts found, and whether every aim is proven.</summary>
    /// <param name="day">The day.</param>
    /// <param name="first">Starts that keep every rule; or not, then they only give the horizon.</param>
    /// <param name="before">Where blocks were before, so that what need not move stays; null when nothing was.</param>
    /// <param name="effort">Deterministic seconds for each aim; over 0. The same effort gives the same plan.</param>
    /// <param name="better">Told of better starts on the way.</param>
    /// <param name="until">Stops it; what was found until then is given.</param>
    public static (int[] Starts, bool Proven) Improve(DayBlocks day, int[] first, int?[]? before, double effort, Action<int[]>? better, CancellationToken until) =>
        InParts(day) ? (PartByPart(day, first, before, int.MaxValue, better, until), false) : new Day(day, first).Solve(first, before, effort, better, until);

    /// <summary>Better starts of a large day: so many parts of it are tried, and only what spoils bread or keeps people waiting counts.</summary>
    /// <param name="day">The day.</param>
    /// <param name="first">Starts that keep every rule.</param>
    /// <param name="parts">How many parts; over 0. The same number gives the same plan.</param>
    public static int[] Hurry(DayBlocks day, int[] first, int parts) => PartByPart(day, first, null, parts, null, default, true);

    // What is late first, with what is beside it; then neighbours in time, and any few; again from the start when that helped.
    private static int[] PartByPart(DayBlocks day, int[] starts, int?[]? before, int parts, Action<int[]>? better, CancellationToken until, bool onlyHurt = false)
    {
        var (open, best, taken) = (Open(day), DayAims.Of(day, starts), 0);
        for (var helped = true; helped && parts > 0 && !until.IsCancellationRequested;)
        {
            helped = false;
            foreach (var (free, hurt) in Parts().TakeWhile(_ => parts-- > 0 && !until.IsCancellationRequested))
            {
                var (found, _) = new Day(day, starts, free, hurt).Solve(starts, before, EffortForSome, null, until);
                var then = DayAims.Of(day, found);
                if (then >= best) continue;
                (starts, best, helped) = (found, then, true);
                better?.Invoke(starts);
            }
        }
        return starts;

        IEnumerable<(int[] Free, bool Hurt)> Parts()
        {
            foreach (var late in open.Where(i => LateBy(i) > 0).OrderByDescending(LateBy).ToList())
                foreach (var some in Windows().Where(w => w.Contains(late)).Concat(Any(Anyhow / 10).Select(c => c.Append(late).Distinct().ToArray()))) yield return (some, true);
            if (onlyHurt) yield break;
            foreach (var some in Windows().Concat(Any(Anyhow))) yield return (some, false);
        }

        int LateBy(int bake) => day.Wanted[bake] is { } wanted ? day.Ready[bake].Max(r => starts[r.Block] + r.Minutes) - wanted : 0;
        List<int[]> Windows() => open.OrderBy(i => Enumerable.Range(0, starts.Length).Where(b => day.Blocks[b].Bake == i).Min(b => starts[b])).ToArray() is var inTime
            ? [.. Enumerable.Range(0, open.Count - AtATime + 1).Select(i => inTime[i..(i + AtATime)])] : [];
        // Strides that go through all of them in another order each.
        IEnumerable<int[]> Any(int times) => Enumerable.Range(0, times).Select(_ => taken++).Select(k => new[] { k, k * 3 + k / open.Count + 1, k * 5 + 2 }.Select(n => open[n % open.Count]).Distinct().ToArray());
    }

    private sealed class Day
    {
        private readonly CpModel model = new();
        private readonly List<IntVar> all = [];
        private readonly DayBlocks day;
        private readonly LinearExpr[] at;
        private readonly IntVar?[] free;
        private readonly int horizon;
        private readonly List<(LinearExpr Of, Func<DayAims, int> In)> aims;

        /// <param name="day">The day.</param>
        /// <param name="first">Where blocks are.</param>
        /// <param name="only">Only these bakes may move, and aims are taken together; all when null.</param>
        /// <param name="hurt">Only what spoils bread or keeps people waiting counts.</param>
        public Day(DayBlocks day, int[] first, int[]? only = null, bool hurt = false)
        {
            this.day = day;
            horizon = Enumerable.Range(0, day.Blocks.Length).Select(b => first[b] + day.Blocks[b].Minutes)
                .Concat(day.Ready.SelectMany(r => r).Select(r => first[r.Block] + r.Minutes)).Concat(day.Wanted.Select(w => w ?? 0)).Max() + Beyond;
            free = [.. day.Blocks.Select((b, i) => b.Fixed is null && only?.Contains(b.Bake) != false ? Var(Math.Min(b.From, horizon), horizon, $"s{i}") : null)];
            at = [.. free.Select((v, i) => v is null ? LinearExpr.Constant(first[i]) : LinearExpr.Affine(v, 1, 0))];

            for (var b = 0; b < day.Blocks.Length; b++) Order(b);
            Hands(first);
            foreach (var machine in day.Machines.GroupBy(m => m.Machine))
                model.AddNoOverlap(machine.Select(m => Between(at[m.From], at[m.To] + m.After, "m")));
            if (!day.Quiet.IsEmpty)
                foreach (var m in day.Machines) model.AddNoOverlap(Closed(day.Quiet).Append(Between(at[m.From] + m.Silent, at[m.To], "q")));
            foreach (var place in day.Rooms.GroupBy(r => r.Place).Where(p => p.Sum(r => r.Trays) > p.First().Holds))
            {
                var room = model.AddCumulative(place.First().Holds);
                foreach (var stay in place) room.AddDemand(Between(at[stay.From] + stay.In, at[stay.To], "p"), stay.Trays);
            }
            var ovens = day.Stays.GroupBy(s => s.Oven.Id).Select(o => o.ToArray()).ToList();
            ovens.ForEach(Oven);

            aims = Aims(first, ovens, only is not null, hurt);
        }

        public (int[] Starts, bool Proven) Solve(int[] first, int?[]? before, double effort, Action<int[]>? better, CancellationToken until)
        {
            // A few bakes are found quicker than they are prepared.
            var prepared = aims.Count > 3 ? "" : "cp_model_probing_level:0 max_presolve_iterations:1";
            var (starts, proven, solved) = (first, true, false);
            for (var b = 0; b < free.Length; b++) if (free[b] is { } v) model.AddHint(v, first[b]);
            foreach (var (aim, figure) in before is null ? aims : aims.Append((Moved(before), _ => int.MaxValue)))
            {
                if (until.IsCancellationRequested) return (starts, false);
                // What is at nothing is as good as it can be.
                if (solved && figure(DayAims.Of(day, starts)) == 0)
                {
                    model.Add(aim <= 0);
                    continue;
                }
                model.Minimize(aim);
                var solver = new CpSolver { StringParameters = string.Create(CultureInfo.InvariantCulture, $"num_workers:1 linearization_level:0 max_deterministic_time:{effort:0.0###} {prepared}") };
                var status = solver.Solve(model);
                if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible)) return (starts, false);
                (solved, proven) = (true, proven && status == CpSolverStatus.Optimal);
                starts = [.. free.Select((v, b) => v is null ? first[b] : (int)solver.Value(v))];
                better?.Invoke(starts);
                // The figure is reckoned from the plan, not read from the solver's floating point; and the whole plan is the next aim's hint.
                model.Add(aim <= solver.Value(aim));
                model.ClearHints();
                foreach (var v in all) model.AddHint(v, solver.Value(v));
            }
            return (starts, proven);
        }

        private IntVar Var(long least, long most, string name)
        {
            all.Add(model.NewIntVar(least, most, name));
            return all[^1];
        }

        private BoolVar Flag(string name)
        {
            var flag = model.NewBoolVar(name);
            all.Add(flag);
            return flag;
        }

        // A block starts after what it waits for, and no later than its patience.
        private void Order(int b)
        {
            var block = day.Blocks[b];
            foreach (var wait in block.Waits)
                if (free[b] is not null || free[wait.Block] is not null) model.Add(at[b] >= at[wait.Block] + Least(b, wait));
            if (free[b] is null || block.Pin is not null || block.Patience is not { } patience || block.Waits.IsEmpty) return;
            if (block.Waits.Length == 1 && block.From == 0) model.Add(at[b] <= at[block.Waits[0].Block] + block.Waits[0].Least + patience);
            else
            {
                var soonest = Var(-10_000, horizon, $"e{b}");
                model.AddMaxEquality(soonest, block.Waits.Select(w => at[w.Block] + w.Least).Append(LinearExpr.Constant(block.From)));
                model.Add(at[b] <= soonest + patience);
            }
        }

        // A proof may be cut short.
        private int Least(int b, BlockWait wait) => day.Proofs.FirstOrDefault(p => p.To == b && p.From == wait.Block) is { } proof ? Math.Min(wait.Least, proof.Early) : wait.Least;

        private void Hands(int[] first)
        {
            var busy = new List<IntervalVar>();
            for (var b = 0; b < day.Blocks.Length; b++)
                if (day.Blocks[b].Hands && (free[b] is not null || first[b] + day.Blocks[b].Minutes > 0)) busy.Add(model.NewFixedSizeIntervalVar(at[b], day.Blocks[b].Minutes, $"h{b}"));
            model.AddNoOverlap(busy.Concat(Closed(day.Away)));
        }

        private IEnumerable<IntervalVar> Closed(IEnumerable<Shut> bands) =>
            bands.Where(b => b.To > b.From && b.From < horizon).Select(b => model.NewFixedSizeIntervalVar(LinearExpr.Constant(b.From), b.To - b.From, "shut"));

        private LinearExpr In(OvenStay s) => at[s.From] + s.In;
        private LinearExpr Out(OvenStay s) => s.From == s.Out ? at[s.From] + day.Blocks[s.From].Minutes : at[s.Out] + 1;
        private bool Moves(OvenStay s) => free[s.From] is not null || free[s.Out] is not null;

        private void Oven(OvenStay[] stays)
        {
            for (var i = 0; i < stays.Length; i++)
                for (var k = i + 1; k < stays.Length; k++)
                {
                    var (a, b) = (stays[i], stays[k]);
                    if ((a.Heat is not null && a.Heat == b.Heat) || !(Moves(a) || Moves(b))) continue;
                    // Times between hold to the triangle rule, so pairs are enough.
                    var order = Flag($"o{i}.{k}");
                    model.Add(Out(a) + DayBuilder.Between(a, b) <= In(b)).OnlyEnforceIf(order);
                    model.Add(Out(b) + DayBuilder.Between(b, a) <= In(a)).OnlyEnforceIf(order.Not());
                }
            foreach (var heat in stays.Where(s => s.Heat is not null).GroupBy(s => s.Heat).Where(g => g.Sum(s => s.Racks) > g.First().Oven.Racks))
            {
                var racks = model.AddCumulative(heat.First().Oven.Racks);
                foreach (var stay in heat) racks.AddDemand(Between(In(stay), Out(stay), "r"), Math.Min(stay.Racks, stay.Oven.Racks));
            }
        }

        private List<(LinearExpr, Func<DayAims, int>)> Aims(int[] first, List<OvenStay[]> ovens, bool together, bool hurt)
        {
            var (lates, stales, waits) = (new List<LinearExpr>(), new List<LinearExpr>(), new List<LinearExpr>());
            var last = Var(0, horizon, "last");
            for (var i = 0; i < day.Ready.Length; i++)
            {
                var ready = Var(-10_000, horizon + 10_000, $"ready{i}");
                model.AddMaxEquality(ready, day.Ready[i].Select(r => at[r.Block] + r.Minutes));
                if (day.Wanted[i] is { } wanted)
                {
                    lates.Add(Over(ready - wanted, "late"));
                    waits.Add(Over(wanted - ready, "wait"));
                    if (day.Fresh[i] is { } fresh) stales.Add(Over(wanted - fresh - ready, "stale"));
                    model.Add(last >= wanted);
                }
                else waits.Add(ready);
                model.Add(last >= ready);
            }
            var begin = Var(0, horizon, "begin");
            for (var b = 0; b < free.Length; b++)
                if (day.Blocks[b].Fixed is null) model.Add(begin <= at[b]);
            var pins = Enumerable.Range(0, free.Length).Where(b => day.Blocks[b].Pin is not null).SelectMany(b => Off(b, day.Blocks[b].Pin!.Value));
            var (off, late, stale, wait, awake) = (LinearExpr.Sum(pins), LinearExpr.Sum(lates), LinearExpr.Sum(stales), LinearExpr.Sum(waits), last - begin);
            var over = LinearExpr.Sum(day.Proofs.Select(p => Over(at[p.To] - at[p.From] - p.Late, "over")));
            if (hurt) return [(off * (Worse * Worse) + late * Worse + over, a => a.Off + a.Late + a.Over)];
            var under = LinearExpr.Sum(day.Proofs.Select(p => Over(at[p.From] - at[p.To] + p.Best, "under")));
            var heated = LinearExpr.Sum(ovens.SelectMany(o => Heating([.. o.Where(s => s.Heat is not null)], first)));
            return together
                ? [(off * (Worse * Worse) + late * Worse + over, a => a.Off + a.Late + a.Over), (under * (Worse * Worse) + stale * Worse + wait, a => a.Under + a.Waits), (awake * Worse + heated, a => a.Awake + a.Heated)]
                : [(off, a => a.Off), (late, a => a.Late), (over, a => a.Over), (under, a => a.Under), (stale, a => a.Stale), (wait, a => a.Waits), (awake, a => a.Awake), (heated, a => a.Heated)];
        }

        // From cold for each load, or hot since one before came out, whichever is shorter.
        private IEnumerable<IntVar> Heating(OvenStay[] stays, int[] first)
        {
            for (var i = 0; i < stays.Length; i++)
            {
                if (day.Blocks[stays[i].From].Fixed is not null) continue;
                var heats = Var(0, stays[i].FromCold, $"heat{i}");
                var cold = Flag($"cold{i}");
                model.Add(heats >= stays[i].FromCold).OnlyEnforceIf(cold);
                var ways = new List<ILiteral> { cold };
                for (var k = 0; k < stays.Length; k++)
                {
                    if (k == i) continue;
                    // Fixed against fixed is known.
                    if (!Moves(stays[i]) && !Moves(stays[k]) && first[stays[k].From] + stays[k].In > first[stays[i].From] + stays[i].In) continue;
                    var hot = Flag($"hot{i}.{k}");
                    model.Add(In(stays[k]) + (k < i ? 0 : 1) <= In(stays[i])).OnlyEnforceIf(hot);
                    model.Add(heats >= In(stays[i]) - Out(stays[k])).OnlyEnforceIf(hot);
                    ways.Add(hot);
                }
                model.AddExactlyOne(ways);
                yield return heats;
            }
        }

        private LinearExpr Moved(int?[] before) =>
            LinearExpr.Sum(Enumerable.Range(0, free.Length).Where(b => free[b] is not null && before[b] is not null).SelectMany(b => Off(b, before[b]!.Value)));

        private IntVar[] Off(int b, int from) => [Over(at[b] - from, "later"), Over(from - at[b], "sooner")];

        // What something is over nothing.
        private IntVar Over(LinearExpr of, string name)
        {
            var over = Var(0, 4 * horizon + 20_000, name);
            model.Add(over >= of);
            return over;
        }

        private IntervalVar Between(LinearExpr from, LinearExpr to, string name)
        {
            var size = Var(0, 4 * horizon + 20_000, name + "l");
            var end = Var(-20_000, 4 * horizon + 20_000, name + "e");
            model.Add(end == to);
            return model.NewIntervalVar(from, size, end, name);
        }
    }
}
