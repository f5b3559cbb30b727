// After the oven: what it weighs, when it may be cut, how long it keeps, and what is left of the egg.
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Finishing;

/// <summary>What egg to crack for a wash.</summary>
public enum EggNeed
{
    /// <summary>None.</summary>
    None,
    /// <summary>A yolk with a spoon of water.</summary>
    Yolk,
    /// <summary>Half an egg, the rest kept.</summary>
    Half,
    /// <summary>A whole egg, or more.</summary>
    Whole,
}

/// <summary>Bread out of the oven.</summary>
/// <param name="Baked">What one weighs, its water lost.</param>
/// <param name="CutAfter">Before it may be cut, from coming out.</param>
/// <param name="Crisp">Its crust wants to stay crisp: on a rack, uncovered. Else soft: buttered or under a cloth.</param>
/// <param name="Keeps">In a bag on the counter, or in the fridge where it must be cold.</param>
/// <param name="KeepCold">Filled or topped with what spoils: into the fridge.</param>
public sealed record Keeping(Mass Baked, TimeSpan CutAfter, bool Crisp, TimeSpan Keeps, bool KeepCold)
{
    /// <summary>In the freezer, sliced first. Bakers' usage.</summary>
    public static TimeSpan Frozen { get; } = TimeSpan.FromDays(90);

    /// <summary>An egg beaten with a tablespoon of water.</summary>
    public static Mass EggWash { get; } = Mass.FromGrams(65);

    // A yolk with a spoon of water. Ours, from an 18 g yolk.
    private static readonly Mass YolkWash = Mass.FromGrams(25);

    /// <summary>One family's bread of this formula.</summary>
    /// <param name="formula">The dough.</param>
    /// <param name="family">What it is.</param>
    /// <param name="piece">One of it, as dough.</param>
    /// <param name="perishable">Filled or topped with what spoils.</param>
    public static Keeping Of(Formula formula, Family family, Mass piece, bool perishable)
    {
        ArgumentNullException.ThrowIfNull(formula);
        ArgumentNullException.ThrowIfNull(family);
        return new(piece * (1 - Lost(family)), family.Cooling, family.Steamed, TimeSpan.FromDays(perishable || formula.IsRich ? 3 : 1), perishable);
    }

    /// <summary>How much egg a wash needs.</summary>
    public static EggNeed EggFor(Mass wash) =>
        wash <= Mass.Zero ? EggNeed.None : wash <= YolkWash ? EggNeed.Yolk : wash <= EggWash * .5 ? EggNeed.Half : EggNeed.Whole;

    // Water lost in the oven, share of the dough. Bakers' usage.
    private static double Lost(Family family) => family switch
    {
        { Form: Form.Log, Steamed: true } => .18,
        { Steamed: true } => .15,
        { Thickness: not null } => .13,
        _ => .10,
    };
}
