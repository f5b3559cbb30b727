// From a cut list as typed to cuts that are decided: how many, how heavy, of what, on which pan, in which oven.
using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>Decides the cuts of one bake.</summary>
/// <param name="kitchen">The kitchen it is made in.</param>
/// <param name="oven">The bake's oven; null when there is no such oven.</param>
/// <param name="steamed">Whether a family's steam comes from something that stands in the oven.</param>
/// <param name="hasBath">The dough has a bath of its own.</param>
/// <param name="found">Collects what is wrong.</param>
internal sealed class CutDecision(Kitchen kitchen, Oven? oven, Func<Family, bool> steamed, bool hasBath, ProblemList found)
{
    // A line with everything it names looked up.
    private sealed record Line(CutChoice Choice, int Index, Family? Family, Wash? Wash, Tin? Pan, Oven? OwnOven, Temperature Heat)
    {
        public string At(string field) => $"cuts[{Index}].{field}";

        // Where a piece's weight or number was typed.
        public string SizeField => At(Choice is { Pieces: null, Each: not null } ? "each" : "pieces");
    }

    /// <summary>The cuts; empty when something is wrong with one.</summary>
    /// <param name="expected">The dough there will be.</param>
    /// <param name="choices">The cut list as typed.</param>
    public ImmutableArray<Cut> Of(Mass expected, ImmutableArray<CutChoice> choices)
    {
        if (choices.IsDefaultOrEmpty || choices.Length > CutList.MostLines || choices.Any(c => c is null) || choices.All(IsKept))
        {
            found.Add(new Problem("cuts", "cuts", CutList.MostLines));
            return [];
        }
        var before = found.Count;
        var lines = choices.Select(LookUp).ToList();
        if (found.Count > before)
            return [];

        var decided = CutList.Decide(expected, [.. lines.Select(l => Said(l, lines.Count == 1 ? expected : null))]);
        if (!decided.Has(out var shares))
        {
            found.Add(decided.Problems);
            return [];
        }
        foreach (var (line, share) in lines.Zip(shares))
            found.Add(SizeProblem(line, share));
        var pieces = shares.Sum(s => s.Pieces);
        found.If(
            found.Count == before && pieces > BakeSpec.MostPieces,
            "pieces:altogether",
            lines[^1].At("pieces"),
            pieces,
            BakeSpec.MostPieces
        );
        return [.. lines.Zip(shares, CutOf)];
    }

    private CutLine Said(Line line, Mass? all)
    {
        var choice = line.Choice;
        var pieces = all is { } dough ? RingsOf(choice, line.Family, dough) : choice.Pieces;
        return new(pieces, choice.Each, line.Family?.Usual, choice.Share);
    }

    private static bool IsKept(CutChoice choice) => choice.FamilyId is null || choice.Keep is not null;

    private Line LookUp(CutChoice choice, int index)
    {
        string At(string field) => $"cuts[{index}].{field}";

        var family = choice.FamilyId is { } familyId
            ? found.Found(kitchen.Families.FirstOrDefault(f => f.Id == familyId), "unknown:family", At("familyId"))
            : null;
        var wash = found.Found(Washes.Find(choice.WashId ?? family?.UsualWash ?? Washes.None.Id), "unknown:wash", At("washId"));
        var pan = choice.PanId is { } panId
            ? found.Found(kitchen.Tins.FirstOrDefault(t => t.Id == panId), "unknown:pan", At("panId"))
            : null;
        var own =
            choice.OvenId is { } ovenId && ovenId != oven?.Id
                ? found.Found(kitchen.Dials.FirstOrDefault(o => o.Id == ovenId), "unknown:oven", At("ovenId"))
                : null;
        found.Add(OutOfRange(choice.Long, Lengths, At("long")));
        found.Add(OutOfRange(choice.Thick, Thicknesses, At("thick")));
        found.Add(OutOfRange(choice.Ring, RingSheet.Rings, At("ring")));
        found.Add(AfterCycle.Problem(choice.Rest, At("rest")));
        found.If(choice.Keep is { } keep && !Enum.IsDefined(keep), "unknown:answer", At("keep"));
        found.If(choice.Slashes is { } slashes && !Enum.IsDefined(slashes), "unknown:answer", At("slashes"));
        var heat = choice.Heat ?? UsualHeat(family, own ?? oven);
        if (family?.HeatedBy != HeatedBy.Griddle)
            found.Add(HeatProblem(heat, own ?? oven, At("heat")));
        return new(choice, index, family, wash, pan, own, heat);
    }

    // What hands make: from a finger's length to more than an oven's width; as thin as paper to a thick loaf. Ours.
    private static readonly Band<Length> Lengths = new(Length.FromMillimetres(60), Length.FromMillimetres(900)),
        Thicknesses = new(Length.FromMillimetres(1), Length.FromMillimetres(40));

    private static Problem? HeatProblem(Temperature heat, Oven? oven, string field)
    {
        if (heat < BakeWindow.Coolest)
            return new("too-cool", field, BakeWindow.Coolest);
        return oven?.Refuses(heat) is { } offDial ? offDial with { Field = field } : null;
    }

    // What the dial is set to when nobody says: lower with a fan, on a mark, and no further than it goes.
    private static Temperature UsualHeat(Family? family, Oven? oven)
    {
        var wanted = family?.Bake.Heat ?? BakeWindow.Coolest;
        if (family?.HeatedBy == HeatedBy.Griddle)
            return wanted;
        var lower = oven?.Fan == true ? Oven.FanLowers : 0;
        var heat = Temperature.FromCelsius(wanted.Celsius - lower);
        return oven?.Nearest(heat) ?? heat;
    }

    private static Problem? SizeProblem(Line line, CutShare share)
    {
        if (share.Pieces > BakeSpec.MostPieces)
            return new("pieces:of-one", line.SizeField, share.Pieces, BakeSpec.MostPieces);
        if (Handling.ColdProblem(line.Choice.Cold, line.At("cold")) is { } tooCold)
            return tooCold;
        return share.Each < BakeSpec.LightestPiece ? new("too-small", line.SizeField, share.Each, BakeSpec.LightestPiece) : null;
    }

    private Cut CutOf(Line line, CutShare share)
    {
        Bread? bread = null;
        if (line.Family is { } usual && Made(usual, line, share) is var family)
            bread = family.HeatedBy == HeatedBy.Griddle ? OnGriddle(family, line, share) : InOven(family, line, share);
        return new(share.Pieces, share.Each, share.Pinned, bread) { Keep = bread is null ? null : line.Choice.Keep };
    }

    // As this baker makes it: so long, so thick, cut with this ring, slashed so.
    private Family Made(Family family, Line line, CutShare share)
    {
        var choice = line.Choice;
        var made = family with
        {
            Slashes = choice.Slashes ?? family.Slashes,
            Scored = choice.Slashes is not { } s ? family.Scored : s != Slashes.None,
        };
        // A dough with a bath is dipped, whatever small shape it has.
        if (hasBath && family is { Form: Form.Rope or Form.Log or Form.Ball, Id: not Families.PanRoll })
            made = made with { Bathed = true, Steamed = false };
        if (choice.Long is { } length)
            made = made.Lengthened(share.Each, length);
        if (family.Form == Form.Ring)
            return InRings(made, choice, share);
        return choice.Thick is { } thick && family.Thickness is not null ? made with { Thickness = thick } : made;
    }

    private Family InRings(Family family, CutChoice choice, CutShare share)
    {
        var ring = choice.Ring ?? kitchen.Ring ?? RingSheet.UsualRing;
        var thick = choice.Thick ?? family.Thickness!.Value;
        // So many were asked for: as thick as they then come out.
        if (choice is { Thick: null, Pieces: { } pieces })
            thick = RingSheet.ThicknessFor(share.Each * share.Pieces, pieces, ring) ?? thick;
        return family with { Ring = ring, Thickness = thick };
    }

    // How many a ring cuts from all the dough there is, where nobody says how many.
    private int? RingsOf(CutChoice choice, Family? family, Mass expected)
    {
        if (family?.Form != Form.Ring || choice is not { Pieces: null, Each: null, Share: null })
            return choice.Pieces;
        var sheet = RingSheet.Of(
            expected,
            choice.Thick ?? family.Thickness!.Value,
            choice.Ring ?? kitchen.Ring ?? RingSheet.UsualRing
        );
        return sheet.Count > 0 ? sheet.Count : null;
    }

    private static Problem? OutOfRange(Length? length, Band<Length> range, string field) =>
        length is { } l && !range.Holds(l) ? new("out-of-range:length", field, range.From, range.To) : null;

    private Bread OnGriddle(Family family, Line line, CutShare share)
    {
        var griddle = PanLayout.Of(family, share.Each, share.Pieces, kitchen.Griddle!);
        found.If(griddle is null, "does-not-fit:pan", line.At("each"), kitchen.Griddle!.Name);
        return new(family, line.Heat, line.Wash!, kitchen.Griddle, AtOnce: griddle?.Holds ?? 1, Cold: line.Choice.Cold)
        {
            Gets = line.Choice.Gets,
            Rest = line.Choice.Rest,
        };
    }

    private Bread InOven(Family family, Line line, CutShare share)
    {
        var its = line.OwnOven ?? oven;
        var tins = line.Pan is { } one
            ? kitchen.Tins.Where(t => IsSameKind(t, one)).ToList()
            : [.. kitchen.Tins.Where(t => its?.Holds(t) != false)];
        var racks = its?.RacksBeside(steamed(family)) ?? 1;
        PanChoice? For(Family made) =>
            PanChoice.Of(made, share.Each, share.Pieces, tins, racks, line.Choice.Touching).FirstOrDefault();
        var pan = line.Choice.Keep is null ? For(family) : null;
        // Too long for every tray, where nobody says how long: made to fit the longest.
        if (pan is null && line.Choice is { Keep: null, Long: null } && Fits.LongestOn(family, tins) is { } longest)
        {
            var shorter = family.Lengthened(share.Each, longest);
            pan = For(shorter);
            family = pan is null ? family : shorter;
        }
        found.If(
            line.Pan is not null && line.Choice.Keep is null && pan is null,
            "does-not-fit:pan",
            line.At("panId"),
            line.Pan?.Name ?? ""
        );
        int? perLoad = pan is { Loads: > 1 } ? (share.Pieces + pan.Loads - 1) / pan.Loads : null;
        return new(
            family,
            line.Heat,
            line.Wash!,
            pan?.Layout.Tin,
            perLoad,
            line.Choice.Touching,
            pan?.Racks ?? 1,
            Oven: line.OwnOven,
            Cold: line.Choice.Cold
        )
        {
            Gets = line.Choice.Gets,
            Rest = line.Choice.Rest,
            Pans = pan is null ? null : new(pan.AtOnce, tins.Count(t => IsSameKind(t, pan.Layout.Tin))),
        };
    }

    // Two trays alike are one kind, whatever they are called.
    private static bool IsSameKind(Tin tin, Tin other) => tin with { Id = other.Id, Name = other.Name } == other;
}
