using System.Collections.Concurrent;
using System.Diagnostics;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace JollyKnot.Server.Tests;

/// <summary>What is learned is read once, and kept up to date as bakes close.</summary>
public sealed class LearnedTests
{
    [Fact]
    public async Task Laying_out_reads_no_log_and_no_closed_bake_however_often()
    {
        using var house = new House();
        await LayOut(house, "pan-roll");
        using var asked = new Asked(house.File);
        foreach (var family in new[] { "pan-roll", "plait-3", "crusty-roll" })
            await LayOut(house, family);
        asked.Of("\"Events\"").ShouldBeEmpty();
        asked.Of("\"Bakes\"").ShouldBeEmpty();
        asked.Of("\"Doughs\"").ShouldBeEmpty();
    }

    [Fact]
    public async Task A_bake_that_closes_is_learned_from_at_once()
    {
        using var house = new House();
        var before = await Pace(house);
        var learnedBefore = (await house.Get("/api/kitchen/learned")).Body;
        var bake = await house.Bake(House.Choice(pieces: 16));
        async Task Tell(object told) => (await house.Tell(bake, told)).Status.ShouldBe(200);
        await Tell(
            new
            {
                type = "step-done",
                step = "start-proof",
                at = house.Ago(200),
            }
        );
        await Tell(
            new
            {
                type = "proof-looked",
                step = "look-1",
                seen = "third",
                at = house.Ago(60),
            }
        );
        await Tell(
            new
            {
                type = "proof-looked",
                step = "look-2",
                seen = "half",
                at = house.Ago(30),
            }
        );
        await Tell(
            new
            {
                type = "step-done",
                step = "load",
                at = house.Ago(25),
            }
        );
        await Tell(
            new
            {
                type = "step-done",
                step = "unload",
                at = house.Ago(8),
            }
        );
        await Tell(
            new
            {
                type = "reviewed",
                step = "review",
                stars = 4,
                note = "",
            }
        );
        // Slow this time: the next is expected a little slower.
        (await Pace(house)).ShouldBeGreaterThan(before + 1);
        // And it stands beside what it was learned of, with its evidence.
        var learned = (await house.Get("/api/kitchen/learned")).Body;
        var counter = learned["places"]!.AsArray().Single(p => (string)p!["id"]! == "counter")!;
        ((double)counter["times"]!).ShouldBeLessThan(1);
        ((DateTimeOffset)counter["last"]!).ShouldBe(house.Now, TimeSpan.FromMinutes(1));
        BakesOf(learned).ShouldBe(BakesOf(learnedBefore) + 1);
        // The counter is in another room now: what was learned of it is forgotten, and of the oven it is not.
        var kitchen = (await house.Get("/api/kitchen/setup")).Body.AsObject();
        kitchen["forgotten"] = new System.Text.Json.Nodes.JsonArray(
            new System.Text.Json.Nodes.JsonObject { ["thing"] = "counter", ["until"] = house.Now.ToString("O") }
        );
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(200);
        learned = (await house.Get("/api/kitchen/learned")).Body;
        learned["places"]!.AsArray().ShouldNotContain(p => (string)p!["id"]! == "counter");
        BakesOf(learned).ShouldBe(BakesOf(learnedBefore) + 1);
        (await Pace(house)).ShouldBeLessThan(before + 1);
    }

    private static int BakesOf(System.Text.Json.Nodes.JsonNode learned) =>
        (int)learned["ovens"]!.AsArray().Single(o => (string)o!["id"]! == "wall")!["bakes"]!;

    [Fact]
    public async Task What_is_over_can_be_judged_anew_and_ends_no_later_for_it()
    {
        using var house = new House();
        var past = (await house.Get("/api/logbook")).Body[0]!;
        var id = Guid.Parse((string)past["id"]!);
        var before = (await house.Get($"/api/logbook/{id}")).Body;
        house.Pass(TimeSpan.FromDays(1));
        var step = (string)before["steps"]!.AsArray()[^1]!["step"]!;
        var judged = new
        {
            type = "reviewed",
            step,
            stars = 2,
            note = "Stale by noon.",
        };
        (await house.Tell(id, judged)).Status.ShouldBe(200);
        var after = (await house.Get($"/api/logbook/{id}")).Body;
        ((int)after["stars"]!, (string)after["note"]!).ShouldBe((2, "Stale by noon."));
        foreach (var same in (string[])["finishedAt", "ready", "status", "steps", "cuts"])
            $"{after[same]?.ToJsonString()}".ShouldBe($"{before[same]?.ToJsonString()}");
        // Nothing else can be told of it.
        (await house.Tell(id, new { type = "step-done", step })).Status.ShouldBe(409);
        house.Reopen();
        ((string)(await house.Get($"/api/logbook/{id}")).Body["finishedAt"]!).ShouldBe((string)before["finishedAt"]!);
    }

    private static async Task<double> Pace(House house) =>
        (await LayOut(house, "pan-roll"))["cuts"]![0]!["bestProof"]!.GetValue<double>();

    private static async Task<System.Text.Json.Nodes.JsonNode> LayOut(House house, string family)
    {
        var (status, body) = await house.Post("/api/layouts", House.Layout(choice: House.Choice(family: family)));
        status.ShouldBe(200);
        return body;
    }

    // What one file was asked, in SQL.
    private sealed class Asked : IObserver<DiagnosticListener>, IObserver<KeyValuePair<string, object?>>, IDisposable
    {
        private readonly string file;
        private readonly ConcurrentQueue<string> commands = [];
        private readonly ConcurrentBag<IDisposable> heard = [];

        public Asked(string file)
        {
            this.file = file;
            heard.Add(DiagnosticListener.AllListeners.Subscribe(this));
        }

        public List<string> Of(string table) => [.. commands.Where(c => c.Contains(table, StringComparison.Ordinal))];

        public void OnNext(DiagnosticListener value)
        {
            if (value.Name == DbLoggerCategory.Name)
                heard.Add(value.Subscribe(this));
        }

        public void OnNext(KeyValuePair<string, object?> value)
        {
            if (value.Key != RelationalEventId.CommandExecuting.Name)
                return;
            if (value.Value is CommandEventData { Command: { Connection.DataSource: var source } command } && source == file)
                commands.Enqueue(command.CommandText);
        }

        public void OnCompleted() { }

        public void OnError(Exception error) { }

        public void Dispose()
        {
            foreach (var one in heard)
                one.Dispose();
        }
    }
}
