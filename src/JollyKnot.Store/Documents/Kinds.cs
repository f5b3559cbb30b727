using System.Text.Json.Nodes;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Store;

/// <summary>The documents of the books. Settings are documents too: each is told where it is used.</summary>
public static class Kinds
{
    /// <summary>A dough; what is kept can be reckoned. 2: says of parts, hands and notes even where there are none. 3: its
    /// ingredients say what to watch. 4: what they are reckoned like, and what its recipe plans. 5: its first rise too. 6: all
    /// that its recipe says of surface, steam, pan and program, and an order of its own. 7: when a part meets the
    /// bread.</summary>
    public static DocumentKind<Dough> Dough { get; } =
        new("dough", WholeDough.Of, WatchedIngredients.InDough, Unchanged, Unchanged, ToldByMethod.InDough, Unchanged)
        {
            Holds = CanBeReckoned,
        };

    /// <summary>
    /// A bake's plan. 2: weigh-ins named by the dough's row instead of by their place in the pan; its dough as version 2 has it.
    /// 3: its spec in groups, its families with their bodies, its ingredients saying what to watch. 6: how a place is made warm,
    /// where the bowl stands, how many pans there are. 7: what each bread gets, how it is made, and
    /// whether anything is weighed. 8: what is shaped may be kept, and baked another day.
    /// </summary>
    public static DocumentKind<BakePlan> Plan { get; } =
        new(
            "plan",
            plan => WholeDough.InPlan(WeighInNames.InPlan(plan)),
            SpecInGroups.InPlan,
            Unchanged,
            Unchanged,
            Unchanged,
            Unchanged,
            Unchanged
        )
        {
            Holds = plan => !plan.Steps.IsEmpty && !plan.Spec.Cuts.IsEmpty && CanBeReckoned(plan.Spec.Dough),
        };

    /// <summary>An event of a bake. 2: as the plan's. 3: more can be seen at a look. 4: places say how they are made
    /// warm, and dough may be kneaded on.</summary>
    public static DocumentKind<BakeEvent> Event { get; } = new("event", unchanged => unchanged, Unchanged, Unchanged, Unchanged);

    /// <summary>A bake that is over, as it was. 2: a step says what it is by its name alone. 4: what its
    /// dough wanted is held against the recipe of the time.</summary>
    public static DocumentKind<ClosedBake> Closed { get; } = new("closed-bake", WithoutKinds, Unchanged, Unchanged);

    /// <summary>What is kept in fridge and freezer. 2: shaped pieces.</summary>
    public static DocumentKind<Larder> Larder { get; } = new("larder", Unchanged);

    // What was added since may be missing.
    private static JsonNode Unchanged(JsonNode document) => document;

    private static JsonNode WithoutKinds(JsonNode closed)
    {
        foreach (var step in closed["steps"]!.AsArray())
            step!.AsObject().Remove("kind");
        return closed;
    }

    private static bool CanBeReckoned(Dough dough) =>
        !dough.Rows.IsEmpty
        && dough.Everything.All(r => r.Mass >= Core.Doughs.Dough.LightestRow && r.Mass.Grams < double.MaxValue)
        && Formula.Of(dough).Flour.Grams > 0;
}
