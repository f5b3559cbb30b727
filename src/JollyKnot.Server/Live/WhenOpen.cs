namespace JollyKnot.Server.Live;

/// <summary>Whoever comes first is answered first: what runs beside waits until the house is open.</summary>
internal static class WhenOpen
{
    /// <summary>Ends once the house is open, or when it closes before.</summary>
    public static async Task WaitUntilOpen(this IHostApplicationLifetime house, CancellationToken stopping)
    {
        var open = new TaskCompletionSource(TaskCreationOptions.RunContinuationsAsynchronously);
        await using var opens = house.ApplicationStarted.Register(() => open.TrySetResult());
        await open.Task.WaitAsync(stopping);
    }
}
