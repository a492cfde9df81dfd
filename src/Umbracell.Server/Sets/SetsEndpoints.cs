using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Server.Jobs;
using Umbracell.Server.Sets.Price;
using Umbracell.Server.Sheets;

namespace Umbracell.Server.Sets;

internal static class SetsEndpoints
{
    public static void MapSets(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/compute/sets", ComputeAsync).WithTags("Compute").WithSummary("How many sets an area takes.").RequireAuthorization();
        app.MapGet("/api/surfaces/{id:guid}/sets", OfSurfaceAsync).WithTags("Sets").WithSummary("The material of a surface, and of its job by product.").RequireAuthorization();
    }

    private static async Task<Ok<SetsAnswer>> ComputeAsync(SetsQuestion question, SheetLibrary library)
    {
        var sheet = await library.FindAsync(question.SheetId);
        return TypedResults.Ok(SetsQuestions.Answer(SetsQuestions.Study(question, sheet), sheet));
    }

    private static async Task<Ok<SetsOfSurface>> OfSurfaceAsync(Guid id, PriceReader prices)
    {
        var (study, row, means) = await prices.RowAsync(id);
        var surface = row.Surface;
        var answer = row.Sets is { } sets ? SetsQuestions.Answer(sets, row.Sheet!) : null;
        var missing = answer is not null ? null : row.Takeoff is null ? "size" : row.Sheet is null ? "sheet" : surface.FoamThicknessM is null ? "thickness" : "faulty";
        return TypedResults.Ok(new SetsOfSurface(row.SetsQuestion, answer, missing, Loads(study, JobBid.Of(study, means)), [.. row.Further.Select(one => new FurtherFoam(one.Sheet.Name, FigureAnswer.Of(one.Sets.Demand.MeanDepth.ToThickness()), FigureAnswer.Of(one.Sets.Demand.Volume.ToFigure()), FigureAnswer.Of(new(one.Sets.Sets.Median, Dimension.Sets))))], surface.Version, study.Job.Version));
    }

    /// <summary>Surfaces of one product are loaded together, by the way each will be sprayed. Their errors are taken as shared, as one crew sprays them with one product.</summary>
    private static List<ProductLoad> Loads(JobStudy study, JobBid bid)
    {
        var loads = new List<ProductLoad>();
        foreach (var group in bid.Surfaces.SelectMany(s => s.Priced.Foams).GroupBy(foam => foam.Sheet.Id).OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            var volume = group.Aggregate(default(FoamVolume), (sum, foam) => sum + foam.Volume);
            var median = group.Sum(foam => foam.Sets);
            var spread = JobBid.SpreadOf(study, group.Key);
            var load = SpraySets.LoadFor(median, spread, study.Job.RiskPct / 100);
            var leftOver = load > median ? volume * ((load - median) / median) : default;
            loads.Add(new(
                group.Key, group.First().Sheet.Name, group.Count(), median, load,
                FigureAnswer.Of(new(median, Dimension.Sets)), FigureAnswer.Of(volume.ToFigure()), FigureAnswer.Of(leftOver.ToFigure()),
                FigureAnswer.Of(Figure.Percent(100 * SpraySets.ChanceShort(median, spread, load)))));
        }

        return loads;
    }
}
