// Dough that another bake put into the cold, as a lump or shaped: what is made of it is a bake of its own, of that very dough.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Plans;

/// <summary>How shaped pieces spent their time in the cold.</summary>
public enum ShapedWas
{
    /// <summary>In the fridge since they were shaped: they rise while they cool, and a little after.</summary>
    Chilled,

    /// <summary>In the freezer, and still hard.</summary>
    Frozen,

    /// <summary>Frozen, and thawed in the fridge.</summary>
    Thawed,
}

/// <summary>Pieces that were shaped before they were kept.</summary>
/// <param name="FamilyId">What they are.</param>
/// <param name="Pieces">How many.</param>
/// <param name="Was">How they were kept.</param>
public sealed record ShapedPieces(string FamilyId, int Pieces, ShapedWas Was)
{
    // Frost costs yeast: so much of it is left. What thawing takes of heat, as degrees under its own: a third of dough is water
    // that freezes. Fitted.
    private const double Survives = .75;
    private static readonly Temperature Hard = Temperature.FromCelsius(-45);

    /// <summary>In the fridge they are best for so long. Bakers' usage.</summary>
    public static TimeSpan Best { get; } = TimeSpan.FromHours(18);

    /// <summary>So long they keep in the fridge.</summary>
    public static TimeSpan Keeps { get; } = TimeSpan.FromHours(36);

    /// <summary>What was chosen is them, and nothing else.</summary>
    /// <param name="cuts">As typed.</param>
    public bool Are(ImmutableArray<CutChoice> cuts) =>
        cuts is [{ Keep: null, Share: null, Each: null } only] && only.FamilyId == FamilyId && (only.Pieces ?? Pieces) == Pieces;

    /// <summary>As they come out of the cold.</summary>
    /// <param name="warm">As they were when they were shaped.</param>
    /// <param name="stood">How long they were kept.</param>
    public RiseConditions Out(RiseConditions warm, TimeSpan stood)
    {
        ArgumentNullException.ThrowIfNull(warm);
        var cold = Places.Fridge.Steady ?? warm.Dough;
        if (Was == ShapedWas.Chilled)
        {
            var shaped = new RisePoint(warm.Risen, warm.Dough.Celsius);
            var risen = RiseModel.Simulate(warm, Places.Fridge, shaped, double.MaxValue, stood).Points[^1].Rise;
            return warm with { Dough = cold, Risen = risen };
        }
        return warm with
        {
            Dough = Was == ShapedWas.Frozen ? Hard : cold,
            Leaven = Share.FromPercent(warm.Leaven.Percent * Survives),
        };
    }
}

/// <summary>A lump in the cold.</summary>
/// <param name="Bake">The bake it was kept by.</param>
/// <param name="Cut">Which of its cuts; 0 for the first.</param>
/// <param name="Mass">What it weighs.</param>
/// <param name="Since">In the cold since.</param>
public sealed record Lump(Guid Bake, int Cut, Mass Mass, DateTimeOffset Since)
{
    /// <summary>Its pieces, where they were shaped before; null for a lump.</summary>
    public ShapedPieces? Shaped { get; init; }

    // Bakers' usage: overnight is best, and after three days it smells of alcohol and holds no shape; with egg or milk sooner.
    private static readonly TimeSpan Best = TimeSpan.FromHours(24),
        Keeps = TimeSpan.FromHours(72),
        KeepsWithEggOrMilk = TimeSpan.FromHours(48),
        KeepsFrozen = TimeSpan.FromDays(30);

    /// <summary>It bakes best until then.</summary>
    public DateTimeOffset BestUntil => Since + Best;

    /// <summary>It is used or thrown away by then.</summary>
    /// <param name="dough">What it is of.</param>
    public DateTimeOffset UseBy(Dough dough)
    {
        ArgumentNullException.ThrowIfNull(dough);
        return Since + (dough.Rows.Any(r => r.Ingredient.Perishable) ? KeepsWithEggOrMilk : Keeps);
    }

    /// <summary>Frozen then, it keeps until.</summary>
    /// <param name="at">When it was frozen.</param>
    public static DateTimeOffset FrozenUntil(DateTimeOffset at) => at + KeepsFrozen;

    /// <summary>The dough it is of, so much of it that this lump comes out.</summary>
    /// <param name="whole">The dough it was cut from.</param>
    public Dough Of(Dough whole)
    {
        ArgumentNullException.ThrowIfNull(whole);
        return whole.Scale(Formula.Needed(Mass) / whole.Total);
    }
}
