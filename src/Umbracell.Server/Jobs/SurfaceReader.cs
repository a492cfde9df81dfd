using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Server.Problems;
using Umbracell.Server.Window;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Jobs;

/// <summary>Fetches surfaces with their job and readings, for every stage alike.</summary>
internal sealed class SurfaceReader(UmbracellDb db)
{
    public async Task<(Surface Surface, Job Job)> FindAsync(Guid id)
    {
        var surface = await db.Surfaces.Include(s => s.Openings).SingleOrDefaultAsync(s => s.Id == id) ?? throw new NotFoundException("surface");
        return (surface, await FindJobAsync(surface.JobId));
    }

    public async Task<Job> FindJobAsync(Guid id) => await db.Jobs.SingleOrDefaultAsync(j => j.Id == id) ?? throw new NotFoundException("job");

    public Task<List<Surface>> SurfacesAsync(Guid job) =>
        db.Surfaces.AsNoTracking().Include(s => s.Openings).Where(s => s.JobId == job).OrderBy(s => s.Position).ThenBy(s => s.Id).ToListAsync();

    /// <summary>The newest readings of a job, one of each kind for each surface and product, picked by the database.</summary>
    /// <remarks>Spelled out as <c>distinct on</c>: one pass over the job's readings, whatever the planner knows of the table. The grouped query did a scan per group until statistics came in.</remarks>
    public async Task<LatestReadings> ReadingsAsync(Guid job) => new(await db.Readings
        .FromSql($"select distinct on (surface_id, sheet_slug, kind) * from readings where job_id = {job} order by surface_id, sheet_slug, kind, taken_at desc")
        .AsNoTracking()
        .ToListAsync());

    /// <summary>The takeoff of a surface; null until its size is taken.</summary>
    public static SurfaceTakeoff? Takeoff(Surface surface) => surface.HasSize
        ? SurfaceTakeoff.Of(
            ShapeOf(surface),
            OpeningsOf(surface),
            surface.Repeats,
            surface.MemberMaterial == Core.Assemblies.MemberMaterial.Wood ? surface.MemberShare : 0,
            surface.ProfileFactor)
        : null;

    public static Shape ShapeOf(Surface surface) =>
        new(surface.Shape, new(surface.FirstM), new(surface.SecondM), new(surface.ThirdM), surface.Pitch, surface.BayCount);

    public static IReadOnlyList<Opening> OpeningsOf(Surface surface) =>
        [.. surface.Openings.OrderBy(o => o.Position).Select(o => new Opening(o.Count, new Length(o.WidthM), new Length(o.HeightM)))];
}
