using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Quantities;
using Umbracell.Core.Tests.Choosing;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

public sealed class FillTests
{
    [Theory]
    [InlineData(6.25, 19)]
    [InlineData(5.5, 18)]
    [InlineData(3.5, 13)]
    [InlineData(2.5, 10)]
    public void A_pressed_batt_keeps_what_the_compressed_tables_give_it(double inches, double r) =>
        Walls.Batts[1].ResistanceIn(Length.FromInches(inches)).UsR.ShouldBe(r, 0.3);

    [Fact]
    public void A_batt_is_never_worth_more_than_its_label_nor_more_pressed_than_loose() =>
        Gen.Select(Gen.Double[0, 12], Gen.Double[0, 12]).Sample((a, b) =>
        {
            var (tight, loose) = (Walls.Batts[1].ResistanceIn(Length.FromInches(Math.Min(a, b))).UsR, Walls.Batts[1].ResistanceIn(Length.FromInches(Math.Max(a, b))).UsR);
            tight.ShouldBeLessThanOrEqualTo(loose + 1e-9);
            loose.ShouldBeLessThanOrEqualTo(19 + 1e-9);
        });

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
    public void What_takes_the_rest_gives_way_to_the_foam_that_grows() => Gen.Double[1, 5].Sample(inches =>
    {
        var foam = new FoamFill(Sheets.ClosedCell, Length.FromInches(1));
        var wall = Walls.Section(SurfaceKind.StudWall) with { Fill = [foam, BattFill.Behind(Walls.Batts[1], Length.FromInches(6.25), foam)] };
        var moved = wall.WithFoam(Length.FromInches(inches));
        moved.FillThickness.Inches.ShouldBe(7.25, 1e-9);
        moved.Foam!.Thickness.Inches.ShouldBe(inches, 1e-9);
    });

    [Fact]
    public void Two_foams_insulate_as_the_sum_of_their_sheets()
    {
        var wall = Walls.Section(SurfaceKind.StudWall) with { Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(2)), new FoamFill(Sheets.OpenCell, Length.FromInches(4))] };
        var study = SectionStudy.Of(wall);
        study.FillR.UsR.ShouldBe(13.3 + 4 * 3.7, 1e-6);
        (1 / study.FillPermeance.Perms).ShouldBe(1 / (1.35 / 2) + 1 / (31 / 4.0), 1e-4);
        study.Lifts.Count.ShouldBe(2);
        study.Profile.Points.Zip(study.Profile.Points.Skip(1)).ShouldAllBe(p => p.Second.Temperature.Celsius >= p.First.Temperature.Celsius - 1e-9);
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
        var wall = Walls.Section(SurfaceKind.StudWall) with { Fill = [BattFill.Behind(Walls.Batts[2], Length.FromInches(7.25), null)], Outboard = [new(Walls.Materials.Board, Length.FromInches(1))] };
        var installed = Targets.Installed(wall);
        installed.Cavity.UsR.ShouldBe(21, 1e-6);
        installed.Continuous.UsR.ShouldBe(0.0254 / 0.029 / ThermalResistance.SiPerUsR, 1e-6);
    }
}
