// The cut list: what one dough is divided into, as a baker says it, and how it adds up.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Dividing;

/// <summary>One line of a cut list as said. A number and a weight are pinned; a number alone lets the weight follow; a weight
/// alone lets the number follow; neither is the rest.</summary>
/// <param name="Pieces">How many; 1 or more.</param>
/// <param name="Each">How heavy each; over 0.</param>
/// <param name="Usual">The usual weight of one, for what is not said; over 0. Null for a share kept in one lump.</param>
/// <param name="Share">This part of the whole dough, instead of a weight.</param>
public sealed record CutLine(int? Pieces, Mass? Each, Mass? Usual, Share? Share = null);

/// <summary>One line decided.</summary>
/// <param name="Pieces">How many.</param>
/// <param name="Each">About how heavy each.</param>
/// <param name="Pinned">Keeps its weight when the dough turns out heavier or lighter; the others take the difference.</param>
public sealed record CutShare(int Pieces, Mass Each, bool Pinned);

/// <summary>Decides cut lists.</summary>
public static class CutList
{
    /// <summary>The most lines one dough is cut into.</summary>
    public const int MostLines = 8;

    /// <summary>Pinned lines alone may miss the dough by this part: each piece takes its bit. Ours.</summary>
    public const double Off = .03;

    /// <summary>How many and how heavy each line's pieces are, or what stands against it.</summary>
    /// <param name="dough">The dough there will be.</param>
    /// <param name="lines">At least one.</param>
    /// <returns>One share a line; together they are the dough. Fields of problems are <c>cuts[i]</c>.</returns>
    public static Outcome<ImmutableArray<CutShare>> Decide(Mass dough, ImmutableArray<CutLine> lines)
    {
        var made = new CutShare?[lines.Length];
        var left = dough;
        int? rest = null;
        for (var i = 0; i < lines.Length; i++)
        {
            var line = lines[i];
            if (line.Pieces is < 1)
                return Refuse("pieces:at-least-one", i, "pieces");
            if (line.Each is { Grams: <= 0 })
                return Refuse("not-positive", i, "each");
            if (line.Share is { Fraction: <= 0 or >= 1 })
                return Refuse("out-of-range:share", i, "share");
            if (line.Share is { } share)
                Take(i, new(1, dough * share.Fraction, false));
            else if (line is { Pieces: { } n, Each: { } each })
                Take(i, new(n, each, true));
            else if (line is { Usual: null, Each: { } lump })
                Take(i, new(1, lump, true));
            else if (line.Pieces is null)
            {
                if (rest is not null)
                    return Refuse("two-rests", i, "");
                rest = i;
            }
        }
        // With a line that takes the rest, the others have their usual weight; without, they share what is left.
        var open = Enumerable.Range(0, lines.Length).Where(i => made[i] is null && i != rest).ToList();
        Problem TooMuch() => new("too-much", "cuts", dough - left, dough);
        if (left.Grams <= 0 && (rest is not null || open.Count > 0))
            return TooMuch();
        var usual = open.Sum(i => lines[i].Pieces!.Value * (lines[i].Usual ?? dough).Grams);
        var factor = rest is not null || usual <= 0 ? 1 : left.Grams / usual;
        foreach (var i in open)
            Take(i, new(lines[i].Pieces!.Value, (lines[i].Usual ?? dough) * factor, false));
        if (left.Grams < -Off * dough.Grams || (left.Grams <= 0 && rest is not null))
            return TooMuch();
        if (rest is { } r)
        {
            var (wanted, lump) = (lines[r].Each ?? lines[r].Usual ?? left, lines[r].Usual is null);
            var pieces = lump ? 1 : Targets.CountFor(left, wanted);
            Take(r, new(pieces, left / pieces, false));
        }
        else if (left.Grams > Off * dough.Grams)
            return new Problem("left-over", "cuts", left);
        return made.Select(m => m!).ToImmutableArray();

        void Take(int i, CutShare share)
        {
            made[i] = share;
            left -= share.Each * share.Pieces;
        }

        static Problem Refuse(string code, int i, string field) =>
            new(code, field.Length == 0 ? $"cuts[{i}]" : $"cuts[{i}].{field}");
    }
}
