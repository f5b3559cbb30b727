// What a baker chooses for one bake, as typed.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>What a baker chooses, as typed. Null where the usual is meant.</summary>
/// <param name="MachineId">A machine of the kitchen.</param>
/// <param name="OvenId">An oven of the kitchen.</param>
/// <param name="PlaceId">Where the second proof stands.</param>
/// <param name="Room">Kitchen temperature; the kitchen's own when null.</param>
/// <param name="ReadyBy">When bread is wanted; null starts now.</param>
/// <param name="Program">Which of the machine's programs; its usual one when null.</param>
/// <param name="School">How the pan is loaded; straight in when null.</param>
public sealed record BakeChoice(
    string MachineId,
    string OvenId,
    string PlaceId,
    Temperature? Room = null,
    DateTimeOffset? ReadyBy = null,
    string? Program = null,
    LoadSchool? School = null
)
{
    /// <summary>What the dough is cut into; at least one line of bread.</summary>
    public ImmutableArray<CutChoice> Cuts { get; init; } = [];

    /// <summary>First so long in the fridge, before the proofing place.</summary>
    public TimeSpan? Cold { get; init; }

    /// <summary>Bread is to be cool no longer than this before it is wanted; null when it does not matter.</summary>
    public TimeSpan? Fresh { get; init; }

    /// <summary>How pretzels are boiled; soda in the pot when null.</summary>
    public PotSchool? Bath { get; init; }

    /// <summary>From the machine's beep to the divide: nothing, a short rest, or a rise in a bowl.</summary>
    public AfterCycle? After { get; init; }

    /// <summary>Where it rises in the bowl; on the counter when null.</summary>
    public string? BowlPlaceId { get; init; }

    /// <summary>Folds in the bowl; none when null.</summary>
    public Folds? Folds { get; init; }

    /// <summary>By how much it is to grow in its bowl; doubled when null.</summary>
    public double? Grown { get; init; }

    /// <summary>Kneaded so long by hand; as usual when null.</summary>
    public TimeSpan? Knead { get; init; }

    /// <summary>How this baker does it; as most do when null.</summary>
    public Ways? Ways { get; init; }

    /// <summary>Times taken over those planned; null for none.</summary>
    public Times? Times { get; init; }

    /// <summary>That the dough lacks liquid or leaven is meant so.</summary>
    public bool Meant { get; init; }

    /// <summary>Made of dough in the cold; made anew when null.</summary>
    public KeptDough? From { get; init; }

    /// <summary>The scale stays in its drawer; as the kitchen has it when null.</summary>
    public bool? NoScale { get; init; }

    /// <summary>The machine waits so long before it begins; it begins at once when null.</summary>
    public TimeSpan? Timer { get; init; }
}

/// <summary>Dough in the cold, by the bake that kept it.</summary>
/// <param name="Bake">That bake.</param>
/// <param name="Cut">Which of its cuts; 0 for the first.</param>
public sealed record KeptDough(Guid Bake, int Cut);

/// <summary>One line of a cut list, as typed. Null where the usual is meant.</summary>
/// <param name="FamilyId">What it becomes; null keeps it in the fridge.</param>
/// <param name="Pieces">How many.</param>
/// <param name="Each">How heavy each. With <paramref name="Pieces"/> both are pinned; alone, the number follows.</param>
/// <param name="Share">This part of the dough, instead of a weight.</param>
/// <param name="Heat">Oven temperature; the family's own when null.</param>
/// <param name="WashId">The wash; the family's usual when null.</param>
/// <param name="PanId">The pan or tray; the kitchen's best when null.</param>
/// <param name="Touching">Set touching or apart; as the family likes it when null.</param>
/// <param name="OvenId">Another oven than the bake's.</param>
/// <param name="Cold">First so long in the fridge; as the whole bake when null.</param>
public sealed record CutChoice(
    string? FamilyId = null,
    int? Pieces = null,
    Mass? Each = null,
    Share? Share = null,
    Temperature? Heat = null,
    string? WashId = null,
    string? PanId = null,
    bool? Touching = null,
    string? OvenId = null,
    TimeSpan? Cold = null
)
{
    /// <summary>The parts of the dough that it gets, by number from 1; all of them when null.</summary>
    public ImmutableArray<int>? Gets { get; init; }

    /// <summary>Shaped, and kept there for another day; baked with the rest when null.</summary>
    public ShapedIn? Keep { get; init; }

    /// <summary>How long one is made, of what is rolled long.</summary>
    public Length? Long { get; init; }

    /// <summary>How thick it is rolled, of what is rolled out.</summary>
    public Length? Thick { get; init; }

    /// <summary>The ring it is cut with; the kitchen's own when null.</summary>
    public Length? Ring { get; init; }

    /// <summary>How it is slashed; as its family is when null.</summary>
    public Slashes? Slashes { get; init; }

    /// <summary>Balls rest so long before they are shaped; as the family wants when null.</summary>
    public TimeSpan? Rest { get; init; }
}
