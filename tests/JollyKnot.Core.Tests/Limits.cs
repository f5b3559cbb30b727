using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Limits where they are, and signs as they are: a degree over, a gram less, the other way round.</summary>
public sealed class Limits
{
    [Theory]
    [
        InlineData(46, true, null),
        InlineData(46.1, true, "hot-liquid"),
        InlineData(54, false, null),
        InlineData(54.1, false, "hot-liquid")
    ]
    [InlineData(60, false, "hot-liquid"), InlineData(60.1, false, "refused"), InlineData(60.1, true, "refused")]
    public void Liquid_is_warned_of_and_refused_at_its_limits(double celsius, bool onBareYeast, string? code) =>
        LiquidTemperature.Refuses(Celsius(celsius), onBareYeast)?.Code.ShouldBe(code);

    [Theory]
    [InlineData(45, false), InlineData(45.2, true)]
    public void A_place_is_too_warm_over_45_degrees(double celsius, bool tooWarm)
    {
        var place = Places.Counter with { Steady = Celsius(celsius) };
        var proof = Proof.Predict(new(RiseConditions.Of(Formula.Of(SoftRolls), Grams(55), Celsius(19)), place, 1));
        (proof.Trouble == ProofTrouble.TooWarm).ShouldBe(tooWarm);
    }

    [Theory]
    [InlineData(12, 0, .025), InlineData(0, 12, -.025), InlineData(0, 0, 0)]
    public void Water_added_says_more_next_time_and_flour_added_says_less(double water, double flour, double ofFlour)
    {
        var story = Story
            .Started(Spec(SoftRolls, "pan-roll"))
            .At(26)
            .Tell(new Steps.DoughChecked("check-1", DoughFeel.Stiff, Grams(water), Grams(flour)));
        Lessons.Of(story.State).Dose!.OfFlour.Fraction.ShouldBe(ofFlour, 1e-9);
    }

    [Theory]
    [
        InlineData("pan-roll", 1.0, 1.5),
        InlineData("crusty-roll", .8, 1.7),
        InlineData("round-bun", .95, 1.35),
        InlineData("long-bun", .95, 1.5),
        InlineData("knot", .9, 1.5)
    ]
    [
        InlineData("pretzel", .35, 1.4),
        InlineData("plait-3", .85, 1.5),
        InlineData("plait-4", .85, 1.5),
        InlineData("plait-6", .85, 1.5),
        InlineData("coil", .85, 1.5)
    ]
    [
        InlineData("baton", .65, 1.7),
        InlineData("tin-loaf", 1.0, 1),
        InlineData("filled-loaf", .9, 1.4),
        InlineData("pocket-flatbread", .3, 1.1)
    ]
    [InlineData("griddle-flatbread", .2, 1.05), InlineData("tray-bread", .6, 1), InlineData("griddle-round", .6, 1.1)]
    public void A_family_rises_and_grows_as_its_bakers_say(string id, double rise, double grows)
    {
        var family = Families.Find(id)!;
        (family.WantedRise, family.GrowsTo).ShouldBe((rise, grows));
    }

    [Fact]
    public void Rings_are_set_two_millimetres_apart_and_from_the_edge()
    {
        var rolling = RingSheet.Of(Grams(756), Length.FromMillimetres(10), RingSheet.UsualRing).Rollings[0];
        static double Apart(Seat a, Seat b) => Math.Sqrt(Math.Pow(a.X - b.X, 2) + Math.Pow(a.Y - b.Y, 2));
        var apart = rolling.Rings.SelectMany((a, i) => rolling.Rings.Skip(i + 1).Select(b => Apart(a, b))).Min();
        apart.ShouldBeInRange(RingSheet.UsualRing.Millimetres + 2 - 1e-6, RingSheet.UsualRing.Millimetres + 4);
    }
}
