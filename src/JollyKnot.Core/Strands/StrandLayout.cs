// Lays a day of bakes out as strands: time runs left to right, every dough falls from the machine to the table.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
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
    private const double PixelsPerGram = 30 / 920d,
        Thinnest = 9,
        Thickest = 46;
    private const double FrontRow = .24;
    private const double Fall = 22,
        ShortestStay = 16,
        ThreadPitch = 3.4,
        PlaitStep = 19,
        Hair = .8;

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
        double X(DateTimeOffset at) => left + (right - left) * ((at - from) / (to - from));

        var lanes = Lanes(frame.Slim, bakes.Length);
        var boxes = lanes.ToDictionary(l => l.Lane);
        var (strands, heats, hands, windows, labels) = (
            new List<Strand>(),
            new List<Heat>(),
            new List<HandsMark>(),
            new List<WindowMark>(),
            new List<Label>()
        );
        var (taut, grips) = (new List<TautLine>(), new List<Grip>());
        // Breads that come to the table one after the other stand in two rows, so that none hides another.
        var served = Enumerable.Range(0, bakes.Length).OrderBy(b => bakes[b].Timetable.Ready).ToList();
        for (var i = 0; i < bakes.Length; i++)
        {
            var bake = bakes[i];
            var row =
                bakes.Length == 1 ? .5
                : served.IndexOf(i) % 2 == 0 ? FrontRow
                : 1 - FrontRow;
            double Middle(Lane lane)
            {
                var box = boxes[lane];
                if (lane == Lane.Table)
                    return box.Top + box.Height * row;
                var usable = lane == Lane.Hands ? box.Height - MarksRoom(frame) : box.Height;
                return box.Top + usable * (i + .5) / bakes.Length;
            }
            double Room(Lane lane) => (boxes[lane].Height - (lane == Lane.Hands ? MarksRoom(frame) : 0)) / bakes.Length;

            var strand = new StrandMaker(bake, frame.Slim ? .5 : 1, X, Middle, Room);
            strands.Add(new(bake.Spec.Dough.Name, i, strand.Ribbons()));
            taut.Add(TautLine.Of(i, bake.Timetable, X, Middle));
            grips.AddRange(Grip.Of(i, bake.Timetable, X, Middle));
            heats.AddRange(HeatOf(bake, boxes[Lane.Oven], X, to));
            var marksAt = boxes[Lane.Hands].Top + boxes[Lane.Hands].Height - (frame.Slim ? 3 : 7);
            hands.AddRange(
                bake.Timetable.Slots.Where(s =>
                        s.Step.IsBeat && s.Step.Occupies.Contains(Resource.Hands) && s.State != StepState.Passed && s.Step.IsWork
                    )
                    .Select(s => new HandsMark(X(s.Start), Math.Max(X(s.End), X(s.Start) + 4), marksAt, s.State))
            );
            var proof = boxes[Lane.Proof];
            windows.AddRange(WindowOf(bake, X, proof with { Height = proof.Height * (i + 1) / bakes.Length }));
            // Several doughs share a lane: a window's times would lie on another's strand.
            labels.AddRange(
                LabelsOf(bake, X, boxes, Middle, strand.Thickness, frame)
                    .Where(l => l.Kind != LabelKind.Window || bakes.Length == 1)
            );
        }
        labels = Apart(labels, frame);
        var under = labels.Where(l => l.Kind == LabelKind.Ready).Max(l => l.Row);
        return new(
            frame.Width,
            lanes[^1].Top + lanes[^1].Height + (frame.Slim ? 16 : 26) + under * RowHeight(frame),
            left,
            right,
            from,
            to,
            lanes,
            Ticks(from, to, right - left, frame),
            [.. strands],
            [.. heats],
            [.. Merge(hands)],
            [.. windows],
            [.. labels],
            [.. taut],
            [.. grips]
        );
    }

    // Room that a label's words take, pixels.
    private const double OvenWords = 132,
        WindowWords = 108,
        TimeWords = 48,
        LetterWidth = 8;
    private const int MassLetters = 9;

    private static double RowHeight(Frame frame) => frame.Slim ? 13 : 18;

    // Words that would lie on one another go to rows of their own: the oven's upwards in its lane, the times downwards under the
    // picture.
    private static List<Label> Apart(List<Label> labels, Frame frame)
    {
        var (wide, apart) = (frame.Slim ? .8 : 1, new List<Label>(labels.Count));
        var rows = new Dictionary<LabelKind, List<double>>();
        foreach (var label in labels.OrderBy(l => l.X))
        {
            if (label.Kind is not (LabelKind.OvenOn or LabelKind.Ready))
            {
                apart.Add(label);
                continue;
            }
            // The right end of the last words in each row.
            var ends = rows.TryGetValue(label.Kind, out var known) ? known : rows[label.Kind] = [];
            var (from, to) =
                label.Kind == LabelKind.OvenOn
                    ? (label.X - OvenWords * wide, label.X)
                    : (label.X - TimeWords * wide / 2, label.X + TimeWords * wide / 2);
            var row = ends.FindIndex(e => e <= from);
            if (row < 0)
            {
                row = ends.Count;
                ends.Add(to);
            }
            else
                ends[row] = to;
            apart.Add(
                label.Kind == LabelKind.OvenOn ? label with { Y = label.Y - row * RowHeight(frame) } : label with { Row = row }
            );
        }
        return apart;
    }

    // Lanes that several bakes share are higher, but the sentence under the picture stays in sight.
    private const double GrowsTo = 1.3;

    private static double MarksRoom(Frame frame) => frame.Slim ? 6 : 14;

    private static ImmutableArray<LaneBox> Lanes(bool slim, int bakes)
    {
        // Oven and proof hold the most; each further bake widens the lanes it shares.
        (Lane Lane, double Height)[] heights = slim
            ? [(Lane.Machine, 22), (Lane.Hands, 28), (Lane.Proof, 26), (Lane.Oven, 26), (Lane.Rack, 20), (Lane.Table, 18)]
            : [(Lane.Machine, 58), (Lane.Hands, 74), (Lane.Proof, 84), (Lane.Oven, 84), (Lane.Rack, 58), (Lane.Table, 40)];
        var (top, gap, grow) = (slim ? 14d : 30d, slim ? 2d : 4d, Math.Min(GrowsTo, 1 + (bakes - 1) * .15));
        var boxes = ImmutableArray.CreateBuilder<LaneBox>();
        foreach (var (lane, height) in heights)
        {
            boxes.Add(new(lane, top, height * grow));
            top += height * grow + gap;
        }
        return boxes.ToImmutable();
    }

    private static ImmutableArray<DateTimeOffset> Ticks(DateTimeOffset from, DateTimeOffset to, double width, Frame frame)
    {
        var room = frame.Slim ? 58 : 76;
        double[] hours = [.5, 1, 2, 3, 6, 12, 24];
        var step = hours
            .Select(TimeSpan.FromHours)
            .FirstOrDefault(h => width * (h / (to - from)) >= room, TimeSpan.FromHours(24));
        var local = from.ToOffset(frame.UtcOffset);
        var midnight = new DateTimeOffset(local.Date, frame.UtcOffset);
        var first = midnight + step * Math.Ceiling((local - midnight) / step);
        return
        [
            .. Enumerable.Range(0, 500).Select(i => first + step * i).TakeWhile(t => t <= to).Select(t => t.ToUniversalTime()),
        ];
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

    private static IEnumerable<Label> LabelsOf(
        Drawn bake,
        Func<DateTimeOffset, double> x,
        Dictionary<Lane, LaneBox> boxes,
        Func<Lane, double> middle,
        double thickness,
        Frame frame
    )
    {
        var ready = bake.Timetable.Ready;
        yield return new(
            LabelKind.Ready,
            x(ready),
            middle(Lane.Table),
            Anchor.Middle,
            Count: bake.Batches.Sum(b => b.Pieces),
            At: ready
        );
        if (frame.Slim)
            yield break;
        if (bake.Timetable.At(Milestone.Cycle) is { } cycle)
        {
            // Inside the strand where it is long enough for words, else behind it, where the lane is empty.
            var inside = x(cycle.End) - x(cycle.Start) > 190 && thickness >= 16;
            var behind = x(cycle.End) + Fall + 8;
            // No room behind it: before it.
            var before = !inside && behind + (bake.Spec.Dough.Name.Length + MassLetters) * LetterWidth > frame.Width;
            yield return new(
                inside ? LabelKind.Dough : LabelKind.DoughBeside,
                inside ? x(cycle.Start) + 20
                    : before ? x(bake.Timetable.Start) - thickness / 2 - 8
                    : behind,
                middle(Lane.Machine),
                before ? Anchor.End : Anchor.Start,
                bake.Spec.Dough.Name,
                bake.Dough
            );
        }
        if (
            bake.Batches.FirstOrDefault(b => !b.Bread.OnGriddle) is { Index: var heated }
            && bake.Timetable.At(Milestone.SwitchedOn, heated) is { } on
            && bake.Timetable.At(Milestone.Hot, heated) is { } preheat
        )
        {
            // Before the ramp: no dough is in the oven yet, unless it proofs there, which has its own lane.
            var box = boxes[Lane.Oven];
            yield return new(
                LabelKind.OvenOn,
                x(preheat.Start) - 8,
                box.Top + box.Height - 14,
                Anchor.End,
                Heat: bake.Batches[0].Bread.Heat,
                At: on.Start
            );
        }
        // Several batches share the lane: a window's times would lie on another's strand.
        if (bake.Batches.Length > 1)
            yield break;
        foreach (var mark in WindowOf(bake, x, boxes[Lane.Proof]))
        {
            var (start, window) = (bake.Timetable.At(Milestone.Proving)!.Start, bake.Forecasts[0].Proof.Window!);
            // Behind the window, or before it where there is no room.
            var behind = mark.Late + 8 + WindowWords <= frame.Width;
            yield return new(
                LabelKind.Window,
                behind ? mark.Late + 8 : mark.Early - 8,
                boxes[Lane.Proof].Top + boxes[Lane.Proof].Height - 10,
                behind ? Anchor.Start : Anchor.End,
                At: start + window.Early,
                Until: start + window.Late
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

    // One dough's ribbons: a tube until it is divided, then the threads or plaits of each batch on their own way.
    private sealed class StrandMaker
    {
        private readonly Drawn bake;
        private readonly double scale;
        private readonly Func<DateTimeOffset, double> x;
        private readonly Func<Lane, double> middle,
            room;

        // The batch's way, what it becomes, how much of the dough it is, and where its row lies among the batches, in rooms of
        // the lane.
        private List<(double From, double To, Lane Lane)> stays = [];
        private Family family = Families.All[0];
        private int pieces = 1;
        private double share = 1,
            row;

        public StrandMaker(
            Drawn bake,
            double scale,
            Func<DateTimeOffset, double> x,
            Func<Lane, double> middle,
            Func<Lane, double> room
        )
        {
            (this.bake, this.scale, this.x, this.middle, this.room) = (bake, scale, x, middle, room);
            Thickness = Math.Clamp(bake.Dough.Grams * PixelsPerGram, Thinnest, Thickest) * scale;
        }

        public double Thickness { get; }

        public ImmutableArray<Ribbon> Ribbons()
        {
            var ribbons = new List<Ribbon>();
            var (divided, batches) = (0d, bake.Batches);
            var top = 0d;
            foreach (var (batch, piece) in batches.Select(b => (b, bake.Eaches[b.Cut])))
            {
                (family, pieces, stays) = (batch.Bread.Family, batch.Pieces, []);
                share = Math.Clamp(piece * batch.Pieces / bake.Dough, .05, 1);
                row = batches.Length == 1 ? 0 : top + share / 2 - .5;
                top += share;
                foreach (var slot in bake.Timetable.Slots)
                    if (
                        slot is { Step.Holds: { } lane, State: not StepState.Passed }
                        && (slot.Step.Batch ?? batch.Index) == batch.Index
                    )
                        Stay(x(slot.Start), x(slot.End), lane);
                // What is cool waits on the table for the rest.
                if (stays is [.., { Lane: Lane.Rack } cooled, { Lane: Lane.Table } eaten])
                    stays[^1] = eaten with { From = cooled.To };
                Settle();
                if (stays.Count == 0)
                    return [];
                divided = Edge(Milestone.Divided);
                var shaped = Edge(Milestone.Shaped, batch.Index);
                Threads(ribbons, divided, family.Form == Form.Plait ? shaped : double.MaxValue);
                if (family.Form == Form.Plait)
                    Plaits(ribbons, shaped);
            }
            (share, row) = (1, 0);
            var tube = Clip(double.MinValue, divided + Hair, 0);
            if (tube.Length > 1)
                ribbons.Add(new(tube, Thickness, 0));
            return [.. ribbons];
        }

        private double Edge(Milestone milestone, int? batch = null) =>
            bake.Timetable.At(milestone, batch) is { State: not StepState.Passed } s ? x(s.Start) : FirstAfterMachine();

        private void Stay(double from, double to, Lane lane)
        {
            if (stays.Count > 0 && stays[^1] is var last && last.Lane == lane)
                stays[^1] = (last.From, Math.Max(last.To, to), lane);
            else
                stays.Add((from, to, lane));
        }

        // A stay too short to see is no stay: the strand would only twitch.
        private void Settle()
        {
            for (var i = stays.Count - 2; i > 0; i--)
            {
                var (from, to, _) = stays[i];
                if (to - from >= ShortestStay * scale)
                    continue;
                stays.RemoveAt(i);
                stays[i - 1] = (stays[i - 1].From, to, stays[i - 1].Lane);
                if (i < stays.Count && stays[i].Lane == stays[i - 1].Lane)
                {
                    stays[i - 1] = (stays[i - 1].From, stays[i].To, stays[i].Lane);
                    stays.RemoveAt(i);
                }
            }
        }

        private double FirstAfterMachine()
        {
            var machine = stays.FindIndex(s => s.Lane == Lane.Machine);
            return machine >= 0 ? stays[machine].To
                : stays.Count > 0 ? stays[0].From
                : 0;
        }

        // The way of a point so far off the strand's middle: level in each stay, falling between them.
        private List<Point> Way(double offset)
        {
            var points = new List<Point>();
            for (var i = 0; i < stays.Count; i++)
            {
                var (from, to, lane) = stays[i];
                var fall = Math.Min(Fall * scale, (to - from) * .45);
                var y = middle(lane) + (row * .86 + offset / Spread * Math.Min(share * .86, Spread / room(lane))) * room(lane);
                points.Add(new(i == 0 ? from : from + fall * .3, y));
                if (to > from)
                    points.Add(new(i == stays.Count - 1 ? to : Math.Max(from + fall * .3, to - fall * .7), y));
            }
            return points;
        }

        private double Spread => Math.Max(Thickness * share, Parts * Pitch);
        private int Parts => Math.Min(pieces * family.Strands, MostThreads);
        private double Pitch => Math.Max(Thickness * share / Parts, ThreadPitch * scale);

        // Threads thinner than this blur; the count stands at the table anyway.
        private int MostThreads => Math.Max(2, (int)(room(Lane.Proof) * share * .86 / (ThreadPitch * scale)));

        private void Threads(List<Ribbon> ribbons, double from, double to)
        {
            for (var i = 0; i < Parts; i++)
            {
                var fan = (i - (Parts - 1) / 2d) * Pitch;
                var inTube = row * Thickness + (i - (Parts - 1) / 2d) * Thickness * share / Parts;
                var points = Clip(from, to, fan);
                if (points.Length < 2)
                    continue;
                var middleAt =
                    points[0].Y
                    - fan * Math.Min(share * .86, Spread / room(Lane.Hands)) / Spread * room(Lane.Hands)
                    - row * .86 * room(Lane.Hands);
                // Opens out of the tube.
                points = points.SetItem(0, new(points[0].X, middleAt + inTube));
                ribbons.Add(new(points, Math.Max(1, Pitch - Hair * scale), i % 2));
            }
        }

        private void Plaits(List<Ribbon> ribbons, double from)
        {
            var (loaves, strands) = (Math.Min(pieces, 6), family.Strands);
            var pitch = Math.Min(Spread * 1.7, room(Lane.Proof) * share * .86) / loaves;
            var thick = pitch / strands * 1.05;
            for (var loaf = 0; loaf < loaves; loaf++)
            {
                var centre = Clip(from, double.MaxValue, (loaf - (loaves - 1) / 2d) * pitch);
                var order = Enumerable.Range(0, strands).ToArray();
                var crossings = Crossings(strands).GetEnumerator();
                for (var i = 1; i < centre.Length; i++)
                {
                    var (a, b) = (centre[i - 1], centre[i]);
                    var steps = Math.Abs(a.Y - b.Y) < .5 ? Math.Max(1, (int)((b.X - a.X) / (PlaitStep * scale))) : 1;
                    for (var s = 0; s < steps; s++)
                    {
                        // The plait's own word, one crossing after the other; a fall is too short to cross in.
                        var next = (int[])order.Clone();
                        var over = -1;
                        if (Math.Abs(a.Y - b.Y) < .5 && crossings.MoveNext())
                        {
                            var (left, leftOver) = (crossings.Current.Place - 1, crossings.Current.LeftOver);
                            over = order[leftOver ? left : left + 1];
                            (next[left], next[left + 1]) = (next[left + 1], next[left]);
                        }
                        foreach (var strand in order.OrderBy(k => k == over ? 1 : 0))
                        {
                            double Y(int[] places, double y) =>
                                y + (Array.IndexOf(places, strand) - (strands - 1) / 2d) * pitch / strands * .72;
                            var (x0, x1) = (a.X + (b.X - a.X) * s / steps, a.X + (b.X - a.X) * (s + 1) / steps);
                            var (y0, y1) = (a.Y + (b.Y - a.Y) * s / steps, a.Y + (b.Y - a.Y) * (s + 1) / steps);
                            ribbons.Add(new([new(x0, Y(order, y0)), new(x1 + Hair / 2, Y(next, y1))], thick, strand % 3));
                        }
                        order = next;
                    }
                }
            }
        }

        private static IEnumerable<Crossing> Crossings(int strands) =>
            Plait.Usual(strands)!.Moves(int.MaxValue).SelectMany(m => m.Crossings);

        // The part of a way between two x, cut where it is level or falling.
        private ImmutableArray<Point> Clip(double from, double to, double offset)
        {
            var way = Way(offset);
            var clipped = new List<Point>();
            for (var i = 1; i < way.Count; i++)
            {
                var (a, b) = (way[i - 1], way[i]);
                if (b.X <= from || a.X >= to)
                    continue;
                var (start, end) = (At(a, b, Math.Max(a.X, from)), At(a, b, Math.Min(b.X, to)));
                if (clipped.Count == 0)
                    clipped.Add(start);
                clipped.Add(end);
            }
            return [.. clipped.Select(p => new Point(Math.Round(p.X, 1), Math.Round(p.Y, 1)))];
        }

        private static Point At(Point a, Point b, double x) =>
            b.X <= a.X ? a : new(x, a.Y + (b.Y - a.Y) * ((x - a.X) / (b.X - a.X)));
    }
}
