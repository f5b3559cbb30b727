using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Tests;

/// <summary>What a recipe says is what its bake opens with, and what the bench does.</summary>
public sealed class RecipesUsed
{
    private const string Dough =
        "Mooring pretzels\nmakes 9\n480 g strong white flour\n270 ml water\n9 g fine salt\n6 g instant yeast\n";

    private const string Bread = "Mooring bread\n480 g strong white flour\n290 ml water\n9 g fine salt\n6 g instant yeast\n";

    private static Dough Of(string method) =>
        Doughs.Dough.Create(RecipeText.Read(Dough + method, HouseholdPantry.Plain).Value.ToDraft()).Value;

    private static BakeChoice First(string method, Kitchen? kitchen = null) =>
        FirstChoice.Of(Of(method), kitchen ?? DemoFormulas.Kitchen);

    [Fact]
    public void Pieces_shape_heat_rest_and_boil_are_the_recipes()
    {
        const string method = "Rest 25 minutes under film. Boil 40 seconds a side, drain. Bake at 210 °C for 15–17 min.";
        var choice = First(method);
        var cut = choice.Cuts.Single();
        (cut.FamilyId, cut.Pieces, cut.Heat!.Value.Celsius, cut.WashId).ShouldBe(("pretzel", 9, 210, "none"));
        // The rest that leads to the bath is that of the shaped pieces.
        choice.After.ShouldBeNull();
        Of(method).Plan!.Proof!.Middle.ShouldBe(TimeSpan.FromMinutes(25));
        var spec = BakeDecision.Of(Of(method), choice, DemoFormulas.Kitchen, DemoFormulas.Morning).Value;
        spec.BoilsASide.ShouldBe(TimeSpan.FromSeconds(40));
        // Two sides of each filling, and what lies between.
        var bath = Layout.Of(spec, DemoFormulas.Morning).Timetable["bath"]!;
        var usual = spec with { Made = spec.Made with { Dough = Of("Bake 15 minutes at 210 °C.") } };
        var usualBath = Layout.Of(usual, DemoFormulas.Morning).Timetable["bath"]!;
        var fillings = spec.Pot.Batches(9, Shaping.Footprint.Of(spec.Batches[0].Bread.Family, spec.Cuts[0].Each)!);
        (bath.End - bath.Start - (usualBath.End - usualBath.Start)).ShouldBe(TimeSpan.FromSeconds((40 - 25) * 2 * fillings));
    }

    [Theory]
    [InlineData(false, "at 190 °C", 190), InlineData(true, "at 190 °C", 175)]
    [InlineData(false, "at 175 °C fan", 190), InlineData(true, "at 175 °C fan", 175)]
    [InlineData(false, "at 300 °C", 275), InlineData(false, "at 192 °C", 190)]
    public void Heat_is_what_this_ovens_dial_has(bool fan, string told, double dial)
    {
        var oven = DemoFormulas.Kitchen.Ovens[0] with { Fan = fan };
        First($"Bake 20 minutes {told}.", DemoFormulas.Kitchen with { Ovens = [oven] })
            .Cuts[0]
            .Heat!.Value.Celsius.ShouldBe(dial);
    }

    [Theory]
    [InlineData("Let rise until doubled, about 1 hour and a half. Bake 20 minutes.", 90)]
    [InlineData("Lasciar lievitare fino al raddoppio, circa 1 ora e mezza. Cuocere 20 minuti.", 90)]
    [InlineData("Let rise 1 hour 20 minutes. Bake 20 minutes.", 80), InlineData("Let rise 1-2 hours. Bake 20 minutes.", 90)]
    [InlineData("Let rise 1 hour, then bake 20 minutes.", 60), InlineData("Let rise 50 min. Bake 20 minutes.", 50)]
    public void Hours_are_told_with_what_is_over_them(string method, double minutes)
    {
        var plan = MethodReading.Of(method);
        (plan.Proof!.Middle.TotalMinutes, plan.Bake!.Middle.TotalMinutes).ShouldBe((minutes, 20));
    }

    [Fact]
    public void What_wakes_the_yeast_is_no_rest_and_five_minutes_are_no_program()
    {
        var plan = MethodReading.Of(
            "Stir the yeast into the milk and leave for 10 minutes until frothy. Knead on the dough cycle, adding the olives for "
                + "the last 5 minutes. Divide in two. Let rise 40 minutes. Bake 20 minutes."
        );
        (plan.Rest, plan.Program, plan.Pieces).ShouldBe((null, null, 2));
        plan.Proof!.Middle.ShouldBe(TimeSpan.FromMinutes(40));
        MethodReading
            .Of("Leave to stand for 10 minutes. Shape. Bake 20 minutes.")
            .Rest!.Middle.ShouldBe(TimeSpan.FromMinutes(10));
    }

    [Fact]
    public void Egg_and_milk_that_finish_are_brushed_on_pieces_stand_apart_and_a_night_in_the_cold_is_no_proof()
    {
        var buns = RecipeText
            .Read(
                "Quay buns\n\n500 g flour\n300 g milk\n7 g yeast\n\nTo finish\n1 egg yolk beaten with 1 tbsp milk\n"
                    + "3 tbsp nibbed sugar\n\nDivide into 12, roll into balls, arrange on a lined tray, 2 cm apart. "
                    + "Bake 15 minutes.",
                HouseholdPantry.Plain
            )
            .Value;
        buns.Sections.Select(s => (s.Kind, string.Join('+', s.Lines.SelectMany(l => l.Rows).Select(r => r.Ingredient))))
            .ShouldBe([
                (null, "plain flour+whole milk+instant yeast"),
                (PartKind.Topping, "pearl sugar"),
                (PartKind.Wash, "egg yolk+whole milk"),
            ]);
        buns.Plan.Pan.ShouldBeNull();
        var loaf = MethodReading.Of(
            "Laisser pointer 3 h. Diviser en deux, façonner des boules et laisser reposer une nuit au frigo (12 h). Cuire 35 min."
        );
        (loaf.Rise?.Middle.TotalHours, loaf.Proof, loaf.Bake!.Middle.TotalMinutes).ShouldBe((3, null, 35));
    }

    [Fact]
    public void What_is_strewn_without_an_amount_is_as_much_as_one_likes()
    {
        IEnumerable<ReadRow> Rows(string line, string language) =>
            LineReading.Of(line, HouseholdPantry.Plain, RecipeLanguage.Of(language));
        Rows("Zum Bestreuen: 2 EL Sesam, grobes Salz", "de").ShouldAllBe(r => r.IsUnderstood && r.Use == Use.Topping);
        Rows("sale grosso e rosmarino q.b.", "it").Select(r => r.IsToTaste).ShouldBe([true, true]);
    }

    [Theory]
    [InlineData("Add the seeds at the beep.", true), InlineData("Add the seeds near the end of kneading.", true)]
    [InlineData("Add the seeds and knead.", false), InlineData("Add the flour at the beep.", false)]
    public void What_the_method_adds_at_the_beep_waits_for_it(string method, bool waits)
    {
        var rows = RecipeText
            .Read($"Loaf\n\n500 g flour\n300 g water\n60 g mixed seeds\n\n{method} Bake 30 minutes.", HouseholdPantry.Plain)
            .Value.Sections[0]
            .Lines.SelectMany(l => l.Rows)
            .ToList();
        rows.Select(r => r.AtBeep).ShouldBe([false, false, waits]);
    }

    [Theory]
    [InlineData("1 tbsp milk to brush", "milk"), InlineData("1 egg yolk for the wash", "yolk")]
    [InlineData("1 egg for brushing", "egg"), InlineData("10 g oil for brushing", "oil")]
    [InlineData("10 g butter for brushing", "butter"), InlineData("", "none")]
    public void It_is_brushed_with_what_the_recipe_brushes(string row, string wash) =>
        First($"{row}\nBake 20 minutes.").Cuts[0].WashId.ShouldBe(wash);

    [Theory]
    [
        InlineData("Bake 20 minutes, spraying twice.", Steam.Mist),
        InlineData("Bake with steam from a tray of hot water.", Steam.Tray)
    ]
    [InlineData("Bake with steam from hot stones.", Steam.Stones)]
    public void Steam_is_made_as_the_recipe_makes_it(string method, Steam steam) => First(method).Ways!.Steam.ShouldBe(steam);

    [Theory]
    [InlineData("Cover with a cloth, let rise 30 minutes. Bake 20 minutes. Cool on a rack.", CoolingWay.Rack)]
    [InlineData("Bake 20 minutes. Wrap in a damp cloth.", CoolingWay.Cloth)]
    [InlineData("Bake 20 minutes. Leave in the switched-off oven, door ajar, to cool.", CoolingWay.CoolingOven)]
    public void Bread_cools_as_the_recipe_cools_it(string method, CoolingWay way) => First(method).Ways!.Cooling.ShouldBe(way);

    [Theory]
    [
        InlineData("Bake at 180C / 160C fan for 22-25 min.", 180, 23.5),
        InlineData("Bake at fan 160 °C / 180 °C, 30 minutes.", 180, 30),
        InlineData("200 °C (180 °C fan, gas mark 6), 25 minutes.", 200, 25),
        InlineData("Cook for 35 minutes at 190 °C.", 190, 35),
        InlineData("Bake from the fridge after 2 hours at 20 °C, 220 °C 35 minutes.", 220, 35)
    ]
    public void Of_two_heats_and_two_times_the_ovens_own_are_taken(string method, double heat, double minutes)
    {
        var plan = Of(method).Plan!;
        (plan.Heat!.Value.Celsius, plan.WithFan, plan.Bake!.Middle.TotalMinutes).ShouldBe((heat, false, minutes));
    }

    [Theory]
    [
        InlineData("Shape into two small loaves. Bake 30 minutes.", "free-loaf"),
        InlineData("Into a 2 lb tin; roll the top in rye flakes. Bake 30 minutes.", "tin-loaf"),
        InlineData("Roll up, shape into rounds; nothing sticks to oiled hands. Makes 8. Bake 15 minutes.", "crusty-roll"),
        InlineData("If it sticks, wet your hands. Makes 2. Bake 30 minutes.", "free-loaf"),
        InlineData("Shape into 9 smooth tight rounds. Makes 9. Bake 15 minutes.", "crusty-roll"),
        InlineData("Divide into 9 baps. Bake 15 minutes.", "round-bun"),
        InlineData("Bake 15 minutes. Filling:\n90 g marzipan\nShape into a loaf.", "free-loaf")
    ]
    public void What_hands_do_with_it_is_no_name_of_a_bread(string method, string family)
    {
        var bread = Doughs
            .Dough.Create(
                RecipeText.Read("Mooring dough" + Bread[Bread.IndexOf('\n')..] + method, HouseholdPantry.Plain).Value.ToDraft()
            )
            .Value;
        FirstChoice.Of(bread, DayRules.Full).Cuts[0].FamilyId.ShouldBe(family);
    }

    [Fact]
    public void What_has_a_bath_goes_through_it_whatever_it_is_tied_into()
    {
        const string recipe =
            "Laugenknoten\nergibt 8 Stück\n500 g Mehl\n280 ml Wasser\n10 g Salz\n7 g Trockenhefe\n"
            + "Für die Lauge: 1 l Wasser, 3 EL Natron\n"
            + "20 Minuten ruhen lassen, dann 30 Sekunden in die kochende Lauge. Bei 220 °C 15 Minuten backen.";
        var knots = Doughs.Dough.Create(RecipeText.Read(recipe, HouseholdPantry.Plain).Value.ToDraft()).Value;
        var choice = FirstChoice.Of(knots, DayRules.Full);
        choice.Cuts[0].FamilyId.ShouldBe("knot");
        var spec = BakeDecision.Of(knots, choice, DayRules.Full, DemoFormulas.Morning).Value;
        spec.BoilsASide.ShouldBe(TimeSpan.FromSeconds(30));
        Layout.Of(spec, DemoFormulas.Morning).Timetable["bath"].ShouldNotBeNull();
        // A knot stays one; undipped it needs no pot.
        Ties.Of(spec.Batches[0].Bread.Family).ShouldBe(Ties.Kind.Knot);
        Ties.Of(Families.All.Single(f => f.Id == "pretzel")).ShouldBe(Ties.Kind.Pretzel);
        var plain = BakeDecision.Of(Of("Bake 15 minutes."), choice, DayRules.Full, DemoFormulas.Morning).Value;
        Layout.Of(plain, DemoFormulas.Morning).Timetable["bath"].ShouldBeNull();
    }

    [Fact]
    public void A_dough_by_hand_opens_with_its_folds_its_growth_and_its_night()
    {
        const string method =
            "By hand. Fold every 40 minutes three times, leave until grown by half, into the fridge overnight. Bake 35 minutes.";
        Of(method).ByHand.ShouldBeTrue();
        var choice = First(method, DayRules.Full);
        (choice.Folds, choice.Grown, choice.Cold).ShouldBe((new Folds(3, TimeSpan.FromMinutes(40)), .5, TimeSpan.FromHours(10)));
        Of("Knead by machine or by hand. Bake 35 minutes.").ByHand.ShouldBeFalse();
        Of("Fold in the nuts, shape by hand. Bake 35 minutes.").ByHand.ShouldBeFalse();
        Of("Pétrir 10 minutes à la main. Cuire 35 minutes.").ByHand.ShouldBeTrue();
        Of("Stendere a mano. Cuocere 35 minuti.").ByHand.ShouldBeFalse();
        Of("Serve as a main dish. Bake 35 minutes.").ByHand.ShouldBeFalse();
        First("Fold the dough twice. Bake 35 minutes.").Folds.ShouldBeNull();
        // Shaped after its night, the dough was cold and not the bread.
        First("Overnight in the fridge. Shape, proof 1 hour. Bake 35 minutes.").Cold.ShouldBeNull();
        Of("Knead in a stand mixer 8 minutes. Bake 35 minutes.").Plan!.Knead!.To.ShouldBe(TimeSpan.FromMinutes(8));
        First("Dehnen und falten alle 30 Minuten, 4 mal. 35 Minuten backen.").Folds.ShouldBe(new(4, TimeSpan.FromMinutes(30)));
    }

    [Fact]
    public void A_starter_rises_as_long_as_it_needs_by_hand_and_a_told_rise_is_taken()
    {
        BakeChoice Starter(string method) =>
            FirstChoice.Of(
                Doughs
                    .Dough.Create(
                        RecipeText
                            .Read(
                                $"Mooring loaf\n500 g strong white flour\n100 g ripe starter\n320 g water\n9 g salt\n{method}",
                                HouseholdPantry.Plain
                            )
                            .Value.ToDraft()
                    )
                    .Value,
                DayRules.Full
            );
        var half = Starter("By hand. Leave until grown by half. Bake 35 minutes.").After!.Bulk;
        half.ShouldBeInRange(TimeSpan.FromHours(3), TimeSpan.FromHours(6));
        Starter("By hand. Bake 35 minutes.").After!.Bulk.ShouldBeGreaterThan(half * 1.5);
        Starter("By hand. Rise 5 hours. Shape. Proof 2 hours. Bake 35 minutes.").After!.Bulk.ShouldBe(TimeSpan.FromHours(5));
        Starter("Bake 35 minutes.").After.ShouldBeNull();
    }

    [Fact]
    public void Slices_are_no_pieces_and_a_ring_has_the_recipes_width()
    {
        First("Bake the loaf in a loaf tin 35 minutes. Cut into 12 slices.").Cuts[0].Pieces.ShouldBe(9);
        var bread = Doughs
            .Dough.Create(
                RecipeText.Read(Bread + "In a 2 lb tin. Bake 35 minutes. Divide into 14.", HouseholdPantry.Plain).Value.ToDraft()
            )
            .Value;
        FirstChoice.Of(bread, DayRules.Full).Cuts[0].Pieces.ShouldBeNull();
        const string rounds = "Griddle rounds. Roll out 12 mm thick, cut with a 7 cm ring. Cook 7 minutes a side.";
        First("Divide into 3 batons, rest 15 minutes, roll, prove 45 minutes. Bake 20 minutes.")
            .Cuts[0]
            .Rest.ShouldBe(TimeSpan.FromMinutes(15));
        MethodReading.RingIn(rounds).ShouldBe(Length.FromMillimetres(70));
        MethodReading.RingIn("Use a 3-inch cutter.")!.Value.Millimetres.ShouldBe(76.2, 1e-9);
        MethodReading.RingIn("Roll out 7 mm thick.").ShouldBeNull();
        First("Egg wash, bake 20 minutes.").Cuts[0].WashId.ShouldBe("egg");
        Of("Laisser lever 1 heure. Façonner, laisser pousser 45 minutes. Cuire 15 minutes.")
            .Plan!.Proof!.Middle.ShouldBe(TimeSpan.FromMinutes(45));
    }

    [Fact]
    public void Pages_as_people_write_them_plan_what_they_say()
    {
        RecipePlan Plan(string method) => Of(method).Plan!;
        var rolls = Plan(
            "Shape, put on a floured baking sheet, cover, leave 45 minutes-1 hour. Bake for 25-30 mins at 230C/fan 210C/gas 8."
        );
        (rolls.Proof!.From.TotalMinutes, rolls.Proof.To.TotalMinutes, rolls.Bake!.Middle.TotalMinutes).ShouldBe((45, 60, 27.5));
        Plan("Let rise 1 to 1 1/2 hours. Shape. Proof 1/2 hour. Bake 20 minutes.").Rise!.To.TotalMinutes.ShouldBe(90);
        // Turned down: the heat is that of the longer stretch, the minutes are all of them.
        var turned = Plan("Bake for 10 minutes at 220°C, then 190°C for 25 minutes.");
        (turned.Heat!.Value.Celsius, turned.Bake!.To.TotalMinutes).ShouldBe((190, 35));
        var first = Plan("Bake 30 minutes at 200 °C. Reduce to 180 °C and bake 10 minutes.");
        (first.Heat!.Value.Celsius, first.Bake!.To.TotalMinutes).ShouldBe((200, 40));
        Plan("Bake 20 minutes at 200 °C. For a dark crust 18 minutes at 220 °C.").Bake!.To.TotalMinutes.ShouldBe(20);
        // What sums up the day at the head is no step of it, and holds where no step says otherwise.
        var summed = Plan(
            "Préparation : 20 min — Repos : 2 h — Cuisson : 25 min\nPétrir 10 min. Laisser pousser 1 h. Diviser en 2, étaler. "
                + "Laisser lever 45 min. Cuire 20 min à 230 °C."
        );
        (summed.Rise!.To.TotalMinutes, summed.Proof!.To.TotalMinutes, summed.Bake!.To.TotalMinutes).ShouldBe((60, 45, 20));
        Plan("Prep 20 min · Bake 35 min\nBake until golden.").Bake!.To.TotalMinutes.ShouldBe(35);
        // "Min." ends no sentence of German.
        var german = Plan(
            "In 12 Stücke teilen, zu Kugeln formen, 30 Min. abgedeckt gehen lassen. Bei 200 °C ca. 15 Min. backen."
        );
        (german.Proof!.To.TotalMinutes, german.Bake!.To.TotalMinutes).ShouldBe((30, 15));
        Plan("1 Std. 10 Min. gehen lassen. Formen. 30 Min. gehen lassen. 20 Min. backen.").Rise!.To.TotalMinutes.ShouldBe(70);
        Plan("Alles im Backautomaten (Programm Teig, 1:30 Std.) kneten. Formen. 15 Minuten backen.")
            .Program!.To.TotalMinutes.ShouldBe(90);
        // Strands are no plaits, and a tin's size is no number.
        Dough Braid(string method) =>
            Doughs
                .Dough.Create(
                    RecipeText
                        .Read("Mooring braid" + Bread[Bread.IndexOf('\n')..] + method, HouseholdPantry.Plain)
                        .Value.ToDraft()
                )
                .Value;
        var six = Braid("Divide into 6 pieces, roll each into a rope, braid. Bake 30 minutes.").Plan!;
        (six.FamilyId, six.Pieces).ShouldBe(("plait-6", 1));
        (Braid("Divide into 2 pieces, braid each. Bake 30 minutes.").Plan! is { FamilyId: "plait-3", Pieces: 2 }).ShouldBeTrue();
        Braid("In a 9x5 loaf pan. Bake 30 minutes.").Plan!.Pieces.ShouldBeNull();
        Braid("Cuocere a 230 °C per 25-30 minuti.").Plan!.Pieces.ShouldBeNull();
        // Brushed after it baked is brushed hot.
        First("Bake 20 minutes. Brush with butter.").Cuts[0].WashId.ShouldBe("none");
        First("Brush with milk. Bake 20 minutes.").Cuts[0].WashId.ShouldBe("milk");
        var buns = Doughs
            .Dough.Create(
                RecipeText
                    .Read(
                        Bread
                            + "1 egg, plus 1 egg beaten with 1 tbsp milk for the wash\n2 tbsp sesame seeds\n"
                            + "Glaze: 60 g icing sugar, 1 tbsp milk\n"
                            + "Wash, sprinkle with the seeds. Bake 20 minutes.",
                        HouseholdPantry.Plain
                    )
                    .Value.ToDraft()
            )
            .Value;
        buns.Rows.Single(r => r.Ingredient.Role == Role.Egg).Mass.Grams.ShouldBe(50);
        buns.Parts.Select(p => (p.Kind, p.Rows.Length, p.Told))
            .ShouldBe(
                [(PartKind.Topping, 1, null), (PartKind.Wash, 2, null), (PartKind.Topping, 2, PartMoment.Cold)],
                ignoreOrder: true
            );
    }

    [Fact]
    public void What_is_fried_and_what_comes_late_is_told_in_the_method()
    {
        var read = RecipeText
            .Read(
                Bread
                    + "For the top: 400 g courgettes, sliced\n100 g feta for the top\n"
                    + "Fry the courgettes 12 minutes. Bake 25 minutes, adding the feta for the last 8.",
                HouseholdPantry.Plain
            )
            .Value.ToDraft();
        var parts = Doughs.Dough.Create(read).Value.Parts;
        parts[0].Work.Hob.ShouldBe(TimeSpan.FromMinutes(12));
        (parts[0].Told, parts[1].Told).ShouldBe((null, PartMoment.PartWay));
    }

    [Fact]
    public void Beside_soda_unfed_starter_lifts_nothing_and_a_ripe_one_does()
    {
        Formula With(string rows) =>
            Formula.Of(
                Doughs
                    .Dough.Create(
                        RecipeText
                            .Read(
                                $"Skillet breads\n300 g plain flour\n200 g plain yogurt\n6 g salt\n{rows}",
                                HouseholdPantry.Plain
                            )
                            .Value.ToDraft()
                    )
                    .Value
            );
        With("150 g starter discard\n3 g baking soda").Leaven.Fraction.ShouldBe(0);
        With("150 g starter discard").Leaven.Fraction.ShouldBe(150 * .00075 / 375, 1e-9);
        With("150 g ripe starter\n3 g baking soda").Leaven.Fraction.ShouldBe(150 * .0075 / 375, 1e-9);
    }

    [Theory]
    [
        InlineData("Mit Dampf backen, 20 Minuten. Auf einem Gitter auskühlen.", Steam.Tray, CoolingWay.Rack),
        InlineData("Cuire 20 minutes, sans vapeur. Laisser refroidir sous un torchon.", Steam.None, CoolingWay.Cloth),
        InlineData("Hornear 20 minutos con vapor. Dejar enfriar en el horno apagado.", Steam.Tray, CoolingWay.CoolingOven),
        InlineData("Cuocere 20 minuti, spruzzare due volte. Far raffreddare su una gratella.", Steam.Mist, CoolingWay.Rack),
        InlineData("Bake 20 minutes; do not spray. Cool on a rack.", Steam.None, CoolingWay.Rack),
        InlineData("Bake without any steam 20 minutes. Cool in a towel.", Steam.None, CoolingWay.Cloth)
    ]
    public void Steam_and_cooling_are_read_in_five_languages(string method, Steam steam, CoolingWay cooling)
    {
        var ways = First(method).Ways!;
        (ways.Steam, ways.Cooling).ShouldBe((steam, cooling));
    }

    [Theory]
    [
        InlineData("Mit Eigelb bestreichen. 20 Minuten backen.", "yolk"),
        InlineData("Badigeonner de lait. Cuire 20 minutes.", "milk"),
        InlineData("Pintar con huevo. Hornear 20 minutos.", "egg"),
        InlineData("Spennellare con olio. Cuocere 20 minuti.", "oil"),
        InlineData("20 Minuten backen. Noch warm mit Butter bestreichen.", "none")
    ]
    public void It_is_brushed_in_five_languages(string method, string wash) => First(method).Cuts[0].WashId.ShouldBe(wash);

    [Theory]
    [
        InlineData("Use the dough cycle, 1½ hours. Bake 20 minutes.", "blue", "14"),
        InlineData("Dough program (1:32), then shape. Bake 20 minutes.", "blue", "14"),
        InlineData("Teigprogramm, 80 Minuten. 20 Minuten backen.", "white", "6"),
        InlineData("Dough cycle, 3 hours. Bake 20 minutes.", "blue", null),
        InlineData("Bake 20 minutes.", "blue", null)
    ]
    public void The_machine_is_the_one_whose_program_takes_as_long(string method, string machine, string? program)
    {
        var choice = First(method, DayRules.Full);
        (choice.MachineId, choice.Program).ShouldBe((machine, program));
    }

    [Theory]
    [
        InlineData("Bake the sandwich loaf in a 9 x 5 inch loaf tin, 30 minutes.", "loaf-23"),
        InlineData("Bake the sandwich loaf in a loaf tin of 22 cm, 30 minutes.", "loaf-22"),
        InlineData("Kastenbrot: in der Kastenform (25 cm) backen, 30 Minuten.", "loaf-23"),
        // It would not hold this dough.
        InlineData("Bake the sandwich loaf in a loaf tin of 10 cm, 30 minutes.", "loaf-22"),
        InlineData("Bake the rolls in a round tin, 24 cm, 30 minutes.", "round"),
        InlineData("Bake on a baking tray, 30 minutes.", null),
        InlineData("Bake in a muffin tin, 30 minutes.", null)
    ]
    public void The_pan_is_the_kitchens_own_that_is_nearest(string method, string? pan)
    {
        Tin Loaf(string id, double long_) =>
            new(id, id, TinShape.Loaf, Length.FromMillimetres(long_), Length.FromMillimetres(110), Length.FromMillimetres(70));
        var kitchen = DemoFormulas.Kitchen with
        {
            Tins =
            [
                Loaf("loaf-10", 100),
                Loaf("loaf-22", 220),
                Loaf("loaf-23", 230),
                new("round", "round", TinShape.Round, Length.FromMillimetres(240), Length.FromMillimetres(240)),
            ],
        };
        var bread = Doughs.Dough.Create(RecipeText.Read(Bread + method, HouseholdPantry.Plain).Value.ToDraft()).Value;
        FirstChoice.Of(bread, kitchen).Cuts[0].PanId.ShouldBe(pan);
    }

    [Fact]
    public void A_dough_with_an_order_of_its_own_is_loaded_so_and_comes_back_so()
    {
        var dough = Of("Put everything in the pan in the order listed. Bake 20 minutes.");
        dough.OwnOrder.ShouldBeTrue();
        string[] Loaded(Doughs.Dough of) =>
            [.. Machines.PanLoad.Of(of, DemoFormulas.Blue).Steps.Select(s => s.Row.Ingredient.Name)];
        Loaded(dough).ShouldBe(["strong white flour", "water", "fine salt", "instant yeast"]);
        Loaded(Of("Bake 20 minutes.")).ShouldBe(["water", "strong white flour", "fine salt", "instant yeast"]);
        var printed = RecipeText.Print(dough, HouseholdPantry.Plain);
        Doughs.Dough.Create(RecipeText.Read(printed, HouseholdPantry.Plain).Value.ToDraft()).Value.OwnOrder.ShouldBeTrue();
        dough.Scale(2).OwnOrder.ShouldBeTrue();
    }

    [Theory]
    [InlineData("Brush with egg yolk. Bake 20 minutes.", "yolk"), InlineData("Brush with milk. Bake 20 minutes.", "milk")]
    [InlineData("Brush, and cover with foil. Bake 20 minutes. Cool until the crust cracks.", "none")]
    [InlineData("Bake 20 minutes. Brush the hot bread with butter.", "none")]
    public void What_the_method_brushes_with_is_found_by_whole_words(string method, string wash)
    {
        var choice = First(method);
        (choice.Cuts[0].WashId, choice.Ways?.Cooling).ShouldBe((wash, null));
    }

    [Fact]
    public void What_says_nothing_is_left_as_usual()
    {
        var choice = First("");
        (choice.Ways, choice.After, choice.Cuts[0].Heat).ShouldBe((null, null, null));
        // What its recipe brushes on hot has a beat of its own.
        First("After baking: brush with 20 g butter").Ways.ShouldBeNull();
        // By hand, the first of two rises is in the bowl; a machine's dough has had it.
        const string two = "Rise 50 minutes. Shape. Rise 30 minutes. Bake 20 minutes.";
        First(two).After.ShouldBeNull();
        First("Mix by hand. " + two).After!.Bulk.ShouldBe(TimeSpan.FromMinutes(50));
    }

    [Theory]
    [InlineData(RecipeStage.Mixing, "Knead for ten minutes")]
    [InlineData(RecipeStage.Shaping, "Divide into nine, roll out long")]
    [InlineData(RecipeStage.Proofing, "Let rise under a cloth until just over the rim, 30–40 minutes")]
    [InlineData(RecipeStage.Finishing, "Brush with milk")]
    [InlineData(RecipeStage.Baking, "Bake until golden, 175 °C")]
    [InlineData(RecipeStage.Cooling, "Cool on a rack under a cloth")]
    public void Each_step_is_told_in_the_recipes_words(RecipeStage stage, string said) =>
        MethodReading
            .Said(
                "Knead for ten minutes. Divide into nine, roll out long.\n"
                    + "Let rise under a cloth until just over the rim, 30–40 minutes; Brush with milk. "
                    + "Bake until golden, 175 °C. Cool on a rack under a cloth.",
                stage
            )
            .ShouldBe([said]);
}
