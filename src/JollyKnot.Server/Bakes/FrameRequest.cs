using JollyKnot.Core.Plans;
using JollyKnot.Core.Strands;

namespace JollyKnot.Server.Bakes;

/// <summary>The room a picture has.</summary>
/// <param name="Width">Pixels, 200 to 4000.</param>
/// <param name="UtcOffsetMinutes">Of the screen's clock.</param>
/// <param name="Slim">A strip for a phone; where nothing is said, as the room is.</param>
public sealed record FrameRequest(double Width, int UtcOffsetMinutes, bool? Slim = null)
{
    // Rooms under this are a phone's, pixels. Ours.
    private const double SlimUnder = 640;

    /// <summary>The same, within bounds.</summary>
    /// <param name="closed">When nobody is up or in.</param>
    internal Frame ToFrame(Closed? closed = null) =>
        new(
            Math.Clamp(Width, 200, 4000),
            Slim ?? Width < SlimUnder,
            TimeSpan.FromMinutes(Math.Clamp(UtcOffsetMinutes, -14 * 60, 14 * 60))
        )
        {
            Away = closed?.Hands ?? [],
        };
}
