// Out of the machine and apart: taken out, left to rise, weighed, divided.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Steps;

/// <summary>Look at dough in a bowl, until it has risen.</summary>
/// <param name="name">Its name.</param>
/// <param name="seen">The point of the job it is.</param>
internal abstract class BowlLook(string name, Milestone seen) : DoughRule(name)
{
    public override int Since => WarmOn.FromRules;

    public override RecipeStage? ToldAt => RecipeStage.Rising;

    public override Ending? Ending => Steps.Ending.Look;

    public override bool IsGlance => true;

    public override ImmutableArray<Milestone> Marks { get; } = [seen];

    public override Problem? Refuses(StepEvent told) => told is ProofLooked ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new ProofLooked(step.Id, Seen.Doubled);
}

/// <summary>Look at the first rise of dough that hands kneaded, until it has risen: it is asked for, not timed.</summary>
internal sealed class LookAtFirstRise() : BowlLook("rise-look-#", Milestone.RiseSeen)
{
    public override bool MakesDough => true;

    /// <summary>It rises in a bowl after hands kneaded it.</summary>
    public static bool IsAsked(BakeSoFar bake)
    {
        return bake.Spec.RisesInBowl
            && bake.Spec.Handling.After is not { Early: true }
            && bake.SoFar.RulesOf(bake.Spec) >= WarmOn.FromRules
            && !BowlRise.OnlyRests(bake);
    }

    /// <summary>From the end of kneading until it is turned out: as planned, or as it was seen to need.</summary>
    public static TimeSpan Rises(BakeSoFar bake) => BowlRise.Length(bake, SeenAt(bake), Planned(bake));

    private static TimeSpan Planned(BakeSoFar bake) => bake.Spec.Machine.CycleLength - bake.Spec.Machine.KneadEnd;

    private static ImmutableArray<LookTaken> SeenAt(BakeSoFar bake) =>
        bake.SoFar.When(Milestone.Started) is { } began
            ? BowlRise.Looks(bake, Milestone.RiseSeen, began + bake.Spec.Machine.KneadEnd)
            : [];

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (!IsAsked(bake))
            yield break;
        var kneaded = bake.Spec.Machine.KneadEnd;
        Wait Rising(TimeSpan lag) => new(new(Milestone.Cycle), Edge.Start, kneaded + lag);
        foreach (var look in BowlRise.LooksOf(bake, SeenAt(bake), Planned(bake), Rising, Milestone.OutOfMachine))
            yield return look;
    }
}

/// <summary>Fold the dough in its bowl: once or more, with a gap between; left out where there is no time for it.</summary>
internal sealed class Fold() : DoughRule("fold-#")
{
    private static readonly TimeSpan Takes = TimeSpan.FromMinutes(2);

    public override int Since => RuleBook.Finishing;

    public override RecipeStage? ToldAt => RecipeStage.Rising;

    public override Ending? Ending => Steps.Ending.Done;

    public override bool IsGlance => true;

    public override bool WakesNobody => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (bake.Spec.Handling.Folds is not { } folds)
            yield break;
        var machine = bake.Spec.Machine;
        for (var number = 1; number <= folds.Count; number++)
            yield return new(Takes)
            {
                Number = number,
                Waits =
                [
                    machine.ByHand
                        ? InFirstBowl(machine, folds.Gap * number)
                        : new(new(Milestone.InBowl), Edge.Start, folds.Gap * number),
                ],
                PointlessAfter = new(machine.ByHand ? Milestone.OutOfMachine : Milestone.Weighed),
                UsefulFor = folds.Gap,
                Calls = true,
                About = new(Count: number, Length: folds.Gap),
            };
    }

    private static Wait InFirstBowl(Machines.Machine machine, TimeSpan after) =>
        new(new(Milestone.Cycle), Edge.Start, machine.KneadEnd + after);
}

/// <summary>Tip the dough out.</summary>
internal sealed class TakeOut() : DoughRule("take-out")
{
    public override bool MakesDough => true;

    public override RecipeStage? ToldAt => RecipeStage.Rising;

    public override Ending? Ending => Steps.Ending.TakeOut;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.OutOfMachine];

    // The machine keeps it warm for a while. Bakers' usage.
    public override TimeSpan? Patience => Minutes(30);

    public override bool BeginsAnew(Step step) => true;

    public override bool IsTurningPoint => true;

    public override Panel Panel => Panel.FirstRise;

    public override Problem? Refuses(StepEvent told) => told is DoughTakenOut ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new DoughTakenOut(step.Id, DoughFeel.Right);

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake)
    {
        if (bake.Spec.RunsOn)
            yield return Caution.RunsOn;
        if (RiseBy(bake) is { IsOver: true })
            yield return Caution.OverRisen;
    }

    /// <summary>It is out, and was too far gone: it is said where the dough is next in hand.</summary>
    public static IEnumerable<Caution> WasOver(BakeSoFar bake) => bake.SoFar.Risen == Seen.Stays ? [Caution.OverRisen] : [];

    // How far it has risen by now; null while it is not left in the pan.
    private static FirstRise? RiseBy(BakeSoFar bake)
    {
        var (spec, soFar) = (bake.Spec, bake.SoFar);
        if (soFar.When(Milestone.Started) + (spec.Handling.Timer ?? TimeSpan.Zero) is not { } began)
            return null;
        var since = (soFar.When(Milestone.OutOfMachine) ?? soFar.Now) - began;
        return since <= spec.Machine.CycleLength ? null : FirstRise.Of(spec.Machine, spec.Formula, bake.Dough, spec.Room, since);
    }

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var machine = bake.Spec.Machine;
        yield return new(Minutes(3))
        {
            // What is looked at calls for that.
            Calls = !LookAtFirstRise.IsAsked(bake),
            About = new(machine.Name, Count: machine.Paddles, Length: bake.Spec.Handling.After?.Bulk),
        };
    }
}

/// <summary>Take the lump out of the fridge: it is divided, where it becomes several, and shaped cold.</summary>
internal sealed class FetchLump() : DoughRule("fetch-lump")
{
    public override int Since => RuleBook.Finishing;

    public override Ending? Ending => Steps.Ending.Done;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.FirstIn, Milestone.OutOfMachine];

    public override bool BeginsAnew(Step step) => true;

    public override bool IsTurningPoint => true;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (bake.Spec.From is not { Shaped: null } lump)
            yield break;
        yield return new(Minutes(2))
        {
            Calls = true,
            About = new(bake.Spec.Dough.Name, lump.Mass, Count: Divide.IsNeeded(bake) ? bake.Spec.Parts : 1),
        };
    }
}

/// <summary>It rises on in a bowl.</summary>
internal sealed class Bulk() : DoughRule("bulk")
{
    public override RecipeStage? ToldAt => RecipeStage.Rising;

    public override Lane? Holds => Lane.Proof;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.InBowl];

    /// <summary>So long as told, as planned, or as it was seen to need; zero for not at all.</summary>
    public static TimeSpan Of(BakeSoFar bake)
    {
        var planned = Planned(bake);
        return planned > TimeSpan.Zero ? BowlRise.Length(bake, SeenAt(bake), planned) : planned;
    }

    /// <summary>So long as told or as planned, whatever was seen.</summary>
    public static TimeSpan Planned(BakeSoFar bake) => bake.SoFar.Bulk ?? bake.Spec.Handling.After?.Bulk ?? TimeSpan.Zero;

    /// <summary>How it was looked at, in order, from when it came into the bowl.</summary>
    public static ImmutableArray<LookTaken> SeenAt(BakeSoFar bake)
    {
        if (bake.SoFar.When(Milestone.OutOfMachine) is not { } began)
            return [];
        return BowlRise.Looks(bake, Milestone.BowlSeen, began);
    }

    /// <summary>Where the bowl stands.</summary>
    public static Place PlaceOf(BakeSoFar bake) => bake.Spec.Handling.Bowl ?? Places.Counter;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var length = Of(bake);
        if (length <= TimeSpan.Zero)
            yield break;
        var place = PlaceOf(bake);
        yield return new(length)
        {
            EndedBy = new(Milestone.Weighed),
            Occupies = place.InOven ? new(ResourceKind.Oven, bake.Spec.Oven.Id) : null,
            About = new(place.Name),
        };
    }
}

/// <summary>Dough that rises in its bowl until it has doubled.</summary>
public static class BowlRise
{
    // Rise wanted before it is divided, where nobody says: doubled. Bakers' usage.
    private const double Doubled = 1;

    /// <summary>By how much it is to have grown before it is divided; 1 is doubled.</summary>
    public static double Wanted(BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(spec);
        return spec.Handling.Grown ?? Doubled;
    }

    /// <summary>Whether dough seen like this has risen enough to be divided.</summary>
    public static bool Has(Seen seen, BakeSpec spec) => Sight.CanGoIn(seen, Wanted(spec));

    /// <summary>How it was looked at, in order, counted from when it began to rise.</summary>
    internal static ImmutableArray<LookTaken> Looks(BakeSoFar bake, Milestone seen, DateTimeOffset began) =>
        [.. bake.SoFar.BowlLooks(seen).Select(l => new LookTaken(l.At - began, l.Seen))];

    /// <summary>How long it is in its bowl altogether: as planned, until it was seen to have risen, or as long as it is then
    /// believed to need.</summary>
    internal static TimeSpan Length(BakeSoFar bake, ImmutableArray<LookTaken> taken, TimeSpan planned)
    {
        if (taken is not [.., var last])
            return planned;
        if (Has(last.Seen, bake.Spec))
            return last.After;
        var proof = Reckoned(bake, taken);
        return proof.Window is { } window && window.Best > proof.NextLook ? window.Best : proof.NextLook;
    }

    /// <summary>When to look again, from when it began to rise; null once it has risen.</summary>
    internal static TimeSpan? Next(BakeSoFar bake, ImmutableArray<LookTaken> taken, TimeSpan planned)
    {
        if (taken is not [.., var last])
            return planned;
        return Has(last.Seen, bake.Spec) ? null : Reckoned(bake, taken).NextLook;
    }

    /// <summary>A look for each that was taken, and the next where there is one.</summary>
    internal static IEnumerable<Draft> LooksOf(
        BakeSoFar bake,
        ImmutableArray<LookTaken> taken,
        TimeSpan planned,
        Func<TimeSpan, Wait> wait,
        Milestone pointlessAfter
    )
    {
        var next = Next(bake, taken, planned);
        for (var number = 1; number <= taken.Length + 1; number++)
        {
            var isNext = number > taken.Length;
            if (isNext && next is null)
                yield break;
            yield return new(TimeSpan.FromMinutes(1))
            {
                Number = number,
                Waits = [wait(isNext ? next!.Value : TimeSpan.Zero)],
                PointlessAfter = new(pointlessAfter),
                Calls = true,
                About = new(Bulk.PlaceOf(bake).Name, Count: number),
            };
        }
    }

    /// <summary>Nothing lifts it here.</summary>
    internal static bool OnlyRests(BakeSoFar bake) => Conditions(bake).OnlyRests;

    // The dough as it came out, pressed down, in its bowl.
    private static Proof Reckoned(BakeSoFar bake, ImmutableArray<LookTaken> taken)
    {
        var place = Bulk.PlaceOf(bake) with { InOven = false };
        return Proof.Predict(new(Conditions(bake), place, Wanted(bake.Spec)) { Looks = taken });
    }

    private static RiseConditions Conditions(BakeSoFar bake) => RiseConditions.Of(bake.Spec.Formula, bake.Dough, bake.Spec.Room);
}

/// <summary>Look at the dough in its bowl, until it has risen.</summary>
internal sealed class LookAtBowl() : BowlLook("bowl-look-#", Milestone.BowlSeen)
{
    /// <summary>It is looked at; what only rests is not waited for to grow.</summary>
    public static bool IsAsked(BakeSoFar bake)
    {
        var planned = new AfterCycle(false, Bulk.Planned(bake));
        var rises = planned.Bulk > TimeSpan.Zero && !planned.IsRest && !BowlRise.OnlyRests(bake);
        return rises && bake.SoFar.RulesOf(bake.Spec) >= WarmOn.FromRules;
    }

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (!IsAsked(bake))
            yield break;
        Wait InBowl(TimeSpan lag) => new(new(Milestone.InBowl), Edge.Start, lag);
        foreach (var look in BowlRise.LooksOf(bake, Bulk.SeenAt(bake), Bulk.Planned(bake), InBowl, Milestone.Weighed))
            yield return look;
    }
}

/// <summary>Weigh the whole dough.</summary>
internal sealed class WeighDough() : DoughRule("weigh-dough")
{
    public override Ending? Ending => Steps.Ending.Mass;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Weighed];

    // Bakers' usage.
    public override TimeSpan? Patience => Minutes(20);

    public override Problem? Refuses(StepEvent told) => told is DoughWeighed ? told.Wrong() : base.Refuses(told);

    public override StepEvent Usual(Step step) => new DoughWeighed(step.Id, step.About!.Mass!.Value);

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => TakeOut.WasOver(bake);

    /// <summary>There is a scale to weigh it on.</summary>
    public static bool IsNeeded(BakeSoFar bake) => !bake.Spec.NoScale && !bake.Spec.IsShaped;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (!IsNeeded(bake))
            yield break;
        yield return new(Minutes(2))
        {
            Calls = Divide.EndsBowl(bake),
            Marks = Divide.IsNeeded(bake) ? null : [Milestone.Weighed, Milestone.Divided],
            About = new(Mass: bake.Dough),
        };
    }
}

/// <summary>Divide by weight.</summary>
internal sealed class Divide() : DoughRule("divide")
{
    public override RecipeStage? ToldAt => RecipeStage.Shaping;

    public override Ending? Ending => Steps.Ending.Parts;

    public override Lane? Holds => Lane.Hands;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.Divided];

    public override bool IsGrip => true;

    public override Panel Panel => Panel.Station;

    public override IEnumerable<Caution> CautionsAt(Step step, BakeSoFar bake) => [.. TakeOut.WasOver(bake), Caution.RawDough];

    /// <summary>What is over before hands begin to shape: it is divided, weighed, or only out.</summary>
    public static Milestone LastBeforeShaping(BakeSoFar bake) =>
        IsNeeded(bake) || WeighDough.IsNeeded(bake) ? Milestone.Divided : Milestone.OutOfMachine;

    /// <summary>What comes next calls, where nothing was looked at that did.</summary>
    public static bool EndsBowl(BakeSoFar bake) => Bulk.Of(bake) > TimeSpan.Zero && !LookAtBowl.IsAsked(bake);

    /// <summary>One piece is not divided, and what is cut from a sheet is rolled whole.</summary>
    public static bool IsNeeded(BakeSoFar bake) =>
        !bake.Spec.IsShaped
        && (
            bake.Rules < RuleBook.Finishing || (bake.Spec.Parts > 1 && bake.Spec.Cuts.Any(c => c.Bread?.Family.Form != Form.Ring))
        );

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        if (!IsNeeded(bake))
            yield break;
        var length = bake
            .Spec.Cuts.Select(c =>
                c.Bread is { Family: var family } ? family.HandsEach * c.Pieces * Family.DividingPart : Minutes(1)
            )
            .Aggregate(TimeSpan.Zero, (sum, t) => sum + t);
        var isFirst = !WeighDough.IsNeeded(bake);
        yield return new(length)
        {
            Calls = isFirst && EndsBowl(bake),
            Marks = isFirst ? [Milestone.Weighed, Milestone.Divided] : null,
            About = new(Count: bake.Spec.Parts),
        };
    }
}

/// <summary>Put a share into the fridge.</summary>
internal sealed class KeepCold() : DoughRule("keep-#")
{
    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.KeptCold];

    public override Lane? Holds => Lane.Hands;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var cuts = bake.Spec.Cuts;
        for (var cut = 0; cut < cuts.Length; cut++)
            if (cuts[cut].Bread is null)
                yield return new(Minutes(1)) { Number = cut + 1, About = new(Mass: bake.Eaches[cut] * cuts[cut].Pieces) };
    }
}

/// <summary>Shape pieces and put them into the cold for another day: before the others, so that they do not rise.</summary>
internal sealed class KeepShaped() : DoughRule("keep-shaped-#")
{
    public override int Since => RuleBook.Finishing;

    public override Ending? Ending => Steps.Ending.Done;

    public override ImmutableArray<Milestone> Marks { get; } = [Milestone.KeptCold];

    public override Lane? Holds => Lane.Hands;

    public override RecipeStage? ToldAt => RecipeStage.Shaping;

    public override IEnumerable<Draft> StepsOf(BakeSoFar bake)
    {
        var cuts = bake.Spec.Cuts;
        for (var cut = 0; cut < cuts.Length; cut++)
            if (cuts[cut] is { Keep: not null, Bread.Family: var family, Pieces: var pieces })
                yield return new(family.HandsEach * pieces * (1 - Family.DividingPart) + Minutes(1))
                {
                    Number = cut + 1,
                    About = new(family.Name, bake.Eaches[cut] * pieces, Count: pieces),
                };
    }
}
