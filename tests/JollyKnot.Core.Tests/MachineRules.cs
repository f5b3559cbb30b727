using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>What a machine does, minute by minute and gram by gram, to the edge of each rule.</summary>
public sealed class MachineRules
{
    private static readonly Machine Beeping = Blue with
    {
        CountsDownFrom = Minutes(10),
        OtherPrograms = [new("9", [new(PhaseKind.Knead, Minutes(30))], Minutes(20), Pulled: true)],
    };

    [Fact]
    public void A_program_runs_phase_by_phase_and_its_display_says_when_it_ends()
    {
        PhaseKind? At(double minutes) => Blue.PhaseAt(Minutes(minutes))?.Kind;
        (At(-.01), At(0), At(19.99), At(20), At(43.99), At(44), At(91.99), At(92)).ShouldBe(
            (null, PhaseKind.Warm, PhaseKind.Warm, PhaseKind.Knead, PhaseKind.Knead, PhaseKind.Rise, PhaseKind.Rise, null)
        );
        (Blue.CycleLength, Blue.KneadStart, Blue.Kneads, Blue.KneadEnd, Blue.Warms).ShouldBe(
            (Minutes(92), Minutes(20), Minutes(24), Minutes(44), true)
        );
        DisplayShows? Shows(Machine machine, double after) => machine.Shows(Morning, Morning + Minutes(after));
        var end = Morning + Minutes(92);
        (Shows(Beeping, -1), Shows(Beeping, 0), Shows(Beeping, 81), Shows(Beeping, 82), Shows(Beeping, 92)).ShouldBe(
            (null, new(end, null), new(end, null), new(null, Minutes(10)), null)
        );
        Shows(White, 5).ShouldBe(new(null, Minutes(80)));
        Shows(Machine.Hands, 5).ShouldBeNull();
        var pulled = Beeping.SetTo("9")!;
        (pulled.Pulled, pulled.Beep, pulled.CycleLength, Shows(pulled, 5)).ShouldBe((true, Minutes(20), Minutes(30), null));
        pulled.Programs.Select(p => p.Name).ShouldBe(["9", "14"]);
        Beeping.SetTo("10").ShouldBeNull();
        Machine.Hands.Kneading(Minutes(5), Minutes(0)).Phases.ShouldBe([new(PhaseKind.Knead, Minutes(5))]);
        Machine.Hands.Kneading(Minutes(5), Minutes(1)).CycleLength.ShouldBe(Minutes(6));
    }

    [Fact]
    public void Each_machine_has_its_order_of_the_pan()
    {
        string Order(Machine machine) =>
            string.Join(
                " ",
                Enum.GetValues<Role>().GroupBy(machine.PlaceInPan).OrderBy(g => g.Key).Select(g => string.Join('+', g.Order()))
            );
        Order(Blue).ShouldBe("Liquid+Starter Egg Fat Sugar Other Flour Salt Yeast");
        Order(White).ShouldBe("Yeast Flour Sugar+Other Salt Fat Egg Liquid+Starter");
    }

    [Theory]
    [InlineData(700, 1250, null, 1)]
    [InlineData(600, 2000, "capacity:flour", .857)]
    [InlineData(2000, 1000, "capacity:dough", .8)]
    [InlineData(560, 1000, "capacity:flour", .8)]
    public void Too_much_dough_is_refused_with_the_factor_that_fits(double flour, double dough, string? code, double factor)
    {
        var much = Formula.Of(Make("Much", ("strong white flour", 700), ("water", 537), ("fine salt", 13)));
        var machine = Blue with { FlourLimit = Grams(flour), DoughLimit = Grams(dough) };
        var refused = machine.Refuses(much);
        refused?.Code.ShouldBe(code);
        (refused is null).ShouldBe(code is null);
        ((Share?)refused?.Says[^1])?.Fraction.ShouldBe(factor, 1e-9);
        machine.FactorThatFits(much).ShouldBe(factor, 1e-3);
    }

    [Fact]
    public void Salt_and_dry_sugar_take_the_corners_by_turns_and_syrup_goes_anywhere()
    {
        var sweet = Make(
            "Sweet",
            ("strong white flour", 400),
            ("water", 250),
            ("sugar", 20),
            ("honey", 20),
            ("fine salt", 8),
            ("instant yeast", 4)
        );
        string Spots(Dough dough, Machine machine, LoadSchool? school = null) =>
            string.Join(", ", PanLoad.Of(dough, machine, school).Steps.Select(s => $"{s.Row.Ingredient.Name} {s.Spot}"));
        Spots(sweet, Blue)
            .ShouldBe(
                "water Everywhere, sugar FirstCorner, honey Everywhere, strong white flour Everywhere, fine salt SecondCorner, "
                    + "instant yeast Dimple"
            );
        Spots(sweet, White).ShouldStartWith("instant yeast Bottom, strong white flour Everywhere, sugar FirstCorner");
        Spots(sweet, Machine.Hands).ShouldNotContain("Corner");
        // Bloomed, the yeast is wet already and goes in among the first.
        Spots(sweet, White, new(Bloom: true)).ShouldStartWith("instant yeast Everywhere, strong white flour");
    }

    [Fact]
    public void A_third_is_held_back_and_yeast_blooms_in_ten_times_its_weight_or_in_what_there_is()
    {
        var dough = Make(
            "Two yeasts",
            ("strong white flour", 400),
            ("water", 240),
            ("whole milk", 30),
            ("instant yeast", 6),
            ("fresh yeast", 12)
        );
        var load = PanLoad.Of(dough, Blue, new(Bloom: true, HoldBack: true));
        (load.HeldBack!.Value.Grams, load.BloomIn!.Value.Grams).ShouldBe((80, 160));
        // All of what is left of the water went to the yeast, a third of it with the one and two with the other.
        load.Steps.Select(s => (s.Row.Ingredient.Name, Math.Round(s.Mass.Grams, 3), s.Number))
            .ShouldBe([
                ("instant yeast", 59.333, 4),
                ("fresh yeast", 118.667, 5),
                ("whole milk", 30, 3),
                ("strong white flour", 400, 1),
            ]);
        var dry = Make("Dry", ("strong white flour", 400), ("egg", 200), ("instant yeast", 6));
        var none = PanLoad.Of(dry, Blue, new(Bloom: true, HoldBack: true));
        (none.HeldBack, none.BloomIn).ShouldBe((null, null));
        var loaded = PanLoad.Of(dough, Blue, new(Bloom: true));
        (loaded.BloomIn!.Value.Grams, loaded.Steps[2].Mass.Grams).ShouldBe((180, 60));
    }

    [Theory]
    [InlineData(2, 32, false), InlineData(2.001, 32, true)]
    [InlineData(1, 32.1, false), InlineData(1.001, 32.1, true)]
    public void What_spoils_stands_two_hours_or_one_in_a_hot_kitchen(double hours, double room, bool isRefused) =>
        (PanLoad.RefusesDelay(SoftRolls, TimeSpan.FromHours(hours), Celsius(room)) is not null).ShouldBe(isRefused);

    [Fact]
    public void Only_what_stands_in_the_pan_spoils_there()
    {
        Problem? Refused(params RowDraft[] more) =>
            PanLoad.RefusesDelay(
                Dough.Create(new("Late", [new("strong white flour", Grams(400)), new("water", Grams(240)), .. more])).Value,
                TimeSpan.FromHours(8),
                Celsius(19)
            );
        Refused().ShouldBeNull();
        Refused(new RowDraft("egg", Grams(50)))!.Code.ShouldBe("delay-start");
        Refused(new RowDraft("egg", Grams(50)), new RowDraft("whole milk", Grams(50)))!.Code.ShouldBe("delay-start:milk");
        Refused(new RowDraft("grated cheese", Grams(50), AtBeep: true)).ShouldBeNull();
        Refused(new RowDraft("moon dust", Grams(5), Role.Other))!.ShouldBeProblem("delay-start:untold", "delay", "moon dust");
    }

    private static LiquidTemperature Warmth(Dough dough, Machine machine, LoadConditions conditions) =>
        LiquidTemperature.Of(dough, machine, conditions, Power.FromWatts(800), Celsius(100))!;

    [Fact]
    public void Liquid_makes_up_for_a_cold_pan_a_cool_room_and_the_yeast_from_the_fridge()
    {
        var plain = Make("Plain", ("strong white flour", 500), ("water", 300), ("instant yeast", 5));
        // By hand of heat: flour 1.8, water 4.18, and the yeast comes at 5 °C; kneading brings 4 °C.
        double Balanced(double room, double wanted, double brings) =>
            wanted - brings + (500 * 1.8 * (wanted - brings - room) + 5 * 1.8 * (wanted - brings - 5)) / (300 * 4.18);
        var usual = Warmth(plain, White, new(Celsius(19), Celsius(5), []));
        usual.Liquid.Celsius.ShouldBe(Balanced(19, 27, 4), 1e-9);
        (usual.IsLimited, usual.Liquids.Grams).ShouldBe((false, 300));
        usual.Dough.Celsius.ShouldBe(27, 1e-9);
        Warmth(plain, White, new(Celsius(19), Celsius(5), [], ColdPan: true)).Liquid.Celsius.ShouldBe(Balanced(19, 27, 1), 1e-9);
        Warmth(plain, White, new(Celsius(22), Celsius(5), [], Celsius(25))).Liquid.Celsius.ShouldBe(Balanced(22, 25, 4), 1e-9);
        // What goes in at the beep balances nothing.
        var late = Dough
            .Create(
                new(
                    "Late",
                    [.. plain.Rows.Select(r => new RowDraft(r.Ingredient.Name, r.Mass)), new("raisins", Grams(200), AtBeep: true)]
                )
            )
            .Value;
        Warmth(late, White, new(Celsius(19), Celsius(5), [])).Liquid.ShouldBe(usual.Liquid);
    }

    [Fact]
    public void Liquid_is_never_hotter_than_yeast_bears_nor_colder_than_it_pours()
    {
        var stiff = Make("Stiff", ("strong white flour", 500), ("water", 100), ("instant yeast", 5));
        var hot = Warmth(stiff, White, new(Celsius(12), Celsius(5), [], Celsius(32)));
        (hot.Liquid.Celsius, hot.IsLimited).ShouldBe((46, true));
        // The dough comes out as cool as that leaves it.
        hot.Dough.Celsius.ShouldBe((100 * 4.18 * 46 + 500 * 1.8 * 12 + 5 * 1.8 * 5) / (100 * 4.18 + 505 * 1.8) + 4, 1e-9);
        var cold = Warmth(stiff, White, new(Celsius(34), Celsius(5), [], Celsius(20)));
        (cold.Liquid.Celsius, cold.IsLimited, cold.MicrowaveTime, cold.Boiling).ShouldBe((2, true, TimeSpan.Zero, null));
        var warming = Warmth(stiff, Blue, new(Celsius(12), Celsius(5), [], Celsius(30)));
        (warming.Liquid.Celsius, warming.Dough.Celsius).ShouldBe((27, 30));
        Warmth(stiff, Blue, new(Celsius(30), Celsius(5), [], Celsius(24))).Liquid.Celsius.ShouldBe(21);
        // Boiling water cannot be more than the water there is.
        var mostlyMilk = Make("Milky", ("strong white flour", 500), ("whole milk", 290), ("water", 20), ("instant yeast", 5));
        Warmth(mostlyMilk, White, new(Celsius(10), Celsius(5), [])).Boiling.ShouldBeNull();
        var (needs, of) = (Warmth(stiff, White, new(Celsius(20), Celsius(5), [])), 100 * 4.18);
        needs.Boiling!.Value.Grams.ShouldBe(of * (needs.Liquid.Celsius - 20) / (4.18 * 80), 1e-9);
    }

    [Theory]
    [InlineData(46, true, null), InlineData(46.1, true, "hot-liquid"), InlineData(54, false, null)]
    [InlineData(54.1, false, "hot-liquid"), InlineData(60, false, "hot-liquid"), InlineData(60.1, false, "refused")]
    public void Hot_liquid_is_warned_of_and_scalding_liquid_refused(double celsius, bool onYeast, string? code)
    {
        var problem = LiquidTemperature.Refuses(Celsius(celsius), onYeast);
        problem?.Type.ShouldBe(code);
        (problem is null).ShouldBe(code is null);
        if (code == "hot-liquid")
            problem!.Says[^1].ShouldBe(onYeast ? LiquidTemperature.OnYeast : LiquidTemperature.Anywhere);
    }

    private static (string Phases, double? Beep) Seen(params (CycleChange Change, double At)[] touches)
    {
        var usual = White with { Beep = null };
        var cycle = new CycleSeen(
            "white",
            Guid.Empty,
            White.Phases,
            [.. touches.Select(t => new CycleTouch(t.Change, Minutes(t.At)))]
        );
        var seen = cycle.Of(usual);
        return (string.Join(", ", seen.Phases.Select(p => $"{p.Kind} {p.Length.TotalMinutes:0}")), seen.Beep?.TotalMinutes);
    }

    [Fact]
    public void A_watched_cycle_is_what_was_seen_and_as_assumed_for_the_rest()
    {
        Seen((CycleChange.KnocksBack, 50)).ShouldBe(("Knead 25, Rise 60", null));
        Seen((CycleChange.Kneads, 0), (CycleChange.Beeps, 12.4)).ShouldBe(("Knead 25, Rise 60", 12));
        // A beep before it kneads, at its start or after its end is none.
        Seen((CycleChange.Kneads, 10), (CycleChange.Beeps, 10)).ShouldBe(("Warm 10, Knead 25, Rise 50", null));
        Seen((CycleChange.Kneads, 0), (CycleChange.Rises, 20), (CycleChange.Beeps, 20)).Beep.ShouldBeNull();
        Seen((CycleChange.Kneads, 0), (CycleChange.Rises, 20), (CycleChange.Beeps, 19)).Beep.ShouldBe(19);
        // What comes after its end was another cycle.
        Seen((CycleChange.Kneads, 5), (CycleChange.Rises, 85)).Phases.ShouldBe("Warm 5, Knead 25, Rise 55");
        // Touched twice is once; standing again is a rise that nobody assumed.
        Seen((CycleChange.Kneads, 5), (CycleChange.Kneads, 9), (CycleChange.Rises, 30))
            .Phases.ShouldBe("Warm 5, Knead 25, Rise 55");
        Seen((CycleChange.Kneads, 0), (CycleChange.KnocksBack, 70)).Phases.ShouldBe("Knead 70, KnockBack 1, Rise 14");
        Seen((CycleChange.Kneads, 0), (CycleChange.StandsStill, 30)).Phases.ShouldBe("Knead 30, Warm 20, Knead 25, Rise 10");
    }

    [Fact]
    public void Of_each_machine_the_last_cycle_that_was_watched_counts()
    {
        CycleSeen Of(string machine, Guid bake) => new(machine, bake, White.Phases, []);
        var (first, second) = (Guid.NewGuid(), Guid.NewGuid());
        var seen = CyclesSeen.Empty.With(Of("white", first)).With(Of("blue", first)).With(Of("white", second));
        (seen.Cycles.Length, seen.Of("white")!.Bake, seen.Of("blue")!.Bake, seen.Of("old")).ShouldBe((2, second, first, null));
    }
}
