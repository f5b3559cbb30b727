using System.Collections.Immutable;
using CsCheck;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Measures;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Cut lists, the scale station and its pan, ruler and eye.</summary>
public sealed class DividingRules
{
    private static readonly Mass Gram = Grams(1);

    private static readonly Gen<ImmutableArray<Group>> AnyGroups = Gen.Select(
            Gen.Int[1, 20],
            Gen.Int[1, 6],
            Gen.Int[5, 500],
            Gen.Bool,
            (pieces, strands, each, pinned) => new Group(pieces, strands, each, pinned)
        )
        .Array[1, 5]
        .Select(g => g.ToImmutableArray());

    [Fact]
    public void A_weighed_911_g_into_16_is_fifteen_of_57_and_one_of_56() =>
        Station
            .For(911, Gram, [new(16, 1, 57, false)], new Dictionary<int, int>())
            .Pieces.Select(p => p.Target)
            .GroupBy(t => t)
            .Select(g => (g.Key, g.Count()))
            .ShouldBe([(57, 15), (56, 1)]);

    [Fact]
    public void A_mixed_list_keeps_what_is_pinned_and_shares_the_rest()
    {
        // A plait of 420, 8 minis of 30, a third of a kilo to the fridge, rolls from the rest.
        CutLine[] lines =
        [
            new(1, Grams(420), Grams(420)),
            new(8, Grams(30), Grams(55)),
            new(null, Grams(300), null),
            new(null, null, Grams(55)),
        ];
        var shares = CutList.Decide(Grams(1500), [.. lines]).Value;
        shares
            .Select(s => (s.Pieces, Math.Round(s.Each.Grams, 1), s.Pinned))
            .ShouldBe([(1, 420, true), (8, 30, true), (1, 300, true), (10, 54, false)]);
        // The dough weighed 40 g more than planned: only the rolls grow, and all of it is there.
        var groups = shares.Select((s, i) => new Group(s.Pieces, i == 0 ? 3 : 1, (int)s.Each.Grams, s.Pinned)).ToImmutableArray();
        var station = Station.For(1540, Gram, groups, new Dictionary<int, int>());
        station.Pieces.GroupBy(p => p.Cut).Select(g => g.Sum(p => p.Target)).ShouldBe([420, 240, 300, 580]);
    }

    [Theory]
    [
        InlineData(900, "10x50,8x51", null),
        InlineData(900, "16x,r", "too-much"),
        InlineData(900, "10x50", "left-over"),
        InlineData(900, "10x100", "too-much"),
        InlineData(900, "r,r", "two-rests"),
        InlineData(900, "16x56", null)
    ]
    public void A_list_that_does_not_add_up_says_so(double dough, string list, string? problem)
    {
        var lines = list.Split(',')
            .Select(l =>
                l == "r" ? new CutLine(null, null, Grams(55))
                : l.Split('x') is var p
                    ? new CutLine(
                        int.Parse(p[0], System.Globalization.CultureInfo.InvariantCulture),
                        p[1] == "" ? null : Grams(double.Parse(p[1], System.Globalization.CultureInfo.InvariantCulture)),
                        Grams(57)
                    )
                : null!
            );
        var decided = CutList.Decide(Grams(dough), [.. lines]);
        decided.Problems.Select(p => p.Type).SingleOrDefault().ShouldBe(problem);
    }

    [Fact]
    public void What_is_decided_is_the_whole_dough() =>
        Gen.Select(
                Gen.Int[100, 5000],
                Gen.Select(
                    Gen.Int[0, 20],
                    Gen.Int[0, 400],
                    Gen.Int[20, 500],
                    (n, g, usual) => new CutLine(n == 0 ? null : n, g < 10 ? null : Grams(g), Grams(usual))
                ).Array[1, 6]
            )
            .ForAll(
                (dough, lines) =>
                {
                    if (!CutList.Decide(Grams(dough), [.. lines]).Has(out var shares))
                        return;
                    shares.ShouldAllBe(s => s.Each.Grams > 0 && s.Pieces > 0);
                    var off = Math.Abs(shares.Sum(s => s.Each.Grams * s.Pieces) - dough);
                    // Only where everything is pinned may it miss by a little, which every piece then shares.
                    off.ShouldBeLessThanOrEqualTo(shares.All(s => s.Pinned) ? dough * CutList.Off + 1e-6 : 1e-6);
                    foreach (var (line, share) in lines.Zip(shares).Where(p => p.First is { Pieces: not null, Each: not null }))
                        (share.Pieces, share.Each).ShouldBe((line.Pieces!.Value, line.Each!.Value));
                },
                iter: 1000
            );

    [Fact]
    public void Targets_always_add_up_to_the_dough_to_the_unit() =>
        Gen.Select(AnyGroups, Gen.Int[0, 20_000], Gen.Int[0, 10_000].Array[12], Gen.Int[0, 12])
            .ForAll(
                (groups, dough, choices, weighings) =>
                {
                    var weighed = new Dictionary<int, int>();
                    var parts = groups.Sum(g => g.Pieces * g.Strands);
                    Station.PieceTargets(dough, groups).Sum(g => g.Sum()).ShouldBe(dough);
                    for (var i = 0; i < weighings; i++)
                    {
                        // In any order, by any amount, also again.
                        weighed[choices[i] % parts + 1] = choices[i] / 7 % 200;
                        var station = Station.For(dough, Gram, groups, weighed);
                        if (station.Next is not null)
                            station.Pieces.Where(p => p.Weighed is null).Sum(p => p.Target).ShouldBe(station.Left);
                        station.Pieces.ShouldAllBe(p => p.Target >= 0);
                        station.Pieces.Select(p => p.Number).ShouldBe(Enumerable.Range(1, parts));
                    }
                },
                iter: 800
            );

    [Fact]
    public void Strands_add_up_to_their_plait_and_an_error_stays_in_it()
    {
        var groups = ImmutableArray.Create(new Group(2, 3, 416, false));
        var station = Station.For(833, Gram, groups, new Dictionary<int, int> { [1] = 150 });
        station.Pieces.GroupBy(p => p.Of).Select(g => g.Sum(p => p.Weighed ?? p.Target)).ShouldBe([417, 416]);
    }

    [Theory]
    [InlineData(1, 57, 2), InlineData(1, 420, 13), InlineData(5, 11, 0), InlineData(2.8349523125, 20, 1), InlineData(.1, 570, 20)]
    public void Tolerance_is_two_grams_or_three_percent_in_the_scales_own_steps(double step, int target, int units) =>
        Tolerance.Usual.At(target, Grams(step)).ShouldBe(units);

    [Fact]
    public void Ounces_divide_without_dust()
    {
        // A tenth of an ounce a step: 32.1 oz into 12.
        var tenth = Grams(2.8349523125);
        var station = Station.For(Station.UnitsOf(Grams(910), tenth), tenth, [new(12, 1, 27, false)], new Dictionary<int, int>());
        station.Pieces.Sum(p => p.Target).ShouldBe(321);
        station.Pieces.ShouldAllBe(p => p.Target == 26 || p.Target == 27);
        Station.UnitsOf(tenth * 27, tenth).ShouldBe(27);
    }

    [Fact]
    public void Pieces_stay_on_the_pan_are_lifted_or_trimmed()
    {
        var pan = OnPan.Empty.Took(1, 57, 57, 2);
        pan.New(115).ShouldBe(58);
        pan = pan.Took(2, 58, 115, 2);
        // Both lie there; the scale's own drift is no news.
        pan.Settled(116, 2).ShouldBe((pan, null));
        // The first is lifted.
        pan.Settled(58, 2).Pan.Pieces.ShouldBe([new(2, 58)]);
        // Something is pinched off the last and put back to the dough.
        var (trimmed, last) = pan.Settled(108, 2);
        last.ShouldBe(new Laid(2, 51));
        trimmed.New(108).ShouldBe(0);
        // All off.
        pan.Settled(0, 2).Pan.Pieces.ShouldBeEmpty();
        // Typed while the pan was empty: it does not lie there.
        OnPan.Empty.Took(3, 57, 0, 2).Pieces.ShouldBeEmpty();
        OnPan.Empty.Took(3, 57, null, 2).Pieces.ShouldBeEmpty();
    }

    [Fact]
    public void A_little_beside_a_piece_is_trimmings_and_a_lot_is_the_next_piece()
    {
        var pan = OnPan.Empty.Took(1, 57, 57, 2);
        (pan.AreTrimmings(58, 57, 2), pan.AreTrimmings(61, 57, 2), pan.AreTrimmings(90, 57, 2)).ShouldBe((false, true, false));
        OnPan.Empty.AreTrimmings(5, 57, 2).ShouldBeFalse();
    }

    [Fact]
    public void A_pan_is_never_less_than_what_lies_on_it() =>
        Gen.Select(Gen.Int[20, 120].Array[1, 8], Gen.Int[0, 800])
            .ForAll(
                (weights, reading) =>
                {
                    var (pan, shown) = (OnPan.Empty, 0);
                    for (var i = 0; i < weights.Length; i++)
                        pan = pan.Took(i + 1, weights[i], shown += weights[i], 2);
                    pan.Pieces.Length.ShouldBe(weights.Length);
                    var (after, trimmed) = pan.Settled(reading, 2);
                    if (reading >= 2 && !after.Pieces.IsEmpty && reading <= shown)
                        Math.Abs(after.New(reading)).ShouldBeLessThanOrEqualTo(2);
                    if (trimmed is not null)
                        trimmed.Units.ShouldBeInRange(1, weights[^1]);
                }
            );

    [Fact]
    public void A_lost_tare_is_put_back_by_what_was_weighed_empty()
    {
        Ballast[] known =
        [
            new("Bowl", Grams(412)),
            new("Blue pan", Grams(936)),
            new("Blue pan and what is in already", Grams(936 + 312)),
        ];
        LostTare.Explain(Grams(1317), Grams(905), known).ShouldBe(new(known[0], Grams(905)));
        LostTare.Explain(Grams(1548), Grams(300), known).ShouldBe(new(known[2], Grams(300)));
        LostTare.Explain(Grams(469), Grams(57), known)!.Net.ShouldBe(Grams(57));
        // As expected, a little over, or like nothing known: left alone.
        LostTare.Explain(Grams(905), Grams(905), known).ShouldBeNull();
        LostTare.Explain(Grams(1020), Grams(905), known).ShouldBeNull();
        LostTare.Explain(Grams(2000), Grams(57), known).ShouldBeNull();
        LostTare.Explain(Grams(100), Grams(905), known).ShouldBeNull();
    }

    [Fact]
    public void Ruler_marks_are_in_proportion_and_end_with_the_log()
    {
        Ruler.Marks(Length.FromMillimetres(480), [57, 57, 57, 57]).Select(m => m.Millimetres).ShouldBe([120, 240, 360, 480]);
        Ruler
            .Marks(Length.FromMillimetres(600), [420, 30, 30, 120])
            .Select(m => Math.Round(m.Millimetres, 6))
            .ShouldBe([420, 450, 480, 600]);
    }

    [Theory]
    [
        InlineData(16, 4, 0),
        InlineData(12, 3, 0),
        InlineData(10, 2, 0),
        InlineData(9, 2, 0),
        InlineData(1, 0, 0),
        InlineData(45, 3, 0),
        InlineData(7, 2, 1),
        InlineData(100, 4, 0)
    ]
    public void An_eye_halves_thirds_and_fifths(int pieces, int depth, int uneven)
    {
        var tree = EyeCut.Of([new(pieces, 1, 50, false)]);
        (tree.Depth, Nodes(tree).Count(n => n.Parts.Length > 0 && !n.Even)).ShouldBe((depth, uneven));
        Nodes(tree).Where(n => n.Parts.IsEmpty).Sum(n => n.Share.Fraction).ShouldBe(1, 1e-9);
        Nodes(tree).Count(n => n.Parts.IsEmpty).ShouldBe(pieces);
    }

    [Fact]
    public void An_eye_cuts_the_lines_of_a_list_apart_first_and_strands_last()
    {
        var tree = EyeCut.Of([new(8, 1, 55, false), new(1, 3, 440, true)]);
        (tree.Even, tree.Parts.Length).ShouldBe((false, 2));
        tree.Parts.Select(p => Math.Round(p.Share.Percent)).ShouldBe([50, 50]);
        tree.Parts[1].Parts.Length.ShouldBe(3);
    }

    private static IEnumerable<EyeCut> Nodes(EyeCut cut) => cut.Parts.SelectMany(Nodes).Prepend(cut);
}
