using CsCheck;
using Shouldly;
using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;
using Xunit;

namespace Umbracell.Core.Tests.Quality;

/// <summary>The one-sided tolerance factor, against published tables and by drawing.</summary>
public sealed class ToleranceBoundTests
{
    // One-sided tolerance factors for a normal population, mean and spread unknown (tables of ISO 16269-6 and of the NIST handbook).
    [Theory]
    [InlineData(3, 0.90, 0.90, 4.259)]
    [InlineData(5, 0.90, 0.90, 2.742)]
    [InlineData(6, 0.90, 0.90, 2.494)]
    [InlineData(10, 0.90, 0.90, 2.066)]
    [InlineData(20, 0.90, 0.90, 1.765)]
    [InlineData(30, 0.90, 0.90, 1.657)]
    [InlineData(10, 0.95, 0.90, 2.355)]
    [InlineData(10, 0.95, 0.95, 2.911)]
    [InlineData(10, 0.90, 0.99, 3.532)]
    [InlineData(50, 0.90, 0.90, 1.559)]
    public void Factors_are_those_of_the_tables(int n, double confidence, double share, double k) =>
        ToleranceBound.Factor(n, new(confidence, share)).ShouldBe(k, 0.002);

    [Fact]
    public void More_readings_ask_for_less_and_more_certainty_for_more()
    {
        (
            from n in Gen.Int[3, 400]
            from confidence in Gen.Double[0.5, 0.98]
            from share in Gen.Double[0.5, 0.98]
            select (n, confidence, share)
        ).Sample(
            one =>
            {
                var k = ToleranceBound.Factor(one.n, new(one.confidence, one.share));
                ToleranceBound.Factor(one.n, new(one.confidence + 0.01, one.share)).ShouldBeGreaterThan(k);
                ToleranceBound.Factor(one.n, new(one.confidence, one.share + 0.01)).ShouldBeGreaterThan(k);
                if (one.confidence > 0.6)
                {
                    ToleranceBound.Factor(one.n + 1, new(one.confidence, one.share)).ShouldBeLessThan(k);
                }
            },
            iter: 60
        );
    }

    // With what share of the samples does the bound hold? With as many as the confidence says.
    [Theory]
    [InlineData(3)]
    [InlineData(6)]
    [InlineData(30)]
    public void Nine_samples_in_ten_hold_what_they_promise(int n)
    {
        const int Samples = 20_000;
        var chance = new Random(20_261_123 + n);
        var k = ToleranceBound.Factor(n, Assurance.Usual);
        var holds = 0;
        var read = new double[n];
        for (var sample = 0; sample < Samples; sample++)
        {
            for (var i = 0; i < n; i++)
            {
                read[i] = NormalDistribution.Quantile(1 - chance.NextDouble());
            }

            var mean = read.Average();
            var spread = Math.Sqrt(read.Sum(x => (x - mean) * (x - mean)) / (n - 1));

            // The share of the population over the bound.
            holds += 1 - NormalDistribution.Below(mean - k * spread) >= 0.9 ? 1 : 0;
        }

        (holds / (double)Samples).ShouldBe(0.9, 0.008);
    }

    [Fact]
    public void Two_readings_tell_nothing() => Should.Throw<QuantityRangeException>(() => ToleranceBound.Factor(2, Assurance.Usual));
}
