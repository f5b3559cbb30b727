using CsCheck;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Sizes, plaits, and where pieces lie.</summary>
public sealed class ShapingRules
{
    private static readonly Gen<Plait> AnyPlait = Gen.Int[2, 8]
        .SelectMany(n =>
            Gen.Select(Gen.Int[1, n], Gen.Int[1, n], Gen.Bool.Array[8])
                .Where(m => m.Item1 != m.Item2)
                .Select(m => new Move(m.Item1, m.Item2, [.. m.Item3.Take(Math.Abs(m.Item2 - m.Item1))]))
                .Array[1, 6]
                .Select(word => new Plait(n, [.. word]))
        );

    [Fact]
    public void A_plaits_order_after_a_whole_repeat_is_the_one_group_theory_says() =>
        AnyPlait.ForAll(
            plait =>
            {
                // The product of its transpositions, as a permutation of places.
                var product = Enumerable.Range(0, plait.Strands).ToArray();
                foreach (var crossing in plait.Word.SelectMany(m => m.Crossings))
                    product =
                    [
                        .. product.Select(p =>
                            p == crossing.Place - 1 ? p + 1
                            : p == crossing.Place ? p - 1
                            : p
                        ),
                    ];
                var order = Plait.Orders(plait.Strands, plait.Word).Last();
                for (var s = 0; s < plait.Strands; s++)
                    order[product[s]].ShouldBe(s + 1);
                // As often as its order says, and no sooner, every strand is home.
                var home = Enumerable.Range(1, plait.Strands).ToArray();
                var rounds = plait.Check().Rounds;
                var orders = Plait
                    .Orders(plait.Strands, plait.Moves(plait.Word.Length * rounds))
                    .Where((_, i) => i % plait.Word.Length == 0)
                    .ToList();
                orders.Skip(1).Select(o => o.SequenceEqual(home)).ShouldBe([.. Enumerable.Repeat(false, rounds - 1), true]);
            },
            iter: 400
        );

    [Fact]
    public void A_mirror_twice_is_no_mirror_and_checks_alike() =>
        AnyPlait.ForAll(plait =>
        {
            plait.Mirrored.Mirrored.Word.ShouldBe(plait.Word);
            plait.Mirrored.Check().ShouldBe(plait.Check());
            var (one, other) = (
                Plait.Orders(plait.Strands, plait.Word).Last(),
                Plait.Orders(plait.Strands, plait.Mirrored.Word).Last()
            );
            other.Reverse().Select(s => plait.Strands + 1 - s).ShouldBe(one);
        });

    [Theory]
    [InlineData(2, 2, true), InlineData(3, 3, true), InlineData(4, null, null), InlineData(6, null, null)]
    public void The_usual_plaits_travel_and_hold(int strands, int? rounds, bool? same)
    {
        var check = Plait.Usual(strands)!.Check();
        (check.IsGood, check.EveryStrandTravels, check.HoldsTogether).ShouldBe((true, true, true));
        if (rounds is { } r)
            check.Rounds.ShouldBe(r);
        if (same is { } s)
            check.SameWay.ShouldBe(s);
    }

    [Theory]
    [InlineData(3, "3 over 2, 1 over 2", true, true, 3)]
    [InlineData(3, "3 OVER 2;1 under 2", true, true, 3)]
    [InlineData(2, "1 over 2", true, true, 2)]
    [InlineData(3, "1 over 2", false, false, 2)]
    [InlineData(3, "1 over 2 over 3", true, true, 3)]
    [InlineData(4, "4 over 3 under 2 over 1", true, true, 4)]
    [InlineData(2, "1 over 2, 2 over 1", true, false, 1)]
    public void A_typed_word_is_checked(int strands, string word, bool travels, bool holds, int rounds)
    {
        var check = Plait.Read(strands, word).Value.Check();
        (check.EveryStrandTravels, check.HoldsTogether, check.Rounds).ShouldBe((travels, holds, rounds));
    }

    [Theory]
    [
        InlineData(3, "", "empty"),
        InlineData(3, "1 beside 2", "unreadable"),
        InlineData(3, "1", "unreadable"),
        InlineData(3, "1 over 3", "not-neighbours"),
        InlineData(3, "4 over 3", "unknown")
    ]
    [
        InlineData(9, "1 over 2", "out-of-range"),
        InlineData(3, "1 over 2,", "unreadable"),
        InlineData(3, "99999999999 over 2", "unreadable"),
        InlineData(4, "2 over 3 over 2", "not-neighbours")
    ]
    public void A_word_that_is_none_says_what_is_wrong(int strands, string word, string code) =>
        Plait.Read(strands, word).Problems.Single().Type.ShouldBe(code);

    [Fact]
    public void A_drawn_plait_has_every_strand_in_every_row_and_the_upper_one_last() =>
        AnyPlait.ForAll(
            plait =>
            {
                var weave = Weave.Of(plait, plait.Word.Length);
                var orders = Plait.Orders(plait.Strands, plait.Word).ToList();
                foreach (var (step, i) in weave.Steps.Skip(1).Select((s, i) => (s, i)))
                {
                    step.Pieces.Select(p => p.Strand).Distinct().Order().ShouldBe(Enumerable.Range(1, plait.Strands));
                    var move = step.Move!;
                    // The moved strand's last stretch lies above its neighbours if its last crossing is over, else below.
                    var (mover, others) = (
                        step.Pieces.Select((p, at) => (p, at)).Where(x => x.p.Active).ToList(),
                        step.Pieces.Select((p, at) => (p, at)).Where(x => !x.p.Active).Select(x => x.at).ToList()
                    );
                    mover.Any(x => others.All(o => x.at > o)).ShouldBe(move.Over.Contains(true));
                    mover.Any(x => others.All(o => x.at < o)).ShouldBe(move.Over.Contains(false));
                    mover.ShouldAllBe(x => x.p.Strand == orders[i][move.From - 1]);
                }
            },
            iter: 100
        );

    [Theory]
    [InlineData(Ties.Kind.Knot), InlineData(Ties.Kind.Pretzel), InlineData(Ties.Kind.Coil)]
    public void A_tie_is_drawn_inside_its_frame(Ties.Kind kind)
    {
        var weave = Ties.Of(kind);
        weave.Steps.Length.ShouldBeGreaterThanOrEqualTo(3);
        weave.Steps.ShouldAllBe(s =>
            s.Pieces.All(p => p.Points.Where((_, i) => i % 2 == 0).All(x => x > -1 && x < weave.Width + 1))
        );
    }

    [Theory]
    [
        InlineData(2, 2),
        InlineData(3, 2.155),
        InlineData(4, 2.414),
        InlineData(5, 2.701),
        InlineData(6, 3),
        InlineData(7, 3),
        InlineData(8, 3.305),
        InlineData(9, 3.613),
        InlineData(10, 3.813),
        InlineData(11, 3.924)
    ]
    [
        InlineData(12, 4.030),
        InlineData(13, 4.236),
        InlineData(14, 4.328),
        InlineData(15, 4.521),
        InlineData(16, 4.615),
        InlineData(17, 4.792),
        InlineData(18, 4.864),
        InlineData(19, 4.864),
        InlineData(20, 5.122)
    ]
    public void The_smallest_round_tin_is_within_four_percent_of_the_best_known(int rolls, double best)
    {
        var packing = RoundPacking.Of(rolls);
        packing.Ratio.ShouldBeInRange(best - .001, best * 1.04);
        packing.Centres.Length.ShouldBe(rolls);
        for (var i = 0; i < rolls; i++)
        {
            var (x, y) = packing.Centres[i];
            Math.Sqrt(x * x + y * y).ShouldBeLessThanOrEqualTo(packing.Ratio - 1 + 1e-9);
            for (var j = 0; j < i; j++)
                Math.Pow(x - packing.Centres[j].X, 2)
                    .ShouldBeGreaterThanOrEqualTo(4 - 1e-6 - Math.Pow(y - packing.Centres[j].Y, 2));
        }
    }

    private static readonly Gen<Tin> AnyTin = Gen.Select(
        Gen.Int[0, 2],
        Gen.Double[100, 700],
        Gen.Double[100, 700],
        (shape, length, width) =>
            new Tin(
                "t",
                "Tin",
                (TinShape)shape,
                Length.FromMillimetres(length),
                Length.FromMillimetres(shape == (int)TinShape.Round ? length : width)
            )
    );

    [Fact]
    public void Pieces_never_overlap_nor_stick_out() =>
        Gen.Select(
                Gen.Int[0, Families.All.Length - 1].Select(i => Families.All[i]),
                Gen.Double[20, 900],
                Gen.Int[1, 60],
                AnyTin,
                Gen.Int[0, 2]
            )
            .ForAll(
                (family, grams, pieces, tin, touching) =>
                {
                    if (
                        PanLayout.Of(family, Grams(grams), pieces, tin, touching == 2 ? null : touching == 1) is not { } layout
                        || family.Form == Form.Tray
                    )
                        return;
                    layout.Seats.Length.ShouldBe(Math.Min(pieces, layout.Holds));
                    var lies = layout.Touching ? layout.Shaped : layout.Grown;
                    var boxes = layout
                        .Seats.Select(s =>
                            (
                                s.X,
                                s.Y,
                                W: (s.Across ? lies.Width : lies.Length).Millimetres / 2,
                                H: (s.Across ? lies.Length : lies.Width).Millimetres / 2
                            )
                        )
                        .ToList();
                    foreach (var b in boxes)
                    {
                        if (tin.Shape == TinShape.Round)
                            Math.Sqrt(
                                    Math.Pow(b.X - tin.Length.Millimetres / 2, 2) + Math.Pow(b.Y - tin.Length.Millimetres / 2, 2)
                                )
                                .ShouldBeLessThanOrEqualTo(tin.Length.Millimetres / 2 - b.W + 1e-6);
                        else
                            (
                                b.X - b.W > -1e-6
                                && b.Y - b.H > -1e-6
                                && b.X + b.W < tin.Length.Millimetres + 1e-6
                                && b.Y + b.H < tin.Width.Millimetres + 1e-6
                            ).ShouldBeTrue();
                    }
                    for (var i = 0; i < boxes.Count; i++)
                        for (var j = 0; j < i; j++)
                        {
                            var (a, b) = (boxes[i], boxes[j]);
                            var apart = lies.IsRound
                                ? Math.Sqrt(Math.Pow(a.X - b.X, 2) + Math.Pow(a.Y - b.Y, 2)) - a.W - b.W
                                : Math.Max(Math.Abs(a.X - b.X) - a.W - b.W, Math.Abs(a.Y - b.Y) - a.H - b.H);
                            apart.ShouldBeGreaterThan(-1e-6);
                        }
                },
                iter: 200
            );

    [Fact]
    public void The_kitchens_own_pans_are_ranked_by_loads()
    {
        var tray = new Tin("t1", "Tray", TinShape.Tray, Length.FromMillimetres(440), Length.FromMillimetres(340));
        var round = new Tin(
            "r",
            "Round",
            TinShape.Round,
            Length.FromMillimetres(240),
            Length.FromMillimetres(240),
            Length.FromMillimetres(50)
        );
        // 57 g rolls are 47 mm across, at a pitch of 67 mm: 6 by 5 in a grid, but six staggered rows of 6, 58 mm apart.
        var rolls = PanChoice.Of(Families.Find("pan-roll")!, Grams(57), 16, [tray, tray with { Id = "t2" }, round], 2);
        rolls.Select(p => (p.Layout.Tin.Id, p.Layout.Holds, p.Pans, p.Loads)).ShouldBe([("t1", 36, 1, 1), ("r", 9, 2, 2)]);
        PanChoice.Of(Families.Find("plait-3")!, Grams(416), 2, [tray], 1).Single().Loads.ShouldBe(1);
        PanChoice.Of(Families.Find("tin-loaf")!, Grams(750), 1, [tray, round], 1).ShouldBeEmpty();
        var loaf = new Tin(
            "l",
            "Loaf tin",
            TinShape.Loaf,
            Length.FromMillimetres(210),
            Length.FromMillimetres(110),
            Length.FromMillimetres(70)
        );
        PanChoice.Of(Families.Find("tin-loaf")!, Grams(750), 1, [loaf], 1).Single().Layout.Holds.ShouldBe(1);
        // Far too small a loaf for the tin is not offered it.
        PanChoice.Of(Families.Find("tin-loaf")!, Grams(300), 1, [loaf], 1).ShouldBeEmpty();
        var hollows = new Tin(
            "h",
            "Hollows",
            TinShape.Hollows,
            Length.FromMillimetres(350),
            Length.FromMillimetres(270),
            null,
            12,
            Volume.FromMillilitres(80)
        );
        PanChoice.Of(Families.Find("pan-roll")!, Grams(40), 12, [hollows], 1).Single().Layout.Seats.Length.ShouldBe(12);
        var channels = new Tin(
            "c",
            "Channels",
            TinShape.Channels,
            Length.FromMillimetres(380),
            Length.FromMillimetres(240),
            null,
            3
        );
        PanChoice
            .Of(Families.Find("baton")!, Grams(133), 6, [channels], 1)
            .Single()
            .ShouldSatisfyAllConditions(p => p.Pans.ShouldBe(2), p => p.Loads.ShouldBe(2));
    }

    [Fact]
    public void Every_family_has_a_form_to_aim_for_that_holds_its_dough()
    {
        foreach (var family in Families.All)
            foreach (var grams in new[] { family.Range.From, family.Usual, family.Range.To })
            {
                var aim = Sizes.For(family, grams);
                var volume = aim switch
                {
                    { Rope: { } rope, Thickness: { } t } => Math.PI
                        / 4
                        * t.Millimetres
                        * t.Millimetres
                        * rope.Millimetres
                        * family.Strands,
                    { Sheet: { } sheet, Thickness: { } t } => sheet.Length.Millimetres * sheet.Width.Millimetres * t.Millimetres,
                    { Across: { } across, Thickness: { } t } => Math.PI / 4 * Math.Pow(across.Millimetres, 2) * t.Millimetres,
                    _ => grams.Grams / Sizes.Density * 1000,
                };
                volume.ShouldBe(grams.Grams / Sizes.Density * 1000, 1, family.Id);
                if (aim.Sheet is { } s)
                    s.Length.Millimetres.ShouldBeGreaterThanOrEqualTo(s.Width.Millimetres);
            }
        // A filled loaf is rolled out as wide as its tin is long.
        var tin = new Tin(
            "s",
            "Small tin",
            TinShape.Loaf,
            Length.FromMillimetres(180),
            Length.FromMillimetres(90),
            Length.FromMillimetres(65)
        );
        var swirl = Sizes.For(Families.Find("filled-loaf")!, Grams(450), tin).Sheet!;
        new[] { swirl.Length.Millimetres, swirl.Width.Millimetres }.ShouldContain(180);
        Sizes.RoundTin(Families.Find("pan-roll")!, Grams(57), 12)!.Value.Millimetres.ShouldBe(250, 5);
        Sizes.RoundTin(Families.Find("pretzel")!, Grams(85), 4).ShouldBeNull();
    }

    [Fact]
    public void A_sheet_of_rings_with_its_scraps()
    {
        // Gasket rounds: about 11 and a scrap from 756 g.
        var sheet = RingSheet.Of(Grams(756), Length.FromMillimetres(10), RingSheet.UsualRing);
        sheet.Count.ShouldBeInRange(10, 12);
        sheet.Rollings.Length.ShouldBeInRange(1, 1 + RingSheet.Rerolls);
        (sheet.Each.Grams * sheet.Count + sheet.Scrap.Grams).ShouldBe(756, 1e-6);
        Gen.Select(Gen.Double[1, 3000], Gen.Double[3, 20], Gen.Double[30, 150])
            .ForAll(
                (dough, thick, ring) =>
                {
                    var any = RingSheet.Of(Grams(dough), Length.FromMillimetres(thick), Length.FromMillimetres(ring));
                    any.Scrap.Grams.ShouldBeGreaterThanOrEqualTo(0);
                    foreach (var rolling in any.Rollings)
                        rolling.Rings.ShouldAllBe(r =>
                            r.X >= ring / 2 - 1e-6
                            && r.Y >= ring / 2 - 1e-6
                            && r.X <= rolling.Length.Millimetres - ring / 2 + 1e-6
                            && r.Y <= rolling.Width.Millimetres - ring / 2 + 1e-6
                        );
                }
            );
    }
}
