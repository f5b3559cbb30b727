// The chain of one bake: what each rule makes of it, put between what the others make.
using System.Collections.Immutable;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>Puts the chain of a bake together.</summary>
public static class Chain
{
    /// <summary>The chain of a bake.</summary>
    /// <param name="spec">What was decided.</param>
    /// <param name="soFar">What has happened.</param>
    public static ChainOfSteps Of(BakeSpec spec, SoFar soFar) => Of(spec, soFar, rule => rule.Since);

    internal static ChainOfSteps Of(BakeSpec spec, SoFar soFar, Func<StepRule, int> since)
    {
        var bake = new BakeSoFar(spec, soFar);
        var rules = soFar.RulesOf(spec);
        bool Known(StepRule rule) => since(rule) <= rules;

        var assembly = new Assembly();
        foreach (var rule in StepRules.Dough.Where(r => Known(r) && !(r.MakesDough && spec.From is not null)))
            assembly.Add(rule, rule.StepsOf(bake));
        foreach (var forecast in bake.Forecasts)
        {
            assembly.Of(forecast.Batch);
            foreach (var rule in StepRules.Shaping.Where(Known))
                assembly.Add(rule, rule.StepsOf(bake, forecast));
        }
        foreach (var forecast in bake.Forecasts)
        {
            assembly.GoOn(forecast.Batch, Milestone.SetToProof);
            foreach (var rule in StepRules.Oven.Where(Known))
                assembly.Add(rule, rule.StepsOf(bake, forecast));
        }
        assembly.Join();
        foreach (var rule in StepRules.Beside.Concat(StepRules.Table).Where(Known))
            assembly.Add(rule, rule.StepsOf(bake));
        return new(assembly.Made(), bake);
    }

    // The steps as they are added. On the dough's own way each waits for the one before.
    private sealed class Assembly
    {
        private readonly List<(Step Step, Draft Draft)> parts = [];
        private readonly Dictionary<Milestone, List<Step>> at = [];
        private StepId? before;
        private int? batch;

        /// <summary>The steps from here on belong to this batch.</summary>
        public void Of(Batch of) => batch = of.Index;

        /// <summary>The batch goes its own way from this point.</summary>
        public void GoOn(Batch of, Milestone from)
        {
            batch = of.Index;
            before = Find(new(from, of.Index), of.Index)?.Id;
        }

        /// <summary>All batches have come together.</summary>
        public void Join() => (batch, before) = (null, null);

        public void Add(StepRule rule, IEnumerable<Draft> drafts)
        {
            foreach (var draft in drafts)
            {
                var id = rule.Id(draft.Named ?? batch ?? 0, draft.Number);
                ImmutableArray<Link> own = rule.Holds is not null && before is { } way ? [new(way, Edge.End)] : [];
                var hands = rule.Ending is null ? null : Resource.Hands;
                var step = new Step(
                    id,
                    draft.Length,
                    own,
                    rule.Ending,
                    rule.Holds,
                    Busy(draft.Occupies, hands),
                    Calls: draft.Calls,
                    UsefulFor: draft.UsefulFor,
                    About: draft.About
                )
                {
                    Batch = batch,
                    Least = draft.Least,
                    Marks = draft.Marks ?? rule.Marks,
                };
                parts.Add((step, draft));
                foreach (var milestone in step.Marks)
                {
                    if (!at.TryGetValue(milestone, out var there))
                        at[milestone] = there = [];
                    there.Add(step);
                }
                if (rule.Holds is not null)
                    before = id;
            }
        }

        /// <summary>All of them, with what they wait for: only now every step is there that one may be counted from. Each comes
        /// after what it waits for; else in the order they were added.</summary>
        public ImmutableArray<Step> Made()
        {
            var linked = parts.Select(p => Linked(p.Step, p.Draft)).ToList();
            var byId = linked.ToDictionary(s => s.Id);
            var (ordered, seen) = (ImmutableArray.CreateBuilder<Step>(linked.Count), new HashSet<StepId>());
            foreach (var step in linked)
                PutInOrder(step);
            return ordered.ToImmutable();

            void PutInOrder(Step step)
            {
                if (!seen.Add(step.Id))
                    return;
                foreach (var link in step.After)
                    PutInOrder(byId[link.Step]);
                ordered.Add(step);
            }
        }

        private Step Linked(Step step, Draft draft) =>
            step with
            {
                After = [.. step.After, .. draft.Waits.Select(w => Link(w, step.Batch)).OfType<Link>()],
                InTimeFor = Find(draft.InTimeFor, step.Batch)?.Id,
                EndedBy = Find(draft.EndedBy, step.Batch)?.Id,
                PointlessAfter = Find(draft.PointlessAfter, step.Batch)?.Id,
            };

        private Link? Link(Wait wait, int? own) => Find(wait.For, own) is { } step ? new(step.Id, wait.Edge, wait.Lag) : null;

        // The batch's own, or what is done for the whole dough; the first of several.
        private Step? Find(Target? target, int? own)
        {
            if (target is null || !at.TryGetValue(target.Milestone, out var there))
                return null;
            var wanted = target.Batch ?? own;
            return there.Find(s => s.Batch == wanted && IsNumber(s, target))
                ?? (target.Batch is null ? there.Find(s => IsNumber(s, target)) : null);
        }

        private static bool IsNumber(Step step, Target target) => target.Number == 0 || step.Id.Number == target.Number;

        private static ImmutableArray<Resource> Busy(params ReadOnlySpan<Resource?> resources)
        {
            var busy = ImmutableArray.CreateBuilder<Resource>();
            foreach (var resource in resources)
                if (resource is not null && !busy.Contains(resource))
                    busy.Add(resource);
            return busy.ToImmutable();
        }
    }
}
