using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Tests.Choosing;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

public sealed class AssemblyPartsTests
{
    private static readonly Material Board = new()
    {
        Id = "board",
        Conductivity = ThermalConductivity.FromSi(0.16),
        Permeability = Permeability.FromPermInches(22),
        Source = "test",
    };

    [Theory]
    [InlineData(FilmSet.Iso6946, HeatFlow.Up, 0.10)]
    [InlineData(FilmSet.Iso6946, HeatFlow.Horizontal, 0.13)]
    [InlineData(FilmSet.Iso6946, HeatFlow.Down, 0.17)]
    [InlineData(FilmSet.Us, HeatFlow.Up, 0.61 * 0.1761101838)]
    [InlineData(FilmSet.Us, HeatFlow.Horizontal, 0.68 * 0.1761101838)]
    [InlineData(FilmSet.Us, HeatFlow.Down, 0.92 * 0.1761101838)]
    public void Inner_films_are_those_of_the_edition(FilmSet set, HeatFlow flow, double r) =>
        Films.Inside(set, flow).SquareMetreKelvinsPerWatt.ShouldBe(r, 1e-9);

    // Annex D of ISO 6946 with ordinary faces must give the table of ordinary faces, to its rounding.
    [Theory]
    [InlineData(HeatFlow.Horizontal, 25, 0.18)]
    [InlineData(HeatFlow.Up, 50, 0.16)]
    [InlineData(HeatFlow.Down, 100, 0.22)]
    [InlineData(HeatFlow.Down, 25, 0.19)]
    public void A_bright_face_halves_the_radiation_at_least_and_the_formula_meets_the_table(HeatFlow flow, double mm, double table)
    {
        var width = Length.FromMillimetres(mm);
        AirSpace.Of(width, flow, 0.4999, 1).SquareMetreKelvinsPerWatt.ShouldBeGreaterThan(table);
        var bright = AirSpace.Of(width, flow, 0.1).SquareMetreKelvinsPerWatt;
        bright.ShouldBeGreaterThan(1.5 * table);
        var moved = 1 / bright - 5.1 / (1 / 0.1 + 1 / 0.9 - 1);
        (1 / (moved + 5.1 / (1 / 0.9 + 1 / 0.9 - 1))).ShouldBe(table, 0.012);
    }

    [Fact]
    public void A_foil_counts_only_with_an_air_space_before_it()
    {
        var foil = new Layer(
            new()
            {
                Id = "foil",
                Conductivity = ThermalConductivity.FromSi(0.024),
                Permeability = Permeability.FromPermInches(0.03),
                Source = "test",
                Emittance = 0.1,
            },
            Length.FromMillimetres(25)
        );
        var dull = foil with { Material = foil.Material with { Emittance = 0.9 } };
        SectionCase With(Layer board, double inches) =>
            Walls.Section(SurfaceKind.StudWall, depthInches: 5.5) with
            {
                Inboard = [board],
                Fill = [new FoamFill(Sheets.OpenCell, Length.FromInches(inches))],
            };
        SectionStudy
            .Of(With(foil, 3))
            .WholeU.WattsPerSquareMetreKelvin.ShouldBeLessThan(SectionStudy.Of(With(dull, 3)).WholeU.WattsPerSquareMetreKelvin - 0.005);
        SectionStudy.Of(With(foil, 5.5)).WholeU.ShouldBe(SectionStudy.Of(With(dull, 5.5)).WholeU);
    }

    [Fact]
    public void The_outer_film_depends_on_what_lies_beyond()
    {
        Films.Outside(FilmSet.Iso6946, HeatFlow.Up, Exposure.Outdoors).SquareMetreKelvinsPerWatt.ShouldBe(0.04);
        Films.Outside(FilmSet.Us, HeatFlow.Up, Exposure.Outdoors).UsR.ShouldBe(0.17, 1e-9);
        Films.Outside(FilmSet.Iso6946, HeatFlow.Up, Exposure.Ground).SquareMetreKelvinsPerWatt.ShouldBe(0);
        foreach (var flow in Enum.GetValues<HeatFlow>())
        {
            Films.Outside(FilmSet.Iso6946, flow, Exposure.Ventilated).ShouldBe(Films.Inside(FilmSet.Iso6946, flow));
            Films.Outside(FilmSet.Us, flow, Exposure.Room).ShouldBe(Films.Inside(FilmSet.Us, flow));
        }
    }

    [Theory]
    [InlineData(0.5, HeatFlow.Up, 0)]
    [InlineData(25, HeatFlow.Horizontal, 0.18)]
    [InlineData(25, HeatFlow.Down, 0.19)]
    [InlineData(50, HeatFlow.Up, 0.16)]
    [InlineData(100, HeatFlow.Down, 0.22)]
    [InlineData(900, HeatFlow.Down, 0.23)]
    public void Air_spaces_resist_as_the_table_says(double millimetres, HeatFlow flow, double r) =>
        AirSpace.Of(Length.FromMillimetres(millimetres), flow).SquareMetreKelvinsPerWatt.ShouldBe(r, 1e-9);

    [Fact]
    public void A_wider_air_space_never_resists_less() =>
        Gen.Select(Gen.Double[1, 400], Gen.Double[0, 100], Gen.Enum<HeatFlow>())
            .Sample(
                (width, more, flow) =>
                    AirSpace
                        .Of(Length.FromMillimetres(width + more), flow)
                        .SquareMetreKelvinsPerWatt.ShouldBeGreaterThanOrEqualTo(
                            AirSpace.Of(Length.FromMillimetres(width), flow).SquareMetreKelvinsPerWatt - 1e-12
                        )
            );

    [Fact]
    public void With_no_members_both_methods_agree()
    {
        Slice[] slices = [Slice.Continuous(ThermalResistance.FromSi(2)), Slice.Continuous(ThermalResistance.FromSi(0.5))];
        WoodFraming.ParallelPath(0, slices).WattsPerSquareMetreKelvin.ShouldBe(0.4, 1e-12);
        WoodFraming.Combined(0, slices)!.Value.WattsPerSquareMetreKelvin.ShouldBe(0.4, 1e-12);
    }

    [Fact]
    public void More_wood_never_insulates_better() =>
        Gen.Select(Gen.Double[0, 0.5], Gen.Double[0, 0.4])
            .Sample(
                (share, more) =>
                {
                    Slice[] slices =
                    [
                        new(ThermalResistance.FromSi(4), ThermalResistance.FromSi(1.2)),
                        Slice.Continuous(ThermalResistance.FromSi(0.5)),
                    ];
                    WoodFraming
                        .ParallelPath(share + more, slices)
                        .WattsPerSquareMetreKelvin.ShouldBeGreaterThanOrEqualTo(
                            WoodFraming.ParallelPath(share, slices).WattsPerSquareMetreKelvin - 1e-12
                        );
                }
            );

    [Fact]
    public void A_share_of_members_that_cannot_be_is_refused()
    {
        Should.Throw<QuantityRangeException>(() => WoodFraming.ParallelPath(-0.1, [Slice.Continuous(ThermalResistance.FromSi(1))]));
        Should.Throw<QuantityRangeException>(() => WoodFraming.LowerLimit(0.95, [Slice.Continuous(ThermalResistance.FromSi(1))]));
    }

    [Fact]
    public void Foam_on_a_ceiling_leaves_its_free_space_to_the_attic()
    {
        // Sprayed onto the ceiling from above: what stays free above the foam is the attic itself and counts for nothing.
        var loft = Case(FoamSide.Inboard, Exposure.Ventilated);
        var study = SectionStudy.Of(loft);
        study.Profile.Points.ShouldNotContain(p => p.Key == "freeSpace");
        SectionStudy.Of(loft with { FoamAgainst = FoamSide.Outboard }).Profile.Points.ShouldContain(p => p.Key == "freeSpace");
    }

    [Fact]
    public void Between_two_rooms_alike_nothing_flows_and_nothing_is_driven()
    {
        var partition = Case(FoamSide.Outboard, Exposure.Room) with
        {
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(45),
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(45)
            ),
        };
        var study = SectionStudy.Of(partition);
        study.Profile.OutwardDrive.Pascals.ShouldBe(0, 1e-9);
        study.Profile.Points.ShouldAllBe(p => Math.Abs(p.Temperature.Celsius - 20) < 1e-9);
    }

    [Fact]
    public void Without_a_target_nothing_is_short()
    {
        var finding = SectionStudy.Of(Case(FoamSide.Outboard, Exposure.Outdoors)).Findings.Single(f => f.Rule.Id == "target");
        finding.Case.Name.ShouldBe("none");
        finding.Verdict.ShouldBe(Verdict.Clear);
    }

    [Fact]
    public void A_cold_zone_asks_for_class_II_where_a_surface_faces_outdoors()
    {
        Finding ClassOf(SectionCase section) => SectionStudy.Of(section).Findings.Single(f => f.Rule.Id == "vapourClass");
        var open = Case(FoamSide.Outboard, Exposure.Outdoors) with { Fill = [new FoamFill(Sheets.OpenCell, Length.FromInches(5.5))] };
        ClassOf(open with { ClimateZone = "6A" }).Verdict.ShouldBe(Verdict.Care);
        ClassOf(open with { ClimateZone = "4C" }).Verdict.ShouldBe(Verdict.Care);
        ClassOf(open with { ClimateZone = "3A" }).Verdict.ShouldBe(Verdict.Clear);
        ClassOf(open with { ClimateZone = "6A", Kind = SurfaceKind.InteriorPartition }).Verdict.ShouldBe(Verdict.Clear);
    }

    [Fact]
    public void Verdicts_taken_together_are_the_worst_of_them()
    {
        Finding With(Verdict verdict) => new(SectionRules.Fit, "fits", verdict, Citations.Geometry);
        new[] { With(Verdict.Clear), With(Verdict.Hold), With(Verdict.Care) }.Worst().ShouldBe(Verdict.Hold);
        Array.Empty<Finding>().Worst().ShouldBe(Verdict.Clear);
    }

    private static SectionCase Case(FoamSide side, Exposure exposure) =>
        new()
        {
            Kind = SurfaceKind.StudWall,
            Outboard = side == FoamSide.Inboard ? [] : [new(Board, Length.FromMillimetres(12))],
            Inboard = [new(Board, Length.FromMillimetres(12))],
            Members = new()
            {
                Material = MemberMaterial.Wood,
                Depth = Length.FromInches(9.25),
                Spacing = Length.FromInches(16),
                Share = 0.1,
                Conductivity = ThermalConductivity.FromSi(0.1154),
            },
            FoamAgainst = side,
            HeatFlow = HeatFlow.Up,
            Exposure = exposure,
            Films = FilmSet.Iso6946,
            Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(4))],
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(45),
                Temperature.FromCelsius(-5),
                RelativeHumidity.FromPercent(85)
            ),
        };
}
