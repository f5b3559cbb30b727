using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;

namespace JollyKnot.Server.Tests;

/// <summary>What this version cannot read is set aside and said; nothing else waits for it.</summary>
public sealed class UnreadableTests : IDisposable
{
    private readonly House house = new();

    public void Dispose() => house.Dispose();

    private async Task<JsonArray> SetAside() => (await house.Get("/api/today")).Body["setAside"]!.AsArray();

    // Today, the alarms on it, the day, the scale, the book and the logbook.
    private async Task EverythingElseWorks(int bakes)
    {
        (await house.Get("/api/today")).Body["bakes"]!.AsArray().Count.ShouldBe(bakes);
        foreach (var path in (string[])["/health", "/api/logbook", "/api/doughs", "/api/kitchen", "/api/scale", "/api/day.ics"])
            (await house.Get(path)).Status.ShouldBe(200, path);
        (await house.Post("/api/day", new { })).Status.ShouldBe(200);
        (await house.Post("/api/layouts", House.Layout())).Status.ShouldBe(200);
        var other = await house.Bake();
        (await house.Tell(other, new { type = "step-done", step = "paddle" })).Status.ShouldBe(200);
    }

    // What is done to a bake under way behind the server's back, and what is said of it then.
    private static readonly (string Order, string Reason)[] Broken =
    [
        (
            EventIs("""{"version":2,"document":{"type":"bread-sung-to","at":"2026-11-28T07:40:00Z"}}"""),
            "Event 1: It holds something this version does not know."
        ),
        (EventIs("""{"version":99,"document":{"type":"stopped"}}"""), "Event 1: It was written by a newer Jolly Knot."),
        (PlanIs("json_set(Document, '$.version', 99)"), "It was written by a newer Jolly Knot."),
        (PlanIs("json_remove(Document, '$.document.spec.tools.oven')"), "It is damaged at spec.tools."),
        (PlanIs("json_set(Document, '$.document.steps', json('[]'))"), "It says what cannot be."),
        (PlanIs("json_set(Document, '$.document.spec.made.dough.rows[0].mass', 1e-320)"), "It says what cannot be."),
        (PlanIs("substr(Document, 1, length(Document) / 2)"), "It is damaged."),
    ];

    private static string EventIs(string document) =>
        $"UPDATE Events SET Document = '{document}' WHERE lower(BakeId) = @0 AND Position = 1";

    private static string PlanIs(string changed) => $"UPDATE Bakes SET Document = {changed} WHERE lower(Id) = @0";

    [Fact]
    public async Task Bakes_under_way_from_the_future_with_something_missing_impossible_or_cut_in_half()
    {
        var before = (await house.Get("/api/today")).Body["bakes"]!.AsArray().Count;
        var bakes = new List<Guid>();
        foreach (var _ in Broken)
        {
            bakes.Add(await house.Bake());
            (await house.Tell(bakes[^1], new { type = "step-done", step = "paddle" })).Status.ShouldBe(200);
        }
        house.Reopen(db =>
        {
            foreach (var (bake, (order, _)) in bakes.Zip(Broken))
                db.Run(order, $"{bake}");
        });

        await EverythingElseWorks(before);
        var aside = (await SetAside()).ToDictionary(a => (Guid)a!["id"]!, a => (string)a!["reason"]!);
        aside.Count.ShouldBe(Broken.Length);
        foreach (var (bake, (order, reason)) in bakes.Zip(Broken))
        {
            aside[bake].ShouldBe(reason, order);
            var (status, answer) = await house.Get($"/api/bakes/{bake}");
            (status, (string)answer["type"]!).ShouldBe((409, "urn:jolly-knot:problem:set-aside"), order);
            ((string)answer["title"]!).ShouldEndWith(reason);
            // Who tells it something is told so, and nothing is written.
            (
                await house.Post(
                    $"/api/bakes/{bake}/events",
                    new
                    {
                        id = Guid.NewGuid(),
                        basedOn = 1,
                        @event = new { type = "stopped" },
                    }
                )
            ).Status.ShouldBe(404);
        }
    }

    [Fact]
    public async Task A_dough_a_page_of_the_logbook_and_the_kitchen()
    {
        var past = (string)(await house.Get("/api/logbook")).Body[0]!["id"]!;
        string kitchen = "";
        house.Reopen(db =>
        {
            db.Run("UPDATE Doughs SET Document = substr(Document, 1, 200) WHERE lower(Id) = @0", House.Rolls);
            db.Run("UPDATE Bakes SET Closed = '{}' WHERE lower(Id) = @0", past);
            db.Run("UPDATE Settings SET Document = json_remove(Document, '$.document.ovens') WHERE Key = 'kitchen'");
            kitchen = db.Ask("SELECT Document FROM Settings WHERE Key = 'kitchen'");
        });
        (await house.Get("/api/doughs")).Body["doughs"]!.AsArray().Count.ShouldBe(10);
        (await house.Get("/api/logbook")).Body.AsArray().Count.ShouldBe(2);
        (await house.Get($"/api/doughs/{House.Rolls}")).Status.ShouldBe(409);
        (await SetAside()).Select(a => (string)a!["kind"]!).ShouldBe(["closed-bake", "dough", "kitchen"]);

        // A kitchen entered anew takes its place; the old one is kept beside it.
        var plain = (await house.Get("/api/kitchen/setup")).Body;
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", plain)).Status.ShouldBe(200);
        (await SetAside()).Select(a => (string)a!["kind"]!).ShouldBe(["closed-bake", "dough"]);
        house.Reopen(db => db.Ask("SELECT Document FROM Settings WHERE Key LIKE 'kitchen set aside %'").ShouldBe(kitchen));
    }

    [Fact]
    public async Task A_book_of_a_newer_version_is_refused_in_one_sentence_and_left_as_it_is()
    {
        using var data = new TemporaryFolder();
        var file = Path.Combine(data.Path, "jolly-knot.db");
        System.IO.File.Copy(Path.Combine(Checkout.Root, "tests", "golden", "0.6", "jolly-knot.db"), file);
        using (var db = new SqliteConnection($"Data Source={file};Pooling=False"))
        {
            db.Open();
            db.Run("INSERT INTO __EFMigrationsHistory VALUES ('29991231235959_Crumbs', '99.0')");
        }
        var before = await System.IO.File.ReadAllBytesAsync(file);
        using var server = Process.Start(
            new ProcessStartInfo("dotnet", [typeof(Program).Assembly.Location, "--data", data.Path, "--port", "0"])
            {
                RedirectStandardError = true,
            }
        )!;
        var said = await server.StandardError.ReadToEndAsync();
        await server.WaitForExitAsync();
        server.ExitCode.ShouldBe(1);
        said.Trim()
            .ShouldBe(
                "This book was written by a newer Jolly Knot (29991231235959_Crumbs). Start that one, or put back a "
                    + "copy made before. Nothing was changed."
            );
        (await System.IO.File.ReadAllBytesAsync(file)).ShouldBe(before);
    }

    [Fact]
    public async Task An_old_page_is_understood_and_learns_that_it_is_old()
    {
        var bake = await house.Bake();
        var path = $"/api/bakes/{bake}/events";
        object Weighed(string step, double mass) =>
            new
            {
                id = Guid.NewGuid(),
                basedOn = 0,
                @event = new
                {
                    type = "ingredient-weighed",
                    step,
                    mass,
                },
            };
        // A page of version 1 says nothing of its version, and names the third thing in the pan by its place: the butter.
        using var told = await house.Client.PostAsJsonAsync(path, Weighed("weigh-3", 46.5));
        ((int)told.StatusCode).ShouldBe(200);
        told.Headers.GetValues("Jolly-Knot-Version")
            .Single()
            .ShouldBe((string)(await house.Get("/openapi/v1.json")).Body["info"]!["version"]!);
        var log = (await house.Get($"/api/bakes/{bake}/log")).Body[0]!;
        ((string)log["text"]!, (string)log["event"]!["step"]!).ShouldBe(("Weigh in butter: 47 g", "weigh-in-3"));

        // A page of this version is taken at its word; so is whoever writes what no version ever did.
        using var now = new HttpRequestMessage(HttpMethod.Post, path)
        {
            Content = JsonContent.Create(Weighed("weigh-3", 46.5)),
            Headers = { { "Jolly-Knot-Version", "2" } },
        };
        ((int)(await house.Client.SendAsync(now)).StatusCode).ShouldBe(409);
        foreach (var body in (string[])["[1]", "{", "", """{"event":{"step":7}}""", """{"id":1,"event":[]}"""])
        {
            using var content = new StringContent(body, System.Text.Encoding.UTF8, "application/json");
            ((int)(await house.Client.PostAsync(new Uri(path, UriKind.Relative), content)).StatusCode).ShouldBe(400, body);
        }
    }

    private sealed class TemporaryFolder : IDisposable
    {
        public string Path { get; } = Directory.CreateTempSubdirectory("jolly-newer-").FullName;

        public void Dispose() => Directory.Delete(Path, true);
    }
}
