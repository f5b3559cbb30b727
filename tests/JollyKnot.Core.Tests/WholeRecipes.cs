using System.Globalization;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Pantry;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Whole recipes as they are found: what becomes a row, what becomes a part, what stays a note.</summary>
public sealed class WholeRecipes
{
    private static readonly HouseholdPantry Pantry = HouseholdPantry.Plain;

    private static string Rows(DoughDraft draft) =>
        string.Join("; ", draft.Rows.Select(r => $"{Math.Round(r.Mass.Grams, 1):0.#} {r.Ingredient}"));

    [Fact]
    public void A_plain_list_without_any_heading()
    {
        var read = RecipeText.Read("500g strong white flour\n320g water\n10g salt\n7g instant yeast", Pantry).Value;
        read.Title.ShouldBe("");
        Rows(read.ToDraft()).ShouldBe("500 strong white flour; 320 water; 10 fine salt; 7 instant yeast");
        Dough.Create(read.ToDraft(), Pantry).Problems.Select(p => p.Field).ShouldBe(["name"]);
    }

    [Fact]
    public void Markdown_with_bullets_bold_headings_and_a_numbered_method()
    {
        var read = RecipeText
            .Read(
                """
                # Lamp-post loaf
                *Serves 8*

                ## Ingredients
                * 3½ cups bread flour, plus extra for dusting
                * **1 cup** lukewarm water (about 40 °C)
                - 2 tbsp olive oil
                + 1½ tsp fine salt
                - [ ] 2¼ tsp active dry yeast

                **Topping**
                - 50 g grated cheddar
                - a pinch of salt

                ## Method
                1. Warm 1 cup of water.
                2. Bake for 35 minutes at 200 °C.
                """,
                Pantry
            )
            .Value;
        read.Title.ShouldBe("Lamp-post loaf");
        var draft = read.ToDraft();
        Rows(draft).ShouldContain("444.5 strong white flour");
        Rows(draft).ShouldContain("27 olive oil; 9 fine salt; 7 active dry yeast");
        draft
            .Parts!.Value.Single()
            .ShouldSatisfyAllConditions(p => p.Kind.ShouldBe(PartKind.Topping), p => p.Rows.Length.ShouldBe(2));
        draft.Notes!.ShouldContain("2. Bake for 35 minutes at 200 °C.");
        draft.Notes!.ShouldContain("Serves 8");
    }

    [Fact]
    public void Amounts_behind_the_names_and_sections_for_wash_and_butter()
    {
        var read = RecipeText
            .Read(
                """
                Workshop knots

                Strong white flour: 430 g
                Ripe rye starter: 90 g
                Water 200 g
                Salt 8.5 g

                For brushing:
                1 egg yolk
                1 tbsp water

                Herb butter:
                40 g butter
                1 clove garlic
                """,
                Pantry
            )
            .Value;
        read.Sections.Select(s => (s.Kind, s.Lines.Length)).ShouldBe([(null, 4), (PartKind.Wash, 2), (PartKind.Butter, 2)]);
        Rows(read.ToDraft()).ShouldBe("430 strong white flour; 90 ripe rye starter; 200 water; 8.5 fine salt");
        Formula.Of(Dough.Create(read.ToDraft(), Pantry).Value).Flour.Grams.ShouldBe(475);
    }

    [Fact]
    public void A_page_with_a_graph_steps_and_entities()
    {
        const string page = """
            <html><head><script>var x = 1;</script>
            <script type="application/ld+json">{"@context":"https://schema.org","@graph":[{"@type":"WebPage","name":"A page"},
            {"@type":["Recipe","NewsArticle"],"name":"Fuse &amp; wire buns","recipeYield":["9","9 buns"],
            "recipeIngredient":["450 g bread flour","120 g mashed potato","180 ml milk","1 large egg","40 g butter",
            "2 tsp instant yeast","1&frac12; tsp salt"],
            "recipeInstructions":[{"@type":"HowToSection","name":"Dough","itemListElement":[
            {"@type":"HowToStep","text":"Mix 450 g flour."},{"@type":"HowToStep","text":"Rest."}]},
            "Bake."]}]}</script></head></html>
            """;
        RecipeJsonLd.Recognises(page).ShouldBeTrue();
        var (read, exact, _) = RecipeJsonLd.Read(page, Pantry).Value;
        exact.ShouldBeNull();
        read.Title.ShouldBe("Fuse & wire buns");
        Rows(read.ToDraft())
            .ShouldBe(
                "450 strong white flour; 120 mashed potato; 185.6 whole milk; 50 egg; 40 butter; 6.2 instant yeast; 9 fine salt"
            );
        read.LeftOver.ShouldBe("9, 9 buns\nDough\nMix 450 g flour.\nRest.\nBake.");
    }

    [Fact]
    public void Nothing_too_long_is_read_and_nothing_is_made_of_nothing()
    {
        RecipeText.Read(new string('x', RecipeText.Longest + 1), Pantry).Problems[0].Type.ShouldBe("too-long");
        RecipeText.Read(" \n\t ", Pantry).Problems[0].Type.ShouldBe("empty");
        RecipeText.Read("Dear diary, today it rained on the harbour.", Pantry).Value.Sections.ShouldBeEmpty();
        LineReading.Of(new string('9', 400) + " g flour", Pantry).Single().Mass.ShouldBeNull();
    }

    [Theory]
    [InlineData("lye"), InlineData("Caustic soda"), InlineData("sodium hydroxide")]
    public void A_caustic_bath_is_not_supported(string name) =>
        Dough
            .Create(new("Shiny", [new("flour", Grams(500)), new(name, Grams(20), Role.Other)]), Pantry)
            .Problems.Single()
            .Type.ShouldBe("caustic");

    [Fact]
    public void A_part_is_checked_like_a_dough_but_needs_no_flour()
    {
        var draft = new DoughDraft(
            "Rolls",
            [new("flour", Grams(500)), new("water", Grams(300))],
            [
                new(PartKind.Filling, "", []),
                new(PartKind.Topping, "Seeds", [new("moon dust", Grams(5))]),
                new(PartKind.Wash, "Wash", [new("egg", Grams(50))], new(Minutes(-1), Minutes(0), Minutes(0))),
            ]
        );
        Dough
            .Create(draft, Pantry)
            .Problems.Select(p => p.Field)
            .ShouldBe(["parts[0].name", "parts[0].rows", "parts[1].rows[0].role", "parts[2].work"]);
        var dough = Dough
            .Create(draft with { Parts = [new(PartKind.Topping, "Seeds", [new("sesame seeds", Grams(30))])] }, Pantry)
            .Value;
        dough.Allergens.ShouldBe(["sesame", "wheat/gluten"]);
        dough.Total.Grams.ShouldBe(800);
        dough.Scale(2).Parts[0].Total.Grams.ShouldBe(60);
        // Seeds are made of nothing; vegetables are cut, fried and cooled.
        dough.Parts[0].Work.ShouldBe(PartWork.None);
        PartWork.Usual(PartKind.Topping, [new(Ingredients.Find("raw leek")!, Grams(500))]).Hob.ShouldBe(Minutes(20));
    }

    // The first heading of a recipe, what stands under it, and whether that part is asked.
    [Theory]
    [InlineData("For two loaves you need:", "400 g flour\n250 ml water", false)]
    [InlineData("Cinnamon smear:", "80 g butter\n60 g brown sugar\n\nFor the dough:\n400 g flour\n250 ml water", true)]
    [InlineData("Cinnamon smear", "80 g butter\n60 g brown sugar\n\nDough:\n400 g flour\n250 ml water", true)]
    public void A_heading_before_everything_is_a_part_only_where_the_dough_has_its_own(string heading, string rest, bool isAsked)
    {
        var read = RecipeText.Read($"Loaf\n\n{heading}\n{rest}", Pantry).Value;
        read.Title.ShouldBe("Loaf");
        read.Sections.Any(s => s.IsAsked).ShouldBe(isAsked);
        read.Sections.Single(s => s.Kind is null && !s.IsAsked).Lines.Length.ShouldBe(2);
    }

    [Theory]
    [InlineData("Garlic butter", PartKind.Butter)]
    [InlineData("Cheese topping", PartKind.Topping)]
    public void A_name_alone_with_amounts_under_it_heads_a_part(string heading, PartKind kind)
    {
        var read = RecipeText.Read(
            $"Rolls\n\n400 g flour\n250 ml water\n\n{heading}\n50 g butter, melted\n1 tbsp parsley",
            Pantry
        );
        read.Value.Sections.Select(s => (s.Kind, s.Lines.Length)).ShouldBe([(null, 2), (kind, 2)]);
    }

    [Theory]
    [InlineData("500g flour\n300ml warm water", 2)]
    [InlineData("500g flour\n2 warm eggs", 2)]
    [InlineData("500g flour\n1 Warm the milk", 1)]
    [InlineData("4 personnes\n500 g flour", 1)]
    public void What_is_warm_is_a_row_and_what_it_feeds_is_none(string lines, int rows) =>
        RecipeText.Read($"Rolls\n\n{lines}", Pantry).Value.ToDraft().Rows.Length.ShouldBe(rows);

    [Theory]
    [InlineData("Heat the oven to 220C. Meanwhile cook the leeks for 10 minutes. Bake 25 minutes.", 25)]
    [InlineData("Preheat the oven to 250C. Cook 6-8 min until puffed.", 7)]
    [InlineData("Preheat the oven to 250C. Slice after it has stood. 10 minutes more will do no harm.", null)]
    [InlineData("Naan: cook 2 minutes a side in a hot dry pan.", 4)]
    [InlineData("200C (180 fan) for 15 mins.", 15)]
    public void What_is_cooked_at_its_heat_is_the_bread(string method, int? minutes)
    {
        var plan = MethodReading.Of(method);
        plan.Bake?.Middle.TotalMinutes.ShouldBe(minutes!.Value);
        (plan.Bake is null).ShouldBe(minutes is null);
        plan.WithFan.ShouldBeFalse();
    }

    [Theory]
    [InlineData("Dough cycle (1 hr 30).", 90)]
    [InlineData("Programme pâte (1h30).", 90)]
    [InlineData("Programme pâte (1 h 30), puis 20 g de sucre.", 90)]
    [InlineData("Programma impasto, 1 ora e 30.", 90)]
    [InlineData("Programa de masa, 1 h y 15 min.", 75)]
    [InlineData("Dough cycle, 2 hours.", 120)]
    public void Hours_and_what_is_past_them(string method, int minutes) =>
        MethodReading.Of(method).Program!.Middle.TotalMinutes.ShouldBe(minutes);

    [Theory]
    [InlineData("Cut in 12 strips and twist.", 12)]
    [InlineData("Teig halbieren und formen.", 2)]
    [InlineData("Den Teig in 9 gleich große Stücke teilen.", 9)]
    [InlineData("Dividir la masa en 14 porciones de 60 g.", 14)]
    [InlineData("Couper en 6 boules.", 6)]
    [InlineData("Let it stand in 2 cm of water.", null)]
    public void Pieces_in_the_words_of_a_method(string method, int? pieces) => MethodReading.Of(method).Pieces.ShouldBe(pieces);

    private static ReadRecipe Of(string text) => RecipeText.Read(text, HouseholdPantry.Plain).Value;

    // What goes into the dough, and what for something else, by the gram.
    private static string Shares(string text) =>
        string.Join(
            "; ",
            Of(text)
                .Sections.SelectMany(s => s.Lines)
                .SelectMany(l => l.Rows)
                .Select(r => $"{r.Mass?.Grams.ToString("0", CultureInfo.InvariantCulture) ?? "?"} {r.Use}")
        );

    [Theory]
    [InlineData("Beat in 60 g of the butter. Bake 20 minutes. Brush with the remaining butter.", "60 Dough; 40 HotBrush")]
    [InlineData("Beat in 60 g of the soft butter. Brush with the remaining butter. Bake 20 minutes.", "60 Dough; 40 Wash")]
    [InlineData("Beat in 60 g butter. Grease the tin with the rest of the butter.", "60 Dough; 40 Surface")]
    [InlineData("Beat in half. Brush with the remaining butter.", "? Dough")]
    [InlineData("Beat in 100 g butter. Brush with the remaining butter.", "? Dough")]
    [InlineData("Beat in 60 g butter. Knead in the remaining butter.", "100 Dough")]
    [InlineData("Beat in the butter.", "100 Dough")]
    [InlineData("Beat in 60 g butter. Add the remaining butter and dust with flour.", "100 Dough")]
    public void The_rest_of_what_is_divided_is_for_what_the_method_does_with_it(string method, string shares) =>
        Shares($"Rolls\n100 g butter, divided\n\nMethod\n{method}").ShouldBe(shares);

    [Theory]
    [InlineData("Spread 60 g of the cheddar, roll up. Sprinkle with the remaining cheddar. Bake.", "60 Filling; 40 Topping")]
    [InlineData("Spread 60 g of the cheddar, fill with the remaining cheddar. Bake.", "100 Filling")]
    public void What_is_divided_may_stand_among_a_filling(string method, string shares) =>
        Shares($"Rolls\n\nFor the filling:\n100 g cheddar, divided\n\nMethod\n{method}").ShouldBe(shares);

    [Theory]
    [InlineData("Brush with milk. Bake 20 minutes.", "15 Wash")]
    [InlineData("Bake 20 minutes. Brush while hot.", "15 HotBrush")]
    [InlineData("Brush with milk. Bake 20 minutes. Brush again while hot.", "15 Wash")]
    public void What_is_brushed_only_when_hot_is_no_wash(string method, string shares) =>
        Shares($"Rolls\n1 tbsp milk to glaze\n\nMethod\n{method}").ShouldBe(shares);

    [Theory]
    [InlineData("Dough: 300 g flour; 200 ml water; 6 g salt.", "300 Dough; 200 Dough; 6 Dough")]
    [InlineData(
        "300 g flour, sifted, 200 ml water, 6 g salt, poppy seeds to sprinkle",
        "300 Dough; 200 Dough; 6 Dough; 9 Topping"
    )]
    [InlineData("300 g flour · 200 ml water · 1 egg", "300 Dough; 200 Dough; 50 Dough")]
    [InlineData("Glaze: 100 g icing sugar; 20 ml water; 5 g butter", "100 Wash; 20 Wash; 5 Wash")]
    public void A_list_in_one_line_is_as_many_things(string line, string shares) => Shares($"Rolls\n\n{line}").ShouldBe(shares);

    [Theory]
    [InlineData("Jump to recipe", "Soft rolls")]
    [InlineData("Home » Recipes » Breads", "Soft rolls")]
    [InlineData("4.8 from 120 votes", "Soft rolls")]
    [InlineData("Rezept drucken", "Soft rolls")]
    [InlineData("Difficulty: easy", "Soft rolls")]
    [InlineData("Prep time 20 minutes", "Soft rolls")]
    [InlineData("By Marta", "Soft rolls")]
    [InlineData("Sunday bread", "Sunday bread")]
    public void What_a_page_says_beside_its_recipe_is_neither_its_name_nor_a_row(string line, string title)
    {
        var read = Of(
            $"{line}\n\nSoft rolls\nI took 2 cups of flour once.\n9x13-inch pan\n\nIngredients\n300 g flour\n200 ml water"
        );
        read.Title.ShouldBe(title);
        read.Sections.SelectMany(s => s.Lines).Select(l => l.Text).ShouldBe(["300 g flour", "200 ml water"]);
    }

    [Theory]
    [InlineData("Ingredients for the filling", PartKind.Filling)]
    [InlineData("Filling ingredients", PartKind.Filling)]
    [InlineData("Ingredients", null)]
    [InlineData("Ingredients for 12 rolls", null)]
    public void A_list_may_say_what_it_is_for(string heading, PartKind? kind) =>
        Of($"Rolls\n300 g flour\n200 ml water\n\n{heading}\n20 g milk").Sections[^1].Kind.ShouldBe(kind);

    [Theory]
    [InlineData("Mix, leave 2 hours. Knead 10 minutes. Rest 20 minutes. Divide, shape, proof 40 minutes.", 20)]
    [InlineData("Knead 10 minutes. Rest 2 hours. Knead 1 minute. Divide, shape, proof 40 minutes.", 120)]
    [InlineData("Mix, leave 2 hours. Knead 3 minutes. Divide, shape, proof 40 minutes.", 120)]
    public void What_waits_before_it_is_kneaded_is_no_rest_of_the_dough(string method, int minutes) =>
        MethodReading.Of(method).Rest!.Middle.TotalMinutes.ShouldBe(minutes);

    [Theory]
    [InlineData("Whisk the milk and yeast, sit 15 minutes. Knead. Divide, shape, proof 40 minutes.", null, null)]
    [InlineData("Mix, rest 16 minutes. Knead. Divide, shape, proof 40 minutes.", 16, null)]
    [InlineData("Knead. Leave for 1 hour until doubled. Divide, shape, proof 40 minutes.", null, 60)]
    [InlineData("Knead. Leave for 1 hour. Divide, shape, proof 40 minutes.", 60, null)]
    [InlineData("Knead. Leave for 1 hour, until doubled. Divide, shape, proof 40 minutes.", null, 60)]
    [InlineData("Knead. Rest 10 minutes, shape and let rise until doubled, 40 minutes.", 10, null)]
    public void A_rest_until_doubled_is_a_rise_and_yeast_that_wakes_is_no_rest(string method, int? rest, int? rise) =>
        (MethodReading.Of(method).Rest?.Middle.TotalMinutes, MethodReading.Of(method).Rise?.Middle.TotalMinutes).ShouldBe(
            (rest, rise)
        );

    [Theory]
    [InlineData("Spread with the garlic butter, roll up. Bake 20 minutes.", PartKind.Filling)]
    [InlineData("Bake 20 minutes. Brush with the garlic butter.", PartKind.Butter)]
    [InlineData("Brush with hot garlic butter. Bake 20 minutes.", PartKind.Butter)]
    public void Butter_with_something_in_it_that_goes_on_before_the_oven_is_a_filling(string method, PartKind kind) =>
        Of($"Rolls\n300 g flour\n190 ml water\n\nGarlic butter:\n50 g butter\n2 cloves garlic\n\nMethod\n{method}")
            .Sections[^1]
            .Kind.ShouldBe(kind);

    [Theory]
    [InlineData("Proof 20 minutes on a greased sheet, 220 °C about 15 minutes.", 20, 15)]
    [InlineData("Rising time: 2 hours\nLet rise 1 hour. Shape, let rise 40 minutes. Bake 15 minutes.", 40, 15)]
    [InlineData("Proof 40 minutes in the warm. Cooking time: 25 minutes", 40, 25)]
    public void A_time_at_an_ovens_heat_bakes_and_a_sum_is_no_wait(string method, int proof, int bake) =>
        (MethodReading.Of(method).Proof!.Middle.TotalMinutes, MethodReading.Of(method).Bake!.Middle.TotalMinutes).ShouldBe(
            (proof, bake)
        );

    [Theory]
    [InlineData("Ingredients: 300 g flour, 190 ml water", 2)]
    [InlineData("Zutaten: 300 g Mehl, 190 ml Wasser, 6 g Salz", 3)]
    [InlineData("Ingredients\n300 g flour\n190 ml water\nMix all ingredients", 2, "Mix all ingredients")]
    [InlineData("300 g flour\n190 ml water\nIngredients should be warm", 2, "Ingredients should be warm")]
    [InlineData("300 g ingredients\n190 ml water", 2)]
    [InlineData("Dry ingredients\n300 g flour\n\nWet ingredients\n190 ml water", 2)]
    public void What_names_ingredients_is_not_always_their_heading(string text, int rows, string left = "")
    {
        var read = Of($"Rolls\n\n{text}");
        read.Sections.SelectMany(s => s.Lines).SelectMany(l => l.Rows).Count().ShouldBe(rows);
        read.LeftOver.ShouldBe(left);
    }

    [Theory]
    [InlineData("450 g\nbread flour\n250 ml\nwater\n9 g\nsalt", "450 Dough; 250 Dough; 9 Dough")]
    [InlineData("Bread flour\n450 g\nWater\n250 ml\nSalt\n9 g", "450 Dough; 250 Dough; 9 Dough")]
    [InlineData("Makes\n12\n\n450 g\nbread flour\n250 ml\nwater\n9 g\nsalt", "450 Dough; 250 Dough; 9 Dough")]
    [InlineData("450 g bread flour\n250 ml water\n9 g\nsalt", "450 Dough; 250 Dough; 9 Dough; ? Dough")]
    public void An_amount_on_a_line_by_itself_belongs_to_the_name_beside_it(string lines, string shares) =>
        Shares($"Rolls\n\nIngredients\n{lines}").ShouldBe(shares);

    [Theory]
    [InlineData(
        "Take 300 g of strong flour, rub in 30 g lard, add 6 g salt and 190 ml water.",
        "300 Dough; 30 Dough; 6 Dough; 190 Dough"
    )]
    [InlineData("Stir 300 g flour into 190 ml water. Knead 10 minutes. Brush with 20 g milk.", "300 Dough; 190 Dough; 20 Wash")]
    [InlineData("300 g flour\n190 ml water\n\nMethod\nBrush with 20 g milk.", "300 Dough; 190 Dough")]
    public void A_recipe_without_a_list_is_told(string told, string shares) => Shares($"Rolls\n\n{told}").ShouldBe(shares);

    [Theory]
    [InlineData("For the garlic butter", "30 g butter", PartKind.Butter)]
    [InlineData("For dusting rice flour", "30 g butter", null)]
    public void What_rows_are_for_may_name_a_thing(string heading, string row, PartKind? kind) =>
        Of($"Rolls\n300 g flour\n190 ml water\n{heading}\n{row}")
            .Sections.Single(s => s.Lines.Any(l => l.Text == row))
            .Kind.ShouldBe(kind);

    [Theory]
    [InlineData("Honey loaf (2 lb machine)", "Honey loaf (2 lb machine)")]
    [InlineData("Recipe: honey loaf", "honey loaf")]
    [InlineData("Pull-apart loaf", "Pull-apart loaf")]
    public void A_name_may_hold_a_figure_in_brackets_or_a_verb(string first, string title) =>
        Of($"{first}\n\nIngredients\n300 g flour\n190 ml water").Title.ShouldBe(title);

    [Theory]
    [InlineData("Knead. Stretch in the tin, lay on the tomatoes. Bake 20 minutes.", "300 Dough; 190 Dough; 200 Topping")]
    [InlineData("Knead. Stretch, cover with tomatoes and roll up. Bake 20 minutes.", "300 Dough; 190 Dough; 200 Filling")]
    [InlineData("Knead in the tomatoes. Stretch over the tomatoes. Bake 20 minutes.", "300 Dough; 190 Dough; 200 Dough")]
    [InlineData("Add the tomatoes and shape. Bake 20 minutes.", "300 Dough; 190 Dough; 200 Dough")]
    [InlineData("Shape. Bake 20 minutes. Serve with tomatoes.", "300 Dough; 190 Dough; 200 Dough")]
    public void What_is_named_only_once_hands_shape_is_laid_on_or_rolled_in(string method, string shares) =>
        Shares($"Slab\n300 g flour\n190 ml water\n200 g tomatoes\n\nMethod\n{method}").ShouldBe(shares);

    [Fact]
    public void What_is_served_beside_it_stays_in_the_notes() =>
        Of("Rolls\n300 g flour\n190 ml water\nButter, for serving\n\nBake.").LeftOver.ShouldBe("Butter, for serving\nBake.");
}
