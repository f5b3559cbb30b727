using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;

namespace JollyKnot.Server.Tests;

/// <summary>Everything taken along and brought elsewhere: nothing lost, nothing doubled.</summary>
public sealed class ArchiveTests
{
    private static async Task<byte[]> Taken(House house, string query = "")
    {
        using var answer = await house.Client.GetAsync(new Uri($"/api/archive{query}", UriKind.Relative));
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return await answer.Content.ReadAsByteArrayAsync();
    }

    private static string Read(byte[] zip, string file)
    {
        using var archive = new ZipArchive(new MemoryStream(zip));
        using var read = new StreamReader(archive.GetEntry(file)!.Open());
        return read.ReadToEnd();
    }

    private static JsonObject Document(byte[] zip) => JsonNode.Parse(Read(zip, "jolly-knot.json"))!.AsObject();

    private static byte[] With(byte[] zip, Action<JsonObject> change)
    {
        var document = Document(zip);
        change(document);
        using var packed = new MemoryStream();
        using (var archive = new ZipArchive(packed, ZipArchiveMode.Create))
        using (var entry = archive.CreateEntry("jolly-knot.json").Open())
            entry.Write(Encoding.UTF8.GetBytes(document.ToJsonString()));
        return packed.ToArray();
    }

    private static Task<(int Status, JsonNode Body)> Bring(House house, byte[] zip)
    {
        var content = new ByteArrayContent(zip);
        content.Headers.ContentType = new("application/zip");
        return house.Post("/api/archive", content);
    }

    // What the house keeps, a line for each thing.
    private static string[] Kept(byte[] zip) =>
        [
            .. ((string[])["doughs", "bakes", "settings"]).SelectMany(list =>
                Document(zip)[list]!.AsArray().Select(thing => $"{list} {thing!.ToJsonString()}")
            ),
        ];

    private static House Empty() => House.With(("demo", "false"));

    [Fact]
    public async Task A_round_trip_loses_nothing_and_a_second_one_doubles_nothing()
    {
        using var old = new House();
        var bake = await old.Bake();
        (await old.Tell(bake, new { type = "step-done", step = "paddle" })).Status.ShouldBe(200);
        var taken = await Taken(old);
        using var fresh = Empty();
        (await Bring(fresh, taken)).Status.ShouldBe(200);
        fresh.Reopen();
        Kept(await Taken(fresh)).ShouldBe(Kept(taken));
        (await fresh.Get($"/api/bakes/{bake}")).Body["position"]!.GetValue<int>().ShouldBe(1);
        ((string)(await Bring(fresh, taken)).Body["said"]!).ShouldBe("All of it was here.");
        fresh.Reopen();
        Kept(await Taken(fresh)).ShouldBe(Kept(taken));
    }

    [Fact]
    public async Task What_went_on_elsewhere_goes_on_here_and_what_went_on_in_both_stays_as_here()
    {
        using var here = new House();
        var (goesOn, crossed) = (await here.Bake(), await here.Bake());
        var taken = await Taken(here);
        using var there = Empty();
        await Bring(there, taken);
        there.Reopen();
        (await there.Tell(goesOn, new { type = "step-done", step = "paddle" })).Status.ShouldBe(200);
        (await there.Tell(crossed, new { type = "stopped" })).Status.ShouldBe(200);
        (await here.Tell(crossed, new { type = "step-done", step = "paddle" })).Status.ShouldBe(200);
        var said = (await Bring(here, await Taken(there))).Body;
        ((string)said["said"]!).ShouldBe("Taken: 1 event. 1 bake went on in both and stayed as here.");
        here.Reopen();
        ((int)(await here.Get($"/api/bakes/{goesOn}")).Body["position"]!).ShouldBe(1);
        ((string)(await here.Get($"/api/bakes/{crossed}")).Body["status"]!).ShouldNotBe("stopped");
    }

    [Fact]
    public async Task What_lies_in_the_cold_lies_there_for_both_and_what_was_moved_last_holds()
    {
        using var here = new House();
        var both = await Frozen(here);
        var taken = await Taken(here);
        using var there = Empty();
        await Bring(there, taken);
        there.Reopen();
        var (ours, theirs) = (await Frozen(here), await Frozen(there));
        there.Pass(TimeSpan.FromHours(1));
        (await there.Post($"/api/larder/{both}/0", new { kind = "bread", to = "gone" })).Status.ShouldBe(204);
        await Bring(here, await Taken(there));
        here.Reopen();
        var left = (await here.Get("/api/larder")).Body.AsArray().Select(thing => (Guid)thing!["bake"]!);
        left.ShouldBe([ours, theirs], ignoreOrder: true);
    }

    // A bake whose bread is in the freezer.
    private static async Task<Guid> Frozen(House house)
    {
        var bake = await house.Bake();
        (await house.Post($"/api/bakes/{bake}/freeze", new { cut = 0, pieces = 2 })).Status.ShouldBe(204);
        return bake;
    }

    [Fact]
    public async Task One_dough_can_be_given_away_with_all_its_versions()
    {
        using var old = new House();
        var zip = await Taken(old, $"?id={House.Rolls}");
        var document = Document(zip);
        document["doughs"]!.AsArray().Count.ShouldBe(1);
        (document["bakes"]!.AsArray().Count, document["settings"]!.AsArray().Count).ShouldBe((0, 0));
        using var fresh = Empty();
        ((string)(await Bring(fresh, zip)).Body["said"]!).ShouldBe("Taken: 1 dough.");
        fresh.Reopen();
        (await fresh.Get($"/api/doughs/{House.Rolls}")).Status.ShouldBe(200);
        using var none = await old.Client.GetAsync(new Uri($"/api/archive?id={Guid.NewGuid()}", UriKind.Relative));
        none.StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task What_cannot_be_read_is_left_out_and_said_and_a_wrong_file_changes_nothing()
    {
        using var old = new House();
        var taken = await Taken(old);
        var broken = With(taken, all => all["bakes"]![0]!["plan"]!["document"]!["spec"] = "bread");
        using var fresh = Empty();
        ((string)(await Bring(fresh, broken)).Body["said"]!).ShouldEndWith("1 thing could not be read.");
        fresh.Reopen();
        var before = Kept(await Taken(fresh));
        byte[][] wrong =
        [
            [],
            "a shopping list"u8.ToArray(),
            taken[..(taken.Length / 2)],
            With(taken, all => all["doughs"] = null),
            With(taken, all => all["bakes"]!.AsArray().Add(null)),
            With(taken, all => all["format"] = 99),
            With(taken, all => all["settings"]!.AsArray().Add(new JsonObject { ["name"] = "house-salt", ["document"] = "x" })),
        ];
        foreach (var file in wrong)
            (await Bring(fresh, file)).Status.ShouldBe(400);
        Kept(await Taken(fresh)).ShouldBe(before);
    }

    [Fact]
    public async Task Tables_hold_what_was_told_and_nothing_a_spreadsheet_would_run()
    {
        using var house = new House();
        var dough = new
        {
            name = "=HYPERLINK(\"x\"), \"quay\" loaf",
            rows = new object[] { new { ingredient = "flour", mass = 500 }, new { ingredient = "water", mass = 300 } },
            byHand = false,
        };
        (await house.Call(HttpMethod.Put, $"/api/doughs/{Guid.NewGuid()}", dough)).Status.ShouldBe(200);
        var zip = await Taken(house);
        var row = Read(zip, "doughs.csv").Split("\r\n").Single(l => l.Contains("HYPERLINK") && l.EndsWith(",500"));
        row.ShouldEndWith("\"'=HYPERLINK(\"\"x\"\"), \"\"quay\"\" loaf\",1,plain flour,500");
        var log = Read(zip, "log.csv").Split("\r\n");
        log[0].ShouldBe("bake,dough,position,at,what,document");
        var events = Document(zip)["bakes"]!.AsArray().Sum(b => b!["events"]!.AsArray().Count);
        log.Length.ShouldBe(events + 2);
        foreach (var table in (string[])["weights.csv", "looks.csv", "probe.csv", "doses.csv"])
            Read(zip, table).ShouldContain("bake,dough,at,");
        Read(zip, "weights.csv").Split("\r\n").Length.ShouldBeGreaterThan(10);
    }

    // A JPEG as its segments go, one of them telling where it was taken.
    private static byte[] Jpeg(string told, int scan = 40)
    {
        var place = Encoding.ASCII.GetBytes(told);
        return
        [
            0xFF,
            0xD8,
            .. Segment(0xE0, "JFIF"u8.ToArray()),
            .. Segment(0xE1, place),
            .. Segment(0xFE, place),
            .. Segment(0xDB, [1, 2, 3]),
            0xFF,
            0xDA,
            .. Enumerable.Range(0, scan).Select(i => (byte)i),
        ];
    }

    private static byte[] Segment(byte kind, byte[] content) =>
        [0xFF, kind, (byte)((content.Length + 2) >> 8), (byte)(content.Length + 2), .. content];

    private static async Task<int> Show(House house, Guid bake, byte[] picture)
    {
        using var content = new ByteArrayContent(picture);
        content.Headers.ContentType = new("image/jpeg");
        using var answer = await house.Client.PutAsync(new Uri($"/api/bakes/{bake}/photo", UriKind.Relative), content);
        return (int)answer.StatusCode;
    }

    private static Task<byte[]> Shown(House house, Guid bake) =>
        house.Client.GetByteArrayAsync(new Uri($"/api/bakes/{bake}/photo", UriKind.Relative));

    [Fact]
    public async Task A_picture_of_the_bread_is_kept_without_where_it_was_taken_and_goes_along()
    {
        using var old = new House();
        var bake = await old.Bake();
        (await old.Get($"/api/bakes/{bake}/photo")).Status.ShouldBe(404);
        (await Show(old, bake, Jpeg("Exif: under the boiler"))).ShouldBe(204);
        var kept = await Shown(old, bake);
        Encoding.ASCII.GetString(kept).ShouldNotContain("boiler");
        // What makes the picture is as it was.
        kept[^42..].ShouldBe(Jpeg("")[^42..]);
        kept.ShouldBe([
            .. new byte[] { 0xFF, 0xD8 },
            .. Segment(0xE0, "JFIF"u8.ToArray()),
            .. Segment(0xDB, [1, 2, 3]),
            .. kept[^42..],
        ]);
        foreach (var none in new[] { "no picture"u8.ToArray(), [0xFF, 0xD8, 0xFF, 0xE1, 0xFF, 0xFF, 1], Jpeg("", 600_001), [] })
            (await Show(old, bake, none)).ShouldBe(400);
        (await Shown(old, bake)).ShouldBe(kept);
        (await Show(old, Guid.NewGuid(), Jpeg(""))).ShouldBe(404);

        using var anew = Empty();
        (await Bring(anew, await Taken(old))).Status.ShouldBe(200);
        anew.Reopen();
        (await Shown(anew, bake)).ShouldBe(kept);
        (await anew.Get("/api/photos")).Body.AsArray().Count.ShouldBe(1);
        (await anew.Call(HttpMethod.Delete, $"/api/bakes/{bake}/photo")).Status.ShouldBe(204);
        (await anew.Call(HttpMethod.Delete, $"/api/bakes/{bake}/photo")).Status.ShouldBe(204);
        (await anew.Get("/api/photos")).Body.AsArray().ShouldBeEmpty();
    }
}
