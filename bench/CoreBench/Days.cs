// Times whole days: seeded random ones of so many doughs, ordinary and tight, by the quick plan and by the solver.
using System.Collections.Immutable;
using System.Diagnostics;
using JollyKnot.Core.Days;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Demo;

internal static class Days
{
    private static readonly (int Dough, string Family)[] Breads =
    [
        (0, "pan-roll"),
        (1, "pretzel"),
        (2, "plait-3"),
        (3, "pocket-flatbread"),
        (4, "round-bun"),
        (5, "crusty-roll"),
        (8, "knot"),
        (9, "coil"),
    ];

    private static readonly DateTimeOffset Now = new(2026, 11, 28, 6, 0, 0, TimeSpan.Zero);
    private static readonly double[] Looks = [.1, 1, 2, 10];
    private const double Longer = 6;

    /// <summary>Times days of these sizes, of one kind or of both; a large day is improved for at most so long.</summary>
    public static void Run(int[] sizes, int days, double seconds, string? only)
    {
        DayPlan.Best(Day(new(0), 3, 90), Now);
        Console.WriteLine(
            "doughs | days | first plan ms, median and worst | proven in 1 s | late, over, under, waiting min a day: "
                + "first plan | "
                + string.Join(" | ", Looks.Select(l => $"off the best known at {l} s"))
                + " | best known"
        );
        foreach (var doughs in sizes)
        foreach (var (kind, minutes) in new[] { ("ordinary", 150), ("tight", 75) }.Where(k => only is null || k.Item1 == only))
        {
            var random = new Random(doughs);
            var runs = Enumerable.Range(0, days).Select(_ => Timed(Day(random, doughs, minutes), seconds)).ToList();
            var first = runs.Select(r => r.Plans[0].At).Order().ToList();
            Console.WriteLine(
                $"{doughs} | {days} {kind} | {first[first.Count / 2]:0.0}, {first[^1]:0} | "
                    + $"{runs.Count(r => r.Proven <= 1000)} | {Mean(runs.Select(r => r.Plans[0].Aims))} | "
                    + string.Join(" | ", Looks.Select(l => Off(runs, l * 1000)))
                    + $" | {Mean(runs.Select(r => r.Plans[^1].Aims))}"
            );
        }
    }

    private sealed record Timing(List<(double At, DayAims Aims)> Plans, double Proven);

    private static Timing Timed(ImmutableArray<DayBake> day, double seconds)
    {
        var from = Stopwatch.GetTimestamp();
        double Since() => Stopwatch.GetElapsedTime(from).TotalMilliseconds;
        var plans = new List<(double, DayAims)>();
        var first = DayPlan.Of(day, Now);
        plans.Add((Since(), first.Aims));
        using var until = new CancellationTokenSource(TimeSpan.FromSeconds(seconds));
        var best = DayPlan.Best(day, Now, first: first, better: p => plans.Add((Since(), p.Aims)), until: until.Token);
        var proven = best.Proven ? Since() : double.MaxValue;
        plans.Add((Since(), best.Aims));
        // What is known after much longer.
        if (!best.Proven && day.Length <= 6 && DayPlan.Best(day, Now, effort: Longer).Aims is var known && known < best.Aims)
            plans.Add((double.MaxValue, known));
        return new(plans, proven);
    }

    private static string Mean(IEnumerable<DayAims> of) =>
        of.ToList() is var all
            ? string.Join(
                ", ",
                new Func<DayAims, int>[] { a => a.Late, a => a.Over, a => a.Under, a => a.Waits }.Select(f =>
                    all.Average(f).ToString("0.0")
                )
            )
            : "";

    private static string Off(List<Timing> runs, double at) =>
        string.Join(
            ", ",
            new Func<DayAims, int>[] { a => a.Late, a => a.Over, a => a.Under, a => a.Waits }.Select(f =>
                runs.Average(r => f(r.Plans.Last(p => p.At <= at || p == r.Plans[0]).Aims) - f(r.Plans[^1].Aims)).ToString("0.0")
            )
        );

    // Wanted at any time from four hours on, so many minutes more for each further dough.
    private static ImmutableArray<DayBake> Day(Random random, int doughs, int minutes) =>
        [
            .. Enumerable
                .Range(0, doughs)
                .Select(_ =>
                {
                    var (dough, family) = Breads[random.Next(Breads.Length)];
                    var machines = DemoWorld
                        .Kitchen.Machines.Where(m => m.Refuses(Formula.Of(DemoWorld.Doughs[dough].Dough)) is null)
                        .ToList();
                    var choice = new BakeChoice(
                        machines[random.Next(machines.Count)].Id,
                        "wall",
                        random.Next(3) == 0 ? "oven-light" : "counter",
                        ReadyBy: Now.AddMinutes(240 + random.Next(minutes * doughs))
                    )
                    {
                        Cuts = [new(family)],
                    };
                    var spec = BakeDecision.Of(DemoWorld.Doughs[dough].Dough, choice, DemoWorld.Kitchen, Now).Value;
                    return new DayBake(spec, SoFar.Nothing(Now), Layout.Of(spec, Now).Plan.Start);
                }),
        ];
}
