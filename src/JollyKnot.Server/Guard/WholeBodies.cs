// No list has a hole, and nothing is called by the id that is none: said before anything is read for good.
using System.Text.Json;
using JollyKnot.Core.Measures;
using Microsoft.AspNetCore.Http.Features;

namespace JollyKnot.Server.Guard;

/// <summary>Refuses bodies whose lists have null members, and addresses with the zero id.</summary>
internal static class WholeBodies
{
    public static void UseWholeBodies(this IApplicationBuilder app) => app.Use(Check);

    private static async Task Check(HttpContext call, RequestDelegate next)
    {
        var problem =
            call.Request.Path.Value?.Contains(Guid.Empty.ToString(), StringComparison.Ordinal) == true
                ? new Problem("empty:id", "id")
                : await Hole(call.Request);
        if (problem is null)
            await next(call);
        else
            await Problems.Bad(problem).ExecuteAsync(call);
    }

    // Bodies are small: what is larger than the server takes is refused where it is read for good.
    private static async Task<Problem?> Hole(HttpRequest request)
    {
        var most = request.HttpContext.Features.Get<IHttpMaxRequestBodySizeFeature>()?.MaxRequestBodySize;
        if (
            request.ContentLength > most
            || !request.HasJsonContentType()
            || !request.Path.StartsWithSegments("/api", StringComparison.Ordinal)
        )
            return null;
        request.EnableBuffering();
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, request.HttpContext.RequestAborted);
        request.Body.Position = 0;
        return HoleIn(body.GetBuffer().AsSpan(0, (int)body.Length)) is { } at ? new("empty:member", at) : null;
    }

    // Where the first list has a null member; null where none has, or where it is no JSON, which is said elsewhere.
    internal static string? HoleIn(ReadOnlySpan<byte> json)
    {
        var reader = new Utf8JsonReader(json, new JsonReaderOptions { MaxDepth = 64 });
        var path = new Stack<Level>();
        try
        {
            while (reader.Read())
                switch (reader.TokenType)
                {
                    case JsonTokenType.PropertyName:
                        path.Peek().Name = reader.GetString()!;
                        break;
                    case JsonTokenType.EndArray or JsonTokenType.EndObject:
                        path.Pop();
                        break;
                    default:
                        var isMember = path.Count > 0 && path.Peek().Step();
                        if (isMember && reader.TokenType == JsonTokenType.Null)
                            return string.Concat(path.Reverse().Select(l => l.Said)).TrimStart('.');
                        if (reader.TokenType is JsonTokenType.StartArray or JsonTokenType.StartObject)
                            path.Push(new(reader.TokenType == JsonTokenType.StartArray));
                        break;
                }
        }
        catch (JsonException)
        {
            return null;
        }
        return null;
    }

    // A list or a thing that is being read.
    private sealed class Level(bool isList)
    {
        private int at = -1;

        public string Name { get; set; } = "";

        public string Said => isList ? $"[{at}]" : $".{Name}";

        /// <summary>The next value; true of a list's member.</summary>
        public bool Step()
        {
            at++;
            return isList;
        }
    }
}
