using System.Reflection;
using JollyKnot.Server.Copying;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;

// A book put back from a page stops the house, which begins anew with it.
var putBack = new PutBack();
int ended;
do ended = await Serve(args, putBack);
while (putBack.IsWanted);
return ended;

static async Task<int> Serve(string[] args, PutBack putBack)
{
    // Beside the building of the house, where there are two cores.
    _ = Task.Run(KitchenKeeper.Rehearse);
    var builder = WebApplication.CreateBuilder(
        new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory }
    );
    var options = HouseOptions.Of(builder.Configuration);
    builder.ListenAs(options);
    builder.Services.AddSingleton(putBack);
    builder.Services.AddHouse(options);
    // Writing the API's document at build starts nothing and touches no store.
    var isDescribing = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";
    if (!isDescribing)
        builder.Services.AddFeeds(options);

    var app = builder.Build();
    var opening = new Opening(app, options, putBack);
    if (builder.Configuration["restore"] is { } copy)
        return await opening.Restore(copy) ? 0 : 1;
    app.UseHouse(isDescribing);
    if (!isDescribing && !await opening.Open())
        return 1;
    var isOnTheNet = opening.IsOnTheNet;
    await app.RunAsync();
    // Tests begin anew by themselves.
    if (!isOnTheNet)
        putBack.Take();
    return 0;
}

/// <summary>The server, named so that tests can start it.</summary>
public partial class Program;
