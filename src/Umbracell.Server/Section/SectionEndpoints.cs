using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Server.Jobs;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;

namespace Umbracell.Server.Section;

/// <summary>The section of a surface: the question made from it, and its answer once foam is chosen.</summary>
/// <param name="Question">The question, with the last chosen sheet and thickness; null until both are chosen.</param>
/// <param name="Answer">The answer, where the figures can be had.</param>
/// <param name="Fault">Why there is no answer, where the chosen thickness cannot be rated.</param>
/// <param name="Version">Version of the surface.</param>
public sealed record SectionOfSurface(SectionQuestion? Question, SectionAnswer? Answer, string? Fault, uint Version);

internal static class SectionEndpoints
{
    public static void MapSection(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/compute/section", ComputeAsync).WithTags("Compute").WithSummary("What a foam thickness gives in an assembly.").RequireAuthorization();
        app.MapGet("/api/surfaces/{id:guid}/section", OfSurfaceAsync).WithTags("Section").WithSummary("The section of a surface.").RequireAuthorization();
    }

    private static async Task<Ok<SectionAnswer>> ComputeAsync(SectionQuestion question, SheetLibrary library) =>
        TypedResults.Ok(SectionQuestions.Answer(SectionQuestions.Study(question, await library.FindAsync(question.SheetId))));

    private static async Task<Ok<SectionOfSurface>> OfSurfaceAsync(Guid id, SurfaceReader reader, SheetLibrary library)
    {
        var (surface, job) = await reader.FindAsync(id);
        var question = SectionQuestions.Of(surface, job);
        if (question is null)
        {
            return TypedResults.Ok(new SectionOfSurface(null, null, null, surface.Version));
        }

        try
        {
            var answer = SectionQuestions.Answer(SectionQuestions.Study(question, await library.FindAsync(question.SheetId)));
            return TypedResults.Ok(new SectionOfSurface(question, answer, null, surface.Version));
        }
        catch (Core.Quantities.QuantityRangeException e)
        {
            // The sheet chosen does not rate the thickness kept from another sheet: the choice stays, the reason is told.
            return TypedResults.Ok(new SectionOfSurface(question, null, e.Message, surface.Version));
        }
        catch (FieldFaultsException e)
        {
            return TypedResults.Ok(new SectionOfSurface(question, null, e.Message, surface.Version));
        }
    }
}
