using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Server.Demo;

/// <summary>Plays a bake through its own plan as a baker would: a little late, a little uneven, always the same for the same
/// seed.</summary>
/// <param name="seed">Any number.</param>
/// <param name="pace">How fast this dough really rises; 1 is as the model says.</param>
/// <param name="byEye">Pieces cut by eye come out less even.</param>
/// <param name="firstFeel">What the first dough check feels like.</param>
internal sealed class DemoPlayer(int seed, double pace, bool byEye, DoughFeel firstFeel = DoughFeel.Right)
{
    private uint state = (uint)seed * 2654435761u + 1;

    /// <summary>The log of a bake from its planned start until this time, or until it is reviewed.</summary>
    public BakeLog Play(BakePlan plan, DateTimeOffset until, int stars, string note)
    {
        var (log, now) = (new BakeLog([]), plan.Start);
        while (BakeState.Of(plan, log, now) is { Now: { } slot } bake)
        {
            var due = slot.Start > now ? slot.Start : now;
            if (due > now)
            {
                now = due;
                continue;
            }
            now += slot.Step.Length * (.8 + .5 * Next());
            if (now > until)
                break;
            foreach (var told in Does(bake, slot.Step, now, stars, note))
                log = new(log.Entries.Add(new(log.Position + 1, told with { At = now })));
        }
        return log;
    }

    private IEnumerable<BakeEvent> Does(BakeState bake, Step step, DateTimeOffset now, int stars, string note)
    {
        switch (step.Ending)
        {
            // A little of the dough stays in the pan.
            case Ending.Mass when step.Is(Milestone.Weighed):
                return [new DoughWeighed(step.Id, Mass.FromGrams(step.About!.Mass!.Value.WholeGrams - (int)(6 * Next())))];
            case Ending.Parts:
                return Pieces(bake);
            case Ending.Feel:
                // The first check shows how the flour drank; a dose puts it right.
                var feel = bake.SoFar.Checks.IsEmpty ? firstFeel : DoughFeel.Right;
                var dose = bake.DoseFor(feel);
                return
                [
                    new DoughChecked(step.Id, feel, Mass.FromGrams(dose.Water.WholeGrams), Mass.FromGrams(dose.Flour.WholeGrams)),
                ];
            // The whole dough in its bowl rises as planned.
            case Ending.Look when step.Batch is not null:
                var of = bake.Chain.Of(step);
                var rise = of.Proof.Curve.At(now - bake.SoFar.When(Milestone.SetToProof, of.Batch.Index)!.Value).Rise * pace;
                var rim = of.Bread.RimFor(of.Piece);
                var sizes = Looks.Answers(rim).Where(s => s != Seen.GoesIn && Looks.PokeOf(s) is null);
                return [new ProofLooked(step.Id, sizes.Last(s => Sight.Of(s, 1, rim)!.From <= rise))];
            case Ending.Review:
                return [new Reviewed(step.Id, stars, note)];
            default:
                return [step.Rule.Usual(step)];
        }
    }

    private IEnumerable<BakeEvent> Pieces(BakeState bake)
    {
        var (weighed, spec) = (new Dictionary<int, int>(), bake.Plan.Spec);
        while (spec.Station(bake.SoFar.DoughOf(spec), weighed) is { Next: { } next } station)
        {
            var off = (int)Math.Round((Next() + Next() - 1) * next.Target * (byEye ? .16 : .025));
            weighed[next.Number] = station.Pieces.Count(p => p.Weighed is null) == 1 ? station.Left : next.Target + off;
        }
        return weighed.OrderBy(w => w.Key).Select(w => new PartWeighed(w.Key, spec.Step * w.Value));
    }

    // A small congruential generator: the same history on every machine.
    private double Next()
    {
        state = state * 1664525u + 1013904223u;
        return state / (double)uint.MaxValue;
    }
}
