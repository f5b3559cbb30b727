using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>A kitchen: what it may be, and what follows from it.</summary>
public sealed class KitchenRules
{
    private static readonly Tin Loaf = new(
        "l",
        "Loaf",
        TinShape.Loaf,
        Length.FromMillimetres(210),
        Length.FromMillimetres(110),
        Length.FromMillimetres(70)
    );

    [Theory, InlineData(5), InlineData(19), InlineData(40)]
    public void One_more_of_anything_that_is_usual_can_be_kept(double room)
    {
        var usual = UsualKitchen.At(Celsius(room));
        var kitchen = DemoFormulas.Kitchen with
        {
            Machines = [usual.Machine with { Id = "m" }],
            Ovens = [usual.Oven with { Id = "o" }],
            Tins = [usual.Tin with { Id = "t" }],
            Places = [usual.Place with { Id = "p" }],
            Vessels = [usual.Vessel with { Id = "v" }],
            Griddle = usual.Griddle,
            Awake = usual.Awake,
            MachinesRun = usual.MachinesRun,
            Seasons = usual.Seasons,
            Tolerance = usual.Tolerance,
            ScaleStep = usual.ScaleStep,
            Hob = usual.Hob,
            Microwave = usual.Microwave,
            Altitude = usual.Altitude,
            Units = usual.Units,
            Prices = usual.Prices,
        };
        KitchenCheck.Of(kitchen, DateTimeOffset.UnixEpoch).ShouldBeEmpty();
        // What is shown where nothing was entered is what is reckoned with.
        usual.Seasons.In(Season.Winter).ShouldBe(Celsius(room));
        (usual.Tolerance, usual.ScaleStep).ShouldBe((Tolerance.Usual, Core.Plans.Kitchen.UsualScaleStep(null)));
    }

    [Theory]
    [InlineData("10:01", "10:30")]
    [InlineData("10:15", "10:30")]
    [InlineData("10:16", "10:45")]
    [InlineData("23:50", "00:15")]
    public void What_could_be_wanted_is_a_round_time_with_room_before_it(string ready, string wanted) =>
        Wish.RoundAfter(DateTimeOffset.Parse($"2026-11-28T{ready}Z", CultureInfo.InvariantCulture))
            .ToString("HH:mm", CultureInfo.InvariantCulture)
            .ShouldBe(wanted);

    [Theory]
    [InlineData(.9, null)]
    [InlineData(1, null)]
    [InlineData(1.1, 1.1)]
    [InlineData(302.46, 302.5)]
    public void A_crumb_on_the_scale_is_nothing_weighed(double shown, double? taken) =>
        (OnPan.Weighed(Mass.FromGrams(shown))?.Grams).ShouldBe(taken);

    public static TheoryData<string, Func<Kitchen, Kitchen>> Wrong =>
        new()
        {
            { "name", k => k with { Name = "" } },
            { "room", k => k with { Room = Celsius(60) } },
            { "seasons.summer", k => k with { Seasons = new(Celsius(19), Celsius(20), Celsius(55), Celsius(20)) } },
            { "ovens", k => k with { Ovens = [] } },
            { "ovens[0].dial", k => k with { Ovens = [k.Ovens[0] with { Dial = new(Celsius(200), Celsius(100)) }] } },
            { "ovens[0].degreesPerMinute", k => k with { Ovens = [k.Ovens[0] with { DegreesPerMinute = double.NaN }] } },
            { "ovens[0].racks", k => k with { Ovens = [k.Ovens[0] with { Racks = 0 }] } },
            { "machines[1].id", k => k with { Machines = [Blue, Blue] } },
            { "machines[0].id", k => k with { Machines = [Blue with { Id = "hand" }] } },
            { "machines[0].byHand", k => k with { Machines = [Machine.Hands with { Id = "other" }] } },
            { "machines[0].flourLimit", k => k with { Machines = [Blue with { FlourLimit = Grams(1) }] } },
            { "machines[0].doughLimit", k => k with { Machines = [Blue with { DoughLimit = Grams(600) }] } },
            { "machines[0].phases", k => k with { Machines = [Blue with { Phases = [new(PhaseKind.Rise, Minutes(60))] }] } },
            { "machines[0].beep", k => k with { Machines = [Blue with { Beep = Minutes(-3) }] } },
            { "machines[0].otherPrograms", k => k with { Machines = [Blue with { OtherPrograms = [new("14", Blue.Phases)] }] } },
            { "machines[0].otherPrograms[0].phases", k => k with { Machines = [Blue with { OtherPrograms = [new("15", [])] }] } },
            { "tins[0].depth", k => k with { Tins = [Loaf with { Depth = null }] } },
            { "tins[0].hollowVolume", k => k with { Tins = [Loaf with { Shape = TinShape.Hollows }] } },
            { "vessels[0].empty", k => k with { Vessels = [new("b", "Bowl", Grams(0))] } },
            { "pot.litres", k => k with { Pot = k.Pot with { Litres = 0 } } },
            { "scaleStep", k => k with { ScaleStep = Grams(0) } },
            { "hob", k => k with { Hob = Power.FromWatts(5) } },
            { "gone", k => k with { Gone = [new(Morning, Morning.AddDays(61))] } },
            { "ovens[0].wide", k => k with { Ovens = [k.Ovens[0] with { Wide = Length.FromMillimetres(40) }] } },
            { "ovens[0].deep", k => k with { Ovens = [k.Ovens[0] with { Deep = Length.FromMillimetres(3000) }] } },
            { "altitude", k => k with { Altitude = Length.FromMillimetres(9e6) } },
            { "prices.shop", k => k with { Prices = new(Money.Zero, [new("moon cake", Money.Of(1))]) } },
            { "prices.perKilowattHour", k => k with { Prices = new(Money.Of(-1), []) } },
        };

    [Theory, MemberData(nameof(Wrong))]
    public void What_cannot_be_is_told_at_its_field(string field, Func<Kitchen, Kitchen> spoil)
    {
        Plans.KitchenCheck.Of(DemoFormulas.Kitchen, Morning).ShouldBeEmpty();
        Plans.KitchenCheck.Of(spoil(DemoFormulas.Kitchen), Morning).Select(p => p.Field).ShouldContain(field);
    }

    [Fact]
    public void Rooms_follow_the_year_and_water_boils_cooler_up_high()
    {
        var kitchen = DemoFormulas.Kitchen with
        {
            Seasons = new(Celsius(18), Celsius(20), Celsius(27), Celsius(21)),
            Altitude = Length.FromMillimetres(1_500_000),
        };
        (
            kitchen.RoomAt(Morning).Celsius,
            kitchen.RoomAt(Morning.AddMonths(9)).Celsius,
            kitchen.RoomAt(Morning.AddMonths(1)).Celsius
        ).ShouldBe((21, 27, 18));
        DemoFormulas.Kitchen.RoomAt(Morning).Celsius.ShouldBe(19);
        kitchen.Boils.Celsius.ShouldBe(95, 1e-9);
        // Up there the pot is sooner at the boil; a stronger hob is sooner still.
        kitchen
            .Pot.ToBoil(Celsius(19), Pot.UsualHob, kitchen.Boils)
            .ShouldBeLessThan(kitchen.Pot.ToBoil(Celsius(19), Pot.UsualHob, Celsius(100)));
        var spec = BakeDecision
            .Of(
                Pretzels,
                Choice(null, "counter", new CutChoice("pretzel")),
                kitchen with
                {
                    Hob = Power.FromWatts(3600),
                },
                Morning
            )
            .Value;
        var chain = Chain.Of(spec, SoFar.Nothing(Morning));
        chain
            .Steps.Single(s => s.Id == "pot-heats")
            .Length.ShouldBe(kitchen.Pot.ToBoil(spec.Room, Power.FromWatts(3600), kitchen.Boils));
    }

    [Fact]
    public void An_errand_to_the_end_of_time_is_no_longer_than_bread_is_planned()
    {
        var away = (DemoFormulas.Kitchen with { Gone = [new(Morning.AddHours(1), DateTimeOffset.MaxValue)] }).Closed(
            Morning,
            TimeZoneInfo.Utc
        );
        away.Hands.Single().ShouldBe(new TimeBand(Morning.AddHours(1), Morning.AddDays(15)));
        (DemoFormulas.Kitchen with { Gone = [new(Morning.AddDays(20), Morning.AddDays(21))] })
            .Closed(Morning, TimeZoneInfo.Utc)
            .Hands.ShouldBeEmpty();
    }

    [Fact]
    public void A_machine_is_set_to_any_of_its_programs_and_back()
    {
        var quick = new DoughProgram(
            "quick",
            [new(PhaseKind.Knead, Minutes(15)), new(PhaseKind.Rise, Minutes(30))],
            Pulled: true
        );
        var machine = Blue with { OtherPrograms = [quick] };
        var set = machine.SetTo("quick").ShouldNotBeNull();
        (set.CycleLength, set.KneadStart, set.Pulled, set.Beep).ShouldBe((Minutes(45), TimeSpan.Zero, true, null));
        set.SetTo("14")!.CycleLength.ShouldBe(Blue.CycleLength);
        machine.SetTo("unheard of").ShouldBeNull();
        BakeDecision
            .Of(
                SoftRolls,
                Choice(null, "counter", new CutChoice("pan-roll")) with
                {
                    Program = "none",
                },
                DemoFormulas.Kitchen,
                Morning
            )
            .Problems.Single()
            .Field.ShouldBe("program");
    }

    [Fact]
    public void A_fan_wants_the_dial_lower_for_the_same_minutes()
    {
        var kitchen = DemoFormulas.Kitchen with { Ovens = [DemoFormulas.Kitchen.Ovens[0] with { Fan = true }] };
        var (still, fan) = (
            Spec(SoftRolls, "pan-roll"),
            BakeDecision.Of(SoftRolls, Choice(null, "counter", new CutChoice("pan-roll")), kitchen, Morning).Value
        );
        (still.Batches[0].Bread.Heat.Celsius, fan.Batches[0].Bread.Heat.Celsius).ShouldBe((190, 175));
        Chain
            .Of(fan, SoFar.Nothing(Morning))
            .Batches[0]
            .Window.ShouldBe(Chain.Of(still, SoFar.Nothing(Morning)).Batches[0].Window);
        // A dial that ends early is not asked for more.
        var small = kitchen with
        {
            Ovens = [kitchen.Ovens[0] with { Fan = false, Dial = new(Celsius(90), Celsius(180)) }],
        };
        BakeDecision
            .Of(SoftRolls, Choice(null, "counter", new CutChoice("pan-roll")), small, Morning)
            .Value.Batches[0]
            .Bread.Heat.Celsius.ShouldBe(180);
    }

    [Fact]
    public void Late_flours_wait_longer_between_doses()
    {
        DoughCheck.WaitFor(SoftRolls).ShouldBe(Minutes(3));
        DoughCheck
            .WaitFor(Make("Brown", ("strong white flour", 300), ("wholemeal flour", 200), ("water", 330)))
            .ShouldBe(Minutes(6));
    }

    [Fact]
    public void Cautions_of_parts_and_bloom_stand_at_their_step()
    {
        var dough = Dough
            .Create(
                new(
                    "Garlic knots",
                    [new("flour", Grams(500)), new("water", Grams(300)), new("instant yeast", Grams(5))],
                    [
                        new(PartKind.Butter, "garlic butter", [new("butter", Grams(40)), new("garlic", Grams(8))]),
                        new(PartKind.Filling, "cheese", [new("hard cheese", Grams(80)), new("honey", Grams(5))]),
                    ]
                )
            )
            .Value;
        var spec = Spec(dough, "knot").Loaded(new(Bloom: true));
        var cautions = Cautions.Of(Chain.Of(spec, SoFar.Nothing(Morning))).Select(c => (c.Caution, c.Step)).ToList();
        cautions.ShouldContain((Caution.Garlic, "part-1"));
        cautions.ShouldNotContain((Caution.Garlic, "part-2"));
        cautions.ShouldContain((Caution.KeepCold, "review"));
        cautions.ShouldContain((Caution.HoneyInfant, "review"));
        cautions.ShouldContain((Caution.HotLiquid, "bloom"));
    }

    [Fact]
    public void Held_back_liquid_counts_until_the_check_says_what_went_in()
    {
        var spec = Spec(SoftRolls, "pan-roll").Loaded(new(HoldBack: true));
        var before = SoFar.Nothing(Morning);
        before.DoughOf(spec).Grams.ShouldBe(Formula.Yield(Grams(920)).Grams, 1e-9);
        var poured = before with { Checks = [new(DoughFeel.Stiff, new(Grams(60), Mass.Zero))] };
        poured.DoughOf(spec).Grams.ShouldBe(Formula.Yield(Grams(880)).Grams, 1e-9);
        var check = Chain.Of(spec, before).Steps.Single(s => s.Id == "check-1").About!;
        (check.Thing, check.Mass!.Value.Grams).ShouldBe(("whole milk", 100));
        // Poured in, it is the recipe's own; only what goes beyond it is a dose.
        (before.HeldLeft(spec).Grams, poured.HeldLeft(spec).Grams).ShouldSatisfyAllConditions(
            h => h.Item1.ShouldBe(100, 1e-9),
            h => h.Item2.ShouldBe(40, 1e-9)
        );
        poured.AddedOver(spec).ShouldBe(Dose.None);
        var over = poured with { Checks = poured.Checks.Add(new(DoughFeel.Stiff, new(Grams(55), Grams(8)))) };
        (
            over.AddedOver(spec).Water.Grams,
            over.AddedOver(spec).Flour.Grams,
            over.HeldLeft(spec).Grams
        ).ShouldSatisfyAllConditions(a => a.Item1.ShouldBe(15, 1e-9), a => a.Item2.ShouldBe(8), a => a.Item3.ShouldBe(0));
        // With 40 g of milk still in the jug the dough is so much drier, and nobody suspects a slip.
        var now = DoughCheck.After(SoftRolls, Dose.None, Grams(40), Share.FromFraction(.88));
        var whole = Formula.Of(SoftRolls);
        now.Hydration.Fraction.ShouldBe(whole.Hydration.Fraction - 40 * .88 / whole.Flour.Grams, 1e-9);
        (now.Dough.Grams, now.Stop).ShouldBe((880, false));
    }

    [Fact]
    public void Spots_in_the_pan_keep_yeast_from_salt()
    {
        PanLoad
            .Of(SoftRolls, Blue)
            .Steps.ToDictionary(s => s.Row.Ingredient.Role, s => s.Spot)
            .ShouldSatisfyAllConditions(
                s => s[Role.Yeast].ShouldBe(Spot.Dimple),
                s => s[Role.Sugar].ShouldBe(Spot.FirstCorner),
                s => s[Role.Salt].ShouldBe(Spot.SecondCorner),
                s => s[Role.Liquid].ShouldBe(Spot.Everywhere)
            );
        PanLoad
            .Of(SoftRolls, White)
            .Steps[0]
            .ShouldSatisfyAllConditions(s => s.Spot.ShouldBe(Spot.Bottom), s => s.Row.Ingredient.Role.ShouldBe(Role.Yeast));
        var bloomed = PanLoad.Of(SoftRolls, Blue, new(Bloom: true));
        (bloomed.BloomIn!.Value.Grams, bloomed.Steps[0].Row.Ingredient.Role, bloomed.Steps[0].Spot).ShouldBe(
            (60, Role.Yeast, Spot.Everywhere)
        );
        PanLoad.Of(SoftRolls, Blue).HeldBack.ShouldBeNull();
    }

    [Fact]
    public void A_microwave_warms_and_boiling_water_is_mixed_only_into_water()
    {
        LiquidTemperature At(Dough dough, ImmutableArray<string> cold) =>
            LiquidTemperature.Of(dough, White, new(Celsius(19), Celsius(5), cold), Power.FromWatts(800), Celsius(100))!;
        // Milk from the fridge: 300 g by 22 °C at 600 W that reach it.
        var milk = At(SoftRolls, ["whole milk"]);
        milk.MicrowaveTime.TotalSeconds.ShouldBe(300 * 3.9 * (milk.Liquid.Celsius - 5) / 600, 1e-6);
        milk.Boiling.ShouldBeNull();
        var water = At(Pretzels, []);
        water.Boiling!.Value.Grams.ShouldBe(285 * (water.Liquid.Celsius - 19) / 81, 1e-6);
        LiquidTemperature
            .Of(
                Make("Dry", ("flour", 500), ("egg", 100)),
                White,
                new(Celsius(19), Celsius(5), []),
                Power.FromWatts(800),
                Celsius(100)
            )
            .ShouldBeNull();
    }

    [Theory]
    [
        InlineData("to-pieces", "pieces"),
        InlineData("each", "each"),
        InlineData("huge", "flour"),
        InlineData("share", "share"),
        InlineData("name", "name"),
        InlineData("wet", "hydration")
    ]
    [
        InlineData("yeast", "to"),
        InlineData("starter", "starter"),
        InlineData("flour", "from"),
        InlineData("oil", "oil"),
        InlineData("too-dry", "")
    ]
    public void A_change_that_cannot_be_says_why(string which, string field)
    {
        Change change = which switch
        {
            "to-pieces" => new ToPieces(0, Grams(5)),
            "each" => new ToPieces(5, Grams(0)),
            "huge" => new ToFlour(Grams(1e6)),
            "share" => new TakeShare(Share.FromFraction(1), "x"),
            "name" => new TakeShare(Share.FromFraction(.5), "<b>"),
            "wet" => new ToHydration(Share.FromPercent(300)),
            "yeast" => new SwapYeast("butter"),
            "starter" => new YeastToStarter("water", Share.FromPercent(20)),
            "flour" => new SwapFlour("rye flour", "plain flour"),
            "oil" => new ButterToOil("butter"),
            _ => new ToHydration(Share.FromPercent(30)),
        };
        var dough = which == "too-dry" ? Make("Eggy", ("flour", 500), ("egg", 300)) : SoftRolls;
        Changes.Make(dough, change, HouseholdPantry.Plain).Problems.Single().Field.ShouldBe(field);
    }

    [Fact]
    public void The_display_tells_a_wrong_program()
    {
        var (clock, at) = (Blue with { CountsDownFrom = Minutes(20) }, Morning);
        // A finish clock shows the end until it counts down; a countdown counts from the start.
        clock.Shows(at, at.AddMinutes(1)).ShouldBe(new(at.AddMinutes(92), null));
        clock.Shows(at, at.AddMinutes(72)).ShouldBe(new(null, Minutes(20)));
        White.Shows(at, at.AddMinutes(5)).ShouldBe(new(null, Minutes(80)));
        // Before, after, by hand, and where the program runs on past the dough there is nothing to compare.
        clock.Shows(at, at.AddMinutes(-1)).ShouldBeNull();
        clock.Shows(at, at.AddMinutes(93)).ShouldBeNull();
        Machine.Hands.Shows(at, at.AddMinutes(5)).ShouldBeNull();
        (White with { Pulled = true }).Shows(at, at.AddMinutes(5)).ShouldBeNull();
    }

    [Fact]
    public void What_waits_for_the_oven_is_said_and_what_shares_its_heat_does_not_wait()
    {
        var kitchen = DemoFormulas.Kitchen with
        {
            Ovens = [DemoFormulas.Kitchen.Ovens[0] with { Racks = 2 }],
            Room = Celsius(29),
        };
        Layout Laid(params CutChoice[] cuts) =>
            Layout.Of(BakeDecision.Of(SoftRolls, Choice(null, "counter", cuts), kitchen, Morning).Value, Morning);
        var apart = Laid(new CutChoice("plait-3", 1, Grams(300)), new CutChoice("pan-roll"));
        Waiting.Of(apart, 0).ShouldBe(new(TimeSpan.Zero, false));
        var rolls = Waiting.Of(apart, 1);
        (rolls.Longer > Minutes(10), rolls.OverProofed).ShouldBe((true, true));
        Waiting
            .Of(Laid(new CutChoice("round-bun", 4, Grams(95)), new CutChoice("pan-roll")), 1)
            .ShouldBe(new(TimeSpan.Zero, false));
    }
}
