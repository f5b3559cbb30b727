// What would hold a bread that nothing in the kitchen holds: fewer, shorter, another pan, a tin to buy.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>What would hold a bread that nothing in the kitchen holds. Null where it is no way out.</summary>
/// <param name="Longest">So long at most, on the longest tray the oven takes.</param>
/// <param name="Pieces">In so many pieces it would go into a tin or on a tray that is there.</param>
/// <param name="In">That tin or tray.</param>
/// <param name="Holds">A tin of so much volume would hold one.</param>
public sealed record Fits(Length? Longest, int? Pieces, Tin? In, Volume? Holds)
{
    // So many pieces more or fewer are tried. Ours.
    private const int Tried = 12;

    /// <summary>The ways out.</summary>
    /// <param name="bread">The bread.</param>
    /// <param name="each">One of it.</param>
    /// <param name="pieces">How many.</param>
    /// <param name="kitchen">The kitchen.</param>
    /// <param name="oven">Its oven.</param>
    public static Fits Of(Bread bread, Mass each, int pieces, Kitchen kitchen, Oven oven)
    {
        ArgumentNullException.ThrowIfNull(bread);
        ArgumentNullException.ThrowIfNull(kitchen);
        ArgumentNullException.ThrowIfNull(oven);
        var (family, tins) = (bread.Family, kitchen.Tins.Where(oven.Holds).ToImmutableArray());
        var whole = each * pieces;
        foreach (var count in Enumerable.Range(1, Tried).Where(n => n != pieces).OrderBy(n => Math.Abs(n - pieces)))
            if (tins.FirstOrDefault(t => PanLayout.Of(family, whole / count, count, t) is not null) is { } tin)
                return new(LongestOn(family, tins), count, tin, HoldsOne(family, each));
        return new(LongestOn(family, tins), null, null, HoldsOne(family, each));
    }

    /// <summary>How long what is rolled long may be, on the longest flat tray or stone of these; null for the
    /// rest.</summary>
    internal static Length? LongestOn(Family family, IReadOnlyCollection<Tin> tins)
    {
        if (family.Form != Form.Log)
            return null;
        var room = tins.Where(t => t.IsFlat).Select(t => t.Length).DefaultIfEmpty().Max();
        return room.Millimetres > 0 ? Length.FromMillimetres(Math.Floor(room.Millimetres / Footprint.LongGrows / 10) * 10) : null;
    }

    private static Volume? HoldsOne(Family family, Mass each) =>
        family.Form is Form.Loaf or Form.Swirl ? Tin.VolumeFor(each) : null;
}
