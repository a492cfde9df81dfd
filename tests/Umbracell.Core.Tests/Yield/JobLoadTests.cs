using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>What all surfaces of a job load of one product.</summary>
public sealed class JobLoadTests
{
    private const double CrewSd = 0.05,
        DepthSd = 0.012;

    private static readonly double[][] Jobs =
    [
        [20_000, 240],
        [24_000],
        [.. Enumerable.Repeat(150.0, 60)],
        [9_000, 4_000, 120, 80, 60],
        [4_000, 4_000, 4_000],
    ];

    public static TheoryData<int> Mixtures => [.. Enumerable.Range(0, Jobs.Length)];

    // One draw is one job: area, crew and depth err alike on all its surfaces, and every board foot scatters for itself.
    [Theory]
    [MemberData(nameof(Mixtures))]
    public void Quantiles_agree_with_a_seeded_simulation_of_the_job_as_a_whole(int job)
    {
        const int Draws = 60_000;
        var (parts, random) = (Parts(Jobs[job]), new Random(20261127));
        double Normal() => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var drawn = new double[Draws];
        for (var i = 0; i < Draws; i++)
        {
            var shared = Math.Exp(SetsSpread.DefaultArea * Normal() + CrewSd * Normal() + DepthSd * Normal());
            drawn[i] =
                shared
                * parts.Sum(part =>
                    part.Sets * (1 + FinishedJob.ReferenceSd * Math.Sqrt(FinishedJob.ReferenceBoardFeet / part.Volume.BoardFeet) * Normal())
                );
        }

        Array.Sort(drawn);
        var load = Load(parts);
        foreach (var share in new[] { 0.1, 0.5, 0.9 })
        {
            var told = load.Median * Math.Exp(NormalDistribution.Quantile(share) * load.Spread);
            (told / drawn[(int)(share * Draws)]).ShouldBe(1, 0.005, $"{share:P0} of {string.Join(", ", Jobs[job])} board feet");
        }
    }

    [Fact]
    public void A_small_surface_more_never_makes_the_rest_less_sure() =>
        Gen.Select(Gen.Double[500, 40_000], Gen.Double[5, 400])
            .Sample((large, small) => Load(Parts(large, small)).Spread.ShouldBeLessThanOrEqualTo(Load(Parts(large)).Spread + 1e-12));

    [Fact]
    public void Cutting_a_surface_in_two_changes_nothing() =>
        Gen.Select(Gen.Double[100, 40_000], Gen.Double[0.01, 0.99], Gen.Double[0.01, 0.4])
            .Sample(
                (feet, share, risk) =>
                {
                    var (whole, cut) = (Load(Parts(feet), risk), Load(Parts(feet * share, feet * (1 - share)), risk));
                    cut.Median.ShouldBe(whole.Median, 1e-9 * whole.Median);
                    cut.Spread.ShouldBe(whole.Spread, 1e-9);
                    cut.Load.Sets.ShouldBe(whole.Load.Sets);
                    cut.Load.LeftOver.BoardFeet.ShouldBe(whole.Load.LeftOver.BoardFeet, 1e-6 * feet);
                }
            );

    [Fact]
    public void What_is_left_over_says_what_is_missing_too() =>
        Gen.Double[500, 60_000]
            .Sample(feet =>
            {
                var sets = Load(Parts(feet));
                foreach (var around in sets.Around)
                {
                    around.LeftOver.BoardFeet.ShouldBe((around.Sets - sets.Median) * 4000, 1e-6 * feet);
                    Math.Sign(around.LeftOver.BoardFeet).ShouldBe(around.ChanceShort <= 0.5 ? 1 : -1);
                }
            });

    [Fact]
    public void No_chance_is_told_as_none_or_all() =>
        Gen.Select(Gen.Double[0.1, 60], Gen.Double[0.01, 0.4], Gen.Int[0, 400], Gen.Enum<UnitSystem>())
            .Sample(
                (median, spread, sets, units) =>
                {
                    var chance = SpraySets.ChanceShort(median, spread, sets);
                    var told = QuantityPrinter.Print(Figure.Chance(chance), units);
                    told.ShouldNotBeOneOf("0 %", "100 %");
                    told.StartsWith('<').ShouldBe(chance < 0.005);
                    told.StartsWith('>').ShouldBe(chance >= 0.995);
                }
            );

    private static SpraySets Load(LoadPart[] parts, double risk = 0.1) =>
        SpraySets.OfJob(parts, foam => double.Hypot(CrewSd, FinishedJob.SdOf(foam)), risk);

    private static LoadPart[] Parts(params double[] boardFeet) =>
        [.. boardFeet.Select(feet => new LoadPart(FoamVolume.FromBoardFeet(feet), feet / 4000, DepthSd))];
}
