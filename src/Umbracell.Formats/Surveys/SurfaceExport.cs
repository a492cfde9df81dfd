using Umbracell.Core.Quantities;
using Umbracell.Formats.Tables;
using Umbracell.Formats.Words;

namespace Umbracell.Formats.Surveys;

/// <summary>A cell of a table that goes out.</summary>
/// <param name="Text">As a person would write it.</param>
/// <param name="Number">The bare number in the column's unit; null where it is none.</param>
public readonly record struct ExportCell(string? Text, double? Number = null)
{
    /// <summary>A number without a unit.</summary>
    public static ExportCell Of(double number) => new(ExactText.Number(number), number);
}

/// <summary>Surfaces as a table that reads back in without loss: the columns are the fields of the import, headed by their words.</summary>
public static class SurfaceExport
{
    private static readonly Dictionary<string, Dimension> Measured = new()
    {
        ["memberDepth"] = Dimension.Thickness,
        ["memberSpacing"] = Dimension.Thickness,
        ["memberShare"] = Dimension.Percent,
        ["ventChannel"] = Dimension.Thickness,
        ["thickness"] = Dimension.Thickness,
        ["flange"] = Dimension.Thickness,
        ["web"] = Dimension.Thickness,
        ["skin"] = Dimension.Thickness,
        ["penetration"] = Dimension.Thickness,
        ["expectedSubstrate"] = Dimension.Temperature,
        ["expectedDrum"] = Dimension.Temperature,
        ["doorSpare"] = Dimension.Mass,
        ["load"] = Dimension.BearingPressure,
    };

    /// <summary>Fields written, in order.</summary>
    public static IReadOnlyList<string> Columns { get; } =
    [.. SurfaceColumns.Fields.Except(["length", "width", "height", "run", "perimeter", "depth", "pitch", "count"])];

    /// <summary>A text table: every cell as it would be typed, with its unit.</summary>
    public static byte[] ToCsv(IEnumerable<IReadOnlyDictionary<string, ExportCell>> surfaces) =>
        DelimitedWriter.Write(
            [.. Columns.Select(Heading)],
            surfaces.Select(cells => (IReadOnlyList<string>)[.. Columns.Select(c => cells.GetValueOrDefault(c).Text ?? "")])
        );

    /// <summary>A workbook: figures are numbers, their unit stands in the heading.</summary>
    /// <param name="surfaces">Cells by field.</param>
    /// <param name="system">The unit system their numbers are in.</param>
    public static byte[] ToWorkbook(IEnumerable<IReadOnlyDictionary<string, ExportCell>> surfaces, UnitSystem system) =>
        Workbook.Write(
            "Surfaces",
            [
                .. Columns.Select(c =>
                    Measured.TryGetValue(c, out var dimension) ? $"{Heading(c)} ({QuantityPrinter.UnitOf(dimension, system)})" : Heading(c)
                ),
            ],
            surfaces.Select(cells =>
                (IReadOnlyList<object?>)
                    [
                        .. Columns.Select(c =>
                            cells.GetValueOrDefault(c) is { Number: { } number } ? (object?)number : cells.GetValueOrDefault(c).Text ?? ""
                        ),
                    ]
            )
        );

    private static string Heading(string field) => WordCatalog.Of("survey.import." + field) ?? field;
}
