// What lies on the scale's pan: pieces taken stay on it while the next is put beside them, are lifted off, or are trimmed.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Dividing;

/// <summary>A piece that was taken and still lies on the pan.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Units">What it was taken as, whole scale units.</param>
public sealed record Laid(int Number, int Units);

/// <summary>The pan.</summary>
/// <param name="Pieces">In the order they were put there.</param>
public sealed record OnPan(ImmutableArray<Laid> Pieces)
{
    /// <summary>More than this many are not told apart.</summary>
    public const int Most = 8;

    /// <summary>An empty pan.</summary>
    public static OnPan Empty { get; } = new([]);

    /// <summary>What of a reading is new: without the pieces taken already.</summary>
    /// <param name="reading">Whole units.</param>
    public int New(int reading) => reading - Pieces.Sum(p => p.Units);

    // As little as this is a crumb or the pan's own unrest, not something that was put there. Ours.
    private static readonly Mass Unrest = Mass.FromGrams(1);

    /// <summary>What a reading that stands still is taken as, to a tenth of a gram; null when nothing is on the pan.</summary>
    /// <param name="shown">What the scale shows.</param>
    public static Mass? Weighed(Mass shown) => shown > Unrest ? Mass.FromGrams(Math.Round(shown.Grams, 1)) : null;

    // So little beside a piece is no piece of its own. Ours.
    private static readonly Share TrimmingsUpTo = Share.FromPercent(20);

    /// <summary>What is new is so little that it belongs to the last piece taken: trimmings put back on it.</summary>
    /// <param name="reading">Whole units.</param>
    /// <param name="target">What the next piece should weigh.</param>
    /// <param name="crumbs">Differences under this are crumbs.</param>
    public bool AreTrimmings(int reading, int target, int crumbs) =>
        !Pieces.IsEmpty && New(reading) >= crumbs && New(reading) < target * TrimmingsUpTo.Fraction;

    /// <summary>A piece was taken: it lies on the pan if its weight came from there.</summary>
    /// <param name="number">Its number.</param>
    /// <param name="units">What it was taken as.</param>
    /// <param name="reading">What the scale shows; null when it shows nothing.</param>
    /// <param name="crumbs">Differences under this are crumbs.</param>
    public OnPan Took(int number, int units, int? reading, int crumbs)
    {
        var others = new OnPan([.. Pieces.Where(p => p.Number != number)]);
        if (reading is not { } shown || Math.Abs(others.New(shown) - units) > crumbs)
            return Pieces.Any(p => p.Number == number) ? others : this;
        return new([.. others.Pieces.TakeLast(Most - 1), new(number, units)]);
    }

    /// <summary>A reading stands still: what was lifted off, or trimmed.</summary>
    /// <param name="reading">Whole units.</param>
    /// <param name="crumbs">Differences under this are crumbs.</param>
    /// <returns>The pan now, and the last piece with its new weight when dough was pinched off it.</returns>
    public (OnPan Pan, Laid? Trimmed) Settled(int reading, int crumbs)
    {
        if (Pieces.IsEmpty || reading < crumbs)
            return (Empty, null);
        var less = -New(reading);
        if (less < crumbs)
            return (this, null);
        // What stays is the largest group that weighs what the scale shows.
        var stays = Enumerable
            .Range(1, (1 << Pieces.Length) - 1)
            .Select(set => Pieces.Where((_, i) => (set & 1 << i) != 0).ToImmutableArray())
            .Where(group => Math.Abs(group.Sum(p => p.Units) - reading) <= crumbs)
            .OrderByDescending(group => group.Length)
            .ThenBy(group => Math.Abs(group.Sum(p => p.Units) - reading))
            .FirstOrDefault();
        if (!stays.IsDefaultOrEmpty)
            return (new(stays), null);
        var last = Pieces[^1];
        if (less > last.Units / 2)
            return (Empty, null);
        var trimmed = last with { Units = last.Units - less };
        return (new([.. Pieces[..^1], trimmed]), trimmed);
    }
}
