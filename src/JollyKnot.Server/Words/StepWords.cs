using System.Collections.Frozen;
using System.Collections.Immutable;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;

namespace JollyKnot.Server.Words;

/// <summary>How a step is said.</summary>
/// <param name="Short">In a list: what, in a few words.</param>
/// <param name="Say">The bench sentence.</param>
/// <param name="Detail">What else helps, smaller; may be empty.</param>
/// <param name="Button">What the one control says.</param>
/// <param name="Figure">The number that matters.</param>
/// <param name="Earlier">Before a time, when it happened before it was told.</param>
public sealed record Phrase(
    string Short,
    string Say,
    string Detail,
    string Button,
    Figure? Figure = null,
    string Earlier = "It was done at"
)
{
    /// <summary>What runs by itself has no button.</summary>
    internal static Phrase Stretch(string @short, string say) => new(@short, say, "", "");
}

/// <summary>The words of every kind of step, parted as the job is. They say what Core has decided.</summary>
public static class StepWords
{
    private static readonly FrozenDictionary<StepKind, Func<Said, Phrase>> All = new[]
    {
        LoadingWords.Steps,
        KneadingWords.Steps,
        DividingWords.Steps,
        ShapingWords.Steps,
        FinishingWords.Steps,
        ProofingWords.Steps,
        HeatingWords.Steps,
        BakingWords.Steps,
        TableWords.Steps,
    }
        .SelectMany(w => w)
        .ToFrozenDictionary(w => new StepKind(w.Key), w => w.Value);

    /// <summary>Every kind there are words for.</summary>
    public static IEnumerable<StepKind> Kinds => All.Keys;

    /// <summary>How a step is said.</summary>
    internal static Phrase Of(Said said) =>
        All.TryGetValue(said.Step.Kind, out var words)
            ? words(said)
            : throw new InvalidOperationException($"No words for {said.Step.Kind}.");
}

/// <summary>A step to be said, with what sentences are made of.</summary>
/// <param name="Step">The step.</param>
/// <param name="Spec">The bake it is of.</param>
/// <param name="Measured">Figures in the household's units.</param>
/// <param name="Station">The scale station, where it tells which piece is next.</param>
internal sealed record Said(Step Step, BakeSpec Spec, Measured Measured, Station? Station)
{
    /// <summary>What it is about.</summary>
    public About About { get; } = Step.About ?? new About();

    /// <summary>Its batch; the first where it is of all.</summary>
    public Batch Batch { get; } = Spec.Batches[Step.Batch ?? 0];

    public Bread Bread => Batch.Bread;

    public Family Family => Bread.Family;

    public string Thing => About.Thing ?? "";

    public int Count => About.Count ?? 0;

    public bool ByHand => Spec.Machine.ByHand;

    /// <summary>The machine goes on by itself unless it is stopped.</summary>
    public bool RunsOn => Spec.RunsOn;

    public string Grams(Mass? mass) => Measured.Grams(mass);

    /// <summary>The row of the dough that is weighed in.</summary>
    public DoughRow Row => Spec.Dough.Rows[Step.Id.Number - 1];

    /// <summary>An amount in cups and spoons.</summary>
    public string Measure(Ingredient ingredient, Mass mass) => Measured.ByMeasure(ingredient, mass, Spec.Around.Measuring);

    /// <summary>A little of something made of these: weighed, or measured where there is no scale.</summary>
    public string Amount(ImmutableArray<DoughRow> rows, Mass mass) =>
        Spec.NoScale && rows is [var one] ? Measure(one.Ingredient, mass)
        : Spec.NoScale ? ""
        : Grams(mass);

    public string Degree(Temperature? heat) => heat is { } h ? Measured.Degree(h) : "";

    public string Length(Length length) => Measured.Length(length);

    public Figure? MassFigure => Measured.MassFigure(About.Mass);

    public Figure? HeatFigure => About.Heat is { } heat ? Measured.DegreeFigure(heat) : null;

    /// <summary>The oven's dial: in its own degrees where it is marked so, whatever the household reads elsewhere.</summary>
    public Figure DialFigure =>
        Spec.OvenOf(Bread).Marks == Core.Baking.DialMarks.Celsius5
            ? Measured.DegreeFigure(Bread.Heat)
            : new(Measured.Whole(Bread.Heat.Fahrenheit), "°F");

    public string Dial => $"{DialFigure.Value} {DialFigure.Unit}";

    /// <summary>What the batch lies in or on: "small tin", "2 small tins".</summary>
    public string Pans
    {
        get
        {
            var name = Sentences.Lower(Bread.Pan?.Name ?? "tray");
            return Bread.Pans is { Used: > 1 and var used } ? $"{used} {Sentences.SeveralPans(name)}" : name;
        }
    }

    /// <summary>What kind of thing that is: "tray" or "tin".</summary>
    public string PanNoun => Sentences.NounOf(Bread.Pan?.Name ?? "") ?? (Bread.Pan is { IsFlat: false } ? "tin" : "tray");

    /// <summary>There is one piece of it, not several.</summary>
    public bool IsOne => Batch.Pieces == 1;

    /// <summary>"it" or "them".</summary>
    public string Them => IsOne ? "it" : "them";

    /// <summary>"it is" or "they are", or the batch by its name.</summary>
    public string TheyAre => Name.Alone ? (IsOne ? "it is" : "they are") : $"the {Which} {(IsOne ? "is" : "are")}";

    /// <summary>Where several batches go their own ways, each is named.</summary>
    public string Marked(string text) => Name.Alone ? text : $"{text}: {Which}";

    public string The(string? alone = null) => Name.Alone ? alone ?? Them : $"the {Which}";

    /// <summary>"does both", "does all 9"; empty for one.</summary>
    public string DoesAll =>
        Count switch
        {
            1 => "",
            2 => " does both",
            _ => $" does all {Count}",
        };

    public string Counted => Voice.Counted(Batch.Pieces, Family);

    private BatchName Name => Batch.NameAmong(Spec.Cuts, Spec.Batches);

    private string Which
    {
        get
        {
            var family = IsOne ? Voice.One(Family.Name) : Name.Family;
            var of = Name.Each is { } each ? $"{family} of {Grams(each)}" : family;
            return Name.Load is { } load ? $"{of}, load {load}" : of;
        }
    }
}

/// <summary>How sentences are put together.</summary>
internal static class Sentences
{
    /// <summary>With a capital.</summary>
    public static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    /// <summary>A thing's name within a sentence.</summary>
    public static string Lower(string name) =>
        name.Length > 1 && char.IsUpper(name[0]) && char.IsLower(name[1]) ? char.ToLowerInvariant(name[0]) + name[1..] : name;

    /// <summary>Several pans of a name: "small tins", "loaf tins 21 cm".</summary>
    public static string SeveralPans(string name)
    {
        var words = name.Split(' ');
        var at = Array.FindLastIndex(words, PanNouns.Contains);
        if (at < 0)
            return $"of the {name}";
        words[at] += "s";
        return string.Join(' ', words);
    }

    /// <summary>What a pan of this name is; null where its name does not tell.</summary>
    public static string? NounOf(string name) => name.ToLowerInvariant().Split(' ').LastOrDefault(PanNouns.Contains);

    private static readonly FrozenSet<string> PanNouns = "tin tray pan sheet form mould plate".Split(' ').ToFrozenSet();

    /// <summary>One sentence after the other; empty ones are left out.</summary>
    public static string Join(params string[] sentences) => string.Join(" ", sentences.Where(s => s.Length > 0));
}
