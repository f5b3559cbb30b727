using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;

namespace JollyKnot.Core.Tests;

/// <summary>Formulas and a kitchen for tests, written as a baker would type them.</summary>
internal static class DemoFormulas
{
    public static Dough SoftRolls { get; } =
        Make(
            "Workbench soft rolls",
            ("strong white flour", 480),
            ("whole milk", 300),
            ("butter", 45),
            ("egg", 50),
            ("sugar", 30),
            ("fine salt", 9),
            ("instant yeast", 6)
        );

    public static Dough Pretzels { get; } =
        Make(
            "Spanner pretzels",
            ("strong white flour", 500),
            ("water", 285),
            ("barley malt syrup", 15),
            ("butter", 25),
            ("fine salt", 10),
            ("instant yeast", 5)
        );

    public static Dough PlaitDough { get; } =
        Make(
            "Three-wire plait",
            ("plain flour", 470),
            ("water", 150),
            ("egg", 100),
            ("egg yolk", 18),
            ("honey", 50),
            ("sunflower oil", 40),
            ("fine salt", 8),
            ("instant yeast", 7),
            ("orange zest", 4)
        );

    public static Dough CableKnots { get; } =
        Make(
            "Cable knots",
            ("strong white flour", 430),
            ("ripe rye starter", 90),
            ("water", 200),
            ("whole milk", 60),
            ("butter", 35),
            ("barley malt syrup", 15),
            ("fine salt", 8.5),
            ("instant yeast", 3.5)
        );

    public static Machine Blue { get; } =
        new(
            "blue",
            "Blue two-paddle",
            Mass.FromGrams(700),
            Mass.FromGrams(1250),
            "14",
            [new(PhaseKind.Warm, Minutes(20)), new(PhaseKind.Knead, Minutes(24)), new(PhaseKind.Rise, Minutes(48))],
            Display.FinishClock,
            LoadOrder.LiquidsFirst,
            Minutes(15),
            2
        );

    public static Machine White { get; } =
        new(
            "white",
            "Small white",
            Mass.FromGrams(420),
            Mass.FromGrams(760),
            "6",
            [new(PhaseKind.Knead, Minutes(25)), new(PhaseKind.Rise, Minutes(60))],
            Display.Countdown,
            LoadOrder.DryFirst,
            Minutes(18)
        );

    public static Kitchen Kitchen { get; } =
        new(
            "Test kitchen",
            Celsius(19),
            [Blue, White],
            [new("wall", "Wall oven", new(Celsius(50), Celsius(275)), 10)],
            new("pot", "Wide pot", Length.FromMillimetres(260), 2.5)
        );

    public static DateTimeOffset Morning { get; } = new(2026, 11, 28, 8, 0, 0, TimeSpan.Zero);

    public static BakeSpec Spec(
        Dough dough,
        string family,
        string place = "counter",
        int? pieces = null,
        DateTimeOffset? readyBy = null
    ) => BakeDecision.Of(dough, Choice(readyBy, place, new CutChoice(family, pieces)), Kitchen, Morning).Value;

    public static BakeChoice Choice(DateTimeOffset? readyBy, string place, params CutChoice[] cuts) =>
        new("blue", "wall", place, ReadyBy: readyBy) { Cuts = [.. cuts] };

    /// <summary>The one thing a bake becomes, changed.</summary>
    public static Temperature Celsius(double celsius) => Temperature.FromCelsius(celsius);

    public static Mass Grams(double grams) => Mass.FromGrams(grams);

    public static TimeSpan Minutes(double minutes) => TimeSpan.FromMinutes(minutes);

    public static Dough Make(string name, params (string Ingredient, double Grams)[] rows) =>
        Dough.Create(new(name, [.. rows.Select(r => new RowDraft(r.Ingredient, Mass.FromGrams(r.Grams)))])).Value;
}
