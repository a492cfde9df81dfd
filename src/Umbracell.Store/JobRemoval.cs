using Microsoft.EntityFrameworkCore;
using Umbracell.Store.Model;

namespace Umbracell.Store;

/// <summary>Removes a job for good: nothing of it is left, not even what edits changed.</summary>
public static class JobRemoval
{
    /// <summary>Removes a deleted job and everything that hangs on it.</summary>
    /// <param name="db">A firm is entered.</param>
    /// <param name="id">A job that was deleted.</param>
    /// <returns>False where no deleted job of the firm has this id.</returns>
    public static async Task<bool> RemoveForGoodAsync(this UmbracellDb db, Guid id)
    {
        await using var whole = await db.Database.BeginTransactionAsync();
        if (!await db.Jobs.Deleted().AnyAsync(job => job.Id == id))
        {
            return false;
        }

        await db.Commands.Where(c => c.RecordId == id).ExecuteDeleteAsync();
        foreach (var rows in RowsOfJob(db))
        {
            // The ledger keeps what an edit changed beside the record: it goes with it. Row policies hold this to the firm.
            var edits = $"delete from commands where record_id in ({rows})";
            await db.Database.ExecuteSqlRawAsync(edits, id);
        }

        // Everything else hangs on the job by foreign keys that cascade.
        await db.Jobs.Deleted().Where(job => job.Id == id).ExecuteDeleteAsync();
        await whole.CommitAsync();
        return true;
    }

    // Ids of all that can be edited by itself: what hangs on the job, and what hangs on one of its surfaces.
    private static IEnumerable<string> RowsOfJob(UmbracellDb db)
    {
        foreach (var type in db.Model.GetEntityTypes().Where(type => type.FindPrimaryKey() is { Properties: [{ Name: "Id" }] }))
        {
            if (type.FindProperty(nameof(Surface.JobId)) is not null)
            {
                yield return $"select id from {type.GetTableName()} where job_id = {{0}}";
            }
            else if (type.FindProperty(nameof(SiteNoteRow.SurfaceId)) is not null)
            {
                yield return $"select id from {type.GetTableName()} where surface_id in (select id from surfaces where job_id = {{0}})";
            }
        }
    }
}
