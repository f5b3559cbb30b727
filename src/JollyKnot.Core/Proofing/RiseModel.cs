// How fast shaped dough rises: its own temperature follows its place, and its yeast follows its temperature.
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Proofing;

/// <summary>What a rise depends on besides its place.</summary>
/// <param name="Piece">One piece; small ones follow their place faster.</param>
/// <param name="Leaven">Yeast and starter as instant yeast, share of flour.</param>
/// <param name="Sugar">Sugar that is dissolved in the dough, without lactose, share of flour.</param>
/// <param name="Salt">Salt, share of flour.</param>
/// <param name="Dough">The dough's temperature at the start.</param>
/// <param name="Room">The kitchen's temperature.</param>
public sealed record RiseConditions(Mass Piece, Share Leaven, Share Sugar, Share Salt, Temperature Dough, Temperature Room)
{
    /// <summary>How far it is risen at the start; 0 freshly shaped.</summary>
    public double Risen { get; init; }

    /// <summary>Dough just shaped after a machine's rise phase. Fitted.</summary>
    public static Temperature FromTheMachine { get; } = Temperature.FromCelsius(28);

    // Under this nothing is seen to rise in a day: 5 % of ripe starter is more. Ours.
    private static readonly Share LeastThatLifts = Share.FromPercent(.03);

    /// <summary>Nothing lifts it in the bowl: baking soda, unfed starter or nothing at all.</summary>
    public bool OnlyRests => !Lifts(Leaven);

    /// <summary>So much leaven is seen to lift a dough.</summary>
    /// <param name="leaven">As instant yeast, share of flour.</param>
    public static bool Lifts(Share leaven) => leaven >= LeastThatLifts;

    /// <summary>The conditions for a piece of this formula, straight from the machine.</summary>
    public static RiseConditions Of(Formula formula, Mass piece, Temperature room)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return new(piece, formula.Leaven, formula.Sugar, formula.Salt, FromTheMachine, room);
    }
}

/// <summary>One moment of a rise.</summary>
/// <param name="Rise">0 freshly shaped, 1 doubled.</param>
/// <param name="Celsius">The dough's own temperature.</param>
/// <param name="IsDead">It was so hot that its yeast is dead.</param>
public readonly record struct RisePoint(double Rise, double Celsius, bool IsDead = false);

/// <summary>A computed rise, one point each <see cref="RiseModel.Step"/>.</summary>
/// <param name="Points">The points; the first is the start.</param>
public sealed record RiseCurve(IReadOnlyList<RisePoint> Points)
{
    /// <summary>The rise so long after the start; the last point beyond the end.</summary>
    public RisePoint At(TimeSpan elapsed)
    {
        var steps = Math.Clamp(elapsed / RiseModel.Step, 0, Points.Count - 1);
        var (i, part) = ((int)steps, steps - (int)steps);
        var (a, b) = (Points[i], Points[Math.Min(i + 1, Points.Count - 1)]);
        return new(a.Rise + (b.Rise - a.Rise) * part, a.Celsius + (b.Celsius - a.Celsius) * part, a.IsDead);
    }

    /// <summary>When the rise reaches this much; null when it does not inside the curve.</summary>
    public TimeSpan? TimeTo(double rise)
    {
        for (var i = 1; i < Points.Count; i++)
        {
            if (Points[i].Rise < rise)
                continue;
            var (a, b) = (Points[i - 1].Rise, Points[i].Rise);
            return RiseModel.Step * (i - 1 + (b > a ? Math.Clamp((rise - a) / (b - a), 0, 1) : 1));
        }
        return null;
    }
}

/// <summary>The second proof as a small numerical model: dx/dt = k · c(T) · Y^0.8 · s · n, dT/dt = (place − T)/τ.</summary>
public static class RiseModel
{
    /// <summary>Step of the integration; halving it moves no answer by 0.2 %.</summary>
    public static TimeSpan Step { get; } = TimeSpan.FromSeconds(30);

    /// <summary>The longest rise reckoned with: two nights in the fridge.</summary>
    public static TimeSpan Horizon { get; } = TimeSpan.FromHours(36);

    // Cardinal temperatures of baker's yeast for the model with inflection (Rosso et al., 1993), °C.
    private const double Tmin = 2,
        Topt = 36,
        Tmax = 46;

    // 1 % instant yeast at a steady 27 °C doubles in 58 min. Fitted to what bakers time across lean, rich and sweet doughs.
    private static readonly double K = 1 / (58 * TemperatureFactor(27));

    // Dough that was hotter than this stays dead, °C. Bakers' usage: 50 to 55.
    private const double Kills = 50;

    // Apparent dough: density kg/m³, specific heat J/kg·K, heat transfer to still air W/m²·K. Fitted.
    private const double Density = 1000,
        SpecificHeat = 2800,
        Transfer = 9;

    /// <summary>Yeast's pace at this temperature; 1 at the best, 0 outside 2 to 46 °C.</summary>
    public static double TemperatureFactor(double celsius)
    {
        if (celsius is <= Tmin or >= Tmax)
            return 0;
        var t = celsius;
        return (t - Tmax)
            * (t - Tmin)
            * (t - Tmin)
            / ((Topt - Tmin) * ((Topt - Tmin) * (t - Topt) - (Topt - Tmax) * (Topt + Tmin - 2 * t)));
    }

    /// <summary>How much sugar slows the yeast: 1 up to 6 %, then 2 % less a point, at least a half. Fitted.</summary>
    public static double SugarFactor(Share sugar) => Math.Clamp(1 - .02 * (sugar.Percent - 6), .5, 1);

    /// <summary>How much salt slows the yeast: 1 up to 1.8 %, then 12 % less a point, at least .4.</summary>
    public static double SaltFactor(Share salt) => Math.Clamp(1 - .12 * (salt.Percent - 1.8), .4, 1);

    /// <summary>Time constant with which a piece, taken as a ball, follows its place: τ = ρcr/3h.</summary>
    public static TimeSpan TimeConstant(Mass piece)
    {
        var radius = Math.Cbrt(3 * piece.Grams / 1000 / Density / (4 * Math.PI));
        return TimeSpan.FromSeconds(Density * SpecificHeat * radius / (3 * Transfer));
    }

    /// <summary>The rise of a piece standing in one place until it has risen so far, or for so long.</summary>
    /// <param name="conditions">The piece.</param>
    /// <param name="place">Where it stands.</param>
    /// <param name="from">Where the rise begins: 0 and the dough's temperature for a fresh piece.</param>
    /// <param name="until">Stop once risen so far.</param>
    /// <param name="longest">Stop after so long; at most <see cref="Horizon"/>.</param>
    /// <param name="atLeast">But not before so long.</param>
    public static RiseCurve Simulate(
        RiseConditions conditions,
        Place place,
        RisePoint from,
        double until,
        TimeSpan longest,
        TimeSpan atLeast = default
    )
    {
        ArgumentNullException.ThrowIfNull(conditions);
        ArgumentNullException.ThrowIfNull(place);
        var pace =
            K
            * Math.Pow(Math.Max(0, conditions.Leaven.Percent), .8)
            * SugarFactor(conditions.Sugar)
            * SaltFactor(conditions.Salt);
        var tau = TimeConstant(conditions.Piece).TotalMinutes;
        var h = Step.TotalMinutes;
        var steps = (int)Math.Ceiling(Math.Min(longest.TotalMinutes, Horizon.TotalMinutes) / h);
        var least = atLeast / Step + 1;
        var points = new List<RisePoint>(Math.Min(steps, 512) + 1) { from };
        double Place(double minutes) => place.At(TimeSpan.FromMinutes(minutes), conditions.Room).Celsius;

        for (var (i, x, t, dead) = (0, from.Rise, from.Celsius, from.IsDead); i < steps && (x < until || i < least); i++)
        {
            // Heun for the temperature, Simpson for the rise over the step.
            var (p0, p1) = (Place(i * h), Place((i + 1) * h));
            var slope = (p0 - t) / tau;
            var end = t + h * (slope + (p1 - (t + h * slope)) / tau) / 2;
            var middle = (t + end) / 2;
            dead |= end > Kills;
            if (!dead)
                x += pace * h / 6 * (TemperatureFactor(t) + 4 * TemperatureFactor(middle) + TemperatureFactor(end));
            t = end;
            points.Add(new(x, t, dead));
        }
        return new(points);
    }

    /// <summary>The rise of a fresh piece that stands in one place after another, the last until it has risen so far.</summary>
    /// <param name="conditions">The piece.</param>
    /// <param name="stays">At least one: where, and for how long.</param>
    /// <param name="until">Stop once risen so far, in the last place.</param>
    /// <param name="atLeast">But not before so long since the beginning.</param>
    public static RiseCurve Along(
        RiseConditions conditions,
        IReadOnlyList<(Place Place, TimeSpan Length)> stays,
        double until,
        TimeSpan atLeast = default
    )
    {
        ArgumentNullException.ThrowIfNull(conditions);
        ArgumentNullException.ThrowIfNull(stays);
        var points = new List<RisePoint> { new(conditions.Risen, conditions.Dough.Celsius) };
        for (var i = 0; i < stays.Count; i++)
        {
            var (place, length) = stays[i];
            var isLast = i == stays.Count - 1;
            var left = isLast ? atLeast - Step * (points.Count - 1) : default;
            points.AddRange(
                Simulate(conditions, place, points[^1], isLast ? until : double.MaxValue, length, left).Points.Skip(1)
            );
        }
        return new(points);
    }

    /// <summary>The rise of a fresh piece in one place.</summary>
    public static RiseCurve Simulate(RiseConditions conditions, Place place, double until)
    {
        ArgumentNullException.ThrowIfNull(conditions);
        return Simulate(conditions, place, new(conditions.Risen, conditions.Dough.Celsius), until, Horizon);
    }
}
