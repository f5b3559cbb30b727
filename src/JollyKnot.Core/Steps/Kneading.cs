// While it kneads: the machine's time, and what is looked at, felt and added in it.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Steps;

/// <summary>The machine waits for its timer.</summary>
internal sealed class MachineTimer() : DoughRule("timer")
{
    public override bool MakesDough => true;

    public override Lane? Holds => Lane.Machine;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (bake.Spec.Handling.Timer is not { } timer)
            yield break;
        yield return new(timer)
        {
            EndedBy = new(Milestone.OutOfMachine),
            Occupies = new(ResourceKind.Machine, bake.Spec.Machine.Id),
            About = new(bake.Spec.Machine.Name),
        };
    }
}

/// <summary>The dough cycle runs.</summary>
internal sealed class DoughCycle() : DoughRule("cycle")
{
    public override bool MakesDough => true;

    public override RecipeStage? ToldAt => RecipeStage.Mixing;

    public override Lane? Holds => Lane.Machine;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Cycle];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var machine = bake.Spec.Machine;
        // Taken out early, the dough leaves the machine when kneading ends.
        var early = bake.Spec.Handling.After is { Early: true };
        var length = LookAtFirstRise.IsAsked(bake) ? machine.KneadEnd + LookAtFirstRise.Rises(bake) : machine.CycleLength;
        yield return new(early ? machine.KneadEnd : length)
        {
            EndedBy = new(Milestone.OutOfMachine),
            Occupies = new(ResourceKind.Machine, machine.Id),
            About = new(machine.Name),
        };
    }
}

/// <summary>Knead by hand.</summary>
internal sealed class KneadByHand() : DoughRule("knead")
{
    public override bool MakesDough => true;

    public override RecipeStage? ToldAt => RecipeStage.Mixing;

    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var machine = bake.Spec.Machine;
        if (!machine.ByHand)
            yield break;
        yield return new(machine.Kneads)
        {
            Waits = [new(new(Milestone.Cycle), Edge.Start)],
            PointlessAfter = new(Milestone.OutOfMachine),
            Calls = true,
            About = new(machine.Name),
        };
    }
}

/// <summary>See that the paddle turns.</summary>
internal sealed class PaddleTurns() : DoughRule("paddle-turns")
{
    public override bool MakesDough => true;

    public override RecipeStage? ToldAt => RecipeStage.Mixing;

    // From the start of kneading; and missed by so much it is pointless. Bakers' usage.
    private static readonly TimeSpan Due = TimeSpan.FromMinutes(1),
        Useful = TimeSpan.FromMinutes(4);

    public override Ending? Ending => Steps.Ending.YesNo;

    public override bool IsGlance => true;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [Caution.MachineHands];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var machine = bake.Spec.Machine;
        if (machine.ByHand || !CheckDough.IsWatched(bake))
            yield break;
        yield return new(TimeSpan.FromSeconds(30))
        {
            Waits = [new(new(Milestone.Cycle), Edge.Start, machine.KneadStart + Due)],
            PointlessAfter = new(Milestone.OutOfMachine),
            UsefulFor = Useful,
            Calls = true,
            About = new(machine.Name, Count: machine.Paddles),
        };
    }
}

/// <summary>Judge the dough and dose. A dose wants another look; a right dough, or one past help, does not.</summary>
internal sealed class CheckDough() : DoughRule("check-#")
{
    public override bool MakesDough => true;

    public override RecipeStage? ToldAt => RecipeStage.Mixing;

    // The rules from which on a dose is looked at again as long as it kneads.
    private const int LooksWhileItKneads = 2;

    // Bakers' usage.
    private static readonly TimeSpan Takes = TimeSpan.FromMinutes(3);

    public override Ending? Ending => Steps.Ending.Feel;

    // A check has its window. Bakers' usage.
    public override TimeSpan? Patience => Minutes(4);

    public override Panel Panel => Panel.Doses;

    public override Problem? Refuses(StepEvent told) => told is DoughChecked ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new DoughChecked(step.Id, DoughFeel.Right, Mass.Zero, Mass.Zero);

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) =>
        bake.Spec.Machine.ByHand ? [] : [Caution.MachineHands];

    /// <summary>Whether somebody stands by: nobody does when a timer starts the machine.</summary>
    public static bool IsWatched(BakeSoFar bake) => bake.Spec.Machine.ByHand || bake.Spec.Handling.Timer is null;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (!IsWatched(bake))
            yield break;
        var checks = bake.SoFar.Checks;
        var held = bake.SoFar.HeldLeft(bake.Spec);
        var machine = bake.Spec.Machine;
        var lastDose = machine.KneadStart + DoughCheck.Last;
        // However late it comes: as long as it kneads, what was dosed is looked at again.
        var lastLook = bake.SoFar.RulesOf(bake.Spec) < LooksWhileItKneads ? lastDose : machine.KneadEnd;
        for (var number = 1; number <= checks.Length + 1; number++)
        {
            var isFirst = number == 1;
            if (!isFirst && checks[number - 2].Feel == DoughFeel.Right)
                yield break;
            var due = DueAt(bake, number);
            if (!isFirst && due >= lastLook)
                yield break;
            yield return new(Takes)
            {
                Number = number,
                Waits = [new(new(Milestone.Cycle), Edge.Start, due)],
                PointlessAfter = new(Milestone.OutOfMachine),
                UsefulFor = Longer((isFirst ? lastDose : lastLook) - due, Takes),
                Calls = true,
                About = held > Mass.Zero ? new(bake.Spec.Liquid?.Ingredient.Name, held, Count: number) : new(Count: number),
            };
        }
    }

    // From the start of the cycle: a while after the check before, as it was made.
    private TimeSpan DueAt(BakeSoFar bake, int number)
    {
        var wait = DoughCheck.WaitFor(bake.Spec.Dough);
        if (
            number > 1
            && bake.SoFar.When(Id(number: number - 1)) is { } before
            && bake.SoFar.When(Milestone.Started) is { } start
        )
            return before + wait - start;
        return bake.Spec.Machine.KneadStart + DoughCheck.First + wait * (number - 1);
    }
}

/// <summary>Add-ins at the beep.</summary>
internal sealed class AddIns() : DoughRule("add-ins")
{
    public override bool MakesDough => true;

    public override RecipeStage? ToldAt => RecipeStage.Mixing;

    // Missed by so much, a handful of seeds is pointless. Bakers' usage.
    private static readonly TimeSpan Useful = TimeSpan.FromMinutes(8);

    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) =>
        bake.Spec.Machine.ByHand ? [] : [Caution.MachineHands];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var addIns = bake.Pan.AddIns;
        if (addIns.IsEmpty || !CheckDough.IsWatched(bake))
            yield break;
        var machine = bake.Spec.Machine;
        yield return new(Minutes(1))
        {
            Waits = [new(new(Milestone.Cycle), Edge.Start, machine.KneadStart + (machine.Beep ?? DoughCheck.Last))],
            PointlessAfter = new(Milestone.OutOfMachine),
            UsefulFor = Useful,
            Calls = true,
            About = new(
                string.Join(", ", addIns.Select(r => r.Ingredient.Name)),
                addIns.Aggregate(Mass.Zero, (sum, r) => sum + r.Mass)
            ),
        };
    }
}
