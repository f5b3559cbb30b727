// The room a piece takes from above, just shaped and as it comes out of the oven.
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Shaping;

/// <summary>The room a shaped piece takes from above.</summary>
/// <param name="Length">The longer way.</param>
/// <param name="Width">The shorter way; the same for round ones.</param>
public sealed record Footprint(Length Length, Length Width)
{
    // A shaped pretzel covers about this much per gram, mm²: 85 g lies on 12 × 9 cm. Fitted.
    private const double PretzelCover = 127,
        PretzelWide = 4 / 3d;

    // Strands lie side by side, and over one another where they cross. Fitted.
    private const double Plaited = .7;

    // A long piece is held by its ends. Fitted.
    internal const double LongGrows = 1.1;

    /// <summary>What it covers, mm².</summary>
    public double Area => Length.Millimetres * Width.Millimetres * (IsRound ? Math.PI / 4 : 1);

    /// <summary>Whether it is round.</summary>
    public bool IsRound => Length == Width;

    /// <summary>A piece just shaped; null for what a tin or tray shapes.</summary>
    public static Footprint? Of(Family family, Mass piece)
    {
        ArgumentNullException.ThrowIfNull(family);
        static Footprint Round(double across) => new(Length.FromMillimetres(across), Length.FromMillimetres(across));
        return (family.Form, Sizes.For(family, piece)) switch
        {
            (_, { Across: { } across }) => Round(across.Millimetres),
            (Form.Plait, { Rope: { } rope, Thickness: { } thick }) => new(
                Length.FromMillimetres(rope.Millimetres / Sizes.TakeUp(family.Strands)),
                Length.FromMillimetres(thick.Millimetres * family.Strands * Plaited)
            ),
            (Form.Log, { Rope: { } rope, Thickness: { } thick }) => new(rope, thick),
            (Form.Coil, { Rope: { } rope, Thickness: { } thick }) => Round(
                Math.Sqrt(rope.Millimetres * thick.Millimetres * 4 / Math.PI)
            ),
            (Form.Rope, _) when family is { Bathed: true, Id: not Families.Knot } => new(
                Length.FromMillimetres(Math.Sqrt(piece.Grams * PretzelCover * PretzelWide)),
                Length.FromMillimetres(Math.Sqrt(piece.Grams * PretzelCover / PretzelWide))
            ),
            (Form.Rope, _) => Round(Sizes.BallAcross(piece).Millimetres * 1.2),
            _ => null,
        };
    }

    /// <summary>As it comes out of the oven: round ones grow all round, long ones mostly in width.</summary>
    /// <param name="family">What it is.</param>
    public Footprint Grown(Family family)
    {
        ArgumentNullException.ThrowIfNull(family);
        return new(
            Length.FromMillimetres(Length.Millimetres * (IsRound ? family.GrowsTo : Math.Min(family.GrowsTo, LongGrows))),
            Length.FromMillimetres(Width.Millimetres * family.GrowsTo)
        );
    }
}
