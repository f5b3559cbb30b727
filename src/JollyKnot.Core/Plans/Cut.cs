// What a share of the dough becomes: bread of one kind, or a lump kept in the cold for another day.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>Pans of one kind that one load takes.</summary>
/// <param name="Used">So many at once; at least 1.</param>
/// <param name="Owned">So many the household has; at least as many.</param>
public sealed record PansTaken(int Used, int Owned);

/// <summary>How a cut is baked.</summary>
/// <param name="Family">What it becomes.</param>
/// <param name="Heat">Oven temperature.</param>
/// <param name="Wash">What goes on it.</param>
/// <param name="Pan">What it lies in; null when the kitchen has nothing that suits.</param>
/// <param name="PerLoad">Pieces the oven takes at once; null when all of them.</param>
/// <param name="Touching">Set touching or apart; as the family likes it when null.</param>
/// <param name="Racks">Racks of the oven one load takes; at least 1.</param>
/// <param name="AtOnce">How many the griddle takes at once; null in the oven.</param>
/// <param name="Oven">Another oven than the bake's; null for that.</param>
/// <param name="Cold">First so long in the fridge, and baked by itself afterwards; as the whole bake when null.</param>
public sealed record Bread(
    Family Family,
    Temperature Heat,
    Wash Wash,
    Tin? Pan = null,
    int? PerLoad = null,
    bool? Touching = null,
    int Racks = 1,
    int? AtOnce = null,
    Oven? Oven = null,
    TimeSpan? Cold = null
)
{
    /// <summary>How many of its pan one load takes; null where it lies in none, or nobody counted.</summary>
    public PansTaken? Pans { get; init; }

    /// <summary>The parts of its dough that it gets, by number from 1; all of them when null.</summary>
    public ImmutableArray<int>? Gets { get; init; }

    /// <summary>Balls rest so long before they are shaped; as the family wants when null.</summary>
    public TimeSpan? Rest { get; init; }

    /// <summary>So long balls rest before they are shaped; zero for not at all.</summary>
    public TimeSpan BallsRest => Rest ?? Family.BallRest;

    /// <summary>Whether it gets a part of its dough.</summary>
    /// <param name="part">The part's number, from 1.</param>
    public bool IsGiven(int part) => Gets is not { } own || own.Contains(part);

    /// <summary>Whether the oven heated for one serves the other.</summary>
    public bool SameTurn(Bread other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return Oven == other.Oven && Cold == other.Cold;
    }

    /// <summary>Rolled thin it is slid onto what is hot already.</summary>
    public bool SlidOnHot => Family is { Form: Form.Disc, Thickness: not null } && !OnGriddle;

    /// <summary>On the griddle instead of in the oven.</summary>
    public bool OnGriddle => Family.HeatedBy == HeatedBy.Griddle;

    /// <summary>The rim of its tin; null for what stands in none.</summary>
    /// <param name="piece">What is in one tin.</param>
    public TinRim? RimFor(Mass piece) =>
        Family.Form == Form.Loaf && Pan is { Holds: { } volume, Depth: { } depth } ? TinRim.Of(volume, depth, piece) : null;

    /// <summary>It is told by the rim of its tin how far it has risen.</summary>
    public bool HasRim => RimFor(Family.Usual) is not null;

    /// <summary>Rise wanted at the oven door: up to the rim of its tin, or as its family wants it.</summary>
    /// <param name="piece">One piece.</param>
    public double WantedRise(Mass piece) => RimFor(piece)?.Wanted ?? Family.WantedRise;

    /// <summary>It is brushed before the oven; what goes through the bath is not.</summary>
    public bool Brushed => Wash.Brushed && !Family.Bathed;
}

/// <summary>Where what is shaped waits for another day.</summary>
public enum ShapedIn
{
    /// <summary>In the fridge, for a day or two.</summary>
    Fridge,

    /// <summary>In the freezer.</summary>
    Freezer,
}

/// <summary>A share of the dough.</summary>
/// <param name="Pieces">How many.</param>
/// <param name="Each">Planned weight of one.</param>
/// <param name="Pinned">Keeps that weight while other cuts take the difference.</param>
/// <param name="Bread">How it is baked; null for a lump that goes into the fridge.</param>
public sealed record Cut(int Pieces, Mass Each, bool Pinned, Bread? Bread = null)
{
    /// <summary>Shaped, and put there for another day; null where it is baked with the rest.</summary>
    public ShapedIn? Keep { get; init; }

    /// <summary>It goes into the oven in this bake.</summary>
    public bool IsBaked => Bread is not null && Keep is null;

    /// <summary>Ropes in one piece.</summary>
    public int Strands => Bread?.Family.Strands ?? 1;

    /// <summary>Pieces or strands to weigh off.</summary>
    public int Parts => Pieces * Strands;

    /// <summary>As the scale station takes it.</summary>
    /// <param name="step">What one scale unit weighs.</param>
    public Group Group(Mass step) => new(Pieces, Strands, Math.Max(1, Station.UnitsOf(Each, step)), Pinned);
}
