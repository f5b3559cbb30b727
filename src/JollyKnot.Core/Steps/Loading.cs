// Into the pan: what is got ready before, and what goes in.
using System.Collections.Immutable;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Steps;

/// <summary>Stir the yeast into warm liquid.</summary>
internal sealed class Bloom() : DoughRule("bloom")
{
    public override bool MakesDough => true;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.YeastStirred];

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [Caution.HotLiquid];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (bake.Pan.BloomIn is not { } liquid)
            yield break;
        yield return new(Minutes(2))
        {
            About = new(bake.Spec.Liquid?.Ingredient.Name, liquid, Heat: LiquidTemperature.Bloom.From)
            {
                With = bake.Spec.Dough.Rows.FirstOrDefault(r => r.Ingredient.Role == Role.Sugar)?.Ingredient.Name,
            },
        };
    }
}

/// <summary>It blooms.</summary>
internal sealed class Blooms() : DoughRule("blooms")
{
    public override bool MakesDough => true;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Bloomed];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (bake.Pan.BloomIn is null)
            yield break;
        yield return new(LoadSchool.Blooming) { Waits = [After(Milestone.YeastStirred)], EndedBy = new(Milestone.FirstIn) };
    }
}

/// <summary>Put the paddle in.</summary>
internal sealed class Paddle() : DoughRule("paddle")
{
    public override bool MakesDough => true;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Machine;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) =>
        bake.Spec.Dough.Allergens.IsEmpty && bake.Spec.Dough.Untold.IsEmpty ? [] : [Caution.ChokingAllergen];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var machine = bake.Spec.Machine;
        if (machine.Paddles == 0)
            yield break;
        yield return new(Minutes(1)) { About = new(machine.Name, Count: machine.Paddles) };
    }
}

/// <summary>Weigh one ingredient in. Named by the dough's row, so that another order renames nothing.</summary>
internal sealed class WeighIn() : DoughRule("weigh-in-#")
{
    public override bool MakesDough => true;

    // Loading a pan takes 8 to 15 min. Bakers' usage.
    private static readonly TimeSpan Loading = TimeSpan.FromMinutes(10);

    public override Ending? Ending => Steps.Ending.Mass;

    public override Lane? Holds => Lane.Machine;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.FirstIn];

    public override bool WorthTelling => false;

    public override Problem? Refuses(StepEvent told) => told is IngredientWeighed ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new IngredientWeighed(step.Id, step.About!.Mass!.Value);

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) =>
        bake.Spec.Dough.Rows[step.Id.Number - 1].Ingredient.Role == Role.Egg ? [Caution.RawDough] : [];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var pan = bake.Pan;
        foreach (var step in pan.Steps)
            yield return new(Loading / pan.Steps.Length)
            {
                Number = step.Number,
                Waits = step == pan.Steps[0] && pan.BloomIn is not null ? [After(Milestone.Bloomed)] : [],
                About = new(step.Row.Ingredient.Name, step.Mass, step.Running, Spot: step.Spot)
                {
                    With =
                        pan.BloomIn is not null && step.Row.Ingredient.Role == Role.Yeast
                            ? bake.Spec.Liquid?.Ingredient.Name
                            : null,
                },
            };
    }
}

/// <summary>Press start, or mix it.</summary>
internal sealed class StartCycle() : DoughRule("start-cycle")
{
    public override bool MakesDough => true;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Machine;

    // Where nothing is weighed in, it is the first thing.
    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.FirstIn, Milestone.Started];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var (machine, timer) = (bake.Spec.Machine, bake.Spec.Handling.Timer ?? TimeSpan.Zero);
        yield return new(Minutes(1)) { About = new(machine.Name, Length: machine.CycleLength + timer) };
    }
}

/// <summary>
/// Take out of the fridge what is to be as warm as the room; where there is no time left, the liquid is warmer instead.
/// Nobody is woken for it.
/// </summary>
internal sealed class FetchOut() : DoughRule("fetch-out")
{
    public override bool MakesDough => true;

    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Fetched];

    public override bool IsGlance => true;

    public override bool WakesNobody => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (ComesToRoom.Of(bake) is not { } about)
            yield break;
        yield return new(Minutes(1))
        {
            InTimeFor = new(Milestone.FirstIn),
            UsefulFor = ComesToRoom.Takes - ComesToRoom.Least,
            PointlessAfter = new(Milestone.FirstIn),
            About = about,
        };
    }
}

/// <summary>It comes to the room.</summary>
internal sealed class ComesToRoom() : DoughRule("comes-to-room")
{
    public override bool MakesDough => true;

    /// <summary>So long. Bakers' usage.</summary>
    public static TimeSpan Takes { get; } = TimeSpan.FromMinutes(60);

    /// <summary>Less is of no use. Bakers' usage.</summary>
    public static TimeSpan Least { get; } = TimeSpan.FromMinutes(10);

    /// <summary>What is cold and should not be; null where nothing is, or where it waits in the pan anyway.</summary>
    public static About? Of(BakeSoFar bake)
    {
        if (bake.Spec.Handling.Timer is not null)
            return null;
        var cold = bake
            .Pan.Steps.Select(s => s.Row.Ingredient)
            .Where(i => i is { Chilled: true, Role: Role.Fat or Role.Egg })
            .ToList();
        return cold.Count == 0 ? null : new(string.Join(" and ", cold.Select(i => i.Name)));
    }

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (Of(bake) is not { } about)
            yield break;
        yield return new(Takes)
        {
            Waits = [After(Milestone.Fetched)],
            InTimeFor = new(Milestone.FirstIn),
            EndedBy = new(Milestone.FirstIn),
            About = about,
        };
    }
}

/// <summary>Feed the starter, the evening before; where there is no evening left, it is taken to be ripe.</summary>
internal sealed class FeedStarter() : DoughRule("feed-starter")
{
    public override bool MakesDough => true;

    // It may be fed so much later than planned. Bakers' usage.
    private static readonly TimeSpan Margin = TimeSpan.FromHours(2);

    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Fed];

    public override bool IsGlance => true;

    public override bool WakesNobody => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (StarterRipens.Of(bake) is not { } starter)
            yield break;
        yield return new(Minutes(5))
        {
            InTimeFor = new(Milestone.FirstIn),
            UsefulFor = Margin,
            PointlessAfter = new(Milestone.FirstIn),
            Calls = true,
            About = new(starter.Row.Ingredient.Name, starter.Mass),
        };
    }
}

/// <summary>The starter ripens.</summary>
internal sealed class StarterRipens() : DoughRule("starter-ripens")
{
    public override bool MakesDough => true;

    // Bakers' usage: 8 to 12 h.
    private static readonly TimeSpan Takes = TimeSpan.FromHours(10);

    /// <summary>The starter that goes in; null where none does.</summary>
    public static PanStep? Of(BakeSoFar bake) => bake.Pan.Steps.FirstOrDefault(s => s.Row.Ingredient.Role == Role.Starter);

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (Of(bake) is not { } starter)
            yield break;
        yield return new(Takes)
        {
            Waits = [After(Milestone.Fed)],
            InTimeFor = new(Milestone.FirstIn),
            EndedBy = new(Milestone.FirstIn),
            About = new(starter.Row.Ingredient.Name),
        };
    }
}
