// Drawings of plaits, knots and coils: pieces of strand in the order they lie on one another, made from signed crossings.
using System.Collections.Immutable;

namespace JollyKnot.Core.Shaping;

/// <summary>A stretch of strand to draw.</summary>
/// <param name="Strand">Which strand; 1 for the first.</param>
/// <param name="Points">Its middle line, x and y in turn; the strand's thickness is 1.</param>
/// <param name="Active">It is the one moved in this step.</param>
public sealed record WeavePiece(int Strand, ImmutableArray<double> Points, bool Active = false);

/// <summary>One step of a drawing.</summary>
/// <param name="Pieces">Lowest first.</param>
/// <param name="Top">Where it begins.</param>
/// <param name="Bottom">Where it ends.</param>
/// <param name="Move">The move made; null for the start and for single ropes.</param>
public sealed record WeaveStep(ImmutableArray<WeavePiece> Pieces, double Top, double Bottom, Move? Move = null)
{
    /// <summary>How each strand runs out below it, into hanging straight; empty of a rope.</summary>
    public ImmutableArray<WeavePiece> Tails { get; init; } = [];
}

/// <summary>A drawing in steps. A plait's steps lie below one another; a single rope's replace one another.</summary>
/// <param name="Width">Its width, with the strand's thickness as unit.</param>
/// <param name="Strands">How many strands.</param>
/// <param name="Stacked">The steps add up.</param>
/// <param name="Steps">The first is the start.</param>
public sealed record Weave(double Width, int Strands, bool Stacked, ImmutableArray<WeaveStep> Steps)
{
    // Strands lie a little apart; a crossing takes this much length, each further one of a move less.
    private const double Pitch = 1.18,
        Crossing = 1.5,
        Further = .5,
        Hanging = 1.2;

    // How far pieces reach into one another so that no gap shows.
    internal const double Joint = .12;

    /// <summary>The drawing of a plait worked so far: each strand is one smooth ribbon from its pinched head to its free
    /// end.</summary>
    /// <param name="plait">The plait.</param>
    /// <param name="moves">How many moves, 0 or more.</param>
    public static Weave Of(Plait plait, int moves)
    {
        ArgumentNullException.ThrowIfNull(plait);
        var made = plait.Moves(moves).ToList();
        var orders = Plait.Orders(plait.Strands, made).ToList();
        var heights = Heights(made);
        var ribbons = Enumerable
            .Range(1, plait.Strands)
            .ToDictionary(s => s, s => Ribbon.Through(Knots(s, orders, heights, plait.Strands)));
        var steps = ImmutableArray.CreateBuilder<WeaveStep>(made.Count + 1);
        steps.Add(
            new([.. orders[0].Select(s => new WeavePiece(s, ribbons[s].Between(0, Hanging + Joint)))], 0, Hanging)
            {
                Tails = Tails(orders[0], ribbons, Hanging),
            }
        );
        for (var i = 0; i < made.Count; i++)
        {
            var (top, bottom) = (heights[i], heights[i + 1]);
            steps.Add(
                new([.. Row(made[i], orders[i], ribbons, top, bottom)], top, bottom, made[i])
                {
                    Tails = Tails(orders[i + 1], ribbons, bottom),
                }
            );
        }
        return new(plait.Strands * Pitch, plait.Strands, true, steps.ToImmutable());
    }

    // Where each row begins, and where the last one ends.
    private static List<double> Heights(List<Move> made)
    {
        var heights = new List<double> { Hanging };
        foreach (var move in made)
            heights.Add(heights[^1] + Crossing + Further * (move.Over.Length - 1));
        return heights;
    }

    // Pinched together at the top, a strand goes through its places between the moves.
    private static List<(double Y, double X)> Knots(
        int strand,
        List<ImmutableArray<int>> orders,
        List<double> heights,
        int strands
    )
    {
        var middle = X((strands - 1) / 2d);
        var first = X(orders[0].IndexOf(strand));
        List<(double Y, double X)> knots = [(0, middle + (first - middle) * Pinched)];
        for (var i = 0; i < heights.Count; i++)
            knots.Add((heights[i], X(orders[i].IndexOf(strand))));
        return knots;
    }

    // How far apart strands are where they are pinched, of how far they hang apart.
    private const double Pinched = .55;

    private static double X(double place) => (place + .5) * Pitch;

    private static ImmutableArray<WeavePiece> Tails(ImmutableArray<int> order, Dictionary<int, Ribbon> ribbons, double from) =>
        [.. order.Select(s => new WeavePiece(s, ribbons[s].RunsOut(from)))];

    // The mover's stretches that pass under lie lowest, then its neighbours, then those that pass over.
    private static IEnumerable<WeavePiece> Row(
        Move move,
        ImmutableArray<int> order,
        Dictionary<int, Ribbon> ribbons,
        double top,
        double bottom
    )
    {
        var (from, passes) = (move.From - 1, move.Over.Length);
        var mover = order[from];
        var (under, over) = (new List<WeavePiece>(), new List<WeavePiece>());
        var side = move.Rightwards ? 1 : -1;
        // Runs of the same sign are one stretch.
        for (var start = 0; start < passes;)
        {
            var end = start + 1;
            while (end < passes && move.Over[end] == move.Over[start])
                end++;
            // It is cut where it is between two neighbours.
            var a = start == 0 ? top - Joint : ribbons[mover].HeightAt(X(from + start * side), top, bottom);
            var b = end == passes ? bottom + Joint : ribbons[mover].HeightAt(X(from + end * side), top, bottom);
            (move.Over[start] ? over : under).Add(new(mover, ribbons[mover].Between(a, b), true));
            start = end;
        }
        var others = order.Where(s => s != mover).Select(s => new WeavePiece(s, ribbons[s].Between(top - Joint, bottom + Joint)));
        return [.. under, .. others, .. over];
    }

    /// <summary>A single rope laid along a line, cut where it crosses itself so that each crossing lies as it is
    /// signed.</summary>
    /// <param name="line">Points the rope goes through smoothly, in rope thicknesses.</param>
    /// <param name="over">For each crossing, in the order the rope comes to it first: the first passage lies on top.</param>
    /// <returns>The pieces, lowest first.</returns>
    /// <exception cref="ArgumentException">The line does not cross itself as often as it is signed.</exception>
    public static ImmutableArray<WeavePiece> Rope(ImmutableArray<(double X, double Y)> line, ImmutableArray<bool> over)
    {
        var curve = Through(line);
        var crossings = Crossings(curve);
        if (crossings.Count != over.Length)
            throw new ArgumentException($"The line crosses itself {crossings.Count} times, not {over.Length}.", nameof(over));
        // Around each crossing the upper passage is drawn again on top.
        var pieces = ImmutableArray.CreateBuilder<WeavePiece>();
        pieces.Add(Piece(0, curve.Length - 1));
        for (var c = 0; c < crossings.Count; c++)
        {
            var at = over[c] ? crossings[c].First : crossings[c].Second;
            pieces.Add(Piece(at - Above, at + Above));
        }
        return pieces.ToImmutable();

        WeavePiece Piece(int from, int to)
        {
            (from, to) = (Math.Max(0, from), Math.Min(curve.Length - 1, to));
            return new(
                1,
                [
                    .. Enumerable
                        .Range(from, to - from + 1)
                        .SelectMany(i => new[] { Math.Round(curve[i].X, 3), Math.Round(curve[i].Y, 3) }),
                ]
            );
        }
    }

    // Points to each side of a crossing that are drawn again: a little more than a strand's thickness.
    private const int Above = 12;

    // Distance between points of a rope.
    private const double Spacing = .1;

    // A smooth line through points (Catmull and Rom, 1974), in points equally far apart.
    private static (double X, double Y)[] Through(ImmutableArray<(double X, double Y)> line)
    {
        var dense = new List<(double X, double Y)>();
        for (var i = 0; i + 1 < line.Length; i++)
        {
            var (p0, p1, p2, p3) = (line[Math.Max(0, i - 1)], line[i], line[i + 1], line[Math.Min(line.Length - 1, i + 2)]);
            double Mix(double a, double b, double c, double d, double t) =>
                .5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t * t * t);
            for (var k = 0; k < 60; k++)
                dense.Add((Mix(p0.X, p1.X, p2.X, p3.X, k / 60d), Mix(p0.Y, p1.Y, p2.Y, p3.Y, k / 60d)));
        }
        dense.Add(line[^1]);
        var even = new List<(double X, double Y)> { dense[0] };
        foreach (var p in dense)
            if (Math.Sqrt(Math.Pow(p.X - even[^1].X, 2) + Math.Pow(p.Y - even[^1].Y, 2)) >= Spacing)
                even.Add(p);
        return [.. even];
    }

    private static List<(int First, int Second)> Crossings((double X, double Y)[] curve)
    {
        var found = new List<(int, int)>();
        for (var i = 0; i + 1 < curve.Length; i++)
            for (var j = i + Above; j + 1 < curve.Length; j++)
                if (Cross(curve[i], curve[i + 1], curve[j], curve[j + 1]))
                    found.Add((i, j));
        return found;

        static bool Cross((double X, double Y) a, (double X, double Y) b, (double X, double Y) c, (double X, double Y) d)
        {
            static double Side((double X, double Y) p, (double X, double Y) q, (double X, double Y) r) =>
                (q.X - p.X) * (r.Y - p.Y) - (q.Y - p.Y) * (r.X - p.X);
            return Side(a, b, c) > 0 != Side(a, b, d) > 0 && Side(c, d, a) > 0 != Side(c, d, b) > 0;
        }
    }
}
