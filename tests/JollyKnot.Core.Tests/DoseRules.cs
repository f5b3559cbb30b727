using CsCheck;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>What a dough wanted is remembered: all that went in over its recipe, whenever it went in.</summary>
public sealed class DoseRules
{
    private static readonly DoughVersion Book = new(Guid.Parse("00000001-4a4b-4442-8000-000000000001"), 1);

    private static BakeSpec Of(Dough dough) =>
        Spec(dough, "pan-roll") is var spec ? spec with { Made = spec.Made with { Source = Book } } : null!;

    private static Dough Rolls(double milk) =>
        Make(
            "Workbench soft rolls",
            ("strong white flour", 480),
            ("whole milk", milk),
            ("butter", 45),
            ("egg", 50),
            ("sugar", 30),
            ("salt", 9),
            ("yeast", 6)
        );

    // So much milk at loading, and so much water at the check.
    private static Lessons Baked(Dough dough, double milk, double dose)
    {
        var story = Story.Started(Of(dough)).At(26).Tell(new DoughChecked("check-1", DoughFeel.Stiff, Grams(dose), Mass.Zero));
        var row = dough.Rows.IndexOf(dough.Rows.Single(r => r.Ingredient.Name == "whole milk")) + 1;
        story.Tell(new IngredientWeighed(new(new("weigh-in-#"), 0, row), Grams(milk)));
        return Lessons.Of(story.State);
    }

    private static double Hint(Dough dough, params Lessons[] past) => Memory(dough, past).Lately.Fraction * 480;

    private static DoseMemory Memory(Dough dough, params Lessons[] past) => DoseMemory.For(dough, Book.Id, Morning, past);

    [Fact]
    public void A_steady_hint_is_written_into_the_recipe_and_is_none_any_more()
    {
        var thirsty = Baked(Rolls(300), 300, 12);
        Memory(Rolls(300), thirsty, thirsty).WrittenInto(Rolls(300)).ShouldBeNull();
        Memory(Rolls(300), thirsty, thirsty, Baked(Rolls(300), 290, 0)).WrittenInto(Rolls(300)).ShouldBeNull();
        var memory = Memory(Rolls(300), thirsty, thirsty, thirsty);
        // 12 g of water are 13.6 g of milk.
        var written = memory.WrittenInto(Rolls(300))!;
        written.Liquid!.Mass.Grams.ShouldBe(314);
        written.Rows.Length.ShouldBe(7);
        Hint(written, thirsty, thirsty, thirsty).ShouldBe(0, .5);
        Memory(written, thirsty, thirsty, thirsty).IsSteady.ShouldBeFalse();
        // Less is written too; of next to nothing nothing is.
        var wet = Baked(Rolls(300), 285, 0);
        Memory(Rolls(300), wet, wet, wet).WrittenInto(Rolls(300))!.Liquid!.Mass.Grams.ShouldBe(285);
        var fine = Baked(Rolls(300), 301, 0);
        Memory(Rolls(300), fine, fine, fine).IsSteady.ShouldBeFalse();
    }

    [Fact]
    public void Poured_at_loading_or_at_the_check_it_is_the_same()
    {
        Hint(Rolls(300), Baked(Rolls(300), 300, 12)).ShouldBe(12, 1e-6);
        Hint(Rolls(300), Baked(Rolls(300), 312, 0)).ShouldBe(12 * .88, 1e-6);
        // Whoever pours the hint at loading does not see it shrink.
        Hint(Rolls(300), Baked(Rolls(300), 312, 0), Baked(Rolls(300), 300, 12 * .88)).ShouldBe(12 * .88, 1e-6);
    }

    [Fact]
    public void A_recipe_put_right_stops_its_hint()
    {
        Hint(Rolls(312), Baked(Rolls(300), 300, 12 * .88)).ShouldBe(0, 1e-6);
        Hint(Rolls(290), Baked(Rolls(300), 300, 0)).ShouldBe(8.8, 1e-6);
    }

    [Fact]
    public void What_was_long_ago_counts_for_less() =>
        Hint(Rolls(300), Baked(Rolls(300), 300, 20), Baked(Rolls(300), 300, 0)).ShouldBeInRange(10.1, 11);

    [Fact]
    public void More_water_never_lowers_what_is_remembered() =>
        Gen.Select(Gen.Double[250, 350], Gen.Double[0, 40], Gen.Double[.1, 20])
            .ForAll(
                (milk, dose, more) =>
                {
                    var before = Hint(Rolls(300), Baked(Rolls(300), milk, dose));
                    Hint(Rolls(300), Baked(Rolls(300), milk + more, dose)).ShouldBeGreaterThan(before);
                    Hint(Rolls(300), Baked(Rolls(300), milk, dose + more)).ShouldBeGreaterThan(before);
                },
                iter: 40
            );
}
