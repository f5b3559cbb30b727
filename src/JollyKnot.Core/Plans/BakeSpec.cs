// What the baker decided for one bake, with everything it needs held by value: a recipe or an oven changed later does not
// change a bake that was laid out before.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>Which version of a dough in the book a bake used.</summary>
/// <param name="Id">The dough.</param>
/// <param name="Version">1 for the first.</param>
public sealed record DoughVersion(Guid Id, int Version);

/// <summary>What is made, and of what.</summary>
/// <param name="Dough">The dough.</param>
/// <param name="Cuts">What it is cut into; at least one of them is bread.</param>
/// <param name="Source">The dough's version in the book; null when it is in none.</param>
public sealed record Made(Dough Dough, ImmutableArray<Cut> Cuts, DoughVersion? Source = null)
{
    /// <summary>The lump in the cold it is made of; null where the dough is made for it.</summary>
    public Lump? From { get; init; }
}

/// <summary>What it is made with.</summary>
/// <param name="Machine">The machine, set to its program.</param>
/// <param name="Oven">The oven.</param>
/// <param name="Place">Where the second proof stands.</param>
/// <param name="Pot">For the bath.</param>
public sealed record Tools(Machine Machine, Oven Oven, Place Place, Pot Pot);

/// <summary>What the kitchen is like.</summary>
/// <param name="Room">Kitchen temperature.</param>
/// <param name="Boils">Where water boils.</param>
/// <param name="Hob">The hob's power.</param>
/// <param name="ScaleStep">What one unit of the scale weighs; over 0.</param>
/// <param name="Tolerance">What the household leaves alone.</param>
public sealed record Around(Temperature Room, Temperature Boils, Power Hob, Mass ScaleStep, Tolerance Tolerance)
{
    /// <summary>Nothing is weighed: what goes in is measured, and dough is divided by ruler or by eye.</summary>
    public bool NoScale { get; init; }

    /// <summary>How the household measures; US cups, spooned, when null.</summary>
    public Measuring? Measuring { get; init; }
}

/// <summary>What this household's past says.</summary>
/// <param name="Pace">Of the pace of proofs at this place; the usual when null.</param>
/// <param name="OvenPaces">What ovens really need over what is usual, by their id; 1 for those not listed.</param>
public sealed record Learned(PaceBelief? Pace, ImmutableDictionary<string, double> OvenPaces)
{
    /// <summary>Nothing yet.</summary>
    public static Learned Nothing { get; } = new(null, ImmutableDictionary<string, double>.Empty);
}

/// <summary>One bake, decided.</summary>
/// <param name="Made">What is made, and of what.</param>
/// <param name="Tools">What it is made with.</param>
/// <param name="Handling">How it is handled.</param>
/// <param name="Around">What the kitchen is like.</param>
/// <param name="Wish">When it is wanted.</param>
/// <param name="Learned">What this household's past says.</param>
/// <param name="Rules">The rules it was laid out by: it keeps their steps.</param>
public sealed record BakeSpec(Made Made, Tools Tools, Handling Handling, Around Around, Wish Wish, Learned Learned, int Rules)
{
    /// <summary>The most pieces one dough is divided into.</summary>
    public const int MostPieces = 100;

    /// <summary>The lightest piece worth shaping.</summary>
    public static Mass LightestPiece { get; } = Mass.FromGrams(10);

    /// <summary>The dough.</summary>
    public Dough Dough => Made.Dough;

    /// <summary>The lump in the cold it is made of; null where the dough is made for it.</summary>
    public Lump? From => Made.From;

    /// <summary>It was shaped another day, and is only baked now.</summary>
    public bool IsShaped => From?.Shaped is not null;

    /// <summary>What it is cut into.</summary>
    public ImmutableArray<Cut> Cuts => Made.Cuts;

    /// <summary>The machine, set to its program.</summary>
    public Machine Machine => Tools.Machine;

    /// <summary>The oven.</summary>
    public Oven Oven => Tools.Oven;

    /// <summary>The machine goes on by itself after the dough, to rise again or to bake, unless it is stopped.</summary>
    public bool RunsOn => !Machine.ByHand && (Machine.Pulled || Handling.After is { Early: true });

    /// <summary>By hand it rises in its bowl before it is divided; else it only rests there.</summary>
    public bool RisesInBowl =>
        Machine.ByHand
        && new AfterCycle(false, Machine.CycleLength - Machine.KneadEnd) is { IsRest: false, Bulk.Ticks: > 0 }
        && RiseConditions.Lifts(Formula.Leaven);

    /// <summary>Where the second proof stands.</summary>
    public Place Place => Tools.Place;

    /// <summary>For the bath.</summary>
    public Pot Pot => Tools.Pot;

    /// <summary>Kitchen temperature.</summary>
    public Temperature Room => Around.Room;

    /// <summary>Where water boils.</summary>
    public Temperature BoilsAt => Around.Boils;

    /// <summary>What one scale unit weighs.</summary>
    public Mass Step => Around.ScaleStep;

    /// <summary>Nothing is weighed.</summary>
    public bool NoScale => Around.NoScale;

    /// <summary>When bread is wanted; null started at once.</summary>
    public DateTimeOffset? ReadyBy => Wish.ReadyBy;

    /// <summary>How this baker does it.</summary>
    public Ways Way => Handling.Ways;

    /// <summary>The dough's baker's arithmetic.</summary>
    public Formula Formula => Formula.Of(Dough);

    /// <summary>How the pan is loaded.</summary>
    public PanLoad Pan => PanLoad.Of(Dough, Machine, Handling.School);

    /// <summary>The main liquid's row; null when nothing is poured.</summary>
    public DoughRow? Liquid => Dough.Liquid;

    /// <summary>What goes into the oven, in order.</summary>
    public ImmutableArray<Batch> Batches => Batch.Of(Cuts);

    /// <summary>The dough expected out of the pan before anything was weighed.</summary>
    public Mass ExpectedDough => Formula.Yield(Dough.Total);

    /// <summary>Pieces or strands to weigh off altogether.</summary>
    public int Parts => Cuts.Sum(c => c.Parts);

    /// <summary>How long a bread is first in the fridge; null when it is not.</summary>
    public TimeSpan? ColdOf(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return bread.Cold ?? Handling.Cold;
    }

    /// <summary>The oven of a bread.</summary>
    public Oven OvenOf(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return bread.Oven ?? Oven;
    }

    /// <summary>The steam a bread gets: as the baker does it, or a tray for what is lean.</summary>
    public Steam SteamFor(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return SteamOf(bread.Family, Way, () => Formula);
    }

    // Whether it is rich is only reckoned where it matters.
    internal static Steam SteamOf(Family family, Ways way, Func<Formula> formula)
    {
        if (!family.Steamed)
            return Steam.None;
        return way.Steam ?? (formula().IsRich ? Steam.None : Steam.Tray);
    }

    // What has waited too long is started so much hotter. Bakers' usage.
    private const double Hotter = 20;

    /// <summary>A hotter start, on the dial; null where there is none, or on a griddle.</summary>
    public Temperature? HotterStart(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        if (bread.OnGriddle)
            return null;
        var heat = OvenOf(bread).Nearest(Temperature.FromCelsius(bread.Heat.Celsius + Hotter));
        return heat > bread.Heat ? heat : null;
    }

    /// <summary>From switching a bread's oven on to loading it: what is of stone takes longer.</summary>
    public TimeSpan Preheat(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return OvenOf(bread).Preheat(bread.Heat, Room, HeatsStone(bread));
    }

    /// <summary>From another bake's heat to a bread's own: a stone wants its time in the heat then too.</summary>
    /// <param name="from">What the oven stands at.</param>
    /// <param name="bread">The bread.</param>
    public TimeSpan ChangeTo(Temperature from, Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        var change = OvenOf(bread).Change(from, bread.Heat);
        return HeatsStone(bread) && change < Oven.StoneHeats ? Oven.StoneHeats : change;
    }

    private bool HeatsStone(Bread bread) => bread.Pan?.IsStone == true || SteamFor(bread) == Steam.Stones;

    /// <summary>Racks one load takes, with what makes its steam; no more than the oven has.</summary>
    public int RacksTaken(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return Math.Min(OvenOf(bread).Racks, bread.Racks + (SteamFor(bread).Stands() ? 1 : 0));
    }

    /// <summary>Racks left for bread where this one bakes: a steam tray or stones take one, where there are several.</summary>
    public int RacksFor(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return OvenOf(bread).RacksBeside(Cuts.Any(c => c.IsBaked && c.Bread!.SameTurn(bread) && SteamFor(c.Bread).Stands()));
    }

    /// <summary>One side of a piece in the boiling pot: as the recipe says, else as bakers do.</summary>
    public TimeSpan BoilsASide => Dough.Plan?.Boil?.Middle ?? Pot.PerSide(Handling.Bath);

    /// <summary>The soda bath: as the recipe has it, else as bakers do.</summary>
    public SodaBath Bath => ToldBath is { } told ? Pot.Of(told, Handling.Bath) : Pot.Usual(Handling.Bath);

    // A gram of water is a millilitre.
    private SodaBath? ToldBath
    {
        get
        {
            var rows = Dough.Parts.Where(p => p.Kind == PartKind.Bath).SelectMany(p => p.Rows).ToList();
            var soda = rows.Where(r => r.Ingredient.LiftsInHeat).Sum(r => r.Mass.Grams);
            var water = rows.Where(r => r.Ingredient.Role == Role.Liquid).Sum(r => r.Mass.Grams);
            return soda > 0 && water > 0 ? new(Mass.FromGrams(soda), Volume.FromMillilitres(water)) : null;
        }
    }

    /// <summary>What the recipe says of a bread; null where it tells of another, or of nothing.</summary>
    /// <param name="bread">The bread.</param>
    public RecipePlan? RecipeOf(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return Dough.Plan is { } plan && (plan.FamilyId is null || Families.IsKindOf(plan.FamilyId, bread.Family)) ? plan : null;
    }

    /// <summary>The bake of one piece of a bread, in its oven: reckoned, joined with what the recipe says, or as the baker
    /// takes it.</summary>
    /// <param name="bread">The bread.</param>
    /// <param name="piece">One piece of it.</param>
    /// <param name="heat">Another oven temperature than its own.</param>
    public BakeWindow Window(Bread bread, Mass piece, Temperature? heat = null)
    {
        var reckoned = Reckoned(bread, piece, heat);
        if (heat is null && Handling.Times?.Bake is { } taken)
            return reckoned.Taking(taken);
        if (RecipeOf(bread) is not { Bake: { } told } plan || bread.OnGriddle)
            return reckoned;
        var asked = heat ?? bread.Heat;
        var stretch = plan.Heat is { } at ? BakeWindow.Stretch(FirstChoice.OnDial(at, plan, OvenOf(bread)), asked) : 1;
        return reckoned.With(told.From * stretch, told.To * stretch);
    }

    /// <summary>The bake of one piece of a bread, in its oven, whatever its recipe says.</summary>
    /// <param name="bread">The bread.</param>
    /// <param name="piece">One piece of it.</param>
    /// <param name="heat">Another oven temperature than its own.</param>
    public BakeWindow Reckoned(Bread bread, Mass piece, Temperature? heat = null)
    {
        ArgumentNullException.ThrowIfNull(bread);
        var oven = OvenOf(bread);
        var fan = oven.Fan && !bread.OnGriddle;
        var pace = bread.OnGriddle ? 1 : Learned.OvenPaces.GetValueOrDefault(oven.Id, 1);
        return BakeWindow.For(bread.Family, piece, heat ?? bread.Heat, fan, bread.Touching, pace);
    }

    /// <summary>How much of a part one batch gets: shared like the dough among the breads that get it.</summary>
    /// <param name="part">The part's number, from 1.</param>
    /// <param name="batch">The batch.</param>
    public Mass ShareOf(int part, Batch batch)
    {
        ArgumentNullException.ThrowIfNull(batch);
        if (!batch.Bread.IsGiven(part))
            return Mass.Zero;
        var given = Cuts.Where(c => c.IsBaked && c.Bread!.IsGiven(part)).Sum(c => c.Each.Grams * c.Pieces);
        return Dough.Parts[part - 1].Made * (Cuts[batch.Cut].Each.Grams * batch.Pieces / given);
    }

    /// <summary>How a bread of this bake looks.</summary>
    /// <param name="bread">Which bread.</param>
    public BreadLook LookOf(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        var strewn = Dough.Parts.Where((p, i) => p.Kind == PartKind.Topping && bread.IsGiven(i + 1)).Any();
        return BreadLook.Of(bread.Family) with { Strewn = strewn };
    }

    /// <summary>Brushed after the second proof, with hands beside the oven.</summary>
    public bool BrushedLast(Bread bread) => bread is { Brushed: true } && !Way.WashesFirst;

    /// <summary>Scored after the second proof.</summary>
    public bool ScoredLast(Bread bread) => bread is { Family.Scored: true } && !Way.ScoresFirst;

    /// <summary>The scale station of a dough.</summary>
    /// <param name="dough">The whole dough.</param>
    /// <param name="weighed">Piece or strand number to whole scale units.</param>
    public Station Station(Mass dough, IReadOnlyDictionary<int, int> weighed) =>
        Dividing.Station.For(Units(dough), Step, Groups, weighed, Around.Tolerance);

    /// <summary>One piece of each cut, when there is so much dough.</summary>
    public ImmutableArray<Mass> Eaches(Mass dough) =>
        [.. Dividing.Station.PieceTargets(Units(dough), Groups).Select(targets => Step * targets.Average())];

    private int Units(Mass dough) => Math.Max(0, Dividing.Station.UnitsOf(dough, Step));

    private ImmutableArray<Group> Groups => [.. Cuts.Select(c => c.Group(Step))];
}
