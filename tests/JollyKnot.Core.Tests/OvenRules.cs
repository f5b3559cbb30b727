using CsCheck;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;
using static JollyKnot.Core.Tests.DemoFormulas;

namespace JollyKnot.Core.Tests;

/// <summary>Heat in the middle of a piece, and what a probe says.</summary>
public sealed class OvenRules
{
    private static readonly Temperature Boils = Celsius(100);

    [Theory]
    [InlineData(Body.Sphere, 1.5708, 1.2732), InlineData(Body.Cylinder, 1.2558, 1.2071), InlineData(Body.Slab, .8603, 1.1191)]
    public void The_first_term_is_the_textbooks(Body body, double zeta, double c)
    {
        var (z, coefficient) = Conduction.Roots(body, 1)[0];
        (z, coefficient).ShouldSatisfyAllConditions(r => r.z.ShouldBe(zeta, 1e-4), r => r.coefficient.ShouldBe(c, 1e-4));
    }

    [Theory]
    [
        InlineData("pan-roll", 90, 11.2),
        InlineData("crusty-roll", 96, 13.9),
        InlineData("round-bun", 90, 10.7),
        InlineData("long-bun", 90, 10.4),
        InlineData("knot", 90, 10.5),
        InlineData("pretzel", 96, 12.5)
    ]
    [
        InlineData("plait-3", 90, 15.2),
        InlineData("coil", 90, 19.2),
        InlineData("baton", 96, 18.1),
        InlineData("tin-loaf", 96, 27.8),
        InlineData("filled-loaf", 93, 22.6),
        InlineData("tray-bread", 96, 21.9)
    ]
    [InlineData("pocket-flatbread", 96, 3.7), InlineData("griddle-flatbread", 96, 2.6), InlineData("griddle-round", 90, 8.7)]
    public void The_middle_is_done_when_bakers_find_it_done(string id, double wanted, double minutes)
    {
        var family = Families.Find(id)!;
        var shape = family.BodyOf(family.Usual);
        CoreHeat.At(shape, family.Bake.Heat, false, Minutes(minutes), Boils).Celsius.ShouldBe(wanted, .8);
        CoreHeat
            .TimeTo(shape, family.Bake.Heat, false, Celsius(wanted), Boils)!
            .Value.TotalMinutes.ShouldBe(minutes, minutes * .055);
    }

    [Fact]
    public void Two_readings_say_when_it_is_done()
    {
        ProbeReading[] read = [new(Minutes(14), Celsius(71)), new(Minutes(18), Celsius(82))];
        Probe.Done(read, Celsius(90), Boils)!.Likely.TotalMinutes.ShouldBe(22.8, .05);
        Probe.Done(read[..1], Celsius(90), Boils).ShouldBeNull();
        Probe.Done([new(Minutes(14), Celsius(50)), new(Minutes(18), Celsius(60))], Celsius(90), Boils).ShouldBeNull();
        Probe.Done([new(Minutes(14), Celsius(71)), new(Minutes(15), Celsius(74))], Celsius(90), Boils).ShouldBeNull();
        Probe
            .Done([new(Minutes(14), Celsius(71)), new(Minutes(18), Celsius(91))], Celsius(90), Boils)!
            .Likely.ShouldBe(Minutes(18));
    }

    [Fact]
    public void Two_readings_of_the_physics_are_right_within_a_minute_and_a_half() =>
        Gen.Select(
                Gen.Int[0, Families.All.Length - 1],
                Gen.Double[.8, 1.25],
                Gen.Double[-6, 6],
                Gen.Double[0, 1],
                Gen.Double[0, 1],
                Gen.Bool,
                Gen.Bool
            )
            .ForAll(
                (which, size, hotter, first, second, fan, rich) =>
                {
                    var family = Families.All[which];
                    var (shape, air) = (
                        family.BodyOf(family.Usual * size),
                        Celsius(family.Bake.Heat.Celsius + (family.HeatedBy == HeatedBy.Griddle ? 0 : hotter))
                    );
                    var wanted = Celsius(
                        !rich ? 96
                        : family.Form is Form.Loaf or Form.Swirl ? 93
                        : 90
                    );
                    if (
                        CoreHeat.TimeTo(shape, air, fan, wanted, Boils) is not { } truth
                        || CoreHeat.TimeTo(shape, air, fan, Celsius(65.1), Boils) is not { } from
                    )
                        return;
                    // Anywhere between 65 °C and done, at least two minutes apart.
                    var room = truth - from - Probe.Apart;
                    if (room < TimeSpan.Zero)
                        return;
                    var at = from + room * first;
                    var then = at + Probe.Apart + (truth - at - Probe.Apart) * second;
                    ProbeReading Read(TimeSpan t) => new(t, CoreHeat.At(shape, air, fan, t, Boils));
                    Probe.Doubts([Read(at)], Read(then), Boils).ShouldBeNull();
                    var piece = new PieceInOven(shape, Celsius(family.Bake.Heat.Celsius), fan);
                    var done = Probe.Done([Read(at), Read(then)], wanted, Boils, piece)!;
                    var off = Minutes(family.Form is Form.Loaf or Form.Swirl ? 3 : 1.5);
                    (truth > done.From - off && truth < done.To + off).ShouldBeTrue($"{family.Id} {truth} {done}");
                    // What reckons otherwise weighs less with each reading.
                    var again = Probe.Done([Read(at), Read((at + then) / 2), Read(then)], wanted, Boils, piece)!;
                    (again.To - again.From).ShouldBeLessThanOrEqualTo(done.To - done.From + Minutes(.5), family.Id);
                },
                iter: 1200
            );

    [Theory]
    [
        InlineData(185, "over-boiling:fahrenheit", 85.0),
        InlineData(204, "over-boiling:fahrenheit", 95.6),
        InlineData(250, "over-boiling", 250.0)
    ]
    [
        InlineData(60, "falling", 70.0),
        InlineData(99, "jumping", 99.0),
        InlineData(-5, "too-cold", null),
        InlineData(74, null, null)
    ]
    public void A_reading_that_cannot_be_is_asked_back(double core, string? code, double? says)
    {
        var doubt = Probe.Doubts([new(Minutes(10), Celsius(70))], new(Minutes(10.5), Celsius(core)), Boils);
        doubt?.Code.ShouldBe(code);
        (doubt is null).ShouldBe(code is null);
        if (says is { } told)
            doubt!.Says.OfType<Temperature>().Last().Celsius.ShouldBe(told, .05);
    }

    [Fact]
    public void Hotter_longer_or_smaller_is_never_cooler_inside() =>
        Gen.Select(
                Gen.Int[0, Families.All.Length - 1],
                Gen.Double[130, 270],
                Gen.Double[0, 60],
                Gen.Double[0, 5],
                Gen.Double[0, 20]
            )
            .ForAll(
                (which, air, minutes, later, hotter) =>
                {
                    var shape = Families.All[which].BodyOf(Families.All[which].Usual);
                    var core = CoreHeat.At(shape, Celsius(air), false, Minutes(minutes), Boils).Celsius;
                    CoreHeat
                        .At(shape, Celsius(air), false, Minutes(minutes + later), Boils)
                        .Celsius.ShouldBeGreaterThanOrEqualTo(core - .05);
                    CoreHeat
                        .At(shape, Celsius(air + hotter), false, Minutes(minutes), Boils)
                        .Celsius.ShouldBeGreaterThanOrEqualTo(core - .05);
                    core.ShouldBeInRange(28 - 1e-6, 101);
                }
            );
}
