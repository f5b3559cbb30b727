using System.Text.Json;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Demo;
using JollyKnot.Server.Words;
using JollyKnot.Store;

namespace JollyKnot.Server.Tests;

/// <summary>Every step has its words, every plan survives the disk, and the screens' numbers are the core's.</summary>
public sealed class WordsAndViews(House house) : IClassFixture<House>
{
    private static readonly DateTimeOffset Now = new(2026, 11, 28, 8, 0, 0, TimeSpan.Zero);

    [Theory]
    [InlineData(.3, "Add a pinch of saffron.", false), InlineData(.5, "Weigh in the saffron.", true)]
    public void What_no_scale_shows_is_a_pinch(double grams, string say, bool hasFigure)
    {
        var dough = Dough
            .Create(
                new(
                    "Saffron knots",
                    [
                        new("plain flour", Mass.FromGrams(400)),
                        new("water", Mass.FromGrams(240)),
                        new("instant yeast", Mass.FromGrams(5)),
                        new("saffron", Mass.FromGrams(grams), Core.Pantry.Role.Other),
                    ]
                )
            )
            .Value;
        var choice = FirstChoice.Of(dough, DemoWorld.Kitchen);
        var layout = Layout.Of(BakeDecision.Of(dough, choice, DemoWorld.Kitchen, Now).Value, Now);
        var step = layout.Timetable.Slots.Select(s => s.Step).Single(s => s.WeighsIn && s.About!.Thing == "saffron");
        var phrase = Voice.Of(step, layout.Plan.Spec);
        (phrase.Say, phrase.Figure is not null).ShouldBe((say, hasFigure));
    }

    public static TheoryData<string, string, string> EverySort()
    {
        var data = new TheoryData<string, string, string>();
        // Every family, and every place more than once.
        var places = DemoWorld.Kitchen.AllPlaces.ToList();
        foreach (var family in DemoWorld.Kitchen.Families)
            foreach (var place in new[] { places[data.Count % places.Count], places[(data.Count + 3) % places.Count] })
                data.Add(family.Id, place.Id, DemoWorld.Kitchen.Mixers.ElementAt(data.Count % 4).Id);
        return data;
    }

    private static readonly Voice Voice = new(HouseholdUnits.Plain);

    private static readonly System.Collections.Immutable.ImmutableArray<PartDraft> Parts =
    [
        new(PartKind.Filling, "cheese", [new("hard cheese", Mass.FromGrams(80))]),
        new(PartKind.Topping, "fried leeks", [new("cooked leek", Mass.FromGrams(200))]),
        new(PartKind.Butter, "garlic butter", [new("butter", Mass.FromGrams(40)), new("garlic", Mass.FromGrams(4))]),
        new(PartKind.Wash, "egg wash", [new("egg", Mass.FromGrams(20))]),
    ];

    private static BakeSpec Spec(string family, string place, string machine, int pieces = 4) =>
        BakeDecision
            .Of(
                Dough
                    .Create(
                        new(
                            "Any",
                            [
                                new("plain flour", Mass.FromGrams(400)),
                                new("water", Mass.FromGrams(240)),
                                new("honey", Mass.FromGrams(10)),
                                new("egg", Mass.FromGrams(20)),
                                new("salt", Mass.FromGrams(8)),
                                new("yeast", Mass.FromGrams(4)),
                                new("pumpkin seeds", Mass.FromGrams(20), AtBeep: true),
                            ],
                            Parts
                        )
                    )
                    .Value,
                new(machine, "wall", place)
                {
                    Cuts = [new(family, pieces), new("pan-roll", 2, Mass.FromGrams(40)), new(Share: Share.FromPercent(10))],
                },
                DemoWorld.Kitchen,
                Now
            )
            .Value;

    [Fact]
    public void Every_kind_of_step_has_words_and_no_words_are_left_over() =>
        StepWords.Kinds.Select(k => k.Name).ShouldBe(StepRules.All.Select(r => r.Kind.Name), ignoreOrder: true);

    [Fact]
    public void No_reason_is_left_over() =>
        WhyWords.Kinds.Select(k => k.Name).Except(StepRules.All.Select(r => r.Kind.Name)).ShouldBeEmpty();

    [Theory, MemberData(nameof(EverySort))]
    public void Every_step_is_said_in_words_with_figures_filled_in(string family, string place, string machine)
    {
        var spec = Spec(family, place, machine, family == "pocket-flatbread" ? 8 : 4);
        var chain = Chain.Of(spec, SoFar.Nothing(Now));
        foreach (var step in chain.Steps)
        {
            var phrase = Voice.Of(step, spec);
            phrase.Short.ShouldNotBeNullOrWhiteSpace();
            if (!step.IsBeat)
                continue;
            // A first bake says why, in words that hold in every household's units.
            WhyWords.Of(step.Kind).ShouldNotBeNullOrWhiteSpace();
            WhyWords.Of(step.Kind).ShouldNotContain(c => char.IsDigit(c));
            phrase.Say.ShouldMatch("[.?]$", $"{step.Id}");
            phrase.Button.ShouldNotBeNullOrWhiteSpace($"{step.Id}");
            foreach (var text in new[] { phrase.Short, phrase.Say, phrase.Detail, phrase.Button })
            {
                text.ShouldNotContain("  ");
                text.ShouldNotMatch("NaN|∞|\\{|-\\d| 0 g|\\(\\)");
            }
        }
        foreach (var caution in Enum.GetValues<Caution>())
            Voice.Of(caution, spec).Length.ShouldBeInRange(10, 160);
    }

    [Theory, MemberData(nameof(EverySort))]
    public void A_plan_and_a_log_are_the_same_after_the_disk(string family, string place, string machine)
    {
        var spec = Spec(family, place, machine, 8);
        var plan = Layout.Of(spec with { Wish = new(Now.AddHours(30)) }, Now).Plan;
        var back = JsonSerializer.Deserialize<BakePlan>(JsonSerializer.Serialize(plan, Json.Documents), Json.Documents)!;
        var log = new DemoPlayer(5, .95, false).Play(plan, plan.Start.AddHours(3), 5, "");
        var logBack = new BakeLog([
            .. log.Entries.Select(e => new Entry(
                e.Position,
                JsonSerializer.Deserialize<BakeEvent>(JsonSerializer.Serialize(e.Event, Json.Documents), Json.Documents)!
            )),
        ]);
        logBack.Entries.Select(e => e.Event).ShouldBe(log.Entries.Select(e => e.Event));
        var (one, two) = (BakeState.Of(plan, log, Now.AddHours(32)), BakeState.Of(back, logBack, Now.AddHours(32)));
        two.Timetable.Slots.Select(s => (s.Step.Id, s.Start, s.End, s.State))
            .ShouldBe(one.Timetable.Slots.Select(s => (s.Step.Id, s.Start, s.End, s.State)));
        two.Station.Pieces.ShouldBe(one.Station.Pieces);
    }

    [Fact]
    public void A_document_holds_what_was_decided_and_nothing_that_is_reckoned()
    {
        var text = JsonSerializer.Serialize(Layout.Of(Spec("pan-roll", "counter", "blue"), Now).Plan, Json.Documents);
        foreach (var reckoned in new[] { "hydration\":0", "expectedDough", "cycleLength", "\"total\"" })
            text.ShouldNotContain(reckoned);
    }

    [Fact]
    public async Task A_layout_over_http_gives_the_handbooks_figures()
    {
        var (status, body) = await house.Post("/api/layouts", House.Layout(choice: House.Choice(pieces: 16)));
        status.ShouldBe(200);
        ((double)body["dough"]!).ShouldBe(905, .5);
        ((double)body["cuts"]![0]!["each"]!).ShouldBe(56.6, .1);
        ((double)body["formula"]!["hydration"]!).ShouldBe(.644, .0005);
        ((double)body["cuts"]![0]!["bake"]!["likely"]!).ShouldBe(16.1 * 60, 15);
        // Yeast 1.25 %, sugar 6.25 %, salt 1.875 % over the heating oven, where nothing was learned yet.
        var rolls = DemoWorld.Doughs[0].Dough;
        var doubled = RiseModel
            .Simulate(
                RiseConditions.Of(Formula.Of(rolls), Mass.FromGrams(56.56), Temperature.FromCelsius(19)),
                Places.Find("above-oven")!,
                1
            )
            .TimeTo(1)!
            .Value;
        (
            (double)
                (await house.Post("/api/layouts", House.Layout(choice: House.Choice(place: "above-oven", pieces: 16)))).Body[
                    "cuts"
                ]![0]!["bestProof"]!
        ).ShouldBe(doubled.TotalSeconds, 20);
        // On the counter three bakes told that this kitchen is slower than the model's.
        ((double)body["cuts"]![0]!["bestProof"]!).ShouldBeGreaterThan(46.8 * 60 + 40);
        body["weighIn"]!.AsArray()[^1]!["running"]!.GetValue<double>().ShouldBe(920);
        var steps = body["steps"]!.AsArray().Select(s => s!["start"]!.GetValue<DateTimeOffset>()).ToList();
        steps.ShouldBe(steps.Order());
    }

    [Fact]
    public async Task Scaled_to_fit_it_fits_and_the_bake_is_kept_so()
    {
        var choice = House.Choice("white", pieces: 12);
        var layout = new
        {
            doughId = House.Rolls,
            choice,
            scaleToFit = true,
        };
        ((double)(await house.Post("/api/layouts", layout)).Body["scaled"]!).ShouldBe(.826);
        var id = Guid.NewGuid();
        (await house.Post("/api/bakes", new { id, layout })).Status.ShouldBe(200);
        var milk = (await house.Get($"/api/bakes/{id}?step=weigh-in-2")).Body["beat"]!["expected"]!;
        ((double)milk).ShouldBe(300 * .826, .01);
        // The same id again is the same bake.
        (await house.Post("/api/bakes", new { id, layout = House.Layout() })).Body["what"]!.ToString().ShouldBe("12 pan rolls");
    }

    [Fact]
    public async Task The_logbook_tells_plan_and_actual_and_the_log_every_entry()
    {
        var past = (await house.Get("/api/logbook")).Body.AsArray();
        past.Select(p => p!["title"]!.ToString()).ShouldBe(["Fuse-box buns", "Three-wire plait", "Workbench soft rolls"]);
        var id = past[0]!["id"]!.ToString();
        var page = (await house.Get($"/api/logbook/{id}")).Body;
        page["steps"]!.AsArray().Count(s => s!["planned"] is not null && s["actual"] is not null).ShouldBeGreaterThan(18);
        page["parts"]!.AsArray().Sum(p => (int)p!["weighed"]!).ShouldBe((int)Math.Round((double)page["dough"]!));
        ((int)page["cuts"]![0]!["spread"]!).ShouldBeGreaterThan(8);
        var log = (await house.Get($"/api/bakes/{id}/log")).Body.AsArray();
        log.Select(l => (int)l!["position"]!).ShouldBe(Enumerable.Range(1, log.Count));
        log.ShouldAllBe(l => l!["text"]!.ToString().Length > 2);
    }

    [Fact]
    public async Task Pictures_fit_any_screen()
    {
        foreach (var width in new[] { -5, 200, 390, 1248, 99_999 })
        {
            var (status, body) = await house.Post(
                "/api/today/picture",
                new
                {
                    width,
                    slim = width < 600,
                    utcOffsetMinutes = 60,
                }
            );
            status.ShouldBe(200);
            ((double)body["width"]!).ShouldBe(Math.Clamp(width, 200, 4000));
            body["strands"]!.AsArray().ShouldNotBeEmpty();
        }
    }
}
