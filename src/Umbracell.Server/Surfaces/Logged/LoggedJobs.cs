using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Server.Places;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>A surface of a job, as far as its log goes.</summary>
/// <param name="Row">As it was studied.</param>
/// <param name="Sheet">A product it takes.</param>
/// <param name="Covered">Foam it takes of that, and how far it is.</param>
internal sealed record LoggedSurface(SurfaceStudy Row, ProductSheet Sheet, CoveredSurface Covered)
{
    /// <summary>Net area that is sprayed, the share of the product where it takes more than one.</summary>
    public Area Area => Area.FromSquareMetres(Covered.Planned.CubicMetres / Covered.MeanDepth.Metres);

    /// <summary>Whether anything of the product is on it.</summary>
    public bool IsBegun => CoveredFoam.InPlace(Covered).CubicMetres > 0;
}

/// <summary>What was read while a product was sprayed, in the mean; null where nobody did.</summary>
internal sealed record ReadOnSite(Temperature? Substrate, Temperature? Drums);

/// <summary>A product of a job, as far as the log goes.</summary>
/// <param name="Sheet">The product.</param>
/// <param name="Expected">What a set of it was planned to yield.</param>
/// <param name="Surfaces">The surfaces that take it.</param>
/// <param name="Course">How it lasts.</param>
/// <param name="Read">What was read meanwhile.</param>
internal sealed record LoggedProduct(
    ProductSheet Sheet,
    FoamVolume Expected,
    IReadOnlyList<LoggedSurface> Surfaces,
    MaterialCourse Course,
    ReadOnSite Read
);

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

    private static readonly ReadingKind[] Read = [ReadingKind.SubstrateTemperature, ReadingKind.DrumA, ReadingKind.DrumB];

    public async Task<LoggedJob> OfAsync(Guid id)
    {
        var studied = await jobs.OfAsync(id);
        var rows = await db.SprayLog.AsNoTracking().Where(row => row.JobId == id).ToListAsync();
        var entries = rows.ConvertAll(row => row.Document.ToEntry());
        var own = rows.Where(row => row.SurfaceId is not null).ToLookup(row => row.SurfaceId!.Value, row => row.Document.ToEntry());
        var readings = await db.Readings.AsNoTracking().Where(row => row.JobId == id && Read.Contains(row.Kind)).ToListAsync();
        var lots = await db.StockLots.AsNoTracking().ToListAsync();
        var products = studied
            .Study.Rows.SelectMany(row => Logged(row, studied.Bid, own[row.Surface.Id]))
            .GroupBy(surface => surface.Sheet.Id)
            .OrderBy(group => group.Key, StringComparer.Ordinal)
            .Select(group => SurfaceStudies.OrNull(() => Product(studied, [.. group], entries, lots, readings)))
            .OfType<LoggedProduct>();
        return new(studied, SprayLog.InForce(entries), SprayedSurface.Of(entries).JobFinishedAt, [.. products]);
    }

    /// <summary>Sets used so far and sets the rest takes; null before levels were read. Of a job without one nothing is put
    /// together.</summary>
    public async Task<(double Used, double ToGo)?> SetsAsync(Guid id)
    {
        var ofJob = await db.SprayLog.AsNoTracking().Where(row => row.JobId == id && row.SurfaceId == null).ToListAsync();
        if (!ofJob.Exists(row => row.Document.Kind is LogEntryKind.DrumLevel or LogEntryKind.DrumEmpty))
        {
            return null;
        }

        var products = (await OfAsync(id)).Products;
        var used = products.Sum(one => one.Course.Used);
        return used > 0 ? (used, products.Sum(one => one.Course.Yield.SetsLeft)) : null;
    }

    private LoggedProduct Product(
        StudiedJob studied,
        IReadOnlyList<LoggedSurface> surfaces,
        IReadOnlyList<LogEntry> entries,
        IReadOnlyList<StockLotRow> lots,
        IReadOnlyList<ReadingRow> readings
    )
    {
        var (sheet, first) = (surfaces[0].Sheet, surfaces[0].Row.Sets!);
        var job = studied.Study.Job;
        var load = studied.Bid.Loads.FirstOrDefault(one => one.Sheet.Id == sheet.Id);
        var store = DrumStock.Of(sheet, StoreLots.Of(lots, sheet.Id), 0, PlaceTime.Today(job, clock));
        var expected = load is { Sets.Median: > 0 } ? load.Volume * (1 / load.Sets.Median) : first.Yield.Expected;
        var course = MaterialCourse.Of(
            new()
            {
                Sheet = sheet.Id,
                Surfaces = [.. surfaces.Select(surface => surface.Covered)],
                Entries = entries,
                Expected = expected,
                Sd = studied.Means.Learning.For(job.Crew, sheet.Family).LogSd,
                StoreA = store.SetsA,
                StoreB = store.SetsB,
            }
        );
        return new(sheet, expected, surfaces, course, ReadWhile(sheet, surfaces, readings));
    }

    // A surface has the foams of the way it is priced: that of a cold grade first, and what goes on over it.
    private static IEnumerable<LoggedSurface> Logged(SurfaceStudy row, JobBid bid, IEnumerable<LogEntry> own)
    {
        if (row is not { Sheet: { } sheet, Sets: { } sets, SetsQuestion: { } asked })
        {
            yield break;
        }

        IReadOnlyList<BidFoam> foams =
            bid.Surfaces.FirstOrDefault(one => one.Row.Surface.Id == row.Surface.Id)?.Priced.Foams ?? [new(sheet, sets.Demand.Volume, 0)];
        var covered = new CoveredSurface
        {
            Planned = sets.Demand.Volume,
            MeanDepth = sets.Demand.MeanDepth,
            Specified = Length.FromMillimetres(asked.ThicknessMm),
            Sunk = Length.FromMillimetres(asked.PenetrationMm),
            Lifts = row.Sprayed?.Planned ?? LiftPlan.For(sheet, Length.FromMillimetres(asked.ThicknessMm)).Lifts.Count,
            Log = SprayedSurface.Of(own),
        };
        var inLifts = foams.Take(foams.Count - row.Further.Count).ToList();
        var (before, all) = (default(FoamVolume), inLifts.Aggregate(default(FoamVolume), (sum, foam) => sum + foam.Volume));
        foreach (var foam in inLifts)
        {
            var after = all - before - foam.Volume;
            yield return new(row, foam.Sheet, covered with { Planned = foam.Volume, Before = before, After = after });
            before += foam.Volume;
        }

        // Of another kind of foam over it no lifts are logged: it is to come until the surface is finished.
        foreach (var foam in foams.Skip(inLifts.Count))
        {
            yield return new(row, foam.Sheet, covered with { Planned = foam.Volume, Log = covered.Log with { Lifts = [] } });
        }
    }

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
