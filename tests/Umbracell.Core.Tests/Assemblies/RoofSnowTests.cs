using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Tests.Choosing;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

/// <summary>Roofs under snow, faces towards the room, and doors that must still be lifted.</summary>
public sealed class RoofSnowTests
{
    [Fact]
    public void More_foam_melts_less_and_deeper_snow_melts_more() =>
        Gen.Select(Gen.Double[2, 5], Gen.Double[0.1, 0.6])
            .Sample(
                (inches, depth) =>
                {
                    var at = RoofSnow.Of(Roof(inches), Length.FromMetres(depth))!.MeltsFrom.Celsius;
                    at.ShouldBeLessThan(0);
                    RoofSnow.Of(Roof(inches + 0.5), Length.FromMetres(depth))!.MeltsFrom.Celsius.ShouldBeGreaterThan(at);
                    RoofSnow.Of(Roof(inches), Length.FromMetres(depth + 0.1))!.MeltsFrom.Celsius.ShouldBeLessThan(at);
                }
            );

    [Fact]
    public void At_the_temperature_told_the_deck_stands_at_freezing()
    {
        // Snow as one more layer outside: the profile must find 0 °C under it.
        var snow = new Layer(
            new()
            {
                Id = "snow",
                Conductivity = ThermalConductivity.FromSi(0.088),
                Permeability = Permeability.FromPermInches(10),
                Source = "test",
            },
            Length.FromMetres(0.3)
        );
        var bare = Roof(3);
        var told = RoofSnow.Of(bare, snow.Thickness)!;
        var study = SectionStudy.Of(
            bare with
            {
                Outboard = [snow, .. bare.Outboard],
                Air = new(bare.Air.Indoor, bare.Air.IndoorHumidity, told.MeltsFrom, RelativeHumidity.FromPercent(80)),
            }
        );
        study.Profile.Points.First(p => p.Key == "snow").Temperature.Celsius.ShouldBe(0, 0.1);
    }

    [Fact]
    public void A_wall_and_a_roof_with_a_ventilated_channel_have_no_such_deck()
    {
        RoofSnow.Of(Roof(3) with { HeatFlow = HeatFlow.Horizontal }, Length.FromMetres(0.3)).ShouldBeNull();
        RoofSnow.Of(Roof(3) with { VentChannel = Length.FromInches(1) }, Length.FromMetres(0.3)).ShouldBeNull();
    }

    [Fact]
    public void The_face_towards_the_room_is_the_last_place_of_the_profile_but_one() =>
        Gen.Double[1, 5]
            .Sample(inches =>
            {
                var study = SectionStudy.Of(Roof(inches));
                study.Workings["insideSurface"].Result.Amount.ShouldBe(study.Profile.Points[^2].Temperature.Celsius, 1e-9);
            });

    [Theory]
    [InlineData(60, Verdict.Clear)]
    [InlineData(10, Verdict.Hold)]
    [InlineData(null, Verdict.Care)]
    public void A_door_is_held_where_its_springs_cannot_lift_what_is_put_on(int? spareKg, Verdict verdict)
    {
        var door = Roof(1.5) with
        {
            Kind = SurfaceKind.OverheadDoor,
            Door = new(spareKg is { } kg ? Mass.FromKilograms(kg) : null, Area.FromSquareMetres(12)),
        };
        SectionStudy.Of(door).Findings.Single(f => f.Rule.Id == "E7").Verdict.ShouldBe(verdict);
    }

    private static SectionCase Roof(double inches) =>
        Walls.Section(SurfaceKind.UnventedDeck) with
        {
            HeatFlow = HeatFlow.Up,
            Exposure = Exposure.Outdoors,
            Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(inches))],
        };
}
