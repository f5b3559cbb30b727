// Changing a dough: scaled, or one thing swapped for another with water and flour put right. Each change is told before and
// after.
using System.Collections.Immutable;
using System.Text.Json.Serialization;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>A change to a dough.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "type")]
[JsonDerivedType(typeof(ToPieces), "to-pieces")]
[JsonDerivedType(typeof(ToFlour), "to-flour")]
[JsonDerivedType(typeof(ToDough), "to-dough")]
[JsonDerivedType(typeof(ToHydration), "to-hydration")]
[JsonDerivedType(typeof(SwapYeast), "swap-yeast")]
[JsonDerivedType(typeof(YeastToStarter), "yeast-to-starter")]
[JsonDerivedType(typeof(SwapFlour), "swap-flour")]
[JsonDerivedType(typeof(MilkToDried), "milk-to-dried")]
[JsonDerivedType(typeof(ButterToOil), "butter-to-oil")]
[JsonDerivedType(typeof(TakeShare), "take-share")]
public abstract record Change;

/// <summary>Scaled so that this many pieces of this weight come out of the pan.</summary>
/// <param name="Pieces">1 to 100.</param>
/// <param name="Each">Over 0.</param>
public sealed record ToPieces(int Pieces, Mass Each) : Change;

/// <summary>Scaled to so much flour.</summary>
public sealed record ToFlour(Mass Flour) : Change;

/// <summary>Scaled so that this much dough comes out of the pan.</summary>
public sealed record ToDough(Mass Dough) : Change;

/// <summary>Water added or taken away until the true hydration is this.</summary>
/// <param name="Hydration">30 to 120 %.</param>
public sealed record ToHydration(Share Hydration) : Change;

/// <summary>Another kind of packaged yeast of the same strength.</summary>
/// <param name="To">A yeast of the pantry.</param>
public sealed record SwapYeast(string To) : Change;

/// <summary>Ripe starter instead of the yeast; its flour and water come off the dough's.</summary>
/// <param name="Starter">A starter of the pantry.</param>
/// <param name="OfFlour">Starter as a share of all flour, 5 to 60 %.</param>
public sealed record YeastToStarter(string Starter, Share OfFlour) : Change;

/// <summary>One flour for another, weight for weight, with the water its thirst wants.</summary>
public sealed record SwapFlour(string From, string To) : Change;

/// <summary>Milk as dried milk and water, 1 to 9: fit for a timer start.</summary>
public sealed record MilkToDried : Change;

/// <summary>Oil with as much fat for butter, and the butter's water made up.</summary>
/// <param name="Oil">An oil of the pantry.</param>
public sealed record ButterToOil(string Oil) : Change;

/// <summary>A share of the dough by itself: one base dough for several uses.</summary>
/// <param name="Share">Over 0, under 100 %.</param>
/// <param name="Name">What that part is called.</param>
public sealed record TakeShare(Share Share, string Name) : Change;

/// <summary>Something put right along with a change.</summary>
public abstract record PutRight;

/// <summary>Eggs were kept whole.</summary>
/// <param name="Count">How many.</param>
/// <param name="Egg">Which kind.</param>
/// <param name="InsteadOf">What scaling asked for.</param>
/// <param name="Liquid">What makes up the rest.</param>
public sealed record EggsWhole(int Count, string Egg, Mass InsteadOf, string Liquid) : PutRight;

/// <summary>The dough wants other water.</summary>
/// <param name="By">More, or less when below zero.</param>
public sealed record OtherWater(Mass By) : PutRight;

/// <summary>A change made.</summary>
/// <param name="Dough">The dough after it.</param>
/// <param name="Factor">What every row was scaled by; 1 where it was not.</param>
/// <param name="Notes">What was put right besides, such as an egg kept whole.</param>
public sealed record Changed(Dough Dough, double Factor, ImmutableArray<PutRight> Notes);

/// <summary>Makes changes.</summary>
public static class Changes
{
    /// <summary>An egg may be so far from what scaling asks for and still be taken whole. Bakers' usage.</summary>
    public const double WholeEggWithin = .08;

    private const int MostPieces = 100;
    private static readonly Band<double> Factors = new(.02, 50);
    private static readonly Band<Share> Hydrations = new(Share.FromPercent(30), Share.FromPercent(120));
    private static readonly Band<Share> Starters = new(Share.FromPercent(5), Share.FromPercent(60));

    // Dried milk powder: one part and nine of water are milk. After the makers' packs.
    private const double DriedInMilk = .1;

    // Crumbs of rows that a swap uses up are left out.
    private static readonly Mass Crumb = Mass.FromGrams(.05);

    /// <summary>Makes a change.</summary>
    /// <param name="dough">The dough before it.</param>
    /// <param name="change">The change.</param>
    /// <param name="pantry">Where what is swapped in comes from.</param>
    /// <param name="wholeEggs">Keep eggs whole when scaling, where they nearly are.</param>
    /// <returns>The change made, or what stands in its way.</returns>
    public static Outcome<Changed> Make(Dough dough, Change change, HouseholdPantry pantry, bool wholeEggs = true)
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(pantry);
        var formula = Formula.Of(dough);
        return change switch
        {
            ToPieces { Pieces: < 1 or > MostPieces } => new Problem("out-of-range:between", "pieces", 1, MostPieces),
            ToPieces c => Positive(c.Each, "each")
                ?? Scaled(dough, Formula.Needed(c.Each * c.Pieces) / formula.Total, "each", wholeEggs),
            ToFlour c => Positive(c.Flour, "flour") ?? Scaled(dough, c.Flour / formula.Flour, "flour", wholeEggs),
            ToDough c => Positive(c.Dough, "dough") ?? Scaled(dough, Formula.Needed(c.Dough) / formula.Total, "dough", wholeEggs),
            TakeShare c when c.Share.Fraction is not (> 0 and < 1) => new Problem("out-of-range:share", "share"),
            TakeShare c when PlainText.CheckName(c.Name, "name") is { } bad => bad,
            TakeShare c => new Changed(Renamed(dough.Scale(c.Share.Fraction), c.Name), c.Share.Fraction, []),
            ToHydration c when !Hydrations.Holds(c.Hydration) => new Problem(
                "out-of-range:between",
                "hydration",
                Hydrations.From,
                Hydrations.To
            ),
            ToHydration c => WithWater(
                dough,
                dough.Rows,
                Mass.FromGrams((c.Hydration.Fraction - formula.Hydration.Fraction) * formula.Flour.Grams),
                pantry
            ),
            SwapYeast c => Yeast(dough, c, pantry),
            YeastToStarter c when !Starters.Holds(c.OfFlour) => new Problem(
                "out-of-range:between",
                "ofFlour",
                Starters.From,
                Starters.To
            ),
            YeastToStarter c => Starter(dough, formula, c, pantry),
            SwapFlour c => Flour(dough, c, pantry),
            MilkToDried => Dried(dough, pantry),
            ButterToOil c => Oil(dough, c, pantry),
            _ => new Problem("unknown:change", "type"),
        };
    }

    private static Problem? PositiveProblem(Mass mass, string field) => mass > Mass.Zero ? null : new("not-positive", field);

    private static Outcome<Changed>? Positive(Mass mass, string field) =>
        PositiveProblem(mass, field) is { } p ? (Outcome<Changed>)p : null;

    private static Dough Renamed(Dough dough, string name) =>
        Dough.Create(dough.ToDraft() with { Name = name }, Held(dough)).Value;

    // A pantry that knows the dough's own ingredients as the dough holds them.
    private static HouseholdPantry Held(Dough dough) =>
        dough
            .Everything.Select(r => r.Ingredient)
            .Distinct()
            .Aggregate(HouseholdPantry.Plain, (p, i) => p.Find(i.Name) == i ? p : p.With(i));

    private static Outcome<Changed> Scaled(Dough dough, double factor, string field, bool wholeEggs)
    {
        if (!Factors.Holds(factor))
            return new Problem("out-of-range:times", field, factor, Factors.From, Factors.To);
        var scaled = dough.Scale(factor);
        return wholeEggs && WholeEggs(scaled) is { } whole
            ? new Changed(whole.Dough, factor, whole.Notes)
            : new Changed(scaled, factor, []);
    }

    // The liquid makes up what an egg taken whole is over or under, so that the dough's weight stays.
    private static (Dough Dough, ImmutableArray<PutRight> Notes)? WholeEggs(Dough dough)
    {
        var (rows, notes) = (dough.Rows.ToBuilder(), ImmutableArray.CreateBuilder<PutRight>());
        for (var i = 0; i < rows.Count; i++)
        {
            if (rows[i].Ingredient is not { Role: Role.Egg, Packing.Each: { } each })
                continue;
            var (count, mass) = (Math.Round(rows[i].Mass / each), rows[i].Mass);
            var off = each * count - mass;
            if (
                count < 1
                || Math.Abs(off.Grams) < .5
                || Math.Abs(off / mass) > WholeEggWithin
                || MainLiquid(rows) is not { } liquid
                || rows[liquid].Mass - off <= Mass.Zero
            )
                continue;
            rows[i] = rows[i] with { Mass = each * count };
            rows[liquid] = rows[liquid] with { Mass = rows[liquid].Mass - off };
            notes.Add(new EggsWhole((int)count, rows[i].Ingredient.Name, mass, rows[liquid].Ingredient.Name));
        }
        return notes.Count == 0 ? null : (dough.WithRows(rows.ToImmutable()), notes.ToImmutable());
    }

    private static Outcome<Changed> Yeast(Dough dough, SwapYeast change, HouseholdPantry pantry)
    {
        if (pantry.Find(change.To) is not { Role: Role.Yeast } to)
            return new Problem("unknown:yeast", "to");
        var (rows, water) = (dough.Rows, Mass.Zero);
        if (!rows.Any(r => r.Ingredient.Role == Role.Yeast && r.Ingredient != to))
            return new Problem("nothing-to-swap:yeast", "to");
        rows =
        [
            .. rows.Select(r =>
            {
                if (r.Ingredient.Role != Role.Yeast)
                    return r;
                var mass = r.Mass * (r.Ingredient.YeastStrength / to.YeastStrength);
                water += Mass.FromGrams(r.Mass.Grams * r.Ingredient.Water - mass.Grams * to.Water);
                return r with { Ingredient = to, Mass = mass };
            }),
        ];
        return WithWater(dough, rows, water, pantry);
    }

    private static Outcome<Changed> Starter(Dough dough, Formula formula, YeastToStarter change, HouseholdPantry pantry)
    {
        if (pantry.Find(change.Starter) is not { Role: Role.Starter } starter)
            return new Problem("unknown:starter", "starter");
        var mass = formula.Flour * change.OfFlour.Fraction;
        var main = Main(dough.Rows, Role.Flour);
        if (main is not { } f || dough.Rows[f].Mass <= mass * starter.FlourInside)
            return new Problem("nothing-to-swap:starter", "ofFlour");
        var rows = dough.Rows.SetItem(f, dough.Rows[f] with { Mass = dough.Rows[f].Mass - mass * starter.FlourInside });
        // What the old yeast held of water is its own affair: a few tenths of a gram.
        var yeasty = rows.Where(r => r.Ingredient.Role == Role.Yeast).Sum(r => r.Mass.Grams * r.Ingredient.Water);
        rows = [.. rows.Where(r => r.Ingredient.Role != Role.Yeast), new DoughRow(starter, mass)];
        return WithWater(dough, rows, Mass.FromGrams(yeasty - mass.Grams * starter.Water), pantry);
    }

    private static Outcome<Changed> Flour(Dough dough, SwapFlour change, HouseholdPantry pantry)
    {
        if (pantry.Find(change.To) is not { Role: Role.Flour } to)
            return new Problem("unknown:flour", "to");
        var from = dough
            .Rows.Where(r => r.Ingredient.Role == Role.Flour && Phrase.Of(r.Ingredient.Name) == Phrase.Of(change.From ?? ""))
            .ToList();
        if (from.Count == 0 || from[0].Ingredient == to)
            return new Problem("nothing-to-swap:flour", "from");
        // A thirstier flour gets the water it drinks, so that the hands feel the same.
        var water = Mass.FromGrams(from.Sum(r => r.Mass.Grams * (to.Drinks - r.Ingredient.Drinks)));
        return WithWater(dough, [.. dough.Rows.Select(r => from.Contains(r) ? r with { Ingredient = to } : r)], water, pantry);
    }

    private static Outcome<Changed> Dried(Dough dough, HouseholdPantry pantry)
    {
        var powder = pantry.Find("dried milk powder")!;
        var milk = dough.Rows.Where(r => r.Ingredient is { Role: Role.Liquid, MilkSolids: > 0 and < .2 }).ToList();
        if (milk.Count == 0)
            return new Problem("nothing-to-swap:milk", "type");
        var all = milk.Aggregate(Mass.Zero, (sum, r) => sum + r.Mass);
        ImmutableArray<DoughRow> rows = [.. dough.Rows.Where(r => !milk.Contains(r)), new DoughRow(powder, all * DriedInMilk)];
        // As much water as the milk held, less what the powder brings.
        var water = milk.Sum(r => r.Mass.Grams * r.Ingredient.Water) - all.Grams * DriedInMilk * powder.Water;
        return WithWater(dough, rows, Mass.FromGrams(water), pantry);
    }

    private static Outcome<Changed> Oil(Dough dough, ButterToOil change, HouseholdPantry pantry)
    {
        if (pantry.Find(change.Oil) is not { Role: Role.Fat, Water: 0 } oil)
            return new Problem("unknown:oil", "oil");
        var butter = dough.Rows.Where(r => r.Ingredient is { Role: Role.Fat, Water: > 0 }).ToList();
        if (butter.Count == 0)
            return new Problem("nothing-to-swap:butter", "oil");
        var water = Mass.FromGrams(butter.Sum(r => r.Mass.Grams * r.Ingredient.Water));
        return WithWater(
            dough,
            [
                .. dough.Rows.Select(r =>
                    butter.Contains(r) ? r with { Ingredient = oil, Mass = r.Mass * (r.Ingredient.Fat / oil.Fat) } : r
                ),
            ],
            water,
            pantry
        );
    }

    // Adds or takes off free water: from water, else from the main liquid by what water it holds.
    private static Outcome<Changed> WithWater(Dough dough, ImmutableArray<DoughRow> rows, Mass water, HouseholdPantry pantry)
    {
        ImmutableArray<PutRight> notes = Math.Abs(water.Grams) < .05 ? [] : [new OtherWater(water)];
        var at = rows.ToList().FindIndex(r => r.Ingredient is { Role: Role.Liquid, Water: 1 });
        if (at < 0 && water < Mass.Zero)
            at = MainLiquid(rows) ?? -1;
        if (at < 0 && water < Mass.Zero)
            return new Problem("too-dry", "");
        if (Math.Abs(water.Grams) < 1e-9)
            return Checked(dough, rows, notes);
        if (at < 0)
            rows = rows.Insert(Math.Min(1, rows.Length), new(pantry.Find("water")!, water));
        else
        {
            var left = rows[at].Mass + water / rows[at].Ingredient.Water;
            // A little more than there is: another liquid gives the rest.
            if (left < Mass.Zero && rows.RemoveAt(at) is var fewer && MainLiquid(fewer) is { } other)
                (rows, at, left) = (
                    fewer,
                    other,
                    fewer[other].Mass + Mass.FromGrams(left.Grams * rows[at].Ingredient.Water) / fewer[other].Ingredient.Water
                );
            if (left < Mass.Zero)
                return new Problem("too-dry", "");
            rows = left < Crumb ? rows.RemoveAt(at) : rows.SetItem(at, rows[at] with { Mass = left });
        }
        return Checked(dough, rows, notes);
    }

    private static Outcome<Changed> Checked(Dough dough, ImmutableArray<DoughRow> rows, ImmutableArray<PutRight> notes) =>
        rows.Length > Dough.MostRows
            ? new Problem("too-many:rows", "rows", rows.Length, Dough.MostRows)
            : new Changed(dough.WithRows(rows), 1, notes);

    private static int? MainLiquid(IReadOnlyList<DoughRow> rows) => Main(rows, Role.Liquid);

    private static int? Main(IReadOnlyList<DoughRow> rows, Role role)
    {
        int? best = null;
        for (var i = 0; i < rows.Count; i++)
            if (
                rows[i].Ingredient.Role == role
                && (role != Role.Liquid || rows[i].Ingredient.Water > 0)
                && (best is null || rows[i].Mass > rows[best.Value].Mass)
            )
                best = i;
        return best;
    }
}
