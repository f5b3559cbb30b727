using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Shaping;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Words;
using JollyKnot.Store;

namespace JollyKnot.Server.Doughs;

/// <summary>A row with its baker's percentage.</summary>
/// <param name="Ingredient">As it is called.</param>
/// <param name="Role">What it does.</param>
/// <param name="Known">The pantry knows it.</param>
/// <param name="Mass">How much.</param>
/// <param name="AtBeep">Goes in at the beep.</param>
/// <param name="Percentage">Baker's percentage.</param>
/// <param name="Like">The pantry's name for what it is reckoned like; null when it is called so.</param>
public sealed record RowView(string Ingredient, Role Role, bool Known, Mass Mass, bool AtBeep, Share Percentage, string? Like);

/// <summary>A part with its rows.</summary>
public sealed record PartView(
    PartKind Kind,
    string Name,
    ImmutableArray<RowView> Rows,
    PartWork Work,
    Mass Total,
    PartMoment Moment,
    PartMoment? Told
);

/// <summary>The dough beside a family's band.</summary>
/// <param name="From">Driest it likes.</param>
/// <param name="To">Wettest it likes.</param>
/// <param name="Water">Water to its nearer edge; 0 when it suits.</param>
public sealed record SuitsView(string Id, string Name, Share From, Share To, Suits Suits, Mass Water);

/// <summary>A dough reckoned.</summary>
public sealed record FormulaView(
    Mass Total,
    Mass Flour,
    Mass Yield,
    Share Hydration,
    Share WorkingHydration,
    Share Fat,
    Share Sugar,
    Share MilkSolids,
    Share Salt,
    Share Yeast,
    bool IsRich,
    ImmutableArray<RowView> Rows,
    ImmutableArray<PartView> Parts,
    string Contains,
    ImmutableArray<ProblemView> Checks,
    ImmutableArray<SuitsView> Suits
)
{
    internal static FormulaView Of(Dough dough, HouseholdPantry pantry, Band<Share>? band = null)
    {
        var f = Formula.Of(dough);
        ImmutableArray<RowView> Rows(ImmutableArray<DoughRow> rows) =>
            [
                .. rows.Select(r => new RowView(
                    r.Ingredient.Name,
                    r.Ingredient.Role,
                    pantry.Known(r.Ingredient.Name) is not null,
                    r.Mass,
                    r.AtBeep,
                    Share.FromFraction(r.Mass / f.Flour),
                    r.Ingredient.Like
                )),
            ];
        return new(
            Total: f.Total,
            Flour: f.Flour,
            Yield: Formula.Yield(f.Total),
            Hydration: f.Hydration,
            WorkingHydration: f.WorkingHydration,
            Fat: f.Fat,
            Sugar: f.Sugar,
            MilkSolids: f.MilkSolids,
            Salt: f.Salt,
            Yeast: f.Yeast,
            IsRich: f.IsRich,
            Rows: Rows(dough.Rows),
            Parts: [.. dough.Parts.Select(p => new PartView(p.Kind, p.Name, Rows(p.Rows), p.Work, p.Total, p.Moment, p.Told))],
            Contains: Voice.Contents(dough),
            Checks:
            [
                .. dough
                    .Lacks.Select(l => new Problem(l, "rows"))
                    .Concat(FormulaChecks.Of(f, band, dough.ByHand))
                    .Select(ProblemView.Of),
            ],
            Suits:
            [
                .. Suitability
                    .Of(f)
                    .Select(s => new SuitsView(
                        s.Family.Id,
                        s.Family.Name,
                        s.Family.Hydration.From,
                        s.Family.Hydration.To,
                        s.Suits,
                        s.Water
                    )),
            ]
        );
    }
}

/// <summary>A dough in a list.</summary>
public sealed record DoughLine(
    Guid Id,
    string Name,
    Mass Total,
    Share Hydration,
    bool IsRich,
    bool ByHand,
    ImmutableArray<RowView> Rows,
    ImmutableArray<string> Parts
)
{
    internal static DoughLine Of(StoredDough stored)
    {
        var f = Formula.Of(stored.Dough);
        return new(
            stored.Id,
            stored.Dough.Name,
            f.Total,
            f.Hydration,
            f.IsRich,
            stored.Dough.ByHand,
            [
                .. stored.Dough.Rows.Zip(
                    f.Rows,
                    (r, share) =>
                        new RowView(r.Ingredient.Name, r.Ingredient.Role, true, r.Mass, r.AtBeep, share, r.Ingredient.Like)
                ),
            ],
            [.. stored.Dough.Parts.Select(p => p.Name)]
        );
    }
}

/// <summary>A dough in the book, whole.</summary>
public sealed record DoughView(
    Guid Id,
    int Version,
    DateTimeOffset UpdatedAt,
    string Name,
    bool ByHand,
    string Notes,
    FormulaView Formula,
    RecipePlan? Plan,
    bool OwnOrder
)
{
    internal static DoughView Of(StoredDough stored, HouseholdPantry pantry) => Of(stored, FormulaView.Of(stored.Dough, pantry));

    internal static DoughView Of(StoredDough stored, FormulaView formula) =>
        new(
            stored.Id,
            stored.Version,
            stored.UpdatedAt,
            stored.Dough.Name,
            stored.Dough.ByHand,
            stored.Dough.Notes,
            formula,
            stored.Dough.Plan,
            stored.Dough.OwnOrder
        );
}
