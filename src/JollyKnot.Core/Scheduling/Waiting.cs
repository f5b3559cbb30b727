// What waits for the oven, and whether it stands that wait.
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Scheduling;

/// <summary>How a cut waits for the oven.</summary>
/// <param name="Longer">How much longer than at its best it stands; zero when that is not worth a word.</param>
/// <param name="OverProofed">Past its window by then.</param>
public sealed record Waiting(TimeSpan Longer, bool OverProofed)
{
    // Less than this nobody notices, on the counter or past the window. Ours.
    private static readonly TimeSpan Unnoticed = TimeSpan.FromMinutes(2),
        PastWindow = TimeSpan.FromMinutes(1);

    /// <summary>The longest wait of a cut's batches in a layout.</summary>
    /// <param name="layout">The layout.</param>
    /// <param name="cut">Which cut; 0 for the first.</param>
    public static Waiting Of(Layout layout, int cut)
    {
        ArgumentNullException.ThrowIfNull(layout);
        var (longest, over) = (TimeSpan.Zero, false);
        foreach (var forecast in layout.Steps.Batches.Where(b => b.Batch.Cut == cut))
        {
            var batch = forecast.Batch.Index;
            if (forecast.Proof.Window is not { } window)
                continue;
            if (
                layout.Timetable.At(Milestone.In, batch) is not { } load
                || layout.Timetable.At(Milestone.SetToProof, batch) is not { } proof
            )
                continue;
            var stands = load.Start - proof.End;
            if (stands - window.Best > longest)
                longest = stands - window.Best;
            over |= stands > window.Late + PastWindow;
        }
        return new(longest < Unnoticed ? TimeSpan.Zero : longest, over);
    }
}
