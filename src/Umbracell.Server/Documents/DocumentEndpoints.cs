using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Documents;
using Umbracell.Store;

namespace Umbracell.Server.Documents;

/// <summary>A layer as drawn on paper.</summary>
public sealed record PaperLayer([property: Required, MaxLength(60)] string Key, [property: Range(0, 5000)] double ThicknessMm);

/// <summary>A system compared on paper.</summary>
public sealed record PaperSystem([property: Required, MaxLength(120)] string Name, [property: Required, MaxLength(400)] string Layers, [property: Required, MaxLength(40)] IReadOnlyList<PaperLayer> Sketch);

/// <summary>A line of the comparison.</summary>
public sealed record PaperLine([property: Required, MaxLength(120)] string Label, [property: Required, MaxLength(4)] IReadOnlyList<string> Cells);

/// <summary>A comparison to be put on paper: the words of the screen, the figures as the core printed them.</summary>
public sealed record ComparisonPage(
    UnitSystem Units, [property: Required, MaxLength(200)] string Title, [property: Required, MaxLength(400)] string Lead, [property: Required, MinLength(2), MaxLength(4)] IReadOnlyList<PaperSystem> Systems,
    [property: Required, MaxLength(20)] IReadOnlyList<PaperLine> Lines, [property: Required, MaxLength(1200)] string Tail);

internal static class DocumentEndpoints
{
    public static void MapDocuments(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/documents/comparison", ComparisonAsync).WithTags("Documents").WithSummary("Systems compared on one page, as PDF with the firm's heading; Letter for US units, A4 for metric.").RequireAuthorization().Produces<byte[]>(200, "application/pdf");

    private static async Task<FileContentHttpResult> ComparisonAsync(ComparisonPage page, UmbracellDb db)
    {
        var firm = (await db.Firms.AsNoTracking().SingleAsync()).Name;
        var document = new ComparisonDocument(
            firm,
            page.Title,
            page.Lead,
            [.. page.Systems.Select(s => new ComparedSystem(s.Name, s.Layers, [.. s.Sketch.Select(l => new DrawnLayer(l.Key, l.ThicknessMm))]))],
            [.. page.Lines.Select(l => new ComparedLine(l.Label, l.Cells))],
            page.Tail,
            page.Units == UnitSystem.Us ? PaperSize.Letter : PaperSize.A4);
        return TypedResults.File(document.Write(), "application/pdf", "comparison.pdf");
    }
}
