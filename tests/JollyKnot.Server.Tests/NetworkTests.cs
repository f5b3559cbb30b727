using System.IO.Pipelines;
using System.Net;

namespace JollyKnot.Server.Tests;

/// <summary>Others of the house: only when the network is asked for, and then by its passphrase.</summary>
public sealed class NetworkTests
{
    private const string Phrase = "brown bread on saturdays",
        Phone = "192.168.1.20";

    private static async Task<HttpResponseMessage> Ask(
        HttpMessageHandler handler,
        HttpMethod method,
        string path,
        string from = Phone,
        string host = "192.168.1.4:5210",
        string? cookie = null,
        HttpContent? body = null
    )
    {
        using var client = new HttpClient(handler, false) { BaseAddress = new Uri("http://localhost") };
        using var request = new HttpRequestMessage(method, path) { Content = body };
        request.Headers.Host = host;
        request.Headers.Add(House.From, from);
        if (cookie is not null)
            request.Headers.Add("Cookie", cookie);
        return await client.SendAsync(request);
    }

    [Fact]
    public async Task Shut_it_answers_this_machine_only()
    {
        using var house = new House();
        (await Ask(house.Handler(), HttpMethod.Get, "/api/today")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        // Also when the caller says it is this machine.
        (await Ask(house.Handler(), HttpMethod.Get, "/api/today", host: "localhost")).StatusCode.ShouldBe(
            HttpStatusCode.Forbidden
        );
        (await house.Get("/api/day/calendar")).Body["address"].ShouldBeNull();
    }

    [Fact]
    public async Task Who_is_slow_at_the_door_keeps_nobody_else_waiting()
    {
        using var house = House.With(("house", "true"), ("JOLLY_PASSPHRASE", Phrase));
        var (handler, saying) = (house.Handler(), new Pipe());
        await saying.Writer.WriteAsync("passphrase=brown"u8.ToArray());
        using var words = new StreamContent(saying.Reader.AsStream());
        words.Headers.ContentType = new("application/x-www-form-urlencoded");
        var slow = Ask(handler, HttpMethod.Post, "/house", body: words);
        using var phrase = new FormUrlEncodedContent([new("passphrase", Phrase)]);
        (await Ask(handler, HttpMethod.Post, "/house", body: phrase)).StatusCode.ShouldBe(HttpStatusCode.Redirect);
        slow.IsCompleted.ShouldBeFalse();
        // After five seconds nobody listens any more.
        while (!slow.IsCompleted)
            house.Pass(TimeSpan.FromSeconds(5));
        (slow.IsCanceled || (await slow).StatusCode == HttpStatusCode.BadRequest).ShouldBeTrue();
        using var none = new StringContent("brown");
        (await Ask(handler, HttpMethod.Post, "/house", body: none)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task Open_it_wants_the_passphrase_and_a_calendar_opens_the_calendar_only()
    {
        Should
            .Throw<ArgumentException>(() =>
            {
                using var none = House.With(("house", "true"));
            })
            .Message.ShouldContain("JOLLY_PASSPHRASE");
        using var house = House.With(("house", "true"), ("JOLLY_PASSPHRASE", Phrase));
        var handler = house.Handler();
        // This machine needs none.
        (await house.Get("/api/today")).Status.ShouldBe(200);
        (await Ask(handler, HttpMethod.Get, "/api/today")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await (await Ask(handler, HttpMethod.Get, "/")).Content.ReadAsStringAsync()).ShouldContain("The household's passphrase");
        // A name that somebody made point here is not ours.
        (await Ask(handler, HttpMethod.Get, "/api/today", host: "bread.example")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await Ask(handler, HttpMethod.Get, "/api/today", host: "8.8.8.8")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);

        (await Come("a guess")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        var known = await Come(Phrase);
        known.StatusCode.ShouldBe(HttpStatusCode.Redirect);
        var set = known.Headers.GetValues("Set-Cookie").Single();
        set.ShouldContain("httponly", Case.Insensitive);
        set.ShouldContain("samesite=strict", Case.Insensitive);
        var cookie = set.Split(';')[0];
        (await Ask(handler, HttpMethod.Get, "/api/today", cookie: cookie)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (
            await Ask(handler, HttpMethod.Get, "/api/today", cookie: cookie[..^1] + (cookie[^1] == '0' ? '1' : '0'))
        ).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);

        // The address given out: it opens the calendar, also after the house was shut for the night, and nothing else.
        var feed = new Uri((string)(await house.Get("/api/day/calendar")).Body["address"]!).PathAndQuery;
        (await (await Ask(handler, HttpMethod.Get, feed)).Content.ReadAsStringAsync()).ShouldStartWith("BEGIN:VCALENDAR");
        (await Ask(handler, HttpMethod.Get, feed.Replace("day.ics", "today", StringComparison.Ordinal))).StatusCode.ShouldBe(
            HttpStatusCode.Unauthorized
        );
        (await Ask(handler, HttpMethod.Get, "/api/day.ics?key=none")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        house.Reopen();
        (await Ask(house.Handler(), HttpMethod.Get, feed)).StatusCode.ShouldBe(HttpStatusCode.OK);

        Task<HttpResponseMessage> Come(string said) =>
            Ask(handler, HttpMethod.Post, "/house", body: new FormUrlEncodedContent([new("passphrase", said)]));
    }
}
