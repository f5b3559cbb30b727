// What a share of the dough becomes: bread of one kind, or a lump kept in the cold for another day.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>One line of a cut list, as typed. Null where the usual is meant.</summary>
/// <param name="FamilyId">What it becomes; null keeps it in the fridge.</param>
/// <param name="Pieces">How many.</param>
/// <param name="Each">How heavy each. With <paramref name="Pieces"/> both are pinned; alone, the number follows.</param>
/// <param name="Share">This part of the dough, instead of a weight.</param>
/// <param name="Heat">Oven temperature; the family's own when null.</param>
/// <param name="WashId">The wash; the family's usual when null.</param>
/// <param name="PanId">The pan or tray; the kitchen's best when null.</param>
/// <param name="Touching">Set touching or apart; as the family likes it when null.</param>
/// <param name="OvenId">Another oven than the bake's.</param>
/// <param name="Cold">First so long in the fridge; as the whole bake when null.</param>
public sealed record CutChoice(
    string? FamilyId = null, int? Pieces = null, Mass? Each = null, Share? Share = null, Temperature? Heat = null, string? WashId = null, string? PanId = null, bool? Touching = null, string? OvenId = null, TimeSpan? Cold = null);

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
public sealed record Bread(Family Family, Temperature Heat, Wash Wash, Tin? Pan = null, int? PerLoad = null, bool? Touching = null, int Racks = 1, int? AtOnce = null, Oven? Oven = null, TimeSpan? Cold = null)
{
    /// <summary>Whether the oven heated for one serves the other.</summary>
    public bool SameTurn(Bread other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return Oven == other.Oven && Cold == other.Cold;
    }

    /// <summary>On the griddle instead of in the oven.</summary>
    public bool OnGriddle => Family.HeatedBy == HeatedBy.Griddle;

    /// <summary>It is brushed before the oven; what goes through the bath is not.</summary>
    public bool Brushed => Wash.Brushed && !Family.Bathed;
}

/// <summary>A share of the dough.</summary>
/// <param name="Pieces">How many.</param>
/// <param name="Each">Planned weight of one.</param>
/// <param name="Pinned">Keeps that weight while other cuts take the difference.</param>
/// <param name="Bread">How it is baked; null for a lump that goes into the fridge.</param>
public sealed record Cut(int Pieces, Mass Each, bool Pinned, Bread? Bread = null)
{
    /// <summary>Ropes in one piece.</summary>
    public int Strands => Bread?.Family.Strands ?? 1;

    /// <summary>Pieces or strands to weigh off.</summary>
    public int Parts => Pieces * Strands;

    /// <summary>As the scale station takes it.</summary>
    /// <param name="step">What one scale unit weighs.</param>
    public Group Group(Mass step) => new(Pieces, Strands, Math.Max(1, Station.UnitsOf(Each, step)), Pinned);
}

/// <summary>What goes into the oven together: a cut, or as much of it as the oven takes.</summary>
/// <param name="Index">0 for the first batch of the bake.</param>
/// <param name="Cut">Which cut it is of.</param>
/// <param name="Bread">How it is baked.</param>
/// <param name="Pieces">How many.</param>
/// <param name="Load">Which load of its cut; 1 for the first.</param>
public sealed record Batch(int Index, int Cut, Bread Bread, int Pieces, int Load)
{
    /// <summary>The id of one of its steps: those of the first batch have no mark.</summary>
    public string Step(string id) => Index == 0 ? id : $"{id}@{Index + 1}";

    /// <summary>The batch whose unloading this one waits for; null when it goes in with those before it: same heat, and racks enough.</summary>
    /// <param name="batches">All batches, in order.</param>
    /// <param name="racks">Racks of its oven.</param>
    public Batch? WaitsFor(ImmutableArray<Batch> batches, int racks)
    {
        if (Bread.OnGriddle) return null;
        var taken = Bread.Racks;
        for (var i = Index - 1; i >= 0; i--)
        {
            if (batches[i].Bread.OnGriddle || !batches[i].Bread.SameTurn(Bread)) continue;
            taken += batches[i].Bread.Racks;
            if (batches[i].Bread.Heat != Bread.Heat || taken > racks) return batches[i];
        }
        return null;
    }

    /// <summary>The batches of a cut list, in the order of the list.</summary>
    public static ImmutableArray<Batch> Of(ImmutableArray<Cut> cuts)
    {
        var batches = ImmutableArray.CreateBuilder<Batch>();
        for (var c = 0; c < cuts.Length; c++)
        {
            if (cuts[c].Bread is not { } bread) continue;
            var left = cuts[c].Pieces;
            for (var load = 1; left > 0; load++)
            {
                var now = Math.Min(left, bread.PerLoad ?? left);
                batches.Add(new(batches.Count, c, bread, now, load));
                left -= now;
            }
        }
        return batches.ToImmutable();
    }
}
