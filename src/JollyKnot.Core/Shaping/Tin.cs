// Tins and trays as far as they say how much dough they want.
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Shaping;

/// <summary>What a tin or tray looks like from above.</summary>
public enum TinShape
{
    /// <summary>A flat baking tray.</summary>
    Tray,

    /// <summary>A round tin for rolls that touch.</summary>
    Round,

    /// <summary>A square or rectangular tin for rolls that touch.</summary>
    Rectangle,

    /// <summary>A deep tin for one loaf.</summary>
    Loaf,

    /// <summary>A tin with many hollows.</summary>
    Hollows,

    /// <summary>A tray with channels for batons.</summary>
    Channels,

    /// <summary>A stone that is heated with the oven.</summary>
    Stone,
}

/// <summary>A tin or tray.</summary>
/// <param name="Id">Stable name in the kitchen.</param>
/// <param name="Name">As the household calls it.</param>
/// <param name="Shape">What it looks like.</param>
/// <param name="Length">Inner length, or the diameter of a round one.</param>
/// <param name="Width">Inner width; as the length for a round one.</param>
/// <param name="Depth">Inner depth; null for a flat tray.</param>
/// <param name="Count">Hollows or channels; 1 otherwise.</param>
/// <param name="HollowVolume">Of one hollow; null otherwise.</param>
public sealed record Tin(
    string Id,
    string Name,
    TinShape Shape,
    Length Length,
    Length Width,
    Length? Depth = null,
    int Count = 1,
    Volume? HollowVolume = null
)
{
    /// <summary>Tin volume over dough mass, mL/g: doubled dough fills 95 %. Fitted.</summary>
    public const double MillilitresPerGram = 2;

    /// <summary>Dough on the floor of a pull-apart pan, g/cm²; 1.1 loose, 1.7 tight. Fitted.</summary>
    public const double PullApart = 1.25;

    /// <summary>Dough on a tray pressed to its corners, g/cm². Bakers' usage.</summary>
    public const double PressedOut = 1.0;

    /// <summary>It has no walls: what lies on it can be slid off.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsFlat => Shape is TinShape.Tray or TinShape.Stone;

    /// <summary>Alike for pans that are alike, whatever they are called.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string Kind =>
        string.Create(
            System.Globalization.CultureInfo.InvariantCulture,
            $"pan {Shape} {Length.Millimetres}x{Width.Millimetres}x{Depth?.Millimetres} {Count} {HollowVolume?.Millilitres}"
        );

    /// <summary>It is heated first, and bread is laid on it.</summary>
    public bool IsStone => Shape == TinShape.Stone;

    /// <summary>The loaf tin that suits so much dough.</summary>
    public static Volume VolumeFor(Mass dough) => Volume.FromMillilitres(dough.Grams * MillilitresPerGram);

    /// <summary>Floor of the tin, cm².</summary>
    private double Floor => Length.Millimetres * Width.Millimetres / 100 * (Shape == TinShape.Round ? Math.PI / 4 : 1);

    /// <summary>What a loaf tin holds; null for anything else, or where its depth is not known.</summary>
    public Volume? Holds =>
        Shape == TinShape.Loaf && Depth is { } depth
            ? Volume.FromMillilitres(Length.Millimetres * Width.Millimetres * depth.Millimetres / 1000)
            : null;

    /// <summary>The dough that suits it altogether: by volume for loaves and hollows, by area for pans and trays, by length for
    /// channels.</summary>
    public Mass Dough =>
        Mass.FromGrams(
            Shape switch
            {
                TinShape.Loaf => (Holds?.Millilitres ?? 0) / MillilitresPerGram,
                TinShape.Hollows => Count * (HollowVolume?.Millilitres ?? 0) / MillilitresPerGram,
                // 340 mm takes 300 g, and a baton's mass goes with its length to the power 1/0.6.
                TinShape.Channels => Count * 300 * Math.Pow(Length.Millimetres * .9 / 340, 1 / .6),
                TinShape.Tray or TinShape.Stone => Floor * PressedOut,
                _ => Floor * PullApart,
            }
        );
}
