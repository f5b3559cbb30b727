// What is kept of past bakes: dough in the cold, bread in the freezer. It stands there until it is used, eaten or thrown away.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Bakes;

/// <summary>What is kept.</summary>
public enum KeptKind
{
    /// <summary>A lump of dough.</summary>
    Dough,

    /// <summary>Baked bread.</summary>
    Bread,

    /// <summary>Shaped pieces, to be baked.</summary>
    Shaped,
}

/// <summary>Where it is.</summary>
public enum KeptIn
{
    /// <summary>In the fridge.</summary>
    Fridge,

    /// <summary>In the freezer.</summary>
    Freezer,

    /// <summary>Used, eaten or thrown away.</summary>
    Gone,
}

/// <summary>Something kept of a bake.</summary>
/// <param name="Bake">The bake.</param>
/// <param name="Cut">Which of its cuts; 0 for the first.</param>
/// <param name="Kind">Dough or bread.</param>
/// <param name="Name">The dough's name.</param>
/// <param name="Pieces">How many; a lump is one.</param>
/// <param name="Mass">Altogether, as dough.</param>
/// <param name="Since">Kept since.</param>
/// <param name="In">Where it is.</param>
/// <param name="Moved">When it came there.</param>
/// <param name="MadeInto">The bake that was made of it; null where none was.</param>
public sealed record KeptThing(
    Guid Bake,
    int Cut,
    KeptKind Kind,
    string Name,
    int Pieces,
    Mass Mass,
    DateTimeOffset Since,
    KeptIn In,
    DateTimeOffset Moved,
    Guid? MadeInto = null
)
{
    /// <summary>When it is wanted on the table; null where nobody said.</summary>
    public DateTimeOffset? Wanted { get; init; }

    /// <summary>It is this one.</summary>
    public bool Is(Guid bake, int cut, KeptKind kind) => Bake == bake && Cut == cut && Kind == kind;

    /// <summary>The dough it is: as a lump, or shaped as its bake cut it.</summary>
    /// <param name="cuts">What its bake cut its dough into.</param>
    public Lump AsLump(ImmutableArray<Cut> cuts) =>
        new(Bake, Cut, Mass, Since)
        {
            Shaped = Kind == KeptKind.Shaped ? new(cuts[Cut].Bread!.Family.Id, Pieces, Was(cuts[Cut])) : null,
        };

    // What was moved to the fridge after it was frozen has thawed there.
    private ShapedWas Was(Cut cut) =>
        In == KeptIn.Freezer ? ShapedWas.Frozen
        : cut.Keep == ShapedIn.Fridge && Moved == Since ? ShapedWas.Chilled
        : ShapedWas.Thawed;
}

/// <summary>Everything kept.</summary>
/// <param name="Things">In the order they were kept.</param>
public sealed record Larder(ImmutableArray<KeptThing> Things)
{
    // What is gone is remembered for so many things, so that a bake seen again does not bring it back. Ours.
    private const int Remembered = 400;

    /// <summary>Nothing yet.</summary>
    public static Larder Empty { get; } = new([]);

    /// <summary>What is there.</summary>
    public IEnumerable<KeptThing> There => Things.Where(t => t.In != KeptIn.Gone);

    /// <summary>What this is, or was; null where nothing is known of it.</summary>
    public KeptThing? Find(Guid bake, int cut, KeptKind kind) => Things.FirstOrDefault(t => t.Is(bake, cut, kind));

    /// <summary>As a bake stands: what it put into the cold is there, and what it took back is not.</summary>
    /// <param name="bake">The bake.</param>
    /// <param name="state">How it stands.</param>
    public Larder Seen(Guid bake, BakeState state)
    {
        ArgumentNullException.ThrowIfNull(state);
        var (larder, spec) = (this, state.Plan.Spec);
        foreach (var step in state.Chain.Steps.Where(s => s.Is(Milestone.KeptCold)))
        {
            var cut = step.Id.Number - 1;
            var kind = spec.Cuts[cut].Bread is null ? KeptKind.Dough : KeptKind.Shaped;
            var known = larder.Find(bake, cut, kind);
            if (state.SoFar.When(step.Id) is not { } since || state.Timetable[step.Id]?.State == StepState.Skipped)
                larder = known is null or { In: KeptIn.Gone } ? larder : new(larder.Things.Remove(known));
            else if (known is null)
                larder = larder.With(
                    new(
                        bake,
                        cut,
                        kind,
                        spec.Dough.Name,
                        kind == KeptKind.Dough ? 1 : spec.Cuts[cut].Pieces,
                        step.About!.Mass!.Value,
                        since,
                        spec.Cuts[cut].Keep == ShapedIn.Freezer ? KeptIn.Freezer : KeptIn.Fridge,
                        since
                    )
                );
        }
        return larder;
    }

    /// <summary>Dough that is there of a cut, as a lump or shaped; null where none is.</summary>
    /// <param name="bake">The bake that kept it.</param>
    /// <param name="cut">Which of its cuts; 0 for the first.</param>
    public KeptThing? DoughOf(Guid bake, int cut) =>
        There.FirstOrDefault(t => t.Bake == bake && t.Cut == cut && t.Kind != KeptKind.Bread);

    /// <summary>Bread of a bake that goes into the freezer.</summary>
    /// <param name="bread">The bread.</param>
    public Larder With(KeptThing bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        var others = Things.Where(t => !t.Is(bread.Bake, bread.Cut, bread.Kind));
        return new([.. others.TakeLast(Remembered - 1), bread]);
    }

    /// <summary>With what another book of the same household says: what is unknown here is taken, and of what both know the one
    /// that was moved last.</summary>
    /// <param name="other">The other book's.</param>
    public Larder JoinedWith(Larder other)
    {
        ArgumentNullException.ThrowIfNull(other);
        var joined = Things
            .Concat(other.Things)
            .GroupBy(t => (t.Bake, t.Cut, t.Kind))
            .Select(same => same.OrderByDescending(t => t.Moved).First());
        return new([.. joined.TakeLast(Remembered)]);
    }

    /// <summary>A lump is made into something.</summary>
    /// <param name="bake">The bake that is made of it.</param>
    /// <param name="lump">The lump.</param>
    /// <param name="now">The time now.</param>
    public Larder UsedBy(Guid bake, Lump lump, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(lump);
        var kind = lump.Shaped is null ? KeptKind.Dough : KeptKind.Shaped;
        return Find(lump.Bake, lump.Cut, kind) is { } thing ? Move(thing, KeptIn.Gone, now, bake) : this;
    }

    /// <summary>It is wanted on the table then, or not any more.</summary>
    /// <param name="thing">What.</param>
    /// <param name="at">When; null not any more.</param>
    public Larder Want(KeptThing thing, DateTimeOffset? at) => new(Things.Replace(thing, thing with { Wanted = at }));

    /// <summary>It goes somewhere else.</summary>
    /// <param name="thing">What.</param>
    /// <param name="to">Where to.</param>
    /// <param name="now">The time now.</param>
    /// <param name="madeInto">The bake that is made of it.</param>
    public Larder Move(KeptThing thing, KeptIn to, DateTimeOffset now, Guid? madeInto = null)
    {
        ArgumentNullException.ThrowIfNull(thing);
        return new(Things.Replace(thing, thing with { In = to, Moved = now, MadeInto = madeInto }));
    }
}
