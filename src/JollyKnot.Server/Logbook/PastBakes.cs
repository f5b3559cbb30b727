using JollyKnot.Core.Bakes;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Strands;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Words;
using JollyKnot.Store;

namespace JollyKnot.Server.Logbook;

/// <summary>Bakes as they were.</summary>
internal static class PastBakes
{
    /// <summary>A bake that is over, with the words shown now.</summary>
    public static ClosedBake Close(BakeState over, Voice words) =>
        ClosedBake.Of(over, Voice.Bread(over.Plan.Spec), step => words.Of(step, over.Plan.Spec).Short);

    /// <summary>A bake as it was when it closed; one that is open, as it stands.</summary>
    public static ClosedBake Of(StoredBake bake, HouseClock clock, Voice words) =>
        bake.Closed ?? Close(BakeEndpoints.State(bake, clock), words);

    /// <summary>Its strand as it was.</summary>
    public static Drawn Draw(StoredBake bake, ClosedBake closed)
    {
        var dough = closed.Weights.Dough ?? closed.Weights.Expected;
        return new(bake.Plan.Spec, [], closed.Timetable, dough);
    }
}
