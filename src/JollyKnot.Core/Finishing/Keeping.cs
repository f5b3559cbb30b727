// After the oven: what it weighs, when it may be cut, how long it keeps, and what is left of the egg.
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Finishing;

/// <summary>What a wash takes of eggs.</summary>
/// <param name="Need">How much of an egg.</param>
/// <param name="Yolks">How many yolks, where it is of several.</param>
public sealed record EggUse(EggNeed Need, int? Yolks = null);

/// <summary>What egg to crack for a wash.</summary>
public enum EggNeed
{
    /// <summary>None.</summary>
    None,

    /// <summary>A yolk with a spoon of water.</summary>
    Yolk,

    /// <summary>Half an egg, the rest kept.</summary>
    Half,

    /// <summary>A whole egg, or more.</summary>
    Whole,
}

/// <summary>How bread cools.</summary>
public enum CoolingWay
{
    /// <summary>On a rack, uncovered: crisp.</summary>
    Rack,

    /// <summary>Under a cloth: soft.</summary>
    Cloth,

    /// <summary>Back in the oven as it cools, door ajar: crisper.</summary>
    CoolingOven,
}

/// <summary>Bread out of the oven.</summary>
/// <param name="Baked">What one weighs, its water lost.</param>
/// <param name="CutAfter">Before it may be cut, from coming out.</param>
/// <param name="Cooling">How it cools, by what its crust wants.</param>
/// <param name="Keeps">In a bag on the counter, or in the fridge where it must be cold.</param>
/// <param name="KeepCold">Filled or topped with what spoils: into the fridge.</param>
public sealed record Keeping(Mass Baked, TimeSpan CutAfter, CoolingWay Cooling, TimeSpan Keeps, bool KeepCold)
{
    /// <summary>In the freezer, sliced first. Bakers' usage.</summary>
    public static TimeSpan Frozen { get; } = TimeSpan.FromDays(90);

    /// <summary>An egg beaten with a tablespoon of water.</summary>
    public static Mass EggWash { get; } = Mass.FromGrams(65);

    // A slice, mm, and a square of tray bread, cm². Bakers' usage.
    private const double Slice = 12,
        Square = 56;

    /// <summary>Even shares of one: slices of a loaf, squares of a tray; null for what is eaten whole.</summary>
    /// <param name="family">What it is.</param>
    /// <param name="piece">One of it, as dough.</param>
    /// <param name="pan">What it was baked in; null on a tray or unknown.</param>
    public static (int Count, Length Each)? Slices(Family family, Mass piece, Tin? pan)
    {
        ArgumentNullException.ThrowIfNull(family);
        if (family.Form == Form.Tray && pan is not null)
        {
            // Rows and columns nearest to square ones of about that size.
            var side = Math.Sqrt(Square) * 10;
            var (across, down) = (
                Math.Max(1, (int)Math.Ceiling(pan.Length.Millimetres / side)),
                Math.Max(1, (int)Math.Floor(pan.Width.Millimetres / side))
            );
            return (across * down, Length.FromMillimetres(pan.Length.Millimetres / across));
        }
        var length =
            family.Form is Form.Loaf or Form.Swirl ? pan?.Length
            : family.Form is Form.Plait or Form.Coil || (family.Form == Form.Log && family.Steamed)
                ? Footprint.Of(family, piece)?.Grown(family).Length
            : null;
        if (length is not { } l)
            return null;
        var slices = Math.Max(1, (int)Math.Round(l.Millimetres / Slice));
        return (slices, Length.FromMillimetres(l.Millimetres / slices));
    }

    /// <summary>A yolk with a spoon of water. Ours, from an 18 g yolk.</summary>
    public static Mass YolkWash { get; } = Mass.FromGrams(25);

    /// <summary>One family's bread of this formula.</summary>
    /// <param name="formula">The dough.</param>
    /// <param name="family">What it is.</param>
    /// <param name="piece">One of it, as dough.</param>
    /// <param name="perishable">Filled or topped with what spoils.</param>
    /// <param name="cooling">As the baker likes it; by what suits the crust when null.</param>
    public static Keeping Of(Formula formula, Family family, Mass piece, bool perishable, CoolingWay? cooling = null)
    {
        ArgumentNullException.ThrowIfNull(formula);
        ArgumentNullException.ThrowIfNull(family);
        return new(
            piece * (1 - Lost(family)),
            family.Cooling,
            cooling ?? (IsCrisp(family) ? CoolingWay.Rack : CoolingWay.Cloth),
            TimeSpan.FromDays(perishable || formula.IsRich ? 3 : 1),
            perishable
        );
    }

    /// <summary>What a wash takes of eggs; none where it is of something else.</summary>
    /// <param name="wash">Which wash.</param>
    /// <param name="mass">How much of it.</param>
    public static EggUse EggFor(Wash wash, Mass mass)
    {
        ArgumentNullException.ThrowIfNull(wash);
        if (!wash.Egg)
            return new(EggNeed.None);
        var need = EggFor(mass);
        return need != EggNeed.Yolk && wash.OfYolk ? new(need, (int)Math.Ceiling(mass / YolkWash)) : new(need);
    }

    /// <summary>How much egg a wash needs.</summary>
    public static EggNeed EggFor(Mass wash) =>
        wash <= Mass.Zero ? EggNeed.None
        : wash <= YolkWash ? EggNeed.Yolk
        : wash <= EggWash * .5 ? EggNeed.Half
        : EggNeed.Whole;

    // What has a crust of its own keeps it on the rack; rolls, buns and flatbreads are wanted soft. Bakers' usage.
    private static bool IsCrisp(Family family) =>
        family.Steamed || family.Bathed || family.Form is Form.Plait or Form.Coil or Form.Loaf or Form.Swirl or Form.Tray;

    // Water lost in the oven, share of the dough. Bakers' usage.
    private static double Lost(Family family) =>
        family switch
        {
            { Form: Form.Log, Steamed: true } => .18,
            { Steamed: true } => .15,
            { Thickness: not null } => .13,
            _ => .10,
        };
}
