using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Choosing;
using Umbracell.Core.Materials;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Server.Choose;
using Umbracell.Server.Jobs;
using Umbracell.Server.Sets.PastJobs;
using Umbracell.Server.Sheets;
using Umbracell.Store;

namespace Umbracell.Server.Sets.Price;

/// <summary>What a firm prices with.</summary>
/// <param name="Rates">What it pays and how fast it works.</param>
/// <param name="Sheets">Products on offer.</param>
/// <param name="Learning">What its finished jobs taught.</param>
/// <param name="Practice">The schools it follows, with the job's exceptions.</param>
internal sealed record PriceMeans(Rates Rates, IReadOnlyDictionary<string, ProductSheet> Sheets, CrewLearning Learning, Practice Practice);

/// <summary>What a price is made from, fetched together.</summary>
internal sealed class PriceReader(SurfaceReader reader, SheetLibrary library, CrewYields crews, UmbracellDb db, TimeProvider clock)
{
    public SheetLibrary Library => library;

    public UmbracellDb Db => db;

    public TimeProvider Clock => clock;

    public SurfaceReader Surfaces => reader;

    public CrewYields Crews => crews;

    public async Task<(JobStudy Study, JobBid Bid)> BidAsync(Guid job)
    {
        var study = await JobStudy.OfAsync(await reader.FindJobAsync(job), reader, library, crews, clock);
        return (study, JobBid.Of(study, await MeansAsync(study)));
    }

    /// <summary>A surface among all of its job.</summary>
    public async Task<(JobStudy Study, SurfaceStudy Row, PriceMeans Means)> RowAsync(Guid surface)
    {
        var (found, job) = await reader.FindAsync(surface);
        var study = await JobStudy.OfAsync(job, reader, library, crews, clock);
        return (study, study.Rows.Single(r => r.Surface.Id == found.Id), await MeansAsync(study));
    }

    private async Task<PriceMeans> MeansAsync(JobStudy study)
    {
        var firm = await db.Firms.SingleAsync();
        return new(
            ChoiceQuestions.RatesOf(firm),
            await library.AllAsync(),
            await crews.LearnAsync(),
            ChoiceQuestions.PracticeOf(firm, study.Job)
        );
    }
}
