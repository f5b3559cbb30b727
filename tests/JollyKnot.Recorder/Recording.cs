// Many bakes and days, by chance but always the same, and all that screens said of them.
using System.Text.Json;
using System.Text.Json.Nodes;

namespace JollyKnot.Recorder;

internal sealed class Recording
{
    private const int BakesInAHouse = 6,
        MostTries = 12;
    private static readonly DateTimeOffset Begins = new(2026, 11, 28, 7, 40, 0, TimeSpan.Zero);
    private static readonly object Frame = new
    {
        width = 1200,
        slim = false,
        utcOffsetMinutes = 60,
    };

    // The demo's kitchen and doughs, for houses that have no other past.
    private JsonNode setup = new JsonObject();
    private readonly List<(Guid Id, JsonNode Dough)> doughs = [];

    /// <summary>Writes so many bakes, a few in a house of their own, and so many days, each in one.</summary>
    public async Task Write(TextWriter to, int bakes, int days)
    {
        await Learn();
        var houses = Enumerable
            .Range(0, bakes)
            .Chunk(BakesInAHouse)
            .Select(some => (Func<Sheet, Task>)(sheet => Bakes(sheet, some)))
            .Concat(Enumerable.Range(0, days).Select(day => (Func<Sheet, Task>)(sheet => OneDay(sheet, day))))
            .ToList();
        var written = new string[houses.Count];
        await Parallel.ForEachAsync(
            Enumerable.Range(0, houses.Count),
            new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount },
            async (i, _) =>
            {
                var own = new StringWriter();
                await houses[i](new Sheet(own));
                written[i] = own.ToString();
            }
        );
        foreach (var text in written)
            await to.WriteAsync(text);
    }

    private async Task Bakes(Sheet sheet, int[] numbers)
    {
        using var data = new Folder();
        using var house = new StillHouse(data.Path, Begins.AddDays(numbers[0]));
        await Furnish(house);
        foreach (var number in numbers)
            await Bake(house, sheet, number);
    }

    private async Task OneDay(Sheet sheet, int number)
    {
        using var data = new Folder();
        using var house = new StillHouse(data.Path, Begins);
        await Furnish(house);
        await Day(house, sheet, number);
    }

    private async Task Learn()
    {
        using var data = new Folder();
        using var demo = new StillHouse(data.Path, Begins, demo: true);
        setup = (await demo.Get("/api/kitchen/setup")).Body;
        foreach (var name in (await demo.Get("/api/doughs/names")).Body.AsArray())
        {
            var id = Guid.Parse(name!["id"]!.ToString());
            var json = (await demo.Get($"/api/doughs/{id}/export?format=json-ld")).Body;
            var read = (await demo.Post("/api/recipes/read", new JsonObject { ["text"] = json.ToJsonString() })).Body;
            doughs.Add((id, read));
        }
    }

    private async Task Furnish(StillHouse house)
    {
        await house.Put("/api/kitchen/setup", setup.DeepClone());
        foreach (var (id, read) in doughs)
        {
            var kept = await house.Put($"/api/doughs/{id}", read["exact"]!.DeepClone());
            if (!kept.Ok)
                throw new InvalidOperationException($"A demo dough was not kept: {kept.Body}");
        }
    }

    private async Task Bake(StillHouse house, Sheet sheet, int number)
    {
        var dice = new Dice(number);
        sheet.Line($"# bake {number}");
        if (await LaidOut(house, sheet, dice) is not { } layout)
            return;

        layout.Remove("frame");
        var id = dice.Id();
        await house.Post("/api/bakes", new JsonObject { ["id"] = id, ["layout"] = layout });
        await new Player(house, dice, sheet).Play(id);
        sheet.Thing("logbook", (await house.Get($"/api/logbook/{id}")).Body);
    }

    // What is refused is tried otherwise, a few times.
    private async Task<JsonObject?> LaidOut(StillHouse house, Sheet sheet, Dice dice)
    {
        var kitchen = (await house.Get("/api/kitchen")).Body;
        for (var tries = 0; tries < MostTries; tries++)
        {
            var layout = new JsonObject
            {
                ["doughId"] = dice.Of(doughs).Id,
                ["choice"] = new Choices(kitchen, dice).Bake(house.Now),
                ["scaleToFit"] = true,
                ["frame"] = JsonSerializer.SerializeToNode(Frame),
            };
            sheet.Thing("chosen", layout);
            var laid = await house.Post("/api/layouts", layout);
            if (!laid.Ok)
            {
                sheet.Line($"  refused {laid.Status}: {Sheet.Text(laid.Body["problems"])}");
                continue;
            }
            foreach (var (name, value) in laid.Body.AsObject().Where(m => m.Key is not "steps"))
                sheet.Thing(name, value);
            sheet.Steps(laid.Body["steps"]!);
            return layout;
        }
        return null;
    }

    private async Task Day(StillHouse house, Sheet sheet, int number)
    {
        var dice = new Dice(10_000 + number);
        var kitchen = (await house.Get("/api/kitchen")).Body;
        sheet.Line($"# day {number}");
        var ids = new List<Guid>();
        for (var tries = 8; tries > 0 && ids.Count < 3; tries--)
        {
            var choice = new Choices(kitchen, dice).Bake(house.Now, house.Now.AddMinutes(15 * dice.Between(14, 36)));
            foreach (var night in (string[])["cold", "timer"])
                choice.Remove(night);
            var layout = new JsonObject
            {
                ["doughId"] = dice.Of(doughs).Id,
                ["choice"] = choice,
                ["scaleToFit"] = true,
            };
            var id = dice.Id();
            var kept = await house.Post("/api/bakes", new JsonObject { ["id"] = id, ["layout"] = layout });
            sheet.Line($"  {kept.Status} {Sheet.Text(choice)}");
            if (kept.Ok)
                ids.Add(id);
        }
        await Board(house, sheet, []);
        await house.Post("/api/day/arrange", new JsonObject());
        await Board(house, sheet, []);
        await Board(
            house,
            sheet,
            [
                new JsonObject
                {
                    ["bake"] = dice.Of(ids),
                    ["kind"] = "place",
                    ["id"] = dice.Of(kitchen["places"]!.AsArray())!["id"]!.DeepClone(),
                },
            ]
        );

        // An hour of it, as the one bench says it.
        for (var i = 0; i < 4; i++)
        {
            house.Pass(TimeSpan.FromMinutes(dice.Between(10, 50)));
            var today = (await house.Get("/api/today")).Body;
            if (today["bakes"]!.AsArray().FirstOrDefault()?["beat"] is { } beat)
                sheet.Beat(beat, house.Now);
            sheet.Thing("next", today["next"]);
        }
        await Board(house, sheet, []);
    }

    private static async Task Board(StillHouse house, Sheet sheet, JsonArray changes)
    {
        var asked = new JsonObject { ["frame"] = JsonSerializer.SerializeToNode(Frame), ["changes"] = changes };
        var day = await house.Post("/api/day", asked);
        while (day.Ok && day.Body["looking"]!.GetValue<bool>())
        {
            await Task.Delay(20);
            day = await house.Post("/api/day", asked.DeepClone());
        }
        if (!day.Ok)
            sheet.Line($"  refused {day.Status}: {Sheet.Text(day.Body["problems"])}");
        else
            foreach (var (name, value) in day.Body.AsObject())
                sheet.Thing(name, value);
    }
}
