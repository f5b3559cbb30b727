using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Bakes;

/// <summary>The dough check so far.</summary>
/// <param name="Added">In words.</param>
/// <param name="Hydration">True hydration now.</param>
/// <param name="Dough">Everything in the pan now.</param>
/// <param name="Stop">No more doses.</param>
/// <param name="Slips">What likely went wrong, in words.</param>
/// <param name="Wait">Between a dose and the next look.</param>
/// <param name="LastLook">After this no dose helps.</param>
/// <param name="Before">What was added and felt before, in words.</param>
public sealed record CheckView(
    string Added,
    Share Hydration,
    Mass Dough,
    bool Stop,
    ImmutableArray<string> Slips,
    TimeSpan Wait,
    DateTimeOffset? LastLook,
    ImmutableArray<string> Before
)
{
    internal static CheckView Of(BakeState state, Voice words, DoseMemory? memory)
    {
        var spec = state.Plan.Spec;
        var now = DoughCheck.After(spec.Dough, state.SoFar.Added);
        return new(
            now.Added == Dose.None ? "" : words.Of(now.Added),
            now.Hydration,
            now.Dough,
            now.Stop,
            [.. now.Slips.Select(Voice.Of)],
            DoughCheck.WaitFor(spec.Dough),
            state.SoFar.When(Milestone.Started) + spec.Machine.KneadStart + DoughCheck.Last,
            memory is null ? [] : words.Of(memory, spec.Formula.Flour)
        );
    }
}
