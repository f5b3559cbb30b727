using CsCheck;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Tests;

/// <summary>Evening out: inside tolerance whenever that can be, nothing lost, and few pinches.</summary>
public sealed class EvenOutRules
{
    private static readonly Gen<Piece[]> AnyPieces = Gen.Select(Gen.Int[2, 60], Gen.Int[30, 120], Gen.Int[0, 30])
        .SelectMany(
            (count, target, spread) =>
                Gen.Int[-spread, spread]
                    .Array[count]
                    .Select(errors =>
                        Weigh([.. errors.Select((e, i) => (Math.Max(1, target + e), target + (i % 3 == 0 ? 20 : 0)))])
                    )
        );

    [Fact]
    public void Ends_inside_tolerance_whenever_that_can_be_and_keeps_the_total() =>
        AnyPieces.ForAll(
            pieces =>
            {
                var pinches = EvenOut.Of(pieces);
                var after = pieces.Select(p => p.Weighed!.Value).ToArray();
                foreach (var pinch in pinches)
                {
                    pinch.Units.ShouldBeGreaterThan(0);
                    after[pinch.From - 1] -= pinch.Units;
                    after[pinch.To - 1] += pinch.Units;
                }
                pinches.Length.ShouldBeLessThanOrEqualTo(pieces.Length - 1);
                after.Sum().ShouldBe(pieces.Sum(p => p.Weighed!.Value));
                var can =
                    after.Sum() >= pieces.Sum(p => p.Target - p.Tolerance)
                    && after.Sum() <= pieces.Sum(p => p.Target + p.Tolerance);
                if (can)
                    pieces.Zip(after).ShouldAllBe(p => Math.Abs(p.Second - p.First.Target) <= p.First.Tolerance);
                else
                    pinches.ShouldBeEmpty();
            },
            iter: 1000
        );

    [Fact]
    public void One_pinch_fewer_never_does_it() =>
        Gen.Int[-9, 9]
            .Array[2, 6]
            .ForAll(
                errors =>
                {
                    var pinches = EvenOut.Of(Weigh([.. errors.Select(e => (57 + e, 57))]));
                    if (pinches.Length is > 0 and <= 3)
                        CanBeDoneIn(pinches.Length - 1, errors).ShouldBeFalse();
                },
                iter: 40
            );

    [Fact]
    public void Up_to_eight_pieces_no_search_through_all_ways_does_better() =>
        Gen.Int[-14, 14]
            .Array[2, 8]
            .ForAll(
                errors =>
                {
                    // However pinches connect pieces, each connected group must balance by itself and takes one pinch less than
                    // it has pieces:
                    // so the fewest are found by trying every way to sort the pieces into groups.
                    var pieces = Weigh([.. errors.Select((e, i) => (57 + e + i % 2 * 30, 57 + i % 2 * 30))]);
                    var pinches = EvenOut.Of(pieces);
                    if (pinches.IsEmpty)
                        return;
                    pinches.Length.ShouldBe(Fewest(pieces, 0, []));
                },
                iter: 300
            );

    private static int Fewest(Piece[] pieces, int at, List<List<Piece>> groups)
    {
        if (at == pieces.Length)
            return groups.TrueForAll(g =>
                g.Sum(p => p.Weighed!.Value) >= g.Sum(p => p.Target - p.Tolerance)
                && g.Sum(p => p.Weighed!.Value) <= g.Sum(p => p.Target + p.Tolerance)
            )
                ? groups.Sum(g => g.Count - 1)
                : int.MaxValue;
        var best = int.MaxValue;
        for (var g = 0; g <= groups.Count; g++)
        {
            if (g == groups.Count)
                groups.Add([]);
            groups[g].Add(pieces[at]);
            best = Math.Min(best, Fewest(pieces, at + 1, groups));
            groups[g].RemoveAt(groups[g].Count - 1);
            if (groups[g].Count == 0)
                groups.RemoveAt(g);
            if (g == groups.Count)
                break;
        }
        return best;
    }

    [Fact]
    public void A_heavy_and_a_light_one_trade()
    {
        EvenOut.Of(Weigh([(57, 57), (63, 57), (51, 57)])).ShouldBe([new(2, 3, 4)]);
        EvenOut.Of(Weigh([(57, 57), (58, 57), (56, 57)])).ShouldBeEmpty();
        EvenOut.Of(Weigh([(90, 57), (90, 57)])).ShouldBeEmpty();
    }

    // Every way to pinch whole grams, one after the other.
    private static bool CanBeDoneIn(int pinches, int[] errors)
    {
        if (errors.All(e => Math.Abs(e) <= 2))
            return true;
        if (pinches == 0)
            return false;
        for (var from = 0; from < errors.Length; from++)
            for (var to = 0; to < errors.Length; to++)
                for (var grams = 1; from != to && grams <= 18; grams++)
                {
                    var after = (int[])errors.Clone();
                    (after[from], after[to]) = (after[from] - grams, after[to] + grams);
                    if (CanBeDoneIn(pinches - 1, after))
                        return true;
                }
        return false;
    }

    private static Piece[] Weigh((int Grams, int Target)[] pieces) =>
        [
            .. pieces
                .Select(
                    (p, i) =>
                        new Piece(
                            i + 1,
                            0,
                            i + 1,
                            1,
                            p.Target,
                            Tolerance.Usual.At(p.Target, Mass.FromGrams(1)),
                            p.Grams,
                            Verdict.Empty
                        )
                )
                .Select(p => p with { Verdict = p.Judge(p.Weighed!.Value, 1) }),
        ];
}
