// One dough's way through the kitchen as ribbons: whole, then in threads or plaits.
using System.Collections.Immutable;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Strands;

// One dough's ribbons: a tube until it is divided, then the threads or plaits of each batch on their own way.
internal sealed class StrandMaker
{
    private const double PixelsPerGram = 30 / 920d,
        Thinnest = 9,
        Thickest = 46;
    private const double ShortestStay = 16,
        ThreadPitch = 3.4,
        PlaitStep = 19,
        Hair = .8;

    /// <summary>How far it falls to the next lane, px along the time.</summary>
    public const double Fall = 22;

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
        var pitch = Math.Min(Spread * 1.3, room(Lane.Proof) * share * .86) / loaves;
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

    private static Point At(Point a, Point b, double x) => b.X <= a.X ? a : new(x, a.Y + (b.Y - a.Y) * ((x - a.X) / (b.X - a.X)));
}
