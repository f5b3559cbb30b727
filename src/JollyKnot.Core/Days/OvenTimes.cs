// What stands in the ovens when, and when an oven takes something more.
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Days;

/// <summary>The ovens' time: which stays of a day have theirs, and when another may.</summary>
internal sealed class OvenTimes
{
    private readonly DayBlocks day;

    // When each stay is in; null while nobody knows.
    private readonly Shut?[] taken;

    // Another stay of the same oven, and the minutes wanted between them where they do not share it.
    private readonly record struct Neighbour(int Stay, int After, int Before);

    private readonly Neighbour[][] neighbours;

    /// <param name="day">The day.</param>
    public OvenTimes(DayBlocks day)
    {
        this.day = day;
        taken = new Shut?[day.Stays.Length];
        neighbours = [.. Enumerable.Range(0, day.Stays.Length).Select(Neighbours)];
    }

    private Neighbour[] Neighbours(int stay) =>
        [
            .. Enumerable
                .Range(0, day.Stays.Length)
                .Where(o => o != stay && day.Stays[o].Oven.Id == day.Stays[stay].Oven.Id)
                .Select(o => new Neighbour(o, Between(day.Stays[o], day.Stays[stay]), Between(day.Stays[stay], day.Stays[o]))),
        ];

    /// <summary>It has its time.</summary>
    public bool Has(int stay) => taken[stay] is not null;

    /// <summary>It is in between these minutes.</summary>
    public void Take(int stay, int from, int to) => taken[stay] = new(from, to);

    /// <summary>Nobody knows any more when it is in.</summary>
    public void Give(int stay) => taken[stay] = null;

    /// <summary>It goes with all the others as it is.</summary>
    public bool Goes(int stay) => taken[stay] is not { } time || Next(stay, time.From, time.To) is null;

    /// <summary>When its oven takes this stay, if not between these minutes; null when it does.</summary>
    public int? Next(int stay, int from, int to)
    {
        var own = day.Stays[stay];
        var (racks, next) = (own.Racks, (int?)null);
        foreach (var (o, after, before) in neighbours[stay])
        {
            if (taken[o] is not { } time)
                continue;
            var other = day.Stays[o];
            if (other.Heat is not null && other.Heat == own.Heat)
            {
                if (from < time.To && time.From < to && (racks += other.Racks) > own.Oven.Racks)
                    next = Math.Max(next ?? 0, time.To);
            }
            else if (time.To + after > from && to + before > time.From)
                next = Math.Max(next ?? 0, time.To + after);
        }
        return next;
    }

    /// <summary>Minutes between two stays that cannot share an oven: to heat it, to cool it, or until it is safe for
    /// dough.</summary>
    public static int Between(OvenStay before, OvenStay after) =>
        (before.Heat, after.Heat) switch
        {
            ({ } from, { }) => after.Turns(from),
            ({ } from, null) => UntilSafe(from, after),
            (null, { }) => after.FromCold,
            _ => 0,
        };

    // It may fall while it is about to be made warm.
    private static int UntilSafe(Temperature from, OvenStay proof) =>
        Math.Max(0, (int)Math.Ceiling(Place.SafeAfter(from, proof.Room).TotalMinutes) - proof.Lead);
}
