// What a recipe's method tells of its rows: strewn over, divided, put in at the beep, fried, or for the last minutes.
using System.Collections.Immutable;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>Puts rows where the method has them.</summary>
internal sealed class RowsByMethod(string method, HouseholdPantry pantry, RecipeLanguage language)
{
    private readonly List<string> sentences = [.. MethodReading.Sentences(method)];

    private readonly MethodReading.AtShaping shaped = MethodReading.WhenShaped([.. MethodReading.Sentences(method)]);

    private readonly ImmutableArray<string> strewn = MethodReading.Clauses("strewn", method),
        late = MethodReading.Clauses("late", method),
        fried = MethodReading.Clauses("fried", method),
        beeped = MethodReading.Clauses("beep", method);

    /// <summary>Rows of the dough, each for what the method does with it.</summary>
    /// <param name="lines">Their lines; changed.</param>
    public void PutRight(List<ReadLine> lines)
    {
        Strew(lines);
        Lay(lines);
        HoldForBeep(lines);
    }

    // Seeds among the rows of the dough that its method strews over the bread go on top.
    private void Strew(List<ReadLine> lines)
    {
        bool IsStrewn(ReadRow row) =>
            row is { Use: Use.Dough, AtBeep: false }
            && (
                row is { Mass: null, Role: Role.Other or Role.Salt }
                    ? Telling(strewn, [HeadOf(row.Called ?? row.Ingredient)]).Any()
                    : row.Role == Role.Other
                        && row.Ingredient.Split(' ')[^1] is "seeds" or "seed"
                        && Telling(strewn, ["the seeds", row.Called ?? row.Ingredient]).Any()
            );
        Put(lines, IsStrewn, row => row with { Use = Use.Topping });
    }

    // Tomatoes and olives that the method lays on the sheet it has stretched.
    private void Lay(List<ReadLine> lines)
    {
        Use? Of(ReadRow row) =>
            row is { Use: Use.Dough, Role: Role.Other, AtBeep: false, Known: true }
                ? shaped.Of(HeadOf(row.Called ?? row.Ingredient))
                : null;
        Put(lines, row => Of(row) is not null, row => row with { Use = Of(row)!.Value });
    }

    /// <summary>"8 tbsp butter, divided": so much of it as the method first takes, and the rest for what it does with the
    /// remaining butter; where it does not say how much, that is asked.</summary>
    /// <param name="lines">The lines of a section; changed.</param>
    /// <param name="own">What the section is for.</param>
    public void Share(List<ReadLine> lines, Use? own)
    {
        for (var i = 0; i < lines.Count; i++)
            if (
                lines[i].Rows is [{ Use: Use.Dough, Mass: { } whole } row]
                && row.Preparation.Contains("divided", StringComparison.OrdinalIgnoreCase)
                && HeadOf(row.Called ?? row.Ingredient) is var name
                && MethodReading.RestOf(name, sentences) is { } rest
                && rest.Use != own
            )
            {
                var taken = rest.Before is { } amount ? LineReading.Of($"{amount} {name}", pantry, language) : [];
                var divided = row with
                {
                    Mass = null,
                    Other = null,
                    Notes = [FormattableString.Invariant($"of {whole.Grams:0.#} g, divided by the method")],
                };
                lines[i] = lines[i] with
                {
                    Rows =
                        taken is [{ Mass: { } first }, ..] && first < whole
                            ? [divided with { Mass = first }, divided with { Mass = whole - first, Use = rest.Use }]
                            : [divided with { Other = whole }],
                };
            }
    }

    // Fruit, nuts and the like that its method adds when the machine calls for them.
    private void HoldForBeep(List<ReadLine> lines)
    {
        bool IsHeld(ReadRow row) =>
            row is { Use: Use.Dough, Role: Role.Other } && Telling(beeped, [HeadOf(row.Called ?? row.Ingredient)]).Any();
        Put(lines, IsHeld, row => row with { AtBeep = true });
    }

    // What a method calls "the nuts" are hazelnuts here, and "le olive" black ones.
    private string HeadOf(string name) => name.Split(' ')[language.IsHeadFirst ? 0 : ^1];

    /// <summary>Puts something right in some rows.</summary>
    /// <param name="lines">The lines they stand in.</param>
    /// <param name="which">Which rows.</param>
    /// <param name="how">What becomes of each.</param>
    public static void Put(List<ReadLine> lines, Func<ReadRow, bool> which, Func<ReadRow, ReadRow> how)
    {
        for (var i = 0; i < lines.Count; i++)
            if (lines[i].Rows.Any(which))
                lines[i] = lines[i] with { Rows = [.. lines[i].Rows.Select(r => which(r) ? how(r) : r)] };
    }

    // Those that name one of these.
    private static IEnumerable<string> Telling(ImmutableArray<string> clauses, IEnumerable<string> names) =>
        clauses.Where(c => names.Any(n => n.Length > 0 && c.Contains(n, StringComparison.OrdinalIgnoreCase)));

    /// <summary>A part with what the method tells of it: that it comes late, or how long it is fried.</summary>
    /// <param name="part">The part, as its rows tell it.</param>
    public ReadSection AsTold(ReadSection part)
    {
        if (part.Kind is not (PartKind.Topping or PartKind.Filling))
            return part;
        var names = part.Lines.SelectMany(l => l.Rows).SelectMany(r => new[] { r.Called ?? "", r.Ingredient }).ToList();
        if (part.Moment is null && Telling(late, names).Any())
            part = part with { Moment = PartMoment.PartWay };
        return part.Work is null && MethodReading.TimeIn(Telling(fried, names)) is { } minutes
            ? part with
            {
                Work = PartWork.Fried(minutes.Middle),
            }
            : part;
    }
}
