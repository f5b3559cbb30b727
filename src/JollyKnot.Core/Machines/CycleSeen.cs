// A machine's program as it was seen to run: one touch at each change, and its phases are its own from then on.
using System.Collections.Immutable;

namespace JollyKnot.Core.Machines;

/// <summary>What a machine is seen to begin.</summary>
public enum CycleChange
{
    /// <summary>It stands still and warms.</summary>
    StandsStill,

    /// <summary>It stirs and kneads.</summary>
    Kneads,

    /// <summary>It beeps for what is added.</summary>
    Beeps,

    /// <summary>It stands still and the dough rises.</summary>
    Rises,

    /// <summary>It presses the gas out.</summary>
    KnocksBack,
}

/// <summary>A change that was seen.</summary>
/// <param name="Change">What began.</param>
/// <param name="At">From the start of the cycle; 0 or more.</param>
public sealed record CycleTouch(CycleChange Change, TimeSpan At);

/// <summary>One cycle of a machine that was watched.</summary>
/// <param name="Machine">Which machine.</param>
/// <param name="Bake">In which bake.</param>
/// <param name="Assumed">Its phases as they were taken for usual.</param>
/// <param name="Touches">What was seen, in order.</param>
public sealed record CycleSeen(string Machine, Guid Bake, ImmutableArray<Phase> Assumed, ImmutableArray<CycleTouch> Touches)
{
    private static readonly TimeSpan Minute = TimeSpan.FromMinutes(1);

    /// <summary>Kneading and rising were seen: nothing is asked of it any more.</summary>
    public bool SaysEnough => Has(CycleChange.Kneads) && Has(CycleChange.Rises);

    /// <summary>The machine with its phases as seen, and as assumed where nothing was seen yet. It takes as long as it
    /// says.</summary>
    /// <param name="machine">The machine.</param>
    public Machine Of(Machine machine)
    {
        ArgumentNullException.ThrowIfNull(machine);
        var phases = Phases();
        if (phases.All(p => p.Kind != PhaseKind.Knead))
            return machine;
        var seen = machine with { Phases = phases };
        var beep = Touches.LastOrDefault(t => t.Change == CycleChange.Beeps) is { } heard
            ? InMinutes(heard.At) - seen.KneadStart
            : machine.Beep;
        return seen with { Beep = beep > TimeSpan.Zero && beep < seen.Kneads ? beep : null };
    }

    private bool Has(CycleChange change) => Touches.Any(t => t.Change == change);

    private ImmutableArray<Phase> Phases()
    {
        var total = Assumed.Aggregate(TimeSpan.Zero, (sum, p) => sum + p.Length);
        var began = Touches
            .Where(t => t.Change != CycleChange.Beeps)
            .Select(t => (Kind: KindOf(t.Change), At: InMinutes(t.At)))
            .Where(t => t.At < total)
            .ToList();
        if (began.Count == 0)
            return Assumed;
        var phases = new List<Phase>();
        if (began[0].At > TimeSpan.Zero)
            phases.Add(new(Before(began[0].Kind), began[0].At));
        foreach (var (one, next) in began.Zip(began.Skip(1)))
            phases.Add(new(one.Kind, next.At - one.At));
        phases.AddRange(Rest(began[^1].Kind, total - began[^1].At));
        return Joined(phases.Where(p => p.Length > TimeSpan.Zero));
    }

    // What it did before the first change that was seen.
    private static PhaseKind Before(PhaseKind first) =>
        first switch
        {
            PhaseKind.Rise => PhaseKind.Knead,
            PhaseKind.KnockBack => PhaseKind.Rise,
            _ => PhaseKind.Warm,
        };

    // What nobody assumed takes so long: standing still, and a turn that presses the gas out. Bakers' usage.
    private static readonly TimeSpan Standing = TimeSpan.FromMinutes(20);

    // From the last change on as assumed, as long as there is left.
    private IEnumerable<Phase> Rest(PhaseKind last, TimeSpan left)
    {
        IEnumerable<Phase> assumed =
            Assumed.Any(p => p.Kind == last) ? Assumed.SkipWhile(p => p.Kind != last)
            : last == PhaseKind.Warm ? [new(last, Standing), .. Assumed]
            : [new(last, Minute), Assumed[^1]];
        foreach (var phase in assumed)
        {
            if (left <= TimeSpan.Zero)
                yield break;
            var length = phase == Assumed[^1] || phase.Length > left ? left : phase.Length;
            yield return phase with
            {
                Length = length,
            };
            left -= length;
        }
    }

    // Two of a kind after one another are one.
    private static ImmutableArray<Phase> Joined(IEnumerable<Phase> phases)
    {
        var joined = ImmutableArray.CreateBuilder<Phase>();
        foreach (var phase in phases)
            if (joined.Count > 0 && joined[^1].Kind == phase.Kind)
                joined[^1] = phase with { Length = joined[^1].Length + phase.Length };
            else
                joined.Add(phase);
        return joined.ToImmutable();
    }

    private static PhaseKind KindOf(CycleChange change) =>
        change switch
        {
            CycleChange.Kneads => PhaseKind.Knead,
            CycleChange.Rises => PhaseKind.Rise,
            CycleChange.KnocksBack => PhaseKind.KnockBack,
            _ => PhaseKind.Warm,
        };

    private static TimeSpan InMinutes(TimeSpan at) => Minute * Math.Round(at / Minute);
}

/// <summary>The cycles that were watched, one of each machine.</summary>
/// <param name="Cycles">In no order.</param>
public sealed record CyclesSeen(ImmutableArray<CycleSeen> Cycles)
{
    /// <summary>None yet.</summary>
    public static CyclesSeen Empty { get; } = new([]);

    /// <summary>The cycle of a machine that was watched; null when none was.</summary>
    /// <param name="machine">Which machine.</param>
    public CycleSeen? Of(string machine) => Cycles.FirstOrDefault(c => c.Machine == machine);

    /// <summary>The same with this one instead of the machine's last.</summary>
    /// <param name="cycle">The cycle.</param>
    public CyclesSeen With(CycleSeen cycle)
    {
        ArgumentNullException.ThrowIfNull(cycle);
        return new([.. Cycles.Where(c => c.Machine != cycle.Machine), cycle]);
    }
}
