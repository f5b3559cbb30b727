// Writes what screens show, one thing a line and numbers rounded, so that two recordings can be held side by side.
using System.Globalization;
using System.Text.Json.Nodes;

namespace JollyKnot.Recorder;

internal sealed class Sheet(TextWriter to)
{
    // Points of drawn curves: the figures beside them say the same.
    private static readonly string[] TooLong = ["curve", "steps", "next", "calling"];

    public void Line(string text) => to.WriteLine(text);

    /// <summary>A whole thing in one line.</summary>
    public void Thing(string name, JsonNode? thing)
    {
        if (thing is not null)
            Line($"  {name}: {Text(thing)}");
    }

    /// <summary>The one thing now, as said, asked and warned of.</summary>
    public void Beat(JsonNode beat, DateTimeOffset now)
    {
        var phrase = beat["phrase"]!;
        var when = beat["isDue"]!.GetValue<bool>() ? "now" : $"at {Time(beat["due"]!)}";
        Line($"{now:HH:mm:ss} {beat["step"]} {when} [{beat["ending"]}] {beat["say"]}");
        Line(
            $"  {phrase["short"]} | {phrase["say"]} | {phrase["detail"]} | {phrase["button"]} | {Text(phrase["figure"])} "
                + $"| {Text(beat["expected"])}"
        );
        foreach (var answer in beat["answers"]!.AsArray())
            Line($"  ? {Text(answer)}");
        foreach (var caution in beat["cautions"]!.AsArray())
            Line($"  ! {caution}");
    }

    /// <summary>Steps with their times.</summary>
    public void Steps(JsonNode steps)
    {
        foreach (var step in steps.AsArray())
            Line($"  - {Time(step!["start"]!)}–{Time(step["end"]!)} {step["step"]} {step["state"]} {step["short"]}");
    }

    public static string Text(JsonNode? node) =>
        node switch
        {
            null => "-",
            JsonArray list => $"[{string.Join(", ", list.Select(Text))}]",
            JsonObject thing =>
                $"{{{string.Join(", ", thing.Where(m => !TooLong.Contains(m.Key)).Select(m => $"{m.Key} {Text(m.Value)}"))}}}",
            JsonValue value when value.TryGetValue<double>(out var number) => Rounded(number),
            _ => node.ToString(),
        };

    private static string Rounded(double number) => number.ToString("G6", CultureInfo.InvariantCulture);

    private static string Time(JsonNode at) =>
        DateTimeOffset
            .Parse(at.ToString(), CultureInfo.InvariantCulture)
            .UtcDateTime.ToString("dd HH:mm:ss", CultureInfo.InvariantCulture);
}
