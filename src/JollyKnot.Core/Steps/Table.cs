// What belongs to the bread but is no dough, and the table.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Steps;

/// <summary>Make a filling, topping, wash or butter: as late as it can be, and ready, and cool, when it is wanted.</summary>
internal sealed class MakePart() : DoughRule("part-#")
{
    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.PartMade];

    public override bool IsSideJob => true;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) =>
        Stores(bake.Spec.Dough.Parts[step.Id.Number - 1]) ? [Caution.Garlic] : [];

    // Without air, in fat: what raw garlic and herbs must not keep in for long.
    private static bool Stores(Part part) =>
        part.Rows.Any(r => r.Ingredient.Role == Role.Fat) && part.Rows.Any(r => r.Ingredient.GrowsInFat);

    /// <summary>It went in when the pieces were shaped, another day.</summary>
    public static bool IsInside(Part part, BakeSoFar bake) => bake.Spec.IsShaped && part.Kind == PartKind.Filling;

    /// <summary>What a part is wanted for.</summary>
    public static Target WantedFor(Part part, BakeSoFar bake) =>
        part.Told switch
        {
            PartMoment.BeforeProof => new(Milestone.SetToProof, 0),
            PartMoment.Hot => new(Milestone.Out, 0),
            PartMoment.Cold => new(Milestone.Cooled, 0),
            _ => AsItsKind(part, bake),
        };

    private static Target AsItsKind(Part part, BakeSoFar bake) =>
        part.Kind switch
        {
            // Before the hands are full of dough.
            PartKind.Filling => new(Milestone.OutOfMachine),
            PartKind.Butter => new(Milestone.Out, 0),
            PartKind.Wash when bake.Batches.FirstOrDefault(b => b.Bread.Brushed) is { } brushed => new(
                Milestone.Brushed,
                brushed.Index
            ),
            _ => new(Milestone.In, 0),
        };

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        for (var number = 1; number <= bake.Spec.Dough.Parts.Length; number++)
        {
            var part = bake.Spec.Dough.Parts[number - 1];
            if (part.Work.Hands + part.Work.Hob <= TimeSpan.Zero || IsInside(part, bake))
                continue;
            yield return new(part.Work.Hands + part.Work.Hob)
            {
                Number = number,
                InTimeFor = WantedFor(part, bake),
                PointlessAfter = WantedFor(part, bake),
                Calls = true,
                About = new(part.Name, part.Total, Length: part.Work.Hob),
            };
        }
    }
}

/// <summary>It cools.</summary>
internal sealed class PartCools() : DoughRule("part-#-cools")
{
    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        for (var number = 1; number <= bake.Spec.Dough.Parts.Length; number++)
        {
            var part = bake.Spec.Dough.Parts[number - 1];
            if (part.Work.Cool <= TimeSpan.Zero || MakePart.IsInside(part, bake))
                continue;
            yield return new(part.Work.Cool)
            {
                Number = number,
                Waits = [After(Milestone.PartMade, number: number)],
                InTimeFor = MakePart.WantedFor(part, bake),
                EndedBy = MakePart.WantedFor(part, bake),
                About = new(part.Name, part.Total, Length: part.Work.Hob),
            };
        }
    }
}

/// <summary>Ready to eat: rate it and note.</summary>
internal sealed class Review() : DoughRule("review")
{
    public override Ending? Ending => Steps.Ending.Review;

    public override Lane? Holds => Lane.Table;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Eaten];

    public override bool IsTurningPoint => true;

    public override bool IsTheEnd => true;

    // Bread can be eaten and judged at any time.
    public override Urgency Urgency => Urgency.CanWait;

    public override Problem? Refuses(StepEvent told) => told is Reviewed ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new Reviewed(step.Id, 5, "");

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake)
    {
        if (bake.Spec.Dough.HasHoney)
            yield return Caution.HoneyInfant;
        if (bake.Spec.Dough.Spoils)
            yield return Caution.KeepCold;
    }

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        yield return new(TimeSpan.Zero)
        {
            Waits = [.. bake.Batches.Select(b => After(Milestone.Cooled, b.Index))],
            Calls = true,
            About = new(Count: bake.Batches.Sum(b => b.Pieces)),
        };
    }
}
