using System.Security.Claims;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Materials;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Surveys;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Places;
using Umbracell.Server.Targets;
using Umbracell.Store;

namespace Umbracell.Server.Sheets;

/// <summary>A product sheet as offered for choice.</summary>
public sealed record SheetAnswer(
    string Id,
    string Name,
    string Maker,
    string Edition,
    CellStructure Cell,
    FoamGrade Grade,
    FigureAnswer GreatestLift,
    FigureAnswer Thickest,
    string ReEntry
);

/// <summary>A target set as offered for choice.</summary>
public sealed record TargetSetAnswer(string Id, string Edition);

/// <summary>A kind of surface with the shape it starts with.</summary>
public sealed record KindAnswer(SurfaceKind Kind, ShapeKind Shape);

/// <summary>Everything a screen offers for choice.</summary>
public sealed record ChoicesAnswer(
    IReadOnlyList<SheetAnswer> Sheets,
    IReadOnlyList<TargetSetAnswer> TargetSets,
    IReadOnlyList<KindAnswer> Kinds,
    IReadOnlyList<string> ClimateZones,
    IReadOnlyList<string> Materials,
    IReadOnlyDictionary<string, double> UsualMm,
    IReadOnlyList<string> ImportFields,
    IReadOnlyList<string> ImportUnits,
    IReadOnlyList<PlaceAnswer> Places
);

internal static class SheetEndpoints
{
    public static void MapSheets(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/choices", ChoicesAsync)
            .WithTags("Jobs")
            .WithSummary("Product sheets, targets, kinds and zones offered for choice.")
            .RequireAuthorization();
        app.MapGet("/api/supplies", SuppliesAsync)
            .WithTags("Compute")
            .WithSummary("All that a question can name, for the core that runs in the browser; with rates for those who price.")
            .RequireAuthorization();
        app.MapGet("/api/schemas/product-sheet", () => TypedResults.Text(ProductSheetFile.SchemaText, "application/schema+json"))
            .WithTags("Schemas")
            .WithSummary("JSON Schema of product sheets.");
    }

    private static async Task<ContentHttpResult> SuppliesAsync(SheetLibrary library, ClaimsPrincipal person)
    {
        var supplies = await library.SuppliesAsync();
        var shown = Claims.Prices(person) ? supplies : supplies with { Rates = null };
        return TypedResults.Text(JsonSerializer.Serialize(shown, QuestionsJson.Wire.Supplies), "application/json");
    }

    private static async Task<Ok<ChoicesAnswer>> ChoicesAsync(SheetLibrary library, UmbracellDb db)
    {
        var sheets = (await library.AllAsync())
            .Values.OrderBy(s => s.Cell)
            .ThenBy(s => s.Grade)
            .ThenBy(s => s.Name, StringComparer.Ordinal)
            .Select(s => new SheetAnswer(
                s.Id,
                s.Name,
                s.Maker,
                s.Edition,
                s.Cell,
                s.Grade,
                FigureAnswer.Of(s.GreatestLift.ToThickness()),
                FigureAnswer.Of(s.ThickestRated.ToThickness()),
                s.ReEntry
            ));
        return TypedResults.Ok(
            new ChoicesAnswer(
                [.. sheets],
                [.. (await TargetEndpoints.AllAsync(db)).Select(t => new TargetSetAnswer(t.Id, t.Edition))],
                [.. ShippedData.Templates.Values.Select(t => new KindAnswer(t.Kind, t.Shape))],
                ClimateZones.All,
                [.. ShippedData.Materials.Keys],
                ShippedData.UsualMm,
                SurfaceColumns.Fields,
                SurfaceColumns.Units,
                await PlaceEndpoints.AllAsync(db)
            )
        );
    }
}
