using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Server.Sheets;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>What the firm's finished jobs teach of its crews; learned once per request.</summary>
internal sealed class CrewYields(UmbracellDb db, SheetLibrary library)
{
    private (Guid? Without, CrewLearning Learning)? _learned;

    /// <summary>What finished jobs teach.</summary>
    /// <param name="without">A job that is not predicted from its own log.</param>
    public async Task<CrewLearning> LearnAsync(Guid? without = null)
    {
        if (_learned is not { } learned || learned.Without != without)
        {
            var rows = await db.PastJobs.AsNoTracking().Where(row => without == null || row.JobId != without).ToListAsync();
            _learned = learned = (without, Learned(rows, await library.ShelfAsync()));
        }

        return learned.Learning;
    }

    /// <summary>The crew of a job with what it is known by.</summary>
    public async Task<CrewAtWork> AtWorkAsync(Job job) =>
        new(await LearnAsync(job.Id), job.Crew, (await library.SuppliesAsync(job)).Sheets);

    public static CrewLearning Learned(IEnumerable<PastJobRow> rows, SheetShelf sheets) =>
        CrewLearning.From([
            .. rows.Where(r => r.LeftOutBecause.Length == 0)
                .OrderBy(r => r.FinishedOn)
                .ThenBy(r => r.Id)
                .Select(r => Finished(r, sheets))
                .OfType<FinishedJob>(),
        ]);

    /// <summary>A finished job as it teaches; null where the firm has no sheet of its product any more.</summary>
    public static FinishedJob? Finished(PastJobRow row, SheetShelf sheets)
    {
        if (sheets.Of(row.SheetSlug, row.SheetNumber) is not { } sheet)
        {
            return null;
        }

        // A job done past the end of a curve is predicted at the end, as the product would have been asked.
        var substrate = Math.Clamp(row.SubstrateC, sheet.YieldBySubstrate.First, sheet.YieldBySubstrate.Last);
        var drums = Math.Clamp(row.DrumC, sheet.YieldByDrum.First, sheet.YieldByDrum.Last);
        var predicted = SetYield
            .For(sheet, new(Temperature.FromCelsius(substrate), Temperature.FromCelsius(drums), Length.FromMetres(row.LiftM), null))
            .Expected;
        var foam = Area.FromSquareMetres(row.AreaM2) * Length.FromMetres(row.MeanDepthM);
        return new()
        {
            Id = row.Id.ToString(),
            Crew = row.Crew,
            Family = sheet.Family,
            Actual = foam * (1 / row.SetsUsed),
            Predicted = predicted,
            Foam = foam,
            DepthReadings = row.DepthReadings,
            DepthScatter = Length.FromMetres(row.DepthScatterM),
        };
    }
}
