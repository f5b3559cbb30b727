// What must hold of a day, a rule each.
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>Something that must hold of a day.</summary>
internal abstract class DayRule
{
    // Plans are in whole minutes; so much over is nothing.
    protected static readonly TimeSpan Grain = TimeSpan.FromSeconds(61);

    /// <summary>Where it does not hold.</summary>
    public abstract IEnumerable<DayFinding> Find(DaySeen day);

    protected static DayFinding? Alone(DayTrouble trouble, int bake, StepId step, TimeSpan? by) =>
        by > Grain ? new(trouble, bake, step, bake, step, by.Value) : null;

    protected static DayFinding? Both(DayTrouble trouble, Span one, Span other, TimeSpan by) =>
        by > Grain ? new(trouble, one.Bake, one.Step, other.Bake, other.Step, by) : null;

    protected static DayFinding? Overlap(DayTrouble trouble, Span one, Span other) =>
        Both(trouble, one, other, one.Shares(other.From, other.To));

    protected static IEnumerable<(T, T)> Pairs<T>(IReadOnlyList<T> of)
    {
        for (var i = 0; i < of.Count; i++)
            for (var k = i + 1; k < of.Count; k++)
                yield return (of[i], of[k]);
    }
}

/// <summary>Hands are in one place at a time.</summary>
internal sealed class OnePairOfHands : DayRule
{
    public static List<Span> Hands(DaySeen day) => [.. day.Open.Where(s => s.Slot.Step.KeepsHands).OrderBy(s => s.From)];

    public override IEnumerable<DayFinding> Find(DaySeen day) =>
        Pairs(Hands(day)).Select(p => Overlap(DayTrouble.Hands, p.Item1, p.Item2)).OfType<DayFinding>();
}

/// <summary>Somebody is there, and up.</summary>
internal sealed class SomebodyThere : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day) =>
        OnePairOfHands
            .Hands(day)
            .SelectMany(h => day.Closed.Hands.Select(a => Alone(DayTrouble.Away, h.Bake, h.Step, h.Shares(a.From, a.To))))
            .OfType<DayFinding>();
}

/// <summary>A machine has one dough in it, and is washed out before the next.</summary>
internal sealed class OneDoughInAMachine : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day) =>
        Pairs(day.Machines)
            .Where(p => p.Item1.Machine == p.Item2.Machine)
            .Select(p => Overlap(DayTrouble.Machine, p.Item1.Span, p.Item2.Span))
            .OfType<DayFinding>();
}

/// <summary>No machine runs when none may.</summary>
internal sealed class QuietHours : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day) =>
        day
            .Machines.Select(m => m.Span)
            .Select(m => m with { From = day.Tables[m.Bake].At(Milestone.Cycle)!.Start, To = m.Slot.Start })
            .SelectMany(m => day.Closed.Machines.Select(q => Alone(DayTrouble.Quiet, m.Bake, m.Step, m.Shares(q.From, q.To))))
            .OfType<DayFinding>();
}

/// <summary>An oven has one heat at a time, and the time to get to the next.</summary>
internal sealed class OneHeatInAnOven : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day)
    {
        foreach (var (one, next) in Pairs([.. day.Ovens.OrderBy(o => o.Span.From)]))
        {
            if (one.Oven.Id != next.Oven.Id || one.Bread.Heat == next.Bread.Heat)
                continue;
            var missing = one.Span.To + day.Bakes[next.Span.Bake].Spec.ChangeTo(one.Bread.Heat, next.Bread) - next.Span.From;
            if (Both(DayTrouble.OvenHeat, one.Span, next.Span, missing) is { } found)
                yield return found;
        }
        foreach (var heat in day.Heats)
            foreach (
                var other in day.Ovens.Where(o =>
                    o.Span.Bake != heat.Bake && o.Oven.Id == DaySeen.OvenOf(heat) && o.Bread.Heat != heat.Slot.Step.About?.Heat
                )
            )
                if (Overlap(DayTrouble.OvenHeat, heat, other.Span) is { } found)
                    yield return found;
    }
}

/// <summary>An oven has racks enough.</summary>
internal sealed class RacksEnough : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day)
    {
        foreach (var one in day.Ovens)
        {
            var with = day
                .Ovens.Where(o =>
                    o.Oven.Id == one.Oven.Id
                    && o.Bread.Heat == one.Bread.Heat
                    && o.Span.From <= one.Span.From
                    && o.Span.To > one.Span.From + Grain
                )
                .ToList();
            if (with.Count < 2 || with.Sum(o => o.Bread.Racks) <= one.Oven.RacksBeside(with.Any(o => o.Steamed)))
                continue;
            var first = with[0].Span;
            yield return new(DayTrouble.Racks, one.Span.Bake, one.Span.Step, first.Bake, first.Step, one.Span.To - one.Span.From);
        }
    }
}

/// <summary>A proofing place has room enough.</summary>
internal sealed class RoomEnough : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day)
    {
        foreach (var one in day.Rooms.Where(r => r.Place.Trays is not null))
        {
            var with = day
                .Rooms.Where(r => r.Place.Id == one.Place.Id && r.Span.From <= one.Span.From && r.Span.To > one.Span.From + Grain)
                .ToList();
            if (with.Count < 2 || with.Sum(r => r.Trays) <= one.Place.Trays)
                continue;
            var first = with.First(r => r.Span != one.Span).Span;
            yield return new(DayTrouble.Place, one.Span.Bake, one.Span.Step, first.Bake, first.Step, one.Span.To - one.Span.From);
        }
    }
}

/// <summary>A tin or tray is in one place at a time.</summary>
internal sealed class OnePanInOnePlace : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day)
    {
        foreach (var one in day.Pans)
        {
            var with = day
                .Pans.Where(p => p.Pan.Kind == one.Pan.Kind && p.Span.From <= one.Span.From && p.Span.To > one.Span.From + Grain)
                .ToList();
            if (with.Count < 2 || with.Sum(p => p.Pans.Used) <= one.Pans.Owned)
                continue;
            var first = with.First(p => p.Span != one.Span).Span;
            yield return new(DayTrouble.Pans, one.Span.Bake, one.Span.Step, first.Bake, first.Step, one.Span.To - one.Span.From);
        }
    }
}

/// <summary>Dough is taken out of its machine before it is over, and before it has waited too long.</summary>
internal sealed class TakenOutInTime : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day)
    {
        for (var bake = 0; bake < day.Bakes.Length; bake++)
        {
            var (spec, table) = (day.Bakes[bake].Spec, day.Tables[bake]);
            if (spec.Machine.ByHand || table.At(Milestone.OutOfMachine) is not { IsOpen: true } takeOut)
                continue;
            var cycle = table.At(Milestone.Cycle)!;
            var waits = takeOut.Start - cycle.Start - cycle.Step.Length;
            if (waits <= takeOut.Step.Rule.Patience + Grain)
                continue;
            var dough = day.Bakes[bake].SoFar.DoughOf(spec);
            var rise = FirstRise.Of(spec.Machine, spec.Formula, dough, spec.Room, takeOut.Start - cycle.Start);
            var trouble = rise.IsOver ? DayTrouble.OverRisen : DayTrouble.LeftInMachine;
            if (Alone(trouble, bake, takeOut.Step.Id, waits) is { } found)
                yield return found;
        }
    }
}

/// <summary>Dough proofs in an oven that is off, alone.</summary>
internal sealed class NoDoughInAHotOven : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day)
    {
        foreach (var proof in day.Proofs)
        {
            var hot = day
                .Heats.Where(h => DaySeen.OvenOf(h) == proof.Oven)
                .Concat(day.Ovens.Where(o => o.Oven.Id == proof.Oven).Select(o => o.Span));
            foreach (var found in hot.Select(h => Overlap(DayTrouble.DoughInOven, proof.Span, h)).OfType<DayFinding>())
                yield return found;
            foreach (var found in day.Ovens.Select(o => NotSafeYet(day, proof, o)).OfType<DayFinding>())
                yield return found;
        }
        foreach (var (one, other) in Pairs(day.Proofs).Where(p => p.Item1.Oven == p.Item2.Oven))
            if (Overlap(DayTrouble.DoughInOven, one.Span, other.Span) is { } found)
                yield return found;
    }

    // What was baked in it before has to fall first.
    private static DayFinding? NotSafeYet(DaySeen day, ProofedInOven proof, Baked baked)
    {
        if (baked.Oven.Id != proof.Oven || baked.Span.To > proof.InFrom)
            return null;
        var falls = Place.SafeAfter(baked.Bread.Heat, day.Bakes[proof.Span.Bake].Spec.Room);
        return Both(DayTrouble.DoughInOven, proof.Span, baked.Span, baked.Span.To + falls - proof.InFrom);
    }
}

/// <summary>What is pinned is at its time.</summary>
internal sealed class AtItsPin : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day)
    {
        for (var bake = 0; bake < day.Bakes.Length; bake++)
            foreach (var (step, at) in day.Bakes[bake].SoFar.Arranged.Pins.Where(p => p.Value > day.Now))
                if (
                    day.Tables[bake][step] is { IsOpen: true } slot
                    && Alone(DayTrouble.Pinned, bake, step, (slot.Start - at).Duration()) is { } found
                )
                    yield return found;
    }
}

/// <summary>Dough goes in before it is over.</summary>
internal sealed class NotOverProofed : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day)
    {
        foreach (var (bake, of) in day.Batches())
        {
            var (table, batch) = (day.Tables[bake], of.Batch.Index);
            if (of.Proof.Window is not { } window || table.At(Milestone.SetToProof, batch) is not { } set)
                continue;
            if (table.At(Milestone.In, batch) is not { IsOpen: true } load)
                continue;
            if (Alone(DayTrouble.Over, bake, load.Step.Id, load.Start - set.End - window.Late) is { } found)
                yield return found;
        }
    }
}

/// <summary>Bread is ready when it is wanted.</summary>
internal sealed class InTime : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day) =>
        day
            .Bakes.Select(
                (b, i) => Alone(DayTrouble.Late, i, day.Tables[i].Slots[^1].Step.Id, day.Tables[i].Ready - b.Spec.ReadyBy)
            )
            .OfType<DayFinding>();
}

/// <summary>Bread is as fresh as it is wanted.</summary>
internal sealed class FreshEnough : DayRule
{
    public override IEnumerable<DayFinding> Find(DaySeen day) =>
        day
            .Bakes.Select(
                (b, i) =>
                    Alone(
                        DayTrouble.Stale,
                        i,
                        day.Tables[i].Slots[^1].Step.Id,
                        b.Spec.ReadyBy - day.Tables[i].Ready - b.Spec.Wish.Fresh
                    )
            )
            .OfType<DayFinding>();
}
