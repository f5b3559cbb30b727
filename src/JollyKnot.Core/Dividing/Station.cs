// The scale station: what the next piece should weigh, and what to do about the one on the pan.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Dividing;

/// <summary>What to do with the piece on the pan.</summary>
public enum Verdict
{
    /// <summary>Nothing on the pan yet.</summary>
    Empty,

    /// <summary>Under the target: add dough.</summary>
    Add,

    /// <summary>Inside the tolerance: leave it alone.</summary>
    Good,

    /// <summary>Over the target: pinch some off.</summary>
    PinchOff,
}

/// <summary>What a household leaves alone.</summary>
/// <param name="Least">So far off is never worth mending; 0 or more.</param>
/// <param name="Part">The same as a share of the target; 0 or more.</param>
public sealed record Tolerance(Mass Least, Share Part)
{
    /// <summary>2 g or 3 %. After bakers' usage.</summary>
    public static Tolerance Usual { get; } = new(Mass.FromGrams(2), Share.FromPercent(3));

    /// <summary>In whole scale units, at a target.</summary>
    /// <param name="target">Whole units.</param>
    /// <param name="step">What one unit weighs.</param>
    public int At(int target, Mass step) =>
        Math.Max(
            (int)Math.Round(Least / step, MidpointRounding.AwayFromZero),
            (int)Math.Round(target * Part.Fraction, MidpointRounding.AwayFromZero)
        );
}

/// <summary>What one cut asks of the station.</summary>
/// <param name="Pieces">How many; at least 1.</param>
/// <param name="Strands">Ropes in one piece; at least 1.</param>
/// <param name="Each">Planned weight of one piece, whole units; over 0.</param>
/// <param name="Pinned">Keeps that weight while other cuts can take the difference.</param>
public sealed record Group(int Pieces, int Strands, int Each, bool Pinned);

/// <summary>One piece, or one strand of one, as planned and as weighed. Weights in whole units.</summary>
/// <param name="Number">1 for the first, through all cuts.</param>
/// <param name="Cut">0 for the first cut.</param>
/// <param name="Of">Which piece of its cut; 1 for the first.</param>
/// <param name="Strand">Which strand of its piece; 1 for the first.</param>
/// <param name="Target">What it should weigh.</param>
/// <param name="Tolerance">So far off is left alone.</param>
/// <param name="Weighed">What it weighs; null while it is still to be cut.</param>
/// <param name="Verdict">How it stands to its target; <see cref="Verdict.Empty"/> while it is still to be cut.</param>
public sealed record Piece(int Number, int Cut, int Of, int Strand, int Target, int Tolerance, int? Weighed, Verdict Verdict)
{
    /// <summary>What to do about so much where this piece is wanted.</summary>
    /// <param name="units">On the pan.</param>
    /// <param name="crumbs">Less than this is crumbs, not a piece.</param>
    public Verdict Judge(int units, int crumbs) =>
        units < crumbs ? Verdict.Empty
        : Math.Abs(units - Target) <= Tolerance ? Verdict.Good
        : units < Target ? Verdict.Add
        : Verdict.PinchOff;
}

/// <summary>The state of dividing by scale, in whole scale units: no fraction of a unit is ever made up or lost.</summary>
/// <param name="Dough">The whole dough.</param>
/// <param name="Step">What one unit weighs.</param>
/// <param name="Pieces">Every piece, in order.</param>
public sealed record Station(int Dough, Mass Step, ImmutableArray<Piece> Pieces)
{
    // On the pan below this is crumbs, not a piece.
    private static readonly Mass CrumbsMass = Mass.FromGrams(2);

    /// <summary>On the pan below this many units is crumbs, not a piece.</summary>
    public int Crumbs => Math.Max(1, (int)Math.Round(CrumbsMass / Step));

    /// <summary>Dough not yet weighed off.</summary>
    public int Left => Math.Max(0, Dough - Pieces.Sum(p => p.Weighed ?? 0));

    /// <summary>The next piece to cut; null when all are cut.</summary>
    public Piece? Next => Pieces.FirstOrDefault(p => p.Weighed is null);

    /// <summary>A mass in whole units.</summary>
    public int Units(Mass mass) => UnitsOf(mass, Step);

    /// <summary>A mass in whole units of a step.</summary>
    public static int UnitsOf(Mass mass, Mass step) => (int)Math.Round(mass / step, MidpointRounding.AwayFromZero);

    /// <summary>The weight of each piece of each cut, so that all together are the dough: pinned cuts keep theirs, the others
    /// share the rest in proportion; where that leaves nothing, all share.</summary>
    /// <param name="dough">Whole units; 0 or more.</param>
    /// <param name="groups">At least one.</param>
    public static ImmutableArray<ImmutableArray<int>> PieceTargets(int dough, ImmutableArray<Group> groups)
    {
        var pinned = groups.Where(g => g.Pinned).Sum(g => g.Pieces * g.Each);
        var holds = groups.Any(g => !g.Pinned) && pinned < dough;
        var sharing = groups.SelectMany(g => Enumerable.Repeat(holds && g.Pinned ? 0 : g.Each, g.Pieces)).ToArray();
        var shared = Targets.Share(holds ? dough - pinned : dough, sharing);
        var at = 0;
        return
        [
            .. groups.Select(g =>
                Enumerable
                    .Range(0, g.Pieces)
                    .Select(_ => (Share: shared[at++], g.Each))
                    .Select(p => holds && g.Pinned ? p.Each : p.Share)
                    .ToImmutableArray()
            ),
        ];
    }

    /// <summary>The station, with what is weighed so far. Targets of what is left share out what is left, so that no error piles
    /// up on the last piece; strands still open share what their own piece lacks.</summary>
    /// <param name="dough">The whole dough in whole units; 0 or more.</param>
    /// <param name="step">What one unit weighs.</param>
    /// <param name="groups">At least one.</param>
    /// <param name="weighed">Piece or strand number to whole units.</param>
    /// <param name="tolerance">What is left alone; the usual when null.</param>
    public static Station For(
        int dough,
        Mass step,
        ImmutableArray<Group> groups,
        IReadOnlyDictionary<int, int> weighed,
        Tolerance? tolerance = null
    )
    {
        ArgumentNullException.ThrowIfNull(weighed);
        tolerance ??= Tolerance.Usual;
        var planned = PieceTargets(dough, groups);
        // A piece: its cut, its planned weight, its strands' numbers, and what of it is weighed.
        var pieces = new List<(int Cut, int Of, int Planned, bool Pinned, int First, int Strands)>();
        var number = 1;
        for (var cut = 0; cut < groups.Length; cut++)
            for (var of = 0; of < groups[cut].Pieces; of++, number += groups[cut].Strands)
                pieces.Add((cut, of + 1, planned[cut][of], groups[cut].Pinned, number, groups[cut].Strands));
        int Weighed(int first, int strands) => Enumerable.Range(first, strands).Sum(n => weighed.GetValueOrDefault(n));
        int Open(int first, int strands) => Enumerable.Range(first, strands).Count(n => !weighed.ContainsKey(n));

        var open = pieces.Where(p => Open(p.First, p.Strands) > 0).ToList();
        var left = Math.Max(0, dough - pieces.Sum(p => Weighed(p.First, p.Strands)));
        // What is left, with what the open pieces hold already, is shared out among them.
        var pool = left + open.Sum(p => Weighed(p.First, p.Strands));
        var kept = open.Where(p => p.Pinned).Sum(p => p.Planned);
        var holds = open.Any(p => !p.Pinned) && kept < pool;
        var shares =
            open.Count == 0
                ? []
                : Targets.Share(
                    holds ? pool - kept : pool,
                    [.. open.Select(p => holds && p.Pinned ? 0 : Math.Max(1, p.Planned))]
                );
        var lacks = open.Select((p, i) => Math.Max(0, (holds && p.Pinned ? p.Planned : shares[i]) - Weighed(p.First, p.Strands)))
            .ToArray();
        // A piece that holds too much already must not make up dough for the others.
        if (open.Count > 0 && lacks.Sum() != left)
            lacks = [.. Targets.Share(left, lacks)];

        var made = ImmutableArray.CreateBuilder<Piece>(number - 1);
        foreach (var piece in pieces)
        {
            var targets = Targets.Equal(piece.Planned, piece.Strands);
            var at = open.FindIndex(p => p.First == piece.First);
            var running = at < 0 ? [] : Targets.Equal(lacks[at], Open(piece.First, piece.Strands));
            var next = 0;
            for (var s = 0; s < piece.Strands; s++)
            {
                var isWeighed = weighed.TryGetValue(piece.First + s, out var units);
                var target = isWeighed ? targets[s] : running[next++];
                var one = new Piece(
                    piece.First + s,
                    piece.Cut,
                    piece.Of,
                    s + 1,
                    target,
                    tolerance.At(target, step),
                    isWeighed ? units : null,
                    Verdict.Empty
                );
                made.Add(isWeighed ? one with { Verdict = one.Judge(units, 1) } : one);
            }
        }
        return new(dough, step, made.ToImmutable());
    }
}

/// <summary>How alike the pieces came out.</summary>
/// <param name="Lightest">Whole units.</param>
/// <param name="Heaviest">Whole units.</param>
/// <param name="Variation">Standard deviation over mean.</param>
public sealed record Evenness(int Lightest, int Heaviest, Share Variation)
{
    /// <summary>Heaviest less lightest, whole units.</summary>
    public int Spread => Heaviest - Lightest;

    /// <summary>The evenness of at least one piece; null of none.</summary>
    public static Evenness? Of(IReadOnlyCollection<int> units)
    {
        ArgumentNullException.ThrowIfNull(units);
        if (units.Count == 0)
            return null;
        var mean = units.Average();
        var deviation = Math.Sqrt(units.Average(g => (g - mean) * (g - mean)));
        return new(units.Min(), units.Max(), Share.FromFraction(mean > 0 ? deviation / mean : 0));
    }
}
