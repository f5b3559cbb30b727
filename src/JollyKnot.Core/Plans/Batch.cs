// What goes into the oven together.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Plans;

/// <summary>What goes into the oven together: a cut, or as much of it as the oven takes.</summary>
/// <param name="Index">0 for the first batch of the bake.</param>
/// <param name="Cut">Which cut it is of.</param>
/// <param name="Bread">How it is baked.</param>
/// <param name="Pieces">How many.</param>
/// <param name="Load">Which load of its cut; 1 for the first.</param>
public sealed record Batch(int Index, int Cut, Bread Bread, int Pieces, int Load)
{
    /// <summary>The batch whose unloading this one waits for; null when it goes in with those before it: same heat, and racks
    /// enough.</summary>
    /// <param name="batches">All batches, in order.</param>
    /// <param name="racks">Racks of its oven.</param>
    public Batch? WaitsFor(ImmutableArray<Batch> batches, int racks)
    {
        if (Bread.OnGriddle)
            return null;
        var taken = Bread.Racks;
        foreach (var before in batches.Take(Index).Reverse())
        {
            if (before.Bread.OnGriddle || !before.Bread.SameTurn(Bread))
                continue;
            taken += before.Bread.Racks;
            if (before.Bread.Heat != Bread.Heat || taken > racks)
                return before;
        }
        return null;
    }

    /// <summary>The first batch in the same oven, without a night between: the oven is heated for it. The batch must be one of an
    /// oven.</summary>
    /// <param name="batches">All batches, in order.</param>
    public Batch HeatedFor(ImmutableArray<Batch> batches) => batches.First(b => !b.Bread.OnGriddle && b.Bread.SameTurn(Bread));

    /// <summary>How many of its pans are in use for it from shaping on. What shares flat pans with others of its bake lies on
    /// paper or cloth until it is its turn; what needs walls waits for them.</summary>
    /// <param name="batches">All batches, in order.</param>
    public int PansFrom(ImmutableArray<Batch> batches)
    {
        // Flatbreads lie on a cloth, and are slid onto what is hot.
        if (Bread is not { Pan: { IsStone: false } pan, Pans: { } pans } || Bread.Family.Form == Shaping.Form.Disc)
            return 0;
        if (!pan.IsFlat)
            return pans.Used;
        var before = batches.Take(Index).Where(b => b.Bread.Pan?.Kind == pan.Kind).Sum(b => b.Bread.Pans?.Used ?? 0);
        return Math.Clamp(pans.Owned - before, 0, pans.Used);
    }

    /// <summary>The batch whose tins it needs: shaped once that is out; null when there are tins for both.</summary>
    /// <param name="batches">All batches, in order.</param>
    public Batch? TinsOf(ImmutableArray<Batch> batches)
    {
        if (Bread is not { Pan: { IsFlat: false } tin, Pans: { } pans })
            return null;
        var taken = pans.Used;
        foreach (var before in batches.Take(Index).Reverse().Where(b => b.Bread.Pan?.Kind == tin.Kind))
        {
            taken += before.Bread.Pans?.Used ?? 0;
            if (taken > pans.Owned)
                return before;
        }
        return null;
    }

    /// <summary>The batches of a cut list, in the order of the list.</summary>
    public static ImmutableArray<Batch> Of(ImmutableArray<Cut> cuts)
    {
        var batches = ImmutableArray.CreateBuilder<Batch>();
        for (var cut = 0; cut < cuts.Length; cut++)
        {
            if (cuts[cut] is not { IsBaked: true, Bread: { } bread })
                continue;
            var left = cuts[cut].Pieces;
            for (var load = 1; left > 0; load++)
            {
                var pieces = Math.Min(left, bread.PerLoad ?? left);
                batches.Add(new(batches.Count, cut, bread, pieces, load));
                left -= pieces;
            }
        }
        return batches.ToImmutable();
    }

    /// <summary>What tells it from the other batches of its bake.</summary>
    /// <param name="cuts">The bake's cut list.</param>
    /// <param name="batches">All batches, in order.</param>
    public BatchName NameAmong(ImmutableArray<Cut> cuts, ImmutableArray<Batch> batches)
    {
        var sameFamily = cuts.Count(c => c.IsBaked && c.Bread!.Family == Bread.Family);
        var loads = batches.Count(b => b.Cut == Cut);
        return new(Bread.Family.Name, sameFamily > 1 ? cuts[Cut].Each : null, loads > 1 ? Load : null, batches.Length == 1);
    }
}

/// <summary>What tells a batch from the others of its bake.</summary>
/// <param name="Family">What it is, plural.</param>
/// <param name="Each">How heavy one is, where another cut is of the same family; else null.</param>
/// <param name="Load">Which load of its cut, where there are several; else null.</param>
/// <param name="Alone">There is no other batch: it needs no name.</param>
public sealed record BatchName(string Family, Mass? Each, int? Load, bool Alone);
