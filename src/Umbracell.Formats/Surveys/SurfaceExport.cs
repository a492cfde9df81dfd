using Umbracell.Formats.Tables;

namespace Umbracell.Formats.Surveys;

/// <summary>Surfaces as a table that reads back in without loss: the columns are the fields of the import.</summary>
public static class SurfaceExport
{
    /// <summary>Columns written, in order.</summary>
    public static IReadOnlyList<string> Columns { get; } = [.. SurfaceColumns.Fields.Except(["length", "width", "height", "run", "perimeter", "depth", "pitch", "count"])];

    /// <summary>A text table.</summary>
    public static byte[] ToCsv(IEnumerable<IReadOnlyDictionary<string, string>> surfaces) => DelimitedWriter.Write(Columns, surfaces.Select(Row));

    /// <summary>A workbook.</summary>
    public static byte[] ToWorkbook(IEnumerable<IReadOnlyDictionary<string, string>> surfaces) => Workbook.Write("Surfaces", Columns, surfaces.Select(Row));

    private static IReadOnlyList<string> Row(IReadOnlyDictionary<string, string> fields) => [.. Columns.Select(column => fields.GetValueOrDefault(column, ""))];
}
