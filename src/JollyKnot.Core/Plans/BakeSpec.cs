// What the baker decided for one bake, checked, with everything it needs held by value:
// a recipe or an oven changed later does not change a bake that was laid out before.
using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Shaping;

namespace JollyKnot.Core.Plans;

/// <summary>What a baker chooses, as typed. Null where the usual is meant.</summary>
/// <param name="MachineId">A machine of the kitchen.</param>
/// <param name="OvenId">An oven of the kitchen.</param>
/// <param name="PlaceId">Where the second proof stands.</param>
/// <param name="Room">Kitchen temperature; the kitchen's own when null.</param>
/// <param name="ReadyBy">When bread is wanted; null starts now.</param>
/// <param name="Program">Which of the machine's programs; its usual one when null.</param>
/// <param name="School">How the pan is loaded; straight in when null.</param>
public sealed record BakeChoice(
    string MachineId, string OvenId, string PlaceId, Temperature? Room = null, DateTimeOffset? ReadyBy = null, string? Program = null, LoadSchool? School = null)
{
    /// <summary>What the dough is cut into; at least one line of bread.</summary>
    public ImmutableArray<CutChoice> Cuts { get; init; } = [];

    /// <summary>First so long in the fridge, before the proofing place.</summary>
    public TimeSpan? Cold { get; init; }

    /// <summary>Bread is to be cool no longer than this before it is wanted; null when it does not matter.</summary>
    public TimeSpan? Fresh { get; init; }

    /// <summary>How pretzels are boiled; soda in the pot when null.</summary>
    public PotSchool? Bath { get; init; }

    /// <summary>From the machine's beep to the divide: nothing, a short rest, or a rise in a bowl.</summary>
    public AfterCycle? After { get; init; }

    /// <summary>How this baker does it; as most do when null.</summary>
    public Ways? Ways { get; init; }

    /// <summary>The machine waits so long before it begins; it begins at once when null.</summary>
    public TimeSpan? Timer { get; init; }
}

/// <summary>What the dough does between the machine and the divide.</summary>
/// <param name="Early">It comes out straight after kneading and rises in a bowl, which frees the machine.</param>
/// <param name="Bulk">It rises so long in a bowl; zero when it does not.</param>
public sealed record AfterCycle(bool Early, TimeSpan Bulk)
{
    // Shorter than this the dough only rests. Ours.
    private static readonly TimeSpan RestUpTo = TimeSpan.FromMinutes(20);

    /// <summary>It only rests, so that it stretches; it does not rise.</summary>
    public bool IsRest => Bulk > TimeSpan.Zero && Bulk < RestUpTo;

    /// <summary>What bakers usually do, the simplest first: divide now, a short rest, a rise in a bowl, out early into the bowl.</summary>
    public static ImmutableArray<AfterCycle> Usual { get; } =
        [new(false, TimeSpan.Zero), new(false, TimeSpan.FromMinutes(10)), new(false, TimeSpan.FromMinutes(45)), new(true, TimeSpan.FromMinutes(60))];

    /// <summary>The longest.</summary>
    public static TimeSpan Longest { get; } = TimeSpan.FromHours(6);
}

/// <summary>Which version of a dough in the book a bake used.</summary>
/// <param name="Id">The dough.</param>
/// <param name="Version">1 for the first.</param>
public sealed record DoughVersion(Guid Id, int Version);

/// <summary>One bake, decided.</summary>
/// <param name="Dough">The dough.</param>
/// <param name="Machine">The machine, set to its program.</param>
/// <param name="Cuts">What it is cut into; at least one of them is bread.</param>
/// <param name="Oven">The oven.</param>
/// <param name="Place">Where the second proof stands.</param>
/// <param name="Room">Kitchen temperature.</param>
/// <param name="Pot">For the bath.</param>
/// <param name="ReadyBy">When bread is wanted; null started at once.</param>
/// <param name="School">How the pan is loaded.</param>
/// <param name="Hob">The hob's power.</param>
/// <param name="Boils">Where water boils.</param>
/// <param name="Source">The dough's version in the book.</param>
/// <param name="ScaleStep">What one unit of the scale weighs; 1 g when null.</param>
/// <param name="Tolerance">What the household leaves alone.</param>
/// <param name="After">Between the machine and the divide.</param>
/// <param name="Cold">First so long in the fridge, before the proofing place.</param>
/// <param name="Bath">How pretzels are boiled.</param>
/// <param name="Pace">What this place's past proofs say of the pace; the usual when null.</param>
/// <param name="Ways">How this baker does it; as most do when null.</param>
/// <param name="OvenPaces">What ovens really need over what is usual, by their id; 1 for those not listed.</param>
public sealed record BakeSpec(
    Dough Dough, Machine Machine, ImmutableArray<Cut> Cuts, Oven Oven, Place Place, Temperature Room, Pot Pot, DateTimeOffset? ReadyBy,
    LoadSchool? School = null, Power? Hob = null, Temperature? Boils = null, DoughVersion? Source = null, Mass? ScaleStep = null, Tolerance? Tolerance = null, AfterCycle? After = null,
    TimeSpan? Cold = null, PotSchool Bath = PotSchool.InThePot, PaceBelief? Pace = null, Ways? Ways = null, ImmutableDictionary<string, double>? OvenPaces = null)
{
    /// <summary>The rules it was laid out by: it keeps their steps.</summary>
    public int Rules { get; init; } = 1;

    /// <summary>Nights in the fridge as bakers usually have them.</summary>
    public static ImmutableArray<TimeSpan> UsualCold { get; } = [TimeSpan.FromHours(8), TimeSpan.FromHours(10), TimeSpan.FromHours(12), TimeSpan.FromHours(14)];

    /// <summary>The machine waits so long before it begins; null when it begins at once.</summary>
    public TimeSpan? Timer { get; init; }

    /// <summary>Bread is to be cool no longer than this before it is wanted; null when it does not matter.</summary>
    public TimeSpan? Fresh { get; init; }

    /// <summary>How fresh bread is wanted, as bakers say it; and the least that can be asked for.</summary>
    public static ImmutableArray<TimeSpan> UsualFresh { get; } = [TimeSpan.FromMinutes(15), TimeSpan.FromMinutes(30), TimeSpan.FromHours(1), TimeSpan.FromHours(2)];

    /// <summary>What is wrong with a wish for fresh bread.</summary>
    /// <param name="fresh">Cool no longer than this; over 0, up to a day.</param>
    /// <param name="field">The field to name.</param>
    internal static Problem? Unfresh(TimeSpan? fresh, string field) =>
        fresh <= TimeSpan.Zero || fresh > TimeSpan.FromDays(1) ? new("out-of-range", field, "Fresh within some minutes, up to a day.") : null;

    /// <summary>Timers of machines as bakers use them.</summary>
    public static ImmutableArray<TimeSpan> UsualTimers { get; } = [TimeSpan.FromHours(2), TimeSpan.FromHours(4), TimeSpan.FromHours(6), TimeSpan.FromHours(8), TimeSpan.FromHours(10)];

    /// <summary>The longest a machine's timer goes. Makers' labels.</summary>
    public static TimeSpan LongestTimer { get; } = TimeSpan.FromHours(13);

    /// <summary>How long a bread is first in the fridge; null when it is not.</summary>
    public TimeSpan? ColdOf(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return bread.Cold ?? Cold;
    }

    /// <summary>The longest in the fridge.</summary>
    public static TimeSpan LongestCold { get; } = TimeSpan.FromHours(24);

    /// <summary>How this baker does it.</summary>
    public Ways Way => Ways ?? Plans.Ways.Usual;

    /// <summary>The oven of a bread.</summary>
    public Oven OvenOf(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return bread.Oven ?? Oven;
    }

    /// <summary>The steam a bread gets: as the baker does it, or a tray for what is lean.</summary>
    public Steam SteamFor(Bread bread)
    {
        ArgumentNullException.ThrowIfNull(bread);
        return !bread.Family.Steamed ? Steam.None : Way.Steam ?? (Formula.IsRich ? Steam.None : Steam.Tray);
    }

    /// <summary>The bake of one piece of a bread, in its oven.</summary>
    public BakeWindow Window(Bread bread, Mass piece, Temperature? heat = null)
    {
        ArgumentNullException.ThrowIfNull(bread);
        var oven = OvenOf(bread);
        return BakeWindow.For(bread.Family, piece, heat ?? bread.Heat, oven.Fan && !bread.OnGriddle, bread.Touching, bread.OnGriddle ? 1 : OvenPaces?.GetValueOrDefault(oven.Id, 1) ?? 1);
    }

    /// <summary>Brushed after the second proof, with hands beside the oven.</summary>
    public bool BrushedLast(Bread bread) => bread is { Brushed: true } && !Way.WashesFirst;

    /// <summary>Scored after the second proof.</summary>
    public bool ScoredLast(Bread bread) => bread is { Family.Scored: true } && !Way.ScoresFirst;

    /// <summary>Where water boils.</summary>
    public Temperature BoilsAt => Boils ?? Temperature.FromCelsius(100);

    /// <summary>The most pieces one dough is divided into.</summary>
    public const int MostPieces = 100;

    /// <summary>The lightest piece worth shaping.</summary>
    public static Mass LightestPiece { get; } = Mass.FromGrams(10);

    /// <summary>Rooms people bake in.</summary>
    public static Band<Temperature> Rooms { get; } = new(Temperature.FromCelsius(5), Temperature.FromCelsius(40));

    /// <summary>The dough's baker's arithmetic.</summary>
    public Formula Formula => Formula.Of(Dough);

    /// <summary>How the pan is loaded.</summary>
    public PanLoad Pan => PanLoad.Of(Dough, Machine, School);

    /// <summary>The main liquid's row; null when nothing is poured.</summary>
    public DoughRow? Liquid => Dough.Rows.Where(r => !r.AtBeep && r.Ingredient.Role == Role.Liquid).MaxBy(r => r.Mass);

    /// <summary>What goes into the oven, in order.</summary>
    public ImmutableArray<Batch> Batches => Batch.Of(Cuts);

    /// <summary>What one scale unit weighs.</summary>
    public Mass Step => ScaleStep ?? Mass.FromGrams(1);

    /// <summary>Pieces or strands to weigh off altogether.</summary>
    public int Parts => Cuts.Sum(c => c.Parts);

    /// <summary>The scale station of a dough.</summary>
    /// <param name="dough">The whole dough.</param>
    /// <param name="weighed">Piece or strand number to whole scale units.</param>
    public Station Station(Mass dough, IReadOnlyDictionary<int, int> weighed) => Dividing.Station.For(Units(dough), Step, Groups, weighed, Tolerance);

    /// <summary>One piece of each cut, when there is so much dough.</summary>
    public ImmutableArray<Mass> Eaches(Mass dough) => [.. Dividing.Station.PieceTargets(Units(dough), Groups).Select(t => Step * t.Average())];

    private int Units(Mass dough) => Math.Max(0, Dividing.Station.UnitsOf(dough, Step));

    private ImmutableArray<Group> Groups => [.. Cuts.Select(c => c.Group(Step))];

    /// <summary>The dough expected out of the pan before anything was weighed.</summary>
    public Mass ExpectedDough => Formula.Yield(Dough.Total);

    /// <summary>Checks a choice against the kitchen.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="choice">The choice.</param>
    /// <param name="kitchen">The kitchen it is made in.</param>
    /// <param name="now">The time now, which "ready by" must not be before.</param>
    /// <returns>The spec, or every problem with its field. A batch over the machine's limit is a problem.</returns>
    public static Outcome<BakeSpec> Create(Dough dough, BakeChoice choice, Kitchen kitchen, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(choice);
        ArgumentNullException.ThrowIfNull(kitchen);
        var problems = ImmutableArray.CreateBuilder<Problem>();
        T? Pick<T>(T? found, string field, string what) where T : class
        {
            if (found is null) problems.Add(new("unknown", field, $"There is no such {what}."));
            return found;
        }

        var machine = Pick(kitchen.Mixers.FirstOrDefault(m => m.Id == choice.MachineId), "machineId", "machine in this kitchen");
        if (machine is not null && choice.Program is { } program) machine = Pick(machine.SetTo(program), "program", "program on this machine");
        var oven = Pick(kitchen.Ovens.FirstOrDefault(o => o.Id == choice.OvenId), "ovenId", "oven in this kitchen");
        var place = Pick(kitchen.AllPlaces.FirstOrDefault(p => p.Id == choice.PlaceId), "placeId", "place");
        var room = choice.Room ?? kitchen.RoomAt(choice.ReadyBy ?? now);
        if (!Rooms.Holds(room))
            problems.Add(new("room", "room", Text($"A kitchen of {room.Celsius:0.#} °C? {Rooms.From.Celsius:0} to {Rooms.To.Celsius:0} °C can be reckoned with.")));
        if (choice.ReadyBy < now) problems.Add(new("past", "readyBy", "This time has passed. Choose a later one, or start now."));
        if (choice.ReadyBy > now.AddDays(14)) problems.Add(new("far-off", "readyBy", "More than two weeks ahead. Choose a nearer time."));
        if (machine?.Refuses(Formula.Of(dough)) is { } tooMuch) problems.Add(tooMuch);

        if (choice.Cold is { } cold && (cold <= TimeSpan.Zero || cold > LongestCold)) problems.Add(new("out-of-range", "cold", $"Up to {LongestCold.TotalHours:0} hours in the fridge."));
        if (Unfresh(choice.Fresh, "fresh") is { } unfresh) problems.Add(unfresh);
        if (choice.Timer is { } timer)
        {
            if (timer <= TimeSpan.Zero || timer > LongestTimer) problems.Add(new("out-of-range", "timer", $"Up to {LongestTimer.TotalHours:0} hours on a timer."));
            else if (machine?.ByHand == true) problems.Add(new("by-hand", "timer", "Hands have no timer."));
            else if (dough.Rows.Any(r => r.AtBeep)) problems.Add(new("at-the-beep", "timer", "Somebody has to be there for what goes in at the beep."));
            else if (PanLoad.RefusesDelay(dough, timer, room) is { } stands) problems.Add(stands with { Field = "timer" });
        }
        if (choice.After is { } after && (after.Bulk < TimeSpan.Zero || after.Bulk > AfterCycle.Longest))
            problems.Add(new("out-of-range", "after.bulk", $"Up to {AfterCycle.Longest.TotalHours:0} hours in the bowl."));

        if (choice.Ways is { } ways && !(Enum.IsDefined(ways.Cover) && Enum.IsDefined(ways.Later) && Enum.IsDefined(ways.Steam ?? Steam.None) && Enum.IsDefined(ways.Cooling ?? CoolingWay.Rack)))
            problems.Add(new("unknown", "ways", "Not one of the ways."));
        var cuts = DecideCuts(Formula.Yield(dough.Total), choice.Cuts, kitchen, oven, problems);
        return problems.Count > 0
            ? problems.ToImmutable()
            : new BakeSpec(dough, machine!, cuts, oven!, place!, room, kitchen.Pot, choice.ReadyBy, choice.School, kitchen.Hob, kitchen.Boils,
                ScaleStep: kitchen.ScaleStep, Tolerance: kitchen.Tolerance, After: choice.After, Cold: choice.Cold, Bath: choice.Bath ?? PotSchool.InThePot, Ways: choice.Ways)
            { Timer = choice.Timer, Fresh = choice.Fresh, Rules = RuleBook.Version };
    }

    private static ImmutableArray<Cut> DecideCuts(Mass expected, ImmutableArray<CutChoice> lines, Kitchen kitchen, Oven? oven, ImmutableArray<Problem>.Builder problems)
    {
        if (lines.IsDefaultOrEmpty || lines.Length > CutList.MostLines || lines.Any(l => l is null) || lines.All(l => l.FamilyId is null))
        {
            problems.Add(new("cuts", "cuts", $"From 1 to {CutList.MostLines} cuts are wanted here, one of them to bake."));
            return [];
        }
        var known = problems.Count;
        var families = lines.Select((l, i) => l.FamilyId is { } id ? Known(kitchen.Families.FirstOrDefault(f => f.Id == id), i, "familyId", "family") : null).ToArray();
        var washes = lines.Select((l, i) => Known(Washes.Find(l.WashId ?? families[i]?.UsualWash ?? "none"), i, "washId", "wash")).ToArray();
        var pans = lines.Select((l, i) => l.PanId is { } id ? Known(kitchen.Tins.FirstOrDefault(t => t.Id == id), i, "panId", "pan in this kitchen") : null).ToArray();
        var ovens = lines.Select((l, i) => l.OvenId is { } id && id != oven?.Id ? Known(kitchen.Ovens.FirstOrDefault(o => o.Id == id), i, "ovenId", "oven in this kitchen") : null).ToArray();
        var heats = lines.Select((l, i) => Heat(l.Heat ?? UsualHeat(families[i], ovens[i] ?? oven), i)).ToArray();
        if (problems.Count > known) return [];
        var decided = CutList.Decide(expected, [.. lines.Select((l, i) => new CutLine(l.Pieces, l.Each, families[i]?.Usual, l.Share))]);
        if (!decided.Has(out var shares))
        {
            problems.AddRange(decided.Problems);
            return [];
        }
        for (var i = 0; i < shares.Length; i++)
        {
            var field = lines[i] is { Pieces: null, Each: not null } ? "each" : "pieces";
            if (shares[i].Pieces > MostPieces) Wrong("pieces", i, field, $"{shares[i].Pieces} pieces? From 1 to {MostPieces} can be divided.");
            else if (lines[i].Cold is { } cold && (cold <= TimeSpan.Zero || cold > LongestCold)) Wrong("out-of-range", i, "cold", $"Up to {LongestCold.TotalHours:0} hours in the fridge.");
            else if (shares[i].Each < LightestPiece) Wrong("too-small", i, field, Text($"{shares[i].Each.Grams:0.#} g each is too small to shape; {LightestPiece.Grams:0} g is the least."));
        }
        if (problems.Count == known && shares.Sum(s => s.Pieces) > MostPieces) Wrong("pieces", shares.Length - 1, "pieces", $"{shares.Sum(s => s.Pieces)} pieces altogether? Up to {MostPieces} can be divided.");
        return [.. shares.Select((s, i) => new Cut(s.Pieces, s.Each, s.Pinned, families[i] is { } family ? Baked(family, s, i) : null))];

        Bread Baked(Family family, CutShare share, int i)
        {
            if (family.HeatedBy == HeatedBy.Griddle)
            {
                var griddle = PanLayout.Of(family, share.Each, share.Pieces, kitchen.Griddle!);
                if (griddle is null) Wrong("does-not-fit", i, "each", $"{kitchen.Griddle!.Name} does not hold even one of these.");
                return new(family, heats[i], washes[i]!, kitchen.Griddle, AtOnce: griddle?.Holds ?? 1, Cold: lines[i].Cold);
            }
            var own = ovens[i] ?? oven;
            var pan = PanChoice.Of(family, share.Each, share.Pieces, pans[i] is { } one ? kitchen.Tins.Where(t => t with { Id = one.Id, Name = one.Name } == one) : kitchen.Tins.Where(t => own?.Holds(t) != false), own?.Racks ?? 1, lines[i].Touching).FirstOrDefault();
            if (pans[i] is not null && pan is null) Wrong("does-not-fit", i, "panId", $"{pans[i]!.Name} does not hold even one of these.");
            return new(family, heats[i], washes[i]!, pan?.Layout.Tin, pan is { Loads: > 1 } ? (share.Pieces + pan.Loads - 1) / pan.Loads : null, lines[i].Touching, pan?.Racks ?? 1, Oven: ovens[i], Cold: lines[i].Cold);
        }

        T? Known<T>(T? found, int i, string field, string what) where T : class
        {
            if (found is null) Wrong("unknown", i, field, $"There is no such {what}.");
            return found;
        }

        Temperature Heat(Temperature heat, int i)
        {
            if (families[i]?.HeatedBy == HeatedBy.Griddle) return heat;
            if (heat < BakeWindow.Coolest) Wrong("too-cool", i, "heat", Text($"Bread does not bake under {BakeWindow.Coolest.Celsius:0} °C."));
            else if ((ovens[i] ?? oven)?.Refuses(heat) is { } offDial) problems.Add(offDial with { Field = $"cuts[{i}].heat" });
            return heat;
        }

        void Wrong(string code, int i, string field, string reason) => problems.Add(new(code, $"cuts[{i}].{field}", reason));
    }

    // What the dial is set to when nobody says: lower with a fan, on a mark, and no further than it goes.
    private static Temperature UsualHeat(Family? family, Oven? oven)
    {
        if (family?.HeatedBy == HeatedBy.Griddle) return family.Bake.Heat;
        var wanted = (family?.Bake.Heat.Celsius ?? BakeWindow.Coolest.Celsius) - (oven?.Fan == true ? Oven.FanLowers : 0);
        return oven?.Nearest(Temperature.FromCelsius(wanted)) ?? Temperature.FromCelsius(wanted);
    }

    private static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
