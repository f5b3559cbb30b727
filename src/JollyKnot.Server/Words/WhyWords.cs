using System.Collections.Frozen;
using JollyKnot.Core.Steps;

namespace JollyKnot.Server.Words;

/// <summary>Why a step is done, for who does it the first time.</summary>
public static class WhyWords
{
    private static readonly FrozenDictionary<StepKind, string> All = new Dictionary<string, string>
    {
        ["feed-starter"] = "A starter is strongest some hours after it was fed, when it is at its highest.",
        ["fetch-out"] = "What comes cold out of the fridge slows the whole dough down.",
        ["bloom"] = "Dry yeast wakes sooner in something warm; froth says that it is alive.",
        ["paddle"] = "It is the one thing that is forgotten, and then nothing is kneaded.",
        ["weigh-in-#"] = "Bread goes by what things weigh, not by how much room they take.",
        ["timer"] = "The dough will be ready when you are, and nobody has to be up.",
        ["start-cycle"] = "Everything after this is counted from here.",
        ["knead"] = "Kneading makes the net that holds the gas in.",
        ["paddle-turns"] = "A paddle that does not sit leaves the flour dry, and now it is still mended in a minute.",
        ["check-#"] = "Flour is never twice the same: now a spoon of water or flour still gets in.",
        ["add-ins"] = "Put in now they stay whole; from the start they would be torn up.",
        ["fold-#"] = "A fold does for a soft dough what kneading does for a firm one.",
        ["rise-look-#"] = "How far it has risen says more than the clock does.",
        ["bowl-look-#"] = "It is divided when it has grown, not when the clock says so.",
        ["take-out"] = "Left in the warmth it would go on rising and tear.",
        ["fetch-lump"] = "Cold dough is firm: it is divided and shaped at once, and warms while it rises.",
        ["weigh-dough"] = "What it weighs now is what there is to share out.",
        ["divide"] = "Pieces of one weight are done at the same time.",
        ["keep-shaped-#"] = "Before the others: what waits for another day is not to rise now.",
        ["keep-#"] = "Cold, it hardly rises, and tastes better for it.",
        ["ready-pan"] = "Once there is dough on the hands it is too late for that.",
        ["shape"] = "A tight skin makes it rise upwards, not sideways.",
        ["gather-#"] = "Scraps want a rest before they are rolled again, or they spring back.",
        ["top-#"] = "It sticks now, and would not later.",
        ["score"] = "Bread tears somewhere as it grows in the oven: a cut says where.",
        ["brush"] = "A wet skin shines and stays soft while it grows.",
        ["warm-on"] = "A little warmth makes it rise sooner; it is off before the dough goes in.",
        ["warm-off"] = "What is too hot for a hand is too hot for yeast.",
        ["start-proof"] = "What was pressed out while shaping comes back now, and makes it light.",
        ["look-#"] = "The dough knows better than the clock: what you see moves the plan.",
        ["warm-up"] = "Out of the cold it takes its time to get going again.",
        ["clear-oven"] = "The oven has to be hot before the dough has risen too far.",
        ["oven-on"] = "Bread springs up in the first minutes, and only in an oven that is hot.",
        ["griddle-on"] = "A griddle that is not hot dries the bread out before it browns.",
        ["pot-on"] = "The bath has to boil when the dough is ready for it.",
        ["bath"] = "Soda on the skin is what makes it brown and taste so.",
        ["oven-to"] = "A hot start for the spring, less heat for the middle.",
        ["load"] = "Quick with the door: it loses more in a minute than it gains in five.",
        ["griddle-#"] = "One side sets before it can be turned.",
        ["mist-#"] = "A wet skin stretches longer before it sets.",
        ["turn"] = "No oven is as hot at the back as in front.",
        ["first-look"] = "Ovens differ: the colour says whether this one is quick or slow.",
        ["unload"] = "A minute too long dries more than a minute too short leaves raw.",
        ["butter"] = "On hot bread it is drawn in and keeps the crust soft.",
        ["part-#"] = "It has to be cool before it meets the dough.",
        ["review"] = "What you say now makes the next one better.",
    }.ToFrozenDictionary(w => new StepKind(w.Key), w => w.Value);

    /// <summary>Every kind there is a reason for.</summary>
    public static IEnumerable<StepKind> Kinds => All.Keys;

    /// <summary>Why a step is done; empty where it goes without saying.</summary>
    /// <param name="kind">What it is.</param>
    internal static string Of(StepKind kind) => All.GetValueOrDefault(kind, "");
}
