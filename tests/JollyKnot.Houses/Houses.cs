// Many houses under one roof, for the browser tests: each with a port and a file of its own, and quick to open once the first is
// warm. Their clocks stand until they are set.
// Hears lines "open PORT key value key value", "set PORT time" and "close PORT" on the port it is given, and repeats each when
// done.
using System.Collections.Concurrent;
using System.Globalization;
using System.Net;
using System.Net.Sockets;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Live;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.SignalR;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Time.Testing;

namespace JollyKnot.Houses;

internal sealed class House(IEnumerable<string[]> settings) : WebApplicationFactory<global::Program>
{
    // A Thursday; the demo's Saturday comes two days later.
    private readonly FakeTimeProvider wall = new(new(2026, 11, 26, 10, 0, 0, TimeSpan.Zero));

    /// <summary>Sets the house's clock, and tells its pages. Timers that are due by then have fired.</summary>
    public async Task Set(DateTimeOffset time)
    {
        wall.Advance(time - Services.GetRequiredService<HouseClock>().GetUtcNow());
        await Services.GetRequiredService<IHubContext<LiveHub, ILiveScreen>>().Clients.All.ClockSet();
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseEnvironment("Production");
        foreach (var setting in settings)
            builder.UseSetting(setting[0], setting[1]);
        builder.ConfigureTestServices(services => services.AddKeyedSingleton<TimeProvider>(HouseClock.Wall, wall));
    }
}

internal static class Houses
{
    private static readonly ConcurrentDictionary<int, House> Open = new();

    private static int Number(string word) => int.Parse(word, CultureInfo.InvariantCulture);

    private static async Task Main(string[] args)
    {
        using var door = new TcpListener(IPAddress.Loopback, Number(args[0]));
        door.Start();
        Console.WriteLine("open");
        while (true)
            _ = Hear(await door.AcceptTcpClientAsync());
    }

    private static async Task Hear(TcpClient caller)
    {
        using var said = new StreamReader(caller.GetStream());
        await using var answer = new StreamWriter(caller.GetStream()) { AutoFlush = true };
        while (await said.ReadLineAsync() is { } line)
        {
            await Task.Run(() => Do(line.Split(' ')));
            await answer.WriteLineAsync(line);
        }
    }

    private static async Task Do(string[] words)
    {
        var port = Number(words[1]);
        switch (words[0])
        {
            case "open":
                Open[port] = new House(words[2..].Chunk(2));
                Open[port].UseKestrel(port);
                Open[port].StartServer();
                break;
            case "set":
                await Open[port].Set(DateTimeOffset.Parse(words[2], CultureInfo.InvariantCulture));
                break;
            default:
                await Open[port].DisposeAsync();
                break;
        }
    }
}
