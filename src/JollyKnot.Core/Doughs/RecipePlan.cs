// What a recipe itself says of pieces, heat and minutes: proposals that stand beside what is reckoned.
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Doughs;

/// <summary>A time told as a range, or as one figure twice.</summary>
/// <param name="From">The shortest; over 0.</param>
/// <param name="To">The longest.</param>
public sealed record Lasts(TimeSpan From, TimeSpan To)
{
    /// <summary>The middle of it.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public TimeSpan Middle => (From + To) / 2;
}

/// <summary>Steam as a recipe tells it.</summary>
public enum ToldSteam
{
    /// <summary>None, said so.</summary>
    None,

    /// <summary>Water on a hot tray.</summary>
    Tray,

    /// <summary>Water on hot stones.</summary>
    Stones,

    /// <summary>Sprayed.</summary>
    Spray,
}

/// <summary>How it cools, as a recipe tells it.</summary>
public enum ToldCooling
{
    /// <summary>On a rack.</summary>
    Rack,

    /// <summary>In or under a cloth.</summary>
    Cloth,

    /// <summary>In the oven, switched off.</summary>
    Oven,
}

/// <summary>A kind of tin or tray.</summary>
public enum PanKind
{
    /// <summary>A loaf tin.</summary>
    Loaf,

    /// <summary>A round tin.</summary>
    Round,

    /// <summary>A square or rectangular tin.</summary>
    Rectangle,

    /// <summary>A tin with hollows.</summary>
    Hollows,

    /// <summary>A flat tray.</summary>
    Tray,
}

/// <summary>A tin or tray as a recipe tells it.</summary>
/// <param name="Kind">What kind.</param>
/// <param name="Long">Its length or diameter; null when not told.</param>
/// <param name="Wide">Its width; null when not told.</param>
public sealed record ToldPan(PanKind Kind, Length? Long, Length? Wide);

/// <summary>A recipe's own plan. Null where it says nothing.</summary>
/// <param name="Pieces">How many it makes.</param>
/// <param name="FamilyId">What shape its words say.</param>
/// <param name="Heat">The oven's.</param>
/// <param name="WithFan">The heat is told for a fan.</param>
/// <param name="Bake">In the oven.</param>
/// <param name="Proof">The last rise before the oven.</param>
/// <param name="Rest">After kneading, before dividing.</param>
/// <param name="Boil">In the bath, each side.</param>
/// <param name="Rise">The first rise, where a second is told of.</param>
/// <param name="Program">The machine's dough program.</param>
/// <param name="Pan">What it is baked in.</param>
/// <param name="PlaceId">Where the second proof stands.</param>
/// <param name="WashId">What it is brushed with before the oven.</param>
/// <param name="Steam">Steam.</param>
/// <param name="Cooling">How it cools.</param>
public sealed record RecipePlan(
    int? Pieces = null,
    string? FamilyId = null,
    Temperature? Heat = null,
    bool WithFan = false,
    Lasts? Bake = null,
    Lasts? Proof = null,
    Lasts? Rest = null,
    Lasts? Boil = null,
    Lasts? Rise = null,
    Lasts? Program = null,
    ToldPan? Pan = null,
    string? PlaceId = null,
    string? WashId = null,
    ToldSteam? Steam = null,
    ToldCooling? Cooling = null
)
{
    /// <summary>Kneaded by hand.</summary>
    public Lasts? Knead { get; init; }

    // More is no home baker's, hotter no home oven's. Ours.
    private const int MostPieces = 500;
    private static readonly TimeSpan Longest = TimeSpan.FromDays(2);
    private static readonly Band<Temperature> Heats = new(Temperature.FromCelsius(50), Temperature.FromCelsius(400));

    /// <summary>What cannot be in a plan that was sent; the field at fault within it.</summary>
    /// <param name="field">Where it stands.</param>
    internal IEnumerable<Problem> Problems(string field)
    {
        if (Pieces is < 1 or > MostPieces)
            yield return new("out-of-range:between", $"{field}.pieces", 1, MostPieces);
        foreach (var (name, id) in new[] { ("familyId", FamilyId), ("placeId", PlaceId), ("washId", WashId) })
            if (id is { Length: > PlainText.LongestName })
                yield return new("unknown:answer", $"{field}.{name}");
        if (Steam is { } steam && !Enum.IsDefined(steam))
            yield return new("unknown:answer", $"{field}.steam");
        if (Cooling is { } cooling && !Enum.IsDefined(cooling))
            yield return new("unknown:answer", $"{field}.cooling");
        if (Pan is { } pan && !Enum.IsDefined(pan.Kind))
            yield return new("unknown:answer", $"{field}.pan");
        if (Heat is { } heat && !Heats.Holds(heat))
            yield return new("out-of-range:between", $"{field}.heat", Heats.From, Heats.To);
        var times = new[]
        {
            ("bake", Bake),
            ("proof", Proof),
            ("rest", Rest),
            ("boil", Boil),
            ("rise", Rise),
            ("program", Program),
            ("knead", Knead),
        };
        foreach (var (name, lasts) in times)
            if (lasts is { } told && !(told.From > TimeSpan.Zero && told.From <= told.To && told.To <= Longest))
                yield return new("out-of-range:between", $"{field}.{name}", TimeSpan.Zero, Longest);
    }

    /// <summary>It says nothing.</summary>
    public static RecipePlan Nothing { get; } = new();

    /// <summary>Whether it says nothing.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsNothing => this == Nothing;
}
