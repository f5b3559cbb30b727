// A dough: a name, rows of ingredient and mass, and what belongs to it. It can only exist with sensible rows.
using System.Collections.Immutable;
using System.Text.Json.Serialization;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>One row of a dough.</summary>
/// <param name="Ingredient">What.</param>
/// <param name="Mass">How much, in grams; over 0.</param>
/// <param name="AtBeep">Goes in at the machine's add-in beep, not at the start.</param>
public sealed record DoughRow(Ingredient Ingredient, Mass Mass, bool AtBeep = false);

/// <summary>A row as a baker types it.</summary>
/// <param name="Ingredient">The baker's word for it.</param>
/// <param name="Mass">Grams.</param>
/// <param name="Role">What it does; needed only where the pantry does not know the word.</param>
/// <param name="AtBeep">Goes in at the add-in beep.</param>
public sealed record RowDraft(string Ingredient, Mass Mass, Role? Role = null, bool AtBeep = false);

/// <summary>A dough as a baker types it.</summary>
/// <param name="Name">The name; see <see cref="PlainText.CheckName"/>.</param>
/// <param name="Rows">1 to <see cref="Dough.MostRows"/> rows, each from <see cref="Dough.LightestRow"/> to <see
/// cref="Dough.HeaviestRow"/>, one of them flour.</param>
/// <param name="Parts">Fillings and the like; none when null.</param>
/// <param name="ByHand">Mixed by hand instead of by a machine.</param>
/// <param name="Notes">Method and whatever else is worth keeping; none when null.</param>
/// <param name="Plan">What its recipe says of pieces, heat and minutes; null when it says nothing.</param>
/// <param name="OwnOrder">Its rows are loaded as they stand, whatever the machine's order.</param>
public sealed record DoughDraft(
    string Name,
    ImmutableArray<RowDraft> Rows,
    ImmutableArray<PartDraft>? Parts = null,
    bool ByHand = false,
    string? Notes = null,
    RecipePlan? Plan = null,
    bool OwnOrder = false
);

/// <summary>A dough that can be weighed in.</summary>
public sealed record Dough
{
    /// <summary>The most rows a dough or part may have.</summary>
    public const int MostRows = 40;

    /// <summary>The most parts a dough may have.</summary>
    public const int MostParts = 8;

    /// <summary>The longest notes, in characters: a long recipe's method.</summary>
    public const int LongestNotes = 20_000;

    /// <summary>The heaviest row: the largest common scale's limit, twice over.</summary>
    public static Mass HeaviestRow { get; } = Mass.FromGrams(10_000);

    /// <summary>The lightest row: a hundredth of a gram, the finest kitchen scale's step.</summary>
    public static Mass LightestRow { get; } = Mass.FromGrams(.01);

    /// <summary>The longest a part's work may take.</summary>
    public static TimeSpan LongestWork { get; } = TimeSpan.FromHours(24);

    private static readonly ImmutableArray<string> Caustics =
    [
        "lye",
        "food grade lye",
        "lye solution",
        "caustic soda",
        "sodium hydroxide",
    ];

    [JsonConstructor]
    private Dough(
        string name,
        ImmutableArray<DoughRow> rows,
        ImmutableArray<Part> parts,
        bool byHand,
        string notes,
        RecipePlan? plan = null,
        bool ownOrder = false
    ) => (Name, Rows, Parts, ByHand, Notes, Plan, OwnOrder) = (name, rows, parts, byHand, notes, plan, ownOrder);

    /// <summary>The baker's name for it.</summary>
    public string Name { get; }

    /// <summary>What goes in, in the baker's order; at least one row is flour.</summary>
    public ImmutableArray<DoughRow> Rows { get; }

    /// <summary>Fillings, toppings, washes and butters.</summary>
    public ImmutableArray<Part> Parts { get; }

    /// <summary>Mixed by hand instead of by a machine.</summary>
    public bool ByHand { get; }

    /// <summary>Method and whatever else was worth keeping; may be empty.</summary>
    public string Notes { get; }

    /// <summary>What its recipe says of pieces, heat and minutes; null when it says nothing.</summary>
    public RecipePlan? Plan { get; }

    /// <summary>Its rows are loaded as they stand, whatever the machine's order.</summary>
    public bool OwnOrder { get; }

    /// <summary>The sum of all rows, add-ins included.</summary>
    public Mass Total => Rows.Aggregate(Mass.Zero, (sum, row) => sum + row.Mass);

    /// <summary>Rows of the dough and of its parts.</summary>
    public IEnumerable<DoughRow> Everything => Rows.Concat(Parts.SelectMany(p => p.Rows));

    /// <summary>Major allergens present, each once, in alphabetical order.</summary>
    public ImmutableArray<string> Allergens =>
        [.. Everything.SelectMany(r => r.Ingredient.Allergens).Distinct().Order(StringComparer.Ordinal)];

    /// <summary>What a dough cannot do without and this one lacks: liquid, leaven; by the code of its problem. Empty when it
    /// lacks nothing.</summary>
    [JsonIgnore]
    public ImmutableArray<string> Lacks
    {
        get
        {
            var isDry = Formula.Of(this).Hydration < LeastHydration;
            var lifts = Rows.Any(r => r.Ingredient.Role is Role.Yeast or Role.Starter || r.Ingredient.LiftsInHeat);
            return [.. isDry ? new[] { "no-liquid" } : [], .. lifts ? [] : new[] { "no-leaven" }];
        }
    }

    // Under this nothing holds together. Ours.
    private static readonly Share LeastHydration = Share.FromPercent(25);

    /// <summary>Ingredients nobody has told the allergens and the keeping of, by name.</summary>
    [JsonIgnore]
    public ImmutableArray<string> Untold =>
        [.. Everything.Select(r => r.Ingredient).Where(i => i.IsUntold).Select(i => i.Name).Distinct()];

    /// <summary>Makes a dough of what was typed, or says for each field what is wrong.</summary>
    /// <param name="draft">What was typed.</param>
    /// <param name="pantry">The household's pantry; the plain one when null.</param>
    public static Outcome<Dough> Create(DoughDraft draft, HouseholdPantry? pantry = null)
    {
        ArgumentNullException.ThrowIfNull(draft);
        pantry ??= HouseholdPantry.Plain;
        var problems = ImmutableArray.CreateBuilder<Problem>();
        if (PlainText.CheckName(draft.Name, "name") is { } badName)
            problems.Add(badName);
        if (PlainText.CheckNote(draft.Notes ?? "", "notes", LongestNotes) is { } badNotes)
            problems.Add(badNotes);
        problems.AddRange(draft.Plan?.Problems("plan") ?? []);
        var rows = RowsOf(draft.Rows, "rows", "empty:dough", pantry, problems);
        var drafts = draft.Parts ?? [];
        if (drafts.Length > MostParts)
            problems.Add(new("too-many:parts", "parts", drafts.Length, MostParts));
        var parts = drafts.Take(MostParts).Select((p, i) => PartOf(p, $"parts[{i}]", pantry, problems)).ToList();
        if (problems.Count == 0 && !rows.Any(r => r.Ingredient.Role == Role.Flour || r.Ingredient.FlourInside > 0))
            problems.Add(new("no-flour", "rows"));
        return problems.Count > 0
            ? problems.ToImmutable()
            : new Dough(
                PlainText.AsName(draft.Name),
                rows,
                [.. parts.Select(p => p!)],
                draft.ByHand,
                PlainText.AsNote(draft.Notes ?? "").Trim(),
                draft.Plan,
                draft.OwnOrder
            );
    }

    /// <summary>Honey inside, or on it: not for babies.</summary>
    public bool HasHoney => Everything.Any(r => r.Ingredient.IsHoney);

    /// <summary>Filled or topped with what spoils.</summary>
    public bool Spoils =>
        Parts.Any(p => p.Kind is PartKind.Filling or PartKind.Topping && p.Rows.Any(r => r.Ingredient.Perishable));

    /// <summary>The same dough, every row so many times; parts too, so that they still fit its pieces.</summary>
    /// <param name="factor">Over 0.</param>
    public Dough Scale(double factor)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(factor);
        ImmutableArray<DoughRow> Scaled(ImmutableArray<DoughRow> rows) =>
            [.. rows.Select(r => r with { Mass = r.Mass * factor })];
        return new(Name, Scaled(Rows), [.. Parts.Select(p => p with { Rows = Scaled(p.Rows) })], ByHand, Notes, Plan, OwnOrder);
    }

    /// <summary>The same dough of other rows.</summary>
    /// <param name="rows">At least one, with flour.</param>
    internal Dough WithRows(ImmutableArray<DoughRow> rows) => new(Name, rows, Parts, ByHand, Notes, Plan, OwnOrder);

    /// <summary>The main liquid's row; null when nothing is poured.</summary>
    [JsonIgnore]
    public DoughRow? Liquid => Rows.Where(r => !r.AtBeep && r.Ingredient.Role == Role.Liquid).MaxBy(r => r.Mass);

    /// <summary>The same dough, of whose recipe nothing is known.</summary>
    internal Dough WithoutPlan() => new(Name, Rows, Parts, ByHand, Notes, null, OwnOrder);

    /// <summary>As a baker would type it.</summary>
    public DoughDraft ToDraft()
    {
        static ImmutableArray<RowDraft> Drafts(ImmutableArray<DoughRow> rows) =>
            [.. rows.Select(r => new RowDraft(r.Ingredient.Name, r.Mass, r.Ingredient.Role, r.AtBeep))];
        return new(
            Name,
            Drafts(Rows),
            [.. Parts.Select(p => new PartDraft(p.Kind, p.Name, Drafts(p.Rows), p.Work, p.Told))],
            ByHand,
            Notes,
            Plan,
            OwnOrder
        );
    }

    private static ImmutableArray<DoughRow> RowsOf(
        ImmutableArray<RowDraft> rows,
        string field,
        string whenEmpty,
        HouseholdPantry pantry,
        ImmutableArray<Problem>.Builder problems
    )
    {
        if (rows.IsDefaultOrEmpty)
        {
            problems.Add(new(whenEmpty, field));
            return [];
        }
        if (rows.Length > MostRows)
        {
            problems.Add(new("too-many:rows", field, rows.Length, MostRows));
            return [];
        }
        var before = problems.Count;
        var made = rows.Select((row, i) => Row(row, $"{field}[{i}]", pantry, problems)).ToList();
        return problems.Count > before ? [] : [.. made.Select(r => r!)];
    }

    private static Part? PartOf(PartDraft part, string at, HouseholdPantry pantry, ImmutableArray<Problem>.Builder problems)
    {
        if (PlainText.CheckName(part?.Name, $"{at}.name") is { } badName)
            problems.Add(badName);
        if (part is null)
            return null;
        if (!Enum.IsDefined(part.Kind))
            problems.Add(new("unknown:answer", $"{at}.kind"));
        var rows = RowsOf(part.Rows, $"{at}.rows", "empty:part", pantry, problems);
        var work = part.Work ?? PartWork.Usual(part.Kind, rows);
        if (new[] { work.Hands, work.Hob, work.Cool }.Any(t => t < TimeSpan.Zero || t > LongestWork))
            problems.Add(new("out-of-range:between", $"{at}.work", TimeSpan.Zero, LongestWork));
        if (part.Moment is { } moment && !Enum.IsDefined(moment))
            problems.Add(new("unknown:answer", $"{at}.moment"));
        return new(part.Kind, PlainText.AsName(part.Name ?? ""), rows, work) { Told = part.Moment };
    }

    private static DoughRow? Row(RowDraft? row, string at, HouseholdPantry pantry, ImmutableArray<Problem>.Builder problems)
    {
        var before = problems.Count;
        if (PlainText.CheckName(row?.Ingredient, $"{at}.ingredient") is { } badName)
            problems.Add(badName);
        if (row is null)
            return null;
        if (row.Mass <= Mass.Zero)
            problems.Add(new("not-positive", $"{at}.mass"));
        else if (row.Mass < LightestRow)
            problems.Add(new("too-light", $"{at}.mass", LightestRow));
        else if (row.Mass > HeaviestRow)
            problems.Add(new("too-heavy:row", $"{at}.mass", row.Mass, HeaviestRow));
        if (problems.Count > before)
            return null;

        var name = PlainText.AsName(row.Ingredient);
        if (Caustics.Contains(Phrase.Of(name)))
        {
            problems.Add(new("caustic", $"{at}.ingredient"));
            return null;
        }
        var known = pantry.Known(name);
        if (known is null && row.Role is null)
        {
            problems.Add(new("unknown-ingredient", $"{at}.role", name));
            return null;
        }
        if (row.Role is { } role && !Enum.IsDefined(role))
        {
            problems.Add(new("unknown-role", $"{at}.role"));
            return null;
        }
        return new(
            known is not null && (row.Role is null || row.Role == known.Role) ? known : Ingredient.Own(name, row.Role!.Value),
            row.Mass,
            row.AtBeep
        );
    }
}
