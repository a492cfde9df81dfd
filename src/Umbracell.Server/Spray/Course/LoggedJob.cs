using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Umbracell.Server.Places;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Spray;

/// <summary>A surface of a job, as far as its log goes.</summary>
/// <param name="Row">As it was studied.</param>
/// <param name="Covered">Foam it takes, and how far it is.</param>
internal sealed record LoggedSurface(SurfaceStudy Row, CoveredSurface Covered)
{
    /// <summary>Net area that is sprayed.</summary>
    public Area Area => Area.FromSquareMetres(Covered.Planned.CubicMetres / Covered.MeanDepth.Metres);

    /// <summary>Whether anything is on it.</summary>
    public bool IsBegun => Covered.Log.LastEnded is not null;
}

/// <summary>What was read while a product was sprayed, in the mean; null where nobody did.</summary>
internal sealed record ReadOnSite(Temperature? Substrate, Temperature? Drums);

/// <summary>A product of a job, as far as the log goes.</summary>
/// <param name="Sheet">The product.</param>
/// <param name="Surfaces">The surfaces that take it.</param>
/// <param name="Course">How it lasts.</param>
/// <param name="Read">What was read meanwhile.</param>
internal sealed record LoggedProduct(ProductSheet Sheet, IReadOnlyList<LoggedSurface> Surfaces, MaterialCourse Course, ReadOnSite Read);

/// <summary>A job as far as its log goes.</summary>
/// <param name="Studied">As it was studied and priced.</param>
/// <param name="Log">All entries in force, by the time they happened.</param>
/// <param name="FinishedAt">When spraying was finished; null where it is not.</param>
/// <param name="Products">Its products.</param>
internal sealed record LoggedJob(
    StudiedJob Studied,
    IReadOnlyList<LogEntry> Log,
    DateTimeOffset? FinishedAt,
    IReadOnlyList<LoggedProduct> Products
);

/// <summary>Puts together what the log of a job tells.</summary>
internal sealed class LoggedJobs(StudiedJobs jobs, UmbracellDb db, TimeProvider clock)
{
    // What was read shortly before the first lift was read for it.
    private static readonly TimeSpan Before = TimeSpan.FromHours(6);

    public async Task<LoggedJob> OfAsync(Guid id)
    {
        var studied = await jobs.OfAsync(id);
        var rows = await db.SprayLog.AsNoTracking().Where(row => row.JobId == id).ToListAsync();
        var entries = rows.ConvertAll(row => row.Document.ToEntry());
        var own = rows.Where(row => row.SurfaceId is not null).ToLookup(row => row.SurfaceId!.Value, row => row.Document.ToEntry());
        var readings = await db.Readings.AsNoTracking().Where(row => row.JobId == id).ToListAsync();
        var lots = await db.StockLots.AsNoTracking().ToListAsync();
        var products = studied
            .Study.Rows.Select(row => Logged(row, own[row.Surface.Id]))
            .OfType<LoggedSurface>()
            .GroupBy(surface => surface.Row.Sheet!.Id)
            .OrderBy(group => group.Key, StringComparer.Ordinal)
            .Select(group => Product(studied, [.. group], entries, lots, readings));
        return new(studied, SprayLog.InForce(entries), SprayedSurface.Of(entries).JobFinishedAt, [.. products]);
    }

    private LoggedProduct Product(
        StudiedJob studied,
        IReadOnlyList<LoggedSurface> surfaces,
        IReadOnlyList<LogEntry> entries,
        IReadOnlyList<StockLotRow> lots,
        IReadOnlyList<ReadingRow> readings
    )
    {
        var (sheet, first) = (surfaces[0].Row.Sheet!, surfaces[0].Row.Sets!);
        var job = studied.Study.Job;
        var load = studied.Bid.Loads.FirstOrDefault(one => one.Sheet.Id == sheet.Id);
        var store = DrumStock.Of(sheet, StoreLots.Of(lots, sheet.Id), 0, PlaceTime.Today(job, clock));
        var course = MaterialCourse.Of(
            new()
            {
                Sheet = sheet.Id,
                Surfaces = [.. surfaces.Select(surface => surface.Covered)],
                Entries = entries,
                Expected = load is { Sets.Median: > 0 } ? load.Volume * (1 / load.Sets.Median) : first.Yield.Expected,
                Sd = studied.Means.Learning.For(job.Crew, sheet.Family).LogSd,
                StoreA = store.SetsA,
                StoreB = store.SetsB,
            }
        );
        return new(sheet, surfaces, course, ReadWhile(sheet, surfaces, readings));
    }

    private static LoggedSurface? Logged(SurfaceStudy row, IEnumerable<LogEntry> own) =>
        row is { Sheet: { } sheet, Sets: { } sets, SetsQuestion: { } asked }
            ? new(
                row,
                new()
                {
                    Planned = sets.Demand.Volume,
                    MeanDepth = sets.Demand.MeanDepth,
                    Specified = Length.FromMillimetres(asked.ThicknessMm),
                    Sunk = Length.FromMillimetres(asked.PenetrationMm),
                    Lifts = row.Sprayed?.Planned ?? LiftPlan.For(sheet, Length.FromMillimetres(asked.ThicknessMm)).Lifts.Count,
                    Log = SprayedSurface.Of(own),
                }
            )
            : null;

    private static ReadOnSite ReadWhile(ProductSheet sheet, IReadOnlyList<LoggedSurface> surfaces, IReadOnlyList<ReadingRow> readings)
    {
        var lifts = surfaces.SelectMany(surface => surface.Covered.Log.Lifts).ToList();
        if (lifts.Count == 0)
        {
            return new(null, null);
        }

        var (from, to) = (lifts.Min(lift => lift.BegunAt) - Before, lifts.Max(lift => lift.EndedAt ?? lift.BegunAt));
        var during = readings.Where(row => row.TempC is not null && row.TakenAt >= from && row.TakenAt <= to).ToList();
        var ids = surfaces
            .Where(surface => surface.Covered.Log.Lifts.Count > 0)
            .Select(surface => (Guid?)surface.Row.Surface.Id)
            .ToHashSet();
        return new(
            Mean(during.Where(row => row.Kind == ReadingKind.SubstrateTemperature && ids.Contains(row.SurfaceId))),
            Mean(during.Where(row => row.Kind is ReadingKind.DrumA or ReadingKind.DrumB && row.SheetSlug == sheet.Id))
        );
    }

    private static Temperature? Mean(IEnumerable<ReadingRow> rows) =>
        rows.Select(row => row.TempC).Average() is { } celsius ? Temperature.FromCelsius(celsius) : null;
}
