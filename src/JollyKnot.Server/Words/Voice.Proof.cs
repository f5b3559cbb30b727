using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Server.Words;

// The second proof: what is seen, and what to do when it goes wrong.
public sealed partial class Voice
{
    /// <summary>What is seen at a look.</summary>
    public static string Of(Seen seen) =>
        seen switch
        {
            Seen.Nothing => "Nothing yet",
            Seen.Third => "A third",
            Seen.Half => "Half",
            Seen.ThreeQuarters => "Three quarters",
            Seen.Doubled => "Doubled",
            Seen.SpringsBack => "Springs straight back",
            Seen.SlowDent => "Comes back slowly",
            Seen.Stays => "The dent stays",
            Seen.DeepInTin => "Deep in the tin",
            Seen.FingerBelow => "A finger below the rim",
            Seen.LevelWithRim => "Level with the rim",
            Seen.AboveRim => "Above the rim",
            Seen.GoesIn => "It goes in now",
            _ => "More than doubled",
        };

    /// <summary>What is seen of dough in its pan.</summary>
    public static string InPan(Seen seen) => seen == Seen.Stays ? "Sunken" : Of(seen);

    /// <summary>How far dough in its pan should be.</summary>
    public static string ByNow(FirstRise rise) =>
        Sight.Of(Seen.Over, 1)!.From < rise.Rise
            ? "By now it should have more than doubled."
            : $"By now it should have grown {rise.Rise * 100:0} %.";

    /// <summary>What follows when it was seen ready, and what waiting costs.</summary>
    /// <param name="now">Nothing stands before loading it.</param>
    /// <param name="hotter">A hotter start, on the oven's dial; null where it goes no further.</param>
    public string SeenReady(bool now, Temperature? hotter) =>
        now
            ? "Ready: load it now."
            : "Ready as soon as the oven is. If it has to wait longer: somewhere cooler, or press it down and shape it again"
                + (hotter is { } heat ? $", or {Celsius(heat)} for its first 5 minutes." : ".");

    /// <summary>Seen ready, it waits for what bakes it.</summary>
    public static string WaitsForOven(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        var heats =
            bread.OnGriddle ? "the griddle"
            : bread.Family.Bathed ? "pot and oven"
            : "the oven";
        return $"Ready to go in: they wait for {heats}.";
    }

    /// <summary>What to do when a proof goes wrong, kindly.</summary>
    public string Of(ProofTrouble trouble, Family family)
    {
        ArgumentNullException.ThrowIfNull(family);
        return trouble switch
        {
            ProofTrouble.DeadYeast =>
                "Two looks and nothing: the yeast is most likely dead. It is nobody's fault. Knead in fresh yeast "
                    + "stirred in a spoon of warm water and give it an hour, or roll it thin and bake it flat on a hot pan.",
            ProofTrouble.Over => family.Form is Form.Plait or Form.Coil or Form.Rope
                ? "Risen too far. Into the hot oven now, and gently: it will be flatter but good. What has collapsed is "
                    + "rolled up anew and given half the time."
            : family.Form is Form.Loaf or Form.Swirl
                ? "Risen too far. Press it down, shape it again and give it half the time, or bake it now and expect a "
                    + "dip in the middle."
            : "Risen too far. Round them again and give them half the time, or press them flat, oil them and bake flatbread.",
            ProofTrouble.TooWarm =>
                $"It is too warm there: over {Celsius(Place.TooWarm)} the yeast stops, and dies a little later. Move "
                    + "them somewhere cooler now.",
            _ => "They will not get there where they stand. Somewhere warmer, or an evening in the fridge on purpose.",
        };
    }

    /// <summary>A place that does not do, and what would.</summary>
    public string Of(PlaceFit fit, BakeSpec spec)
    {
        ArgumentNullException.ThrowIfNull(fit);
        ArgumentNullException.ThrowIfNull(spec);
        var oven = Sentences.Lower(spec.Oven.Name);
        var why = fit.Trouble switch
        {
            PlaceTrouble.NotReady => $"The {oven} is not ready for dough when it is shaped.",
            _ => $"The dough stands there {Span(fit.Stands)} of {Span(fit.Wanted)}: then the {oven} has to heat.",
        };
        var instead = fit.Instead is { } does ? $"{Sentences.Capital(does.Place.Name)} it takes {Span(does.Takes)}." : "";
        return Sentences.Join(why, instead);
    }

    /// <summary>What lies over the second proof.</summary>
    public static string Of(Cover cover) =>
        cover switch
        {
            Cover.GreasedFilm => "Greased film does not stick.",
            Cover.DampCloth => "A damp cloth; lift it off before it sticks.",
            Cover.DryCloth => "A light dry cloth.",
            _ => "Uncovered: spray or wash them if the skin dries.",
        };
}
