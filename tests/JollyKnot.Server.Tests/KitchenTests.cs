using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace JollyKnot.Server.Tests;

/// <summary>The kitchen is changed by several: what one wrote, another does not undo unseen.</summary>
public sealed class KitchenTests : IDisposable
{
    private readonly House house = House.With(("demo", "false"));

    private async Task<(JsonObject Kitchen, string Mark)> Read()
    {
        using var answer = await house.Client.GetAsync(new Uri("/api/kitchen/setup", UriKind.Relative));
        return (JsonNode.Parse(await answer.Content.ReadAsStringAsync())!.AsObject(), answer.Headers.ETag!.Tag);
    }

    private async Task<HttpStatusCode> Keep(JsonObject kitchen, string? mark)
    {
        using var put = new HttpRequestMessage(HttpMethod.Put, "/api/kitchen/setup")
        {
            Content = new StringContent(kitchen.ToJsonString(), Encoding.UTF8, "application/json"),
        };
        if (mark is not null)
            put.Headers.TryAddWithoutValidation("If-Match", mark);
        using var answer = await house.Client.SendAsync(put);
        return answer.StatusCode;
    }

    [Fact]
    public async Task A_dough_kept_meanwhile_is_not_overwritten_unasked()
    {
        var path = $"/api/doughs/{Guid.NewGuid()}";
        async Task<HttpStatusCode> Save(string notes, string? of)
        {
            object[] rows = [new { ingredient = "plain flour", mass = 500 }, new { ingredient = "water", mass = 320 }];
            using var put = new HttpRequestMessage(HttpMethod.Put, path)
            {
                Content = JsonContent.Create(
                    new
                    {
                        name = "Two cooks",
                        notes,
                        rows,
                        byHand = true,
                    }
                ),
            };
            if (of is not null)
                put.Headers.TryAddWithoutValidation("If-Match", of);
            using var answer = await house.Client.SendAsync(put);
            return answer.StatusCode;
        }
        async Task<(int, string)> There() =>
            (await house.Get(path)).Body is var d ? ((int)d["version"]!, (string)d["notes"]!) : default;

        (await Save("first", null)).ShouldBe(HttpStatusCode.OK);
        (await Save("theirs", "\"1\"")).ShouldBe(HttpStatusCode.OK);
        (await Save("mine", "\"1\"")).ShouldBe(HttpStatusCode.PreconditionFailed);
        (await There()).ShouldBe((2, "theirs"));
        // The same again is no quarrel; over theirs when it is meant so.
        (await Save("theirs", "\"1\"")).ShouldBe(HttpStatusCode.OK);
        (await Save("mine", "\"2\"")).ShouldBe(HttpStatusCode.OK);
        (await There()).ShouldBe((3, "mine"));
    }

    [Fact]
    public async Task What_was_changed_since_it_was_read_is_not_overwritten()
    {
        var (mine, mark) = await Read();
        var (theirs, same) = await Read();
        same.ShouldBe(mark);
        theirs["name"] = "The attic";
        (await Keep(theirs, mark)).ShouldBe(HttpStatusCode.OK);
        mine["name"] = "The cellar";
        (await Keep(mine, mark)).ShouldBe(HttpStatusCode.PreconditionFailed);
        var (now, next) = await Read();
        ((string)now["name"]!).ShouldBe("The attic");
        next.ShouldNotBe(mark);
        (await Keep(mine, next)).ShouldBe(HttpStatusCode.OK);
        // Who does not say what was read overwrites, as a script would.
        (await Keep(theirs, null)).ShouldBe(HttpStatusCode.OK);
        // What cannot be says so before.
        theirs["name"] = "";
        (await Keep(theirs, (await Read()).Mark)).ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task Answers_given_at_once_are_all_kept()
    {
        object[] answers =
        [
            new { cycle = 5400, standsFirst = true },
            new { noScale = true },
            new { tins = (string[])["tray"] },
            new { awake = new { from = 18000, to = 75600 } },
            new { hottest = 230 },
            new { racks = 2 },
        ];
        var told = await Task.WhenAll(answers.Select(a => house.Post("/api/kitchen/first", a)));
        told.ShouldAllBe(t => t.Status == 200);
        var (kitchen, _) = await Read();
        ((double)kitchen["machines"]![0]!["phases"]![0]!["length"]!).ShouldBe(1200);
        ((bool)kitchen["noScale"]!).ShouldBeTrue();
        ((string)kitchen["tins"]![0]!["id"]!).ShouldBe("tray");
        ((double)kitchen["awake"]!["from"]!).ShouldBe(18000);
        ((double)kitchen["ovens"]![0]!["dial"]!["to"]!).ShouldBe(230);
        ((int)kitchen["ovens"]![0]!["racks"]!).ShouldBe(2);
        (await house.Post("/api/kitchen/first", new { cycle = 60 })).Status.ShouldBe(400);
        (await house.Post("/api/kitchen/first", new { racks = 0 })).Status.ShouldBe(400);
    }

    public void Dispose() => house.Dispose();

    [Fact]
    public async Task A_machine_taken_for_usual_is_learned_in_its_first_cycle_and_never_asked_of_again()
    {
        using var house = new House();
        // The blue one is known, the white one was watched before: nothing is asked.
        var known = await house.Bake(House.Choice(pieces: 16));
        await Started(house, known);
        (await house.Get($"/api/bakes/{known}/cycle")).Status.ShouldBe(204);
        var kitchen = (await house.Get("/api/kitchen/setup")).Body.AsObject();
        var blue = kitchen["machines"]!.AsArray().Single(m => (string)m!["id"]! == "blue")!.AsObject();
        blue["phases"] = new JsonArray(Phase("knead", 25), Phase("rise", 60));
        blue["beep"] = null;
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(200);
        var first = await house.Bake(House.Choice(pieces: 16));
        (await house.Get($"/api/bakes/{first}/cycle")).Status.ShouldBe(204);
        await Started(house, first);
        var path = $"/api/bakes/{first}/cycle";
        (await house.Get(path)).Body["machine"]!.GetValue<string>().ShouldBe("Blue two-paddle");
        house.Pass(TimeSpan.FromMinutes(14));
        (await house.Post(path, new { change = "kneads" })).Status.ShouldBe(200);
        // Told twice it began once.
        (await house.Post(path, new { change = "kneads" })).Body["seen"]!.AsArray().Count.ShouldBe(1);
        house.Pass(TimeSpan.FromMinutes(3));
        await house.Post(path, new { change = "rises" });
        (await Phases(house)).ShouldBe("warm 14, knead 3, rise 68");
        // Not so: it is as before.
        await house.Call(HttpMethod.Delete, path);
        (await Phases(house)).ShouldBe("warm 14, knead 25, rise 46");
        house.Pass(TimeSpan.FromMinutes(19));
        await house.Post(path, new { change = "rises" });
        (await Phases(house)).ShouldBe("warm 14, knead 22, rise 49");
        (await house.Post(path, new { change = "sings" })).Status.ShouldBe(400);
        // The next bake asks nothing.
        var next = await house.Bake(House.Choice(pieces: 16));
        await Started(house, next);
        (await house.Get($"/api/bakes/{next}/cycle")).Status.ShouldBe(204);
    }

    private static JsonObject Phase(string kind, int minutes) => new() { ["kind"] = kind, ["length"] = minutes * 60 };

    private static async Task Started(House house, Guid bake) =>
        (await house.Tell(bake, new { type = "step-done", step = "start-cycle" })).Status.ShouldBe(200);

    private static async Task<string> Phases(House house)
    {
        var kitchen = (await house.Get("/api/kitchen/setup")).Body;
        var blue = kitchen["machines"]!.AsArray().Single(m => (string)m!["id"]! == "blue")!;
        return string.Join(", ", blue["phases"]!.AsArray().Select(p => $"{p!["kind"]} {(double)p["length"]! / 60:0}"));
    }
}
