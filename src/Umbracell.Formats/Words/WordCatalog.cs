using System.Collections.Concurrent;
using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Formats.Words;

/// <summary>The words of the screens, for files that people read: one catalogue for both, embedded when the product is built.</summary>
public static partial class WordCatalog
{
    private static readonly JsonNode English = JsonNode.Parse(ShippedFiles.Text("words/en.json"))!;

    // What a list of words reads as does not change while the product runs; the lists are few.
    private static readonly ConcurrentDictionary<string, Dictionary<string, string>> Codes = new();

    /// <summary>The words at a path such as <c>kind.studWall</c>; null where there are none.</summary>
    public static string? Of(string path) => (At(path) as JsonValue)?.GetValue<string>();

    /// <summary>The message at a path with what it names put in.</summary>
    /// <param name="path">Such as <c>problem.field.empty</c>.</param>
    /// <param name="told">What stands in braces in the message, by name.</param>
    /// <exception cref="InvalidOperationException">The catalogue has no such message.</exception>
    public static string Say(string path, params (string Name, string Value)[] told) =>
        // In one pass: what people wrote may hold braces of its own.
        Hole()
            .Replace(
                Of(path) ?? throw new InvalidOperationException($"The catalogue has no message {path}."),
                hole => told.FirstOrDefault(one => one.Name == hole.Groups[1].Value).Value ?? hole.Value
            );

    /// <summary>The words of a list by their keys.</summary>
    /// <exception cref="InvalidOperationException">The catalogue has no such list.</exception>
    public static IReadOnlyDictionary<string, string> List(string path) =>
        Entries(path).ToDictionary(entry => entry.Key, entry => entry.Value!.GetValue<string>());

    /// <summary>The code that a word of a list stands for, whatever its case, spaces and signs; null where it stands for none.</summary>
    /// <param name="list">The list, such as <c>kind</c>.</param>
    /// <param name="word">What a person wrote or pasted: one of the list's own words, or a code.</param>
    public static string? CodeOf(string list, string word) => Codes.GetOrAdd(list, Bared).GetValueOrDefault(Bare(word));

    /// <summary>Letters and digits alone, in lower case.</summary>
    public static string Bare(string text)
    {
        var letters = new StringBuilder(text.Length);
        foreach (var c in text.ToLowerInvariant().Where(char.IsLetterOrDigit))
        {
            letters.Append(c);
        }

        return letters.ToString();
    }

    private static JsonNode? At(string path) =>
        path.Split('.').Aggregate<string, JsonNode?>(English, (node, part) => node is JsonObject o ? o[part] : null);

    private static List<KeyValuePair<string, JsonNode?>> Entries(string list) =>
        [
            .. (At(list) as JsonObject ?? throw new InvalidOperationException($"The catalogue has no list {list}.")).Where(entry =>
                entry.Value is JsonValue
            ),
        ];

    private static Dictionary<string, string> Bared(string list)
    {
        var entries = Entries(list);
        var codes = new Dictionary<string, string>();
        foreach (var (code, word) in entries.Select(e => (e.Key, e.Value!.GetValue<string>())).Concat(entries.Select(e => (e.Key, e.Key))))
        {
            codes.TryAdd(Bare(word), code);
        }

        return codes;
    }

    [GeneratedRegex(@"\{(\w+)\}")]
    private static partial Regex Hole();
}
