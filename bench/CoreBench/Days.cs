// Times whole days: seeded random ones of so many doughs, by the quick plan and by the solver.
using System.Collections.Immutable;
using System.Diagnostics;
using JollyKnot.Core.Scheduling;
using JollyKnot.Server.Demo;

internal static class Days
{
    private static readonly (int Dough, string Family)[] Breads =
        [(0, "pan-roll"), (1, "pretzel"), (2, "plait-3"), (3, "pocket-flatbread"), (4, "round-bun"), (5, "crusty-roll"), (8, "knot"), (9, "coil")];

    public static void Run()
    {
        var now = new DateTimeOffset(2026, 11, 28, 6, 0, 0, TimeSpan.Zero);
        DayPlan.Best(Day(new(0), 3, now), now);
        Console.WriteLine("doughs | first plan ms, median and worst | solver ms, median and worst | proven | late min first, best | over min first, best");
        foreach (var (doughs, days) in new[] { (1, 40), (3, 40), (6, 20), (12, 8) })
        {
            var random = new Random(doughs);
            var (first, best, proven, late, over) = (new List<double>(), new List<double>(), 0, (First: 0, Best: 0), (First: 0, Best: 0));
            for (var i = 0; i < days; i++)
            {
                var day = Day(random, doughs, now);
                var (quick, took) = Timed(() => DayPlan.Of(day, now));
                var (slow, longer) = Timed(() => DayPlan.Best(day, now));
                first.Add(took);
                best.Add(longer);
                proven += slow.Proven ? 1 : 0;
                late = (late.First + quick.Aims.Late, late.Best + slow.Aims.Late);
                over = (over.First + quick.Aims.Over, over.Best + slow.Aims.Over);
            }
            Console.WriteLine($"{doughs} | {Middle(first):0.0}, {first.Max():0} | {Middle(best):0}, {best.Max():0} | {proven} of {days} | {late.First}, {late.Best} | {over.First}, {over.Best}");
        }
    }

    private static double Middle(List<double> of) => of.Order().ElementAt(of.Count / 2);

    private static (DayPlan Plan, double Milliseconds) Timed(Func<DayPlan> run)
    {
        var from = Stopwatch.GetTimestamp();
        var plan = run();
        return (plan, Stopwatch.GetElapsedTime(from).TotalMilliseconds);
    }

    // Wanted at any time from four hours on, an hour and a half more for each further dough.
    private static ImmutableArray<DayBake> Day(Random random, int doughs, DateTimeOffset now) =>
        [.. Enumerable.Range(0, doughs).Select(_ =>
        {
            var (dough, family) = Breads[random.Next(Breads.Length)];
            var choice = new BakeChoice(dough == 3 && random.Next(2) == 0 ? "white" : "blue", "wall", random.Next(3) == 0 ? "oven-light" : "counter", ReadyBy: now.AddMinutes(240 + random.Next(90 * doughs))) { Cuts = [new(family)] };
            var spec = BakeSpec.Create(DemoWorld.Doughs[dough].Dough, choice, DemoWorld.Kitchen, now).Value;
            return new DayBake(spec, SoFar.Nothing(now), Layout.Of(spec, now).Plan.Start);
        })];
}
