// How good a day is: a figure for each aim, the most important first.
using System.Collections.Immutable;

namespace JollyKnot.Core.Days;

/// <summary>How good a day is: what matters most comes first. Whole minutes over all bakes.</summary>
public sealed class DayAims : IComparable<DayAims>, IEquatable<DayAims>
{
    private DayAims(ImmutableArray<int> figures) => Figures = figures;

    /// <summary>A figure for each aim, in the order of <see cref="DayAim.All"/>.</summary>
    public ImmutableArray<int> Figures { get; }

    /// <summary>What the baker pinned is so far from its pin.</summary>
    public int Off => Of<AtPins>();

    /// <summary>After the time wanted.</summary>
    public int Late => Of<NotLate>();

    /// <summary>Dough past its window.</summary>
    public int Over => Of<NotOver>();

    /// <summary>Dough short of its best.</summary>
    public int Under => Of<NotUnder>();

    /// <summary>Bread cool for longer than it may be before it is wanted.</summary>
    public int Stale => Of<Fresh>();

    /// <summary>Bread cool before it is wanted; and until bread that is wanted as soon as can be.</summary>
    public int Waits => Of<NoWaiting>();

    /// <summary>How good these starts are.</summary>
    internal static DayAims Of(DayBlocks day, int[] starts)
    {
        var figures = ImmutableArray.CreateBuilder<int>(DayAim.All.Length);
        foreach (var aim in DayAim.All)
            figures.Add(aim.Figure(day, starts));
        return new(figures.MoveToImmutable());
    }

    private int Of<T>()
        where T : DayAim => Figures[DayAim.Place<T>.Is];

    /// <inheritdoc/>
    public int CompareTo(DayAims? other)
    {
        if (other is null)
            return 1;
        for (var i = 0; i < Figures.Length; i++)
            if (Figures[i] != other.Figures[i])
                return Figures[i].CompareTo(other.Figures[i]);
        return 0;
    }

    /// <inheritdoc/>
    public bool Equals(DayAims? other) => CompareTo(other) == 0;

    /// <inheritdoc/>
    public override bool Equals(object? obj) => Equals(obj as DayAims);

    /// <inheritdoc/>
    public override int GetHashCode() => Figures.Aggregate(0, HashCode.Combine);

    /// <inheritdoc/>
    public override string ToString() => string.Join(" ", DayAim.All.Zip(Figures, (a, f) => $"{a.GetType().Name} {f}"));

    /// <summary>As good.</summary>
    public static bool operator ==(DayAims? a, DayAims? b) => a is null ? b is null : a.Equals(b);

    /// <summary>Better or worse.</summary>
    public static bool operator !=(DayAims? a, DayAims? b) => !(a == b);

    /// <summary>Worse than.</summary>
    public static bool operator >(DayAims a, DayAims b) => a.CompareTo(b) > 0;

    /// <summary>Better than.</summary>
    public static bool operator <(DayAims a, DayAims b) => a.CompareTo(b) < 0;

    /// <summary>Not better than.</summary>
    public static bool operator >=(DayAims a, DayAims b) => a.CompareTo(b) >= 0;

    /// <summary>Not worse than.</summary>
    public static bool operator <=(DayAims a, DayAims b) => a.CompareTo(b) <= 0;
}
