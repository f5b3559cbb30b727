using JollyKnot.Core.Bakes;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Where bakers disagree, and more than one oven: every way is planned for.</summary>
public sealed class WaysRules
{
    internal static readonly Dough Sticks = Make(
        "Solder sticks",
        ("strong white flour", 440),
        ("rye flour", 40),
        ("water", 320),
        ("fine salt", 9.5),
        ("instant yeast", 4)
    );

    private static readonly Kitchen Full = DemoFormulas.Kitchen with
    {
        Ovens =
        [
            DemoFormulas.Kitchen.Ovens[0] with
            {
                Racks = 2,
            },
            new("table-top", "Table-top oven", new(Celsius(90), Celsius(230)), 7),
        ],
        Tins = [Tray("tray-1"), Tray("tray-2"), new("stone", "Baking stone", TinShape.Stone, Centimetres(38), Centimetres(34))],
    };

    private static Tin Tray(string id) => new(id, "Large tray", TinShape.Tray, Centimetres(44), Centimetres(34));

    private static Length Centimetres(double cm) => Length.FromMillimetres(cm * 10);

    private static Layout Laid(Dough dough, Ways? ways, params CutChoice[] cuts) => Laid(Full, dough, ways, cuts);

    private static Layout Laid(Kitchen kitchen, Dough dough, Ways? ways, params CutChoice[] cuts) =>
        Layout.Of(BakeDecision.Of(dough, Choice(null, "counter", cuts) with { Ways = ways }, kitchen, Morning).Value, Morning);

    private static string[] Order(Layout layout, params string[] ids) =>
        [.. layout.Timetable.Slots.Where(s => ids.Contains($"{s.Step.Id}")).OrderBy(s => s.Start).Select(s => $"{s.Step.Id}")];

    [Fact]
    public void Lean_bread_gets_a_steam_tray_and_rich_bread_none_unless_the_baker_likes_it_otherwise()
    {
        Steam For(Dough dough, Ways? ways) =>
            Laid(dough, ways, new CutChoice("crusty-roll", 8)).Plan.Spec is var s ? s.SteamFor(s.Batches[0].Bread) : default;
        (For(Sticks, null), For(SoftRolls, null), For(SoftRolls, new(Steam: Steam.Stones))).ShouldBe(
            (Steam.Tray, Steam.None, Steam.Stones)
        );
        var sprayed = Laid(Sticks, new(Steam: Steam.Mist), new CutChoice("crusty-roll", 8)).Timetable;
        var (bake, mists) = (sprayed["bake"]!, sprayed.Slots.Where(s => s.Step.Kind.Name == "mist-#").ToList());
        mists.Count.ShouldBe(2);
        mists.ShouldAllBe(m => m.Start > bake.Start && m.Start < bake.Start + (bake.End - bake.Start) / 2);
        Laid(Sticks, null, new CutChoice("crusty-roll", 8)).Timetable.Slots.ShouldNotContain(s => s.Step.Kind.Name == "mist-#");
    }

    [Fact]
    public void Washed_and_scored_before_the_proof_or_after_it()
    {
        string[] ids = ["brush", "score", "start-proof", "load"];
        CutChoice rolls = new("crusty-roll", 8, WashId: "oil");
        Order(Laid(Sticks, null, rolls), ids).ShouldBe(["start-proof", "brush", "score", "load"]);
        Order(Laid(Sticks, new(ScoresFirst: true, WashesFirst: true), rolls), ids)
            .ShouldBe(["brush", "score", "start-proof", "load"]);
        Order(Laid(Sticks, new(ScoresFirst: true), rolls), ids).ShouldBe(["score", "start-proof", "brush", "load"]);
    }

    [Fact]
    public void A_stone_is_heated_longer_and_takes_one_load_at_a_time()
    {
        var trays = Laid(Sticks, null, new CutChoice("crusty-roll", 10));
        var stone = Laid(Sticks, null, new CutChoice("crusty-roll", 10, PanId: "stone"));
        TimeSpan Heats(Layout layout) => layout.Timetable["preheat"]!.Step.Length;
        (Heats(stone) - Heats(trays)).ShouldBe(Minutes(15));
        // What makes steam takes the lower of two racks.
        trays.Plan.Spec.Batches.Length.ShouldBe(2);
        Laid(Sticks, new(Steam: Steam.Mist), new CutChoice("crusty-roll", 10)).Plan.Spec.Batches.Length.ShouldBe(1);
        stone.Plan.Spec.Batches.Length.ShouldBeGreaterThan(1);
        Laid(Sticks, null, new CutChoice("crusty-roll", 4)).Plan.Spec.Batches[0].Bread.Pan!.IsStone.ShouldBeFalse();
    }

    [Theory]
    [
        InlineData(DialMarks.Celsius5, 187, 185),
        InlineData(DialMarks.Fahrenheit5, 190, 190.555),
        InlineData(DialMarks.Fahrenheit25, 190, 190.555),
        InlineData(DialMarks.Fahrenheit25, 181, 176.667),
        InlineData(DialMarks.Fahrenheit25, 300, 275)
    ]
    public void A_dial_has_its_marks(DialMarks marks, double wanted, double set) =>
        (DemoFormulas.Kitchen.Ovens[0] with { Marks = marks }).Nearest(Celsius(wanted)).Celsius.ShouldBe(set, .01);

    [Fact]
    public void Two_ovens_bake_side_by_side()
    {
        CutChoice plait = new("plait-3", 1, Grams(300)),
            rolls = new("pan-roll");
        Waiting.Of(Laid(SoftRolls, null, plait, rolls), 1).Longer.ShouldBeGreaterThan(Minutes(4));
        var both = Laid(SoftRolls, null, plait with { OvenId = "table-top" }, rolls);
        Waiting.Of(both, 1).ShouldBe(new(TimeSpan.Zero, false));
        var slots = both.Timetable.Slots;
        slots.Select(s => s.Step.Id).ShouldBeUnique();
        foreach (var (oven, batch) in new[] { ("table-top", 0), ("wall", 1) })
        {
            var heats = slots.Single(s => s.Step.Is(Milestone.Hot) && s.Step.Occupies.Contains(new(ResourceKind.Oven, oven)));
            heats.End.ShouldBeLessThanOrEqualTo(both.Timetable.At(Milestone.In, batch)!.Start);
        }
        BakeDecision
            .Of(SoftRolls, Choice(null, "counter", plait with { OvenId = "table-top", Heat = Celsius(240) }), Full, Morning)
            .Problems.Single()
            .Field.ShouldBe("cuts[0].heat");
        BakeDecision
            .Of(SoftRolls, Choice(null, "counter", plait with { OvenId = "cellar" }), Full, Morning)
            .Problems.Single()
            .Field.ShouldBe("cuts[0].ovenId");
    }

    [Theory]
    [InlineData(LaterLoads.ShapedLater), InlineData(LaterLoads.HeldCool)]
    public void A_load_that_has_to_wait_is_held_back_so_that_it_is_ready_in_its_turn(LaterLoads later)
    {
        var kitchen = Full with { Ovens = [Full.Ovens[0] with { Racks = 1 }], Tins = [Tray("tray-1")] };
        CutChoice buns = new("round-bun", 16, Grams(56)),
            plaits = new("plait-3", 1, Grams(300));
        CutChoice[] cuts = [plaits, new("pan-roll", 4), buns with { Pieces = null, Each = null }];
        Waiting.Of(Laid(kitchen, SoftRolls, null, cuts), 2).OverProofed.ShouldBeTrue();
        var held = Laid(kitchen, SoftRolls, new(Later: later), cuts);
        foreach (var cut in new[] { 1, 2 })
        {
            Waiting.Of(held, cut).OverProofed.ShouldBeFalse();
            Waiting.Of(held, cut).Longer.ShouldBeLessThan(Minutes(8));
        }
        // Nothing is lost by it: the day ends when it would have ended.
        (held.Timetable.Ready - Laid(kitchen, SoftRolls, null, cuts).Timetable.Ready).ShouldBeLessThan(Minutes(8));
    }

    [Fact]
    public void What_stands_apart_takes_longer_when_it_is_set_touching()
    {
        var spec = Laid(SoftRolls, null, new CutChoice("round-bun", 9)).Plan.Spec;
        TimeSpan Bake(string family, bool? touching) =>
            spec.Window(spec.Batches[0].Bread with { Family = Families.Find(family)!, Touching = touching }, Grams(95)).Likely;
        (Bake("round-bun", true) / Bake("round-bun", null)).ShouldBe(1.12, 1e-9);
        Bake("pan-roll", true).ShouldBe(Bake("pan-roll", null));
    }

    [Fact]
    public void Amounts_for_exactly_this_batch()
    {
        Finish.ButterFor(Grams(55), 16).Grams.ShouldBe(24, 1e-9);
        Mass Wash(string id) => Finish.WashFor(Washes.Find(id)!, Families.Find("pan-roll")!, Grams(57), 16);
        Wash("flour").ShouldBeLessThan(Wash("oil"));
        Laid(SoftRolls, new(Buttered: true), new CutChoice("pan-roll", 16)).Timetable[
            "butter"
        ]!.Step.About!.Mass!.Value.Grams.ShouldBe(24.3, .6);
        (int, double)? Slices(string family, double grams, Tin? pan) =>
            Keeping.Slices(Families.Find(family)!, Grams(grams), pan) is { } s
                ? (s.Count, Math.Round(s.Each.Millimetres, 1))
                : null;
        Slices("tray-bread", 680, new("t", "Small tray", TinShape.Tray, Centimetres(26), Centimetres(26))).ShouldBe((12, 65));
        Slices("tin-loaf", 800, new("l", "Loaf tin", TinShape.Loaf, Centimetres(21), Centimetres(11), Centimetres(7)))
            .ShouldBe((18, 11.7));
        Slices("pan-roll", 57, null).ShouldBeNull();
    }

    [Fact]
    public void A_slow_oven_is_learned_and_one_slip_is_not_believed()
    {
        var plan = Laid(SoftRolls, null, new CutChoice("pan-roll", 16)).Plan;
        var likely = plan.Spec.Window(plan.Spec.Batches[0].Bread, plan.Spec.Eaches(plan.Spec.ExpectedDough)[0]).Likely;
        BakeLog Baked(double factor) =>
            new([
                new(1, new StepDone("load") { At = Morning.AddHours(3) }),
                new(2, new StepDone("unload") { At = Morning.AddHours(3) + likely * factor + Minutes(1) }),
            ]);
        Lessons Learned(double factor) => Lessons.Of(BakeState.Of(plan, Baked(factor), Morning.AddHours(5)));
        double Pace(params double[] factors) => OvenMemory.Of(factors.Select(f => Learned(f))).GetValueOrDefault("wall", 1);
        Pace().ShouldBe(1);
        Pace(1.2).ShouldBeInRange(1.04, 1.12);
        Pace([.. Enumerable.Repeat(1.2, 20)]).ShouldBe(1.2, .03);
        Pace(4).ShouldBe(1);
        var slow = Layout.Of(plan.Spec.Knowing(OvenMemory.Of([Learned(1.2), Learned(1.2)])), Morning);
        slow.Timetable["bake"]!.Step.Length.ShouldBeGreaterThan(likely * 1.05);
    }
}
