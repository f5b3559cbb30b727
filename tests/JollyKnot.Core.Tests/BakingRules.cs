using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Minutes, ovens, pot and steam, reckoned by hand to the edge of each rule.</summary>
public sealed class BakingRules
{
    // 55 g at 190 °C take 16 min.
    private static readonly Family Roll = Families.Find("pan-roll")!;
    private static readonly Temperature Boils = Celsius(100);
    private static readonly Oven Wall = Kitchen.Ovens[0];

    private static Length Millimetres(double millimetres) => Length.FromMillimetres(millimetres);

    private static void ShouldBeMinutes(TimeSpan length, double minutes) => length.TotalMinutes.ShouldBe(minutes, .0005);

    [Theory]
    // As it is told, hotter, and cooler, with the look a fifth before; from more than 20 °C off, three tenths before.
    [InlineData("pan-roll", 55, 190, 16, 12.8)]
    [InlineData("pan-roll", 110, 210, 16.4153, 13.1322)]
    [InlineData("pan-roll", 110, 215, 15.7587, 11.0311)]
    [InlineData("pan-roll", 110, 170, 24.6229, 19.6984)]
    [InlineData("pan-roll", 110, 165, 26.2645, 18.3851)]
    // Three minutes before at least, and never under three fifths.
    [InlineData("pan-roll", 55, 210, 13.3333, 10.3333)]
    [InlineData("pocket-flatbread", 85, 245, 5, 3)]
    // What is rolled to a thickness takes as long whatever it weighs.
    [InlineData("pocket-flatbread", 170, 245, 5, 3)]
    public void Minutes_go_with_mass_and_heat(string family, double grams, double heat, double likely, double look)
    {
        var window = BakeWindow.For(Families.Find(family)!, Grams(grams), Celsius(heat));
        ShouldBeMinutes(window.Likely, likely);
        ShouldBeMinutes(window.FirstLook, look);
        ShouldBeMinutes(window.Turn, likely * (family == "pan-roll" ? .5 : .6));
        ShouldBeMinutes(window.Latest, likely * 1.25);
    }

    [Fact]
    public void The_fan_is_fifteen_degrees_and_what_is_set_touching_takes_an_eighth_longer()
    {
        TimeSpan Likely(Family family, double grams, bool fan = false, bool? touching = null, double pace = 1) =>
            BakeWindow.For(family, Grams(grams), family.Bake.Heat, fan, touching, pace).Likely;

        ShouldBeMinutes(Likely(Roll, 55, fan: true), 16 * 100 / 115d);
        ShouldBeMinutes(Likely(Roll, 55, pace: 1.1), 17.6);
        // It touches anyway.
        ShouldBeMinutes(Likely(Roll, 55, touching: true), 16);
        var crusty = Families.Find("crusty-roll")!;
        ShouldBeMinutes(Likely(crusty, 75, touching: true), crusty.Bake.Length.TotalMinutes * 1.12);
        ShouldBeMinutes(Likely(crusty, 75, touching: false), crusty.Bake.Length.TotalMinutes);
        // Twice as long and thinner: the thickness goes with the root.
        ShouldBeMinutes(Likely(Families.Find("free-loaf")! with { Stretch = 2 }, 650), 34 * .732043);
        // Half as thick again, whatever it weighs.
        var thick = Families.Find("pocket-flatbread")! with
        {
            Thickness = Millimetres(9),
        };
        ShouldBeMinutes(Likely(thick, 85), 5 * 1.626713);
        double Inside(Family family) => CoreHeat.At(family.BodyOf(Grams(85)), Celsius(245), false, Minutes(3), Boils).Celsius;
        Inside(thick).ShouldBeLessThan(Inside(Families.Find("pocket-flatbread")!) - 5);
        Should.Throw<ArgumentOutOfRangeException>(() => BakeWindow.For(Roll, Grams(55), Celsius(119.9)));
        ShouldBeMinutes(BakeWindow.For(Roll, Grams(55), Celsius(120)).Likely, 16 * 100 / 30d);
    }

    [Theory]
    // The logarithms of 16 and of the recipe's middle, the recipe's weighing 1.7 times as much.
    [InlineData(20, 24, 19.5539, 12.8, 24.4424)]
    [InlineData(12, 12, 13.3483, 10.8, 16.6854)]
    // Looked at as reckoned or a tenth before its shortest, whichever is sooner, and out no sooner than its longest.
    [InlineData(10, 40, 21.1935, 9, 40)]
    public void A_recipes_minutes_are_joined_with_what_is_reckoned(
        double from,
        double to,
        double likely,
        double look,
        double latest
    )
    {
        var joined = BakeWindow.For(Roll, Grams(55), Celsius(190)).With(Minutes(from), Minutes(to));
        ShouldBeMinutes(joined.Likely, likely);
        ShouldBeMinutes(joined.FirstLook, look);
        ShouldBeMinutes(joined.Turn, likely / 2);
        ShouldBeMinutes(joined.Latest, latest);
    }

    [Fact]
    public void Another_likely_time_moves_the_whole_window_and_other_heat_stretches_it()
    {
        BakeWindow
            .For(Roll, Grams(55), Celsius(190))
            .Taking(Minutes(20))
            .ShouldBe(new BakeWindow(Minutes(16), Minutes(10), Minutes(20), Minutes(25)));
        BakeWindow.Stretch(Celsius(190), Celsius(215)).ShouldBe(.8, 1e-9);
        (BakeWindow.Stretch(Celsius(80), Celsius(100)), BakeWindow.Stretch(Celsius(100), Celsius(80))).ShouldBe((.1, 10));
    }

    [Fact]
    public void A_dial_has_its_marks()
    {
        Temperature At(DialMarks marks, double celsius) => (Wall with { Marks = marks }).Nearest(Celsius(celsius));
        (Wall.DialStep, (Wall with { Marks = DialMarks.Fahrenheit5 }).DialStep).ShouldBe((5, 5));
        (Wall with { Marks = DialMarks.Fahrenheit25 }).DialStep.ShouldBe(25);
        At(DialMarks.Celsius5, 187.4).ShouldBe(Celsius(185));
        At(DialMarks.Celsius5, 187.6).ShouldBe(Celsius(190));
        At(DialMarks.Celsius5, 300).ShouldBe(Celsius(275));
        At(DialMarks.Celsius5, 31).ShouldBe(Celsius(50));
        At(DialMarks.Fahrenheit25, 190).Fahrenheit.ShouldBe(375, 1e-9);
        At(DialMarks.Fahrenheit5, 192).Fahrenheit.ShouldBe(380, 1e-9);
        Wall.Refuses(Celsius(275)).ShouldBeNull();
        Wall.Refuses(Celsius(276))!.Code.ShouldBe("off-the-dial");
    }

    [Theory]
    [InlineData(400, 300, 400d, 300d, true), InlineData(300, 400, 400d, 300d, true), InlineData(401, 200, 400d, 300d, false)]
    [InlineData(200, 401, 400d, 300d, false), InlineData(350, 301, 400d, 300d, false), InlineData(900, 900, null, null, true)]
    [InlineData(900, 300, null, 300d, true), InlineData(900, 301, null, 300d, false)]
    public void A_tray_goes_in_either_way_round(double length, double width, double? wide, double? deep, bool goes)
    {
        Length? Of(double? millimetres) => millimetres is { } one ? Millimetres(one) : null;
        var oven = Wall with { Wide = Of(wide), Deep = Of(deep) };
        oven.Holds(new("t", "Tray", TinShape.Tray, Millimetres(length), Millimetres(width))).ShouldBe(goes);
    }

    [Fact]
    public void An_oven_heats_ten_degrees_a_minute_and_cools_nine()
    {
        ShouldBeMinutes(Wall.Change(Celsius(190), Celsius(190)), 0);
        ShouldBeMinutes(Wall.Change(Celsius(150), Celsius(190)), 4 + 2.5);
        ShouldBeMinutes(Wall.Change(Celsius(220), Celsius(175)), 5);
        ShouldBeMinutes(Wall.Preheat(Celsius(190), Celsius(19), stone: true), 17.1 + 5 + 15);
        ShouldBeMinutes(Wall.Preheat(Celsius(50), Celsius(60)), 5);
        var two = Wall with { Racks = 2 };
        (
            two.RacksBeside(true),
            two.RacksBeside(false),
            Wall.RacksBeside(true),
            (Wall with { Racks = 3 }).RacksBeside(true)
        ).ShouldBe((1, 2, 1, 2));
    }

    [Theory]
    // 19 to 199 °C in 18 minutes, then over it by what swings: a quarter, and three quarters of eight minutes on.
    [InlineData(0, null, 19), InlineData(9, null, 109), InlineData(18, null, 199)]
    [InlineData(20, null, 206.58265), InlineData(24, null, 193.1606)]
    // The door costs 15 °C, made good to 1/e in two minutes; it was opened before, or not at all, and no oven is under its room.
    [InlineData(18, 2d, 193.48181), InlineData(18, 0d, 184), InlineData(18, -1d, 199), InlineData(1, 0d, 19)]
    public void The_air_overshoots_swings_and_loses_at_the_door(double on, double? door, double celsius) =>
        OvenHeat
            .At(Wall, Celsius(19), Celsius(199), Minutes(on), door is { } since ? Minutes(since) : null)
            .Celsius.ShouldBe(celsius, 1e-4);

    [Fact]
    public void Pieces_swim_in_the_pot_batch_by_batch()
    {
        // 26 cm across are 531 cm²; a piece of 12 × 9 cm wants 108 of them, and three fifths are room enough.
        var (pot, piece) = (Kitchen.Pot, new Footprint(Millimetres(120), Millimetres(90)));
        (pot.AtOnce(piece), pot.AtOnce(new(Millimetres(400), Millimetres(300)))).ShouldBe((2, 1));
        (pot.Batches(1, piece), pot.Batches(4, piece), pot.Batches(5, piece)).ShouldBe((1, 2, 3));
        var aSide = Pot.PerSide(PotSchool.DipAfterBoil);
        (aSide.TotalSeconds, Pot.PerSide(PotSchool.InThePot).TotalSeconds).ShouldBe((60, 25));
        pot.Beats(3, piece, PotSchool.DipAfterBoil, aSide)
            .Select(b => (b.Batch, b.Pieces, b.Act, b.Length.TotalSeconds))
            .ShouldBe([
                (1, 2, PotAct.In, 60),
                (1, 2, PotAct.Turn, 60),
                (1, 2, PotAct.Dip, 10),
                (1, 2, PotAct.Out, 40),
                (2, 1, PotAct.In, 60),
                (2, 1, PotAct.Turn, 60),
                (2, 1, PotAct.Dip, 10),
                (2, 1, PotAct.Out, 40),
            ]);
        pot.Beats(2, piece, PotSchool.InThePot, aSide).Select(b => b.Act).ShouldBe([PotAct.In, PotAct.Turn, PotAct.Out]);
        Pot.BathLength(3, PotSchool.DipAfterBoil, aSide).TotalSeconds.ShouldBe(510);
        Pot.BathLength(2, PotSchool.InThePot, TimeSpan.FromSeconds(25)).TotalSeconds.ShouldBe(180);
    }

    [Fact]
    public void A_bath_is_the_pots_or_the_recipes()
    {
        var told = new SodaBath(Grams(20), Volume.FromMillilitres(500));
        Kitchen.Pot.Usual(PotSchool.InThePot).ShouldBe(new SodaBath(Grams(75), Volume.FromMillilitres(2500)));
        Kitchen.Pot.Usual(PotSchool.DipAfterBoil).ShouldBe(new SodaBath(Grams(60), Volume.FromMillilitres(1000)));
        Kitchen.Pot.Of(told, PotSchool.InThePot).ShouldBe(new SodaBath(Grams(100), Volume.FromMillilitres(2500)));
        Kitchen.Pot.Of(told, PotSchool.DipAfterBoil).ShouldBe(told);
    }

    [Theory]
    [InlineData("pan-roll", true, 100, 90), InlineData("tin-loaf", true, 100, 93), InlineData("filled-loaf", true, 100, 93)]
    [InlineData("tin-loaf", false, 100, 96), InlineData("pan-roll", true, 92, 89), InlineData("tin-loaf", false, 99, 96)]
    public void The_middle_wanted_goes_with_dough_and_tin_and_never_near_boiling(
        string family,
        bool rich,
        double boils,
        double wanted
    )
    {
        var dough = rich ? SoftRolls : Make("Lean", ("strong white flour", 500), ("water", 320), ("fine salt", 9));
        CoreHeat.Wanted(Formula.Of(dough), Families.Find(family)!, Celsius(boils)).Celsius.ShouldBe(wanted, 1e-9);
    }

    [Fact]
    public void The_fan_warms_the_middle_sooner_except_on_a_hot_floor()
    {
        double After(string family, double minutes, bool fan)
        {
            var (bread, inside) = (Families.Find(family)!, Minutes(minutes));
            return CoreHeat.At(bread.BodyOf(bread.Usual), bread.Bake.Heat, fan, inside, Boils).Celsius;
        }
        After("pan-roll", 8, fan: true).ShouldBeGreaterThan(After("pan-roll", 8, fan: false) + 1);
        After("pocket-flatbread", 2, fan: true).ShouldBe(After("pocket-flatbread", 2, fan: false));
    }

    [Fact]
    public void Steam_is_sprayed_again_early_or_stands_in_the_oven()
    {
        Steaming.Mists(Minutes(20)).ShouldBe([Minutes(3), Minutes(6)]);
        Enum.GetValues<Steam>().Where(s => s.Stands()).ShouldBe([Steam.Tray, Steam.Stones]);
    }

    [Theory]
    // Over 2 °C above boiling it was a slip, or °F: 105 °F is 41 °C, 68 would be a cold kitchen.
    [InlineData(102, null), InlineData(102.1, "over-boiling:fahrenheit"), InlineData(213.7, "over-boiling:fahrenheit")]
    [InlineData(214, "over-boiling"), InlineData(-.1, "too-cold"), InlineData(0, null)]
    public void A_first_reading_is_doubted_where_no_middle_can_be(double celsius, string? doubt) =>
        Probe.Doubts([], new(Minutes(10), Celsius(celsius)), Boils)?.Code.ShouldBe(doubt);

    [Theory]
    // Four degrees down is another place in the bread; up, 25 °C a minute besides.
    [InlineData(66, 2, null), InlineData(65.9, 2, "falling"), InlineData(99, 1, null), InlineData(99.1, 1, "jumping")]
    public void A_later_reading_is_doubted_where_no_bread_warms_so(double celsius, double later, string? doubt) =>
        Probe.Doubts([new(Minutes(10), Celsius(70))], new(Minutes(10 + later), Celsius(celsius)), Boils)?.Code.ShouldBe(doubt);
}
