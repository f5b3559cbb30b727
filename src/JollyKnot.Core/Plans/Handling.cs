// How a dough is handled from the pan to the proof, and when its bread is wanted.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Plans;

/// <summary>How a dough is handled.</summary>
/// <param name="School">How the pan is loaded.</param>
/// <param name="After">Between the machine and the divide; null when nothing is said.</param>
/// <param name="Timer">The machine waits so long before it begins; null when it begins at once.</param>
/// <param name="Cold">First so long in the fridge, before the proofing place; null when it is not.</param>
/// <param name="Bath">How pretzels are boiled.</param>
/// <param name="Ways">How this baker does it.</param>
/// <param name="Times">What the baker takes of the times that are shown; null for what follows from all of them.</param>
public sealed record Handling(
    LoadSchool School,
    AfterCycle? After,
    TimeSpan? Timer,
    TimeSpan? Cold,
    PotSchool Bath,
    Ways Ways,
    Times? Times = null
)
{
    /// <summary>Where it rises in its bowl; on the counter when null.</summary>
    public Place? Bowl { get; init; }

    /// <summary>Folded in its bowl; not at all when null.</summary>
    public Folds? Folds { get; init; }

    /// <summary>By how much dough is left to grow in its bowl, as bakers say it; 1 is doubled.</summary>
    public static ImmutableArray<double> UsualGrown { get; } = [.5, .75, 1, 1.5];

    /// <summary>By how much it is to grow in its bowl, asked for and not timed: 1 is doubled, which is meant when null.</summary>
    public double? Grown { get; init; }

    /// <summary>As most bakers do, with nothing special.</summary>
    public static Handling Usual { get; } = new(LoadSchool.Plain, null, null, null, PotSchool.InThePot, Ways.Usual);

    /// <summary>Nights in the fridge as bakers usually have them.</summary>
    public static ImmutableArray<TimeSpan> UsualCold { get; } = Hours(8, 10, 12, 14);

    /// <summary>The longest in the fridge.</summary>
    public static TimeSpan LongestCold { get; } = TimeSpan.FromHours(24);

    /// <summary>Timers of machines as bakers use them.</summary>
    public static ImmutableArray<TimeSpan> UsualTimers { get; } = Hours(2, 4, 6, 8, 10);

    /// <summary>The longest a machine's timer goes. Makers' labels.</summary>
    public static TimeSpan LongestTimer { get; } = TimeSpan.FromHours(13);

    /// <summary>What is wrong with a time in the fridge; null when nothing is.</summary>
    /// <param name="cold">How long; null is no time.</param>
    /// <param name="field">The field to name.</param>
    internal static Problem? ColdProblem(TimeSpan? cold, string field) =>
        cold <= TimeSpan.Zero || cold > LongestCold ? new("out-of-range:fridge", field, LongestCold) : null;

    private static ImmutableArray<TimeSpan> Hours(params double[] hours) => [.. hours.Select(TimeSpan.FromHours)];
}

/// <summary>Folds in the bowl.</summary>
/// <param name="Count">How often; 1 to <see cref="Most"/>.</param>
/// <param name="Gap">From one to the next; over 0.</param>
public sealed record Folds(int Count, TimeSpan Gap)
{
    /// <summary>More are of no use. Bakers' usage.</summary>
    public const int Most = 8;

    /// <summary>As bakers do it.</summary>
    public static Folds Usual { get; } = new(3, TimeSpan.FromMinutes(45));

    /// <summary>What is wrong with it; null when nothing is.</summary>
    /// <param name="field">The field to name.</param>
    internal Problem? Wrong(string field)
    {
        if (Count is < 1 or > Most)
            return new("out-of-range:between", $"{field}.count", 1, Most);
        return Gap <= TimeSpan.Zero || Gap > AfterCycle.Longest
            ? new("out-of-range:between", $"{field}.gap", TimeSpan.Zero, AfterCycle.Longest)
            : null;
    }
}

/// <summary>Times that the baker takes over what is planned. Null where what is planned holds.</summary>
/// <param name="Proof">The second proof.</param>
/// <param name="Bake">In the oven.</param>
public sealed record Times(TimeSpan? Proof = null, TimeSpan? Bake = null)
{
    private static readonly TimeSpan Longest = TimeSpan.FromHours(24);

    /// <summary>What is wrong with one of them; null when nothing is.</summary>
    /// <param name="field">Where they were typed.</param>
    internal Problem? Wrong(string field)
    {
        static bool IsWrong(TimeSpan? time) => time <= TimeSpan.Zero || time > Longest;
        return IsWrong(Proof) ? new("out-of-range:between", $"{field}.proof", TimeSpan.Zero, Longest)
            : IsWrong(Bake) ? new("out-of-range:between", $"{field}.bake", TimeSpan.Zero, Longest)
            : null;
    }
}

/// <summary>What the dough does between the machine and the divide.</summary>
/// <param name="Early">It comes out straight after kneading and rises in a bowl, which frees the machine.</param>
/// <param name="Bulk">It rises so long in a bowl; zero when it does not.</param>
public sealed record AfterCycle(bool Early, TimeSpan Bulk)
{
    // Shorter than this the dough only rests. Ours.
    private static readonly TimeSpan RestUpTo = TimeSpan.FromMinutes(20);

    /// <summary>It only rests, so that it stretches; it does not rise.</summary>
    public bool IsRest => Bulk > TimeSpan.Zero && Bulk < RestUpTo;

    /// <summary>What bakers usually do, the simplest first: divide now, a short rest, a rise in a bowl, out early into the
    /// bowl.</summary>
    public static ImmutableArray<AfterCycle> Usual { get; } =
    [
        new(false, TimeSpan.Zero),
        new(false, TimeSpan.FromMinutes(10)),
        new(false, TimeSpan.FromMinutes(45)),
        new(true, TimeSpan.FromMinutes(60)),
    ];

    /// <summary>The longest.</summary>
    public static TimeSpan Longest { get; } = TimeSpan.FromHours(16);

    /// <summary>What is wrong with a rise in the bowl; null when nothing is.</summary>
    /// <param name="bulk">How long; null is not said.</param>
    /// <param name="field">The field to name.</param>
    internal static Problem? Problem(TimeSpan? bulk, string field) =>
        bulk < TimeSpan.Zero || bulk > Longest ? new("out-of-range:bowl", field, Longest) : null;
}

/// <summary>When bread is wanted, and how fresh.</summary>
/// <param name="ReadyBy">When; as soon as can be when null.</param>
/// <param name="Fresh">Cool no longer than this before it is wanted; null when it does not matter.</param>
public sealed record Wish(DateTimeOffset? ReadyBy = null, TimeSpan? Fresh = null)
{
    /// <summary>How fresh bread is wanted, as bakers say it; and the least that can be asked for.</summary>
    public static ImmutableArray<TimeSpan> UsualFresh { get; } =
    [TimeSpan.FromMinutes(15), TimeSpan.FromMinutes(30), TimeSpan.FromHours(1), TimeSpan.FromHours(2)];

    private static readonly TimeSpan LongestFresh = TimeSpan.FromDays(1);

    /// <summary>What is wanted is wanted at a round time. Ours.</summary>
    public static TimeSpan Round { get; } = TimeSpan.FromMinutes(15);

    /// <summary>A round time to ask for, with a little room after what is ready then.</summary>
    /// <param name="ready">When it would be ready.</param>
    public static DateTimeOffset RoundAfter(DateTimeOffset ready)
    {
        var quarters = Math.Ceiling((double)ready.UtcTicks / Round.Ticks) + 1;
        return new(Round.Ticks * (long)quarters, TimeSpan.Zero);
    }

    // Bread is planned no farther ahead.
    private static readonly TimeSpan Farthest = TimeSpan.FromDays(14);

    /// <summary>What is wrong with a wish for fresh bread; null when nothing is.</summary>
    /// <param name="fresh">Cool no longer than this.</param>
    /// <param name="field">The field to name.</param>
    internal static Problem? FreshProblem(TimeSpan? fresh, string field) =>
        fresh <= TimeSpan.Zero || fresh > LongestFresh ? new("out-of-range:fresh", field, LongestFresh) : null;

    /// <summary>What is wrong with a time that something is wanted at; null when nothing is.</summary>
    /// <param name="at">When.</param>
    /// <param name="now">The time now.</param>
    /// <param name="field">The field to name.</param>
    public static Problem? TimeProblem(DateTimeOffset? at, DateTimeOffset now, string field) =>
        at < now ? new("past", field)
        : at > now + Farthest ? new("far-off", field, Farthest.TotalDays)
        : null;
}
