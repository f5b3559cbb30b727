using System.Collections.Immutable;
using System.Text.Json;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;

namespace JollyKnot.Server.Guard;

/// <summary>A problem as it is told: what is wrong, where, and why in a sentence.</summary>
/// <param name="Code">Stable; part of the open formats.</param>
/// <param name="Field">The field at fault, such as <c>rows[2].mass</c>; empty when it is the whole.</param>
/// <param name="Reason">For people.</param>
public sealed record ProblemView(string Code, string Field, string Reason)
{
    /// <summary>A problem, said.</summary>
    public static ProblemView Of(Problem problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        return new(problem.Type, problem.Field, ProblemWords.OfHousehold.Of(problem));
    }
}

/// <summary>Problems as RFC 9457 details: a stable type, the field at fault, the way out.</summary>
public static partial class Problems
{
    private const string Types = "urn:jolly-knot:problem:";

    /// <summary>Input that cannot be.</summary>
    public static ProblemHttpResult Bad(params ImmutableArray<Problem> problems) => Of(StatusCodes.Status400BadRequest, problems);

    /// <summary>There is none of this name.</summary>
    public static ProblemHttpResult Missing(string what) => Of(StatusCodes.Status404NotFound, [new("unknown:thing", "id", what)]);

    /// <summary>There is none of this name, or one that this version cannot read.</summary>
    public static ProblemHttpResult Missing(string what, Guid id, SetAside aside)
    {
        ArgumentNullException.ThrowIfNull(aside);
        return aside.All.FirstOrDefault(u => u.Id.StartsWith($"{id}", StringComparison.Ordinal)) is { } unread
            ? Conflict(new("set-aside", "id", what, unread.Why))
            : Missing(what);
    }

    /// <summary>The bake does not take this now, or somebody else was quicker.</summary>
    public static ProblemHttpResult Conflict(Problem problem, int? position = null) =>
        Of(StatusCodes.Status409Conflict, [problem], position);

    /// <summary>It was changed since it was read.</summary>
    public static ProblemHttpResult Changed() => Of(StatusCodes.Status412PreconditionFailed, [new("changed", "")]);

    /// <summary>Turns what escapes an endpoint into problem details. Bad input is no fault of the house and is not logged as
    /// one.</summary>
    public static ExceptionHandlerOptions Handling { get; } =
        new()
        {
            ExceptionHandler = Handle,
            SuppressDiagnosticsCallback = escaped =>
                escaped.Exception is BadHttpRequestException or NotSupportedException { Source: "System.Text.Json" },
        };

    private static Task Handle(HttpContext context)
    {
        var error = context.Features.Get<IExceptionHandlerFeature>()?.Error;
        var result = error switch
        {
            BadHttpRequestException { InnerException: JsonException json } => Bad(Unread(json)),
            // What the reader says of a thing whose type is not told.
            NotSupportedException { Source: "System.Text.Json" } untyped => Bad(
                new Problem("not-readable:type", Field(untyped.Message.Split("Path: ").Last().Split(' ')[0]))
            ),
            BadHttpRequestException bad => Of(bad.StatusCode, [Unread(bad)]),
            { } failed when IsOutOfRoom(failed) => Of(StatusCodes.Status507InsufficientStorage, [new("no-room", "")]),
            _ => Of(StatusCodes.Status500InternalServerError, [new("fault", "")]),
        };
        return result.ExecuteAsync(context);
    }

    private static bool IsOutOfRoom(Exception failed) =>
        failed is SqliteException { SqliteErrorCode: Full or ReadOnly or NotWritten } or IOException { HResult: NoSpace }
        || (failed.InnerException is { } inner && IsOutOfRoom(inner));

    // As SQLite and the system number them.
    private const int Full = 13,
        ReadOnly = 8,
        NotWritten = 10,
        NoSpace = 28;

    /// <summary>Gives words to a refusal that has none.</summary>
    public static Task Explain(StatusCodeContext context)
    {
        var status = context.HttpContext.Response.StatusCode;
        var code = status switch
        {
            StatusCodes.Status413PayloadTooLarge => "too-large",
            StatusCodes.Status415UnsupportedMediaType => "not-readable:media",
            _ => "refused:address",
        };
        return Of(status, [new(code, "")]).ExecuteAsync(context.HttpContext);
    }

    private static ProblemHttpResult Of(int status, ImmutableArray<Problem> problems, int? position = null)
    {
        var said = problems.Select(ProblemView.Of).ToImmutableArray();
        return TypedResults.Problem(
            said[0].Reason,
            statusCode: status,
            title: said[0].Reason,
            type: Types + said[0].Code,
            extensions: new Dictionary<string, object?>
            {
                ["field"] = said[0].Field,
                ["problems"] = said,
                ["position"] = position,
            }
        );
    }

    // The whole of what was sent.
    private const string Body = "body";

    // "$.rows[0].mass" as the caller wrote it.
    private static string Field(string? path) => path is null or "$" ? Body : path.TrimStart('$', '.');

    private static ImmutableArray<Problem> Unread(JsonException error)
    {
        var field = Field(error.Path);
        if (Missing().Match(error.Message) is { Success: true } missing)
        {
            var at = field == Body ? "" : field + ".";
            return [.. Named().Matches(missing.Value).Select(m => new Problem("not-readable:missing", at + m.Groups[1].Value))];
        }
        if (error.Message.Contains(WrongKind, StringComparison.Ordinal))
            return [new("not-readable:kind", field)];
        return [new("not-readable:sent", field, error.Message.Split(" Path:")[0])];
    }

    private static Problem Unread(BadHttpRequestException error)
    {
        if (Unbound().Match(error.Message) is { Success: true } unbound)
            return new("not-readable:value", unbound.Groups["name"].Value, unbound.Groups["value"].Value);
        if (error.Message.Contains(NoBody, StringComparison.Ordinal))
            return new("not-readable:nothing", Body);
        return new("not-readable:request", Body, error.Message);
    }

    // How the framework says these things.
    private const string WrongKind = "could not be converted",
        NoBody = "no body was provided";

    [GeneratedRegex("missing required properties including: .*")]
    private static partial Regex Missing();

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Named();

    [GeneratedRegex("Failed to bind parameter \"\\S+ (?<name>\\w+)\" from \"(?<value>.*)\"", RegexOptions.Singleline)]
    private static partial Regex Unbound();
}
