// The log of a bake, and what it amounts to.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Bakes;

/// <summary>One entry of a log.</summary>
/// <param name="Position">1 for the first; no gaps.</param>
/// <param name="Event">What happened; its time is set.</param>
public sealed record Entry(int Position, BakeEvent Event)
{
    /// <summary>When it happened.</summary>
    public DateTimeOffset At => Event.At ?? DateTimeOffset.MinValue;
}

/// <summary>A log: everything told about a bake, in order.</summary>
/// <param name="Entries">All entries, undone ones included.</param>
public sealed record BakeLog(ImmutableArray<Entry> Entries)
{
    /// <summary>Position of the last entry; 0 of an empty log.</summary>
    public int Position => Entries.IsEmpty ? 0 : Entries[^1].Position;

    /// <summary>The entries that stand: an entry counts unless one that itself counts takes it back.</summary>
    public ImmutableArray<Entry> Standing()
    {
        var undone = new HashSet<int>();
        var standing = new List<Entry>(Entries.Length);
        foreach (var entry in Entries.Reverse())
        {
            if (undone.Contains(entry.Position)) continue;
            if (entry.Event is Undone undo) undone.Add(undo.Position);
            standing.Add(entry);
        }
        standing.Reverse();
        return [.. standing];
    }

    /// <summary>What has happened, as far as the plan for the rest depends on it.</summary>
    /// <param name="spec">What was decided.</param>
    /// <param name="now">The time now.</param>
    public SoFar SoFar(BakeSpec spec, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(spec);
        var soFar = Steps.SoFar.Nothing(now);
        foreach (var entry in Standing())
        {
            var at = entry.At;
            soFar = entry.Event switch
            {
                IngredientWeighed e => soFar with { WeighedIn = soFar.WeighedIn.SetItem(e.Step, e.Mass) },
                DoughChecked e => soFar with { Checks = soFar.Checks.Add(new(e.Feel, new Dose(e.Water, e.Flour))) },
                DoughWeighed e => soFar with { Dough = e.Mass },
                PartWeighed e when e.Number <= spec.Parts => soFar with { Parts = soFar.Parts.SetItem(e.Number, Dividing.Station.UnitsOf(e.Mass, spec.Step)) },
                ProofLooked e => soFar with { Looks = soFar.Looks.Add((e.Step, at, e.Seen)) },
                ProbeRead e => soFar with { Probes = soFar.Probes.Add((e.Load, at, e.Core)) },
                PlaceMeasured e => soFar with { PlaceReadings = soFar.PlaceReadings.SetItem(e.Proof, e.Heat) },
                RulesTaken e => soFar with { RulesTaken = e.Rules },
                Arranged e => soFar with { Arranged = e.ToArrangement() },
                DoughTakenOut { Bulk: { } bulk } => soFar with { Bulk = bulk },
                _ => soFar,
            };
            if (entry.Event is StepEvent step)
                soFar = soFar with { Steps = soFar.Steps.SetItem(step.Step, new(at, step is StepSkipped)) };
            else if (entry.Event is PartWeighed && soFar.Parts.Count == spec.Parts && !soFar.Steps.ContainsKey("divide"))
                soFar = soFar with { Steps = soFar.Steps.SetItem("divide", new(at, false)) };
        }
        return soFar;
    }
}
