using CsCheck;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Every rule of a step, walked; and what steps are called.</summary>
public sealed class StepRulesTests
{
    public static TheoryData<string> Kinds => [.. StepRules.All.Select(r => r.Kind.Name)];

    [Theory, MemberData(nameof(Kinds))]
    public void A_rule_takes_its_usual_ending_and_no_other(string kind)
    {
        var rule = StepRules.Of(new(kind));
        if (rule.Ending is not { } ending)
            return;
        var step = new Step(rule.Id(1, 1), Minutes(1), [], ending, About: new(Mass: Grams(10)));
        var usual = rule.Usual(step);
        (usual.Step, rule.Refuses(usual)).ShouldBe((step.Id, null));
        if (usual is not StepDone)
            rule.Refuses(new StepDone(step.Id))!.Code.ShouldBe("needs-answer");
        StepEvent[] others =
        [
            new IngredientWeighed(step.Id, Grams(1)),
            new DoughWeighed(step.Id, Grams(1)),
            new Reviewed(step.Id, 3, ""),
        ];
        foreach (var other in others.Where(o => o.GetType() != usual.GetType()))
            rule.Refuses(other)!.Code.ShouldBe("wrong-event");
    }

    [Fact]
    public void A_point_of_the_job_that_is_asked_for_by_batch_is_one_kind()
    {
        Milestone[] one =
        [
            Milestone.Started,
            Milestone.Cycle,
            Milestone.Divided,
            Milestone.SetToProof,
            Milestone.OutOfCold,
            Milestone.OvenCleared,
            Milestone.In,
            Milestone.Baking,
            Milestone.Out,
            Milestone.Cooled,
            Milestone.Eaten,
        ];
        foreach (var milestone in one)
            StepRules.At(milestone).Length.ShouldBe(1, $"{milestone}");
        foreach (var milestone in Enum.GetValues<Milestone>())
            StepRules.At(milestone).ShouldNotBeEmpty($"{milestone}");
        StepRules.All.Count(r => r.IsTheEnd).ShouldBe(1);
    }

    [Fact]
    public void Hands_end_what_has_an_ending_and_nothing_waits_for_what_is_not_there()
    {
        // Everything at once: filling, wash, cold, bath, scoring, two heats.
        var rows = SoftRolls.Rows.Select(r => new RowDraft(r.Ingredient.Name, r.Mass));
        PartDraft filling = new(PartKind.Filling, "cheese", [new("butter", Grams(50))]);
        var dough = Dough.Create(new("Everything", [.. rows], [filling])).Value;
        var cuts = new[] { new CutChoice("pretzel", 4), new CutChoice("baton", 1, WashId: "egg"), new CutChoice("pan-roll", 4) };
        var spec = BakeDecision.Of(dough, Choice(null, "oven-light", cuts), DemoFormulas.Kitchen, Morning).Value;
        var steps = Chain.Of(spec, SoFar.Nothing(Morning)).Steps;
        steps.Select(s => s.Id).ShouldBeUnique();
        var ids = steps.Select(s => s.Id).ToHashSet();
        foreach (var step in steps)
        {
            step.Occupies.Contains(Resource.Hands).ShouldBe(step.IsBeat, $"{step.Id}");
            (step.IsBeat || step.EndedBy is not null).ShouldBeTrue($"{step.Id}");
            step.After.Select(l => l.Step)
                .Concat(new[] { step.InTimeFor, step.EndedBy, step.PointlessAfter }.OfType<StepId>())
                .ShouldAllBe(id => ids.Contains(id));
            StepId.Parse($"{step.Id}").ShouldBe(step.Id);
        }
    }

    [Fact]
    public void Any_text_names_a_step_and_comes_back_as_it_was() =>
        Gen.OneOf(Gen.String, Gen.String[Gen.Char["ab-@#0123456789"], 0, 12])
            .ForAll(text => StepId.Parse(text).ToString().ShouldBe(text), iter: 4000);

    [Theory]
    [InlineData("load", "load", 0, 0), InlineData("look-2@3", "look-#", 2, 2), InlineData("part-1-cools", "part-#-cools", 0, 1)]
    [
        InlineData("weigh-in-12", "weigh-in-#", 0, 12),
        InlineData("start-proof@2", "start-proof", 1, 0),
        InlineData("look-0", "look-0", 0, 0),
        InlineData("load@1", "load@1", 0, 0)
    ]
    public void The_name_of_a_step_says_kind_batch_and_number(string text, string kind, int batch, int number) =>
        StepId.Parse(text).ShouldBe(new StepId(new(kind), batch, number));

    [Theory]
    [
        InlineData("acacia honey", true),
        InlineData("Honey", true),
        InlineData("honeydew melon", false),
        InlineData("date syrup", false)
    ]
    public void A_honey_of_the_households_own_warns_for_babies(string name, bool warns)
    {
        var rows = SoftRolls.Rows.Select(r => new RowDraft(r.Ingredient.Name, r.Mass)).Append(new(name, Grams(20), Role.Sugar));
        var dough = Dough.Create(new("Sweet", [.. rows])).Value;
        var found = Cautions.Of(Chain.Of(Spec(dough, "pan-roll"), SoFar.Nothing(Morning))).Select(c => c.Caution);
        found.Contains(Caution.HoneyInfant).ShouldBe(warns);
    }

    [Fact]
    public void All_cautions_of_a_step_are_found_the_gravest_first()
    {
        var spec = Spec(SoftRolls, "crusty-roll", pieces: 8);
        var hot = spec.With(b => b with { Wash = Washes.Find("egg")!, Heat = Celsius(230) }) is var s
            ? s with
            {
                Handling = s.Handling with { Ways = new(Steam: Baking.Steam.Tray) },
            }
            : spec;
        Cautions
            .Of(Chain.Of(hot, SoFar.Nothing(Morning)))
            .Where(c => c.Step == "load")
            .Select(c => c.Caution)
            .ShouldBe([Caution.Steam, Caution.HotSurfaces, Caution.LeftoverWash]);
    }
}
