using System.Text.Json.Nodes;

namespace JollyKnot.Server.Tests;

/// <summary>Dough in the cold and bread in the freezer: there until it is used, eaten or thrown away.</summary>
public sealed class LarderTests : IDisposable
{
    private readonly House house = new();

    public void Dispose() => house.Dispose();

    private async Task<JsonArray> Larder() => (await house.Get("/api/larder")).Body.AsArray();

    // Rolls of half the dough, and the other half in the fridge.
    private async Task<Guid> HalfKept()
    {
        var bake = await house.Bake(
            House.Cuts("blue", "counter", null, new { familyId = "pan-roll", pieces = 8 }, new { share = .5 })
        );
        foreach (var step in (string[])["start-cycle", "divide", "keep-2"])
            (await house.Tell(bake, new { type = "step-done", step })).Status.ShouldBe(200, step);
        return bake;
    }

    private Task<(int Status, JsonNode Body)> Move(Guid bake, string to, string kind = "dough") =>
        house.Post($"/api/larder/{bake}/1", new { kind, to });

    [Fact]
    public async Task A_share_kept_stands_there_with_its_times_and_goes_when_it_is_taken_back()
    {
        var bake = await HalfKept();
        var thing = (await Larder()).Single()!;
        ((string)thing["what"]!, (string)thing["in"]!).ShouldBe(("450 g", "fridge"));
        var since = (DateTimeOffset)thing["since"]!;
        since.ShouldBe(house.Now);
        ((DateTimeOffset)thing["bestUntil"]!).ShouldBe(since.AddHours(24));
        // With milk and egg in it, two days; and for a month in the freezer, from then on.
        ((DateTimeOffset)thing["useBy"]!).ShouldBe(since.AddHours(48));
        house.Pass(TimeSpan.FromHours(5));
        (await Move(bake, "freezer")).Status.ShouldBe(204);
        ((DateTimeOffset)(await Larder()).Single()!["useBy"]!).ShouldBe(since.AddHours(5).AddDays(30));
        house.Reopen();
        (await Larder()).Count.ShouldBe(1);
        var position = (int)(await house.Get($"/api/bakes/{bake}")).Body["position"]!;
        (await house.Tell(bake, new { type = "undone", position })).Status.ShouldBe(200);
        (await Larder()).ShouldBeEmpty();
    }

    [Fact]
    public async Task What_is_thrown_away_does_not_come_back_whatever_else_its_bake_tells()
    {
        var bake = await HalfKept();
        (await Move(bake, "gone")).Status.ShouldBe(204);
        (await house.Tell(bake, new { type = "step-done", step = "shape" })).Status.ShouldBe(200);
        (await Larder()).ShouldBeEmpty();
        (await Move(bake, "nowhere")).Status.ShouldBe(400);
        (await Move(Guid.NewGuid(), "gone")).Status.ShouldBe(404);
    }

    [Fact]
    public async Task A_lump_is_made_into_a_bake_of_that_very_dough_once()
    {
        var bake = await HalfKept();
        var opening = (await house.Get($"/api/larder/{bake}/1/first-choice")).Body;
        var layout = new { doughId = Guid.NewGuid(), choice = opening["choice"] };
        var laid = (await house.Post("/api/layouts", layout)).Body;
        // The lump is all of its dough, whatever the recipe makes.
        ((double)laid["dough"]!).ShouldBe(450, 1);
        (await house.Post("/api/bakes", new { id = Guid.NewGuid(), layout })).Status.ShouldBe(200);
        (await Larder()).ShouldBeEmpty();
        var again = await house.Post("/api/layouts", layout);
        (again.Status, (string)again.Body["field"]!).ShouldBe((400, "choice.from"));
    }

    [Fact]
    public async Task Pieces_shaped_and_frozen_stand_there_and_are_baked_as_they_are()
    {
        object[] cuts =
        [
            new { familyId = "round-bun", pieces = 4 },
            new
            {
                familyId = "round-bun",
                pieces = 5,
                keep = "freezer",
            },
        ];
        var bake = await house.Bake(House.Cuts("blue", "counter", null, cuts));
        (await house.Tell(bake, new { type = "step-done", step = "keep-shaped-2" })).Status.ShouldBe(200);
        var thing = (await Larder()).Single()!;
        ((string)thing["kind"]!, (string)thing["what"]!, (string)thing["in"]!).ShouldBe(
            ("shaped", "5 round buns, shaped,", "freezer")
        );
        ((DateTimeOffset)thing["useBy"]!).ShouldBe(house.Now.AddDays(30));
        house.Pass(TimeSpan.FromDays(4));
        var choice = (await house.Get($"/api/larder/{bake}/1/first-choice")).Body["choice"]!;
        var doughId = Guid.NewGuid();
        (await house.Post("/api/layouts", new { doughId, choice })).Status.ShouldBe(200);
        var other = choice.DeepClone();
        other["cuts"]![0]!["familyId"] = "pan-roll";
        var refused = await house.Post("/api/layouts", new { doughId, choice = other });
        (refused.Status, (string)refused.Body["field"]!).ShouldBe((400, "choice.cuts[0].familyId"));
        // Out of the freezer into the fridge they thaw, and are still theirs.
        (await Move(bake, "fridge", "shaped")).Status.ShouldBe(204);
        ((DateTimeOffset)(await Larder()).Single()!["useBy"]!).ShouldBe(house.Now.AddHours(36));
        house.Pass(TimeSpan.FromHours(11));
        var made = await house.Post("/api/bakes", new { id = Guid.NewGuid(), layout = new { doughId, choice } });
        ((string)made.Body["beat"]!["say"]!).ShouldBe("Take 5 round buns out of the fridge and set them out, apart.");
        (await Larder()).ShouldBeEmpty();
    }

    [Fact]
    public async Task Bread_is_frozen_as_many_as_there_are()
    {
        var bake = await HalfKept();
        foreach (var (cut, pieces, status) in new[] { (0, 9, 400), (0, 0, 400), (1, 1, 400), (7, 1, 400), (0, 3, 204) })
            (await house.Post($"/api/bakes/{bake}/freeze", new { cut, pieces })).Status.ShouldBe(status, $"{pieces} of {cut}");
        (await Larder()).Select(t => (string)t!["what"]!).ShouldBe(["450 g", "3 pan rolls"]);
        // How it is made ready, and when it is thawed once it is out.
        var frozen = (await Larder())[1]!;
        ((string)frozen["how"]!).ShouldBe("It thaws in its bag in 1 h; then 5 min at 180 °C make it crisp.");
        frozen["thawed"].ShouldBeNull();
        ((string)(await Larder())[0]!["how"]!).ShouldBeEmpty();
        house.Pass(TimeSpan.FromDays(2));
        // Wanted at a time: out, oven on, in, each when it is due; in the calendar too.
        var at = house.Now.AddHours(6);
        (await house.Post($"/api/larder/{bake}/0/wanted", new { at = house.Now.AddDays(-1) })).Status.ShouldBe(400);
        (await house.Post($"/api/larder/{bake}/1/wanted", new { at })).Status.ShouldBe(404);
        (await house.Post($"/api/larder/{bake}/0/wanted", new { at })).Status.ShouldBe(204);
        var steps = (await Larder()).Single(t => (string)t!["kind"]! == "bread")!["steps"]!.AsArray();
        steps
            .Select(s => (string)s!["say"]!)
            .ShouldBe(["Out of the freezer, in its bag", "Oven on, 180 °C", "Into the oven, 5 min", "On the table"]);
        double Before(int step) => (at - (DateTimeOffset)steps[step]!["at"]!).TotalMinutes;
        (Before(0), Before(2), Before(3)).ShouldBe((65, 5, 0));
        Before(1).ShouldBeInRange(5 + 10, 5 + 40);
        var calendar = await house.Client.GetStringAsync(new Uri("/api/day.ics", UriKind.Relative));
        calendar.ShouldContain("Into the oven\\, 5 min");
        (await house.Post($"/api/larder/{bake}/0", new { kind = "bread", to = "fridge" })).Status.ShouldBe(204);
        (await Larder()).Single(t => (string)t!["kind"]! == "bread")!["steps"]!.AsArray().Count.ShouldBe(3);
        var thawing = (await Larder()).Single(t => (string)t!["kind"]! == "bread")!;
        ((DateTimeOffset)thawing["thawed"]!).ShouldBe(house.Now.AddHours(1), TimeSpan.FromMinutes(1));
        (await Move(bake, "freezer")).Status.ShouldBe(204);
        house.Pass(TimeSpan.FromDays(1));
        (await Move(bake, "fridge")).Status.ShouldBe(204);
        var lump = (await Larder()).Single(t => (string)t!["kind"]! == "dough")!;
        ((string)lump["how"]!).ShouldBe("It thaws in the fridge in 10 h.");
        ((DateTimeOffset)lump["thawed"]!).ShouldBe(house.Now.AddHours(10), TimeSpan.FromMinutes(1));
        // What is gone belongs to its bake's story all the same.
        (await house.Post($"/api/larder/{bake}/0", new { kind = "bread", to = "gone" })).Status.ShouldBe(204);
        (await Larder()).Count.ShouldBe(1);
        (await house.Get($"/api/larder/{bake}"))
            .Body.AsArray()
            .Select(t => (string)t!["in"]!)
            .ShouldBe(["fridge", "gone"], ignoreOrder: true);
        (await house.Get($"/api/larder/{Guid.NewGuid()}")).Body.AsArray().ShouldBeEmpty();
    }
}
