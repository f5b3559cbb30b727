using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace JollyKnot.Server.Tests;

/// <summary>Data written by every released version opens, shows what it showed, and goes on.</summary>
public sealed partial class GoldenTests
{
    private static readonly string Golden = Path.Combine(Checkout.Root, "tests", "golden");

    public static TheoryData<string> Versions => [.. Directory.GetDirectories(Golden).Select(f => Path.GetFileName(f)!)];

    [Fact]
    public void The_first_version_that_kept_a_folder_is_there() => Directory.Exists(Path.Combine(Golden, "0.6")).ShouldBeTrue();

    [Theory, MemberData(nameof(Versions))]
    public async Task It_opens_and_shows_what_it_showed(string version)
    {
        using var house = Open(version, out var shown);
        var today = (await house.Get("/api/today")).Body;
        today["setAside"]!.AsArray().ShouldBeEmpty();
        var lines = (await house.Get("/api/logbook")).Body.AsArray().ToDictionary(l => (string)l!["id"]!);
        foreach (var was in shown["bakes"]!.AsArray())
        {
            var id = (string)was!["id"]!;
            var bake = (await house.Get($"/api/bakes/{id}")).Body;
            foreach (var same in (string[])["title", "status", "position"])
                bake[same]!.ToJsonString().ShouldBe(was[same]!.ToJsonString(), $"{id} {same}");
            if (was["beat"] is { } beat)
                ((string)bake["beat"]!["step"]!).ShouldBe((string)beat!);
            // What was told replays, entry by entry.
            var log = (await house.Get($"/api/bakes/{id}/log")).Body.AsArray();
            log.Select(Entry).Select(Told).ShouldBe(was["log"]!.AsArray().Select(e => Told((string)e!)));
            if (was["page"] is not { } page)
                continue;
            Timeless((await house.Get($"/api/logbook/{id}")).Body).ShouldBe(Timeless(page));
            Timeless(lines[id]!).ShouldBe(Timeless(was["line"]!));
        }
        foreach (var dough in shown["doughs"]!.AsArray())
        {
            var found = (await house.Get($"/api/doughs?search={Uri.EscapeDataString((string)dough!["name"]!)}")).Body[
                "doughs"
            ]!.AsArray();
            var versions = (await house.Get($"/api/doughs/{found[0]!["id"]}/versions")).Body.AsArray();
            versions.Count.ShouldBe((int)dough["versions"]!);
        }
        // The kitchen as it was edited, and what the pantry learned.
        ((double)(await house.Get("/api/kitchen/setup")).Body["altitude"]!).ShouldBe(450_000);
        ((string)(await house.Get("/api/pantry")).Body["habit"]!).ShouldBe("dipped");
    }

    [Theory, MemberData(nameof(Versions))]
    public async Task It_goes_on(string version)
    {
        using var house = Open(version, out _);
        foreach (var open in (await house.Get("/api/today")).Body["bakes"]!.AsArray())
        {
            var id = (Guid)open!["id"]!;
            for (var bake = open; bake!["beat"] is { } beat;)
            {
                (await house.Tell(id, new { type = "step-skipped", step = (string)beat["step"]! })).Status.ShouldBe(
                    200,
                    $"{id} {beat["step"]}"
                );
                bake = (await house.Get($"/api/bakes/{id}")).Body;
            }
            ((string)(await house.Get($"/api/logbook/{id}")).Body["status"]!).ShouldBe("finished");
        }
        var before = (await house.Get("/api/logbook")).Body.ToJsonString();
        house.Reopen();
        (await house.Get("/api/logbook")).Body.ToJsonString().ShouldBe(before);
        (await house.Get("/api/today")).Body["setAside"]!.AsArray().ShouldBeEmpty();
        // What these bakes taught is believed when the next is laid out.
        (await house.Post("/api/layouts", House.Layout())).Status.ShouldBe(200);
    }

    [Fact]
    public async Task A_closed_bake_stays_what_it_was_though_its_log_is_reckoned_otherwise_or_gone()
    {
        using var house = new House();
        var lines = (await house.Get("/api/logbook")).Body.ToJsonString();
        var id = (string)(await house.Get("/api/logbook")).Body[0]!["id"]!;
        var page = (await house.Get($"/api/logbook/{id}")).Body.ToJsonString();
        var frame = new
        {
            width = 900,
            slim = false,
            utcOffsetMinutes = 60,
        };
        var picture = (await house.Post($"/api/bakes/{id}/picture", frame)).Body.ToJsonString();
        // As if next year's rules made of the same log something else: half of it is missing.
        house.Reopen(db => db.Run("DELETE FROM Events WHERE lower(BakeId) = @0 AND Position > 9", id));
        (await house.Get("/api/logbook")).Body.ToJsonString().ShouldBe(lines);
        (await house.Get($"/api/logbook/{id}")).Body.ToJsonString().ShouldBe(page);
        (await house.Post($"/api/bakes/{id}/picture", frame)).Body.ToJsonString().ShouldBe(picture);
    }

    [Fact]
    public async Task Taken_back_a_closed_bake_is_open_again_and_kept_anew_when_it_closes()
    {
        using var house = new House();
        var bake = await house.Bake(House.Choice(pieces: 4));
        foreach (var (note, kept) in new[] { ("First.", "First."), ("Wu\u0308rzig.", "Würzig.") })
        {
            (
                await house.Tell(
                    bake,
                    new
                    {
                        type = "reviewed",
                        step = "review",
                        stars = 3,
                        note,
                    }
                )
            ).Status.ShouldBe(200);
            var page = (await house.Get($"/api/logbook/{bake}")).Body;
            ((string)page["status"]!, (string)page["note"]!).ShouldBe(("finished", kept));
            var last = (int)(await house.Get($"/api/bakes/{bake}")).Body["position"]!;
            if (note == "First.")
                (await house.Tell(bake, new { type = "undone", position = last })).Status.ShouldBe(200);
        }
        (await house.Get("/api/logbook")).Body.AsArray().Count(l => (string)l!["id"]! == $"{bake}").ShouldBe(1);
    }

    private static House Open(string version, out JsonObject shown)
    {
        var folder = Path.Combine(Golden, version);
        shown = JsonNode.Parse(File.ReadAllText(Path.Combine(folder, "shown.json")))!.AsObject();
        return House.On(folder);
    }

    private static string Entry(JsonNode? told) =>
        $"{told!["at"]} {told["event"]!["type"]} {((bool)told["stands"]! ? told["text"] : "taken back")}";

    // When, what kind of event, whether it stands, and every figure with its unit; how it is said may be said better.
    private static string Told(string entry)
    {
        var parts = entry.Split(' ', 3);
        var figures = Figures().Matches(parts[2]).Select(m => m.Value);
        return $"{parts[0]} {parts[1]} {(parts[2] == "taken back" ? parts[2] : string.Join(' ', figures))}";
    }

    [GeneratedRegex(@"\d+(?:\.\d+)? (?:g|°C)\b")]
    private static partial Regex Figures();

    // Version 0.6 named weigh-ins by their place; the times are the same.
    // Of a bake that was stopped, when it would have been ready is reckoned anew.
    private static string Timeless(JsonNode page)
    {
        if ((string?)page["status"] == "stopped")
            foreach (var reckoned in new[] { "ready", "lateBy" })
                page.AsObject().Remove(reckoned);
        return Short().Replace(WeighIn().Replace(page.ToJsonString(), "\"weigh-in\""), "");
    }

    [GeneratedRegex("\"short\":\"[^\"]*\",")]
    private static partial Regex Short();

    [GeneratedRegex("\"weigh-(in-)?\\d+\"")]
    private static partial Regex WeighIn();
}
