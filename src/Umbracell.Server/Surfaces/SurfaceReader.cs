using System.Linq.Expressions;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Spray;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Fetches surfaces with their job and readings, for every stage alike.</summary>
internal sealed class SurfaceReader(UmbracellDb db)
{
    public async Task<(Surface Surface, Job Job)> FindAsync(Guid id)
    {
        var surface =
            await db.Surfaces.Include(s => s.Openings).Include(s => s.Notes).AsSplitQuery().SingleOrDefaultAsync(s => s.Id == id)
            ?? throw new NotFoundException("surface");
        return (surface, await FindJobAsync(surface.JobId));
    }

    public Task<Job> FindJobAsync(Guid id) => db.Jobs.FindStandingAsync(id);

    public Task<List<Surface>> SurfacesAsync(Guid job) => SurfacesAsync(s => s.JobId == job);

    /// <summary>Some of a job's surfaces.</summary>
    public Task<List<Surface>> SurfacesAsync(Guid job, IReadOnlyCollection<Guid> ids) =>
        SurfacesAsync(s => s.JobId == job && ids.Contains(s.Id));

    private Task<List<Surface>> SurfacesAsync(Expression<Func<Surface, bool>> wanted) =>
        db
            .Surfaces.AsNoTracking()
            .Include(s => s.Openings)
            .Include(s => s.Notes)
            .AsSplitQuery()
            .Where(wanted)
            .OrderBy(s => s.Position)
            .ThenBy(s => s.Id)
            .ToListAsync();

    /// <summary>Names of a job's surfaces.</summary>
    public Task<Dictionary<Guid, string>> NamesAsync(Guid job) =>
        db.Surfaces.AsNoTracking().Where(s => s.JobId == job).ToDictionaryAsync(s => s.Id, s => s.Name);

    /// <summary>What the survey of a job knows beside its surfaces.</summary>
    /// <param name="job">The job.</param>
    /// <param name="of">Whose readings are wanted, beside those of drums; null for all.</param>
    public async Task<SurveyRecords> RecordsAsync(Guid job, Guid[]? of = null) =>
        new(
            await ReadingsAsync(job, of),
            await db.Joints.AsNoTracking().Where(j => j.JobId == job).ToListAsync(),
            await db.Preparation.AsNoTracking().Where(p => p.JobId == job).ToListAsync(),
            await db.TestShots.AsNoTracking().Where(s => s.JobId == job).ToListAsync(),
            await LogAsync(job)
        );

    // The last that can be asked of: a log longer than a question holds is told from its end.
    private async Task<List<LogEntryRow>> LogAsync(Guid job) =>
        await db
            .SprayLog.AsNoTracking()
            .Where(entry => entry.JobId == job)
            .OrderByDescending(entry => entry.ReceivedAt)
            .Take(SprayQuestion.MostEntries)
            .ToListAsync();

    /// <summary>The newest readings of a job, one of each kind and instrument for each surface and product, picked by the
    /// database.</summary>
    /// <remarks>Spelled out as <c>distinct on</c>: one pass over the job's readings, whatever the planner knows of the table. The grouped
    /// query did a scan per group until statistics came in.</remarks>
    public async Task<LatestReadings> ReadingsAsync(Guid job, Guid[]? of = null) =>
        new(
            await db
                .Readings.FromSql(
                    $"""
                    select distinct on (surface_id, sheet_slug, kind, instrument, place) * from readings
                        where job_id = {job} and ({of is null} or surface_id is null or surface_id = any({of ?? []}))
                    order by surface_id, sheet_slug, kind, instrument, place, taken_at desc
                    """
                )
                .AsNoTracking()
                .ToListAsync()
        );

    /// <summary>The takeoff of a surface; null until its size is taken.</summary>
    public static SurfaceTakeoff? Takeoff(Surface surface) =>
        surface.HasSize
            ? SurfaceTakeoff.Of(
                ShapeOf(surface),
                OpeningsOf(surface),
                surface.Repeats,
                surface.MemberMaterial == MemberMaterial.Wood ? surface.MemberShare : 0,
                surface.ProfileFactor
            )
            : null;

    public static Shape ShapeOf(Surface surface) =>
        surface is { Shape: ShapeKind.Outline, Corners.Length: >= 6 }
            ? Shape.OfOutline([.. surface.Corners.Chunk(2).Select(pair => new Corner(pair[0], pair[1]))])
            : new()
            {
                Kind = surface.Shape,
                First = Length.FromMetres(surface.FirstM),
                Second = Length.FromMetres(surface.SecondM),
                Third = Length.FromMetres(surface.ThirdM),
                Pitch = surface.Pitch,
                Count = surface.BayCount,
            };

    public static IReadOnlyList<Opening> OpeningsOf(Surface surface) =>
        [
            .. surface
                .Openings.OrderBy(o => o.Position)
                .Select(o => new Opening(o.Count, Length.FromMetres(o.WidthM), Length.FromMetres(o.HeightM))),
        ];

    /// <summary>A surface drawn from its numbers; its size must have been taken.</summary>
    public static SurfaceSketch SketchOf(Surface surface) =>
        SurfaceSketch.Of(
            ShapeOf(surface),
            OpeningsOf(surface),
            Length.FromMetres(surface.MemberMaterial == MemberMaterial.None ? 0 : surface.MemberSpacingM)
        );

    /// <summary>What else is known of a surface, for the core.</summary>
    public static SurfaceDetails DetailsOf(Surface surface)
    {
        var d = surface.Details;
        return new()
        {
            Access = d.Access,
            BalloonFramed = d.BalloonFramed,
            HeldAtEnds = d.HeldAtEnds,
            Girt = GirtOf(d),
            Covering = d.Covering,
            Attachment = d.Attachment,
            DoorSpare = d.DoorSpareKg is { } kg ? Mass.FromKilograms(kg) : null,
            Penetration = Length.FromMillimetres(d.PenetrationMm),
        };
    }

    /// <summary>Section of the girts; null until flange, web and skin are all known.</summary>
    public static MetalProfile? GirtOf(DetailsDocument d) =>
        d is { FlangeMm: { } flange, WebMm: { } web, SkinMm: { } skin }
            ? new(Length.FromMillimetres(flange), Length.FromMillimetres(web), Length.FromMillimetres(skin))
            : null;

    /// <summary>What the survey says of a surface.</summary>
    public static IReadOnlyList<Finding> SurveyOf(
        Surface surface,
        SurfaceTakeoff? takeoff,
        SurveyRecords records,
        Func<Guid, string> nameOf
    ) =>
        SurveyCheck.Of(
            new(surface.Kind, takeoff, surface.OpenLeak?.Words, records.Readings.HasMoisture(surface.Id))
            {
                Asked = ShippedData.Templates[surface.Kind].Details,
                Details = DetailsOf(surface),
                Joints = [.. records.JointsOf(surface.Id).Select(j => (SurveyRecords.Shape(j), BeyondOf(j, surface.Id, nameOf)))],
                Meters = records.Readings.Disagreements(surface.Id),
                ClearancesUnknown =
                [
                    .. surface
                        .Notes.Where(n =>
                            n is { Kind: SiteNoteKind.Flue or SiteNoteKind.Light or SiteNoteKind.Wiring, ClearanceM: null, MendedAt: null }
                        )
                        .Select(n => n.Words),
                ],
            }
        );

    private static string BeyondOf(JointRow joint, Guid surface, Func<Guid, string> nameOf) =>
        joint.SecondId is not { } second ? joint.Beyond : nameOf(second == surface ? joint.FirstId : second);
}
