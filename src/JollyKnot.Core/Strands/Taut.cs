// What lies over a strand: the chain that leaves no slack, where it hangs loose, and where it can be gripped.
using System.Collections.Immutable;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Strands;

/// <summary>The chain that decides when a bake begins, drawn taut.</summary>
/// <param name="Bake">Which bake of the picture.</param>
/// <param name="Points">From the first step to the table.</param>
/// <param name="Loose">Where it waits for the rest of the day.</param>
public sealed record TautLine(int Bake, ImmutableArray<Point> Points, ImmutableArray<LooseEnd> Loose)
{
    // Shorter than this the line would only twitch, px. Ours.
    private const double Shortest = 16;

    /// <summary>The chain of one bake.</summary>
    /// <param name="bake">Which bake of the picture.</param>
    /// <param name="table">Its steps in time.</param>
    /// <param name="x">Where a time lies.</param>
    /// <param name="middle">The middle of the bake's row in a lane.</param>
    internal static TautLine Of(int bake, Timetable table, Func<DateTimeOffset, double> x, Func<Lane, double> middle)
    {
        var (points, loose, lane) = (new List<Point>(), new List<LooseEnd>(), Lane.Machine);
        foreach (var (slot, held) in Deciding.Of(table).Select(d => (d.Slot, d.Held)))
        {
            if (x(slot.End) - x(slot.Start) >= Shortest || points.Count == 0 || slot.Step.Rule.IsTheEnd)
                lane = slot.Step.Holds ?? lane;
            if (held && points.Count > 0)
                loose.Add(new(points[^1].X, x(slot.Start), middle(lane)));
            points.Add(new(x(slot.Start), middle(lane)));
            if (slot.End > slot.Start)
                points.Add(new(x(slot.End), middle(lane)));
        }
        return new(bake, [.. points.Select(p => new Point(Math.Round(p.X, 1), Math.Round(p.Y, 1)))], [.. loose]);
    }
}

/// <summary>Where a chain hangs loose.</summary>
/// <param name="From">Left end.</param>
/// <param name="To">Right end.</param>
/// <param name="Y">Height.</param>
public sealed record LooseEnd(double From, double To, double Y);

/// <summary>A step that can be moved by hand.</summary>
/// <param name="Bake">Which bake of the picture.</param>
/// <param name="Step">The step.</param>
/// <param name="At">When it is due.</param>
/// <param name="X">Where it lies.</param>
/// <param name="Y">Height.</param>
public sealed record Grip(int Bake, StepId Step, DateTimeOffset At, double X, double Y)
{
    /// <summary>The grips of one bake: its beginning, and what the day hangs on.</summary>
    /// <inheritdoc cref="TautLine.Of"/>
    internal static IEnumerable<Grip> Of(int bake, Timetable table, Func<DateTimeOffset, double> x, Func<Lane, double> middle)
    {
        var open = table.Slots.Where(s => s.IsOpen && s.Step.CanPin && s.Step.InTimeFor is null).ToList();
        // Those that a baker thinks of the day by; the rest follows on them.
        foreach (var slot in open.Where((s, i) => s.Step.Rule.IsGrip || (i == 0 && s.State == StepState.Ahead)))
        {
            var lane = slot.Step.Rule.GripAt ?? slot.Step.Holds ?? Lane.Hands;
            yield return new(bake, slot.Step.Id, slot.Start, Math.Round(x(slot.Start), 1), Math.Round(middle(lane), 1));
        }
    }
}
