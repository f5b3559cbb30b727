// Where each piece lies in a pan or on a tray, to scale.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Shaping;

/// <summary>Where one piece lies. Millimetres from the pan's left and near edge to the piece's middle; a round pan's edges are
/// those of the square around it.</summary>
/// <param name="X">Along the pan's length.</param>
/// <param name="Y">Along its width.</param>
/// <param name="Across">The piece's longer way lies along the pan's width.</param>
public sealed record Seat(double X, double Y, bool Across = false);

/// <summary>A pan with its pieces.</summary>
/// <param name="Tin">The pan.</param>
/// <param name="Look">How each piece looks.</param>
/// <param name="Shaped">A piece as it is set down.</param>
/// <param name="Grown">As it comes out of the oven.</param>
/// <param name="Touching">They grow together.</param>
/// <param name="Seats">One for each piece it holds, or for as many as were asked.</param>
/// <param name="Holds">How many it holds at the most.</param>
public sealed record PanLayout(
    Tin Tin,
    BreadLook Look,
    Footprint Shaped,
    Footprint Grown,
    bool Touching,
    ImmutableArray<Seat> Seats,
    int Holds
)
{
    // A loaf may be this much lighter or heavier than its tin's own dough, a mini than its hollow's, a tray bread than its
    // tray's. Ours.
    private static readonly Band<Share> FitsTin = new(Share.FromFraction(.75), Share.FromFraction(1.2)),
        FitsTray = new(Share.FromFraction(.7), Share.FromFraction(1.6));

    /// <summary>Lays pieces out in a pan. Touching pieces lie at their shaped size and grow together; the others keep their gap
    /// at the size they grow to.</summary>
    /// <param name="family">What they are.</param>
    /// <param name="piece">One of them.</param>
    /// <param name="pieces">How many there are; at least 1. No more seats than these are laid.</param>
    /// <param name="tin">The pan.</param>
    /// <param name="touching">Set touching or apart; as the family likes it when null.</param>
    /// <returns>Null where the pan does not suit, or not even one fits.</returns>
    public static PanLayout? Of(Family family, Mass piece, int pieces, Tin tin, bool? touching = null)
    {
        ArgumentNullException.ThrowIfNull(family);
        ArgumentNullException.ThrowIfNull(tin);
        var (length, width) = (tin.Length.Millimetres, tin.Width.Millimetres);
        var whole = new Footprint(tin.Length, tin.Width);
        var look = BreadLook.Of(family);
        var own = piece / (tin.Dough / tin.Count);
        switch (tin.Shape, family.Form)
        {
            case (TinShape.Loaf, Form.Loaf or Form.Swirl) when FitsTin.Holds(Share.FromFraction(own)):
            case (TinShape.Tray, Form.Tray) when FitsTray.Holds(Share.FromFraction(own)):
                return new(tin, look, whole, whole, true, [new(length / 2, width / 2)], 1);
            case (TinShape.Hollows, Form.Ball) when FitsTin.Holds(Share.FromFraction(own)):
                return Hollows(Footprint.Of(family, piece)!);
            case (TinShape.Channels, Form.Log) when Footprint.Of(family, piece) is { } log && FitsChannel(log.Grown(family)):
                return new(
                    tin,
                    look,
                    log,
                    log.Grown(family),
                    false,
                    [
                        .. Enumerable
                            .Range(0, Math.Min(pieces, tin.Count))
                            .Select(i => new Seat(length / 2, width * (i + .5) / tin.Count)),
                    ],
                    tin.Count
                );
            case (TinShape.Tray, not (Form.Loaf or Form.Swirl))
            or (TinShape.Stone, not (Form.Loaf or Form.Swirl or Form.Tray)) when Footprint.Of(family, piece) is { } shaped:
                return Lay(shaped, Grid);
            // A pull-apart tin is for what may touch.
            case (TinShape.Rectangle, Form.Ball) when (touching ?? family.Touches) && Footprint.Of(family, piece) is { } ball:
                return Lay(ball, Grid);
            case (TinShape.Round, Form.Ball) when (touching ?? family.Touches) && Footprint.Of(family, piece) is { } ball:
                return Lay(ball, (lies, gap) => Round(lies, gap));
            case (TinShape.Round, Form.Coil)
                when Footprint.Of(family, piece) is { } coil && coil.Grown(family).Length.Millimetres <= length:
                return new(tin, look, coil, coil.Grown(family), false, [new(length / 2, width / 2)], 1);
            default:
                return null;
        }

        bool FitsChannel(Footprint grown) => grown.Length.Millimetres <= length && grown.Width.Millimetres <= width / tin.Count;

        PanLayout Hollows(Footprint shaped)
        {
            // Rows and columns nearest to the tin's own proportions.
            var rows = Enumerable
                .Range(1, tin.Count)
                .Where(r => tin.Count % r == 0)
                .MinBy(r => Math.Abs(width / r - length / (tin.Count / r)));
            var columns = tin.Count / rows;
            return new(
                tin,
                look,
                shaped,
                shaped.Grown(family),
                false,
                [
                    .. Enumerable
                        .Range(0, Math.Min(pieces, tin.Count))
                        .Select(i => new Seat(length * (i % columns + .5) / columns, width * (i / columns + .5) / rows)),
                ],
                tin.Count
            );
        }

        PanLayout? Lay(Footprint shaped, Func<Footprint, double, ImmutableArray<Seat>> how)
        {
            // What a tin's walls hold together always touches.
            var touch = tin.Shape is not (TinShape.Tray or TinShape.Stone) || (touching ?? family.Touches);
            var lies = touch ? shaped : shaped.Grown(family);
            var seats = how(lies, touch ? TouchingGap(family) : family.Gap.Millimetres);
            return seats.IsEmpty ? null : new(tin, look, shaped, shaped.Grown(family), touch, Centred(seats, lies), seats.Length);
        }

        // The seats that are used, moved to the middle of the pan as one block.
        ImmutableArray<Seat> Centred(ImmutableArray<Seat> seats, Footprint lies)
        {
            if (pieces >= seats.Length || tin.Shape == TinShape.Round)
                return tin.Shape == TinShape.Round && pieces < seats.Length ? Round(lies, 0, pieces) : seats;
            var used = seats.Take(pieces).ToList();
            var (dx, dy) = (
                length / 2 - (used.Min(s => s.X) + used.Max(s => s.X)) / 2,
                width / 2 - (used.Min(s => s.Y) + used.Max(s => s.Y)) / 2
            );
            return [.. used.Select(s => s with { X = s.X + dx, Y = s.Y + dy })];
        }

        ImmutableArray<Seat> Round(Footprint lies, double gap, int? count = null)
        {
            // Half a gap to the wall is gap enough.
            var circle = (lies.Length.Millimetres + gap) / 2;
            var n = count ?? RoundPacking.Holds(length / 2 + gap / 2, circle);
            if (n == 0)
                return [];
            var packing = RoundPacking.Of(n);
            // Spread to the wall: the tin is the same, the air is shared.
            var scale = n == 1 ? 0 : (length / 2 - lies.Length.Millimetres / 2) / (packing.Ratio - 1);
            return [.. packing.Centres.Select(c => new Seat(length / 2 + c.X * scale, width / 2 + c.Y * scale))];
        }

        ImmutableArray<Seat> Grid(Footprint lies, double gap)
        {
            var (a, b) = (lies.Length.Millimetres, lies.Width.Millimetres);
            var straight = new SeatRows(a, b, gap, length, width);
            if (!lies.IsRound)
            {
                var across = new SeatRows(b, a, gap, length, width) { Across = true };
                return (across.Holds > straight.Holds ? across : straight).Seats();
            }
            var staggered = straight with { Staggered = true };
            var sideways = new SeatRows(a, a, gap, width, length) { Staggered = true };
            if (sideways.Holds > Math.Max(straight.Holds, staggered.Holds))
                return [.. sideways.Seats().Select(s => new Seat(s.Y, s.X))];
            return (staggered.Holds > straight.Holds ? staggered : straight).Seats();
        }
    }

    /// <summary>Set farther apart than this, millimetres, pieces do not grow together.</summary>
    public const double TouchingGapMost = 20;

    private static double TouchingGap(Family family) => Math.Min(family.Gap.Millimetres, TouchingGapMost);
}

// Pieces of one size in rows along a pan's length, in millimetres; staggered, every second row is shifted by half a piece and
// they lie closer by the root of three quarters.
internal sealed record SeatRows(double Long, double Deep, double Gap, double Length, double Width)
{
    // The pieces' longer way lies along the pan's width.
    public bool Across { get; init; }

    public bool Staggered { get; init; }

    private double Pitch => (Deep + Gap) * (Staggered ? Math.Sqrt(.75) : 1);

    private int Rows => Fit(Deep, Width, Pitch);

    private int InRow => Fit(Long, Length, Long + Gap);

    private int InShifted => Staggered ? Fit(Long, Length - (Long + Gap) / 2, Long + Gap) : 0;

    // How many they are; none where not one fits into a row.
    public int Holds =>
        InRow == 0 ? 0
        : Staggered ? (Rows + 1) / 2 * InRow + Rows / 2 * InShifted
        : Rows * InRow;

    public ImmutableArray<Seat> Seats()
    {
        var (rows, inRow, shifted, pitch) = (Rows, InRow, InShifted, Pitch);
        var seats = ImmutableArray.CreateBuilder<Seat>(Holds);
        // What is over is shared out left and right, top and bottom.
        var (left, top) = ((Length - (inRow - 1) * (Long + Gap)) / 2, (Width - (rows - 1) * pitch) / 2);
        if (Staggered && shifted == inRow)
            left -= (Long + Gap) / 4;
        for (var r = 0; r < rows && inRow > 0; r++)
        {
            var moved = Staggered && r % 2 == 1;
            for (var i = 0; i < (moved ? shifted : inRow); i++)
                seats.Add(new(left + (moved ? (Long + Gap) / 2 : 0) + i * (Long + Gap), top + r * pitch, Across));
        }
        return seats.MoveToImmutable();
    }

    private static int Fit(double size, double room, double pitch) =>
        room < size - 1e-9 ? 0 : (int)Math.Floor((room - size) / pitch + 1e-9) + 1;
}

/// <summary>A batch on the kitchen's own pans.</summary>
/// <param name="Layout">One pan, full or with all there are.</param>
/// <param name="Pans">How many of these pans the batch fills.</param>
/// <param name="AtOnce">How many go into the oven at once.</param>
/// <param name="Loads">How many times the oven is loaded.</param>
public sealed record PanChoice(PanLayout Layout, int Pans, int AtOnce, int Loads)
{
    /// <summary>One flat tray that takes the whole batch, closer together than it likes; null where one takes it anyway, or none
    /// does.</summary>
    /// <param name="family">What it is.</param>
    /// <param name="piece">One of it.</param>
    /// <param name="pieces">How many; at least 1.</param>
    /// <param name="tins">The kitchen's pans that go into the oven.</param>
    /// <param name="racks">Racks of the oven; at least 1.</param>
    public static PanChoice? OneTray(Family family, Mass piece, int pieces, IEnumerable<Tin> tins, int racks)
    {
        var flat = tins.Where(t => t.Shape == TinShape.Tray).ToList();
        if (Of(family, piece, pieces, flat, racks).Any(p => p.Pans == 1))
            return null;
        return Of(family, piece, pieces, flat, racks, true).FirstOrDefault(p => p.Pans == 1);
    }

    /// <summary>Every way the kitchen's pans hold a batch, the best first: pans before the stone, which takes one load at a time;
    /// fewest loads, then fewest pans, then the snuggest.</summary>
    /// <param name="family">What it is.</param>
    /// <param name="piece">One of it.</param>
    /// <param name="pieces">How many; at least 1.</param>
    /// <param name="tins">The kitchen's pans that go into the oven.</param>
    /// <param name="racks">Racks of the oven; at least 1.</param>
    /// <param name="touching">Set touching or apart; as the family likes it when null.</param>
    public static ImmutableArray<PanChoice> Of(
        Family family,
        Mass piece,
        int pieces,
        IEnumerable<Tin> tins,
        int racks,
        bool? touching = null
    )
    {
        ArgumentNullException.ThrowIfNull(tins);
        return
        [
            .. tins.GroupBy(t => (t.Shape, t.Length, t.Width, t.Depth, t.Count, t.HollowVolume))
                .Select(same => (Same: same.Count(), Layout: PanLayout.Of(family, piece, pieces, same.First(), touching)))
                .Where(t => t.Layout is not null)
                .Select(t =>
                {
                    var pans = (pieces + t.Layout!.Holds - 1) / t.Layout.Holds;
                    // Loaf tins stand beside one another on a rack; everything else has a rack of its own.
                    var atOnce = Math.Min(
                        Math.Min(t.Same, pans),
                        t.Layout.Tin.Shape == TinShape.Loaf ? racks * LoavesOnRack : racks
                    );
                    return new PanChoice(t.Layout, pans, atOnce, (pans + atOnce - 1) / atOnce);
                })
                .OrderBy(c => c.Layout.Tin.IsStone)
                .ThenBy(c => c.Loads)
                .ThenBy(c => c.Pans)
                .ThenBy(c => c.Layout.Tin.Length.Millimetres * c.Layout.Tin.Width.Millimetres * c.Pans),
        ];
    }

    /// <summary>Racks of the oven one load takes.</summary>
    public int Racks => Layout.Tin.Shape == TinShape.Loaf ? (AtOnce + LoavesOnRack - 1) / LoavesOnRack : AtOnce;

    private const int LoavesOnRack = 3;
}
