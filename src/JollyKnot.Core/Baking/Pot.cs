// The pretzel pot: soda in boiling water, a few pieces at a time.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Baking;

/// <summary>How pretzels get their skin.</summary>
public enum PotSchool
{
    /// <summary>Soda in the boiling pot, short.</summary>
    InThePot,

    /// <summary>A plain boil, longer, then a warm soda dip.</summary>
    DipAfterBoil,
}

/// <summary>What is done with one batch at the pot.</summary>
public enum PotAct
{
    /// <summary>Into the pot.</summary>
    In,

    /// <summary>Turned.</summary>
    Turn,

    /// <summary>Into the warm dip.</summary>
    Dip,

    /// <summary>Out, drained, salted.</summary>
    Out,
}

/// <summary>One beat at the pot.</summary>
/// <param name="Batch">1 for the first.</param>
/// <param name="Pieces">How many are in this batch.</param>
/// <param name="Act">What is done at its start.</param>
/// <param name="Length">Until the next beat.</param>
public sealed record PotBeat(int Batch, int Pieces, PotAct Act, TimeSpan Length);

/// <summary>What pretzels get their skin from.</summary>
/// <param name="Soda">Baking soda.</param>
/// <param name="Water">In so much water; over 0.</param>
public sealed record SodaBath(Mass Soda, Volume Water);

/// <summary>A pot on the hob.</summary>
/// <param name="Id">Stable name in the kitchen.</param>
/// <param name="Name">As the household calls it.</param>
/// <param name="Across">Inner width.</param>
/// <param name="Litres">Water it is filled with: no more than half its volume; over 0.</param>
public sealed record Pot(string Id, string Name, Length Across, double Litres)
{
    /// <summary>Baking soda per litre, middle of 10 to 60 g. Bakers' usage.</summary>
    public static Mass SodaPerLitre { get; } = Mass.FromGrams(30);

    /// <summary>One side in the boiling pot. Bakers' usage: 20 to 30 s with soda, a minute without.</summary>
    public static TimeSpan PerSide(PotSchool school) => TimeSpan.FromSeconds(school == PotSchool.InThePot ? 25 : 60);

    /// <summary>In the warm dip, where the boil was plain. Bakers' usage.</summary>
    public static TimeSpan Dip { get; } = TimeSpan.FromSeconds(10);

    /// <summary>A dip wants as much soda per litre as two pots; and a litre of it. Bakers' usage.</summary>
    public static Mass DipSoda { get; } = Mass.FromGrams(60);

    // Fishing out, draining and salting one batch. Bakers' usage: drain 1 to 2 min, while the next batch boils.
    private static readonly TimeSpan Between = TimeSpan.FromSeconds(40);

    // Pieces must swim. Bakers' usage.
    private const double Crowding = .6;

    // Water kJ/l·K, part of the hob's heat that reaches the water. Fitted.
    private const double Water = 4.2,
        Efficiency = .7;

    /// <summary>A common hob. Fitted.</summary>
    public static Power UsualHob { get; } = Power.FromWatts(1800);

    /// <summary>Soda for this pot.</summary>
    public Mass Soda => SodaPerLitre * Litres;

    /// <summary>The usual bath of a school: this pot full, or a litre to dip in.</summary>
    /// <param name="school">How pretzels are boiled.</param>
    public SodaBath Usual(PotSchool school) =>
        school == PotSchool.InThePot
            ? new(Soda, Volume.FromMillilitres(Litres * 1000))
            : new(DipSoda, Volume.FromMillilitres(1000));

    /// <summary>A recipe's own bath: its dip as it stands, its strength for the pot.</summary>
    /// <param name="told">As the recipe tells it.</param>
    /// <param name="school">How pretzels are boiled.</param>
    public SodaBath Of(SodaBath told, PotSchool school)
    {
        ArgumentNullException.ThrowIfNull(told);
        var (soda, water) = told;
        if (school == PotSchool.DipAfterBoil)
            return told;
        return new(soda * (Litres / water.Litres), Volume.FromMillilitres(Litres * 1000));
    }

    /// <summary>From switching on to boiling.</summary>
    /// <param name="room">How cold the water starts.</param>
    /// <param name="hob">The hob's power.</param>
    /// <param name="boils">Where water boils here.</param>
    public TimeSpan ToBoil(Temperature room, Power hob, Temperature boils) =>
        TimeSpan.FromSeconds(Litres * Water * Math.Max(0, boils.Celsius - room.Celsius) / (hob.Watts / 1000) / Efficiency);

    /// <summary>Batches for so many pieces.</summary>
    /// <param name="pieces">How many.</param>
    /// <param name="piece">One of them, shaped.</param>
    public int Batches(int pieces, Footprint piece) => (pieces + AtOnce(piece) - 1) / AtOnce(piece);

    /// <summary>How many swim at once; at least 1.</summary>
    /// <param name="piece">One of them, shaped.</param>
    public int AtOnce(Footprint piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        var pot = Math.PI / 4 * Across.Millimetres * Across.Millimetres;
        return Math.Max(1, (int)Math.Floor(pot / piece.Area * Crowding));
    }

    /// <summary>Every beat, one batch after the other.</summary>
    /// <param name="pieces">How many there are.</param>
    /// <param name="piece">One of them, shaped.</param>
    /// <param name="school">How they are boiled.</param>
    /// <param name="aSide">One side in the boiling pot.</param>
    public ImmutableArray<PotBeat> Beats(int pieces, Footprint piece, PotSchool school, TimeSpan aSide)
    {
        var (atOnce, beats) = (AtOnce(piece), ImmutableArray.CreateBuilder<PotBeat>());
        for (var (batch, left) = (1, pieces); left > 0; batch++, left -= atOnce)
        {
            var now = Math.Min(left, atOnce);
            beats.Add(new(batch, now, PotAct.In, aSide));
            beats.Add(new(batch, now, PotAct.Turn, aSide));
            if (school == PotSchool.DipAfterBoil)
                beats.Add(new(batch, now, PotAct.Dip, Dip));
            beats.Add(new(batch, now, PotAct.Out, Between));
        }
        return beats.ToImmutable();
    }

    /// <summary>All batches, both sides.</summary>
    /// <param name="batches">How often the pot is filled.</param>
    /// <param name="school">How they are boiled.</param>
    /// <param name="aSide">One side in the boiling pot.</param>
    public static TimeSpan BathLength(int batches, PotSchool school, TimeSpan aSide) =>
        (aSide * 2 + Between + (school == PotSchool.DipAfterBoil ? Dip : TimeSpan.Zero)) * batches;
}
