using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using Umbracell.Core.Quantities;

namespace Umbracell.Formats.DataFiles;

/// <summary>A product sheet as it is written, line by line: also one that is being typed and not whole yet.</summary>
public sealed class SheetDocument
{
    private static readonly JsonSerializerOptions Indented = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    private readonly JsonObject _root;

    private SheetDocument(JsonObject root) => _root = root;

    /// <summary>The version of the format that is written.</summary>
    public const int CurrentVersion = 1;

    /// <summary>A sheet on which nothing stands yet.</summary>
    public static SheetDocument Blank() => new([]) { Id = "" };

    /// <summary>A sheet whose text was read before and is in order.</summary>
    /// <param name="text">JSON of the schema.</param>
    public static SheetDocument Of(string text) => new(JsonNode.Parse(text)!.AsObject());

    /// <summary>Short id of the product, lower case with hyphens.</summary>
    public string Id
    {
        get => _root["id"]?.GetValue<string>() ?? "";
        set => _root["id"] = value;
    }

    /// <summary>The figure of a line; null where it is blank.</summary>
    public Figure? FigureOf(SheetEntry line) =>
        Find(line.Path) is JsonValue written && line.Unit is { } unit ? unit.Of(written.GetValue<double>()) : null;

    /// <summary>The words of a line; null where it is blank.</summary>
    public string? TextOf(SheetEntry line) => line.Unit is null ? Find(line.Path)?.GetValue<string>() : null;

    /// <summary>The points of a curve.</summary>
    public IReadOnlyList<(Figure X, Figure Y)> PointsOf(SheetCurve curve) =>
        Find(curve.Path) is JsonArray points ? [.. points.Select(point => (Of(point!, curve.X), Of(point!, curve.Y)))] : [];

    private static Figure Of(JsonNode point, SheetEntry line) => line.Unit!.Of(point[line.Path]!.GetValue<double>());

    /// <summary>Writes a figure; null leaves the line blank.</summary>
    /// <param name="line">A line of figures.</param>
    /// <param name="si">In SI.</param>
    public void Set(SheetEntry line, double? si) => Put(line.Path, si is { } known ? line.Unit!.Written(known) : null);

    /// <summary>Writes words.</summary>
    public void Set(SheetEntry line, string text) => Put(line.Path, text);

    /// <summary>Writes the points of a curve, in rising order of what it is read along.</summary>
    /// <param name="curve">The curve.</param>
    /// <param name="points">Its points in SI.</param>
    public void Set(SheetCurve curve, IEnumerable<(double X, double Y)> points) =>
        _root[curve.Path] = new JsonArray([
            .. points
                .OrderBy(point => point.X)
                .Select(point =>
                    (JsonNode)
                        new JsonObject { [curve.X.Path] = curve.X.Unit!.Written(point.X), [curve.Y.Path] = curve.Y.Unit!.Written(point.Y) }
                ),
        ]);

    /// <summary>The sheet as text, its lines in the order of the schema.</summary>
    public string Write()
    {
        _root["schemaVersion"] = CurrentVersion;
        var order = SheetEntries.All.Select(line => line.Path.Split('.')[0]).Concat(SheetEntries.Curves.Select(curve => curve.Path));
        string[] names = ["schemaVersion", "id", .. order.Distinct()];
        var ordered = new JsonObject();
        foreach (var name in names.Where(_root.ContainsKey))
        {
            ordered[name] = _root[name]?.DeepClone();
        }

        return ordered.ToJsonString(Indented) + "\n";
    }

    /// <summary>Whether another says the same, whatever its spaces and the order of its lines.</summary>
    public bool SaysTheSame(SheetDocument other) => Id == other.Id && !Differences(other).Any();

    /// <summary>The lines and curves by which another differs.</summary>
    public IEnumerable<string> Differences(SheetDocument other) =>
        SheetEntries
            .All.Where(line => FigureOf(line) != other.FigureOf(line) || TextOf(line) != other.TextOf(line))
            .Select(line => line.Path)
            .Concat(SheetEntries.Curves.Where(curve => !PointsOf(curve).SequenceEqual(other.PointsOf(curve))).Select(curve => curve.Path));

    private JsonNode? Find(string path) => path.Split('.').Aggregate((JsonNode?)_root, (at, name) => at?[name]);

    private void Put(string path, JsonNode? value)
    {
        var names = path.Split('.');
        var at = _root;

        // A part that a sheet leaves out stays out.
        if (value is null && names.Length > 1 && at[names[0]] is null)
        {
            return;
        }

        foreach (var name in names[..^1])
        {
            at = (JsonObject)(at[name] ??= new JsonObject());
        }

        at[names[^1]] = value;
    }
}
