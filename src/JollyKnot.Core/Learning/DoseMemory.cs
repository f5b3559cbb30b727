// What was added at the check and how the dough felt, kept with the dough, its flour and the season.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;

namespace JollyKnot.Core.Learning;

/// <summary>One past check.</summary>
/// <param name="At">When the dough came out.</param>
/// <param name="Season">In which season.</param>
/// <param name="SameDough">It was this dough; else one of the same flour.</param>
/// <param name="Added">What was added.</param>
/// <param name="Feel">How it felt at take-out; null when nobody said.</param>
/// <param name="OfFlour">Water over flour that went in over the recipe as it is now, as a share of the flour: over 0 where the
/// flour wanted more water.</param>
public sealed record PastDose(DateTimeOffset At, Season Season, bool SameDough, Dose Added, DoughFeel? Feel, Share OfFlour);

/// <summary>What past checks say of the next one.</summary>
/// <param name="Past">The latest first: this dough's, then others of its flour.</param>
/// <param name="Lately">Mean of the wanted water over the same dough's checks of this season, or of all its checks, or of its
/// flour's.</param>
public sealed record DoseMemory(ImmutableArray<PastDose> Past, Share Lately)
{
    // So many are remembered.
    private const int Most = 5;

    /// <summary>A mean under this, as a share of flour, is noise. Ours.</summary>
    public static Share Noise { get; } = Share.FromPercent(.5);

    /// <summary>Looks through past bakes.</summary>
    /// <param name="spec">The bake to come.</param>
    /// <param name="now">Its time, which sets the season.</param>
    /// <param name="past">What past bakes say.</param>
    public static DoseMemory For(BakeSpec spec, DateTimeOffset now, IEnumerable<Lessons> past)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(past);
        var flour = DoseLesson.MainFlour(spec.Dough);
        var doses = past.Select(l => l.Dose)
            .OfType<DoseLesson>()
            .Where(d => d.Flour == flour)
            .Select(d => new PastDose(d.At, Seasons.Of(d.At), IsSame(spec, d), d.Added, d.Feel, OfFlour(spec, d)))
            .OrderByDescending(p => p.SameDough)
            .ThenByDescending(p => p.At)
            .ToImmutableArray();
        var groups = new[] { doses.Where(p => p.SameDough && p.Season == Seasons.Of(now)), doses.Where(p => p.SameDough), doses };
        var used = groups.Select(g => g.Take(Most).ToList()).FirstOrDefault(g => g.Count > 0);
        return new([.. doses.Take(Most)], Share.FromFraction(used is null ? 0 : Mean(used)));
    }

    private static double Mean(List<PastDose> latestFirst)
    {
        var fading = latestFirst.Fading().ToList();
        return fading.Sum(d => d.Weight * d.Lesson.OfFlour.Fraction) / fading.Sum(d => d.Weight);
    }

    // A recipe that was put right since asks for so much less.
    private static Share OfFlour(BakeSpec spec, DoseLesson past)
    {
        var putRight = IsSame(spec, past) && past.Hydration is { } was ? spec.Formula.Hydration.Fraction - was.Fraction : 0;
        return Share.FromFraction(past.OfFlour.Fraction - putRight);
    }

    private static bool IsSame(BakeSpec spec, DoseLesson past) =>
        spec.Made.Source is { } source ? source.Id == past.Dough : spec.Dough.Name == past.Name;
}
