// Ids of the steps of one batch.
using JollyKnot.Core.Plans;

namespace JollyKnot.Core.Steps;

/// <summary>Names the steps of a batch.</summary>
public static class BatchSteps
{
    /// <summary>The id of a step of this batch: the first batch's has no mark.</summary>
    /// <param name="batch">The batch.</param>
    /// <param name="id">The id without its batch.</param>
    public static string Step(this Batch batch, string id)
    {
        ArgumentNullException.ThrowIfNull(batch);
        return batch.Index == 0 ? id : $"{id}@{batch.Index + 1}";
    }
}
