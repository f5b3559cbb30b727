using JollyKnot.Core.Doughs;
using JollyKnot.Core.Pantry;
using static JollyKnot.Server.Words.Sentences;

namespace JollyKnot.Server.Words;

/// <summary>What goes under, on and over a bread.</summary>
internal static class FinishingWords
{
    public static Dictionary<string, Func<Said, Phrase>> Steps { get; } = new() { ["ready-pan"] = ReadyPan, ["top-#"] = PutOn };

    private static Phrase ReadyPan(Said s)
    {
        var what = s.About.With is { } with ? $"{Under(s)} the {s.Pans} with {with}." : $"Grease the {s.Pans}.";
        return new(s.Marked($"Get the {s.PanNoun} ready"), what, "", "Ready");
    }

    private static string Under(Said s)
    {
        var rows = s.Spec.Dough.Parts.Where(p => p.Kind == PartKind.Surface).SelectMany(p => p.Rows);
        return rows.All(r => r.Ingredient.Role == Role.Fat) ? "Grease" : "Dust";
    }

    private static Phrase PutOn(Said s)
    {
        var part = s.Spec.Dough.Parts[s.Step.Id.Number - 1];
        var (doing, over) = part.Method switch
        {
            PartMethod.Sprinkled => ("Sprinkle", $" over {s.The()}"),
            PartMethod.Brushed => ("Brush", $" on {s.The()}"),
            _ => ("Spread", $" on {s.The()}"),
        };
        return new(
            s.Marked($"{doing} {s.Thing}"),
            $"{doing} the {s.Thing}{over}.",
            Join(When(s, part), Shared(s, part)),
            "It is on",
            s.Spec.NoScale ? null : s.MassFigure
        );
    }

    private static string When(Said s, Part part) =>
        part.Moment switch
        {
            PartMoment.PartWay => "Quickly, the oven loses its heat.",
            PartMoment.Hot => "While hot.",
            PartMoment.Cold => "Only when it is cold.",
            PartMoment.BeforeOven when part.Method == PartMethod.Sprinkled && IsWet(s) => "At once, while it is wet.",
            _ => "",
        };

    private static bool IsWet(Said s) => s.Family.Bathed || s.Spec.BrushedLast(s.Bread);

    private static string Shared(Said s, Part part)
    {
        if (s.About.Mass is not { } mass || s.Amount(part.Rows, mass) is not { Length: > 0 } amount)
            return "";
        if (s.Count == 1)
            return $"{amount}.";
        var each = mass / s.Count;
        return Core.Finishing.Finish.IsPinch(each) ? $"{amount}, a pinch each." : $"{amount}, {s.Amount(part.Rows, each)} each.";
    }
}
