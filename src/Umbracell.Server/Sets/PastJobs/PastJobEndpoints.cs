using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Means;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sets.PastJobs;

internal static class PastJobEndpoints
{
    public static void MapPastJobs(this IEndpointRouteBuilder app)
    {
        var jobs = app.MapGroup("/api/past-jobs").WithTags("Past jobs").Requires(Right.Look);
        jobs.MapGet("", AllAsync).WithSummary("Finished jobs, and what each crew yields of each product family.");
        jobs.MapPost("", AddAsync).WithSummary("A finished job from typed fields.").Requires(Right.Edit);
        jobs.MapPatch("/{id:guid}", ChangeAsync)
            .WithSummary("Change typed fields of a finished job, or leave it out with a reason.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        jobs.MapDelete("/{id:guid}", RemoveAsync).WithSummary("Take a finished job away.").Requires(Right.Edit);
        jobs.MapPost("/import", ImportAsync)
            .WithSummary("Read finished jobs from a table; they are taken only when asked, and only when every line reads.")
            .Requires(Right.Edit)
            .Accepts<byte[]>("application/octet-stream")
            .TakesFile(Limits.ImportBytes);
    }

    private static async Task<Ok<PastJobsAnswer>> AllAsync(UmbracellDb db, SheetLibrary library) =>
        TypedResults.Ok(await AnswerAsync(db, library));

    private static async Task<PastJobsAnswer> AnswerAsync(UmbracellDb db, SheetLibrary library)
    {
        var sheets = await library.ShelfAsync();
        var rows = await db.PastJobs.AsNoTracking().OrderByDescending(j => j.FinishedOn).ThenBy(j => j.Name).ToListAsync();
        var learning = CrewYields.Learned(rows, sheets);
        var drawnIn = learning.Counted.Where(c => c.Winsorised).Select(c => c.Job.Id).ToHashSet(StringComparer.Ordinal);
        return new(
            [.. rows.Select(row => Answer(row, sheets, drawnIn.Contains(row.Id.ToString())))],
            [
                .. learning
                    .Crews.Order(StringComparer.Ordinal)
                    .SelectMany(crew =>
                        learning
                            .Families.Order(StringComparer.Ordinal)
                            .Select(family => Answer(learning.For(crew, family), learning.ScatterOf(crew, family)))
                    ),
            ]
        );
    }

    private static PastJobAnswer Answer(PastJobRow row, SheetShelf sheets, bool winsorised)
    {
        var sheet = sheets.Of(row.SheetSlug, row.SheetNumber);
        var figures = new Dictionary<string, Figure>
        {
            ["area"] = new(row.AreaM2, Dimension.Area),
            ["meanDepth"] = new(row.MeanDepthM, Dimension.Thickness),
            ["sets"] = new(row.SetsUsed, Dimension.Sets),
            ["substrate"] = new(row.SubstrateC, Dimension.Temperature),
            ["drum"] = new(row.DrumC, Dimension.Temperature),
            ["lift"] = new(row.LiftM, Dimension.Thickness),
        };
        if (row.DepthReadings > 0)
        {
            figures["depthReadings"] = Figure.Count(row.DepthReadings);
            figures["depthScatter"] = new(row.DepthScatterM, Dimension.Thickness);
        }

        double? ratio = null;
        if (CrewYields.Finished(row, sheets) is { } job)
        {
            ratio = 100 * Math.Exp(job.LogRatio);
            figures["actual"] = job.Actual.ToFigure();
            figures["predicted"] = job.Predicted.ToFigure();
            figures["ratio"] = Figure.Percent(ratio.Value);
        }

        return new()
        {
            Id = row.Id,
            Name = row.Name,
            Crew = row.Crew,
            SheetId = row.SheetSlug,
            Sheet = sheet?.Name ?? "",
            Family = sheet is null ? "" : sheet.Family,
            FinishedOn = row.FinishedOn,
            Figures = FigureAnswer.All(figures),
            RatioPct = ratio,
            SubstrateC = row.SubstrateC,
            Winsorised = winsorised,
            JobId = row.JobId,
            LeftOutBecause = row.LeftOutBecause,
            Version = row.Version,
        };
    }

    private static CrewYieldAnswer Answer(CrewYield y, CrewScatter? scatter) =>
        new()
        {
            Crew = y.Crew,
            Family = y.Family,
            Jobs = y.Jobs,
            Factor = new(FigureAnswer.Of(Figure.Number(y.Factor)), WorkingAnswer.Of(y.Working)),
            Low = FigureAnswer.Of(Figure.Number(y.Low)),
            High = FigureAnswer.Of(Figure.Number(y.High)),
            LogMean = y.LogMean,
            LogSd = y.LogSd,
            DataMean = y.DataMean,
            DataSd = y.DataSd,
            PriorSd = CrewLearning.PriorSd,
            Scatter = scatter is null ? null : new(FigureAnswer.Of(scatter.Scatter.ToThickness()), WorkingAnswer.Of(scatter.Working)),
        };

    private static async Task<Ok<PastJobsAnswer>> AddAsync(TypedEdit edit, UmbracellDb db, SheetLibrary library, Commands commands)
    {
        if (await commands.TakeAsync(edit, null))
        {
            var row = PastJobFields.New();
            row.Id = edit.Id ?? row.Id;
            PastJobFields.Take(new(edit), row, await library.AllAsync(), await MeansByName.OpenAsync(db), isNew: true);
            db.PastJobs.Add(row);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await AnswerAsync(db, library));
    }

    private static async Task<Ok<PastJobsAnswer>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        UmbracellDb db,
        SheetLibrary library,
        Commands commands
    )
    {
        var row = await FindAsync(id, db);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(await AnswerAsync(db, library));
        }

        await Seen.MustStandAsync(edit.Version, row.Version, async () => Answer(row, await library.ShelfAsync(), winsorised: false));

        PastJobFields.Take(new(edit), row, await library.AllAsync(), await MeansByName.OpenAsync(db), isNew: false);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(db, library));
    }

    private static async Task<Ok<PastJobsAnswer>> RemoveAsync(Guid id, UmbracellDb db, SheetLibrary library)
    {
        db.PastJobs.Remove(await FindAsync(id, db));
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(db, library));
    }

    private static async Task<Ok<PastJobsImport>> ImportAsync(
        HttpRequest request,
        UmbracellDb db,
        SheetLibrary library,
        Commands commands,
        string units = "us",
        bool take = false,
        Guid? command = null
    )
    {
        var bytes = await Uploads.ReadAsync(request);
        var (rows, faults) = PastJobTable.Read(bytes, UnitsWord.Read(units), await library.AllAsync(), await MeansByName.OpenAsync(db));
        var taken = take && faults.Count == 0;
        if (taken && await commands.TakeAsync(new SentAlone(command), null))
        {
            db.PastJobs.AddRange(rows);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(new PastJobsImport(rows.Count, faults, taken));
    }

    private static async Task<PastJobRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.PastJobs.SingleOrDefaultAsync(j => j.Id == id) ?? throw new NotFoundException("finished job");
}
