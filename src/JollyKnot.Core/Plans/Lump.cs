// Dough that another bake put into the fridge: what can be made of it is a bake of its own, of that very lump.
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Plans;

/// <summary>A lump in the cold.</summary>
/// <param name="Bake">The bake it was kept by.</param>
/// <param name="Cut">Which of its cuts; 0 for the first.</param>
/// <param name="Mass">What it weighs.</param>
/// <param name="Since">In the cold since.</param>
public sealed record Lump(Guid Bake, int Cut, Mass Mass, DateTimeOffset Since)
{
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
