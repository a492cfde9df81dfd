using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Tests.Choosing;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

public sealed class FillTests
{
    // The compressed-R tables that makers of fibre print alike: rated R, its thickness and density, the space, R in it.
    [Theory]
    [InlineData(19, 6.25, 8, 6.25, 19)]
    [InlineData(19, 6.25, 8, 5.5, 18)]
    [InlineData(19, 6.25, 8, 3.5, 13)]
    [InlineData(19, 6.25, 8, 2.5, 10)]
    [InlineData(11, 3.5, 10, 2.5, 8.9)]
    [InlineData(13, 3.5, 14, 2.5, 10)]
    [InlineData(15, 3.5, 23, 2.5, 11)]
    [InlineData(21, 5.5, 16, 3.5, 15)]
    [InlineData(25, 8, 10, 7.25, 24)]
    [InlineData(30, 9.5, 10, 7.25, 26)]
    [InlineData(30, 9.5, 10, 5.5, 21)]
    [InlineData(38, 12, 10, 11.25, 37)]
    [InlineData(38, 12, 10, 9.25, 32)]
    public void A_pressed_batt_keeps_what_the_compressed_tables_give_it(
        double rated,
        double thickness,
        double density,
        double space,
        double r
    ) =>
        new Batt(
            "batt",
            Length.FromInches(thickness),
            ThermalResistance.FromUsR(rated),
            Walls.Batts[0].Material,
            Density.FromKilogramsPerCubicMetre(density)
        )
            .ResistanceIn(Length.FromInches(space))
            .UsR.ShouldBe(r, 0.7);

    [Fact]
    public void A_batt_in_a_wider_space_leaves_air_that_counts_and_is_said() =>
        Gen.Double[0.3, 5]
            .Sample(wider =>
            {
                var batt = Walls.Batts[0];
                SectionStudy In(double depth)
                {
                    var wall = Walls.Section(SurfaceKind.StudWall);
                    return SectionStudy.Of(
                        wall with
                        {
                            Members = wall.Members with { Depth = Length.FromInches(depth) },
                            Fill = [BattFill.Behind(batt, Length.FromInches(depth), null)],
                        }
                    );
                }

                var (tight, loose) = (In(batt.Nominal.Inches), In(batt.Nominal.Inches + wider));
                loose.Case.FillThickness.ShouldBe(batt.Nominal);
                loose.FillR.UsR.ShouldBe(13, 1e-9);
                SectionHeat.Of(loose.Case).FreeSpace.UsR.ShouldBe(AirSpace.Of(Length.FromInches(wider), loose.Case.HeatFlow).UsR, 1e-9);
                loose.WholeU.UsU.ShouldBeLessThan(tight.WholeU.UsU);
                tight.Findings.ShouldNotContain(f => f.Rule.Id == "battFit");
                var told = loose.Findings.Single(f => f.Rule.Id == "battFit");
                told.Verdict.ShouldBe(Verdict.Care);
                told.Figures["gap"].Amount.ShouldBe(Length.FromInches(wider).Metres, 1e-9);
            });

    [Fact]
    public void A_batt_is_never_worth_more_than_its_label_nor_more_pressed_than_loose() =>
        Gen.Select(Gen.Double[0, 12], Gen.Double[0, 12])
            .Sample(
                (a, b) =>
                {
                    var (tight, loose) = (
                        Walls.Batts[1].ResistanceIn(Length.FromInches(Math.Min(a, b))).UsR,
                        Walls.Batts[1].ResistanceIn(Length.FromInches(Math.Max(a, b))).UsR
                    );
                    tight.ShouldBeLessThanOrEqualTo(loose + 1e-9);
                    loose.ShouldBeLessThanOrEqualTo(19 + 1e-9);
                }
            );

    [Fact]
    public void Uneven_foam_costs_a_batt_R_and_opens_gaps()
    {
        var batt = Walls.Batts[1];
        var space = batt.Nominal;
        var (flat, noGap) = batt.Over(space, Length.Zero);
        var (uneven, gap) = batt.Over(space, Length.FromInches(0.5));
        flat.UsR.ShouldBe(19, 1e-6);
        noGap.Metres.ShouldBe(0, 1e-9);
        uneven.UsR.ShouldBeLessThan(flat.UsR);

        // Half of the depths lie below the mean: the gap of a normal scatter is sigma over the root of two pi.
        gap.Inches.ShouldBe(0.5 / Math.Sqrt(2 * Math.PI), 0.04);
    }

    [Fact]
    public void What_takes_the_rest_gives_way_to_the_foam_that_grows() =>
        Gen.Double[1, 5]
            .Sample(inches =>
            {
                var foam = new FoamFill(Sheets.ClosedCell, Length.FromInches(1));
                var wall = Walls.Section(SurfaceKind.StudWall) with
                {
                    Fill = [foam, BattFill.Behind(Walls.Batts[1], Length.FromInches(6.25), foam)],
                };
                var moved = wall.WithFoam(Length.FromInches(inches));
                moved.FillThickness.Inches.ShouldBe(7.25, 1e-9);
                moved.Foam!.Thickness.Inches.ShouldBe(inches, 1e-9);
            });

    [Fact]
    public void Two_foams_insulate_as_the_sum_of_their_sheets()
    {
        var wall = Walls.Section(SurfaceKind.StudWall) with
        {
            Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(2)), new FoamFill(Sheets.OpenCell, Length.FromInches(4))],
        };
        var study = SectionStudy.Of(wall);
        study.FillR.UsR.ShouldBe(13.3 + 4 * 3.7, 1e-6);
        (1 / study.FillPermeance.Perms).ShouldBe(1 / (1.35 / 2) + 1 / (31 / 4.0), 1e-4);
        study.Lifts.Count.ShouldBe(2);
        study
            .Profile.Points.Zip(study.Profile.Points.Skip(1))
            .ShouldAllBe(p => p.Second.Temperature.Celsius >= p.First.Temperature.Celsius - 1e-9);
    }

    [Fact]
    public void A_case_in_steps_of_the_job_does_not_know_the_readers_units()
    {
        Walls.Section(SurfaceKind.StudWall).Step.Inches.ShouldBe(0.25, 1e-12);
        Walls.Section(SurfaceKind.StudWall, films: FilmSet.Iso6946).Step.Millimetres.ShouldBe(5, 1e-12);
    }

    [Fact]
    public void A_board_outside_the_members_is_continuous_and_a_batt_between_them_is_not()
    {
        var wall = Walls.Section(SurfaceKind.StudWall) with
        {
            Fill = [BattFill.Behind(Walls.Batts[2], Length.FromInches(7.25), null)],
            Outboard = [new(Walls.Materials.Board, Length.FromInches(1))],
        };
        var installed = Targets.Installed(wall);
        installed.Cavity.UsR.ShouldBe(21, 1e-6);
        installed.Continuous.UsR.ShouldBe(0.0254 / 0.029 / ThermalResistance.SiPerUsR, 1e-6);
    }
}
