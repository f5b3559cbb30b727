using CsCheck;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Tests;

/// <summary>The first questions: an answer changes what it is about, and nothing else.</summary>
public sealed class FirstAnswersRules
{
    private static readonly Kitchen Kitchen = DemoFormulas.Kitchen;

    private static TimeSpan Minutes(double minutes) => TimeSpan.FromMinutes(minutes);

    [Theory]
    [InlineData(90, false, "Knead 25, Rise 65")]
    [InlineData(90, true, "Warm 20, Knead 25, Rise 45")]
    [InlineData(55, true, "Warm 20, Knead 25, Rise 10")]
    [InlineData(45, true, "Warm 20, Knead 15, Rise 10")]
    [InlineData(40, true, "Warm 20, Knead 10, Rise 10")]
    public void A_cycle_has_its_usual_parts(double cycle, bool stands, string parts)
    {
        var phases = FirstAnswers.PhasesOf(Minutes(cycle), stands);
        string.Join(", ", phases.Select(p => $"{p.Kind} {p.Length.TotalMinutes:0}")).ShouldBe(parts);
    }

    private static CycleSeen Watched(TimeSpan cycle, params (CycleChange Change, double At)[] touches) =>
        new(
            "machine",
            Guid.NewGuid(),
            FirstAnswers.PhasesOf(cycle, false),
            [.. touches.Select(t => new CycleTouch(t.Change, TimeSpan.FromMinutes(t.At)))]
        );

    private static IEnumerable<(PhaseKind, double)> Learned(CycleSeen cycle, Machine machine) =>
        cycle.Of(machine).Phases.Select(p => (p.Kind, p.Length.TotalMinutes));

    [Fact]
    public void A_machine_is_learned_by_a_touch_at_each_change()
    {
        var cycle = TimeSpan.FromMinutes(90);
        var usual = UsualKitchen.At(Temperature.FromCelsius(20)).Machine;
        var machine = usual with { Phases = FirstAnswers.PhasesOf(cycle, false) };
        FirstAnswers.IsUsual(machine).ShouldBeTrue();
        // Nothing was seen yet: as assumed.
        Learned(Watched(cycle), machine).ShouldBe([(PhaseKind.Knead, 25), (PhaseKind.Rise, 65)]);
        // It stood still first, which nobody knew; the rest is still assumed.
        var stood = Watched(cycle, (CycleChange.Kneads, 17.6));
        Learned(stood, machine).ShouldBe([(PhaseKind.Warm, 18), (PhaseKind.Knead, 25), (PhaseKind.Rise, 47)]);
        stood.SaysEnough.ShouldBeFalse();
        // It stands still now: as long as most do, then as assumed.
        Learned(Watched(cycle, (CycleChange.StandsStill, 0)), machine)
            .ShouldBe([(PhaseKind.Warm, 20), (PhaseKind.Knead, 25), (PhaseKind.Rise, 45)]);
        // A whole cycle, its beep counted from the kneading.
        var whole = Watched(
            cycle,
            (CycleChange.Kneads, 18),
            (CycleChange.Beeps, 29.9),
            (CycleChange.Rises, 39),
            (CycleChange.KnocksBack, 80),
            (CycleChange.Rises, 81)
        );
        whole.SaysEnough.ShouldBeTrue();
        Learned(whole, machine)
            .ShouldBe([
                (PhaseKind.Warm, 18),
                (PhaseKind.Knead, 21),
                (PhaseKind.Rise, 41),
                (PhaseKind.KnockBack, 1),
                (PhaseKind.Rise, 9),
            ]);
        whole.Of(machine).Beep.ShouldBe(TimeSpan.FromMinutes(12));
        FirstAnswers.IsUsual(whole.Of(machine)).ShouldBeFalse();
        // Seen too late for the kneading: what was before it was that.
        Learned(Watched(cycle, (CycleChange.Rises, 30)), machine).ShouldBe([(PhaseKind.Knead, 30), (PhaseKind.Rise, 60)]);
    }

    [Fact]
    public void However_it_is_touched_the_cycle_takes_as_long_as_it_says_and_kneads() =>
        Gen.Select(Gen.Int[40, 180], Gen.Bool, Gen.Select(Gen.Enum<CycleChange>(), Gen.Double[0, 200]).Array[0, 8])
            .ForAll(
                (minutes, stands, touches) =>
                {
                    var cycle = TimeSpan.FromMinutes(minutes);
                    var machine = UsualKitchen.At(Temperature.FromCelsius(20)).Machine with
                    {
                        Phases = FirstAnswers.PhasesOf(cycle, stands),
                    };
                    var seen = new CycleSeen(
                        machine.Id,
                        Guid.Empty,
                        machine.Phases,
                        [.. touches.OrderBy(t => t.Item2).Select(t => new CycleTouch(t.Item1, TimeSpan.FromMinutes(t.Item2)))]
                    );
                    var learned = seen.Of(machine);
                    learned.CycleLength.ShouldBe(machine.CycleLength);
                    learned.Phases.ShouldContain(p => p.Kind == PhaseKind.Knead);
                    learned.Phases.ShouldAllBe(p => p.Length > TimeSpan.Zero);
                    (learned.Beep is null || learned.Beep > TimeSpan.Zero && learned.Beep < learned.Kneads).ShouldBeTrue();
                }
            );

    [Fact]
    public void Every_cycle_there_is_takes_as_long_as_it_says() =>
        CsCheck
            .Gen.Select(CsCheck.Gen.Int[40, 180], CsCheck.Gen.Bool)
            .ForAll(
                (minutes, stands) =>
                {
                    var phases = FirstAnswers.PhasesOf(Minutes(minutes), stands);
                    phases.Sum(p => p.Length.TotalMinutes).ShouldBe(minutes);
                    phases.ShouldAllBe(p => p.Length >= Minutes(10));
                    phases.Count(p => p.Kind == PhaseKind.Knead).ShouldBe(1);
                    var answered = new FirstAnswers(Cycle: Minutes(minutes), StandsFirst: stands).In(Kitchen);
                    answered.Machines[0].CycleLength.ShouldBe(Minutes(minutes));
                    // A beep is heard while it kneads, or not at all.
                    (answered.Machines[0].Beep ?? TimeSpan.Zero).ShouldBeLessThan(
                        phases.First(p => p.Kind == PhaseKind.Knead).Length
                    );
                    KitchenCheck.Of(answered, DateTimeOffset.UnixEpoch).ShouldBeEmpty();
                }
            );

    [Fact]
    public void What_is_not_answered_stays_as_it_is()
    {
        var same = new FirstAnswers().In(Kitchen);
        same.Machines.ShouldBe(Kitchen.Machines);
        same.Ovens.ShouldBe(Kitchen.Ovens);
        (same with { Machines = Kitchen.Machines, Ovens = Kitchen.Ovens }).ShouldBe(Kitchen);
        var oven = new FirstAnswers(Hottest: Temperature.FromCelsius(230)).In(Kitchen);
        oven.Ovens[0].ShouldBe(Kitchen.Ovens[0] with { Dial = new(Kitchen.Ovens[0].Dial.From, Temperature.FromCelsius(230)) });
        oven.Ovens[1..].ShouldBe(Kitchen.Ovens[1..]);
        oven.Machines.ShouldBe(Kitchen.Machines);
        new FirstAnswers(Racks: 2).In(Kitchen).Ovens[0].Racks.ShouldBe(2);
        new FirstAnswers(NoScale: true).In(Kitchen).NoScale.ShouldBeTrue();
    }

    [Fact]
    public void Where_a_kitchen_is_decides_when_its_people_sleep()
    {
        var noon = new DateTimeOffset(2026, 7, 4, 12, 0, 0, TimeSpan.Zero);
        var awake = Kitchen with { Awake = new(TimeSpan.FromHours(7), TimeSpan.FromHours(22)) };
        DateTimeOffset Night(Kitchen kitchen) =>
            kitchen.Closed(noon, kitchen.ZoneOr(TimeZoneInfo.Utc)).Hands.First(h => h.To > noon).From;
        Night(awake).ShouldBe(noon.AddHours(10));
        // Told once; who answers at a screen elsewhere moves no kitchen.
        var tokyo = new FirstAnswers(Zone: "Asia/Tokyo").In(awake);
        Night(tokyo).ShouldBe(noon.AddHours(1));
        new FirstAnswers(Zone: "Europe/Berlin").In(tokyo).Zone.ShouldBe("Asia/Tokyo");
        KitchenCheck.Of(tokyo, noon).ShouldBeEmpty();
        KitchenCheck.Of(tokyo with { Zone = "Oven/Top" }, noon).Single().Field.ShouldBe("zone");
    }

    [Theory]
    [InlineData(LengthUnit.Metric), InlineData(LengthUnit.Inches)]
    public void Trays_taken_are_those_sold_there_and_can_be_given_back(LengthUnit length)
    {
        var units = new HouseholdUnits(Length: length);
        var (usual, own) = (FirstAnswers.UsualTins(units), Kitchen.Tins);
        usual.Select(t => t.Id).Distinct().Count().ShouldBe(usual.Length);
        var taken = new FirstAnswers(Units: units, Tins: ["tray", "loaf-tin"]).In(Kitchen);
        taken.Tins.Select(t => t.Id).ShouldBe([.. own.Select(t => t.Id), "tray", "loaf-tin"]);
        KitchenCheck.Of(taken, DateTimeOffset.UnixEpoch).ShouldBeEmpty();
        new FirstAnswers(Tins: []).In(taken).Tins.ShouldBe(own);
        foreach (var tin in usual.Where(t => t.Shape == TinShape.Loaf))
            tin.Dough.Grams.ShouldBeInRange(500, 1100);
    }

    [Theory]
    [InlineData(39, 1), InlineData(40, 0), InlineData(180, 0), InlineData(181, 1)]
    public void A_cycle_nobody_has_is_said(double minutes, int problems) =>
        new FirstAnswers(Cycle: Minutes(minutes)).Check().Length.ShouldBe(problems);

    [Fact]
    public void What_is_offered_can_be_chosen()
    {
        foreach (
            var units in (HouseholdUnits[])
                [HouseholdUnits.Plain, new(MassUnit.Ounces, TemperatureUnit.Fahrenheit, LengthUnit.Inches)]
        )
        {
            foreach (var top in FirstAnswers.Tops(units))
                KitchenCheck
                    .Of(new FirstAnswers(Units: units, Hottest: top).In(Kitchen), DateTimeOffset.UnixEpoch)
                    .ShouldBeEmpty();
            foreach (var day in FirstAnswers.Days)
                KitchenCheck.Of(new FirstAnswers(Awake: day).In(Kitchen), DateTimeOffset.UnixEpoch).ShouldBeEmpty();
        }
        FirstAnswers.Cycles.ShouldAllBe(c => FirstAnswers.CyclesThereAre.Holds(c));
    }
}
