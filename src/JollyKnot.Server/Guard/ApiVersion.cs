using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using JollyKnot.Store;

namespace JollyKnot.Server.Guard;

/// <summary>
/// The version of the HTTP API. A page kept open over an update sees that it is of another version and asks to be loaded anew;
/// until then, the events it tells are understood as its version meant them.
/// </summary>
public static class ApiVersion
{
    /// <summary>Raised when a request or an answer changes its shape. The version of events is the same number.</summary>
    public static int Current => Kinds.Event.Version;

    /// <summary>In answers: the server's. In requests: the page's; a page that does not say is of the first.</summary>
    public const string Header = "Jolly-Knot-Version";

    // What a page of the last version may tell late.
    private const string Events = "/events";

    /// <summary>Says the version in every answer of the API, and brings up what an older page tells.</summary>
    public static void UseApiVersion(this IApplicationBuilder app) =>
        app.Use(
            async (context, next) =>
            {
                if (context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal))
                {
                    context.Response.Headers[Header] = Current.ToString(CultureInfo.InvariantCulture);
                    if (IsOldEvent(context.Request))
                        await Understand(context);
                }
                await next(context);
            }
        );

    private static bool IsOldEvent(HttpRequest request) =>
        HttpMethods.IsPost(request.Method)
        && request.HasJsonContentType()
        && VersionOf(request) < Current
        && request.Path.Value is { } path
        && path.EndsWith(Events, StringComparison.Ordinal);

    private static int VersionOf(HttpRequest request) =>
        int.TryParse(request.Headers[Header], NumberStyles.None, CultureInfo.InvariantCulture, out var version) && version > 0
            ? version
            : 1;

    // The body with its event brought up; as it was when it is not what it should be, for the endpoint to say why.
    private static async Task Understand(HttpContext context)
    {
        var (request, aborted) = (context.Request, context.RequestAborted);
        var body = new MemoryStream();
        await request.Body.CopyToAsync(body, aborted);
        if (
            BakeOf(request.Path) is { } id
            && await context.RequestServices.GetRequiredService<BakeBook>().Find(id) is { } bake
            && Told(body.ToArray()) is { } told
            && told["event"] is JsonObject @event
        )
        {
            told["event"] = BakeBook.BroughtUp(@event.DeepClone(), VersionOf(request), bake);
            body = new(JsonSerializer.SerializeToUtf8Bytes(told));
        }
        body.Position = 0;
        (request.Body, request.ContentLength) = (body, body.Length);
    }

    private static Guid? BakeOf(PathString path) =>
        path.Value!.Split('/') is [_, "api", "bakes", var id, _] && Guid.TryParse(id, out var bake) ? bake : null;

    private static JsonObject? Told(byte[] body)
    {
        try
        {
            return JsonNode.Parse(body) as JsonObject;
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
