using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Formats.JobFiles;
using Umbracell.Formats.Surveys;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>A job that was brought in.</summary>
public sealed record BroughtIn(Guid Id, string Name, int Surfaces);

internal static class ExportEndpoints
{
    public static void MapExports(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/surfaces.csv", CsvAsync)
            .WithTags("Exchange")
            .WithSummary("Surfaces as CSV that reads back in without loss.")
            .Requires(Right.Look)
            .Notes(SecurityEvent.Exported);
        app.MapGet("/api/jobs/{id:guid}/surfaces.xlsx", WorkbookAsync)
            .WithTags("Exchange")
            .WithSummary("Surfaces as a workbook that reads back in without loss.")
            .Requires(Right.Look)
            .Notes(SecurityEvent.Exported);
        app.MapGet("/api/jobs/{id:guid}/file", FileAsync)
            .WithTags("Exchange")
            .WithSummary("The whole job as one JSON file.")
            .Requires(Right.Look)
            .Notes(SecurityEvent.Exported);
        app.MapPost("/api/jobs/file", BringInAsync)
            .WithTags("Exchange")
            .WithSummary("A new job from a job file.")
            .Requires(Right.Edit)
            .TakesFile(Limits.JobFileBytes);
        app.MapGet("/api/schemas/job", () => TypedResults.Text(JobFile.SchemaText, "application/schema+json"))
            .WithTags("Schemas")
            .WithSummary("JSON Schema of job files.");
    }

    private static async Task<FileContentHttpResult> CsvAsync(Guid id, SurfaceReader reader, SheetLibrary library, string units = "metric")
    {
        var (job, surfaces) = await SurfacesAsync(id, reader, library, UnitsWord.Read(units));
        return TypedResults.File(SurfaceExport.ToCsv(surfaces), FileTypes.Csv, FileTypes.NameOf(job.Name, "csv"));
    }

    private static async Task<FileContentHttpResult> WorkbookAsync(
        Guid id,
        SurfaceReader reader,
        SheetLibrary library,
        string units = "metric"
    )
    {
        var system = UnitsWord.Read(units);
        var (job, surfaces) = await SurfacesAsync(id, reader, library, system);
        return TypedResults.File(SurfaceExport.ToWorkbook(surfaces, system), FileTypes.Workbook, FileTypes.NameOf(job.Name, "xlsx"));
    }

    private static async Task<(Job Job, IEnumerable<Dictionary<string, ExportCell>> Surfaces)> SurfacesAsync(
        Guid id,
        SurfaceReader reader,
        SheetLibrary library,
        UnitSystem system
    )
    {
        var job = await reader.FindJobAsync(id);
        var sheets = await library.AllAsync();
        return (
            job,
            (await reader.SurfacesAsync(job.Id)).Select(s =>
                SurfaceTexts.Of(s, system, sheet => sheets.GetValueOrDefault(sheet)?.Name ?? sheet)
            )
        );
    }

    private static async Task<FileContentHttpResult> FileAsync(Guid id, SurfaceReader reader, UmbracellDb db, ClaimsPrincipal person)
    {
        var job = await reader.FindJobAsync(id);
        var file = await JobFiling.OutAsync(job, reader, db);
        file = person.May(Right.Price) ? file : file.WithoutPrices();
        return TypedResults.File(file.Write(), "application/json", FileTypes.NameOf(job.Name, "umbracell.json"));
    }

    private static async Task<Created<BroughtIn>> BringInAsync(
        HttpRequest request,
        UmbracellDb db,
        SheetEditions editions,
        Commands commands,
        ClaimsPrincipal person,
        TimeProvider clock,
        Guid? command = null
    )
    {
        if (!await commands.TakeAsync(new SentAlone(command), null))
        {
            var first = await db.Jobs.SingleOrDefaultAsync(j => j.Id == command) ?? throw new NotFoundException("job");
            return TypedResults.Created(
                $"/api/jobs/{first.Id}",
                new BroughtIn(first.Id, first.Name, await db.Surfaces.CountAsync(s => s.JobId == first.Id))
            );
        }

        var file = JobFile.Read("job file", await Uploads.ReadAsync(request));
        file = person.May(Right.Price) ? file : file.WithoutPrices();
        var job = await JobFiling.InAsync(file, db, editions, command ?? Guid.NewGuid(), Stamp.Of(person, clock));
        return TypedResults.Created($"/api/jobs/{job.Id}", new BroughtIn(job.Id, job.Name, file.Surfaces.Count));
    }
}
