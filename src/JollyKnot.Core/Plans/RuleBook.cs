// Which rules a bake is reckoned by. A bake keeps the steps of the rules it was laid out by.
namespace JollyKnot.Core.Plans;

/// <summary>The version of the rules.</summary>
public static class RuleBook
{
    /// <summary>Raised when a bake's figures, steps or cautions come out otherwise than before: closed bakes say by which they
    /// were reckoned. 2: proofs by what is seen of their size, recipes' own minutes, bakes a little shorter; each side on a
    /// griddle. 3: warm places are made, dough in its bowl is looked at, what makes steam takes a rack. 4: what goes on a bread
    /// has a beat at its moment; one piece is not divided; without a scale nothing is weighed.</summary>
    public const int Version = 4;

    /// <summary>From these rules on a bread is finished step by step, and one piece is not divided.</summary>
    internal const int Finishing = 4;
}
