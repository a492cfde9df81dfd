using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Documents;
using Umbracell.Formats.Papers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Papers;

internal static class PaperEndpoints
{
    private const int MostListed = 50;

    public static void MapPapers(this IEndpointRouteBuilder app)
    {
        var ofJob = app.MapGroup("/api/jobs/{id:guid}/papers").WithTags("Papers").Requires(Right.Look);
        ofJob.MapGet("", OfJobAsync).WithSummary("Papers of a job as they were made, newest first.");
        ofJob
            .MapPost("", MakeAsync)
            .WithSummary("Make a paper from what is known of the job, and keep it; one that says the same as the last is that one.")
            .ProducesProblem(403);
        var paper = app.MapGroup("/api/papers/{id:guid}").WithTags("Papers").Requires(Right.Look);
        Map(paper, "pdf", "application/pdf", PaperPdf.Write).WithSummary("A paper as PDF; Letter for US units, A4 for metric.");
        Map(paper, "xlsx", FileTypes.Workbook, PaperSpreadsheet.Workbook)
            .WithSummary("The table of a paper as a workbook, its figures as numbers.");
        Map(paper, "csv", FileTypes.Csv, PaperSpreadsheet.Csv).WithSummary("The table of a paper as CSV, its figures as numbers.");
    }

    private static RouteHandlerBuilder Map(RouteGroupBuilder paper, string ending, string type, Func<PaperDocument, byte[]> write) =>
        paper
            .MapGet(
                ending,
                async (Guid id, UmbracellDb db, ClaimsPrincipal person) =>
                {
                    var row =
                        await Readable(db.Papers, person).SingleOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("paper");
                    return TypedResults.File(write(row.Document), type, FileTypes.NameOf(row.Document.Title, ending));
                }
            )
            .Produces<byte[]>(200, type);

    private static async Task<Ok<IReadOnlyList<PaperAnswer>>> OfJobAsync(Guid id, UmbracellDb db, ClaimsPrincipal person)
    {
        await db.Jobs.FindStandingAsync(id, tracked: false);
        var rows = await Readable(db.Papers, person)
            .Where(p => p.JobId == id)
            .OrderByDescending(p => p.MadeAt)
            .Take(MostListed)
            .ToListAsync();
        return TypedResults.Ok<IReadOnlyList<PaperAnswer>>([.. rows.Select(PaperAnswer.Of)]);
    }

    private static async Task<Results<Ok<PaperAnswer>, ForbidHttpResult>> MakeAsync(
        Guid id,
        PaperWish wish,
        IEnumerable<IPaperMaker> makers,
        UmbracellDb db,
        ClaimsPrincipal person,
        TimeProvider clock
    )
    {
        var maker = makers.Single(m => m.Kind == wish.Kind);
        if (maker.ShowsPrices(person) && !person.May(Right.Price))
        {
            return TypedResults.Forbid();
        }

        var firm = await db.Firms.AsNoTracking().SingleAsync();
        var made = new PaperRow
        {
            Id = Guid.NewGuid(),
            JobId = id,
            Kind = wish.Kind,
            ShowsPrices = maker.ShowsPrices(person),
            MadeAt = clock.GetUtcNow(),
            MadeBy = Claims.TitleOf(person),
            Document = await maker.MakeAsync(new(id, wish, person, firm, new(wish.Units, firm.Currency))),
        };
        return TypedResults.Ok(PaperAnswer.Of(await KeptAsync(made, person, db)));
    }

    // Printing again what has not changed makes no second paper. What has changed and changed back does: it was handed out anew.
    private static async Task<PaperRow> KeptAsync(PaperRow made, ClaimsPrincipal person, UmbracellDb db)
    {
        var before = await Readable(db.Papers, person)
            .Where(p => p.JobId == made.JobId && p.Kind == made.Kind && p.ShowsPrices == made.ShowsPrices)
            .OrderByDescending(p => p.MadeAt)
            .Take(MostListed)
            .ToListAsync();
        if (before.Find(made.IsAnotherOf) is { } last && last.ReadsAs(made))
        {
            return last;
        }

        db.Papers.Add(made);
        await db.SaveChangesAsync();
        return made;
    }

    private static IQueryable<PaperRow> Readable(IQueryable<PaperRow> papers, ClaimsPrincipal person)
    {
        var prices = person.May(Right.Price);
        return papers.AsNoTracking().Where(p => prices || !p.ShowsPrices);
    }
}
