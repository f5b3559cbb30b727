using System.Collections.Immutable;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;

namespace JollyKnot.Core.Tests;

/// <summary>What a problem says.</summary>
internal static class ProblemSays
{
    public static void ShouldBeProblem(this Problem problem, string code, string field, params object[] says)
    {
        (problem.Code, problem.Field).ShouldBe((code, field));
        problem.Says.ShouldBe(says);
    }
}

/// <summary>A bake decided otherwise in one thing.</summary>
internal static class SpecWith
{
    public static BakeSpec With(this BakeSpec spec, Func<Bread, Bread> change) =>
        spec with
        {
            Made = spec.Made with { Cuts = [.. spec.Cuts.Select(c => c with { Bread = change(c.Bread!) })] },
        };

    public static BakeSpec Wanted(this BakeSpec spec, DateTimeOffset? by) => spec with { Wish = spec.Wish with { ReadyBy = by } };

    public static BakeSpec Fresh(this BakeSpec spec, TimeSpan? within) => spec with { Wish = spec.Wish with { Fresh = within } };

    public static BakeSpec Cold(this BakeSpec spec, TimeSpan? cold) =>
        spec with
        {
            Handling = spec.Handling with { Cold = cold },
        };

    public static BakeSpec Boiled(this BakeSpec spec, PotSchool bath) =>
        spec with
        {
            Handling = spec.Handling with { Bath = bath },
        };

    public static BakeSpec Loaded(this BakeSpec spec, LoadSchool school) =>
        spec with
        {
            Handling = spec.Handling with { School = school },
        };

    public static BakeSpec In(this BakeSpec spec, Machine machine) => spec with { Tools = spec.Tools with { Machine = machine } };

    public static BakeSpec At(this BakeSpec spec, Place place) => spec with { Tools = spec.Tools with { Place = place } };

    public static BakeSpec InRoomOf(this BakeSpec spec, Temperature room) =>
        spec with
        {
            Around = spec.Around with { Room = room },
        };

    public static BakeSpec Knowing(this BakeSpec spec, ImmutableDictionary<string, double> ovens) =>
        spec with
        {
            Learned = spec.Learned with { OvenPaces = ovens },
        };
}
