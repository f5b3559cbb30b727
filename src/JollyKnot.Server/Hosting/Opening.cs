using System.Net;
using System.Net.Sockets;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Pantry;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Copying;
using JollyKnot.Server.Day;
using JollyKnot.Server.Demo;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Logbook;
using JollyKnot.Store;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.Data.Sqlite;

namespace JollyKnot.Server.Hosting;

/// <summary>From a house that is built to one that is open: its port is free, its book is whole and read.</summary>
public sealed class Opening(WebApplication app, HouseOptions options, PutBack putBack)
{
    // As long as the first page takes. Ours.
    private static readonly TimeSpan FirstPage = TimeSpan.FromSeconds(2);

    private Copies Copies => app.Services.GetRequiredService<Copies>();

    /// <summary>Opens the book; false, and said, where that cannot be.</summary>
    public async Task<bool> Open()
    {
        if (IsOnTheNet && IsTaken(options.Port))
            return await Refused($"Port {options.Port} is taken: does Jolly Knot run already? Or give another with --port.");
        try
        {
            if (putBack.Take() is { } wanted)
                await TryRestore(wanted);
            await app.Services.GetRequiredService<JollyStore>().Open();
            await app.Services.GetRequiredService<HouseNetwork>().Start();
        }
        catch (NotOurBookException refused)
        {
            return await Refused(refused.Message);
        }
        if (app.Services.GetRequiredService<HowFar>().Lost is { } lost)
            await Console.Error.WriteLineAsync($"The end of this book is missing: {lost.Missing} things told last.");
        await app.Services.GetRequiredService<KitchenKeeper>().Get();
        await app.Services.GetRequiredService<BakeBook>().CloseOld(app.Services.GetRequiredService<HouseClock>().GetUtcNow());
        if (options.Demo)
            await DemoSeed.Run(app.Services);
        app.Lifetime.ApplicationStarted.Register(() => _ = Warm());
        return true;
    }

    /// <summary>Puts a copy in the place of the book, and says so; false where it is none.</summary>
    public async Task<bool> Restore(string copy)
    {
        try
        {
            var aside = Copies.Restore(copy, TimeProvider.System.GetLocalNow());
            await Console.Out.WriteLineAsync(
                $"{copy} is in its place."
                    + (aside is null ? "" : $" What was there lies in {aside}; it can be restored the same way.")
            );
            return true;
        }
        catch (NotOurBookException refused)
        {
            return await Refused(refused.Message);
        }
    }

    /// <summary>Whether it listens; tests ask without a network.</summary>
    public bool IsOnTheNet =>
        app.Services.GetRequiredService<IServer>().GetType().Name.StartsWith("Kestrel", StringComparison.Ordinal);

    // It was looked at before the house stopped; what still goes wrong leaves the book as it was.
    private async Task TryRestore(string copy)
    {
        try
        {
            Copies.Restore(copy, TimeProvider.System.GetLocalNow());
        }
        catch (Exception failed) when (failed is NotOurBookException or IOException or SqliteException)
        {
            await Console.Error.WriteLineAsync($"{copy} was not put back: {failed.Message}");
        }
    }

    // What somebody asks for soon is there then: the logbook's first page, the
    // solver, and how recipes are read. Whoever waits at the door comes first.
    private async Task Warm()
    {
        await Task.Delay(FirstPage, app.Lifetime.ApplicationStopping);
        await Task.Run(() => app.Services.GetRequiredService<BakeBook>().Closed(LogbookEndpoints.AtOnce));
        await app.Services.GetRequiredService<DayBoard>().Warm();
        RecipeText.Read("1 g salt", HouseholdPantry.Plain);
    }

    private static async Task<bool> Refused(string why)
    {
        await Console.Error.WriteLineAsync(why);
        return false;
    }

    // Whether somebody listens there already; the server would say so with a trace.
    private static bool IsTaken(int port)
    {
        try
        {
            using var here = new TcpListener(IPAddress.Loopback, port);
            here.Start();
            return false;
        }
        catch (SocketException)
        {
            return true;
        }
    }
}
