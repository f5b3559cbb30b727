using System.Text.Json.Nodes;

namespace JollyKnot.Server.Tests;

/// <summary>The bench over HTTP: dividing in any unit, shaping, proof, oven, pot, and what becomes of the bread.</summary>
public sealed class BenchTests(House house) : IClassFixture<House>
{
    private const string Plait = "00000003-4a4b-4442-8000-000000000003",
        Pretzels = "00000002-4a4b-4442-8000-000000000002",
        Filled = "0000000b-4a4b-4442-8000-00000000000b";

    private string Ago(double minutes) => house.Ago(minutes);

    private async Task<Guid> Bake(object choice, params object[] told) => await Bake(House.Rolls, choice, told);

    private async Task<Guid> Bake(string dough, object choice, params object[] told)
    {
        var id = Guid.NewGuid();
        var (status, answer) = await house.Post("/api/bakes", new { id, layout = House.Layout(dough, choice) });
        status.ShouldBe(200, answer.ToJsonString());
        foreach (var one in told)
        {
            (status, answer) = await house.Tell(id, one);
            status.ShouldBe(200, answer.ToJsonString());
        }
        return id;
    }

    private async Task<JsonNode> Bench(Guid id, string? step = null) =>
        (await house.Get($"/api/bakes/{id}{(step is null ? "" : $"?step={step}")}")).Body;

    [Theory]
    [
        InlineData(1, "g", 1, 0, 911),
        InlineData(5, "g", 5, 0, 182),
        InlineData(.1, "g", .1, 1, 9110),
        InlineData(2.835, "oz", .1, 1, 321),
        InlineData(3.54375, "oz", .125, 3, 257)
    ]
    public async Task The_station_counts_in_the_scales_own_steps(double step, string unit, double perStep, int digits, int dough)
    {
        var before = (await house.Get("/api/kitchen/setup")).Body;
        var mine = before.DeepClone();
        mine["scaleStep"] = step;
        try
        {
            (await house.Call(HttpMethod.Put, "/api/kitchen/setup", mine)).Status.ShouldBe(200);
            var id = await Bake(
                House.Choice(pieces: 16),
                new
                {
                    type = "dough-weighed",
                    step = "weigh-dough",
                    mass = 911,
                }
            );
            var station = (await Bench(id))["station"]!;
            (
                (string)station["scale"]!["unit"]!,
                Math.Round((double)station["scale"]!["perStep"]!, 6),
                (int)station["scale"]!["digits"]!
            ).ShouldBe((unit, perStep, digits));
            // Every unit of the dough is some piece's, and a weighed piece comes back as what the scale showed.
            station["pieces"]!.AsArray().Sum(p => (int)p!["target"]!).ShouldBe(dough);
            var target = (int)station["pieces"]![0]!["target"]!;
            (
                await house.Tell(
                    id,
                    new
                    {
                        type = "part-weighed",
                        number = 1,
                        mass = target * step,
                    }
                )
            ).Status.ShouldBe(200);
            ((int)(await Bench(id))["station"]!["pieces"]![0]!["weighed"]!).ShouldBe(target);
        }
        finally
        {
            await house.Call(HttpMethod.Put, "/api/kitchen/setup", before);
        }
    }

    [Fact]
    public async Task A_filled_loaf_says_its_sheet_its_share_of_the_filling_and_its_tin()
    {
        var id = await Bake(
            Filled,
            House.Choice(family: "filled-loaf", pieces: 2),
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 911,
            },
            new { type = "step-done", step = "divide" }
        );
        var bench = await Bench(id);
        ((string)bench["beat"]!["phrase"]!["detail"]!).ShouldContain("Flatten it to");
        bench["shape"]!["shares"]!.AsArray().Select(s => (string)s!).ShouldBe(["Cocoa filling: 58 g for 1, 59 g for 1."]);
        ((string)bench["shape"]!["pan"]!["tin"]!["shape"]!).ShouldBe("loaf");
    }

    [Fact]
    public async Task A_ruler_marks_what_is_still_to_be_cut()
    {
        var id = await Bake(
            House.Choice(pieces: 4),
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 400,
            },
            new
            {
                type = "part-weighed",
                number = 1,
                mass = 100,
            }
        );
        var marks = (await house.Post($"/api/bakes/{id}/ruler", new { log = 333 })).Body.AsArray();
        marks.Select(m => ((int)m!["number"]!, (string)m["text"]!)).ShouldBe([(2, "11"), (3, "22"), (4, "33.5")]);
        (await house.Post($"/api/bakes/{id}/ruler", new { log = 4 })).Body["field"]!.ToString().ShouldBe("log");
        (await house.Post($"/api/bakes/{Guid.NewGuid()}/ruler", new { log = 400 })).Status.ShouldBe(404);
    }

    [Theory]
    [InlineData("""{"tie":null,"strands":3,"word":"","moves":4,"mirrored":false,"fromTheMiddle":true}""", 10, true)]
    [InlineData("""{"tie":"pretzel","strands":1,"word":"","moves":4,"mirrored":false,"fromTheMiddle":false}""", 4, true)]
    [InlineData(
        """{"tie":null,"strands":4,"word":"1 over 2, 3 over 4","moves":2,"mirrored":true,"fromTheMiddle":false}""",
        3,
        false
    )]
    public async Task Plaits_are_drawn_with_a_sentence_for_every_step(string body, int sentences, bool good)
    {
        var (status, plait) = await house.Call(
            HttpMethod.Post,
            "/api/plaits",
            new StringContent(body, System.Text.Encoding.UTF8, "application/json")
        );
        status.ShouldBe(200);
        plait["say"]!.AsArray().Count.ShouldBe(sentences);
        plait["say"]!.AsArray().ShouldAllBe(s => s!.ToString().EndsWith('.'));
        ((bool)plait["isGood"]!).ShouldBe(good);
        (plait["half"]!["steps"]!.AsArray().Count + (plait["otherHalf"]?["steps"]?.AsArray().Count ?? 0)).ShouldBe(sentences);
    }

    [Theory]
    [
        InlineData(3, "1 over 9", 5, "word"),
        InlineData(5, "", 5, "word"),
        InlineData(40, "1 over 2", 5, "strands"),
        InlineData(3, "1 over 2", 6000, "moves"),
        InlineData(3, "1 over 2", -1, "moves")
    ]
    public async Task A_plait_that_cannot_be_names_its_field(int strands, string word, int moves, string field)
    {
        var (status, answer) = await house.Post(
            "/api/plaits",
            new
            {
                tie = (string?)null,
                strands,
                word,
                moves,
                mirrored = false,
                fromTheMiddle = false,
            }
        );
        (status, (string)answer["field"]!).ShouldBe((400, field));
    }

    [Fact]
    public async Task The_proof_is_told_with_its_looks_its_moves_and_its_troubles()
    {
        var id = await Bake(
            House.Choice(place: "oven-light", pieces: 16),
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 905,
                at = Ago(60),
            },
            new
            {
                type = "step-done",
                step = "start-proof",
                at = Ago(50),
            },
            new
            {
                type = "proof-looked",
                step = "look-1",
                seen = "nothing",
                at = Ago(20),
            }
        );
        var proof = (await Bench(id))["proof"]!;
        var curve = proof["curve"]!.AsArray();
        curve.ShouldAllBe(p => (double)p!["slow"]! <= (double)p["rise"]! && (double)p["rise"]! <= (double)p["fast"]!);
        proof["moves"]!.AsArray().Select(m => (string)m!["step"]!).ShouldBe(["clear-oven"]);
        proof["trouble"].ShouldBeNull();
        // A second look of nothing: the yeast is dead, and it is told kindly.
        (
            await house.Tell(
                id,
                new
                {
                    type = "proof-looked",
                    step = "look-2",
                    seen = "nothing",
                }
            )
        ).Status.ShouldBe(200);
        ((string)(await Bench(id))["proof"]!["trouble"]!).ShouldContain("nobody's fault");
        // What is seen then is believed, however little it fits: it is ready, and the oven comes next.
        (
            await house.Tell(
                id,
                new
                {
                    type = "proof-looked",
                    step = "look-3",
                    seen = "doubled",
                }
            )
        ).Status.ShouldBe(200);
        var after = (await Bench(id))["proof"]!;
        after["looks"]!.AsArray().Count.ShouldBe(3);
        after["trouble"].ShouldBeNull();
        ((string)after["ready"]!).ShouldStartWith("Ready as soon as the oven is.");
        after["riseNow"]!.GetValue<double>().ShouldBeInRange(.88, 1.2);
        var next = (await Bench(id))["beat"]!;
        ((string)next["step"]!, (bool)next["isDue"]!).ShouldBe(("clear-oven", true));
        ((string)(await Bench(id))["next"]![0]!["step"]!).ShouldBe("oven-on");
        // Sixty degrees where the dough stands is said.
        (
            await house.Tell(
                id,
                new
                {
                    type = "place-measured",
                    proof = "start-proof",
                    heat = 60,
                }
            )
        ).Status.ShouldBe(200);
        var hot = (await Bench(id))["proof"]!;
        ((double)hot["placeNow"]!).ShouldBe(60);
        ((string)hot["trouble"]!).ShouldContain("too warm");
        foreach (var (proofed, heat, field) in new[] { ("shape", 30, "event.proof"), ("start-proof", 500, "event.heat") })
            (
                await house.Tell(
                    id,
                    new
                    {
                        type = "place-measured",
                        proof = proofed,
                        heat,
                    }
                )
            ).Body["field"]!.ToString().ShouldBe(field);
    }

    [Fact]
    public async Task The_probe_is_believed_or_asked_back_and_the_bread_gets_its_label()
    {
        var id = await Bake(
            Plait,
            House.Choice(family: "plait-3", pieces: 2),
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 833,
                at = Ago(90),
            },
            new
            {
                type = "step-done",
                step = "load",
                at = Ago(18),
            }
        );
        ((double)(await house.Get($"/api/bakes/{id}/thermometers")).Body["probe"]!).ShouldBeInRange(80, 95);
        foreach (var (core, code) in new[] { (185d, "over-boiling"), (-3, "too-cold") })
        {
            var (status, refused) = await house.Tell(
                id,
                new
                {
                    type = "probe-read",
                    load = "load",
                    core,
                }
            );
            (status, ((string)refused["type"]!).Split(':')[^1], (string)refused["field"]!).ShouldBe((400, code, "event.core"));
        }
        (
            await house.Tell(
                id,
                new
                {
                    type = "probe-read",
                    load = "unload",
                    core = 70,
                }
            )
        ).Body["field"]!.ToString().ShouldBe("event.load");
        await house.Tell(
            id,
            new
            {
                type = "probe-read",
                load = "load",
                core = 74,
                at = Ago(4),
            }
        );
        (await Bench(id))["inOven"]!["done"].ShouldBeNull();
        await house.Tell(
            id,
            new
            {
                type = "probe-read",
                load = "load",
                core = 83,
                at = Ago(1),
            }
        );
        var oven = (await Bench(id))["inOven"]!;
        ((DateTimeOffset)oven["done"]!).ShouldBe(house.Now.AddMinutes(3), TimeSpan.FromMinutes(3));
        ((double)oven["wanted"]!).ShouldBe(90);
        (await house.Get($"/api/bakes/{id}/labels")).Body.AsArray().ShouldBeEmpty();
        (await house.Tell(id, new { type = "step-done", step = "unload" })).Status.ShouldBe(200);
        (await Bench(id))["inOven"].ShouldBeNull();
        (
            await house.Tell(
                id,
                new
                {
                    type = "probe-read",
                    load = "load",
                    core = 90,
                }
            )
        ).Status.ShouldBe(400);
        (await house.Get($"/api/bakes/{id}/thermometers")).Body["probe"].ShouldBeNull();
        var label = (await house.Get($"/api/bakes/{id}/labels")).Body.AsArray().Single()!;
        ((int)label["pieces"]!, (string)label["allergens"]!).ShouldBe(
            (2, "Contains egg, wheat/gluten. Not for babies under 12 months.")
        );
        ((string)label["ingredients"]!).ShouldStartWith("plain flour, water, egg");
    }

    [Fact]
    public async Task The_pot_is_counted_beat_by_beat()
    {
        var id = await Bake(
            Pretzels,
            House.Choice(family: "pretzel", pieces: 6),
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 500,
                at = Ago(70),
            },
            new
            {
                type = "step-done",
                step = "start-proof",
                at = Ago(60),
            },
            new { type = "step-done", step = "oven-on" },
            new { type = "step-done", step = "pot-on" },
            new
            {
                type = "proof-looked",
                step = "look-1",
                seen = "half",
            }
        );
        var bath = (await Bench(id))["bath"]!;
        ((string)bath["say"]!).ShouldBe("2 batches of 3, 25 s a side.");
        bath["beats"]!
            .AsArray()
            .Select(b => (string)b!["say"]!)
            .ShouldBe([
                "Batch 1: 3 in.",
                "Turn them.",
                "Out. Drain, and salt while wet.",
                "Batch 2: 3 in.",
                "Turn them.",
                "Out. Drain, and salt while wet.",
            ]);
    }

    [Fact]
    public async Task At_the_take_out_it_is_said_how_far_the_dough_should_be_and_a_bowl_moves_the_rest()
    {
        var id = await Bake(
            House.Choice(pieces: 16),
            new
            {
                type = "step-done",
                step = "start-cycle",
                at = Ago(93),
            }
        );
        var bench = await Bench(id);
        ((string)bench["firstRise"]!["reckoned"]!).ShouldMatch(
            @"^By now it should have (grown (7|8|9|10|11)\d %|more than doubled)\.$"
        );
        bench["display"].ShouldBeNull();
        (
            await house.Tell(
                id,
                new
                {
                    type = "dough-taken-out",
                    step = "take-out",
                    feel = "right",
                    bulk = 2700,
                }
            )
        ).Status.ShouldBe(200);
        var bowl = await Bench(id);
        (
            DateTimeOffset.Parse((string)bowl["ready"]!, System.Globalization.CultureInfo.InvariantCulture)
            - DateTimeOffset.Parse((string)bench["ready"]!, System.Globalization.CultureInfo.InvariantCulture)
        ).TotalMinutes.ShouldBe(45, 4);
        ((string)bowl["beat"]!["say"]!).ShouldBe("The dough is rising in its bowl.");
        (
            await house.Tell(
                await Bake(House.Choice()),
                new
                {
                    type = "dough-taken-out",
                    step = "take-out",
                    feel = "right",
                    bulk = 1e7,
                }
            )
        ).Body["field"]!.ToString().ShouldBe("event.bulk");
    }

    [Fact]
    public async Task Rings_schools_and_what_was_learned_are_laid_out()
    {
        var layout = (
            await house.Post(
                "/api/layouts",
                House.Layout("00000008-4a4b-4442-8000-000000000008", House.Choice(family: "griddle-round", pieces: 11))
            )
        ).Body["cuts"]![0]!;
        layout["rings"]!["perRolling"]!.AsArray().Sum(n => (int)n!).ShouldBeInRange(9, 12);
        layout["schools"]!.AsArray().ShouldBeEmpty();
        var rolls = (await house.Post("/api/layouts", House.Layout(choice: House.Choice(pieces: 16)))).Body;
        var schools = rolls["cuts"]![0]!["schools"]!
            .AsArray()
            .Select(s => ((double)s!["heat"]!, (bool)s["hotter"]!, (double)s["likely"]!))
            .ToList();
        schools.Select(s => (s.Item1, s.Item2)).ShouldBe([(205, true), (175, false)]);
        schools[0].Item3.ShouldBeLessThan(schools[1].Item3);
        string.Join(' ', rolls["before"]!.AsArray()).ShouldContain("at take-out");
    }
}
