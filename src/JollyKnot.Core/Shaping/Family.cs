// What a dough becomes. A family is data; what follows from it is reckoned where the step of the job is.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Shaping;

/// <summary>The form a piece is given by hand.</summary>
public enum Form
{
    /// <summary>Gathered under, skin on top.</summary>
    Ball,

    /// <summary>Pressed or rolled flat and round.</summary>
    Disc,

    /// <summary>One rope, tied.</summary>
    Rope,

    /// <summary>Several ropes, plaited.</summary>
    Plait,

    /// <summary>Tucked and rolled long.</summary>
    Log,

    /// <summary>One long rope, wound.</summary>
    Coil,

    /// <summary>A loaf for a tin.</summary>
    Loaf,

    /// <summary>A rectangle, filled and rolled up.</summary>
    Swirl,

    /// <summary>Pressed out to the corners of a tray.</summary>
    Tray,

    /// <summary>Cut from a sheet with a ring.</summary>
    Ring,
}

/// <summary>How a bread is slashed.</summary>
public enum Slashes
{
    /// <summary>Not at all.</summary>
    None,

    /// <summary>A cross.</summary>
    Cross,

    /// <summary>Once, along its length.</summary>
    Long,

    /// <summary>Several, side by side and slanting.</summary>
    Diagonals,
}

/// <summary>What bakes it.</summary>
public enum HeatedBy
{
    /// <summary>An oven.</summary>
    Oven,

    /// <summary>A griddle, a side at a time.</summary>
    Griddle,
}

/// <summary>How the hands keep a sticky dough off themselves.</summary>
public enum StickySchool
{
    /// <summary>Wet fingers.</summary>
    WetHands,

    /// <summary>A little flour.</summary>
    Flour,

    /// <summary>Oiled hands.</summary>
    Oil,
}

/// <summary>The bake a family's minutes are known for.</summary>
/// <param name="Heat">Oven temperature.</param>
/// <param name="Length">Likely minutes at the reference piece.</param>
/// <param name="TurnAt">When to turn tray or piece, as a share of the likely time.</param>
/// <param name="Body">The usual piece as the heat sees it.</param>
public sealed record ReferenceBake(Temperature Heat, TimeSpan Length, double TurnAt, HeatBody Body);

/// <summary>A kind of bread made by hand from a machine's dough. Figures are bakers' usual ones.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Name">As shown, plural.</param>
/// <param name="Form">The form given by hand.</param>
/// <param name="Usual">The usual piece, which is also the reference of the bake.</param>
/// <param name="Range">Pieces that still behave like this family.</param>
/// <param name="Strands">Ropes in one piece.</param>
/// <param name="RopeAtUsual">Length of one rope of the usual piece, for ropes and plaits.</param>
/// <param name="Thickness">Set thickness, for discs that are rolled to one.</param>
/// <param name="Hydration">Working hydration it likes.</param>
/// <param name="WantedRise">Rise wanted at the oven door; 1 is doubled.</param>
/// <param name="GrowsTo">Width when baked over width when shaped.</param>
/// <param name="HandsEach">Dividing and shaping one piece, ready hands.</param>
/// <param name="Bake">The reference bake.</param>
/// <param name="Sticky">What helps against sticking.</param>
/// <param name="Cooling">Out of the oven, before it may be broken or cut.</param>
/// <param name="UsualWash">Id of the wash it usually gets.</param>
/// <param name="Bathed">Goes through the soda bath before the oven.</param>
/// <param name="HeatedBy">What bakes it.</param>
/// <param name="GapMillimetres">Set so far apart.</param>
/// <param name="Touches">Pieces grow together on purpose.</param>
/// <param name="Scored">Cut before the oven so that it opens where it should.</param>
/// <param name="Steamed">Steam in the first half gives it its crust.</param>
public sealed record Family(
    string Id,
    string Name,
    Form Form,
    Mass Usual,
    Band<Mass> Range,
    int Strands,
    Length? RopeAtUsual,
    Length? Thickness,
    Band<Share> Hydration,
    double WantedRise,
    double GrowsTo,
    TimeSpan HandsEach,
    ReferenceBake Bake,
    StickySchool Sticky,
    TimeSpan Cooling,
    string UsualWash,
    bool Bathed,
    HeatedBy HeatedBy = HeatedBy.Oven,
    double GapMillimetres = 20,
    bool Touches = false,
    bool Scored = false,
    bool Steamed = false
)
{
    /// <summary>How it is slashed.</summary>
    public Slashes Slashes { get; init; } = Scored ? Slashes.Cross : Slashes.None;

    /// <summary>The ring it is cut with; a usual one when null.</summary>
    public Length? Ring { get; init; }

    /// <summary>So many times as long as usual, and thinner for it; over 0.</summary>
    public double Stretch { get; init; } = 1;

    /// <summary>So many times as thick as it usually is rolled; 1 for what is not rolled to a thickness.</summary>
    internal double Thickened =>
        Thickness is { } thick && Families.Find(Id)?.Thickness is { } usual ? thick.Millimetres / usual.Millimetres : 1;

    /// <summary>What is rolled thin rests so long as a ball first, or it springs back. Bakers' usage.</summary>
    public TimeSpan BallRest => Form == Form.Disc && Thickness is not null ? TimeSpan.FromMinutes(15) : TimeSpan.Zero;

    /// <summary>The same, made to another length.</summary>
    /// <param name="piece">What one piece weighs.</param>
    /// <param name="length">How long it is to be; over 0.</param>
    public Family Lengthened(Mass piece, Length length)
    {
        if (RopeAtUsual is not { } usual || Form != Form.Log)
            return this;
        var times = length.Millimetres / Sizes.For(this, piece).Rope!.Value.Millimetres;
        return this with { RopeAtUsual = usual * times, Stretch = Stretch * times };
    }

    /// <summary>Set so far apart.</summary>
    public Length Gap => Length.FromMillimetres(GapMillimetres);

    /// <summary>A piece as the heat sees it: the usual one, grown or shrunk with the cube root of its mass, or with the thickness
    /// it is rolled to.</summary>
    public HeatBody BodyOf(Mass piece) =>
        Thickness is not null ? Bake.Body.Scaled(Thickened)
        : Form == Form.Tray ? Bake.Body
        : Bake.Body.Scaled(Math.Cbrt(piece / Usual)).Stretched(Stretch);

    /// <summary>How long a piece that springs back is left alone, shorter and longer. Bakers' usage: 5 to 15 min.</summary>
    public static ImmutableArray<TimeSpan> Rests { get; } = [TimeSpan.FromMinutes(5), TimeSpan.FromMinutes(10)];

    /// <summary>The part of hands time that is cutting and weighing; shaping is the rest. Fitted.</summary>
    public const double DividingPart = 1 / 3d;
}

/// <summary>The families this kitchen can make.</summary>
public static class Families
{
    // Heat transfer in W/m²K of what lies flat on something hot. Fitted.
    private const double OnHotFloor = 25,
        OnGriddle = 40;

    private static readonly HeatBody PlaitBody = HeatBody.Cylinder(39, 150) with { Heaviness = .75 };

    /// <summary>Rolls as such: which of the two, its dough tells.</summary>
    public const string PanRoll = "pan-roll",
        CrustyRoll = "crusty-roll";

    /// <summary>A knot, which stays one where it is dipped.</summary>
    public const string Knot = "knot";

    /// <summary>What a recipe's word names is this: the same, or the other kind of roll.</summary>
    /// <param name="said">A family by its word.</param>
    /// <param name="family">What it is made into.</param>
    public static bool IsKindOf(string said, Family family)
    {
        ArgumentNullException.ThrowIfNull(family);
        return said == family.Id || (said == PanRoll && family.Id == CrustyRoll);
    }

    /// <summary>All, in the order they are offered.</summary>
    public static ImmutableArray<Family> All { get; } =
    [
        Make(
            "pan-roll",
            "pan rolls",
            Form.Ball,
            55,
            40,
            70,
            hydration: (58, 70),
            rise: 1.0,
            grows: 1.5,
            hands: 35,
            heat: 190,
            minutes: 16,
            body: HeatBody.Sphere(35),
            wash: "egg"
        ) with
        {
            Touches = true,
        },
        Make(
            "crusty-roll",
            "crusty rolls",
            Form.Ball,
            75,
            55,
            90,
            hydration: (64, 74),
            rise: .8,
            grows: 1.7,
            hands: 35,
            heat: 230,
            minutes: 16,
            body: HeatBody.Sphere(39)
        ) with
        {
            GapMillimetres = 50,
            Scored = true,
            Slashes = Slashes.Cross,
            Steamed = true,
        },
        Make(
            "round-bun",
            "round buns",
            Form.Disc,
            95,
            80,
            120,
            hydration: (58, 70),
            rise: .95,
            grows: 1.35,
            hands: 60,
            heat: 190,
            minutes: 16,
            body: HeatBody.Cylinder(61, 14) with
            {
                Heaviness = 1.2,
            },
            wash: "egg"
        ),
        Make(
            "long-bun",
            "long buns",
            Form.Log,
            85,
            70,
            160,
            hydration: (58, 70),
            rise: .95,
            grows: 1.5,
            hands: 60,
            heat: 190,
            minutes: 15,
            body: HeatBody.Cylinder(25, 70),
            rope: 140,
            wash: "egg"
        ),
        Make(
            Knot,
            "knots",
            Form.Rope,
            48,
            35,
            60,
            hydration: (58, 68),
            rise: .9,
            grows: 1.5,
            hands: 60,
            heat: 190,
            minutes: 17,
            body: HeatBody.Sphere(34),
            rope: 203
        ),
        Make(
            "pretzel",
            "pretzels",
            Form.Rope,
            85,
            30,
            120,
            hydration: (52, 60),
            rise: .35,
            grows: 1.4,
            hands: 75,
            heat: 220,
            minutes: 14,
            body: HeatBody.Cylinder(13) with
            {
                Heaviness = 2.5,
            },
            rope: 550,
            bathed: true
        ) with
        {
            GapMillimetres = 4,
        },
        Make(
            "twist-2",
            "two-strand twists",
            Form.Plait,
            300,
            100,
            900,
            hydration: (50, 65),
            rise: .85,
            grows: 1.5,
            hands: 240,
            heat: 180,
            minutes: 20,
            body: HeatBody.Cylinder(33, 140) with
            {
                Heaviness = .75,
            },
            strands: 2,
            rope: 320,
            cooling: 30,
            wash: "egg"
        ),
        Make(
            "plait-3",
            "three-strand plaits",
            Form.Plait,
            420,
            250,
            900,
            hydration: (50, 63),
            rise: .85,
            grows: 1.5,
            hands: 450,
            heat: 180,
            minutes: 23,
            body: PlaitBody,
            strands: 3,
            rope: 375,
            cooling: 40,
            wash: "egg"
        ),
        Make(
            "plait-4",
            "four-strand plaits",
            Form.Plait,
            420,
            250,
            900,
            hydration: (50, 63),
            rise: .85,
            grows: 1.5,
            hands: 600,
            heat: 180,
            minutes: 23,
            body: PlaitBody,
            strands: 4,
            rope: 405,
            cooling: 40,
            wash: "egg"
        ),
        Make(
            "plait-6",
            "six-strand plaits",
            Form.Plait,
            420,
            250,
            900,
            hydration: (50, 63),
            rise: .85,
            grows: 1.5,
            hands: 900,
            heat: 180,
            minutes: 23,
            body: PlaitBody,
            strands: 6,
            rope: 435,
            cooling: 40,
            wash: "egg"
        ),
        Make(
            "coil",
            "coiled loaves",
            Form.Coil,
            420,
            250,
            900,
            hydration: (52, 68),
            rise: .85,
            grows: 1.5,
            hands: 60,
            heat: 180,
            minutes: 23,
            body: HeatBody.Cylinder(90, 28) with
            {
                Heaviness = .85,
            },
            rope: 700,
            cooling: 40,
            wash: "egg"
        ),
        Make(
            "baton",
            "batons",
            Form.Log,
            300,
            110,
            380,
            hydration: (64, 74),
            rise: .65,
            grows: 1.7,
            hands: 60,
            heat: 240,
            minutes: 19,
            body: HeatBody.Cylinder(31, 170) with
            {
                Heaviness = 1.3,
            },
            rope: 340,
            cooling: 40
        ) with
        {
            Scored = true,
            Slashes = Slashes.Diagonals,
            Steamed = true,
        },
        // Ours: between a baton and a tin loaf.
        Make(
            "free-loaf",
            "free loaves",
            Form.Log,
            650,
            350,
            1200,
            hydration: (60, 74),
            rise: .7,
            grows: 1.5,
            hands: 90,
            heat: 220,
            minutes: 34,
            body: HeatBody.Cylinder(50, 130),
            rope: 250,
            cooling: 60
        ) with
        {
            Scored = true,
            Slashes = Slashes.Long,
            Steamed = true,
        },
        Make(
            "tin-loaf",
            "tin loaves",
            Form.Loaf,
            750,
            300,
            1400,
            hydration: (58, 70),
            rise: 1.0,
            grows: 1,
            hands: 90,
            heat: 185,
            minutes: 31,
            body: HeatBody.Block(118, 55, 48) with
            {
                Heaviness = .62,
            },
            cooling: 90
        ),
        Make(
            "filled-loaf",
            "filled loaves",
            Form.Swirl,
            500,
            300,
            900,
            hydration: (50, 63),
            rise: .9,
            grows: 1.4,
            hands: 240,
            heat: 180,
            minutes: 29,
            body: HeatBody.Block(105, 55, 36) with
            {
                Heaviness = .75,
            },
            cooling: 60
        ),
        Make(
            "pocket-flatbread",
            "pocket flatbreads",
            Form.Disc,
            85,
            60,
            110,
            hydration: (58, 68),
            rise: .3,
            grows: 1.1,
            hands: 60,
            heat: 245,
            minutes: 5,
            body: HeatBody.Slab(9) with
            {
                Transfer = OnHotFloor,
            },
            thickness: 6,
            turnAt: .6,
            sticky: StickySchool.Flour,
            cooling: 5
        ),
        Make(
            "griddle-flatbread",
            "griddle flatbreads",
            Form.Disc,
            80,
            50,
            110,
            hydration: (58, 68),
            rise: .2,
            grows: 1.05,
            hands: 60,
            heat: 200,
            minutes: 3,
            body: HeatBody.Slab(5) with
            {
                Transfer = OnHotFloor,
            },
            thickness: 3,
            sticky: StickySchool.Flour,
            cooling: 5,
            by: HeatedBy.Griddle
        ),
        Make(
            "tray-bread",
            "tray breads",
            Form.Tray,
            680,
            300,
            1700,
            hydration: (66, 80),
            rise: .6,
            grows: 1,
            hands: 180,
            heat: 220,
            minutes: 24,
            body: HeatBody.Slab(17) with
            {
                Heaviness = 1.6,
            },
            sticky: StickySchool.Oil
        ),
        Make(
            "griddle-round",
            "griddle rounds",
            Form.Ring,
            60,
            50,
            75,
            hydration: (60, 70),
            rise: .6,
            grows: 1.1,
            hands: 30,
            heat: 140,
            minutes: 12,
            body: HeatBody.Slab(15) with
            {
                Transfer = OnGriddle,
            },
            thickness: 10,
            by: HeatedBy.Griddle
        ),
    ];

    /// <summary>Those an oven bakes.</summary>
    public static ImmutableArray<Family> ForOven { get; } = [.. All.Where(f => f.HeatedBy == HeatedBy.Oven)];

    /// <summary>The family of this id, or null.</summary>
    public static Family? Find(string id) => All.FirstOrDefault(f => f.Id == id);

    private static Family Make(
        string id,
        string name,
        Form form,
        double usual,
        double from,
        double to,
        (double From, double To) hydration,
        double rise,
        double grows,
        double hands,
        double heat,
        double minutes,
        HeatBody body,
        int strands = 1,
        double? rope = null,
        double? thickness = null,
        double turnAt = .5,
        StickySchool sticky = StickySchool.WetHands,
        double cooling = 15,
        string wash = "none",
        bool bathed = false,
        HeatedBy by = HeatedBy.Oven
    ) =>
        new(
            id,
            name,
            form,
            Mass.FromGrams(usual),
            new(Mass.FromGrams(from), Mass.FromGrams(to)),
            strands,
            rope is { } r ? Length.FromMillimetres(r) : null,
            thickness is { } t ? Length.FromMillimetres(t) : null,
            new(Share.FromPercent(hydration.From), Share.FromPercent(hydration.To)),
            rise,
            grows,
            TimeSpan.FromSeconds(hands),
            new(Temperature.FromCelsius(heat), TimeSpan.FromMinutes(minutes), turnAt, body),
            sticky,
            TimeSpan.FromMinutes(cooling),
            wash,
            bathed,
            by
        );
}
