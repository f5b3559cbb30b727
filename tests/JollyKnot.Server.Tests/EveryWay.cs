using System.Collections.Immutable;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Demo;
using JollyKnot.Server.Words;
using Xunit.Abstractions;

namespace JollyKnot.Server.Tests;

/// <summary>Every family, by every way, mixed by machine, by hand or from the fridge, in either units: no sentence with a word
/// that does not belong there, a wrong plural, an empty figure, or a beat before its time.</summary>
public sealed partial class EveryWay(ITestOutputHelper output)
{
    private static readonly DateTimeOffset Now = new(2026, 11, 28, 8, 0, 0, TimeSpan.Zero);

    private static readonly HouseholdUnits Ounces = new(MassUnit.Ounces, TemperatureUnit.Fahrenheit, LengthUnit.Inches);

    // What is walked.
    private sealed record Way(Family Family, int Pieces, string Mixer, bool NoScale, bool Ounces)
    {
        public override string ToString() =>
            $"{Pieces} {Family.Name}, {Mixer}, {(NoScale ? "no scale" : "scale")}, {(Ounces ? "ounces" : "grams")}";
    }

    private static readonly int[] Counts = [1, 6];
    private static readonly string[] Mixers = ["blue", "white", "hand", "cold"];
    private static readonly bool[] Either = [false, true];

    private static IEnumerable<Way> All() =>
        from family in DemoWorld.Kitchen.Families
        from pieces in Counts
        from mixer in Mixers
        from noScale in Either
        from ounces in Either
        select new Way(family, pieces, mixer, noScale, ounces);

    private static readonly ImmutableArray<PartDraft> Parts =
    [
        new(PartKind.Filling, "cheese", [new("hard cheese", Mass.FromGrams(60))]),
        new(PartKind.Topping, "sesame seeds", [new("sesame seeds", Mass.FromGrams(9))]),
        new(PartKind.Topping, "leeks", [new("raw leek", Mass.FromGrams(200))], Moment: PartMoment.PartWay),
        new(PartKind.Butter, "herb butter", [new("butter", Mass.FromGrams(30)), new("fresh herbs", Mass.FromGrams(4))]),
        new(PartKind.Surface, "semolina", [new("semolina", Mass.FromGrams(8))]),
        new(PartKind.Topping, "sugar", [new("sugar", Mass.FromGrams(20))], Moment: PartMoment.Cold),
    ];

    private static readonly Dough Any = Dough
        .Create(
            new(
                "Any",
                [
                    new("plain flour", Mass.FromGrams(400)),
                    new("water", Mass.FromGrams(240)),
                    new("honey", Mass.FromGrams(10)),
                    new("egg", Mass.FromGrams(50)),
                    new("salt", Mass.FromGrams(8)),
                    new("yeast", Mass.FromGrams(4)),
                    new("pumpkin seeds", Mass.FromGrams(20), AtBeep: true),
                ],
                Parts
            )
        )
        .Value;

    // Null where so few are too large for the griddle.
    private static BakeSpec? Spec(Way way)
    {
        var kitchen = DemoWorld.Kitchen with { Units = way.Ounces ? Ounces : null, NoScale = way.NoScale };
        var choice = new BakeChoice(way.Mixer == "cold" ? "hand" : way.Mixer, "wall", "light")
        {
            Cuts = [new(way.Family.Id, way.Pieces, WashId: "egg") { Slashes = way.Family.Scored ? Slashes.Long : null }],
            Folds = way.Mixer == "hand" ? new(2, TimeSpan.FromMinutes(20)) : null,
            Ways = Ways.Usual with { Buttered = true, Steam = way.Family.Steamed ? Core.Baking.Steam.Stones : null },
        };
        var place = kitchen.AllPlaces.FirstOrDefault(p => p.Id == "light") ?? kitchen.AllPlaces.Skip(1).First();
        if (!BakeDecision.Of(Any, choice with { PlaceId = place.Id }, kitchen, Now).Has(out var spec))
            return null;
        var lump = new Lump(Guid.Empty, 0, spec.ExpectedDough, Now.AddHours(-12));
        return way.Mixer == "cold" ? spec with { Made = spec.Made with { From = lump } } : spec;
    }

    [Fact]
    public void No_sentence_says_what_does_not_belong_there()
    {
        var wrong = new SortedDictionary<string, Way>();
        var (walked, said) = (0, 0);
        foreach (var way in All())
        {
            if (Spec(way) is not { } spec)
                continue;
            var words = new Voice(way.Ounces ? Ounces : HouseholdUnits.Plain);
            var layout = Layout.Of(spec, Now);
            var station = spec.Station(spec.ExpectedDough, SoFar.Nothing(Now).Parts);
            foreach (var slot in layout.Timetable.Slots)
            {
                var phrase = words.Of(slot.Step, spec, station);
                string[] texts =
                [
                    phrase.Short,
                    phrase.Say,
                    phrase.Detail,
                    phrase.Button,
                    phrase.Figure is { } f ? $"{f.Value} {f.Unit}" : "1 x",
                ];
                foreach (var text in texts)
                {
                    said++;
                    foreach (var why in Wrong(text, way))
                        wrong.TryAdd($"{why}: [{slot.Step.Kind}] {text}", way);
                }
                if (slot.Step.IsBeat && (phrase.Say.Length == 0 || phrase.Button.Length == 0))
                    wrong.TryAdd($"empty: [{slot.Step.Kind}]", way);
            }
            foreach (var caution in Cautions.Of(layout.Steps))
                foreach (var why in Wrong(words.Of(caution.Caution, spec), way))
                    wrong.TryAdd($"{why}: caution {words.Of(caution.Caution, spec)}", way);
            foreach (var early in BeforeItsTime(layout))
                wrong.TryAdd($"out of order: {early}", way);
            walked++;
        }
        output.WriteLine($"{walked} ways walked, {said} sentences read.");
        wrong.Take(25).Select(w => $"{w.Key} ({w.Value})").ShouldBeEmpty();
        walked.ShouldBeGreaterThan(500);
    }

    [Fact]
    public async Task No_answer_of_the_api_is_in_other_units_than_the_households()
    {
        using var house = new House();
        var kitchen = (await house.Get("/api/kitchen/setup")).Body;
        kitchen["units"] = JsonNode.Parse("""{"mass":"ounces","temperature":"fahrenheit","length":"inches"}""");
        kitchen["scaleStep"] = null;
        (await house.Call(HttpMethod.Put, "/api/kitchen/setup", kitchen)).Status.ShouldBe(200);
        var wrong = new SortedSet<string>();
        // What a household calls its things is its own.
        var named = kitchen["tins"]!.AsArray().Select(t => (string)t!["name"]!).ToHashSet();
        var way = new Way(Families.Find("pan-roll")!, 6, "blue", false, true);
        async Task Read(string path, object? body = null)
        {
            var (status, answer) = body is null ? await house.Get(path) : await house.Post(path, body);
            status.ShouldBeLessThan(500, path);
            foreach (var text in Texts(answer).Where(t => !named.Contains(t)))
                foreach (var why in Wrong(text, way))
                    wrong.Add($"{why}: {path}: {text}");
        }
        foreach (var family in DemoWorld.Kitchen.Families)
            await Read("/api/layouts", House.Layout(choice: House.Choice(family: family.Id)));
        await Read("/api/layouts", House.Layout(choice: House.Choice(machine: "white")));
        await Read("/api/layouts", House.Layout(choice: House.Choice(heat: 400)));
        foreach (var path in (string[])["/api/today", "/api/day", "/api/kitchen", "/api/doughs", "/api/logbook", "/api/larder"])
            await Read(path);
        var id = await house.Bake(House.Choice(family: "plait-3", pieces: 2));
        for (var bake = (await house.Get($"/api/bakes/{id}")).Body; bake["beat"] is { } beat;)
        {
            await Read($"/api/bakes/{id}");
            await house.Tell(id, new { type = "step-skipped", step = (string)beat["step"]! });
            bake = (await house.Get($"/api/bakes/{id}")).Body;
        }
        wrong.Take(25).ShouldBeEmpty();
    }

    // Every text of an answer, but what is kept as it was typed.
    private static IEnumerable<string> Texts(JsonNode? node) =>
        node switch
        {
            JsonObject thing => thing
                .Where(p => p.Key is not ("note" or "method" or "recipe" or "units" or "scaleSteps"))
                .SelectMany(p => Texts(p.Value)),
            JsonArray list => list.SelectMany(Texts),
            JsonValue value when value.TryGetValue<string>(out var text) => [text],
            _ => [],
        };

    private static IEnumerable<string> Wrong(string told, Way way)
    {
        // What a household calls its things is its own.
        var text = DemoWorld.Kitchen.Tins.Aggregate(
            told,
            (t, tin) => t.Replace(tin.Name, "tin", StringComparison.OrdinalIgnoreCase)
        );
        if (way.Ounces && Metric().IsMatch(text))
            yield return "metric";
        if (!way.Ounces && American().IsMatch(text))
            yield return "not metric";
        if (way.Mixer is "hand" or "cold" && OfMachine().IsMatch(text))
            yield return "machine";
        if (way.NoScale && Weighed().IsMatch(text))
            yield return "weighed";
        if (OnePlural().IsMatch(text))
            yield return "plural";
        if (way.Pieces == 1 && way.Family.Strands == 1 && Many().IsMatch(text))
            yield return "several";
        if (Unfilled().IsMatch(text))
            yield return "unfilled";
    }

    // What holds in every bake: each of these is over before the next begins.
    private static readonly ImmutableArray<string> InOrder =
    [
        "start-cycle",
        "take-out",
        "weigh-dough",
        "divide",
        "shape",
        "start-proof",
        "load",
        "unload",
        "review",
    ];

    private static IEnumerable<string> BeforeItsTime(Layout layout)
    {
        var starts = InOrder
            .Select(kind => layout.Timetable.Slots.Where(s => s.Step.Kind.Name == kind).Select(s => (kind, s.Start)))
            .SelectMany(s => s.Take(1))
            .ToList();
        for (var i = 1; i < starts.Count; i++)
            if (starts[i].Start < starts[i - 1].Start)
                yield return $"{starts[i].kind} before {starts[i - 1].kind}";
    }

    [GeneratedRegex(@"\d (?:g|kg|mm|cm)\b|°C")]
    private static partial Regex Metric();

    [GeneratedRegex(@"\d oz\b|°F|\d in\b")]
    private static partial Regex American();

    [GeneratedRegex(@"\b(?:paddles?|the pan|program|dough cycle|lid)\b", RegexOptions.IgnoreCase)]
    private static partial Regex OfMachine();

    [GeneratedRegex(@"\bweigh|\bscale\b|\d (?:g|oz)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Weighed();

    [GeneratedRegex(
        @"\b(?:1|one) (?:\w+[- ])*?(?:loaves|rolls|buns|knots|pretzels|plaits|twists|batons|\w*breads|rounds|batches|paddles)\b"
            + @"|\b1 of 1\b"
    )]
    private static partial Regex OnePlural();

    [GeneratedRegex(@"\b(?:them|they|all \d)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Many();

    [GeneratedRegex(@"NaN|∞|\{|\(\)|  | \.|\b0 (?:g|oz)\b")]
    private static partial Regex Unfilled();
}
