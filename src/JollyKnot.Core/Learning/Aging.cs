// What happened long ago says less of today.
namespace JollyKnot.Core.Learning;

/// <summary>How memories fade.</summary>
internal static class Aging
{
    // After so many bakes a lesson counts for half. Fitted.
    private const double HalfAfter = 10;

    /// <summary>Lessons with their weight, 1 for the latest.</summary>
    /// <param name="latestFirst">The lessons, the latest first.</param>
    public static IEnumerable<(T Lesson, double Weight)> Fading<T>(this IEnumerable<T> latestFirst) =>
        latestFirst.Select((lesson, i) => (lesson, Math.Pow(.5, i / HalfAfter)));
}
