// What a step is called: its kind, its batch and its number. On disk and on the wire it is a text, such as "look-2@3".
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.RegularExpressions;

namespace JollyKnot.Core.Steps;

/// <summary>What happens in a step. A step's rule says which there are.</summary>
/// <param name="Name">Stable; the number of the step, where it has one, stands at <c>#</c>, such as <c>check-#</c>.</param>
public readonly record struct StepKind(string Name)
{
    /// <inheritdoc/>
    public override string ToString() => Name ?? "";
}

/// <summary>A step's name: unique within its bake, and stable while it runs.</summary>
/// <param name="Kind">What happens.</param>
/// <param name="Batch">Which batch's it is; 0 for the first batch, and for what is done for the whole dough.</param>
/// <param name="Number">Which of several; 1 for the first, 0 where there is only one.</param>
[JsonConverter(typeof(StepIdJsonConverter))]
public readonly partial record struct StepId(StepKind Kind, int Batch = 0, int Number = 0)
{
    // What stands between a step and the batch it is of, counted from 1; the first batch is not marked.
    private const char BatchMark = '@';
    private const string NumberMark = "#";

    /// <summary>The id as text.</summary>
    public override string ToString()
    {
        var name = Number == 0 ? Kind.ToString() : Kind.ToString().Replace(NumberMark, Digits(Number), StringComparison.Ordinal);
        return Batch == 0 ? name : name + BatchMark + Digits(Batch + 1);
    }

    /// <summary>Reads an id. Any text is one; one that no rule makes is of a kind that no rule has.</summary>
    /// <param name="text">As written.</param>
    public static StepId Parse(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Contains(NumberMark, StringComparison.Ordinal))
            return new(new(text));
        var read = Shape().Match(text);
        var number = read.Groups["number"];
        var name = number.Success
            ? read.Groups["before"].Value + NumberMark + read.Groups["after"].Value
            : read.Groups["before"].Value;
        var batch = read.Groups["batch"];
        return new(new(name), batch.Success ? Whole(batch) - 1 : 0, number.Success ? Whole(number) : 0);
    }

    /// <summary>Reads an id.</summary>
    public static implicit operator StepId(string text) => Parse(text);

    private static string Digits(int number) => number.ToString(CultureInfo.InvariantCulture);

    private static int Whole(Group digits) => int.Parse(digits.ValueSpan, CultureInfo.InvariantCulture);

    [GeneratedRegex(
        @"^(?<before>.*?)(?:(?<=-)(?<number>[1-9]\d{0,5})(?=-|@|$)(?<after>[^@]*))?(?:@(?<batch>[2-9]|[1-9]\d{1,5}))?$",
        RegexOptions.Singleline | RegexOptions.ExplicitCapture
    )]
    private static partial Regex Shape();
}

/// <summary>Writes ids as text, also where they are the names of members.</summary>
public sealed class StepIdJsonConverter : JsonConverter<StepId>
{
    /// <inheritdoc/>
    public override StepId Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        StepId.Parse(reader.GetString() ?? throw new JsonException("The name of a step is wanted here."));

    /// <inheritdoc/>
    public override void Write(Utf8JsonWriter writer, StepId value, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(writer);
        writer.WriteStringValue(value.ToString());
    }

    /// <inheritdoc/>
    public override StepId ReadAsPropertyName(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        StepId.Parse(reader.GetString()!);

    /// <inheritdoc/>
    public override void WriteAsPropertyName(Utf8JsonWriter writer, StepId value, JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(writer);
        writer.WritePropertyName(value.ToString());
    }
}
