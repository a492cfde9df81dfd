using System.Text;
using System.Text.Json;
using NJsonSchema;

namespace Umbracell.Formats.DataFiles;

/// <summary>What a schema asks of one plain value: its type, bounds of a number, length of a text, a form, or one of some words.</summary>
internal sealed class FlatValue
{
    private readonly JsonObjectType _types;
    private readonly double _least;
    private readonly double _greatest;
    private readonly int _longest;
    private readonly string? _form;
    private readonly byte[][] _words;

    public FlatValue(JsonSchemaProperty property)
    {
        var asked = property.ActualTypeSchema;
        Name = Encoding.UTF8.GetBytes(property.Name);
        IsRequired = property.IsRequired;
        (_least, _greatest) = ((double)(asked.Minimum ?? decimal.MinValue), (double)(asked.Maximum ?? decimal.MaxValue));
        _longest = asked.MaxLength ?? int.MaxValue;
        _form = asked.Format;
        _words = [.. asked.Enumeration.OfType<string>().Select(Encoding.UTF8.GetBytes)];
        // Of what asks for more, no value is accepted here.
        _types = IsPlain(property) && IsPlain(asked) ? asked.Type : JsonObjectType.None;
    }

    public byte[] Name { get; }

    public bool IsRequired { get; }

    /// <summary>Whether the value is plainly what is asked.</summary>
    /// <param name="reader">At the value.</param>
    public bool Accepts(ref Utf8JsonReader reader) =>
        reader.TokenType switch
        {
            JsonTokenType.Null => _types.HasFlag(JsonObjectType.Null),
            JsonTokenType.True or JsonTokenType.False => _types.HasFlag(JsonObjectType.Boolean),
            JsonTokenType.Number => _types.HasFlag(JsonObjectType.Number)
                && reader.TryGetDouble(out var number)
                && number >= _least
                && number <= _greatest
                && Math.Abs(number) < (double)decimal.MaxValue,
            JsonTokenType.String => _types.HasFlag(JsonObjectType.String) && IsText(ref reader),
            _ => false,
        };

    // Escapes are longer than what they stand for, and letters no shorter than one byte: what is short here is short.
    private bool IsText(ref Utf8JsonReader reader) =>
        reader.ValueSpan.Length <= _longest
        && (_words.Length == 0 || IsOneOf(ref reader))
        && _form switch
        {
            null => true,
            JsonFormatStrings.Guid => reader.TryGetGuid(out _),
            // A day alone is no instant, nor is a time that is anybody's.
            JsonFormatStrings.DateTime => reader.ValueSpan.Length >= "2026-11-23T12:40:00Z".Length
                && reader.TryGetDateTimeOffset(out _)
                && HasOffset(reader.ValueSpan),
            _ => false,
        };

    private static bool HasOffset(ReadOnlySpan<byte> time) => time[^1] == 'Z' || time[^6] is (byte)'+' or (byte)'-';

    private bool IsOneOf(ref Utf8JsonReader reader)
    {
        foreach (var word in _words)
        {
            if (reader.ValueTextEquals(word))
            {
                return true;
            }
        }

        return false;
    }

    private static bool IsPlain(JsonSchema asked) =>
        asked.AllOf.Count + asked.AnyOf.Count + asked.OneOf.Count == 0
        && asked is { Not: null, Pattern: null, MinLength: null, MultipleOf: null }
        && asked is { IsExclusiveMinimum: false, IsExclusiveMaximum: false, ExclusiveMinimum: null, ExclusiveMaximum: null };
}
