// The seasons, by which a kitchen is warm and a flour is remembered.
namespace JollyKnot.Core.Measures;

/// <summary>Seasons of the northern half of the world.</summary>
public enum Season
{
    /// <summary>December to February.</summary>
    Winter,

    /// <summary>March to May.</summary>
    Spring,

    /// <summary>June to August.</summary>
    Summer,

    /// <summary>September to November.</summary>
    Autumn,
}

/// <summary>Seasons of dates.</summary>
public static class Seasons
{
    /// <summary>The season of a time.</summary>
    public static Season Of(DateTimeOffset at) =>
        at.Month switch
        {
            12 or 1 or 2 => Season.Winter,
            <= 5 => Season.Spring,
            <= 8 => Season.Summer,
            _ => Season.Autumn,
        };
}
