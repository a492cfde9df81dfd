using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

public sealed class YieldTests
{
    [Theory]
    [InlineData(2, 1)]
    [InlineData(1, 0.9762)]
    [InlineData(0.5, 0.9318)]
    public void Each_lifts_skin_costs_yield(double inches, double factor) =>
        SetYield.LiftFactor(Length.FromInches(inches), Length.FromInches(2), Length.FromInches(0.05)).ShouldBe(factor, 0.0001);

    [Fact]
    public void A_thousand_square_feet_at_two_inches_is_two_thousand_board_feet() =>
        (Area.FromSquareFeet(1000) * Length.FromInches(2)).BoardFeet.ShouldBe(2000, 1e-9);

    [Fact]
    public void A_set_of_442_kg_cannot_exceed_5084_board_feet() =>
        (Sheets.ClosedCell.SetMass / Sheets.ClosedCell.InPlaceDensity).BoardFeet.ShouldBe(5084, 1);

    [Fact]
    public void Under_reference_conditions_a_set_yields_what_the_sheet_says()
    {
        var yield = SetYield.For(
            Sheets.ClosedCell,
            new(Temperature.FromCelsius(21), Temperature.FromCelsius(22.5), Length.FromInches(2), null)
        );
        yield.Expected.BoardFeet.ShouldBe(4350, 1e-6);

        // By hand: 442 kg at 2.3 lb/ft³ fill 5,084 board feet; of those 734 are lost on the way.
        yield.ImpliedLoss.ShouldBe(0.1444, 0.0002);
    }

    [Fact]
    public void A_colder_substrate_never_yields_more_up_to_the_reference() =>
        Gen.Select(Gen.Double[4, 21], Gen.Double[4, 21])
            .Sample(
                (a, b) =>
                {
                    double Yield(double c) =>
                        SetYield
                            .For(
                                Sheets.ClosedCell,
                                new(Temperature.FromCelsius(c), Temperature.FromCelsius(22.5), Length.FromInches(2), null)
                            )
                            .Expected.BoardFeet;
                    Yield(Math.Min(a, b)).ShouldBeLessThanOrEqualTo(Yield(Math.Max(a, b)) + 1e-9);
                }
            );

    [Fact]
    public void A_yield_above_what_the_mass_can_fill_is_refused() =>
        Should.Throw<QuantityRangeException>(() =>
            SetYield.For(
                Sheets.ClosedCell,
                new(Temperature.FromCelsius(21), Temperature.FromCelsius(22.5), Length.FromInches(2), null),
                crewFactor: 1.3
            )
        );

    [Theory]
    [InlineData(0, 0.98)]
    [InlineData(2.5, 0.94)]
    [InlineData(5, 0.90)]
    public void Wind_at_an_open_face_carries_foam_away(double wind, double factor)
    {
        var yield = SetYield.For(
            Sheets.ClosedCell,
            new(Temperature.FromCelsius(21), Temperature.FromCelsius(22.5), Length.FromInches(2), Speed.FromMetresPerSecond(wind))
        );
        yield.Factors.Single(f => f.Key == "open").Value.ShouldBe(factor, 1e-9);
    }

    [Fact]
    public void Nine_of_ten_depths_reach_the_specification()
    {
        var demand = FoamDemand.For(Area.FromSquareMetres(100), Length.FromInches(2), Length.FromInches(0.125), null);
        NormalDistribution.Below((demand.MeanDepth - Length.FromInches(2)) / Length.FromInches(0.125)).ShouldBe(0.9, 1e-9);
        FoamDemand
            .For(Area.FromSquareMetres(100), Length.FromInches(5.5), Length.FromInches(0.375), Length.FromInches(0.75))
            .Extra.Inches.ShouldBe(0.75, 1e-9);
    }

    [Theory]
    [InlineData(0.90, 1.2815515655)]
    [InlineData(0.975, 1.9599639845)]
    [InlineData(0.5, 0)]
    [InlineData(0.001, -3.0902323062)]
    public void The_normal_quantile_agrees_with_the_tables(double share, double z) => NormalDistribution.Quantile(share).ShouldBe(z, 1e-8);

    [Fact]
    public void The_quantile_undoes_the_distribution() =>
        Gen.Double[-7, 4].Sample(z => NormalDistribution.Quantile(NormalDistribution.Below(z)).ShouldBe(z, 1e-8));

    [Fact]
    public void The_normal_distribution_is_symmetric_and_rising() =>
        Gen.Double[-6, 6]
            .Sample(z =>
            {
                (NormalDistribution.Below(z) + NormalDistribution.Below(-z)).ShouldBe(1, 1e-12);
                NormalDistribution.Below(z + 0.01).ShouldBeGreaterThan(NormalDistribution.Below(z));
            });

    [Fact]
    public void The_load_leaves_at_most_the_chosen_risk_and_one_set_fewer_more_than_it() =>
        Gen.Select(Gen.Double[0.3, 40], Gen.Double[0.01, 0.4])
            .Sample(
                (sets, risk) =>
                {
                    var yield = SetYield.For(
                        Sheets.ClosedCell,
                        new(Temperature.FromCelsius(21), Temperature.FromCelsius(22.5), Length.FromInches(2), null)
                    );
                    var result = SpraySets.For(yield.Expected * sets, yield, new(0.03, 0.12, 0.01), risk);
                    result.Median.ShouldBe(sets, 1e-9);
                    result.Load.ChanceShort.ShouldBeLessThanOrEqualTo(risk + 1e-9);
                    if (result.Load.Sets > 1)
                    {
                        SpraySets.ChanceShort(result.Median, result.Spread, result.Load.Sets - 1).ShouldBeGreaterThan(risk);
                    }
                }
            );

    [Fact]
    public void The_closed_form_agrees_with_a_seeded_simulation()
    {
        var random = new Random(20261123);
        double Normal() => NormalDistribution.Quantile(random.NextDouble() * (1 - 2e-12) + 1e-12);
        const int Draws = 20_000;
        const double Median = 5.2,
            Spread = 0.13;
        var share = Enumerable.Range(0, Draws).Count(_ => Median * Math.Exp(Spread * Normal()) > 6) / (double)Draws;
        SpraySets.ChanceShort(Median, Spread, 6).ShouldBe(share, 0.01);
    }

    [Fact]
    public void Conditions_off_the_sheet_are_said_not_hidden()
    {
        var study = SetsStudy.Of(
            new()
            {
                Sheet = Sheets.ClosedCell,
                Sprayed = Area.FromSquareMetres(100),
                Thickness = Length.FromInches(2),
                ShavedFlush = false,
                Substrate = Temperature.FromCelsius(-3),
                Drums = null,
            }
        );
        study.Findings.ShouldContain(f => f.Case.Name == "substrateOffCurve" && f.Limit!.Value.Amount == 4);
        study.Findings.ShouldContain(f => f.Case.Name == "drumAssumed" && f.Verdict == Verdict.Care);
        study.Conditions.Substrate.Celsius.ShouldBe(4);
    }

    [Fact]
    public void Sets_grow_with_area_and_thickness_in_proportion()
    {
        var one = Study(100);
        Study(200).Sets.Median.ShouldBe(2 * one.Sets.Median, 1e-9);

        // By hand: 1,076.391 ft² of 2 in and, for nine depths of ten, 1.28155 · 1/8 in more: 2,325.21 board feet. The sheet's 4,350
        // of a set, drums at 22 °C eight ninths of the way from 0.97 at 18 °C to 1 at 22.5 °C: 4,335.5. Nothing else is off the sheet.
        one.Demand.Volume.BoardFeet.ShouldBe(2325.21, 0.01);
        one.Yield.Expected.BoardFeet.ShouldBe(4335.5, 0.01);
        one.Sets.Median.ShouldBe(0.536320, 1e-6);
    }

    private static SetsStudy Study(double squareMetres) =>
        SetsStudy.Of(
            new()
            {
                Sheet = Sheets.ClosedCell,
                Sprayed = Area.FromSquareMetres(squareMetres),
                Thickness = Length.FromInches(2),
                ShavedFlush = false,
                Substrate = Temperature.FromCelsius(21),
                Drums = Temperature.FromCelsius(22),
            }
        );
}
