using CsCheck;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>What must hold for every dough, dividing, proof and log.</summary>
[Trait("Near", "Bakes")]
public sealed class Properties
{
    private static readonly Kitchen GriddleToo = DemoFormulas.Kitchen with
    {
        Griddle = new("griddle", "Griddle", TinShape.Tray, Length.FromMillimetres(400), Length.FromMillimetres(260)),
    };

    private static readonly Gen<BakeSpec> AnySpec = Gen.Select(
        One(SoftRolls, Pretzels, PlaitDough, CableKnots),
        One([.. Families.All]).Array[1, 3],
        One([.. Places.All]),
        Gen.Int[1, 30],
        Gen.Bool,
        (dough, families, place, pieces, kept) =>
            BakeDecision.Of(
                dough,
                Choice(
                    null,
                    place.Id,
                    [
                        .. families.Select(f => new CutChoice(f.Id, pieces)),
                        .. kept ? [new CutChoice(Share: Share.FromPercent(20))] : Array.Empty<CutChoice>(),
                    ]
                ),
                GriddleToo,
                Morning
            )
                is var made
            && made.Has(out var spec)
                ? kept
                    ? spec
                    : spec.Cold(TimeSpan.FromHours(pieces % 3 * 5) is { Ticks: > 0 } cold ? cold : null)
                : Spec(dough, Families.ForOven[pieces % Families.ForOven.Length].Id, place.Id, 5)
    );

    [Fact]
    public void Targets_add_up_to_the_dough_and_differ_by_a_gram() =>
        Gen.Select(Gen.Int[0, 20_000], Gen.Int[1, 100], Gen.Int[1, 6])
            .ForAll(
                (dough, loaves, strands) =>
                {
                    var targets = Targets.Equal(dough, loaves).SelectMany(loaf => Targets.Equal(loaf, strands)).ToArray();
                    targets.Sum().ShouldBe(dough);
                    (targets.Max() - targets.Min()).ShouldBeLessThanOrEqualTo(2);
                }
            );

    [Fact]
    public void The_last_piece_never_gets_the_sum_of_all_errors() =>
        Gen.Select(Gen.Int[2, 40], Gen.Int[400, 2000], Gen.Int[-5, 5].Array[40])
            .ForAll(
                (pieces, dough, errors) =>
                {
                    var weighed = new Dictionary<int, int>();
                    while (Station.For(dough, Grams(1), [new(pieces, 1, 57, false)], weighed) is { Next: { } next } station)
                    {
                        station.Pieces.Where(p => p.Weighed is null).Sum(p => p.Target).ShouldBe(station.Left);
                        weighed[next.Number] = Math.Min(station.Left, Math.Max(1, next.Target + errors[next.Number - 1]));
                    }
                    weighed.Values.Sum().ShouldBeInRange(dough - 5, dough + 5);
                }
            );

    [Fact]
    public void Scaling_there_and_back_changes_nothing() =>
        Gen.Double[.05, 20]
            .ForAll(factor =>
                SoftRolls
                    .Scale(factor)
                    .Scale(1 / factor)
                    .Rows.Zip(SoftRolls.Rows)
                    .ShouldAllBe(p => Math.Abs(p.First.Mass.Grams - p.Second.Mass.Grams) < 1e-9)
            );

    [Fact]
    public void Warmer_or_more_yeast_never_rises_slower() =>
        Gen.Select(Gen.Double[5, 35], Gen.Double[0, 1], Gen.Double[.4, 2], Gen.Double[0, 1], Gen.Double[20, 900])
            .ForAll(
                (room, warmer, yeast, more, grams) =>
                {
                    TimeSpan Doubles(double place, double share) =>
                        RiseModel
                            .Simulate(
                                new(
                                    Grams(grams),
                                    Share.FromPercent(share),
                                    Share.FromPercent(5),
                                    Share.FromPercent(1.8),
                                    Celsius(28),
                                    Celsius(place)
                                ),
                                Places.Counter,
                                1
                            )
                            .TimeTo(1)
                        ?? RiseModel.Horizon;
                    var time = Doubles(room, yeast);
                    Doubles(Math.Min(36, room + warmer), yeast).ShouldBeLessThanOrEqualTo(time);
                    Doubles(room, yeast + more).ShouldBeLessThanOrEqualTo(time);
                },
                iter: 60
            );

    [Fact]
    public void A_layout_is_in_order_and_in_time_whatever_is_baked_where() =>
        AnySpec.ForAll(
            spec =>
            {
                var wanted = Morning.AddHours(60);
                var layout = Layout.Of(spec.Wanted(wanted), Morning);
                layout.Timetable.Ready.ShouldBe(wanted, TimeSpan.FromSeconds(1));
                foreach (var slot in layout.Timetable.Slots)
                {
                    slot.End.ShouldBeGreaterThanOrEqualTo(slot.Start);
                    foreach (var link in slot.Step.After)
                    {
                        var other = layout.Timetable[link.Step].ShouldNotBeNull();
                        slot.Start.ShouldBeGreaterThanOrEqualTo((link.Edge == Edge.Start ? other.Start : other.End) + link.Lag);
                    }
                }
                // The oven is hot before the first that needs it goes in, and never in use twice unless racks and heat allow.
                if (layout.Timetable["preheat"] is { } preheat)
                    preheat.End.ShouldBeLessThanOrEqualTo(
                        layout.Timetable.At(Milestone.In, spec.Batches.First(b => !b.Bread.OnGriddle).Index)!.Start.AddSeconds(1)
                    );
                var baked = spec
                    .Batches.Where(b => !b.Bread.OnGriddle)
                    .Select(b =>
                        (
                            b.Bread,
                            In: layout.Timetable.At(Milestone.In, b.Index)!.End,
                            Out: layout.Timetable.At(Milestone.Out, b.Index)!.Start
                        )
                    )
                    .ToList();
                foreach (var (bread, @in, @out) in baked)
                {
                    var together = baked.Where(o => o.In < @out && @in < o.Out).ToList();
                    together.ShouldAllBe(o => o.Bread.Heat == bread.Heat);
                }
                if (layout.Timetable["clear-oven"] is not null && layout.Timetable["oven-on"] is not null)
                    layout.Timetable["oven-on"]!.Start.ShouldBeGreaterThanOrEqualTo(layout.Timetable["clear-oven"]!.End);
            },
            iter: 60
        );

    [Fact]
    public void Dough_taken_out_of_the_oven_it_needs_is_ready_when_the_oven_is() =>
        Gen.Select(One("oven-light", "brief-warm", "proof-setting"), Gen.Double[16, 28])
            .ForAll(
                (place, room) =>
                {
                    var spec = Spec(SoftRolls, "pan-roll", place).InRoomOf(Celsius(room));
                    var layout = Layout.Of(spec, Morning);
                    var (load, proof) = (layout.Timetable["load"]!, layout.Timetable["proof"]!);
                    var rise = layout.Steps.Batches[0].Proof.Curve.At(load.Start - proof.Start).Rise;
                    rise.ShouldBe(spec.Batches[0].Bread.Family.WantedRise, .03);
                },
                iter: 30
            );

    [Fact]
    public void Any_log_gives_a_state_and_every_event_can_be_taken_back() =>
        Gen.Select(AnySpec, Gen.Int[0, 1_000_000].Array[60])
            .ForAll(
                (spec, choices) =>
                {
                    var plan = Layout.Of(spec, Morning).Plan;
                    var (log, now) = (new BakeLog([]), Morning);
                    foreach (var choice in choices)
                    {
                        now += TimeSpan.FromSeconds(choice % 900);
                        var state = BakeState.Of(plan, log, now);
                        var told = Tell(state, choice) with { At = now };
                        if (BakeRules.Refuses(state, told) is null)
                            log = new(log.Entries.Add(new(log.Position + 1, told)));
                    }
                    var before = BakeState.Of(plan, log, now);
                    before.Timetable.Slots.ShouldAllBe(s => s.End >= s.Start);
                    if (before.LastTold is not { } last)
                        return;
                    var undone = new BakeLog(log.Entries.Add(new(log.Position + 1, new Undone(last.Position) { At = now })));
                    undone.Standing().ShouldNotContain(e => e.Position == last.Position);
                    var redone = new BakeLog(
                        undone.Entries.Add(new(undone.Position + 1, new Undone(undone.Position) { At = now }))
                    );
                    var after = BakeState.Of(plan, redone, now);
                    after
                        .Timetable.Slots.Select(s => (s.Step.Id, s.Start, s.End, s.State))
                        .ShouldBe(before.Timetable.Slots.Select(s => (s.Step.Id, s.Start, s.End, s.State)));
                },
                iter: 200
            );

    [Fact]
    public void A_picture_stays_in_its_frame_and_in_its_lanes() =>
        Gen.Select(AnySpec, Gen.Bool)
            .ForAll(
                (spec, slim) =>
                {
                    var layout = Layout.Of(spec, Morning);
                    var picture = StrandLayout.Of(
                        [new(spec, layout.Steps.Batches, layout.Timetable, spec.ExpectedDough)],
                        new(slim ? 358 : 1248, slim, TimeSpan.FromHours(1))
                    );
                    picture.Strands[0].Ribbons.ShouldNotBeEmpty();
                    foreach (var ribbon in picture.Strands[0].Ribbons)
                    {
                        ribbon.Points.ShouldAllBe(p =>
                            p.X >= picture.Left - 1 && p.X <= picture.Right + 1 && p.Y > 0 && p.Y < picture.Height
                        );
                        ribbon.Points.Zip(ribbon.Points.Skip(1)).ShouldAllBe(p => p.Second.X >= p.First.X);
                    }
                    foreach (var window in picture.Labels.Where(l => l.Kind == LabelKind.Window))
                        (window.Anchor == Anchor.Start ? window.X + 107 <= picture.Width : window.X - 107 >= 0).ShouldBeTrue(
                            $"{window}"
                        );
                    picture.Lanes.Zip(picture.Lanes.Skip(1)).ShouldAllBe(p => p.First.Top + p.First.Height <= p.Second.Top);
                },
                iter: 60
            );

    private static Gen<T> One<T>(params T[] of) => Gen.Int[0, of.Length - 1].Select(i => of[i]);

    // Something a baker could tell now, sensible or not.
    private static BakeEvent Tell(BakeState state, int choice)
    {
        var now = state.SoFar.Now;
        if (choice % 11 == 0)
            return new Undone(choice % Math.Max(1, state.Log.Position + 1));
        if (choice % 13 == 0)
            return new PartWeighed(choice % 20, Grams(choice % 90));
        var steps = state.Timetable.Slots.Where(s => s.Step.IsBeat).ToList();
        var step = choice % 3 == 0 || state.Now is null ? steps[choice % steps.Count].Step : state.Now.Step;
        return choice % 7 == 0
            ? new StepSkipped(step.Id)
            : step.Ending switch
            {
                Ending.Mass when step.Is(Milestone.FirstIn) => new IngredientWeighed(step.Id, step.About!.Mass!.Value),
                Ending.Mass => new DoughWeighed(step.Id, Grams(400 + choice % 600)),
                Ending.Feel => new DoughChecked(step.Id, (DoughFeel)(choice % 5), Mass.Zero, Grams(choice % 12)),
                Ending.TakeOut => new DoughTakenOut(step.Id, DoughFeel.Right),
                Ending.Look => new ProofLooked(step.Id, (Seen)(choice % 6)),
                Ending.Review => new Reviewed(step.Id, 1 + choice % 5, ""),
                _ => new StepDone(step.Id),
            };
    }
}
