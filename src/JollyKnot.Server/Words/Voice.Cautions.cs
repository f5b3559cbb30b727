using JollyKnot.Core.Machines;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Steps;

namespace JollyKnot.Server.Words;

// What to be careful of.
public sealed partial class Voice
{
    /// <summary>A caution.</summary>
    public string Of(Caution caution, BakeSpec spec) =>
        caution switch
        {
            Caution.MachineHands =>
                "Fingers, hair and sleeves stay out while the paddle turns. Soft spatula only. Unplug before reaching "
                    + "for the paddle.",
            Caution.RawDough => "Raw flour and raw egg can carry germs. Do not taste; wash hands and tools.",
            Caution.WarmOvenProof =>
                $"No heating while dough is inside. Leave a note on the knob. Cloth and film stay only while it is off and at "
                    + $"{Celsius(Place.Safe)} or below.",
            Caution.TooWarm =>
                $"The dough gets warmer than {Celsius(Cautions.DoughTooWarm)} here: the skin dries and the yeast slows. "
                    + "A cooler place is safer.",
            Caution.BoilingBath =>
                "Fill a wide pot no more than half. Soda foams: add it slowly. Slotted spoon, no aluminium, children away.",
            Caution.HotSurfaces => HotSurfaces(spec),
            Caution.ChokingAllergen => $"Contains {Contents(spec.Dough)}.",
            Caution.HoneyInfant => "Honey inside: not for babies under 12 months.",
            Caution.CoolDown =>
                $"The centre stays above {Celsius(Cautions.CentreStaysOver)} for minutes. Wait before breaking one.",
            Caution.Garlic => "Raw garlic and herbs in butter or oil: chill within 2 hours, use within 4 days, or freeze.",
            Caution.KeepCold => "Filled or topped with what spoils: into the fridge within 2 hours, eaten within 3 days.",
            Caution.HotLiquid =>
                $"Over {Celsius(LiquidTemperature.OnYeast)} kills bare yeast, over {Celsius(LiquidTemperature.Refused)} "
                    + "scalds. Measure again before it touches the yeast.",
            Caution.Steam => "Steam burns. Gloves, face away, open the door slowly; no water on the glass or the lamp.",
            Caution.RunsOn => "The program runs on by itself. Stop it, and see that it is off, before the dough is out.",
            Caution.OverRisen =>
                "It has risen too far. Smell it: sour and slack, press it down at once and bake something flat; no long second "
                    + "proof.",
            Caution.Blade => "Cut away from the hand that holds.",
            Caution.ColdGlass => "A cold glass or ceramic dish can shatter in a hot oven: let it warm first, or use metal.",
            Caution.LeftoverWash => "Egg wash left over goes in the fridge now, and into something cooked within 2 days.",
            _ => throw new InvalidOperationException($"No words for {caution}."),
        };

    // Parchment is for the oven, and only a stone stays hot so long.
    private string HotSurfaces(BakeSpec spec)
    {
        var inOven = spec.Batches.Where(b => !b.Bread.OnGriddle).Select(b => b.Bread).ToList();
        var parchment = inOven.Any(b => b.Heat > Cautions.HotOver)
            ? $"Check the parchment's limit: many end at {Celsius(Cautions.HotOver)}. Above it, cornmeal or a bare hot tray."
            : "";
        var stone = inOven.Any(b => b.Pan?.IsStone == true) ? "The stone stays hot for an hour." : "";
        return Sentences.Join("Dry gloves.", parchment, stone);
    }
}
