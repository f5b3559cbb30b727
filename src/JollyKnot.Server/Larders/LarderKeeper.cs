using JollyKnot.Core.Bakes;
using JollyKnot.Store;

namespace JollyKnot.Server.Larders;

/// <summary>What is kept in fridge and freezer: kept in the store.</summary>
public sealed class LarderKeeper(Settings settings) : IDisposable
{
    private readonly SemaphoreSlim writing = new(1);
    private Larder? kept;

    /// <summary>Everything kept.</summary>
    public async Task<Larder> Get() => kept ??= await settings.Get(Kinds.Larder) ?? Larder.Empty;

    /// <summary>Changes what is kept; one change at a time.</summary>
    /// <param name="change">From what is kept to what is kept then.</param>
    public async Task Change(Func<Larder, Larder> change)
    {
        await writing.WaitAsync();
        try
        {
            var was = await Get();
            var now = change(was);
            if (ReferenceEquals(now, was))
                return;
            await settings.Set(Kinds.Larder, now);
            kept = now;
        }
        finally
        {
            writing.Release();
        }
    }

    /// <inheritdoc/>
    public void Dispose() => writing.Dispose();
}
