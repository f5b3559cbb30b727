using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>The figures bakers expect, to the rounding they are told in.</summary>
public sealed class WorkedExamples
{
    [Fact]
    public void Bakers_percentages_and_hydration()
    {
        var rolls = Formula.Of(SoftRolls);
        rolls.Total.Grams.ShouldBe(920);
        rolls.Hydration.Percent.ShouldBe(64.4, .05);
        rolls.IsRich.ShouldBeTrue();
        rolls.Rows[1].Percent.ShouldBe(62.5, 1e-9);
        Formula.Yield(rolls.Total).Grams.ShouldBe(905, .5);

        var pretzels = Formula.Of(Pretzels);
        (pretzels.Total.Grams, Math.Round(pretzels.Hydration.Percent, 1), pretzels.IsRich).ShouldBe((840, 58.5, false));

        var knots = Formula.Of(CableKnots);
        (knots.Total.Grams, knots.Flour.Grams, Math.Round(knots.Hydration.Percent, 1)).ShouldBe((842, 475, 64.6));
    }

    [Fact]
    public void Checks_name_the_figure_the_reason_and_the_fix()
    {
        FormulaChecks.Of(Formula.Of(SoftRolls), Families.Find("pan-roll")!.Hydration).ShouldBeEmpty();
        // What is shown as 1.4 % is not said to be under 1.4 %.
        FormulaChecks
            .Of(Formula.Of(Make("Fair", ("plain flour", 500), ("water", 300), ("salt", 6.8), ("yeast", 5))))
            .ShouldBeEmpty();
        FormulaChecks
            .Of(Formula.Of(Make("Mild", ("plain flour", 500), ("water", 300), ("salt", 6.7), ("yeast", 5))))
            .Single()
            .Code.ShouldBe("salt-low");
        var salty = Formula.Of(Make("Salty", ("plain flour", 500), ("water", 300), ("salt", 20), ("yeast", 1)));
        var found = FormulaChecks.Of(salty);
        found.Select(p => p.Type).ShouldBe(["salt-high", "yeast-low"]);
        ((Share)found[0].Says[0]).Percent.ShouldBe(4, 1e-9);
        ((Mass)found[0].Says[3]).Grams.ShouldBe(7.5, .05);
    }

    [Fact]
    public void Limits_refuse_with_the_factor_that_fits()
    {
        Blue.Refuses(Formula.Of(SoftRolls)).ShouldBeNull();
        var problem = White.Refuses(Formula.Of(SoftRolls)).ShouldNotBeNull();
        problem.Code.ShouldBe("capacity:dough");
        ((Share)problem.Says[3]).Percent.ShouldBe(82.6, .05);
        White.Refuses(Formula.Of(SoftRolls.Scale(White.FactorThatFits(Formula.Of(SoftRolls)) * .9999))).ShouldBeNull();
    }

    [Fact]
    public void Nine_hundred_and_eleven_grams_into_sixteen()
    {
        var targets = Targets.Equal(911, 16);
        targets.Count(t => t == 57).ShouldBe(15);
        targets.Count(t => t == 56).ShouldBe(1);
    }

    [Fact]
    public void Ropes_and_discs()
    {
        Sizes.RopeLength(Grams(84), Length.FromMillimetres(15)).Millimetres.ShouldBe(453, .5);
        Sizes.RopeThickness(Grams(84), Length.FromMillimetres(600)).Millimetres.ShouldBe(13, .1);
        Sizes.DiscAcross(Grams(89), Length.FromMillimetres(6)).Millimetres.ShouldBe(134, .5);
        Sizes.For(Families.Find("round-bun")!, Grams(95)).Across!.Value.Millimetres.ShouldBeInRange(85, 95);
    }

    [Theory]
    [
        InlineData(20, .439),
        InlineData(24, .616),
        InlineData(27, .749),
        InlineData(32, .936),
        InlineData(36, 1),
        InlineData(1, 0),
        InlineData(47, 0)
    ]
    public void Yeast_at_a_temperature(double celsius, double pace) => RiseModel.TemperatureFactor(celsius).ShouldBe(pace, .0006);

    [Theory]
    [InlineData(22, 28, 54.0), InlineData(19, 28, 60.5), InlineData(35, 28, 41.2), InlineData(28, 5, 89.8)]
    public void Rolls_doubled(double place, double dough, double minutes)
    {
        var conditions = new RiseConditions(
            Grams(57),
            Share.FromPercent(1.25),
            Share.FromPercent(6.25),
            Share.FromPercent(1.8),
            Celsius(dough),
            Celsius(place)
        );
        RiseModel.Simulate(conditions, Places.Counter, 1.2).TimeTo(1)!.Value.TotalMinutes.ShouldBe(minutes, .1);
    }

    [Fact]
    public void A_ball_follows_its_place()
    {
        RiseModel.TimeConstant(Grams(57)).TotalMinutes.ShouldBe(41, .5);
        RiseModel.TimeConstant(Grams(350)).TotalMinutes.ShouldBe(76, .5);
    }

    [Fact]
    public void Looks_narrow_the_belief_towards_what_was_seen()
    {
        var before = PaceBelief.Prior.After([]);
        (before.Pace, before.LogMean).ShouldSatisfyAllConditions(b => b.Pace.ShouldBe(1, .01), b => b.LogMean.ShouldBe(0, 1e-9));
        var slow = PaceBelief.Prior.After([new Look(.8, Sight.Of(Seen.Half, 1)!)]);
        slow.Pace.ShouldBeInRange(.6, .8);
        slow.LogSpread.ShouldBeLessThan(before.LogSpread);
        // One look far from the model moves the pace nearly all the way.
        PaceBelief.Prior.After([new Look(.18, Sight.Of(Seen.Doubled, 1)!)]).Pace.ShouldBeGreaterThan(4);
    }

    [Theory]
    [InlineData("pan-roll", 57, 190, 16.2), InlineData("pan-roll", 57, 205, 14.1), InlineData("round-bun", 97, 190, 16.1)]
    public void Bake_minutes(string family, double grams, double heat, double minutes)
    {
        var window = BakeWindow.For(Families.Find(family)!, Grams(grams), Celsius(heat));
        window.Likely.TotalMinutes.ShouldBe(minutes, .05);
        window.FirstLook.ShouldBeLessThan(window.Likely);
        window.Latest.ShouldBe(window.Likely * 1.25);
    }

    [Fact]
    public void First_look_is_never_absurdly_early() =>
        BakeWindow.For(Families.Find("pocket-flatbread")!, Grams(85), Celsius(245)).FirstLook.TotalMinutes.ShouldBe(3, 1e-6);

    [Fact]
    public void Preheat_and_pot()
    {
        Kitchen.Ovens[0].Preheat(Celsius(190), Celsius(19)).TotalMinutes.ShouldBe(22.1, 1e-9);
        Kitchen.Pot.ToBoil(Celsius(19), Pot.UsualHob, Celsius(100)).TotalMinutes.ShouldBe(2.5 * 4.2 * 81 / 1.8 / .7 / 60, 1e-9);
        Kitchen.Pot.Soda.Grams.ShouldBe(75);
    }
}
