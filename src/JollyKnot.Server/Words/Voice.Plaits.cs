using System.Collections.Immutable;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Server.Words;

// Plaits and ties, move by move.
public sealed partial class Voice
{
    /// <summary>Before the first move of a plait.</summary>
    public static string Start(int strands) => $"Lay {strands} strands side by side, pinched together at the top.";

    /// <summary>Between the halves of a plait worked from the middle.</summary>
    public const string TurnRound = "Turn it round. The other half is the mirror image.";

    /// <summary>A move of a plait.</summary>
    public static string Of(Move move)
    {
        ArgumentNullException.ThrowIfNull(move);
        var runs = new List<(bool Over, int Count)>();
        foreach (var over in move.Over)
            if (runs.Count > 0 && runs[^1].Over == over)
                runs[^1] = (over, runs[^1].Count + 1);
            else
                runs.Add((over, 1));
        var crossings = string.Join(", ", runs.Select(r => $"{Side(r.Over)} {Count(r.Count, "neighbour")}"));
        return $"Strand {move.From} {crossings}, to the {(move.Rightwards ? "right" : "left")}.";
    }

    private static string Count(int n, string what) => n == 1 ? $"1 {what}" : $"{n} {what}s";

    private static string Side(bool over) => over ? "over" : "under";

    /// <summary>A plait's moves as one would type them.</summary>
    public static string Of(Plait plait)
    {
        ArgumentNullException.ThrowIfNull(plait);
        return string.Join(", ", plait.Word.Select(AsTyped));
    }

    private static string AsTyped(Move move)
    {
        var step = move.Rightwards ? 1 : -1;
        return $"{move.From} {string.Join(" ", move.Over.Select((over, i) => $"{Side(over)} {move.From + step * (i + 1)}"))}";
    }

    /// <summary>What a plait word amounts to.</summary>
    public static ImmutableArray<string> Of(PlaitCheck check, Plait plait)
    {
        ArgumentNullException.ThrowIfNull(check);
        ArgumentNullException.ThrowIfNull(plait);
        return
        [
            check.EveryStrandTravels
                ? check.SameWay
                    ? "Every strand travels, all the same way."
                    : "Every strand travels."
                : "A strand just hangs there: no move takes it along.",
            check.HoldsTogether ? "It holds together." : "It falls apart: some strands only ever lie on top of the others.",
            $"It repeats every {Count(plait.Word.Length, "move")}; after {Count(check.Rounds, "round")} each strand lies "
                + "where it began.",
        ];
    }

    /// <summary>Steps of a tie.</summary>
    public static ImmutableArray<string> Steps(Ties.Kind tie) =>
        tie switch
        {
            Ties.Kind.Knot =>
            [
                "Lay the rope straight.",
                "Make a loop: one end over the other.",
                "Take the end once through the loop and draw it snug.",
            ],
            Ties.Kind.Pretzel =>
            [
                "Lay a U, thin ends up.",
                "Cross the ends once.",
                "Cross them again: one full twist.",
                "Fold the ends down over the curve and press them on.",
            ],
            _ => ["Begin in the middle, a small hook.", "Wind it round itself, loosely.", "All wound: seal the end underneath."],
        };
}
