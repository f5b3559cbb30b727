using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Steps;
using JollyKnot.Devices;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Kitchens;
using JollyKnot.Store;
using Microsoft.AspNetCore.SignalR;

namespace JollyKnot.Server.Live;

/// <summary>Streams the scale to the screens, judged for the bake that is weighing; takes pieces by itself where that is
/// wanted.</summary>
public sealed class ScaleFeed(
    IScale scale,
    BakeBook book,
    KitchenKeeper kitchens,
    Settings settings,
    IHubContext<LiveHub, ILiveScreen> screens,
    HouseClock clock,
    IHostApplicationLifetime house,
    ILogger<ScaleFeed> log
) : BackgroundService
{
    // However often the scale speaks, the screens hear it no oftener than people see.
    private static readonly TimeSpan Pace = TimeSpan.FromMilliseconds(40);
    private static readonly DocumentKind<Auto> Kept = new("scale-takes-by-itself");

    private sealed record Weighing(Guid Bake, BakeState State, Station? Station, Mass? Expected, ImmutableArray<Ballast> Known);

    private sealed record Auto(bool On);

    private OnPan pan = OnPan.Empty;
    private ImmutableDictionary<int, int> parts = ImmutableDictionary<int, int>.Empty;
    private bool changed = true;

    /// <summary>What was streamed last.</summary>
    public LiveReading? Last { get; private set; }

    /// <summary>Whether pieces that are good and stand still are taken by themselves.</summary>
    public bool TakesByItself { get; private set; }

    /// <summary>Wants pieces taken by themselves, or not; kept.</summary>
    public async Task TakeByItself(bool on)
    {
        TakesByItself = on;
        await settings.Set(Kept, new Auto(on));
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        TakesByItself = (await settings.Get(Kept))?.On ?? false;
        await house.WaitUntilOpen(stoppingToken);
        // The bakes are looked at again only when one changed: an idle kitchen costs nothing.
        Weighing? weighing = null;
        void Heard(Guid _) => Volatile.Write(ref changed, true);
        book.Changed += Heard;
        using var timer = new PeriodicTimer(Pace);
        while (await Next(timer, stoppingToken))
        {
            try
            {
                var reading = scale.Read();
                if (Volatile.Read(ref changed) || Last is null)
                {
                    Volatile.Write(ref changed, false);
                    weighing = await Now(weighing, reading);
                }
                var live = Judged(weighing, reading);
                if (weighing is { Station: not null } && reading.Settled)
                    await Take(weighing, reading, live);
                if (live == Last)
                    continue;
                Last = live;
                await screens.Clients.All.Scale(live);
            }
            catch (Exception trouble) when (trouble is not OperationCanceledException)
            {
                // A scale may misbehave as it likes: the bench goes on without it.
                log.LogWarning(trouble, "The scale's reading was dropped.");
            }
        }
        book.Changed -= Heard;
    }

    private async Task<Weighing?> Now(Weighing? before, ScaleReading reading)
    {
        var kitchen = await kitchens.Get();
        foreach (var bake in await book.Open())
        {
            var state = BakeEndpoints.State(bake, clock);
            if (state.Now?.Step is not { } step || step.Ending is not (Ending.Mass or Ending.Parts))
                continue;
            var spec = bake.Plan.Spec;
            ImmutableArray<Ballast> vessels =
            [
                .. kitchen.Vessels.Select(v => new Ballast(v.Name, v.Empty)),
                .. spec.Machine.PanEmpty is { } empty
                    ? [new Ballast($"{spec.Machine.Name}'s pan", empty)]
                    : Array.Empty<Ballast>(),
            ];
            if (step.Ending == Ending.Mass)
            {
                // While weighing in, what went in before may lie under it too.
                var already = step.About?.Running - step.About?.Mass;
                ImmutableArray<Ballast> known = already is { Grams: > 0 } b
                    ?
                    [
                        .. vessels,
                        new("what is in already", b),
                        .. vessels.Select(v => new Ballast($"{v.Name} and what is in already", v.Mass + b)),
                    ]
                    : vessels;
                return new(bake.Id, state, null, step.About?.Mass, known);
            }
            var station = state.Station;
            if (before?.Bake != bake.Id)
                (pan, parts) = (OnPan.Empty, state.SoFar.Parts);
            foreach (var (number, units) in state.SoFar.Parts)
                if (!parts.TryGetValue(number, out var was) || was != units)
                    pan = pan.Took(number, units, reading.Mass is { } m ? station.Units(m) : null, station.Crumbs);
            parts = state.SoFar.Parts;
            return new(bake.Id, state, station, station.Next is { } next ? spec.Step * next.Target : null, vessels);
        }
        pan = OnPan.Empty;
        return null;
    }

    private LiveReading Judged(Weighing? weighing, ScaleReading reading)
    {
        var step = weighing?.Station?.Step ?? weighing?.State.Plan.Spec.Step ?? Mass.FromGrams(1);
        var auto = TakesByItself && weighing?.Station is not null;
        if (reading.Mass is not { } mass)
            return new(weighing?.Bake, null, step, reading.Settled, Verdict.Empty, 0, Auto: auto);
        if (weighing is null)
            return new(null, Station.UnitsOf(mass, step), step, reading.Settled, Verdict.Empty, 0);
        var held = weighing.Station is { } s ? s.Step * pan.Pieces.Sum(p => p.Units) : Mass.Zero;
        var lost = weighing.Expected is { } expected ? LostTare.Explain(mass - held, expected, weighing.Known) : null;
        var units = Station.UnitsOf(lost?.Net ?? mass - held, step);
        return (
            weighing.Station is { } station
                ? LiveHub.Of(weighing.Bake, station, station.Next, units, reading.Settled)
                : new(weighing.Bake, units, step, reading.Settled, Verdict.Empty, 0)
        ) with
        {
            Beside = pan.Pieces.Length,
            Trimmings = weighing.Station is { Next: { } next } of && pan.AreTrimmings(of.Units(mass), next.Target, of.Crumbs),
            Under = lost?.Ballast.Name,
            Auto = auto,
        };
    }

    private async Task Take(Weighing weighing, ScaleReading reading, LiveReading live)
    {
        if (reading.Mass is not { } mass || weighing.Station is not { } station)
            return;
        (pan, var trimmed) = pan.Settled(station.Units(mass), station.Crumbs);
        if (trimmed is not null)
            await Tell(weighing, trimmed.Number, trimmed.Units);
        else if (TakesByItself && live is { Verdict: Verdict.Good, Units: { } units } && station.Next is { } next)
            await Tell(weighing, next.Number, units);
    }

    private Task<Told> Tell(Weighing weighing, int number, int units) =>
        book.Tell(
            weighing.Bake,
            Guid.NewGuid(),
            weighing.State.Log.Position,
            new PartWeighed(number, weighing.State.Plan.Spec.Step * units),
            clock.GetUtcNow()
        );

    private static async Task<bool> Next(PeriodicTimer timer, CancellationToken stop)
    {
        try
        {
            return await timer.WaitForNextTickAsync(stop);
        }
        catch (OperationCanceledException)
        {
            return false;
        }
    }
}
