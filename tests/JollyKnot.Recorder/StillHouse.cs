// A house whose clock stands still until it is set; spoken to as a screen would, so that it can be of any version.
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using JollyKnot.Server.Clock;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.DependencyInjection.Extensions;
using Microsoft.Extensions.Time.Testing;

namespace JollyKnot.Recorder;

internal sealed record Reply(int Status, JsonNode Body)
{
    public bool Ok => Status is >= 200 and < 300;
}

internal sealed class StillHouse : IDisposable
{
    private readonly FakeTimeProvider wall;
    private readonly WebApplicationFactory<global::Program> factory;
    private readonly HttpClient client;

    public StillHouse(string folder, DateTimeOffset begins, bool demo = false)
    {
        wall = new FakeTimeProvider(begins);
        factory = new WebApplicationFactory<global::Program>().WithWebHostBuilder(host =>
            host.UseSetting("data", folder)
                .UseSetting("webroot", folder)
                .UseSetting("demo", demo ? "true" : "false")
                .UseSetting("port", "0")
                .ConfigureTestServices(services =>
                {
                    services.RemoveAll<HouseClock>();
                    services.AddSingleton(new HouseClock(1, wall, begins));
                })
        );
        client = factory.CreateClient();
    }

    public DateTimeOffset Now => wall.GetUtcNow();

    public void Pass(TimeSpan span)
    {
        if (span > TimeSpan.Zero)
            wall.Advance(span);
    }

    public void PassUntil(DateTimeOffset at) => Pass(at - Now);

    public Task<Reply> Get(string path) => Call(HttpMethod.Get, path, null);

    public Task<Reply> Post(string path, object body) => Call(HttpMethod.Post, path, body);

    public Task<Reply> Put(string path, object body) => Call(HttpMethod.Put, path, body);

    public Task<Reply> Delete(string path) => Call(HttpMethod.Delete, path, null);

    /// <summary>Tells an event at the log's end.</summary>
    public Task<Reply> Tell(Guid bake, Guid id, JsonNode view, JsonObject told) =>
        Post(
            $"/api/bakes/{bake}/events",
            new JsonObject
            {
                ["id"] = id,
                ["basedOn"] = view["position"]!.DeepClone(),
                ["event"] = told,
            }
        );

    private async Task<Reply> Call(HttpMethod method, string path, object? body)
    {
        using var request = new HttpRequestMessage(method, path) { Content = body is null ? null : JsonContent.Create(body) };
        using var answer = await client.SendAsync(request);
        var text = await answer.Content.ReadAsStringAsync();
        var isJson = text.Length > 0 && text[0] is '{' or '[';
        return new((int)answer.StatusCode, isJson ? JsonNode.Parse(text)! : new JsonObject());
    }

    public void Dispose()
    {
        client.Dispose();
        factory.Dispose();
    }
}
