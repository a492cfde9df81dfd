using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.JobFiles;
using Umbracell.Server.Means;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Writes a job as a file and reads one back as a new job.</summary>
internal static class JobFiling
{
    /// <summary>What is planned: the job, its surfaces, what lies beside them and how they meet.</summary>
    public static async Task<JobFile> PlanAsync(Job job, SurfaceReader reader, UmbracellDb db)
    {
        var surfaces = await reader.SurfacesAsync(job.Id);
        var standing = surfaces.Select(s => s.Id).ToHashSet();
        return new()
        {
            FormatVersion = JobFile.CurrentVersion,
            Job = ToJobFile.Of(job),
            BufferSpaces = [.. (await RowsOf(db.BufferSpaces, job).OrderBy(b => b.Name).ToListAsync()).Select(ToJobFile.Of)],
            Surfaces = surfaces.ConvertAll(ToJobFile.Of),
            Joints =
            [
                .. (await RowsOf(db.Joints, job).OrderBy(j => j.Id).ToListAsync())
                    .Where(j => standing.Contains(j.FirstId) && (j.SecondId is not { } second || standing.Contains(second)))
                    .Select(ToJobFile.Of),
            ],
            Readings = [],
            Complaints = [],
            Preparation = [],
            FanTests = [],
            ThermalPictures = [],
            Logs = [],
            Photos = [],
        };
    }

    /// <summary>Everything that is known of a job.</summary>
    public static async Task<JobFile> OutAsync(Job job, SurfaceReader reader, UmbracellDb db)
    {
        var plan = await PlanAsync(job, reader, db);
        var standing = plan.Surfaces.Select(s => s.Id).ToHashSet();
        bool Stands(Guid? id) => id is null || standing.Contains(id.Value);
        var readings = await db
            .Readings.AsNoTracking()
            .Where(r => r.JobId == job.Id)
            .OrderBy(r => r.TakenAt)
            .ThenBy(r => r.Id)
            .ToListAsync();
        var whole = plan with
        {
            Readings = [.. readings.Where(r => Stands(r.SurfaceId)).Select(ToJobFile.Of)],
            Complaints = [.. (await Rows(db.Complaints).OrderBy(c => c.MadeAt).ToListAsync()).Select(c => ToJobFile.Of(c, standing))],
            Preparation =
            [
                .. (await Rows(db.Preparation).OrderBy(p => p.Id).ToListAsync()).Where(p => Stands(p.SurfaceId)).Select(ToJobFile.Of),
            ],
            FanTests = [.. (await Rows(db.FanTests).OrderBy(t => t.TakenAt).ToListAsync()).Select(ToJobFile.Of)],
            ThermalPictures =
            [
                .. (await Rows(db.ThermalPictures).OrderBy(t => t.TakenAt).ToListAsync())
                    .Where(t => Stands(t.SurfaceId))
                    .Select(ToJobFile.Of),
            ],
            Logs =
            [
                .. (await Rows(db.LoggerSeries).OrderBy(l => l.AddedAt).ToListAsync()).Where(l => Stands(l.SurfaceId)).Select(ToJobFile.Of),
            ],
            Photos =
            [
                .. (await Rows(db.Photos).OrderBy(p => p.AddedAt).ToListAsync()).Where(p => Stands(p.SurfaceId)).Select(ToJobFile.Of),
            ],
            Bids = [.. (await Rows(db.Bids).OrderBy(b => b.MadeAt).ToListAsync()).Select(ToJobFile.Of).OfType<FiledBid>()],
            Papers = [.. (await Rows(db.Papers).OrderBy(p => p.MadeAt).ToListAsync()).Select(ToJobFile.Of)],
            Sheets = await SheetsAsync(job, plan.Surfaces, db),
            Materials = FiledMaterials.Of(plan.Surfaces, await db.Firms.AsNoTracking().SingleAsync()),
        };
        return await FiledRigs.AddAsync(whole, job.Id, db);

        IQueryable<T> Rows<T>(IQueryable<T> rows)
            where T : class, IJobRow => RowsOf(rows, job);
    }

    // In the editions it is figured with: whoever reads the file gets the same figures.
    private static async Task<IReadOnlyList<FiledSheet>> SheetsAsync(Job job, IReadOnlyList<FiledSurface> surfaces, UmbracellDb db)
    {
        var products = surfaces.SelectMany(s => (s.System?.Further ?? []).Select(layer => layer.Id).Prepend(s.SheetId)).ToHashSet();
        var rows = await db.Sheets.AsNoTracking().Where(s => products.Contains(s.Slug) && s.RemovedAt == null).ToListAsync();
        return
        [
            .. rows.Where(row => job.HeldEditions?.TryGetValue(row.Slug, out var held) == true ? row.Number == held : row.Stands)
                .OrderBy(row => row.Slug, StringComparer.Ordinal)
                .Select(row => new FiledSheet(SheetDocument.Of(row.Document).Write())),
        ];
    }

    private static IQueryable<T> RowsOf<T>(IQueryable<T> rows, Job job)
        where T : class, IJobRow => rows.AsNoTracking().Where(r => r.JobId == job.Id);

    /// <summary>Adds a filed job as a new one. Every id is made anew, so that a job can come in twice.</summary>
    /// <param name="file">The file.</param>
    /// <param name="db">Where it goes.</param>
    /// <param name="editions">Where the sheets that come along go.</param>
    /// <param name="own">Id of the new job.</param>
    /// <param name="stamp">Who brings it in, and when.</param>
    public static async Task<Job> InAsync(JobFile file, UmbracellDb db, SheetEditions editions, Guid own, Stamp stamp)
    {
        var ids = file
            .Surfaces.Select(s => s.Id)
            .Concat(file.BufferSpaces.Select(b => b.Id))
            .Concat((file.TestShots ?? []).Select(shot => shot.Id))
            .Concat((file.SprayLog ?? []).Select(entry => entry.Entry.Id))
            .Distinct()
            .ToDictionary(id => id, _ => Guid.NewGuid());
        var job = FromJobFile.Job(file.Job, own, stamp.At);
        if (file.Job.OwnPlace is { } filed)
        {
            var place = FromJobFile.Place(filed);
            job.OwnPlace =
                db.Places.AsEnumerable()
                    .FirstOrDefault(own =>
                        own.Name == place.Name && own.MeanC.SequenceEqual(place.MeanC) && own.MeanRhPct.SequenceEqual(place.MeanRhPct)
                    )
                ?? place;
        }

        if (file.Job.OwnTargets is { } targets)
        {
            var set = FromJobFile.Targets(targets);
            job.OwnTargets = db.TargetSets.AsEnumerable().FirstOrDefault(own => own.Edition == set.Edition && SameFigures(own, set)) ?? set;
        }

        job.CrewRow = (await MeansByName.OpenAsync(db)).Named(FromJobFile.Crew(file.Job));
        if (file.Materials is { Count: > 0 } materials)
        {
            FiledMaterials.ComeAlong(materials, await db.Firms.SingleAsync());
        }

        foreach (var along in file.Sheets ?? [])
        {
            var sheet = SheetDocument.Of(along.ProductSheet);
            if (await editions.ComeAlongAsync(sheet, stamp.By, stamp.At) is { } number)
            {
                job.HeldEditions = new(job.HeldEditions ?? []) { [sheet.Id] = number };
            }
        }

        db.Jobs.Add(job);
        db.BufferSpaces.AddRange(file.BufferSpaces.Select(b => FromJobFile.Buffer(b, ids)));
        db.Surfaces.AddRange(file.Surfaces.Select((s, i) => FromJobFile.Surface(s, i, ids)));
        db.Joints.AddRange(file.Joints.Select(j => FromJobFile.Joint(j, ids)));
        db.Complaints.AddRange(file.Complaints.Select(c => FromJobFile.Complaint(c, ids)));
        db.Preparation.AddRange(file.Preparation.Select(p => FromJobFile.Preparation(p, ids)));
        db.FanTests.AddRange(file.FanTests.Select(FromJobFile.FanTest));
        db.ThermalPictures.AddRange(file.ThermalPictures.Select(t => FromJobFile.Thermal(t, ids)));
        db.LoggerSeries.AddRange(file.Logs.Select(l => FromJobFile.Log(l, ids)));
        await FiledRigs.ComeAlongAsync(file, db, ids);
        db.Photos.AddRange(file.Photos.Select(p => FromJobFile.Photo(p, ids)));
        db.Bids.AddRange((file.Bids ?? []).Select(FromJobFile.Bid));
        db.Papers.AddRange((file.Papers ?? []).Select(FromJobFile.Paper));
        foreach (var row in db.ChangeTracker.Entries<IJobRow>().Where(IsNew))
        {
            row.Entity.JobId = job.Id;
        }

        foreach (var surface in db.ChangeTracker.Entries<Surface>().Where(IsNew))
        {
            surface.Entity.JobId = job.Id;
        }

        await using var whole = await db.Database.BeginTransactionAsync();
        await db.SaveChangesAsync();
        await db.AddManyAsync(file.Readings.Select(ReadingOf));
        await whole.CommitAsync();
        return job;

        ReadingRow ReadingOf(FiledReading filed)
        {
            var row = FromJobFile.Reading(filed, ids);
            row.JobId = job.Id;
            return row;
        }
    }

    // What was read beside it belongs where it was.
    private static bool IsNew(EntityEntry row) => row.State == EntityState.Added;

    private static bool SameFigures(TargetSetRow a, TargetSetRow b) =>
        ToJobFile.Of(a).GreatestU.ToHashSet().SetEquals(ToJobFile.Of(b).GreatestU);
}
