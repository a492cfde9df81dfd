using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Quantities;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Access;
using Umbracell.Server.Jobs;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Section;

/// <summary>The section of a surface: the question made from it, and its answer once foam is chosen.</summary>
public sealed record SectionOfSurface
{
    /// <summary>The question, with the last chosen sheet and thickness; null until both are chosen.</summary>
    public required SectionQuestion? Question { get; init; }

    /// <summary>Its layers as they are drawn, also where its figures cannot be had; null without a question.</summary>
    public required LaidSection? Laid { get; init; }

    /// <summary>The answer, where the figures can be had.</summary>
    public required SectionAnswer? Answer { get; init; }

    /// <summary>Why there is no answer, where the chosen thickness cannot be rated.</summary>
    public required string? Fault { get; init; }

    /// <summary>The sheet chosen, if one is.</summary>
    public required string? SheetId { get; init; }

    /// <summary>The thickness kept, if one is.</summary>
    public required FigureAnswer? Thickness { get; init; }

    /// <summary>Air on both sides at summer design.</summary>
    public required AirShape Summer { get; init; }

    /// <summary>The unheated space it borders on; null for none.</summary>
    public required BufferBeside? Buffer { get; init; }

    /// <summary>Version of the surface.</summary>
    public required uint Version { get; init; }
}

/// <summary>Where the unheated space beside a surface floats at winter design, as it stands and as planned.</summary>
public sealed record BufferBeside(string Name, WorkedFigure Now, WorkedFigure Planned);

internal static class SectionEndpoints
{
    public static void MapSection(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/compute/section", ComputeAsync)
            .WithTags("Compute")
            .WithSummary("What a foam thickness gives in an assembly.")
            .Requires(Right.Look);
        app.MapPost("/api/compute/member", MemberAsync)
            .WithTags("Compute")
            .WithSummary(
                "Temperatures in two dimensions around a metal member of known section or at the edge of a slab; nothing for other surfaces."
            )
            .Requires(Right.Look);
        app.MapGet("/api/surfaces/{id:guid}/section", OfSurfaceAsync)
            .WithTags("Section")
            .WithSummary("The section of a surface.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<SectionAnswer>> ComputeAsync(SectionQuestion question, SheetLibrary library, Guid? job = null) =>
        TypedResults.Ok(SectionQuestions.Answer(question, await library.SuppliesAsync(job)));

    private static async Task<Results<Ok<MemberCellAnswer>, NoContent>> MemberAsync(
        SectionQuestion question,
        SheetLibrary library,
        Guid? job = null
    )
    {
        var section = SectionQuestions.Case(question, await library.SuppliesAsync(job));
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
        var supplies = await library.SuppliesAsync(job);
        var laid = question is null ? null : SurfaceStudies.OrNull(() => LaidSection.Of(SectionQuestions.Case(question, supplies)));
        var (answer, fault) = Answer(question, supplies);
        return TypedResults.Ok(
            new SectionOfSurface
            {
                Question = question,
                Laid = laid,
                Answer = answer,
                Fault = fault,
                SheetId = surface.SheetSlug,
                Thickness = thickness,
                Summer = AirShape.Of(JobAir.Summer(job)),
                Buffer = buffer,
                Version = surface.Version,
            }
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
        && states.Float(space, JobAir.Winter(job), planned: false) is { } now
        && states.Float(space, JobAir.Winter(job), planned: true) is { } planned
            ? new(space.Name, Worked(now), Worked(planned))
            : null;

    private static WorkedFigure Worked(BufferSpace space) =>
        new(FigureAnswer.Of(space.Temperature.ToFigure()), WorkingAnswer.Of(space.Working));
}
