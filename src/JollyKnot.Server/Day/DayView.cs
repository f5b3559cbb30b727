using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Days;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Day;

/// <summary>Something wrong with the day.</summary>
/// <param name="Impossible">It cannot be done so.</param>
/// <param name="At">When.</param>
/// <param name="Text">What.</param>
public sealed record FindingLine(DayTrouble Trouble, bool Impossible, DateTimeOffset At, string Text);

/// <summary>A change the day proposes.</summary>
public sealed record MoveLine(Guid Bake, string Title, string Text, DateTimeOffset From, DateTimeOffset To);

/// <summary>A change the baker makes to the day.</summary>
/// <param name="Bake">To which bake.</param>
/// <param name="Id">A step, machine, oven or place.</param>
public sealed record ChangeLine(
    Guid Bake,
    ChangeKind Kind,
    string? Id = null,
    DateTimeOffset? At = null,
    Temperature? Heat = null,
    TimeSpan? Length = null
);

/// <summary>A day in figures, to be set beside another.</summary>
/// <param name="Late">After the times wanted, all bakes together.</param>
/// <param name="Waits">Bread that is cool before it is wanted, all together.</param>
/// <param name="Begins">The first thing to do.</param>
/// <param name="Ends">The last bread.</param>
public sealed record DayFigures(TimeSpan Late, TimeSpan Waits, DateTimeOffset Begins, DateTimeOffset Ends);

/// <summary>A day laid out anew.</summary>
/// <param name="Moves">What would move by more than a few minutes.</param>
/// <param name="Left">What would still be wrong.</param>
/// <param name="Key">The trouble it is for: who declines it is not asked again for the same.</param>
/// <param name="Proven">No day is better.</param>
/// <param name="Why">Which bread goes before which, in a few words; null when the order stays.</param>
/// <param name="Otherwise">What is wrong as it is and would not be then; null when nothing is.</param>
public sealed record Proposal(
    ImmutableArray<MoveLine> Moves,
    ImmutableArray<FindingLine> Left,
    string Key,
    bool Proven,
    DayFigures Was,
    DayFigures Then,
    string? Why,
    string? Otherwise,
    Picture? Picture
);

/// <summary>How a bake that is being laid out goes with the rest.</summary>
/// <param name="Clashes">What would be in its way as it is.</param>
/// <param name="Start">When it would begin with the whole day laid out around it.</param>
/// <param name="Ready">When it would be ready then.</param>
/// <param name="Left">What would still be wrong.</param>
/// <param name="Moves">What of the others would move: of each its last.</param>
public sealed record BesideView(
    ImmutableArray<FindingLine> Clashes,
    DateTimeOffset Start,
    DateTimeOffset Ready,
    ImmutableArray<FindingLine> Left,
    ImmutableArray<MoveLine> Moves
);

/// <summary>One change after which the day can be done.</summary>
public sealed record FixLine(ChangeLine Change, string Text);

/// <summary>Something to choose from.</summary>
public sealed record Choosable(string Id, string Name);

/// <summary>How a bake that has not begun could be made.</summary>
/// <param name="Heat">What its bread bakes at; null on the griddle.</param>
/// <param name="OvenDial">How that is set.</param>
/// <param name="Bowl">It rises in a bowl for so long, out of the machine.</param>
/// <param name="UsualBowl">How long it usually does.</param>
/// <param name="Fridge">So long in the fridge.</param>
/// <param name="Fresh">Cool no longer than so before it is wanted; null when it does not matter.</param>
/// <param name="UsualFresh">How fresh it could be wanted.</param>
/// <param name="Trays">More than one, so that one could be left out.</param>
public sealed record MakingView(
    ImmutableArray<Choosable> Machines,
    string Machine,
    ImmutableArray<Choosable> Ovens,
    string Oven,
    ImmutableArray<Choosable> Places,
    string Place,
    Temperature? Heat,
    OvenView OvenDial,
    TimeSpan? Bowl,
    TimeSpan UsualBowl,
    TimeSpan? Fridge,
    TimeSpan? Fresh,
    ImmutableArray<TimeSpan> UsualFresh,
    bool Trays
)
{
    internal static MakingView Of(BakeSpec spec, Kitchen kitchen)
    {
        var inOven = spec.Batches.FirstOrDefault(b => !b.Bread.OnGriddle);
        return new(
            Machines: [.. kitchen.Mixers.Where(m => m.Refuses(spec.Formula) is null).Select(m => new Choosable(m.Id, m.Name))],
            Machine: spec.Machine.Id,
            Ovens: [.. kitchen.Ovens.Select(o => new Choosable(o.Id, o.Name))],
            Oven: spec.Oven.Id,
            Places: [.. kitchen.AllPlaces.Select(p => new Choosable(p.Id, p.Name))],
            Place: spec.Place.Id,
            Heat: inOven?.Bread.Heat,
            OvenDial: OvenView.Of(spec.Oven, kitchen.Units ?? HouseholdUnits.Plain),
            Bowl: spec.Handling.After is { Early: true } bowl ? bowl.Bulk : null,
            UsualBowl: AfterCycle.Usual[^1].Bulk,
            Fridge: spec.Handling.Cold,
            Fresh: spec.Wish.Fresh,
            UsualFresh: Wish.UsualFresh,
            Trays: spec.Batches.Length > 1 || spec.Batches.Any(b => b.Bread.Racks > 1)
        );
    }
}

/// <summary>A step of the chain that decides.</summary>
/// <param name="Held">It begins when the rest of the day lets it.</param>
public sealed record WhyLine(DateTimeOffset At, TimeSpan Length, string Text, bool Held);

/// <summary>A bake of the day.</summary>
public sealed record DayBakeView(
    Guid Id,
    string Title,
    string What,
    DateTimeOffset Start,
    DateTimeOffset Ready,
    DateTimeOffset? Wanted,
    BakeStatus Status,
    string Allergens,
    ImmutableArray<WhyLine> Why,
    MakingView? Making
);

/// <summary>What the hands do.</summary>
/// <param name="Pinned">The baker wants it then.</param>
/// <param name="CanPin">It can be wanted at a time of its own.</param>
/// <param name="Quiet">Nobody is there then, nor called for it.</param>
/// <param name="Slack">It could be done so much later and nothing else would move; null when it is a matter of seconds.</param>
public sealed record HandsLine(
    DateTimeOffset At,
    TimeSpan Length,
    Guid Bake,
    string Title,
    StepId Step,
    string Text,
    string Detail,
    Figure? Figure,
    bool Pinned,
    bool CanPin,
    bool Quiet,
    TimeSpan? Slack
);

/// <summary>Bread, or dough that rises, in an oven.</summary>
/// <param name="Oven">Which.</param>
/// <param name="From">It goes in.</param>
/// <param name="To">It is out.</param>
/// <param name="Text">Whose.</param>
/// <param name="Heat">How hot; null where it is only warm.</param>
/// <param name="HeatsFrom">It heats for it from then; null where it is hot, or heats for nothing.</param>
public sealed record OvenLine(
    string Oven,
    DateTimeOffset From,
    DateTimeOffset To,
    string Text,
    string? Heat,
    DateTimeOffset? HeatsFrom
);

/// <summary>The day in full.</summary>
/// <param name="Looking">A better day, or ways out of this one, are still looked for.</param>
/// <param name="CanUndo">There is a day to go back to.</param>
public sealed record DayView(
    ImmutableArray<DayBakeView> Bakes,
    ImmutableArray<FindingLine> Findings,
    Proposal? Proposal,
    ImmutableArray<FixLine> Fixes,
    ImmutableArray<HandsLine> Hands,
    ImmutableArray<OvenLine> Ovens,
    ImmutableArray<string> Cautions,
    bool Looking,
    bool CanUndo,
    Picture? Picture
);
