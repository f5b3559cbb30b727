// A shelf of base doughs for a household that has none yet. Ours, within the bands that bakers find normal.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Doughs;

/// <summary>Doughs to begin with.</summary>
public static class Starters
{
    /// <summary>All of them, the simplest first.</summary>
    public static ImmutableArray<DoughDraft> All { get; } =
    [
        Of(
            "Soft rolls",
            "pan-roll",
            "450 strong white flour; 290 whole milk; 50 egg; 35 butter; 30 sugar; 9 fine salt; 6 instant yeast"
        ),
        Of("Crusty rolls", "crusty-roll", "450 strong white flour; 295 water; 9 fine salt; 5 instant yeast"),
        Of(
            "Round buns",
            "round-bun",
            "450 strong white flour; 215 whole milk; 100 egg; 40 butter; 30 sugar; 9 fine salt; 6 instant yeast"
        ),
        Of("Plait", "plait-3", "450 plain flour; 160 water; 100 egg; 40 sunflower oil; 45 sugar; 8 fine salt; 7 instant yeast"),
        Of("Pretzels", "pretzel", "450 strong white flour; 250 water; 25 butter; 9 fine salt; 5 instant yeast"),
        Of("Pocket breads", "pocket-flatbread", "400 strong white flour; 245 water; 15 olive oil; 7 fine salt; 4 instant yeast"),
        Of("Tray bread", "tray-bread", "400 strong white flour; 285 water; 25 olive oil; 8 fine salt; 4 instant yeast"),
        Of(
            "Griddle rounds",
            "griddle-round",
            "400 plain flour; 295 whole milk; 20 butter; 10 sugar; 8 fine salt; 5 instant yeast"
        ),
        Of(
            "Fruit loaf",
            "tin-loaf",
            "400 strong white flour; 285 whole milk; 40 butter; 40 sugar; 8 fine salt; 6 instant yeast",
            atBeep: "120 raisins"
        ),
        Of(
            "Wholemeal loaf",
            "tin-loaf",
            "250 strong white flour; 200 wholemeal flour; 320 water; 20 honey; 20 sunflower oil; 9 fine salt; 6 instant yeast"
        ),
        Of(
            "Starter and yeast loaf",
            "free-loaf",
            "400 strong white flour; 100 ripe starter; 235 water; 9 fine salt; 3 instant yeast"
        ),
        Of(
            "Rolls by hand",
            "pan-roll",
            "400 plain flour; 290 whole milk; 30 butter; 20 sugar; 8 fine salt; 6 instant yeast",
            byHand: true
        ),
    ];

    private static DoughDraft Of(string name, string family, string rows, string atBeep = "", bool byHand = false) =>
        new(
            name,
            [.. Rows(rows, false), .. atBeep.Length == 0 ? [] : Rows(atBeep, true)],
            ByHand: byHand,
            Plan: RecipePlan.Nothing with
            {
                FamilyId = family,
            }
        );

    private static IEnumerable<RowDraft> Rows(string rows, bool atBeep) =>
        rows.Split("; ")
            .Select(row => row.Split(' ', 2))
            .Select(parts => new RowDraft(
                parts[1],
                Mass.FromGrams(double.Parse(parts[0], System.Globalization.CultureInfo.InvariantCulture)),
                AtBeep: atBeep
            ));
}
