using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Days;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Warm places that somebody has to see to, bowls, and pans that are in one place at a time.</summary>
public sealed class PlaceRules
{
    private static Slot At(Layout layout, string id) => layout.Timetable[id]!;

    private static Layout Laid(Dough dough, BakeChoice choice, Kitchen? kitchen = null, DateTimeOffset? now = null) =>
        Layout.Of(BakeDecision.Of(dough, choice, kitchen ?? DayRules.Full, now ?? Morning).Value, now ?? Morning);

    private static BakeChoice Rolls(string place, DateTimeOffset? by = null) =>
        new("blue", "wall", place, ReadyBy: by) { Cuts = [new("pan-roll", 16)] };

    [Fact]
    public void An_oven_heated_and_off_is_on_off_and_safe_before_the_dough_is_there()
    {
        var laid = Laid(SoftRolls, Rolls("heated-off", Morning.AddHours(6)));
        var (on, off, set) = (At(laid, "warm-on"), At(laid, "warm-off"), At(laid, "start-proof"));
        // From 19 to 60 °C at 10 °C a minute; from 60 to 38 in a room of 19: 35 · ln(41 / 19).
        (off.Start - on.End).TotalMinutes.ShouldBe(4.1, .02);
        (set.Start - off.End).TotalMinutes.ShouldBe(26.92, .02);
        on.Step.About!.Heat.ShouldBe(Celsius(60));
        // As late as it can be, so that nothing waits.
        set.Start.ShouldBe(At(laid, "shape").End);
        At(laid, "oven-on").Start.ShouldBeGreaterThan(At(laid, "clear-oven").End - Minutes(.1));
        // Somebody on another counter needs none of it.
        Laid(SoftRolls, Rolls("counter")).Timetable.Slots.ShouldNotContain(s => s.Step.Id.ToString().StartsWith("warm-"));
    }

    [Fact]
    public void An_oven_still_warm_from_another_bake_is_not_heated_for_dough_again()
    {
        // 190 °C falls to 38 in a room of 19 in 35 · ln(171 / 19) min, and to 30 in 35 · ln(171 / 11).
        Place.LeftAt(Celsius(190), Celsius(19), Minutes(76.9)).Celsius.ShouldBe(38, .01);
        Place.LeftAt(Celsius(190), Celsius(19), Minutes(96.03)).Celsius.ShouldBe(30, .01);
        bool Heats(int hoursAfter)
        {
            ImmutableArray<DayBake> day =
            [
                DayRules.Bake(SoftRolls, Morning.AddHours(4), "blue", "counter", new CutChoice("pan-roll", 8)),
                DayRules.Bake(
                    DayRules.Flat,
                    Morning.AddHours(4 + hoursAfter),
                    "white",
                    "heated-off",
                    new CutChoice("pan-roll", 8)
                ),
            ];
            var held = DayRules.Held(day, DayPlan.Best(day, Morning));
            DayCheck.Of(held, Morning).ShouldNotContain(f => f.Impossible);
            return held[1].Timetable["warm-on"] is not null;
        }
        Heats(12).ShouldBeTrue();
        Enumerable.Range(2, 4).Any(h => !Heats(h)).ShouldBeTrue();
    }

    [Fact]
    public void A_brief_warm_is_a_minute_and_straight_in()
    {
        var laid = Laid(SoftRolls, Rolls("brief-warm"));
        (At(laid, "warm-off").Start - At(laid, "warm-on").End).ShouldBe(Minutes(1));
        At(laid, "start-proof").Start.ShouldBe(At(laid, "warm-off").End);
    }

    [Fact]
    public void Above_the_heating_oven_it_is_on_by_the_time_the_dough_stands_there()
    {
        var laid = Laid(SoftRolls, Rolls("above-oven"));
        At(laid, "oven-on").End.ShouldBe(At(laid, "start-proof").Start, Minutes(.1));
        At(laid, "preheat").End.ShouldBeLessThan(At(laid, "load").Start);
        var counter = Laid(SoftRolls, Rolls("counter"));
        At(counter, "oven-on").Start.ShouldBeGreaterThan(At(counter, "start-proof").End + Minutes(10));
        // What proofs for less than the oven heats has it on sooner still.
        var flat = Laid(DayRules.Flat, new("white", "wall", "above-oven") { Cuts = [new("pocket-flatbread", 8)] });
        At(flat, "oven-on").Start.ShouldBeLessThan(At(flat, "start-proof").Start);
        At(flat, "preheat").End.ShouldBe(At(flat, "load").Start, Minutes(.1));
    }

    [Fact]
    public void Dough_that_is_shaped_late_waits_for_nothing_and_what_is_told_early_stands()
    {
        var story = new Story(Laid(SoftRolls, Rolls("heated-off")).Plan.Spec);
        foreach (var step in new[] { "start-cycle", "take-out", "shape" })
            story.Tell(new StepSkipped(step));
        story.Slot("start-proof").Start.ShouldBeGreaterThan(story.Now + Minutes(25));
        // In it goes all the same, and the oven is left alone.
        story.Tell(new StepDone("start-proof"));
        story.State.Timetable["warm-on"]!.State.ShouldBe(StepState.Passed);
        story.State.Timetable["warm-off"]!.State.ShouldBe(StepState.Passed);
    }

    [Fact]
    public void A_place_that_is_not_ready_or_is_cleared_too_soon_is_said_with_the_one_that_does()
    {
        var places = DayRules.Full.AllPlaces.Append(new("shelf", "on the boiler shelf", false, Celsius(27), 0, null)).ToList();
        var late = Morning.AddHours(6);
        PlaceFit? Fit(Layout layout, params HotOven[] hot) => PlaceFit.Of(layout, places, hot);
        var laid = Laid(SoftRolls, Rolls("heated-off", late));
        Fit(laid).ShouldBeNull();
        Fit(Laid(SoftRolls, Rolls("counter", late))).ShouldBeNull();

        // 190 °C until ten minutes before: 35 · ln(171 / 19) min until 38.
        var set = At(laid, "start-proof").Start;
        var hot = new HotOven("wall", Celsius(190), set.AddMinutes(-40), set.AddMinutes(-10));
        var fit = Fit(laid, hot)!;
        (fit.Trouble, fit.Instead!.Place.Id).ShouldBe((PlaceTrouble.NotReady, "shelf"));
        (fit.ReadyAt - set).TotalMinutes.ShouldBe(76.9 - 10, .1);
        fit.Instead.Takes.ShouldBeLessThan(Laid(SoftRolls, Rolls("counter")).Steps.Batches[0].Proof.Window!.Best);
        Fit(laid, hot with { OvenId = "table-top" }).ShouldBeNull();
        Fit(laid, hot with { From = set.AddHours(1), To = set.AddHours(2) }).ShouldBeNull();

        // What is ready before the oven is hot leaves it almost at once.
        var pretzels = Laid(Pretzels, new("blue", "wall", "oven-light", ReadyBy: late) { Cuts = [new("pretzel", 10)] });
        Fit(pretzels)!.Trouble.ShouldBe(PlaceTrouble.ClearedTooSoon);
    }

    [Fact]
    public void A_bowl_is_looked_at_and_divided_when_it_has_risen()
    {
        Story Bowl(double minutes) =>
            new(
                Laid(
                    SoftRolls,
                    Rolls("counter") with
                    {
                        After = new(false, Minutes(minutes)),
                        BowlPlaceId = "oven-light",
                    }
                ).Plan.Spec
            );
        var story = Bowl(50);
        story.Tell(new StepSkipped("start-cycle")).Tell(new DoughTakenOut("take-out", DoughFeel.Right));
        var look = story.Slot("bowl-look-1");
        (look.Start - story.Now).TotalMinutes.ShouldBe(50, .1);
        story.Slot("bulk").Step.Occupies.ShouldBe([new(ResourceKind.Oven, "wall")]);
        story.Slot("weigh-dough").Start.ShouldBe(look.Start, Minutes(.1));

        // Half as large when it should be there: it stays, and is looked at again.
        story.After(50).Tell(new ProofLooked("bowl-look-1", Seen.Half));
        story.Slot("weigh-dough").Start.ShouldBeGreaterThan(story.Now + Minutes(10));
        var again = story.Slot("bowl-look-2");
        again.Start.ShouldBeInRange(story.Now + Minutes(3), story.Slot("weigh-dough").Start);
        story.After((again.Start - story.Now).TotalMinutes).Tell(new ProofLooked("bowl-look-2", Seen.Doubled));
        story.State.Now!.Step.Id.ToString().ShouldBe("weigh-dough");
        story.State.Timetable["bowl-look-3"].ShouldBeNull();
        // The second proof has looks of its own.
        story.State.Chain.Batches[0].Proof.Seen.ShouldBeNull();

        // Sooner than planned is as good; what only rests is not asked.
        var quick = Bowl(90).Tell(new StepSkipped("start-cycle")).Tell(new DoughTakenOut("take-out", DoughFeel.Right));
        quick.After(40).Tell(new ProofLooked("bowl-look-1", Seen.Doubled)).Slot("weigh-dough").Start.ShouldBe(quick.Now);
        Bowl(10).State.Timetable["bowl-look-1"].ShouldBeNull();
        // A place that has to be seen to is none for a bowl.
        BakeDecision
            .Of(SoftRolls, Rolls("counter") with { BowlPlaceId = "heated-off" }, DayRules.Full, Morning)
            .Problems[0]
            .Field.ShouldBe("bowlPlaceId");
    }

    [Fact]
    public void Dough_kneaded_by_hand_is_turned_out_when_it_has_risen()
    {
        var story = new Story(Laid(SoftRolls, Rolls("counter") with { MachineId = "hand" }).Plan.Spec);
        story.Tell(new StepDone("start-cycle"));
        var look = story.Slot("rise-look-1");
        // 12 min of kneading, then an hour until it is looked at; it is turned out then, and nothing else calls.
        (look.Start - story.Now).TotalMinutes.ShouldBe(72, .1);
        story.Slot("take-out").Start.ShouldBe(look.Start, Minutes(.1));
        story.Slot("take-out").Step.Calls.ShouldBeFalse();
        story.After(72).Tell(new ProofLooked("rise-look-1", Seen.Half));
        story.Slot("take-out").Start.ShouldBeGreaterThan(story.Now + Minutes(10));
        story.After(15).Tell(new ProofLooked("rise-look-2", Seen.Doubled));
        story.Slot("take-out").Start.ShouldBe(story.Now, Minutes(.1));
        story.State.Timetable["rise-look-3"].ShouldBeNull();
        // A machine says itself when it is through.
        Laid(SoftRolls, Rolls("counter")).Timetable["rise-look-1"].ShouldBeNull();
    }

    [Fact]
    public void A_tin_is_in_one_place_at_a_time_and_its_second_loaf_is_shaped_when_it_is_free()
    {
        var kitchen = DayRules.Full with
        {
            Tins =
            [
                new(
                    "t",
                    "Loaf tin",
                    TinShape.Loaf,
                    Length.FromMillimetres(180),
                    Length.FromMillimetres(90),
                    Length.FromMillimetres(65)
                ),
            ],
        };
        var two = Laid(SoftRolls, new("blue", "wall", "counter") { Cuts = [new("tin-loaf", 2, PanId: "t")] }, kitchen);
        two.Steps.Batches.Length.ShouldBe(2);
        At(two, "shape@2").Start.ShouldBe(At(two, "unload").End);
        var owned = kitchen with { Tins = [.. kitchen.Tins, kitchen.Tins[0] with { Id = "t2" }] };
        Laid(SoftRolls, new("blue", "wall", "counter") { Cuts = [new("tin-loaf", 2, PanId: "t")] }, owned)
            .Steps.Batches.Length.ShouldBe(1);

        // Two bakes that want the one tin at once: said as they stand, and laid out one after the other.
        DayBake Loaf(string machine) =>
            BakeDecision
                .Of(
                    SoftRolls.Scale(.45),
                    new(machine, "wall", "counter", ReadyBy: Morning.AddHours(6)) { Cuts = [new("tin-loaf", 1, PanId: "t")] },
                    kitchen,
                    Morning
                )
                .Value
                is var spec
                ? new(spec, SoFar.Nothing(Morning), Layout.Of(spec, Morning).Plan.Start)
                : null!;
        ImmutableArray<DayBake> bakes = [Loaf("blue"), Loaf("white")];
        DayCheck.Of(bakes, Morning).ShouldContain(f => f.Trouble == DayTrouble.Pans && f.Impossible);
        DayCheck.Of(DayRules.Held(bakes, DayPlan.Of(bakes, Morning)), Morning).ShouldNotContain(f => f.Impossible);
        DayCheck.Of(DayRules.Held(bakes, DayPlan.Best(bakes, Morning)), Morning).ShouldNotContain(f => f.Impossible);
    }

    [Fact]
    public void A_steam_tray_takes_a_rack_and_stones_heat_as_long_as_one()
    {
        Layout Crusty(Steam steam, int racks) =>
            Laid(
                WaysRules.Sticks,
                new("blue", "wall", "counter") { Cuts = [new("crusty-roll", 20)], Ways = new(Steam: steam) },
                DayRules.Full with
                {
                    Ovens = [DayRules.Full.Ovens[0] with { Racks = racks }],
                }
            );
        Crusty(Steam.Tray, 2).Steps.Batches.Length.ShouldBe(2);
        Crusty(Steam.Tray, 1).Steps.Batches.Length.ShouldBe(2);
        Crusty(Steam.Mist, 2).Steps.Batches.Length.ShouldBe(1);
        (At(Crusty(Steam.Stones, 2), "preheat").Step.Length - At(Crusty(Steam.Tray, 2), "preheat").Step.Length).ShouldBe(
            Minutes(15)
        );
    }

    [Fact]
    public void A_stone_wants_its_time_after_another_bake_too()
    {
        var kitchen = DayRules.Full with
        {
            Tins = [new("stone", "Stone", TinShape.Stone, Length.FromMillimetres(380), Length.FromMillimetres(340))],
        };
        var spec = Laid(SoftRolls, Rolls("counter") with { Cuts = [new("pan-roll", 4, PanId: "stone")] }, kitchen).Plan.Spec;
        var bread = spec.Batches[0].Bread;
        spec.ChangeTo(bread.Heat, bread).ShouldBe(Minutes(15));
        // Longer to get there is long enough.
        spec.ChangeTo(Celsius(40), bread).ShouldBe(spec.Oven.Change(Celsius(40), bread.Heat));
    }

    [Fact]
    public void Dough_that_waits_in_its_machine_is_said_and_far_past_double_is_over()
    {
        var story = new Story(Laid(SoftRolls, Rolls("counter")).Plan.Spec).Tell(new StepDone("start-cycle"));
        bool Over() => Cautions.Of(story.State.Chain).Any(c => c.Caution == Caution.OverRisen);
        Over().ShouldBeFalse();
        story.After(story.State.Plan.Spec.Machine.CycleLength.TotalMinutes + 20);
        Over().ShouldBeFalse();
        story.After(24 * 60);
        Over().ShouldBeTrue();
        new FirstRise(3, null).IsOver.ShouldBeFalse();
        new FirstRise(3.01, null).IsOver.ShouldBeTrue();
    }

    [Theory]
    [InlineData(Seen.Half, false), InlineData(Seen.Doubled, false), InlineData(Seen.Stays, true)]
    public void Dough_seen_sunken_in_its_machine_is_over_and_rises_no_longer_as_planned(Seen risen, bool over)
    {
        Story Bowl() => new(Laid(SoftRolls, Rolls("counter") with { After = new(false, Minutes(90)) }).Plan.Spec);
        var story = Bowl().Tell(new StepSkipped("start-cycle"));
        story.Tell(new DoughTakenOut("take-out", DoughFeel.Right, Risen: risen));
        var said = Cautions.Of(story.State.Chain).Where(c => c.Caution == Caution.OverRisen).Select(c => c.Step.ToString());
        string.Join(" ", said).ShouldBe(over ? "weigh-dough divide" : "");
        story.State.Chain.Steps.Any(s => s.Id.ToString() == "bulk").ShouldBe(!over);
        // What is said of the bowl counts, whatever was seen.
        var told = Bowl().Tell(new StepSkipped("start-cycle"));
        told.Tell(new DoughTakenOut("take-out", DoughFeel.Right, Minutes(20), risen));
        told.State.Chain.Steps.Single(s => s.Id.ToString() == "bulk").Length.ShouldBe(Minutes(20));
    }

    [Fact]
    public void What_is_seen_in_the_machine_says_how_much_longer_it_wants()
    {
        var spec = Laid(SoftRolls, Rolls("counter")).Plan.Spec;
        FirstRise As(Seen seen) => FirstRise.Of(seen, spec.Formula, spec.ExpectedDough, spec.Room);
        var wants = FirstRise.Answers.Select(s => As(s).ToDoubled!.Value).ToList();
        wants.ShouldBe(wants.OrderDescending());
        wants[1].ShouldBeInRange(Minutes(10), Minutes(60));
        As(Seen.Doubled).ToDoubled.ShouldBe(TimeSpan.Zero);
        FirstRise.Answers.Where(s => As(s).IsOver).ShouldBe([Seen.Stays]);
        Should.Throw<ArgumentOutOfRangeException>(() => As(Seen.GoesIn));
        new DoughTakenOut("take-out", DoughFeel.Right, Risen: Seen.GoesIn)
            .Wrong()
            .ShouldBe(new Problem("unknown:answer", "risen"));
    }

    [Theory]
    [InlineData(30, null), InlineData(33, DayTrouble.LeftInMachine), InlineData(24 * 60, DayTrouble.OverRisen)]
    public void A_day_says_when_dough_is_left_in_its_machine(int minutes, DayTrouble? trouble)
    {
        var laid = Laid(SoftRolls, Rolls("counter"));
        var out_ = At(laid, "take-out");
        var held = Arrangement.Free with
        {
            NotBefore = Arrangement.Free.NotBefore.Add(out_.Step.Id, out_.Start.AddMinutes(minutes)),
        };
        var bake = new DayBake(laid.Plan.Spec, SoFar.Nothing(Morning) with { Arranged = held }, laid.Plan.Start);
        var found = DayCheck.Of([bake], Morning).Where(f => f.Step == out_.Step.Id).ToList();
        found.Select(f => (DayTrouble?)f.Trouble).SingleOrDefault().ShouldBe(trouble);
        found.ShouldAllBe(f => !f.Impossible);
    }

    [Fact]
    public void What_is_made_beside_the_dough_does_not_keep_it_in_the_machine()
    {
        // Nobody is there to fry the filling before the dough is ready, and it cools for an hour.
        var filled = Dough
            .Create(
                SoftRolls.ToDraft() with
                {
                    Parts =
                    [
                        new(PartKind.Filling, "leeks", [new("leek", Grams(200))], new(Minutes(10), Minutes(20), Minutes(60))),
                    ],
                }
            )
            .Value;
        var by = Morning.AddHours(9);
        var spec = Laid(filled, Rolls("counter", by)).Plan.Spec;
        ImmutableArray<DayBake> day = [new(spec, SoFar.Nothing(Morning), Layout.Of(spec, Morning).Plan.Start)];
        var closed = new Closed([new(Morning.AddHours(3), Morning.AddHours(5.5))], []);
        foreach (var plan in new[] { DayPlan.Of(day, Morning, closed), DayPlan.Best(day, Morning, closed) })
        {
            var table = DayRules.Held(day, plan)[0].Timetable;
            var waits = table.At(Milestone.OutOfMachine)!.Start - table.At(Milestone.Cycle)!.Start - spec.Machine.CycleLength;
            waits.ShouldBeInRange(TimeSpan.FromMinutes(-1), Minutes(31));
        }
    }

    [Fact]
    public void A_program_that_runs_on_is_stopped_first()
    {
        bool RunsOn(BakeSpec spec) =>
            spec.RunsOn && Cautions.Of(Chain.Of(spec, SoFar.Nothing(Morning))).Any(c => c.Caution == Caution.RunsOn);
        var usual = Laid(SoftRolls, Rolls("counter")).Plan.Spec;
        RunsOn(usual).ShouldBeFalse();
        RunsOn(usual with { Tools = usual.Tools with { Machine = usual.Machine with { Pulled = true } } }).ShouldBeTrue();
        RunsOn(usual with { Handling = usual.Handling with { After = new(true, Minutes(60)) } }).ShouldBeTrue();
    }

    [Fact]
    public void What_is_kneaded_in_on_the_table_weighs_and_is_remembered()
    {
        var story = new Story(Laid(SoftRolls, Rolls("counter")).Plan.Spec);
        BakeRules.Refuses(story.State, new KneadedIn(Mass.Zero, Grams(8)) { At = story.Now })!.Type.ShouldBe("not-on-the-table");
        story.Tell(new StepSkipped("start-cycle")).Tell(new DoughTakenOut("take-out", DoughFeel.Sticky));
        var expected = story.State.SoFar.DoughOf(story.State.Plan.Spec).Grams;
        story.Tell(new KneadedIn(Mass.Zero, Grams(8)));
        story.State.SoFar.DoughOf(story.State.Plan.Spec).Grams.ShouldBe(expected + 8, 1e-9);
        story.Tell(new DoughWeighed("weigh-dough", Grams(900))).Tell(new KneadedIn(Grams(5), Grams(8)));
        story.State.SoFar.DoughOf(story.State.Plan.Spec).Grams.ShouldBe(913, 1e-9);
        story.State.SoFar.AddedOver(story.State.Plan.Spec).ShouldBe(new(Grams(5), Grams(16)));
        Learning.Lessons.Of(story.State).Dose!.Added.ShouldBe(new(Grams(5), Grams(16)));
        BakeRules.Refuses(story.State, new KneadedIn(Mass.Zero, Mass.Zero) { At = story.Now })!.Field.ShouldBe("flour");
        BakeRules.Refuses(story.State, new KneadedIn(Grams(-1), Grams(8)) { At = story.Now })!.Field.ShouldBe("water");
    }

    [Fact]
    public void A_house_that_reads_Fahrenheit_has_it_on_its_dials()
    {
        var kitchen = DayRules.Full with { Units = new(Temperature: TemperatureUnit.Fahrenheit) };
        var bread = Laid(SoftRolls, Rolls("counter"), kitchen).Plan.Spec.Batches[0].Bread;
        (bread.Heat.Fahrenheit % 5).ShouldBe(0, 1e-6);
        bread.Heat.Fahrenheit.ShouldBe(375, 1e-6);
        DayRules.Full.Dials.ShouldBe(DayRules.Full.Ovens);
    }

    [Theory]
    [
        InlineData("pan-roll", CoolingWay.Cloth),
        InlineData("long-bun", CoolingWay.Cloth),
        InlineData("pocket-flatbread", CoolingWay.Cloth),
        InlineData("crusty-roll", CoolingWay.Rack),
        InlineData("pretzel", CoolingWay.Rack),
        InlineData("plait-3", CoolingWay.Rack),
        InlineData("tin-loaf", CoolingWay.Rack),
        InlineData("tray-bread", CoolingWay.Rack)
    ]
    public void What_is_soft_cools_in_a_cloth(string family, CoolingWay way) =>
        Keeping.Of(Formula.Of(SoftRolls), Families.Find(family)!, Grams(80), false).Cooling.ShouldBe(way);
}
