using System.Text.Json;
using System.Text.Json.Serialization;

namespace Umbracell.Formats.DataFiles;

/// <summary>Reads text that the database and every paper can hold.</summary>
/// <remarks>JSON may name the character with the number 0, which PostgreSQL has no place for, and halves of characters, which are none.
/// Both come of a broken copy or of somebody who tries.</remarks>
public sealed class PlainTextJson : JsonConverter<string>
{
    public override string? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType != JsonTokenType.String)
        {
            throw new JsonException("Text stands between quotation marks.");
        }

        try
        {
            var text = reader.GetString();
            return text?.Contains('\0') == true ? throw new UnwritableTextException() : text;
        }
        catch (InvalidOperationException)
        {
            throw new UnwritableTextException();
        }
    }

    public override void Write(Utf8JsonWriter writer, string value, JsonSerializerOptions options) => writer.WriteStringValue(value);
}

/// <summary>A character that cannot be kept.</summary>
public sealed class UnwritableTextException() : JsonException("A character cannot be kept.");
