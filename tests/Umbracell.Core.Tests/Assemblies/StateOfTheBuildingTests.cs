using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

public sealed class StateOfTheBuildingTests
{
    private static readonly Pressure SeaLevel = StandardAtmosphere.PressureAt(Length.Zero);

    private static readonly Gen<BufferCase> AnyBuffer = Gen.Select(
            Gen.Double[0, 900],
            Gen.Double[1, 900],
            Gen.Double[0, 500],
            Gen.Double[0, 20],
            Gen.Double[-800, 800]
        )
        .Select((rooms, outside, volume, changes, ducts) => new BufferCase(rooms, outside, volume, changes, ducts));

    [Fact]
    public void A_plan_that_leaves_its_interface_wetter_says_so_and_no_other_does() =>
        Gen.Select(Gen.Double[0, 6], Gen.Bool, Gen.Double[10, 30], Gen.Double[40, 95], Gen.Double[-15, 32], Gen.Double[40, 95])
            .Sample(
                (inches, open, room, roomHumidity, outdoor, outdoorHumidity) =>
                {
                    var section = Floor() with
                    {
                        Fill = [new FoamFill(open ? Sheets.OpenCell : Sheets.ClosedCell, Length.FromInches(3))],
                        Air = new(
                            Temperature.FromCelsius(room),
                            RelativeHumidity.FromPercent(roomHumidity),
                            Temperature.FromCelsius(outdoor),
                            RelativeHumidity.FromPercent(outdoorHumidity)
                        ),
                    };
                    var (now, planned) = (
                        AssemblyState.Of(section, Length.Zero),
                        AssemblyState.Of(section, Length.FromInches(Math.Max(0.5, inches)))
                    );
                    var told = now.WetterWith(planned, "summer");
                    (told is not null).ShouldBe(planned.InterfaceHumidity > 80 && planned.InterfaceHumidity > now.InterfaceHumidity + 1);
                    told?.Measured!.Value.Amount.ShouldBe(Math.Min(100, planned.InterfaceHumidity));
                }
            );

    [Fact]
    public void What_flows_into_a_buffer_space_flows_out_of_it() =>
        Gen.Select(AnyBuffer, Gen.Double[-30, 40])
            .Sample(
                (space, outdoor) =>
                {
                    var floating = BufferSpace.Of(space, Temperature.FromCelsius(20), Temperature.FromCelsius(outdoor), SeaLevel);
                    return Math.Abs(floating.FromRooms + space.DuctLoss - floating.ToOutdoors) < 1e-6;
                }
            );

    [Fact]
    public void Without_ducts_a_buffer_space_floats_between_rooms_and_outdoors() =>
        AnyBuffer.Sample(space =>
        {
            var t = BufferSpace
                .Of(space with { DuctLoss = 0 }, Temperature.FromCelsius(20), Temperature.FromCelsius(-15), SeaLevel)
                .Temperature.Celsius;
            return t is >= -15 - 1e-9 and <= 20 + 1e-9;
        });

    [Fact]
    public void Insulating_the_floor_of_an_attic_cools_it_and_insulating_its_roof_warms_it()
    {
        var now = BufferSpace
            .Of(new(120, 200, 150, 4, 0), Temperature.FromCelsius(20), Temperature.FromCelsius(-10), SeaLevel)
            .Temperature.Celsius;
        BufferSpace
            .Of(new(20, 200, 150, 4, 0), Temperature.FromCelsius(20), Temperature.FromCelsius(-10), SeaLevel)
            .Temperature.Celsius.ShouldBeLessThan(now);
        BufferSpace
            .Of(new(120, 30, 150, 0.2, 0), Temperature.FromCelsius(20), Temperature.FromCelsius(-10), SeaLevel)
            .Temperature.Celsius.ShouldBeGreaterThan(now);
    }

    [Fact]
    public void Warm_air_pushes_out_at_the_top_and_draws_in_at_the_foot()
    {
        var winter = StackPressure.Of(Length.FromMetres(10), Temperature.FromCelsius(20), Temperature.FromCelsius(-10), SeaLevel);

        // 0.0342 K/m times 101,325 Pa times the difference of the reciprocals over 5 m.
        winter.AtTop.ShouldBe(0.03416 * 101325 * (1 / 263.15 - 1 / 293.15) * 5, 0.01);
        winter.AtFoot.ShouldBe(-winter.AtTop, 1e-9);
        StackPressure
            .Of(Length.FromMetres(10), Temperature.FromCelsius(24), Temperature.FromCelsius(35), SeaLevel)
            .AtTop.ShouldBeLessThan(0);
        StackPressure
            .Of(Length.FromMetres(10), Temperature.FromCelsius(20), Temperature.FromCelsius(-10), SeaLevel, 0.2)
            .AtTop.ShouldBeGreaterThan(winter.AtTop);
    }

    [Fact]
    public void Vapour_goes_by_its_own_pressure_whatever_heat_does()
    {
        // Heat flows outward through this wall, vapour inward: a cool damp fog outside, a warm dry hall inside.
        var drive = VapourDrive.Between(
            Temperature.FromCelsius(18),
            RelativeHumidity.FromPercent(20),
            Temperature.FromCelsius(10),
            RelativeHumidity.FromPercent(95)
        );
        drive.Direction.ShouldBe(DriveDirection.Inward);
        drive.Outward.Pascals.ShouldBe(0.20 * 2064.8 - 0.95 * 1228.0, 3);
        VapourDrive
            .Between(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(-15),
                RelativeHumidity.FromPercent(80)
            )
            .Direction.ShouldBe(DriveDirection.Outward);
        VapourDrive
            .Between(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(50),
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(50)
            )
            .Direction.ShouldBe(DriveDirection.None);
    }

    [Fact]
    public void Swapping_the_sides_turns_the_drive_round() =>
        Gen.Select(Gen.Double[-20, 40], Gen.Double[5, 100], Gen.Double[-20, 40], Gen.Double[5, 100])
            .Sample(
                (a, ra, b, rb) =>
                    Math.Abs(
                        VapourDrive
                            .Between(
                                Temperature.FromCelsius(a),
                                RelativeHumidity.FromPercent(ra),
                                Temperature.FromCelsius(b),
                                RelativeHumidity.FromPercent(rb)
                            )
                            .Outward.Pascals
                            + VapourDrive
                                .Between(
                                    Temperature.FromCelsius(b),
                                    RelativeHumidity.FromPercent(rb),
                                    Temperature.FromCelsius(a),
                                    RelativeHumidity.FromPercent(ra)
                                )
                                .Outward.Pascals
                    ) < 1e-9
            );

    [Fact]
    public void Foam_warms_the_floor_and_over_hot_wet_air_the_tighter_foam_keeps_its_tight_finish_drier()
    {
        var summer = Floor() with
        {
            Air = new(
                Temperature.FromCelsius(22),
                RelativeHumidity.FromPercent(50),
                Temperature.FromCelsius(31),
                RelativeHumidity.FromPercent(80)
            ),
        };
        var bare = AssemblyState.Of(summer, Length.Zero);
        var foamed = AssemblyState.Of(summer, Length.FromInches(3));
        bare.Interface.Key.ShouldBe("plywood");

        // Open air below drives vapour up to the tight sheet, which the cooled room keeps cold.
        bare.InterfaceHumidity.ShouldBeGreaterThan(AssemblyState.GreatestFinishHumidity);
        AssemblyState
            .Of(summer with { Fill = [new FoamFill(Sheets.OpenCell, Length.FromInches(3))] }, Length.FromInches(3))
            .InterfaceHumidity.ShouldBeGreaterThan(foamed.InterfaceHumidity);
        var winter = Floor() with
        {
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(-10),
                RelativeHumidity.FromPercent(80)
            ),
        };
        AssemblyState
            .Of(winter, Length.FromInches(3))
            .RoomFace.Celsius.ShouldBeGreaterThan(AssemblyState.Of(winter, Length.Zero).RoomFace.Celsius);
    }

    [Fact]
    public void The_face_of_a_surface_follows_its_resistance_shares()
    {
        var state = AssemblyState.Of(
            Floor() with
            {
                Air = new(
                    Temperature.FromCelsius(20),
                    RelativeHumidity.FromPercent(40),
                    Temperature.FromCelsius(-10),
                    RelativeHumidity.FromPercent(80)
                ),
            },
            Length.FromInches(3)
        );
        var terms = state.FaceWorking.Terms.ToDictionary(t => t.Symbol, t => t.Value.Amount);
        state.RoomFace.Celsius.ShouldBe(terms["T_in"] - (terms["T_in"] - terms["T_out"]) * terms["R_si"] / terms["R"], 1e-9);
    }

    private static SectionCase Floor() =>
        new()
        {
            Kind = SurfaceKind.CrawlFloor,
            Outboard = [],
            Inboard = [Layer("plywood", 0.115, 0.35, 18), Layer("sheet-flooring", 0.17, 0.005, 2)],
            Members = new()
            {
                Material = MemberMaterial.Wood,
                Depth = Length.FromInches(9.25),
                Spacing = Length.FromInches(16),
                Share = 0.1,
                Conductivity = ThermalConductivity.FromSi(0.1154),
            },
            FoamAgainst = FoamSide.Inboard,
            HeatFlow = HeatFlow.Down,
            Exposure = Exposure.Ventilated,
            Films = FilmSet.Us,
            Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(3))],
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(-10),
                RelativeHumidity.FromPercent(80)
            ),
        };

    private static Layer Layer(string id, double k, double permIn, double mm) =>
        new(
            new Material
            {
                Id = id,
                Conductivity = ThermalConductivity.FromSi(k),
                Permeability = Permeability.FromPermInches(permIn),
                Source = "made up",
            },
            Length.FromMillimetres(mm)
        );
}
