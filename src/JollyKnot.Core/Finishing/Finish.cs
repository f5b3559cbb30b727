// The surface before the oven.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Finishing;

/// <summary>What goes on the surface just before the oven.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Name">As shown.</param>
/// <param name="Brushed">It is brushed on, so it takes hands and an amount.</param>
/// <param name="Egg">It holds raw egg.</param>
/// <param name="GramsPerSquareCentimetre">How much of it on the baked top. Bakers' usage.</param>
public sealed record Wash(string Id, string Name, bool Brushed, bool Egg, double GramsPerSquareCentimetre = .02)
{
    /// <summary>It takes yolks alone.</summary>
    public bool OfYolk => Id == "yolk";
}

/// <summary>Washes on offer.</summary>
public static class Washes
{
    /// <summary>A surface left as it is.</summary>
    public static Wash None { get; } = new("none", "no wash", false, false);

    /// <summary>All washes, in the order they are offered.</summary>
    public static ImmutableArray<Wash> All { get; } =
    [
        None,
        new("egg", "egg and water", true, true),
        new("yolk", "yolk and water", true, true),
        new("milk", "milk", true, false),
        new("butter", "melted butter", true, false),
        new("oil", "oil", true, false),
        // Sieved on, a thin coat. Ours.
        new("flour", "a dusting of flour", true, false, .008),
    ];

    /// <summary>The wash that is made of these; null when none is.</summary>
    /// <param name="ingredients">What a recipe brushes with.</param>
    public static Wash? MadeOf(IReadOnlyList<Ingredient> ingredients)
    {
        ArgumentNullException.ThrowIfNull(ingredients);
        bool Any(Func<Ingredient, bool> holds) => ingredients.Any(holds);
        var id =
            Any(i => i.Name.Contains("yolk", StringComparison.Ordinal)) ? "yolk"
            : Any(i => i.Allergens.Contains("egg")) ? "egg"
            : Any(i => i.Role == Role.Fat && i.Allergens.Contains("milk")) ? "butter"
            : Any(i => i.Role == Role.Fat) ? "oil"
            : Any(i => i.Allergens.Contains("milk")) ? "milk"
            : Any(i => i.Role == Role.Flour) ? "flour"
            : null;
        return id is null ? null : Find(id);
    }

    /// <summary>The wash of this id, or null.</summary>
    public static Wash? Find(string id) => All.FirstOrDefault(w => w.Id == id);
}

/// <summary>Finishing the surface.</summary>
public static class Finish
{
    /// <summary>So deep goes a slash. Bakers' usage.</summary>
    public static Band<Length> SlashDeep { get; } = new(Length.FromMillimetres(5), Length.FromMillimetres(6));

    // What fingers take at once, of seeds or salt. Ours.
    private static readonly Mass Pinch = Mass.FromGrams(2);

    /// <summary>So little for one piece that fingers take it, and nobody weighs it.</summary>
    /// <param name="each">What one piece gets.</param>
    public static bool IsPinch(Mass each) => each < Pinch;

    /// <summary>Brushing or scoring one piece. Bakers' usage.</summary>
    public static TimeSpan SecondsEach { get; } = TimeSpan.FromSeconds(10);

    /// <summary>Butter brushed on one hot roll, and a larger piece in proportion. Bakers' usage.</summary>
    private static readonly (Mass Butter, Mass Piece) HotButter = (Mass.FromGrams(1.5), Mass.FromGrams(55));

    /// <summary>Butter for so many hot pieces: it goes with the surface, which goes with the mass to the power 2/3.</summary>
    public static Mass ButterFor(Mass piece, int pieces) => HotButter.Butter * Math.Pow(piece / HotButter.Piece, 2 / 3d) * pieces;

    /// <summary>Wash for so many pieces, on the baked top taken as an oval over the piece's grown footprint.</summary>
    public static Mass WashFor(Wash wash, Family family, Mass piece, int pieces)
    {
        ArgumentNullException.ThrowIfNull(wash);
        ArgumentNullException.ThrowIfNull(family);
        // What a tin shapes has about the top of its ball.
        var baked = (Footprint.Of(family, piece) ?? new(Sizes.BallAcross(piece), Sizes.BallAcross(piece))).Grown(family);
        var top = Math.PI / 4 * baked.Width.Millimetres * baked.Length.Millimetres / 100;
        return Mass.FromGrams(top * wash.GramsPerSquareCentimetre * pieces);
    }
}
