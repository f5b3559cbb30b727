using System.Globalization;
using CsCheck;

namespace JollyKnot.Core.Tests;

/// <summary>
/// What must hold for any made-up case. The cases are the same every time, so that what passes here passes everywhere;
/// other ones are tried with JOLLY_CASES set to any number.
/// </summary>
internal static class Always
{
    private static readonly uint Cases = uint.TryParse(
        Environment.GetEnvironmentVariable("JOLLY_CASES"),
        NumberStyles.None,
        CultureInfo.InvariantCulture,
        out var other
    )
        ? other
        : 12;

    /// <summary>Says so of each case, and which one broke it.</summary>
    public static void ForAll<T>(this Gen<T> made, Action<T> holds, int iter = 100) =>
        Parallel.For(
            0,
            iter,
            i =>
            {
                var one = made.Generate(new PCG(Cases, (ulong)i), null, out _);
                try
                {
                    holds(one);
                }
                catch (Exception e)
                {
                    throw new InvalidOperationException($"Case {i} of {Cases}: {Check.Print(one)}\n{e.Message}", e);
                }
            }
        );

    public static void ForAll<A, B>(this Gen<(A, B)> made, Action<A, B> holds, int iter = 100) =>
        made.ForAll(t => holds(t.Item1, t.Item2), iter);

    public static void ForAll<A, B, C>(this Gen<(A, B, C)> made, Action<A, B, C> holds, int iter = 100) =>
        made.ForAll(t => holds(t.Item1, t.Item2, t.Item3), iter);

    public static void ForAll<A, B, C, D>(this Gen<(A, B, C, D)> made, Action<A, B, C, D> holds, int iter = 100) =>
        made.ForAll(t => holds(t.Item1, t.Item2, t.Item3, t.Item4), iter);

    public static void ForAll<A, B, C, D, E>(this Gen<(A, B, C, D, E)> made, Action<A, B, C, D, E> holds, int iter = 100) =>
        made.ForAll(t => holds(t.Item1, t.Item2, t.Item3, t.Item4, t.Item5), iter);

    public static void ForAll<A, B, C, D, E, F, G>(
        this Gen<(A, B, C, D, E, F, G)> made,
        Action<A, B, C, D, E, F, G> holds,
        int iter = 100
    ) => made.ForAll(t => holds(t.Item1, t.Item2, t.Item3, t.Item4, t.Item5, t.Item6, t.Item7), iter);
}
