using NJsonSchema;
using NJsonSchema.Generation;

namespace Umbracell.Formats.DataFiles;

/// <summary>The JSON Schema of a shape that is read and written here, so that schema and shape cannot differ.</summary>
internal static class ShapeSchema
{
    /// <summary>The schema of a shape, as text.</summary>
    /// <param name="bound">Says of each part, by its name, whether it can be left out and what it holds.</param>
    public static string Of<T>(Action<string, JsonSchemaProperty> bound)
    {
        var settings = new SystemTextJsonSchemaGeneratorSettings
        {
            SerializerOptions = DataFile.Json,
            AlwaysAllowAdditionalObjectProperties = false,
            FlattenInheritanceHierarchy = true,
            DefaultReferenceTypeNullHandling = ReferenceTypeNullHandling.NotNull,
        };
        var schema = JsonSchema.FromType<T>(settings);
        foreach (var (name, property) in schema.Definitions.Values.Append(schema).SelectMany(part => part.ActualProperties))
        {
            bound(name, property);
            property.Description = OnOneLine(property.Description);
        }

        foreach (var part in schema.Definitions.Values.Append(schema))
        {
            part.Description = OnOneLine(part.Description);
        }

        return schema.ToJson() + "\n";
    }

    // How a comment is broken in the source is nothing of the schema's.
    private static string? OnOneLine(string? text) =>
        text is null ? null : string.Join(' ', text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
}
