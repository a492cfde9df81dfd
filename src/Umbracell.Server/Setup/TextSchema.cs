using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Server.Setup;

/// <summary>Says in the description of the interface that text is text: of what <see cref="PlainTextJson"/> reads the framework
/// cannot know it.</summary>
internal static class TextSchema
{
    public static Task WriteAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancel)
    {
        var type = context.JsonTypeInfo;
        if (type.Type == typeof(string))
        {
            var mayBeNull = schema.Type is JsonSchemaType.Null || context.JsonPropertyInfo?.IsGetNullable == true;
            schema.Type ??= mayBeNull ? JsonSchemaType.String | JsonSchemaType.Null : JsonSchemaType.String;
        }
        else if (type.ElementType == typeof(string) && type.Kind == JsonTypeInfoKind.Enumerable)
        {
            schema.Items ??= new OpenApiSchema { Type = JsonSchemaType.String };
        }
        else if (type.ElementType == typeof(string) && type.Kind == JsonTypeInfoKind.Dictionary)
        {
            schema.AdditionalProperties ??= new OpenApiSchema { Type = JsonSchemaType.String };
        }

        return Task.CompletedTask;
    }
}
