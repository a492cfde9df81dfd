using System.Diagnostics;
using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Surfaces;

/// <summary>A job as it was studied, with its price.</summary>
/// <param name="Inputs">What it was made from.</param>
/// <param name="Study">Its surfaces.</param>
/// <param name="Means">What the firm prices with.</param>
/// <param name="Bid">Its bid.</param>
internal sealed record StudiedJob(FigureInputs Inputs, JobStudy Study, PriceMeans Means, JobBid Bid)
{
    public SurfaceStudy RowOf(Guid surface) =>
        Study.Rows.FirstOrDefault(row => row.Surface.Id == surface) ?? throw new NotFoundException("surface");
}

/// <summary>Studies jobs for whoever asks. What was studied before is studied again only where something it was made from has
/// changed.</summary>
internal sealed class StudiedJobs(UmbracellDb db, FirmScope firm, StudyMemory memory, IServiceScopeFactory scopes)
{
    public async Task<StudiedJob> OfAsync(Guid job) =>
        memory.Find<StudiedJob>(job, (await FigureInputs.OfAsync(job, firm.FirmId!.Value, db)).OfSums)
        ?? await memory.InTurnAsync(job, () => MadeAsync(job));

    /// <summary>The job of a surface.</summary>
    public async Task<StudiedJob> OfSurfaceAsync(Guid surface) =>
        await OfAsync(
            await db.Surfaces.Where(s => s.Id == surface).Select(s => (Guid?)s.JobId).SingleOrDefaultAsync()
                ?? throw new NotFoundException("surface")
        );

    // In a scope of its own: what this request has read already may be older than the versions say.
    private async Task<StudiedJob> MadeAsync(Guid job)
    {
        await using var scope = scopes.CreateAsyncScope();
        scope.ServiceProvider.GetRequiredService<FirmScope>().EnterFirm(firm.FirmId!.Value);
        return await scope.ServiceProvider.GetRequiredService<JobStudies>().MakeAsync(job);
    }
}

/// <summary>Makes the study of a job from what the database holds at the moment.</summary>
internal sealed class JobStudies(
    SurfaceReader reader,
    SheetLibrary library,
    CrewYields crews,
    UmbracellDb db,
    FirmScope scope,
    StudyMemory memory,
    StudyMetrics metrics,
    TimeProvider clock
)
{
    public async Task<StudiedJob> MakeAsync(Guid id)
    {
        var start = Stopwatch.GetTimestamp();

        // Held for all that is read here: each time a connection is taken it is told the firm.
        await db.Database.OpenConnectionAsync();
        var inputs = await FigureInputs.OfAsync(id, scope.FirmId!.Value, db);
        if (memory.Find<StudiedJob>(id, inputs.OfSums) is { } made)
        {
            return made;
        }

        var job = await db.Jobs.FindStandingAsync(id, tracked: false);
        var known = inputs
            .Surfaces.Select(s => memory.Find<SurfaceStudy>(s.Id, inputs.OfSurface(s.Version)))
            .OfType<SurfaceStudy>()
            .ToDictionary(row => row.Surface.Id);
        var anew = inputs.Surfaces.Where(s => !known.ContainsKey(s.Id)).ToDictionary(s => s.Id, s => s.Version);
        foreach (var row in await StudiedAsync(job, [.. anew.Keys]))
        {
            // One that was added in the meantime is in the next study.
            known[row.Surface.Id] = row;
            memory.Keep(row.Surface.Id, inputs.OfSurface(anew[row.Surface.Id]), row);
        }

        var study = new JobStudy(job, [.. inputs.Surfaces.Where(s => known.ContainsKey(s.Id)).Select(s => known[s.Id])]);
        var means = await MeansAsync(job);
        var studied = new StudiedJob(inputs, study, means, JobBid.Of(study, means));
        memory.Keep(id, inputs.OfSums, studied);
        metrics.Made(anew.Count, inputs.Surfaces.Count - anew.Count, Stopwatch.GetElapsedTime(start));
        return studied;
    }

    private async Task<IReadOnlyList<SurfaceStudy>> StudiedAsync(Job job, Guid[] surfaces) =>
        surfaces.Length == 0
            ? []
            : SurfaceStudies.Of(
                await reader.SurfacesAsync(job.Id, surfaces),
                job,
                await reader.RecordsAsync(job.Id, surfaces),
                await reader.NamesAsync(job.Id),
                await library.SuppliesAsync(job),
                await crews.AtWorkAsync(job),
                clock.GetUtcNow()
            );

    private async Task<PriceMeans> MeansAsync(Job job)
    {
        var firm = await db.Firms.AsNoTracking().SingleAsync();
        return new(await library.SuppliesAsync(job), await crews.LearnAsync(job.Id), SurfaceChoices.PracticeOf(firm, job));
    }
}
