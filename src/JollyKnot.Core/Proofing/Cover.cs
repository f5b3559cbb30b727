// What lies over dough that rises.
namespace JollyKnot.Core.Proofing;

/// <summary>What covers rising dough.</summary>
public enum Cover
{
    /// <summary>Greased film, which does not stick.</summary>
    GreasedFilm,

    /// <summary>A damp cloth.</summary>
    DampCloth,

    /// <summary>A light dry cloth.</summary>
    DryCloth,

    /// <summary>Nothing.</summary>
    Bare,
}
