// What was added at the check and how the dough felt, kept with the dough, its flour and the season.
using System.Collections.Immutable;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Scheduling;

namespace JollyKnot.Core.Learning;

/// <summary>One past check.</summary>
/// <param name="At">When the dough came out.</param>
/// <param name="Season">In which season.</param>
/// <param name="SameDough">It was this dough; else one of the same flour.</param>
/// <param name="Added">What was added.</param>
/// <param name="Feel">How it felt at take-out; null when nobody said.</param>
/// <param name="OfFlour">Water over flour added, as a share of the flour: over 0 where the flour wanted more water.</param>
public sealed record PastDose(DateTimeOffset At, Season Season, bool SameDough, Dose Added, DoughFeel? Feel, Share OfFlour);

/// <summary>What past checks say of the next one.</summary>
/// <param name="Past">The latest first: this dough's, then others of its flour.</param>
/// <param name="Lately">Mean of the wanted water over the same dough's checks of this season, or of all its checks, or of its flour's.</param>
public sealed record DoseMemory(ImmutableArray<PastDose> Past, Share Lately)
{
    // So many are remembered.
    private const int Most = 5;

    /// <summary>A mean under this, as a share of flour, is noise. Ours.</summary>
    public static Share Noise { get; } = Share.FromPercent(.5);

    /// <summary>Looks through past bakes.</summary>
    /// <param name="spec">The bake to come.</param>
    /// <param name="now">Its time, which sets the season.</param>
    /// <param name="bakes">Past bakes with their logs.</param>
    public static DoseMemory For(BakeSpec spec, DateTimeOffset now, IEnumerable<(BakeSpec Spec, BakeLog Log)> bakes)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(bakes);
        var flour = MainFlour(spec.Dough);
        var past = bakes.Where(b => MainFlour(b.Spec.Dough) == flour).Select(b => Remembered(b.Spec, b.Log, SameDough(spec, b.Spec))).OfType<PastDose>()
            .OrderByDescending(p => p.SameDough).ThenByDescending(p => p.At).ToImmutableArray();
        var groups = new[] { past.Where(p => p.SameDough && p.Season == Seasons.Of(now)), past.Where(p => p.SameDough), past };
        var used = groups.Select(g => g.Take(Most).ToList()).FirstOrDefault(g => g.Count > 0);
        return new([.. past.Take(Most)], Share.FromFraction(used?.Average(p => p.OfFlour.Fraction) ?? 0));
    }

    private static PastDose? Remembered(BakeSpec spec, BakeLog log, bool same)
    {
        var standing = log.Standing();
        var checks = standing.Select(e => e.Event).OfType<DoughChecked>().ToList();
        if (checks.Count == 0) return null;
        var added = checks.Aggregate(Dose.None, (sum, c) => new(sum.Water + c.Water, sum.Flour + c.Flour));
        var out_ = standing.LastOrDefault(e => e.Event is DoughTakenOut);
        return new(out_?.At ?? standing[^1].At, Seasons.Of(out_?.At ?? standing[^1].At), same, added, (out_?.Event as DoughTakenOut)?.Feel,
            Share.FromFraction((added.Water - added.Flour) / spec.Formula.Flour));
    }

    private static bool SameDough(BakeSpec a, BakeSpec b) => a.Source is { } source ? source.Id == b.Source?.Id : a.Dough.Name == b.Dough.Name;

    private static string? MainFlour(Dough dough) => dough.Rows.Where(r => r.Ingredient.Role == Role.Flour).MaxBy(r => r.Mass)?.Ingredient.Name;
}
