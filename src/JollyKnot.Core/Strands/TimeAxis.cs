// Where a time lies in the picture: evenly, but for long hours in which nothing happens, which are folded.
using System.Collections.Immutable;
using JollyKnot.Core.Plans;

namespace JollyKnot.Core.Strands;

/// <summary>A time and where it lies; between two of them time runs evenly.</summary>
/// <param name="At">The time.</param>
/// <param name="X">Where it lies.</param>
/// <param name="Folds">From here to the next one the hours are folded.</param>
public sealed record AxisPoint(DateTimeOffset At, double X, bool Folds = false);

/// <summary>Time from left to right.</summary>
public sealed class TimeAxis
{
    // So long with nothing in it is folded, to so much, and so much of it is left on either side. Ours.
    private static readonly TimeSpan Empty = TimeSpan.FromHours(3),
        Folded = TimeSpan.FromMinutes(40),
        Kept = TimeSpan.FromMinutes(20);

    private TimeAxis(ImmutableArray<AxisPoint> points) => Points = points;

    /// <summary>At least two, in their order.</summary>
    public ImmutableArray<AxisPoint> Points { get; }

    /// <summary>Lays a time out from left to right.</summary>
    /// <param name="shown">The time; longer than nothing.</param>
    /// <param name="left">Where it begins.</param>
    /// <param name="right">Where it ends.</param>
    /// <param name="happens">When something begins or ends, shown or not; null folds nothing.</param>
    public static TimeAxis Of(TimeBand shown, double left, double right, IEnumerable<DateTimeOffset>? happens)
    {
        ArgumentNullException.ThrowIfNull(shown);
        var folds = happens is null ? [] : Gaps([shown.From, .. happens.Where(shown.Holds).Order(), shown.To]).ToList();
        var wide = shown.To - shown.From - folds.Aggregate(TimeSpan.Zero, (sum, f) => sum + (f.To - f.From) - Folded);
        var perTick = (right - left) / wide.Ticks;
        var (points, x, at) = (ImmutableArray.CreateBuilder<AxisPoint>(), left, shown.From);
        foreach (var fold in folds)
        {
            if (fold.From > at)
                points.Add(new(at, x));
            x += (fold.From - at).Ticks * perTick;
            points.Add(new(fold.From, x, Folds: true));
            (x, at) = (x + Folded.Ticks * perTick, fold.To);
        }
        points.Add(new(at, x));
        if (shown.To > at)
            points.Add(new(shown.To, right));
        return new(points.ToImmutable());
    }

    private static IEnumerable<TimeBand> Gaps(ImmutableArray<DateTimeOffset> edges) =>
        edges
            .Zip(edges.Skip(1))
            .Where(e => e.Second - e.First > Empty)
            .Select(e => new TimeBand(e.First + Kept, e.Second - Kept));

    /// <summary>Pixels for so long, where nothing is folded.</summary>
    /// <param name="time">How long.</param>
    public double Wide(TimeSpan time)
    {
        var (a, b) = Points.Zip(Points.Skip(1)).First(p => !p.First.Folds);
        return (b.X - a.X) * (time / (b.At - a.At));
    }

    /// <summary>Whether a time lies in folded hours.</summary>
    /// <param name="at">When.</param>
    public bool IsFolded(DateTimeOffset at) =>
        Points.Zip(Points.Skip(1)).Any(p => p.First.Folds && p.First.At < at && at < p.Second.At);

    /// <summary>Where a time lies, before and after what is shown too.</summary>
    /// <param name="at">When.</param>
    public double X(DateTimeOffset at)
    {
        var i = 1;
        while (i < Points.Length - 1 && Points[i].At < at)
            i++;
        var (a, b) = (Points[i - 1], Points[i]);
        return a.X + (b.X - a.X) * ((at - a.At) / (b.At - a.At));
    }
}
