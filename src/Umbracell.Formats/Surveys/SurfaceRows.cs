using System.Text.RegularExpressions;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Tables;

namespace Umbracell.Formats.Surveys;

/// <summary>A surface of a file as the fields a person would have typed.</summary>
/// <param name="Line">Line of the file, or number of the surface in a model.</param>
/// <param name="Fields">Typed text by field.</param>
/// <param name="Note">Key of what was noticed while reading, or empty.</param>
public sealed record ImportedRow(int Line, IReadOnlyDictionary<string, string> Fields, string Note);

/// <summary>Turns rows of a table into typed fields of surfaces.</summary>
public static partial class SurfaceRows
{
    private static readonly Dictionary<string, SurfaceKind> KindWords = new()
    {
        ["wall"] = SurfaceKind.StudWall,
        ["framedwall"] = SurfaceKind.StudWall,
        ["exteriorwall"] = SurfaceKind.StudWall,
        ["partition"] = SurfaceKind.InteriorPartition,
        ["masonrywall"] = SurfaceKind.SolidWall,
        ["stonewall"] = SurfaceKind.SolidWall,
        ["brickwall"] = SurfaceKind.SolidWall,
        ["crawlwall"] = SurfaceKind.BasementWall,
        ["cellarwall"] = SurfaceKind.BasementWall,
        ["roofdeck"] = SurfaceKind.UnventedDeck,
        ["roof"] = SurfaceKind.UnventedDeck,
        ["rafters"] = SurfaceKind.VentedRafters,
        ["vaultedceiling"] = SurfaceKind.VentedRafters,
        ["floor"] = SurfaceKind.CrawlFloor,
        ["attic"] = SurfaceKind.AtticFloor,
        ["ceiling"] = SurfaceKind.AtticFloor,
        ["flatroof"] = SurfaceKind.LowSlopeRoof,
        ["slab"] = SurfaceKind.UnderSlab,
        ["door"] = SurfaceKind.OverheadDoor,
        ["container"] = SurfaceKind.SteelBox,
        ["eaves"] = SurfaceKind.EavesClosure,
        ["cantilever"] = SurfaceKind.CantileveredFloor,
    };

    /// <summary>Turns every row of a table into typed fields.</summary>
    public static IReadOnlyList<ImportedRow> Of(TableFile table, IReadOnlyList<ColumnMap> maps, bool decimalComma) =>
        [.. table.Rows.Select(row => Of(row, maps, decimalComma))];

    private static ImportedRow Of(TableRow row, IReadOnlyList<ColumnMap> maps, bool decimalComma)
    {
        var cells = new Dictionary<string, string>();
        foreach (var (map, i) in maps.Select((m, i) => (m, i)))
        {
            if (map.Field.Length > 0 && i < row.Cells.Count && row.Cells[i].Length > 0)
            {
                cells[map.Field] = Cell(map, row.Cells[i], decimalComma);
            }
        }

        if (cells.TryGetValue("kind", out var kind))
        {
            cells["kind"] = Word(kind, KindWords);
        }

        Compose(cells);
        return new(
            row.Line,
            cells,
            row.Ragged switch
            {
                0 => "",
                < 0 => "short",
                _ => "long",
            }
        );
    }

    // Lengths in columns of their own make up the size their shape wants; a pitch speaks for a roof plane.
    private static void Compose(Dictionary<string, string> cells)
    {
        if (!cells.ContainsKey("size"))
        {
            var shape = ShapeOf(cells);
            var parts = Shape
                .Sizes(shape)
                .Select(part => (Part: part, Text: cells.GetValueOrDefault(part.ToString().ToLowerInvariant(), "")))
                .ToList();
            if (parts.Any(p => p.Text.Length > 0))
            {
                cells["size"] = string.Concat(
                    parts
                        .Where(p => p.Text.Length > 0)
                        .Select(
                            (p, i) =>
                                (
                                    i == 0 ? ""
                                    : p.Part == SizePart.Pitch ? " at "
                                    : " x "
                                ) + p.Text
                        )
                );
                cells["shape"] = shape.ToString();
            }
        }

        foreach (var part in SurfaceFields.All.Where(field => field.IsPartOfSize))
        {
            cells.Remove(part.Name);
        }
    }

    private static ShapeKind ShapeOf(Dictionary<string, string> cells)
    {
        if (cells.TryGetValue("shape", out var said) && Enum.TryParse<ShapeKind>(said, ignoreCase: true, out var shape))
        {
            return shape;
        }

        var ofKind =
            cells.TryGetValue("kind", out var kind) && Enum.TryParse<SurfaceKind>(kind, ignoreCase: true, out var known)
                ? ShippedData.Templates[known].Shape
                : ShapeKind.Rectangle;
        return Enum.GetValues<ShapeKind>()
            .Where(s => s != ShapeKind.Outline)
            .Prepend(ofKind)
            .FirstOrDefault(s => Shape.Sizes(s).All(part => cells.ContainsKey(part.ToString().ToLowerInvariant())), ofKind);
    }

    private static string Cell(ColumnMap map, string text, bool decimalComma)
    {
        var read = decimalComma ? DecimalComma().Replace(text, "$1.$2") : text;
        return map.Unit.Length > 0 && SurfaceFields.Of(map.Field) is { HasUnit: true }
            ? string.Join("; ", read.Split(';', StringSplitOptions.TrimEntries).Select(one => WithUnit(one, map.Unit)))
            : read;
    }

    // "3 x 4" in a column of feet is "3 ft x 4 ft"; of three parts the first is a count. A part with a unit of its own keeps it.
    private static string WithUnit(string text, string unit)
    {
        var parts = Times().Split(text);
        return string.Join(
            " x ",
            parts.Select((part, i) => (parts.Length == 3 && i == 0) || !BareNumber().IsMatch(part) ? part : $"{part} {unit}")
        );
    }

    private static string Word<T>(string text, Dictionary<string, T> words)
        where T : struct, Enum
    {
        var squeezed = Squeezed(text);
        return Enum.TryParse<T>(squeezed, ignoreCase: true, out _) ? squeezed
            : words.TryGetValue(squeezed.ToLowerInvariant(), out var known) ? known.ToString()
            : text;
    }

    private static string Squeezed(string text) => string.Concat(text.Where(char.IsLetterOrDigit));

    [GeneratedRegex(@"(\d),(\d)")]
    private static partial Regex DecimalComma();

    [GeneratedRegex(@"\s*[x×*]\s*", RegexOptions.IgnoreCase)]
    private static partial Regex Times();

    [GeneratedRegex(@"^\s*[-+]?(\d+([.,]\d+)?(\s+\d+/\d+)?|\d+/\d+)\s*$")]
    private static partial Regex BareNumber();
}
