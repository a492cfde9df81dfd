using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Figures;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Jobs;

/// <summary>A surface on the board.</summary>
internal sealed record KeptRow(Guid Id, string Name, SurfaceKind Kind, KeptCells Cells);

/// <summary>A board as it stands.</summary>
internal sealed record KeptBoard(IReadOnlyList<KeptRow> Rows, KeptSums Sums);

/// <summary>Figures of jobs as they are kept; what is out of date is made anew and kept.</summary>
internal sealed class KeptBoards(
    UmbracellDb db,
    FirmScope scope,
    StudiedJobs jobs,
    StudyMemory memory,
    StageCells cells,
    SheetLibrary library,
    TimeProvider clock
)
{
    public async Task<KeptBoard> OfAsync(Guid job)
    {
        var inputs = await FigureInputs.OfAsync(job, scope.FirmId!.Value, db);
        return memory.Find<KeptBoard>(job, inputs.OfSums) is { } remembered
            ? await NowAsync(remembered, inputs)
            : await KeptAsync(job, inputs);
    }

    /// <summary>Sees to it that what is kept of a job is up to date, whatever this process remembers.</summary>
    public async Task BringUpToDateAsync(Guid job) => await KeptAsync(job, await FigureInputs.OfAsync(job, scope.FirmId!.Value, db));

    private async Task<KeptBoard> KeptAsync(Guid job, FigureInputs inputs)
    {
        var sums = await db.JobSums.AsNoTracking().SingleOrDefaultAsync(s => s.JobId == job);
        return sums?.MadeFrom == inputs.OfSums && await ReadAsync(inputs, sums) is { } read
            ? await NowAsync(read, inputs)
            : await MadeAnewAsync(await jobs.OfAsync(job));
    }

    // Readings age without anything being written.
    private async Task<KeptBoard> NowAsync(KeptBoard board, FigureInputs inputs)
    {
        var now = clock.GetUtcNow();
        if (board.Rows.Any(row => !row.Cells.StandsAt(now)))
        {
            var at = new CellTime(now, await library.SuppliesAsync(inputs.Job));
            var aged = board
                .Rows.Where(row => !row.Cells.StandsAt(now))
                .ToDictionary(row => row.Id, row => row with { Cells = row.Cells with { Stages = cells.At(row.Cells.Stages, at) } });
            board = board with { Rows = [.. board.Rows.Select(row => aged.GetValueOrDefault(row.Id, row))] };
            await KeepAsync(inputs, [.. aged.Values]);
        }

        memory.Keep(inputs.Job, inputs.OfSums, board);
        return board;
    }

    private async Task<KeptBoard> MadeAnewAsync(StudiedJob job)
    {
        var at = new CellTime(clock.GetUtcNow(), await library.SuppliesAsync(job.Study.Job));
        var from = job.Inputs.ToDictionary();
        var board = new KeptBoard(
            [
                .. job.Study.Rows.Select(row => new KeptRow(
                    row.Surface.Id,
                    row.Surface.Name,
                    row.Surface.Kind,
                    CellsOf(row, from[row.Surface.Id], at)
                )),
            ],
            KeptSums.Of(job.Bid)
        );
        var kept = await db
            .SurfaceCells.Where(c => c.JobId == job.Inputs.Job)
            .Select(c => new { c.SurfaceId, c.MadeFrom })
            .ToDictionaryAsync(c => c.SurfaceId, c => c.MadeFrom);
        await KeepAsync(job.Inputs, [.. board.Rows.Where(row => kept.GetValueOrDefault(row.Id) != from[row.Id])]);
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into job_sums (job_id, firm_id, made_from, document)
                values ({job.Inputs.Job}, {scope.FirmId}, {job.Inputs.OfSums}, {KeptJson.Write(board.Sums)}::jsonb)
                on conflict (job_id) do update set made_from = excluded.made_from, document = excluded.document
            """
        );
        memory.Keep(job.Inputs.Job, job.Inputs.OfSums, board);
        return board;
    }

    private KeptCells CellsOf(SurfaceStudy row, string madeFrom, CellTime at)
    {
        if (memory.Find<KeptCells>(row.Surface.Id, madeFrom) is { } remembered && remembered.StandsAt(at.Now))
        {
            return remembered;
        }

        var made = KeptCells.Of(row, cells, at);
        memory.Keep(row.Surface.Id, madeFrom, made);
        return made;
    }

    // Null where not all stand: rows that were read after the versions may be newer than these, and are made once more.
    private async Task<KeptBoard?> ReadAsync(FigureInputs inputs, JobSumsRow sums)
    {
        var rows = await (
            from surface in db.Surfaces
            join kept in db.SurfaceCells on surface.Id equals kept.SurfaceId
            where surface.JobId == inputs.Job
            orderby surface.Position, surface.Id
            select new
            {
                surface.Id,
                surface.Name,
                surface.Kind,
                kept.MadeFrom,
                kept.Document,
            }
        ).ToListAsync();
        var from = inputs.ToDictionary();
        return rows.Count == from.Count && rows.TrueForAll(row => from.GetValueOrDefault(row.Id) == row.MadeFrom)
            ? new(
                [.. rows.Select(row => new KeptRow(row.Id, row.Name, row.Kind, KeptJson.Read<KeptCells>(row.Document)))],
                KeptJson.Read<KeptSums>(sums.Document)
            )
            : null;
    }

    private async Task KeepAsync(FigureInputs inputs, IReadOnlyList<KeptRow> rows)
    {
        if (rows.Count == 0)
        {
            return;
        }

        var from = inputs.ToDictionary();
        var worst = Each(row => row.Cells.Worst.ToString());
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into surface_cells (surface_id, firm_id, job_id, made_from, made_at, worst, worst_until, area_m2, document)
                select surface, {scope.FirmId}, {inputs.Job}, made_from, made_at, worst, until, area, document::jsonb
                from unnest({Each(row => row.Id)}, {Each(row => from[row.Id])}, {Each(row => row.Cells.MadeAt)}, {worst},
                    {Each(row => row.Cells.Until)}, {Each(row => row.Cells.AreaM2 ?? 0)}, {Each(row => KeptJson.Write(row.Cells))})
                    as kept (surface, made_from, made_at, worst, until, area, document)
                on conflict (surface_id) do update set made_from = excluded.made_from, made_at = excluded.made_at, worst = excluded.worst,
                    worst_until = excluded.worst_until, area_m2 = excluded.area_m2, document = excluded.document
            """
        );

        T[] Each<T>(Func<KeptRow, T> of) => [.. rows.Select(of)];
    }
}
