using System.Collections.Immutable;
using System.Globalization;
using CsCheck;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>The arithmetic of the dough book: reading, printing, changing, loading, paying.</summary>
public sealed class DoughBookRules
{
    private static readonly HouseholdPantry Pantry = HouseholdPantry.Plain;

    private static readonly bool[] PlainAndMarkdown = [false, true];
    private static readonly string[] OtherYeasts = ["fresh yeast", "active dry yeast"];

    // Names as people might give them, some made to look like something else.
    private static readonly Gen<string> AnyName = Gen.OneOf(
        One(
            "Soft rolls",
            "500 g flour",
            "Notes",
            "Filling: 2 eggs [x]",
            "Title: x",
            "# rolls",
            "For the dough:",
            "2 eggs plus 1 yolk",
            "a \"quoted\" one",
            "Method",
            "- dash",
            "salt, fine (a pinch)",
            "00 flour, type 2"
        ),
        Gen.String[Gen.Char[" abcdefghijklmnopqrstuvwxyzäöüé0123456789,.()[]:;#*-½\"'&+"], 1, 40]
            .Where(s => PlainText.CheckName(s, "") is null)
            .Select(s => s.Trim())
    );

    private static readonly Gen<RowDraft> AnyRow = Gen.Select(
        Gen.OneOf(
            One([.. Ingredients.All]).Select(i => (Name: i.Name, Role: (Role?)null)),
            Gen.Select(AnyName, Gen.Enum<Role>(), (n, r) => (Name: n, Role: (Role?)r))
        ),
        Gen.OneOf(Gen.Int[1, 9999].Select(n => n / 1d), Gen.Double[.001, 9999]),
        Gen.Bool,
        (what, grams, beep) => new RowDraft(what.Name, Grams(grams), what.Role, beep)
    );

    private static readonly Gen<Dough> AnyDough = Gen.Select(
            AnyName,
            AnyRow.Array[0, 8],
            Gen.Select(
                Gen.Enum<PartKind>(),
                AnyName,
                AnyRow.Array[1, 4],
                Gen.Int[0, 90],
                (k, n, r, m) =>
                    new PartDraft(
                        k,
                        n,
                        [.. r],
                        new(Minutes(m), Minutes(m / 2d), Minutes(0)),
                        m % 3 == 0 ? (PartMoment)(m % 7) : null
                    )
            ).Array[0, 3],
            Gen.Bool,
            One("", "Bake at 190 °C.\n\nNotes:\n500 g flour", "Method\n1. Mix.", "For the filling:\n2 eggs"),
            (name, rows, parts, hand, notes) =>
                Dough.Create(new(name, [new("plain flour", Grams(500)), .. rows], [.. parts], hand, notes))
        )
        .Where(d => d.IsOk)
        .Select(d => d.Value);

    [Fact]
    public void What_is_printed_reads_back_as_the_same_dough() =>
        AnyDough.ForAll(
            dough =>
            {
                foreach (var markdown in PlainAndMarkdown)
                {
                    var text = RecipeText.Print(dough, Pantry, markdown);
                    Same(Dough.Create(RecipeText.Read(text, Pantry).Value.ToDraft(), Pantry).Value, dough, text);
                }
                var json = RecipeJsonLd.Write(dough, Pantry);
                Same(RecipeJsonLd.Read(json, Pantry).Value.Exact.ShouldNotBeNull(json), dough, json);
                Same(
                    RecipeJsonLd.Read($"<html><script type=\"application/ld+json\">{json}</script></html>", Pantry).Value.Exact!,
                    dough,
                    json
                );
                json.ShouldNotContain("<");
            },
            iter: 150
        );

    [Fact]
    public void Whatever_is_pasted_is_answered() =>
        Gen.OneOf(Gen.String[0, 600], Gen.String[Gen.Char["0123456789 ½⅔,./-–+()[]{}\"'×xgcuptbsl\n:#*<>andor"], 0, 600])
            .ForAll(
                text =>
                {
                    RecipeText.Read(text, Pantry);
                    RecipeJsonLd.Read(text, Pantry);
                    foreach (var row in LineReading.Of(text, Pantry))
                        (row.Mass is null || row.Mass > Mass.Zero).ShouldBeTrue();
                },
                iter: 400
            );

    [Theory]
    [
        InlineData("[[[[", 60_000),
        InlineData("{\"a\":", 20_000),
        InlineData("abc  - 5 min - ", 12_000),
        InlineData("1 tsp and + 1 tbsp (plus 1 ", 7_000),
        InlineData("1/", 50_000),
        InlineData("1 cup plus ", 9_000),
        InlineData("(", 100_000),
        InlineData("<script type=ld+json>", 4_000)
    ]
    [InlineData("1 2 3 4 5 6 7 8 9 and ", 4_500), InlineData("\"", 100_000), InlineData("500 g flour\n", 8_000)]
    public void The_longest_of_anything_is_answered(string piece, int times)
    {
        var text = string.Concat(Enumerable.Repeat(piece, times));
        RecipeText.Read(text, Pantry).ShouldNotBeNull();
        RecipeJsonLd.Read(text, Pantry).ShouldNotBeNull();
    }

    [Fact]
    public void A_recipe_from_anywhere_keeps_every_line()
    {
        const string text = """
            Grandfather clock rolls
            Makes 16

            For the dough:
            500 g strong white flour
            1¼ cups (300 ml) whole milk, lukewarm
            2 eggs plus 1 yolk
            1 packet instant yeast
            1½ tsp salt
            2 tbsp moon dust

            For the filling
            50 g butter, softened
            80 g brown sugar

            Egg wash: 1 egg + 1 tbsp milk

            Method
            1. Mix 500 g of everything.
            2. Bake at 190 °C for 16 minutes.
            """;
        var read = RecipeText.Read(text, Pantry).Value;
        read.Title.ShouldBe("Grandfather clock rolls");
        read.Sections.Select(s => (s.Kind, s.Lines.Length)).ShouldBe([(null, 6), (PartKind.Filling, 2), (PartKind.Wash, 1)]);
        read.LeftOver.ShouldContain("Makes 16");
        read.LeftOver.ShouldContain("2. Bake at 190 °C for 16 minutes.");
        var draft = read.ToDraft();
        draft
            .Rows.Select(r => (r.Ingredient, Math.Round(r.Mass.Grams, 1)))
            .ShouldBe([
                ("strong white flour", 500),
                ("whole milk", 309.4),
                ("egg", 100),
                ("egg yolk", 18),
                ("instant yeast", 7),
                ("fine salt", 9),
            ]);
        draft.Notes.ShouldStartWith("2 tbsp moon dust");
        // Nothing of the text is lost: each of its lines is understood or left over.
        foreach (
            var line in text.Split('\n')
                .Select(l => l.Trim())
                .Where(l => l.Length > 0 && !l.StartsWith("For the", StringComparison.Ordinal))
        )
            (
                read.Title == line
                || read.LeftOver.Contains(line, StringComparison.Ordinal)
                || read.Sections.Any(s => s.Lines.Any(l => l.Text == line))
            ).ShouldBeTrue(line);
    }

    [Fact]
    public void Hostile_recipes_are_data()
    {
        string[] hostile =
        [
            """
                {"@type":"Recipe","name":"<script>alert(1)</script>",
                 "recipeIngredient":["500 g flour","<img src=x onerror=alert(1)>","9e999 g salt"]}
                """,
            """
                {"@type":["Recipe"],"name":{"a":1},"recipeIngredient":[null,5,{"x":[]},"1 egg"],
                 "jk:dough":{"draft":{"name":"x","rows":[{"ingredient":"flour","mass":-5}]},"ingredients":[]}}
                """,
            """{"@graph":[{"@type":"Thing"},{"@type":"Recipe","name":"x","name":"y","recipeIngredient":"500 g flour"}]}""",
            """
                {"@type":"Recipe","name":"x","recipeIngredient":["5 g flour"],
                 "jk:dough":{"draft":{"name":"x","rows":[{"ingredient":"flour","mass":1e300}]},
                             "ingredients":[{"name":"flour","role":"flour","water":1e300}]}}
                """,
        ];
        foreach (var json in hostile)
        {
            var read = RecipeJsonLd.Read(json, Pantry);
            read.IsOk.ShouldBeTrue(json);
            read.Value.Exact.ShouldBeNull(json);
            read.Value.Recipe.Title.ShouldNotContain("<");
        }
        RecipeJsonLd.Read("{\"@type\":\"Recipe\"", Pantry).Problems[0].ShouldBeProblem("not-readable:json-line", "text", 1L);
        RecipeJsonLd.Read("{\"@type\":\"Person\"}", Pantry).Problems[0].Code.ShouldBe("not-readable:no-recipe");
    }

    [Fact]
    public void A_volume_weighed_and_measured_again_is_the_same() =>
        Gen.Select(
                One([.. Ingredients.All.Where(i => i.Packing is { PerCup: not null, PerTeaspoon: null, DippedPerCup: null })]),
                Gen.Double[60, 3000]
            )
            .ForAll(
                (ingredient, ml) =>
                {
                    var mass = ingredient
                        .Packing!.MassOf(Volume.FromMillilitres(ml), CupHabit.Spooned, Packing.UsCup)!
                        .Value.Mass;
                    ingredient.Packing.VolumeOf(mass)!.Value.Millilitres.ShouldBe(ml, 1e-6);
                }
            );

    [Fact]
    public void The_cup_habit_and_the_own_cup_decide()
    {
        var dipped = LineReading.Of("4 cups bread flour", Pantry with { Habit = CupHabit.Dipped })[0];
        (dipped.Mass!.Value.Grams, dipped.Other!.Value.Grams).ShouldBe((580, 508));
        var flour = Pantry.Find("bread flour")!;
        var own = Pantry.With(flour with { Packing = flour.Packing! with { WeighedCup = Grams(133) } });
        LineReading.Of("2 cups bread flour", own)[0].Mass!.Value.Grams.ShouldBe(266, 1e-6);
        LineReading.Of("1 cup water", Pantry with { Cups = CupSize.Metric })[0].Mass!.Value.Grams.ShouldBe(250, .1);
    }

    [Fact]
    public void A_correction_is_learned()
    {
        LineReading.Of("2 tbsp moon dust", Pantry)[0].Known.ShouldBeFalse();
        var learned = Pantry
            .With(new Ingredient("star powder", Role.Other, Packing: new(PerTeaspoon: Grams(3))))
            .Learn("Moon Dust", "star powder");
        LineReading
            .Of("2 tbsp moon dust", learned)[0]
            .ShouldSatisfyAllConditions(r => r.Ingredient.ShouldBe("star powder"), r => r.Mass!.Value.Grams.ShouldBe(18, .01));
        Pantry.Learn("moon dust", "nothing known").ShouldBe(Pantry);
        // What the baker weighed is weighed from then on, whatever the amount.
        var weighed = LineReading.Learn(
            LineReading.Learn(Pantry, new("2 tbsp comet sugar", "comet sugar", "comet sugar", Role.Sugar, Grams(20))),
            new("3 figs", "figs", "dried fruit", null, Grams(60))
        );
        LineReading
            .Of("3 tbsp comet sugar", weighed)[0]
            .ShouldSatisfyAllConditions(r => r.Role.ShouldBe(Role.Sugar), r => r.Mass!.Value.Grams.ShouldBe(30, .01));
        LineReading.Of("2 figs", weighed)[0].Mass!.Value.Grams.ShouldBe(40, .01);
        LineReading.Learn(Pantry, new("500 g flour", "flour", "unheard of")).ShouldBe(Pantry);
    }

    [Fact]
    public void Changes_hit_what_they_aim_at() =>
        Gen.Select(One(SoftRolls, Pretzels, PlaitDough, CableKnots), Gen.Double[.3, 4])
            .ForAll(
                (dough, times) =>
                {
                    Dough To(Change change) => Changes.Make(dough, change, Pantry).Value.Dough;
                    var f = Formula.Of(dough);
                    Formula.Of(To(new ToFlour(f.Flour * times))).Total.Grams.ShouldBe(f.Total.Grams * times, 1e-6);
                    Formula.Yield(To(new ToDough(Grams(500 * times))).Total).Grams.ShouldBe(500 * times, 1e-6);
                    Formula.Yield(To(new ToPieces(9, Grams(60 * times))).Total).Grams.ShouldBe(540 * times, 1e-6);
                    Formula
                        .Of(To(new ToHydration(Share.FromFraction(.5 + times / 10))))
                        .Hydration.Fraction.ShouldBe(.5 + times / 10, 1e-9);
                    foreach (var to in OtherYeasts)
                    {
                        var swapped = Formula.Of(To(new SwapYeast(to)));
                        swapped.Yeast.Fraction.ShouldBe(f.Yeast.Fraction, 1e-9);
                        swapped.Hydration.Fraction.ShouldBe(f.Hydration.Fraction, 1e-9);
                        swapped.Flour.Grams.ShouldBe(f.Flour.Grams, 1e-9);
                    }
                    var soured = Formula.Of(To(new YeastToStarter("ripe starter", Share.FromPercent(20))));
                    (Math.Round(soured.Flour.Grams, 6), Math.Round(soured.Hydration.Fraction, 9), soured.Yeast.Fraction).ShouldBe(
                        (Math.Round(f.Flour.Grams, 6), Math.Round(f.Hydration.Fraction, 9), 0)
                    );
                },
                iter: 200
            );

    [Fact]
    public void Swaps_keep_water_fat_and_say_so()
    {
        var f = Formula.Of(SoftRolls);
        var dried = Changes.Make(SoftRolls, new MilkToDried(), Pantry).Value.Dough;
        dried.Rows.ShouldContain(r => r.Ingredient.Name == "dried milk powder" && r.Mass.Grams == 30);
        Formula.Of(dried).Hydration.Fraction.ShouldBe(f.Hydration.Fraction, 1e-9);
        var oiled = Formula.Of(Changes.Make(SoftRolls, new ButterToOil("sunflower oil"), Pantry).Value.Dough);
        (Math.Round(oiled.Fat.Fraction, 9), Math.Round(oiled.Hydration.Fraction, 9)).ShouldBe(
            (Math.Round(f.Fat.Fraction, 9), Math.Round(f.Hydration.Fraction, 9))
        );
        var brown = Changes.Make(SoftRolls, new SwapFlour("strong white flour", "wholemeal flour"), Pantry).Value;
        Formula.Of(brown.Dough).WorkingHydration.Fraction.ShouldBe(f.WorkingHydration.Fraction, 1e-9);
        brown.Notes.Single().ShouldBeOfType<OtherWater>().By.Grams.ShouldBe(28.8, .05);
        Changes.Make(Pretzels, new MilkToDried(), Pantry).Problems[0].Type.ShouldBe("nothing-to-swap");
        FormulaChecks
            .Of(
                Formula.Of(Changes.Make(SoftRolls, new YeastToStarter("ripe starter", Share.FromPercent(20)), Pantry).Value.Dough)
            )
            .ShouldContain(p => p.Type == "starter-only");
    }

    [Fact]
    public void Eggs_stay_whole_where_they_nearly_are()
    {
        var changed = Changes.Make(SoftRolls, new ToFlour(Grams(480 * 1.95)), Pantry).Value;
        changed.Dough.Rows.Single(r => r.Ingredient.Name == "egg").Mass.Grams.ShouldBe(100);
        changed.Dough.Total.Grams.ShouldBe(920 * 1.95, 1e-6);
        var whole = changed.Notes.Single().ShouldBeOfType<EggsWhole>();
        (whole.Count, Math.Round(whole.InsteadOf.Grams)).ShouldBe((2, 98));
        Changes.Make(SoftRolls, new ToFlour(Grams(480 * 1.5)), Pantry).Value.Notes.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("", 27.2), InlineData("butter,egg", 30.4)]
    public void Liquid_temperature(string fromFridge, double celsius)
    {
        var balance = LiquidTemperature
            .Of(SoftRolls, White, new(Celsius(19), Celsius(5), [.. fromFridge.Split(',')]), Power.FromWatts(800), Celsius(100))
            .ShouldNotBeNull();
        balance.Liquid.Celsius.ShouldBe(celsius, .1);
        balance.Dough.Celsius.ShouldBe(27, 1e-6);
        LiquidTemperature
            .Of(SoftRolls, Blue, new(Celsius(19), Celsius(5), []), Power.FromWatts(800), Celsius(100))!
            .Liquid.Celsius.ShouldBeInRange(21, 27);
        LiquidTemperature
            .Of(Pretzels, White, new(Celsius(40), Celsius(5), [], Celsius(20)), Power.FromWatts(800), Celsius(100))!
            .IsLimited.ShouldBeTrue();
        (
            LiquidTemperature.Refuses(Celsius(61), false)!.Type,
            LiquidTemperature.Refuses(Celsius(50), true)!.Type,
            LiquidTemperature.Refuses(Celsius(50), false)
        ).ShouldBe(("refused", "hot-liquid", null));
    }

    [Fact]
    public void The_pan_holds_every_gram_whatever_the_school() =>
        Gen.Select(AnyDough, One(Blue, White, Machine.Hands), Gen.Bool, Gen.Bool)
            .ForAll(
                (dough, machine, bloom, hold) =>
                {
                    var pan = PanLoad.Of(dough, machine, new(bloom, hold));
                    var all = pan.Steps.Sum(s => s.Mass.Grams) + (pan.HeldBack?.Grams ?? 0) + pan.AddIns.Sum(r => r.Mass.Grams);
                    all.ShouldBe(dough.Total.Grams, 1e-6);
                    if (pan.Steps.Length > 0)
                        pan.Steps[^1].Running.Grams.ShouldBe(pan.Steps.Sum(s => s.Mass.Grams), 1e-6);
                },
                iter: 300
            );

    [Fact]
    public void Perishables_do_not_wait_for_a_timer()
    {
        PanLoad
            .RefusesDelay(SoftRolls, TimeSpan.FromHours(3), Celsius(19))!
            .ShouldBeProblem("delay-start:milk", "delay", "whole milk, egg", TimeSpan.FromHours(2), Celsius(19));
        PanLoad.RefusesDelay(SoftRolls, TimeSpan.FromHours(1.5), Celsius(19)).ShouldBeNull();
        PanLoad.RefusesDelay(SoftRolls, TimeSpan.FromHours(1.5), Celsius(33)).ShouldNotBeNull();
        PanLoad.RefusesDelay(Pretzels, TimeSpan.FromHours(9), Celsius(19)).ShouldBeNull();
    }

    [Fact]
    public void What_a_dough_is_good_for()
    {
        var soft = Suitability.Of(Formula.Of(SoftRolls)).ToDictionary(s => s.Family.Id);
        soft["pan-roll"].Suits.ShouldBe(Suits.Well);
        (soft["pretzel"].Suits, Math.Round(soft["pretzel"].Water.Grams)).ShouldBe(
            (Suits.Slack, Math.Round((.6 - 309.2 / 480) * 480))
        );
        soft["tray-bread"].Suits.ShouldBe(Suits.Tight);
        Families.All.Length.ShouldBe(19);
        new Tin(
            "l",
            "Loaf tin",
            TinShape.Loaf,
            Length.FromMillimetres(210),
            Length.FromMillimetres(110),
            Length.FromMillimetres(70)
        ).Dough.Grams.ShouldBe(808.5, 1e-6);
    }

    [Fact]
    public void A_batch_costs_what_its_rows_and_its_heat_cost()
    {
        var priced = Pantry with
        {
            Prices = ImmutableDictionary<string, Price>.Empty.Add("strong white flour", new(Grams(1000), Money.Of(1.5))),
        };
        var cost = Cost.Of(Pretzels, 10, TimeSpan.FromHours(1), false, true, priced, Money.Of(.3), Money.Of(1.2), Money.Of(100));
        cost.Ingredients.Amount.ShouldBe(.75, 1e-9);
        cost.Energy.KilowattHours.ShouldBe(1.52, 1e-9);
        cost.Each.Amount.ShouldBe((.75 + .456) / 10, 1e-9);
        cost.PaidBackAfter.ShouldBe((int)Math.Ceiling(100 / (12 - .75 - .456)));
        cost.Rows.Count(r => r.Cost is null).ShouldBe(4);
    }

    [Fact]
    public void Side_jobs_are_ready_when_they_are_wanted()
    {
        var dough = Dough
            .Create(
                new(
                    "Herb knots",
                    [
                        new("strong white flour", Grams(430)),
                        new("ripe rye starter", Grams(90)),
                        new("water", Grams(250)),
                        new("fine salt", Grams(8)),
                        new("instant yeast", Grams(4)),
                    ],
                    [
                        new(PartKind.Topping, "fried leeks", [new("cooked leek", Grams(300))]),
                        new(PartKind.Butter, "herb butter", [new("butter", Grams(40)), new("garlic", Grams(4))]),
                        new(PartKind.Filling, "cheese", [new("hard cheese", Grams(80))]),
                    ]
                )
            )
            .Value;
        var spec = Spec(dough, "knot", readyBy: Morning.AddHours(30)).Loaded(new(true, true));
        var table = Layout.Of(spec, Morning).Timetable;
        table["part-1-cools"]!.End.ShouldBe(table["load"]!.Start, TimeSpan.FromMinutes(1));
        (table["part-1-cools"]!.Start - table["part-1"]!.Start).ShouldBe(TimeSpan.FromMinutes(30));
        table["part-2"]!.End.ShouldBeLessThanOrEqualTo(table["unload"]!.Start);
        table["part-3"]!.End.ShouldBeLessThanOrEqualTo(table["take-out"]!.Start);
        (table["weigh-in-5"]!.Start - table["feed-starter"]!.End).ShouldBe(TimeSpan.FromHours(10), TimeSpan.FromMinutes(1));
        table["weigh-in-5"]!.Start.ShouldBeGreaterThanOrEqualTo(table["blooms"]!.End);
        table.Ready.ShouldBe(Morning.AddHours(30), TimeSpan.FromSeconds(1));
        // Started now, the starter is taken to be ripe and nobody is called about it.
        Layout.Of(spec.Wanted(null), Morning).Timetable["feed-starter"]!.State.ShouldBe(StepState.Passed);
        spec.ExpectedDough.Grams.ShouldBe(SoFar.Nothing(Morning).DoughOf(spec).Grams, 1e-6);
        // Two hands need no paddle.
        var byHand = Layout.Of(spec.In(Machine.Hands), Morning).Timetable;
        byHand["paddle"].ShouldBeNull();
        byHand["knead"]!.Start.ShouldBe(byHand["cycle"]!.Start);
    }

    private static Gen<T> One<T>(params T[] of) => Gen.Int[0, of.Length - 1].Select(i => of[i]);

    private static void Same(Dough back, Dough dough, string text)
    {
        back.Name.ShouldBe(dough.Name, text);
        back.ByHand.ShouldBe(dough.ByHand, text);
        back.Notes.ShouldBe(dough.Notes, text);
        back.Rows.Select(Row).ShouldBe(dough.Rows.Select(Row), text);
        back.Parts.Select(p => (p.Kind, p.Name, p.Work)).ShouldBe(dough.Parts.Select(p => (p.Kind, p.Name, p.Work)), text);
        back.Parts.SelectMany(p => p.Rows).Select(Row).ShouldBe(dough.Parts.SelectMany(p => p.Rows).Select(Row), text);
        static string Row(DoughRow r) =>
            string.Create(CultureInfo.InvariantCulture, $"{r.Ingredient.Name}|{r.Ingredient.Role}|{r.Mass.Grams:R}|{r.AtBeep}");
    }
}

/// <summary>The doughs a new household begins with.</summary>
public class StarterRules
{
    public static TheoryData<string> Names => [.. Starters.All.Select(s => s.Name)];

    [Theory]
    [MemberData(nameof(Names))]
    public void A_starter_is_a_sound_dough_for_what_it_becomes_and_fits_a_usual_machine(string name)
    {
        var dough = Dough.Create(Starters.All.Single(s => s.Name == name)).Value;
        var family = Families.All.Single(f => f.Id == dough.Plan!.FamilyId);
        var formula = Formula.Of(dough);
        FormulaChecks.Of(formula, family.Hydration, dough.ByHand).ShouldBeEmpty();
        Suitability.Of(formula).Single(s => s.Family == family).Suits.ShouldBe(Suits.Well);
        formula.Flour.ShouldBeLessThanOrEqualTo(Mass.FromGrams(500));
        dough.Rows.ShouldAllBe(r => HouseholdPantry.Plain.Find(r.Ingredient.Name) != null);
    }
}
