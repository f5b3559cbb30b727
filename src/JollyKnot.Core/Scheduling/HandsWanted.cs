// What a bake costs in hands, and whether it wakes somebody: said before it is begun.
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>What a bake wants of hands.</summary>
/// <param name="Hands">Altogether.</param>
/// <param name="Visits">So many times somebody comes into the kitchen.</param>
/// <param name="LongestFree">The longest gap between two visits.</param>
public sealed record HandsWanted(TimeSpan Hands, int Visits, TimeSpan LongestFree)
{
    // Who is away for less than this has not left the kitchen. Ours.
    private static readonly TimeSpan Stays = TimeSpan.FromMinutes(10);

    /// <summary>What a bake wants of hands.</summary>
    /// <param name="layout">The bake, laid out.</param>
    public static HandsWanted Of(Layout layout)
    {
        ArgumentNullException.ThrowIfNull(layout);
        var beats = layout.Timetable.Slots.Where(s => s.Step.IsWork).OrderBy(s => s.Start).ToList();
        var (hands, visits, longest) = (TimeSpan.Zero, 0, TimeSpan.Zero);
        var until = default(DateTimeOffset?);
        foreach (var beat in beats)
        {
            hands += beat.End - beat.Start;
            var gap = until is { } left ? beat.Start - left : default(TimeSpan?);
            if (gap is null || gap > Stays)
                visits++;
            if (gap > longest)
                longest = gap.Value;
            if (until is null || beat.End > until)
                until = beat.End;
        }
        return new(hands, visits, longest);
    }
}

/// <summary>A bake that wants hands while everybody sleeps or is away.</summary>
/// <param name="Step">For what.</param>
/// <param name="At">When.</param>
/// <param name="ReadyBy">The next time it could be wanted at without; null where there is none within a day.</param>
public sealed record WakesSomebody(Step Step, DateTimeOffset At, DateTimeOffset? ReadyBy)
{
    // The next time is looked for so far, in such steps. Ours.
    private static readonly TimeSpan Within = TimeSpan.FromHours(24),
        By = TimeSpan.FromMinutes(30);

    /// <summary>Whom it wakes, and when it would not; null where it wakes nobody.</summary>
    /// <param name="layout">The bake, laid out.</param>
    /// <param name="closed">When nobody is there, or up.</param>
    /// <param name="now">The time now.</param>
    public static WakesSomebody? Of(Layout layout, Closed closed, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(layout);
        ArgumentNullException.ThrowIfNull(closed);
        if (FirstAtNight(layout, closed) is not { } woken)
            return null;
        var spec = layout.Plan.Spec;
        var wanted = spec.ReadyBy ?? layout.Timetable.Ready;
        for (var later = By; later <= Within; later += By)
        {
            var other = Layout.Of(spec with { Wish = spec.Wish with { ReadyBy = wanted + later } }, now);
            if (FirstAtNight(other, closed) is null && other.LateBy <= TimeSpan.Zero)
                return new(woken.Step, woken.Start, wanted + later);
        }
        return new(woken.Step, woken.Start, null);
    }

    private static Slot? FirstAtNight(Layout layout, Closed closed) =>
        layout
            .Timetable.Slots.Where(s => s.Step.IsWork && !s.Step.Rule.WakesNobody && closed.IsAway(s.Start))
            .MinBy(s => s.Start);
}
