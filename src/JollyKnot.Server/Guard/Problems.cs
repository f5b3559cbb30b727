using System.Collections.Immutable;
using System.Text.Json;
using JollyKnot.Core.Measures;
using JollyKnot.Store;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Guard;

/// <summary>Problems as RFC 9457 details: a stable type, the field at fault, the way out.</summary>
public static class Problems
{
    private const string Types = "urn:jolly-knot:problem:";

    /// <summary>Input that cannot be.</summary>
    public static ProblemHttpResult Bad(params ImmutableArray<Problem> problems) => Of(StatusCodes.Status400BadRequest, problems);

    /// <summary>There is none of this name.</summary>
    public static ProblemHttpResult Missing(string what) => Of(StatusCodes.Status404NotFound, [new("unknown", "id", $"There is no such {what}.")]);

    /// <summary>There is none of this name, or one that this version cannot read.</summary>
    public static ProblemHttpResult Missing(string what, Guid id, SetAside aside)
    {
        ArgumentNullException.ThrowIfNull(aside);
        return aside.All.FirstOrDefault(u => u.Id.StartsWith($"{id}", StringComparison.Ordinal)) is { } unread
            ? Conflict(new("set-aside", "id", $"This {what} is kept as it is, but cannot be read here: {unread.Reason}"))
            : Missing(what);
    }

    /// <summary>The bake does not take this now, or somebody else was quicker.</summary>
    public static ProblemHttpResult Conflict(Problem problem, int? position = null) => Of(StatusCodes.Status409Conflict, [problem], position);

    /// <summary>Turns what escapes an endpoint into problem details. Bad input is no fault of the house and is not logged as one.</summary>
    public static ExceptionHandlerOptions Handling { get; } = new()
    {
        ExceptionHandler = Handle,
        SuppressDiagnosticsCallback = escaped => escaped.Exception is BadHttpRequestException or NotSupportedException { Source: "System.Text.Json" },
    };

    private static Task Handle(HttpContext context)
    {
        var error = context.Features.Get<IExceptionHandlerFeature>()?.Error;
        var result = error switch
        {
            BadHttpRequestException { InnerException: JsonException json } => Bad(new Problem("not-readable", Field(json.Path), "This cannot be read: " + Plain(json))),
            // What the reader says of a thing whose type is not told.
            NotSupportedException { Source: "System.Text.Json" } untyped =>
                Bad(new Problem("not-readable", Field(untyped.Message.Split("Path: ").Last().Split(' ')[0]), "Say of which type this is.")),
            BadHttpRequestException bad => Of(bad.StatusCode, [new("not-readable", "", bad.Message)]),
            _ => Of(StatusCodes.Status500InternalServerError, [new("fault", "", "Something broke here. What was told before is kept.")]),
        };
        return result.ExecuteAsync(context);
    }

    /// <summary>Gives words to a refusal that has none.</summary>
    public static Task Explain(StatusCodeContext context) => Of(context.HttpContext.Response.StatusCode, [context.HttpContext.Response.StatusCode switch
    {
        StatusCodes.Status413PayloadTooLarge => new("too-large", "", "This is larger than anything a kitchen sends."),
        StatusCodes.Status415UnsupportedMediaType => new("not-readable", "", "Only JSON is read here."),
        _ => new("refused", "", "This address does not take that."),
    }]).ExecuteAsync(context.HttpContext);

    private static ProblemHttpResult Of(int status, ImmutableArray<Problem> problems, int? position = null) => TypedResults.Problem(
        problems[0].Reason, statusCode: status, title: problems[0].Reason, type: Types + problems[0].Code,
        extensions: new Dictionary<string, object?> { ["field"] = problems[0].Field, ["problems"] = problems, ["position"] = position });

    // "$.rows[0].mass" as the caller wrote it.
    private static string Field(string? path) => path is null or "$" ? "" : path.TrimStart('$', '.');

    private static string Plain(JsonException error) => error.Message.Split(" Path:")[0].Replace("JollyKnot.", "", StringComparison.Ordinal);
}
