// Out of the freezer: how long it takes to thaw, and what makes its crust new.
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Finishing;

/// <summary>Frozen bread made ready. Bakers' usage.</summary>
/// <param name="OnCounter">In its bag on the counter until it is thawed.</param>
/// <param name="InOven">Then so long in the oven, where it is to be crisp.</param>
public sealed record Thawing(TimeSpan OnCounter, TimeSpan InOven)
{
    // A roll, and a small loaf; what is heavier is a large one.
    private static readonly Mass Roll = Mass.FromGrams(120),
        SmallLoaf = Mass.FromGrams(450);

    /// <summary>The oven for it.</summary>
    public static Temperature Heat { get; } = Temperature.FromCelsius(180);

    /// <summary>A lump of frozen dough thaws so long in the fridge.</summary>
    public static TimeSpan Lump { get; } = TimeSpan.FromHours(10);

    /// <summary>What is done, and when, to have it ready.</summary>
    /// <param name="wanted">When it is wanted.</param>
    /// <param name="preheat">From switching the oven on to its being hot.</param>
    public Readying For(DateTimeOffset wanted, TimeSpan preheat) =>
        new(wanted - InOven - OnCounter, wanted - InOven - preheat, wanted - InOven, wanted);

    /// <summary>One bread.</summary>
    /// <param name="piece">What one weighs.</param>
    public static Thawing Of(Mass piece) =>
        piece <= Roll ? new(TimeSpan.FromHours(1), TimeSpan.FromMinutes(5))
        : piece <= SmallLoaf ? new(TimeSpan.FromHours(2.5), TimeSpan.FromMinutes(8))
        : new(TimeSpan.FromHours(4), TimeSpan.FromMinutes(12));
}

/// <summary>What is done to frozen bread, and when.</summary>
/// <param name="Out">Out of the freezer.</param>
/// <param name="OvenOn">The oven is switched on.</param>
/// <param name="In">It goes in.</param>
/// <param name="Ready">It is ready.</param>
public sealed record Readying(DateTimeOffset Out, DateTimeOffset OvenOn, DateTimeOffset In, DateTimeOffset Ready);
