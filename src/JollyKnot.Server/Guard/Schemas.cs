using System.Globalization;
using System.Reflection;
using JollyKnot.Core.Steps;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace JollyKnot.Server.Guard;

/// <summary>Describes quantities in the API's document as what they travel as: numbers of a unit.</summary>
public static class Schemas
{
    /// <summary>Adds the descriptions. A quantity is written where it is used, so that one that may be missing does not make all
    /// others so.</summary>
    public static void Describe(OpenApiOptions options)
    {
        options.CreateSchemaReferenceId = type =>
            UnitOf(type.Type) is null && !IsStepId(type.Type) ? OpenApiOptions.CreateDefaultSchemaReferenceId(type) : null;
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                // A list of quantities is a list of numbers.
                if (
                    context.JsonTypeInfo.ElementType is { } element
                    && UnitOf(element) is not null
                    && schema.Type?.HasFlag(JsonSchemaType.Array) == true
                )
                    schema.Items = Number(new(), element);
                else if (UnitOf(context.JsonTypeInfo.Type) is not null)
                    Number(schema, context.JsonTypeInfo.Type);
                else if (IsStepId(context.JsonTypeInfo.Type))
                    schema.Type =
                        context.JsonTypeInfo.Type == typeof(StepId)
                            ? JsonSchemaType.String
                            : JsonSchemaType.String | JsonSchemaType.Null;
                return Task.CompletedTask;
            }
        );
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                document.Info.Version = ApiVersion.Current.ToString(CultureInfo.InvariantCulture);
                return Task.CompletedTask;
            }
        );
        // Which of several a thing is has to be said; the generator leaves that open.
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                foreach (var schema in document.Components?.Schemas?.Values.OfType<OpenApiSchema>() ?? [])
                    if (schema.Properties?.TryGetValue("type", out var type) == true && type.Enum is { Count: 1 })
                        (schema.Required ??= new HashSet<string>()).Add("type");
                return Task.CompletedTask;
            }
        );
    }

    private static OpenApiSchema Number(OpenApiSchema schema, Type type)
    {
        schema.Type = Nullable.GetUnderlyingType(type) is null
            ? JsonSchemaType.Number
            : JsonSchemaType.Number | JsonSchemaType.Null;
        schema.Format = "double";
        schema.Pattern = null;
        schema.Properties?.Clear();
        schema.Description = string.Create(CultureInfo.InvariantCulture, $"A number of {UnitOf(type)}.");
        return schema;
    }

    // The name of a step travels as text.
    private static bool IsStepId(Type type) => (Nullable.GetUnderlyingType(type) ?? type) == typeof(StepId);

    private static string? UnitOf(Type type)
    {
        type = Nullable.GetUnderlyingType(type) ?? type;
        return type == typeof(TimeSpan)
            ? "seconds"
            : type.GetProperty(
                    $"JollyKnot.Core.Measures.IQuantity<{type.FullName}>.Unit",
                    BindingFlags.Static | BindingFlags.NonPublic
                )
                ?.GetValue(null) as string;
    }
}
