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
/// <param name="Wait">Between a dose and the next look; null when there is none, because it no longer kneads then.</param>
/// <param name="LastLook">After this no dose helps.</param>
/// <param name="Held">Liquid held back that was not poured in yet; null when none is.</param>
/// <param name="Liquid">What that liquid is.</param>
/// <param name="BetweenSpoons">From one spoon to the next: it has to be kneaded in.</param>
/// <param name="WaterSpoon">A tablespoon of water.</param>
/// <param name="FlourSpoon">A level tablespoon of flour.</param>
/// <param name="Before">What was added and felt before, in words.</param>
public sealed record CheckView(
    string Added,
    Share Hydration,
    Mass Dough,
    bool Stop,
    ImmutableArray<string> Slips,
    TimeSpan? Wait,
    DateTimeOffset? LastLook,
    Mass? Held,
    string? Liquid,
    TimeSpan BetweenSpoons,
    Mass WaterSpoon,
    Mass FlourSpoon,
    ImmutableArray<string> Before
)
{
    internal static CheckView Of(BakeState state, Voice words, DoseMemory? memory)
    {
        var spec = state.Plan.Spec;
        var (soFar, held) = (state.SoFar, state.SoFar.HeldLeft(spec));
        var now = DoughCheck.After(
            spec.Dough,
            soFar.AddedOver(spec),
            held,
            Share.FromFraction(spec.Liquid?.Ingredient.Water ?? 1)
        );
        var wait = DoughCheck.WaitFor(spec.Dough);
        return new(
            Added: now.Added == Dose.None ? "" : words.Of(now.Added),
            Hydration: now.Hydration,
            Dough: now.Dough,
            Stop: now.Stop,
            Slips: [.. now.Slips.Select(Voice.Of)],
            Wait: soFar.When(Milestone.Started) + spec.Machine.KneadEnd > soFar.Now + wait ? wait : null,
            LastLook: soFar.When(Milestone.Started) + spec.Machine.KneadStart + DoughCheck.Last,
            Held: held > Mass.Zero ? held : null,
            Liquid: spec.Liquid?.Ingredient.Name,
            BetweenSpoons: DoughCheck.BetweenSpoons,
            WaterSpoon: DoughCheck.WaterSpoon,
            FlourSpoon: DoughCheck.FlourSpoon,
            Before: memory is null ? [] : words.Of(memory, spec.Formula.Flour)
        );
    }
}
