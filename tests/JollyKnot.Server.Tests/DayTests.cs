using System.Text.Json.Nodes;
using Ical.Net;

namespace JollyKnot.Server.Tests;

/// <summary>The day over HTTP, on a real file.</summary>
public sealed class DayTests : IDisposable
{
    private readonly House house = new();

    public void Dispose() => house.Dispose();

    private async Task<JsonNode> Day() => (await house.Post("/api/day", new { width = 900, slim = false, utcOffsetMinutes = 60 })).Body;
    private async Task<int> Arrange() => (int)(await house.Post("/api/day/arrange", new { })).Body["moved"]!;

    private async Task<Guid> Plan(string family, DateTimeOffset ready)
    {
        var id = Guid.NewGuid();
        var (status, body) = await house.Post("/api/bakes", new { id, layout = House.Layout(choice: House.Choice(family: family, readyBy: ready.ToString("O"))) });
        status.ShouldBe(200, body.ToString());
        return id;
    }

    private static string[] Texts(JsonNode? of) => [.. of!.AsArray().Select(f => (string)f!["text"]!)];

    [Fact]
    public async Task The_demo_day_is_laid_out_and_two_more_bakes_are_fitted_in_or_said_to_be_in_the_way()
    {
        var day = await Day();
        day["bakes"]!.AsArray().Count.ShouldBe(4);
        day["findings"]!.AsArray().ShouldNotContain(f => (bool)f!["impossible"]!);
        // Wanted at the very time the rolls are, in the same oven at another heat.
        var lunch = (DateTimeOffset)day["bakes"]!.AsArray().First(b => (string)b!["title"]! == "Workbench soft rolls")!["wanted"]!;
        // Seen before it is kept.
        var beside = (await house.Post("/api/layouts", House.Layout(choice: House.Choice(family: "crusty-roll", readyBy: lunch.ToString("O"))))).Body["beside"]!;
        beside["clashes"]!.AsArray().ShouldContain(c => (bool)c!["impossible"]!);
        beside["left"]!.AsArray().ShouldNotContain(c => (bool)c!["impossible"]!);
        var knots = await Plan("crusty-roll", lunch);
        var crossed = await Day();
        Texts(crossed["findings"]).ShouldContain(t => t.StartsWith("Two ", StringComparison.Ordinal) || t.StartsWith("One oven", StringComparison.Ordinal));
        crossed["proposal"]!["moves"]!.AsArray().Count.ShouldBeGreaterThan(0);
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
        TimeZoneInfo.ConvertTimeFromUtc(first.Start.AsUtc, berlin).ShouldBe(TimeZoneInfo.ConvertTime(at, berlin).DateTime, TimeSpan.FromSeconds(1));
    }

    [Fact]
    public async Task Nights_without_hands_are_kept()
    {
        var kitchen = (await house.Get("/api/kitchen/setup")).Body;
        kitchen["awake"] = new JsonObject { ["from"] = 3600, ["to"] = 3600 };
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(400);
        // Up for so little that the day cannot be done.
        var hour = TimeZoneInfo.ConvertTime(DateTimeOffset.UtcNow, TimeZoneInfo.Local).Hour;
        kitchen["awake"] = new JsonObject { ["from"] = (hour + 22) % 24 * 3600, ["to"] = (hour + 1) % 24 * 3600 };
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(200);
        Texts((await Day())["findings"]).ShouldContain(t => t.StartsWith("Nobody is up", StringComparison.Ordinal));
    }

    [Fact]
    public async Task One_change_that_would_do_is_offered_and_made_or_is_gone()
    {
        // So soon that two doughs in one machine cannot both be ready.
        var soon = DateTimeOffset.UtcNow.AddMinutes(245);
        foreach (var bake in (await Day())["bakes"]!.AsArray().Where(b => (string)b!["status"]! == "planned")) await Stop((Guid)bake!["id"]!);
        foreach (var family in new[] { "pocket-flatbread", "pan-roll" })
        {
            var choice = House.Choice(family: family, readyBy: soon.ToString("O"));
            (await house.Post("/api/bakes", new { id = Guid.NewGuid(), layout = House.Layout("00000004-4a4b-4442-8000-000000000004", choice) })).Status.ShouldBe(200);
        }
        var fixes = (await Day())["fixes"]!.AsArray();
        Texts(fixes).ShouldContain("Washer flatbreads in the Small white");
        var (status, after) = await house.Post("/api/day/fix", fixes[0]!);
        status.ShouldBe(200, after.ToString());
        Texts(after["findings"]).ShouldNotContain(t => t.Contains("later than wanted", StringComparison.Ordinal));
        (await house.Post("/api/day/fix", fixes[0]!)).Status.ShouldBe(409);

        async Task Stop(Guid id)
        {
            var position = (int)(await house.Get($"/api/bakes/{id}")).Body["position"]!;
            (await house.Post($"/api/bakes/{id}/events", new { id = Guid.NewGuid(), basedOn = position, @event = new { type = "stopped" } })).Status.ShouldBe(200);
        }
    }
}
