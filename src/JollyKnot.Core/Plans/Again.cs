// The same again: what was chosen for a bake, as one would choose it now.
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>A past bake chosen again.</summary>
public static class Again
{
    /// <summary>What was chosen, in the kitchen of today: what is no longer there is as in a first choice. Only the time is to be
    /// asked.</summary>
    /// <param name="spec">The past bake.</param>
    /// <param name="first">What a bake of this dough would open with.</param>
    /// <param name="kitchen">The kitchen of today.</param>
    public static BakeChoice Of(BakeSpec spec, BakeChoice first, Kitchen kitchen)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(first);
        ArgumentNullException.ThrowIfNull(kitchen);
        var machine = kitchen.Mixers.FirstOrDefault(m => m.Id == spec.Machine.Id);
        var byHand = spec.Machine.ByHand;
        var handling = spec.Handling;
        return new(
            machine?.Id ?? first.MachineId,
            kitchen.Ovens.Any(o => o.Id == spec.Oven.Id) ? spec.Oven.Id : first.OvenId,
            PlaceThere(spec.Place.Id, kitchen) ?? first.PlaceId,
            Program: machine?.SetTo(spec.Machine.Program) is null || byHand ? null : spec.Machine.Program,
            School: handling.School == LoadSchoolOf(first) ? null : handling.School
        )
        {
            Cuts = [.. spec.Cuts.Select((c, i) => Chosen(c, i == spec.Cuts.Length - 1, spec, kitchen))],
            Cold = handling.Cold,
            Fresh = spec.Wish.Fresh,
            Bath = handling.Bath,
            After = byHand ? new(false, spec.Machine.CycleLength - spec.Machine.KneadEnd) : handling.After,
            Knead = byHand ? spec.Machine.Kneads : null,
            BowlPlaceId = handling.Bowl is { } bowl ? PlaceThere(bowl.Id, kitchen) : null,
            Folds = handling.Folds,
            Grown = handling.Grown,
            Ways = handling.Ways == Ways.Usual ? null : handling.Ways,
            Times = handling.Times,
            Timer = handling.Timer,
            NoScale = spec.NoScale == kitchen.NoScale ? null : spec.NoScale,
            Meant = !spec.Dough.Lacks.IsEmpty,
        };
    }

    private static Machines.LoadSchool LoadSchoolOf(BakeChoice first) => first.School ?? Machines.LoadSchool.Plain;

    private static string? PlaceThere(string id, Kitchen kitchen) => kitchen.AllPlaces.Any(p => p.Id == id) ? id : null;

    // The last line takes what is left; those before it keep what they weighed.
    private static CutChoice Chosen(Cut cut, bool isLast, BakeSpec spec, Kitchen kitchen)
    {
        var each = cut.Pinned || !isLast ? cut.Each : default(Mass?);
        if (cut.Bread is not { } bread)
            return new(Each: cut.Each * cut.Pieces);
        var family = bread.Family;
        var usual = Families.Find(family.Id);
        return new(
            family.Id,
            cut.Pieces,
            spec.Cuts.Length == 1 && !cut.Pinned ? null : each,
            Heat: bread.Heat,
            WashId: bread.Wash.Id,
            PanId: kitchen.Tins.Any(t => t.Id == bread.Pan?.Id) ? bread.Pan!.Id : null,
            Touching: bread.Touching,
            OvenId: bread.Oven is { } own && kitchen.Ovens.Any(o => o.Id == own.Id) ? own.Id : null,
            Cold: bread.Cold
        )
        {
            Keep = cut.Keep,
            Gets = bread.Gets,
            Rest = bread.Rest,
            Slashes = family.Slashes == usual?.Slashes ? null : family.Slashes,
            Long = family.Stretch == 1 ? null : Sizes.For(family, cut.Each).Rope,
            Thick = family.Thickness == usual?.Thickness ? null : family.Thickness,
            Ring = family.Ring == kitchen.Ring ? null : family.Ring,
        };
    }
}
