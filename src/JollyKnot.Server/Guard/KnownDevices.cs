// The devices that said the passphrase: each by its name, until it leaves or is sent away.
using System.Collections.Immutable;
using JollyKnot.Server.Clock;
using JollyKnot.Store;

namespace JollyKnot.Server.Guard;

/// <summary>A device that came in.</summary>
/// <param name="Id">Its own.</param>
/// <param name="Name">As it was called at the door.</param>
/// <param name="Since">When it came.</param>
/// <param name="Seen">When it last asked, to the hour.</param>
public sealed record Device(Guid Id, string Name, DateTimeOffset Since, DateTimeOffset Seen);

/// <summary>All of them, as kept.</summary>
public sealed record DeviceList(ImmutableArray<Device> Devices);

/// <summary>Who came in.</summary>
public sealed class KnownDevices(Settings settings, [FromKeyedServices(HouseClock.Wall)] TimeProvider clock) : IDisposable
{
    internal static readonly DocumentKind<DeviceList> Kept = new("devices");

    private const int LongestName = 40,
        Most = 50;
    private static readonly TimeSpan SeenAgain = TimeSpan.FromHours(1);

    private readonly SemaphoreSlim writing = new(1);
    private ImmutableArray<Device>? known;

    /// <summary>All of them, the last to come first.</summary>
    public async Task<ImmutableArray<Device>> All() => known ??= (await settings.Get(Kept))?.Devices ?? [];

    /// <summary>One more. Where there are too many, the one not seen for longest goes.</summary>
    /// <param name="name">What it is called.</param>
    public async Task<Device> Come(string name)
    {
        var now = clock.GetUtcNow();
        var called = name.Trim() is { Length: > 0 } given ? given[..Math.Min(given.Length, LongestName)] : "Device";
        var device = new Device(Guid.NewGuid(), called, now, now);
        await Change(all => [device, .. all.OrderByDescending(d => d.Seen).Take(Most - 1)]);
        return device;
    }

    /// <summary>Whether it came in and was not sent away.</summary>
    public async Task<bool> Knows(Guid id)
    {
        var now = clock.GetUtcNow();
        if ((await All()).FirstOrDefault(d => d.Id == id) is not { } device)
            return false;
        if (now - device.Seen >= SeenAgain)
            await Change(all => [.. all.Select(d => d.Id == id ? d with { Seen = now } : d)]);
        return true;
    }

    /// <summary>Sends it away, or lets it leave. False when it was not there.</summary>
    public async Task<bool> Leave(Guid id)
    {
        var was = await All();
        await Change(all => [.. all.Where(d => d.Id != id)]);
        return was.Any(d => d.Id == id);
    }

    private async Task Change(Func<ImmutableArray<Device>, ImmutableArray<Device>> change)
    {
        await writing.WaitAsync();
        try
        {
            var after = change(await All());
            await settings.Set(Kept, new DeviceList(after));
            known = after;
        }
        finally
        {
            writing.Release();
        }
    }

    /// <inheritdoc/>
    public void Dispose() => writing.Dispose();
}
