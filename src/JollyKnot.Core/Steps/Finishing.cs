// What goes under, on and over a bread, each at its moment.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Steps;

/// <summary>Grease, line or dust what the dough is to lie in or on.</summary>
internal sealed class ReadyPan() : BatchRule("ready-pan")
{
    public override int Since => RuleBook.Finishing;

    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override bool WakesNobody => true;

    public override RecipeStage? ToldAt => RecipeStage.Shaping;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var under = Under(bake.Spec.Dough, of.Bread).ToList();
        var wallsHold = of.Bread is { OnGriddle: false, Pan.IsFlat: false } or { Family.Form: Form.Tray };
        if (of.Bread.Pan is not { } pan || (under.Count == 0 && !wallsHold))
            yield break;
        yield return new(Minutes(1))
        {
            // While hands are clean and free; once there is dough in them, it is too late to say.
            InTimeFor = new(Milestone.OutOfMachine),
            PointlessAfter = new(Milestone.OutOfMachine),
            About = new(pan.Name, Count: of.Bread.Pans?.Used ?? 1) { With = Named(under) },
        };
    }

    private static IEnumerable<Part> Under(Dough dough, Bread bread) =>
        dough.Parts.Where((p, i) => p.Kind == PartKind.Surface && bread.IsGiven(i + 1));

    private static string? Named(List<Part> parts) =>
        parts.Count == 0 ? null : string.Join(" and ", parts.Select(p => p.Contents));
}

/// <summary>What goes on top at its moment: what is to stick comes within two minutes after the wash or the bath.</summary>
/// <param name="moment">The moment.</param>
internal sealed class PutOn(PartMoment moment) : BatchRule("top-#")
{
    // A sprinkling over one piece; what is spread takes a spoon and longer. Ours.
    private static readonly TimeSpan Sprinkling = TimeSpan.FromSeconds(5),
        Spreading = TimeSpan.FromSeconds(15);

    // Cheese and the like melt and colour in so long. Bakers' usage.
    private static readonly TimeSpan LastMinutes = TimeSpan.FromMinutes(10);

    public override int Since => RuleBook.Finishing;

    public override RecipeStage? ToldAt => RecipeStage.Finishing;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => moment is PartMoment.BeforeProof or PartMoment.BeforeOven ? Lane.Hands : null;

    public override bool IsGlance => Holds is null;

    public override ImmutableArray<Milestone> Marks { get; } = moment == PartMoment.BeforeOven ? [Milestone.TakenUp] : [];

    /// <summary>How long putting on all that goes on a batch before the oven takes.</summary>
    public static TimeSpan LengthOf(BakeSpec spec, Batch batch) =>
        Numbers(spec, batch, PartMoment.BeforeOven).Aggregate(TimeSpan.Zero, (sum, n) => sum + Takes(spec, batch, n));

    private static IEnumerable<int> Numbers(BakeSpec spec, Batch batch, PartMoment moment)
    {
        for (var number = 1; number <= spec.Dough.Parts.Length; number++)
            if (spec.Dough.Parts[number - 1] is { IsOnTop: true } part && part.Moment == moment && batch.Bread.IsGiven(number))
                yield return number;
    }

    private static TimeSpan Takes(BakeSpec spec, Batch batch, int number) =>
        (spec.Dough.Parts[number - 1].Method == PartMethod.Sprinkled ? Sprinkling : Spreading) * batch.Pieces;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake, Forecast of)
    {
        var spec = bake.Spec;
        foreach (var number in Numbers(spec, of.Batch, moment))
        {
            var part = spec.Dough.Parts[number - 1];
            yield return When(bake, of, new(Takes(spec, of.Batch, number))) with
            {
                Number = number,
                About = new(part.Contents, spec.ShareOf(number, of.Batch), Count: of.Batch.Pieces),
            };
        }
    }

    private Draft When(BakeSoFar bake, Forecast of, Draft draft)
    {
        var likely = of.Window.Likely;
        return moment switch
        {
            PartMoment.BeforeOven when !bake.Spec.BrushedLast(of.Bread) && !of.Bread.Family.Bathed => draft with
            {
                Calls = true,
                Waits = OvenFree.For(bake, of),
            },
            PartMoment.PartWay => draft with
            {
                Calls = true,
                Waits = [new(new(Milestone.Baking), Edge.Start, Longer(likely - LastMinutes, likely / 2))],
                PointlessAfter = new(Milestone.Out),
            },
            PartMoment.Hot => draft with
            {
                Calls = true,
                Waits = [After(Milestone.Out, of.Batch.Index)],
                PointlessAfter = new(Milestone.Eaten),
                UsefulFor = of.Bread.Family.Cooling,
            },
            PartMoment.Cold => draft with
            {
                Calls = true,
                Waits = [After(Milestone.Cooled, of.Batch.Index)],
                PointlessAfter = new(Milestone.Eaten),
            },
            _ => draft,
        };
    }
}
