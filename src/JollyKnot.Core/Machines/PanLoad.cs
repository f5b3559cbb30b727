// How the pan is loaded: in which order, where in the pan, and whether it may wait for a timer.
using System.Collections.Immutable;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Machines;

/// <summary>Where in the pan an ingredient goes, seen from above.</summary>
public enum Spot
{
    /// <summary>All over.</summary>
    Everywhere,

    /// <summary>Into one corner.</summary>
    FirstCorner,

    /// <summary>Into the corner across.</summary>
    SecondCorner,

    /// <summary>Into a dimple in the flour, kept dry.</summary>
    Dimple,

    /// <summary>On the bottom, kept dry.</summary>
    Bottom,
}

/// <summary>How the baker loads.</summary>
/// <param name="Bloom">The yeast is bloomed first in some warm liquid.</param>
/// <param name="HoldBack">A third of the liquid waits for the dough check.</param>
public sealed record LoadSchool(bool Bloom = false, bool HoldBack = false)
{
    /// <summary>Straight in, all at once.</summary>
    public static LoadSchool Plain { get; } = new();

    /// <summary>The part held back. Bakers' usage.</summary>
    public static Share HeldBack { get; } = Share.FromFraction(1 / 3d);

    /// <summary>How long yeast blooms. Bakers' usage: 5 to 10 min.</summary>
    public static TimeSpan Blooming { get; } = TimeSpan.FromMinutes(8);

    /// <summary>Liquid yeast is bloomed in, as a multiple of the yeast. Bakers' usage.</summary>
    public const double BloomLiquid = 10;
}

/// <summary>One thing to put in the pan.</summary>
/// <param name="Row">The dough's row.</param>
/// <param name="Mass">How much goes in now; less than the row where part is held back or bloomed with the yeast.</param>
/// <param name="Running">What the tared scale shows after it.</param>
/// <param name="Spot">Where it goes.</param>
/// <param name="Number">Which row of the dough it is, 1 for the first: its name, whatever the order.</param>
public sealed record PanStep(DoughRow Row, Mass Mass, Mass Running, Spot Spot, int Number);

/// <summary>A loaded pan.</summary>
/// <param name="Steps">In order; add-ins left out.</param>
/// <param name="HeldBack">Liquid that waits for the check; null when none does.</param>
/// <param name="BloomIn">Liquid the yeast blooms in; null when it goes in dry.</param>
/// <param name="AddIns">What waits for the beep.</param>
public sealed record PanLoad(ImmutableArray<PanStep> Steps, Mass? HeldBack, Mass? BloomIn, ImmutableArray<DoughRow> AddIns)
{
    /// <summary>Perishables may stand in a warm kitchen so long. After food authorities' advice.</summary>
    public static TimeSpan PerishableFor { get; } = TimeSpan.FromHours(2);

    /// <summary>And so long in a hot one.</summary>
    public static TimeSpan PerishableForWhenHot { get; } = TimeSpan.FromHours(1);

    /// <summary>A hot kitchen.</summary>
    public static Temperature Hot { get; } = Temperature.FromCelsius(32);

    /// <summary>Loads a dough into a machine.</summary>
    public static PanLoad Of(Dough dough, Machine machine, LoadSchool? school = null)
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(machine);
        school ??= LoadSchool.Plain;
        var numbered = dough.Rows.Select((row, i) => (Row: row, Number: i + 1)).Where(n => !n.Row.AtBeep);
        var rows = dough.OwnOrder ? numbered.ToList() : [.. numbered.OrderBy(n => machine.PlaceInPan(n.Row.Ingredient.Role))];
        var main = rows.Select(n => n.Row).Where(r => r.Ingredient.Role == Role.Liquid).MaxBy(r => r.Mass);
        var yeast = rows.Select(n => n.Row)
            .Where(r => r.Ingredient.Role == Role.Yeast)
            .Aggregate(Mass.Zero, (sum, r) => sum + r.Mass);
        var held = school.HoldBack && main is not null ? main.Mass * LoadSchool.HeldBack.Fraction : (Mass?)null;
        var bloom =
            school.Bloom && main is not null && yeast > Mass.Zero
                ? Mass.FromGrams(Math.Min(yeast.Grams * LoadSchool.BloomLiquid, (main.Mass - (held ?? Mass.Zero)).Grams))
                : (Mass?)null;

        var (steps, running, corners) = (ImmutableArray.CreateBuilder<PanStep>(), Mass.Zero, 0);
        // Bloomed yeast goes in with its liquid, among the first.
        foreach (
            var (row, number) in bloom is null || dough.OwnOrder
                ? rows
                : [.. rows.OrderBy(n => n.Row.Ingredient.Role == Role.Yeast ? -1 : 0)]
        )
        {
            var mass = row.Mass;
            if (ReferenceEquals(row, main))
                mass -= (held ?? Mass.Zero) + (bloom ?? Mass.Zero);
            if (row.Ingredient.Role == Role.Yeast && bloom is { } b)
                mass += b * (row.Mass / yeast);
            if (mass <= Mass.Zero)
                continue;
            running += mass;
            steps.Add(
                new(
                    row,
                    mass,
                    running,
                    row.Ingredient.Role switch
                    {
                        // In a bowl everything is stirred together at once.
                        _ when machine.ByHand => Spot.Everywhere,
                        Role.Yeast when bloom is null => machine.LoadOrder == LoadOrder.LiquidsFirst ? Spot.Dimple : Spot.Bottom,
                        Role.Salt or Role.Sugar when row.Ingredient.Water < .1 => corners++ % 2 == 0
                            ? Spot.FirstCorner
                            : Spot.SecondCorner,
                        _ => Spot.Everywhere,
                    },
                    number
                )
            );
        }
        return new(steps.ToImmutable(), held, bloom, [.. dough.Rows.Where(r => r.AtBeep)]);
    }

    /// <summary>Refuses a timer start with perishables in the pan.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="delay">From loading to the start of kneading; 0 or more.</param>
    /// <param name="room">The kitchen.</param>
    /// <returns>Null when it may wait.</returns>
    public static Problem? RefusesDelay(Dough dough, TimeSpan delay, Temperature room)
    {
        ArgumentNullException.ThrowIfNull(dough);
        var longest = room > Hot ? PerishableForWhenHot : PerishableFor;
        var perishable = dough
            .Rows.Where(r => !r.AtBeep && r.Ingredient.Perishable)
            .Select(r => r.Ingredient)
            .Distinct()
            .ToList();
        if (delay <= longest)
            return null;
        if (dough.Untold.FirstOrDefault() is { } untold)
            return new("delay-start:untold", "delay", untold);
        if (perishable.Count == 0)
            return null;
        var code = perishable.Any(i => i.MilkSolids > 0) ? "delay-start:milk" : "delay-start";
        return new(code, "delay", string.Join(", ", perishable.Select(i => i.Name)), longest, room);
    }
}
