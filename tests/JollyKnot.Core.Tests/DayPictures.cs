using System.Collections.Immutable;
using CsCheck;
using JollyKnot.Core.Days;
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

    private static double X(Picture picture, DateTimeOffset at) =>
        picture.Left + (picture.Right - picture.Left) * ((at - picture.From) / (picture.To - picture.From));

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
                var wide = slim ? .8 : 1;
                foreach (var row in ready.GroupBy(l => l.Row))
                    Apart(row.Select(l => l with { Y = 0 }), 47 * wide, 1);
                Apart(picture.Labels.Where(l => l.Kind == LabelKind.OvenOn), 131 * wide, slim ? 12 : 17);
                // Times along the top have room for themselves.
                picture
                    .Ticks.Zip(picture.Ticks.Skip(1))
                    .ShouldAllBe(t => X(picture, t.Second) - X(picture, t.First) >= (slim ? 57 : 75));
            },
            iter: 60
        );
}
