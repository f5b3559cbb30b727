using System.Globalization;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Devices;

/// <summary>A scale that somebody else reads for us: lines of text with a figure and a unit, in whatever quality they come. While
/// nothing comes, the stand-in answers.</summary>
/// <param name="standIn">Answers while no line comes.</param>
/// <param name="time">The clock on the wall: a real scale does not run faster than it.</param>
public sealed class FedScale(SimulatedScale standIn, TimeProvider time) : IScale
{
    // A scale that said nothing for so long is switched off; after longer it was never there.
    private static readonly TimeSpan Silent = TimeSpan.FromSeconds(3),
        Gone = TimeSpan.FromSeconds(30);

    // Standing still: no more than this, for so long.
    private const double StillGrams = 1;
    private static readonly TimeSpan StillFor = TimeSpan.FromSeconds(.7);
    private const double MostGrams = 20_000;

    private readonly Lock @lock = new();
    private DateTimeOffset heard = DateTimeOffset.MinValue,
        since;
    private double grams,
        still,
        tare;

    /// <summary>Takes a line such as <c>57.2 g</c>, <c>ST,GS,+ 57.2 g</c> or <c>2.01 oz</c>. A line that is no weight is
    /// dropped.</summary>
    /// <returns>Whether it was a weight.</returns>
    public bool Hear(string line)
    {
        if (Weight(line) is not { } weight)
            return false;
        lock (@lock)
        {
            var now = time.GetUtcNow();
            if (Math.Abs(weight - still) > StillGrams || now - heard > Silent)
                (still, since) = (weight, now);
            (grams, heard) = (weight, now);
        }
        return true;
    }

    /// <inheritdoc/>
    public ScaleReading Read()
    {
        lock (@lock)
        {
            var ago = time.GetUtcNow() - heard;
            if (ago > Gone)
                return standIn.Read();
            return ago > Silent ? new(null, false) : new(Mass.FromGrams(grams - tare), heard - since >= StillFor);
        }
    }

    /// <inheritdoc/>
    public void Tare()
    {
        lock (@lock)
        {
            if (time.GetUtcNow() - heard > Gone)
                standIn.Tare();
            else
                tare = grams;
        }
    }

    private static double? Weight(string line)
    {
        if (line is null || line.Length > 64)
            return null;
        // Scales put before it whether they stand still, and what of it is gross: "ST,GS,+ 57.2 g".
        var text = line.Trim();
        if (text.Length > 0 && char.IsLetter(text[0]))
            text = text[(text.LastIndexOf(',') + 1)..].Trim();
        var split = text.Length;
        while (split > 0 && char.IsLetter(text[split - 1]))
            split--;
        double? unit = text[split..].ToLowerInvariant() switch
        {
            "" or "g" => 1,
            "kg" => 1000,
            "oz" or "lb" => Unit.Find(text[split..].ToLowerInvariant())?.Grams.Grams,
            _ => null,
        };
        return
            unit is { } factor
            && double.TryParse(
                text[..split].Replace(" ", "", StringComparison.Ordinal),
                NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint,
                CultureInfo.InvariantCulture,
                out var value
            )
            && double.IsFinite(value)
            && Math.Abs(value * factor) <= MostGrams
            ? value * factor
            : null;
    }
}
