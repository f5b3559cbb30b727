using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Every way of working: what goes on top and when, one loaf, no scale, by hand, a ring, a lump.</summary>
public sealed class WayRules
{
    private static Layout Laid(Dough dough, BakeChoice choice, Kitchen? kitchen = null) =>
        Layout.Of(BakeDecision.Of(dough, choice, kitchen ?? DayRules.Full, Morning).Value, Morning);

    private static BakeChoice Of(params CutChoice[] cuts) => new("blue", "wall", "counter") { Cuts = [.. cuts] };

    private static Dough With(Dough dough, params PartDraft[] parts) =>
        Dough.Create(dough.ToDraft() with { Parts = [.. parts] }).Value;

    private static PartDraft Part(PartKind kind, string name, double grams, PartMoment? moment = null, Role? role = null) =>
        new(kind, name, [new(name, Grams(grams), role)], Moment: moment);

    private static IEnumerable<string> Beats(Layout laid, int batch = 0) =>
        laid
            .Timetable.Slots.Where(s => s.Step.IsBeat && (s.Step.Batch ?? batch) == batch)
            .OrderBy(s => s.Start)
            .Select(s => s.Step.Kind.Name);

    private static Slot At(Layout laid, string id) => laid.Timetable[id].ShouldNotBeNull($"no {id}");

    private static readonly Dough Rolls = With(
        SoftRolls,
        Part(PartKind.Topping, "sesame seeds", 12),
        Part(PartKind.Topping, "hard cheese", 60, PartMoment.PartWay),
        Part(PartKind.Butter, "butter", 20),
        Part(PartKind.Topping, "sugar", 10, PartMoment.Cold),
        Part(PartKind.Topping, "rolled oats", 15, PartMoment.BeforeProof),
        Part(PartKind.Surface, "semolina", 8)
    );

    [Fact]
    public void What_goes_on_a_bread_is_a_beat_at_its_moment()
    {
        var laid = Laid(Rolls, Of(new CutChoice("pan-roll", 12, WashId: "milk")));
        var order = Beats(laid)
            .Where(k => k is "ready-pan" or "shape" or "top-#" or "start-proof" or "brush" or "load" or "unload");
        order.ShouldBe(
            ["ready-pan", "shape", "top-#", "start-proof", "brush", "top-#", "load", "top-#", "unload", "top-#", "top-#"],
            string.Join(", ", Beats(laid))
        );
        // What is to stick follows the brush at once; cheese has the last ten minutes, or half of a short bake.
        (At(laid, "top-1").Start - At(laid, "brush").End).ShouldBe(TimeSpan.Zero);
        (At(laid, "unload").Start - At(laid, "top-2").Start).ShouldBe(laid.Steps.Batches[0].Window.Likely / 2);
        At(laid, "top-3").Start.ShouldBe(At(laid, "unload").End);
        At(laid, "top-4").Start.ShouldBe(At(laid, "cool").End);
        At(laid, "ready-pan").Step.About!.With.ShouldBe("semolina");
        // Nothing is made of seeds, cheese, sugar and butter.
        laid.Timetable.Slots.ShouldNotContain(s => s.Step.Kind.Name == "part-#");
        // A bake laid out by older rules has none of it.
        var older = laid.Plan.Spec with
        {
            Rules = 3,
        };
        Chain.Of(older, SoFar.Nothing(Morning)).Steps.ShouldNotContain(s => s.Kind.Name == "top-#" || s.Kind.Name == "ready-pan");
    }

    [Fact]
    public void Each_cut_gets_its_own_and_its_share_of_it()
    {
        var dough = With(PlaitDough, Part(PartKind.Topping, "caraway seeds", 9), Part(PartKind.Topping, "rolled oats", 30));
        var laid = Laid(
            dough,
            Of(
                new CutChoice("plait-4", 1, Share: Share.FromFraction(2 / 3d)) { Gets = [1] },
                new CutChoice("twist-2", 1) { Gets = [2] }
            )
        );
        var tops = laid.Timetable.Slots.Where(s => s.Step.Kind.Name == "top-#").ToDictionary(s => s.Step.Batch!.Value);
        (tops[0].Step.About!.Thing, tops[0].Step.About!.Mass).ShouldBe(("caraway seed", Grams(9)));
        (tops[1].Step.About!.Thing, tops[1].Step.About!.Mass).ShouldBe(("rolled oats", Grams(30)));
        // On both it is shared like the dough.
        var both = laid.Plan.Spec.With(b => b with { Gets = null });
        both.ShareOf(2, both.Batches[0]).Grams.ShouldBe(20, .2);
        both.ShareOf(2, both.Batches[1]).Grams.ShouldBe(10, .2);
        laid.Plan.Spec.ShareOf(2, laid.Plan.Spec.Batches[0]).ShouldBe(Mass.Zero);
        // And it is seen on the breads that get some, and only there.
        var bare = laid.Plan.Spec.With(b => b with { Gets = [] });
        bool[] Strewn(BakeSpec spec) => [.. spec.Batches.Select(b => spec.LookOf(b.Bread).Strewn)];
        Strewn(laid.Plan.Spec).ShouldBe([true, true]);
        Strewn(bare).ShouldBe([false, false]);
    }

    [Theory]
    [InlineData("pretzel", Form.Rope, Ties.Kind.Pretzel, true)]
    [InlineData("knot", Form.Rope, Ties.Kind.Knot, false)]
    [InlineData("coil", Form.Coil, Ties.Kind.Coil, false)]
    [InlineData("round-bun", Form.Ball, null, false)]
    [InlineData("pocket-flatbread", Form.Disc, null, false)]
    [InlineData("plait-3", Form.Plait, null, false)]
    public void A_bread_is_drawn_as_what_it_is(string id, Form form, Ties.Kind? tie, bool dark)
    {
        var look = BreadLook.Of(Families.All.Single(f => f.Id == id));
        (look.Form, look.Tie, look.Dark, look.Strewn).ShouldBe((form, tie, dark, false));
    }

    [Fact]
    public void One_loaf_is_weighed_once_and_never_divided()
    {
        var loaf = Laid(SoftRolls, Of(new CutChoice("free-loaf", 1)));
        loaf.Timetable["divide"].ShouldBeNull();
        At(loaf, "weigh-dough").Step.Is(Milestone.Divided).ShouldBeTrue();
        At(loaf, "shape").Start.ShouldBe(At(loaf, "weigh-dough").End);
        Laid(SoftRolls, Of(new CutChoice("free-loaf", 2))).Timetable["divide"].ShouldNotBeNull();
        // Nor weighed where there is no scale: it comes straight into the hands.
        var eye = Laid(SoftRolls, Of(new CutChoice("free-loaf", 1)) with { NoScale = true });
        (eye.Timetable["divide"], eye.Timetable["weigh-dough"]).ShouldBe((null, null));
        At(eye, "shape").Start.ShouldBe(At(eye, "take-out").End);
        At(eye, "shape").Step.Is(Milestone.Weighed).ShouldBeTrue();
    }

    [Fact]
    public void Too_long_for_every_tray_it_is_made_to_fit_or_said_what_would_hold_it()
    {
        var tray = new Tin("t", "Tray", TinShape.Tray, Length.FromMillimetres(300), Length.FromMillimetres(200));
        var kitchen = DayRules.Full with { Tins = [tray] };
        var fitted = Laid(SoftRolls, Of(new CutChoice("free-loaf", 1)), kitchen).Plan.Spec.Batches[0].Bread;
        // 905 g of dough would be 30 cm long, and grow a tenth: at most 27 of the 30 cm.
        Sizes.For(fitted.Family, Grams(905)).Rope!.Value.Millimetres.ShouldBe(270, 3);
        fitted.Pan.ShouldBe(tray);
        // Longer and thinner, its middle is sooner done.
        var slim = Families.Find("free-loaf")!.Lengthened(Grams(650), Length.FromMillimetres(400));
        (slim.Stretch, Sizes.For(slim, Grams(650)).Rope!.Value.Millimetres).ShouldBe((1.6, 400));
        BakeWindow(slim).ShouldBeLessThan(BakeWindow(Families.Find("free-loaf")!));
        var asked = Laid(SoftRolls, Of(new CutChoice("free-loaf", 1) { Long = Length.FromMillimetres(500) }), kitchen);
        var bread = asked.Plan.Spec.Batches[0].Bread;
        bread.Pan.ShouldBeNull();
        var fits = Fits.Of(bread, Grams(905), 1, kitchen, kitchen.Ovens[0]);
        fits.Longest.ShouldBe(Length.FromMillimetres(270));
        Fits.Of(bread with { Family = Families.Find("tin-loaf")! }, Grams(900), 1, kitchen, kitchen.Ovens[0])
            .Holds!.Value.Millilitres.ShouldBe(1800);

        static TimeSpan BakeWindow(Family family) =>
            Baking.BakeWindow.For(family, Grams(650), Celsius(220), false, null, 1).Likely;
    }

    [Theory]
    [InlineData("strong white flour", 492, "3¾ cup and 2 tbsp")]
    [InlineData("whole milk", 305, "1¼ cup")]
    [InlineData("butter", 42.6, "3 tbsp")]
    [InlineData("fine salt", 9, "1½ tsp")]
    [InlineData("instant yeast", 6.2, "2 tsp")]
    [InlineData("egg", 50, "1 piece"), InlineData("egg", 76, "1½ piece")]
    [InlineData("sugar", 31, "2½ tbsp")]
    public void Without_a_scale_amounts_are_cups_spoons_and_eggs(string ingredient, double grams, string said)
    {
        var measures = InMeasures.Of(Ingredients.Find(ingredient)!, Grams(grams), Measuring.Usual);
        string.Join(" and ", measures.Select(m => $"{Sign(m.Count)} {Word(m.Kind)}")).ShouldBe(said);

        static string Sign(double count)
        {
            var (whole, part) = (Math.Floor(count), count - Math.Floor(count));
            var sign = new[] { (0d, ""), (.25, "¼"), (1 / 3d, "⅓"), (.5, "½"), (2 / 3d, "⅔"), (.75, "¾"), (.125, "⅛") }
                .MinBy(s => Math.Abs(s.Item1 - part))
                .Item2;
            return whole > 0 ? $"{whole}{sign}" : sign;
        }
        static string Word(MeasureKind kind) =>
            kind switch
            {
                MeasureKind.Cup => "cup",
                MeasureKind.Tablespoon => "tbsp",
                MeasureKind.Teaspoon => "tsp",
                _ => "piece",
            };
    }

    [Fact]
    public void What_is_measured_is_what_is_meant()
    {
        string[] names = ["strong white flour", "whole milk", "butter", "sugar", "fine salt", "honey"];
        Always.ForAll(
            CsCheck.Gen.Select(CsCheck.Gen.Double[.4, 900], CsCheck.Gen.Int[0, names.Length - 1]),
            (grams, name) =>
            {
                var ingredient = Ingredients.Find(names[name])!;
                var meant = ingredient.Packing!.VolumeOf(Grams(grams), Measuring.Usual)!.Value.Millilitres;
                var measured = InMeasures.Of(ingredient, Grams(grams), Measuring.Usual).Sum(m => m.Count * Holds(m.Kind));
                // To an eighth of a teaspoon, or five in a hundred.
                measured.ShouldBe(meant, Math.Max(Packing.UsTeaspoon.Millilitres / 8, meant * .05), $"{grams} g {names[name]}");
            }
        );

        static double Holds(MeasureKind kind) =>
            kind switch
            {
                MeasureKind.Cup => Packing.UsCup.Millilitres,
                MeasureKind.Tablespoon => Packing.UsTeaspoon.Millilitres * 3,
                _ => Packing.UsTeaspoon.Millilitres,
            };
    }

    [Fact]
    public void By_hand_it_kneads_folds_and_rises_as_its_baker_does()
    {
        var choice = Of(new CutChoice("pan-roll", 12)) with
        {
            MachineId = "hand",
            Knead = Minutes(2),
            After = new(false, TimeSpan.FromHours(4)),
            Folds = new(3, Minutes(45)),
            Grown = .5,
        };
        var laid = Laid(SoftRolls, choice);
        var mixed = At(laid, "start-cycle").End;
        (At(laid, "knead").End - At(laid, "knead").Start).ShouldBe(Minutes(2));
        foreach (var number in new[] { 1, 2, 3 })
            (At(laid, $"fold-{number}").Start - mixed).TotalMinutes.ShouldBe(2 + 45 * number, .01);
        (At(laid, "take-out").Start - mixed).TotalMinutes.ShouldBeInRange(241, 243.1);
        laid.Plan.Spec.Handling.After.ShouldBeNull();
        // Half as big again is enough; it is asked for and not timed.
        BowlRise.Has(Seen.Half, laid.Plan.Spec).ShouldBeTrue();
        BowlRise.Has(Seen.Half, Laid(SoftRolls, Of(new CutChoice("pan-roll", 12)))!.Plan.Spec).ShouldBeFalse();
        BakeDecision
            .Of(SoftRolls, choice with { Folds = new(9, Minutes(45)) }, DayRules.Full, Morning)
            .Problems.Single()
            .Field.ShouldBe("folds.count");
        // By hand nothing is said of corners of a pan, and no paddle is near.
        laid.Plan.Spec.Pan.Steps.ShouldAllBe(s => s.Spot == Machines.Spot.Everywhere);
        Cautions.Of(laid.Steps).ShouldNotContain(c => c.Caution == Caution.MachineHands);
    }

    [Fact]
    public void What_a_bake_wants_of_hands_is_counted_in_visits_and_the_longest_gap_between_them()
    {
        var laid = Laid(SoftRolls, Of(new CutChoice("pan-roll", 12)));
        var wanted = HandsWanted.Of(laid);
        var work = laid.Timetable.Slots.Where(s => s.Step.IsWork).OrderBy(s => s.Start).ToList();
        wanted.Hands.ShouldBe(work.Aggregate(TimeSpan.Zero, (sum, s) => sum + (s.End - s.Start)));
        // Minute by minute: who comes back within ten minutes has not left.
        var busy = Enumerable
            .Range(-3600, (int)(laid.Timetable.Ready - laid.Timetable.Start).TotalSeconds + 7200)
            .Select(s => laid.Timetable.Start.AddSeconds(s))
            .Where(t => work.Any(w => w.Start < t.AddSeconds(1) && (t < w.End || t <= w.Start)))
            .ToList();
        var gaps = busy.Zip(busy.Skip(1)).Select(p => p.Second - p.First - TimeSpan.FromSeconds(1)).ToList();
        wanted.Visits.ShouldBe(1 + gaps.Count(g => g > Minutes(10)));
        wanted.LongestFree.TotalMinutes.ShouldBe(gaps.Max().TotalMinutes, .05);
    }

    [Theory]
    [InlineData(7, true)]
    [InlineData(12.5, false)]
    public void A_bake_that_wakes_somebody_says_so_and_when_it_would_not(double hour, bool wakes)
    {
        // Up from seven until eleven at night; asked for in the evening, wanted the next day.
        var evening = Morning.AddHours(13);
        var closed = new Closed(
            [new(Morning.AddHours(15), Morning.AddHours(23)), new(Morning.AddHours(39), Morning.AddHours(47))],
            []
        );
        var spec = Laid(SoftRolls, Of(new CutChoice("pan-roll", 12))).Plan.Spec;
        var wanted = Morning.AddHours(16 + hour);
        var found = WakesSomebody.Of(Layout.Of(spec.Wanted(wanted), evening), closed, evening);
        (found is not null).ShouldBe(wakes);
        if (found is null)
            return;
        closed.IsAway(found.At).ShouldBeTrue();
        // Half an hour by half an hour, the first that wakes nobody: the one before it still would.
        var better = found.ReadyBy!.Value;
        ((better - wanted) / Minutes(30) % 1).ShouldBe(0, 1e-9);
        WakesSomebody.Of(Layout.Of(spec.Wanted(better), evening), closed, evening).ShouldBeNull();
        WakesSomebody.Of(Layout.Of(spec.Wanted(better - Minutes(30)), evening), closed, evening).ShouldNotBeNull();
        // Where nobody is ever up there is no such time.
        var never = new Closed([new(Morning, Morning.AddDays(4))], []);
        WakesSomebody.Of(Layout.Of(spec.Wanted(wanted), evening), never, evening)!.ReadyBy.ShouldBeNull();
    }

    [Fact]
    public void Rounds_are_rolled_cut_gathered_and_rolled_again()
    {
        var griddle = DayRules.Full with
        {
            Griddle = new("g", "Griddle", TinShape.Tray, Length.FromMillimetres(300), Length.FromMillimetres(300)),
            Ring = Length.FromMillimetres(80),
        };
        var thick = Length.FromMillimetres(11);
        var laid = Laid(SoftRolls, Of(new CutChoice("griddle-round") { Thick = thick }), griddle);
        var bread = laid.Plan.Spec.Batches[0].Bread;
        var sheet = RingSheet.Of(laid.Plan.Spec.ExpectedDough, thick, griddle.Ring!.Value);
        laid.Plan.Spec.Cuts[0].Pieces.ShouldBe(sheet.Count);
        (bread.Family.Ring, bread.Family.Thickness).ShouldBe((griddle.Ring, thick));
        laid.Timetable["divide"].ShouldBeNull();
        Beats(laid).Count(k => k == "gather-#").ShouldBe(sheet.Rollings.Length - 1);
        // So many are asked for: the sheet is as thin as they need, and no thinner.
        var fifteen = RingSheet.ThicknessFor(Grams(905), 15, griddle.Ring!.Value)!.Value;
        RingSheet.Of(Grams(905), fifteen, griddle.Ring!.Value).Count.ShouldBeGreaterThanOrEqualTo(15);
        RingSheet
            .Of(Grams(905), Length.FromMillimetres(fifteen.Millimetres + .25), griddle.Ring!.Value)
            .Count.ShouldBeLessThan(15);
        RingSheet.ThicknessFor(Grams(905), 100, griddle.Ring!.Value).ShouldBeNull();
    }

    [Fact]
    public void Balls_that_are_rolled_thin_rest_first()
    {
        var laid = Laid(SoftRolls, Of(new CutChoice("pocket-flatbread", 8) { Thick = Length.FromMillimetres(5) }));
        (At(laid, "shape").Start - At(laid, "divide").End).TotalMinutes.ShouldBe(15, .01);
        laid.Plan.Spec.Batches[0].Bread.Family.Thickness.ShouldBe(Length.FromMillimetres(5));
        var none = Laid(SoftRolls, Of(new CutChoice("pocket-flatbread", 8) { Rest = TimeSpan.Zero }));
        At(none, "shape").Start.ShouldBe(At(none, "divide").End);
        var asked = Laid(SoftRolls, Of(new CutChoice("long-bun", 8) { Rest = Minutes(20) }));
        (At(asked, "shape").Start - At(asked, "divide").End).TotalMinutes.ShouldBe(20, .01);
    }

    [Fact]
    public void A_lump_from_the_fridge_begins_at_the_divide_and_rises_cold()
    {
        var lump = new Lump(Guid.NewGuid(), 1, Grams(450), Morning.AddHours(-14));
        var dough = lump.Of(SoftRolls);
        Formula.Yield(dough.Total).Grams.ShouldBe(450, .01);
        var spec = BakeDecision
            .Of(dough, Of(new CutChoice("long-bun", 5)) with { MachineId = "hand" }, DayRules.Full, Morning)
            .Value;
        var cold = Layout.Of(spec with { Made = spec.Made with { From = lump } }, Morning);
        Beats(cold).Take(4).ShouldBe(["fetch-lump", "weigh-dough", "divide", "shape"]);
        cold.Timetable.Slots.ShouldNotContain(s => s.Step.Rule.MakesDough);
        // Cold dough wants its time: more than dough of the machine's 28 °C.
        var warm = Layout.Of(spec, Morning);
        var (late, soon) = (cold.Steps.Batches[0].Proof.Window!.Best, warm.Steps.Batches[0].Proof.Window!.Best);
        (late - soon).TotalMinutes.ShouldBeInRange(10, 120);
        (lump.BestUntil, lump.UseBy(SoftRolls), lump.UseBy(Pretzels)).ShouldBe(
            (lump.Since.AddHours(24), lump.Since.AddHours(48), lump.Since.AddHours(72))
        );
    }

    [Fact]
    public void Pieces_shaped_for_another_day_go_into_the_cold_before_the_others_rise()
    {
        var later = new CutChoice("round-bun", 6) { Keep = ShapedIn.Freezer };
        var laid = Laid(SoftRolls, Of(new CutChoice("round-bun", 4, Grams(90)), later));
        Beats(laid)
            .Where(k => k is "divide" or "keep-shaped-#" or "shape" or "load" or "unload")
            .ShouldBe(["divide", "keep-shaped-#", "shape", "load", "unload"]);
        laid.Steps.Batches.Select(b => (b.Batch.Cut, b.Batch.Pieces)).ShouldBe([(0, 4)]);
        // Hands take as long for them as for the others; and something is to be baked.
        var each = (At(laid, "shape").Step.Length / 4).TotalSeconds;
        (At(laid, "keep-shaped-2").Step.Length - Minutes(1)).TotalSeconds.ShouldBe(6 * each, .01);
        BakeDecision.Of(SoftRolls, Of(later), DayRules.Full, Morning).Problems.Single().Field.ShouldBe("cuts");
    }

    [Theory]
    [InlineData(ShapedWas.Chilled), InlineData(ShapedWas.Thawed), InlineData(ShapedWas.Frozen)]
    public void Pieces_shaped_another_day_are_only_set_out_and_rise_as_cold_as_they_are(ShapedWas was)
    {
        var laid = Shaped(was, 10);
        Beats(laid).Take(3).ShouldBe(["shape", "start-proof", "look-#"]);
        laid.Timetable.Slots.ShouldNotContain(s => s.Step.Rule.MakesDough || s.Step.Kind.Name == "divide");
        At(laid, "shape").Step.Length.ShouldBe(Minutes(1) + TimeSpan.FromSeconds(6 * 8));
        // What thaws takes longest. In the fridge it rises on: the longer it stood, the less is left.
        TimeSpan Best(ShapedWas how, double hours) => Shaped(how, hours).Steps.Batches[0].Proof.Window!.Best;
        Best(ShapedWas.Frozen, 10).ShouldBeGreaterThan(Best(ShapedWas.Thawed, 10) + Minutes(40));
        Best(ShapedWas.Thawed, 10).ShouldBeGreaterThan(Best(ShapedWas.Chilled, 10));
        Best(ShapedWas.Chilled, 2).ShouldBeGreaterThan(Best(ShapedWas.Chilled, 14) + Minutes(2));
        Best(ShapedWas.Frozen, 2).ShouldBe(Best(ShapedWas.Frozen, 400));
    }

    // Six round buns of another day.
    private static Layout Shaped(ShapedWas was, double hours)
    {
        var pieces = new ShapedPieces("round-bun", 6, was);
        var lump = new Lump(Guid.NewGuid(), 1, Grams(540), Morning.AddHours(-hours)) { Shaped = pieces };
        var cuts = Of(new CutChoice("round-bun", 6)) with { MachineId = "hand" };
        pieces.Are(cuts.Cuts).ShouldBeTrue();
        pieces.Are([new("round-bun", 5)]).ShouldBeFalse();
        pieces.Are([new("long-bun", 6)]).ShouldBeFalse();
        var spec = BakeDecision.Of(lump.Of(SoftRolls), cuts, DayRules.Full, Morning).Value;
        return Layout.Of(spec with { Made = spec.Made with { From = lump } }, Morning);
    }

    [Fact]
    public void Slices_are_cut_by_halves_and_thirds()
    {
        var six = Slicing.Of(Length.FromMillimetres(240), Grams(600), 6);
        six.Marks.Select(m => (Math.Round(m.At.Millimetres), m.Level))
            .ShouldBe([(40d, 2), (80, 2), (120, 1), (160, 2), (200, 2)]);
        (six.Each, six.Mass).ShouldBe((Length.FromMillimetres(40), Grams(100)));
        Always.ForAll(
            CsCheck.Gen.Int[1, Slicing.Most],
            count =>
            {
                var marks = Slicing.Of(Length.FromMillimetres(300), Grams(800), count).Marks;
                marks.Length.ShouldBe(count - 1);
                for (var i = 0; i < marks.Length; i++)
                    marks[i].At.Millimetres.ShouldBe(300d * (i + 1) / count, .001);
            }
        );
        Should.Throw<ArgumentOutOfRangeException>(() => Slicing.Of(Length.FromMillimetres(300), Grams(800), 0));
    }

    [Theory]
    [InlineData(480, 17, false), InlineData(480, 191, false), InlineData(480, 192, true)]
    [InlineData(480, 1200, true), InlineData(480, 1201, false)]
    public void A_figure_far_from_what_is_expected_is_asked_back(double expected, double told, bool believed)
    {
        var around = Plausible.Around(Grams(expected));
        (Grams(told) >= around.From && Grams(told) <= around.To).ShouldBe(believed);
    }
}
