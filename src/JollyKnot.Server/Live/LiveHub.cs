using JollyKnot.Core.Dividing;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Store;
using Microsoft.AspNetCore.SignalR;

namespace JollyKnot.Server.Live;

/// <summary>What the bench hears without asking.</summary>
public interface ILiveScreen
{
    /// <summary>A bake changed, or something in it became due.</summary>
    Task BakeChanged(Guid bake);

    /// <summary>The house's clock was set.</summary>
    Task ClockSet();

    /// <summary>The scale shows something new.</summary>
    Task Scale(LiveReading reading);
}

/// <summary>A reading, judged against the part a bake is waiting for. In whole scale units.</summary>
/// <param name="Bake">The bake; null when none is weighing.</param>
/// <param name="Units">What is new on the pan; null on overload or silence.</param>
/// <param name="Step">What one unit weighs.</param>
/// <param name="Settled">It stands still.</param>
/// <param name="Verdict">What to do about it.</param>
/// <param name="Off">Units over the target; negative when under.</param>
/// <param name="Beside">Pieces that were taken and still lie on the pan.</param>
/// <param name="Trimmings">What is new is so little that it belongs to the last piece taken.</param>
/// <param name="Under">What seems to stand under it, untared; null when nothing does. <paramref name="Units"/> is without
/// it.</param>
/// <param name="Auto">Pieces that are good and stand still are taken by themselves.</param>
public sealed record LiveReading(
    Guid? Bake,
    int? Units,
    Mass Step,
    bool Settled,
    Verdict Verdict,
    int Off,
    int Beside = 0,
    bool Trimmings = false,
    string? Under = null,
    bool Auto = false
)
{
    /// <summary>What is taken when the baker says it is in; null when nothing stands on it or it still moves.</summary>
    public Mass? Taken => Settled && Units is { } units ? OnPan.Weighed(Step * units) : null;
}

/// <summary>The live line to the screens.</summary>
public sealed class LiveHub(BakeBook book, ScaleFeed feed, HouseClock clock) : Hub<ILiveScreen>
{
    /// <summary>A screen that joins sees what the scale shows already.</summary>
    public override Task OnConnectedAsync() => feed.Last is { } reading ? Clients.Caller.Scale(reading) : Task.CompletedTask;

    /// <summary>Judges a typed weight, in whole scale units, for a part of this bake; for the one it waits for when no number is
    /// given.</summary>
    public async Task<LiveReading?> Judge(Guid bake, int units, int? number)
    {
        if (await book.Find(bake) is not { } stored)
            return null;
        var station = BakeEndpoints.State(stored, clock).Station;
        var piece = station.Pieces.FirstOrDefault(p => p.Number == number) ?? station.Next;
        return Of(bake, station, piece, Math.Clamp(units, 0, 1_000_000), true);
    }

    internal static LiveReading Of(Guid bake, Station station, Piece? piece, int units, bool settled) =>
        piece is null
            ? new(bake, units, station.Step, settled, Verdict.Empty, 0)
            : new(bake, units, station.Step, settled, piece.Judge(units, station.Crumbs), units - piece.Target);
}
