// What is tied or wound from one rope, step by step: the single knot, the pretzel twist, the coil.
using System.Collections.Immutable;

namespace JollyKnot.Core.Shaping;

/// <summary>Steps of one rope.</summary>
public static class Ties
{
    /// <summary>What is made of one rope.</summary>
    public enum Kind
    {
        /// <summary>Tied once.</summary>
        Knot,

        /// <summary>Crossed twice, the ends pressed onto the curve.</summary>
        Pretzel,

        /// <summary>Wound around itself, its end underneath.</summary>
        Coil,
    }

    /// <summary>What the rope of a family is tied or wound into; null where it is not.</summary>
    public static Kind? Of(Family family)
    {
        ArgumentNullException.ThrowIfNull(family);
        return family.Form switch
        {
            Form.Coil => Kind.Coil,
            Form.Rope when family is { Bathed: true, Id: not Families.Knot } => Kind.Pretzel,
            Form.Rope => Kind.Knot,
            _ => null,
        };
    }

    /// <summary>The drawing of a tie; in each step the first passage of a crossing lies on top or not, as signed.</summary>
    public static Weave Of(Kind kind) =>
        kind switch
        {
            Kind.Knot => Steps(
                14,
                ([(0, 5), (3.5, 5), (7, 5), (10.5, 5), (14, 5)], []),
                ([(13, 1), (10.4, 2.6), (8, 5.4), (4.8, 8), (2.6, 6), (4.4, 3.6), (7.4, 4.6), (10.4, 7), (13, 8.6)], [true]),
                (Trefoil(7, 6, 1.75), [true, false, true])
            ),
            Kind.Pretzel => Steps(
                14,
                ([(2, .5), (1.4, 4), (2.2, 8), (7, 10.4), (11.8, 8), (12.6, 4), (12, .5)], []),
                (
                    [
                        (9.2, .4),
                        (7.8, 2),
                        (6, 3.6),
                        (3.4, 5.2),
                        (1.6, 7.6),
                        (3.4, 10),
                        (7, 10.6),
                        (10.6, 10),
                        (12.4, 7.6),
                        (10.6, 5.2),
                        (8, 3.6),
                        (6.2, 2),
                        (4.8, .4),
                    ],
                    [true]
                ),
                (
                    [
                        (4.6, .2),
                        (6, 1.4),
                        (7.9, 2.7),
                        (6.1, 4.2),
                        (3.4, 5.6),
                        (1.6, 7.8),
                        (3.4, 10),
                        (7, 10.6),
                        (10.6, 10),
                        (12.4, 7.8),
                        (10.6, 5.6),
                        (7.9, 4.2),
                        (6.1, 2.7),
                        (8, 1.4),
                        (9.4, .2),
                    ],
                    [true, false]
                ),
                (
                    [
                        (3.9, 11.3),
                        (4.7, 9.4),
                        (6, 7.9),
                        (7.9, 6.6),
                        (6.1, 5.2),
                        (4.4, 3.4),
                        (2.4, 2.6),
                        (.9, 4.6),
                        (1.2, 7.6),
                        (3.4, 9.8),
                        (7, 10.5),
                        (10.6, 9.8),
                        (12.8, 7.6),
                        (13.1, 4.6),
                        (11.6, 2.6),
                        (9.6, 3.4),
                        (7.9, 5.2),
                        (6.1, 6.6),
                        (8, 7.9),
                        (9.3, 9.4),
                        (10.1, 11.3),
                    ],
                    [true, true, false, false]
                )
            ),
            _ => Steps(12, (Spiral(.6), []), (Spiral(1.5), []), (Spiral(2.6), [])),
        };

    // The single knot drawn open: a trefoil cut at one lobe, its ends led out.
    private static ImmutableArray<(double X, double Y)> Trefoil(double x, double y, double size)
    {
        const double cut = .5;
        var points = new List<(double X, double Y)> { (x + 3.4 * size, y - 3.1 * size), (x + 1.7 * size, y - 2.8 * size) };
        for (var t = Math.PI + cut; t <= 3 * Math.PI - cut + 1e-9; t += (2 * Math.PI - 2 * cut) / 28)
            points.Add((x + size * (Math.Sin(t) + 2 * Math.Sin(2 * t)), y + size * (Math.Cos(t) - 2 * Math.Cos(2 * t))));
        points.Add((x - 1.7 * size, y - 2.8 * size));
        points.Add((x - 3.4 * size, y - 3.1 * size));
        return [.. points];
    }

    private static Weave Steps(
        double width,
        params (ImmutableArray<(double X, double Y)> Line, ImmutableArray<bool> Over)[] steps
    ) =>
        new(
            width,
            1,
            false,
            [
                .. steps.Select(s => new WeaveStep(
                    Weave.Rope(s.Line, s.Over),
                    s.Line.Min(p => p.Y) - .8,
                    s.Line.Max(p => p.Y) + .8
                )),
            ]
        );

    // Turns of rope lying against one another, the rest of it straight.
    private static ImmutableArray<(double X, double Y)> Spiral(double turns)
    {
        var points = new List<(double X, double Y)>();
        for (var t = 0d; t <= turns + 1e-9; t += 1 / 12d)
        {
            var (radius, angle) = (.25 + 1.08 * t, 2 * Math.PI * t);
            points.Add((6 + radius * Math.Cos(angle), 5 + radius * Math.Sin(angle)));
        }
        return [.. points];
    }
}
