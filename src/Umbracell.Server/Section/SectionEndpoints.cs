using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Quantities;
using Umbracell.Server.Answers;
using Umbracell.Server.Jobs;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;

namespace Umbracell.Server.Section;

/// <summary>The section of a surface: the question made from it, and its answer once foam is chosen.</summary>
/// <param name="Question">The question, with the last chosen sheet and thickness; null until both are chosen.</param>
/// <param name="Answer">The answer, where the figures can be had.</param>
/// <param name="Fault">Why there is no answer, where the chosen thickness cannot be rated.</param>
/// <param name="SheetId">The sheet chosen, if one is.</param>
/// <param name="Thickness">The thickness kept, if one is.</param>
/// <param name="Version">Version of the surface.</param>
public sealed record SectionOfSurface(SectionQuestion? Question, SectionAnswer? Answer, string? Fault, string? SheetId, FigureAnswer? Thickness, uint Version);

internal static class SectionEndpoints
{
    public static void MapSection(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/compute/section", ComputeAsync).WithTags("Compute").WithSummary("What a foam thickness gives in an assembly.").RequireAuthorization();
        app.MapGet("/api/surfaces/{id:guid}/section", OfSurfaceAsync).WithTags("Section").WithSummary("The section of a surface.").RequireAuthorization();
    }

    private static async Task<Ok<SectionAnswer>> ComputeAsync(SectionQuestion question, SheetLibrary library) =>
        TypedResults.Ok(SectionQuestions.Answer(SectionQuestions.Study(question, await library.FindAsync(question.SheetId)), question.Year));

    private static async Task<Ok<SectionOfSurface>> OfSurfaceAsync(Guid id, SurfaceReader reader, SheetLibrary library)
    {
        var (surface, job) = await reader.FindAsync(id);
        var question = SectionQuestions.Of(surface, job);
        var thickness = surface.FoamThicknessM is { } metres ? FigureAnswer.Of(new Length(metres).ToThickness()) : null;
        if (question is null)
        {
            return Ok(null, null);
        }

        try
        {
            return Ok(SectionQuestions.Answer(SectionQuestions.Study(question, await library.FindAsync(question.SheetId)), question.Year), null);
        }
        catch (Exception e) when (e is QuantityRangeException or FieldFaultsException)
        {
            // The sheet chosen does not rate the thickness kept from another sheet: the choice stays, the reason is told.
            return Ok(null, e.Message);
        }

        Ok<SectionOfSurface> Ok(SectionAnswer? answer, string? fault) =>
            TypedResults.Ok(new SectionOfSurface(question, answer, fault, surface.SheetSlug, thickness, surface.Version));
    }
}
