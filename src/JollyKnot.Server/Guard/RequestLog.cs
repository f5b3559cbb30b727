using System.Diagnostics;
using Microsoft.AspNetCore.Diagnostics;

namespace JollyKnot.Server.Guard;

/// <summary>One line for each request that went wrong or was slow: which endpoint, what came of it, how long it took. Never what
/// a household typed: endpoints are named by their pattern, not by the address asked for.</summary>
public static partial class RequestLog
{
    // Longer than this somebody at the bench waits. Ours.
    private static readonly TimeSpan Slow = TimeSpan.FromSeconds(1);

    /// <summary>Logs what goes wrong from here on.</summary>
    public static void UseRequestLog(this IApplicationBuilder app)
    {
        ArgumentNullException.ThrowIfNull(app);
        var log = app.ApplicationServices.GetRequiredService<ILoggerFactory>().CreateLogger(typeof(RequestLog));
        app.Use(
            async (context, next) =>
            {
                var began = Stopwatch.GetTimestamp();
                await next();
                if (!context.WebSockets.IsWebSocketRequest && !context.RequestAborted.IsCancellationRequested)
                    Told(log, context, Stopwatch.GetElapsedTime(began));
            }
        );
    }

    private static void Told(ILogger log, HttpContext context, TimeSpan took)
    {
        var status = context.Response.StatusCode;
        var (method, trace) = (context.Request.Method, context.TraceIdentifier);
        var milliseconds = (long)took.TotalMilliseconds;
        if (status >= StatusCodes.Status500InternalServerError)
            Failed(log, method, Endpoint(context), status, milliseconds, trace);
        else if (status is StatusCodes.Status400BadRequest or StatusCodes.Status409Conflict)
            Refused(log, method, Endpoint(context), status, milliseconds, trace);
        else if (took > Slow)
            WasSlow(log, method, Endpoint(context), status, milliseconds, trace);
    }

    private static string Endpoint(HttpContext context) =>
        ((context.Features.Get<IExceptionHandlerFeature>()?.Endpoint ?? context.GetEndpoint()) as RouteEndpoint)
            ?.RoutePattern
            .RawText
        ?? "(no endpoint)";

    [LoggerMessage(LogLevel.Error, "{Method} {Endpoint} failed: {Status} after {Milliseconds} ms ({Trace})")]
    private static partial void Failed(ILogger log, string method, string endpoint, int status, long milliseconds, string trace);

    [LoggerMessage(LogLevel.Warning, "{Method} {Endpoint} was refused: {Status} after {Milliseconds} ms ({Trace})")]
    private static partial void Refused(ILogger log, string method, string endpoint, int status, long milliseconds, string trace);

    [LoggerMessage(LogLevel.Warning, "{Method} {Endpoint} was slow: {Status} after {Milliseconds} ms ({Trace})")]
    private static partial void WasSlow(ILogger log, string method, string endpoint, int status, long milliseconds, string trace);
}
