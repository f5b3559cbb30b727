using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Store;
using Microsoft.AspNetCore.SignalR;

namespace JollyKnot.Server.Live;

/// <summary>Calls the screens when something changes or becomes due, also those whose tab sleeps.</summary>
public sealed class CallFeed(
    BakeBook book,
    IHubContext<LiveHub, ILiveScreen> screens,
    HouseClock clock,
    IHostApplicationLifetime house,
    ILogger<CallFeed> log
) : BackgroundService
{
    // A call may be planned for a moment that the wait just misses.
    private static readonly TimeSpan AtLeast = TimeSpan.FromMilliseconds(200),
        AtMost = TimeSpan.FromHours(1);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        var changed = new SemaphoreSlim(0);
        void Heard(Guid bake)
        {
            _ = screens.Clients.All.BakeChanged(bake);
            changed.Release();
        }
        book.Changed += Heard;
        try
        {
            await house.WaitUntilOpen(stoppingToken);
            var seen = clock.GetUtcNow();
            while (!stoppingToken.IsCancellationRequested)
            {
                // Whatever became due since the last round is called, also when something else woke this one.
                var states = (await book.Open()).Select(b => (b.Id, State: BakeEndpoints.State(b, clock))).ToList();
                foreach (var (bake, state) in states)
                    if (state.Calling.Any(s => s.Start > seen))
                        await screens.Clients.All.BakeChanged(bake);
                seen = states.Select(s => s.State.SoFar.Now).DefaultIfEmpty(clock.GetUtcNow()).Min();

                var wait = states.Min(s => s.State.NextCall) is { } next ? next - clock.GetUtcNow() : AtMost;
                using var either = CancellationTokenSource.CreateLinkedTokenSource(stoppingToken);
                await Task.WhenAny(
                    Task.Delay(
                        wait < AtLeast ? AtLeast
                            : wait > AtMost ? AtMost
                            : wait,
                        clock,
                        either.Token
                    ),
                    changed.WaitAsync(either.Token)
                );
                await either.CancelAsync();
            }
        }
        catch (OperationCanceledException)
        {
            log.LogDebug("The house is closing.");
        }
        finally
        {
            book.Changed -= Heard;
        }
    }
}
