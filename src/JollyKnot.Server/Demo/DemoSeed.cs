using System.Text.Json;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Day;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Pantry;
using JollyKnot.Store;

namespace JollyKnot.Server.Demo;

/// <summary>
/// The demo: a repair-café Saturday that begins at 08:40. Fills a fresh store with kitchen, formulas, three past bakes, one under
/// way and a day laid out. A demo that nobody told anything begins anew at its next start; else it goes on.
/// </summary>
public static class DemoSeed
{
    // 2: what the store held. A demo seeded before goes on as it is.
    private static readonly DocumentKind<Seeded> Kept = new(
        "demo",
        _ => JsonSerializer.SerializeToNode(new Seeded("", default), Json.Documents)!
    );
    private static readonly TimeSpan Morning = new(8, 40, 0),
        Lunch = new(12, 30, 0),
        Sweet = new(15, 0, 0),
        Proofed = TimeSpan.FromMinutes(3);

    // What the store held when it was seeded, and when its day began.
    /// <summary>Where it is kept that the demo was set up.</summary>
    internal static string KeptAs => Kept.Name;

    private sealed record Seeded(string Held, DateTimeOffset Began);

    /// <summary>When the demo's day begins, where it begins anew: at 08:40 on the coming Saturday, or on this one. Null when
    /// somebody told it something: it goes on.</summary>
    /// <param name="store">Emptied when its day was another Saturday.</param>
    /// <param name="settings">What is remembered of the seeding.</param>
    /// <param name="wall">The clock on the wall.</param>
    public static async Task<DateTimeOffset?> BeginsAnew(JollyStore store, Settings settings, TimeProvider wall)
    {
        ArgumentNullException.ThrowIfNull(store);
        ArgumentNullException.ThrowIfNull(settings);
        ArgumentNullException.ThrowIfNull(wall);
        var today = TimeZoneInfo.ConvertTime(wall.GetUtcNow(), TimeZoneInfo.Local).Date;
        var saturday = At(today.AddDays((DayOfWeek.Saturday - today.DayOfWeek + 7) % 7), Morning);
        if (await store.IsEmpty())
            return saturday;
        if (await settings.Get(Kept) is not { } seeded || seeded.Held != await Held(store))
            return null;
        if (
            TimeZoneInfo.ConvertTime(seeded.Began, TimeZoneInfo.Local).Date
            != TimeZoneInfo.ConvertTime(saturday, TimeZoneInfo.Local).Date
        )
            await store.Clear(except: [HouseNetwork.Salt.Name]);
        return saturday;
    }

    /// <summary>Seeds an empty store.</summary>
    public static async Task Run(IServiceProvider services)
    {
        var (store, settings) = (services.GetRequiredService<JollyStore>(), services.GetRequiredService<Settings>());
        if (await settings.Get(Kept) is not null || !await store.IsEmpty())
            return;

        var (doughs, bakes) = (services.GetRequiredService<DoughBook>(), services.GetRequiredService<BakeBook>());
        var now = services.GetRequiredService<HouseClock>().GetUtcNow();
        await services.GetRequiredService<KitchenKeeper>().Set(DemoWorld.Kitchen);
        await services.GetRequiredService<PantryKeeper>().Change(p => p with { Prices = DemoWorld.Prices });
        foreach (var (id, dough) in DemoWorld.Doughs)
            await doughs.Save(id, dough, now);

        await Past(
            bakes,
            now.AddDays(-28),
            Spec(0, "pan-roll", "oven-light", 16),
            new(7, 1.05, false, DoughFeel.Sticky),
            5,
            "Soft. Next time a little less sugar."
        );
        await Past(
            bakes,
            now.AddDays(-14),
            Spec(2, "plait-3", "counter", 2),
            new(11, .9, false),
            4,
            "Ends came undone on one; pinch harder."
        );
        await Past(
            bakes,
            now.AddDays(-7),
            Spec(4, "round-bun", "counter", 9),
            new(23, .8, true),
            3,
            "Cut by eye in a hurry: the small ones were dry."
        );
        await UnderWay(bakes, now);
        await Cafe(bakes, now);
        await services.GetRequiredService<DayBoard>().Arrange([], quick: true);
        await WatchedBefore(services);
        await settings.Set(Kept, new Seeded(await Held(store), now));
    }

    // Its program is as most are, and was seen to be.
    private static Task WatchedBefore(IServiceProvider services)
    {
        var white = DemoWorld.Kitchen.Machines.First(m => m.Id == "white");
        return services
            .GetRequiredService<CycleKeeper>()
            .Keep(
                new(
                    white.Id,
                    Guid.Empty,
                    white.Phases,
                    [new(CycleChange.Kneads, white.KneadStart), new(CycleChange.Rises, white.KneadEnd)]
                )
            );
    }

    private static Task<string> Held(JollyStore store) =>
        store.Held(except: [Kept.Name, HouseClock.Kept.Name, HouseNetwork.Salt.Name]);

    // Pretzels: the dough divided, the second proof running for a few minutes.
    private static async Task UnderWay(BakeBook bakes, DateTimeOffset now)
    {
        var spec = Spec(1, "pretzel", "counter", 10);
        var table = Layout.Of(spec, now).Timetable;
        var sinceStart = table.At(Milestone.SetToProof, spec.Batches[^1].Index)!.End - table.Start;
        var plan = Layout.Of(spec, now - sinceStart - Proofed).Plan;
        await Keep(bakes, Guid.NewGuid(), plan, new DemoPlayer(3, 1, false).Play(plan, now, 5, ""));
    }

    // Lunch for the helpers, and something sweet in the afternoon.
    private static async Task Cafe(BakeBook bakes, DateTimeOffset now)
    {
        var today = TimeZoneInfo.ConvertTime(now, TimeZoneInfo.Local).Date;
        var wanted = new[]
        {
            (0, "blue", "pan-roll", 16, Lunch),
            (3, "white", "pocket-flatbread", 8, Lunch),
            (2, "blue", "plait-3", 2, Sweet),
        };
        foreach (var (dough, machine, family, pieces, ready) in wanted)
        {
            var spec = Spec(dough, family, "counter", pieces, machine, At(today, ready), now);
            await bakes.Add(Guid.NewGuid(), Layout.Of(spec, now).Plan, now);
        }
    }

    // A time by the household's clocks.
    private static DateTimeOffset At(DateTime day, TimeSpan time) =>
        new DateTimeOffset(day + time, TimeZoneInfo.Local.GetUtcOffset(day + time)).ToUniversalTime();

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

    private static BakeSpec Spec(
        int dough,
        string family,
        string place,
        int pieces,
        string machine = "blue",
        DateTimeOffset? ready = null,
        DateTimeOffset now = default
    ) =>
        BakeDecision
            .Of(
                DemoWorld.Doughs[dough].Dough,
                new(machine, "wall", place, ReadyBy: ready) { Cuts = [new(family, pieces)] },
                DemoWorld.Kitchen,
                now
            )
            .Value;
}
