// What a bake opens with before its baker chooses: as the recipe says, else as this dough is good for.
using System.Text.RegularExpressions;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>What a bake opens with.</summary>
public static class FirstChoice
{
    /// <summary>A dough's first choice in a kitchen.</summary>
    /// <param name="dough">The dough, with its recipe's own plan.</param>
    /// <param name="kitchen">The kitchen, with an oven at least.</param>
    public static BakeChoice Of(Dough dough, Kitchen kitchen)
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(kitchen);
        var plan = dough.Plan ?? RecipePlan.Nothing;
        var oven = kitchen.Dials[0];
        var mixer = kitchen.Mixers.FirstOrDefault(m => m.ByHand == dough.ByHand) ?? kitchen.Mixers.First();
        return new(mixer.Id, oven.Id, PlaceIn(dough, kitchen).Id)
        {
            Cuts = [CutOf(dough, plan, oven, kitchen)],
            After = InBowl(dough, plan) is { } bulk ? new(false, Kept(bulk.Middle)) : null,
            Ways = WaysOf(dough),
        };
    }

    private static CutChoice CutOf(Dough dough, RecipePlan plan, Oven oven, Kitchen kitchen)
    {
        var family = FamilyOf(dough, plan, kitchen);
        var heat =
            family.HeatedBy == HeatedBy.Oven && plan.Heat is { } told
                ? oven.Nearest(OnDial(told, plan, oven))
                : default(Temperature?);
        return new(family.Id, plan.Pieces, Heat: heat, WashId: WashOf(dough));
    }

    // The shape its words say; else the first that this dough is good for.
    private static Family FamilyOf(Dough dough, RecipePlan plan, Kitchen kitchen)
    {
        if (kitchen.Families.FirstOrDefault(f => f.Id == plan.FamilyId) is { } said)
            return said;
        var good = Suitability.Of(Formula.Of(dough)).Where(s => s.Suits == Suits.Well).Select(s => s.Family);
        return good.FirstOrDefault(kitchen.Families.Contains) ?? kitchen.Families.First();
    }

    /// <summary>What a recipe's heat is on this oven's dial: a fan wants it lower, where the recipe means none.</summary>
    /// <param name="told">As the recipe tells it.</param>
    /// <param name="plan">The recipe's plan, which says whether it means a fan.</param>
    /// <param name="oven">The oven.</param>
    public static Temperature OnDial(Temperature told, RecipePlan plan, Oven oven)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(oven);
        var lower = (oven.Fan ? Oven.FanLowers : 0) - (plan.WithFan ? Oven.FanLowers : 0);
        return Temperature.FromCelsius(told.Celsius - lower);
    }

    // What the recipe brushes with, before the oven; a recipe that plans its bread and brushes nothing wants nothing.
    private static string? WashOf(Dough dough)
    {
        var washes = dough.Parts.Where(p => p.Kind == PartKind.Wash).SelectMany(p => p.Rows).Select(r => r.Ingredient).ToList();
        if (washes.Count > 0)
            return Washes.MadeOf(washes)?.Id;
        if (dough.Plan is null)
            return null;
        // "Brush with milk", before the oven.
        var before = MethodReading
            .Said(dough.Notes, RecipeStage.Finishing)
            .Where(s => Says(s, "brush", "glaze") && !Says(s, "hot", "warm", "baked", "after baking"));
        var brushed = string.Join(' ', before);
        // "Egg yolk" is a yolk.
        return Washes.All.OrderByDescending(w => w.OfYolk).FirstOrDefault(w => Says(brushed, w.Id))?.Id ?? Washes.None.Id;
    }

    private static Place PlaceIn(Dough dough, Kitchen kitchen)
    {
        var said = MethodReading.Said(dough.Notes, RecipeStage.Proofing);
        return kitchen.AllPlaces.FirstOrDefault(p => said.Any(s => s.Contains(p.Name, StringComparison.OrdinalIgnoreCase)))
            ?? kitchen.AllPlaces.First();
    }

    // A machine's dough has risen when it comes out; one made by hand rises in its bowl.
    private static Lasts? InBowl(Dough dough, RecipePlan plan) => dough.ByHand ? plan.Rise ?? plan.Rest : plan.Rest;

    private static TimeSpan Kept(TimeSpan rest) => rest > AfterCycle.Longest ? AfterCycle.Longest : rest;

    private static Ways? WaysOf(Dough dough)
    {
        var ways = Ways.Usual with
        {
            Buttered = dough.Parts.Any(p => p.Kind == PartKind.Butter),
            Cooling = CoolingOf(dough),
            Steam = SteamOf(dough),
        };
        return ways == Ways.Usual ? null : ways;
    }

    private static CoolingWay? CoolingOf(Dough dough)
    {
        var said = string.Join(' ', MethodReading.Said(dough.Notes, RecipeStage.Cooling));
        return Says(said, "cloth", "towel") ? CoolingWay.Cloth
            : Says(said, "door ajar", "switched-off oven", "switched off oven") ? CoolingWay.CoolingOven
            : Says(said, "rack") ? CoolingWay.Rack
            : null;
    }

    private static Steam? SteamOf(Dough dough)
    {
        var said = string.Join(' ', MethodReading.Said(dough.Notes, RecipeStage.Baking));
        return Says(said, "spray", "spraying", "mist", "misting") ? Steam.Mist
            : Says(said, "stones") && Says(said, "steam") ? Steam.Stones
            : Says(said, "steam", "boiling water", "hot water") ? Steam.Tray
            : null;
    }

    // Whole words: foil is no oil, and what cracks stands on no rack.
    private static bool Says(string text, params string[] words) =>
        words.Any(w => Regex.IsMatch(text, $@"\b{Regex.Escape(w)}\b", RegexOptions.IgnoreCase));
}
