// A day as a constraint solver has it: what may move, what must hold, what is to be small.
using System.Collections.Immutable;
using System.Globalization;
using Google.OrTools.Sat;

namespace JollyKnot.Core.Days;

/// <summary>A day as the solver has it.</summary>
internal sealed class DayModel
{
    // Beyond the plan that is there nothing is looked for farther than this, min. Ours.
    private const int Beyond = 60;

    // What is worse weighs so much more, where aims are taken together.
    private const long Worse = 100_000;

    private readonly CpModel model = new();
    private readonly List<IntVar> all = [];
    private readonly DayBlocks day;
    private readonly LinearExpr[] at;
    private readonly IntVar?[] free;
    private readonly int horizon;
    private readonly int[] first;
    private readonly List<Goal> goals;

    // What the solver makes small, and the figure that says whether it is nothing.
    private sealed record Goal(LinearExpr Of, Func<DayAims, int> Figure);

    /// <param name="day">The day.</param>
    /// <param name="first">Where blocks are.</param>
    /// <param name="only">Only these bakes may move, and aims are taken together; all when null.</param>
    /// <param name="hurt">Only what spoils bread or keeps people waiting counts.</param>
    public DayModel(DayBlocks day, int[] first, int[]? only = null, bool hurt = false)
    {
        (this.day, this.first) = (day, first);
        horizon =
            Enumerable
                .Range(0, day.Blocks.Length)
                .Select(b => first[b] + day.Blocks[b].Minutes)
                .Concat(day.Ready.SelectMany(r => r).Select(r => first[r.Block] + r.Minutes))
                .Concat(day.Wanted.Select(w => w ?? 0))
                .Max() + Beyond;
        free =
        [
            .. day.Blocks.Select(
                (b, i) =>
                    b.Fixed is null && only?.Contains(b.Bake) != false ? Var(Math.Min(b.From, horizon), horizon, $"s{i}") : null
            ),
        ];
        at = [.. free.Select((v, i) => v is null ? LinearExpr.Constant(first[i]) : LinearExpr.Affine(v, 1, 0))];

        for (var b = 0; b < day.Blocks.Length; b++)
            Order(b);
        Hands(first);
        foreach (var machine in day.Machines.GroupBy(m => m.Machine))
            model.AddNoOverlap(machine.Select(m => Between(at[m.From], at[m.To] + m.After, "m")));
        if (!day.Quiet.IsEmpty)
            foreach (var m in day.Machines)
                model.AddNoOverlap(Closed(day.Quiet).Append(Between(at[m.From] + m.Silent, at[m.To], "q")));
        foreach (var place in day.Rooms.GroupBy(r => r.Place).Where(p => p.Sum(r => r.Trays) > p.First().Holds))
        {
            var room = model.AddCumulative(place.First().Holds);
            foreach (var stay in place)
                room.AddDemand(Between(at[stay.From] + stay.In, at[stay.To], "p"), stay.Trays);
        }
        Ovens = [.. day.Stays.GroupBy(s => s.Oven.Id).Select(o => o.ToArray())];
        foreach (var stays in Ovens)
            Oven(stays);

        Last = Var(0, horizon, "last");
        Begin = Last;
        Readiness();
        goals = Goals(only is not null, hurt);
    }

    /// <summary>Its blocks.</summary>
    public ImmutableArray<Block> Blocks => day.Blocks;

    /// <summary>Its proofs.</summary>
    public ImmutableArray<ProofSpan> Proofs => day.Proofs;

    /// <summary>What each oven holds.</summary>
    public ImmutableArray<OvenStay[]> Ovens { get; }

    /// <summary>How late each bake is that is wanted at a time.</summary>
    public List<LinearExpr> Lates { get; } = [];

    /// <summary>How long each is cool for longer than it may be.</summary>
    public List<LinearExpr> Stales { get; } = [];

    /// <summary>How long each waits, or is waited for.</summary>
    public List<LinearExpr> Waits { get; } = [];

    /// <summary>When the last bread is ready, and wanted.</summary>
    public IntVar Last { get; }

    /// <summary>When the first thing is done.</summary>
    public IntVar Begin { get; private set; }

    /// <summary>When a block begins.</summary>
    public LinearExpr At(int block) => at[block];

    public (int[] Starts, bool Proven) Solve(
        int[] first,
        int?[]? before,
        double effort,
        Action<int[]>? better,
        CancellationToken until
    )
    {
        // A few bakes are found quicker than they are prepared.
        var prepared = goals.Count > 3 ? "" : "cp_model_probing_level:0 max_presolve_iterations:1";
        var (starts, proven, solved) = (first, true, false);
        for (var b = 0; b < free.Length; b++)
            if (free[b] is { } v)
                model.AddHint(v, first[b]);
        foreach (var (aim, figure) in before is null ? goals : goals.Append(new(Moved(before), _ => int.MaxValue)))
        {
            if (until.IsCancellationRequested)
                return (starts, false);
            // What is at nothing is as good as it can be.
            if (solved && figure(DayAims.Of(day, starts)) == 0)
            {
                model.Add(aim <= 0);
                continue;
            }
            model.Minimize(aim);
            var solver = new CpSolver
            {
                StringParameters = string.Create(
                    CultureInfo.InvariantCulture,
                    $"num_workers:1 linearization_level:0 max_deterministic_time:{effort:0.0###} {prepared}"
                ),
            };
            var status = solver.Solve(model);
            if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
                return (starts, false);
            (solved, proven) = (true, proven && status == CpSolverStatus.Optimal);
            starts = [.. free.Select((v, b) => v is null ? first[b] : (int)solver.Value(v))];
            better?.Invoke(starts);
            // The figure is reckoned from the plan, not read from the solver's floating point; and the whole plan is the next
            // aim's hint.
            model.Add(aim <= solver.Value(aim));
            model.ClearHints();
            foreach (var v in all)
                model.AddHint(v, solver.Value(v));
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
            if (free[b] is not null || free[wait.Block] is not null)
                model.Add(at[b] >= at[wait.Block] + Least(b, wait));
        var own = block.Waits.Where(w => !w.Beside).ToList();
        if (free[b] is null || block.Pin is not null || block.Patience is not { } patience || own.Count == 0)
            return;
        if (own.Count == 1 && block.From == 0)
            model.Add(at[b] <= at[own[0].Block] + own[0].Least + patience);
        else
        {
            var soonest = Var(-10_000, horizon, $"e{b}");
            model.AddMaxEquality(soonest, own.Select(w => at[w.Block] + w.Least).Append(LinearExpr.Constant(block.From)));
            model.Add(at[b] <= soonest + patience);
        }
    }

    // A proof may be cut short.
    private int Least(int b, BlockWait wait) =>
        day.Proofs.FirstOrDefault(p => p.To == b && p.From == wait.Block) is { } proof
            ? Math.Min(wait.Least, proof.Early)
            : wait.Least;

    private void Hands(int[] first)
    {
        var busy = new List<IntervalVar>();
        for (var b = 0; b < day.Blocks.Length; b++)
            if (day.Blocks[b].Hands && (free[b] is not null || first[b] + day.Blocks[b].Minutes > 0))
                busy.Add(model.NewFixedSizeIntervalVar(at[b], day.Blocks[b].Minutes, $"h{b}"));
        model.AddNoOverlap(busy.Concat(Closed(day.Away)));
    }

    private IEnumerable<IntervalVar> Closed(IEnumerable<Shut> bands) =>
        bands
            .Where(b => b.To > b.From && b.From < horizon)
            .Select(b => model.NewFixedSizeIntervalVar(LinearExpr.Constant(b.From), b.To - b.From, "shut"));

    private LinearExpr In(OvenStay s) => at[s.From] + s.In;

    private LinearExpr Out(OvenStay s) => s.From == s.Out ? at[s.From] + day.Blocks[s.From].Minutes : at[s.Out] + 1;

    private bool Moves(OvenStay s) => free[s.From] is not null || free[s.Out] is not null;

    private void Oven(OvenStay[] stays)
    {
        for (var i = 0; i < stays.Length; i++)
            for (var k = i + 1; k < stays.Length; k++)
            {
                var (a, b) = (stays[i], stays[k]);
                if ((a.Heat is not null && a.Heat == b.Heat) || !(Moves(a) || Moves(b)))
                    continue;
                // Times between hold to the triangle rule, so pairs are enough.
                var order = Flag($"o{i}.{k}");
                model.Add(Out(a) + OvenTimes.Between(a, b) <= In(b)).OnlyEnforceIf(order);
                model.Add(Out(b) + OvenTimes.Between(b, a) <= In(a)).OnlyEnforceIf(order.Not());
            }
        foreach (
            var heat in stays
                .Where(s => s.Heat is not null)
                .GroupBy(s => s.Heat)
                .Where(g => g.Sum(s => s.Racks) > g.First().Oven.Racks)
        )
        {
            var racks = model.AddCumulative(heat.First().Oven.Racks);
            foreach (var stay in heat)
                racks.AddDemand(Between(In(stay), Out(stay), "r"), Math.Min(stay.Racks, stay.Oven.Racks));
        }
    }

    // What all aims are made of: when each bake is ready, and when the day begins and ends.
    private void Readiness()
    {
        for (var i = 0; i < day.Ready.Length; i++)
        {
            var ready = Var(-10_000, horizon + 10_000, $"ready{i}");
            model.AddMaxEquality(ready, day.Ready[i].Select(r => at[r.Block] + r.Minutes));
            if (day.Wanted[i] is { } wanted)
            {
                Lates.Add(Over(ready - wanted, "late"));
                Waits.Add(Over(wanted - ready, "wait"));
                if (day.Fresh[i] is { } fresh)
                    Stales.Add(Over(wanted - fresh - ready, "stale"));
                model.Add(Last >= wanted);
            }
            else
                Waits.Add(ready);
            model.Add(Last >= ready);
        }
        Begin = Var(0, horizon, "begin");
        for (var b = 0; b < free.Length; b++)
            if (day.Blocks[b].Fixed is null)
                model.Add(Begin <= at[b]);
    }

    // Each aim by itself; or those of a kind together, the worse of them weighing more than minutes of the next ever add up to.
    private List<Goal> Goals(bool together, bool hurt)
    {
        if (!together && !hurt)
            return [.. DayAim.All.Select((aim, i) => new Goal(aim.In(this), aims => aims.Figures[i]))];
        var kinds = DayAim
            .All.Select((aim, i) => (Aim: aim, Place: i))
            .Where(a => !hurt || a.Aim.For == GoodFor.Wish)
            .GroupBy(a => a.Aim.For);
        return [.. kinds.Select(kind => Together([.. kind.Select(a => a.Aim)], [.. kind.Select(a => a.Place)]))];
    }

    private Goal Together(DayAim[] aims, int[] places)
    {
        LinearExpr sum = LinearExpr.Constant(0);
        foreach (var aim in aims)
            sum = sum * Worse + aim.In(this);
        return new(sum, day => places.Sum(p => day.Figures[p]));
    }

    /// <summary>From cold for each load of an oven, or hot since one before came out, whichever is shorter.</summary>
    public IEnumerable<IntVar> Heating(OvenStay[] stays)
    {
        for (var i = 0; i < stays.Length; i++)
        {
            if (day.Blocks[stays[i].From].Fixed is not null)
                continue;
            var heats = Var(0, stays[i].FromCold, $"heat{i}");
            var cold = Flag($"cold{i}");
            model.Add(heats >= stays[i].FromCold).OnlyEnforceIf(cold);
            var ways = new List<ILiteral> { cold };
            for (var k = 0; k < stays.Length; k++)
            {
                if (k == i)
                    continue;
                // Fixed against fixed is known.
                if (
                    !Moves(stays[i])
                    && !Moves(stays[k])
                    && first[stays[k].From] + stays[k].In > first[stays[i].From] + stays[i].In
                )
                    continue;
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
        LinearExpr.Sum(
            Enumerable
                .Range(0, free.Length)
                .Where(b => free[b] is not null && before[b] is not null)
                .SelectMany(b => Off(b, before[b]!.Value))
        );

    /// <summary>How far a block is from this minute.</summary>
    public IntVar[] Off(int b, int from) => [Over(at[b] - from, "later"), Over(from - at[b], "sooner")];

    /// <summary>What something is over nothing.</summary>
    public IntVar Over(LinearExpr of, string name)
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
