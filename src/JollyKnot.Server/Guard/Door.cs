using System.Net;
using JollyKnot.Server.Clock;
using Microsoft.AspNetCore.Http.Features;

namespace JollyKnot.Server.Guard;

/// <summary>Answers only pages and programs of this machine, and lets no other page speak for them. Others of the house come in
/// by its passphrase, once the network is asked for.</summary>
public static class Door
{
    private const string Policy =
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; media-src "
        + "'self' blob:; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors "
        + "'none'";
    private const string Cookie = "jolly-house",
        Bell = "/house";
    private static readonly TimeSpan Remembered = TimeSpan.FromDays(90),
        AfterAWrongOne = TimeSpan.FromSeconds(1),
        SaidWithin = TimeSpan.FromSeconds(5);
    private const long LongestGuess = 4096;

    /// <summary>Refuses foreign Host and Origin and those who do not know the passphrase; sets the headers that keep a page to
    /// itself.</summary>
    public static void UseDoor(this IApplicationBuilder app, HouseNetwork house)
    {
        var oneGuess = new SemaphoreSlim(1);
        var wall = app.ApplicationServices.GetRequiredKeyedService<TimeProvider>(HouseClock.Wall);
        app.Use(
            async (context, next) =>
            {
                var request = context.Request;
                var origin = request.Headers.Origin.ToString();
                if (!IsOurs(request.Host.Host, house.IsOpen) || (origin.Length > 0 && !IsSame(origin, request.Host)))
                {
                    await Refuse(context, StatusCodes.Status403Forbidden, "foreign", "Only this machine is answered.");
                    return;
                }
                context.Response.Headers.ContentSecurityPolicy = Policy;
                context.Response.Headers.XContentTypeOptions = "nosniff";
                context.Response.Headers["Referrer-Policy"] = "no-referrer";
                if (IsHere(context) || (house.IsOpen && (Holds(context, house) || IsCalendar(context, house))))
                    await next();
                else if (!house.IsOpen)
                    await Refuse(context, StatusCodes.Status403Forbidden, "foreign", "Only this machine is answered.");
                else if (request.Path == Bell && HttpMethods.IsPost(request.Method))
                    await Guess(context, house, oneGuess, wall);
                else if (
                    request.Path.StartsWithSegments("/api", StringComparison.Ordinal)
                    || request.Path.StartsWithSegments("/live", StringComparison.Ordinal)
                )
                    await Refuse(
                        context,
                        StatusCodes.Status401Unauthorized,
                        "passphrase",
                        "Say the household's passphrase first."
                    );
                else
                    await Ask(context, wrong: false);
            }
        );
    }

    // One guess at a time, and a while after a wrong one. Who is slow to say it keeps nobody else waiting.
    private static async Task Guess(HttpContext context, HouseNetwork house, SemaphoreSlim oneGuess, TimeProvider wall)
    {
        if (await Said(context, wall) is not { } said)
        {
            await Refuse(context, StatusCodes.Status400BadRequest, "not-readable", "This is no passphrase.");
            return;
        }
        await oneGuess.WaitAsync(context.RequestAborted);
        try
        {
            if (house.Knows(said))
            {
                context.Response.Cookies.Append(
                    Cookie,
                    house.Door,
                    new CookieOptions
                    {
                        HttpOnly = true,
                        SameSite = SameSiteMode.Strict,
                        MaxAge = Remembered,
                        IsEssential = true,
                    }
                );
                context.Response.Redirect("/");
                return;
            }
            await Task.Delay(AfterAWrongOne, context.RequestAborted);
        }
        finally
        {
            oneGuess.Release();
        }
        await Ask(context, wrong: true);
    }

    // What was said in the form, or null when it is too long, too slow, or no form.
    private static async Task<string?> Said(HttpContext context, TimeProvider wall)
    {
        if (!context.Request.HasFormContentType)
            return null;
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
            size.MaxRequestBodySize = LongestGuess;
        using var late = new CancellationTokenSource(SaidWithin, wall);
        using var slow = CancellationTokenSource.CreateLinkedTokenSource(late.Token, context.RequestAborted);
        try
        {
            return (await context.Request.ReadFormAsync(slow.Token))["passphrase"].ToString();
        }
        catch (Exception unread)
            when (unread is OperationCanceledException or InvalidDataException or BadHttpRequestException or IOException)
        {
            return null;
        }
    }

    private static Task Ask(HttpContext context, bool wrong)
    {
        context.Response.StatusCode = StatusCodes.Status401Unauthorized;
        context.Response.ContentType = "text/html; charset=utf-8";
        var mistaken = wrong ? "<p role=\"alert\">That is not it.</p>" : "";
        return context.Response.WriteAsync(
            $"""
            <!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
            <title>Jolly Knot</title>
            <body style="font:20px sans-serif;max-width:24em;margin:15vh auto;padding:0 1em">
            <h1>Jolly Knot</h1><form method="post" action="{Bell}"><label>The household's passphrase<br>
            <input type="password" name="passphrase" autofocus style="font:inherit;width:100%;min-height:56px"></label>
            {mistaken}
            <p><button style="font:inherit;min-height:56px;padding:0 2em">Come in</button></p></form>
            """
        );
    }

    private static Task Refuse(HttpContext context, int status, string type, string title)
    {
        context.Response.StatusCode = status;
        return context.Response.WriteAsJsonAsync(
            new
            {
                type = $"urn:jolly-knot:problem:{type}",
                title,
                status,
            }
        );
    }

    private static bool Holds(HttpContext context, HouseNetwork house) =>
        context.Request.Cookies[Cookie] is { } held && HouseNetwork.Same(held, house.Door);

    private static bool IsCalendar(HttpContext context, HouseNetwork house) =>
        context.Request.Path == "/api/day.ics"
        && HttpMethods.IsGet(context.Request.Method)
        && HouseNetwork.Same(context.Request.Query["key"].ToString(), house.Calendar);

    // Without an address it is this very process.
    private static bool IsHere(HttpContext context) =>
        context.Connection.RemoteIpAddress is not { } from || IPAddress.IsLoopback(from);

    private static bool IsSame(string origin, HostString host) =>
        Uri.TryCreate(origin, UriKind.Absolute, out var uri)
        && string.Equals(uri.Authority, host.Value, StringComparison.OrdinalIgnoreCase);

    private static bool IsOurs(string host, bool open)
    {
        if (string.Equals(host, "localhost", StringComparison.OrdinalIgnoreCase))
            return true;
        if (IPAddress.TryParse(host.Trim('[', ']'), out var ip))
            return IPAddress.IsLoopback(ip) || (open && HouseNetwork.IsOfTheHouse(ip));
        return open
            && (
                string.Equals(host, Environment.MachineName, StringComparison.OrdinalIgnoreCase)
                || string.Equals(host, $"{Environment.MachineName}.local", StringComparison.OrdinalIgnoreCase)
            );
    }
}
