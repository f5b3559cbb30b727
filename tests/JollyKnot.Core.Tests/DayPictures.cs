using System.Collections.Immutable;
using CsCheck;
using JollyKnot.Core.Days;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Core.Strands;
using static JollyKnot.Core.Tests.DayRules;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>The picture of any day is true to it, and can be read.</summary>
[Trait("Near", "Days")]
public sealed class DayPictures
{
    // A day as it is held, drawn on a phone, a tablet or a laptop.
    private static readonly Gen<(ImmutableArray<DayBake> Day, Picture Picture, bool Slim)> Drawings = Gen.Select(
            SomeDays(4),
            Gen.Int[0, 3]
        )
        .Select(
            (bakes, size) =>
            {
                var held = Held(bakes, DayPlan.Of(bakes, Morning));
                var slim = size == 0;
                var picture = StrandLayout.Of(
                    [.. held.Select(b => new Drawn(b.Spec, b.Chain.Batches, b.Timetable, b.Spec.ExpectedDough))],
                    new(slim ? 358 : 800 + 200 * size, slim, TimeSpan.FromHours(1))
                );
                return (held, picture, slim);
            }
        );

    // Even between two points of the axis; what is folded between them is folded evenly.
    internal static double X(Picture picture, DateTimeOffset at)
    {
        var (a, b) = picture.Axis.Zip(picture.Axis.Skip(1)).First(p => at <= p.Second.At || p.Second == picture.Axis[^1]);
        return a.X + (b.X - a.X) * ((at - a.At) / (b.At - a.At));
    }

    private static Ribbon Whole(Strand strand) => strand.Ribbons.MaxBy(r => r.Thickness)!;

    [Fact]
    public void Everything_lies_at_its_time_in_its_lane_and_inside_the_frame() =>
        Drawings.ForAll(
            (held, picture, slim) =>
            {
                picture.Strands.Length.ShouldBe(held.Length);
                for (var i = 0; i < held.Length; i++)
                {
                    var (table, ribbons) = (held[i].Timetable, picture.Strands[i].Ribbons);
                    foreach (var point in ribbons.SelectMany(r => r.Points))
                        (
                            point.X >= picture.Left - 1 && point.X <= picture.Right + 1 && point.Y > 0 && point.Y < picture.Height
                        ).ShouldBeTrue($"{point}");
                    // The whole dough comes first and is thicker than any of its pieces; it ends on the table when it is ready.
                    var whole = Whole(picture.Strands[i]);
                    ribbons.ShouldAllBe(r => r.Points[0].X >= whole.Points[0].X - .1);
                    ribbons.Max(r => r.Points[^1].X).ShouldBe(X(picture, table.Ready), 1.5);
                    // It divides while it is divided.
                    var divided = table["divide"] ?? table["shape"]!;
                    ribbons
                        .Where(r => r != whole)
                        .Min(r => r.Points[0].X)
                        .ShouldBeInRange(X(picture, divided.Start) - 60, X(picture, table.Ready));
                }
                // Heavier is never thinner.
                foreach (
                    var (a, b) in held.SelectMany(
                        (a, i) =>
                            held.Select(
                                (b, k) => ((a.Spec.ExpectedDough, picture.Strands[i]), (b.Spec.ExpectedDough, picture.Strands[k]))
                            )
                    )
                )
                    if (a.ExpectedDough > b.ExpectedDough)
                        Whole(a.Item2).Thickness.ShouldBeGreaterThanOrEqualTo(Whole(b.Item2).Thickness);
                // Each window stands in its proof's time, best inside.
                foreach (var window in picture.Windows)
                    (window.Early <= window.Best && window.Best <= window.Late).ShouldBeTrue($"{window}");
                // An oven is drawn hot whenever something bakes in it.
                foreach (
                    var bake in held.SelectMany(b => b.Timetable.Slots)
                        .Where(s => s.Step.Is(Milestone.Baking) && s.Step.Occupies.Any(o => o.Kind == ResourceKind.Oven))
                )
                    picture.Heats.ShouldContain(
                        h =>
                            h.Outline.Min(p => p.X) <= X(picture, bake.Start) + 1
                            && h.Outline.Max(p => p.X) >= X(picture, bake.End) - 1,
                        $"{bake.Step.Id}"
                    );
                // A mark for everything the hands do: no minute of work outside the marks.
                foreach (
                    var beat in held.SelectMany(b => b.Timetable.Slots)
                        .Where(s =>
                            s.Step.IsBeat
                            && s.Step.Occupies.Contains(Resource.Hands)
                            && s.Step.IsWork
                            && s.State != StepState.Passed
                        )
                )
                    picture.Hands.ShouldContain(
                        h => h.From <= X(picture, beat.Start) + .1 && h.To >= X(picture, beat.End) - .1,
                        $"{beat.Step.Id}"
                    );
            },
            iter: 60
        );

    [Fact]
    public void Two_days_one_over_the_other_show_the_same_hours() =>
        Gen.Select(SomeDays(3), SomeDays(3))
            .ForAll(
                (one, two) =>
                {
                    static ImmutableArray<Drawn> Draw(ImmutableArray<DayBake> bakes) =>
                        [
                            .. Held(bakes, DayPlan.Of(bakes, Morning))
                                .Select(b => new Drawn(b.Spec, b.Chain.Batches, b.Timetable, b.Spec.ExpectedDough)),
                        ];
                    var (a, b) = (Draw(one), Draw(two));
                    var frame = new Frame(1248, false, TimeSpan.FromHours(1)) { Shows = StrandLayout.Needed([.. a, .. b]) };
                    var (first, second) = (StrandLayout.Of(a, frame), StrandLayout.Of(b, frame));
                    (first.From, first.To).ShouldBe((second.From, second.To));
                    first.Ticks.ShouldBe(second.Ticks);
                    // No wider than the wider of the two by itself needs.
                    var alone = new[] { a, b }.Select(d => StrandLayout.Of(d, frame with { Shows = null })).ToList();
                    (first.From, first.To).ShouldBe((alone.Min(p => p.From), alone.Max(p => p.To)));
                },
                iter: 20
            );

    private static double Wide(Label name) => 7.4 * (name.Text!.Length + (name.Mass is null ? 0 : 9));

    private static double Left(Label name) => name.Anchor == Anchor.End ? name.X - Wide(name) : name.X;

    private static double Right(Label name) => Left(name) + Wide(name);

    [Fact]
    public void Words_do_not_lie_on_one_another() =>
        Drawings.ForAll(
            (held, picture, slim) =>
            {
                // Each bread is counted and timed once.
                var ready = picture.Labels.Where(l => l.Kind == LabelKind.Ready).ToList();
                ready.Select(l => l.At).ShouldBe(held.Select(b => (DateTimeOffset?)b.Timetable.Ready), ignoreOrder: true);
                ready.Sum(l => l.Count).ShouldBe(held.Sum(b => b.Chain.Batches.Sum(k => k.Batch.Pieces)));
                void Apart(IEnumerable<Label> labels, double wide, double high)
                {
                    var all = labels.ToList();
                    foreach (var (a, b) in all.SelectMany((a, i) => all.Skip(i + 1).Select(b => (a, b))))
                        (Math.Abs(a.X - b.X) >= wide || Math.Abs(a.Y - b.Y) >= high).ShouldBeTrue($"{a} {b}");
                }
                // Side by side on the table, as far as there is room.
                Apart(ready.Select(l => l with { Y = 0 }), slim ? 63 : 75, 1);
                ready.ShouldAllBe(l => l.X <= picture.Width && l.X >= 0);
                // As wide as what they say: when and how hot, or only when.
                var on = picture
                    .Labels.Where(l => l.Kind == LabelKind.OvenOn)
                    .Select(l => (l.Y, Wide: l.Heat is null ? 66 : 140, l.X, l.Anchor))
                    .Select(l => (l.Y, From: l.Anchor == Anchor.End ? l.X - l.Wide : l.X, l.Wide))
                    .ToList();
                foreach (var (a, b) in on.SelectMany((a, i) => on.Skip(i + 1).Select(b => (a, b))))
                    (Math.Abs(a.Y - b.Y) >= 17 || a.From + a.Wide <= b.From || b.From + b.Wide <= a.From).ShouldBeTrue(
                        $"{a} {b}"
                    );
                // Names stand beside one another, as wide as their letters are.
                var names = picture.Labels.Where(l => l.Kind is LabelKind.Dough or LabelKind.DoughBeside).ToList();
                foreach (var (a, b) in names.SelectMany((a, i) => names.Skip(i + 1).Select(b => (a, b))))
                    (Math.Abs(a.Y - b.Y) >= 17 || Right(a) <= Left(b) || Right(b) <= Left(a)).ShouldBeTrue($"{a} {b}");
                // Times along the top have room for themselves.
                picture
                    .Ticks.Zip(picture.Ticks.Skip(1))
                    .ShouldAllBe(t => X(picture, t.Second) - X(picture, t.First) >= (slim ? 57 : 75));
            },
            iter: 60
        );

    [Fact]
    public void Doughs_in_a_lane_at_the_same_time_lie_in_rows_of_their_own_and_none_falls_through_the_next() =>
        Gen.Select(Gen.Double[-500, 900], Gen.Double[1, 300])
            .Array[1, 8]
            .ForAll(stays =>
            {
                var rows = LaneRows.Of(stays.Select((s, i) => new LaneStay(i, Lane.Proof, s.Item1, s.Item1 + s.Item2)));
                for (var i = 0; i < stays.Length; i++)
                {
                    var (from, to, own) = (stays[i].Item1, stays[i].Item1 + stays[i].Item2, rows.At(Lane.Proof, i));
                    own.Row.ShouldBeInRange(0, own.Of - 1);
                    for (var k = 0; k < stays.Length; k++)
                        if (k != i && stays[k].Item1 < to && from < stays[k].Item1 + stays[k].Item2)
                            rows.At(Lane.Proof, k).Row.ShouldNotBe(own.Row);
                }
                rows.Most(Lane.Proof).ShouldBe(stays.Select((_, i) => rows.At(Lane.Proof, i).Of).Max());
                // One after the other as doughs mostly come: the later is the higher.
                var chain = LaneRows.Of(
                    Enumerable.Range(0, 3).Select(i => new LaneStay(i, Lane.Machine, i * 100d, i * 100d + 150))
                );
                Enumerable.Range(0, 3).Select(i => chain.At(Lane.Machine, i).Row).ShouldBe([2, 1, 0]);
            });

    [Fact]
    public void Long_empty_hours_are_folded_and_nothing_else()
    {
        var shown = new TimeBand(Morning, Morning.AddHours(20));
        var happens = new[] { .5, 2, 2.5, 5.4, 15.4, 17, 19 }.Select(h => Morning.AddHours(h)).ToList();
        // What was done long before is not shown, and folds nothing.
        var axis = TimeAxis.Of(shown, 100, 1100, [Morning.AddHours(-9), .. happens, Morning.AddHours(31)]);
        var fold = axis.Points.Single(p => p.Folds);
        (fold.At, axis.IsFolded(Morning.AddHours(10)), axis.IsFolded(Morning.AddHours(4))).ShouldBe(
            (Morning.AddHours(5.4).AddMinutes(20), true, false)
        );
        // 20 h less the 9 h 20 of the fold, which is drawn as 40 min.
        axis.Wide(TimeSpan.FromHours(1)).ShouldBe(1000 / (20 - 9.333 + .667), .1);
        (axis.X(shown.From), axis.X(shown.To)).ShouldBe((100, 1100));
        happens.Select(axis.X).ShouldBeInOrder();
        happens.ShouldAllBe(h => !axis.IsFolded(h));
        TimeAxis.Of(shown, 100, 1100, null).Points.ShouldBe([new(shown.From, 100), new(shown.To, 1100)]);
    }

    [Fact]
    public void Hours_without_hands_are_shaded_as_far_as_they_are_shown() =>
        Drawings.ForAll(
            (held, picture, slim) =>
            {
                var frame = new Frame(1248, slim, TimeSpan.Zero)
                {
                    Away =
                    [
                        new(picture.From.AddHours(-9), picture.From.AddHours(-1)),
                        new(picture.From.AddHours(-1), picture.From.AddHours(1)),
                        new(picture.To.AddMinutes(-5), picture.To.AddHours(8)),
                    ],
                };
                var again = StrandLayout.Of(
                    [.. held.Select(b => new Drawn(b.Spec, b.Chain.Batches, b.Timetable, b.Spec.ExpectedDough))],
                    frame
                );
                again
                    .Away.Select(a => (Math.Round(a.From, 3), Math.Round(a.To, 3)))
                    .ShouldBe([
                        (again.Left, Math.Round(X(again, again.From.AddHours(1)), 3)),
                        (Math.Round(X(again, again.To.AddMinutes(-5)), 3), again.Right),
                    ]);
            },
            iter: 20
        );
}
