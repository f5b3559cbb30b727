using System.IO.Pipelines;
using System.Net;
using System.Security.Cryptography.X509Certificates;
using JollyKnot.Server.Guard;

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
        string host = "192.168.1.4:5211",
        string? cookie = null,
        HttpContent? body = null,
        string scheme = "https",
        params (string Key, string Value)[] headers
    )
    {
        using var client = new HttpClient(handler, false) { BaseAddress = new Uri($"{scheme}://localhost") };
        using var request = new HttpRequestMessage(method, path) { Content = body };
        request.Headers.Host = host;
        request.Headers.Add(House.From, from);
        if (cookie is not null)
            request.Headers.Add("Cookie", cookie);
        foreach (var (key, value) in headers)
            request.Headers.Add(key, value);
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
        using var house = House.With(("house", "true"), ("JOLLY_PASSPHRASE", Phrase));
        var handler = house.Handler();
        // This machine needs none.
        (await house.Get("/api/today")).Status.ShouldBe(200);
        (await Ask(handler, HttpMethod.Get, "/api/today")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await (await Ask(handler, HttpMethod.Get, "/")).Content.ReadAsStringAsync()).ShouldContain("The household's passphrase");
        // A name that somebody made point here is not ours.
        (await Ask(handler, HttpMethod.Get, "/api/today", host: "bread.example")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await Ask(handler, HttpMethod.Get, "/api/today", host: "8.8.8.8")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);

        // Where others may hear it nothing is said but how to come in.
        var heard = await Ask(handler, HttpMethod.Get, "/", host: "192.168.1.4:5210", scheme: "http");
        (await heard.Content.ReadAsStringAsync()).ShouldContain("https://192.168.1.4:1");
        (await Ask(handler, HttpMethod.Get, "/api/today", scheme: "http")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        using var aloud = new FormUrlEncodedContent([new("passphrase", Phrase)]);
        (await Ask(handler, HttpMethod.Post, "/house", body: aloud, scheme: "http")).StatusCode.ShouldBe(
            HttpStatusCode.Forbidden
        );
        var vouched = await Ask(handler, HttpMethod.Get, "/house/authority.crt", scheme: "http");
        vouched.Content.Headers.ContentType!.MediaType.ShouldBe("application/x-x509-ca-cert");

        // A browser names the origin of a form only where the page lets it, and says "null" where it does not.
        (await Ask(handler, HttpMethod.Get, "/"))
            .Headers.GetValues("Referrer-Policy")
            .ShouldBe(["same-origin"]);
        (await Come(Phrase, origin: "null")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await Come("a guess")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        var known = await Come(Phrase);
        known.StatusCode.ShouldBe(HttpStatusCode.Redirect);
        var set = known.Headers.GetValues("Set-Cookie").Single();
        set.ShouldContain("httponly", Case.Insensitive);
        set.ShouldContain("secure", Case.Insensitive);
        set.ShouldContain("samesite=strict", Case.Insensitive);
        var cookie = set.Split(';')[0];
        (await Ask(handler, HttpMethod.Get, "/api/today", cookie: cookie)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var end = cookie[^10] == '0' ? '1' : '0';
        (await Ask(handler, HttpMethod.Get, "/api/today", cookie: cookie[..^10] + end + cookie[^9..])).StatusCode.ShouldBe(
            HttpStatusCode.Unauthorized
        );

        // The address given out: it opens the calendar, also after the house was shut for the night, and nothing else.
        var feed = new Uri((string)(await house.Get("/api/day/calendar")).Body["address"]!).PathAndQuery;
        (await (await Ask(handler, HttpMethod.Get, feed)).Content.ReadAsStringAsync()).ShouldStartWith("BEGIN:VCALENDAR");
        (await Ask(handler, HttpMethod.Get, feed.Replace("day.ics", "today", StringComparison.Ordinal))).StatusCode.ShouldBe(
            HttpStatusCode.Unauthorized
        );
        (await Ask(handler, HttpMethod.Get, "/api/day.ics?key=none")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        house.Reopen();
        (await Ask(house.Handler(), HttpMethod.Get, feed)).StatusCode.ShouldBe(HttpStatusCode.OK);

        Task<HttpResponseMessage> Come(string said, string origin = "https://192.168.1.4:5211") =>
            Ask(
                handler,
                HttpMethod.Post,
                "/house",
                body: new FormUrlEncodedContent([new("passphrase", said)]),
                headers: ("Origin", origin)
            );
    }

    [Fact]
    public async Task Devices_are_told_apart_and_one_that_is_sent_away_is_out()
    {
        using var house = House.With(("house", "true"), ("JOLLY_PASSPHRASE", Phrase));
        var handler = house.Handler();
        var (phone, tablet) = (await Come("Phone"), await Come("Tablet"));
        var devices = (await house.Get("/api/house")).Body["devices"]!.AsArray();
        devices.Select(d => (string)d!["name"]!).ShouldBe(["Tablet", "Phone"]);
        var id = (string)devices[1]!["id"]!;
        (await house.Call(HttpMethod.Delete, $"/api/house/devices/{id}")).Status.ShouldBe(200);
        (await house.Call(HttpMethod.Delete, $"/api/house/devices/{id}")).Status.ShouldBe(404);
        (await Is(phone)).ShouldBe(HttpStatusCode.Unauthorized);
        (await Is(tablet)).ShouldBe(HttpStatusCode.OK);
        // It stays known over a restart, and leaves of itself.
        house.Reopen();
        handler = house.Handler();
        (await Is(tablet)).ShouldBe(HttpStatusCode.OK);
        (await Ask(handler, HttpMethod.Post, "/api/house/out", cookie: tablet)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Is(tablet)).ShouldBe(HttpStatusCode.Unauthorized);

        async Task<HttpStatusCode> Is(string cookie) =>
            (await Ask(handler, HttpMethod.Get, "/api/today", cookie: cookie)).StatusCode;
        async Task<string> Come(string name)
        {
            using var said = new FormUrlEncodedContent([new("passphrase", Phrase), new("name", name)]);
            return (await Ask(handler, HttpMethod.Post, "/house", body: said))
                .Headers.GetValues("Set-Cookie")
                .Single()
                .Split(';')[0];
        }
    }

    [Fact]
    public async Task Each_address_has_ten_guesses_and_keeps_no_other_from_coming_in()
    {
        using var house = House.With(("house", "true"), ("JOLLY_PASSPHRASE", Phrase));
        var handler = house.Handler();
        for (var i = 0; i < 10; i++)
            (await Guess(Phone, $"guess {i}")).ShouldBe(HttpStatusCode.Unauthorized);
        (await Guess(Phone, Phrase)).ShouldBe(HttpStatusCode.TooManyRequests);
        (await Guess("192.168.1.21", Phrase)).ShouldBe(HttpStatusCode.Redirect);

        async Task<HttpStatusCode> Guess(string from, string said)
        {
            using var form = new FormUrlEncodedContent([new("passphrase", said)]);
            return (await Ask(handler, HttpMethod.Post, "/house", from, body: form)).StatusCode;
        }
    }

    [Theory]
    [InlineData("POST", "cors", "empty", 403)]
    [InlineData("GET", "no-cors", "image", 403)]
    [InlineData("GET", "navigate", "iframe", 403)]
    [InlineData("GET", "navigate", "document", 200)]
    public async Task Another_page_may_lead_here_and_nothing_else(string method, string mode, string dest, int status)
    {
        using var house = new House();
        (string, string)[] headers = [("Sec-Fetch-Site", "cross-site"), ("Sec-Fetch-Mode", mode), ("Sec-Fetch-Dest", dest)];
        var answer = await Ask(
            house.Handler(),
            new HttpMethod(method),
            "/api/today",
            from: "127.0.0.1",
            host: "localhost",
            headers: headers
        );
        ((int)answer.StatusCode).ShouldBe(status);
        answer.Headers.GetValues("Content-Security-Policy").Single().ShouldContain("default-src 'self'");
        answer.Headers.CacheControl!.NoStore.ShouldBeTrue();
    }

    [Fact]
    public async Task Who_asks_for_the_head_only_is_answered_as_who_asks_for_all()
    {
        using var house = new House();
        using var head = new HttpRequestMessage(HttpMethod.Head, "/api/today");
        using var answer = await house.Client.SendAsync(head);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await answer.Content.ReadAsByteArrayAsync()).ShouldBeEmpty();
    }

    [Theory]
    [InlineData(null, false)]
    [InlineData("            ", false)]
    [InlineData("12345678", false)]
    [InlineData("aaaaaaaaaaaaaa", false)]
    [InlineData("brown bread", false)]
    [InlineData("brown brown brown brown", false)]
    [InlineData("brown bread on saturdays", true)]
    [InlineData("qm7-vvl29-xdr0", true)]
    public void A_passphrase_has_four_words_or_fourteen_letters(string? said, bool isLongEnough) =>
        Passphrase.IsLongEnough(said).ShouldBe(isLongEnough);

    [Fact]
    public void What_is_suggested_would_do_and_is_another_each_time()
    {
        var some = Enumerable.Range(0, 20).Select(_ => Passphrase.Suggest()).ToList();
        some.ShouldAllBe(s => s.Split(' ', StringSplitOptions.None).Length == 5);
        some.Distinct().Count().ShouldBeGreaterThan(15);
    }

    [Fact]
    public void The_house_vouches_for_its_addresses_and_for_no_other()
    {
        var folder = Directory.CreateTempSubdirectory("jolly-door-").FullName;
        var certificates = new HouseCertificates(folder);
        using var authority = certificates.Authority();
        using var mine = certificates.ForThisMachine([IPAddress.Parse("192.168.1.4")]);
        using var chain = new X509Chain();
        chain.ChainPolicy.TrustMode = X509ChainTrustMode.CustomRootTrust;
        chain.ChainPolicy.CustomTrustStore.Add(authority);
        chain.ChainPolicy.RevocationMode = X509RevocationMode.NoCheck;
        chain.Build(mine).ShouldBeTrue();
        mine.MatchesHostname("192.168.1.4").ShouldBeTrue();
        mine.MatchesHostname("localhost").ShouldBeTrue();
        mine.MatchesHostname("bread.example").ShouldBeFalse();
        // The same authority the next time: a device is asked to trust it once.
        using var again = certificates.Authority();
        again.Thumbprint.ShouldBe(authority.Thumbprint);
        Directory.Delete(folder, true);
    }
}
