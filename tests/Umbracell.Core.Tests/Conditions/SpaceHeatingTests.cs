using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Conditions;

/// <summary>Heaters and the air they make: balances of heat and water.</summary>
public sealed class SpaceHeatingTests
{
    private static readonly HeatedSpace Hall = new()
    {
        Volume = 400,
        Loss = 350,
        AirChanges = 1,
        Outdoor = Temperature.FromCelsius(-10),
        OutdoorHumidity = RelativeHumidity.FromPercent(80),
        Pressure = StandardAtmosphere.PressureAt(Length.Zero),
    };

    [Fact]
    public void Heat_in_is_heat_out() =>
        Gen.Select(Gen.Double[50, 5000], Gen.Double[10, 2000], Gen.Double[0.1, 5], Gen.Double[-30, 15], Gen.Double[1, 40])
            .Sample(
                (volume, loss, changes, outdoor, rise) =>
                {
                    var space = new HeatedSpace
                    {
                        Volume = volume,
                        Loss = loss,
                        AirChanges = changes,
                        Outdoor = Temperature.FromCelsius(outdoor),
                        OutdoorHumidity = RelativeHumidity.FromPercent(70),
                        Pressure = StandardAtmosphere.PressureAt(Length.Zero),
                    };
                    var to = SpaceHeating.To(space, Temperature.FromCelsius(outdoor + rise), HeaterKind.Electric);
                    SpaceHeating.By(space, to.Power, HeaterKind.Electric).Indoor.Celsius.ShouldBe(outdoor + rise, 1e-9);
                    var byAir = MoistAir.DryDensity(space.Outdoor, space.Pressure) * 1006 * changes * volume / 3600;
                    to.Power.ShouldBe((loss + byAir) * rise, 1e-6 * to.Power);
                }
            );

    [Fact]
    public void The_hand_worked_hall_follows()
    {
        // docs/methods/yield-and-sets.md: 400 m3, 350 W/K, one change an hour, -10 to 15 C. Density 1.341, so 150 W/K by air; 12.5 kW.
        var air = SpaceHeating.To(Hall, Temperature.FromCelsius(15), HeaterKind.Propane);
        air.Power.ShouldBe(12_500, 50);
        air.WaterPerHour.ShouldBe(0.127 * 12.5, 0.01);
    }

    [Fact]
    public void A_dry_heater_keeps_the_dew_point_and_a_flame_raises_it()
    {
        var outdoor = MoistAir.Of(Hall.Outdoor, Hall.OutdoorHumidity, Hall.Pressure).DewPoint;
        SpaceHeating.To(Hall, Temperature.FromCelsius(15), HeaterKind.Indirect).DewPoint.Celsius.ShouldBe(outdoor.Celsius, 1e-3);
        var flames = new[] { HeaterKind.Kerosene, HeaterKind.Propane, HeaterKind.NaturalGas }
            .Select(kind => SpaceHeating.To(Hall, Temperature.FromCelsius(15), kind).DewPoint.Celsius)
            .ToList();
        flames.ShouldBe(flames.Order());
        flames[0].ShouldBeGreaterThan(outdoor.Celsius + 5);
    }

    [Fact]
    public void More_air_change_dries_the_air_of_a_flame_and_costs_power() =>
        Gen.Select(Gen.Double[0.2, 3], Gen.Double[1.1, 3])
            .Sample(
                (changes, more) =>
                {
                    var (tight, open) = (
                        SpaceHeating.To(Hall with { AirChanges = changes }, Temperature.FromCelsius(15), HeaterKind.Propane),
                        SpaceHeating.To(Hall with { AirChanges = changes * more }, Temperature.FromCelsius(15), HeaterKind.Propane)
                    );
                    open.Power.ShouldBeGreaterThan(tight.Power);
                    open.DewPoint.Celsius.ShouldBeLessThanOrEqualTo(tight.DewPoint.Celsius);
                }
            );

    [Fact]
    public void What_cannot_be_is_refused()
    {
        Should.Throw<QuantityRangeException>(() => SpaceHeating.To(Hall, Temperature.FromCelsius(-20), HeaterKind.Electric));
        Should.Throw<QuantityRangeException>(() => SpaceHeating.By(Hall with { AirChanges = 0 }, 1000, HeaterKind.Electric));
        Should.Throw<QuantityRangeException>(() => SpaceHeating.By(Hall, -1, HeaterKind.Electric));
    }
}
