using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Tests;

/// <summary>Recipes as bakers paste them: the name, the dough, what is for something else, and what the recipe plans.</summary>
public sealed class PastedRecipes
{
    private static ReadRecipe Read(string text, string? language = null) =>
        RecipeText
            .Read(text.Replace(" / ", "\n", StringComparison.Ordinal), HouseholdPantry.Plain, RecipeLanguage.Of(language))
            .Value;

    private static string Rows(ReadRecipe read, PartKind? kind) =>
        string.Join(
            "; ",
            read.Sections.Where(s => s.Kind == kind)
                .SelectMany(s => s.Lines)
                .SelectMany(l => l.Rows)
                .Select(r => $"{(r.Mass is { } m ? $"{Math.Round(m.Grams, 1):0.#}" : "?")} {r.Called ?? r.Ingredient}")
        );

    private static List<string> Asked(ReadRecipe read) =>
        [
            .. read.Sections.SelectMany(s => s.Lines).Where(l => l.Rows.Any(r => !r.IsUnderstood)).Select(l => l.Text),
            .. read.Sections.Where(s => s.IsAsked).Select(s => s.Name),
        ];

    [Theory]
    [InlineData("Caraway rolls")]
    [InlineData("Egg bread")]
    [InlineData("Potato rolls")]
    [InlineData("Honey bread")]
    [InlineData("Olive oil flatbread")]
    [InlineData("Sourdough rolls")]
    [InlineData("Spice bread:")]
    [InlineData("# Butter knots")]
    [InlineData("Milk")]
    public void The_first_line_without_an_amount_is_the_name(string first)
    {
        var read = Read($"{first} / 400 g strong white flour / 260 ml water / 1 tsp salt");
        read.Title.ShouldBe(first.Trim('#', ' ', ':'));
        Rows(read, null).ShouldBe("400 strong white flour; 260 water; 6 fine salt");
    }

    [Fact]
    public void A_pointed_loaf_has_its_milk_and_seeds_on_top()
    {
        var read = Read(
            "Pointed loaf / 400 g strong white flour / 260 ml water / 1¼ tsp salt / 1 tsp machine yeast / "
                + "1 tbsp poppy seed for the top / 1 tbsp milk to brush"
        );
        read.Title.ShouldBe("Pointed loaf");
        Rows(read, null).ShouldBe("400 strong white flour; 260 water; 7.5 fine salt; 3.1 instant yeast");
        Rows(read, PartKind.Topping).ShouldBe("9 poppy seeds");
        Rows(read, PartKind.Wash).ShouldBe("15.3 whole milk");
        Asked(read).ShouldBeEmpty();
    }

    [Fact]
    public void Dipped_pretzels_keep_dip_and_salt_out_of_the_pan_and_tell_their_plan()
    {
        var read = Read(
            "Till pretzels / makes 12 / 350 g strong white flour, 150 g plain flour / 1¼ cups lukewarm water / 1½ tsp salt / "
                + "1 tbsp brown sugar / 2 tsp machine yeast / For the dip: 1½ tablespoons baking soda, 1 litre warm water / "
                + "coarse salt to sprinkle / Rest 20 minutes under film. Boil 45 seconds a side, dip, drain, salt. "
                + "Bake at 215 °C for 16–18 min."
        );
        read.Title.ShouldBe("Till pretzels");
        Rows(read, null)
            .ShouldBe("350 strong white flour; 150 plain flour; 295.8 water; 9 fine salt; 13.8 brown sugar; 6.2 instant yeast");
        Rows(read, PartKind.Bath).ShouldBe("20.7 baking soda; 1000 water");
        Rows(read, PartKind.Topping).ShouldBe("? coarse salt");
        Asked(read).ShouldBeEmpty();
        // The method stays as it was written.
        read.LeftOver.ShouldContain("Rest 20 minutes under film. Boil 45 seconds a side, dip, drain, salt. Bake at 215 °C");
        read.Plan.ShouldBe(
            new RecipePlan(
                Pieces: 12,
                FamilyId: "pretzel",
                Heat: Temperature.FromCelsius(215),
                Bake: new(TimeSpan.FromMinutes(16), TimeSpan.FromMinutes(18)),
                Proof: new(TimeSpan.FromMinutes(20), TimeSpan.FromMinutes(20)),
                Boil: new(TimeSpan.FromSeconds(45), TimeSpan.FromSeconds(45))
            )
        );
    }

    [Fact]
    public void Bowl_rolls_are_mixed_by_hand_and_none_of_their_method_is_a_row()
    {
        var read = Read(
            "Bowl rolls / 300 g plain flour / 190 ml milk / 30 g butter / 2 tbsp sugar / ½ tsp salt / 1 packet yeast / "
                + "Mix by hand, knead two minutes, rest a quarter of an hour, pull into 15, let grow, bake 17 minutes at 180"
        );
        Rows(read, null).ShouldBe("300 plain flour; 196 whole milk; 30 butter; 25.2 sugar; 3 fine salt; 7 instant yeast");
        read.ByHand.ShouldBeTrue();
        (read.Plan.Pieces, read.Plan.FamilyId, read.Plan.Heat?.Celsius).ShouldBe((15, "pan-roll", 180));
        read.Plan.Bake!.From.ShouldBe(TimeSpan.FromMinutes(17));
        read.Plan.Rest!.From.ShouldBe(TimeSpan.FromMinutes(15));
        Asked(read).ShouldBeEmpty();
    }

    [Fact]
    public void An_oat_loaf_is_brushed_after_baking_in_a_fan_oven()
    {
        var read = Read(
            "Oat sandwich loaf / 380 g strong white flour / 70 g oats / 290 ml milk / 2 tbsp honey / 25 g butter / 8 g salt / "
                + "1½ tsp yeast / After baking: brush with 20 g melted butter. Rise uncovered until just over the rim, "
                + "30–40 minutes; 175 °C fan, about 30 minutes"
        );
        Rows(read, null)
            .ShouldBe(
                "380 strong white flour; 70 rolled oats; 299.1 whole milk; 42.6 honey; 25 butter; 8 fine salt; 4.6 instant yeast"
            );
        Rows(read, PartKind.Butter).ShouldBe("20 butter");
        (read.Plan.FamilyId, read.Plan.Heat?.Celsius, read.Plan.WithFan).ShouldBe(("tin-loaf", 175, true));
        read.Plan.Proof.ShouldBe(new(TimeSpan.FromMinutes(30), TimeSpan.FromMinutes(40)));
        Asked(read).ShouldBeEmpty();
    }

    [Fact]
    public void A_heading_nobody_knows_is_asked_and_a_serving_is_not_ours()
    {
        var read = Read(
            "Harbour loaf / 500 g bread flour / 330 g water / 9 g salt / 5 g yeast / For the lantern: / 50 g brown sugar / "
                + "Lantern light, to serve"
        );
        Asked(read).ShouldBe(["For the lantern"]);
        Rows(read, null).ShouldBe("500 strong white flour; 330 water; 9 fine salt; 5 instant yeast; 50 brown sugar");
        read.LeftOver.ShouldContain("Lantern light, to serve");
    }

    [Fact]
    public void Nothing_with_an_amount_is_dropped_without_a_question()
    {
        var read = Read("Odd loaf / 500 g flour / 3 spoons of moonlight / a little less than 1 cup water / 9 g salt");
        Rows(read, null).ShouldBe("500 plain flour; ? spoons of moonlight; 224.8 water; 9 fine salt");
        Asked(read).ShouldBe(["3 spoons of moonlight"]);
    }

    [Fact]
    public void A_german_page_is_guessed_and_put_in_its_parts()
    {
        var read = Read(
            "Hafenbrezeln / Ergibt 10 Stück / Zutaten / 500 g Weizenmehl Type 550 / 300 ml lauwarmes Wasser / "
                + "1 Päckchen Trockenhefe / 1 TL Salz / 30 g weiche Butter / Für die Lauge: / 50 g Natron / 1 Liter Wasser / "
                + "Grobes Salz zum Bestreuen / "
                + "Zubereitung / Alles verkneten und 45 Minuten gehen lassen. Im Ofen bei 220 °C 15-18 Minuten backen."
        );
        read.Language.Code.ShouldBe("de");
        read.Title.ShouldBe("Hafenbrezeln");
        read.Sections.SelectMany(s => s.Lines)
            .SelectMany(l => l.Rows)
            .Where(r => r.Use == Use.Dough)
            .Select(r => r.Ingredient)
            .ShouldBe(["strong white flour", "water", "active dry yeast", "fine salt", "butter"]);
        Rows(read, PartKind.Bath).ShouldBe("50 Natron; 1000 Wasser");
        Rows(read, PartKind.Topping).ShouldBe("? Grobes Salz");
        (read.Plan.Pieces, read.Plan.Heat?.Celsius).ShouldBe((10, 220));
        read.Plan.Bake.ShouldBe(new(TimeSpan.FromMinutes(15), TimeSpan.FromMinutes(18)));
        Asked(read).ShouldBeEmpty();
        // Its names stay in their language, and are reckoned like the pantry's.
        var dough = Dough.Create(read.ToDraft() with { Name = "Brezeln" }).Value;
        dough
            .Rows[0]
            .Ingredient.ShouldSatisfyAllConditions(
                i => i.Name.ShouldBe("Weizenmehl Type 550"),
                i => i.Like.ShouldBe("strong white flour"),
                i => i.Allergens.ShouldBe(["wheat/gluten"])
            );
    }

    [Theory]
    [InlineData(
        "fr",
        "Petits pains du port / Pour 12 pains / Ingrédients / 500 g de farine T65 / 30 cl d'eau tiède / 10 g de sel / "
            + "1 sachet de levure de boulanger / 30 g de beurre mou / 1 jaune d'œuf pour dorer / "
            + "Graines de sésame pour saupoudrer / Préparation / Laisser lever 1 heure. Cuire 18 minutes à 200 °C.",
        "500 farine T65; 300 eau; 10 sel; 7 levure de boulanger; 30 beurre",
        "18 jaune d'œuf",
        12,
        200
    )]
    [InlineData(
        "es",
        "Panecillos del muelle / Para 10 panecillos / Ingredientes: / 450 g de harina de fuerza / 280 ml de leche tibia / "
            + "7 g de levadura seca de panadero / 2 cucharadas de azúcar / 10 g de sal / Para pintar: / 1 huevo / "
            + "1 cucharada de leche / Elaboración / Dejar levar 90 minutos. Hornear a 190 °C durante 15-18 minutos.",
        "450 harina de fuerza; 288.8 leche; 7 levadura seca de panadero; 25.6 azúcar; 10 sal",
        "50 huevo; 15.5 leche",
        10,
        190
    )]
    [InlineData(
        "it",
        "Panini del molo / Per 8 panini / Ingredienti / 500 g di farina 0 / 250 ml di latte / 25 g di lievito di birra fresco / "
            + "60 g di zucchero / 80 g di burro morbido / 10 g di sale / 1 tuorlo per spennellare / Preparazione / "
            + "Infornare a 180 gradi per 30 minuti.",
        "500 farina 0; 257.8 latte; 25 lievito di birra fresco; 60 zucchero; 80 burro; 10 sale",
        "18 tuorlo",
        8,
        180
    )]
    [InlineData(
        "en",
        "Slab for six / Serves 8 / Dough / 500 g bread flour / 350 g water / 10 g salt / 1 tsp instant yeast / "
            + "For the wash / 1 egg / Method / Divide into 6. Bake at 220C for 24-26 minutes.",
        "500 strong white flour; 350 water; 10 fine salt; 3.1 instant yeast",
        "50 egg",
        6,
        220
    )]
    public void A_whole_page_is_guessed_parted_and_tells_its_plan(
        string language,
        string text,
        string dough,
        string wash,
        int pieces,
        double heat
    )
    {
        var read = Read(text);
        read.Language.Code.ShouldBe(language);
        Rows(read, null).ShouldBe(dough);
        Rows(read, PartKind.Wash).ShouldBe(wash);
        (read.Plan.Pieces, read.Plan.Heat?.Celsius).ShouldBe((pieces, heat));
        Asked(read).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("Bake at gas mark 6 for half an hour", 200, 30)]
    [InlineData("Bake for 25 to 30 minutes at 400°F", 204.4, 25)]
    [InlineData("Rise for an hour. Then in the oven at 190 degrees, 22 minutes", 190, 22)]
    [InlineData("Until the core is 96 °C; oven at 230 °C, 19 minutes", 230, 19)]
    [InlineData("Cuire 20 minutes à 200 °C", 200, 20)]
    [InlineData("Infornare a 180 gradi per 35 minuti", 180, 35)]
    public void Heat_and_minutes_belong_to_the_oven(string method, double celsius, double minutes)
    {
        var plan = MethodReading.Of(method);
        plan.Heat!.Value.Celsius.ShouldBe(celsius, .1);
        plan.Bake!.From.TotalMinutes.ShouldBe(minutes);
    }

    [Theory]
    [InlineData("Rise 75 minutes in a bowl. Press to the corners, rest 25 minutes. Bake at 220.", 75, null, 25)]
    [InlineData("Rise for an hour, shape into rolls. Bake 20 minutes.", 60, null, null)]
    [InlineData("Knead, rest 10 minutes, shape. Rise 40 minutes. Bake.", null, 10, 40)]
    [InlineData("Divide into balls, rest 15 minutes, roll out, rest 12 minutes on a cloth. Bake 5 minutes.", null, null, 12)]
    [InlineData("Rise 50 minutes. Bake 20 minutes; rest 10 minutes on a rack.", null, null, 50)]
    public void The_last_wait_before_the_oven_is_the_proof_unless_hands_shape_after_it(
        string method,
        int? rise,
        int? rest,
        int? proof
    )
    {
        var plan = MethodReading.Of(method);
        (Minutes(plan.Rise), Minutes(plan.Rest), Minutes(plan.Proof)).ShouldBe((rise, rest, proof));

        static int? Minutes(Lasts? lasts) => (int?)lasts?.Middle.TotalMinutes;
    }

    [Theory]
    [InlineData("30 g grated cheese on top just before the oven", PartMoment.BeforeOven, "grated cheese")]
    [InlineData("90 g grated cheese, for the last ten minutes", PartMoment.PartWay, "grated cheese")]
    [InlineData("2 tbsp rolled oats on top, before the proof", PartMoment.BeforeProof, "rolled oats")]
    [InlineData("1 tbsp poppy seeds on top", null, "poppy seeds")]
    [InlineData("20 g icing sugar, when cold", PartMoment.Cold, "icing sugar")]
    public void A_line_tells_its_own_moment(string line, PartMoment? moment, string name)
    {
        var row = LineReading.Of(line, HouseholdPantry.Plain).Single();
        (row.Use, row.Moment, row.Called ?? row.Ingredient).ShouldBe((Use.Topping, moment, name));
    }

    [Fact]
    public void Under_a_heading_what_has_its_own_moment_goes_on_by_itself_and_fried_leeks_weigh_two_thirds()
    {
        var read = Read(
            "Lockkeeper bread / 400 g strong white flour / 290 g water / 8 g salt / 5 g yeast / Topping: / "
                + "3 leeks, trimmed (480 g), sliced / 1 tbsp olive oil / 90 g grated cheese, for the last ten minutes"
        );
        var parts = Dough.Create(read.ToDraft()).Value.Parts;
        parts
            .Select(p => (p.Name, p.Moment))
            .ShouldBe([("Topping", PartMoment.BeforeOven), ("grated cheese", PartMoment.PartWay)]);
        parts[0].Contents.ShouldBe("cooked leek and olive oil");
        parts[0].Made.Grams.ShouldBe(320 + parts[0].Rows[1].Mass.Grams, .01);
        parts[1].Made.ShouldBe(parts[1].Total);
    }

    [Theory]
    [InlineData("goats' curd dip", true, "milk")]
    [InlineData("almond milk", false, "nuts")]
    [InlineData("smoked herring", true, "fish")]
    [InlineData("salted peanuts", false, "peanut")]
    [InlineData("tahini", false, "sesame")]
    [InlineData("celeriac", false, "celery")]
    public void A_name_tells_what_spoils_and_what_it_holds(string name, bool spoils, string allergen)
    {
        var own = Ingredient.Own(name, Role.Other);
        (own.Perishable, own.IsUntold).ShouldBe((spoils, false));
        own.Allergens.ShouldBe([allergen]);
    }

    [Fact]
    public void What_nobody_has_told_of_is_said_and_may_not_wait()
    {
        var dough = Made([
            ("plain flour", 500, null),
            ("water", 300, null),
            ("instant yeast", 5, null),
            ("moon dust", 20, Role.Other),
        ]);
        dough.Untold.ShouldBe(["moon dust"]);
        var room = Temperature.FromCelsius(19);
        Core.Machines.PanLoad.RefusesDelay(dough, TimeSpan.FromHours(6), room)!.Type.ShouldBe("delay-start");
        Core.Machines.PanLoad.RefusesDelay(dough, TimeSpan.FromHours(1), room).ShouldBeNull();
    }

    [Theory]
    [InlineData("water", 125, "instant yeast", "")]
    [InlineData("water", 124, "instant yeast", "no-liquid")]
    [InlineData("water", 300, "fine salt", "no-leaven")]
    [InlineData("water", 300, "baking powder", "")]
    [InlineData("olive oil", 300, "fine salt", "no-liquid no-leaven")]
    public void A_dough_says_what_it_lacks(string wet, double grams, string other, string lacks) =>
        string.Join(' ', Made([("plain flour", 500, null), (wet, grams, null), (other, 5, null)]).Lacks).ShouldBe(lacks);

    private static Dough Made((string Name, double Grams, Role? Role)[] rows) =>
        Dough.Create(new("A dough", [.. rows.Select(r => new RowDraft(r.Name, Mass.FromGrams(r.Grams), r.Role))])).Value;

    [Fact]
    public void A_plan_that_cannot_be_is_refused_at_its_field()
    {
        var draft = new DoughDraft("Rolls", [new("plain flour", Mass.FromGrams(500)), new("water", Mass.FromGrams(300))]);
        List<string> Wrong(RecipePlan plan) => [.. Fields(Dough.Create(draft with { Plan = plan }))];
        Wrong(new(Pieces: 0)).ShouldBe(["plan.pieces"]);
        Wrong(new(Heat: Temperature.FromCelsius(500))).ShouldBe(["plan.heat"]);
        Wrong(new(Bake: new(TimeSpan.FromMinutes(20), TimeSpan.FromMinutes(10)))).ShouldBe(["plan.bake"]);
        Wrong(new(Proof: new(TimeSpan.Zero, TimeSpan.FromMinutes(10)))).ShouldBe(["plan.proof"]);
        Wrong(new(Pieces: 12, Heat: Temperature.FromCelsius(215))).ShouldBeEmpty();

        static IEnumerable<string> Fields(Outcome<Dough> made) => made.IsOk ? [] : made.Problems.Select(p => p.Field);
    }

    [Theory]
    [InlineData(CupSize.Us, 473.18, 14.79, 50)]
    [InlineData(CupSize.Metric, 473.18, 15, 58)]
    [InlineData(CupSize.Imperial, 568.26, 15, 58)]
    [InlineData(CupSize.Australian, 568.26, 20, 58)]
    public void A_region_has_its_own_pint_spoon_and_egg(CupSize cups, double pint, double spoon, double egg)
    {
        var pantry = HouseholdPantry.Plain with { Cups = cups };
        double Grams(string line) => LineReading.Of(line, pantry).Single().Mass!.Value.Grams;
        Grams("1 pint water").ShouldBe(pint, .1);
        Grams("1 tbsp water").ShouldBe(spoon, .05);
        Grams("1 large egg").ShouldBe(egg, .01);
    }

    [Fact]
    public void A_page_of_several_recipes_offers_each_by_name()
    {
        const string page = """
            <script type="application/ld+json">[{"@type":"Recipe","name":"Quay buns","recipeYield":12,
              "suitableForDiet":"https://schema.org/VeganDiet","prepTime":"PT30M",
              "recipeIngredient":["450 g bread flour","280 ml water","2 tsp instant yeast"]}]</script>
            <script type="application/ld+json">{"@graph":[{"@type":"Recipe","name":"Slip twists",
              "recipeIngredient":["500 g rye flour","300 ml water"]}]}</script>
            """;
        RecipeJsonLd.Read(page, HouseholdPantry.Plain).Value.Names.ShouldBe(["Quay buns", "Slip twists"]);
        var first = RecipeJsonLd.Read(page, HouseholdPantry.Plain, which: 7).Value.Recipe;
        (first.Title, first.Plan.Pieces).ShouldBe(("Quay buns", 12));
        first.LeftOver.ShouldContain("Suits: vegan");
        first.LeftOver.ShouldContain("Preparation: 30 minutes.");
        var second = RecipeJsonLd.Read(page, HouseholdPantry.Plain, which: 1).Value.Recipe;
        second.Title.ShouldBe("Slip twists");
        second.Sections.Single().Lines[0].Rows[0].Ingredient.ShouldBe("rye flour");
    }

    [Fact]
    public void A_page_tells_its_yield_and_its_minutes()
    {
        const string page = """
            {"@type":"Recipe","name":"Quay buns","recipeYield":"9 buns","cookTime":"PT22M",
             "recipeIngredient":["450 g bread flour","280 ml milk","2 tsp instant yeast"],
             "recipeInstructions":[{"@type":"HowToStep","text":"Bake at 190 °C."}]}
            """;
        var plan = RecipeJsonLd.Read(page, HouseholdPantry.Plain).Value.Recipe.Plan;
        (plan.Pieces, plan.FamilyId, plan.Heat?.Celsius, plan.Bake?.To.TotalMinutes).ShouldBe((9, "round-bun", 190, 22));
    }
}
