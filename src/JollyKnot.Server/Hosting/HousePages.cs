using System.Net;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Archiving;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Copying;
using JollyKnot.Server.Day;
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

namespace JollyKnot.Server.Hosting;

/// <summary>What a call goes through, and who answers it.</summary>
public static class HousePages
{
    /// <summary>Guards first, then pages and the API.</summary>
    /// <param name="app">The house.</param>
    /// <param name="isDescribing">It is only built for the API's document.</param>
    public static void UseHouse(this WebApplication app, bool isDescribing)
    {
        ArgumentNullException.ThrowIfNull(app);
        app.UseGuards();
        app.UsePages();
        app.Use(InHouseholdUnits);
        new Answers(app, atOnce: isDescribing).MapApi();
        app.MapHub<LiveHub>("/live");
        // Written when the house was built.
        app.MapGet(
                "/openapi/v1.json",
                () => Results.File(Path.Combine(AppContext.BaseDirectory, "openapi.json"), "application/json")
            )
            .ExcludeFromDescription();
        app.Map("/api/{**rest}", () => Problems.Missing("address")).ExcludeFromDescription();
        app.MapFallbackToFile("index.html");
    }

    private static void UseGuards(this WebApplication app)
    {
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
            call => call.Connection.RemoteIpAddress is not { } from || !IPAddress.IsLoopback(from),
            far => far.UseResponseCompression()
        );
    }

    private static void UsePages(this WebApplication app)
    {
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
    }

    private static void MapApi(this Answers app)
    {
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
    }

    // What is wrong is said in the household's units.
    private static async Task InHouseholdUnits(HttpContext context, RequestDelegate next)
    {
        var kitchen = await context.RequestServices.GetRequiredService<KitchenKeeper>().Get();
        ProblemWords.Read(kitchen.Units ?? HouseholdUnits.Plain);
        await next(context);
    }

    private static Task HeadAsAll(HttpContext context, RequestDelegate next)
    {
        if (HttpMethods.IsHead(context.Request.Method))
            (context.Request.Method, context.Response.Body) = (HttpMethods.Get, Stream.Null);
        return next(context);
    }
}
