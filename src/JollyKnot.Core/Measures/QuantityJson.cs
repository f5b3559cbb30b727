// Quantities travel as the plain number of their canonical unit; what is not a finite number never becomes one.
using System.Text.Json;
using System.Text.Json.Serialization;

namespace JollyKnot.Core.Measures;

/// <summary>Reads and writes a quantity as its number in the canonical unit.</summary>
/// <typeparam name="T">The quantity.</typeparam>
public sealed class QuantityJsonConverter<T> : JsonConverter<T>
    where T : struct, IQuantity<T>
{
    /// <inheritdoc/>
    public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType != JsonTokenType.Number || !reader.TryGetDouble(out var value) || !double.IsFinite(value))
            throw new JsonException($"A number of {T.Unit} is wanted here.");
        try
        {
            return T.From(value);
        }
        catch (ArgumentOutOfRangeException)
        {
            throw new JsonException($"This number of {T.Unit} cannot be.");
        }
    }

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(writer);
        writer.WriteNumberValue(value.Value);
    }
}

/// <summary>Reads and writes a length of time as seconds.</summary>
public sealed class SecondsJsonConverter : JsonConverter<TimeSpan>
{
    /// <inheritdoc/>
    public override TimeSpan Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.TokenType == JsonTokenType.Number && reader.TryGetDouble(out var seconds) && Math.Abs(seconds) < 1e10
            // Rounded: what was written comes back to the tick.
            ? new TimeSpan((long)Math.Round(seconds * TimeSpan.TicksPerSecond))
            : throw new JsonException("A number of seconds is wanted here.");

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, TimeSpan value, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(writer);
        writer.WriteNumberValue(value.TotalSeconds);
    }
}
