using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Proofing;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Bakes;

/// <summary>How far the dough is in its machine.</summary>
/// <param name="Reckoned">How far it should be, in words.</param>
/// <param name="ToDoubled">So much longer in a bowl would double it; zero when it has; null when not within the day.</param>
/// <param name="Answers">What may be seen of it instead; empty where nothing lifts it, or it was looked at.</param>
public sealed record FirstRiseView(string Reckoned, TimeSpan? ToDoubled, ImmutableArray<RiseAnswer> Answers)
{
    internal static FirstRiseView Of(DateTimeOffset began, BakeState state)
    {
        var (spec, dough) = (state.Plan.Spec, state.SoFar.DoughOf(state.Plan.Spec));
        var reckoned = FirstRise.Of(spec.Machine, spec.Formula, dough, spec.Room, state.SoFar.Now - began);
        return new(
            Voice.ByNow(reckoned),
            reckoned.ToDoubled,
            RiseConditions.Lifts(spec.Formula.Leaven) && !spec.RisesInBowl
                ? [.. FirstRise.Answers.Select(s => RiseAnswer.Of(s, FirstRise.Of(s, spec.Formula, dough, spec.Room)))]
                : []
        );
    }
}

/// <summary>One answer to how far it has grown.</summary>
/// <param name="Seen">What the event says.</param>
/// <param name="Label">What the button says.</param>
/// <param name="ToDoubled">So much longer in a bowl would double it then; zero when it has.</param>
public sealed record RiseAnswer(Seen Seen, string Label, TimeSpan? ToDoubled)
{
    internal static RiseAnswer Of(Seen seen, FirstRise rise) => new(seen, Voice.InPan(seen), rise.ToDoubled);
}
