using System.Collections.Immutable;
using CsCheck;
using JollyKnot.Core.Days;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using static JollyKnot.Core.Tests.DayRules;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>What must hold of whole days, whoever laid them out: against the timetables, and against days that are a little
/// different.</summary>
[Trait("Near", "Days")]
public sealed class DayProperties
{
    // A day with some of its bakes wanted fresh.
    private static readonly Gen<ImmutableArray<DayBake>> FreshDays = Gen.Select(SomeDays(3), Gen.Int[0, 3].Array[3])
        .Select(
            (bakes, fresh) =>
                bakes
                    .Select((b, i) => fresh[i] == 0 ? b : b with { Spec = b.Spec.Fresh(Minutes(15 * fresh[i])) })
                    .ToImmutableArray()
        );

    private static readonly Gen<Closed> Errands = Gen.Select(Gen.Int[0, 400], Gen.Int[10, 120])
        .Select((from, minutes) => new Closed([new(Morning.AddMinutes(from), Morning.AddMinutes(from + minutes))], []));

    [Fact]
    public void Aims_are_what_the_timetables_say() =>
        FreshDays.ForAll(
            bakes =>
            {
                foreach (var plan in new[] { DayPlan.Of(bakes, Morning), DayPlan.Best(bakes, Morning) })
                {
                    var held = Held(bakes, plan);
                    double Sum(Func<DayBake, double> of) => held.Sum(b => Math.Max(0, of(b)));
                    // Each bake ends within a minute of what was reckoned in whole minutes.
                    ((double)plan.Aims.Late).ShouldBe(
                        Sum(b => (b.Timetable.Ready - b.Spec.ReadyBy!.Value).TotalMinutes),
                        bakes.Length
                    );
                    ((double)plan.Aims.Waits).ShouldBe(
                        Sum(b => (b.Spec.ReadyBy!.Value - b.Timetable.Ready).TotalMinutes),
                        bakes.Length
                    );
                    ((double)plan.Aims.Stale).ShouldBe(
                        Sum(b =>
                            b.Spec.Wish.Fresh is { } fresh ? (b.Spec.ReadyBy!.Value - b.Timetable.Ready - fresh).TotalMinutes : 0
                        ),
                        bakes.Length
                    );
                    // What the checker finds and what the plan owns up to are the same.
                    var found = DayCheck.Of(held, Morning);
                    foreach (
                        var (trouble, minutes) in new[]
                        {
                            (DayTrouble.Late, plan.Aims.Late),
                            (DayTrouble.Stale, plan.Aims.Stale),
                            (DayTrouble.Over, plan.Aims.Over),
                        }
                    )
                        found
                            .Where(f => f.Trouble == trouble)
                            .Sum(f => f.By.TotalMinutes)
                            .ShouldBe(minutes, 2 * bakes.Sum(b => b.Chain.Batches.Length), trouble.ToString());
                }
            },
            iter: 60
        );

    [Fact]
    public void Bread_wanted_fresh_is_and_the_other_one_waits()
    {
        // Both at once in one oven that holds one of them at a time: one has to be first.
        var by = Morning.AddHours(5);
        ImmutableArray<DayBake> two =
        [
            Bake(Flat, by, "blue", "counter", new CutChoice("pan-roll", 12)),
            Bake(Flat, by, "white", "counter", new CutChoice("pocket-flatbread", 8)),
        ];
        foreach (var fresh in (int[])[0, 1])
        {
            var asked = two.SetItem(fresh, two[fresh] with { Spec = two[fresh].Spec.Fresh(Minutes(3)) });
            var plan = DayPlan.Best(asked, Morning);
            plan.ShouldSatisfyAllConditions(
                p => p.Proven.ShouldBeTrue(),
                p => p.Aims.Late.ShouldBe(0),
                p => p.Aims.Stale.ShouldBe(0)
            );
            var held = Held(asked, plan);
            (by - held[fresh].Timetable.Ready).ShouldBeLessThanOrEqualTo(Minutes(3.5));
            (by - held[1 - fresh].Timetable.Ready).ShouldBeGreaterThan(by - held[fresh].Timetable.Ready);
        }
        // Two that cannot both be: said, and by how much.
        ImmutableArray<DayBake> both = [.. two.Select(b => b with { Spec = b.Spec.Fresh(Minutes(1)) })];
        var least = DayPlan.Best(both, Morning);
        least.Aims.Stale.ShouldBeGreaterThan(3);
        DayCheck.Of(Held(both, least), Morning).ShouldContain(f => f.Trouble == DayTrouble.Stale && !f.Impossible);
        // As a wish it has its bounds.
        foreach (var minutes in (int[])[0, -5, 25 * 60])
        {
            DayChange
                .Apply(both, [new(0, ChangeKind.Fresh, Length: Minutes(minutes))], Full, Morning)
                .Problems.Single()
                .ShouldSatisfyAllConditions(p => p.Type.ShouldBe("out-of-range"), p => p.Field.ShouldBe("changes[0].length"));
            BakeDecision
                .Of(
                    Flat,
                    new BakeChoice("blue", "wall", "counter", ReadyBy: by)
                    {
                        Cuts = [new("pan-roll", 8)],
                        Fresh = Minutes(minutes),
                    },
                    Full,
                    Morning
                )
                .Problems.ShouldContain(p => p.Field == "fresh");
        }
        DayChange.Apply(both, [new(0, ChangeKind.Fresh)], Full, Morning).Value[0].Spec.Wish.Fresh.ShouldBeNull();
    }

    [Fact]
    public void The_best_day_does_not_depend_on_the_hour_nor_on_the_order_of_its_bakes() =>
        Gen.Select(SomeDays(3), Gen.Int[1, 600])
            .ForAll(
                (bakes, minutes) =>
                {
                    var best = DayPlan.Best(bakes, Morning);
                    if (!best.Proven)
                        return;
                    var turned = DayPlan.Best([.. bakes.Reverse()], Morning);
                    if (turned.Proven)
                        turned.Aims.ShouldBe(best.Aims);
                    // Everything so much later; the kitchen is as warm then.
                    var later = TimeSpan.FromMinutes(minutes);
                    ImmutableArray<DayBake> moved =
                    [
                        .. bakes.Select(b => new DayBake(
                            b.Spec.Wanted(b.Spec.ReadyBy + later),
                            SoFar.Nothing(Morning + later),
                            b.Start + later
                        )),
                    ];
                    DayPlan.Best(moved, Morning + later).Aims.ShouldBe(best.Aims);
                },
                iter: 25
            );

    [Fact]
    public void One_bake_less_or_nobody_away_never_makes_a_day_later() =>
        Gen.Select(SomeDays(3), Errands, Gen.Int[0, 2])
            .ForAll(
                (bakes, errand, which) =>
                {
                    var (free, away) = (DayPlan.Best(bakes, Morning), DayPlan.Best(bakes, Morning, errand));
                    NothingBroken(Held(bakes, away), errand);
                    if (free.Proven)
                        away.Aims.Late.ShouldBeGreaterThanOrEqualTo(free.Aims.Late);
                    if (bakes.Length < 2)
                        return;
                    var fewer = DayPlan.Best(bakes.RemoveAt(which % bakes.Length), Morning);
                    if (fewer.Proven)
                        free.Aims.Late.ShouldBeGreaterThanOrEqualTo(fewer.Aims.Late);
                },
                iter: 40
            );

    private static void NothingBroken(ImmutableArray<DayBake> held, Closed closed)
    {
        DayCheck.Of(held, Morning, closed).ShouldNotContain(f => f.Impossible);
        // By hand: nothing that keeps the hands lies in the errand.
        foreach (
            var slot in held.SelectMany(b => b.Timetable.Slots)
                .Where(s => s.Step.KeepsHands && s.Step.IsBeat && !s.Step.IsGlance && s.End - s.Start > Minutes(1.1))
        )
            foreach (var gone in closed.Hands)
                (slot.End <= gone.From.AddMinutes(1.1) || gone.To <= slot.Start.AddMinutes(1.1)).ShouldBeTrue($"{slot.Step.Id}");
    }

    [Fact]
    public void Slack_is_what_a_step_can_be_late_before_anything_else_is() =>
        SomeDays(3)
            .ForAll(
                bakes =>
                {
                    var held = Held(bakes, DayPlan.Of(bakes, Morning));
                    foreach (var bake in held)
                        foreach (
                            var slot in bake.Timetable.Slots.Where(s =>
                                s.Step is { IsBeat: true, InTimeFor: null }
                                && s.IsOpen
                                && bake.Timetable.Slots.Any(o => o.Step.After.Any(l => l.Step == s.Step.Id))
                            )
                        )
                        {
                            var slack = Slack.Of(bake.Timetable, slot) ?? TimeSpan.Zero;
                            IEnumerable<string> Moved(TimeSpan by)
                            {
                                var arranged = bake.SoFar.Arranged;
                                var late = bake with
                                {
                                    SoFar = bake.SoFar with
                                    {
                                        Arranged = arranged with
                                        {
                                            NotBefore = arranged.NotBefore.SetItem(slot.Step.Id, slot.Start + by),
                                        },
                                    },
                                };
                                return late
                                    .Timetable.Slots.Where(s =>
                                        s.Step.Id != slot.Step.Id
                                        && s.Step.InTimeFor is null
                                        && (s.Start - bake.Timetable[s.Step.Id]!.Start).Duration() > TimeSpan.FromSeconds(1)
                                    )
                                    .Select(s => s.Step.Id.ToString());
                            }
                            Moved(slack).ShouldBeEmpty($"{slot.Step.Id} {slack}");
                            Moved(slack + Minutes(3)).ShouldNotBeEmpty($"{slot.Step.Id} {slack}");
                        }
                },
                iter: 40
            );

    [Fact]
    public void A_large_day_is_the_same_each_time_and_no_worse_than_put_together_roughly()
    {
        ImmutableArray<DayBake> many =
        [
            .. Enumerable
                .Range(0, 9)
                .Select(i =>
                    i % 3 == 2
                        ? Bake(PlaitDough, Morning.AddHours(4 + i * .9), "blue", "counter", new CutChoice("plait-3", 2))
                        : Bake(
                            Flat,
                            Morning.AddHours(4 + i * .9),
                            i % 2 == 0 ? "blue" : "white",
                            i % 4 == 1 ? "oven-light" : "counter",
                            new CutChoice(i % 2 == 0 ? "pan-roll" : "round-bun", 8)
                        )
                ),
        ];
        DayPlan.IsLarge(many).ShouldBeTrue();
        var (rough, first, again) = (
            DayPlan.Of(many, Morning, roughly: true),
            DayPlan.Of(many, Morning),
            DayPlan.Of(many, Morning)
        );
        (first.Aims < rough.Aims).ShouldBeTrue($"{rough.Aims} {first.Aims}");
        again.Aims.ShouldBe(first.Aims);
        again
            .Bakes.SelectMany(b => b.NotBefore.OrderBy(n => $"{n.Key}"))
            .ShouldBe(first.Bakes.SelectMany(b => b.NotBefore.OrderBy(n => $"{n.Key}")));
        foreach (var plan in new[] { rough, first })
            NothingImpossible(Held(many, plan), Morning);
    }

    [Fact]
    public void Hours_are_shut_by_the_clock_on_the_wall_whatever_night_it_is() =>
        Gen.Select(Gen.Int[0, 47], Gen.Int[0, 47], Gen.Int[0, 365], Gen.Int[0, 10_000])
            .ForAll(
                (from, to, day, minutes) =>
                {
                    var (open, zone) = (
                        new OpenHours(Minutes(from * 30), Minutes(to * 30)),
                        TimeZoneInfo.FindSystemTimeZoneById("Europe/Berlin")
                    );
                    open.IsDay.ShouldBe(from != to);
                    if (from == to)
                        return;
                    var now = new DateTimeOffset(2026, 1, 1, 9, 0, 0, TimeSpan.Zero).AddDays(day);
                    var shut = open.Shut(now, zone, 9);
                    shut.ShouldAllBe(b => b.From < b.To);
                    shut.Zip(shut.Skip(1)).ShouldAllBe(b => b.First.To < b.Second.From);
                    var at = now.AddMinutes(minutes);
                    var clock = TimeZoneInfo.ConvertTime(at, zone).TimeOfDay;
                    var inside =
                        open.From < open.To ? clock >= open.From && clock < open.To : clock >= open.From || clock < open.To;
                    // The hour that is there twice or not at all belongs to either side.
                    var changes = zone.GetUtcOffset(at.AddHours(-2)) != zone.GetUtcOffset(at.AddHours(2));
                    if (!changes)
                        shut.Any(b => b.From <= at && at < b.To).ShouldBe(!inside, $"{open} {at}");
                },
                iter: 3000
            );

    [Fact]
    public void What_is_shut_only_in_the_hour_that_the_clocks_skip_is_open_that_night()
    {
        var (open, zone) = (new OpenHours(Minutes(210), Minutes(150)), TimeZoneInfo.FindSystemTimeZoneById("Europe/Berlin"));
        var evening = new DateTimeOffset(2026, 3, 28, 12, 0, 0, TimeSpan.Zero);
        open.Shut(evening, zone, 2).Select(b => TimeZoneInfo.ConvertTime(b.From, zone).Day).ShouldBe([27, 28, 30]);
    }

    [Fact]
    public void What_is_told_again_of_the_same_thing_is_told_once()
    {
        DayChange pinned = new(0, ChangeKind.Pin, "divide", Morning.AddHours(3)),
            unknown = new(1, ChangeKind.Oven, "no-such"),
            known = new(1, ChangeKind.Oven, "wall");
        (pinned with { At = Morning }).Replaces(pinned).ShouldBeTrue();
        new DayChange(0, ChangeKind.Unpin, "divide").Replaces(pinned).ShouldBeTrue();
        (pinned with { Id = "load" }).Replaces(pinned).ShouldBeFalse();
        (pinned with { Bake = 1 }).Replaces(pinned).ShouldBeFalse();
        new DayChange(0, ChangeKind.Oven, "divide").Replaces(pinned).ShouldBeFalse();
        new DayChange(0, ChangeKind.FewerTrays).Replaces(new(0, ChangeKind.FewerTrays)).ShouldBeFalse();

        DayChange.Apply(RepairCafe, [known, unknown], Full, Morning).Problems.Single().Field.ShouldBe("changes[1].id");
        DayChange.Apply(RepairCafe, [unknown, known], Full, Morning).Has(out _).ShouldBeTrue();
        DateTimeOffset early = Morning.AddHours(-2),
            earlier = Morning.AddHours(-3);
        DayChange.Up([new(0, ChangeKind.Up, At: early), known, new(0, ChangeKind.Up, At: earlier)]).ShouldBe(earlier);
    }

    private static readonly Gen<DayChange> AnyChange = Gen.Select(
            Gen.Int[-1, 3],
            Gen.Enum<ChangeKind>(),
            Gen.Int[0, 9],
            Gen.Int[-120, 900],
            Gen.Int[40, 320]
        )
        .Select(
            (bake, kind, id, minutes, number) =>
                new DayChange(
                    bake,
                    kind,
                    new[]
                    {
                        "blue",
                        "white",
                        "wall",
                        "table-top",
                        "counter",
                        "oven-light",
                        "divide",
                        "load",
                        "no-such",
                        "start-cycle",
                    }[id],
                    minutes % 7 == 0 ? null : Morning.AddMinutes(minutes),
                    number % 5 == 0 ? null : Celsius(number),
                    number % 3 == 0 ? null : Minutes(minutes)
                )
        );

    [Fact]
    public void Whatever_is_changed_is_made_or_refused_and_the_day_can_still_be_laid_out() =>
        AnyChange
            .Array[1, 4]
            .ForAll(
                changes =>
                {
                    var made = DayChange.Apply(RepairCafe, [.. changes], Full, Morning);
                    if (!made.Has(out var day))
                    {
                        var problem = made.Problems.Single();
                        problem.Field.ShouldStartWith("changes[");
                        problem.Type.ShouldNotBeNullOrWhiteSpace();
                        // Those before the one at fault can be made.
                        var at = int.Parse(
                            problem.Field[8..problem.Field.IndexOf(']', StringComparison.Ordinal)],
                            System.Globalization.CultureInfo.InvariantCulture
                        );
                        var counted = changes.Take(at).Where(c => !changes.Skip(at).Any(later => later.Replaces(c)));
                        DayChange.Apply(RepairCafe, [.. counted], Full, Morning).Has(out _).ShouldBeTrue();
                        return;
                    }
                    day.Length.ShouldBe(3);
                    // No dough is lost or made by a change.
                    foreach (var (was, then) in RepairCafe.Zip(day))
                        then.Spec.ExpectedDough.Grams.ShouldBe(was.Spec.ExpectedDough.Grams, .01);
                    // Pins far apart can want what no day can give; all else keeps every rule.
                    var closed = DayChange.Opened(Closed.Never, DayChange.Up(changes));
                    var held = Held(day, DayPlan.Of(day, Morning, closed));
                    if (day.All(b => b.SoFar.Arranged.Pins.IsEmpty))
                        NothingImpossible(held, Morning);
                    else
                        held.ShouldAllBe(b => b.Timetable.Ready > Morning);
                    // The last of a kind to one bake is what counts.
                    if (changes is [{ Kind: not ChangeKind.FewerTrays } only])
                        Made(DayChange.Apply(RepairCafe, [only, only], Full, Morning).Value[only.Bake])
                            .ShouldBe(Made(day[only.Bake]));

                    static string Made(DayBake b) =>
                        $"{b.Spec.Machine.Id} {b.Spec.Oven.Id} {b.Spec.Place.Id} {b.Spec.Handling.After} "
                        + $"{b.Spec.Handling.Cold} {b.Spec.Wish.Fresh} {b.Spec.ReadyBy} "
                        + $"{string.Join(" ", b.Spec.Batches.Select(k => k.Bread.Heat))} "
                        + $"{string.Join(" ", b.SoFar.Arranged.Pins)}";
                },
                iter: 400
            );
}
