using JollyKnot.Core.Doughs;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Doughs;

/// <summary>A base dough to begin with.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Look">How it is drawn.</param>
/// <param name="Becomes">What a bake of it makes; empty where this kitchen has nothing to bake it with.</param>
/// <param name="Ready">When that would be ready; null where it cannot be baked here.</param>
public sealed record StarterView(string Name, BreadLook Look, string Becomes, DateTimeOffset? Ready)
{
    internal static StarterView Of(DoughDraft draft, Kitchen kitchen, DateTimeOffset now)
    {
        var dough = Dough.Create(draft).Value;
        var family = Families.All.First(f => f.Id == draft.Plan!.FamilyId);
        var cannot = new StarterView(draft.Name, BreadLook.Of(family), "", null);
        if (kitchen.Dials.IsEmpty)
            return cannot;
        var spec = BakeDecision.Of(dough, FirstChoice.Of(dough, kitchen), kitchen, now);
        return spec.Has(out var made)
            ? cannot with
            {
                Becomes = Voice.Bread(made),
                Ready = Layout.Of(made, now).Timetable.Ready,
            }
            : cannot;
    }
}

/// <summary>A base dough taken into the book.</summary>
/// <param name="Id">Made by the screen; a repeat changes nothing.</param>
/// <param name="Name">Which.</param>
public sealed record TakeStarter(Guid Id, string Name);
