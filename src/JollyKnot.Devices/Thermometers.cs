using JollyKnot.Core.Baking;
using JollyKnot.Core.Measures;

namespace JollyKnot.Devices;

/// <summary>A thermometer of any kind.</summary>
public interface IThermometer
{
    /// <summary>What it shows now; null when it is nowhere.</summary>
    Temperature? Read();
}

/// <summary>A stand-in probe in the middle of a piece, true to a tenth of a degree but for its own small error.</summary>
/// <param name="time">Its clock.</param>
public sealed class SimulatedProbe(TimeProvider time) : IThermometer
{
    // A household probe reads so far off. Makers' sheets.
    private const double Error = .3;
    private (PieceInOven Piece, DateTimeOffset Loaded, Temperature Boils)? where;

    /// <summary>Sticks it into a piece in the oven, or takes it out.</summary>
    public void Stick((PieceInOven Piece, DateTimeOffset Loaded, Temperature Boils)? into) => where = into;

    /// <inheritdoc/>
    public Temperature? Read()
    {
        if (where is not { } w)
            return null;
        var inside = time.GetUtcNow() - w.Loaded;
        return Temperature.FromCelsius(
            Math.Round(
                CoreHeat.At(w.Piece.Body, w.Piece.Air, w.Piece.Fan, inside, w.Boils).Celsius
                    + Error * Math.Sin(inside.TotalMinutes),
                1
            )
        );
    }
}

/// <summary>A stand-in oven: heats, overshoots, cycles, loses heat at the door.</summary>
/// <param name="time">Its clock.</param>
public sealed class SimulatedOven(TimeProvider time) : IThermometer
{
    private (Oven Oven, Temperature Room, Temperature Heat, DateTimeOffset On, DateTimeOffset? Door)? state;

    /// <summary>Sets it, or switches it off.</summary>
    public void Set((Oven Oven, Temperature Room, Temperature Heat, DateTimeOffset On, DateTimeOffset? Door)? to) => state = to;

    /// <inheritdoc/>
    public Temperature? Read() =>
        state is { } s ? OvenHeat.At(s.Oven, s.Room, s.Heat, time.GetUtcNow() - s.On, time.GetUtcNow() - s.Door) : null;
}

/// <summary>A stand-in room sensor: the room as it is set, half a degree warmer in the afternoon.</summary>
/// <param name="time">Its clock.</param>
public sealed class SimulatedRoom(TimeProvider time) : IThermometer
{
    private const double Daily = .5;

    /// <summary>The room it stands in.</summary>
    public Temperature Room { get; set; } = Temperature.FromCelsius(20);

    /// <inheritdoc/>
    public Temperature? Read() =>
        Temperature.FromCelsius(
            Math.Round(Room.Celsius + Daily * Math.Sin((time.GetUtcNow().TimeOfDay.TotalHours - 9) / 24 * 2 * Math.PI), 1)
        );
}
