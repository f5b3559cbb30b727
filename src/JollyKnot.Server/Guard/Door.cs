using System.Net;
using System.Security.Claims;
using System.Threading.RateLimiting;
using JollyKnot.Server.Clock;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Http.Features;

namespace JollyKnot.Server.Guard;

/// <summary>Answers only pages and programs of this machine, and lets no other page speak for them. Others of the house come in
/// by its passphrase, once the network is asked for, and only where nobody else hears it.</summary>
public static class Door
{
    /// <summary>Where the passphrase is said.</summary>
    internal const string Bell = "/house";

    /// <summary>Where the authority's certificate is.</summary>
    internal const string Certificate = "/house/authority.crt";

    /// <summary>The scheme of a device that came in.</summary>
    internal const string Scheme = "house";

    private const string Policy =
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self' data:; media-src "
        + "'self' blob:; connect-src 'self'; worker-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; "
        + "frame-ancestors 'none'";
    private const string Cookie = "jolly-house",
        Fingerprint = "door";
    private static readonly TimeSpan Remembered = TimeSpan.FromDays(90),
        SaidWithin = TimeSpan.FromSeconds(5),
        AnotherGuess = TimeSpan.FromSeconds(30);
    private const int LongestGuess = 4096,
        Guesses = 10;

    /// <summary>Registers what devices of the house come in by; their keys lie in the household's folder.</summary>
    public static void AddTo(IServiceCollection services, string folder)
    {
        services
            .AddDataProtection()
            .SetApplicationName("jolly-knot")
            .PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(folder, "door", "keys")));
        services
            .AddAuthentication(Scheme)
            .AddCookie(
                Scheme,
                cookie =>
                {
                    cookie.Cookie.Name = Cookie;
                    cookie.Cookie.HttpOnly = true;
                    cookie.Cookie.SameSite = SameSiteMode.Strict;
                    cookie.Cookie.SecurePolicy = CookieSecurePolicy.Always;
                    cookie.ExpireTimeSpan = Remembered;
                    cookie.SlidingExpiration = true;
                }
            );
    }

    /// <summary>Refuses foreign Host, Origin and pages, and those who do not know the passphrase; sets the headers that keep a
    /// page to itself, also on errors.</summary>
    public static void UseDoor(this IApplicationBuilder app, HouseNetwork house)
    {
        var guesses = PartitionedRateLimiter.Create<IPAddress, IPAddress>(from =>
            RateLimitPartition.GetTokenBucketLimiter(
                from,
                _ => new TokenBucketRateLimiterOptions
                {
                    TokenLimit = Guesses,
                    TokensPerPeriod = 1,
                    ReplenishmentPeriod = AnotherGuess,
                }
            )
        );
        var wall = app.ApplicationServices.GetRequiredKeyedService<TimeProvider>(HouseClock.Wall);
        app.Use(
            async (context, next) =>
            {
                context.Response.OnStarting(() => KeepToItself(context));
                if (IsForeign(context.Request, house))
                    await Refuse(context, StatusCodes.Status403Forbidden, "foreign", "Only this machine is answered.");
                else if (IsHere(context))
                    await next();
                else if (!house.IsOpen)
                    await Refuse(context, StatusCodes.Status403Forbidden, "foreign", "Only this machine is answered.");
                else if (!context.Request.IsHttps)
                    await OutInTheOpen(context, house);
                else if (await Holds(context, house) || IsCalendar(context, house))
                    await next();
                else
                    await AtTheDoor(context, house, guesses, wall);
            }
        );
    }

    private static Task KeepToItself(HttpContext context)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        // No page elsewhere learns of ours. Our own do: else a browser sends a form without its origin, and is taken for foreign.
        headers["Referrer-Policy"] = "same-origin";
        if (IsOfTheApi(context.Request))
            headers.CacheControl = "no-store";
        return Task.CompletedTask;
    }

    private static bool IsOfTheApi(HttpRequest request) =>
        request.Path.StartsWithSegments("/api", StringComparison.Ordinal)
        || request.Path.StartsWithSegments("/live", StringComparison.Ordinal);

    private static bool IsForeign(HttpRequest request, HouseNetwork house)
    {
        var origin = request.Headers.Origin.ToString();
        return !IsOurs(request.Host.Host, house.IsOpen)
            || (origin.Length > 0 && !IsSame(origin, request.Host))
            || IsAskedByAnotherPage(request);
    }

    // Another page may lead here, as a link does, and nothing else.
    private static bool IsAskedByAnotherPage(HttpRequest request) =>
        request.Headers["Sec-Fetch-Site"] == "cross-site"
        && !(
            HttpMethods.IsGet(request.Method)
            && request.Headers["Sec-Fetch-Mode"] == "navigate"
            && request.Headers["Sec-Fetch-Dest"] == "document"
        );

    // Where others may hear: only how to come in without being heard.
    private static Task OutInTheOpen(HttpContext context, HouseNetwork house)
    {
        if (context.Request.Path == Certificate)
            return TypedResults.File(house.Authority(), "application/x-x509-ca-cert", "jolly-knot.crt").ExecuteAsync(context);
        if (IsOfTheApi(context.Request) || !HttpMethods.IsGet(context.Request.Method))
            return Refuse(context, StatusCodes.Status403Forbidden, "heard", "Others may hear this: come in by https.");
        return Html(context, StatusCodes.Status200OK, DoorPages.Trust(house.SecureAddress(context.Request.Host.Host)));
    }

    private static Task AtTheDoor(
        HttpContext context,
        HouseNetwork house,
        PartitionedRateLimiter<IPAddress> guesses,
        TimeProvider wall
    )
    {
        if (context.Request.Path == Bell && HttpMethods.IsPost(context.Request.Method))
            return Guess(context, house, guesses, wall);
        if (IsOfTheApi(context.Request))
            return Refuse(context, StatusCodes.Status401Unauthorized, "passphrase", "Say the household's passphrase first.");
        return Ask(context, StatusCodes.Status401Unauthorized, "");
    }

    // What is said is read first: who is slow to say it keeps nobody else waiting, and each address has guesses of its own.
    private static async Task Guess(
        HttpContext context,
        HouseNetwork house,
        PartitionedRateLimiter<IPAddress> guesses,
        TimeProvider wall
    )
    {
        if (await Said(context, wall) is not { } form)
        {
            await Refuse(context, StatusCodes.Status400BadRequest, "not-readable", "This is no passphrase.");
            return;
        }
        using var guess = guesses.AttemptAcquire(context.Connection.RemoteIpAddress!);
        if (!guess.IsAcquired)
        {
            context.Response.Headers.RetryAfter = $"{AnotherGuess.TotalSeconds:0}";
            await Ask(context, StatusCodes.Status429TooManyRequests, "Too many guesses. Wait half a minute.");
            return;
        }
        if (!house.Knows(form["passphrase"].ToString()))
        {
            await Ask(context, StatusCodes.Status401Unauthorized, "That is not it.");
            return;
        }
        var device = await context.RequestServices.GetRequiredService<KnownDevices>().Come(form["name"].ToString());
        var who = new ClaimsIdentity([new(ClaimTypes.NameIdentifier, $"{device.Id}"), new(Fingerprint, house.Door)], Scheme);
        await context.SignInAsync(Scheme, new ClaimsPrincipal(who), new AuthenticationProperties { IsPersistent = true });
        context.Response.Redirect("/");
    }

    // What was said in the form, or null when it is too long, too slow, or no form.
    private static async Task<IFormCollection?> Said(HttpContext context, TimeProvider wall)
    {
        if (!context.Request.HasFormContentType)
            return null;
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
            size.MaxRequestBodySize = LongestGuess;
        using var late = new CancellationTokenSource(SaidWithin, wall);
        using var slow = CancellationTokenSource.CreateLinkedTokenSource(late.Token, context.RequestAborted);
        try
        {
            return await context.Request.ReadFormAsync(slow.Token);
        }
        catch (Exception unread)
            when (unread is OperationCanceledException or InvalidDataException or BadHttpRequestException or IOException)
        {
            return null;
        }
    }

    private static Task Ask(HttpContext context, int status, string said)
    {
        var isPhone = context.Request.Headers.UserAgent.ToString().Contains("Mobile", StringComparison.Ordinal);
        return Html(context, status, DoorPages.Ask(said, isPhone ? "Phone" : "Computer"));
    }

    private static Task Html(HttpContext context, int status, string page)
    {
        context.Response.StatusCode = status;
        context.Response.ContentType = "text/html; charset=utf-8";
        return context.Response.WriteAsync(page);
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
            },
            (System.Text.Json.JsonSerializerOptions?)null,
            "application/problem+json"
        );
    }

    /// <summary>The device that asks, where it came in by the passphrase; null for this machine.</summary>
    internal static Guid? DeviceOf(ClaimsPrincipal who) =>
        Guid.TryParse(who.FindFirstValue(ClaimTypes.NameIdentifier), out var id) ? id : null;

    // It was given to a device that was not sent away, by the passphrase as it is now.
    private static async Task<bool> Holds(HttpContext context, HouseNetwork house)
    {
        if (!context.Request.Cookies.ContainsKey(Cookie))
            return false;
        var shown = await context.AuthenticateAsync(Scheme);
        if (!shown.Succeeded || DeviceOf(shown.Principal) is not { } id)
            return false;
        context.User = shown.Principal;
        return HouseNetwork.Same(shown.Principal.FindFirstValue(Fingerprint) ?? "", house.Door)
            && await context.RequestServices.GetRequiredService<KnownDevices>().Knows(id);
    }

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
