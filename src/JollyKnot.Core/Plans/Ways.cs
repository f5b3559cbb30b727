// Where bakers disagree: how this one does it. Every way is ordinary; the usual one is what most do.
using JollyKnot.Core.Baking;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Plans;

/// <summary>What becomes of loads that have to wait for the oven.</summary>
public enum LaterLoads
{
    /// <summary>They are shaped with the others and wait.</summary>
    Wait,

    /// <summary>They are shaped later, by as much as they would wait.</summary>
    ShapedLater,

    /// <summary>They are held cool first.</summary>
    HeldCool,
}

/// <summary>How a baker does it.</summary>
/// <param name="Cover">Over the second proof.</param>
/// <param name="Steam">For breads that want it; a tray for lean dough when null.</param>
/// <param name="ScoresFirst">Scored before the second proof instead of after it.</param>
/// <param name="WashesFirst">Washed before the second proof, which keeps the skin from drying, instead of after it, which shines
/// more.</param>
/// <param name="Cooling">Out of the oven; by what suits the crust when null.</param>
/// <param name="Buttered">Brushed with butter while hot.</param>
/// <param name="Later">Loads that have to wait.</param>
public sealed record Ways(
    Cover Cover = Cover.GreasedFilm,
    Steam? Steam = null,
    bool ScoresFirst = false,
    bool WashesFirst = false,
    CoolingWay? Cooling = null,
    bool Buttered = false,
    LaterLoads Later = LaterLoads.Wait
)
{
    /// <summary>What most bakers do.</summary>
    public static Ways Usual { get; } = new();
}
