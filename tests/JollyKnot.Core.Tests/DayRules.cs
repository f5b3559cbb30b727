using System.Collections.Immutable;
using CsCheck;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Days;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Several doughs, one oven, one pair of hands.</summary>
[Trait("Near", "Days")]
public sealed class DayRules
{
    internal static readonly Kitchen Full = DemoFormulas.Kitchen with
    {
        Machines = [Blue, White],
        Ovens =
        [
            DemoFormulas.Kitchen.Ovens[0] with
            {
                Racks = 2,
            },
            new("table-top", "Table-top oven", new(Celsius(90), Celsius(230)), 7),
        ],
        Tins =
        [
            new("t1", "Tray", TinShape.Tray, Length.FromMillimetres(440), Length.FromMillimetres(340)),
            new("t2", "Tray", TinShape.Tray, Length.FromMillimetres(440), Length.FromMillimetres(340)),
        ],
        Griddle = new("griddle", "Griddle", TinShape.Tray, Length.FromMillimetres(400), Length.FromMillimetres(260)),
    };

    internal static readonly Dough Flat = Make(
        "Washer flatbreads",
        ("strong white flour", 300),
        ("wholemeal flour", 100),
        ("water", 200),
        ("plain yogurt", 80),
        ("olive oil", 20),
        ("fine salt", 8),
        ("sugar", 5),
        ("instant yeast", 4)
    );

    private static readonly string[] Places = ["counter", "oven-light", "heated-off", "above-oven"];

    private static BakeChoice InBowl(BakeChoice choice) =>
        choice with
        {
            After = new(false, Minutes(50)),
            BowlPlaceId = "oven-light",
        };

    internal static DayBake Bake(Dough dough, DateTimeOffset? by, string machine, string place, params CutChoice[] cuts) =>
        Bake(dough, new BakeChoice(machine, "wall", place, ReadyBy: by) { Cuts = [.. cuts] });

    private static DayBake Bake(Dough dough, BakeChoice choice) =>
        BakeDecision.Of(dough, choice, Full, Morning) is var made && made.Has(out var spec)
            ? new(spec, SoFar.Nothing(Morning), Layout.Of(spec, Morning).Plan.Start)
            : throw new ArgumentException(string.Join(" ", made.Problems.Select(p => p.Field + ": " + p.Type)));

    /// <summary>The bakes as the plan holds them.</summary>
    internal static ImmutableArray<DayBake> Held(ImmutableArray<DayBake> bakes, DayPlan plan) =>
        [.. bakes.Select((b, i) => new DayBake(b.Spec, b.SoFar with { Arranged = plan.Bakes[i] }, b.Start))];

    private static string Said(IEnumerable<DayFinding> found) =>
        string.Join("; ", found.Select(f => $"{f.Trouble} {f.Bake}:{f.Step} {f.Other}:{f.OtherStep} {f.By}"));

    internal static readonly ImmutableArray<DayBake> RepairCafe =
    [
        Bake(SoftRolls, Morning.AddHours(4.5), "blue", "counter", new CutChoice("pan-roll", 16)),
        Bake(Flat, Morning.AddHours(4.5), "white", "counter", new CutChoice("pocket-flatbread", 8)),
        Bake(PlaitDough, Morning.AddHours(7), "blue", "counter", new CutChoice("plait-3", 2)),
    ];

    [Fact]
    public void Rolls_flatbreads_and_a_plait_for_the_repair_cafe()
    {
        DayCheck.Of(RepairCafe, Morning).ShouldContain(f => f.Impossible);
        var plan = DayPlan.Of(RepairCafe, Morning);
        var held = Held(RepairCafe, plan);
        Said(DayCheck.Of(held, Morning)).ShouldBe("");
        plan.Aims.Late.ShouldBe(0);
        // The same day gives the same plan, also from the solver.
        DayPlan
            .Best(RepairCafe, Morning)
            .Bakes.SelectMany(b => b.NotBefore.OrderBy(n => $"{n.Key}"))
            .ShouldBe(DayPlan.Best(RepairCafe, Morning).Bakes.SelectMany(b => b.NotBefore.OrderBy(n => $"{n.Key}")));
        Said(DayCheck.Of(Held(RepairCafe, DayPlan.Best(RepairCafe, Morning)), Morning)).ShouldBe("");
        DayPlan
            .Of(RepairCafe, Morning)
            .Bakes.SelectMany(b => b.NotBefore.OrderBy(n => $"{n.Key}"))
            .ShouldBe(plan.Bakes.SelectMany(b => b.NotBefore.OrderBy(n => $"{n.Key}")));
        // One oven at two temperatures: whoever comes second finds it hot and turns it.
        held.Count(b => b.SoFar.Arranged.HotFrom.ContainsKey("wall")).ShouldBe(1);
    }

    private static readonly string[] Families =
    [
        "pan-roll",
        "round-bun",
        "knot",
        "pretzel",
        "plait-3",
        "baton",
        "pocket-flatbread",
        "griddle-round",
        "crusty-roll",
    ];

    internal static Gen<ImmutableArray<DayBake>> SomeDays(int most) =>
        Gen.Select(Gen.Int[0, Families.Length - 1], Gen.Int[4, 16], Gen.Int[0, 3], Gen.Bool, Gen.Int[150, 600], Gen.Bool)
            .Array[1, most]
            .Select(wanted =>
                wanted
                    .Select(w =>
                    {
                        var (family, pieces, place, blue, minutes, alone) = w;
                        var pretzels = Families[family] == "pretzel";
                        var choice = new BakeChoice(
                            blue || pretzels ? "blue" : "white",
                            "wall",
                            Places[place],
                            ReadyBy: Morning.AddMinutes(minutes)
                        )
                        {
                            Cuts = alone
                                ? [new(Families[family], Families[family] == "plait-3" ? 2 : pieces)]
                                : [new(Families[family]), new("pan-roll", 4, Grams(50))],
                        };
                        // Every third on the counter rose in a bowl in the oven before.
                        return Bake(pretzels ? Pretzels : Flat, place == 0 && minutes % 3 == 0 ? InBowl(choice) : choice);
                    })
                    .ToImmutableArray()
            );

    internal static void NothingImpossible(ImmutableArray<DayBake> bakes, DateTimeOffset now)
    {
        var found = DayCheck.Of(bakes, now).Where(f => f.Impossible).ToList();
        if (found.Count > 0)
            throw new InvalidOperationException(
                Said(found)
                    + " | "
                    + string.Join(
                        ", ",
                        bakes.SelectMany(
                            (b, i) =>
                                b
                                    .SoFar.Arranged.NotBefore.Where(n =>
                                        b.Timetable[n.Key] is not { } s || (s.Start - n.Value).Duration() > Minutes(.5)
                                    )
                                    .Select(n => $"{i}:{n.Key} {n.Value:HH:mm:ss} {b.Timetable[n.Key]?.Start:HH:mm:ss}")
                        )
                    )
                    + " | "
                    + string.Join(
                        " / ",
                        bakes.Select(b =>
                            $"{b.Spec.Machine.Id} {b.Spec.Place.Id} "
                            + $"{string.Join(",", b.Spec.Cuts.Select(c => $"{c.Pieces} {c.Bread?.Family.Id}"))} "
                            + $"{b.Spec.ReadyBy:HH:mm}"
                        )
                    )
            );
    }

    // A thousand days in all; most of them small, so that the run stays short.
    [Theory]
    [InlineData(2, 800), InlineData(3, 200)]
    public void Whatever_day_it_is_nothing_is_in_two_places(int doughs, int days) =>
        SomeDays(doughs).ForAll(bakes => NothingImpossible(Held(bakes, DayPlan.Of(bakes, Morning)), Morning), iter: days);

    [Fact]
    public void The_solver_keeps_every_rule_and_never_makes_a_day_worse()
    {
        var proven = 0;
        SomeDays(3)
            .ForAll(
                bakes =>
                {
                    var (first, best) = (DayPlan.Of(bakes, Morning), DayPlan.Best(bakes, Morning));
                    (best.Aims <= first.Aims).ShouldBeTrue($"{first.Aims} {best.Aims}");
                    NothingImpossible(Held(bakes, best), Morning);
                    if (best.Proven)
                        Interlocked.Increment(ref proven);
                },
                iter: 40
            );
        proven.ShouldBeGreaterThan(30);
    }

    [Fact]
    public void A_day_that_cannot_be_done_names_the_one_change_that_would_do()
    {
        var by = Morning.AddMinutes(240);
        ImmutableArray<DayBake> two =
        [
            Bake(Flat, by, "blue", "counter", new CutChoice("pan-roll", 12)),
            Bake(Flat, by, "blue", "counter", new CutChoice("pocket-flatbread", 8)),
        ];
        var least = DayPlan.Best(two, Morning);
        least.Aims.Late.ShouldBeGreaterThan(5);
        NothingImpossible(Held(two, least), Morning);
        DayCheck.Of(Held(two, least), Morning).ShouldContain(f => f.Trouble == DayTrouble.Late);
        var fixes = DayChange.ThatWouldDo(two, Full, Morning);
        fixes[0].ShouldSatisfyAllConditions(f => f.Kind.ShouldBe(ChangeKind.Machine), f => f.Id.ShouldBe("white"));
        fixes.Select(f => f.Kind).ShouldContain(ChangeKind.ReadyBy);
        foreach (var fix in fixes)
            DayPlan.Of(DayChange.Apply(two, [fix], Full, Morning).Value, Morning).Aims.Late.ShouldBeLessThanOrEqualTo(2);
        // A day that can be done needs no change, and what has begun is not offered.
        var begun = two.Select(b => b with { SoFar = b.SoFar with { Steps = b.SoFar.Steps.Add("paddle", new(Morning, false)) } })
            .ToImmutableArray();
        DayChange.ThatWouldDo(begun, Full, Morning).ShouldBeEmpty();
    }

    [Fact]
    public void Breakfast_that_begins_before_anybody_is_up_asks_for_as_little_sleep_as_would_do()
    {
        var night = new TimeBand(Morning.AddHours(1), Morning.AddHours(9));
        var closed = new Closed([night], []);
        ImmutableArray<DayBake> breakfast =
        [
            Bake(SoftRolls, Morning.AddHours(11.5), "blue", "counter", new CutChoice("pan-roll", 16)),
        ];
        var late = DayPlan.Best(breakfast, Morning, closed).Aims.Late;
        late.ShouldBeGreaterThan(30);
        var up = DayChange.ThatWouldDo(breakfast, Full, Morning, closed).Single(c => c.Kind == ChangeKind.Up);
        // By half hours, as little as makes it in time.
        var sooner = night.To - up.At!.Value;
        sooner.TotalMinutes.ShouldBeGreaterThanOrEqualTo(late - 2);
        var halfAnHourLess = DayChange.Opened(closed, DayChange.Up([up with { At = up.At.Value.AddMinutes(30) }]));
        var tooLittle = DayPlan.Of(breakfast, Morning, halfAnHourLess);
        (tooLittle.Aims.Late + tooLittle.Aims.Over).ShouldBeGreaterThan(2);
        var opened = DayChange.Opened(closed, DayChange.Up([up]));
        opened.Hands.ShouldBe([night with { To = up.At.Value }]);
        var held = Held(DayChange.Apply(breakfast, [up], Full, Morning).Value, DayPlan.Best(breakfast, Morning, opened));
        DayCheck.Of(held, Morning, opened).ShouldBeEmpty();
        held[0]
            .Timetable.Slots.Where(s => s.Step.KeepsHands && s.Step.IsBeat)
            .Min(s => s.Start)
            .ShouldBeGreaterThanOrEqualTo(up.At.Value.AddMinutes(-1));
        // It is the day's change, not a bake's; a time that has passed is none; a nap is not a night.
        DayChange
            .Apply(breakfast, [new(0, ChangeKind.Up, At: Morning.AddHours(-1))], Full, Morning)
            .Problems.Single()
            .Field.ShouldBe("changes[0].at");
        DayChange
            .ThatWouldDo(breakfast, Full, Morning, new Closed([new(Morning.AddHours(7.5), Morning.AddHours(10.5))], []))
            .ShouldNotContain(c => c.Kind == ChangeKind.Up);
        // An errand in the evening stays one, whenever somebody is up in the morning.
        new Closed([night, new(Morning.AddHours(12), Morning.AddHours(13))], [])
            .UpAt([up.At.Value])
            .Hands[1]
            .ShouldBe(new(Morning.AddHours(12), Morning.AddHours(13)));
    }

    [Fact]
    public void Every_change_to_a_bake_is_made_or_refused_with_its_field()
    {
        BakeSpec Made(DayChange change) => DayChange.Apply(RepairCafe, [change], Full, Morning).Value[change.Bake].Spec;
        string Refused(DayChange change) =>
            DayChange.Apply(RepairCafe, [change], Full, Morning).Problems.Single() is var p ? $"{p.Field} {p.Type}" : "";

        Made(new(1, ChangeKind.Machine, "blue")).Machine.ShouldBe(Blue);
        Made(new(1, ChangeKind.Place, "oven-light")).Place.Id.ShouldBe("oven-light");
        Made(new(0, ChangeKind.Bowl, Length: Minutes(60))).Handling.After.ShouldBe(new AfterCycle(true, Minutes(60)));
        Made(new(0, ChangeKind.Fridge, Length: TimeSpan.FromHours(10))).Handling.Cold.ShouldBe(TimeSpan.FromHours(10));
        Made(new(0, ChangeKind.Heat, Heat: Celsius(205))).Batches.ShouldAllBe(b => b.Bread.Heat == Celsius(205));
        Made(new(0, ChangeKind.ReadyBy, At: Morning.AddHours(6))).ReadyBy.ShouldBe(Morning.AddHours(6));
        // One tray less: the rest of the dough is kept for another day, and none is lost.
        var crowded = DayChange
            .Apply(
                [Bake(Flat, Morning.AddHours(6), "blue", "counter", new CutChoice("pocket-flatbread", 16, PanId: "t1"))],
                [new(0, ChangeKind.FewerTrays)],
                Full,
                Morning
            )
            .Value[0]
            .Spec;
        crowded.Cuts.ShouldSatisfyAllConditions(
            c => c[^1].Bread.ShouldBeNull(),
            c => c.Aggregate(Mass.Zero, (sum, k) => sum + k.Each * k.Pieces).Grams.ShouldBe(crowded.ExpectedDough.Grams, 16)
        );

        Refused(new(0, ChangeKind.Machine, "none")).ShouldBe("changes[0].id unknown");
        Refused(new(0, ChangeKind.Machine, "white")).ShouldBe("changes[0].id capacity");
        Refused(new(1, ChangeKind.Oven, "table-top")).ShouldBe("changes[0].id does-not-fit");
        Refused(new(0, ChangeKind.Heat, Heat: Celsius(60))).ShouldBe("changes[0].heat too-cool");
        Refused(new(0, ChangeKind.Heat, Heat: Celsius(400))).ShouldBe("changes[0].heat off-the-dial");
        Refused(new(0, ChangeKind.Fridge, Length: TimeSpan.FromHours(48))).ShouldBe("changes[0].length out-of-range");
        Refused(new(0, ChangeKind.ReadyBy, At: Morning.AddHours(-1))).ShouldBe("changes[0].at past");
        Refused(new(2, ChangeKind.FewerTrays)).ShouldBe("changes[0].bake one-tray");
        Refused(new(0, ChangeKind.Pin, "review", Morning.AddHours(3))).ShouldBe("changes[0].id unknown");
        Refused(new(9, ChangeKind.Bowl)).ShouldBe("changes[0].bake unknown");
    }

    private static readonly string[] PinnedSteps = ["divide", "load", "shape", "start-cycle"];

    [Fact]
    public void What_is_pinned_stays_where_it_is_wanted_or_is_said_to_be_impossible() =>
        Gen.Select(Gen.Int[0, 2], Gen.Int[-90, 90], Gen.Int[0, 3])
            .ForAll(
                (which, minutes, kind) =>
                {
                    var step = PinnedSteps[kind];
                    var held = Held(RepairCafe, DayPlan.Best(RepairCafe, Morning));
                    var at = held[which].Timetable[step]!.Start.AddMinutes(minutes);
                    var made = DayChange.Apply(held, [new(which, ChangeKind.Pin, step, at)], Full, Morning);
                    if (at < Morning)
                    {
                        made.Problems.Single().Type.ShouldBe("past");
                        return;
                    }
                    var plan = DayPlan.Best(made.Value, Morning);
                    var anew = Held(made.Value, plan);
                    NothingImpossible(anew, Morning);
                    var off = (anew[which].Timetable[step]!.Start - at).Duration();
                    DayCheck
                        .Of(anew, Morning)
                        .Any(f => f.Trouble == DayTrouble.Pinned)
                        .ShouldBe(off > Minutes(1.02), $"{which} {step} {minutes}: {off}");
                    // A step inside a block lies within its minute.
                    plan.Aims.Off.ShouldBeInRange((int)off.TotalMinutes - 1, (int)off.TotalMinutes + 1);
                },
                iter: 60
            );

    [Fact]
    public void A_large_day_gets_better_part_by_part_and_keeps_every_rule()
    {
        ImmutableArray<DayBake> many =
        [
            .. Enumerable
                .Range(0, 8)
                .Select(i =>
                    Bake(
                        i % 3 == 2 ? PlaitDough : Flat,
                        Morning.AddHours(4 + i * 1.2),
                        i % 2 == 0 ? "blue"
                            : i % 3 == 2 ? "blue"
                            : "white",
                        Places[i % 4],
                        new CutChoice(i % 3 == 2 ? "plait-3" : Families[i % 2 == 0 ? 0 : 6])
                    )
                ),
        ];
        var first = DayPlan.Of(many, Morning);
        var (told, enough) = (new List<DayAims> { first.Aims }, new CancellationTokenSource());
        var best = DayPlan.Best(
            many,
            Morning,
            better: p =>
            {
                NothingImpossible(Held(many, p), Morning);
                told.Add(p.Aims);
                if (told.Count > 4)
                    enough.Cancel();
            },
            until: enough.Token
        );
        told.Zip(told.Skip(1)).ShouldAllBe(p => p.Second < p.First);
        best.Aims.ShouldBe(told[^1]);
        best.Proven.ShouldBeFalse();
    }

    [Fact]
    public void While_it_runs_what_has_happened_is_fixed_and_the_rest_is_laid_out_anew() =>
        Gen.Select(Gen.Int[20, 330], Gen.Int[0, 6])
            .ForAll(
                (minutes, slow) =>
                {
                    var held = Held(RepairCafe, DayPlan.Of(RepairCafe, Morning));
                    var now = Morning.AddMinutes(minutes);
                    ImmutableArray<DayBake> running =
                    [
                        .. held.Select(b =>
                            b with
                            {
                                SoFar = b.SoFar with
                                {
                                    Now = now,
                                    Steps = b
                                        .Timetable.Slots.Where(s => s.Step.IsBeat && s.End.AddMinutes(slow) <= now)
                                        .ToImmutableDictionary(s => s.Step.Id, s => new Happened(s.End.AddMinutes(slow), false)),
                                },
                            }
                        ),
                    ];
                    var anew = Held(running, DayPlan.Of(running, now));
                    NothingImpossible(anew, now);
                    foreach (var (was, then) in running.Zip(anew))
                        foreach (var slot in was.Timetable.Slots.Where(s => s.Step.IsBeat && s.State == StepState.Done))
                            then.Timetable[slot.Step.Id]!.End.ShouldBe(slot.End);
                },
                iter: 150
            );

    [Fact]
    public void Why_a_bake_begins_when_it_does_is_a_chain_without_a_gap()
    {
        var held = Held(RepairCafe, DayPlan.Of(RepairCafe, Morning));
        foreach (var bake in held)
        {
            var chain = Deciding.Of(bake.Timetable);
            chain[0].Slot.Step.Id.ToString().ShouldBe("paddle");
            chain[^1].Slot.Step.Id.ToString().ShouldBe("review");
            foreach (var (before, after) in chain.Zip(chain.Skip(1)))
                if (!after.Held)
                    (after.Slot.Start - before.Slot.End).ShouldBeLessThan(Minutes(10));
        }
    }

    [Fact]
    public void One_bench_for_all_bakes_is_about_what_burns_then_what_is_in_hand_then_what_is_due()
    {
        DayBench.AtHand([]).ShouldBeNull();
        Gen.Select(Gen.Int[0, 480], Gen.Int[0, 3], Gen.Int[0, 2])
            .ForAll(
                (minutes, behind, hand) =>
                {
                    var held = Held(RepairCafe, DayPlan.Of(RepairCafe, Morning));
                    var now = Morning.AddMinutes(minutes);
                    // Everything was done when it was due, some minutes late; the last thing in one of them.
                    ImmutableArray<BakeState> bakes =
                    [
                        .. held.Select(
                            (b, i) =>
                            {
                                var done = b
                                    .Timetable.Slots.Where(s => s.Step.IsBeat && s.End.AddMinutes(behind) <= now)
                                    .Select((s, k) => new Entry(k + 2, new StepDone(s.Step.Id) { At = s.End }))
                                    .ToList();
                                if (i == hand && done.Count > 0)
                                    done[^1] = done[^1] with { Event = done[^1].Event with { At = now } };
                                var log = new BakeLog([new(1, Arranged.Of(b.SoFar.Arranged) with { At = Morning }), .. done]);
                                return BakeState.Of(new(b.Spec, b.Start, []), log, now);
                            }
                        ),
                    ];
                    var atHand = DayBench.AtHand(bakes);
                    var open = bakes.Select((b, i) => (Bake: i, b.Now)).Where(b => b.Now is not null).ToList();
                    atHand.HasValue.ShouldBe(open.Count > 0);
                    if (atHand is not { } at)
                        return;
                    var (chosen, due) = (
                        bakes[at].Now!,
                        open.Where(b => b.Now!.Start <= now && !b.Now.Step.Rule.IsTheEnd).ToList()
                    );
                    if (due.Count == 0)
                        chosen.Start.ShouldBe(
                            open.OrderBy(b => b.Now!.Start <= now && b.Now.Step.Rule.IsTheEnd)
                                .ThenBy(b => b.Now!.Start)
                                .First()
                                .Now!.Start
                        );
                    else
                    {
                        chosen.Start.ShouldBeLessThanOrEqualTo(now);
                        if (due.Any(b => b.Now!.Step.Is(Milestone.Out)))
                            chosen.Step.Is(Milestone.Out).ShouldBeTrue();
                    }
                    var next = DayBench.Next(bakes, 3);
                    next.Select(n => n.Slot.Start).ShouldBeInOrder();
                    next.ShouldNotContain(n => n.Bake == at && n.Slot == chosen);
                    foreach (var other in open.Where(b => b.Bake != at))
                        next.ShouldContain(n => n.Slot.Start <= other.Now!.Start, "nothing sooner is left out");
                },
                iter: 120
            );
    }

    [Fact]
    public void A_chain_is_drawn_from_the_first_step_to_the_table_and_hangs_loose_where_it_waits()
    {
        var held = Held(RepairCafe, DayPlan.Of(RepairCafe, Morning));
        foreach (var slim in new[] { false, true })
        {
            var picture = StrandLayout.Of(
                [.. held.Select(b => new Drawn(b.Spec, b.Chain.Batches, b.Timetable, b.Spec.ExpectedDough))],
                new(slim ? 358 : 1248, slim, TimeSpan.Zero)
            );
            double X(DateTimeOffset at) => DayPictures.X(picture, at);
            picture.Taut.Length.ShouldBe(3);
            foreach (var (line, bake) in picture.Taut.Zip(held))
            {
                line.Points[0].X.ShouldBe(X(bake.Timetable.Start), .1);
                line.Points[^1].X.ShouldBe(X(bake.Timetable.Ready), .1);
                line.Points.Select(p => p.X).ShouldBeInOrder();
                line.Loose.ShouldAllBe(l => l.To > l.From);
                line.Loose.Length.ShouldBe(Deciding.Of(bake.Timetable).Skip(1).Count(d => d.Held));
            }
            // Each grip lies at its step's time, and moves a step that can be moved.
            foreach (var grip in picture.Grips)
            {
                grip.X.ShouldBe(X(grip.At), .1);
                held[grip.Bake].Timetable[grip.Step]!.ShouldSatisfyAllConditions(
                    s => s.Start.ShouldBe(grip.At),
                    s => s.Step.CanPin.ShouldBeTrue(),
                    s => s.IsOpen.ShouldBeTrue()
                );
            }
            picture.Grips.Count(g => g.Step.Kind.Name == "load").ShouldBe(3);
        }
    }

    [Theory]
    [
        InlineData("2026-03-28T20:00+01:00", 6, 22, 7),
        InlineData("2026-10-24T20:00+02:00", 6, 22, 9),
        InlineData("2028-02-28T20:00+01:00", 6, 22, 8),
        InlineData("2026-06-01T12:00+02:00", 10, 2, 8)
    ]
    public void A_night_is_as_long_as_its_clocks_make_it(string now, int from, int to, double hours)
    {
        var away = new OpenHours(TimeSpan.FromHours(from), TimeSpan.FromHours(to)).Shut(
            DateTimeOffset.Parse(now, System.Globalization.CultureInfo.InvariantCulture),
            TimeZoneInfo.FindSystemTimeZoneById("Europe/Berlin"),
            3
        );
        away.Length.ShouldBe(5);
        (away[1].To - away[1].From).TotalHours.ShouldBe(hours);
        away.Zip(away.Skip(1)).ShouldAllBe(n => n.First.To < n.Second.From);
    }
}
