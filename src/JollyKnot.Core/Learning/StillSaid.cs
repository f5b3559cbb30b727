// What past bakes still say, where a household wants something forgotten.
using JollyKnot.Core.Plans;

namespace JollyKnot.Core.Learning;

/// <summary>What a bake still says.</summary>
public static class StillSaid
{
    /// <summary>A bake's lessons without what is forgotten.</summary>
    /// <param name="bake">A bake that is over.</param>
    /// <param name="forgotten">What is forgotten.</param>
    public static Lessons By(ClosedBake bake, IReadOnlyCollection<Forgotten> forgotten)
    {
        ArgumentNullException.ThrowIfNull(bake);
        ArgumentNullException.ThrowIfNull(forgotten);
        if (forgotten.Count == 0)
            return bake.Lessons;
        bool Is(string thing) => forgotten.Any(f => f.Thing == thing && (bake.End.At ?? bake.End.Ready) <= f.Until);
        var said = bake.Lessons;
        return said with { Ovens = [.. said.Ovens.Where(o => !Is(o.Oven))], Paces = [.. said.Paces.Where(p => !Is(p.Place))] };
    }
}
