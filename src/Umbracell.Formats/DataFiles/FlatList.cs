using System.Text.Json;
using NJsonSchema;

namespace Umbracell.Formats.DataFiles;

/// <summary>Looks through the long list of a file for what is plainly right: objects of plain values, each as the schema asks.</summary>
/// <remarks>It builds nothing, so it takes a tenth of the time. It accepts only what it understands whole, and says nothing about the
/// rest: that is for the slow look, which has words and lines.</remarks>
internal sealed class FlatList
{
    private readonly FlatValue[] _members;
    private readonly string _list;

    /// <summary>A look through one list.</summary>
    /// <param name="list">Its name, at the top of the file.</param>
    /// <param name="entry">What the schema asks of each entry.</param>
    public FlatList(string list, JsonSchema entry)
    {
        _list = list;
        _members = [.. entry.ActualProperties.Values.Select(p => new FlatValue(p))];
        // A bit for each member says which were there.
        IsUnderstood = entry is { Type: JsonObjectType.Object, AllowAdditionalProperties: false } && _members.Length is > 0 and <= 64;
    }

    private bool IsUnderstood { get; }

    /// <summary>The file with nothing in the list, where all entries are right.</summary>
    /// <param name="utf8">The file, without a mark of its encoding.</param>
    /// <returns>Null where something is not plainly right, or the file cannot be read.</returns>
    public byte[]? Emptied(ReadOnlySpan<byte> utf8)
    {
        try
        {
            var reader = new Utf8JsonReader(utf8, new() { MaxDepth = 32 });
            return IsUnderstood && Find(ref reader) is var (from, to) ? [.. utf8[..from], .. utf8[to..]] : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }

    // Where the entries begin and end. A list that stands there twice, or not at all, is for the slow look.
    private (int From, int To)? Find(ref Utf8JsonReader reader)
    {
        (int From, int To)? found = null;
        reader.Read();
        if (reader.TokenType != JsonTokenType.StartObject)
        {
            return null;
        }

        while (reader.Read() && reader.TokenType == JsonTokenType.PropertyName)
        {
            var isList = reader.ValueTextEquals(_list);
            reader.Read();
            if (!isList)
            {
                reader.Skip();
                continue;
            }

            var from = (int)reader.BytesConsumed;
            if (found is not null || reader.TokenType != JsonTokenType.StartArray || !AllRight(ref reader))
            {
                return null;
            }

            found = (from, (int)reader.TokenStartIndex);
        }

        return reader.Read() ? null : found;
    }

    private bool AllRight(ref Utf8JsonReader reader)
    {
        while (reader.Read() && reader.TokenType != JsonTokenType.EndArray)
        {
            if (reader.TokenType != JsonTokenType.StartObject || !IsRight(ref reader))
            {
                return false;
            }
        }

        return true;
    }

    private bool IsRight(ref Utf8JsonReader reader)
    {
        var there = 0UL;
        for (var expected = 0; reader.Read() && reader.TokenType == JsonTokenType.PropertyName; expected++)
        {
            var at = Member(ref reader, expected);
            reader.Read();
            if (at < 0 || (there & (1UL << at)) != 0 || !_members[at].Accepts(ref reader))
            {
                return false;
            }

            (there, expected) = (there | (1UL << at), at);
        }

        for (var at = 0; at < _members.Length; at++)
        {
            if (_members[at].IsRequired && (there & (1UL << at)) == 0)
            {
                return false;
            }
        }

        return true;
    }

    // Members come in the order of the schema in almost every file.
    private int Member(ref Utf8JsonReader reader, int expected)
    {
        for (var i = 0; i < _members.Length; i++)
        {
            var at = (expected + i) % _members.Length;
            if (reader.ValueTextEquals(_members[at].Name))
            {
                return at;
            }
        }

        return -1;
    }
}
