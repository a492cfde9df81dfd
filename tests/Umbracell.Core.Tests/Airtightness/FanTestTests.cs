using CsCheck;
using Shouldly;
using Umbracell.Core.Airtightness;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Airtightness;

public sealed class FanTestTests
{
    private static readonly double[] Pressures = [12, 20, 28, 36, 44, 52, 60];

    // With room and outdoor air at 20 °C at sea level no correction is left but the reference density, which is the same air.
    private static FanTestCase Test(double c, double n, double zero = 0, Func<int, double>? noise = null) =>
        new()
        {
            Points =
            [
                .. Pressures.Select(
                    (p, i) => new FanPoint(EnvelopePressure.FromPascals(p + zero), c * Math.Pow(p, n) * Math.Exp(noise?.Invoke(i) ?? 0))
                ),
            ],
            Indoor = Temperature.FromCelsius(20),
            Outdoor = Temperature.FromCelsius(20),
            ZeroBefore = zero,
            ZeroAfter = zero,
            Volume = 600,
        };

    [Fact]
    public void Known_coefficient_and_exponent_come_back() =>
        Gen.Select(Gen.Double[0.005, 0.5], Gen.Double[0.5, 1.0], Gen.Double[-4, 4])
            .Sample(
                (c, n, zero) =>
                {
                    var result = FanTest.Of(Test(c, n, zero));
                    return Close(result.Coefficient, c, 1e-4)
                        && Close(result.Exponent.Value, n, 1e-9)
                        && Close(result.FlowAt50.Value, c * Math.Pow(50, n), 1e-4)
                        && result.Fit > 0.999999;
                }
            );

    [Fact]
    public void The_interval_of_the_flow_at_50_holds_the_true_flow_nineteen_times_in_twenty()
    {
        var random = new Random(4711);
        const int Runs = 600;
        var held = 0;
        for (var run = 0; run < Runs; run++)
        {
            // A gauge and a fan that are off by the same at every point, and a little wind beside.
            var (gauge, flow) = (0.5 * Normal(random), 0.02 * Normal(random));
            var points = Pressures.Select(p => new FanPoint(
                EnvelopePressure.FromPascals(p),
                0.08 * Math.Pow(p + gauge, 0.62) * Math.Exp(flow + 0.01 * Normal(random))
            ));
            var result = FanTest.Of(Test(0.08, 0.62) with { Points = [.. points] });
            var truth = 0.08 * Math.Pow(50, 0.62);
            held += result.FlowAt50.Low <= truth && truth <= result.FlowAt50.High ? 1 : 0;
        }

        ((double)held / Runs).ShouldBe(0.95, 0.025);
    }

    [Fact]
    public void Points_that_lie_on_a_line_are_no_better_than_their_instruments()
    {
        var exact = FanTest.Of(Test(0.08, 0.62));
        (exact.FlowAt50.High!.Value / exact.FlowAt50.Value).ShouldBeGreaterThan(Math.Exp(1.95 * 0.02));
        var better = FanTest.Of(Test(0.08, 0.62) with { GaugeError = 0.1, FlowError = 0.005 });
        (better.FlowAt50.High!.Value / better.FlowAt50.Value).ShouldBeLessThan(exact.FlowAt50.High!.Value / exact.FlowAt50.Value);
    }

    [Theory]
    [InlineData(new double[] { 4, 6, 8, 10, 12 }, 0, "fanLowest", "tooLow")]
    [InlineData(new double[] { 4, 6, 8, 10, 12 }, 0, "fanHighest", "tooLow")]
    [InlineData(new double[] { 12, 20, 28, 36, 44, 52 }, 0, "fanLowest", "highEnough")]
    [InlineData(new double[] { 12, 20, 28, 36, 44, 52 }, 3, "fanLowest", "tooLow")]
    [InlineData(new double[] { 16, 24, 32, 40, 48, 56 }, 3, "fanLowest", "highEnough")]
    [InlineData(new double[] { 12, 20, 28, 36, 44 }, 0, "fanHighest", "tooLow")]
    [InlineData(new double[] { 12, 22, 32, 42, 52 }, 0, "fanSteps", "close")]
    [InlineData(new double[] { 12, 20, 28, 40, 52 }, 0, "fanSteps", "gaps")]
    public void The_range_and_the_steps_of_the_standard_are_asked_for(double[] induced, double zero, string rule, string wanted)
    {
        var result = FanTest.Of(
            Test(0.05, 0.65) with
            {
                Points = [.. induced.Select(p => new FanPoint(EnvelopePressure.FromPascals(p + zero), 0.05 * Math.Pow(p, 0.65)))],
                ZeroBefore = zero,
                ZeroAfter = zero,
            }
        );
        var finding = result.Findings.Single(f => f.Rule.Id == rule);
        finding.Case.Name.ShouldBe(wanted);
        (finding.Verdict == Verdict.Clear).ShouldBe(wanted is "highEnough" or "close");
        (result.IsValid || finding.Verdict == Verdict.Hold || result.Findings.Any(f => f.Verdict == Verdict.Hold)).ShouldBeTrue();
    }

    [Fact]
    public void A_test_is_valid_only_where_every_rule_of_the_standard_is_met()
    {
        FanTest.Of(Test(0.05, 0.65)).IsValid.ShouldBeTrue();
        FanTest.Of(Test(0.05, 0.45)).IsValid.ShouldBeFalse();
        FanTest.Of(Test(0.05, 0.65, zero: 6)).IsValid.ShouldBeFalse();
        FanTest.Of(Test(0.05, 0.65) with { Points = [new(EnvelopePressure.FromPascals(50), 0.6)] }).IsValid.ShouldBeFalse();
    }

    [Fact]
    public void Air_changes_and_leakage_area_follow_their_definitions()
    {
        var result = FanTest.Of(Test(0.05, 0.65));
        result.AirChangesAt50!.Value.Value.ShouldBe(result.FlowAt50.Value * 3600 / 600, 1e-12);

        // An opening of this area passes the flow at 4 Pa by Bernoulli.
        var byBernoulli = result.LeakageArea * Math.Sqrt(2 * 4 / FanTest.ReferenceDensity);
        byBernoulli.ShouldBe(0.05 * Math.Pow(4, 0.65), 1e-5);
    }

    [Fact]
    public void Cold_air_outside_is_brought_to_reference_air()
    {
        var calm = FanTest.Of(Test(0.05, 0.65));
        var cold = FanTest.Of(Test(0.05, 0.65) with { Outdoor = Temperature.FromCelsius(-20) });

        // Depressurised, less volume of the denser air leaks in than the fan meters: ratio of kelvins; then density to the 1 − n.
        var ratio = 253.15 / 293.15 * Math.Pow(293.15 / 253.15, 0.35);
        (cold.Coefficient / calm.Coefficient).ShouldBe(ratio, 1e-9);
    }

    [Fact]
    public void A_single_point_takes_the_usual_exponent_and_says_so()
    {
        var result = FanTest.Of(Test(0.05, 0.65) with { Points = [new(EnvelopePressure.FromPascals(50), 0.6)] });
        result.IsSinglePoint.ShouldBeTrue();
        result.FlowAt50.Value.ShouldBe(0.6, 1e-4);
        result.FlowAt50.Low.ShouldBeNull();
        result.Findings.ShouldContain(f => f.Rule.Id == "fanPoints" && f.Case.Name == "single" && f.Verdict == Verdict.Care);
    }

    [Theory]
    [InlineData(0.45, "fanExponent", "implausible")]
    [InlineData(0.60, "fanExponent", "plausible")]
    public void An_exponent_outside_a_half_to_one_is_not_a_building(double n, string rule, string wanted) =>
        FanTest.Of(Test(0.05, n)).Findings.Single(f => f.Rule.Id == rule).Case.Name.ShouldBe(wanted);

    [Fact]
    public void Scatter_wind_and_few_points_are_findings()
    {
        var scattered = FanTest.Of(Test(0.05, 0.65, noise: i => i % 2 == 0 ? 0.2 : -0.2));
        scattered.Findings.ShouldContain(f => f.Rule.Id == "fanFit" && f.Case.Name == "scattered");
        FanTest.Of(Test(0.05, 0.65, zero: 6)).Findings.ShouldContain(f => f.Rule.Id == "fanZero" && f.Case.Name == "windy");
        var few = Test(0.05, 0.65);
        FanTest
            .Of(few with { Points = [.. few.Points.Take(4)] })
            .Findings.ShouldContain(f => f.Rule.Id == "fanPoints" && f.Case.Name == "few");
    }

    [Fact]
    public void The_reduction_between_two_tests_carries_both_intervals()
    {
        var random = new Random(7);
        var before = FanTest.Of(Test(0.08, 0.62, noise: i => Noise(random, Pressures[i])));
        var after = FanTest.Of(Test(0.02, 0.66, noise: i => Noise(random, Pressures[i])));
        var cut = FanTest.Reduction(before, after);
        cut.Value.ShouldBe(1 - after.FlowAt50.Value / before.FlowAt50.Value, 1e-12);
        cut.Low!.Value.ShouldBeLessThan(cut.Value);
        cut.High!.Value.ShouldBeGreaterThan(cut.Value);
        FanTest.Reduction(before, before).Value.ShouldBe(0, 1e-12);
    }

    [Fact]
    public void A_zero_pressure_that_eats_up_a_point_is_refused() =>
        Should
            .Throw<QuantityRangeException>(() => FanTest.Of(Test(0.05, 0.65) with { ZeroBefore = 12, ZeroAfter = 12 }))
            .ParamName.ShouldBe("induced pressure");

    [Fact]
    public void Points_at_one_pressure_make_no_line() =>
        Should.Throw<QuantityRangeException>(() =>
            FanTest.Of(
                Test(0.05, 0.65) with
                {
                    Points = [new(EnvelopePressure.FromPascals(50), 0.6), new(EnvelopePressure.FromPascals(50), 0.61)],
                }
            )
        );

    [Theory]
    [InlineData(1, 12.706)]
    [InlineData(3, 3.182)]
    [InlineData(5, 2.571)]
    [InlineData(30, 2.042)]
    public void Students_t_agrees_with_its_table(int freedom, double expected) => StudentTOf(freedom).ShouldBe(expected, 0.001);

    // The half width of an interval over its standard error is the quantile itself.
    private static double StudentTOf(int freedom)
    {
        var random = new Random(freedom);
        var points = Enumerable
            .Range(0, freedom + 2)
            .Select(i => new FanPoint(
                EnvelopePressure.FromPascals(10 + 50.0 * i / (freedom + 1)),
                0.05 * Math.Pow(10 + 50.0 * i / (freedom + 1), 0.65) * Math.Exp(random.NextDouble() / 10)
            ))
            .ToList();
        var result = FanTest.Of(Test(0.05, 0.65) with { Points = points, GaugeError = 1e-3, FlowError = 1e-4 });
        var half = Math.Log(result.FlowAt50.High!.Value / result.FlowAt50.Value);
        return half / RelativeAt50(result);
    }

    private static double RelativeAt50(FanTest result)
    {
        var rows = result
            .Points.Select(p => (X: Math.Log(p.Pressure), Y: Math.Log(p.Flow), W: 1 / (Math.Pow(0.65 * 1e-3 / p.Pressure, 2) + 1e-8)))
            .ToList();
        var w = rows.Sum(r => r.W);
        var mean = rows.Sum(r => r.W * r.X) / w;
        var spread = rows.Sum(r => r.W * Math.Pow(r.X - mean, 2));
        var residual = result.Points.Zip(rows, (p, r) => r.W * Math.Pow(Math.Log(p.Flow / p.Fitted), 2)).Sum() / (rows.Count - 2);
        return Math.Sqrt(residual * (1 / w + Math.Pow(Math.Log(50) - mean, 2) / spread));
    }

    private static double Normal(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    private static double Noise(Random random, double pressure) =>
        Normal(random) * Math.Sqrt(Math.Pow(0.65 * 0.5 / pressure, 2) + 0.02 * 0.02);

    private static bool Close(double a, double b, double relative) => Math.Abs(a - b) <= relative * Math.Abs(b);
}
