using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using JollyKnot.Core.Measures;

namespace JollyKnot.Store;

/// <summary>How the job's records are written as JSON, on disk and on the wire.</summary>
public static class Json
{
    /// <summary>For documents in the database: what a record is made of and nothing that is reckoned from it.</summary>
    public static JsonSerializerOptions Documents { get; } =
        Configure(
            new(JsonSerializerDefaults.Web)
            {
                TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { LeaveOutWhatIsReckoned } },
            }
        );

    /// <summary>The rules both share: enums by name, time in seconds, nothing missing that is needed.</summary>
    public static JsonSerializerOptions Configure(JsonSerializerOptions options)
    {
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
        options.Converters.Add(new SecondsJsonConverter());
        options.AllowOutOfOrderMetadataProperties = true;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.MaxDepth = 32;
        return options;
    }

    private static void LeaveOutWhatIsReckoned(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object)
            return;
        for (var i = type.Properties.Count - 1; i >= 0; i--)
            if (type.Properties[i] is { Set: null, AssociatedParameter: null })
                type.Properties.RemoveAt(i);
    }
}
