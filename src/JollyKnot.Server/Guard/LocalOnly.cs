using System.Net;

namespace JollyKnot.Server.Guard;

/// <summary>Answers only pages and programs of this machine, and lets no other page speak for them.</summary>
public static class LocalOnly
{
    private const string Policy =
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; media-src 'self' blob:; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /// <summary>Refuses foreign Host and Origin; sets the headers that keep a page to itself.</summary>
    public static void UseLocalOnly(this IApplicationBuilder app) => app.Use(async (context, next) =>
    {
        var request = context.Request;
        var origin = request.Headers.Origin.ToString();
        if (!IsLoopback(request.Host.Host) || (origin.Length > 0 && !IsSame(origin, request.Host)))
        {
            context.Response.StatusCode = StatusCodes.Status403Forbidden;
            await context.Response.WriteAsJsonAsync(new { type = "urn:jolly-knot:problem:foreign", title = "Only this machine is answered.", status = 403 });
            return;
        }
        context.Response.Headers.ContentSecurityPolicy = Policy;
        context.Response.Headers.XContentTypeOptions = "nosniff";
        context.Response.Headers["Referrer-Policy"] = "no-referrer";
        await next();
    });

    private static bool IsSame(string origin, HostString host) =>
        Uri.TryCreate(origin, UriKind.Absolute, out var uri) && string.Equals(uri.Authority, host.Value, StringComparison.OrdinalIgnoreCase);

    private static bool IsLoopback(string host) =>
        string.Equals(host, "localhost", StringComparison.OrdinalIgnoreCase) || (IPAddress.TryParse(host.Trim('[', ']'), out var ip) && IPAddress.IsLoopback(ip));
}
