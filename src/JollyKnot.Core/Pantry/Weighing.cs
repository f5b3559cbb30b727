// What an amount weighs: the believed one of several ways of telling it, and what is to be said of the others.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

// What it weighs; how much by the other habit; and what it may be instead, where two amounts differ.
internal sealed record Weighed(Mass? Mass, Mass? Other, ImmutableArray<string> Notes, Mass? Instead = null);

internal static class Weighing
{
    // Two measures of the same thing may differ by so much before it is worth saying. Ours.
    private const double Agrees = .1;

    // And by so much before it is asked which one holds. Bakers' usage.
    private const double Asked = .15;

    // Without shell, after the weight classes of the USDA and of the European Union.
    private static readonly FrozenDictionary<string, double> UsEggs = new Dictionary<string, double>
    {
        ["small"] = 38,
        ["medium"] = 44,
        ["large"] = 50,
        ["xl"] = 56,
        ["jumbo"] = 63,
    }.ToFrozenDictionary();

    private static readonly FrozenDictionary<string, double> EuropeanEggs = new Dictionary<string, double>
    {
        ["small"] = 43,
        ["s"] = 43,
        ["medium"] = 50,
        ["m"] = 50,
        ["large"] = 58,
        ["l"] = 58,
        ["xl"] = 65,
    }.ToFrozenDictionary();

    // What the table's egg weighs.
    public const double TableEgg = 50;

    public static Weighed Of(Amount amount, Identified what, HouseholdPantry pantry)
    {
        var told = amount.Same.Insert(0, amount.Sum);
        var masses = told.Select(sum => (Sum: sum, Mass: Sum(sum, what, pantry), Rank: sum.Min(m => m.Unit.Rank))).ToList();
        var believed = masses.Where(m => m.Mass is not null).OrderBy(m => m.Rank).FirstOrDefault();
        if (believed.Mass is not { } mass || mass.Mass <= Mass.Zero)
            return new(
                null,
                null,
                [
                    told[0].Any(m => m.Unit.Kind == UnitKind.Piece)
                        ? "how much one weighs is not known"
                        : "what this measure weighs is not known",
                ]
            );

        var notes = ImmutableArray.CreateBuilder<string>();
        foreach (var m in believed.Sum)
        {
            if (m.Range is { } r)
                notes.Add(Text($"middle of {r.From:0.##} to {r.To:0.##} {m.Unit.Name}").TrimEnd());
            if (m.Unit.IsGuess)
                notes.Add($"a {m.Unit.Name} is a guess");
        }
        Mass? instead = null;
        if (mass.Other is { } otherHabit)
            notes.Add(OtherHabit(otherHabit, what, pantry.Habit));
        // What stands beside a packet is what it holds.
        foreach (var (sum, check, _) in masses.Where(m => m.Sum != believed.Sum && m.Mass is not null && !IsPacked(m.Sum)))
        {
            var (one, other) = (check!.Value.Mass, check.Value.Other ?? check.Value.Mass);
            // "300 ml / ½ pint": whichever pint it is beside the millilitres.
            var imperial = sum.Any(m => m.Unit.Imperial is not null)
                ? Sum(sum, what, pantry with { Cups = CupSize.Imperial })?.Mass
                : null;
            // "1 tbsp (20 ml)": a spoon as it is in Australia.
            var australian = sum.Any(m => m.Unit.Australian is not null)
                ? Sum(sum, what, pantry with { Cups = CupSize.Australian })?.Mass
                : null;
            var off = new[] { one, other, imperial ?? one, australian ?? one }.Min(m => Math.Abs(m / mass.Mass - 1));
            notes.Add(Text($"{Print(sum)} would be {one.Grams:0.#} g: {(off <= Agrees ? "agrees" : "differs")}"));
            // A knob, and an onion, is as large as its grams say.
            if (off > Asked && !sum.Any(m => m.Unit.IsGuess || m.Unit.Kind == UnitKind.Piece))
                instead ??= one;
        }
        return new(mass.Mass, mass.Other, notes.ToImmutable(), instead);
    }

    private static bool IsPacked(ImmutableArray<Measure> sum) => sum.All(m => m.Unit.Kind == UnitKind.Pack);

    private static string OtherHabit(Mass other, Identified what, CupHabit habit)
    {
        if (what.Like?.Packing?.DensePerTeaspoon is not null)
            return Text($"light flakes; dense ones {other.Grams:0.#} g");

        var isSpooned = habit == CupHabit.Spooned;
        var (ours, theirs) = isSpooned ? ("spooned", "dipped") : ("dipped", "spooned");
        return Text($"{ours} cups; {theirs} {other.Grams:0} g");
    }

    private static (Mass Mass, Mass? Other)? Sum(ImmutableArray<Measure> sum, Identified what, HouseholdPantry pantry)
    {
        var (mass, other, differs) = (Mass.Zero, Mass.Zero, false);
        foreach (var measure in sum)
        {
            if (One(measure, what, pantry) is not { } one)
                return null;
            mass += one.Mass;
            other += one.Other ?? one.Mass;
            differs |= one.Other is not null;
        }
        return (mass, differs ? other : null);
    }

    public static (Mass Mass, Mass? Other)? One(Measure measure, Identified what, HouseholdPantry pantry)
    {
        var (unit, like) = (measure.Unit, what.Ingredient ?? what.Like);
        // A hand is nobody else's: what fills it is asked.
        if (unit.Name == "handful")
            return null;
        switch (unit.Kind)
        {
            case UnitKind.Mass:
                return (unit.Grams * measure.Count, null);
            case UnitKind.Pack:
                // A packet of vanilla sugar is what one of it weighs.
                return like is { Role: Role.Sugar, Packing.Each: { } packed } ? (packed * measure.Count, null)
                    : like?.Role != Role.Yeast ? null
                    : unit.Grams > Mass.Zero ? (unit.Grams * measure.Count, null)
                    : (LineReading.YeastPacket * measure.Count, null);
            case UnitKind.Piece:
                if (like?.Packing?.Each is not { } each || IsPartOrMany(what.Manner))
                    return null;
                var size = like.Role == Role.Egg ? EggSize(what.Manner, pantry.Cups) / TableEgg : SizeOf(each, what.Manner);
                return (each * (size * measure.Count), null);
            default:
                var volume = unit.VolumeOf(pantry.Cups) * Math.Abs(measure.Count);
                var filled =
                    like?.Packing?.MassOf(volume, pantry.Habit, pantry.Cup, what.Manner.Contains("sifted"))
                    ?? (like?.Role == Role.Liquid ? (Mass.FromGrams(volume.Millilitres), (Mass?)null) : null);
                return filled is { } f && measure.Count < 0 ? (f.Mass * -1, f.Other * -1) : filled;
        }
    }

    // A small onion and a large one, beside one of no size; cloves and shallots are small anyhow. Ours.
    private static double SizeOf(Mass each, ImmutableArray<string> manner) =>
        manner.Contains("head") || manner.Contains("bulb") ? ClovesInAHead
        : each < LeastOfSizes ? 1
        : manner.Contains("small") ? .65
        : manner.Contains("large") ? 1.4
        : 1;

    // A bunch, a jar or a slice of a thing is not one of it; "1 pepper from a jar" is.
    private static bool IsPartOrMany(ImmutableArray<string> manner) => manner.Any(NotOne.Contains) && !manner.Contains("from");

    private static readonly FrozenSet<string> NotOne = (
        "bunch bunches bundle jar jars punnet bag tin tins can cans box pack slice slices ring rings stalk stalks sprig sprigs "
        + "stem stems leaf leaves wedge wedges"
    )
        .Split(' ')
        .ToFrozenSet();

    // Bakers' usage: eight to twelve.
    private const double ClovesInAHead = 10;

    private static readonly Mass LeastOfSizes = Measures.Mass.FromGrams(60);

    // An egg of no size is the large one in the US, the medium one elsewhere: both weigh the same.
    private static double EggSize(ImmutableArray<string> manner, CupSize cups)
    {
        var at = manner.IndexOf("large");
        var said = at > 0 && manner[at - 1] == "extra" ? "xl" : null;
        var sizes = cups == CupSize.Us ? UsEggs : EuropeanEggs;
        said ??= manner.FirstOrDefault(sizes.ContainsKey);
        return said is null ? TableEgg : sizes[said];
    }

    private static string Print(ImmutableArray<Measure> sum) => string.Join(" + ", sum.Select(Print));

    private static string Print(Measure measure)
    {
        var isWord = measure.Unit.Name is "cup" or "pint" or "quart" or "stick" or "packet";
        var plural = isWord && measure.Count > 1 ? "s" : "";
        return Text($"{measure.Count:0.##} {measure.Unit.Name}{plural}").TrimEnd();
    }

    private static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
