// Every kind of step there is, in the order of the job. A new one is one line here.
using System.Collections.Frozen;
using System.Collections.Immutable;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Steps;

/// <summary>The rules of all steps.</summary>
public static class StepRules
{
    /// <summary>What is done with the whole dough, from the pan to the divided pieces.</summary>
    public static ImmutableArray<DoughRule> Dough { get; } =
    [
        new Bloom(),
        new Blooms(),
        new Paddle(),
        new WeighIn(),
        new StartCycle(),
        new FetchOut(),
        new ComesToRoom(),
        new FeedStarter(),
        new StarterRipens(),
        new MachineTimer(),
        new DoughCycle(),
        new KneadByHand(),
        new PaddleTurns(),
        new CheckDough(),
        new AddIns(),
        new LookAtFirstRise(),
        new TakeOut(),
        new FetchLump(),
        new Bulk(),
        new Fold(),
        new LookAtBowl(),
        new WeighDough(),
        new Divide(),
        new KeepCold(),
        new KeepShaped(),
    ];

    /// <summary>What hands do with one batch after the other.</summary>
    public static ImmutableArray<BatchRule> Shaping { get; } =
    [
        new ReadyPan(),
        new BallsRest(),
        new Shape(),
        new Gather(),
        new Brush(beforeProof: true),
        new PutOn(PartMoment.BeforeProof),
        new Score(beforeProof: true),
        new WarmOn(),
        new GetsWarm(),
        new WarmOff(),
        new FallsToSafe(),
        new StartProof(),
    ];

    /// <summary>What each batch then goes through by itself.</summary>
    public static ImmutableArray<BatchRule> Oven { get; } =
    [
        new ColdProof(),
        new OutOfCold(),
        new SecondProof(),
        new LookAtProof(),
        new ClearOven(),
        new ProofOnCounter(),
        new GriddleOn(),
        new GriddleHeats(),
        new OvenOn(),
        new Preheat(),
        new PotOn(),
        new PotHeats(),
        new Bath(),
        new Brush(beforeProof: false),
        new PutOn(PartMoment.BeforeOven),
        new Score(beforeProof: false),
        new OvenTo(),
        new Load(),
        new Bake(),
        new AtGriddle(),
        new Mist(),
        new Turn(),
        new FirstLook(),
        new PutOn(PartMoment.PartWay),
        new Unload(),
        new Butter(),
        new PutOn(PartMoment.Hot),
        new Cool(),
        new PutOn(PartMoment.Cold),
    ];

    /// <summary>What belongs to the bread but is no dough, each in time for where it is wanted.</summary>
    public static ImmutableArray<DoughRule> Beside { get; } = [new MakePart(), new PartCools()];

    /// <summary>What comes when all is cool.</summary>
    public static ImmutableArray<DoughRule> Table { get; } = [new Review()];

    /// <summary>Each kind once, in the order of the job.</summary>
    public static ImmutableArray<StepRule> All { get; } =
    [.. Dough.AsEnumerable<StepRule>().Concat(Shaping).Concat(Oven).Concat(Beside).Concat(Table).DistinctBy(r => r.Kind)];

    private static readonly FrozenDictionary<StepKind, StepRule> ByKind = All.ToFrozenDictionary(r => r.Kind);

    private static readonly FrozenDictionary<Milestone, ImmutableArray<StepKind>> ByMark = All.SelectMany(r =>
            r.Marks.Select(m => (Mark: m, r.Kind))
        )
        .GroupBy(m => m.Mark, m => m.Kind)
        .ToFrozenDictionary(g => g.Key, g => g.ToImmutableArray());

    /// <summary>The rule of a kind; one that makes nothing where no rule has this kind.</summary>
    public static StepRule Of(StepKind kind) => ByKind.GetValueOrDefault(kind) ?? new UnknownRule(kind);

    /// <summary>The kinds that are this point of the job.</summary>
    public static ImmutableArray<StepKind> At(Milestone milestone) => ByMark.GetValueOrDefault(milestone, []);

    /// <summary>The step of a batch that is this point of the job, where only one kind is.</summary>
    /// <param name="milestone">Which point.</param>
    /// <param name="batch">Of which batch.</param>
    public static StepId IdAt(Milestone milestone, int batch = 0) => new(At(milestone).Single(), batch);
}
