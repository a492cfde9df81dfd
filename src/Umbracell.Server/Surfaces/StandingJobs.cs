using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Finds a job that stands; of one that was deleted it is said that it was.</summary>
internal static class StandingJobs
{
    /// <exception cref="NotFoundException">The firm has no such job.</exception>
    /// <exception cref="JobDeletedException">It has been deleted.</exception>
    public static async Task<Job> FindStandingAsync(this DbSet<Job> jobs, Guid id, bool tracked = true)
    {
        var standing = tracked ? jobs : jobs.AsNoTracking();
        return await standing.SingleOrDefaultAsync(job => job.Id == id) ?? throw await WhyNotAsync(jobs, id);
    }

    private static async Task<Exception> WhyNotAsync(DbSet<Job> jobs, Guid id) =>
        await jobs.Deleted().AsNoTracking().SingleOrDefaultAsync(job => job.Id == id) is { } deleted
            ? new JobDeletedException(deleted.Name, deleted.DeletedBy)
            : new NotFoundException("job");
}
