// From what a baker chose to a bake that is decided: everything looked up in the kitchen and held against its limits.
using JollyKnot.Core.Baking;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Plans;

/// <summary>Decides bakes.</summary>
public static class BakeDecision
{
    /// <summary>Checks a choice against the kitchen.</summary>
    /// <param name="dough">The dough.</param>
    /// <param name="choice">The choice.</param>
    /// <param name="kitchen">The kitchen it is made in.</param>
    /// <param name="now">The time now, which "ready by" must not be before.</param>
    /// <returns>The spec, or every problem with its field. A batch over the machine's limit is a problem.</returns>
    public static Outcome<BakeSpec> Of(Dough dough, BakeChoice choice, Kitchen kitchen, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(dough);
        ArgumentNullException.ThrowIfNull(choice);
        ArgumentNullException.ThrowIfNull(kitchen);
        var found = new ProblemList();
        var room = choice.Room ?? kitchen.RoomAt(choice.ReadyBy ?? now);
        var machine = MachineOf(choice, kitchen, found);
        var oven = found.Found(kitchen.Dials.FirstOrDefault(o => o.Id == choice.OvenId), "unknown:oven", "ovenId");
        var place = found.Found(kitchen.AllPlaces.FirstOrDefault(p => p.Id == choice.PlaceId), "unknown:place", "placeId");

        found.If(!Kitchen.Rooms.Holds(room), "room", "room", room, Kitchen.Rooms.From, Kitchen.Rooms.To);
        if (!choice.Meant && dough.Lacks.FirstOrDefault() is { } lacks)
            found.Add(new Problem(lacks, "meant"));
        found.Add(Wish.TimeProblem(choice.ReadyBy, now, "readyBy"));
        found.Add(machine?.Refuses(Formula.Of(dough)));
        found.Add(Handling.ColdProblem(choice.Cold, "cold"));
        found.Add(Wish.FreshProblem(choice.Fresh, "fresh"));
        found.Add(TimerProblem(choice.Timer, dough, machine, room));
        found.Add(choice.Times?.Wrong("times"));
        found.Add(choice.Folds?.Wrong("folds"));
        found.If(choice.Grown is { } grown && !Grows.Holds(grown), "out-of-range:between", "grown", Grows.From, Grows.To);
        found.If(choice.Knead is { } knead && !Kneads.Holds(knead), "out-of-range:between", "knead", Kneads.From, Kneads.To);
        found.Add(AfterCycle.Problem(choice.After?.Bulk, "after.bulk"));
        found.If(choice.Ways is { } ways && !IsKnown(ways), "unknown:ways", "ways");
        var bowl = choice.BowlPlaceId is { } bowlId
            ? found.Found(kitchen.AllPlaces.FirstOrDefault(p => p.Id == bowlId && p.Made is null), "unknown:place", "bowlPlaceId")
            : null;
        bool Steamed(Shaping.Family family) =>
            BakeSpec.SteamOf(family, choice.Ways ?? Ways.Usual, () => Formula.Of(dough)).Stands();
        var cuts = new CutDecision(kitchen, oven, Steamed, dough.Parts.Any(p => p.Kind == PartKind.Bath), found).Of(
            Formula.Yield(dough.Total),
            choice.Cuts
        );
        if (found.Count > 0)
            return found.All;

        return new BakeSpec(
            new Made(dough, cuts),
            new Tools(AsHandsDoIt(machine!, choice), oven!, place!, kitchen.Pot),
            HandlingOf(choice, machine!) with
            {
                Bowl = bowl,
            },
            AroundOf(kitchen, room) with
            {
                NoScale = choice.NoScale ?? kitchen.NoScale,
            },
            new Wish(choice.ReadyBy, choice.Fresh),
            Learned.Nothing,
            RuleBook.Version
        );
    }

    // From a rest that shows to three times its size; from a turn in the bowl to a long quarter of an hour and more. Ours.
    private static readonly Band<double> Grows = new(.1, 2);
    private static readonly Band<TimeSpan> Kneads = new(TimeSpan.FromMinutes(1), TimeSpan.FromMinutes(60));

    // By hand there is no cycle: it is kneaded and left to rise as long as this baker says.
    private static Machine AsHandsDoIt(Machine machine, BakeChoice choice) =>
        machine.ByHand
            ? machine.Kneading(choice.Knead ?? machine.Kneads, choice.After?.Bulk ?? machine.CycleLength - machine.KneadEnd)
            : machine;

    private static Machine? MachineOf(BakeChoice choice, Kitchen kitchen, ProblemList found)
    {
        var machine = kitchen.Mixers.FirstOrDefault(m => m.Id == choice.MachineId);
        found.If(machine is null, "unknown:machine", "machineId");
        if (machine is null || choice.Program is not { } program)
            return machine;
        return found.Found(machine.SetTo(program), "unknown:program", "program");
    }

    private static Problem? TimerProblem(TimeSpan? timer, Dough dough, Machine? machine, Temperature room)
    {
        if (timer is not { } delay)
            return null;
        if (delay <= TimeSpan.Zero || delay > Handling.LongestTimer)
            return new("out-of-range:timer", "timer", Handling.LongestTimer);
        if (machine?.ByHand == true)
            return new("by-hand", "timer");
        if (dough.Rows.Any(r => r.AtBeep))
            return new("at-the-beep", "timer");
        return PanLoad.RefusesDelay(dough, delay, room) is { } stands ? stands with { Field = "timer" } : null;
    }

    private static bool IsKnown(Ways ways) =>
        Enum.IsDefined(ways.Cover)
        && Enum.IsDefined(ways.Later)
        && Enum.IsDefined(ways.Steam ?? Steam.None)
        && Enum.IsDefined(ways.Cooling ?? CoolingWay.Rack);

    private static Handling HandlingOf(BakeChoice choice, Machine machine) =>
        new(
            choice.School ?? LoadSchool.Plain,
            machine.ByHand ? null : choice.After,
            choice.Timer,
            choice.Cold,
            choice.Bath ?? PotSchool.InThePot,
            choice.Ways ?? Ways.Usual,
            choice.Times
        )
        {
            Folds = choice.Folds,
            Grown = choice.Grown,
        };

    private static Around AroundOf(Kitchen kitchen, Temperature room) =>
        new(
            room,
            kitchen.Boils,
            kitchen.Hob ?? Pot.UsualHob,
            kitchen.ScaleStep ?? Kitchen.UsualScaleStep(kitchen.Units),
            kitchen.Tolerance ?? Dividing.Tolerance.Usual
        );
}
