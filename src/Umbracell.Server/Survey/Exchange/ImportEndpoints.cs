using System.Globalization;
using System.Security.Claims;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Models;
using Umbracell.Formats.Surveys;
using Umbracell.Formats.Tables;
using Umbracell.Server.Access;
using Umbracell.Server.Requests;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

internal static class ImportEndpoints
{
    public static void MapImports(this IEndpointRouteBuilder app)
    {
        var imports = app.MapGroup("/api/jobs/{id:guid}/imports").WithTags("Exchange").Requires(Right.Edit).TakesFile(Limits.ImportBytes);
        imports.MapPost("/table", TableAsync).WithSummary("Read a CSV or XLSX table of surfaces; nothing is written.").DisableValidation();
        imports.MapPost("/model", ModelAsync).WithSummary("Read a gbXML building model; nothing is written.").DisableValidation();
        imports.MapPost("/check", CheckAsync).WithSummary("Check rows as they were mended on the screen; nothing is written.");
        imports.MapPost("/accept", AcceptAsync).WithSummary("Take the rows: all of them, or none where one is at fault.");
        app.MapPost("/api/jobs/{id:guid}/surfaces/remove", RemoveAsync)
            .WithTags("Exchange")
            .WithSummary("Take surfaces off together: what an import brought.")
            .Requires(Right.Edit)
            .WithMetadata(new RequestSizeLimitAttribute(Limits.ImportBytes));
    }

    private static async Task<Ok<ImportAnswer>> TableAsync(
        Guid id,
        TableToImport file,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        ClaimsPrincipal user,
        TimeProvider clock,
        CancellationToken gone
    )
    {
        var job = await reader.FindJobAsync(id);
        var content = Uploads.Within(file.Content);
        var table = Workbook.IsOne(content) ? Workbook.Read(content) : DelimitedText.Read(content);
        var signature = SurfaceColumns.Signature(table.Header);
        var known = await db
            .ColumnMappings.AsNoTracking()
            .Where(m => m.Signature == signature)
            .Select(m => m.Document)
            .SingleOrDefaultAsync(gone);
        var columns =
            file.Columns
            ?? (known is null ? SurfaceColumns.Guess(table.Header) : JsonSerializer.Deserialize<List<ColumnMap>>(known, DataFile.Json)!);
        var comma = file.DecimalComma ?? table.DecimalComma;
        var rows = SurfaceRows.Of(table, columns, comma).Select(r => new RowToImport(r.Line, r.Fields, r.Note)).ToList();
        var answer = await CheckedAsync(job, rows, file.Units, library, db, Stamp.Of(user, clock), gone);
        return TypedResults.Ok(
            answer with
            {
                Columns = columns,
                Remembered = known is not null && file.Columns is null,
                Delimiter = table.Delimiter,
                Encoding = table.Encoding,
                DecimalComma = comma,
            }
        );
    }

    private static async Task<Ok<ImportAnswer>> ModelAsync(
        Guid id,
        ModelToImport file,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        ClaimsPrincipal user,
        TimeProvider clock,
        CancellationToken gone
    )
    {
        var job = await reader.FindJobAsync(id);
        var model = BuildingModel.Read(Uploads.Within(file.Content));
        var rows = model.Rows.Select(r => new RowToImport(r.Line, r.Fields, r.Note)).ToList();
        return TypedResults.Ok(
            await CheckedAsync(job, rows, UnitSystem.Metric, library, db, Stamp.Of(user, clock), gone) with
            {
                Skipped = model.Skipped,
            }
        );
    }

    private static async Task<Ok<ImportAnswer>> CheckAsync(
        Guid id,
        RowsToImport rows,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        ClaimsPrincipal user,
        TimeProvider clock,
        CancellationToken gone
    ) =>
        TypedResults.Ok(await CheckedAsync(await reader.FindJobAsync(id), rows.Rows, rows.Units, library, db, Stamp.Of(user, clock), gone));

    private static async Task<Ok<ImportAnswer>> AcceptAsync(
        Guid id,
        RowsToImport rows,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock,
        CancellationToken gone,
        Guid? command = null
    )
    {
        var job = await reader.FindJobAsync(id);
        var import = await ImportAsync(job, library, db, Stamp.Of(user, clock));
        var answer = Answer(import, rows.Rows, rows.Units, gone);
        if (answer.Faulty > 0 || import.Surfaces.Count == 0)
        {
            return TypedResults.Ok(answer);
        }

        for (var at = 0; at < import.Surfaces.Count; at++)
        {
            import.Surfaces[at].Id = MadeIds.Of(command, at);
        }

        var added = import.Surfaces.ConvertAll(s => s.Id);
        if (!await commands.TakeAsync(new SentAlone(command), null))
        {
            var standing = await db.Surfaces.Where(s => s.JobId == job.Id && added.Contains(s.Id)).Select(s => s.Id).ToListAsync(gone);
            return TypedResults.Ok(answer with { Added = [.. added.Where(standing.Contains)] });
        }

        await SurveyEndpoints.AppendAsync(import.Surfaces, job, db, clock);
        await RememberAsync(rows.Columns, db);
        await db.SaveChangesAsync(gone);
        return TypedResults.Ok(answer with { Added = added });
    }

    private static async Task<NoContent> RemoveAsync(
        Guid id,
        SurfacesToRemove remove,
        SurfaceReader reader,
        UmbracellDb db,
        TimeProvider clock
    )
    {
        var job = await reader.FindJobAsync(id);
        var now = clock.GetUtcNow();
        var removed = await db.Surfaces.Where(s => s.JobId == job.Id && remove.Ids.Contains(s.Id)).ToListAsync();
        removed.ForEach(s => s.RemovedAt = now);
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<ImportAnswer> CheckedAsync(
        Job job,
        IReadOnlyList<RowToImport> rows,
        UnitSystem units,
        SheetLibrary library,
        UmbracellDb db,
        Stamp stamp,
        CancellationToken gone
    ) => Answer(await ImportAsync(job, library, db, stamp), rows, units, gone);

    private static async Task<SurfaceImport> ImportAsync(Job job, SheetLibrary library, UmbracellDb db, Stamp stamp) =>
        new(
            await SurveyChoices.OfAsync(job.Id, library, db),
            stamp,
            await db.Surfaces.AsNoTracking().Where(s => s.JobId == job.Id).Select(s => s.Name).ToListAsync()
        );

    private static ImportAnswer Answer(SurfaceImport import, IReadOnlyList<RowToImport> rows, UnitSystem units, CancellationToken gone)
    {
        if (rows.Count > SurveyEndpoints.MostSurfaces)
        {
            throw new UnreadableFileException(FileFault.TooManyLines, 0, rows.Count.ToString(CultureInfo.InvariantCulture));
        }

        // Nobody reads what is found once whoever asked has gone.
        var seen = rows.TakeWhile(_ => !gone.IsCancellationRequested).Select(row => import.Check(row, units)).ToList();
        gone.ThrowIfCancellationRequested();
        return new()
        {
            Columns = [],
            Remembered = false,
            Delimiter = "",
            Encoding = "",
            DecimalComma = false,
            Units = units,
            Rows = seen,
            Skipped = [],
            Faulty = seen.Count(r => r.Faults.Count > 0),
            Area = import.Area,
            Added = [],
        };
    }

    private static async Task RememberAsync(IReadOnlyList<ColumnMap>? columns, UmbracellDb db)
    {
        if (columns is null || columns.Count == 0)
        {
            return;
        }

        var signature = SurfaceColumns.Signature([.. columns.Select(c => c.Header)]);
        var row = await db.ColumnMappings.SingleOrDefaultAsync(m => m.Signature == signature);
        if (row is null)
        {
            row = new()
            {
                Id = Guid.NewGuid(),
                Signature = signature,
                Document = "[]",
            };
            db.ColumnMappings.Add(row);
        }

        row.Document = JsonSerializer.Serialize(columns, DataFile.Json);
    }
}
