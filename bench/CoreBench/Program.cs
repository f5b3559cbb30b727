// Times the core by itself: one line of JSON with medians in milliseconds.
using System.Diagnostics;
using System.Text.Json;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Server.Demo;

if (args is ["days", var sizes, var count, var seconds, ..])
{
    Days.Run(
        [.. sizes.Split(',').Select(int.Parse)],
        int.Parse(count),
        double.Parse(seconds, System.Globalization.CultureInfo.InvariantCulture),
        args.ElementAtOrDefault(4)
    );
    return;
}
if (args is ["book", var file, var bakes])
{
    Books.Lengthen(file, int.Parse(bakes));
    return;
}
var now = new DateTimeOffset(2026, 11, 28, 8, 0, 0, TimeSpan.Zero);
var spec = BakeDecision
    .Of(DemoWorld.Doughs[0].Dough, new("blue", "wall", "oven-light") { Cuts = [new("pan-roll", 16)] }, DemoWorld.Kitchen, now)
    .Value;
var conditions = RiseConditions.Of(spec.Formula, Mass.FromGrams(57), spec.Room);
ProofCase seen = new(conditions, Places.Counter, 1)
{
    Looks = [new(TimeSpan.FromMinutes(25), Seen.Third), new(TimeSpan.FromMinutes(35), Seen.Half)],
    Heating = TimeSpan.FromMinutes(24),
};

double Median(Action run)
{
    for (var i = 0; i < 200; i++)
        run();
    var times = new double[501];
    for (var i = 0; i < times.Length; i++)
    {
        var from = Stopwatch.GetTimestamp();
        run();
        times[i] = Stopwatch.GetElapsedTime(from).TotalMilliseconds;
    }
    Array.Sort(times);
    return Math.Round(times[times.Length / 2], 4);
}

Console.WriteLine(
    JsonSerializer.Serialize(
        new
        {
            proof = Median(() => Proof.Predict(seen)),
            handOver = Median(() => Proof.Predict(seen with { Place = Places.Find("oven-light")! })),
            overnight = Median(() => Proof.Predict(seen with { Cold = TimeSpan.FromHours(12) })),
            bake = Median(() => Layout.Of(spec, now)),
        }
    )
);
