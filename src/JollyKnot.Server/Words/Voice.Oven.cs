using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;

namespace JollyKnot.Server.Words;

// The pot, and how bread cools.
public sealed partial class Voice
{
    /// <summary>How it cools.</summary>
    public static string Of(CoolingWay way) =>
        way switch
        {
            CoolingWay.Rack => "On a rack, uncovered: the crust stays crisp.",
            CoolingWay.Cloth => "Under a cloth the crust stays soft.",
            _ => "Back in the oven, off and ajar, for ten minutes: the crust dries crisp. Wet steam trays out first.",
        };

    /// <summary>How what was frozen is made ready.</summary>
    /// <param name="bread">Bread; null for a lump of dough.</param>
    /// <param name="thaws">How long it takes to thaw.</param>
    public string MadeReady(Thawing? bread, TimeSpan thaws) =>
        bread is null
            ? $"It thaws in the fridge in {Measured.Span(thaws)}."
            : $"It thaws in its bag in {Measured.Span(thaws)}; then {Measured.Span(bread.InOven)} at "
                + $"{Degree(Thawing.Heat)} make it crisp.";

    /// <summary>What is kept, and how much; what nobody weighed is about so much.</summary>
    /// <param name="thing">It.</param>
    /// <param name="of">The bake it was kept by.</param>
    public string Kept(KeptThing thing, BakeSpec of)
    {
        ArgumentNullException.ThrowIfNull(thing);
        ArgumentNullException.ThrowIfNull(of);
        if (thing.Kind == KeptKind.Dough)
            return of.NoScale ? $"about {Grams(thing.Mass)}" : Grams(thing.Mass);
        var bread = Bread(thing.Pieces, of.Cuts[thing.Cut].Bread!);
        return thing.Kind == KeptKind.Shaped ? $"{bread}, shaped," : bread;
    }

    /// <summary>Frozen bread comes out.</summary>
    public static string OutToThaw => "Out of the freezer, in its bag";

    /// <summary>It is ready.</summary>
    public static string OnTable => "On the table";

    /// <summary>The oven is switched on for it.</summary>
    public string HeatsFor(Temperature heat) => $"Oven on, {Degree(heat)}";

    /// <summary>It goes into the oven for a little.</summary>
    public string Crisps(Thawing bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return $"Into the oven, {Measured.Span(bread.InOven)}";
    }

    /// <summary>How shaped pieces are made ready.</summary>
    public static string BakedFromFrozen => "They thaw and rise on their tray, and are baked.";

    /// <summary>The bath as a whole, said before the first is in.</summary>
    public static string Of(ImmutableArray<PotBeat> beats, TimeSpan aSide)
    {
        var batches = beats[^1].Batch;
        return $"{batches} {(batches == 1 ? "batch" : "batches")} of {beats[0].Pieces}, {Measured.Whole(aSide.TotalSeconds)} s "
            + "a side.";
    }

    /// <summary>A beat at the pot.</summary>
    public static string Of(PotBeat beat)
    {
        ArgumentNullException.ThrowIfNull(beat);
        return beat.Act switch
        {
            PotAct.In => $"Batch {beat.Batch}: {beat.Pieces} in.",
            PotAct.Turn => "Turn them.",
            PotAct.Dip => "Into the warm dip.",
            _ => "Out. Drain, and salt while wet.",
        };
    }
}
