// Which rules a bake is reckoned by. A bake keeps the steps of the rules it was laid out by.
namespace JollyKnot.Core.Scheduling;

/// <summary>The version of the rules.</summary>
public static class RuleBook
{
    /// <summary>Raised when a bake's figures, steps or cautions come out otherwise than before: closed bakes say by which they were reckoned.</summary>
    public const int Version = 1;

    /// <summary>Since which version there is such a step; bakes laid out before have it only once their baker agrees.</summary>
    public static int Since(StepKind kind) => kind switch
    {
        _ => 1,
    };
}
