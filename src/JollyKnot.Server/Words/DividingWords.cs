using JollyKnot.Core.Plans;
using JollyKnot.Core.Steps;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>Out of the machine and apart.</summary>
internal static class DividingWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } =
        new()
        {
            ["take-out"] = s =>
                s.ByHand
                    ? new(
                        "Turn the dough out",
                        "Turn the dough out and press the gas out gently.",
                        s.Spec.RisesInBowl ? $"It should have {Grown(s)} in the bowl." : "It has only rested.",
                        "It is out"
                    )
                    : new(
                        s.RunsOn ? "Stop the machine, dough out" : "Take the dough out",
                        s.RunsOn
                            ? "Stop the machine, then take the dough out and press the gas out gently."
                            : "Take the dough out and press the gas out gently.",
                        Join(s.Count > 1 ? "Find both paddles in it." : "Find the paddle in it.", "Soak the pan at once."),
                        "It is out"
                    ),
            ["fetch-lump"] = s =>
                new(
                    "Dough out of the fridge",
                    $"Take the dough out of the fridge{(s.Spec.NoScale ? "" : $", {s.Grams(s.About.Mass)}")}.",
                    $"{s.Thing}: it is {Handled(s)} cold, and then wants its time to rise.",
                    "It is out",
                    s.Spec.NoScale ? null : s.MassFigure
                ),
            ["bulk"] = s => Phrase.Stretch("Rises in a bowl", "The dough is rising in its bowl."),
            ["fold-#"] = s =>
                new(
                    $"Fold {s.Count}",
                    "Fold the dough in its bowl, once all round.",
                    "Wet hands; lift, stretch, over. Leave it out if there is no time.",
                    "Folded"
                ),
            ["bowl-look-#"] = LookAtBowl,
            ["rise-look-#"] = LookAtBowl,
            ["weigh-dough"] = s =>
                new(
                    "Weigh the whole dough",
                    "Weigh the whole dough.",
                    s.Spec.Parts == 1
                        ? "Proof and oven follow from this figure, not from the recipe."
                        : "Every piece follows from this figure, not from the recipe.",
                    "That is all of it",
                    s.MassFigure
                ),
            ["divide"] = s =>
                new(
                    $"Divide into {s.Count}",
                    !s.Spec.NoScale && s.Station?.Next is { } next
                        ? PieceToWeigh(Voice.Piece(next, s.Spec))
                        : $"Divide into {s.Count}.",
                    s.Spec.NoScale ? "By ruler or by eye, below." : $"{s.Grams(s.Spec.Around.Tolerance.Least)} off is fine.",
                    "Take it as it is"
                ),
            ["keep-shaped-#"] = KeepShaped,
            ["keep-#"] = s =>
                new(
                    s.Spec.NoScale ? "The rest into the fridge" : $"{s.Grams(s.About.Mass)} into the fridge",
                    s.Spec.NoScale ? "Put the rest into the fridge." : $"Put {s.Grams(s.About.Mass)} into the fridge.",
                    "In an oiled, covered bowl with room to grow.",
                    "It is cold",
                    s.Spec.NoScale ? null : s.MassFigure
                ),
        };

    // A loaf of its own, or the share for the fridge; else which of several.
    private static string PieceToWeigh(string piece) =>
        piece.StartsWith("the ", StringComparison.Ordinal) ? $"Weigh off {piece}." : $"{Capital(piece)}.";

    private static Phrase KeepShaped(Said s)
    {
        var cut = s.Spec.Cuts[s.Step.Id.Number - 1];
        var (pieces, freezes) = (Voice.Bread(cut.Pieces, cut.Bread!), cut.Keep == ShapedIn.Freezer);
        var where = freezes ? "freezer" : "fridge";
        return new(
            $"{pieces} shaped, into the {where}",
            $"Shape {pieces} and put {(cut.Pieces == 1 ? "it" : "them")} into the {where}.",
            Join(
                Voice.How(cut.Bread!.Family.Form),
                freezes ? "On a lined tray, apart; into a bag once hard." : "On a lined tray, apart, under greased film."
            ),
            "In the cold"
        );
    }

    private static string Grown(Said s) => Voice.Grown(BowlRise.Wanted(s.Spec));

    // What stays whole is only shaped.
    private static string Handled(Said s) => s.Count > 1 ? "divided and shaped" : "shaped";

    private static Phrase LookAtBowl(Said s) =>
        new(
            s.Count > 1 ? "Look at the bowl again" : "Look at the bowl",
            "Look at the bowl: how much has the dough grown?",
            $"When it has {Grown(s)} it comes out; short of that it stays.",
            "Seen"
        );
}
