using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Quantities;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Section;

/// <summary>The section of a surface: the question made from it, and its answer once foam is chosen.</summary>
/// <param name="Question">The question, with the last chosen sheet and thickness; null until both are chosen.</param>
/// <param name="Laid">Its layers as they are drawn, also where its figures cannot be had; null without a question.</param>
/// <param name="Answer">The answer, where the figures can be had.</param>
/// <param name="Fault">Why there is no answer, where the chosen thickness cannot be rated.</param>
/// <param name="SheetId">The sheet chosen, if one is.</param>
/// <param name="Thickness">The thickness kept, if one is.</param>
/// <param name="Summer">Air on both sides at summer design.</param>
/// <param name="Buffer">The unheated space it borders on; null for none.</param>
/// <param name="Version">Version of the surface.</param>
public sealed record SectionOfSurface(
    SectionQuestion? Question,
    LaidSection? Laid,
    SectionAnswer? Answer,
    string? Fault,
    string? SheetId,
    FigureAnswer? Thickness,
    AirShape Summer,
    BufferBeside? Buffer,
    uint Version
);

/// <summary>Where the unheated space beside a surface floats at winter design, as it stands and as planned.</summary>
public sealed record BufferBeside(string Name, WorkedFigure Now, WorkedFigure Planned);

internal static class SectionEndpoints
{
    public static void MapSection(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/compute/section", ComputeAsync)
            .WithTags("Compute")
            .WithSummary("What a foam thickness gives in an assembly.")
            .RequireAuthorization();
        app.MapPost("/api/compute/member", MemberAsync)
            .WithTags("Compute")
            .WithSummary(
                "Temperatures in two dimensions around a metal member of known section or at the edge of a slab; nothing for other surfaces."
            )
            .RequireAuthorization();
        app.MapGet("/api/surfaces/{id:guid}/section", OfSurfaceAsync)
            .WithTags("Section")
            .WithSummary("The section of a surface.")
            .RequireAuthorization();
    }

    private static async Task<Ok<SectionAnswer>> ComputeAsync(SectionQuestion question, SheetLibrary library) =>
        TypedResults.Ok(SectionQuestions.Answer(question, await library.SuppliesAsync()));

    private static async Task<Results<Ok<MemberCellAnswer>, NoContent>> MemberAsync(SectionQuestion question, SheetLibrary library)
    {
        var section = SectionQuestions.Case(question, await library.SuppliesAsync());
        return
            (SlabEdge.Of(section) is { } edge ? SectionFields.Of(edge, section) : SectionFields.Of(SectionStudy.Of(section))) is { } field
            ? TypedResults.Ok(field)
            : TypedResults.NoContent();
    }

    private static async Task<Ok<SectionOfSurface>> OfSurfaceAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var (surface, job) = await reader.FindAsync(id);
        var buffer = surface.BufferId is null ? null : Beside(surface, job, await SurfaceStates.OfAsync(job, reader, library, db));
        var question = SurfaceSections.Of(surface, job);
        var thickness = surface.FoamThicknessM is { } metres ? FigureAnswer.Of(Length.FromMetres(metres).ToThickness()) : null;
        var supplies = await library.SuppliesAsync();
        var laid = question is null ? null : SurfaceStudies.OrNull(() => LaidSection.Of(SectionQuestions.Case(question, supplies)));
        var (answer, fault) = Answer(question, supplies);
        return TypedResults.Ok(
            new SectionOfSurface(
                question,
                laid,
                answer,
                fault,
                surface.SheetSlug,
                thickness,
                new(job.SummerIndoorC, job.SummerIndoorRhPct, job.SummerOutdoorC, job.SummerOutdoorRhPct),
                buffer,
                surface.Version
            )
        );
    }

    // The sheet chosen may not rate the thickness kept from another sheet: the choice stays, the reason is told.
    private static (SectionAnswer? Answer, string? Fault) Answer(SectionQuestion? question, Supplies supplies)
    {
        try
        {
            return (question is null ? null : SectionQuestions.Answer(question, supplies), null);
        }
        catch (Exception e) when (e is QuantityRangeException or FieldFaultsException)
        {
            return (null, e.Message);
        }
    }

    private static BufferBeside? Beside(Surface surface, Job job, SurfaceStates states) =>
        states.BufferOf(surface) is { } space
        && states.Float(space, SeasonAir.Winter(job), planned: false) is { } now
        && states.Float(space, SeasonAir.Winter(job), planned: true) is { } planned
            ? new(space.Name, Worked(now), Worked(planned))
            : null;

    private static WorkedFigure Worked(BufferSpace space) =>
        new(FigureAnswer.Of(space.Temperature.ToFigure()), WorkingAnswer.Of(space.Working));
}
