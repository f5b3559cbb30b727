using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Server.Demo;

/// <summary>The repair café's kitchen and formulas.</summary>
public static class DemoWorld
{
    /// <summary>Two second-hand machines and an old one, a built-in oven and a small one, 19 °C in winter.</summary>
    public static Kitchen Kitchen { get; } =
        new(
            "Repair café",
            Temperature.FromCelsius(19),
            [
                new(
                    "blue",
                    "Blue two-paddle",
                    Mass.FromGrams(700),
                    Mass.FromGrams(1250),
                    "14",
                    [Phase(PhaseKind.Warm, 20), Phase(PhaseKind.Knead, 24), Phase(PhaseKind.Rise, 48)],
                    Display.FinishClock,
                    LoadOrder.LiquidsFirst,
                    Minutes(15),
                    Paddles: 2,
                    PanEmpty: Grams(936),
                    Bought: Money.Of(45),
                    CountsDownFrom: Minutes(20)
                ),
                new(
                    "white",
                    "Small white",
                    Mass.FromGrams(420),
                    Mass.FromGrams(760),
                    "6",
                    [Phase(PhaseKind.Knead, 25), Phase(PhaseKind.Rise, 60)],
                    Display.Countdown,
                    LoadOrder.DryFirst,
                    Minutes(18),
                    PanEmpty: Grams(588),
                    Bought: Money.Of(30)
                ),
                new(
                    "old",
                    "Old long-program",
                    Mass.FromGrams(560),
                    Mass.FromGrams(1000),
                    "slow white",
                    [
                        Phase(PhaseKind.Warm, 30),
                        Phase(PhaseKind.Knead, 20),
                        Phase(PhaseKind.Rise, 60),
                        Phase(PhaseKind.KnockBack, 1),
                        Phase(PhaseKind.Rise, 6),
                    ],
                    Display.Countdown,
                    LoadOrder.LiquidsFirst,
                    null,
                    Pulled: true,
                    Bought: Money.Of(15)
                ),
            ],
            [
                new("wall", "Wall oven", new(Celsius(50), Celsius(275)), 10, Racks: 2),
                new(
                    "table-top",
                    "Table-top oven",
                    new(Celsius(90), Celsius(230)),
                    7,
                    Wide: Centimetres(28),
                    Deep: Centimetres(28)
                ),
            ],
            new("pot", "Wide pot", Centimetres(26), 2.5),
            new(Celsius(19), Celsius(20), Celsius(25), Celsius(19)),
            Grams(1),
            Power.FromWatts(1800),
            Power.FromWatts(800),
            null,
            new(
                Money.Of(.32),
                [
                    new("pan-roll", Money.Of(.55)),
                    new("round-bun", Money.Of(.8)),
                    new("pretzel", Money.Of(1.1)),
                    new("plait-3", Money.Of(4.9)),
                    new("pocket-flatbread", Money.Of(.7)),
                    new("knot", Money.Of(.9)),
                ]
            )
        )
        {
            Tins =
            [
                Tray("tray-1", "Large tray", 44, 34),
                Tray("tray-2", "Second large tray", 44, 34),
                Tray("small-tray", "Small tray", 26, 26),
                new("round-24", "Round tin 24 cm", TinShape.Round, Centimetres(24), Centimetres(24), Centimetres(5)),
                new("rectangle", "Rectangular tin", TinShape.Rectangle, Centimetres(33), Centimetres(23), Centimetres(5)),
                new("square", "Square tin", TinShape.Rectangle, Centimetres(23), Centimetres(23), Centimetres(5)),
                new("loaf", "Loaf tin 21 cm", TinShape.Loaf, Centimetres(21), Centimetres(11), Centimetres(7)),
                new("small-loaf-1", "Small tin", TinShape.Loaf, Centimetres(18), Centimetres(9), Centimetres(6.5)),
                new("small-loaf-2", "Second small tin", TinShape.Loaf, Centimetres(18), Centimetres(9), Centimetres(6.5)),
                new(
                    "hollows",
                    "Twelve hollows",
                    TinShape.Hollows,
                    Centimetres(35),
                    Centimetres(27),
                    Centimetres(3),
                    12,
                    Volume.FromMillilitres(80)
                ),
                new("channels", "Baton tray", TinShape.Channels, Centimetres(38), Centimetres(24), Count: 3),
                new("stone", "Baking stone", TinShape.Stone, Centimetres(38), Centimetres(34)),
            ],
            Places = [new("boiler-shelf", "on the shelf over the boiler", false, Celsius(26), 0, null)],
            Griddle = new("griddle", "Griddle", TinShape.Tray, Centimetres(40), Centimetres(26)),
            Vessels = [new("bowl", "Bowl", Grams(412))],
        };

    /// <summary>What the repair café's packs cost.</summary>
    public static ImmutableDictionary<string, Price> Prices { get; } =
        new Dictionary<string, Price>
        {
            ["strong white flour"] = new(Grams(1500), Money.Of(1.95)),
            ["plain flour"] = new(Grams(1000), Money.Of(.79)),
            ["wholemeal flour"] = new(Grams(1000), Money.Of(1.29)),
            ["whole milk"] = new(Grams(1030), Money.Of(1.15)),
            ["butter"] = new(Grams(250), Money.Of(2.29)),
            ["egg"] = new(Grams(500), Money.Of(2.6)),
            ["sugar"] = new(Grams(1000), Money.Of(1.1)),
            ["fine salt"] = new(Grams(500), Money.Of(.35)),
            ["instant yeast"] = new(Grams(125), Money.Of(2.5)),
            ["honey"] = new(Grams(500), Money.Of(4.2)),
            ["sunflower oil"] = new(Grams(920), Money.Of(1.8)),
            ["barley malt syrup"] = new(Grams(450), Money.Of(3.9)),
        }.ToImmutableDictionary();

    /// <summary>The formulas, each with the id it always has.</summary>
    public static IReadOnlyList<(Guid Id, Dough Dough)> Doughs { get; } =
    [
        Make(
            1,
            "Workbench soft rolls",
            ("strong white flour", 480),
            ("whole milk", 300),
            ("butter", 45),
            ("egg", 50),
            ("sugar", 30),
            ("fine salt", 9),
            ("instant yeast", 6)
        ),
        Make(
            2,
            "Spanner pretzels",
            ("strong white flour", 500),
            ("water", 285),
            ("barley malt syrup", 15),
            ("butter", 25),
            ("fine salt", 10),
            ("instant yeast", 5)
        ),
        Make(
            3,
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
        ),
        Make(
            4,
            "Washer flatbreads",
            ("strong white flour", 300),
            ("wholemeal flour", 100),
            ("water", 200),
            ("plain yogurt", 80),
            ("olive oil", 20),
            ("fine salt", 8),
            ("sugar", 5),
            ("instant yeast", 4)
        ),
        Make(
            5,
            "Fuse-box buns",
            ("strong white flour", 450),
            ("mashed potato", 120),
            ("whole milk", 180),
            ("egg", 50),
            ("butter", 40),
            ("sugar", 25),
            ("fine salt", 9),
            ("instant yeast", 6)
        ),
        Make(
            6,
            "Cable knots",
            [Part(PartKind.Butter, "herb butter", ("butter", 36), ("fresh herbs", 4))],
            ("strong white flour", 430),
            ("ripe rye starter", 90),
            ("water", 200),
            ("whole milk", 60),
            ("butter", 35),
            ("barley malt syrup", 15),
            ("fine salt", 8.5),
            ("instant yeast", 3.5)
        ),
        Make(
            7,
            "Solder sticks",
            ("strong white flour", 440),
            ("rye flour", 40),
            ("water", 320),
            ("fine salt", 9.5),
            ("instant yeast", 4)
        ),
        Make(
            8,
            "Gasket rounds",
            ("plain flour", 260),
            ("semolina", 160),
            ("buttermilk", 290),
            ("sunflower oil", 20),
            ("sugar", 10),
            ("fine salt", 8),
            ("instant yeast", 5)
        ),
        Make(
            9,
            "Patch-panel tray bread",
            [Part(PartKind.Topping, "fried leeks", ("cooked leek", 350), ("fresh herbs", 4), ("hard cheese", 60))],
            ("strong white flour", 360),
            ("rye flour", 40),
            ("water", 290),
            ("rapeseed oil", 20),
            ("barley malt syrup", 8),
            ("fine salt", 9),
            ("instant yeast", 5)
        ),
        Make(
            10,
            "Coiled cable loaf",
            ("strong white flour", 360),
            ("rye flour", 70),
            ("water", 280),
            ("butter", 22),
            ("black treacle", 27),
            ("fine salt", 8),
            ("instant yeast", 4.5),
            ("pumpkin seeds", -54)
        ),
        Make(
            11,
            "Spiral-bound loaf",
            [Part(PartKind.Filling, "cocoa filling", ("butter", 25), ("brown sugar", 80), ("cocoa", 12))],
            ("plain flour", 500),
            ("whole milk", 250),
            ("egg", 50),
            ("butter", 55),
            ("sugar", 45),
            ("fine salt", 9),
            ("instant yeast", 7)
        ),
    ];

    // Below 0: so much at the beep.
    private static (Guid, Dough) Make(int number, string name, params (string Ingredient, double Grams)[] rows) =>
        Make(number, name, [], rows);

    private static (Guid, Dough) Make(
        int number,
        string name,
        PartDraft[] parts,
        params (string Ingredient, double Grams)[] rows
    ) =>
        (
            new Guid(number, 0x4a4b, 0x4442, 0x80, 0, 0, 0, 0, 0, 0, (byte)number),
            Dough.Create(new(name, Rows(rows), [.. parts])).Value
        );

    private static PartDraft Part(PartKind kind, string name, params (string Ingredient, double Grams)[] rows) =>
        new(kind, name, Rows(rows));

    private static ImmutableArray<RowDraft> Rows((string Ingredient, double Grams)[] rows) =>
        [.. rows.Select(r => new RowDraft(r.Ingredient, Grams(Math.Abs(r.Grams)), AtBeep: r.Grams < 0))];

    private static Tin Tray(string id, string name, double length, double width) =>
        new(id, name, TinShape.Tray, Centimetres(length), Centimetres(width));

    private static Mass Grams(double grams) => Mass.FromGrams(grams);

    private static Temperature Celsius(double celsius) => Temperature.FromCelsius(celsius);

    private static Length Centimetres(double centimetres) => Length.FromMillimetres(centimetres * 10);

    private static Phase Phase(PhaseKind kind, double minutes) => new(kind, Minutes(minutes));

    private static TimeSpan Minutes(double minutes) => TimeSpan.FromMinutes(minutes);
}
