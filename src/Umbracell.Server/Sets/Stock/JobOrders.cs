using System.Security.Claims;
using Microsoft.EntityFrameworkCore;
using Umbracell.Documents;
using Umbracell.Server.Access;
using Umbracell.Server.Places;
using Umbracell.Server.Surfaces;
using Umbracell.Store;

namespace Umbracell.Server.Sets.Stock;

/// <summary>Order and load of jobs for whoever asks; prices only for those who price.</summary>
internal sealed class JobOrders(StudiedJobs jobs, UmbracellDb db, TimeProvider clock)
{
    /// <summary>Jobs that will draw nothing more from stock.</summary>
    private static readonly JobState[] Done = [JobState.Finished, JobState.NotOrdered];

    public async Task<JobOrderAnswer> OfAsync(Guid id, ClaimsPrincipal person)
    {
        var order = await OfAsync(await jobs.OfAsync(id), id);
        return person.May(Right.Price) ? order : order with { Lines = [.. order.Lines.Select(line => line with { Price = null })] };
    }

    private async Task<JobOrderAnswer> OfAsync(StudiedJob job, Guid id)
    {
        var lots = await db.StockLots.AsNoTracking().ToListAsync();
        var elsewhere = await ElsewhereAsync(id);
        return JobOrder.Of(job.Study, job.Bid, lots, elsewhere, job.Means.Supplies, PlaceTime.Today(job.Study.Job, clock));
    }

    /// <summary>By sheet, the names of the other jobs that will draw from it: those of the nearest day first, those without one last.</summary>
    private async Task<ILookup<string, string>> ElsewhereAsync(Guid id)
    {
        var others = await db
            .Jobs.Where(job => job.Id != id && job.ArchivedAt == null && !Done.Contains(job.State))
            .Select(job => new
            {
                job.Name,
                job.Pricing,
                Sheets = db.Surfaces.Where(s => s.JobId == job.Id && s.SheetSlug != null).Select(s => s.SheetSlug!).Distinct().ToList(),
            })
            .ToListAsync();
        return others
            .OrderBy(other => other.Pricing?.WorkDate ?? DateOnly.MaxValue)
            .ThenBy(other => other.Name, StringComparer.Ordinal)
            .SelectMany(other => other.Sheets, (other, sheet) => (Sheet: sheet, other.Name))
            .Distinct()
            .ToLookup(e => e.Sheet, e => e.Name);
    }
}
