using System.Text;
using System.Text.Json.Nodes;

namespace JollyKnot.Server.Tests;

/// <summary>The dough book, pantry and kitchen over HTTP, on a real file.</summary>
public sealed class DoughBookTests(House house) : IClassFixture<House>
{
    private static readonly object[] Rows =
    [
        new { ingredient = "plain flour", mass = 500 },
        new { ingredient = "water", mass = 300 },
        new { ingredient = "salt", mass = 9 },
        new { ingredient = "instant yeast", mass = 5 },
    ];

    private async Task<Guid> Keep(string name, object[]? rows = null, object[]? parts = null)
    {
        var id = Guid.NewGuid();
        (
            await house.Call(
                HttpMethod.Put,
                $"/api/doughs/{id}",
                new
                {
                    name,
                    rows = rows ?? Rows,
                    parts,
                    byHand = false,
                }
            )
        ).Status.ShouldBe(200);
        return id;
    }

    [Fact]
    public async Task Every_version_stays_and_a_bake_remembers_its_own()
    {
        var id = await Keep("Versioned");
        var bake = Guid.NewGuid();
        (await house.Post("/api/bakes", new { id = bake, layout = House.Layout(id.ToString()) })).Status.ShouldBe(200);
        object[] wetter = [new { ingredient = "plain flour", mass = 500 }, new { ingredient = "water", mass = 330 }];
        (
            await house.Call(
                HttpMethod.Put,
                $"/api/doughs/{id}",
                new
                {
                    name = "Versioned",
                    rows = wetter,
                    byHand = false,
                }
            )
        ).Body["version"]!.GetValue<int>().ShouldBe(2);
        // Keeping the same again is no new version.
        (
            await house.Call(
                HttpMethod.Put,
                $"/api/doughs/{id}",
                new
                {
                    name = "Versioned",
                    rows = wetter,
                    byHand = false,
                }
            )
        ).Body["version"]!.GetValue<int>().ShouldBe(2);
        (await house.Call(HttpMethod.Delete, $"/api/doughs/{id}")).Status.ShouldBe(204);
        house.Reopen();

        var versions = (await house.Get($"/api/doughs/{id}/versions")).Body.AsArray();
        versions.Select(v => v!["version"]!.GetValue<int>()).ShouldBe([2, 1]);
        versions[1]!["formula"]!["total"]!.GetValue<double>().ShouldBe(814);
        (await house.Get("/api/doughs?search=versioned")).Body["total"]!.GetValue<int>().ShouldBe(0);
        // The bake goes on from the dough it was laid out with.
        var steps = (await house.Get($"/api/bakes/{bake}")).Body["steps"]!.AsArray();
        steps.Count(s => ((string)s!["step"]!).StartsWith("weigh-in-", StringComparison.Ordinal)).ShouldBe(4);
        (await house.Post($"/api/doughs/{id}/return", new { })).Status.ShouldBe(204);
        (await house.Get("/api/doughs?search=versioned%20PLAIN")).Body["total"]!.GetValue<int>().ShouldBe(1);
    }

    [Theory]
    [InlineData("text"), InlineData("markdown"), InlineData("json-ld")]
    public async Task A_dough_leaves_the_house_and_comes_back_the_same(string format)
    {
        var id = await Keep(
            "Traveller",
            [
                .. Rows,
                new
                {
                    ingredient = "moon dust",
                    mass = 3,
                    role = "other",
                    atBeep = true,
                },
            ],
            [
                new
                {
                    kind = "topping",
                    name = "fried leeks",
                    rows = new[] { new { ingredient = "cooked leek", mass = 350 } },
                },
            ]
        );
        using var answer = await house.Client.GetAsync(new Uri($"/api/doughs/{id}/export?format={format}", UriKind.Relative));
        answer.Content.Headers.ContentDisposition!.FileName.ShouldStartWith("traveller.");
        var read = (await house.Post("/api/recipes/read", new { text = await answer.Content.ReadAsStringAsync() })).Body;
        ((string)read["title"]!).ShouldBe("Traveller");
        var rows = read["sections"]!
            .AsArray()
            .SelectMany(s => s!["lines"]!.AsArray())
            .SelectMany(l => l!["rows"]!.AsArray())
            .ToList();
        rows.Sum(r => r!["mass"]!.GetValue<double>()).ShouldBe(817 + 350, 1e-9);
        if (format == "json-ld")
            (await house.Call(HttpMethod.Put, $"/api/doughs/{Guid.NewGuid()}", read["exact"]!.DeepClone())).Body["formula"]!
                .ToJsonString()
                .ShouldBe((await house.Get($"/api/doughs/{id}")).Body["formula"]!.ToJsonString());
        else
        {
            rows.Single(r => (string)r!["ingredient"]! == "moon dust")!
                .ShouldSatisfyAllConditions(
                    r => ((string)r!["role"]!).ShouldBe("other"),
                    r => r!["atBeep"]!.GetValue<bool>().ShouldBeTrue()
                );
            read["asked"]!.GetValue<int>().ShouldBe(1);
        }
    }

    [Theory]
    [
        InlineData("""{"@type":"Recipe" """, "line 1"),
        InlineData("""{"@type":"Person"}""", "no recipe"),
        InlineData("   ", "nothing")
    ]
    public async Task A_bad_file_is_told_and_changes_nothing(string text, string reason)
    {
        var before = (await house.Get("/api/doughs/names")).Body.ToJsonString();
        var (status, body) = await house.Post("/api/recipes/read", new { text });
        (status, (string)body["field"]!).ShouldBe((400, "text"));
        ((string)body["title"]!).ShouldContain(reason);
        (await house.Post("/api/recipes/read", new { text = new string('1', 900_000) })).Status.ShouldBe(400);
        (await house.Post("/api/recipes/read", new { text = string.Concat(Enumerable.Repeat("[", 900_000)) })).Status.ShouldBe(
            400
        );
        (await house.Get("/api/doughs/names")).Body.ToJsonString().ShouldBe(before);
    }

    [Fact]
    public async Task A_correction_is_learned_and_forgotten()
    {
        async Task<JsonNode> Row() =>
            (await house.Post("/api/recipes/read", new { text = "500 g flour\n2 tbsp star sand" })).Body["sections"]![0]![
                "lines"
            ]![1]!["rows"]![0]!;
        (await Row())["mass"].ShouldBeNull();
        (
            await house.Post(
                "/api/pantry/lessons",
                new
                {
                    corrections = new[]
                    {
                        new
                        {
                            line = "2 tbsp star sand",
                            words = "star sand",
                            name = "star sand",
                            role = "sugar",
                            mass = 24,
                        },
                    },
                }
            )
        ).Status.ShouldBe(200);
        (await Row()).ShouldSatisfyAllConditions(
            r => r["mass"]!.GetValue<double>().ShouldBe(24, .01),
            r => ((string)r["role"]!).ShouldBe("sugar")
        );
        house.Reopen();
        (await Row())["known"]!.GetValue<bool>().ShouldBeTrue();
        (await house.Call(HttpMethod.Delete, "/api/pantry/ingredients/star%20sand")).Status.ShouldBe(200);
        (await Row())["known"]!.GetValue<bool>().ShouldBeFalse();
    }

    [Theory]
    [InlineData(
        """
            {"ingredient":{"name":"x","role":"flour","water":2,"fat":0,"sugar":0,"waterGiven":1,"drinks":0,"flourInside":0,
                           "yeastStrength":0,"perishable":false,"milkSolids":0,"chilled":false,"late":false},"price":null}
            """,
        "ingredient.water"
    )]
    [InlineData("""{"ingredient":{"name":"<b>","role":"flour","water":0},"price":null}""", "ingredient.name")]
    [InlineData(
        """{"ingredient":{"name":"x","role":"flour","packing":{"perCup":-3}},"price":null}""",
        "ingredient.packing.perCup"
    )]
    [InlineData("""{"ingredient":{"name":"x","role":"flour","allergens":["moonlight"]},"price":null}""", "ingredient.allergens")]
    [InlineData("""{"ingredient":{"name":"x","role":"flour"},"price":{"pack":0,"cost":1}}""", "price.pack")]
    [InlineData("""{"ingredient":{"name":"x","role":"flour"},"price":{"pack":100,"cost":-1}}""", "price.cost")]
    public async Task A_bad_ingredient_is_refused_at_its_field(string body, string field)
    {
        var (status, answer) = await house.Call(
            HttpMethod.Put,
            "/api/pantry/ingredients",
            new StringContent(body, Encoding.UTF8, "application/json")
        );
        (status, (string)answer["field"]!).ShouldBe((400, field), answer.ToJsonString());
    }

    [Theory]
    [InlineData("GET", "/api/doughs?skip=abc", "", "skip")]
    [InlineData("POST", "/api/recipes/read", "{}", "text")]
    [InlineData("POST", "/api/recipes/read", "[1]", "body")]
    [InlineData("POST", "/api/recipes/read", "{\"text\":[1]}", "text")]
    [InlineData("POST", "/api/recipes/read", "{\"text\":", "text")]
    [InlineData("POST", "/api/formulas", "{\"name\":\"x\",\"rows\":[{}]}", "rows[0].ingredient")]
    [InlineData("POST", "/api/layouts", "", "body")]
    public async Task What_cannot_be_read_names_its_field(string method, string path, string sent, string field)
    {
        var body = method == "GET" ? null : new StringContent(sent, Encoding.UTF8, "application/json");
        var (status, answer) = await house.Call(new(method), path, body);
        (status, (string)answer["field"]!).ShouldBe((400, field), answer.ToJsonString());
        // Nobody is told how it is written in here.
        answer.ToJsonString().ShouldNotContain("Server.");
        answer.ToJsonString().ShouldNotContain("Nullable");
    }

    [Fact]
    public async Task What_an_unknown_ingredient_contains_is_told_in_its_recipe_and_stands_on_the_dough()
    {
        var rows = new object[]
        {
            new { ingredient = "strong white flour", mass = 400 },
            new { ingredient = "water", mass = 260 },
            new { ingredient = "instant yeast", mass = 5 },
            new
            {
                ingredient = "bosunfruit",
                mass = 50,
                role = "other",
            },
        };
        var dough = new { name = "Bosun loaf", rows };
        var before = (await house.Call(HttpMethod.Put, $"/api/doughs/{Guid.NewGuid()}", dough)).Body["formula"]!;
        ((string)before["contains"]!).ShouldBe("wheat/gluten; allergens not known: bosunfruit");
        object Lesson(string contains) =>
            new
            {
                corrections = new[]
                {
                    new
                    {
                        line = "50 g bosunfruit",
                        words = "bosunfruit",
                        name = "bosunfruit",
                        role = "other",
                        told = new { spoils = true, contains = new[] { contains } },
                    },
                },
            };
        var (status, refused) = await house.Post("/api/pantry/lessons", Lesson("moonlight"));
        (status, (string)refused["field"]!).ShouldBe((400, "corrections[0].told.contains"));
        (await house.Post("/api/pantry/lessons", Lesson("nuts"))).Status.ShouldBe(200);
        var after = (await house.Call(HttpMethod.Put, $"/api/doughs/{Guid.NewGuid()}", dough)).Body["formula"]!;
        ((string)after["contains"]!).ShouldBe("nuts, wheat/gluten");
    }

    [Fact]
    public async Task The_kitchen_is_kept_and_used_and_what_cannot_be_is_refused()
    {
        var kitchen = (await house.Get("/api/kitchen/setup")).Body;
        foreach (
            var (path, value, field) in new (string, JsonNode, string)[]
            {
                ("name", "", "name"),
                ("room", 90, "room"),
                ("altitude", 9e6, "altitude"),
                ("hob", 5, "hob"),
                ("scaleStep", -1, "scaleStep"),
                ("ovens", new JsonArray(), "ovens"),
            }
        )
        {
            var wrong = kitchen.DeepClone();
            wrong[path] = value;
            var (status, answer) = await house.Call(HttpMethod.Put, "/api/kitchen/setup", wrong);
            status.ShouldBe(400, path);
            if (value is not JsonValue v || v.ToJsonString() != "5" && v.ToJsonString() != "-1")
                ((string)answer["field"]!).ShouldBe(field);
        }
        var worse = kitchen.DeepClone();
        worse["machines"]![0]!["phases"] = new JsonArray();
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", worse)).Body["field"]!
            .GetValue<string>()
            .ShouldBe("machines[0].phases");

        var mine = kitchen.DeepClone();
        mine["units"] = new JsonObject
        {
            ["mass"] = "ounces",
            ["temperature"] = "fahrenheit",
            ["length"] = "inches",
        };
        mine["seasons"] = null;
        mine["room"] = 24;
        mine["machines"]![0]!["otherPrograms"] = new JsonArray(
            new JsonObject
            {
                ["name"] = "quick",
                ["phases"] = new JsonArray(
                    new JsonObject { ["kind"] = "knead", ["length"] = 900 },
                    new JsonObject { ["kind"] = "rise", ["length"] = 1800 }
                ),
            }
        );
        try
        {
            (await house.Call(HttpMethod.Put, "/api/kitchen/setup", mine)).Status.ShouldBe(200);
            house.Reopen();
            var layout = (
                await house.Post(
                    "/api/layouts",
                    new
                    {
                        doughId = House.Rolls,
                        choice = new
                        {
                            machineId = "blue",
                            ovenId = "wall",
                            placeId = "counter",
                            program = "quick",
                            cuts = new[] { new { familyId = "pretzel" } },
                        },
                    }
                )
            ).Body;
            layout["room"]!.GetValue<double>().ShouldBe(24);
            var texts = string.Join(' ', layout["steps"]!.AsArray().Select(s => (string)s!["short"]!));
            texts.ShouldContain("Oven on, 430 °F");
            var bake = Guid.NewGuid();
            await house.Post(
                "/api/bakes",
                new
                {
                    id = bake,
                    layout = new
                    {
                        doughId = House.Rolls,
                        choice = new
                        {
                            machineId = "blue",
                            ovenId = "wall",
                            placeId = "counter",
                            program = "quick",
                            cuts = new[] { new { familyId = "pretzel" } },
                        },
                    },
                }
            );
            var bench = (await house.Get($"/api/bakes/{bake}?step=weigh-in-2")).Body["beat"]!["phrase"]!;
            (((string)bench["figure"]!["value"]!), (string)bench["figure"]!["unit"]!).ShouldBe(("10.6", "oz"));
            ((string)(await house.Get($"/api/bakes/{bake}?step=start-cycle")).Body["beat"]!["phrase"]!["say"]!).ShouldBe(
                "Start program quick on the blue two-paddle."
            );
        }
        finally
        {
            await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen);
        }
    }

    [Fact]
    public async Task A_load_tells_order_scale_and_warmth()
    {
        var load = (
            await house.Post(
                "/api/loads",
                new
                {
                    doughId = House.Rolls,
                    machineId = "white",
                    bloom = false,
                    holdBack = true,
                    coldPan = false,
                    fromFridge = Array.Empty<string>(),
                    liquid = 61,
                    delayHours = 5,
                }
            )
        ).Body;
        load["steps"]![0]!.ShouldSatisfyAllConditions(
            s => ((string)s["ingredient"]!).ShouldBe("instant yeast"),
            s => s["onScale"]!.GetValue<double>().ShouldBe(594),
            s => ((string)s["spoons"]!).ShouldBe("1⅞ tsp")
        );
        load["heldBack"]!.GetValue<double>().ShouldBe(100, 1e-9);
        load["temperature"]!["liquid"]!.GetValue<double>().ShouldBe(27.2, .1);
        load["problems"]!.AsArray().Select(p => (string)p!["code"]!).ShouldBe(["capacity", "refused", "delay-start"]);
        foreach (
            var (field, body) in new (string, object)[]
            {
                ("machineId", new { doughId = House.Rolls, machineId = "x" }),
                (
                    "room",
                    new
                    {
                        doughId = House.Rolls,
                        machineId = "blue",
                        room = 99,
                    }
                ),
                (
                    "delayHours",
                    new
                    {
                        doughId = House.Rolls,
                        machineId = "blue",
                        delayHours = -1,
                    }
                ),
            }
        )
        {
            var all = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(body))!;
            foreach (var flag in new[] { "bloom", "holdBack", "coldPan" })
                all[flag] = false;
            var (status, answer) = await house.Post("/api/loads", all);
            (status, (string)answer["field"]!).ShouldBe((400, field));
        }
    }

    [Fact]
    public async Task A_change_is_told_before_and_after_and_kept_by_nobody()
    {
        var before = (await house.Get($"/api/doughs/{House.Rolls}")).Body.ToJsonString();
        var dough = new
        {
            name = "x",
            rows = Rows,
            byHand = false,
        };
        var tried = (
            await house.Post(
                "/api/changes",
                new
                {
                    dough,
                    change = new { type = "to-flour", flour = 1000 },
                    wholeEggs = true,
                }
            )
        ).Body;
        (tried["before"]!["total"]!.GetValue<double>(), tried["after"]!["total"]!.GetValue<double>()).ShouldBe((814, 1628));
        (
            await house.Post(
                "/api/changes",
                new
                {
                    dough,
                    machineId = "white",
                    wholeEggs = true,
                }
            )
        ).Body["after"]!["flour"]!.GetValue<double>().ShouldBe(420, 1e-9);
        (
            await house.Post(
                "/api/changes",
                new
                {
                    dough,
                    change = new { type = "butter-to-oil", oil = "sunflower oil" },
                    wholeEggs = true,
                }
            )
        ).Status.ShouldBe(400);
        (
            await house.Post(
                "/api/changes",
                new
                {
                    dough,
                    change = new { type = "to-flour", flour = 1e9 },
                    wholeEggs = true,
                }
            )
        ).Body["field"]!.GetValue<string>().ShouldBe("change.flour");
        (
            await house.Post(
                "/api/changes",
                new
                {
                    dough,
                    change = new { type = "explode" },
                    wholeEggs = true,
                }
            )
        ).Status.ShouldBe(400);
        (await house.Get($"/api/doughs/{House.Rolls}")).Body.ToJsonString().ShouldBe(before);
        var cost = (
            await house.Post(
                "/api/costs",
                new
                {
                    doughId = House.Rolls,
                    familyId = "pan-roll",
                    pieces = 16,
                }
            )
        ).Body["cost"]!;
        cost["batch"]!
            .GetValue<double>()
            .ShouldBe(cost["ingredients"]!.GetValue<double>() + cost["energyCost"]!.GetValue<double>(), 1e-9);
    }

    [Fact]
    public async Task A_long_book_lists_and_searches_by_parts()
    {
        for (var i = 0; i < 300; i++)
            await Keep($"Number {i:0000}");
        var page = (await house.Get("/api/doughs?search=number&take=50")).Body;
        (page["total"]!.GetValue<int>(), page["doughs"]!.AsArray().Count).ShouldBe((300, 50));
        (await house.Get("/api/doughs?search=number%200123%20water")).Body["doughs"]!
            .AsArray()
            .Select(d => (string)d!["name"]!)
            .ShouldBe(["Number 0123"]);
        (await house.Get("/api/doughs?search=%25&take=-3&skip=-9")).Status.ShouldBe(200);
        (await house.Get("/api/doughs/names")).Body.AsArray().Count.ShouldBeGreaterThanOrEqualTo(300);
    }
}
