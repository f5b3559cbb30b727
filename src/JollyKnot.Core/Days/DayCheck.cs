// An independent look at a day: every rule derived again from the steps in time, whoever put them there.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>What can be wrong with a day, the worst first.</summary>
public enum DayTrouble
{
    /// <summary>Hands are wanted in two places.</summary>
    Hands,

    /// <summary>Hands are wanted while there are none.</summary>
    Away,

    /// <summary>A machine is wanted by two doughs.</summary>
    Machine,

    /// <summary>A machine runs when none may.</summary>
    Quiet,

    /// <summary>An oven is wanted at two temperatures, or has no time to get from one to the other.</summary>
    OvenHeat,

    /// <summary>An oven has too few racks.</summary>
    Racks,

    /// <summary>A place holds too few trays.</summary>
    Place,

    /// <summary>A tin or tray is wanted in two places.</summary>
    Pans,

    /// <summary>Dough proofs in an oven that heats or is hot.</summary>
    DoughInOven,

    /// <summary>What the baker pinned cannot be then.</summary>
    Pinned,

    /// <summary>Dough is past its window.</summary>
    Over,

    /// <summary>Dough rises far past double before it is taken out.</summary>
    OverRisen,

    /// <summary>Dough waits in its machine for longer than it has patience.</summary>
    LeftInMachine,

    /// <summary>Later than wanted.</summary>
    Late,

    /// <summary>Cool for longer than it may be before it is wanted.</summary>
    Stale,
}

/// <summary>Something wrong with a day.</summary>
/// <param name="Trouble">What.</param>
/// <param name="Bake">Which bake of the day.</param>
/// <param name="Step">Its step.</param>
/// <param name="Other">The other bake; the same one when it is alone in this.</param>
/// <param name="OtherStep">The other step.</param>
/// <param name="By">By how much.</param>
public sealed record DayFinding(DayTrouble Trouble, int Bake, StepId Step, int Other, StepId OtherStep, TimeSpan By)
{
    /// <summary>It cannot be done at all, rather than not as well as wanted.</summary>
    public bool Impossible => Trouble <= DayTrouble.DoughInOven;
}

/// <summary>Checks days.</summary>
public static class DayCheck
{
    // A new rule is one line here.
    private static readonly ImmutableArray<DayRule> Rules =
    [
        new OnePairOfHands(),
        new SomebodyThere(),
        new OneDoughInAMachine(),
        new QuietHours(),
        new OneHeatInAnOven(),
        new RacksEnough(),
        new RoomEnough(),
        new OnePanInOnePlace(),
        new NoDoughInAHotOven(),
        new AtItsPin(),
        new NotOverProofed(),
        new TakenOutInTime(),
        new InTime(),
        new FreshEnough(),
    ];

    /// <summary>Everything wrong with a day from now on.</summary>
    /// <param name="bakes">The bakes as they stand.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had; never when null.</param>
    public static ImmutableArray<DayFinding> Of(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed? closed = null)
    {
        var day = new DaySeen(bakes, now, closed ?? Closed.Never);
        return [.. Rules.SelectMany(r => r.Find(day)).OrderBy(f => f.Trouble)];
    }
}

/// <summary>A step of a bake, for as long as it matters.</summary>
/// <param name="Bake">Which bake of the day.</param>
/// <param name="Slot">The step in time.</param>
/// <param name="From">From when.</param>
/// <param name="To">Until when.</param>
internal sealed record Span(int Bake, Slot Slot, DateTimeOffset From, DateTimeOffset To)
{
    public StepId Step => Slot.Step.Id;

    public TimeSpan Shares(DateTimeOffset from, DateTimeOffset to) => (To < to ? To : to) - (From > from ? From : from);
}

/// <summary>A batch in its oven, with what makes its steam.</summary>
internal sealed record Baked(Baking.Oven Oven, Bread Bread, bool Steamed, Span Span);

/// <summary>Dough that rises in an oven: taken from when it is made warm, in it from then on.</summary>
internal sealed record ProofedInOven(string Oven, DateTimeOffset InFrom, Span Span);

/// <summary>Trays at their place.</summary>
internal sealed record Standing(Proofing.Place Place, int Trays, Span Span);

/// <summary>Pans of a kind, in use.</summary>
internal sealed record InUse(Shaping.Tin Pan, PansTaken Pans, Span Span);

/// <summary>A dough in its machine, until that is washed out.</summary>
internal sealed record InMachine(string Machine, Span Span);

/// <summary>A day as its steps in time have it.</summary>
internal sealed class DaySeen
{
    // Washing a machine out. Bakers' usage.
    private static readonly TimeSpan Emptying = TimeSpan.FromMinutes(10);

    public DaySeen(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed closed)
    {
        (Bakes, Now, Closed) = (bakes, now, closed);
        Tables = [.. bakes.Select(b => b.Timetable)];
        Open =
        [
            .. Tables.SelectMany(
                (t, i) => t.Slots.Where(s => s.IsOpen && s.End > now).Select(s => new Span(i, s, s.Start, s.End))
            ),
        ];
        Machines = [.. bakes.Select(MachineOf).OfType<InMachine>()];
        Ovens = [.. Batches().Select(BakedOf).OfType<Baked>()];
        Proofs = [.. Batches().Select(ProofedOf).Concat(bakes.Select(BowlOf)).OfType<ProofedInOven>()];
        Rooms = [.. Batches().Select(StandingOf).OfType<Standing>()];
        Pans = [.. Batches().Select(InUseOf).OfType<InUse>()];
    }

    public ImmutableArray<DayBake> Bakes { get; }

    public DateTimeOffset Now { get; }

    public Closed Closed { get; }

    public ImmutableArray<Timetable> Tables { get; }

    public ImmutableArray<Span> Open { get; }

    public ImmutableArray<InMachine> Machines { get; }

    public ImmutableArray<Baked> Ovens { get; }

    public ImmutableArray<ProofedInOven> Proofs { get; }

    public ImmutableArray<Standing> Rooms { get; }

    public ImmutableArray<InUse> Pans { get; }

    /// <summary>Ovens that are switched on and heat.</summary>
    public IEnumerable<Span> Heats =>
        Open.Where(s => s.Slot.Step is { Length.Ticks: > 0 } step && step.Is(Milestone.Hot) && OvenOf(s) is not null);

    /// <summary>The oven a step keeps busy; null for none.</summary>
    public static string? OvenOf(Span span) => span.Slot.Step.Occupies.FirstOrDefault(r => r.Kind == ResourceKind.Oven)?.Id;

    /// <summary>Every batch with the bake it is of.</summary>
    public IEnumerable<(int Bake, Forecast Of)> Batches() => Bakes.SelectMany((b, i) => b.Chain.Batches.Select(f => (i, f)));

    private InMachine? MachineOf(DayBake bake, int index)
    {
        if (bake.Spec.Machine.ByHand || Tables[index].At(Milestone.OutOfMachine) is not { IsOpen: true } takeOut)
            return null;
        var first = Tables[index].Slots.First(s => s.Step.Holds == Lane.Machine);
        return new(bake.Spec.Machine.Id, new(index, takeOut, first.Start, takeOut.End + Emptying));
    }

    private Baked? BakedOf((int Bake, Forecast Of) batch)
    {
        var (bake, of) = batch;
        if (of.Bread.OnGriddle || Tables[bake].At(Milestone.Baking, of.Batch.Index) is not { } bakes)
            return null;
        if (Tables[bake].At(Milestone.Out, of.Batch.Index) is not { IsOpen: true } unload)
            return null;
        var steamed = Bakes[bake].Spec.SteamFor(of.Bread).Stands();
        return new(Bakes[bake].Spec.OvenOf(of.Bread), of.Bread, steamed, new(bake, bakes, bakes.Start, unload.Start));
    }

    private ProofedInOven? ProofedOf((int Bake, Forecast Of) batch)
    {
        var (bake, of) = batch;
        if (of.Batch.Index > 0 || of.Proof.OutOfOven is null || Tables[bake].At(Milestone.Proving, 0) is not { } proof)
            return null;
        if (Tables[bake].At(Milestone.OvenCleared) is not { IsOpen: true } cleared)
            return null;
        // It is taken from when it is made warm.
        var warmed = Tables[bake].At(Milestone.WarmingOn) is { IsOpen: true } on ? on.Start : proof.Start;
        return new(Bakes[bake].Spec.Oven.Id, proof.Start, new(bake, proof, warmed, cleared.Start));
    }

    private ProofedInOven? BowlOf(DayBake bake, int index)
    {
        if (bake.Spec.Handling.Bowl is not { InOven: true } || Tables[index].At(Milestone.InBowl) is not { } rises)
            return null;
        if (Tables[index].At(Milestone.Weighed) is not { IsOpen: true } weighed)
            return null;
        return new(bake.Spec.Oven.Id, rises.Start, new(index, rises, rises.Start, weighed.Start));
    }

    private InUse? InUseOf((int Bake, Forecast Of) batch)
    {
        var (bake, of) = batch;
        var used = of.Batch.PansFrom(Bakes[bake].Chain.Bake.Batches);
        if (used == 0 || of.Bread is not { Pan: { } pan, Pans: { } pans })
            return null;
        if (Tables[bake].At(Milestone.Shaped, of.Batch.Index) is not { } shaped)
            return null;
        return Tables[bake].At(Milestone.Out, of.Batch.Index) is { IsOpen: true } unload
            ? new(pan, pans with { Used = used }, new(bake, shaped, shaped.Start, unload.Start))
            : null;
    }

    private Standing? StandingOf((int Bake, Forecast Of) batch)
    {
        var (bake, of) = batch;
        var (table, spec) = (Tables[bake], Bakes[bake].Spec);
        if (spec.Place.InOven || table.At(Milestone.Proving, of.Batch.Index) is not { Step.EndedBy: { } by } stands)
            return null;
        return table[by] is { IsOpen: true } leaves
            ? new(spec.Place, of.Bread.Racks, new(bake, stands, stands.Start, leaves.Start))
            : null;
    }
}
