using System.Reflection;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Steps;
using JollyKnot.Devices;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Time.Testing;

namespace JollyKnot.Server.Tests;

/// <summary>Promises about what was told, each with an attempt to break it.</summary>
public sealed class NothingIsLost
{
    [Fact]
    public async Task A_repeat_changes_nothing_a_rival_is_told_and_all_of_it_is_there_after_a_restart()
    {
        using var house = new House();
        var bake = await house.Bake();
        var (path, id) = ($"/api/bakes/{bake}/events", Guid.NewGuid());
        object First(Guid as_) =>
            new
            {
                id = as_,
                basedOn = 0,
                @event = new { type = "step-done", step = "paddle" },
            };

        // Many at once, half of them the same one again: one stands, the rest learn of it.
        var answers = await Task.WhenAll(
            Enumerable.Range(0, 20).Select(i => house.Post(path, First(i % 2 == 0 ? id : Guid.NewGuid())))
        );
        answers.Count(a => a.Status == 200 && !(bool)a.Body["again"]!).ShouldBe(1);
        answers.ShouldAllBe(a => a.Status == 200 || a.Status == 409);
        answers.Where(a => a.Status == 409).ShouldAllBe(a => (int)a.Body["position"]! == 1);

        foreach (var step in new[] { "weigh-in-2", "weigh-in-4" })
            (
                await house.Tell(
                    bake,
                    new
                    {
                        type = "ingredient-weighed",
                        step,
                        mass = 50,
                    }
                )
            ).Status.ShouldBe(200);
        var before = (await house.Get($"/api/bakes/{bake}/log")).Body.ToJsonString();
        house.Reopen();
        (await house.Get($"/api/bakes/{bake}/log")).Body.ToJsonString().ShouldBe(before);
    }

    [Fact]
    public async Task The_file_is_written_ahead_and_holds_positions_without_gaps()
    {
        using var house = new House();
        await using var db = new SqliteConnection($"Data Source={house.File}");
        await db.OpenAsync();
        (await Scalar("PRAGMA journal_mode")).ShouldBe("wal");
        (
            await Scalar("SELECT count(*) FROM (SELECT BakeId FROM Events GROUP BY BakeId HAVING max(Position) <> count(*))")
        ).ShouldBe(0L);

        async Task<object?> Scalar(string sql)
        {
            await using var command = db.CreateCommand();
            command.CommandText = sql;
            return await command.ExecuteScalarAsync();
        }
    }

    [Fact]
    public async Task Every_kind_of_event_can_be_taken_back_and_put_back()
    {
        using var house = new House();
        var bake = await house.Bake(House.Choice(pieces: 4));
        var ago = house.Now.AddMinutes(-100);
        object[] story =
        [
            new { type = "step-done", step = "paddle" },
            new
            {
                type = "ingredient-weighed",
                step = "weigh-in-2",
                mass = 301.5,
            },
            new
            {
                type = "step-done",
                step = "start-cycle",
                at = ago,
            },
            new { type = "step-skipped", step = "paddle-turns" },
            new
            {
                type = "dough-checked",
                step = "check-1",
                feel = "sticky",
                water = 0,
                flour = 10,
            },
            new
            {
                type = "dough-taken-out",
                step = "take-out",
                feel = "right",
                risen = "doubled",
            },
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 911,
            },
            new
            {
                type = "part-weighed",
                number = 2,
                mass = 228,
            },
            new
            {
                type = "arranged",
                notBefore = new { load = house.Now.AddHours(3) },
                hotFrom = new { wall = 150 },
            },
            new
            {
                type = "kneaded-in",
                water = 0,
                flour = 8,
            },
            new { type = "step-done", step = "start-proof" },
            new { type = "alarms-hushed" },
            new
            {
                type = "place-measured",
                proof = "start-proof",
                heat = 31,
            },
            new
            {
                type = "proof-moved",
                proof = "start-proof",
                to = new
                {
                    id = "oven-light",
                    name = "in the oven, light on",
                    inOven = false,
                    steady = (double?)null,
                    overRoom = 9,
                    fallsIn = (double?)null,
                },
            },
            new
            {
                type = "proof-looked",
                step = "look-1",
                seen = "half",
            },
            new
            {
                type = "step-done",
                step = "load",
                at = house.Ago(6),
            },
            new
            {
                type = "probe-read",
                load = "load",
                core = 55,
            },
            new
            {
                type = "reviewed",
                step = "review",
                stars = 4,
                note = "Good.",
            },
            new { type = "undone", position = 12 },
            new { type = "stopped" },
        ];
        // Newer rules cannot be taken while there are none; that they can be taken back is a test of the core.
        var kinds = typeof(BakeEvent).GetCustomAttributes<JsonDerivedTypeAttribute>().Select(a => (string)a.TypeDiscriminator!);
        kinds
            .Except(story.Select(told => told.GetType().GetProperty("type")!.GetValue(told) as string))
            .ShouldBe(["rules-taken"]);
        foreach (var told in story)
        {
            var before = await Timeless(house, bake);
            var (status, answer) = await house.Tell(bake, told);
            status.ShouldBe(200, answer.ToJsonString());
            var after = await Timeless(house, bake);
            var position = (int)answer["position"]!;
            (await house.Tell(bake, new { type = "undone", position })).Status.ShouldBe(200);
            (await Timeless(house, bake)).ShouldBe(before);
            (await house.Tell(bake, new { type = "undone", position = position + 1 })).Status.ShouldBe(200);
            (await Timeless(house, bake)).ShouldBe(after);
            if (told.ToString()!.Contains("reviewed", StringComparison.Ordinal))
                (await house.Tell(bake, new { type = "undone", position })).Status.ShouldBe(200);
            // A taken back event of this story stays so: the next of it builds on the bake being open.
            if (told.ToString()!.Contains("undone", StringComparison.Ordinal))
                (await house.Get($"/api/bakes/{bake}")).Body["status"]!.ToString().ShouldBe("under-way");
        }
    }

    // What stands of a bake, without what moves with the clock or with the length of the log.
    private static async Task<string> Timeless(House house, Guid bake)
    {
        var view = (await house.Get($"/api/bakes/{bake}")).Body;
        var figures = string.Concat(((string[])["proof", "inOven"]).Select(f => view[f]?.ToJsonString()));
        var steps = view["steps"]!
            .AsArray()
            .Select(s => $"{s!["step"]} {(s["state"]!.ToString() is "done" or "skipped" ? s["state"] + " " + s["end"] : "")}");
        return string.Join(
            '\n',
            steps
                .Append(view["status"]!.ToString())
                .Append(view["beat"]?["step"]?.ToString() ?? "")
                .Append(view["station"]?["left"]?.ToString() ?? "")
                .Append(figures)
        );
    }

    [Fact]
    public async Task A_dough_put_away_comes_back_and_a_bake_keeps_the_dough_it_was_laid_out_with()
    {
        using var house = new House();
        var bake = await house.Bake();
        (
            await house.Call(
                HttpMethod.Put,
                $"/api/doughs/{House.Rolls}",
                new { name = "Changed", rows = new object[] { new { ingredient = "plain flour", mass = 100 } } }
            )
        ).Status.ShouldBe(200);
        (await house.Get($"/api/bakes/{bake}")).Body["title"]!.ToString().ShouldBe("Workbench soft rolls");
        (await house.Call(HttpMethod.Delete, $"/api/doughs/{House.Rolls}")).Status.ShouldBe(204);
        Names((await house.Get("/api/doughs")).Body).ShouldNotContain("Changed");
        (await house.Post($"/api/doughs/{House.Rolls}/return", new { })).Status.ShouldBe(204);
        Names((await house.Get("/api/doughs")).Body).ShouldContain("Changed");

        static List<string> Names(JsonNode doughs) => [.. doughs["doughs"]!.AsArray().Select(d => d!["name"]!.ToString())];
    }

    [Fact]
    public async Task The_demo_has_a_bake_under_way_a_day_laid_out_three_that_are_over_and_every_dough()
    {
        using var house = new House();
        var day = (await house.Get("/api/today")).Body["bakes"]!.AsArray();
        day.Select(b => b!["title"]!.ToString())
            .ShouldBe(["Workbench soft rolls", "Spanner pretzels", "Washer flatbreads", "Three-wire plait"]);
        // Lunch wants its rolls begun; the pretzels are rising.
        day.Select(b => b!["beat"]!["step"]!.ToString()).Take(2).ShouldBe(["paddle", "look-1"]);
        (await house.Get("/api/logbook")).Body.AsArray().Count.ShouldBe(3);
        (await house.Get("/api/doughs")).Body["total"]!.GetValue<int>().ShouldBe(11);
        (await house.Get("/health")).Status.ShouldBe(200);
        (await house.Get("/openapi/v1.json")).Body["paths"]!["/api/layouts"].ShouldNotBeNull();
    }

    [Fact]
    public async Task The_demo_is_a_Saturday_morning_that_begins_anew_until_somebody_tells_it_something()
    {
        using var house = new House();
        Local().ShouldBe((DayOfWeek.Saturday, new TimeSpan(8, 40, 0)));
        var wanted = (await house.Post("/api/day", new { })).Body["bakes"]!
            .AsArray()
            .Select(b => (DateTimeOffset?)b!["wanted"])
            .OfType<DateTimeOffset>();
        wanted.Select(w => TimeZoneInfo.ConvertTime(w, TimeZoneInfo.Local).TimeOfDay.TotalHours).ShouldBe([12.5, 12.5, 15]);

        house.Pass(TimeSpan.FromHours(30));
        house.Reopen();
        Local().ShouldBe((DayOfWeek.Saturday, new TimeSpan(8, 40, 0)));
        (await house.Get("/api/logbook")).Body.AsArray().Count.ShouldBe(3);

        var bake = (Guid)(await house.Get("/api/today")).Body["bakes"]![0]!["id"]!;
        (await house.Tell(bake, new { type = "step-done", step = "fetch-out" })).Status.ShouldBe(200);
        house.Pass(TimeSpan.FromHours(1));
        house.Reopen();
        Local().ShouldBe((DayOfWeek.Saturday, new TimeSpan(9, 40, 0)));
        ((int)(await house.Get($"/api/bakes/{bake}")).Body["position"]!).ShouldBeGreaterThan(0);

        (DayOfWeek, TimeSpan) Local() =>
            TimeZoneInfo.ConvertTime(house.Now, TimeZoneInfo.Local) is var now ? (now.DayOfWeek, now.TimeOfDay) : default;
    }

    [Fact]
    public void The_stand_in_scale_overshoots_settles_tares_and_overloads()
    {
        var time = new FakeTimeProvider(DateTimeOffset.UnixEpoch.AddDays(20000));
        var scale = new SimulatedScale(time);
        scale.Put(Mass.FromGrams(200));
        var seen = new List<int>();
        for (var i = 0; i < 28; i++)
        {
            time.Advance(TimeSpan.FromMilliseconds(50));
            if (scale.Read() is { Settled: false, Mass: { } m })
                seen.Add(m.WholeGrams);
        }
        seen.Max().ShouldBeGreaterThan(201);
        seen[0].ShouldBeLessThan(100);
        var still = scale.Read();
        still.Settled.ShouldBeTrue();
        still.Mass!.Value.WholeGrams.ShouldBeInRange(199, 201);
        scale.Tare();
        scale.Put(Mass.FromGrams(57));
        time.Advance(TimeSpan.FromSeconds(2));
        scale.Read().Mass!.Value.WholeGrams.ShouldBeInRange(56, 58);
        scale.Put(Mass.FromGrams(-57));
        time.Advance(TimeSpan.FromSeconds(2));
        scale.Read().Mass!.Value.WholeGrams.ShouldBeInRange(-1, 1);
        scale.Put(Mass.FromGrams(6000));
        time.Advance(TimeSpan.FromSeconds(2));
        scale.Read().Mass.ShouldBeNull();
    }
}
