using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>A bake told event by event on a clock of the test's own.</summary>
internal sealed class Story
{
    private BakeLog log = new([]);

    public Story(BakeSpec spec) => (Plan, Now) = (Layout.Of(spec, Morning).Plan, Morning);

    public BakePlan Plan { get; }
    public DateTimeOffset Now { get; private set; }
    public BakeState State => BakeState.Of(Plan, log, Now);
    public string? Beat => State.Now?.Step.Id.ToString();

    public Story At(double minutes)
    {
        Now = Morning.AddMinutes(minutes);
        return this;
    }

    public Story After(double minutes)
    {
        Now = Now.AddMinutes(minutes);
        return this;
    }

    public Story Tell(BakeEvent told)
    {
        var dated = told with { At = told.At ?? Now };
        BakeRules.Refuses(State, dated).ShouldBeNull();
        log = new(log.Entries.Add(new(log.Position + 1, dated)));
        return this;
    }

    public Story Done(params string[] steps) => steps.Aggregate(this, (story, step) => story.Tell(new StepDone(step)));

    public Story Skip(params string[] steps) => steps.Aggregate(this, (story, step) => story.Tell(new StepSkipped(step)));

    /// <summary>As if the cycle had been started at eight sharp.</summary>
    public static Story Started(BakeSpec spec) => new Story(spec).Done("start-cycle");

    /// <summary>With the dough divided and set to proof at this minute.</summary>
    public static Story Proofing(BakeSpec spec, double minute)
    {
        var story = Started(spec)
            .At(minute)
            .Tell(new DoughTakenOut("take-out", DoughFeel.Right))
            .Tell(new DoughWeighed("weigh-dough", Grams(900)));
        string[] hands = ["divide", "shape", "gather-1", "gather-2", "start-proof"];
        return story.Done([.. hands.Where(step => story.State.Timetable[step] is not null)]);
    }

    public Slot Slot(string step) => State.Timetable[step].ShouldNotBeNull($"no step {step}");

    public double Minute(string step) => (Slot(step).Start - Morning).TotalMinutes;
}

/// <summary>What a bake says to do, when it calls, and how it bends to what happens.</summary>
public sealed class BakeStory
{
    private static Story Rolls(string place = "counter") => Story.Started(Spec(SoftRolls, "pan-roll", place, 16));

    [Fact]
    public void A_bake_walks_the_jobs_steps_in_order_and_ends_at_the_table()
    {
        var story = new Story(Spec(SoftRolls, "pan-roll", pieces: 2));
        var walked = new List<string>();
        while (story.State.Now is { } slot && walked.Count < 60)
        {
            walked.Add(slot.Step.Id.ToString());
            if (slot.Start > story.Now)
                story.After((slot.Start - story.Now).TotalMinutes);
            story.Tell(
                slot.Step.Ending switch
                {
                    Ending.Parts => new PartWeighed(story.State.Station.Next!.Number, Grams(450)),
                    _ => slot.Step.Rule.Usual(slot.Step),
                }
            );
        }
        walked.ShouldBe([
            "paddle",
            "weigh-in-2",
            "weigh-in-4",
            "weigh-in-3",
            "weigh-in-5",
            "weigh-in-1",
            "weigh-in-6",
            "weigh-in-7",
            "start-cycle",
            "paddle-turns",
            "check-1",
            "take-out",
            "weigh-dough",
            "divide",
            "divide",
            "shape",
            "start-proof",
            "oven-on",
            "look-1",
            "brush",
            "load",
            "turn",
            "first-look",
            "unload",
            "review",
        ]);
        story.State.Status.ShouldBe(BakeStatus.Finished);
        story.State.Calling.ShouldBeEmpty();
    }

    [Fact]
    public void Liquids_go_first_or_last_as_the_machine_wants_and_yeast_stays_dry()
    {
        Spec(SoftRolls, "pan-roll")
            .Pan.Steps.Select(p => p.Row.Ingredient.Name)
            .ShouldBe(["whole milk", "egg", "butter", "sugar", "strong white flour", "fine salt", "instant yeast"]);
        var dry = Spec(SoftRolls, "pan-roll").In(White);
        dry.Pan.Steps.Select(p => p.Row.Ingredient.Name)
            .ShouldBe(["instant yeast", "strong white flour", "sugar", "fine salt", "butter", "egg", "whole milk"]);
    }

    [Fact]
    public void Minutes_into_kneading_are_counted_after_the_silent_warming()
    {
        var story = Rolls();
        story.Minute("paddle-turns").ShouldBe(21);
        story.Minute("check-1").ShouldBe(26);
        story.Minute("take-out").ShouldBe(92);
        // A machine that kneads at once.
        Story.Started(Spec(SoftRolls, "pan-roll").In(White)).Minute("check-1").ShouldBe(6);
    }

    [Fact]
    public void A_dose_asks_for_another_look_and_a_right_dough_does_not()
    {
        var story = Rolls().At(26).Tell(new DoughChecked("check-1", DoughFeel.Sticky, Mass.Zero, Grams(10)));
        story.Minute("check-2").ShouldBe(29);
        story.State.SoFar.DoughOf(story.Plan.Spec).Grams.ShouldBe(905 + 10 * .99, 1);
        story.At(29).Tell(new DoughChecked("check-2", DoughFeel.Right, Mass.Zero, Mass.Zero));
        story.State.Timetable["check-3"].ShouldBeNull();
        // However late the second sticky look is told, there is a third; only when it no longer kneads there is none.
        var late = Rolls().At(34).Tell(new DoughChecked("check-1", DoughFeel.Sticky, Mass.Zero, Grams(10)));
        late.At(40.9).Tell(new DoughChecked("check-2", DoughFeel.Sticky, Mass.Zero, Grams(10)));
        late.Minute("check-3").ShouldBe(43.9, .01);
        late.At(43.9).Tell(new DoughChecked("check-3", DoughFeel.Sticky, Mass.Zero, Grams(10)));
        late.State.Timetable["check-4"].ShouldBeNull();
    }

    [Theory]
    [InlineData(DoughFeel.Ragged, 14.4, 0), InlineData(DoughFeel.Stiff, 9.6, 0), InlineData(DoughFeel.Right, 0, 0)]
    [InlineData(DoughFeel.Sticky, 0, 9.6), InlineData(DoughFeel.Pooling, 0, 19.2)]
    public void Doses_follow_the_batchs_flour(DoughFeel feel, double water, double flour)
    {
        var dose = Rolls().State.DoseFor(feel);
        (Math.Round(dose.Water.Grams, 6), Math.Round(dose.Flour.Grams, 6)).ShouldBe((water, flour));
    }

    [Fact]
    public void A_missed_check_passes_by_itself_once_it_is_of_no_use()
    {
        var story = Rolls().At(27);
        story.Beat.ShouldBe("check-1");
        story.At(40);
        story.Slot("check-1").State.ShouldBe(StepState.Passed);
        story.Beat.ShouldBe("take-out");
    }

    [Fact]
    public void What_something_later_overtook_needs_no_doing()
    {
        var story = new Story(Spec(SoftRolls, "pan-roll")).Done("start-cycle");
        story.Slot("paddle").State.ShouldBe(StepState.Passed);
        story.Slot("weigh-in-3").State.ShouldBe(StepState.Passed);
        story.Beat.ShouldBe("paddle-turns");
        story.Tell(new Undone(1)).Beat.ShouldBe("paddle");
    }

    [Fact]
    public void Already_running_since_moves_everything()
    {
        var story = new Story(Spec(SoftRolls, "pan-roll"))
            .At(30)
            .Tell(new StepDone("start-cycle") { At = Morning.AddMinutes(10) });
        story.Minute("take-out").ShouldBe(102);
    }

    [Theory]
    [InlineData(50, 50), InlineData(120, 120)]
    public void Early_and_late_take_out_are_ordinary(double minute, double proofFrom)
    {
        var story = Story.Proofing(Spec(SoftRolls, "pan-roll"), minute);
        story.Minute("proof").ShouldBe(proofFrom);
        story.Slot("cycle").End.ShouldBeLessThanOrEqualTo(Morning.AddMinutes(minute));
        story.Minute("load").ShouldBeGreaterThan(proofFrom + 30);
    }

    [Fact]
    public void An_overdue_step_pushes_what_follows_and_keeps_its_own_time()
    {
        var story = Rolls().At(110);
        story.Beat.ShouldBe("take-out");
        story.Minute("take-out").ShouldBe(92);
        var ready = story.State.Timetable.Ready;
        story.At(125).State.Timetable.Ready.ShouldBe(ready.AddMinutes(15));
    }

    [Fact]
    public void The_oven_goes_on_as_late_as_it_can_and_the_load_waits_for_it()
    {
        var story = Story.Proofing(Spec(SoftRolls, "pan-roll"), 100);
        var (on, load) = (story.Slot("oven-on"), story.Slot("load"));
        (load.Start - on.Start).TotalMinutes.ShouldBe(1 + 22.1, .01);
        // Forgotten for ten minutes: the load is ten minutes later, and it is said.
        story.At((on.Start - Morning).TotalMinutes + 10);
        story.Done("oven-on").Slot("load").Start.ShouldBe(load.Start.AddMinutes(9), TimeSpan.FromMinutes(.1));
    }

    [Fact]
    public void A_look_moves_the_window_and_one_that_is_ready_asks_for_no_more()
    {
        var story = Story.Proofing(Spec(SoftRolls, "pan-roll"), 100);
        var before = story.Minute("load");
        story.At(story.Minute("look-1")).Tell(new ProofLooked("look-1", Seen.Third));
        story.Minute("load").ShouldBeGreaterThan(before + 5);
        story.Minute("look-2").ShouldBeGreaterThanOrEqualTo((story.Now - Morning).TotalMinutes + 4 - .01);
        var belief = story.State.Chain.Batches[0].Proof.Belief;
        belief.LogSpread.ShouldBeLessThan(PaceBelief.Prior.After([]).LogSpread);
        story.At(story.Minute("look-2")).Tell(new ProofLooked("look-2", Seen.Doubled));
        story.State.Timetable["look-3"].ShouldBeNull();
    }

    [Fact]
    public void Dough_in_the_oven_comes_out_before_it_heats_also_when_somebody_dawdles()
    {
        var story = Story.Proofing(Spec(SoftRolls, "pan-roll", "oven-light"), 100);
        story.Slot("clear-oven").End.ShouldBeLessThanOrEqualTo(story.Slot("oven-on").Start);
        var due = story.Minute("clear-oven");
        story.At(due + 8);
        story.State.Calling.Select(s => s.Step.Id).ShouldContain("clear-oven");
        story.Slot("oven-on").Start.ShouldBeGreaterThanOrEqualTo(story.Now);
        story.Done("clear-oven").Slot("load").Start.ShouldBeGreaterThanOrEqualTo(story.Now.AddMinutes(23));
        // It rises on, so it is still looked at.
        story.Slot("look-1").IsOpen.ShouldBeTrue();
    }

    [Fact]
    public void A_call_is_heard_once_and_a_later_one_calls_again()
    {
        var story = Rolls().At(21);
        story.State.Calling.Select(s => s.Step.Id).ShouldBe(["paddle-turns"]);
        story.State.NextCall.ShouldBe(Morning.AddMinutes(26));
        story.Tell(new AlarmsHushed()).State.Calling.ShouldBeEmpty();
        story.At(25.5).State.Calling.ShouldBeEmpty();
        story.At(26).State.Calling.Select(s => s.Step.Id).ShouldBe(["check-1"]);
        // Doing it is hearing it.
        story.Tell(new DoughChecked("check-1", DoughFeel.Right, Mass.Zero, Mass.Zero)).State.Calling.ShouldBeEmpty();
        // A call put off by what happened calls anew at its new time.
        story.At(92).Tell(new AlarmsHushed()).State.Calling.ShouldBeEmpty();
        story.Tell(new Undone(2)).State.Status.ShouldBe(BakeStatus.UnderWay);
    }

    [Fact]
    public void A_stopped_bake_is_silent_and_takes_only_its_end_back()
    {
        var story = Rolls().At(95).Tell(new Stopped());
        (story.State.Status, story.State.Now, story.State.Calling.Length).ShouldBe((BakeStatus.Stopped, null, 0));
        BakeRules.Refuses(story.State, new StepDone("paddle") { At = story.Now })!.Type.ShouldBe("bake-over");
        story.Tell(new Undone(2)).Beat.ShouldBe("take-out");
    }

    [Fact]
    public void Pretzels_go_through_a_pot_that_boils_in_time()
    {
        var story = Story.Proofing(Spec(Pretzels, "pretzel", pieces: 10), 100);
        story.Slot("pot-heats").End.ShouldBeLessThanOrEqualTo(story.Slot("bath").Start.AddSeconds(1));
        story.Slot("bath").Step.About!.Count.ShouldBe(5);
        story.State.Timetable["brush"].ShouldBeNull();
    }

    [Fact]
    public void Strands_are_weighed_by_loaf_and_the_dough_weighed_sets_them()
    {
        var story = Story
            .Started(Spec(PlaitDough, "plait-3", pieces: 2))
            .At(95)
            .Tell(new DoughWeighed("weigh-dough", Grams(833)));
        story.State.Station.Pieces.Select(p => p.Target).ShouldBe([139, 139, 139, 139, 139, 138]);
        story.Tell(new PartWeighed(1, Grams(150)));
        story.State.Station.Pieces.Skip(1).Select(p => p.Target).ShouldBe([134, 133, 139, 139, 138]);
        foreach (var n in Enumerable.Range(2, 5))
            story.Tell(new PartWeighed(n, Grams(137)));
        story.Beat.ShouldBe("shape");
        // Weighing one again does not open the dividing again.
        story.Tell(new PartWeighed(1, Grams(139))).Beat.ShouldBe("shape");
    }

    [Fact]
    public void A_weigh_in_keeps_its_name_whatever_the_order()
    {
        Dictionary<string, string> Names(Machine machine) =>
            Chain
                .Of(Spec(SoftRolls, "pan-roll").In(machine), SoFar.Nothing(Morning))
                .Steps.Where(s => s.Kind.Name == "weigh-in-#")
                .ToDictionary(s => s.Id.ToString(), s => s.About!.Thing!);
        var (liquidsFirst, dryFirst) = (
            Names(Blue with { LoadOrder = LoadOrder.LiquidsFirst }),
            Names(Blue with { LoadOrder = LoadOrder.DryFirst })
        );
        liquidsFirst.Keys.ShouldNotBe(dryFirst.Keys);
        liquidsFirst.ShouldBe(dryFirst, ignoreOrder: true);
        liquidsFirst["weigh-in-2"].ShouldBe("whole milk");
    }

    [Fact]
    public void A_bake_keeps_the_steps_it_was_laid_out_with_until_its_baker_takes_newer_ones()
    {
        // As if washing had come with the second version of the rules.
        static int Since(StepRule rule) => rule.Kind.Name == "brush" ? 2 : 1;
        var (spec, nothing) = (Spec(SoftRolls, "pan-roll"), SoFar.Nothing(Morning));
        spec.Rules.ShouldBe(RuleBook.Version);
        Steps(spec with { Rules = 1 }, nothing).ShouldNotContain("brush");
        Steps(spec with { Rules = 2 }, nothing).ShouldContain("brush");
        var taken = Chain.Of(spec with { Rules = 1 }, nothing with { RulesTaken = 2 }, Since);
        taken.Steps.Select(s => s.Id).ShouldContain("brush");
        new BakeLog([new(1, new RulesTaken(2) { At = Morning }), new(2, new Undone(1) { At = Morning })])
            .SoFar(spec, Morning)
            .RulesTaken.ShouldBeNull();
        // What came after it waits for what came before it.
        Chain
            .Of(spec with { Rules = 1 }, nothing, Since)
            .Steps.Single(s => s.Id == "load")
            .After.ShouldContain(l => l.Step == "proof");
        taken.Steps.Single(s => s.Id == "load").After.ShouldContain(l => l.Step == "brush");

        var story = new Story(spec);
        story.State.NewSteps.ShouldBeEmpty();
        BakeRules.Refuses(story.State, new RulesTaken(RuleBook.Version) { At = story.Now })!.Field.ShouldBe("rules");
        BakeRules.Refuses(story.State, new RulesTaken(RuleBook.Version + 1) { At = story.Now })!.Field.ShouldBe("rules");

        static IEnumerable<string> Steps(BakeSpec spec, SoFar soFar) =>
            Chain.Of(spec, soFar, Since).Steps.Select(s => s.Id.ToString());
    }

    [Fact]
    public void What_really_went_in_is_what_is_expected_out()
    {
        var story = new Story(Spec(SoftRolls, "pan-roll")).Skip("paddle").Tell(new IngredientWeighed("weigh-in-2", Grams(320)));
        story.State.SoFar.DoughOf(story.Plan.Spec).Grams.ShouldBe(940 * .99 - 6, .01);
    }
}
