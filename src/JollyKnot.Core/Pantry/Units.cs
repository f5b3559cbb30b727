// Units as recipes spell them. Sizes after the US and metric kitchen measures of the trade.
using System.Collections.Frozen;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>What sort of thing a unit counts.</summary>
public enum UnitKind
{
    /// <summary>A mass: always believed first.</summary>
    Mass,

    /// <summary>A metric volume.</summary>
    MetricVolume,

    /// <summary>A cup, a spoon or another household volume.</summary>
    Volume,

    /// <summary>A pack whose content depends on what is in it.</summary>
    Pack,

    /// <summary>Plain pieces.</summary>
    Piece,
}

/// <summary>A unit.</summary>
/// <param name="Name">As it is printed.</param>
/// <param name="Kind">What it counts.</param>
/// <param name="Grams">One of it, for masses.</param>
/// <param name="Us">One of it, for volumes, US household measures.</param>
/// <param name="Metric">One of it with metric cups and spoons; null when the same.</param>
/// <param name="IsGuess">No measure at all: a splash, a knob.</param>
/// <param name="Imperial">One of it in the United Kingdom; null when it is the metric one.</param>
/// <param name="Australian">One of it in Australia; null when it is the imperial one.</param>
public sealed record Unit(
    string Name,
    UnitKind Kind,
    Mass Grams = default,
    Volume Us = default,
    Volume? Metric = null,
    bool IsGuess = false,
    Volume? Imperial = null,
    Volume? Australian = null
)
{
    /// <summary>Plain pieces: eggs, packets without a word.</summary>
    public static Unit Piece { get; } = new("", UnitKind.Piece);

    /// <summary>A gram.</summary>
    public static Unit Gram { get; } = new("g", UnitKind.Mass, Mass.FromGrams(1));

    private static readonly FrozenDictionary<string, Unit> BySpelling = Spellings()
        .SelectMany(u => u.Spelt.Split(' ').Select(s => (s, u.Unit)))
        .ToFrozenDictionary(u => u.s, u => u.Unit, StringComparer.Ordinal);

    /// <summary>How far it is believed when a line tells the same twice: lower before higher, metric before the rest of its
    /// kind.</summary>
    public int Rank => (int)Kind * 2 + (Name is "g" or "kg" or "mg" ? 0 : 1);

    /// <summary>The volume of one, in the household's cups and spoons.</summary>
    public Volume VolumeOf(CupSize cups) =>
        cups switch
        {
            CupSize.Us => Us,
            CupSize.Metric => Metric ?? Us,
            CupSize.Imperial => Imperial ?? Metric ?? Us,
            _ => Australian ?? Imperial ?? Metric ?? Us,
        };

    /// <summary>The unit so spelt, or null. A lone <c>T</c> is a tablespoon, a lone <c>t</c> a teaspoon; else case does not
    /// matter.</summary>
    public static Unit? Find(string spelling)
    {
        ArgumentNullException.ThrowIfNull(spelling);
        return spelling == "T" ? BySpelling["tbsp"] : BySpelling.GetValueOrDefault(spelling.ToLowerInvariant());
    }

    private static IEnumerable<(string Spelt, Unit Unit)> Spellings()
    {
        static Unit Mass(string name, double grams) => new(name, UnitKind.Mass, Measures.Mass.FromGrams(grams));
        static Unit Metric(string name, double ml) => new(name, UnitKind.MetricVolume, Us: Volume.FromMillilitres(ml));
        static Unit House(string name, double us, double? metric = null, bool guess = false) =>
            new(
                name,
                UnitKind.Volume,
                default,
                Volume.FromMillilitres(us),
                metric is { } m ? Volume.FromMillilitres(m) : null,
                guess
            );

        yield return ("g gr grs gm gms gram grams gramme grammes", Gram);
        yield return ("dag dkg deka", Mass("dag", 10));
        yield return ("kg kgs kilo kilos kilogram kilograms kilogramme kilogrammes", Mass("kg", 1000));
        yield return ("mg milligram milligrams", Mass("mg", .001));
        yield return ("oz ozs ounce ounces", Mass("oz", 28.35));
        yield return ("lb lbs pound pounds", Mass("lb", 453.59));
        yield return ("stick sticks", Mass("stick", 113.4));
        yield return ("ml mls millilitre millilitres milliliter milliliters cc", Metric("ml", 1));
        yield return ("cl centilitre centilitres centiliter centiliters", Metric("cl", 10));
        yield return ("dl decilitre decilitres deciliter deciliters", Metric("dl", 100));
        yield return ("l ltr litre litres liter liters", Metric("l", 1000));
        yield return ("cup cups cupful cupfuls c", House("cup", 236.59, 250));
        yield return (
            "tbsp tbsps tbs tbl tblsp tablesp tbspn tb tablespoon tablespoons tablespoonful tablespoonfuls",
            House("tbsp", 14.79, 15) with
            {
                Australian = Volume.FromMillilitres(20),
            }
        );
        yield return ("tsp tsps teasp tspn teaspoon teaspoons teaspoonful teaspoonfuls t", House("tsp", 4.93, 5));
        yield return ("dessertspoon dessertspoons dsp", House("dessertspoon", 10));
        yield return ("floz fluidounce", House("fl oz", 29.57) with { Imperial = Volume.FromMillilitres(28.41) });
        yield return ("pint pints pt", House("pint", 473.18) with { Imperial = Volume.FromMillilitres(568.26) });
        yield return ("quart quarts qt", House("quart", 946.35) with { Imperial = Volume.FromMillilitres(1136.5) });
        yield return ("pinch pinches", House("pinch", .31));
        yield return ("grind grinds grinding grindings", House("grind", .31, guess: true));
        yield return ("dash dashes", House("dash", .62, guess: true));
        yield return ("splash splashes drizzle glug", House("splash", 14.79, 15, guess: true));
        yield return ("shot shots", House("shot", 30, guess: true));
        yield return ("handful handfuls", House("handful", 60, guess: true));
        yield return ("knob knobs", new("knob", UnitKind.Mass, Measures.Mass.FromGrams(15), IsGuess: true));
        yield return (
            "packet packets sachet sachets envelope envelopes pkt pkts pack packs package packages pkg",
            new("packet", UnitKind.Pack)
        );
        yield return ("smallcube", new("small cube", UnitKind.Pack, Measures.Mass.FromGrams(25)));
        yield return ("cube cubes cake cakes", new("cube", UnitKind.Pack, Measures.Mass.FromGrams(42)));
        yield return ("clove cloves piece pieces whole", Piece);
    }
}
