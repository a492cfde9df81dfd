using System.Security.Claims;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Materials;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Surveys;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Materials;
using Umbracell.Server.Places;
using Umbracell.Server.Targets;
using Umbracell.Store;

namespace Umbracell.Server.Sheets;

/// <summary>A product sheet as offered for choice.</summary>
public sealed record SheetAnswer
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required string Maker { get; init; }

    public required string Edition { get; init; }

    public required CellStructure Cell { get; init; }

    public required FoamGrade Grade { get; init; }

    public required FigureAnswer GreatestLift { get; init; }

    public required FigureAnswer Thickest { get; init; }

    public required string ReEntry { get; init; }

    /// <summary>Not offered any more; it stays where it was chosen.</summary>
    public required bool Retired { get; init; }
}

/// <summary>A target set as offered for choice.</summary>
public sealed record TargetSetAnswer(string Id, string Edition);

/// <summary>A kind of surface with the shape it starts with.</summary>
public sealed record KindAnswer(SurfaceKind Kind, ShapeKind Shape);

/// <summary>Everything a screen offers for choice.</summary>
public sealed record ChoicesAnswer
{
    public required IReadOnlyList<SheetAnswer> Sheets { get; init; }

    public required IReadOnlyList<TargetSetAnswer> TargetSets { get; init; }

    public required IReadOnlyList<KindAnswer> Kinds { get; init; }

    public required IReadOnlyList<string> ClimateZones { get; init; }

    public required IReadOnlyList<string> Materials { get; init; }

    public required IReadOnlyDictionary<string, double> UsualMm { get; init; }

    public required IReadOnlyList<string> ImportFields { get; init; }

    public required IReadOnlyList<string> ImportUnits { get; init; }

    public required IReadOnlyList<PlaceAnswer> Places { get; init; }
}

internal static class SheetEndpoints
{
    public static void MapSheets(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/choices", ChoicesAsync)
            .WithTags("Jobs")
            .WithSummary("Product sheets, targets, kinds and zones offered for choice.")
            .Requires(Right.Look);
        app.MapGet("/api/supplies", SuppliesAsync)
            .WithTags("Compute")
            .WithSummary("All that a question can name, for the core that runs in the browser; with rates for those who price.")
            .Requires(Right.Look);
        app.MapGet("/api/schemas/product-sheet", () => TypedResults.Text(ProductSheetFile.SchemaText, "application/schema+json"))
            .WithTags("Schemas")
            .WithSummary("JSON Schema of product sheets.");
    }

    private static async Task<ContentHttpResult> SuppliesAsync(SheetLibrary library, ClaimsPrincipal person, Guid? job = null)
    {
        var supplies = await library.SuppliesAsync(job);
        var shown = person.May(Right.Price) ? supplies : supplies with { Rates = null };
        return TypedResults.Text(JsonSerializer.Serialize(shown, QuestionsJson.Wire.Supplies), "application/json");
    }

    private static async Task<Ok<ChoicesAnswer>> ChoicesAsync(SheetLibrary library, UmbracellDb db)
    {
        var shelf = await library.ShelfAsync();
        var materials = FirmMaterials.MaterialsOf(await db.Firms.AsNoTracking().SingleAsync()).Keys;
        var sheets = shelf
            .Standing.Values.OrderBy(s => s.Cell)
            .ThenBy(s => s.Grade)
            .ThenBy(s => s.Name, StringComparer.Ordinal)
            .Select(s => new SheetAnswer
            {
                Id = s.Id,
                Name = s.Name,
                Maker = s.Maker,
                Edition = s.Edition,
                Cell = s.Cell,
                Grade = s.Grade,
                GreatestLift = FigureAnswer.Of(s.GreatestLift.ToThickness()),
                Thickest = FigureAnswer.Of(s.ThickestRated.ToThickness()),
                ReEntry = s.ReEntry,
                Retired = shelf.Retired.Contains(s.Id),
            });
        return TypedResults.Ok(
            new ChoicesAnswer
            {
                Sheets = [.. sheets],
                TargetSets = [.. (await TargetEndpoints.AllAsync(db)).Select(t => new TargetSetAnswer(t.Id, t.Edition))],
                Kinds = [.. ShippedData.Templates.Values.Select(t => new KindAnswer(t.Kind, t.Shape))],
                ClimateZones = ClimateZones.All,
                Materials = [.. materials],
                UsualMm = materials
                    .Where(id => ShippedData.UsualMm.ContainsKey(FirmMaterials.UsualOf(id)))
                    .ToDictionary(id => id, id => ShippedData.UsualMm[FirmMaterials.UsualOf(id)]),
                ImportFields = SurfaceColumns.Fields,
                ImportUnits = SurfaceColumns.Units,
                Places = await PlaceEndpoints.AllAsync(db),
            }
        );
    }
}
