using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Jobs;
using Umbracell.Server.Sheets;

namespace Umbracell.Server.Section;

/// <summary>The section of a surface: the question made from it, and its answer once foam is chosen.</summary>
/// <param name="Question">The question, with the last chosen sheet and thickness; null until both are chosen.</param>
/// <param name="Answer">The answer, where the figures can be had.</param>
/// <param name="Fault">Why there is no answer, where the chosen thickness cannot be rated.</param>
/// <param name="SheetId">The sheet chosen, if one is.</param>
/// <param name="Thickness">The thickness kept, if one is.</param>
/// <param name="Summer">Air on both sides at summer design.</param>
/// <param name="Version">Version of the surface.</param>
public sealed record SectionOfSurface(SectionQuestion? Question, SectionAnswer? Answer, string? Fault, string? SheetId, FigureAnswer? Thickness, AirShape Summer, uint Version);

internal static class SectionEndpoints
{
    public static void MapSection(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/compute/section", ComputeAsync).WithTags("Compute").WithSummary("What a foam thickness gives in an assembly.").RequireAuthorization();
        app.MapPost("/api/compute/member", MemberAsync).WithTags("Compute").WithSummary("Temperatures around a girt of known profile, in two dimensions; nothing for other members.").RequireAuthorization();
        app.MapGet("/api/surfaces/{id:guid}/section", OfSurfaceAsync).WithTags("Section").WithSummary("The section of a surface.").RequireAuthorization();
    }

    private static async Task<Ok<SectionAnswer>> ComputeAsync(SectionQuestion question, SheetLibrary library) =>
        TypedResults.Ok(SectionQuestions.Answer(question, await library.ShelfAsync()));

    private static async Task<Results<Ok<MemberCellAnswer>, NoContent>> MemberAsync(SectionQuestion question, SheetLibrary library)
    {
        var study = SectionQuestions.Study(question, await library.ShelfAsync());
        if (study.MemberCell is not { } cell)
        {
            return TypedResults.NoContent();
        }

        var dew = study.Profile.Points[^1].DewPoint;
        var field = cell.Field;
        return TypedResults.Ok(new MemberCellAnswer(
            [.. field.EdgesAcross.Select(x => Math.Round(x * 1000, 2))],
            [.. field.EdgesThrough.Select(y => Math.Round(y * 1000, 2))],
            [.. Enumerable.Range(0, field.Across * field.Through).Select(i => field.At(i % field.Across, i / field.Across)).Select(t => double.IsNaN(t) ? (double?)null : Math.Round(t, 2))],
            question.IndoorC,
            question.OutdoorC,
            dew.Celsius,
            FigureAnswer.All(new Dictionary<string, Figure>
            {
                ["psi"] = new(cell.Psi, Dimension.LinearTransmittance),
                ["estimate"] = new(study.GirtEstimate ?? 0, Dimension.LinearTransmittance),
                ["coldest"] = cell.Coldest.ToFigure(),
                ["dew"] = dew.ToFigure(),
                ["indoor"] = study.Case.Air.Indoor.ToFigure(),
                ["outdoor"] = study.Case.Air.Outdoor.ToFigure(),
                ["wholeU"] = cell.U.ToFigure(),
            })));
    }

    private static async Task<Ok<SectionOfSurface>> OfSurfaceAsync(Guid id, SurfaceReader reader, SheetLibrary library)
    {
        var (surface, job) = await reader.FindAsync(id);
        var question = SurfaceSections.Of(surface, job);
        var thickness = surface.FoamThicknessM is { } metres ? FigureAnswer.Of(new Length(metres).ToThickness()) : null;
        if (question is null)
        {
            return Ok(null, null);
        }

        try
        {
            return Ok(SectionQuestions.Answer(question, await library.ShelfAsync()), null);
        }
        catch (Exception e) when (e is QuantityRangeException or FieldFaultsException)
        {
            // The sheet chosen does not rate the thickness kept from another sheet: the choice stays, the reason is told.
            return Ok(null, e.Message);
        }

        Ok<SectionOfSurface> Ok(SectionAnswer? answer, string? fault) =>
            TypedResults.Ok(new SectionOfSurface(question, answer, fault, surface.SheetSlug, thickness, new(job.SummerIndoorC, job.SummerIndoorRhPct, job.SummerOutdoorC, job.SummerOutdoorRhPct), surface.Version));
    }
}
