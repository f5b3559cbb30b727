// Steam gives a crust that opens: how bakers make it, and when in the bake.
using System.Collections.Immutable;

namespace JollyKnot.Core.Baking;

/// <summary>How steam is made.</summary>
public enum Steam
{
    /// <summary>None.</summary>
    None,

    /// <summary>Hot water poured into a hot empty tray below.</summary>
    Tray,

    /// <summary>The same over porous stones.</summary>
    Stones,

    /// <summary>Sprayed at loading and again in the first half.</summary>
    Mist,
}

/// <summary>Steam in time.</summary>
public static class Steaming
{
    // Sprayed again at these shares of the bake; the first spray is at loading. Bakers' usage: one to four times in the first
    // half.
    private static readonly ImmutableArray<double> MistsAt = [.15, .3];

    /// <summary>A cup of water for the tray, mL. Bakers' usage.</summary>
    public const double Cup = 250;

    /// <summary>When to spray again, from loading.</summary>
    /// <param name="likely">The likely bake.</param>
    public static ImmutableArray<TimeSpan> Mists(TimeSpan likely) => [.. MistsAt.Select(s => likely * s)];

    /// <summary>It comes from something that stands in the oven and has to come out when the crust is to dry.</summary>
    public static bool Stands(this Steam steam) => steam is Steam.Tray or Steam.Stones;
}
