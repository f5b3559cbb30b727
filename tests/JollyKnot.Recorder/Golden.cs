// Writes a data folder as a year of use leaves it: every family, every event, doughs with versions and parts, a kitchen and a
// pantry that were edited, bakes at every stage. Later versions must open it.
using System.Reflection;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using JollyKnot.Core.Steps;
using Microsoft.Data.Sqlite;

namespace JollyKnot.Recorder;

internal static class Golden
{
    private static readonly DateTimeOffset Begins = new(2026, 11, 28, 7, 40, 0, TimeSpan.Zero);
    private static readonly JsonSerializerOptions Plain = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    // Which of the demo's doughs becomes a family; soft rolls where nothing is said.
    private static readonly Dictionary<string, int> DoughOf = new()
    {
        ["crusty-roll"] = 7,
        ["baton"] = 7,
        ["pretzel"] = 2,
        ["plait-3"] = 3,
        ["plait-4"] = 3,
        ["plait-6"] = 3,
        ["coil"] = 10,
        ["pocket-flatbread"] = 4,
        ["griddle-flatbread"] = 4,
        ["round-bun"] = 5,
        ["long-bun"] = 5,
        ["knot"] = 6,
        ["griddle-round"] = 8,
        ["tray-bread"] = 9,
        ["filled-loaf"] = 11,
        ["tin-loaf"] = 10,
    };

    // A bake is left where the bench asks for each of these.
    private static readonly string[] Stages =
    [
        "check-1",
        "take-out",
        "weigh-dough",
        "divide",
        "shape",
        "look-1",
        "oven-on",
        "load",
        "unload",
        "review",
    ];

    /// <summary>Writes the folder, and beside the data what this version shows of it.</summary>
    public static async Task Write(string folder)
    {
        Directory.CreateDirectory(folder);
        if (Directory.EnumerateFileSystemEntries(folder).Any())
            throw new InvalidOperationException($"{folder} is not empty.");
        JsonObject shown;
        using (var house = new StillHouse(folder, Begins, demo: true))
        {
            await new Year(house).Live();
            shown = await Shown(house);
        }
        SqliteConnection.ClearAllPools();
        Checkpoint(Path.Combine(folder, "jolly-knot.db"));
        await File.WriteAllTextAsync(Path.Combine(folder, "shown.json"), shown.ToJsonString(Plain) + "\n");
    }

    private sealed class Year(StillHouse house)
    {
        private readonly Dice dice = new(2026);

        public async Task Live()
        {
            await EditPantryAndDoughs();
            var kitchen = (await house.Get("/api/kitchen")).Body;
            var number = 0;
            foreach (var family in kitchen["families"]!.AsArray().Select(f => f!["id"]!.ToString()))
            {
                var bake = await LayOut(family, number++);
                if (number % 4 == 0)
                {
                    await new Player(house, dice, null).Play(bake, "shape");
                    await Tell(bake, Player.Of("stopped"));
                }
                else
                    await new Player(house, dice, null).Play(bake);
            }
            await EditKitchen();
            foreach (var stage in Stages)
            {
                var bake = await LayOut(stage is "check-1" or "take-out" ? "plait-3" : "pan-roll", number++);
                await new Player(house, dice, null).Play(bake, stage);
                await Move(bake);
                await KneadIn(bake);
            }
            await LayOut("round-bun", number, house.Now.AddHours(9));
            await house.Post("/api/day/arrange", new JsonObject());
            await TellWhatIsMissing();
        }

        private async Task<Guid> LayOut(string family, int number, DateTimeOffset? readyBy = null)
        {
            var id = dice.Id();
            var cut = new JsonObject { ["familyId"] = family };
            var choice = new JsonObject
            {
                ["machineId"] = number % 5 == 4 ? "hand" : "blue",
                ["ovenId"] = "wall",
                ["placeId"] = (number % 3) switch
                {
                    0 => "oven-light",
                    1 => "heated-off",
                    _ => "counter",
                },
                ["bowlPlaceId"] = "oven-light",
                ["cuts"] = number % 6 == 5 ? new JsonArray(cut, new JsonObject { ["each"] = 200 }) : new JsonArray(cut),
            };
            if (number % 4 == 1)
                choice["ways"] = new JsonObject
                {
                    ["cover"] = "damp-cloth",
                    ["buttered"] = true,
                    ["later"] = "held-cool",
                };
            if (number % 4 == 2)
                choice["school"] = new JsonObject { ["bloom"] = true, ["holdBack"] = true };
            if (number % 4 == 3)
                choice["after"] = new JsonObject { ["early"] = false, ["bulk"] = 2700 };
            if (readyBy is { } by)
                choice["readyBy"] = by;
            var layout = new JsonObject { ["doughId"] = DemoDough(DoughOf.GetValueOrDefault(family, 1)), ["choice"] = choice };
            await Must(house.Post("/api/bakes", new JsonObject { ["id"] = id, ["layout"] = layout }));
            return id;
        }

        private static Guid DemoDough(int number) => new(number, 0x4a4b, 0x4442, 0x80, 0, 0, 0, 0, 0, 0, (byte)number);

        private async Task EditPantryAndDoughs()
        {
            await Must(house.Put("/api/pantry/cups", new { habit = "dipped", cups = "metric" }));
            var rye = (await house.Get("/api/pantry")).Body["items"]!
                .AsArray()
                .First(i => i!["ingredient"]!["name"]!.ToString() == "rye flour")!;
            var own = rye["ingredient"]!.DeepClone().AsObject();
            own["thirst"] = .08;
            await Must(
                house.Put(
                    "/api/pantry/ingredients",
                    new JsonObject
                    {
                        ["ingredient"] = own,
                        ["price"] = new JsonObject { ["pack"] = 1000, ["cost"] = 1.4 },
                    }
                )
            );

            var (spirals, gone) = (dice.Id(), dice.Id());
            foreach (var cocoa in (int[])[20, 24, 28])
                await Must(house.Put($"/api/doughs/{spirals}", Spirals(cocoa)));
            await Must(house.Put($"/api/doughs/{gone}", Spirals(30)));
            await Must(house.Delete($"/api/doughs/{gone}"));
        }

        private static JsonObject Spirals(int cocoa) =>
            new()
            {
                ["name"] = $"Würfel-Spiralen {cocoa}",
                ["rows"] = Rows(
                    ("plain flour", 500, false),
                    ("whole milk", 300, false),
                    ("honey", 30, false),
                    ("salt", 9, false),
                    ("instant yeast", 7, false),
                    ("raisins", 60, true)
                ),
                ["parts"] = new JsonArray(
                    new JsonObject
                    {
                        ["kind"] = "filling",
                        ["name"] = "cocoa filling",
                        ["rows"] = Rows(("cocoa", cocoa, false), ("butter", 25, false)),
                    },
                    new JsonObject
                    {
                        ["kind"] = "wash",
                        ["name"] = "egg and milk",
                        ["rows"] = Rows(("egg", 50, false)),
                    }
                ),
                ["notes"] = "Roll it tighter.",
                ["byHand"] = false,
            };

        private static JsonArray Rows(params (string Ingredient, int Grams, bool AtBeep)[] rows) =>
            [
                .. rows.Select(r =>
                    (JsonNode)
                        new JsonObject
                        {
                            ["ingredient"] = r.Ingredient,
                            ["mass"] = r.Grams,
                            ["atBeep"] = r.AtBeep,
                        }
                ),
            ];

        private async Task EditKitchen()
        {
            var kitchen = (await house.Get("/api/kitchen/setup")).Body.AsObject();
            kitchen["awake"] = new JsonObject { ["from"] = 6 * 3600, ["to"] = 23 * 3600 };
            kitchen["gone"] = new JsonArray(
                new JsonObject { ["from"] = house.Now.AddHours(30), ["to"] = house.Now.AddHours(31) }
            );
            kitchen["altitude"] = 450_000;
            kitchen["places"]!.AsArray()[0]!["trays"] = 1;
            kitchen["units"] = new JsonObject
            {
                ["mass"] = "grams",
                ["temperature"] = "fahrenheit",
                ["length"] = "inches",
            };
            await Must(house.Put("/api/kitchen/setup", kitchen.DeepClone()));
            await Must(house.Put("/api/scale/auto", new { on = true }));
        }

        // What lies on the table gets a spoon more.
        private async Task KneadIn(Guid bake)
        {
            if ((await house.Get($"/api/bakes/{bake}")).Body["onTable"] is { } table)
                await Tell(bake, Player.Of("kneaded-in", ("water", 0), ("flour", table["flourSpoon"]!.DeepClone())));
        }

        // What stands to proof comes to stand somewhere else.
        private async Task Move(Guid bake)
        {
            var kitchen = (await house.Get("/api/kitchen")).Body;
            if ((await house.Get($"/api/bakes/{bake}")).Body["proof"] is not { } proof)
                return;
            var to = kitchen["shelves"]!.AsArray()[^1]!;
            await Tell(bake, Player.Of("proof-moved", ("proof", proof["step"]!.DeepClone()), ("to", to.DeepClone())));
        }

        // Told only where there are newer rules than a bake was laid out by.
        private const string NewerRules = "rules-taken";

        // Chance may have left out a kind of event.
        private async Task TellWhatIsMissing()
        {
            var told = new HashSet<string>();
            foreach (var bake in await Bakes(house))
                told.UnionWith((await Log(house, bake)).Select(e => e["event"]!["type"]!.ToString()));
            var missing = typeof(BakeEvent)
                .GetCustomAttributes<JsonDerivedTypeAttribute>()
                .Select(a => (string)a.TypeDiscriminator!)
                .Where(t => !told.Contains(t) && t != NewerRules)
                .ToList();
            if (missing.Count > 0)
                throw new InvalidOperationException($"No bake was told of {string.Join(", ", missing)}.");
        }

        private async Task Tell(Guid bake, JsonObject told) =>
            await Must(house.Tell(bake, dice.Id(), (await house.Get($"/api/bakes/{bake}")).Body, told));

        private static async Task Must(Task<Reply> call)
        {
            var reply = await call;
            if (!reply.Ok)
                throw new InvalidOperationException($"{reply.Status}: {reply.Body.ToJsonString()}");
        }
    }

    // What a person sees of it: bakes with their logs, pages of the logbook, doughs with their versions.
    private static async Task<JsonObject> Shown(StillHouse house)
    {
        var bakes = new JsonArray();
        foreach (var bake in await Bakes(house))
        {
            var (view, log) = ((await house.Get($"/api/bakes/{bake}")).Body, await Log(house, bake));
            var over = view["status"]!.ToString() is "finished" or "stopped";
            bakes.Add(
                new JsonObject
                {
                    ["id"] = bake,
                    ["title"] = view["title"]!.DeepClone(),
                    ["status"] = view["status"]!.DeepClone(),
                    ["position"] = view["position"]!.DeepClone(),
                    ["log"] = new JsonArray([
                        .. log.Select(e =>
                            (JsonNode)
                                $"{e["at"]} {e["event"]!["type"]} {(e["stands"]!.GetValue<bool>() ? e["text"] : "taken back")}"
                        ),
                    ]),
                    ["page"] = over ? (await house.Get($"/api/logbook/{bake}")).Body.DeepClone() : null,
                    ["line"] = over
                        ? (await house.Get("/api/logbook"))
                            .Body.AsArray()
                            .First(l => l!["id"]!.ToString() == bake.ToString())!
                            .DeepClone()
                        : null,
                    ["beat"] = view["beat"]?["step"]?.DeepClone(),
                }
            );
        }
        var doughs = new JsonArray();
        foreach (var dough in (await house.Get("/api/doughs/names")).Body.AsArray())
            doughs.Add(
                new JsonObject
                {
                    ["name"] = dough!["name"]!.DeepClone(),
                    ["versions"] = (await house.Get($"/api/doughs/{dough["id"]}/versions")).Body.AsArray().Count,
                }
            );
        return new JsonObject
        {
            ["now"] = house.Now,
            ["bakes"] = bakes,
            ["doughs"] = doughs,
        };
    }

    private static async Task<List<Guid>> Bakes(StillHouse house)
    {
        var open = (await house.Get("/api/today")).Body["bakes"]!.AsArray();
        var closed = (await house.Get("/api/logbook")).Body.AsArray();
        return [.. open.Concat(closed).Select(b => Guid.Parse(b!["id"]!.ToString())).Order()];
    }

    private static async Task<List<JsonNode>> Log(StillHouse house, Guid bake) =>
        [.. (await house.Get($"/api/bakes/{bake}/log")).Body.AsArray().Select(e => e!)];

    // One file that needs nothing beside it.
    private static void Checkpoint(string file)
    {
        using (var db = new SqliteConnection($"Data Source={file};Pooling=False"))
        {
            db.Open();
            foreach (var order in (string[])["PRAGMA wal_checkpoint(TRUNCATE)", "PRAGMA journal_mode=DELETE", "VACUUM"])
            {
                using var command = db.CreateCommand();
                command.CommandText = order;
                command.ExecuteNonQuery();
            }
        }
    }
}
