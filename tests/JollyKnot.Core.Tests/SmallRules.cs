using System.Text.Json;
using CsCheck;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Rules that stand by themselves.</summary>
public sealed class SmallRules
{
    [Fact]
    public void A_time_comes_back_from_text_to_the_tick() =>
        Gen.Long[0, TimeSpan.TicksPerDay]
            .ForAll(
                ticks =>
                {
                    var options = new JsonSerializerOptions { Converters = { new SecondsJsonConverter() } };
                    var text = JsonSerializer.Serialize(new TimeSpan(ticks), options);
                    JsonSerializer.Deserialize<TimeSpan>(text, options).Ticks.ShouldBe(ticks);
                },
                iter: 1000
            );

    [Fact]
    public void The_pantry_is_made_of_shares_and_knows_each_word_once()
    {
        Ingredients.All.Select(i => i.Name).ShouldBeUnique();
        foreach (var i in Ingredients.All)
        {
            foreach (var share in new[] { i.Water, i.Fat, i.Sugar, i.WaterGiven, i.Drinks, i.FlourInside, i.YeastStrength })
                share.ShouldBeInRange(0, 1, i.Name);
            (i.Water + i.Fat + i.Sugar).ShouldBeLessThanOrEqualTo(1.0001, i.Name);
            Ingredients.Find($"  {i.Name.ToUpperInvariant()} ").ShouldBe(i);
        }
        Ingredients.Find("bread flour").ShouldBe(Ingredients.Find("strong white flour"));
        Ingredients.Find("sawdust").ShouldBeNull();
    }

    [Theory]
    [
        InlineData(57, 57, Verdict.Good),
        InlineData(59, 57, Verdict.Good),
        InlineData(60, 57, Verdict.PinchOff),
        InlineData(54, 57, Verdict.Add)
    ]
    [
        InlineData(1, 57, Verdict.Empty),
        InlineData(0, 57, Verdict.Empty),
        InlineData(-4, 57, Verdict.Empty),
        InlineData(408, 420, Verdict.Good),
        InlineData(433, 420, Verdict.Good),
        InlineData(434, 420, Verdict.PinchOff)
    ]
    public void A_piece_is_judged(int grams, int target, Verdict verdict) =>
        new Piece(1, 0, 1, 1, target, Tolerance.Usual.At(target, Grams(1)), null, Verdict.Empty)
            .Judge(grams, 2)
            .ShouldBe(verdict);

    [Fact]
    public void Evenness_says_what_it_does_to_the_bake()
    {
        Evenness.Of([]).ShouldBeNull();
        var even = Evenness.Of([50, 60, 70])!;
        (even.Spread, Math.Round(even.Variation.Percent, 1)).ShouldBe((20, 13.6));
        var between = Bake(70) - Bake(50);
        TimeSpan Bake(double grams) => Baking.BakeWindow.For(Families.Find("pan-roll")!, Grams(grams), Celsius(190)).Likely;
        between.TotalMinutes.ShouldBe(1.65, .05);
    }

    [Theory]
    [
        InlineData("", false),
        InlineData("   ", false),
        InlineData("Vice-grip rolls", true),
        InlineData("Brötchen, 1½ × 40 °C (für morgen)", true),
        InlineData("面包 хлеб خبز", true)
    ]
    [
        InlineData("<b>bold</b>", false),
        InlineData("🥖", false),
        InlineData("a\u0000b", false),
        InlineData("a\nb", false),
        InlineData("a\u202Eb", false),
        InlineData("\uD800", false)
    ]
    public void A_name_is_plain_words(string name, bool fits) => (PlainText.CheckName(name, "name") is null).ShouldBe(fits);

    // As a keyboard types it, and as some pages and file systems hand it on: letter by letter.
    [Theory]
    [InlineData("Wu\u0308rfel", "Würfel", "wurfel")]
    [InlineData("cre\u0300me fraîche", "crème fraîche", "creme fraiche")]
    [InlineData("A\u030Angstro\u0308m", "Ångström", "angstrom")]
    [InlineData("\u212B", "Å", "a")]
    [InlineData("Ba\u0301nh mi\u0300 \u01B0\u0323\u0301", "Bánh mì \u1EF1\u0301", "banh mi u")]
    [InlineData("ề", "ề", "e")]
    [InlineData("q\u0307\u0323", "q\u0323\u0307", "q")]
    [InlineData("\u1112\u1161\u11AB", "한", "한")]
    [InlineData("\u1100\u1161", "가", "가")]
    [InlineData("\u0915\u093C", "\u0915\u093C", "\u0915")]
    [InlineData("Хлеб с и\u0306одом", "Хлеб с йодом", "хлеб с иодом")]
    [InlineData("STRAßE", "STRAßE", "strasse")]
    [InlineData("Plain rolls", "Plain rolls", "plain rolls")]
    public void Text_of_any_language_is_composed_and_found_without_accents(string typed, string kept, string folded)
    {
        (Composed.Of(typed), Composed.Of(kept), Composed.Folded(typed)).ShouldBe((kept, kept, folded));
        Composed.Folded(kept).ShouldBe(folded);
    }

    [Fact]
    public void Composing_twice_is_composing_once_and_loses_no_letter() =>
        Gen.String[Gen.OneOf(Gen.Char, Gen.Char['\u0300', '\u0345'], Gen.Char['a', 'z'], Gen.Char['\u00C0', '\u024F'])]
            .ForAll(text =>
            {
                var once = Composed.Of(text);
                Composed.Of(once).ShouldBe(once);
                Composed.Folded(once).ShouldBe(Composed.Folded(text));
                PlainText.CheckName(once, "name")?.Type.ShouldBe(PlainText.CheckName(text, "name")?.Type);
            });

    [Fact]
    public void Any_text_is_a_name_or_is_told_why_not() =>
        Gen.String.ForAll(text =>
        {
            var problem = PlainText.CheckName(text, "name");
            problem?.Field.ShouldBe("name");
            if (problem is null)
                text.ShouldNotContain('<');
        });

    [Theory]
    [InlineData(double.NaN), InlineData(double.PositiveInfinity), InlineData(double.NegativeInfinity)]
    public void A_quantity_is_finite(double value)
    {
        Should.Throw<ArgumentOutOfRangeException>(() => Mass.FromGrams(value));
        Should.Throw<ArgumentOutOfRangeException>(() => Temperature.FromCelsius(value));
        Should.Throw<ArgumentOutOfRangeException>(() => Length.FromMillimetres(value));
        Should.Throw<ArgumentOutOfRangeException>(() => Share.FromFraction(value));
    }

    [Theory]
    [InlineData("\"5\""), InlineData("1e999"), InlineData("null"), InlineData("{}"), InlineData("\"NaN\"")]
    public void A_mass_is_read_from_a_number_only(string json) =>
        Should.Throw<JsonException>(() => JsonSerializer.Deserialize<Mass>(json));

    [Fact]
    public void Quantities_are_written_as_their_number() =>
        JsonSerializer
            .Serialize(
                new
                {
                    mass = Grams(12.5),
                    heat = Celsius(-3),
                    rope = Length.FromMillimetres(453),
                }
            )
            .ShouldBe("""{"mass":12.5,"heat":-3,"rope":453}""");

    [Fact]
    public void The_phase_of_a_cycle()
    {
        Blue.CycleLength.ShouldBe(Minutes(92));
        Blue.PhaseAt(Minutes(19))!.Kind.ShouldBe(PhaseKind.Warm);
        Blue.PhaseAt(Minutes(20))!.Kind.ShouldBe(PhaseKind.Knead);
        Blue.PhaseAt(Minutes(91.9))!.Kind.ShouldBe(PhaseKind.Rise);
        Blue.PhaseAt(Minutes(92)).ShouldBeNull();
        Blue.PhaseAt(Minutes(-1)).ShouldBeNull();
    }

    [Fact]
    public void Places_over_time()
    {
        double At(string place, double minutes) => Places.Find(place)!.At(Minutes(minutes), Celsius(19)).Celsius;
        (At("counter", 500), At("oven-light", 500), At("proof-setting", 0), At("above-oven", 9), At("fridge", 0)).ShouldBe(
            (19, 28, 35, 24, 4)
        );
        At("brief-warm", 0).ShouldBe(35);
        At("brief-warm", 40).ShouldBe(19 + 16 / Math.E, 1e-9);
    }

    [Fact]
    public void Cold_dough_in_the_fridge_says_it_does_not_rise_rather_than_guess()
    {
        var layout = Layout.Of(Spec(Pretzels, "pan-roll", "fridge"), Morning);
        var proof = layout.Steps.Batches[0].Proof;
        if (proof.Window is { } window)
            window.Best.ShouldBeGreaterThan(TimeSpan.FromHours(4));
        else
            proof.Curve.Points[^1].Rise.ShouldBeLessThan(1.2);
    }

    [Fact]
    public void Wash_is_enough_and_no_more()
    {
        var rolls = Finish.WashFor(Washes.Find("egg")!, Families.Find("pan-roll")!, Grams(57), 16);
        rolls.Grams.ShouldBeInRange(8, 20);
        Finish.WashFor(Washes.Find("egg")!, Families.Find("pan-roll")!, Grams(57), 32).Grams.ShouldBe(rolls.Grams * 2, 1e-9);
    }

    [Theory]
    [InlineData("pan-roll", "counter", 190, Caution.ChokingAllergen, "paddle")]
    [InlineData("pan-roll", "counter", 190, Caution.RawDough, "weigh-in-4")]
    [InlineData("pan-roll", "counter", 190, Caution.RawDough, "divide")]
    [InlineData("pan-roll", "counter", 190, Caution.RawDough, "brush")]
    [InlineData("pan-roll", "counter", 190, Caution.MachineHands, "check-1")]
    [InlineData("pan-roll", "counter", 190, Caution.LeftoverWash, "load")]
    [InlineData("pan-roll", "counter", 190, Caution.CoolDown, "unload")]
    [InlineData("pan-roll", "oven-light", 190, Caution.WarmOvenProof, "start-proof")]
    [InlineData("pretzel", "counter", 230, Caution.BoilingBath, "bath")]
    [InlineData("pretzel", "counter", 230, Caution.HotSurfaces, "load")]
    public void A_caution_stands_at_the_step_where_it_matters(
        string family,
        string place,
        double heat,
        Caution caution,
        string step
    )
    {
        var spec = Spec(SoftRolls, family, place).With(b => b with { Heat = Celsius(heat) });
        Cautions(spec).ShouldContain(new CautionAt(caution, step));
    }

    [Fact]
    public void No_caution_without_its_reason()
    {
        var spec = Spec(Pretzels, "pan-roll").With(b => b with { Wash = Washes.None });
        var found = Cautions(spec).Select(c => c.Caution).ToList();
        foreach (
            var absent in new[]
            {
                Caution.HoneyInfant,
                Caution.BoilingBath,
                Caution.HotSurfaces,
                Caution.WarmOvenProof,
                Caution.LeftoverWash,
                Caution.TooWarm,
            }
        )
            found.ShouldNotContain(absent);
        Cautions(Spec(PlaitDough, "plait-3")).ShouldContain(new CautionAt(Caution.HoneyInfant, "review"));
        var hot = new Place("shelf", "on the boiler", false, Celsius(44), 0, null);
        Cautions(Spec(SoftRolls, "pan-roll").At(hot)).ShouldContain(new CautionAt(Caution.TooWarm, "start-proof"));
    }

    private static string[] Said(BakeSpec spec, Caution caution) =>
        [.. Cautions(spec).Where(c => c.Caution == caution).Select(c => c.Step.ToString())];

    [Fact]
    public void Every_caution_stands_at_its_steps_and_at_no_other()
    {
        var rolls = Spec(SoftRolls, "pan-roll", "oven-light", 16).Cold(TimeSpan.FromHours(10));
        Said(rolls, Caution.MachineHands).ShouldBe(["paddle-turns", "check-1"]);
        Said(rolls, Caution.RawDough).ShouldBe(["weigh-in-4", "divide", "brush"]);
        Said(rolls, Caution.ColdGlass).ShouldBe(["warm-up"]);
        Said(rolls, Caution.WarmOvenProof).ShouldBe(["start-proof"]);
        Said(rolls, Caution.LeftoverWash).ShouldBe(["load"]);
        Said(rolls, Caution.CoolDown).ShouldBe(["unload"]);
        Said(rolls, Caution.Blade).ShouldBeEmpty();
        Said(rolls, Caution.KeepCold).ShouldBeEmpty();
        Said(rolls.With(b => b with { Wash = Washes.Find("milk")! }), Caution.LeftoverWash).ShouldBeEmpty();
        Said(rolls.With(b => b with { Wash = Washes.Find("milk")! }), Caution.RawDough).ShouldBe(["weigh-in-4", "divide"]);
        // Hands knead nothing that turns.
        var byHand = rolls.In(rolls.Machine with { ByHand = true });
        Said(byHand, Caution.MachineHands).ShouldBeEmpty();
        // Gloves from over 220 °C, on a stone and at the griddle.
        Said(rolls.With(b => b with { Heat = Celsius(220) }), Caution.HotSurfaces).ShouldBeEmpty();
        Said(rolls.With(b => b with { Heat = Celsius(220.5) }), Caution.HotSurfaces).ShouldBe(["load"]);
        // It dries and slows over 38 °C.
        Place At(double celsius) => new("shelf", "on the boiler", false, Celsius(celsius), 0, null);
        Said(rolls.Cold(null).At(At(38)), Caution.TooWarm).ShouldBeEmpty();
        Said(rolls.Cold(null).At(At(44)), Caution.TooWarm).ShouldBe(["start-proof"]);
        var pretzels = Spec(Pretzels, "pretzel", pieces: 10);
        Said(pretzels, Caution.BoilingBath).ShouldBe(["bath"]);
        Said(pretzels, Caution.Blade).ShouldBeEmpty();
        Said(Spec(SoftRolls, "crusty-roll"), Caution.Blade).ShouldBe(["score"]);
        Said(pretzels, Caution.HoneyInfant).ShouldBeEmpty();
        Said(pretzels, Caution.ChokingAllergen).ShouldBe(["paddle"]);
        Said(Spec(PlaitDough, "plait-3"), Caution.HoneyInfant).ShouldBe(["review"]);
    }

    private static System.Collections.Immutable.ImmutableArray<CautionAt> Cautions(BakeSpec spec) =>
        Core.Steps.Cautions.Of(Chain.Of(spec, SoFar.Nothing(Morning)));

    [Fact]
    public void The_record_sets_plan_beside_what_happened()
    {
        var story = Story
            .Proofing(Spec(SoftRolls, "pan-roll", pieces: 3), 100)
            .Tell(new PartWeighed(1, Grams(290)))
            .Tell(new PartWeighed(3, Grams(320)));
        var (_, title, end, weights, steps, _) = ClosedBake.Of(story.State, "3 pan rolls", step => $"to {step.Id}");
        title.ShouldBe(new("Workbench soft rolls", "3 pan rolls", Grams(1)));
        weights.Parts.Select(p => p.Weighed).ShouldBe([290, null, 320]);
        (weights.Even.Single().Evenness.Spread, weights.Dough, Math.Round(weights.Expected.Grams)).ShouldBe(
            (30, Grams(900), 905)
        );
        var taken = steps.Single(s => s.Step == "take-out");
        (taken.Short, taken.Beat).ShouldBe(("to take-out", true));
        (taken.Times.Actual - taken.Times.Planned)!.Value.TotalMinutes.ShouldBeInRange(-10, 10);
        steps.Single(s => s.Step == "paddle").Times.Actual.ShouldBeNull();
        (end.Stars, end.At).ShouldBe((null, null));
        story.Skip("review");
        ClosedBake.Of(story.State, "", step => $"{step.Id}").End.At.ShouldBe(story.Now);
    }

    [Fact]
    public void A_strand_is_as_thick_as_it_is_heavy_and_opens_into_its_pieces()
    {
        Picture Draw(BakeSpec spec) =>
            Layout.Of(spec, Morning) is var l
                ? StrandLayout.Of([new(spec, l.Steps.Batches, l.Timetable, spec.ExpectedDough)], new(1248, false, TimeSpan.Zero))
                : null!;
        double Tube(Picture p) => p.Strands[0].Ribbons[^1].Thickness;
        Tube(Draw(Spec(SoftRolls, "pan-roll"))).ShouldBeGreaterThan(Tube(Draw(Spec(SoftRolls.Scale(.5), "pan-roll"))) * 1.8);
        foreach (var pieces in new[] { 1, 5, 16 })
            Draw(Spec(SoftRolls, "pan-roll", pieces: pieces)).Strands[0].Ribbons.Length.ShouldBe(pieces + 1);
        // A hundred threads would blur: fewer are drawn, and the table still says how many.
        var many = Draw(Spec(SoftRolls, "pan-roll", pieces: 60));
        many.Strands[0].Ribbons.Length.ShouldBeLessThan(30);
        many.Labels.Single(l => l.Kind == LabelKind.Ready).Count.ShouldBe(60);
    }

    [Fact]
    public void A_plait_in_the_picture_is_a_real_plait()
    {
        var spec = Spec(PlaitDough, "plait-3", pieces: 1);
        var layout = Layout.Of(spec, Morning);
        var picture = StrandLayout.Of(
            [new(spec, layout.Steps.Batches, layout.Timetable, spec.ExpectedDough)],
            new(1248, false, TimeSpan.Zero)
        );
        var proof = picture.Lanes.Single(l => l.Lane == Lane.Proof);
        var lengths = picture
            .Strands[0]
            .Ribbons.Where(r =>
                r.Points.Length == 2
                && r.Points.All(p => p.Y > proof.Top && p.Y < proof.Top + proof.Height)
                && r.Points[0].X > 300
            );
        // Between two crossings every strand is somewhere, and each strand sees every place: it travels.
        var byShade = lengths
            .GroupBy(r => r.Shade)
            .ToDictionary(g => g.Key, g => g.Select(r => Math.Round(r.Points[1].Y)).Distinct().Count());
        byShade.Count.ShouldBe(3);
        byShade.Values.ShouldAllBe(places => places >= 3);
    }

    [Fact]
    public void Ticks_fall_on_the_households_hours()
    {
        var spec = Spec(SoftRolls, "pan-roll");
        var layout = Layout.Of(spec, Morning.AddMinutes(7));
        foreach (var offset in new[] { TimeSpan.Zero, TimeSpan.FromHours(5.5), TimeSpan.FromHours(-3.5) })
        {
            var picture = StrandLayout.Of(
                [new(spec, layout.Steps.Batches, layout.Timetable, spec.ExpectedDough)],
                new(1248, false, offset)
            );
            picture.Ticks.Length.ShouldBeInRange(3, 16);
            picture.Ticks.ShouldAllBe(t => t.ToOffset(offset).Minute % 30 == 0);
        }
    }

    [Fact]
    public void Ready_by_starts_as_late_as_it_can_and_says_when_it_cannot()
    {
        var ease = Layout.Of(Spec(SoftRolls, "pan-roll", readyBy: Morning.AddHours(10)), Morning);
        (ease.Timetable.Ready, ease.LateBy).ShouldBe((Morning.AddHours(10), TimeSpan.Zero));
        ease.Timetable.Start.ShouldBeGreaterThan(Morning.AddHours(6));
        var hurry = Layout.Of(Spec(SoftRolls, "pan-roll", readyBy: Morning.AddHours(1)), Morning);
        hurry.Timetable.Start.ShouldBe(Morning);
        hurry.LateBy.ShouldBe(hurry.Timetable.Ready - Morning.AddHours(1));
        hurry.LateBy.ShouldBeGreaterThan(TimeSpan.FromHours(1));
    }

    [Theory]
    [
        InlineData(null, 57d, 16),
        InlineData(null, 300d, 3),
        InlineData(null, 5000d, 1),
        InlineData(9, null, 9),
        InlineData(null, null, 16)
    ]
    public void Pieces_or_a_weight_each(int? pieces, double? each, int count) =>
        BakeDecision
            .Of(
                SoftRolls,
                Choice(null, "counter", new CutChoice("pan-roll", pieces, each is { } g ? Grams(g) : null)),
                DemoFormulas.Kitchen,
                Morning
            )
            .Value.Cuts[0]
            .Pieces.ShouldBe(count);

    [Theory]
    [InlineData(120, 1, 5)]
    [InlineData(121, 2.5, 8)]
    [InlineData(450, 2.5, 8)]
    [InlineData(451, 4, 12)]
    public void Frozen_bread_thaws_the_longer_the_heavier_it_is(double grams, double hours, double minutes) =>
        Core
            .Finishing.Thawing.Of(Core.Measures.Mass.FromGrams(grams))
            .ShouldBe(new(TimeSpan.FromHours(hours), TimeSpan.FromMinutes(minutes)));
}
