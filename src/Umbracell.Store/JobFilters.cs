using Microsoft.EntityFrameworkCore;
using Umbracell.Store.Model;

namespace Umbracell.Store;

/// <summary>Which jobs are seen: those of the firm, and of them those that are not deleted.</summary>
public static class JobFilters
{
    internal const string OfFirm = "ofFirm";
    internal const string Standing = "standing";

    /// <summary>The firm's jobs, deleted ones too.</summary>
    public static IQueryable<Job> WithDeleted(this DbSet<Job> jobs) => jobs.IgnoreQueryFilters([Standing]);

    /// <summary>The firm's deleted jobs.</summary>
    public static IQueryable<Job> Deleted(this DbSet<Job> jobs) => jobs.WithDeleted().Where(job => job.DeletedAt != null);
}
