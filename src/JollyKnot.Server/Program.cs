using System.Globalization;
using System.Net;
using System.Net.Sockets;
using System.Reflection;
using JollyKnot.Core.Measures;
using JollyKnot.Devices;
using JollyKnot.Server.Archiving;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Copying;
using JollyKnot.Server.Day;
using JollyKnot.Server.Demo;
using JollyKnot.Server.Doughs;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Larders;
using JollyKnot.Server.Layouts;
using JollyKnot.Server.Live;
using JollyKnot.Server.Loads;
using JollyKnot.Server.Logbook;
using JollyKnot.Server.Pantry;
using JollyKnot.Server.Scale;
using JollyKnot.Server.Shaping;
using JollyKnot.Server.StandIns;
using JollyKnot.Server.Today;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Http.Json;

// A book put back from a page stops the house, which begins anew with it.
var putBack = new PutBack();
int ended;
do ended = await Serve(args, putBack);
while (putBack.IsWanted);
return ended;

static async Task<int> Serve(string[] args, PutBack putBack)
{
    var builder = WebApplication.CreateBuilder(
        new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory }
    );
    var settings = builder.Configuration;
    var demo = settings.GetValue("demo", false);
    var data =
        settings["data"]
        ?? Path.Combine(
            Environment.GetFolderPath(Environment.SpecialFolder.LocalApplicationData, Environment.SpecialFolderOption.Create),
            demo ? "jolly-knot-demo" : "jolly-knot"
        );
    var speed =
        double.TryParse(settings["speed"] ?? "1", CultureInfo.InvariantCulture, out var s) && s is > 0 and <= 3600
            ? s
            : throw new ArgumentException("--speed is a number over 0, at most 3600.");
    var port = HouseNetwork.PortOf(settings);
    const int largestBody = 1 << 20;

    var isOpen = settings.GetValue("house", false);
    builder.WebHost.ConfigureKestrel(kestrel =>
    {
        kestrel.Listen(isOpen ? IPAddress.Any : IPAddress.Loopback, port);
        if (isOpen)
            kestrel.Listen(
                IPAddress.Any,
                HouseNetwork.SecurePortOf(settings),
                secure => secure.UseHttps(new HouseCertificates(data).ForThisMachine(HouseNetwork.Addresses()))
            );
        kestrel.Limits.MaxRequestBodySize = largestBody;
        kestrel.AddServerHeader = false;
    });
    builder.Logging.SetMinimumLevel(LogLevel.Warning);
    // The keys of devices lie unlocked in a folder that is the household's own, as its bread does.
    builder.Logging.AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
    builder.Services.Configure<JsonOptions>(o => Json.Configure(o.SerializerOptions));
    builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
    builder.Services.AddOpenApi(Schemas.Describe);
    builder.Services.AddResponseCompression(o => o.EnableForHttps = true);
    builder
        .Services.AddSignalR(o => o.MaximumReceiveMessageSize = 4096)
        .AddJsonProtocol(o => Json.Configure(o.PayloadSerializerOptions));
    JollyStore.AddTo(builder.Services, data);
    builder.Services.AddKeyedSingleton(HouseClock.Wall, TimeProvider.System);
    builder.Services.AddSingleton(putBack);

    // The house clock is nobody else's: the web server's own timeouts stay real.
    builder.Services.AddSingleton(p => StartClock(p).GetAwaiter().GetResult());
    builder.Services.AddSingleton(p => new SimulatedScale(p.GetRequiredService<HouseClock>()));
    builder.Services.AddSingleton(p => new SimulatedProbe(p.GetRequiredService<HouseClock>()));
    builder.Services.AddSingleton(p => new SimulatedOven(p.GetRequiredService<HouseClock>()));
    builder.Services.AddSingleton(p => new SimulatedRoom(p.GetRequiredService<HouseClock>()));
    builder.Services.AddSingleton(p => new SimulatedMachine(p.GetRequiredService<HouseClock>()));
    builder.Services.AddSingleton(p => new FedScale(
        p.GetRequiredService<SimulatedScale>(),
        p.GetRequiredKeyedService<TimeProvider>(HouseClock.Wall)
    ));
    builder.Services.AddSingleton<IScale>(p => p.GetRequiredService<FedScale>());
    builder.Services.AddSingleton<HouseNetwork>();
    builder.Services.AddSingleton<KnownDevices>();
    if (isOpen)
        Door.AddTo(builder.Services, data);
    builder.Services.AddSingleton<KitchenKeeper>();
    builder.Services.AddSingleton<Closer>(p => over => PastBakes.Close(over, p.GetRequiredService<KitchenKeeper>().Voice));
    builder.Services.AddSingleton<PantryKeeper>();
    builder.Services.AddSingleton<LarderKeeper>();
    builder.Services.AddSingleton<CycleKeeper>();
    builder.Services.AddSingleton<Planner>();
    builder.Services.AddSingleton<DayMemory>();
    builder.Services.AddSingleton<DayBoard>();
    builder.Services.AddSingleton<DoseMemories>();

    // Writing the API's document at build starts nothing and touches no store.
    builder.Services.AddSingleton<ScaleFeed>();
    var describing = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";
    if (!describing)
    {
        builder.Services.AddHostedService<CallFeed>();
        builder.Services.AddHostedService(p => p.GetRequiredService<ScaleFeed>());
        if (!demo)
            builder.Services.AddHostedService<CopyFeed>();
    }

    var app = builder.Build();
    if (settings["restore"] is { } copy)
        return await Restored(copy);
    app.UseRequestLog();
    app.UseExceptionHandler(Problems.Handling);
    app.UseStatusCodePages(Problems.Explain);
    app.UseDoor(app.Services.GetRequiredService<HouseNetwork>());
    // Who asks for the head only is answered as who asks for all.
    app.Use(HeadAsAll);
    app.UseRouting();
    app.UseApiVersion();
    app.UseWholeBodies();

    // Within one machine no line is slow.
    app.UseWhen(
        call => call.Connection.RemoteIpAddress is not { } from || !System.Net.IPAddress.IsLoopback(from),
        far => far.UseResponseCompression()
    );
    app.UseDefaultFiles();
    app.UseStaticFiles(
        new StaticFileOptions
        {
            // Built files carry their content in their name; the page itself does not.
            OnPrepareResponse = file =>
                file.Context.Response.Headers.CacheControl = file.Context.Request.Path.StartsWithSegments(
                    "/assets",
                    StringComparison.Ordinal
                )
                    ? "public, max-age=31536000, immutable"
                    : "no-cache",
        }
    );
    app.MapOpenApi("/openapi/{documentName}.json");
    app.Use(
        async (context, next) =>
        {
            ProblemWords.Read(
                (await context.RequestServices.GetRequiredService<KitchenKeeper>().Get()).Units ?? HouseholdUnits.Plain
            );
            await next();
        }
    );
    app.MapToday();
    app.MapDay();
    app.MapKitchen();
    app.MapFirstQuestions();
    app.MapPantry();
    app.MapDoughs();
    app.MapRecipes();
    app.MapLoads();
    app.MapLayouts();
    app.MapBakes();
    app.MapLarder();
    app.MapCycles();
    app.MapPhotos();
    app.MapShaping();
    app.MapLogbook();
    app.MapScale();
    app.MapStandIns();
    app.MapLabels();
    app.MapCopies();
    app.MapArchive();
    app.MapHouse();
    app.MapHub<LiveHub>("/live");
    app.Map("/api/{**rest}", () => Problems.Missing("address")).ExcludeFromDescription();
    app.MapFallbackToFile("index.html");

    if (!describing)
    {
        if (IsOnTheNet(app) && IsTaken(port))
        {
            await Console.Error.WriteLineAsync(
                $"Port {port} is taken: does Jolly Knot run already? Or give another with --port."
            );
            return 1;
        }
        var store = app.Services.GetRequiredService<JollyStore>();
        try
        {
            if (putBack.Take() is { } wanted)
                await TryRestore(wanted);
            await store.Open();
            await app.Services.GetRequiredService<HouseNetwork>().Start();
        }
        catch (NotOurBookException refused)
        {
            await Console.Error.WriteLineAsync(refused.Message);
            return 1;
        }
        if (app.Services.GetRequiredService<HowFar>().Lost is { } lost)
            await Console.Error.WriteLineAsync($"The end of this book is missing: {lost.Missing} things told last.");
        await app.Services.GetRequiredService<KitchenKeeper>().Get();
        await app.Services.GetRequiredService<BakeBook>().CloseOld(app.Services.GetRequiredService<HouseClock>().GetUtcNow());
        if (demo)
            await DemoSeed.Run(app.Services);
        app.Lifetime.ApplicationStarted.Register(() => _ = Warm(app.Services));
    }
    var isOnTheNet = IsOnTheNet(app);
    await app.RunAsync();
    // Tests begin anew by themselves.
    if (!isOnTheNet)
        putBack.Take();
    return 0;

    // What somebody asks for soon is there then: the logbook's first page, and the solver.
    static async Task Warm(IServiceProvider services)
    {
        await Task.Run(() => services.GetRequiredService<BakeBook>().Closed(LogbookEndpoints.AtOnce));
        await services.GetRequiredService<DayBoard>().Warm();
    }

    // It was looked at before the house stopped; what still goes wrong leaves the book as it was.
    async Task TryRestore(string copy)
    {
        try
        {
            app.Services.GetRequiredService<Copies>().Restore(copy, TimeProvider.System.GetLocalNow());
        }
        catch (Exception failed) when (failed is NotOurBookException or IOException or Microsoft.Data.Sqlite.SqliteException)
        {
            await Console.Error.WriteLineAsync($"{copy} was not put back: {failed.Message}");
        }
    }

    async Task<int> Restored(string copy)
    {
        try
        {
            var aside = app.Services.GetRequiredService<Copies>().Restore(copy, TimeProvider.System.GetLocalNow());
            await Console.Out.WriteLineAsync(
                $"{copy} is in its place."
                    + (aside is null ? "" : $" What was there lies in {aside}; it can be restored the same way.")
            );
            return 0;
        }
        catch (NotOurBookException refused)
        {
            await Console.Error.WriteLineAsync(refused.Message);
            return 1;
        }
    }

    async Task<HouseClock> StartClock(IServiceProvider services)
    {
        var (kept, wall) = (
            services.GetRequiredService<Settings>(),
            services.GetRequiredKeyedService<TimeProvider>(HouseClock.Wall)
        );
        var begins = demo ? await DemoSeed.BeginsAnew(services.GetRequiredService<JollyStore>(), kept, wall) : null;
        var told = await services.GetRequiredService<BakeBook>().LastTold();
        return demo
            ? await HouseClock.Demo(kept, wall, speed, told, begins)
            : await HouseClock.Household(kept, wall, speed, told);
    }
}

static Task HeadAsAll(HttpContext context, RequestDelegate next)
{
    if (HttpMethods.IsHead(context.Request.Method))
        (context.Request.Method, context.Response.Body) = (HttpMethods.Get, Stream.Null);
    return next(context);
}

// Tests ask without a network.
static bool IsOnTheNet(WebApplication app) =>
    app.Services.GetRequiredService<IServer>().GetType().Name.StartsWith("Kestrel", StringComparison.Ordinal);

// Whether somebody listens there already; the server would say so with a trace.
static bool IsTaken(int port)
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

/// <summary>The server, named so that tests can start it.</summary>
public partial class Program;
