// A day made as good as can be by a constraint solver, one aim after the other, from the plan that is there.
using System.Collections.Immutable;
using System.Globalization;
using Google.OrTools.Sat;

namespace JollyKnot.Core.Scheduling;

/// <summary>Improves a day and says whether it can be improved further. The solver's types stay in here.</summary>
internal static class DaySolver
{
    // Beyond the plan that is there nothing is looked for farther than this, min. Ours.
    private const int Beyond = 60;

    /// <summary>The best starts found, and whether every aim is proven.</summary>
    /// <param name="day">The day.</param>
    /// <param name="away">Minutes without hands.</param>
    /// <param name="first">Starts that keep every rule; or not, then they only give the horizon.</param>
    /// <param name="before">Where blocks were before, so that what need not move stays; null when nothing was.</param>
    /// <param name="effort">Deterministic seconds for each aim; over 0. The same effort gives the same plan.</param>
    public static (int[] Starts, bool Proven) Improve(DayBlocks day, ImmutableArray<(int From, int To)> away, int[] first, int?[]? before, double effort)
    {
        var model = new Day(day, away, first);
        return model.Solve(first, before, effort);
    }

    private sealed class Day
    {
        private readonly CpModel model = new();
        private readonly DayBlocks day;
        private readonly LinearExpr[] at;
        private readonly IntVar?[] free;
        private readonly int horizon;
        private readonly LinearExpr late, over, waits, awake;

        public Day(DayBlocks day, ImmutableArray<(int From, int To)> away, int[] first)
        {
            this.day = day;
            horizon = Enumerable.Range(0, day.Blocks.Length).Select(b => first[b] + day.Blocks[b].Minutes)
                .Concat(day.Ready.SelectMany(r => r).Select(r => first[r.Block] + r.Minutes)).Concat(day.Wanted.Select(w => w ?? 0)).Max() + Beyond;
            free = [.. day.Blocks.Select((b, i) => b.Fixed is null ? model.NewIntVar(Math.Min(b.From, horizon), horizon, $"s{i}") : null)];
            at = [.. day.Blocks.Select((b, i) => free[i] is { } v ? LinearExpr.Affine(v, 1, 0) : LinearExpr.Constant(b.Fixed!.Value))];

            for (var b = 0; b < day.Blocks.Length; b++) Order(b);
            Hands(away);
            foreach (var machine in day.Machines.GroupBy(m => m.Machine))
                model.AddNoOverlap(machine.Select(m => Between(at[m.From], at[m.To] + m.After, "m")));
            foreach (var oven in day.Stays.GroupBy(s => s.Oven.Id)) Oven([.. oven]);

            (late, over, waits, awake) = Aims();
        }

        public (int[] Starts, bool Proven) Solve(int[] first, int?[]? before, double effort)
        {
            var starts = first;
            for (var b = 0; b < free.Length; b++) if (free[b] is { } v) model.AddHint(v, first[b]);
            var proven = true;
            var moved = before is null ? null : Moved(before);
            foreach (var aim in new[] { late, over, waits, awake, moved })
            {
                if (aim is null) continue;
                model.Minimize(aim);
                var solver = new CpSolver { StringParameters = string.Create(CultureInfo.InvariantCulture, $"num_workers:1 linearization_level:0 max_deterministic_time:{effort:0.0###}") };
                var status = solver.Solve(model);
                if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible)) return (starts, false);
                proven &= status == CpSolverStatus.Optimal;
                starts = [.. free.Select((v, b) => v is null ? day.Blocks[b].Fixed!.Value : (int)solver.Value(v))];
                // The figure is reckoned from the plan, not read from the solver's floating point.
                model.Add(aim <= (int)solver.Value(aim));
                model.ClearHints();
                for (var b = 0; b < free.Length; b++) if (free[b] is { } v) model.AddHint(v, starts[b]);
            }
            return (starts, proven);
        }

        // A block starts after what it waits for, and no later than its patience.
        private void Order(int b)
        {
            var block = day.Blocks[b];
            if (free[b] is null) return;
            foreach (var wait in block.Waits) model.Add(at[b] >= at[wait.Block] + wait.Least);
            if (block.Patience is not { } patience || block.Waits.IsEmpty) return;
            if (block.Waits.Length == 1 && block.From == 0) model.Add(at[b] <= at[block.Waits[0].Block] + block.Waits[0].Least + patience);
            else
            {
                var soonest = model.NewIntVar(-10_000, horizon, $"e{b}");
                model.AddMaxEquality(soonest, block.Waits.Select(w => at[w.Block] + w.Least).Append(LinearExpr.Constant(block.From)));
                model.Add(at[b] <= soonest + patience);
            }
        }

        private void Hands(ImmutableArray<(int From, int To)> away)
        {
            var busy = new List<IntervalVar>();
            for (var b = 0; b < day.Blocks.Length; b++)
                if (day.Blocks[b].Hands && (free[b] is not null || day.Blocks[b].Fixed + day.Blocks[b].Minutes > 0)) busy.Add(model.NewFixedSizeIntervalVar(at[b], day.Blocks[b].Minutes, $"h{b}"));
            foreach (var (from, to) in away)
                if (to > from && from < horizon) busy.Add(model.NewFixedSizeIntervalVar(LinearExpr.Constant(from), to - from, "a"));
            model.AddNoOverlap(busy);
        }

        private void Oven(OvenStay[] stays)
        {
            LinearExpr In(OvenStay s) => at[s.From] + s.In;
            LinearExpr Out(OvenStay s) => s.From == s.Out ? at[s.From] + day.Blocks[s.From].Minutes : at[s.Out] + 1;
            for (var i = 0; i < stays.Length; i++)
                for (var k = i + 1; k < stays.Length; k++)
                {
                    var (a, b) = (stays[i], stays[k]);
                    if (a.Heat is not null && a.Heat == b.Heat) continue;
                    // Times between hold to the triangle rule, so pairs are enough.
                    var order = model.NewBoolVar($"o{i}.{k}");
                    model.Add(Out(a) + DayBuilder.Between(a, b) <= In(b)).OnlyEnforceIf(order);
                    model.Add(Out(b) + DayBuilder.Between(b, a) <= In(a)).OnlyEnforceIf(order.Not());
                }
            foreach (var heat in stays.Where(s => s.Heat is not null).GroupBy(s => s.Heat).Where(g => g.Sum(s => s.Racks) > g.First().Oven.Racks))
            {
                var racks = model.AddCumulative(heat.First().Oven.Racks);
                foreach (var stay in heat) racks.AddDemand(Between(In(stay), Out(stay), "r"), Math.Min(stay.Racks, stay.Oven.Racks));
            }
        }

        private (LinearExpr Late, LinearExpr Over, LinearExpr Waits, LinearExpr Awake) Aims()
        {
            var (lates, waits) = (new List<LinearExpr>(), new List<LinearExpr>());
            var last = model.NewIntVar(0, horizon, "last");
            for (var i = 0; i < day.Ready.Length; i++)
            {
                var ready = model.NewIntVar(-10_000, horizon + 10_000, $"ready{i}");
                model.AddMaxEquality(ready, day.Ready[i].Select(r => at[r.Block] + r.Minutes));
                if (day.Wanted[i] is { } wanted)
                {
                    lates.Add(Over(ready - wanted, "late"));
                    waits.Add(Over(wanted - ready, "wait"));
                    model.Add(last >= wanted);
                }
                else waits.Add(ready);
                model.Add(last >= ready);
            }
            var overs = day.Proofs.Select(p => Over(at[p.To] - at[p.From] - p.Late, "over")).ToList();
            var begin = model.NewIntVar(0, horizon, "begin");
            foreach (var v in free.OfType<IntVar>()) model.Add(begin <= v);
            return (LinearExpr.Sum(lates), LinearExpr.Sum(overs), LinearExpr.Sum(waits), last - begin);
        }

        private LinearExpr Moved(int?[] before) =>
            LinearExpr.Sum(Enumerable.Range(0, free.Length).Where(b => free[b] is not null && before[b] is not null).SelectMany(b => new[] { Over(at[b] - before[b]!.Value, "later"), Over(before[b]!.Value - at[b], "sooner") }));

        // What something is over nothing.
        private IntVar Over(LinearExpr of, string name)
        {
            var over = model.NewIntVar(0, 4 * horizon + 20_000, name);
            model.Add(over >= of);
            return over;
        }

        private IntervalVar Between(LinearExpr from, LinearExpr to, string name)
        {
            var size = model.NewIntVar(0, 4 * horizon + 20_000, name + "l");
            var end = model.NewIntVar(-20_000, 4 * horizon + 20_000, name + "e");
            model.Add(end == to);
            return model.NewIntervalVar(from, size, end, name);
        }
    }
}
