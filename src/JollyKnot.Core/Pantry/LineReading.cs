// From an ingredient line to grams of something the pantry knows: what was understood, how, and what is still to be asked.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Pantry;

/// <summary>One thing a line asks for, as understood.</summary>
/// <param name="Words">The line's own words for it, without amount and preparation; what a correction is learned for.</param>
/// <param name="Ingredient">The pantry's name for it, or the line's own where the pantry does not know it.</param>
/// <param name="Known">The pantry knows it.</param>
/// <param name="Role">What it does; a guess where it is not known, null where there is none.</param>
/// <param name="Mass">How much; null where it could not be told.</param>
/// <param name="Other">How much it would be measured the other usual way.</param>
/// <param name="AtBeep">Goes in at the beep.</param>
/// <param name="Notes">How it was understood: the middle of a range, which cup, what disagrees.</param>
/// <param name="Preparation">Softened, beaten, divided; empty where nothing is said.</param>
public sealed record ReadRow(
    string Words,
    string Ingredient,
    bool Known,
    Role? Role,
    Mass? Mass,
    Mass? Other,
    bool AtBeep,
    ImmutableArray<string> Notes,
    string Preparation
)
{
    /// <summary>Nothing is left to ask.</summary>
    public bool IsUnderstood => Known && Mass is not null;
}

/// <summary>What a baker put right in a line.</summary>
/// <param name="Line">The line as written.</param>
/// <param name="Words">The words that were read in it.</param>
/// <param name="Name">What it is called here.</param>
/// <param name="Role">What it does; needed where the pantry does not know it.</param>
/// <param name="Mass">What it weighs.</param>
public sealed record Correction(string Line, string Words, string Name, Role? Role = null, Mass? Mass = null);

/// <summary>Reads single lines.</summary>
public static class LineReading
{
    /// <summary>How a role is marked in plain text on an ingredient the pantry does not know.</summary>
    public const string RoleMark = "does: ";

    /// <summary>How an add-in is marked in plain text.</summary>
    public const string BeepMark = "at the beep";

    /// <summary>A packet of dried yeast: 7 g is 2¼ tsp. As packed by the trade.</summary>
    public static Mass YeastPacket { get; } = Measures.Mass.FromGrams(7);

    // Two measures of the same thing may differ by so much before it is worth saying. Ours.
    private const double Agrees = .1;

    // Without shell, after the USDA's weight classes.
    private static readonly FrozenDictionary<string, double> EggSizes = new Dictionary<string, double>
    {
        ["small"] = 38,
        ["medium"] = 44,
        ["large"] = 50,
        ["xl"] = 56,
        ["jumbo"] = 63,
    }.ToFrozenDictionary();

    // Words that say how a thing is, not what it is.
    private static readonly FrozenSet<string> Manner = string.Join(
            ' ',
            "of the a an and or in at for with from to plus your some more extra as i e g about approx approximately "
                + "each total need needed taste serve",
            "softened soft melted beaten lightly well whisked lukewarm warm warmed hot cold cool cooled chilled ice icy "
                + "tepid boiling boiled room temperature temp blood hand",
            "divided sifted packed firmly lightly loosely level levelled leveled heaped heaping rounded scant generous "
                + "good fresh freshly finely roughly coarsely thinly",
            "grated shredded chopped diced sliced minced crushed ground crumbled cubed peeled drained rinsed toasted "
                + "roasted pitted seedless raw cooked fried mashed",
            "large medium small xl jumbo big free range organic local best quality unbleached bleached stoneground "
                + "stone milled enriched pure natural",
            "unsweetened sweetened salted unsalted dried dry whole fat full filtered tap bottled ripe active bubbly fed "
                + "plain strong pack packet sachet cube size sized",
            "dusting greasing brushing glazing sprinkling rolling kneading optional preferably ideally homemade "
                + "leftover day old thick thin runny clear liquid powdered"
        )
        .Split(' ')
        .ToFrozenSet();

    // What many things share: with an unknown word before it, it is another thing.
    private static readonly FrozenSet<string> Heads = (
        "flour oil milk butter sugar cheese seed powder cream yeast salt syrup vinegar juice starch water nut spice "
        + "herb white yolk fruit sauce"
    )
        .Split(' ')
        .ToFrozenSet();

    /// <summary>Reads a line. Empty of a blank one.</summary>
    public static ImmutableArray<ReadRow> Of(string line, HouseholdPantry pantry)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(pantry);
        var (quoted, rest) = Quoted(Composed.Of(line));
        var rows = ImmutableArray.CreateBuilder<ReadRow>();
        foreach (var item in LineGrammar.Read(rest))
        {
            var (words, aside) = Apart(item.Words);
            var name = quoted ?? words;
            if (rows.Count > 0 && Phrase.Of(name).Length == 0 && item.Amount is { } more)
            {
                // "2 tbsp sugar plus 1 tsp": more of the same.
                var before = rows[^1];
                var added = Weigh(more, Identify(before.Words, pantry), pantry);
                rows[^1] = before with { Mass = before.Mass + added.Mass, Notes = [.. before.Notes, .. added.Notes] };
                continue;
            }
            var found = quoted is null
                ? Identify(words, pantry)
                : new Identified(quoted, pantry.Find(quoted), pantry.Find(quoted), [], "");
            found = found with { Manner = [.. found.Manner, .. Phrase.Split(aside)] };
            var weighed = item.Amount is { } amount ? Weigh(amount, found, pantry) : new(null, null, []);
            // "2 potatoes, mashed (300 g)": the weight stands behind.
            if (
                weighed.Mass is null
                && aside.Length > 0
                && LineGrammar.Read(aside) is [{ Amount: { } behind }, ..]
                && Weigh(behind, found, pantry) is { Mass: not null } told
            )
                weighed = told;
            var role = MarkedRole(aside) ?? found.Ingredient?.Role ?? found.Like?.Role;
            ImmutableArray<string> notes =
                found.Ingredient is null && found.Like is { } like && MarkedRole(aside) is null
                    ? [$"not in the pantry; reckoned like {like.Name}", .. weighed.Notes]
                    : weighed.Notes;
            rows.Add(
                new(
                    name.Trim(),
                    found.Ingredient?.Name ?? found.Name,
                    found.Ingredient is not null,
                    role,
                    weighed.Mass,
                    weighed.Other,
                    aside.Contains(BeepMark, StringComparison.OrdinalIgnoreCase)
                        || item.Words.Contains(BeepMark, StringComparison.OrdinalIgnoreCase),
                    notes,
                    string.Join(", ", new[] { found.Preparation, Shown(aside) }.Where(p => p.Length > 0))
                )
            );
        }
        return rows.ToImmutable();
    }

    // Words that are an ingredient only when they stand alone.
    private static readonly FrozenSet<string> Adjectives = "plain white strong rye wholemeal spelt malt barley"
        .Split(' ')
        .ToFrozenSet();

    /// <summary>Teaches a pantry what a baker put right.</summary>
    public static HouseholdPantry Learn(HouseholdPantry pantry, Correction correction)
    {
        ArgumentNullException.ThrowIfNull(pantry);
        ArgumentNullException.ThrowIfNull(correction);
        var known = pantry.Find(correction.Name);
        if (known is null && correction.Role is null)
            return pantry;
        var ingredient = known ?? Pantry.Ingredient.Own(PlainText.AsName(correction.Name), correction.Role!.Value);
        // A measure nobody could weigh, weighed by the baker: the next such line is understood.
        if (
            correction.Mass is { } mass
            && mass > Measures.Mass.Zero
            && LineGrammar.Read(correction.Line) is [{ Amount.Sum: [var measure] }, ..]
            && measure.Count > 0
            && One(measure, new("", ingredient, ingredient, [], ""), pantry) is null
        )
        {
            var packing = ingredient.Packing ?? new Packing();
            ingredient = ingredient with
            {
                Packing = measure.Unit.Kind switch
                {
                    UnitKind.Piece => packing with { Each = mass / measure.Count },
                    UnitKind.Volume or UnitKind.MetricVolume => packing with
                    {
                        PerCup = mass / measure.Count * (Packing.UsCup / measure.Unit.VolumeOf(pantry.Cups)),
                    },
                    _ => packing,
                },
            };
        }
        var with =
            ingredient == known || Pantry.Ingredient.Check(ingredient).Length > 0 || pantry.Own.Length >= HouseholdPantry.MostOwn
                ? pantry
                : pantry.With(ingredient);
        return with.Learn(correction.Words, correction.Name);
    }

    private sealed record Identified(
        string Name,
        Ingredient? Ingredient,
        Ingredient? Like,
        ImmutableArray<string> Manner,
        string Preparation
    );

    private sealed record Weighed(Mass? Mass, Mass? Other, ImmutableArray<string> Notes);

    // "butter, softened": the ingredient is what stands before the comma, unless only both together are one.
    private static Identified Identify(string words, HouseholdPantry pantry)
    {
        var comma = words.IndexOfAny([',', ';']);
        var (before, after) = comma < 0 ? (words, "") : (words[..comma], words[(comma + 1)..].Trim());
        var first = Match(before, pantry);
        if (first.Ingredient is null && after.Length > 0 && Match(words, pantry) is { Ingredient: not null } both)
            return both;
        return first with
        {
            Preparation = string.Join(", ", new[] { first.Preparation, after }.Where(p => p.Length > 0)),
            Manner = [.. first.Manner, .. Phrase.Split(after)],
        };
    }

    private static Identified Match(string words, HouseholdPantry pantry)
    {
        var all = Phrase.Split(words).Where(w => w.Length > 0 && !char.IsDigit(w[0]) || w == "00").ToImmutableArray();
        if (pantry.Find(string.Join(' ', all)) is { } exact)
            return new(exact.Name, exact, exact, all, "");
        // "milk or water": the first of the two.
        var or = all.IndexOf("or");
        if (or > 0 && Match(string.Join(' ', all[..or]), pantry) is { Ingredient: not null } oneOf)
            return oneOf with { Preparation = "or " + string.Join(' ', all[(or + 1)..]) };

        (int From, int To, Ingredient Found)? best = null;
        for (var from = 0; from < all.Length; from++)
            for (var to = Math.Min(all.Length, from + 5); to > from; to--)
                if (
                    (best is null || to - from >= best.Value.To - best.Value.From)
                    && pantry.Find(string.Join(' ', all[from..to].Where(w => w != "of"))) is { } found
                )
                    best = (from, to, found);
        // Words of manner may stand between: "strong organic white flour".
        var plain = all.Where(w =>
                !Manner.Contains(w)
                || w is "plain" or "strong" or "whole" or "dry" or "dried" or "active" or "fresh" or "ripe" or "white" or "ground"
            )
            .ToImmutableArray();
        var core = all.Where(w => !Manner.Contains(w)).ToImmutableArray();
        foreach (var fewer in new[] { plain, core })
            if (
                fewer.Length > 0
                && (best is null || fewer.Length > best.Value.To - best.Value.From)
                && pantry.Find(string.Join(' ', fewer)) is { } direct
            )
                return new(direct.Name, direct, direct, all, string.Join(' ', all.Except(fewer).Where(w => w.Length > 2)));
        if (best is not { } b || b.To - b.From == 1 && all.Length > 1 && Adjectives.Contains(all[b.From]))
            return new(words.Trim(), null, null, all, "");
        var left = all.Where((w, i) => i < b.From || i >= b.To)
            .Where(w => !Manner.Contains(w) && !Manner.Contains(Phrase.Singular(w)))
            .ToList();
        var another = left.Count > 0 && b.To - b.From == 1 && Heads.Contains(Phrase.Singular(all[b.From])) || left.Count > 3;
        return new(
            another ? words.Trim() : b.Found.Name,
            another ? null : b.Found,
            b.Found,
            all,
            string.Join(' ', all.Where((w, i) => (i < b.From || i >= b.To) && w.Length > 2 && w is not ("the" or "for" or "and")))
        );
    }

    private static Weighed Weigh(Amount amount, Identified what, HouseholdPantry pantry)
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
        if (mass.Other is { } other)
            notes.Add(OtherHabit(other, what, pantry.Habit));
        foreach (var (sum, check, _) in masses.Where(m => m.Sum != believed.Sum && m.Mass is not null))
        {
            var agrees = Math.Abs(check!.Value.Mass / mass.Mass - 1) <= Agrees;
            notes.Add(Text($"{Print(sum)} would be {check.Value.Mass.Grams:0.#} g: {(agrees ? "agrees" : "differs")}"));
        }
        return new(mass.Mass, mass.Other, notes.ToImmutable());
    }

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

    private static (Mass Mass, Mass? Other)? One(Measure measure, Identified what, HouseholdPantry pantry)
    {
        var (unit, like) = (measure.Unit, what.Ingredient ?? what.Like);
        switch (unit.Kind)
        {
            case UnitKind.Mass:
                return (unit.Grams * measure.Count, null);
            case UnitKind.Pack:
                return like?.Role != Role.Yeast ? null
                    : unit.Grams > Mass.Zero ? (unit.Grams * measure.Count, null)
                    : (YeastPacket * measure.Count, null);
            case UnitKind.Piece:
                if (like?.Packing?.Each is not { } each)
                    return null;
                var size =
                    like.Role == Role.Egg
                        ? EggSizes.GetValueOrDefault(Size(what.Manner), EggSizes["large"]) / EggSizes["large"]
                        : 1;
                return (each * (size * measure.Count), null);
            default:
                var volume = unit.VolumeOf(pantry.Cups) * Math.Abs(measure.Count);
                var filled =
                    like?.Packing?.MassOf(volume, pantry.Habit, pantry.Cup, what.Manner.Contains("sifted"))
                    ?? (like?.Role == Role.Liquid ? (Mass.FromGrams(volume.Millilitres), (Mass?)null) : null);
                return filled is { } f && measure.Count < 0 ? (f.Mass * -1, f.Other * -1) : filled;
        }
    }

    private static string Size(ImmutableArray<string> manner)
    {
        var at = manner.IndexOf("large");
        return at > 0 && manner[at - 1] == "extra" ? "xl" : manner.FirstOrDefault(EggSizes.ContainsKey, "large");
    }

    // Brackets stand apart from the name.
    private static (string Words, string Aside) Apart(string text)
    {
        var (words, aside, depth) = (new System.Text.StringBuilder(text.Length), new System.Text.StringBuilder(), 0);
        foreach (var c in text)
        {
            if (c is '(' or '[')
                depth++;
            else if (c is ')' or ']')
                depth = Math.Max(0, depth - 1);
            else
                (depth > 0 ? aside : words).Append(c);
            if (c is ')' or ']' && depth == 0)
                aside.Append(' ');
        }
        return (words.ToString().Trim(' ', ',', '.', '*', ':'), aside.ToString().Trim());
    }

    // A name in quotes is taken as it is, whatever it looks like.
    private static (string? Name, string Around) Quoted(string line)
    {
        var (first, last) = (line.IndexOf('"', StringComparison.Ordinal), line.LastIndexOf('"'));
        return last > first + 1 && line.Length <= LineGrammar.LongestLine
            ? (line[(first + 1)..last], line[..first] + " " + line[(last + 1)..])
            : (null, line);
    }

    private static Role? MarkedRole(string aside) =>
        aside.IndexOf(RoleMark, StringComparison.Ordinal) is >= 0 and var at
        && Enum.TryParse<Role>(Phrase.Split(aside[(at + RoleMark.Length)..]).FirstOrDefault(), true, out var role)
        && Enum.IsDefined(role)
            ? role
            : null;

    private static string Shown(string aside) =>
        aside.Contains(RoleMark, StringComparison.Ordinal) || aside.Contains(BeepMark, StringComparison.OrdinalIgnoreCase)
            ? ""
            : aside;

    private static string Print(ImmutableArray<Measure> sum) => string.Join(" + ", sum.Select(Print));

    private static string Print(Measure measure)
    {
        var isWord = measure.Unit.Name is "cup" or "pint" or "quart" or "stick" or "packet";
        var plural = isWord && measure.Count > 1 ? "s" : "";
        return Text($"{measure.Count:0.##} {measure.Unit.Name}{plural}").TrimEnd();
    }

    private static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
