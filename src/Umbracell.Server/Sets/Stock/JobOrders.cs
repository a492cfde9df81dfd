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
        var elsewhere = await db
            .Surfaces.Where(s => s.JobId != id && s.SheetSlug != null)
            .Join(
                db.Jobs.Where(j => j.ArchivedAt == null && !Done.Contains(j.State)),
                s => s.JobId,
                j => j.Id,
                (s, j) => new { Sheet = s.SheetSlug!, j.Name }
            )
            .Distinct()
            .ToListAsync();
        return JobOrder.Of(
            job.Study,
            job.Bid,
            lots,
            elsewhere.ToLookup(e => e.Sheet, e => e.Name),
            job.Means.Rates,
            PlaceTime.Today(job.Study.Job, clock)
        );
    }
}
