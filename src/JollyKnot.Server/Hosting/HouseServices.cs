using System.Net;
using JollyKnot.Devices;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Copying;
using JollyKnot.Server.Day;
using JollyKnot.Server.Demo;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Larders;
using JollyKnot.Server.Layouts;
using JollyKnot.Server.Live;
using JollyKnot.Server.Logbook;
using JollyKnot.Server.Pantry;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.Json;

namespace JollyKnot.Server.Hosting;

/// <summary>What the house is made of.</summary>
public static class HouseServices
{
    private const int LargestBody = 1 << 20,
        LargestMessage = 4096;

    /// <summary>Where it listens, and to whom.</summary>
    public static void ListenAs(this WebApplicationBuilder builder, HouseOptions options)
    {
        ArgumentNullException.ThrowIfNull(builder);
        var securePort = HouseNetwork.SecurePortOf(builder.Configuration);
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            kestrel.Listen(options.IsOpen ? IPAddress.Any : IPAddress.Loopback, options.Port);
            if (options.IsOpen)
                kestrel.Listen(
                    IPAddress.Any,
                    securePort,
                    secure => secure.UseHttps(new HouseCertificates(options.Data).ForThisMachine(HouseNetwork.Addresses()))
                );
            kestrel.Limits.MaxRequestBodySize = LargestBody;
            kestrel.AddServerHeader = false;
        });
        builder.Logging.SetMinimumLevel(LogLevel.Warning);
        // The keys of devices lie unlocked in a folder that is the household's own, as its bread does.
        builder.Logging.AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
    }

    /// <summary>Everything that answers.</summary>
    public static void AddHouse(this IServiceCollection services, HouseOptions options)
    {
        ArgumentNullException.ThrowIfNull(options);
        services.AddWire();
        JollyStore.AddTo(services, options.Data);
        services.AddSingleton<HouseNetwork>();
        services.AddSingleton<KnownDevices>();
        if (options.IsOpen)
            Door.AddTo(services, options.Data);
        services.AddDevices(options);
        services.AddSingleton<KitchenKeeper>();
        services.AddSingleton<Closer>(p => over => PastBakes.Close(over, p.GetRequiredService<KitchenKeeper>().Voice));
        services.AddSingleton<PantryKeeper>();
        services.AddSingleton<LarderKeeper>();
        services.AddSingleton<CycleKeeper>();
        services.AddSingleton<Planner>();
        services.AddSingleton<DayMemory>();
        services.AddSingleton<DayBoard>();
        services.AddSingleton<DoseMemories>();
        services.AddSingleton<ScaleFeed>();
    }

    /// <summary>What goes on by itself: bells, the scale, copies.</summary>
    public static void AddFeeds(this IServiceCollection services, HouseOptions options)
    {
        ArgumentNullException.ThrowIfNull(options);
        services.AddHostedService<CallFeed>();
        services.AddHostedService(p => p.GetRequiredService<ScaleFeed>());
        if (!options.Demo)
            services.AddHostedService<CopyFeed>();
    }

    // How things are said over the wire.
    private static void AddWire(this IServiceCollection services)
    {
        services.Configure<JsonOptions>(o => Json.Configure(o.SerializerOptions));
        services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        services.AddOpenApi(Schemas.Describe);
        services.AddResponseCompression(o => o.EnableForHttps = true);
        services
            .AddSignalR(o => o.MaximumReceiveMessageSize = LargestMessage)
            .AddJsonProtocol(o => Json.Configure(o.PayloadSerializerOptions));
    }

    // The clock, and what stands in for devices that are not there.
    private static void AddDevices(this IServiceCollection services, HouseOptions options)
    {
        services.AddKeyedSingleton(HouseClock.Wall, TimeProvider.System);
        // The house clock is nobody else's: the web server's own timeouts stay real.
        services.AddSingleton(p => StartClock(p, options).GetAwaiter().GetResult());
        services.AddSingleton(p => new SimulatedScale(p.GetRequiredService<HouseClock>()));
        services.AddSingleton(p => new SimulatedProbe(p.GetRequiredService<HouseClock>()));
        services.AddSingleton(p => new SimulatedOven(p.GetRequiredService<HouseClock>()));
        services.AddSingleton(p => new SimulatedRoom(p.GetRequiredService<HouseClock>()));
        services.AddSingleton(p => new SimulatedMachine(p.GetRequiredService<HouseClock>()));
        services.AddSingleton(p => new FedScale(
            p.GetRequiredService<SimulatedScale>(),
            p.GetRequiredKeyedService<TimeProvider>(HouseClock.Wall)
        ));
        services.AddSingleton<IScale>(p => p.GetRequiredService<FedScale>());
    }

    private static async Task<HouseClock> StartClock(IServiceProvider services, HouseOptions options)
    {
        var (kept, wall) = (
            services.GetRequiredService<Settings>(),
            services.GetRequiredKeyedService<TimeProvider>(HouseClock.Wall)
        );
        var (demo, speed) = (options.Demo, options.Speed);
        var begins = demo ? await DemoSeed.BeginsAnew(services.GetRequiredService<JollyStore>(), kept, wall) : null;
        var told = await services.GetRequiredService<BakeBook>().LastTold();
        return demo
            ? await HouseClock.Demo(kept, wall, speed, told, begins)
            : await HouseClock.Household(kept, wall, speed, told);
    }
}
