// A copy of the book each day.
using JollyKnot.Server.Clock;
using JollyKnot.Store;

namespace JollyKnot.Server.Copying;

/// <summary>Makes the day's copy, soon after the start and then as soon as there is a new day.</summary>
internal sealed partial class CopyFeed(
    Copies copies,
    [FromKeyedServices(HouseClock.Wall)] TimeProvider clock,
    ILogger<CopyFeed> log
) : BackgroundService
{
    private static readonly TimeSpan First = TimeSpan.FromMinutes(2),
        Each = TimeSpan.FromMinutes(30);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        try
        {
            await Task.Delay(First, clock, stoppingToken);
            for (; ; await Task.Delay(Each, clock, stoppingToken))
                MakeToday();
        }
        catch (OperationCanceledException)
        {
            // The server stops.
        }
    }

    // A copy that fails is no reason to stop baking: it is tried again, and the page says how old the last one is.
    private void MakeToday()
    {
        try
        {
            if (!copies.HasOf(clock.GetLocalNow()))
                copies.Make(clock.GetLocalNow());
        }
        catch (Exception failed) when (failed is IOException or NotOurBookException or Microsoft.Data.Sqlite.SqliteException)
        {
            Failed(log, failed.Message);
        }
    }

    [LoggerMessage(LogLevel.Warning, "The day's copy could not be made: {Why}")]
    private static partial void Failed(ILogger log, string why);
}
