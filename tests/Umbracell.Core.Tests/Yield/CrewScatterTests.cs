using CsCheck;
using Shouldly;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>A crew's own scatter of depths, once there are thirty readings.</summary>
public sealed class CrewScatterTests
{
    [Theory]
    [InlineData(29, false)]
    [InlineData(30, true)]
    public void Speaks_from_thirty_readings_on(int readings, bool speaks) =>
        (CrewScatter.Of([Job(readings, 4)]) is not null).ShouldBe(speaks);

    [Fact]
    public void Pools_readings_of_jobs_of_other_depths_each_about_its_own_mean() =>
        Gen.Select(Gen.Double[1, 8], Gen.Int[5, 40], Gen.Int[30, 80])
            .Sample(
                (mm, few, many) =>
                {
                    // Drawn readings of two jobs, at 50 and at 90 mm: their own spread, not that between the jobs.
                    var random = new Random(few * 1000 + many);
                    List<double> one = [.. Draw(50, few)],
                        two = [.. Draw(90, many)];
                    var pooled = CrewScatter.Of([Job(few, Sd(one)), Job(many, Sd(two))])!;
                    var squares = one.Sum(x => Math.Pow(x - one.Average(), 2)) + two.Sum(x => Math.Pow(x - two.Average(), 2));
                    pooled.Scatter.Millimetres.ShouldBe(Math.Sqrt(squares / (few + many - 2)), 1e-9);
                    pooled.Scatter.Millimetres.ShouldBeLessThan(12);
                    pooled.Readings.ShouldBe(few + many);

                    IEnumerable<double> Draw(double mean, int n) =>
                        Enumerable
                            .Range(0, n)
                            .Select(_ => mean + mm * (random.NextDouble() + random.NextDouble() + random.NextDouble() - 1.5) * 2);
                    static double Sd(List<double> xs) => Math.Sqrt(xs.Sum(x => Math.Pow(x - xs.Average(), 2)) / (xs.Count - 1));
                },
                iter: 50
            );

    [Fact]
    public void A_single_reading_of_a_job_tells_nothing_of_scatter()
    {
        CrewScatter.Of([.. Enumerable.Range(0, 40).Select(_ => Job(1, 0))]).ShouldBeNull();
        CrewScatter.Of([Job(40, 0)]).ShouldBeNull("a deviation that was not kept is no even crew");
        CrewScatter.Of([Job(30, 5), Job(1, 0)])!.Scatter.Millimetres.ShouldBe(5, 1e-9);
    }

    [Fact]
    public void An_even_crew_needs_less_foam_above_the_specification()
    {
        var (area, depth) = (Area.FromSquareMetres(100), Length.FromInches(2));
        var own = CrewScatter.Of([Job(40, 1.5)])!;
        var even = FoamDemand.For(area, depth, own.Scatter, null, default, own.Working);
        even.Extra.ShouldBeLessThan(FoamDemand.For(area, depth, FoamDemand.DefaultScatter(CellStructure.Closed), null).Extra);
        even.Working.Terms.Single(t => t.Name == "extraDepth").From!.Terms.Single(t => t.Name == "depthScatter").From.ShouldBe(own.Working);
    }

    [Fact]
    public void Learning_keeps_crews_and_families_apart()
    {
        var learning = CrewLearning.From([Job(40, 2), Job(40, 6) with { Crew = "Plover" }, Job(40, 9) with { Family = "openStandard" }]);
        learning.ScatterOf("Heron", "closedStandard")!.Scatter.Millimetres.ShouldBe(2, 1e-9);
        learning.ScatterOf("Plover", "closedStandard")!.Scatter.Millimetres.ShouldBe(6, 1e-9);
        learning.ScatterOf("Plover", "openStandard").ShouldBeNull();
    }

    private static FinishedJob Job(int readings, double scatterMm) =>
        new()
        {
            Id = "job",
            Crew = "Heron",
            Family = "closedStandard",
            Actual = FoamVolume.FromBoardFeet(4000),
            Predicted = FoamVolume.FromBoardFeet(4000),
            Foam = FoamVolume.FromBoardFeet(8000),
            DepthReadings = readings,
            DepthScatter = Length.FromMillimetres(scatterMm),
        };
}
