// What was added at the check and how the dough felt, kept with the dough, its flour and the season.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;

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

    // So many checks of the same dough have to say the same. Ours.
    private const int Steady = 3;

    /// <summary>A mean under this, as a share of flour, is noise. Ours.</summary>
    public static Share Noise { get; } = Share.FromPercent(.5);

    /// <summary>Its last checks all wanted more, or all less: it can be written into the recipe.</summary>
    public bool IsSteady
    {
        get
        {
            var same = Past.Where(p => p.SameDough).Take(Steady).Select(p => Math.Sign(p.OfFlour.Fraction)).ToList();
            return same.Count == Steady && same.All(s => s == same[0]) && Math.Abs(Lately.Fraction) >= Noise.Fraction;
        }
    }

    /// <summary>The dough with what it wanted in its recipe: so much more, or less, of its main liquid.</summary>
    /// <param name="dough">The dough.</param>
    /// <returns>Null where nothing is steady, or nothing is poured.</returns>
    public Dough? WrittenInto(Dough dough)
    {
        ArgumentNullException.ThrowIfNull(dough);
        if (!IsSteady || dough.Liquid is not { } liquid)
            return null;
        var more = Formula.Of(dough).Flour * (Lately.Fraction / liquid.Ingredient.Water);
        var poured = Mass.FromGrams((liquid.Mass + more).WholeGrams);
        return poured < Dough.LightestRow ? null : dough.WithRows(dough.Rows.Replace(liquid, liquid with { Mass = poured }));
    }

    /// <summary>Looks through past bakes.</summary>
    /// <param name="dough">The dough of the bake to come.</param>
    /// <param name="id">Which it is in the book; null when it is in none.</param>
    /// <param name="now">The bake's time, which sets the season.</param>
    /// <param name="past">What past bakes say.</param>
    public static DoseMemory For(Dough dough, Guid? id, DateTimeOffset now, IEnumerable<Lessons> past)
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(past);
        var flour = DoseLesson.MainFlour(dough);
        var doses = past.Select(l => l.Dose)
            .OfType<DoseLesson>()
            .Where(d => d.Flour == flour)
            .Select(d => new PastDose(d.At, Seasons.Of(d.At), IsSame(dough, id, d), d.Added, d.Feel, OfFlour(dough, id, d)))
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
    private static Share OfFlour(Dough dough, Guid? id, DoseLesson past)
    {
        var hydration = Formula.Of(dough).Hydration.Fraction;
        var putRight = IsSame(dough, id, past) && past.Hydration is { } was ? hydration - was.Fraction : 0;
        return Share.FromFraction(past.OfFlour.Fraction - putRight);
    }

    private static bool IsSame(Dough dough, Guid? id, DoseLesson past) =>
        id is { } known ? known == past.Dough : dough.Name == past.Name;
}
