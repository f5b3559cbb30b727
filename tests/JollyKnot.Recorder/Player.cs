// Goes through a bake as somebody would: answers whatever the bench asks, and writes down what it said.
using System.Globalization;
using System.Text.Json.Nodes;

namespace JollyKnot.Recorder;

internal sealed class Player(StillHouse house, Dice dice, Sheet? sheet)
{
    private const int MostBeats = 400;
    private static readonly string[] Milestones = ["weigh-dough", "start-proof", "load", "unload"];
    private static readonly string[] Figures =
    [
        "proof",
        "check",
        "shape",
        "inOven",
        "bath",
        "finish",
        "firstRise",
        "display",
        "station",
    ];
    private static readonly object Frame = new
    {
        width = 1200,
        slim = false,
        utcOffsetMinutes = 60,
    };
    private static readonly string[] Feels = ["ragged", "stiff", "right", "right", "right", "sticky", "pooling"];
    private static readonly string[] Outs = ["stiff", "right", "right", "sticky"];
    private static readonly string[] Sights = ["third", "half", "three-quarters", "doubled", "over", "springs-back", "slow-dent"];
    private int looks;

    /// <summary>Plays until the bench asks for this step, or until the end when none is named.</summary>
    public async Task Play(Guid bake, string? until = null)
    {
        for (var i = 0; i < MostBeats; i++)
        {
            var view = (await house.Get($"/api/bakes/{bake}")).Body;
            if (view["beat"] is not { } beat)
                return;
            if (until is not null && beat["step"]!.ToString() == until)
                return;
            if (!beat["isDue"]!.GetValue<bool>())
                house.PassUntil(At(beat["due"]!));
            house.Pass(TimeSpan.FromSeconds(dice.Between(0, 150)));

            view = (await house.Get($"/api/bakes/{bake}")).Body;
            beat = view["beat"]!;
            Write(view, beat);
            var step = beat["step"]!.ToString();
            view = await Aside(bake, view);
            var answer = await house.Tell(bake, dice.Id(), view, Answer(view, beat));
            if (!answer.Ok)
                sheet?.Line($"  refused {answer.Status}: {Sheet.Text(answer.Body["problems"])}");
            if (answer.Status == 400)
                await house.Tell(bake, dice.Id(), view, Of("step-skipped", ("step", step)));
            if (answer.Ok && Milestones.Contains(step.Split('@')[0]))
                await Milestone(bake, answer.Body["bench"]!);
        }
    }

    /// <summary>Writes steps and picture of a bake as it stands.</summary>
    public async Task Milestone(Guid bake, JsonNode view)
    {
        if (sheet is null)
            return;
        sheet.Steps(view["steps"]!);
        sheet.Thing("picture", (await house.Post($"/api/bakes/{bake}/picture", Frame)).Body);
    }

    private void Write(JsonNode view, JsonNode beat)
    {
        if (sheet is null)
            return;
        sheet.Beat(beat, house.Now);
        foreach (var figure in Figures)
            sheet.Thing(figure, view[figure]);
        sheet.Thing("next", new JsonArray([.. view["next"]!.AsArray().Select(s => (JsonNode)$"{s!["start"]} {s["short"]}")]));
        sheet.Thing("calling", new JsonArray([.. view["calling"]!.AsArray().Select(s => (JsonNode)s!["short"]!.ToString())]));
    }

    // What may be told beside the step that is asked for.
    private async Task<JsonNode> Aside(Guid bake, JsonNode view)
    {
        if (view["inOven"] is { } oven && dice.Chance(.3))
        {
            var since = house.Now - At(oven["loaded"]!);
            var core = Math.Round(Math.Min(97, 40 + 3 * since.TotalMinutes));
            view = await Told(bake, view, Of("probe-read", ("load", oven["load"]!.DeepClone()), ("core", core)));
        }
        if (view["proof"] is { } proof && dice.Chance(.1))
            view = await Told(
                bake,
                view,
                Of("place-measured", ("proof", proof["step"]!.DeepClone()), ("heat", dice.Between(16, 36)))
            );
        if (view["calling"]!.AsArray().Count > 0 && dice.Chance(.2))
            view = await Told(bake, view, Of("alarms-hushed"));
        if (view["undo"] is { } last && dice.Chance(.04))
        {
            view = await Told(bake, view, Of("undone", ("position", last["position"]!.DeepClone())));
            view = await Told(bake, view, Of("undone", ("position", view["position"]!.DeepClone())));
        }
        return view;
    }

    private async Task<JsonNode> Told(Guid bake, JsonNode view, JsonObject told)
    {
        var answer = await house.Tell(bake, dice.Id(), view, told);
        sheet?.Line($"  told {told["type"]}: {(answer.Ok ? answer.Body["position"] : Sheet.Text(answer.Body["problems"]))}");
        return answer.Ok ? answer.Body["bench"]! : view;
    }

    private JsonObject Answer(JsonNode view, JsonNode beat)
    {
        var step = beat["step"]!.DeepClone();
        if (dice.Chance(.02))
            return Of("step-skipped", ("step", step));
        switch (beat["ending"]!.ToString())
        {
            case "mass":
                var weighIn = beat["step"]!.ToString().StartsWith("weigh-in-", StringComparison.Ordinal);
                var mass = Math.Round(dice.Around(beat["expected"]!.GetValue<double>(), weighIn ? .01 : .02), 1);
                return Of(weighIn ? "ingredient-weighed" : "dough-weighed", ("step", step), ("mass", Math.Max(mass, .1)));
            case "parts":
                var station = view["station"]!;
                var grams = station["target"]!.GetValue<double>() * station["scale"]!["grams"]!.GetValue<double>();
                return Of(
                    "part-weighed",
                    ("number", station["next"]!.DeepClone()),
                    ("mass", Math.Round(dice.Around(grams, .05), 1))
                );
            case "feel":
                var feel = dice.Of(Feels);
                var dose = beat["answers"]!.AsArray().First(a => a!["value"]!.ToString() == feel)!;
                return Of(
                    "dough-checked",
                    ("step", step),
                    ("feel", feel),
                    ("water", dose["water"]!.DeepClone()),
                    ("flour", dose["flour"]!.DeepClone())
                );
            case "take-out":
                var told = Of("dough-taken-out", ("step", step), ("feel", dice.Of(Outs)));
                if (dice.Chance(.3))
                    told["bulk"] = 600 * dice.Between(0, 6);
                return told;
            case "look":
                return Of("proof-looked", ("step", step), ("seen", ++looks % 5 == 0 ? "doubled" : dice.Of(Sights)));
            case "review":
                return Of("reviewed", ("step", step), ("stars", dice.Between(1, 5)), ("note", "Again."));
            default:
                return Of("step-done", ("step", step));
        }
    }

    public static JsonObject Of(string type, params (string Name, JsonNode? Value)[] members)
    {
        var told = new JsonObject { ["type"] = type };
        foreach (var (name, value) in members)
            told[name] = value;
        return told;
    }

    private static DateTimeOffset At(JsonNode at) => DateTimeOffset.Parse(at.ToString(), CultureInfo.InvariantCulture);
}
