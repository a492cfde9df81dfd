using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Spraying;
using Umbracell.Documents;
using Umbracell.Server.Sheets;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Writes entries of the log, with what hangs on them: drums leave the store, and a job that is finished becomes one that crews
/// learn from.</summary>
internal sealed class LogBook(
    UmbracellDb db,
    SheetLibrary library,
    StockOfLog stock,
    LoggedJobs logged,
    PastJobOfLog past,
    Commands commands
)
{
    /// <summary>Takes an entry as it was typed; what arrives twice is taken once.</summary>
    public async Task TakeAsync(TypedEdit edit, Surface surface, Job job, Stamp stamp)
    {
        if (await commands.TakeAsync(edit, null, stamp))
        {
            await WriteAsync(edit, surface, job, stamp);
        }

        // A request that broke off between the two is sent again.
        await SettleAsync(job);
    }

    private async Task WriteAsync(TypedEdit edit, Surface surface, Job job, Stamp stamp)
    {
        var rows = await RowsAsync(job.Id);
        var known = rows.Where(row => row.SurfaceId is null || row.SurfaceId == surface.Id).Select(row => row.Document).ToList();
        var sheets = (await library.SuppliesAsync(job)).Sheets;
        var drums = new DrumsAtHand(
            surface.SheetSlug is { } slug ? sheets.GetValueOrDefault(slug) : null,
            sheets,
            await db.StockLots.AsNoTracking().ToListAsync()
        );
        var entry = new LogFields(edit, job, stamp, drums).Read(known);

        // The same entry under another command is the same entry.
        if (!await db.SprayLog.AnyAsync(row => row.Id == entry.Id))
        {
            db.SprayLog.Add(
                new()
                {
                    Id = entry.Id,
                    JobId = job.Id,
                    SurfaceId = LogFields.IsOfJob(entry.Kind) || IsOfJob(entry.Replaces, known) ? null : surface.Id,
                    Document = entry,
                    ReceivedAt = stamp.ReceivedAt,
                }
            );
            List<LogEntry> before = rows.ConvertAll(row => row.Document.ToEntry());
            List<LogEntry> after = [.. before, entry.ToEntry()];
            await stock.MoveAsync(before, after, sheets);
            Follow(job, before, after);
        }

        await db.SaveChangesAsync();
    }

    // Sees to it that the finished jobs of a job are what its log tells.
    private async Task SettleAsync(Job job)
    {
        var isFinished = SprayedSurface.Of((await RowsAsync(job.Id)).Select(row => row.Document.ToEntry())).JobFinishedAt is not null;
        if (isFinished || await db.PastJobs.AnyAsync(row => row.JobId == job.Id))
        {
            await past.SettleAsync(await logged.OfAsync(job.Id));
            await db.SaveChangesAsync();
        }
    }

    // The job goes along: what is finished draws nothing more from the store.
    private static void Follow(Job job, IReadOnlyList<LogEntry> before, IReadOnlyList<LogEntry> after)
    {
        var (was, now) = (SprayedSurface.Of(before).JobFinishedAt, SprayedSurface.Of(after).JobFinishedAt);
        if (was is null && now is not null)
        {
            job.State = JobState.Finished;
        }
        else if (was is not null && now is null && job.State == JobState.Finished)
        {
            job.State = JobState.UnderWay;
        }
    }

    private Task<List<LogEntryRow>> RowsAsync(Guid job) => db.SprayLog.AsNoTracking().Where(row => row.JobId == job).ToListAsync();

    // What withdraws an entry of the whole job is of the whole job too.
    private static bool IsOfJob(Guid? replaces, List<LogEntryDocument> log) =>
        replaces is { } id && log.Find(one => one.Id == id) is { } replaced && LogFields.IsOfJob(replaced.Kind);
}
