using JollyKnot.Core.Measures;
using JollyKnot.Devices;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Live;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Scale;

/// <summary>Something put on the stand-in scale; negative takes off.</summary>
public sealed record PutOnScale(Mass Mass);

/// <summary>What became of lines from a scale.</summary>
/// <param name="Heard">Lines that were weights.</param>
/// <param name="Dropped">Lines that were none.</param>
public sealed record LinesHeard(int Heard, int Dropped);

/// <summary>Whether pieces are taken by themselves.</summary>
public sealed record ScaleAuto(bool On);

/// <summary>The scale over HTTP.</summary>
public static class ScaleEndpoints
{
    // Heavier than any kitchen: the stand-in overloads long before.
    private static readonly Band<Mass> CanBePut = new(Mass.FromGrams(-20_000), Mass.FromGrams(20_000));

    /// <summary>Maps the scale and its stand-in's hands.</summary>
    public static void MapScale(this Answers app)
    {
        app.MapGet("/api/scale", (IScale scale) => scale.Read()).WithName("scale");
        app.MapPost(
                "/api/scale/tare",
                (IScale scale) =>
                {
                    scale.Tare();
                    return scale.Read();
                }
            )
            .WithName("tare");
        app.MapPost(
                "/api/scale/put",
                Results<Ok<ScaleReading>, ProblemHttpResult> (PutOnScale put, SimulatedScale scale) =>
                {
                    if (!CanBePut.Holds(put.Mass))
                        return Problems.Bad(new Problem("too-heavy:scale", "mass", CanBePut.To));
                    scale.Put(put.Mass);
                    return TypedResults.Ok(scale.Read());
                }
            )
            .WithName("putOnScale")
            .WithSummary("The stand-in's hands: puts dough on, or takes it off.");
        app.MapPost(
                "/api/scale/lines",
                async Task<Results<Ok<LinesHeard>, ProblemHttpResult>> (HttpRequest request, FedScale scale) =>
                {
                    using var reader = new StreamReader(request.Body);
                    var (heard, dropped) = (0, 0);
                    while (await reader.ReadLineAsync() is { } line)
                        if (scale.Hear(line))
                            heard++;
                        else
                            dropped++;
                    return TypedResults.Ok(new LinesHeard(heard, dropped));
                }
            )
            .WithName("hearScale")
            .Accepts<string>("text/plain")
            .WithSummary("Readings of a real scale, a line each, such as 57.2 g.");
        app.MapPut(
                "/api/scale/auto",
                async (ScaleAuto auto, ScaleFeed feed) =>
                {
                    await feed.TakeByItself(auto.On);
                    return auto;
                }
            )
            .WithName("scaleAuto")
            .WithSummary("Whether pieces that are good and stand still are taken by themselves.");
        app.MapPost(
                "/api/scale/clear",
                (SimulatedScale scale) =>
                {
                    scale.Put(scale.Load * -1);
                    return scale.Read();
                }
            )
            .WithName("clearScale");
    }
}
