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
    /// <summary>Fields written, in order.</summary>
    public static IReadOnlyList<string> Columns { get; } =
    [.. SurfaceFields.All.Where(field => !field.IsPartOfSize).Select(field => field.Name)];

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
                    SurfaceFields.Of(c)?.Measured is { } dimension
                        ? $"{Heading(c)} ({QuantityPrinter.UnitOf(dimension, system)})"
                        : Heading(c)
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
