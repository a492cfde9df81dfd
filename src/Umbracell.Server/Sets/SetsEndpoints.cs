using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Sets;
using Umbracell.Server.Access;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets;

internal static class SetsEndpoints
{
    public static void MapSets(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/compute/sets", ComputeAsync).WithTags("Compute").WithSummary("How many sets an area takes.").Requires(Right.Look);
        app.MapGet("/api/surfaces/{id:guid}/sets", OfSurfaceAsync)
            .WithTags("Sets")
            .WithSummary("The material of a surface, and of its job by product.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<SetsAnswer>> ComputeAsync(SetsQuestion question, SheetLibrary library, Guid? job = null) =>
        TypedResults.Ok(SetsQuestions.Answer(question, await library.SuppliesAsync(job)));

    private static async Task<Ok<SetsOfSurface>> OfSurfaceAsync(Guid id, StudiedJobs jobs)
    {
        var job = await jobs.OfSurfaceAsync(id);
        var row = job.RowOf(id);
        var surface = row.Surface;
        var answer = row.Sets is { } sets ? SetsQuestions.Answer(sets, row.Sheet!) : null;
        var missing =
            answer is not null ? null
            : row.Takeoff is null ? "size"
            : row.Sheet is null ? "sheet"
            : surface.FoamThicknessM is null ? "thickness"
            : "faulty";
        return TypedResults.Ok(
            new SetsOfSurface
            {
                Question = row.SetsQuestion,
                Answer = answer,
                Missing = missing,
                Job = Loads(job.Bid, row),
                Further =
                [
                    .. row.Further.Select(one => new FurtherFoam(
                        one.Sheet.Name,
                        FigureAnswer.Of(one.Sets.Demand.MeanDepth.ToThickness()),
                        FigureAnswer.Of(one.Sets.Demand.Volume.ToFigure()),
                        FigureAnswer.Of(new(one.Sets.Sets.Median, Dimension.Sets))
                    )),
                ],
                Version = surface.Version,
                JobVersion = job.Study.Job.Version,
            }
        );
    }

    private static List<ProductLoad> Loads(JobBid bid, SurfaceStudy row) =>
        [
            .. bid.Loads.Select(load => new ProductLoad
            {
                SheetId = load.Sheet.Id,
                Sheet = load.Sheet.Name,
                Surfaces = load.Surfaces.Count,
                OfThis = load.Surfaces.Any(surface => surface.Row == row),
                MedianSets = load.Sets.Median,
                LoadSets = load.Sets.Load.Sets,
                Median = SetsQuestions.Worked(new(load.Sets.Median, Dimension.Sets), load.Sets.Working),
                BoardFeet = FigureAnswer.Of(load.Volume.ToFigure()),
                Load = SetsQuestions.Worked(Figure.Count(load.Sets.Load.Sets), load.Sets.LoadWorking),
                Loaded = SetsQuestions.Load(load.Sets.Load, load.Sets.Working),
                Around = [.. load.Sets.Around.Select(around => SetsQuestions.Load(around, load.Sets.Working))],
            }),
        ];
}
