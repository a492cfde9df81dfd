using System.Globalization;
using System.Numerics;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Newtonsoft.Json;
using Newtonsoft.Json.Linq;
using NJsonSchema;
using NJsonSchema.Validation;
using Umbracell.Formats.Words;

namespace Umbracell.Formats.DataFiles;

/// <summary>Something wrong in a data file, with the line it stands on.</summary>
/// <param name="Line">From 1; 0 where the text as a whole is meant.</param>
/// <param name="Path">Path of the value, such as <c>lift.greatestIn</c>.</param>
/// <param name="Sentence">What is wrong.</param>
public sealed record DataFault(int Line, string Path, string Sentence)
{
    public override string ToString() =>
        WordCatalog.Say(
            "dataFile.fault",
            ("line", Line.ToString(CultureInfo.InvariantCulture)),
            ("path", Path.Length == 0 ? WordCatalog.Say("dataFile.whole") : Path),
            ("sentence", Sentence)
        );
}

/// <summary>A data file that does not hold what its schema asks. Carries every fault found, in the order of the lines.</summary>
public sealed class DataFileException(string file, IReadOnlyList<DataFault> faults)
    : Exception($"{file}: {string.Join(" ", faults.Take(5))}{(faults.Count > 5 ? $" And {faults.Count - 5} more." : "")}")
{
    public IReadOnlyList<DataFault> Faults { get; } = faults;
}

/// <summary>Reads JSON data files against their JSON Schema with line-precise errors.</summary>
public static class DataFile
{
    // Whoever mends the first ones sees the others.
    private const int MostFaults = 200;

    /// <summary>Camel case names and enums, as in the files.</summary>
    public static JsonSerializerOptions Json { get; } =
        new(JsonSerializerDefaults.Web) { Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase), new PlainTextJson() } };

    /// <summary>Reads a file.</summary>
    /// <param name="name">Its name, for errors.</param>
    /// <param name="text">Its text.</param>
    /// <param name="schema">Its schema.</param>
    /// <param name="upgrade">Brings the JSON of an earlier version to the shape of today; lines are told of the text as it is.</param>
    /// <param name="isCurrent">Whether a file has the shape of today as it is written.</param>
    /// <exception cref="DataFileException">Not JSON, or not what the schema asks.</exception>
    public static T Read<T>(
        string name,
        string text,
        JsonSchema schema,
        Action<JsonNode?>? upgrade = null,
        Func<JToken, bool>? isCurrent = null
    )
    {
        var root = Parse(name, text);
        var read = root;
        if (upgrade is not null && isCurrent?.Invoke(root) != true)
        {
            text = Upgraded(name, text, upgrade);
            read = Parse(name, text);
        }

        var faults = Errors(name, schema, read)
            .SelectMany(Deepest)
            .Take(MostFaults)
            .Select(e => Describe(e, root, isAsWritten: read == root))
            .Distinct()
            .OrderBy(f => f.Line)
            .ToList();
        if (faults.Count > 0)
        {
            throw new DataFileException(name, faults);
        }

        try
        {
            return System.Text.Json.JsonSerializer.Deserialize<T>(text, Json)!;
        }
        catch (System.Text.Json.JsonException e)
        {
            throw Unreadable(name, e);
        }
    }

    /// <summary>A number that stands at the top of a file; null where none does.</summary>
    /// <exception cref="DataFileException">Not JSON.</exception>
    public static double? NumberAt(string name, string text, string field) =>
        Parse(name, text) is JObject root && root[field] is JValue { Value: long or double } number ? number.Value<double>() : null;

    /// <summary>Reads a file one of whose lists may be long: its entries are checked one after the other, and none is held while the next
    /// is.</summary>
    /// <param name="name">Its name, for errors.</param>
    /// <param name="utf8">Its bytes.</param>
    /// <param name="schema">Its schema.</param>
    /// <param name="list">The list.</param>
    /// <param name="isCurrent">Whether what stands before the list says that the file has the shape of today as it is written.</param>
    /// <returns>The file; null where it has to be looked at as a whole, since it is of an earlier shape.</returns>
    /// <exception cref="DataFileException">Not JSON, or not what the schema asks.</exception>
    public static T? ReadLong<T>(string name, byte[] utf8, JsonSchema schema, string list, Func<JToken, bool> isCurrent)
        where T : class
    {
        List<DataFault> faults = [];
        var entry = schema.ActualProperties[list].Item!.ActualSchema;
        if (IsPlainlyRight())
        {
            return Deserialized();
        }

        if (Read() is not { } rest)
        {
            return null;
        }

        faults.AddRange(Errors(name, schema, rest).SelectMany(Deepest).Take(MostFaults).Select(e => Describe(e, rest, isAsWritten: true)));
        if (faults.Count > 0)
        {
            throw new DataFileException(name, [.. faults.Distinct().OrderBy(f => f.Line)]);
        }

        return Deserialized();

        ReadOnlySpan<byte> Text() => utf8.AsSpan().StartsWith(Encoding.UTF8.Preamble) ? utf8.AsSpan(Encoding.UTF8.Preamble.Length) : utf8;

        // Most files are, and are read in a fraction of the time; what is wrong with one, and where, only the slower look tells.
        bool IsPlainlyRight()
        {
            if (new FlatList(list, entry).Emptied(Text()) is not { } emptied)
            {
                return false;
            }

            try
            {
                var beside = Parse(name, Encoding.UTF8.GetString(emptied));
                return isCurrent(beside) && Errors(name, schema, beside).Count == 0;
            }
            catch (DataFileException)
            {
                return false;
            }
        }

        T Deserialized()
        {
            try
            {
                return System.Text.Json.JsonSerializer.Deserialize<T>(Text(), Json)!;
            }
            catch (System.Text.Json.JsonException e)
            {
                throw Unreadable(name, e);
            }
        }

        JObject? Read()
        {
            using var reader = ReaderOf(new StreamReader(new MemoryStream(utf8)));
            try
            {
                return LongList.Rest(reader, list, isCurrent, Loading, Check);
            }
            catch (JsonReaderException e)
            {
                throw NotJson(name, e);
            }
        }

        void Check(JToken one, int at)
        {
            if (faults.Count < MostFaults)
            {
                var found = Errors(name, entry, one).SelectMany(Deepest);
                faults.AddRange(found.Select(e => Describe(e, one, isAsWritten: true, $"{list}[{at}]")));
            }
        }
    }

    // The library measures numbers as decimals; it breaks on one that is none.
    private static ICollection<ValidationError> Errors(string name, JsonSchema schema, JToken read)
    {
        try
        {
            return schema.Validate(read);
        }
        catch (Exception e) when (e is OverflowException or InvalidCastException or FormatException)
        {
            var huge = (read as JContainer)?.DescendantsAndSelf().OfType<JValue>().FirstOrDefault(IsBeyondNumbers);
            throw new DataFileException(
                name,
                [new(((IJsonLineInfo?)huge)?.LineNumber ?? 0, huge?.Path ?? "", WordCatalog.Say("dataFile.value.number"))]
            );
        }
    }

    private static bool IsBeyondNumbers(JValue value) =>
        value.Value is BigInteger || (value.Value is double number && !(Math.Abs(number) < (double)decimal.MaxValue));

    private static string Upgraded(string name, string text, Action<JsonNode?> upgrade)
    {
        try
        {
            var node = JsonNode.Parse(text);
            upgrade(node);
            return node?.ToJsonString() ?? "null";
        }
        catch (System.Text.Json.JsonException e)
        {
            throw Unreadable(name, e);
        }
    }

    // The two readers differ at the edges (comments, single quotes): what the stricter one refuses is a fault like any other.
    private static DataFileException Unreadable(string name, System.Text.Json.JsonException e) =>
        new(
            name,
            [
                new(
                    (int)(e.LineNumber ?? 0) + 1,
                    (e.Path ?? "").TrimStart('$', '.'),
                    WordCatalog.Say(e is UnwritableTextException ? "dataFile.value.unwritable" : "dataFile.notJson")
                ),
            ]
        );

    /// <summary>Faults that were found in what a file says, each with the line its value stands on; 1 where its path leads
    /// nowhere.</summary>
    /// <param name="text">The file.</param>
    /// <param name="found">Path and sentence of each.</param>
    public static IReadOnlyList<DataFault> Faults(string text, IEnumerable<(string Path, string Sentence)> found)
    {
        List<(string Path, string Sentence)> some = [.. found.Take(MostFaults)];
        var root = some.Count > 0 ? Parse("", text) : JValue.CreateNull();
        return [.. some.Select(f => new DataFault(LineOf(root, f.Path), f.Path, f.Sentence))];
    }

    private static readonly JsonLoadSettings Loading = new()
    {
        LineInfoHandling = LineInfoHandling.Load,
        DuplicatePropertyNameHandling = DuplicatePropertyNameHandling.Error,
        CommentHandling = CommentHandling.Load,
    };

    private static JsonTextReader ReaderOf(TextReader text) => new(text) { MaxDepth = 32, DateParseHandling = DateParseHandling.None };

    private static DataFileException NotJson(string name, JsonReaderException e) =>
        new(name, [new(e.LineNumber, e.Path ?? "", WordCatalog.Say("dataFile.notJsonBecause", ("why", e.Message)))]);

    private static JToken Parse(string name, string text)
    {
        try
        {
            using var reader = ReaderOf(new StringReader(text));
            var root = JToken.Load(reader, Loading);
            return reader.Read()
                ? throw new DataFileException(name, [new(reader.LineNumber, "", WordCatalog.Say("dataFile.afterEnd"))])
                : root;
        }
        catch (JsonReaderException e)
        {
            throw NotJson(name, e);
        }
    }

    // Of a part that may be left out, what is wrong with it where it is given; of a list, what is wrong within its entries.
    private static IEnumerable<ValidationError> Deepest(ValidationError error)
    {
        var within = error is ChildSchemaValidationError { Errors: { } parts }
            ? parts.Values.SelectMany(errors => errors).Where(e => e.Kind != ValidationErrorKind.NullExpected).SelectMany(Deepest).ToList()
            : [];
        return within.Count > 0 ? within : [error];
    }

    private static DataFault Describe(ValidationError error, JToken root, bool isAsWritten, string within = "")
    {
        var path = (error.Path ?? "").TrimStart('#', '/').Replace('/', '.');
        if (within.Length > 0)
        {
            var at = error.HasLineInfo ? error.LineNumber : ((IJsonLineInfo)root).LineNumber;
            return new(at, path.Length == 0 || path[0] == '[' ? within + path : $"{within}.{path}", Sentence(error));
        }

        var line = isAsWritten && error.HasLineInfo ? error.LineNumber : LineOf(root, path);
        return new(line, path, Sentence(error));
    }

    private static string Sentence(ValidationError error) =>
        error.Kind switch
        {
            ValidationErrorKind.PropertyRequired => WordCatalog.Say("dataFile.value.missing"),
            ValidationErrorKind.NoAdditionalPropertiesAllowed => WordCatalog.Say("dataFile.value.unknown"),
            ValidationErrorKind.NumberExpected or ValidationErrorKind.IntegerExpected => WordCatalog.Say("dataFile.value.number"),
            ValidationErrorKind.StringExpected => WordCatalog.Say("dataFile.value.text"),
            ValidationErrorKind.NumberTooSmall => WordCatalog.Say("dataFile.value.tooSmall", ("least", Told(error.Schema.Minimum))),
            ValidationErrorKind.NumberTooBig => WordCatalog.Say("dataFile.value.tooBig", ("greatest", Told(error.Schema.Maximum))),
            ValidationErrorKind.NotInEnumeration => WordCatalog.Say(
                "dataFile.value.oneOf",
                ("list", Writing.Listed(error.Schema.Enumeration.Select(v => v?.ToString() ?? "null")))
            ),
            ValidationErrorKind.TooManyItems => WordCatalog.Say("dataFile.value.tooMany", ("most", Told(error.Schema.MaxItems))),
            ValidationErrorKind.TooFewItems => WordCatalog.Say("dataFile.value.tooFew"),
            ValidationErrorKind.PatternMismatch => WordCatalog.Say("dataFile.value.pattern"),
            _ => WordCatalog.Say("dataFile.value.misfit", ("kind", error.Kind.ToString())),
        };

    private static string Told(decimal? limit) => limit?.ToString(CultureInfo.InvariantCulture) ?? "";

    private static int LineOf(JToken root, string path)
    {
        for (var at = path; at.Length > 0; at = at.Contains('.', StringComparison.Ordinal) ? at[..at.LastIndexOf('.')] : "")
        {
            if (root.SelectToken(at) is IJsonLineInfo info && info.HasLineInfo())
            {
                return info.LineNumber;
            }
        }

        return 1;
    }
}
