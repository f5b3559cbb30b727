// The first rise, in the machine: the same model along the phases of its program, and what a bowl adds.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Proofing;

/// <summary>How far a dough is before it is divided.</summary>
/// <param name="Rise">0 as kneaded, 1 doubled.</param>
/// <param name="ToDoubled">So much longer in a bowl at room temperature until it has doubled; zero when it has, or nearly; null
/// when it does not within the day.</param>
public sealed record FirstRise(double Rise, TimeSpan? ToDoubled)
{
    /// <summary>Risen so far it is over: sour, slack, and not for a long second proof. Fitted.</summary>
    public const double OverFrom = 3;

    /// <summary>It was seen sunken: it was too much for it, however large it is now.</summary>
    public bool Sunken { get; init; }

    /// <summary>It is over.</summary>
    public bool IsOver => Sunken || Rise > OverFrom;

    /// <summary>What can be told of dough that is still in its pan, or was until now.</summary>
    public static ImmutableArray<Seen> Answers { get; } = [Seen.Third, Seen.Half, Seen.Doubled, Seen.Stays];

    /// <summary>The dough as somebody sees it, whatever was reckoned.</summary>
    /// <param name="seen">One of <see cref="Answers"/>.</param>
    /// <param name="formula">The dough.</param>
    /// <param name="dough">All of it.</param>
    /// <param name="room">The kitchen.</param>
    public static FirstRise Of(Seen seen, Formula formula, Mass dough, Temperature room)
    {
        ArgumentNullException.ThrowIfNull(formula);
        if (seen == Seen.Stays)
            return new(OverFrom, TimeSpan.Zero) { Sunken = true };
        if (Sight.Of(seen, 1) is not { } sight)
            throw new ArgumentOutOfRangeException(nameof(seen), seen, "It says nothing of the size.");
        var conditions = new RiseConditions(dough, formula.Leaven, formula.Sugar, formula.Salt, Kneaded, room);
        return On(conditions, new(sight.Middle, RisesAt.Celsius));
    }

    // A machine's rise phase; dough as kneading leaves it; what the knock-back leaves of a rise. Fitted.
    private static readonly Temperature RisesAt = Temperature.FromCelsius(30),
        Kneaded = Temperature.FromCelsius(27);
    private const double AfterKnockBack = .1;

    // So near to doubled is doubled. Ours.
    private static readonly TimeSpan Nearly = TimeSpan.FromMinutes(5);

    /// <summary>The dough so long after the program was started, still in the pan: the phases first, then a pan that stays warm
    /// and cools to the room.</summary>
    /// <param name="machine">The machine, set to its program.</param>
    /// <param name="formula">The dough.</param>
    /// <param name="dough">All of it.</param>
    /// <param name="room">The kitchen.</param>
    /// <param name="sinceStart">0 or more.</param>
    public static FirstRise Of(Machine machine, Formula formula, Mass dough, Temperature room, TimeSpan sinceStart)
    {
        ArgumentNullException.ThrowIfNull(machine);
        ArgumentNullException.ThrowIfNull(formula);
        var conditions = new RiseConditions(dough, formula.Leaven, formula.Sugar, formula.Salt, Kneaded, room);
        var warm = new Place("pan", "in the machine", false, machine.ByHand ? null : RisesAt, 0, null);
        var (at, left) = (new RisePoint(0, Kneaded.Celsius), sinceStart);
        foreach (var phase in machine.Phases)
        {
            var length = left < phase.Length ? left : phase.Length;
            if (length <= TimeSpan.Zero)
                break;
            if (phase.Kind == PhaseKind.Rise)
                at = RiseModel.Simulate(conditions, warm, at, double.MaxValue, length).Points[^1];
            if (phase.Kind == PhaseKind.KnockBack)
                at = at with { Rise = Math.Min(at.Rise, AfterKnockBack) };
            left -= phase.Length;
        }
        // Left in the pan after the beep.
        if (left > TimeSpan.Zero)
            at = RiseModel
                .Simulate(
                    conditions,
                    new("pan", "in the machine", false, null, 0, Place.OvenFallsIn, machine.ByHand ? null : RisesAt),
                    at,
                    double.MaxValue,
                    left
                )
                .Points[^1];
        return On(conditions, at);
    }

    // Put into a bowl as it is.
    private static FirstRise On(RiseConditions conditions, RisePoint at)
    {
        var more =
            at.Rise >= 1
                ? TimeSpan.Zero
                : RiseModel.Simulate(conditions, Places.Counter, at, 1, TimeSpan.FromHours(24)).TimeTo(1);
        return new(at.Rise, more < Nearly ? TimeSpan.Zero : more);
    }
}
