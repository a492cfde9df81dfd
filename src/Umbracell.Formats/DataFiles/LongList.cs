using Newtonsoft.Json;
using Newtonsoft.Json.Linq;

namespace Umbracell.Formats.DataFiles;

/// <summary>Reads a JSON object one of whose lists may be long: everything else is kept, the entries of the list are shown one by one and
/// let go.</summary>
internal static class LongList
{
    /// <summary>What stands beside the list, with an empty list in its place; null where it has to be looked at as a whole.</summary>
    /// <param name="reader">At the beginning.</param>
    /// <param name="list">Name of the list.</param>
    /// <param name="goesOn">Whether, by what stands before the list, its entries may be taken one by one.</param>
    /// <param name="loading">How tokens are loaded.</param>
    /// <param name="check">Shown each entry and its place.</param>
    /// <exception cref="JsonReaderException">Not JSON, or a member that stands there twice.</exception>
    public static JObject? Rest(
        JsonTextReader reader,
        string list,
        Func<JToken, bool> goesOn,
        JsonLoadSettings loading,
        Action<JToken, int> check
    )
    {
        if (Token(reader) != JsonToken.StartObject)
        {
            return null;
        }

        var rest = new JObject();
        while (Token(reader) == JsonToken.PropertyName)
        {
            var name = (string)reader.Value!;
            if (rest.ContainsKey(name))
            {
                throw At(reader, $"Property with the name '{name}' already exists in the current JSON object.");
            }

            Token(reader);
            if (name != list)
            {
                rest.Add(name, JToken.Load(reader, loading));
                continue;
            }

            if (reader.TokenType != JsonToken.StartArray || !goesOn(rest))
            {
                return null;
            }

            for (var at = 0; Token(reader) != JsonToken.EndArray; at++)
            {
                check(JToken.Load(reader, loading), at);
            }

            rest.Add(name, new JArray());
        }

        return Next(reader) ? throw At(reader, "Something stands after the end.")
            : goesOn(rest) ? rest
            : null;
    }

    // What an object or list that does not end is cut short by: after its last whole entry the reader has nothing to complain of.
    private static JsonToken Token(JsonTextReader reader) =>
        Next(reader) ? reader.TokenType : throw At(reader, "Unexpected end of content.");

    // Comments are nothing of the file's.
    private static bool Next(JsonTextReader reader)
    {
        while (reader.Read())
        {
            if (reader.TokenType != JsonToken.Comment)
            {
                return true;
            }
        }

        return false;
    }

    private static JsonReaderException At(JsonTextReader reader, string why) =>
        new(why, reader.Path, reader.LineNumber, reader.LinePosition, null);
}
