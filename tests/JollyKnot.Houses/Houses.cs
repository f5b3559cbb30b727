// Many houses under one roof, for the browser tests: each with a port and a file of its own, and quick to open once the first is warm.
// Hears lines "open PORT key value key value" and "close PORT" on the port it is given, and repeats each when it is done.
using System.Collections.Concurrent;
using System.Globalization;
using System.Net;
using System.Net.Sockets;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace JollyKnot.Houses;

internal sealed class House(IEnumerable<string[]> settings) : WebApplicationFactory<global::Program>
{
    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseEnvironment("Production");
        foreach (var setting in settings) builder.UseSetting(setting[0], setting[1]);
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
        while (true) _ = Hear(await door.AcceptTcpClientAsync());
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

    private static void Do(string[] words)
    {
        var port = Number(words[1]);
        if (words[0] == "close") Open[port].Dispose();
        else
        {
            Open[port] = new House(words[2..].Chunk(2));
            Open[port].UseKestrel(port);
            Open[port].StartServer();
        }
    }
}
