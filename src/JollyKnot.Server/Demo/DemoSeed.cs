using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Scheduling;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Day;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Pantry;
using JollyKnot.Store;

namespace JollyKnot.Server.Demo;

/// <summary>Fills a fresh store with the demo world: kitchen, formulas, three past bakes, one under way, and a repair café day laid out.</summary>
public static class DemoSeed
{
    private const string Key = "demo";
    // A bake under way that nobody touched is laid anew when it has gone stale.
    private static readonly TimeSpan Stale = TimeSpan.FromHours(3);

    private sealed record Seeded(Guid UnderWay, int Position, DateTimeOffset At, Guid[]? Planned = null);

    /// <summary>Seeds what is missing. What somebody changed is left alone.</summary>
    public static async Task Run(IServiceProvider services)
    {
        var (settings, doughs, bakes) = (services.GetRequiredService<Settings>(), services.GetRequiredService<DoughBook>(), services.GetRequiredService<BakeBook>());
        var now = services.GetRequiredService<HouseClock>().GetUtcNow();
        var seeded = await settings.Get<Seeded>(Key);
        if (seeded is null)
        {
            await services.GetRequiredService<KitchenKeeper>().Set(DemoWorld.Kitchen);
            await services.GetRequiredService<PantryKeeper>().Change(p => p with { Prices = DemoWorld.Prices });
            foreach (var (id, dough) in DemoWorld.Doughs) await doughs.Save(id, dough, now);
            await Past(bakes, now.AddDays(-28), Spec(0, "pan-roll", "oven-light", 16), new(7, 1.05, false, DoughFeel.Sticky), 5, "Soft. Next time a little less sugar.");
            await Past(bakes, now.AddDays(-14), Spec(2, "plait-3", "counter", 2), new(11, .9, false), 4, "Ends came undone on one; pinch harder.");
            await Past(bakes, now.AddDays(-7), Spec(4, "round-bun", "counter", 9), new(23, .8, true), 3, "Cut by eye in a hurry: the small ones were dry.");
        }
        else if (now - seeded.At < Stale || (await bakes.Find(seeded.UnderWay))?.Log.Position != seeded.Position) return;
        else
        {
            await bakes.Tell(seeded.UnderWay, Guid.NewGuid(), seeded.Position, new Stopped(), now);
            foreach (var id in seeded.Planned ?? [])
                if (await bakes.Find(id) is { } planned && planned.Log.Standing().All(e => e.Event is Arranged))
                    await bakes.Tell(id, Guid.NewGuid(), planned.Log.Position, new Stopped(), now);
        }

        // Dough divided, second proof running for a few minutes.
        var spec = Spec(1, "pretzel", "counter", 10);
        var layout = Layout.Of(spec, now);
        var sinceStart = layout.Timetable[spec.Batches[^1].Step("start-proof")]!.End - layout.Timetable.Start;
        var plan = Layout.Of(spec, now - sinceStart - TimeSpan.FromMinutes(3)).Plan;
        var underWay = Guid.NewGuid();
        var position = await Keep(bakes, underWay, plan, new DemoPlayer(3, 1, false).Play(plan, now, 5, ""));

        // The repair café: lunch, and something sweet two and a half hours later.
        var lunch = Lunch(now);
        var cafe = new List<Guid>();
        foreach (var (dough, machine, family, pieces, ready) in new[] { (0, "blue", "pan-roll", 16, lunch), (3, "white", "pocket-flatbread", 8, lunch), (2, "blue", "plait-3", 2, lunch + Sweet) })
        {
            cafe.Add(Guid.NewGuid());
            await bakes.Add(cafe[^1], Layout.Of(Spec(dough, family, "counter", pieces, machine, ready, now), now).Plan, now);
        }
        await services.GetRequiredService<DayBoard>().Arrange([], quick: true);
        await settings.Set(Key, new Seeded(underWay, position, now, [.. cafe]));
    }

    private static readonly TimeSpan Noonish = new(12, 30, 0), Sweet = TimeSpan.FromHours(2.5), Ahead = TimeSpan.FromHours(6), Half = TimeSpan.FromMinutes(30);

    // Half past twelve where there is time enough until then; else later today.
    private static DateTimeOffset Lunch(DateTimeOffset now)
    {
        var local = TimeZoneInfo.ConvertTime(now, TimeZoneInfo.Local);
        var noon = local - local.TimeOfDay + Noonish;
        var soonest = local + Ahead;
        return (noon >= soonest ? noon : new DateTimeOffset(soonest.Ticks + Half.Ticks - soonest.Ticks % Half.Ticks, soonest.Offset)).ToUniversalTime();
    }

    private static async Task Past(BakeBook bakes, DateTimeOffset ready, BakeSpec spec, DemoPlayer player, int stars, string note)
    {
        var length = Layout.Of(spec, ready).Timetable is var t ? t.Ready - t.Start : default;
        var plan = Layout.Of(spec, ready - length).Plan;
        await Keep(bakes, Guid.NewGuid(), plan, player.Play(plan, DateTimeOffset.MaxValue, stars, note));
    }

    private static async Task<int> Keep(BakeBook bakes, Guid id, BakePlan plan, BakeLog log)
    {
        await bakes.Add(id, plan, plan.Start, log);
        return log.Position;
    }

    private static BakeSpec Spec(int dough, string family, string place, int pieces, string machine = "blue", DateTimeOffset? ready = null, DateTimeOffset now = default) => BakeSpec.Create(
        DemoWorld.Doughs[dough].Dough, new(machine, "wall", place, ReadyBy: ready) { Cuts = [new(family, pieces)] }, DemoWorld.Kitchen, now).Value;
}
