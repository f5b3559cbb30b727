// What a dough is good for: its working hydration beside the band each family likes.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Shaping;

/// <summary>How a dough suits a family.</summary>
public enum Suits
{
    /// <summary>Drier than the family likes: it will be tight.</summary>
    Tight,

    /// <summary>As the family likes it.</summary>
    Well,

    /// <summary>Wetter than the family likes: it will be slack.</summary>
    Slack,
}

/// <summary>A dough beside one family.</summary>
/// <param name="Family">The family.</param>
/// <param name="Suits">How it suits.</param>
/// <param name="Water">Water that would bring it to the band's edge: over 0 to add, under 0 to leave out, 0 when it
/// suits.</param>
public sealed record Suitability(Family Family, Suits Suits, Mass Water)
{
    /// <summary>A dough beside every family, in the families' order.</summary>
    public static ImmutableArray<Suitability> Of(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        var (has, flour) = (formula.WorkingHydration, formula.Flour);
        return
        [
            .. Families.All.Select(f =>
                has < f.Hydration.From ? new Suitability(f, Suits.Tight, flour * (f.Hydration.From.Fraction - has.Fraction))
                : has > f.Hydration.To ? new(f, Suits.Slack, flour * (f.Hydration.To.Fraction - has.Fraction))
                : new(f, Suits.Well, Mass.Zero)
            ),
        ];
    }
}
