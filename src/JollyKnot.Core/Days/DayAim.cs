// What makes one day better than another: an aim is a figure, and the same for the solver.
using System.Collections.Immutable;
using Google.OrTools.Sat;

namespace JollyKnot.Core.Days;

/// <summary>What kind of good an aim is for. Aims of one kind are taken together where there is no time for each.</summary>
internal enum GoodFor
{
    /// <summary>What the baker wants, and bread that is not spoilt.</summary>
    Wish,

    /// <summary>Bread as good as it can be.</summary>
    Bread,

    /// <summary>The household.</summary>
    House,
}

/// <summary>One aim of a day.</summary>
internal abstract class DayAim
{
    /// <summary>Every aim, the most important first. A new one is one line here.</summary>
    public static ImmutableArray<DayAim> All { get; } =
    [new AtPins(), new NotLate(), new NotOver(), new NotUnder(), new Fresh(), new NoWaiting(), new ShortDay(), new LittleHeat()];

    /// <summary>The place of an aim among them.</summary>
    public static class Place<T>
        where T : DayAim
    {
        /// <summary>0 for the first.</summary>
        public static int Is { get; } = All.IndexOf(All.OfType<T>().Single());
    }

    /// <summary>What it is good for.</summary>
    public abstract GoodFor For { get; }

    /// <summary>Minutes over all bakes; 0 is as good as it can be.</summary>
    /// <param name="day">The day.</param>
    /// <param name="starts">When each block begins.</param>
    public abstract int Figure(DayBlocks day, int[] starts);

    /// <summary>The same, where starts are not known yet.</summary>
    /// <param name="day">The day as the solver has it.</param>
    public abstract LinearExpr In(DayModel day);

    /// <summary>When a bake is ready.</summary>
    protected static int Ready(DayBlocks day, int[] starts, int bake)
    {
        var ready = int.MinValue;
        foreach (var cool in day.Ready[bake])
            ready = Math.Max(ready, starts[cool.Block] + cool.Minutes);
        return ready;
    }

    /// <summary>Over all bakes that are wanted at a time.</summary>
    /// <param name="day">The day.</param>
    /// <param name="figure">Of one bake: wanted then, which.</param>
    protected static int OfWanted(DayBlocks day, Func<int, int, int> figure)
    {
        var sum = 0;
        for (var bake = 0; bake < day.Ready.Length; bake++)
            if (day.Wanted[bake] is { } wanted)
                sum += Math.Max(0, figure(wanted, bake));
        return sum;
    }
}

/// <summary>What the baker pinned is at its pin.</summary>
internal sealed class AtPins : DayAim
{
    public override GoodFor For => GoodFor.Wish;

    public override int Figure(DayBlocks day, int[] starts) =>
        Enumerable.Range(0, starts.Length).Sum(i => day.Blocks[i].Pin is { } pin ? Math.Abs(starts[i] - pin) : 0);

    public override LinearExpr In(DayModel day) =>
        LinearExpr.Sum(
            day.Blocks.Select((b, i) => (b.Pin, i)).Where(b => b.Pin is not null).SelectMany(b => day.Off(b.i, b.Pin!.Value))
        );
}

/// <summary>Bread is ready when it is wanted.</summary>
internal sealed class NotLate : DayAim
{
    public override GoodFor For => GoodFor.Wish;

    public override int Figure(DayBlocks day, int[] starts) => OfWanted(day, (wanted, bake) => Ready(day, starts, bake) - wanted);

    public override LinearExpr In(DayModel day) => LinearExpr.Sum(day.Lates);
}

/// <summary>Dough goes in before it is over.</summary>
internal sealed class NotOver : DayAim
{
    public override GoodFor For => GoodFor.Wish;

    public override int Figure(DayBlocks day, int[] starts) =>
        day.Proofs.Sum(p => Math.Max(0, starts[p.To] - starts[p.From] - p.Late));

    public override LinearExpr In(DayModel day) =>
        LinearExpr.Sum(day.Proofs.Select(p => day.Over(day.At(p.To) - day.At(p.From) - p.Late, "over")));
}

/// <summary>Dough goes in no sooner than at its best.</summary>
internal sealed class NotUnder : DayAim
{
    public override GoodFor For => GoodFor.Bread;

    public override int Figure(DayBlocks day, int[] starts) =>
        day.Proofs.Sum(p => Math.Max(0, p.Best - (starts[p.To] - starts[p.From])));

    public override LinearExpr In(DayModel day) =>
        LinearExpr.Sum(day.Proofs.Select(p => day.Over(day.At(p.From) - day.At(p.To) + p.Best, "under")));
}

/// <summary>Bread is cool no longer than it may be before it is wanted.</summary>
internal sealed class Fresh : DayAim
{
    public override GoodFor For => GoodFor.Bread;

    public override int Figure(DayBlocks day, int[] starts) =>
        OfWanted(day, (wanted, bake) => day.Fresh[bake] is { } fresh ? wanted - Ready(day, starts, bake) - fresh : 0);

    public override LinearExpr In(DayModel day) => LinearExpr.Sum(day.Stales);
}

/// <summary>Bread does not wait for people, nor people for bread that is wanted as soon as can be.</summary>
internal sealed class NoWaiting : DayAim
{
    public override GoodFor For => GoodFor.Bread;

    public override int Figure(DayBlocks day, int[] starts) =>
        OfWanted(day, (wanted, bake) => wanted - Ready(day, starts, bake))
        + Enumerable.Range(0, day.Ready.Length).Sum(bake => day.Wanted[bake] is null ? Ready(day, starts, bake) : 0);

    public override LinearExpr In(DayModel day) => LinearExpr.Sum(day.Waits);
}

/// <summary>From the first thing to do until the last bread is wanted it is not long.</summary>
internal sealed class ShortDay : DayAim
{
    public override GoodFor For => GoodFor.House;

    public override int Figure(DayBlocks day, int[] starts)
    {
        var last = Enumerable
            .Range(0, day.Ready.Length)
            .Select(bake => Math.Max(Ready(day, starts, bake), day.Wanted[bake] ?? 0))
            .Append(0)
            .Max();
        var toDo = Enumerable.Range(0, day.Blocks.Length).Where(b => day.Blocks[b].Fixed is null).Select(b => starts[b]);
        return last - toDo.DefaultIfEmpty(last).Min();
    }

    public override LinearExpr In(DayModel day) => day.Last - day.Begin;
}

/// <summary>Ovens are not on for nothing: each load heats from cold, or from when the one before came out, whichever is
/// shorter.</summary>
internal sealed class LittleHeat : DayAim
{
    public override GoodFor For => GoodFor.House;

    public override int Figure(DayBlocks day, int[] starts)
    {
        var sum = 0;
        for (var load = 0; load < day.Stays.Length; load++)
            if (day.Stays[load] is { Heat: not null } stay && day.Blocks[stay.From].Fixed is null)
                sum += HeatsFor(day, starts, load);
        return sum;
    }

    private static int HeatsFor(DayBlocks day, int[] starts, int load)
    {
        var least = day.Stays[load].FromCold;
        for (var other = 0; other < day.Stays.Length; other++)
            if (other != load && day.Stays[other].Heat is not null)
                least = Math.Min(least, AfterOther(day, starts, load, other));
        return least;
    }

    // How long the oven stands hot when a load goes in after another; as from cold when it goes in before it.
    private static int AfterOther(DayBlocks day, int[] starts, int load, int other)
    {
        var (stay, before) = (day.Stays[load], day.Stays[other]);
        var (goesIn, wentIn) = (starts[stay.From] + stay.In, starts[before.From] + before.In);
        if (before.Oven.Id != stay.Oven.Id || (wentIn, other).CompareTo((goesIn, load)) >= 0)
            return stay.FromCold;
        var cameOut = before.From == before.Out ? starts[before.From] + day.Blocks[before.From].Minutes : starts[before.Out] + 1;
        return Math.Max(0, goesIn - cameOut);
    }

    public override LinearExpr In(DayModel day) =>
        LinearExpr.Sum(day.Ovens.SelectMany(o => day.Heating([.. o.Where(s => s.Heat is not null)])));
}
