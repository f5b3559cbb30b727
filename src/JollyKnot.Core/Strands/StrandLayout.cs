// Lays a day of bakes out as strands: time runs left to right, every dough falls from the machine to the table.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Strands;

/// <summary>One bake to draw.</summary>
/// <param name="Spec">What was decided.</param>
/// <param name="Forecasts">Each batch as predicted; empty for a bake that is over.</param>
/// <param name="Timetable">Its steps in time.</param>
/// <param name="Dough">Its dough.</param>
public sealed record Drawn(BakeSpec Spec, ImmutableArray<Forecast> Forecasts, Timetable Timetable, Mass Dough)
{
    /// <summary>What goes into the oven together, in order.</summary>
    public ImmutableArray<Batch> Batches { get; } = Spec.Batches;

    /// <summary>One piece of each cut.</summary>
    public ImmutableArray<Mass> Eaches { get; } = Spec.Eaches(Dough);
}

/// <summary>Lays strands out.</summary>
public static class StrandLayout
{
    /// <summary>The time a picture of these bakes shows. At least one bake.</summary>
    public static TimeBand Needed(ImmutableArray<Drawn> bakes) =>
        new(bakes.Min(b => b.Timetable.Start), bakes.Max(b => b.Timetable.Ready));

    /// <summary>Lays the bakes out in one picture. At least one bake.</summary>
    public static Picture Of(ImmutableArray<Drawn> bakes, Frame frame)
    {
        ArgumentNullException.ThrowIfNull(frame);
        ArgumentOutOfRangeException.ThrowIfZero(bakes.Length);
        var pad = TimeSpan.FromMinutes(6);
        var needed = Needed(bakes);
        var shows = frame.Shows ?? needed;
        var (from, to) = (
            (shows.From < needed.From ? shows.From : needed.From) - pad,
            (shows.To > needed.To ? shows.To : needed.To) + pad
        );
        var (left, right) = frame.Slim ? (6d, frame.Width - 14) : (112d, frame.Width - 40);
        // Two pictures that lie one over the other fold nothing: what is empty in one may be full in the other.
        var axis = TimeAxis.Of(new(from, to), left, right, frame.Shows is null ? bakes.SelectMany(Happens) : null);
        var rows = LaneRows.Of(bakes.SelectMany((b, i) => Stays(b, i, axis)));
        var lanes = Lanes(frame.Slim, rows);
        var boxes = lanes.ToDictionary(l => l.Lane);
        var (strands, heats, hands) = (new List<Strand>(), new List<Heat>(), new List<HandsMark>());
        var (taut, grips) = (new List<TautLine>(), new List<Grip>());
        var (named, dough) = (ImmutableArray.CreateBuilder<Named>(), new List<Box>());
        foreach (var (bake, i) in bakes.Select((b, i) => (b, i)))
        {
            double Usable(Lane lane) => boxes[lane].Height - (lane == Lane.Hands ? MarksRoom(frame) : 0);
            double Room(Lane lane) => Usable(lane) / rows.At(lane, i).Of;
            double Middle(Lane lane) => boxes[lane].Top + Room(lane) * (rows.At(lane, i).Row + .5);

            var strand = new StrandMaker(bake, frame.Slim ? .5 : 1, axis.X, Middle, Room);
            strands.Add(new(bake.Spec.Dough.Name, i, strand.Ribbons()));
            dough.AddRange(strands[^1].Ribbons.SelectMany(Covered));
            taut.Add(TautLine.Of(i, bake.Timetable, axis.X, Middle));
            grips.AddRange(Grip.Of(i, bake.Timetable, axis.X, Middle));
            heats.AddRange(HeatOf(bake, boxes[Lane.Oven], axis.X, to));
            var marksAt = boxes[Lane.Hands].Top + boxes[Lane.Hands].Height - (frame.Slim ? 3 : 7);
            hands.AddRange(
                bake.Timetable.Slots.Where(s =>
                        s.Step.IsBeat && s.Step.Occupies.Contains(Resource.Hands) && s.State != StepState.Passed && s.Step.IsWork
                    )
                    .Select(s => new HandsMark(axis.X(s.Start), Math.Max(axis.X(s.End), axis.X(s.Start) + 4), marksAt, s.State))
            );
            var own = new LaneBox(Lane.Proof, Middle(Lane.Proof) - Room(Lane.Proof) / 2, Room(Lane.Proof));
            named.Add(new(bake, i, strand.Thickness, Middle, [.. WindowOf(bake, axis.X, own)]));
        }
        return new(
            frame.Width,
            lanes[^1].Top + lanes[^1].Height + (frame.Slim ? 16 : 26),
            left,
            right,
            from,
            to,
            axis.Points,
            lanes,
            Ticks(axis, frame),
            [.. frame.Away.Where(a => a.From < to && a.To > from).Select(a => Shaded(a, axis, left, right))],
            [.. strands],
            [.. heats],
            [.. Merge(hands)],
            [.. named.SelectMany(n => n.Windows)],
            new Labels(frame, axis, boxes, dough).Of(named.ToImmutable()),
            [.. taut],
            [.. grips]
        );
    }

    // Whenever a step begins or ends.
    private static IEnumerable<DateTimeOffset> Happens(Drawn bake) =>
        bake.Timetable.Slots.Where(s => s.State != StepState.Passed).SelectMany(s => new[] { s.Start, s.End });

    private static IEnumerable<LaneStay> Stays(Drawn bake, int i, TimeAxis axis) =>
        from slot in bake.Timetable.Slots
        where slot.State != StepState.Passed && slot.Step.Holds is not (null or Lane.Table)
        select new LaneStay(i, slot.Step.Holds!.Value, axis.X(slot.Start), axis.X(slot.End));

    private static AwayMark Shaded(TimeBand away, TimeAxis axis, double left, double right) =>
        new(Math.Max(left, axis.X(away.From)), Math.Min(right, axis.X(away.To)));

    // Where a length of dough lies, piece by piece.
    private static IEnumerable<Box> Covered(Ribbon ribbon) =>
        ribbon
            .Points.Zip(ribbon.Points.Skip(1))
            .Select(p => new Box(
                p.First.X,
                Math.Min(p.First.Y, p.Second.Y) - ribbon.Thickness / 2,
                p.Second.X,
                Math.Max(p.First.Y, p.Second.Y) + ribbon.Thickness / 2
            ));

    private static double MarksRoom(Frame frame) => frame.Slim ? 6 : 14;

    // A lane is as high as its rows want it, up to so many times its height with one. Ours.
    private const double GrowsTo = 1.75;

    private static ImmutableArray<LaneBox> Lanes(bool slim, LaneRows rows)
    {
        // Its height with one dough in it, and for each row where there are several.
        (Lane Lane, double Height, double Row)[] heights = slim
            ?
            [
                (Lane.Machine, 22, 14),
                (Lane.Hands, 28, 14),
                (Lane.Proof, 26, 14),
                (Lane.Oven, 26, 14),
                (Lane.Rack, 20, 12),
                (Lane.Table, 20, 20),
            ]
            :
            [
                (Lane.Machine, 58, 36),
                (Lane.Hands, 74, 38),
                (Lane.Proof, 84, 40),
                (Lane.Oven, 84, 34),
                (Lane.Rack, 58, 30),
                (Lane.Table, 52, 52),
            ];
        var (top, gap) = (slim ? 14d : 30d, slim ? 2d : 4d);
        var boxes = ImmutableArray.CreateBuilder<LaneBox>();
        foreach (var (lane, height, row) in heights)
        {
            boxes.Add(new(lane, top, Math.Clamp(rows.Most(lane) * row, height, height * GrowsTo)));
            top += boxes[^1].Height + gap;
        }
        return boxes.ToImmutable();
    }

    private static ImmutableArray<DateTimeOffset> Ticks(TimeAxis axis, Frame frame)
    {
        var (from, to) = (axis.Points[0].At, axis.Points[^1].At);
        var room = frame.Slim ? 58 : 76;
        double[] hours = [.5, 1, 2, 3, 6, 12, 24];
        var step = hours.Select(TimeSpan.FromHours).FirstOrDefault(h => axis.Wide(h) >= room, TimeSpan.FromHours(24));
        var local = from.ToOffset(frame.UtcOffset);
        var midnight = new DateTimeOffset(local.Date, frame.UtcOffset);
        var first = midnight + step * Math.Ceiling((local - midnight) / step);
        var ticks = ImmutableArray.CreateBuilder<DateTimeOffset>();
        var free = double.MinValue;
        foreach (var tick in Enumerable.Range(0, 500).Select(i => (first + step * i).ToUniversalTime()).TakeWhile(t => t <= to))
        {
            // Beside folded hours the next one may come too soon.
            if (axis.IsFolded(tick) || axis.X(tick) < free)
                continue;
            ticks.Add(tick);
            free = axis.X(tick) + room - 1;
        }
        return ticks.ToImmutable();
    }

    private static IEnumerable<Heat> HeatOf(Drawn bake, LaneBox box, Func<DateTimeOffset, double> x, DateTimeOffset end)
    {
        var (spec, batches) = (bake.Spec, bake.Batches);
        var bottom = box.Top + box.Height;
        double Y(double celsius) =>
            bottom - box.Height * .92 * Math.Clamp((celsius - spec.Room.Celsius) / (260 - spec.Room.Celsius), 0, 1);
        foreach (var own in batches.Where(b => !b.Bread.OnGriddle).GroupBy(b => (b.Bread.Oven, b.Bread.Cold)))
        {
            if (bake.Timetable.At(Milestone.Hot, own.First().Index) is not { State: not StepState.Passed } preheat)
                continue;
            // Up, level through each batch with a slope to the next one's heat, and cold again.
            var oven = spec.OvenOf(own.First().Bread);
            var outline = new List<Point> { new(x(preheat.Start), bottom) };
            var (hot, out_) = (0d, preheat.End);
            foreach (var batch in own)
            {
                var from = hot == 0 ? preheat.End : out_ + oven.Change(Temperature.FromCelsius(hot), batch.Bread.Heat);
                if (hot != batch.Bread.Heat.Celsius)
                    outline.Add(new(x(from), Y(batch.Bread.Heat.Celsius)));
                hot = batch.Bread.Heat.Celsius;
                if (bake.Timetable.At(Milestone.Out, batch.Index) is not { } unload)
                    yield break;
                if (unload.End > out_)
                    out_ = unload.End;
                outline.Add(new(x(out_), Y(hot)));
            }
            var cold = out_ + TimeSpan.FromMinutes(Math.Min(40, (hot - spec.Room.Celsius) / oven.CoolsPerMinute));
            if (cold > end)
                cold = end;
            outline.Add(new(x(cold), Y(hot - oven.CoolsPerMinute * (cold - out_).TotalMinutes)));
            outline.Add(new(x(cold), bottom));
            yield return new([.. outline]);
        }
    }

    private static IEnumerable<WindowMark> WindowOf(Drawn bake, Func<DateTimeOffset, double> x, LaneBox box)
    {
        foreach (var (batch, proof) in bake.Forecasts.Select(b => (b.Batch, b.Proof)))
        {
            if (
                proof.Window is not { } window
                || bake.Timetable.At(Milestone.Proving, batch.Index) is not { } slot
                || bake.Timetable.At(Milestone.In, batch.Index) is not { IsOpen: true }
            )
                continue;
            yield return new(
                x(slot.Start + window.Early),
                x(slot.Start + window.Best),
                x(slot.Start + window.Late),
                box.Top + box.Height * (batch.Index + 1) / bake.Batches.Length - 6
            );
        }
    }

    private static IEnumerable<HandsMark> Merge(IEnumerable<HandsMark> marks)
    {
        HandsMark? open = null;
        foreach (var mark in marks.OrderBy(m => m.From))
        {
            if (open is not null && mark.From <= open.To + 1 && mark.State == open.State)
                open = open with { To = Math.Max(open.To, mark.To) };
            else
            {
                if (open is not null)
                    yield return open;
                open = mark;
            }
        }
        if (open is not null)
            yield return open;
    }
}
