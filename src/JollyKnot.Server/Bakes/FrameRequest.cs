using JollyKnot.Core.Plans;
using JollyKnot.Core.Strands;

namespace JollyKnot.Server.Bakes;

/// <summary>The room a picture has.</summary>
/// <param name="Width">Pixels, 200 to 4000.</param>
/// <param name="Slim">A strip for a phone.</param>
/// <param name="UtcOffsetMinutes">Of the screen's clock.</param>
public sealed record FrameRequest(double Width, bool Slim, int UtcOffsetMinutes)
{
    /// <summary>The same, within bounds.</summary>
    /// <param name="closed">When nobody is up or in.</param>
    internal Frame ToFrame(Closed? closed = null) =>
        new(Math.Clamp(Width, 200, 4000), Slim, TimeSpan.FromMinutes(Math.Clamp(UtcOffsetMinutes, -14 * 60, 14 * 60)))
        {
            Away = closed?.Hands ?? [],
        };
}
