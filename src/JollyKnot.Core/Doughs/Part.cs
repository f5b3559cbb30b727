// What belongs to a bread but is no dough: filling, topping, wash, flavoured butter. Each is a side job with its own rows and
// minutes.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>Where a part goes, and so by when it has to be ready.</summary>
public enum PartKind
{
    /// <summary>Rolled or folded in while shaping.</summary>
    Filling,

    /// <summary>On top before the oven.</summary>
    Topping,

    /// <summary>Brushed on before the oven.</summary>
    Wash,

    /// <summary>Flavoured butter, brushed on hot out of the oven.</summary>
    Butter,

    /// <summary>In the water that pieces are dipped or boiled in: made with the bath.</summary>
    Bath,

    /// <summary>Under the dough: greasing, dusting, rolling. Nothing is made of it.</summary>
    Surface,
}

/// <summary>How a part is put on.</summary>
public enum PartMethod
{
    /// <summary>Seeds, salt, cheese: strewn.</summary>
    Sprinkled,

    /// <summary>Poured or soft fat: with a brush.</summary>
    Brushed,

    /// <summary>Anything wet: laid on with spoon or hands.</summary>
    Spread,
}

/// <summary>How long a part takes to make.</summary>
/// <param name="Hands">The baker's hands.</param>
/// <param name="Hob">On the hob, with a stir now and then.</param>
/// <param name="Cool">Cooling, before it may touch dough.</param>
public sealed record PartWork(TimeSpan Hands, TimeSpan Hob, TimeSpan Cool)
{
    /// <summary>All of it.</summary>
    public TimeSpan Whole => Hands + Hob + Cool;

    /// <summary>Nothing to make: seeds, salt, cheese, flour.</summary>
    public static PartWork None { get; } = Minutes(0, 0, 0);

    /// <summary>The usual work of a part. Bakers' usage: only what is wet and no liquid is cut, fried and cooled.</summary>
    /// <param name="kind">Where it goes.</param>
    /// <param name="rows">What it is made of.</param>
    public static PartWork Usual(PartKind kind, ImmutableArray<DoughRow> rows) =>
        kind switch
        {
            PartKind.Topping => rows.Any(r => IsCookedFirst(r.Ingredient)) ? Minutes(10, 20, 30) : None,
            // Milk, oil or butter from the pot: there is nothing to stir.
            PartKind.Wash when rows is [{ Ingredient.Role: Role.Liquid or Role.Fat }] => None,
            PartKind.Wash => Minutes(2, 0, 0),
            PartKind.Bath or PartKind.Surface => None,
            PartKind.Butter when rows.Length == 1 => None,
            _ => Minutes(5, 0, 0),
        };

    /// <summary>Cut, fried for so long, and cooled.</summary>
    /// <param name="hob">On the hob.</param>
    public static PartWork Fried(TimeSpan hob) => Minutes(10, 0, 30) with { Hob = hob };

    // Vegetables are nine tenths water; herbs a little less.
    private const double Watery = .86;

    internal static bool IsCookedFirst(Ingredient ingredient) => ingredient is { Role: Role.Other, Water: > Watery };

    internal static PartWork Minutes(double hands, double hob, double cool) =>
        new(TimeSpan.FromMinutes(hands), TimeSpan.FromMinutes(hob), TimeSpan.FromMinutes(cool));
}

/// <summary>A part.</summary>
/// <param name="Kind">Where it goes.</param>
/// <param name="Name">The baker's name for it.</param>
/// <param name="Rows">What it is made of; at least one row.</param>
/// <param name="Work">How long it takes.</param>
public sealed record Part(PartKind Kind, string Name, ImmutableArray<DoughRow> Rows, PartWork Work)
{
    /// <summary>When it meets the bread, where the baker says so; null for what its kind does.</summary>
    public PartMoment? Told { get; init; }

    /// <summary>When it meets the bread.</summary>
    public PartMoment Moment =>
        Told
        ?? Kind switch
        {
            PartKind.Filling => PartMoment.Shaping,
            PartKind.Surface => PartMoment.OnThePan,
            PartKind.Butter => PartMoment.Hot,
            _ => PartMoment.BeforeOven,
        };

    /// <summary>How it is put on.</summary>
    public PartMethod Method
    {
        get
        {
            if (Rows.All(r => r.Ingredient.Role is Role.Fat or Role.Liquid))
                return PartMethod.Brushed;
            return Work.Whole > TimeSpan.Zero || Rows.Any(r => r.Ingredient.Role is Role.Liquid or Role.Egg)
                ? PartMethod.Spread
                : PartMethod.Sprinkled;
        }
    }

    /// <summary>It goes on the bread in a beat of its own; what is rolled in, brushed on as the wash, boiled in or under the
    /// dough has another.</summary>
    public bool IsOnTop => Kind is PartKind.Topping or PartKind.Butter;

    /// <summary>What it is made of, in a few words; what was cooked is cooked.</summary>
    public string Contents =>
        string.Join(" and ", Rows.Select(r => IsCooked(r) ? Ingredients.CookedOf(r.Ingredient.Name) : r.Ingredient.Name));

    /// <summary>The sum of its rows, before anything is made of them.</summary>
    public Mass Total => Rows.Aggregate(Mass.Zero, (sum, row) => sum + row.Mass);

    // Onion, leek and pepper fried soft weigh two thirds. Bakers' usage.
    private const double FriedSoft = 2 / 3d;

    /// <summary>What there is of it once it is made: vegetables lose a third in the pan.</summary>
    public Mass Made => Rows.Aggregate(Mass.Zero, (sum, row) => sum + (IsCooked(row) ? row.Mass * FriedSoft : row.Mass));

    private bool IsCooked(DoughRow row) => Work.Hob > TimeSpan.Zero && PartWork.IsCookedFirst(row.Ingredient);
}

/// <summary>A part as a baker types it.</summary>
/// <param name="Kind">Where it goes.</param>
/// <param name="Name">Its name.</param>
/// <param name="Rows">Its rows.</param>
/// <param name="Work">How long it takes; the usual when null.</param>
/// <param name="Moment">When it meets the bread; as its kind does when null.</param>
public sealed record PartDraft(
    PartKind Kind,
    string Name,
    ImmutableArray<RowDraft> Rows,
    PartWork? Work = null,
    PartMoment? Moment = null
);
