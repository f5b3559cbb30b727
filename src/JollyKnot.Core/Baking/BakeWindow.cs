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
        ThicknessExponent = 1.2,
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
    /// <param name="piece">Its mass; over 0. Breads rolled to a thickness go by that instead.</param>
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
        var size = family.Thickness is null
            ? Math.Pow(piece / family.Usual, MassExponent)
            : Math.Pow(family.Thickened, ThicknessExponent);
        // Time goes with the thickness like the mass to three times its power; thickness with the root of the length.
        size *= Math.Pow(family.Stretch, -MassExponent * 3 / 2);
        if (touching == true && !family.Touches)
            size *= Crowded;
        var likely = reference.Length * pace * size * (reference.Heat.Celsius - CrustFrom) / (heat.Celsius - CrustFrom);
        var farOff = Math.Abs(heat.Celsius - reference.Heat.Celsius) > FarOffDegrees;
        var early = Longer(likely * (farOff ? LookEarlyFarOff : LookEarly), LookEarlyAtLeast);
        return new(Longer(likely - early, likely * NeverUnder), likely * reference.TurnAt, likely, likely * (1 + LatestOver));
    }

    // How far off, each way, the reckoned minutes and a recipe's are: standard deviations of their logarithm. Fitted.
    private static readonly double ReckonedSpread = Math.Log(1.2),
        RecipeSpread = Math.Log(1.15);

    // Whoever follows a recipe looks so much before its shortest time. Bakers' usage.
    private const double LookedSooner = .1;

    /// <summary>This window joined with a recipe's own minutes.</summary>
    /// <param name="shortest">The recipe's shortest time, at this heat; over 0.</param>
    /// <param name="longest">Its longest.</param>
    public BakeWindow With(TimeSpan shortest, TimeSpan longest)
    {
        var (own, its) = (1 / (ReckonedSpread * ReckonedSpread), 1 / (RecipeSpread * RecipeSpread));
        var told = Math.Log(((shortest + longest) / 2).TotalMinutes);
        var joined = Math.Exp((own * Math.Log(Likely.TotalMinutes) + its * told) / (own + its));
        var sooner = shortest * (1 - LookedSooner);
        var window = Taking(TimeSpan.FromMinutes(joined));
        return window with { FirstLook = FirstLook < sooner ? FirstLook : sooner, Latest = Longer(window.Latest, longest) };
    }

    /// <summary>This window, with its likely time another.</summary>
    /// <param name="likely">Over 0.</param>
    public BakeWindow Taking(TimeSpan likely)
    {
        var factor = likely / Likely;
        return new(FirstLook * factor, Turn * factor, likely, Latest * factor);
    }

    /// <summary>What minutes at one heat are at another.</summary>
    /// <param name="at">What they are told for.</param>
    /// <param name="heat">What is baked at.</param>
    public static double Stretch(Temperature at, Temperature heat) =>
        Math.Max(1, at.Celsius - CrustFrom) / Math.Max(1, heat.Celsius - CrustFrom);

    private static TimeSpan Longer(TimeSpan a, TimeSpan b) => a > b ? a : b;
}
