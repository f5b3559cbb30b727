// Heat on its way to the middle of a piece: transient conduction in a sphere, cylinder or slab, and products of them.
using System.Collections.Concurrent;
using System.Collections.Immutable;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Baking;

/// <summary>Series for the temperature in the middle of a body that was put into air of another temperature (Incropera and
/// DeWitt, Fundamentals of Heat and Mass Transfer).</summary>
public static class Conduction
{
    private const int Terms = 8,
        Bisections = 60;

    // Sooner than this the middle feels nothing yet, and few terms would not say so.
    private const double Unfelt = .02;
    private static readonly ConcurrentDictionary<(Body, double), ImmutableArray<(double Zeta, double C)>> Known = new();

    /// <summary>The roots ζ of the body's equation with their coefficients C, smallest first.</summary>
    /// <param name="body">The body.</param>
    /// <param name="biot">Heat transfer × size ÷ conductivity; over 0.</param>
    public static ImmutableArray<(double Zeta, double C)> Roots(Body body, double biot)
    {
        ArgumentOutOfRangeException.ThrowIfLessThanOrEqual(biot, 0);
        return Known.GetOrAdd((body, Math.Round(biot, 6)), key => Solve(key.Item1, key.Item2));
    }

    /// <summary>What is left of the difference to the air: 1 at the start, 0 in the end.</summary>
    /// <param name="body">The body.</param>
    /// <param name="biot">Heat transfer × size ÷ conductivity; over 0.</param>
    /// <param name="fourier">Diffusivity × time ÷ size²; 0 or more.</param>
    public static double Left(Body body, double biot, double fourier) =>
        fourier < Unfelt ? 1 : Math.Min(1, Roots(body, biot).Sum(r => r.C * Math.Exp(-r.Zeta * r.Zeta * fourier)));

    private static ImmutableArray<(double, double)> Solve(Body body, double biot)
    {
        var roots = ImmutableArray.CreateBuilder<(double, double)>(Terms);
        for (var n = 0; n < Terms; n++)
        {
            // One root in each of these, where the equation changes its sign once.
            var (low, high) = body switch
            {
                Body.Slab => (n * Math.PI, (n + .5) * Math.PI),
                Body.Sphere => (n * Math.PI, (n + 1) * Math.PI),
                _ => (n == 0 ? 0 : J1Zeros[n - 1], J0Zeros[n]),
            };
            (low, high) = (low + 1e-9, high - 1e-9);
            for (var i = 0; i < Bisections; i++)
            {
                var middle = (low + high) / 2;
                if (Equation(body, middle, biot) < 0)
                    low = middle;
                else
                    high = middle;
            }
            var z = (low + high) / 2;
            roots.Add(
                (
                    z,
                    body switch
                    {
                        Body.Slab => 4 * Math.Sin(z) / (2 * z + Math.Sin(2 * z)),
                        Body.Sphere => 4 * (Math.Sin(z) - z * Math.Cos(z)) / (2 * z - Math.Sin(2 * z)),
                        _ => 2 / z * J(1, z) / (J(0, z) * J(0, z) + J(1, z) * J(1, z)),
                    }
                )
            );
        }
        return roots.ToImmutable();
    }

    // Below 0 before its root, over 0 after it.
    private static double Equation(Body body, double z, double biot) =>
        body switch
        {
            Body.Slab => z * Math.Tan(z) - biot,
            Body.Sphere => 1 - z / Math.Tan(z) - biot,
            _ => z * J(1, z) / J(0, z) - biot,
        };

    // Zeros of the Bessel functions, which bracket the cylinder's roots (Abramowitz and Stegun, table 9.5).
    private static readonly double[] J0Zeros =
        [2.404825558, 5.520078110, 8.653727913, 11.791534439, 14.930917708, 18.071063968, 21.211636630, 24.352471531],
        J1Zeros = [3.831705970, 7.015586670, 10.173468135, 13.323691936, 16.470630051, 19.615858510, 22.760084381];

    // Bessel's integral by the midpoint rule, which is exact to rounding for a periodic integrand.
    private static double J(int order, double x)
    {
        const int points = 64;
        var sum = 0d;
        for (var k = 0; k < points; k++)
        {
            var t = Math.PI * (k + .5) / points;
            sum += Math.Cos(order * t - x * Math.Sin(t));
        }
        return sum / points;
    }
}
