// What past bakes say of a thing that is not what it was: another oven in its place, a shelf that was moved.
using JollyKnot.Core.Learning;

namespace JollyKnot.Core.Plans;

/// <summary>What was learned of a thing until then is forgotten.</summary>
/// <param name="Thing">The oven's or the place's id.</param>
/// <param name="Until">Bakes that ended by then say nothing of it.</param>
public sealed record Forgotten(string Thing, DateTimeOffset Until)
{
    /// <summary>What a bake still says.</summary>
    /// <param name="bake">A bake that is over.</param>
    /// <param name="forgotten">What is forgotten.</param>
    public static Lessons StillSaid(ClosedBake bake, IReadOnlyCollection<Forgotten> forgotten)
    {
        ArgumentNullException.ThrowIfNull(bake);
        ArgumentNullException.ThrowIfNull(forgotten);
        bool Is(string thing) => forgotten.Any(f => f.Thing == thing && (bake.End.At ?? bake.End.Ready) <= f.Until);
        var said = bake.Lessons;
        return said with { Ovens = [.. said.Ovens.Where(o => !Is(o.Oven))], Paces = [.. said.Paces.Where(p => !Is(p.Place))] };
    }
}
