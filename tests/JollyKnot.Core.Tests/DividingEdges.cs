using JollyKnot.Core.Dividing;
using JollyKnot.Core.Measures;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>The station half way, its pan and its scale, reckoned by hand to the edge of each rule.</summary>
public sealed class DividingEdges
{
    private static readonly Mass Gram = Grams(1);

    // Two plaits of three strands that keep 150, and four rolls that take the rest of 720: 105 each.
    private static Station Half(params (int Number, int Units)[] weighed) =>
        Station.For(720, Gram, [new(2, 3, 150, true), new(4, 1, 100, false)], weighed.ToDictionary(w => w.Number, w => w.Units));

    [Fact]
    public void What_is_left_is_shared_by_what_is_open_and_a_strand_by_its_own_piece()
    {
        var station = Half((1, 52), (7, 110));
        station.Pieces.Select(p => p.Target).ShouldBe([50, 49, 49, 50, 50, 50, 105, 104, 103, 103]);
        station
            .Pieces.Select(p => (p.Number, p.Cut, p.Of, p.Strand))
            .Take(7)
            .ShouldBe([(1, 0, 1, 1), (2, 0, 1, 2), (3, 0, 1, 3), (4, 0, 2, 1), (5, 0, 2, 2), (6, 0, 2, 3), (7, 1, 1, 1)]);
        (station.Left, station.Next!.Number).ShouldBe((558, 2));
        (station.Pieces[0].Verdict, station.Pieces[6].Verdict, station.Pieces[1].Verdict).ShouldBe(
            (Verdict.Good, Verdict.PinchOff, Verdict.Empty)
        );
    }

    [Fact]
    public void A_piece_that_holds_too_much_leaves_the_others_less()
    {
        // One strand of 200 is 50 more than its whole plait: nothing is wanted for the other two, and 520 g is all there is.
        var station = Half((1, 200));
        station.Pieces.Select(p => p.Target).ShouldBe([50, 0, 0, 46, 46, 45, 96, 96, 96, 95]);
        station.Pieces.Where(p => p.Weighed is null).Sum(p => p.Target).ShouldBe(station.Left);
    }

    [Fact]
    public void All_cut_leaves_nothing_and_never_less()
    {
        var station = Station.For(100, Gram, [new(1, 1, 100, false)], new Dictionary<int, int> { [1] = 120 });
        (station.Left, station.Next).ShouldBe((0, null));
        (Half().Crumbs, new Station(1, Grams(.1), []).Crumbs, new Station(1, Grams(5), []).Crumbs).ShouldBe((2, 20, 1));
    }

    [Theory]
    // Where all keep theirs, or what is kept leaves nothing, all share.
    [InlineData(210, "2x100!", "105,105"), InlineData(150, "2x100!,1x50", "60,60,30"), InlineData(100, "1x100!,1x50", "67,33")]
    [InlineData(101, "1x100!,1x50", "100,1"), InlineData(300, "2x100!,2x10", "100,100,50,50")]
    public void What_is_pinned_keeps_its_weight_while_others_can_give(int dough, string cuts, string wanted) =>
        Station
            .PieceTargets(
                dough,
                [
                    .. cuts.Split(',')
                        .Select(c => (Pieces: int.Parse(c[..1]), Each: int.Parse(c[2..].TrimEnd('!')), Pinned: c[^1] == '!'))
                        .Select(c => new Group(c.Pieces, 1, c.Each, c.Pinned)),
                ]
            )
            .SelectMany(t => t)
            .ShouldBe(wanted.Split(',').Select(int.Parse));

    [Theory]
    [InlineData(1, Verdict.Empty), InlineData(2, Verdict.Add), InlineData(96, Verdict.Add), InlineData(97, Verdict.Good)]
    [InlineData(100, Verdict.Good), InlineData(103, Verdict.Good), InlineData(104, Verdict.PinchOff)]
    public void A_piece_is_judged_by_its_target(int units, Verdict verdict) =>
        new Piece(1, 0, 1, 1, 100, 3, null, Verdict.Empty).Judge(units, 2).ShouldBe(verdict);

    [Fact]
    public void A_household_that_minds_less_says_so()
    {
        Verdict Of(Tolerance? tolerance) =>
            Station.For(210, Gram, [new(2, 1, 105, false)], new Dictionary<int, int> { [1] = 110 }, tolerance).Pieces[0].Verdict;
        (Of(null), Of(new(Grams(5), Share.FromFraction(0)))).ShouldBe((Verdict.PinchOff, Verdict.Good));
    }

    [Fact]
    public void Evenness_is_spread_and_deviation()
    {
        var even = Evenness.Of([50, 54, 52, 52])!;
        (even.Lightest, even.Heaviest, even.Spread).ShouldBe((50, 54, 4));
        even.Variation.Fraction.ShouldBe(Math.Sqrt(2) / 52, 1e-9);
        Evenness.Of([0, 0])!.Variation.Fraction.ShouldBe(0);
        Evenness.Of([]).ShouldBeNull();
    }

    [Theory]
    // Wanted 300 g; the bowl weighs 412, the plate 380: what lies under it leaves what was wanted, within a fifth.
    [InlineData(712, 300, "bowl", 300), InlineData(680, 300, "plate", 300), InlineData(772, 300, "bowl", 360)]
    [InlineData(793, 300, null, 0), InlineData(620, 300, "plate", 240), InlineData(619, 300, null, 0)]
    // As much as was wanted, less, or near it needs no bowl; nothing wanted explains nothing.
    [InlineData(300, 300, null, 0), InlineData(360, 300, null, 0), InlineData(200, 300, null, 0), InlineData(712, 0, null, 0)]
    public void A_scale_that_forgot_its_tare_is_found_out(double reading, double expected, string? under, double net)
    {
        var found = LostTare.Explain(Grams(reading), Grams(expected), [new("plate", Grams(380)), new("bowl", Grams(412))]);
        (found?.Ballast.Name, Math.Round(found?.Net.Grams ?? 0, 6)).ShouldBe((under, net));
    }

    private static OnPan Pan(params (int Number, int Units)[] pieces) =>
        new([.. pieces.Select(p => new Laid(p.Number, p.Units))]);

    private static string On(OnPan pan) => string.Join(' ', pan.Pieces.Select(p => $"{p.Number}:{p.Units}"));

    [Fact]
    public void What_is_taken_lies_on_the_pan_if_it_came_from_there()
    {
        (OnPan.Weighed(Grams(1)), OnPan.Weighed(Grams(1.04)), OnPan.Weighed(Grams(56.78))).ShouldBe(
            (null, Grams(1), Grams(56.8))
        );
        On(OnPan.Empty.Took(1, 57, 57, 2)).ShouldBe("1:57");
        On(Pan((1, 57)).Took(2, 60, 115, 2)).ShouldBe("1:57 2:60");
        On(Pan((1, 57)).Took(2, 60, 114, 2)).ShouldBe("1:57");
        On(Pan((1, 57)).Took(2, 60, null, 2)).ShouldBe("1:57");
        // Taken anew it is what it is now, or no longer there.
        On(Pan((1, 57), (2, 60)).Took(2, 63, 120, 2)).ShouldBe("1:57 2:63");
        On(Pan((1, 57), (2, 60)).Took(2, 63, null, 2)).ShouldBe("1:57");
        // The first of nine is no longer told apart.
        var many = Enumerable.Range(1, 8).Aggregate(OnPan.Empty, (pan, n) => pan.Took(n, 10, n * 10, 2));
        On(many.Took(9, 10, 90, 2)).ShouldBe("2:10 3:10 4:10 5:10 6:10 7:10 8:10 9:10");
    }

    [Theory]
    // Under a fifth of 60, and no crumb.
    [InlineData(58, false), InlineData(59, true), InlineData(68, true), InlineData(69, false)]
    public void A_little_beside_a_piece_is_put_back_on_it(int reading, bool are)
    {
        Pan((1, 57)).AreTrimmings(reading, 60, 2).ShouldBe(are);
        OnPan.Empty.AreTrimmings(reading - 57, 60, 2).ShouldBeFalse();
    }

    [Theory]
    // As it was; one lifted off; two; the larger group; all.
    [InlineData("1:50 2:60 3:55", 164, "1:50 2:60 3:55", null), InlineData("1:50 2:60 3:55", 105, "1:50 3:55", null)]
    [InlineData("1:50 2:60 3:55", 61, "2:60", null), InlineData("1:50 2:50 3:100", 100, "1:50 2:50", null)]
    [InlineData("1:50 2:53", 52, "2:53", null), InlineData("1:50 2:60", 1, "", null)]
    // Pinched off the last; more than half of it is no pinch.
    [InlineData("1:50 2:60 3:55", 158, "1:50 2:60 3:48", 48), InlineData("1:50 2:60 3:55", 138, "1:50 2:60 3:28", 28)]
    [InlineData("1:50 2:60 3:55", 137, "", null), InlineData("", 90, "", null)]
    public void What_stands_still_on_the_pan_tells_what_was_lifted_or_trimmed(string pan, int reading, string then, int? trimmed)
    {
        var pieces = pan.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(p => p.Split(':').Select(int.Parse).ToArray());
        var (now, pinched) = Pan([.. pieces.Select(p => (p[0], p[1]))]).Settled(reading, 2);
        (On(now), pinched?.Units).ShouldBe((then, trimmed));
    }

    [Fact]
    public void The_largest_remainder_gets_the_unit_and_a_tree_of_cuts_is_as_deep_as_its_deepest()
    {
        Targets.Share(10, [3, 3, 1]).ShouldBe([4, 4, 2]);
        Should.Throw<ArgumentOutOfRangeException>(() => Targets.CountFor(Grams(500), Grams(0)));
        var tree = EyeCut.Of([new(4, 2, 100, false), new(3, 1, 100, false)]);
        (tree.Pieces, tree.Depth, tree.Even).ShouldBe((11, 4, false));
        EyeCut.Of([new(7, 1, 50, false)]).Parts.Select(p => p.Pieces).ShouldBe([3, 2, 2]);
    }
}
