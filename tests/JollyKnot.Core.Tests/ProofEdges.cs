using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Each rule of the second proof to its edge: places, what is seen, the rise, what is believed, and when.</summary>
public sealed class ProofEdges
{
    private static readonly Temperature Room = Celsius(19);

    private static RiseConditions Piece(double grams = 57, double dough = 28, double room = 19, double leaven = 1.25) =>
        new(
            Grams(grams),
            Share.FromPercent(leaven),
            Share.FromPercent(6.25),
            Share.FromPercent(1.8),
            Celsius(dough),
            Celsius(room)
        );

    private static Place Held(double celsius, bool inOven = false) => new("held", "held", inOven, Celsius(celsius), 0, null);

    private static LookTaken Look(double minutes, Seen seen) => new(Minutes(minutes), seen);

    private static Proof Predict(double wanted, params LookTaken[] looks) =>
        Proof.Predict(new(Piece(), Places.Counter, wanted) { Looks = [.. looks] });

    [Theory]
    [InlineData("counter", 0, 19), InlineData("counter", 60, 19)]
    [InlineData("oven-light", 60, 28)]
    [InlineData("brief-warm", 0, 35), InlineData("brief-warm", 40, 24.886)]
    [InlineData("proof-setting", 90, 35)]
    [InlineData("heated-off", 0, 38), InlineData("heated-off", 70, 21.571)]
    [InlineData("above-oven", 30, 24)]
    [InlineData("cool", 600, 12), InlineData("fridge", 600, 4)]
    public void Each_place_is_so_warm_after_so_long(string id, double minutes, double celsius) =>
        Places.Find(id)!.At(Minutes(minutes), Room).Celsius.ShouldBe(celsius, .001);

    [Fact]
    public void Each_place_is_in_the_oven_or_not_and_made_warm_as_it_is()
    {
        Places.All.Where(p => p.InOven).Select(p => p.Id).ShouldBe(["oven-light", "brief-warm", "proof-setting", "heated-off"]);
        Places
            .All.Select(p => p.Made)
            .OfType<MadeWarm>()
            .ShouldBe([MadeWarm.Briefly, MadeWarm.HeatedAndOff, MadeWarm.ByTheHeatingOven]);
        Places.All.ShouldAllBe(p => p.IsPossible);
        Places.Find("nowhere").ShouldBeNull();
    }

    [Fact]
    public void A_place_that_cannot_be_is_none()
    {
        var place = Held(20);
        Place[] possible =
        [
            place with
            {
                Steady = Celsius(-5),
            },
            place with
            {
                Steady = Celsius(120),
            },
            place with
            {
                OverRoom = 60,
            },
            place with
            {
                OverRoom = -60,
            },
            place with
            {
                StartsAt = Celsius(120),
                FallsIn = Minutes(1),
            },
            place with
            {
                Id = new('x', 60),
                Name = new('x', 60),
            },
        ];
        possible.ShouldAllBe(p => p.IsPossible);
        Place[] impossible =
        [
            place with
            {
                Steady = Celsius(-5.1),
            },
            place with
            {
                Steady = Celsius(120.1),
            },
            place with
            {
                OverRoom = 60.1,
            },
            place with
            {
                OverRoom = -60.1,
            },
            place with
            {
                StartsAt = Celsius(121),
            },
            place with
            {
                FallsIn = TimeSpan.Zero,
            },
            place with
            {
                Made = (MadeWarm)9,
            },
            place with
            {
                Id = "",
            },
            place with
            {
                Name = "",
            },
            place with
            {
                Name = new('x', 200),
            },
        ];
        impossible.ShouldAllBe(p => !p.IsPossible);
    }

    [Fact]
    public void An_oven_that_was_hot_cools_to_what_dough_stands()
    {
        Place.SafeAfter(Celsius(38), Room).ShouldBe(TimeSpan.Zero);
        Place.SafeAfter(Celsius(38.1), Room).ShouldBeGreaterThan(TimeSpan.Zero);
        Place.SafeAfter(Celsius(200), Celsius(38)).ShouldBe(RiseModel.Horizon);
        Place.LeftAt(Celsius(200), Room, Place.SafeAfter(Celsius(200), Room)).Celsius.ShouldBe(38, 1e-6);
        Place.LeftAt(Celsius(200), Room, TimeSpan.Zero).Celsius.ShouldBe(200);
    }

    [Theory]
    [InlineData(2, 0), InlineData(46, 0), InlineData(1, 0), InlineData(50, 0), InlineData(36, 1)]
    // By hand from the model with inflection, between 2, 36 and 46 °C.
    [InlineData(19, .39706), InlineData(27, .7495), InlineData(41, .82843)]
    public void Yeast_is_fastest_at_36_degrees_and_still_at_2_and_46(double celsius, double factor) =>
        RiseModel.TemperatureFactor(celsius).ShouldBe(factor, .00002);

    [Theory]
    [InlineData(6, 1), InlineData(3, 1), InlineData(16, .8), InlineData(31, .5), InlineData(60, .5)]
    public void Sugar_over_six_percent_slows(double percent, double factor) =>
        RiseModel.SugarFactor(Share.FromPercent(percent)).ShouldBe(factor, 1e-9);

    [Theory]
    [InlineData(1.8, 1), InlineData(.5, 1), InlineData(2.8, .88), InlineData(6.8, .4), InlineData(9, .4)]
    public void Salt_over_1_8_percent_slows(double percent, double factor) =>
        RiseModel.SaltFactor(Share.FromPercent(percent)).ShouldBe(factor, 1e-9);

    [Fact]
    public void A_larger_piece_follows_its_place_more_slowly()
    {
        // A ball of 57 g has a radius of 23.9 mm: 1000 × 2800 × 0.0239 / 27 s.
        RiseModel.TimeConstant(Grams(57)).TotalMinutes.ShouldBe(41.3, .1);
        (RiseModel.TimeConstant(Grams(456)) / RiseModel.TimeConstant(Grams(57))).ShouldBe(2, 1e-6);
        // After one time constant 1/e of the difference is left.
        var curve = RiseModel.Simulate(Piece(dough: 28), Held(4), double.MaxValue);
        curve.At(RiseModel.TimeConstant(Grams(57))).Celsius.ShouldBe(4 + 24 / Math.E, .02);
    }

    [Fact]
    public void One_percent_of_instant_yeast_doubles_in_58_minutes_at_27_degrees_and_yeast_counts_to_the_power_of_eight_tenths()
    {
        double Takes(double leaven) =>
            RiseModel
                .Simulate(Piece(dough: 27, leaven: leaven) with { Sugar = default }, Held(27), 1)
                .TimeTo(1)!
                .Value.TotalMinutes;
        Takes(1).ShouldBe(58, .01);
        Takes(2).ShouldBe(58 / Math.Pow(2, .8), .01);
        // What has risen already is a start.
        var half = Piece(dough: 27, leaven: 1) with
        {
            Sugar = default,
            Risen = .5,
        };
        RiseModel.Simulate(half, Held(27), 1).TimeTo(1)!.Value.TotalMinutes.ShouldBe(29, .01);
    }

    [Fact]
    public void A_curve_is_read_between_its_points()
    {
        var curve = new RiseCurve([new(0, 20), new(.1, 22), new(.1, 24), new(.3, 24, true)]);
        (curve.At(RiseModel.Step / 2).Rise, curve.At(RiseModel.Step / 2).Celsius).ShouldBe((.05, 21));
        (curve.At(-RiseModel.Step).Rise, curve.At(RiseModel.Step * 9).Rise).ShouldBe((0, .3));
        curve.At(RiseModel.Step * 9).IsDead.ShouldBeTrue();
        curve.At(RiseModel.Step * 2.5).IsDead.ShouldBeFalse();
        curve.TimeTo(.05).ShouldBe(RiseModel.Step / 2);
        curve.TimeTo(.1).ShouldBe(RiseModel.Step);
        curve.TimeTo(.2)!.Value.ShouldBe(RiseModel.Step * 2.5, TimeSpan.FromMilliseconds(1));
        curve.TimeTo(.31).ShouldBeNull();
    }

    [Theory]
    [InlineData(.029, true), InlineData(.031, false)]
    public void Under_three_hundredths_of_a_percent_only_rests(double percent, bool rests)
    {
        Piece(leaven: percent).OnlyRests.ShouldBe(rests);
        RiseConditions.Lifts(Share.FromPercent(.03)).ShouldBeTrue();
    }

    [Theory]
    [InlineData(Seen.Nothing, 0, .17), InlineData(Seen.Third, .17, .42), InlineData(Seen.Half, .42, .62)]
    [InlineData(Seen.ThreeQuarters, .62, .88), InlineData(Seen.Doubled, .88, 1.2)]
    [InlineData(Seen.SpringsBack, 0, .85), InlineData(Seen.SlowDent, .85, 1.2)]
    public void What_is_seen_lies_between_two_sizes(Seen seen, double from, double to)
    {
        var sight = Sight.Of(seen, 1)!;
        sight.From.ShouldBe(from, 1e-9);
        sight.To.ShouldBe(to, 1e-9);
        sight.Middle.ShouldBe((from + to) / 2, 1e-9);
        (sight.Nearest(from - 1), sight.Nearest(to + 1)).ShouldBe((sight.From, sight.To));
        sight.Error.ShouldBe(seen is Seen.SpringsBack or Seen.SlowDent ? .15 : .07);
    }

    [Fact]
    public void More_than_doubled_has_no_end_and_a_poke_goes_by_what_is_wanted()
    {
        (Sight.Of(Seen.Over, 1)!.From, Sight.Of(Seen.Over, 1)!.Middle).ShouldBe((1.2, 1.4));
        Sight.Of(Seen.Stays, 1)!.From.ShouldBe(1.2, 1e-9);
        Sight.Of(Seen.Stays, 1.5)!.Middle.ShouldBe(1.7, 1e-9);
        Sight.Of(Seen.SpringsBack, .1)!.To.ShouldBe(0);
        Sight.Of(Seen.SlowDent, .1)!.From.ShouldBe(0);
        Sight.Of(Seen.GoesIn, 1).ShouldBeNull();
        Looks.PokeOf(Seen.SpringsBack).ShouldBe(Poke.Nothing);
        Looks.PokeOf(Seen.SlowDent).ShouldBe(Poke.Dent);
        Looks.PokeOf(Seen.Stays).ShouldBe(Poke.Hole);
        Looks.PokeOf(Seen.Half).ShouldBeNull();
        Looks.Answers(null).Length.ShouldBe(10);
        Looks.Answers(null).Intersect(Looks.InBowl).ShouldBe(Looks.InBowl);
    }

    [Fact]
    public void In_a_tin_a_look_is_a_finger_wide()
    {
        // Level 1.0 and a finger lower 0.7: half of what lies between is 0.15.
        var rim = new TinRim(1, .7);
        void Lies(Seen seen, double from, double to)
        {
            var (f, t) = rim.Of(seen)!.Value;
            (Math.Round(f, 9), Math.Round(t, 9)).ShouldBe((from, to));
        }
        Lies(Seen.DeepInTin, 0, .55);
        Lies(Seen.FingerBelow, .55, .85);
        Lies(Seen.LevelWithRim, .85, 1.15);
        rim.Of(Seen.AboveRim)!.Value.From.ShouldBe(1.15, 1e-9);
        rim.Of(Seen.AboveRim)!.Value.To.ShouldBe(double.PositiveInfinity);
        rim.Of(Seen.Half).ShouldBeNull();
        (new TinRim(.3, .1).Wanted, new TinRim(1, .7).Wanted, new TinRim(2, 1.5).Wanted).ShouldBe((.5, 1, 1.2));
        // A tin as flat as a finger is reckoned as two deep.
        var flat = TinRim.Of(Volume.FromMillilitres(1000), Length.FromMillimetres(10), Grams(500));
        flat.Level.ShouldBe(.95 * 1000 / (500 / 1.05) - 1, 1e-9);
        flat.Finger.ShouldBe((1 + flat.Level) / 2 - 1, 1e-9);
        // A small dough in a large tin is never less than nothing.
        Sight.Of(Seen.DeepInTin, .5, new TinRim(.1, -.4))!.To.ShouldBe(0);
    }

    [Theory]
    [InlineData(Seen.Half, .69, true), InlineData(Seen.Half, .7, false)]
    [InlineData(Seen.Doubled, 1.2, true), InlineData(Seen.Doubled, 1.22, false), InlineData(Seen.GoesIn, 5, true)]
    public void It_can_go_in_a_little_early(Seen seen, double wanted, bool can) => Sight.CanGoIn(seen, wanted).ShouldBe(can);

    [Fact]
    public void What_is_believed_is_a_median_and_four_in_five()
    {
        var belief = PaceBelief.Prior.After([]);
        belief.Pace.ShouldBe(1, .001);
        // Nine in ten are of a spread of 1.35, one of 2: 0.9 Φ(0.42 / 0.30) + 0.1 Φ(0.42 / 0.69) is 0.9.
        var (slow, fast) = belief.FourInFive;
        (slow * fast).ShouldBe(1, .001);
        fast.ShouldBe(1.522, .004);
        belief.LogMean.ShouldBe(0, 1e-6);
        belief.LogSpread.ShouldBe(Math.Sqrt(.9 * Math.Pow(Math.Log(1.35), 2) + .1 * Math.Pow(Math.Log(2), 2)), .003);
        belief.At(0).ShouldBeLessThan(belief.At(.01));
        belief.At(1).ShouldBe(Math.Exp(4 * Math.Log(2) + Math.Log(2) / 50), .05 * 16);
        // A household's own pace is where it begins.
        new PaceBelief(.8, .1)
            .After([])
            .Pace.ShouldBe(.8, .002);
    }

    [Fact]
    public void A_look_moves_the_pace_to_what_was_seen_and_a_second_one_farther()
    {
        Look_(.5, Seen.Doubled).Pace.ShouldBeInRange(1.5, 2.1);
        Look_(1, Seen.Half).Pace.ShouldBeInRange(.5, .7);
        // Seen as it was expected, it is surer and no faster.
        var same = PaceBelief.Prior.After([new(.52, Sight.Of(Seen.Half, 1)!)]);
        same.Pace.ShouldBe(1, .05);
        same.LogSpread.ShouldBeLessThan(.8 * PaceBelief.Prior.After([]).LogSpread);
        var twice = PaceBelief.Prior.After([new(.3, Sight.Of(Seen.Half, 1)!), new(.5, Sight.Of(Seen.Doubled, 1)!)]);
        twice.Pace.ShouldBeGreaterThan(Look_(.3, Seen.Half).Pace);

        static Believed Look_(double modelled, Seen seen) => PaceBelief.Prior.After([new(modelled, Sight.Of(seen, 1)!)]);
    }

    [Fact]
    public void Ready_lies_between_early_and_late_on_the_curve()
    {
        var proof = Predict(1);
        var curve = RiseModel.Simulate(Piece(), Places.Counter, 5);
        var pace = proof.Belief.Pace;
        proof.Window!.Early.ShouldBe(curve.TimeTo(.85 / pace)!.Value, Minutes(.1));
        proof.Window.Best.ShouldBe(curve.TimeTo(1 / pace)!.Value, Minutes(.1));
        proof.Window.Late.ShouldBe(curve.TimeTo(1.2 / pace)!.Value, Minutes(.1));
        proof.Likely!.Value.From.ShouldBe(curve.TimeTo(1 / proof.Belief.At(.9))!.Value, Minutes(.1));
        proof.Likely.Value.To.ShouldBe(curve.TimeTo(1 / proof.Belief.At(.1))!.Value, Minutes(.1));
        // The first look is when a fast one would be nearly there.
        proof.NextLook.ShouldBe(curve.TimeTo(.85 / proof.Belief.At(.84))!.Value, Minutes(.1));
        (proof.CanGoIn, proof.Trouble, proof.OutOfOven, proof.OnlyRests).ShouldBe((false, null, null, false));
    }

    [Fact]
    public void After_a_look_the_next_comes_when_there_is_news()
    {
        var proof = Predict(1, Look(35, Seen.Third));
        var remains = proof.Window!.Best - Minutes(35);
        proof.NextLook.ShouldBe(Minutes(35) + remains * .7, Minutes(.1));
        // Nearly there, not before four minutes are over.
        var near = Predict(1, Look(56, Seen.ThreeQuarters));
        near.NextLook.ShouldBeGreaterThanOrEqualTo(Minutes(60));
        (near.NextLook - Minutes(56)).ShouldBeLessThan(Minutes(15));
    }

    [Fact]
    public void It_grows_on_from_what_was_seen_and_before_that_as_much_as_it_fits()
    {
        var none = Predict(1);
        none.RiseAt(Minutes(30)).ShouldBe(none.Belief.Pace * none.Curve.At(Minutes(30)).Rise, 1e-9);
        var seen = Predict(1, Look(30, Seen.Half));
        var (held, pace) = (seen.Seen!, seen.Belief.Pace);
        held.Rise.ShouldBeInRange(.42, .62);
        seen.RiseAt(Minutes(30)).ShouldBe(held.Rise, 1e-9);
        seen.RiseAt(Minutes(40)).ShouldBe(held.Rise + pace * (seen.Curve.At(Minutes(40)).Rise - held.Modelled), 1e-9);
        seen.RiseAt(Minutes(15)).ShouldBe(held.Rise * seen.Curve.At(Minutes(15)).Rise / held.Modelled, 1e-9);
        // At once nothing can have grown.
        Predict(1, Look(0, Seen.Half)).RiseAt(TimeSpan.FromMinutes(-1)).ShouldBe(0);
    }

    [Fact]
    public void Seen_early_it_may_go_in_and_is_best_later()
    {
        // Half grown is enough for .69, best a little later.
        var proof = Predict(.69, Look(30, Seen.Half));
        (proof.CanGoIn, proof.Window!.Early).ShouldBe((true, Minutes(30)));
        proof.Window.Best.ShouldBeGreaterThan(Minutes(30));
        proof.Window.Late.ShouldBeGreaterThan(proof.Window.Best);
        // Ready to the eye it is ready now.
        Predict(.56, Look(30, Seen.Half)).Window!.Best.ShouldBe(Minutes(30));
        Predict(.58, Look(30, Seen.Half)).Window!.Best.ShouldBeGreaterThan(Minutes(30));
    }

    [Theory]
    [InlineData(.53, ProofTrouble.Over), InlineData(.55, null)]
    public void Half_as_much_again_too_large_is_over(double wanted, ProofTrouble? trouble) =>
        Predict(wanted, Look(30, Seen.Doubled)).Trouble.ShouldBe(trouble);

    [Fact]
    public void Nothing_seen_twice_where_there_should_be_something_is_dead_yeast()
    {
        var curve = RiseModel.Simulate(Piece(), Places.Counter, 2);
        var shows = curve.TimeTo(.35)!.Value.TotalMinutes;
        Predict(1, Look(shows + 1, Seen.Nothing), Look(shows + 9, Seen.Nothing)).Trouble.ShouldBe(ProofTrouble.DeadYeast);
        Predict(1, Look(shows - 2, Seen.Nothing), Look(shows + 9, Seen.Nothing)).Trouble.ShouldBeNull();
        Predict(1, Look(shows + 1, Seen.Third), Look(shows + 9, Seen.Nothing)).Trouble.ShouldBeNull();
    }

    [Theory]
    [InlineData(45, null), InlineData(45.5, ProofTrouble.TooWarm)]
    public void Over_45_degrees_for_ten_minutes_is_too_warm(double celsius, ProofTrouble? trouble)
    {
        Proof.Predict(new(Piece(), Held(celsius), .3)).Trouble.ShouldBe(trouble);
        // Hot only at first is not.
        var falling = new Place("warm", "warm", true, null, 0, Minutes(10), Celsius(60));
        Proof.Predict(new(Piece(), falling, .5)).Trouble.ShouldBeNull();
    }

    [Fact]
    public void It_leaves_the_oven_so_that_it_is_just_ready_when_that_is_hot()
    {
        var (warm, heating) = (Held(30, inOven: true), Minutes(20));
        var proof = Proof.Predict(new(Piece(), warm, 1) { Heating = heating });
        var (leaves, pace) = (proof.OutOfOven!.Value, proof.Belief.Pace);
        (pace * proof.Curve.At(leaves + heating).Rise).ShouldBe(1, .01);
        proof.Window!.Best.ShouldBe(leaves + heating, Minutes(1));
        // In the oven until then, on the counter after.
        proof.Curve.At(leaves).Celsius.ShouldBeGreaterThan(proof.Curve.At(leaves + heating).Celsius);
        // Not before now, and when it was moved, then.
        Proof.Predict(new(Piece(), warm, 1) { Heating = heating, Since = Minutes(200) }).OutOfOven.ShouldBe(Minutes(200));
        Proof.Predict(new(Piece(), warm, 1) { Heating = heating, MovedOut = Minutes(12) }).OutOfOven.ShouldBe(Minutes(12));
        Proof.Predict(new(Piece(), Places.Counter, 1) { Heating = heating }).OutOfOven.ShouldBeNull();
        // Seen ready it leaves now.
        var ready = new ProofCase(Piece(), warm, 1)
        {
            Heating = heating,
            Since = Minutes(33),
            Looks = [Look(32, Seen.Doubled)],
        };
        Proof.Predict(ready).OutOfOven.ShouldBe(Minutes(33));
    }

    [Fact]
    public void Cold_comes_first_where_it_was_told_to_be()
    {
        var night = TimeSpan.FromHours(9);
        TimeSpan Best(Place? cold) =>
            Proof.Predict(new(Piece(), Places.Counter, 1) { Cold = night, ColdPlace = cold }).Window!.Best;
        Best(null).ShouldBe(Best(Places.Fridge));
        Best(Held(0)).ShouldBeGreaterThan(Best(null));
        Best(null).ShouldBeGreaterThan(night);
        // A move during the night is none.
        var moved = new ProofCase(Piece(), Places.Counter, 1) { Cold = night, Moves = [new(night - Minutes(1), Held(35))] };
        moved.Here.Steady.ShouldBe(Celsius(35));
        Proof.Predict(moved).Window!.Best.ShouldBeLessThan(Best(null));
    }

    [Fact]
    public void What_only_rests_takes_what_was_taken_or_told_or_a_quarter_of_an_hour()
    {
        var soda = new ProofCase(Piece(leaven: 0), Places.Counter, 1);
        Proof.Predict(soda).Window!.Best.ShouldBe(Minutes(15));
        Proof.Predict(soda with { Recipe = Minutes(20) }).Window!.Best.ShouldBe(Minutes(20));
        Proof.Predict(soda with { Recipe = Minutes(20), Taken = Minutes(10) }).Window!.Best.ShouldBe(Minutes(10));
        Proof.Predict(soda with { Cold = Minutes(60) }).Window!.Best.ShouldBe(Minutes(75));
        (Proof.Predict(soda).Window!.Early, Proof.Predict(soda).Window!.Late).ShouldBe((TimeSpan.Zero, RiseModel.Horizon));
        Proof.Predict(soda).Reckoned.ShouldBe(Minutes(15));
    }

    [Fact]
    public void A_recipes_minutes_are_of_the_warm_proof()
    {
        var cold = TimeSpan.FromHours(8);
        var alone = Proof.Predict(new(Piece(), Places.Counter, 1) { Cold = cold });
        var told = Proof.Predict(new(Piece(), Places.Counter, 1) { Cold = cold, Recipe = Minutes(30) });
        var warm = alone.Reckoned!.Value - cold;
        told.Reckoned.ShouldBe(alone.Reckoned);
        told.Window!.Best.ShouldBe(cold + PaceBelief.Prior.With(warm, Minutes(30)).Takes, Minutes(1.5));
    }

    [Theory]
    [InlineData(Seen.Third, .295), InlineData(Seen.Half, .52), InlineData(Seen.Doubled, 1.04)]
    public void What_is_seen_of_the_first_rise_is_the_middle_of_it(Seen seen, double rise)
    {
        var first = FirstRise.Of(seen, Formula.Of(SoftRolls), Grams(900), Room);
        first.Rise.ShouldBe(rise, 1e-9);
        (first.IsOver, first.ToDoubled == TimeSpan.Zero).ShouldBe((false, seen == Seen.Doubled));
    }

    [Fact]
    public void Sunken_dough_is_over_and_so_is_what_grew_fourfold()
    {
        var sunken = FirstRise.Of(Seen.Stays, Formula.Of(SoftRolls), Grams(900), Room);
        (sunken.IsOver, sunken.Rise, sunken.ToDoubled).ShouldBe((true, 3d, TimeSpan.Zero));
        (new FirstRise(3, null).IsOver, new FirstRise(3.01, null).IsOver).ShouldBe((false, true));
        Should.Throw<ArgumentOutOfRangeException>(() => FirstRise.Of(Seen.GoesIn, Formula.Of(SoftRolls), Grams(900), Room));
        FirstRise.Answers.ShouldBe([Seen.Third, Seen.Half, Seen.Doubled, Seen.Stays]);
    }

    [Fact]
    public void Five_minutes_short_of_doubled_is_doubled()
    {
        // A bowl of dough at 30 °C: how much is missing five minutes before it has doubled.
        var formula = Formula.Of(SoftRolls);
        TimeSpan? More(double minutes) => FirstRise.Of(Blue, formula, Grams(905), Room, Minutes(minutes)).ToDoubled;
        var all = Enumerable.Range(60, 40).Select(m => (Minute: m, More: More(m)!.Value)).ToList();
        all.ShouldAllBe(m => m.More == TimeSpan.Zero || m.More >= Minutes(5));
        all.Select(m => m.More).ShouldBe(all.Select(m => m.More).OrderDescending());
        all[0].More.ShouldBeGreaterThan(Minutes(20));
        all[^1].More.ShouldBe(TimeSpan.Zero);
    }
}
