using System.Collections.Immutable;
using JollyKnot.Core.Learning;
using JollyKnot.Server.Layouts;
using JollyKnot.Store;

namespace JollyKnot.Server.Kitchens;

/// <summary>What past bakes say of a thing of the kitchen.</summary>
/// <param name="Id">The oven, or the place.</param>
/// <param name="Times">So many times as long in the oven, or as fast in the place, as is usual.</param>
/// <param name="Bakes">Of so many bakes.</param>
/// <param name="Last">The last of them.</param>
public sealed record LearnedThing(string Id, double Times, int Bakes, DateTimeOffset? Last);

/// <summary>What past bakes say of this kitchen.</summary>
/// <param name="Ovens">Ovens that something is known of.</param>
/// <param name="Places">Places that something is known of.</param>
public sealed record LearnedHere(ImmutableArray<LearnedThing> Ovens, ImmutableArray<LearnedThing> Places)
{
    internal static async Task<LearnedHere> Of(BakeBook book, KitchenKeeper kitchens)
    {
        var forgotten = (await kitchens.Get()).Forgotten;
        var past = (await book.Closed(Planner.Remembered)).Select(b => b.Bake).ToList();
        var lessons = past.Select(b => StillSaid.By(b, forgotten)).ToList();
        LearnedThing Thing(string id, double times, Func<Lessons, bool> tells) =>
            new(id, times, lessons.Count(tells), past[lessons.FindIndex(l => tells(l))].End.At);
        return new(
            [
                .. OvenMemory
                    .Of(lessons)
                    .Select(o => Thing(o.Key, o.Value, l => l.Ovens.Any(x => x.Oven == o.Key)))
                    .OrderBy(t => t.Id, StringComparer.Ordinal),
            ],
            [
                .. lessons
                    .SelectMany(l => l.Paces.Select(p => p.Place))
                    .Distinct()
                    .Order(StringComparer.Ordinal)
                    .Select(id => Thing(id, PaceMemory.For(id, lessons).Pace, l => l.Paces.Any(x => x.Place == id))),
            ]
        );
    }
}
