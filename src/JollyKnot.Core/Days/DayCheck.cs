// An independent look at a day: every rule derived again from the steps in time, whoever put them there.
using System.Collections.Immutable;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Days;

/// <summary>What can be wrong with a day.</summary>
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
    /// <summary>Dough proofs in an oven that heats or is hot.</summary>
    DoughInOven,
    /// <summary>What the baker pinned cannot be then.</summary>
    Pinned,
    /// <summary>Dough is past its window.</summary>
    Over,
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
public sealed record DayFinding(DayTrouble Trouble, int Bake, string Step, int Other, string OtherStep, TimeSpan By)
{
    /// <summary>It cannot be done at all, rather than not as well as wanted.</summary>
    public bool Impossible => Trouble is not (DayTrouble.Pinned or DayTrouble.Over or DayTrouble.Late or DayTrouble.Stale);
}

/// <summary>Checks days.</summary>
public static class DayCheck
{
    // Plans are in whole minutes; so much over is nothing.
    private static readonly TimeSpan Grain = TimeSpan.FromSeconds(61), Emptying = TimeSpan.FromMinutes(10);

    private sealed record Span(int Bake, Slot Slot, DateTimeOffset From, DateTimeOffset To);

    /// <summary>Everything wrong with a day from now on.</summary>
    /// <param name="bakes">The bakes as they stand.</param>
    /// <param name="now">The time now.</param>
    /// <param name="closed">When hands and machines are not to be had; never when null.</param>
    public static ImmutableArray<DayFinding> Of(ImmutableArray<DayBake> bakes, DateTimeOffset now, Closed? closed = null)
    {
        closed ??= Closed.Never;
        var found = ImmutableArray.CreateBuilder<DayFinding>();
        var tables = bakes.Select(b => b.Timetable).ToImmutableArray();
        var slots = tables.SelectMany((t, i) => t.Slots.Where(s => s.IsOpen && s.End > now).Select(s => new Span(i, s, s.Start, s.End))).ToList();

        // Hands.
        var hands = slots.Where(s => s.Slot.Step.KeepsHands).OrderBy(s => s.From).ToList();
        for (var i = 0; i < hands.Count; i++)
        {
            for (var k = i + 1; k < hands.Count && hands[k].From < hands[i].To; k++) Overlap(DayTrouble.Hands, hands[i], hands[k]);
            foreach (var a in closed.Hands)
                if (Shared(hands[i].From, hands[i].To, a.From, a.To) is var by && by > Grain) found.Add(new(DayTrouble.Away, hands[i].Bake, hands[i].Slot.Step.Id, hands[i].Bake, hands[i].Slot.Step.Id, by));
        }

        // Machines: from the first that goes in until they are washed out.
        var machines = bakes.Select((b, i) => (Bake: i, b.Spec.Machine, Table: tables[i])).Where(m => !m.Machine.ByHand && m.Table["take-out"] is { IsOpen: true })
            .Select(m => (m.Machine.Id, Span: new Span(m.Bake, m.Table["take-out"]!, m.Table.Slots.First(s => s.Step.Holds == Lane.Machine).Start, m.Table["take-out"]!.End + Emptying))).ToList();
        foreach (var (a, b) in Pairs(machines)) if (a.Id == b.Id) Overlap(DayTrouble.Machine, a.Span, b.Span);
        foreach (var m in machines)
            foreach (var q in closed.Machines)
                if (Shared(tables[m.Span.Bake]["cycle"]!.Start, m.Span.Slot.Start, q.From, q.To) is var by && by > Grain) found.Add(new(DayTrouble.Quiet, m.Span.Bake, m.Span.Slot.Step.Id, m.Span.Bake, m.Span.Slot.Step.Id, by));

        // Ovens.
        var ovens = new List<(Baking.Oven Oven, Batch Batch, Span Span)>();
        var proofs = new List<(string Oven, Span Span)>();
        var rooms = new List<(Proofing.Place Place, int Trays, Span Span)>();
        for (var i = 0; i < bakes.Length; i++)
            foreach (var forecast in bakes[i].Chain.Batches)
            {
                var (batch, spec, table) = (forecast.Batch, bakes[i].Spec, tables[i]);
                if (!batch.Bread.OnGriddle && table[batch.Step("bake")] is { } bake && table[batch.Step("unload")] is { IsOpen: true } unload)
                    ovens.Add((spec.OvenOf(batch.Bread), batch, new(i, bake, bake.Start, unload.Start)));
                if (batch.Index == 0 && forecast.Proof.OutOfOven is not null && table["proof"] is { } proof && table["clear-oven"] is { IsOpen: true } clear)
                    proofs.Add((spec.Oven.Id, new(i, proof, proof.Start, clear.Start)));
                if (!spec.Place.InOven && table[batch.Step("proof")] is { Step.EndedBy: { } by } there && table[by] is { IsOpen: true } leaves)
                    rooms.Add((spec.Place, batch.Bread.Racks, new(i, there, there.Start, leaves.Start)));
                if (forecast.Proof.Window is { } window && table[batch.Step("load")] is { IsOpen: true } load && table[batch.Step("start-proof")] is { } set
                    && load.Start - set.End - window.Late is var over && over > Grain)
                    found.Add(new(DayTrouble.Over, i, load.Step.Id, i, load.Step.Id, over));
            }
        foreach (var (a, b) in Pairs([.. ovens.OrderBy(o => o.Span.From)]))
        {
            if (a.Oven.Id != b.Oven.Id || a.Batch.Bread.Heat == b.Batch.Bread.Heat) continue;
            var short_ = a.Span.To + a.Oven.Change(a.Batch.Bread.Heat, b.Batch.Bread.Heat) - b.Span.From;
            if (short_ > Grain) found.Add(new(DayTrouble.OvenHeat, a.Span.Bake, a.Span.Slot.Step.Id, b.Span.Bake, b.Span.Slot.Step.Id, short_));
        }
        foreach (var o in ovens)
        {
            var with = ovens.Where(x => x.Oven.Id == o.Oven.Id && x.Batch.Bread.Heat == o.Batch.Bread.Heat && x.Span.From <= o.Span.From && x.Span.To > o.Span.From + Grain).ToList();
            if (with.Sum(x => x.Batch.Bread.Racks) > o.Oven.Racks && with.Count > 1 && with[0] is var first)
                found.Add(new(DayTrouble.Racks, o.Span.Bake, o.Span.Slot.Step.Id, first.Span.Bake, first.Span.Slot.Step.Id, o.Span.To - o.Span.From));
        }
        foreach (var r in rooms.Where(r => r.Place.Trays is not null))
        {
            var with = rooms.Where(x => x.Place.Id == r.Place.Id && x.Span.From <= r.Span.From && x.Span.To > r.Span.From + Grain).ToList();
            if (with.Sum(x => x.Trays) > r.Place.Trays && with.Count > 1 && with.First(x => x.Span != r.Span) is var first)
                found.Add(new(DayTrouble.Place, r.Span.Bake, r.Span.Slot.Step.Id, first.Span.Bake, first.Span.Slot.Step.Id, r.Span.To - r.Span.From));
        }
        var heats = slots.Where(s => s.Slot.Step is { Kind: StepKind.Preheat } && s.Slot.Step.Length > TimeSpan.Zero).ToList();
        foreach (var heat in heats)
            foreach (var o in ovens.Where(o => o.Span.Bake != heat.Bake && heat.Slot.Step.Occupies.Contains(new(ResourceKind.Oven, o.Oven.Id)) && o.Batch.Bread.Heat != heat.Slot.Step.About?.Heat))
                Overlap(DayTrouble.OvenHeat, heat, o.Span);
        foreach (var (oven, proof) in proofs)
        {
            foreach (var heat in heats.Where(h => h.Slot.Step.Occupies.Contains(new(ResourceKind.Oven, oven)))) Overlap(DayTrouble.DoughInOven, proof, heat);
            foreach (var o in ovens.Where(o => o.Oven.Id == oven)) Overlap(DayTrouble.DoughInOven, proof, o.Span);
        }
        foreach (var (a, b) in Pairs(proofs)) if (a.Oven == b.Oven) Overlap(DayTrouble.DoughInOven, a.Span, b.Span);

        for (var i = 0; i < bakes.Length; i++)
            foreach (var (step, at) in bakes[i].SoFar.Arranged.Pins)
                if (tables[i][step] is { IsOpen: true } slot && (slot.Start - at).Duration() is var off && off > Grain && at > now) found.Add(new(DayTrouble.Pinned, i, step, i, step, off));
        for (var i = 0; i < bakes.Length; i++)
        {
            if (tables[i].Ready - bakes[i].Spec.ReadyBy is { } late && late > Grain) found.Add(new(DayTrouble.Late, i, "review", i, "review", late));
            if (bakes[i].Spec.ReadyBy - tables[i].Ready - bakes[i].Spec.Wish.Fresh is { } stale && stale > Grain) found.Add(new(DayTrouble.Stale, i, "review", i, "review", stale));
        }
        return [.. found.OrderBy(f => f.Trouble)];

        void Overlap(DayTrouble trouble, Span a, Span b)
        {
            if (Shared(a.From, a.To, b.From, b.To) is var by && by > Grain) found.Add(new(trouble, a.Bake, a.Slot.Step.Id, b.Bake, b.Slot.Step.Id, by));
        }
    }

    private static TimeSpan Shared(DateTimeOffset a, DateTimeOffset b, DateTimeOffset c, DateTimeOffset d) => (b < d ? b : d) - (a > c ? a : c);

    private static IEnumerable<(T, T)> Pairs<T>(IReadOnlyList<T> of)
    {
        for (var i = 0; i < of.Count; i++)
            for (var k = i + 1; k < of.Count; k++) yield return (of[i], of[k]);
    }
}
