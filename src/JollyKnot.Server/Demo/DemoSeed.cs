using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Scheduling;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Pantry;
using JollyKnot.Store;

namespace JollyKnot.Server.Demo;

/// <summary>Fills a fresh store with the demo world: kitchen, formulas, three past bakes, and one under way.</summary>
public static class DemoSeed
{
    private const string Key = "demo";
    // A bake under way that nobody touched is laid anew when it has gone stale.
    private static readonly TimeSpan Stale = TimeSpan.FromHours(3);

    private sealed record Seeded(Guid UnderWay, int Position, DateTimeOffset At);

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
        else await bakes.Tell(seeded.UnderWay, Guid.NewGuid(), seeded.Position, new Stopped(), now);

        // Dough divided, second proof running for a few minutes.
        var spec = Spec(1, "pretzel", "counter", 10);
        var layout = Layout.Of(spec, now);
        var sinceStart = layout.Timetable[spec.Batches[^1].Step("start-proof")]!.End - layout.Timetable.Start;
        var plan = Layout.Of(spec, now - sinceStart - TimeSpan.FromMinutes(3)).Plan;
        var underWay = Guid.NewGuid();
        var position = await Keep(bakes, underWay, plan, new DemoPlayer(3, 1, false).Play(plan, now, 5, ""));
        await settings.Set(Key, new Seeded(underWay, position, now));
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

    private static BakeSpec Spec(int dough, string family, string place, int pieces) => BakeSpec.Create(
        DemoWorld.Doughs[dough].Dough, new("blue", "wall", place) { Cuts = [new(family, pieces)] }, DemoWorld.Kitchen, DateTimeOffset.MinValue).Value;
}
