using JollyKnot.Core.Baking;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>Oven, griddle and pot.</summary>
internal static class HeatingWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } =
        new()
        {
            ["griddle-on"] = s =>
                new(
                    "Griddle on",
                    $"Put the {Lower(s.Thing)} on, {s.Degree(s.About.Heat)}.",
                    "Low heat: the inside needs its time.",
                    "It is on",
                    s.HeatFigure
                ),
            ["griddle-heats"] = _ => Phrase.Stretch("The griddle heats", "The griddle is heating."),
            ["oven-on"] = s => s.About.From is null ? On(s) : To(s),
            ["oven-to"] = To,
            ["preheat"] = _ => Phrase.Stretch("The oven heats", "The oven is heating."),
            ["pot-on"] = s =>
                new(
                    "Pot on",
                    $"Put the {Lower(s.Thing)} on to boil.",
                    $"{Litres(s)} litres of water{Soda(s)}.",
                    "It is on",
                    new(Litres(s), "litres")
                ),
            ["pot-heats"] = _ => Phrase.Stretch("The pot heats", "The pot is heating."),
        };

    private static Phrase On(Said s)
    {
        var severalOvens = s.Spec.Batches.Any(b => b.Bread.Oven != s.Bread.Oven);
        var stone = s.Bread.Pan is { } on && (on.IsStone || s.Bread.SlidOnHot) ? $", with the {Lower(on.Name)} in it" : "";
        return new(
            $"{(severalOvens ? s.Thing : "Oven")} on, {s.Dial}",
            $"Switch the {Lower(s.Thing)} on: {s.Dial}.",
            Join($"See that it is empty{stone}.", Steamer(s)),
            "It is on",
            s.DialFigure
        );
    }

    private static string Steamer(Said s) =>
        s.Spec.SteamFor(s.Bread) switch
        {
            Steam.Tray => "An old tray goes on the lowest rack.",
            Steam.Stones => "The steam stones go on the lowest rack in their tray, dry: only kinds sold for heat.",
            _ => "",
        };

    private static Phrase To(Said s) =>
        new(
            $"Oven to {s.Dial}",
            $"Turn the {Lower(s.Thing)} to {s.Dial}.",
            s.About.Cools ? "Leave the door ajar until it is there." : "",
            "Turned",
            s.DialFigure
        );

    private static string Litres(Said s) => Measured.Digits(s.Spec.Pot.Litres, "0.#");

    private static string Soda(Said s) =>
        s.About.Mass is { } soda
            ? $"; {OfSoda(s, soda)} of baking soda, slowly, once it boils"
            : $"; for the dip {s.Measured.Litres(s.Spec.Bath.Water)} of warm water with "
                + $"{OfSoda(s, s.Spec.Bath.Soda)} of baking soda";

    private static string OfSoda(Said s, Mass soda) =>
        s.Spec.NoScale ? s.Measure(Ingredients.Find("baking soda")!, soda) : s.Grams(soda);
}
