using System.Collections.Concurrent;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using JollyKnot.Server.Clock;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;
using Microsoft.Extensions.Time.Testing;

namespace JollyKnot.Server.Tests;

/// <summary>A server on a real file of its own, which can be closed and opened again on the same file. Its clock stands until it
/// is set.</summary>
public sealed class House : IDisposable
{
    // A Thursday; the demo's Saturday comes two days later.
    private readonly FakeTimeProvider wall = new(new(2026, 11, 26, 10, 0, 0, TimeSpan.Zero));
    private readonly string data = Directory.CreateTempSubdirectory("jolly-").FullName;
    private WebApplicationFactory<Program> factory;

    private readonly (string Key, string Value)[] settings;

    public House()
        : this([]) { }

    /// <summary>A server started with these settings.</summary>
    public static House With(params (string Key, string Value)[] settings) => new(settings);

    /// <summary>A household's server on a copy of a data folder.</summary>
    public static House On(string folder) => new([("demo", "false")], folder);

    private House((string Key, string Value)[] settings, string? folder = null)
    {
        this.settings = settings;
        if (folder is not null)
            System.IO.File.Copy(Path.Combine(folder, "jolly-knot.db"), File);
        factory = Open();
        Client = factory.CreateClient();
    }

    public HttpClient Client { get; private set; }

    public DateTimeOffset Now => factory.Services.GetRequiredService<HouseClock>().GetUtcNow();

    public string Ago(double minutes) => Now.AddMinutes(-minutes).ToString("O");

    public void Pass(TimeSpan span) => wall.Advance(span);

    public HttpMessageHandler Handler() => factory.Server.CreateHandler();

    public string File => Path.Combine(data, "jolly-knot.db");

    public const string Rolls = "00000001-4a4b-4442-8000-000000000001";

    /// <summary>Closes the server, and opens it again; in between something may be done to its file.</summary>
    public void Reopen(Action<SqliteConnection>? meanwhile = null)
    {
        factory.Dispose();
        if (meanwhile is not null)
        {
            SqliteConnection.ClearAllPools();
            using var db = new SqliteConnection($"Data Source={File};Pooling=False");
            db.Open();
            meanwhile(db);
        }
        factory = Open();
        Client = factory.CreateClient();
    }

    public async Task<(int Status, JsonNode Body)> Call(HttpMethod method, string path, object? body = null)
    {
        using var request = new HttpRequestMessage(method, path)
        {
            Content = body as HttpContent ?? (body is null ? null : JsonContent.Create(body)),
        };
        using var answer = await Client.SendAsync(request);
        var text = await answer.Content.ReadAsStringAsync();
        return ((int)answer.StatusCode, text.Length > 0 && text[0] is '{' or '[' ? JsonNode.Parse(text)! : new JsonObject());
    }

    public Task<(int Status, JsonNode Body)> Get(string path) => Call(HttpMethod.Get, path);

    public Task<(int Status, JsonNode Body)> Post(string path, object body) => Call(HttpMethod.Post, path, body);

    public static object Layout(string dough = Rolls, object? choice = null) =>
        new { doughId = dough, choice = choice ?? Choice() };

    public static object Choice(
        string machine = "blue",
        string family = "pan-roll",
        string place = "counter",
        double? pieces = null,
        double? heat = null,
        string? readyBy = null
    ) =>
        Cuts(
            machine,
            place,
            readyBy,
            new
            {
                familyId = family,
                pieces,
                heat,
            }
        );

    public static object Cuts(string machine, string place, string? readyBy, params object[] cuts) =>
        new
        {
            machineId = machine,
            ovenId = "wall",
            placeId = place,
            cuts,
            readyBy,
        };

    public async Task<Guid> Bake(object? choice = null)
    {
        var id = Guid.NewGuid();
        (await Post("/api/bakes", new { id, layout = Layout(choice: choice) })).Status.ShouldBe(200);
        return id;
    }

    public async Task<(int Status, JsonNode Body)> Tell(Guid bake, object told)
    {
        var position = (int)(await Get($"/api/bakes/{bake}")).Body["position"]!;
        return await Post(
            $"/api/bakes/{bake}/events",
            new
            {
                id = Guid.NewGuid(),
                basedOn = position,
                @event = told,
            }
        );
    }

    public void Dispose()
    {
        factory.Dispose();
        Directory.Delete(data, true);
    }

    private WebApplicationFactory<Program> Open() =>
        new WebApplicationFactory<Program>().WithWebHostBuilder(b =>
        {
            b.UseSetting("data", data).UseSetting("demo", "true").UseSetting("port", "0");
            foreach (var (key, value) in settings)
                b.UseSetting(key, value);
            b.ConfigureTestServices(s =>
                s.AddKeyedSingleton<TimeProvider>(HouseClock.Wall, wall)
                    .AddSingleton<IStartupFilter, FromElsewhere>()
                    .AddSingleton<ILoggerProvider>(Log)
            );
        });

    /// <summary>What the server logged.</summary>
    public Kept Log { get; } = new();

    public sealed class Kept : ILoggerProvider, ILogger
    {
        private readonly ConcurrentQueue<string> lines = new();

        public IEnumerable<string> Lines => lines;

        public ILogger CreateLogger(string categoryName) => this;

        public void Dispose() { }

        public IDisposable? BeginScope<TState>(TState state)
            where TState : notnull => null;

        public bool IsEnabled(LogLevel logLevel) => true;

        public void Log<TState>(
            LogLevel logLevel,
            EventId eventId,
            TState state,
            Exception? exception,
            Func<TState, Exception?, string> formatter
        ) => lines.Enqueue($"{logLevel} {formatter(state, exception)} {exception}");
    }

    /// <summary>Says in a header from which address a call comes.</summary>
    public const string From = "X-From";

    private sealed class FromElsewhere : IStartupFilter
    {
        public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) =>
            app =>
            {
                app.Use(
                    (context, then) =>
                    {
                        if (context.Request.Headers.TryGetValue(From, out var from))
                            context.Connection.RemoteIpAddress = System.Net.IPAddress.Parse(from.ToString());
                        return then(context);
                    }
                );
                next(app);
            };
    }
}
