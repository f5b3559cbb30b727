// What a bake opens with before its baker chooses: as the recipe says, else as this dough is good for.
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Machines;
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
        var (machine, program) = MixerFor(dough, plan, kitchen);
        return new(machine.Id, oven.Id, PlaceIn(dough, plan, kitchen).Id)
        {
            Program = program,
            Cuts = [CutOf(dough, plan, oven, kitchen)],
            After = RisesFor(dough, plan, kitchen) is { } bulk ? new(false, Kept(bulk)) : null,
            Knead = dough.ByHand && plan.Knead is { } kneads ? kneads.Middle : null,
            Ways = WaysOf(dough, plan),
            Bath = BathOf(dough),
            Folds = FoldsOf(dough),
            Grown = MethodReading.GrownIn(dough.Notes),
            Cold = MethodReading.IsColdOvernight(dough.Notes) ? Overnight : null,
        };
    }

    // From the evening to the morning. Bakers' usage.
    private static readonly TimeSpan Overnight = TimeSpan.FromHours(10);

    // More than anybody folds, or further apart, is no fold in the bowl.
    private static Folds? FoldsOf(Dough dough)
    {
        if (MethodReading.FoldsIn(dough.Notes) is not { } told)
            return null;
        var folds = new Folds(told.Count ?? Folds.Usual.Count, told.Gap);
        return folds.Wrong("folds") is null ? folds : null;
    }

    // A program nearer than this to the recipe's is meant. Ours.
    private static readonly TimeSpan ProgramOff = TimeSpan.FromMinutes(20);

    // The machine whose program takes about as long as the recipe's; else the first that suits.
    private static (Machine Machine, string? Program) MixerFor(Dough dough, RecipePlan plan, Kitchen kitchen)
    {
        var usual = kitchen.Mixers.FirstOrDefault(m => m.ByHand == dough.ByHand) ?? kitchen.Mixers.First();
        if (dough.ByHand || plan.Program is not { } told)
            return (usual, null);
        var nearest = kitchen
            .Machines.SelectMany(m => m.Programs.Select(p => (Machine: m, p.Name, Off: OffFrom(m, p.Name, told))))
            .Where(p => p.Off <= ProgramOff)
            .OrderBy(p => p.Off)
            .Select(p => (p.Machine, (string?)p.Name));
        return nearest.FirstOrDefault((usual, null));
    }

    private static TimeSpan OffFrom(Machine machine, string program, Lasts told) =>
        (machine.SetTo(program)!.CycleLength - told.Middle).Duration();

    private static CutChoice CutOf(Dough dough, RecipePlan plan, Oven oven, Kitchen kitchen)
    {
        var family = FamilyOf(dough, plan, kitchen);
        var heat =
            family.HeatedBy == HeatedBy.Oven && plan.Heat is { } told
                ? oven.Nearest(OnDial(told, plan, oven))
                : default(Temperature?);
        return new(
            family.Id,
            PiecesOf(dough, plan, family),
            Heat: heat,
            WashId: WashOf(dough, plan),
            PanId: PanOf(dough, plan, family, kitchen)?.Id
        )
        {
            Thick = family.Thickness is null ? null : MethodReading.Thickness(dough.Notes),
            Ring = family.Form == Form.Ring ? MethodReading.RingIn(dough.Notes) : null,
            Rest = MethodReading.BallsRest(dough.Notes)?.Middle,
        };
    }

    // So many slices are no loaves: what would be far too small for its shape was not meant.
    private static int? PiecesOf(Dough dough, RecipePlan plan, Family family) =>
        plan.Pieces is { } pieces && Formula.Yield(dough.Total) / pieces >= family.Usual * LeastOfUsual ? pieces : null;

    // Minis are a third of a roll. Bakers' usage.
    private const double LeastOfUsual = .3;

    // The kitchen's own tin that is nearest to the recipe's and holds a piece of this dough; null where there is none, or the
    // recipe names none. Which of several trays does best is reckoned.
    private static Tin? PanOf(Dough dough, RecipePlan plan, Family family, Kitchen kitchen)
    {
        if (plan.Pan is not { } told || told.Kind == PanKind.Tray || ShapeOf(told.Kind) is not { } shape)
            return null;
        var yield = Formula.Yield(dough.Total);
        var pieces = PiecesOf(dough, plan, family) ?? Targets.CountFor(yield, family.Usual);
        return kitchen
            .Tins.Where(t => t.Shape == shape && PanLayout.Of(family, yield / pieces, pieces, t) is not null)
            .OrderBy(t => told.Long is { } wanted ? Math.Abs(t.Length.Millimetres - wanted.Millimetres) : 0)
            .FirstOrDefault();
    }

    private static TinShape? ShapeOf(PanKind kind) =>
        kind switch
        {
            PanKind.Loaf => TinShape.Loaf,
            PanKind.Round => TinShape.Round,
            PanKind.Rectangle => TinShape.Rectangle,
            PanKind.Hollows => TinShape.Hollows,
            _ => null,
        };

    // The shape its recipe or its name says; else what a loaf of it would be; else the first that this dough is good for.
    private static Family FamilyOf(Dough dough, RecipePlan plan, Kitchen kitchen)
    {
        Family? Made(string? id) => kitchen.Families.FirstOrDefault(f => f.Id == id);
        var said =
            Made(plan.FamilyId)
            ?? Made(MethodReading.ShapeIn(dough.Name))
            ?? (IsLoaf(dough, plan) ? Made(LoafOf(dough, plan, kitchen)) : null)
            ?? GoodFor(dough, kitchen);
        if (said is { Id: "free-loaf" or "tin-loaf" } && dough.Parts.Any(p => p.Kind == PartKind.Filling))
            return Made(Filled) ?? said;
        return HasCrust(said, dough, plan) ? Made(Families.CrustyRoll) ?? said : said;
    }

    // The first that it is neither too stiff nor too soft for; through a bath only where it has one.
    private static Family GoodFor(Dough dough, Kitchen kitchen)
    {
        var isDipped = dough.Parts.Any(p => p.Kind == PartKind.Bath);
        var good = Suitability.Of(Formula.Of(dough)).Where(s => s.Suits == Suits.Well).Select(s => s.Family);
        var offered = good.Concat(kitchen.Families).Where(kitchen.Families.Contains).ToList();
        return offered.Find(f => f.Bathed == isDipped) ?? offered[0];
    }

    // Words say so, or its tin; or so few are made of it that each is one.
    private static bool IsLoaf(Dough dough, RecipePlan plan) =>
        MethodReading.IsLoaf(dough.Name)
        || MethodReading.ShapesLoaf(dough.Notes)
        || plan.Pan is { Kind: PanKind.Loaf }
        || (plan.Pieces is { } pieces && Formula.Yield(dough.Total) / pieces >= LightestLoaf);

    // No roll is as heavy. Ours.
    private static readonly Mass LightestLoaf = Mass.FromGrams(300);

    // "Rolls" of flour, water, salt and yeast have a crust, unless they are for a tin. Bakers' usage.
    private static bool HasCrust(Family said, Dough dough, RecipePlan plan)
    {
        var isForTin = plan.Pan is { Kind: not PanKind.Tray };
        return said.Id == Families.PanRoll && !isForTin && IsLean(Formula.Of(dough));
    }

    private static bool IsLean(Formula formula) =>
        formula is { IsRich: false, Fat.Fraction: < LeastForSoft, MilkSolids.Fraction: < LeastForSoft };

    // Fat or solids of milk, share of flour, that make a soft crumb. Ours.
    private const double LeastForSoft = .01;

    private const string Filled = "filled-loaf";

    // Filled it is rolled up; rich or where there is a tin, it is for the tin; lean it stands by itself.
    private static string LoafOf(Dough dough, RecipePlan plan, Kitchen kitchen)
    {
        if (dough.Parts.Any(p => p.Kind == PartKind.Filling))
            return Filled;
        var isForTin = Formula.Of(dough).IsRich || plan.Pan is { Kind: PanKind.Loaf };
        return isForTin && kitchen.Tins.Any(t => t.Shape == TinShape.Loaf) ? "tin-loaf" : "free-loaf";
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
    private static string? WashOf(Dough dough, RecipePlan plan)
    {
        var washes = dough.Parts.Where(p => p.Kind == PartKind.Wash).SelectMany(p => p.Rows).Select(r => r.Ingredient).ToList();
        if (washes.Count > 0)
            return Washes.MadeOf(washes)?.Id;
        return Washes.Find(plan.WashId ?? "")?.Id ?? Washes.None.Id;
    }

    // A place the household has a name for, else as the recipe says.
    private static Place PlaceIn(Dough dough, RecipePlan plan, Kitchen kitchen)
    {
        var said = MethodReading.Said(dough.Notes, RecipeStage.Proofing);
        return kitchen.AllPlaces.FirstOrDefault(p => said.Any(s => s.Contains(p.Name, StringComparison.OrdinalIgnoreCase)))
            ?? kitchen.AllPlaces.FirstOrDefault(p => p.Id == plan.PlaceId)
            ?? kitchen.AllPlaces.First();
    }

    // A machine's dough has risen when it comes out, unless its recipe says in a bowl; one made by hand rises in its bowl.
    private static Lasts? InBowl(Dough dough, RecipePlan plan)
    {
        var inBowl = dough.ByHand || MethodReading.IsInBowl(dough.Notes);
        return inBowl ? plan.Rise ?? plan.Rest : plan.Rest;
    }

    // As its recipe says; what hands kneaded and nothing is told of, as its leaven needs.
    private static TimeSpan? RisesFor(Dough dough, RecipePlan plan, Kitchen kitchen)
    {
        if (InBowl(dough, plan) is { } told)
            return told.Middle;
        if (!dough.ByHand)
            return null;
        var formula = Formula.Of(dough);
        var conditions = new RiseConditions(dough.Total, formula.Leaven, formula.Sugar, formula.Salt, kitchen.Room, kitchen.Room);
        if (conditions.OnlyRests)
            return null;
        var wanted = MethodReading.GrownIn(dough.Notes) ?? 1;
        var needs = RiseModel.Simulate(conditions, Places.Counter, new(0, kitchen.Room.Celsius), wanted, AfterCycle.Longest);
        return needs.TimeTo(wanted) is { } time
            ? TimeSpan.FromMinutes(Math.Ceiling(time.TotalMinutes / Grain) * Grain)
            : AfterCycle.Longest;
    }

    // As people tell minutes. Ours.
    private const double Grain = 5;

    // A part for a dip, or a method that dips.
    private static PotSchool? BathOf(Dough dough) =>
        dough.Parts.Any(p => p.Kind == PartKind.Bath && MethodReading.IsDip(p.Name))
        || MethodReading.DipsAfterBoiling(dough.Notes)
            ? PotSchool.DipAfterBoil
            : null;

    private static TimeSpan Kept(TimeSpan rest) => rest > AfterCycle.Longest ? AfterCycle.Longest : rest;

    private static Ways? WaysOf(Dough dough, RecipePlan plan)
    {
        var ways = Ways.Usual with
        {
            ScoresFirst = MethodReading.ScoresFirst(dough.Notes),
            Cover = MethodReading.CoverIn(dough.Notes) is { } told ? Enum.Parse<Cover>(told, ignoreCase: true) : Ways.Usual.Cover,
            Cooling = plan.Cooling switch
            {
                ToldCooling.Rack => CoolingWay.Rack,
                ToldCooling.Cloth => CoolingWay.Cloth,
                ToldCooling.Oven => CoolingWay.CoolingOven,
                _ => null,
            },
            Steam = plan.Steam switch
            {
                ToldSteam.None => Steam.None,
                ToldSteam.Tray => Steam.Tray,
                ToldSteam.Stones => Steam.Stones,
                ToldSteam.Spray => Steam.Mist,
                _ => null,
            },
        };
        return ways == Ways.Usual ? null : ways;
    }
}
