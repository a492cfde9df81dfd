using System.ComponentModel.DataAnnotations;
using System.Globalization;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Documents;
using Umbracell.Formats.Tables;
using Umbracell.Store;

namespace Umbracell.Server.Documents;

/// <summary>A layer as drawn on paper.</summary>
public sealed record PaperLayer([property: Required, MaxLength(60)] string Key, [property: Range(0, 5000)] double ThicknessMm);

/// <summary>A system compared on paper.</summary>
public sealed record PaperSystem(
    [property: Required, MaxLength(120)] string Name,
    [property: Required, MaxLength(400)] string Layers,
    [property: Required, MaxLength(40)] IReadOnlyList<PaperLayer> Sketch
);

/// <summary>A line of the comparison.</summary>
public sealed record PaperLine(
    [property: Required, MaxLength(120)] string Label,
    [property: Required, MaxLength(4)] IReadOnlyList<string> Cells
);

/// <summary>A comparison to be put on paper: the words of the screen, the figures as the core printed them.</summary>
public sealed record ComparisonPage(
    UnitSystem Units,
    [property: Required, MaxLength(500)] string Title,
    [property: Required, MaxLength(800)] string Lead,
    [property: Required, MinLength(2), MaxLength(4)] IReadOnlyList<PaperSystem> Systems,
    [property: Required, MaxLength(20)] IReadOnlyList<PaperLine> Lines,
    [property: Required, MaxLength(1200)] string Tail
);

/// <summary>A column of a table on paper.</summary>
public sealed record PaperColumn(
    [property: Required, MaxLength(80)] string Heading,
    bool Right,
    [property: Range(0.1, 20)] double Share = 1
);

/// <summary>A line of a table on paper.</summary>
public sealed record PaperRow([property: Required, MaxLength(12)] IReadOnlyList<string> Cells, bool Strong = false);

/// <summary>A table to be put on paper or into a file: a bid, an order, a load list, in the words of the screen.</summary>
public sealed record TablePage(
    UnitSystem Units,
    [property: Required, MaxLength(500)] string Title,
    [property: Required, MaxLength(12)] IReadOnlyList<string> Lead,
    [property: Required, MinLength(1), MaxLength(12)] IReadOnlyList<PaperColumn> Columns,
    [property: Required, MaxLength(1000)] IReadOnlyList<PaperRow> Lines,
    [property: Required, MaxLength(300)] IReadOnlyList<string> Notes,
    bool OnePage = false
);

internal static class DocumentEndpoints
{
    private const string WorkbookType = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    public static void MapDocuments(this IEndpointRouteBuilder app)
    {
        var tables = app.MapGroup("/api/documents/table").WithTags("Documents").RequireAuthorization();
        tables
            .MapPost("/pdf", PdfAsync)
            .WithSummary("A table on paper as PDF with the firm's heading; Letter for US units, A4 for metric.")
            .Produces<byte[]>(200, "application/pdf");
        tables
            .MapPost("/xlsx", (TablePage page) => WorkbookOf(page))
            .WithSummary("A table as a workbook, its figures as numbers.")
            .Produces<byte[]>(200, WorkbookType);
        tables
            .MapPost("/csv", (TablePage page) => CsvOf(page))
            .WithSummary("A table as CSV, its figures as numbers.")
            .Produces<byte[]>(200, "text/csv");
        app.MapPost("/api/documents/comparison", ComparisonAsync)
            .WithTags("Documents")
            .WithSummary("Systems compared on one page, as PDF with the firm's heading; Letter for US units, A4 for metric.")
            .RequireAuthorization()
            .Produces<byte[]>(200, "application/pdf");
    }

    private static async Task<FileContentHttpResult> PdfAsync(TablePage page, UmbracellDb db)
    {
        var document = new TableDocument(
            (await db.Firms.AsNoTracking().SingleAsync()).Name,
            page.Title,
            page.Lead,
            [.. page.Columns.Select(c => new TableColumn(c.Heading, c.Right, (float)c.Share))],
            [.. page.Lines.Select(l => new TableLine(l.Cells, l.Strong))],
            page.Notes,
            page.Units == UnitSystem.Us ? PaperSize.Letter : PaperSize.A4
        )
        {
            OnePage = page.OnePage,
        };
        return TypedResults.File(document.Write(), "application/pdf", "table.pdf");
    }

    private static FileContentHttpResult WorkbookOf(TablePage page)
    {
        var (header, rows) = Numbers(page);
        return TypedResults.File(Workbook.Write(SheetName(page.Title), header, rows), WorkbookType, "table.xlsx");
    }

    private static FileContentHttpResult CsvOf(TablePage page)
    {
        var (header, rows) = Numbers(page);
        return TypedResults.File(
            DelimitedWriter.Write(
                header,
                rows.Select(row =>
                    (IReadOnlyList<string>)[.. row.Select(cell => Convert.ToString(cell, CultureInfo.InvariantCulture) ?? "")]
                )
            ),
            "text/csv; charset=utf-8",
            "table.csv"
        );
    }

    private static (IReadOnlyList<string> Header, IReadOnlyList<IReadOnlyList<object?>> Rows) Numbers(TablePage page) =>
        NumberColumns.Of([.. page.Columns.Select(c => (c.Heading, c.Right))], [.. page.Lines.Select(l => l.Cells)]);

    // A workbook's sheets bear 31 letters at most and none of these signs.
    private static string SheetName(string title) =>
        string.Concat(title.Where(c => !"[]:*?/\\".Contains(c, StringComparison.Ordinal)).Take(31)) is { Length: > 0 } name
            ? name
            : "Table";

    private static async Task<FileContentHttpResult> ComparisonAsync(ComparisonPage page, UmbracellDb db)
    {
        var firm = (await db.Firms.AsNoTracking().SingleAsync()).Name;
        var document = new ComparisonDocument(
            firm,
            page.Title,
            page.Lead,
            [
                .. page.Systems.Select(s => new ComparedSystem(
                    s.Name,
                    s.Layers,
                    [.. s.Sketch.Select(l => new DrawnLayer(l.Key, l.ThicknessMm))]
                )),
            ],
            [.. page.Lines.Select(l => new ComparedLine(l.Label, l.Cells))],
            page.Tail,
            page.Units == UnitSystem.Us ? PaperSize.Letter : PaperSize.A4
        );
        return TypedResults.File(document.Write(), "application/pdf", "comparison.pdf");
    }
}
