using System.Collections.Immutable;
using JollyKnot.Core.Days;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Six days, and what must be true of each.</summary>
public sealed class DayStories
{
    private static readonly Dough Flat = Make(
        "Washer flatbreads",
        ("strong white flour", 300),
        ("wholemeal flour", 100),
        ("water", 200),
        ("plain yogurt", 80),
        ("olive oil", 20),
        ("fine salt", 8),
        ("sugar", 5),
        ("instant yeast", 4)
    );

    private static readonly Kitchen Home = DemoFormulas.Kitchen with
    {
        Machines = [Blue, White],
        Ovens = [DemoFormulas.Kitchen.Ovens[0] with { Racks = 2 }],
        Tins = [Tray("t1"), Tray("t2")],
        Griddle = Tray("griddle"),
    };

    private static Tin Tray(string id) =>
        new(id, "Tray", TinShape.Tray, Length.FromMillimetres(440), Length.FromMillimetres(340));

    private static DayBake Bake(
        Dough dough,
        string family,
        double hours,
        string machine = "blue",
        string place = "counter",
        TimeSpan? cold = null,
        int? pieces = null,
        Kitchen? kitchen = null,
        DateTimeOffset? now = null
    )
    {
        var at = now ?? Morning;
        var spec = BakeDecision
            .Of(
                dough,
                new BakeChoice(machine, "wall", place, ReadyBy: at.AddHours(hours)) { Cuts = [new(family, pieces)], Cold = cold },
                kitchen ?? Home,
                at
            )
            .Value;
        return new(spec, SoFar.Nothing(at), Layout.Of(spec, at).Plan.Start);
    }

    private static ImmutableArray<Timetable> Laid(DateTimeOffset now, Closed? closed, params DayBake[] bakes)
    {
        ImmutableArray<DayBake> day = [.. bakes];
        var plan = DayPlan.Best(day, now, closed);
        ImmutableArray<DayBake> held = [.. day.Select((b, i) => b with { SoFar = b.SoFar with { Arranged = plan.Bakes[i] } })];
        DayCheck.Of(held, now, closed).Where(f => f.Impossible).ShouldBeEmpty();
        return [.. held.Select(b => b.Timetable)];
    }

    private static bool Meet(Slot a, Slot b) => a.Start < b.End.AddMinutes(-1) && b.Start < a.End.AddMinutes(-1);

    [Fact]
    public void Dough_is_out_of_the_oven_before_anybody_heats_it()
    {
        var day = Laid(
            Morning,
            null,
            Bake(SoftRolls, "pan-roll", 5, place: "oven-light"),
            Bake(Flat, "pocket-flatbread", 5.5, "white")
        );
        var clear = day[0]["clear-oven"]!;
        foreach (
            var heats in day.SelectMany(t => t.Slots)
                .Where(s => (s.Step.Is(Milestone.Hot) || s.Step.Is(Milestone.Baking)) && s.End > s.Start)
        )
            (heats.Start >= clear.Start || heats.End <= day[0]["proof"]!.Start).ShouldBeTrue(
                $"{heats.Step.Id} {heats.Start} {clear.Start}"
            );
    }

    [Fact]
    public void Nobody_shapes_while_pretzels_are_in_the_pot()
    {
        var day = Laid(Morning, null, Bake(Pretzels, "pretzel", 5), Bake(Flat, "round-bun", 5, "white"));
        var bath = day[0]["bath"]!;
        foreach (var busy in day[1].Slots.Where(s => s.Step.Kind.Name is "shape" or "divide" or "take-out" or "weigh-dough"))
            Meet(bath, busy).ShouldBeFalse($"{busy.Step.Id}");
    }

    [Fact]
    public void What_wants_the_same_heat_shares_the_racks_and_one_rack_is_taken_in_turn()
    {
        var (rolls, buns) = (Bake(SoftRolls, "pan-roll", 5, pieces: 8), Bake(Flat, "round-bun", 5, "white", pieces: 6));
        Laid(Morning, null, rolls, buns).ShouldAllBe(t => t.Ready <= Morning.AddHours(5).AddMinutes(1));
        var narrow = Home with { Ovens = [Home.Ovens[0] with { Racks = 1 }] };
        var turns = Laid(
            Morning,
            null,
            Bake(SoftRolls, "pan-roll", 5, pieces: 8, kitchen: narrow),
            Bake(Flat, "round-bun", 5, "white", pieces: 6, kitchen: narrow)
        );
        Meet(turns[0]["bake"]!, turns[1]["bake"]!).ShouldBeFalse();
    }

    [Fact]
    public void Over_midnight_and_a_night_in_the_fridge_nobody_gets_up()
    {
        var evening = Morning.AddHours(9);
        var zone = TimeZoneInfo.Utc;
        var away = new OpenHours(TimeSpan.FromHours(7), TimeSpan.FromHours(22)).Shut(evening, zone, 3);
        var day = Laid(
            evening,
            new(away, []),
            Bake(SoftRolls, "pan-roll", 19, cold: TimeSpan.FromHours(10), now: evening),
            Bake(Flat, "pocket-flatbread", 19.5, "white", now: evening)
        );
        // Made in the evening, out of the fridge after breakfast.
        day[0]["start-proof"]!.End.ShouldBeLessThanOrEqualTo(away[1].From);
        day[0]["warm-up"]!.Start.ShouldBeGreaterThanOrEqualTo(away[1].To);
        day[0].Ready.ShouldBeLessThanOrEqualTo(evening.AddHours(19).AddMinutes(1));
    }

    [Fact]
    public void At_the_griddle_the_hands_stay()
    {
        var day = Laid(Morning, null, Bake(Flat, "griddle-flatbread", 5, "white"), Bake(SoftRolls, "pan-roll", 5));
        var (griddle, rolls) = (day[0]["bake"]!, day[1]);
        foreach (var busy in rolls.Slots.Where(s => DayKeeps(s.Step)))
            Meet(griddle, busy).ShouldBeFalse($"{busy.Step.Id}");

        static bool DayKeeps(Step step) => step.Kind.Name is "divide" or "shape" or "brush" or "load" or "unload" or "take-out";
    }

    [Fact]
    public void One_machine_is_washed_out_between_two_doughs()
    {
        var day = Laid(Morning, null, Bake(SoftRolls, "pan-roll", 6), Bake(Pretzels, "pretzel", 8));
        var (first, second) = day[0].Start < day[1].Start ? (day[0], day[1]) : (day[1], day[0]);
        second.Start.ShouldBeGreaterThanOrEqualTo(first["take-out"]!.End.AddMinutes(9));
    }

    [Fact]
    public void What_cannot_be_is_refused_or_said()
    {
        // In the past.
        BakeDecision
            .Of(
                SoftRolls,
                new BakeChoice("blue", "wall", "counter", ReadyBy: Morning.AddHours(-1)) { Cuts = [new("pan-roll")] },
                Home,
                Morning
            )
            .Problems.Single()
            .Type.ShouldBe("past");
        // Nobody there at all.
        ImmutableArray<DayBake> alone = [Bake(SoftRolls, "pan-roll", 5)];
        var never = new Closed([new(Morning.AddDays(-1), Morning.AddDays(30))], []);
        var plan = DayPlan.Of(alone, Morning, never);
        DayCheck
            .Of([alone[0] with { SoFar = alone[0].SoFar with { Arranged = plan.Bakes[0] } }], Morning, never)
            .ShouldContain(f => f.Trouble == DayTrouble.Away || f.Trouble == DayTrouble.Late);
        // A hundred trays.
        var trays = Home with
        {
            Tins = [.. Enumerable.Range(0, 100).Select(i => Tray($"t{i}"))],
        };
        Laid(Morning, null, Bake(SoftRolls, "pan-roll", 5, kitchen: trays))
            .Single()
            .Ready.ShouldBeLessThanOrEqualTo(Morning.AddHours(5).AddMinutes(1));
        // Nothing at all.
        DayPlan.Of([], Morning).Bakes.ShouldBeEmpty();
    }

    [Fact]
    public void Half_today_and_half_tomorrow_is_one_plan_with_the_oven_heated_twice()
    {
        var evening = Morning.AddHours(8);
        var spec = BakeDecision
            .Of(
                SoftRolls,
                new BakeChoice("blue", "wall", "counter", ReadyBy: evening.AddHours(17))
                {
                    Cuts = [new("pan-roll", 8), new("round-bun", Cold: TimeSpan.FromHours(10))],
                },
                Home,
                evening
            )
            .Value;
        var nights = new OpenHours(TimeSpan.FromHours(7), TimeSpan.FromHours(23)).Shut(evening, TimeZoneInfo.Utc, 3);
        var table = Laid(evening, new(nights, []), new DayBake(spec, SoFar.Nothing(evening), Layout.Of(spec, evening).Plan.Start))
            .Single();
        // The first half is eaten in the evening, the other comes out of the fridge after the night.
        (table["unload"]!.End < nights[1].From).ShouldBeTrue();
        (table["warm-up@2"]!.Start - table["start-proof@2"]!.End).TotalHours.ShouldBeInRange(9.9, 14);
        table["load@2"]!.Start.ShouldBeGreaterThan(nights[1].To);
        table["oven-on@2"]!.Start.ShouldBeGreaterThan(nights[1].To);
        table["preheat@2"]!.End.ShouldBeLessThanOrEqualTo(table["load@2"]!.Start.AddMinutes(1));
        table["warm-up"].ShouldBeNull();
        table.Ready.ShouldBeLessThanOrEqualTo(evening.AddHours(17).AddMinutes(1));
    }

    [Fact]
    public void A_machine_on_its_timer_works_while_everybody_sleeps_and_takes_nothing_that_spoils()
    {
        var evening = Morning.AddHours(14);
        var choice = new BakeChoice("white", "wall", "counter", ReadyBy: evening.AddHours(14))
        {
            Cuts = [new("baton")],
            Timer = TimeSpan.FromHours(8),
        };
        var plain = Make("Solder sticks", ("strong white flour", 380), ("water", 260), ("fine salt", 8), ("instant yeast", 4));
        var spec = BakeDecision.Of(plain, choice, Home, evening).Value;
        var day = Laid(
                evening,
                new(new OpenHours(TimeSpan.FromHours(7), TimeSpan.FromHours(23)).Shut(evening, TimeZoneInfo.Utc, 3), []),
                new DayBake(spec, SoFar.Nothing(evening), Layout.Of(spec, evening).Plan.Start)
            )
            .Single();
        (day["cycle"]!.Start - day["start-cycle"]!.End).ShouldBe(TimeSpan.FromHours(8));
        day["check-1"].ShouldBeNull();
        day.Ready.ShouldBeLessThanOrEqualTo(evening.AddHours(14).AddMinutes(1));
        // Quiet hours are kept by the kneading, not by the waiting.
        var quiet = new Closed(
            [],
            new OpenHours(TimeSpan.FromHours(6), TimeSpan.FromHours(23)).Shut(evening, TimeZoneInfo.Utc, 3)
        );
        Laid(evening, quiet, new DayBake(spec, SoFar.Nothing(evening), Layout.Of(spec, evening).Plan.Start)).Single()[
            "cycle"
        ]!.Start.ShouldBeGreaterThanOrEqualTo(quiet.Machines[1].To);

        string Refused(Dough dough, TimeSpan timer, string machine = "white") =>
            BakeDecision
                .Of(dough, choice with { Timer = timer, MachineId = machine }, Home, evening)
                .Problems.Single(p => p.Field == "timer")
                .Type;
        Refused(Flat, TimeSpan.FromHours(8)).ShouldBe("delay-start");
        Refused(plain, TimeSpan.FromHours(20)).ShouldBe("out-of-range");
        Refused(plain, TimeSpan.FromHours(8), "hand").ShouldBe("by-hand");
    }

    [Fact]
    public void A_warm_shelf_for_one_tray_is_given_to_one_dough_after_the_other()
    {
        var shelf = new Place("shelf", "on the warm shelf", false, Celsius(27), 0, null, Trays: 1);
        var home = Home with { Places = [shelf] };
        DayBake[] two =
        [
            Bake(SoftRolls, "pan-roll", 4.5, place: "shelf", kitchen: home),
            Bake(Flat, "pan-roll", 4.5, "white", "shelf", kitchen: home, pieces: 10),
        ];
        DayCheck.Of([.. two], Morning).ShouldContain(f => f.Trouble == DayTrouble.Place);
        var day = Laid(Morning, null, two);
        var (a, b) = (day[0]["proof"]!, day[1]["proof"]!);
        (a.End <= b.Start.AddMinutes(1) || b.End <= a.Start.AddMinutes(1)).ShouldBeTrue(
            $"{a.Start:t} {a.End:t} {b.Start:t} {b.End:t}"
        );
        // Two trays, and both stand there together again.
        var roomy = Home with
        {
            Places = [shelf with { Trays = 2 }],
        };
        Laid(
                Morning,
                null,
                [
                    Bake(SoftRolls, "pan-roll", 4.5, place: "shelf", kitchen: roomy),
                    Bake(Flat, "pan-roll", 4.5, "white", "shelf", kitchen: roomy, pieces: 10),
                ]
            )
            .ShouldAllBe(t => t.Ready <= Morning.AddHours(4.5).AddMinutes(1));
    }
}
