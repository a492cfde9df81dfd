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
        foreach (var table in TablesOfJobs(db))
        {
            // The ledger keeps what an edit changed beside the record: it goes with it. Row policies hold this to the firm.
            var edits = $"delete from commands where record_id in (select id from {table} where job_id = {{0}})";
            await db.Database.ExecuteSqlRawAsync(edits, id);
        }

        // Everything else hangs on the job by foreign keys that cascade.
        await db.Jobs.Deleted().Where(job => job.Id == id).ExecuteDeleteAsync();
        await whole.CommitAsync();
        return true;
    }

    // Those whose rows have ids of their own: only such are edited.
    private static IEnumerable<string> TablesOfJobs(UmbracellDb db) =>
        db
            .Model.GetEntityTypes()
            .Where(type =>
                type.FindProperty(nameof(Surface.JobId)) is not null && type.FindPrimaryKey() is { Properties: [{ Name: "Id" }] }
            )
            .Select(type => type.GetTableName())
            .OfType<string>();
}
