using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

/// <summary>The edge of a slab on the ground in two dimensions.</summary>
public sealed class SlabEdgeTests
{
    [Fact]
    public void Foam_carried_up_the_edge_warms_the_floor_and_saves_heat() =>
        Gen.Select(Gen.Double[1, 5], Gen.Double[-30, 10], Gen.Double[16, 25])
            .Sample(
                (inches, outdoor, indoor) =>
                {
                    var edge = SlabEdge.Of(Ground(inches, outdoor, indoor))!;
                    edge.Saved.ShouldBeGreaterThan(0);
                    edge.ColdestWrapped.ShouldBeGreaterThan(edge.Coldest);
                    edge.Coldest.Celsius.ShouldBeInRange(outdoor, indoor);
                },
                iter: 12
            );

    [Fact]
    public void Heat_that_leaves_the_room_reaches_the_air_outside()
    {
        var field = SlabEdge.Of(Ground(3, -20, 20))!.Bare;
        field.HeatOut.ShouldBe(field.HeatIn, field.HeatIn * 1e-6);
    }

    [Fact]
    public void The_middle_of_the_floor_is_warmer_than_its_edge_and_below_the_room()
    {
        var edge = SlabEdge.Of(Ground(3, -20, 20))!;
        var floor = edge.Window.Top - 0.25;
        var middle = edge.Bare.At(0.05, floor - 0.03);
        middle.ShouldBeGreaterThan(edge.Coldest.Celsius + 5);
        middle.ShouldBeLessThan(20);
    }

    [Fact]
    public void Colder_air_outside_moves_the_edge_in_proportion()
    {
        var (mild, cold) = (SlabEdge.Of(Ground(3, 0, 20))!, SlabEdge.Of(Ground(3, -20, 20))!);
        ((20 - cold.Coldest.Celsius) / 40).ShouldBe((20 - mild.Coldest.Celsius) / 20, 1e-9);
        cold.Saved.ShouldBe(mild.Saved, 1e-12);
    }

    [Fact]
    public void A_finer_ground_does_not_move_the_cold_spot_by_half_a_kelvin()
    {
        // The grid that serves the screen against one ten times as fine.
        var edge = SlabEdge.Of(Ground(2, -20, 20))!;
        var fine = ConductionField.Solve(edge.Cell, 40_000);
        var usual = ConductionField.Solve(edge.Cell, 4_000);
        (usual.HeatIn / fine.HeatIn).ShouldBe(1, 0.03);
    }

    [Theory]
    [InlineData(15, "dry")]
    [InlineData(85, "damp")]
    public void A_damp_room_finds_the_edge_under_its_dew_point(double humidity, string expected)
    {
        var ground = Ground(2, -20, 20);
        SlabEdge
            .Of(ground with { Air = ground.Air with { IndoorHumidity = RelativeHumidity.FromPercent(humidity) } })!
            .Judge()
            .Case.Name.ShouldBe(expected);
    }

    [Fact]
    public void Between_the_two_the_finding_asks_for_foam_up_the_edge_and_stays_a_caution()
    {
        var ground = Ground(2, -20, 20);
        var found = Enumerable
            .Range(2, 16)
            .Select(i =>
                SlabEdge.Of(ground with { Air = ground.Air with { IndoorHumidity = RelativeHumidity.FromPercent(i * 5) } })!.Judge()
            )
            .ToList();
        found.ShouldContain(f => f.Case.Name == "carryUp" && f.Verdict == Verdict.Care);
        found.ConvertAll(f => f.Case.Name).Distinct().ShouldBe(["dry", "carryUp", "damp"]);
    }

    [Fact]
    public void Nothing_is_said_of_other_surfaces_or_without_the_air_beyond()
    {
        SlabEdge.Of(Ground(3, -20, 20) with { Kind = SurfaceKind.BasementWall }).ShouldBeNull();
        SlabEdge.Of(Ground(3, -20, 20) with { BeyondEdge = null }).ShouldBeNull();
        SlabEdge.Of(Ground(3, -20, 20).Bare()).ShouldBeNull();
        SlabEdge.Of(Ground(3, 20, 20)).ShouldBeNull();
    }

    private static SectionCase Ground(double inches, double outdoor, double indoor) =>
        new()
        {
            Kind = SurfaceKind.UnderSlab,
            Outboard =
            [
                new(
                    new Material
                    {
                        Id = "stone-base",
                        Conductivity = ThermalConductivity.FromSi(1.4),
                        Permeability = Permeability.FromPermInches(60),
                        Source = "made up",
                    },
                    Length.FromMillimetres(150)
                ),
            ],
            Inboard =
            [
                new(
                    new Material
                    {
                        Id = "concrete",
                        Conductivity = ThermalConductivity.FromSi(1.6),
                        Permeability = Permeability.FromPermInches(3.2),
                        Source = "made up",
                    },
                    Length.FromMillimetres(100)
                ),
            ],
            Members = new()
            {
                Material = MemberMaterial.None,
                Depth = Length.Zero,
                Spacing = Length.Zero,
                Share = 0,
                Conductivity = ThermalConductivity.FromSi(0.115),
            },
            HeatFlow = HeatFlow.Down,
            Exposure = Exposure.Ground,
            Films = FilmSet.Iso6946,
            Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(inches))],
            Air = new(
                Temperature.FromCelsius(indoor),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(10),
                RelativeHumidity.FromPercent(100)
            ),
            BeyondEdge = Temperature.FromCelsius(outdoor),
        };
}
