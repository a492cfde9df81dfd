using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Price;
using Umbracell.Server.Access;
using Umbracell.Server.Places;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Sets.Price;

internal static class PriceEndpoints
{
    private const int MostKept = 50;

    public static void MapPrice(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/price", OfJobAsync)
            .WithTags("Price")
            .WithSummary("The bid of a job for the day of the work, and bids as they were made; for those who price.")
            .Requires(Right.Price);
        app.MapPost("/api/jobs/{id:guid}/bids", KeepAsync)
            .WithTags("Price")
            .WithSummary("Keep today's figures as a bid.")
            .Requires(Right.Price);
        app.MapDelete("/api/bids/{id:guid}", RemoveAsync).WithTags("Price").WithSummary("Take a kept bid away.").Requires(Right.Price);
        app.MapGet("/api/surfaces/{id:guid}/cold-routes", RoutesAsync)
            .WithTags("Price")
            .WithSummary("The cold-weather routes of a surface side by side.")
            .Requires(Right.Look);
        app.MapGet("/api/surfaces/{id:guid}/kits", KitsAsync)
            .WithTags("Price")
            .WithSummary("A surface sprayed from hand kits against the rig, and the size up to which kits are cheaper.")
            .Requires(Right.Look);
        app.MapGet("/api/surfaces/{id:guid}/alternatives", AlternativesAsync)
            .WithTags("Price")
            .WithSummary("What the job would cost with every other system on this surface; for those who price.")
            .Requires(Right.Price);
        app.MapGet("/api/surfaces/{id:guid}/inch-ledger", InchesAsync)
            .WithTags("Price")
            .WithSummary("What each further step of foam costs and cuts.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<JobPriceAnswer>> OfJobAsync(Guid id, StudiedJobs jobs, UmbracellDb db, TimeProvider clock) =>
        TypedResults.Ok(await AnswerAsync(id, jobs, db, clock));

    private static async Task<JobPriceAnswer> AnswerAsync(Guid id, StudiedJobs jobs, UmbracellDb db, TimeProvider clock)
    {
        var (_, study, means, bid) = await jobs.OfAsync(id);
        string NameOf(string key) => BidQuestions.NameOf(key, means.Supplies);
        var kept = await db.Bids.AsNoTracking().Where(b => b.JobId == id).OrderByDescending(b => b.MadeAt).Take(MostKept).ToListAsync();
        var today = KeptBids.Of(bid);
        var pricing = JobPricing.Of(study.Job);
        return new()
        {
            WorkDate = pricing.WorkDate,
            SeasonAir = JobPricing.SeasonOf(study.Job) is { } season ? FigureAnswer.Of(season.Air.ToFigure()) : null,
            HasPlace = JobPlaces.Of(study.Job) is not null,
            Space = pricing.SpaceM3 is { } m3 ? FigureAnswer.Of(new(m3, Dimension.RoomVolume)) : null,
            AirChanges = FigureAnswer.Of(new(pricing.AirChanges, Dimension.AirChanges)),
            Heater = Vocabulary.KeyOf(pricing.Heater),
            Question = BidQuestions.Of(bid.Surfaces.Select(s => s.Priced)),
            Bid = BidQuestions.Answer(bid.Bid, means.Supplies),
            Surfaces = [.. bid.Surfaces.Select(PriceAnswers.Of)],
            Kept = [.. kept.Where(b => b.Document is not null).Select(b => PriceAnswers.Of(b, today, NameOf))],
            Seasons = [.. PriceAnswers.Seasons(study, pricing.WorkDate ?? PlaceTime.Today(study.Job, clock), means.Supplies.Offered)],
            JobVersion = study.Job.Version,
        };
    }

    private static async Task<Ok<JobPriceAnswer>> KeepAsync(
        Guid id,
        StudiedJobs jobs,
        UmbracellDb db,
        Commands commands,
        TimeProvider clock,
        ClaimsPrincipal person,
        Guid? command = null
    )
    {
        if (!await commands.TakeAsync(new SentAlone(command), null))
        {
            return TypedResults.Ok(await AnswerAsync(id, jobs, db, clock));
        }

        var (_, study, _, bid) = await jobs.OfAsync(id);
        db.Bids.Add(
            new()
            {
                Id = Guid.NewGuid(),
                JobId = id,
                MadeAt = clock.GetUtcNow(),
                MadeBy = Claims.TitleOf(person),
                WorkDate = JobPricing.Of(study.Job).WorkDate,
                Document = KeptBids.Of(bid),
            }
        );
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(id, jobs, db, clock));
    }

    private static async Task<Ok<JobPriceAnswer>> RemoveAsync(Guid id, StudiedJobs jobs, UmbracellDb db, TimeProvider clock)
    {
        var row = await db.Bids.SingleOrDefaultAsync(b => b.Id == id) ?? throw new NotFoundException("bid");
        db.Bids.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(row.JobId, jobs, db, clock));
    }

    private static async Task<Ok<ColdRoutesAnswer>> RoutesAsync(Guid id, StudiedJobs jobs)
    {
        var job = await jobs.OfSurfaceAsync(id);
        var row = job.RowOf(id);
        if (JobBid.QuestionOf(job.Study, row, job.Means) is not { } question)
        {
            return TypedResults.Ok(
                new ColdRoutesAnswer
                {
                    Substrate = null,
                    From = row.SubstrateFrom,
                    Needed = false,
                    Priced = false,
                    Sheet = "",
                    Routes = [],
                }
            );
        }

        var routes = ColdRoutes.Of(question);
        return TypedResults.Ok(
            new ColdRoutesAnswer
            {
                Substrate = FigureAnswer.Of(question.Substrate.ToFigure()),
                From = row.SubstrateFrom,
                Needed = ColdRoutes.IsNearEdge(question),
                Priced = routes.Routes.All(r => r.Bid.Missing.Count == 0),
                Sheet = question.Standard.Name,
                Routes = ColdRouteQuestions.Answer(routes),
            }
        );
    }

    private static async Task<Ok<IReadOnlyList<InchMoneyAnswer>>> InchesAsync(Guid id, StudiedJobs jobs)
    {
        var job = await jobs.OfSurfaceAsync(id);
        return TypedResults.Ok(InchMoney.Of(job.RowOf(id), job.Means.Rates));
    }

    private static async Task<Ok<IReadOnlyList<KitAnswer>>> KitsAsync(Guid id, StudiedJobs jobs)
    {
        var job = await jobs.OfSurfaceAsync(id);
        return TypedResults.Ok(Kits.Of(job, job.RowOf(id)));
    }

    private static async Task<Ok<AlternativesAnswer>> AlternativesAsync(
        Guid id,
        StudiedJobs jobs,
        SurfaceReader surfaces,
        CrewYields crews,
        UmbracellDb db
    )
    {
        var job = await jobs.OfSurfaceAsync(id);
        var readings = await surfaces.ReadingsAsync(job.Study.Job.Id, [id]);
        return TypedResults.Ok(
            Alternatives.Of(job, job.RowOf(id), await db.Firms.SingleAsync(), readings, await crews.AtWorkAsync(job.Study.Job))
        );
    }
}
