// Even slices of one loaf: where to cut, and which cut comes first, by halves and thirds.
using System.Collections.Immutable;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Finishing;

/// <summary>One cut along a loaf.</summary>
/// <param name="At">From its end.</param>
/// <param name="Level">1 for the first cuts, 2 for those of the parts they leave, and so on.</param>
public sealed record SliceMark(Length At, int Level);

/// <summary>A loaf in even slices.</summary>
/// <param name="Each">How wide one is.</param>
/// <param name="Mass">What one weighs.</param>
/// <param name="Marks">Every cut, from the end.</param>
public sealed record Slicing(Length Each, Mass Mass, ImmutableArray<SliceMark> Marks)
{
    /// <summary>The most slices of one loaf. Ours.</summary>
    public const int Most = 60;

    /// <summary>So many slices of a loaf.</summary>
    /// <param name="loaf">Its length.</param>
    /// <param name="baked">What it weighs.</param>
    /// <param name="count">1 to <see cref="Most"/>.</param>
    public static Slicing Of(Length loaf, Mass baked, int count)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(count);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(count, Most);
        var marks = new List<SliceMark>();
        AddMarks(EyeCut.Of([new(count, 1, 1, false)]), 0, 1);
        return new(loaf * (1d / count), baked / count, [.. marks.OrderBy(m => m.At.Millimetres)]);

        void AddMarks(EyeCut lump, int before, int level)
        {
            for (var part = 0; part < lump.Parts.Length; part++)
            {
                if (part > 0)
                    marks.Add(new(loaf * ((double)before / count), level));
                AddMarks(lump.Parts[part], before, level + 1);
                before += lump.Parts[part].Pieces;
            }
        }
    }
}
