using Shouldly;
using Umbracell.Core.Materials;
using Umbracell.Core.Statistics;
using Umbracell.Core.Yield;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The demo's finished jobs: each predicted from the others alone.</summary>
public sealed class PastJobLearningTests
{
    private static readonly SheetShelf Sheets = new(
        ShippedData.ProductSheets.ToDictionary(s => s.Key, s => ProductSheetFile.Read(s.Key, s.Value)),
        new Dictionary<(string, int), ProductSheet>(),
        new HashSet<string>()
    );

    [Fact]
    public void Held_back_jobs_are_predicted_without_bias_and_the_ninety_percent_load_covers_nine_in_ten()
    {
        var rows = DemoMaterial
            .PastJobs(DemoMeans.Crew("Heron"), DemoMeans.Crew("Plover"))
            .Where(j => j.LeftOutBecause.Length == 0)
            .ToList();
        var (sum, covered) = (0.0, 0);
        foreach (var row in rows)
        {
            var learning = CrewYields.Learned(rows.Where(r => r != row), Sheets);
            var job = CrewYields.Finished(row, Sheets)!;
            var crew = learning.For(job.Crew, job.Family);
            var median = job.Foam / (job.Predicted * crew.Factor);
            var spread = new SetsSpread(SetsSpread.DefaultArea, crew.NextJobSd(job.Foam), 0).OfSets;
            sum += Math.Log(row.SetsUsed / median);
            covered += row.SetsUsed <= median * Math.Exp(NormalDistribution.Quantile(0.9) * spread) ? 1 : 0;
        }

        Math.Abs(Math.Exp(sum / rows.Count) - 1).ShouldBeLessThan(0.01);
        ((double)covered / rows.Count).ShouldBeInRange(0.85, 0.95);
    }

    [Fact]
    public void Plover_stands_a_few_per_cent_under_Heron_with_closed_cell_and_the_leaking_job_teaches_nothing()
    {
        var rows = DemoMaterial.PastJobs(DemoMeans.Crew("Heron"), DemoMeans.Crew("Plover")).ToList();
        var learning = CrewYields.Learned(rows, Sheets);
        var share = learning.For("Plover", "closedStandard").Factor / learning.For("Heron", "closedStandard").Factor;
        share.ShouldBeInRange(0.93, 0.985);
        learning.Counted.Count.ShouldBe(rows.Count(r => r.LeftOutBecause.Length == 0));
    }
}
