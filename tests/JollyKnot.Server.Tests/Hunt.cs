using System.Collections.Immutable;
using System.Diagnostics;
using System.Text.Json.Nodes;

namespace JollyKnot.Server.Tests;

/// <summary>Bodies made from the API's own document, and spoilt: nothing breaks the house, every refusal names its field, and
/// nothing is half kept.</summary>
public sealed class Hunt
{
    private static readonly JsonObject Document = JsonNode
        .Parse(File.ReadAllText(Path.Combine(Checkout.Root, "src", "web", "src", "api", "openapi.json")))!
        .AsObject();

    // What puts another book in the place of this one is hunted by itself.
    private static readonly string[] Not = ["/api/copies/back"];

    // What reckons a whole day takes its time.
    private static readonly string[] Slow = ["/api/day", "/api/day/arrange", "/api/layouts/in-day", "/api/bakes"];

    // So many requests and more; more of them when the house is measured, which then says what it saw in a file.
    private static readonly int Least = Environment.GetEnvironmentVariable("JOLLY_HUNT") is { Length: > 0 } asked
        ? int.Parse(asked, System.Globalization.CultureInfo.InvariantCulture)
        : 0;

    private sealed record Door(HttpMethod Method, string Path, JsonObject Schema);

    private static ImmutableArray<Door> Doors { get; } =
    [
        .. from path in Document["paths"]!.AsObject()
        where !Not.Contains(path.Key)
        from method in path.Value!.AsObject()
        where method.Key is "post" or "put"
        let schema = method.Value!["requestBody"]?["content"]?["application/json"]?["schema"]
        where schema is not null
        select new Door(new(method.Key.ToUpperInvariant()), path.Key, schema.AsObject()),
    ];

    [Theory]
    [InlineData(20261127)]
    [InlineData(4711)]
    public async Task Whatever_is_sent_the_house_answers_and_goes_on(int seed)
    {
        var random = new Random(seed);
        using var house = new House();
        var bake = await house.Bake(House.Choice(pieces: 16));
        (await house.Tell(bake, new { type = "step-done", step = "start-cycle" })).Status.ShouldBe(200);
        var (sent, longest) = (0, TimeSpan.Zero);
        do
        {
            foreach (var door in Doors)
                for (var i = 0; i < (Slow.Contains(door.Path) ? 10 : 60); i++, sent++)
                {
                    var body = Made(door.Schema, random, 0)!;
                    for (var spoilt = random.Next(3); spoilt > 0; spoilt--)
                        Spoil(body, random);
                    var from = Stopwatch.GetTimestamp();
                    if (await Trouble(house, door, bake, body) is { } trouble)
                        Assert.Fail($"{trouble}\n{door.Method} {door.Path}\n{await Shortest(house, door, bake, body)}");
                    longest = TimeSpan.FromTicks(Math.Max(longest.Ticks, Stopwatch.GetElapsedTime(from).Ticks));
                }
            Say(sent, longest);
        } while (sent < Least);
        foreach (
            var page in new[]
            {
                "/api/today",
                "/api/doughs",
                "/api/kitchen/setup",
                "/api/logbook",
                "/api/larder",
                $"/api/bakes/{bake}",
            }
        )
            (await house.Get(page)).Status.ShouldBe(200, page);
        (await house.Post("/api/day", new { })).Status.ShouldBe(200);
        house.Reopen();
        (await house.Get("/api/today")).Body["setAside"]!.AsArray().ShouldBeEmpty();
    }

    private static void Say(int sent, TimeSpan longest)
    {
        if (Environment.GetEnvironmentVariable("JOLLY_HUNT_SAYS") is { Length: > 0 } file)
            File.AppendAllText(
                file,
                $"{sent} sent, the longest answer {longest.TotalMilliseconds:F0} ms, {GC.GetTotalMemory(true) >> 20} MB held\n"
            );
    }

    // What is wrong with an answer; null where nothing is.
    private static async Task<string?> Trouble(House house, Door door, Guid bake, JsonNode body)
    {
        var path = door
            .Path.Replace("{id}", $"{bake}", StringComparison.Ordinal)
            .Replace("{bake}", $"{bake}", StringComparison.Ordinal)
            .Replace("{cut}", "0", StringComparison.Ordinal);
        using var content = new StringContent(body.ToJsonString(), System.Text.Encoding.UTF8, "application/json");
        var (status, answer) = await house.Call(door.Method, path, content);
        if (status >= 500)
            return $"{status} {answer.ToJsonString()}";
        if (status != 400)
            return null;
        return
            answer["problems"] is JsonArray { Count: > 0 } problems && problems.All(p => Said(p!["reason"]) && Said(p["field"]))
            ? null
            : $"A refusal that does not say what and why: {answer.ToJsonString()}";
    }

    private static bool Said(JsonNode? words) => words?.GetValue<string>() is { Length: > 0 };

    // Members are taken away as long as it goes on failing.
    private static async Task<string> Shortest(House house, Door door, Guid bake, JsonNode body)
    {
        for (var tries = 0; tries < 80; tries++)
        {
            var shorter = await FirstAsync(
                Places(body).Select(p => Without(body, p)),
                async less => await Trouble(house, door, bake, less) is not null
            );
            if (shorter is null)
                break;
            body = shorter;
        }
        return body.ToJsonString();
    }

    private static async Task<JsonNode?> FirstAsync(IEnumerable<JsonNode> of, Func<JsonNode, Task<bool>> holds)
    {
        foreach (var one in of)
            if (await holds(one))
                return one;
        return null;
    }

    private static JsonNode Without(JsonNode body, ImmutableArray<object> place)
    {
        var less = body.DeepClone();
        var parent = place[..^1].Aggregate(less, (node, step) => step is string name ? node[name]! : node[(int)step]!);
        if (place[^1] is string member)
            parent.AsObject().Remove(member);
        else
            parent.AsArray().RemoveAt((int)place[^1]);
        return less;
    }

    // Where every member of a body lies, the outermost first.
    private static IEnumerable<ImmutableArray<object>> Places(JsonNode? body)
    {
        var inner = body switch
        {
            JsonObject o => o.Select(m => ((object)m.Key, m.Value)).ToList(),
            JsonArray a => a.Select((m, i) => ((object)i, m)).ToList(),
            _ => [],
        };
        foreach (var (step, _) in inner)
            yield return [step];
        foreach (var (step, value) in inner)
            foreach (var place in Places(value))
                yield return [step, .. place];
    }

    private static void Spoil(JsonNode body, Random random)
    {
        var places = Places(body).ToList();
        if (places.Count == 0)
            return;
        var place = places[random.Next(places.Count)];
        var parent = place[..^1].Aggregate(body, (node, step) => step is string name ? node[name]! : node[(int)step]!);
        var value = Nasty(random);
        if (place[^1] is string member && random.Next(6) == 0)
            parent.AsObject().Remove(member);
        else if (place[^1] is string named)
            parent[named] = value;
        else
            parent[(int)place[^1]] = value;
    }

    private static JsonNode? Nasty(Random random) =>
        random.Next(20) switch
        {
            0 => null,
            1 => JsonValue.Create(1e-320),
            2 => JsonValue.Create(double.MaxValue),
            3 => JsonValue.Create(-1),
            4 => JsonValue.Create(int.MaxValue),
            5 => JsonValue.Create(0),
            6 => JsonValue.Create(""),
            7 => JsonValue.Create(new string('a', 20_000)),
            8 => JsonValue.Create("\u0000\u202e🥨\ufffe"),
            9 => JsonValue.Create("0001-01-01T00:00:00Z"),
            10 => JsonValue.Create("9999-12-31T23:59:59+14:00"),
            11 => JsonValue.Create(Guid.Empty.ToString()),
            12 => new JsonArray(),
            13 => new JsonObject(),
            14 => new JsonArray(null, null),
            15 => Deep(40),
            16 => new JsonArray([.. Enumerable.Range(0, 3000).Select(i => (JsonNode)i)]),
            17 => JsonValue.Create(true),
            18 => JsonValue.Create("'; drop table Bakes; --"),
            _ => JsonValue.Create(random.NextDouble() * 2000 - 500),
        };

    private static JsonObject Deep(int levels) => levels == 0 ? new JsonObject() : new JsonObject { ["a"] = Deep(levels - 1) };

    // Something that a schema allows.
    private static JsonNode? Made(JsonObject schema, Random random, int depth)
    {
        if (schema["$ref"] is { } reference)
            return Made(
                Document["components"]!["schemas"]![reference.GetValue<string>().Split('/')[^1]]!.AsObject(),
                random,
                depth
            );
        if ((schema["oneOf"] ?? schema["anyOf"]) is JsonArray options)
            return Made(options[random.Next(options.Count)]!.AsObject(), random, depth);
        if (schema["enum"] is JsonArray values)
            return values[random.Next(values.Count)]?.DeepClone();
        if (schema["const"] is { } constant)
            return constant.DeepClone();
        var types = schema["type"] switch
        {
            JsonArray several => several.Select(t => t!.GetValue<string>()).ToArray(),
            { } one => [one.GetValue<string>()],
            null => ["object"],
        };
        return types[random.Next(types.Length)] switch
        {
            "null" => null,
            "boolean" => JsonValue.Create(random.Next(2) == 0),
            "integer" => JsonValue.Create(random.Next(-1, 20)),
            "number" => JsonValue.Create(Math.Round(random.NextDouble() * 400, 2)),
            "string" => JsonValue.Create(Text(schema["format"]?.GetValue<string>(), random)),
            "array" => new JsonArray([
                .. Enumerable
                    .Range(0, depth > 4 ? 0 : random.Next(4))
                    .Select(_ => schema["items"] is JsonObject items ? Made(items, random, depth + 1) : null),
            ]),
            _ => Object(schema, random, depth),
        };
    }

    private static string Text(string? format, Random random) =>
        format switch
        {
            "uuid" => Guid.NewGuid().ToString(),
            "date-time" => DateTimeOffset.UtcNow.AddHours(random.Next(-400, 400)).ToString("O"),
            _ => ((string[])["blue", "wall", "counter", "pan-roll", "load", "plain flour", "500 g flour", "x"])[random.Next(8)],
        };

    private static JsonObject Object(JsonObject schema, Random random, int depth)
    {
        var made = new JsonObject();
        var required = schema["required"]?.AsArray().Select(r => r!.GetValue<string>()).ToHashSet() ?? [];
        foreach (var (name, of) in schema["properties"]?.AsObject() ?? [])
            if (required.Contains(name) || depth < 3 && random.Next(2) == 0)
                made[name] = Made(of!.AsObject(), random, depth + 1);
        return made;
    }
}
