using JollyKnot.Core.Days;
using JollyKnot.Core.Plans;

namespace JollyKnot.Server.Words;

// The day: what is wrong with it, and what would do.
public sealed partial class Voice
{
    /// <summary>Something wrong with a day.</summary>
    /// <param name="found">What.</param>
    /// <param name="one">Its step, in words.</param>
    /// <param name="other">The other step.</param>
    /// <param name="spec">Its bake.</param>
    /// <param name="otherSpec">The other bake.</param>
    internal static string Of(DayFinding found, string one, string other, BakeSpec spec, BakeSpec otherSpec) =>
        found.Trouble switch
        {
            DayTrouble.Hands => $"Two things for one pair of hands: {one} and {other}.",
            DayTrouble.Away => $"Nobody is there: {one}.",
            DayTrouble.Quiet => $"The machine would run in quiet hours: {one}.",
            DayTrouble.Pinned => $"Cannot be when you want it, {Span(found.By)} off: {one}.",
            DayTrouble.Machine => $"Two doughs for one machine: {spec.Dough.Name} and {otherSpec.Dough.Name}.",
            DayTrouble.OvenHeat => $"One oven, two heats: {one} and {other}.",
            DayTrouble.Racks => $"Too few racks: {one} and {other}.",
            DayTrouble.Place => $"Not room enough {spec.Place.Name}: {one} and {other}.",
            DayTrouble.Pans => $"One pan, two places: {one} and {other}.",
            DayTrouble.OverRisen =>
                $"{spec.Dough.Name} stays {Span(found.By)} too long in the machine, and rises far past double: {one}.",
            DayTrouble.LeftInMachine => $"{spec.Dough.Name} waits {Span(found.By)} in the machine: {one}.",
            DayTrouble.DoughInOven => $"Dough rises in an oven that is wanted: {one} and {other}.",
            DayTrouble.Stale => $"Cool {Span(found.By)} longer than wanted: {spec.Dough.Name}.",
            DayTrouble.Over => $"{one} would come {Span(found.By)} after the dough is ready for it: it would be over-proofed.",
            _ => $"{spec.Dough.Name} {Span(found.By)} later than wanted.",
        };

    /// <summary>A single change that would do.</summary>
    internal static string Of(DayChange fix, BakeSpec spec, Kitchen kitchen)
    {
        var name = spec.Dough.Name;
        return fix.Kind switch
        {
            ChangeKind.Machine => $"{name} in the {kitchen.Mixers.First(m => m.Id == fix.Id).Name}",
            ChangeKind.Oven => $"{name} in the {kitchen.Ovens.First(o => o.Id == fix.Id).Name}",
            ChangeKind.Place => $"{name} to proof: {kitchen.AllPlaces.First(p => p.Id == fix.Id).Name}",
            ChangeKind.Bowl => $"{name} to rise in a bowl",
            ChangeKind.Fridge => $"{name} not in the fridge first",
            ChangeKind.Up => "Up sooner, at",
            ChangeKind.FewerTrays => $"{name} with one tray less",
            _ => $"{name} later, for",
        };
    }
}
