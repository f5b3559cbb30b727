// How large to make a piece, from its own weight.
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Shaping;

/// <summary>What to aim for with one piece. Unused lengths are null.</summary>
/// <param name="Across">Diameter of a ball or disc.</param>
/// <param name="Rope">Length of the rope, or of each strand.</param>
/// <param name="Thickness">Thickness of rope, disc or sheet.</param>
/// <param name="Sheet">A rectangle to flatten or roll it to.</param>
public sealed record Aim(Length? Across, Length? Rope, Length? Thickness, Footprint? Sheet = null);

/// <summary>Geometry of degassed dough.</summary>
public static class Sizes
{
    /// <summary>Degassed machine dough, g/cm³. Fitted.</summary>
    public const double Density = 1.05;

    /// <summary>Ropes and discs spring back: roll this much past the mark. Fitted.</summary>
    public const double ShrinkBack = .05;

    /// <summary>How far a rope or disc is rolled to end at this.</summary>
    public static Length RolledTo(Length aim) => aim * (1 + ShrinkBack);

    /// <summary>How far a piece is rolled: a rope's length, or how far across what is rolled thin; null where nothing is
    /// rolled.</summary>
    public static Length? RolledTo(Aim aim)
    {
        ArgumentNullException.ThrowIfNull(aim);
        var rolled = aim.Rope ?? (aim.Thickness is null ? null : aim.Across);
        return rolled is { } length ? RolledTo(length) : null;
    }

    /// <summary>Strand length over finished length. Fitted.</summary>
    /// <param name="strands">1 for a rope that is not plaited.</param>
    public static double TakeUp(int strands) =>
        strands switch
        {
            < 2 => 1,
            2 => 1.15,
            3 => 1.25,
            4 => 1.35,
            _ => 1.45,
        };

    private const double CubicMillimetresPerGram = 1000 / Density;

    /// <summary>Length of a rope of this mass and thickness: 4m/(ρπd²).</summary>
    public static Length RopeLength(Mass mass, Length thickness) =>
        Length.FromMillimetres(4 * mass.Grams * CubicMillimetresPerGram / (Math.PI * Square(thickness)));

    /// <summary>Thickness of a rope of this mass and length.</summary>
    public static Length RopeThickness(Mass mass, Length length) =>
        Length.FromMillimetres(Math.Sqrt(4 * mass.Grams * CubicMillimetresPerGram / (Math.PI * length.Millimetres)));

    /// <summary>Diameter of a disc of this mass and thickness: √(4m/(ρπt)).</summary>
    public static Length DiscAcross(Mass mass, Length thickness) =>
        Length.FromMillimetres(Math.Sqrt(4 * mass.Grams * CubicMillimetresPerGram / (Math.PI * thickness.Millimetres)));

    /// <summary>Diameter of a ball of this mass.</summary>
    public static Length BallAcross(Mass mass) =>
        Length.FromMillimetres(Math.Cbrt(6 * mass.Grams * CubicMillimetresPerGram / Math.PI));

    /// <summary>What to aim for with a piece of this family and mass. Ropes scale with the cube root of the mass, logs with its
    /// 0.6th power; a disc without a set thickness is pressed to 1.6 times its ball; a loaf is flattened as wide as its tin is
    /// long, then rolled up; a tray bread covers its tray.</summary>
    /// <param name="family">What it is.</param>
    /// <param name="piece">Its mass; over 0.</param>
    /// <param name="pan">What it goes into; a usual one when null.</param>
    public static Aim For(Family family, Mass piece, Tin? pan = null)
    {
        ArgumentNullException.ThrowIfNull(family);
        if (family.RopeAtUsual is { } usual)
        {
            var rope = Length.FromMillimetres(
                usual.Millimetres * Math.Pow(piece / family.Usual, family.Form == Form.Log ? LogExponent : 1 / 3d)
            );
            return new(null, rope, RopeThickness(piece / family.Strands, rope));
        }
        if (family.Form is Form.Loaf or Form.Swirl)
            return Rectangle(
                piece,
                Length.FromMillimetres(family.Form == Form.Swirl ? SwirlThickness : LoafThickness),
                pan?.Shape == TinShape.Loaf ? pan.Length : UsualTin
            );
        if (family.Form == Form.Tray)
        {
            var floor = pan is null ? piece.Grams / Tin.PressedOut * 100 : pan.Length.Millimetres * pan.Width.Millimetres;
            var side = Length.FromMillimetres(Math.Sqrt(floor));
            return new(
                null,
                null,
                Length.FromMillimetres(piece.Grams * CubicMillimetresPerGram / floor),
                pan is null ? new(side, side) : new(pan.Length, pan.Width)
            );
        }
        if (family.Thickness is { } thickness)
            return new(DiscAcross(piece, thickness), null, thickness);
        var ball = BallAcross(piece);
        return family.Form == Form.Disc
            ? new(Length.FromMillimetres(ball.Millimetres * PressedOut), null, null)
            : new(ball, null, null);
    }

    private const double SwirlThickness = 8,
        LoafThickness = 20;
    private static readonly Length UsualTin = Length.FromMillimetres(210);

    /// <summary>The smallest round tin in which so many balls grow together, set their gap apart: its inner width.</summary>
    /// <param name="family">A family of balls.</param>
    /// <param name="piece">One of them.</param>
    /// <param name="pieces">3 to <see cref="RoundPacking.Most"/>; null outside, or when it is no ball.</param>
    public static Length? RoundTin(Family family, Mass piece, int pieces)
    {
        ArgumentNullException.ThrowIfNull(family);
        if (family.Form != Form.Ball || pieces is < 3 or > RoundPacking.Most)
            return null;
        var gap = Math.Min(family.GapMillimetres, PanLayout.TouchingGapMost);
        return Length.FromMillimetres(RoundPacking.Of(pieces).Ratio * (BallAcross(piece).Millimetres + gap) - gap);
    }

    // A longer baton is a little thicker too. Fitted.
    private const double LogExponent = .6;

    // 95 g: ball 56 mm, disc 90 mm, the middle of what bakers press buns to.
    private const double PressedOut = 1.6;

    // Long side first.
    private static Aim Rectangle(Mass piece, Length thickness, Length wide)
    {
        var other = Length.FromMillimetres(piece.Grams * CubicMillimetresPerGram / thickness.Millimetres / wide.Millimetres);
        return new(null, null, thickness, other.Millimetres > wide.Millimetres ? new(other, wide) : new(wide, other));
    }

    private static double Square(Length length) => length.Millimetres * length.Millimetres;
}
