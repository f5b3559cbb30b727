// How long a piece bakes: longer when heavier, shorter when hotter, and always a window.
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Baking;

/// <summary>When to look, when it is likely done, and when it must be out, counted from loading.</summary>
/// <param name="FirstLook">Look through the door.</param>
/// <param name="Turn">Turn the tray or flip the piece.</param>
/// <param name="Likely">Likely done.</param>
/// <param name="Latest">Out, whatever it looks like.</param>
public sealed record BakeWindow(TimeSpan FirstLook, TimeSpan Turn, TimeSpan Likely, TimeSpan Latest)
{
    // Exponents and shares after bakers' reported times. Fitted.
    private const double MassExponent = .3,
        Crowded = 1.12,
        LookEarly = .2,
        LookEarlyFarOff = .3,
        NeverUnder = .6,
        LatestOver = .25,
        FarOffDegrees = 20;

    // The crust browns above this, °C.
    private const double CrustFrom = 90;
    private static readonly TimeSpan LookEarlyAtLeast = TimeSpan.FromMinutes(3);

    /// <summary>What is doughy inside off the griddle is finished in an oven of this. Bakers' usage.</summary>
    public static Temperature FinishedAt { get; } = Temperature.FromCelsius(160);

    /// <summary>From this length on the top may brown before the middle is done, and wants foil over it. Bakers' usage.</summary>
    public static TimeSpan Tented { get; } = TimeSpan.FromMinutes(24);

    /// <summary>The lowest oven temperature that bakes at all.</summary>
    public static Temperature Coolest { get; } = Temperature.FromCelsius(120);

    /// <summary>The window for one piece.</summary>
    /// <param name="family">What it is.</param>
    /// <param name="piece">Its mass; over 0. Breads of set thickness do not depend on it.</param>
    /// <param name="heat">Oven temperature, at least <see cref="Coolest"/>.</param>
    /// <param name="fan">With the fan, which bakes like an oven somewhat hotter.</param>
    /// <param name="touching">Set touching; as the family likes it when null. What usually stands apart then takes
    /// longer.</param>
    /// <param name="pace">What this oven really needs over what is usual; over 0.</param>
    public static BakeWindow For(
        Family family,
        Mass piece,
        Temperature heat,
        bool fan = false,
        bool? touching = null,
        double pace = 1
    )
    {
        ArgumentNullException.ThrowIfNull(family);
        ArgumentOutOfRangeException.ThrowIfLessThan(heat.Celsius, Coolest.Celsius);
        if (fan)
            heat = Temperature.FromCelsius(heat.Celsius + Oven.FanLowers);
        var reference = family.Bake;
        var size = family.Thickness is null ? Math.Pow(piece / family.Usual, MassExponent) : 1;
        if (touching == true && !family.Touches)
            size *= Crowded;
        var likely = reference.Length * pace * size * (reference.Heat.Celsius - CrustFrom) / (heat.Celsius - CrustFrom);
        var farOff = Math.Abs(heat.Celsius - reference.Heat.Celsius) > FarOffDegrees;
        var early = Longer(likely * (farOff ? LookEarlyFarOff : LookEarly), LookEarlyAtLeast);
        return new(Longer(likely - early, likely * NeverUnder), likely * reference.TurnAt, likely, likely * (1 + LatestOver));
    }

    private static TimeSpan Longer(TimeSpan a, TimeSpan b) => a > b ? a : b;
}
