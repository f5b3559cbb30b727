using System.Threading.Channels;
using JollyKnot.Core.Dividing;
using JollyKnot.Server.Live;
using JollyKnot.Store;
using Microsoft.AspNetCore.SignalR.Client;
using Microsoft.Extensions.DependencyInjection;

namespace JollyKnot.Server.Tests;

/// <summary>What screens hear without asking.</summary>
public sealed class LiveTests : IAsyncLifetime
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(20),
        Settling = TimeSpan.FromSeconds(2);
    private readonly House house = new();
    private readonly Channel<Guid> changed = Channel.CreateUnbounded<Guid>();
    private readonly Channel<LiveReading> readings = Channel.CreateUnbounded<LiveReading>();
    private HubConnection line = null!;

    public async Task InitializeAsync()
    {
        line = new HubConnectionBuilder()
            .WithUrl(new Uri(house.Client.BaseAddress!, "live"), o => o.HttpMessageHandlerFactory = _ => house.Handler())
            .AddJsonProtocol(o => Json.Configure(o.PayloadSerializerOptions))
            .Build();
        line.On<Guid>("BakeChanged", id => changed.Writer.TryWrite(id));
        line.On<LiveReading>("Scale", r => readings.Writer.TryWrite(r));
        await line.StartAsync();
    }

    public async Task DisposeAsync()
    {
        await line.DisposeAsync();
        house.Dispose();
    }

    [Fact]
    public async Task An_event_told_anywhere_is_heard_everywhere()
    {
        var bake = await house.Bake();
        await Heard(bake);
        await house.Tell(bake, new { type = "step-done", step = "paddle" });
        await Heard(bake);
    }

    [Fact]
    public async Task What_becomes_due_is_called_though_nobody_told_anything()
    {
        var bake = await house.Bake();
        await Heard(bake);
        // Three seconds before the paddle should turn.
        await house.Tell(
            bake,
            new
            {
                type = "step-done",
                step = "start-cycle",
                at = house.Now.AddMinutes(-21).AddSeconds(3),
            }
        );
        await Heard(bake);
        (await Calling(bake)).ShouldBeEmpty();
        house.Pass(TimeSpan.FromSeconds(3));
        await Heard(bake);
        (await Calling(bake)).ShouldBe(["paddle-turns"]);
        await house.Tell(bake, new { type = "alarms-hushed" });
        (await Calling(bake)).ShouldBeEmpty();
    }

    [Fact]
    public async Task The_scale_is_streamed_and_judged_for_the_piece_that_is_wanted()
    {
        var bake = await house.Bake(House.Choice(pieces: 16));
        await house.Tell(
            bake,
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 911,
            }
        );
        await Put(63);
        var over = await Reading(r => r.Settled && r.Units == 63);
        (over.Bake, over.Verdict, over.Off).ShouldBe((bake, Verdict.PinchOff, 6));
        await Put(-6);
        (await Reading(r => r.Settled && r.Units == 57)).Verdict.ShouldBe(Verdict.Good);
        await house.Post("/api/scale/tare", new { });
        house.Pass(Settling);
        (await Reading(r => r.Units == 0)).Verdict.ShouldBe(Verdict.Empty);
        await Put(9000);
        (await Reading(r => r.Units is null)).Settled.ShouldBeFalse();
        await house.Post("/api/scale/clear", new { });

        var typed = await line.InvokeAsync<LiveReading?>("Judge", bake, 50, null);
        (typed!.Verdict, typed.Off).ShouldBe((Verdict.Add, -7));
        (await line.InvokeAsync<LiveReading?>("Judge", bake, int.MaxValue, null))!.Verdict.ShouldBe(Verdict.PinchOff);
        (await line.InvokeAsync<LiveReading?>("Judge", Guid.NewGuid(), 5, null)).ShouldBeNull();
        await Should.ThrowAsync<Exception>(() => line.InvokeAsync<LiveReading?>("Judge", "nonsense", "nonsense", "nonsense"));
        line.State.ShouldBe(HubConnectionState.Connected);
    }

    [Fact]
    public async Task Good_pieces_are_taken_by_themselves_stay_on_the_pan_and_are_trimmed()
    {
        var bake = await house.Bake(House.Choice(pieces: 16));
        await house.Tell(
            bake,
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 911,
            }
        );
        (await house.Call(HttpMethod.Put, "/api/scale/auto", new { on = true })).Status.ShouldBe(200);
        await Put(57);
        await Reading(r => r.Beside == 1);
        // The second is put beside the first, a little heavy, then trimmed until it is good.
        await Put(64);
        (await Reading(r => r.Settled && r.Units is >= 63 and <= 65)).Verdict.ShouldBe(Verdict.PinchOff);
        await Put(-7);
        await Reading(r => r.Beside == 2);
        (await Weighed(bake)).Count.ShouldBe(2);
        // Taken already, it is trimmed all the same: the last one is weighed anew.
        await Put(-12);
        await Task.Run(async () =>
            {
                while ((await Weighed(bake))[1] > 48)
                    await Task.Delay(50);
            })
            .WaitAsync(Patience);
        await house.Post("/api/scale/clear", new { });
        house.Pass(Settling);
        await Reading(r => r is { Beside: 0, Units: <= 1 });
        (await house.Call(HttpMethod.Put, "/api/scale/auto", new { on = false })).Status.ShouldBe(200);
    }

    [Fact]
    public async Task A_scale_that_sends_garbage_stalls_or_shouts_harms_nothing()
    {
        var bake = await house.Bake(House.Choice(pieces: 16));
        await house.Tell(
            bake,
            new
            {
                type = "dough-weighed",
                step = "weigh-dough",
                mass = 911,
            }
        );
        var (_, heard) = await Lines(
            "57.2 g",
            "",
            "ERR",
            "NaN",
            "1e400 g",
            "-∞",
            "57,2",
            "\u0000\u0001",
            new string('9', 5000),
            "99999999 kg",
            "2.01 oz",
            "US,GS,+  1.957 oz",
            "OL,57",
            "five g"
        );
        ((int)heard["heard"]!, (int)heard["dropped"]!).ShouldBe((4, 10));
        (await Reading(r => r.Units == 57)).Bake.ShouldBe(bake);
        // A hundred readings a second, for a while.
        for (var i = 0; i < 20; i++)
            await Lines([.. Enumerable.Range(0, 10).Select(n => $"{50 + (i * 10 + n) % 20} g")]);
        await Lines("61 g");
        (await Reading(r => r is { Units: 61, Settled: false })).Verdict.ShouldBe(Verdict.PinchOff);
        // Silent: nothing is shown that is not known.
        house.Pass(TimeSpan.FromSeconds(10));
        (await Reading(r => r.Units is null)).Verdict.ShouldBe(Verdict.Empty);
        (await house.Get($"/api/bakes/{bake}")).Status.ShouldBe(200);
        (await Weighed(bake)).ShouldBeEmpty();

        Task<(int Status, System.Text.Json.Nodes.JsonNode Body)> Lines(params string[] lines) =>
            house.Call(HttpMethod.Post, "/api/scale/lines", new StringContent(string.Join('\n', lines)));
    }

    [Fact]
    public async Task A_bowl_that_was_not_tared_is_seen_through()
    {
        var bake = await house.Bake(House.Choice(pieces: 16));
        await house.Tell(bake, new { type = "step-done", step = "start-cycle" });
        await house.Tell(
            bake,
            new
            {
                type = "dough-taken-out",
                step = "take-out",
                feel = "right",
            }
        );
        await Put(412 + 911);
        var seen = await Reading(r => r is { Settled: true, Under: not null });
        seen.Under.ShouldBe("Bowl");
        seen.Units!.Value.ShouldBeInRange(909, 913);
        await house.Post("/api/scale/clear", new { });
    }

    // The stand-in overshoots and comes to rest.
    private async Task Put(double mass)
    {
        await house.Post("/api/scale/put", new { mass });
        house.Pass(Settling);
    }

    private async Task<List<int>> Weighed(Guid bake) =>
        [
            .. (await house.Get($"/api/bakes/{bake}?step=divide")).Body["station"]!["pieces"]!
                .AsArray()
                .Select(p => (int?)p!["weighed"])
                .OfType<int>(),
        ];

    private async Task<List<string>> Calling(Guid bake) =>
        [.. (await house.Get($"/api/bakes/{bake}")).Body["calling"]!.AsArray().Select(c => c!["step"]!.ToString())];

    private async Task Heard(Guid bake)
    {
        using var patience = new CancellationTokenSource(Patience);
        while (await changed.Reader.ReadAsync(patience.Token) != bake) { }
    }

    private async Task<LiveReading> Reading(Func<LiveReading, bool> wanted)
    {
        using var patience = new CancellationTokenSource(Patience);
        while (true)
            if (await readings.Reader.ReadAsync(patience.Token) is var reading && wanted(reading))
                return reading;
    }
}
