using Shouldly;
using Umbracell.Core.Airtightness;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;
using Xunit;

namespace Umbracell.Core.Tests.Airtightness;

/// <summary>The fan test after the work: against the edition, and against the test before.</summary>
public sealed class TightnessTests
{
    private const double Volume = 400;

    // Buildings whose leaks are known, tested with gauges and fans that are off and winds that come and go: the interval has to hold the
    // truth nineteen times in twenty.
    [Fact]
    public void The_interval_of_the_reduction_holds_the_truth_in_nineteen_of_twenty_tests()
    {
        const int Tests = 500;
        var holds = 0;
        for (var seed = 0; seed < Tests; seed++)
        {
            var chance = new Random(seed);
            var (c, n) = (0.05 + 0.1 * chance.NextDouble(), 0.58 + 0.12 * chance.NextDouble());
            var (cutTo, nAfter) = (0.3 + 0.6 * chance.NextDouble(), 0.58 + 0.12 * chance.NextDouble());
            var truth = 1 - cutTo * Math.Pow(50, nAfter) / Math.Pow(50, n);
            var cut = FanTest.Reduction(Tested(c, n, chance), Tested(c * cutTo, nAfter, chance));
            holds += cut.Low <= truth && truth <= cut.High ? 1 : 0;
        }

        // 500 tests at 95 %: within four standard deviations of chance, and never much wider than it says.
        (holds / (double)Tests).ShouldBeInRange(0.915, 0.99);
    }

    [Theory]
    [InlineData(3.0, "met", Verdict.Clear)]
    [InlineData(2.3, "near", Verdict.Care)]
    [InlineData(2.0, "missed", Verdict.Hold)]
    public void It_keeps_to_the_edition_only_where_its_interval_does(double greatest, string ends, Verdict verdict)
    {
        // 900 m³/h at 50 Pa through 400 m³: 2.25 air changes.
        var after = Clean(900 / 3600.0);
        after.AirChangesAt50!.Value.Value.ShouldBe(2.25, 0.02);
        after.AirChangesAt50.Value.High!.Value.ShouldBeGreaterThan(2.3);
        var told = Tightness.Of(null, after, greatest)[0];
        (told.Case.Name, told.Verdict).ShouldBe((ends, verdict));
    }

    [Fact]
    public void A_single_point_is_told_as_such_and_proves_no_target()
    {
        var single = FanTest.Of(Case([new(EnvelopePressure.FromPascals(50), 0.25)]));
        var told = Tightness.Of(single, single, 5);
        told.ShouldContain(one => one.Case.Name == "near");
        told.ShouldContain(one => one.Case.Name == "single" && one.Rule == Tightness.Reduction);
        told.ShouldContain(one => one.Case.Name == "single" && one.Rule == FanTestRules.Points);
    }

    [Fact]
    public void A_building_that_leaks_more_than_before_holds()
    {
        Tightness.Of(Clean(0.1), Clean(0.3), null).ShouldContain(one => one.Case.Name == "looser" && one.Verdict == Verdict.Hold);
        Tightness.Of(Clean(0.3), Clean(0.3), null).ShouldContain(one => one.Case.Name == "unsure");
        Tightness.Of(Clean(0.3), Clean(0.1), null).ShouldContain(one => one.Case.Name == "tighter");
        Tightness.Of(Clean(0.3), null, 3).Single().Case.Name.ShouldBe("noAfter");
        Tightness.Of(null, Clean(0.3), 3).ShouldContain(one => one.Case.Name == "noBefore");
    }

    private static FanTest Clean(double flowAt50) =>
        FanTest.Of(
            Case([
                .. new[] { 10.0, 20, 30, 40, 50, 60 }.Select(p => new FanPoint(
                    EnvelopePressure.FromPascals(p),
                    flowAt50 * Math.Pow(p / 50, 0.65)
                )),
            ])
        );

    private static FanTest Tested(double c, double n, Random chance)
    {
        var (gauge, fan) = (0.5 * Normal(chance), 1 + 0.02 * Normal(chance));
        return FanTest.Of(
            Case([
                .. new[] { 15.0, 24, 33, 42, 51, 60 }.Select(p => new FanPoint(
                    EnvelopePressure.FromPascals(p + gauge),
                    c * Math.Pow(p, n) * fan * (1 + 0.015 * Normal(chance))
                )),
            ])
        );
    }

    private static double Normal(Random chance) => NormalDistribution.Quantile(1 - chance.NextDouble());

    // Room and outdoors alike: the air that leaks is the air that is metered.
    private static FanTestCase Case(IReadOnlyList<FanPoint> points) =>
        new()
        {
            Points = points,
            Indoor = FanTest.ReferenceAir,
            Outdoor = FanTest.ReferenceAir,
            Volume = Volume,
        };
}
