using System.Text.Json;
using System.Text.Json.Nodes;
using Ical.Net;

namespace JollyKnot.Server.Tests;

/// <summary>The day over HTTP, on a real file.</summary>
[Trait("Near", "Days")]
public sealed class DayTests : IDisposable
{
    private readonly House house = new();

    public void Dispose() => house.Dispose();

    private async Task<(int Status, JsonNode Body)> Look(params object[] changes) =>
        await house.Post(
            "/api/day",
            new
            {
                frame = new
                {
                    width = 900,
                    slim = false,
                    utcOffsetMinutes = 60,
                },
                changes,
            }
        );

    private async Task<JsonNode> Day(params object[] changes) => (await Look(changes)).Body;

    // The day when nothing is looked for any more: what is proposed before that depends on how busy the machine is.
    private async Task<JsonNode> Settled(params object[] changes)
    {
        var seen = await Day(changes);
        for (; (bool)seen["looking"]!; seen = await Day(changes))
            await Task.Delay(20);
        return seen;
    }

    private async Task<int> Arrange() => (int)(await house.Post("/api/day/arrange", new { })).Body["moved"]!;

    private async Task<Guid> Plan(string family, DateTimeOffset ready)
    {
        var id = Guid.NewGuid();
        var (status, body) = await house.Post(
            "/api/bakes",
            new { id, layout = House.Layout(choice: House.Choice(family: family, readyBy: ready.ToString("O"))) }
        );
        status.ShouldBe(200, body.ToString());
        return id;
    }

    private async Task Stop(Guid id)
    {
        var position = (int)(await house.Get($"/api/bakes/{id}")).Body["position"]!;
        (
            await house.Post(
                $"/api/bakes/{id}/events",
                new
                {
                    id = Guid.NewGuid(),
                    basedOn = position,
                    @event = new { type = "stopped" },
                }
            )
        ).Status.ShouldBe(200);
    }

    private static string[] Texts(JsonNode? of) => [.. of!.AsArray().Select(f => (string)f!["text"]!)];

    [Fact]
    public async Task The_demo_day_is_laid_out_and_two_more_bakes_are_fitted_in_or_said_to_be_in_the_way()
    {
        var day = await Day();
        day["bakes"]!.AsArray().Count.ShouldBe(4);
        day["findings"]!.AsArray().ShouldNotContain(f => (bool)f!["impossible"]!);
        // Wanted at the very time the rolls are, in the same oven at another heat.
        var lunch = (DateTimeOffset)
            day["bakes"]!.AsArray().First(b => (string)b!["title"]! == "Workbench soft rolls")!["wanted"]!;
        // Seen before it is kept.
        var beside = (
            await house.Post(
                "/api/layouts/in-day",
                House.Layout(choice: House.Choice(family: "crusty-roll", readyBy: lunch.ToString("O")))
            )
        ).Body["beside"]!;
        beside["clashes"]!.AsArray().ShouldContain(c => (bool)c!["impossible"]!);
        beside["left"]!.AsArray().ShouldNotContain(c => (bool)c!["impossible"]!);
        var knots = await Plan("crusty-roll", lunch);
        var crossed = await Day();
        Texts(crossed["findings"])
            .ShouldContain(t =>
                t.StartsWith("Two ", StringComparison.Ordinal) || t.StartsWith("One oven", StringComparison.Ordinal)
            );
        crossed["proposal"]!["moves"]!.AsArray().Count.ShouldBeGreaterThan(0);
        // A better plan for the same trouble is no new question.
        var asked = (string)crossed["proposal"]!["key"]!;
        ((string)(await Settled())["proposal"]!["key"]!).ShouldBe(asked);
        (await Arrange()).ShouldBeGreaterThan(0);
        var after = await Day();
        after["findings"]!.AsArray().ShouldNotContain(f => (bool)f!["impossible"]!);
        // It is an entry of the log like any other, and can be taken back.
        var log = (await house.Get($"/api/bakes/{knots}/log")).Body.AsArray();
        ((string)log[^1]!["text"]!).ShouldBe("The day laid out anew");
        ((string)(await house.Get($"/api/bakes/{knots}")).Body["status"]!).ShouldBe("planned");
        // Nothing changed: nothing moves.
        (await Arrange()).ShouldBe(0);
    }

    [Fact]
    public async Task The_calendar_is_read_back_by_a_reader_of_its_own()
    {
        var text = await house.Client.GetStringAsync("/api/day.ics");
        // Unfolded and taken apart by hand, not by whoever wrote it.
        var lines = text.Replace("\r\n ", "", StringComparison.Ordinal).Split("\r\n");
        lines[0].ShouldBe("BEGIN:VCALENDAR");
        lines.ShouldContain("VERSION:2.0");
        var hands = (await Day())["hands"]!.AsArray();
        lines.Count(l => l == "BEGIN:VEVENT").ShouldBe(hands.Count);
        lines.Count(l => l == "BEGIN:VALARM").ShouldBe(hands.Count);
        lines.Where(l => l.StartsWith("UID:", StringComparison.Ordinal)).ShouldBeUnique();
        lines.ShouldAllBe(l => System.Text.Encoding.UTF8.GetByteCount(l) < 2000);
        text.Split("\r\n").ShouldAllBe(l => System.Text.Encoding.UTF8.GetByteCount(l) <= 75);
        // And by the library, in a zone where the clocks change: the instants are the same.
        var berlin = TimeZoneInfo.FindSystemTimeZoneById("Europe/Berlin");
        var first = Calendar.Load(text)!.Events.OrderBy(e => e.Start!.AsUtc).First();
        var at = (DateTimeOffset)hands[0]!["at"]!;
        new DateTimeOffset(first.Start!.AsUtc, TimeSpan.Zero).ShouldBe(at, TimeSpan.FromSeconds(1));
        TimeZoneInfo
            .ConvertTimeFromUtc(first.Start.AsUtc, berlin)
            .ShouldBe(TimeZoneInfo.ConvertTime(at, berlin).DateTime, TimeSpan.FromSeconds(1));
    }

    [Fact]
    public async Task Nights_without_hands_are_kept()
    {
        var kitchen = (await house.Get("/api/kitchen/setup")).Body;
        kitchen["awake"] = new JsonObject { ["from"] = 3600, ["to"] = 3600 };
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(400);
        // Up for so little that the day cannot be done.
        var hour = TimeZoneInfo.ConvertTime(house.Now, TimeZoneInfo.Local).Hour;
        kitchen["awake"] = new JsonObject { ["from"] = (hour + 22) % 24 * 3600, ["to"] = (hour + 1) % 24 * 3600 };
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(200);
        Texts((await Day())["findings"]).ShouldContain(t => t.StartsWith("Nobody is there", StringComparison.Ordinal));
    }

    [Fact]
    public async Task One_change_that_would_do_is_offered_and_made_or_is_gone()
    {
        // So soon that two doughs in one machine cannot both be ready.
        var soon = house.Now.AddMinutes(245);
        foreach (var bake in (await Day())["bakes"]!.AsArray().Where(b => (string)b!["status"]! == "planned"))
            await Stop((Guid)bake!["id"]!);
        foreach (var family in new[] { "pocket-flatbread", "pan-roll" })
        {
            var choice = House.Choice(family: family, readyBy: soon.ToString("O"));
            (
                await house.Post(
                    "/api/bakes",
                    new { id = Guid.NewGuid(), layout = House.Layout("00000004-4a4b-4442-8000-000000000004", choice) }
                )
            ).Status.ShouldBe(200);
        }
        var looked = await Settled();
        var fixes = looked["fixes"]!.AsArray();
        Texts(fixes).ShouldContain("Washer flatbreads in the Small white");
        // Tried on the day first, then done, then taken back.
        var change = fixes.First(f => (string)f!["change"]!["kind"]! == "machine")!["change"]!;
        var tried = (await Settled(change))["proposal"]!;
        Texts(tried["left"]).ShouldNotContain(t => t.Contains("later than wanted", StringComparison.Ordinal));
        ((double)tried["then"]!["late"]!).ShouldBe(0);
        var (status, done) = await house.Post("/api/day/arrange", new { changes = new[] { change } });
        status.ShouldBe(200, done.ToString());
        Texts((await Day())["findings"]).ShouldNotContain(t => t.Contains("later than wanted", StringComparison.Ordinal));
        MachineOf(await Day()).ShouldBe("white");
        (await house.Post("/api/day/undo", new { })).Status.ShouldBe(204);
        MachineOf(await Day()).ShouldBe("blue");
        (await house.Post("/api/day/undo", new { })).Status.ShouldBe(409);

        string MachineOf(JsonNode day) =>
            (string)day["bakes"]!.AsArray().First(b => (Guid)b!["id"]! == (Guid)change["bake"]!)!["making"]!["machine"]!;
    }

    [Fact]
    public async Task A_step_is_pinned_and_stays_and_what_cannot_be_is_said()
    {
        var plait = (await Day())["bakes"]!.AsArray().First(b => (string)b!["title"]! == "Three-wire plait")!;
        var id = (Guid)plait["id"]!;
        DateTimeOffset Divide(JsonNode day) =>
            (DateTimeOffset)day["hands"]!.AsArray().First(h => (Guid)h!["bake"]! == id && (string)h["step"]! == "divide")!["at"]!;
        var was = Divide(await Day());
        var wanted = was.AddMinutes(-25);
        object pin = new
        {
            bake = id,
            kind = "pin",
            id = "divide",
            at = wanted,
        };
        // Seen, and nothing kept.
        (await Settled(pin))["proposal"]!["moves"]!
            .AsArray()
            .ShouldContain(m => (string)m!["title"]! == "Three-wire plait");
        Divide(await Day()).ShouldBe(was, TimeSpan.FromSeconds(1));
        (await house.Post("/api/day/arrange", new { changes = new[] { pin } })).Status.ShouldBe(200);
        Divide(await Day()).ShouldBe(wanted, TimeSpan.FromMinutes(1));
        (await Day())["hands"]!.AsArray().ShouldContain(h => (bool)h!["pinned"]! && (string)h["step"]! == "divide");
        // Laid out anew, it stays where it is pinned; freed, it goes back.
        await Arrange();
        Divide(await Day()).ShouldBe(wanted, TimeSpan.FromMinutes(1));
        (
            await house.Post(
                "/api/day/arrange",
                new
                {
                    changes = new[]
                    {
                        new
                        {
                            bake = id,
                            kind = "unpin",
                            id = "divide",
                        },
                    },
                }
            )
        ).Status.ShouldBe(200);
        Divide(await Day()).ShouldBeInRange(wanted.AddMinutes(10), was.AddMinutes(3));
        // Sooner than the dough can be there.
        var soon = new
        {
            bake = id,
            kind = "pin",
            id = "divide",
            at = house.Now.AddMinutes(20),
        };
        Texts((await Settled(soon))["proposal"]!["left"])
            .ShouldContain(t => t.StartsWith("Cannot be when you want it", StringComparison.Ordinal));
        foreach (
            var (change, field) in new (object, string)[]
            {
                (
                    new
                    {
                        bake = id,
                        kind = "pin",
                        id = "no-such-step",
                        at = wanted,
                    },
                    "changes[0].id"
                ),
                (
                    new
                    {
                        bake = id,
                        kind = "pin",
                        id = "divide",
                        at = wanted.AddDays(-3),
                    },
                    "changes[0].at"
                ),
                (
                    new
                    {
                        bake = id,
                        kind = "machine",
                        id = "none",
                    },
                    "changes[0].id"
                ),
                (
                    new
                    {
                        bake = id,
                        kind = "heat",
                        heat = 20,
                    },
                    "changes[0].heat"
                ),
                (new { bake = Guid.NewGuid(), kind = "bowl" }, "changes[0].bake"),
            }
        )
            (await Look(change)).ShouldSatisfyAllConditions(
                a => a.Status.ShouldBe(400),
                a => ((string)a.Body["field"]!).ShouldBe(field)
            );
        // Made otherwise and nothing moves: that can be undone as well.
        (
            await house.Post(
                "/api/day/arrange",
                new
                {
                    changes = new[]
                    {
                        new
                        {
                            bake = id,
                            kind = "place",
                            id = "cool",
                        },
                    },
                }
            )
        ).Status.ShouldBe(200);
        Place(await Day()).ShouldBe("cool");
        (await house.Post("/api/day/undo", new { })).Status.ShouldBe(204);
        Place(await Day()).ShouldBe("counter");

        string Place(JsonNode day) => (string)day["bakes"]!.AsArray().First(b => (Guid)b!["id"]! == id)!["making"]!["place"]!;
        // What has begun keeps its machine.
        var begun = (Guid)(await Day())["bakes"]!.AsArray().First(b => (string)b!["title"]! == "Spanner pretzels")!["id"]!;
        (
            (string)
                (
                    await Look(
                        new
                        {
                            bake = begun,
                            kind = "machine",
                            id = "white",
                        }
                    )
                ).Body["detail"]!
        ).ShouldBe("Spanner pretzels has begun.");
    }

    [Fact]
    public async Task Quiet_hours_and_an_errand_are_kept_free()
    {
        var kitchen = (await house.Get("/api/kitchen/setup")).Body;
        var rolls = (await Day())["bakes"]!.AsArray().First(b => (string)b!["title"]! == "Workbench soft rolls")!;
        var start = (DateTimeOffset)rolls["start"]!;
        kitchen["gone"] = new JsonArray(
            new JsonObject { ["from"] = start.AddMinutes(-5).ToString("O"), ["to"] = start.AddMinutes(20).ToString("O") }
        );
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(200);
        Texts((await Day())["findings"]).ShouldContain(t => t.StartsWith("Nobody is there", StringComparison.Ordinal));
        (await Arrange()).ShouldBeGreaterThan(0);
        (await Day())["hands"]!
            .AsArray()
            .ShouldNotContain(h =>
                (DateTimeOffset)h!["at"]! > start.AddMinutes(-4)
                && (DateTimeOffset)h["at"]! < start.AddMinutes(19)
                && (double)h["length"]! > 60
            );
        kitchen["gone"] = new JsonArray(new JsonObject { ["from"] = start.ToString("O"), ["to"] = start.ToString("O") });
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).ShouldSatisfyAllConditions(
            a => a.Status.ShouldBe(400),
            a => ((string)a.Body["field"]!).ShouldBe("gone")
        );
        kitchen["gone"] = new JsonArray();
        var hour = TimeZoneInfo.ConvertTime(start, TimeZoneInfo.Local).Hour;
        kitchen["machinesRun"] = new JsonObject { ["from"] = (hour + 4) % 24 * 3600, ["to"] = (hour + 23) % 24 * 3600 };
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(200);
        Texts((await Day())["findings"])
            .ShouldContain(t => t.StartsWith("The machine would run in quiet hours", StringComparison.Ordinal));
    }

    [Fact]
    public async Task Of_a_large_day_what_was_seen_is_what_is_done()
    {
        var lunch = (DateTimeOffset)
            (await Day())["bakes"]!.AsArray().First(b => (string)b!["title"]! == "Workbench soft rolls")!["wanted"]!;
        foreach (var (family, hours) in new[] { ("round-bun", -1.0), ("crusty-roll", 0), ("pan-roll", 1), ("round-bun", 2) })
            await Plan(family, lunch.AddHours(hours));
        var seen = await Day();
        seen["bakes"]!.AsArray().Count.ShouldBe(8);
        seen["findings"]!.AsArray().ShouldContain(f => (bool)f!["impossible"]!);
        var proposal = seen["proposal"]!;
        proposal["left"]!.AsArray().ShouldNotContain(f => (bool)f!["impossible"]!);
        // Why it is better is said by the breads it is about.
        seen["bakes"]!
            .AsArray()
            .Select(b => (string)b!["title"]!)
            .ShouldContain(t => ((string)proposal["why"]!).Contains(t, StringComparison.Ordinal));
        (await Arrange()).ShouldBeGreaterThan(3);
        var done = await Day();
        done["findings"]!.AsArray().ShouldNotContain(f => (bool)f!["impossible"]!);
        double Late(JsonNode day) =>
            day["bakes"]!
                .AsArray()
                .Where(b => b!["wanted"] is not null)
                .Sum(b => Math.Max(0, ((DateTimeOffset)b!["ready"]! - (DateTimeOffset)b["wanted"]!).TotalMinutes));
        // It may have got better in between, never worse.
        Late(done).ShouldBeLessThanOrEqualTo((double)proposal["then"]!["late"]! / 60 + 8);
        // And back, every bake of it, also when the house was stopped in between.
        house.Reopen();
        (await house.Post("/api/day/undo", new { })).Status.ShouldBe(204);
        Planned(await Day()).ShouldBe(Planned(seen));

        static IEnumerable<string> Planned(JsonNode day) =>
            day["bakes"]!.AsArray().Where(b => (string)b!["status"]! == "planned").Select(b => $"{b!["start"]} {b["ready"]}");
    }

    [Fact]
    public async Task Fresh_bread_is_asked_for_at_the_table_and_on_the_day()
    {
        var lunch = (DateTimeOffset)
            (await Day())["bakes"]!.AsArray().First(b => (string)b!["title"]! == "Workbench soft rolls")!["wanted"]!;
        JsonObject Choice(double fresh)
        {
            var choice = JsonSerializer
                .SerializeToNode(House.Choice(family: "crusty-roll", readyBy: lunch.ToString("O")))!
                .AsObject();
            choice["fresh"] = fresh;
            return choice;
        }
        var (status, refused) = await house.Post("/api/layouts", House.Layout(choice: Choice(-60)));
        status.ShouldBe(400);
        refused["problems"]!.AsArray().ShouldContain(p => (string)p!["field"]! == "choice.fresh");
        var id = Guid.NewGuid();
        (await house.Post("/api/bakes", new { id, layout = House.Layout(choice: Choice(600)) })).Status.ShouldBe(200);
        await Arrange();
        var day = await Day();
        var bread = day["bakes"]!.AsArray().First(b => (Guid)b!["id"]! == id)!;
        ((double)bread["making"]!["fresh"]!).ShouldBe(600);
        // Others wait for it, or it is said by how much it is not.
        var cool = (lunch - (DateTimeOffset)bread["ready"]!).TotalMinutes;
        Texts(day["findings"]).Any(t => t.StartsWith("Cool ", StringComparison.Ordinal)).ShouldBe(cool > 11);
        (await house.Post("/api/day/arrange", new { changes = new[] { new { bake = id, kind = "fresh" } } })).Status.ShouldBe(
            200
        );
        (await Day())["bakes"]!.AsArray().First(b => (Guid)b!["id"]! == id)!["making"]!["fresh"].ShouldBeNull();
    }

    [Fact]
    public async Task Up_sooner_is_offered_for_breakfast_and_kept_for_that_morning()
    {
        var hour = TimeZoneInfo.ConvertTime(house.Now, TimeZoneInfo.Local).Hour;
        var kitchen = (await house.Get("/api/kitchen/setup")).Body;
        kitchen["awake"] = new JsonObject { ["from"] = (hour + 10) % 24 * 3600, ["to"] = (hour + 2) % 24 * 3600 };
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(200);
        foreach (var bake in (await Day())["bakes"]!.AsArray().Where(b => (string)b!["status"]! == "planned"))
            await Stop((Guid)bake!["id"]!);
        var breakfast = await Plan("pan-roll", house.Now.AddHours(12));
        await Arrange();
        var looked = await Settled();
        Texts(looked["findings"]).ShouldContain(t => t.Contains("later than wanted", StringComparison.Ordinal));
        var up = looked["fixes"]!.AsArray().Single(f => (string)f!["change"]!["kind"]! == "up")!;
        ((string)up["text"]!).ShouldBe("Up sooner, at");
        (await house.Post("/api/day/arrange", new { changes = new[] { up["change"] } })).Status.ShouldBe(200);
        Texts((await Day())["findings"])
            .ShouldNotContain(t =>
                t.Contains("later than wanted", StringComparison.Ordinal) || t.StartsWith("Nobody", StringComparison.Ordinal)
            );
        var kept = (await house.Get("/api/kitchen/setup")).Body["up"]!.AsArray();
        ((DateTimeOffset)kept.Single()!).ShouldBe((DateTimeOffset)up["change"]!["at"]!);
        // What can be made good wakes nobody; everything else waits until somebody is up.
        var hands = (await Day())["hands"]!.AsArray().Where(h => (Guid)h!["bake"]! == breakfast).ToList();
        hands
            .Where(h => (DateTimeOffset)h!["at"]! < (DateTimeOffset)kept.Single()!)
            .ShouldAllBe(h => (bool)h!["quiet"]! && (string)h["step"]! == "fetch-out");
        var calendar = await house.Client.GetStringAsync("/api/day.ics");
        var all = (await Day())["hands"]!.AsArray();
        (calendar.Split("BEGIN:VALARM").Length - 1).ShouldBe(all.Count(h => !(bool)h!["quiet"]!));
        all.Count(h => (bool)h!["quiet"]!).ShouldBe(1);
        // Undone, everybody sleeps as usual.
        (await house.Post("/api/day/undo", new { })).Status.ShouldBe(204);
        (await house.Get("/api/kitchen/setup")).Body["up"]!.AsArray().ShouldBeEmpty();
    }
}
