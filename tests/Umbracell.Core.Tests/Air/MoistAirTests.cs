using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Air;

public sealed class MoistAirTests
{
    private static readonly Pressure SeaLevel = StandardAtmosphere.PressureAt(Length.Zero);

    [Theory]
    [InlineData(-20, HumidityReference.Ice, 103.26)]
    [InlineData(-5, HumidityReference.Ice, 401.76)]
    [InlineData(0.01, HumidityReference.Water, 611.66)]
    [InlineData(10, HumidityReference.Water, 1228.0)]
    [InlineData(20, HumidityReference.Water, 2338.8)]
    [InlineData(40, HumidityReference.Water, 7383.5)]
    [InlineData(-20, HumidityReference.Water, 125.63)]
    [InlineData(-40, HumidityReference.Water, 19.05)]
    public void Saturation_pressure_agrees_with_the_tables(double celsius, HumidityReference over, double pascals) =>
        MoistAir.SaturationPressureAt(Temperature.FromCelsius(celsius), over).Pascals.ShouldBe(pascals, pascals * 0.0005);

    [Theory]
    [InlineData(20, 50, HumidityReference.Water, 9.272)]
    [InlineData(25, 60, HumidityReference.Water, 16.701)]
    [InlineData(5, 85, HumidityReference.Water, 2.691)]
    [InlineData(-5, 80, HumidityReference.Water, -7.025)]
    [InlineData(-15, 70, HumidityReference.Water, -17.255)]
    [InlineData(-11.2, 97, HumidityReference.Water, -10.316)]
    [InlineData(-5, 80, HumidityReference.Ice, -7.585)]
    [InlineData(-15, 70, HumidityReference.Ice, -18.808)]
    public void Dew_or_frost_point_agrees_with_the_worked_figures(double celsius, double percent, HumidityReference over, double dew) =>
        At(celsius, percent, over).DewPoint.Celsius.ShouldBe(dew, 0.005);

    [Theory]
    [InlineData(20, 50, 7.262)]
    [InlineData(30, 75, 20.181)]
    public void Humidity_ratio_agrees_with_the_worked_figures(double celsius, double percent, double gramsPerKilogram) =>
        (At(celsius, percent).HumidityRatio * 1000).ShouldBe(gramsPerKilogram, 0.005);

    [Theory]
    [InlineData(20, 50, 13.78)]
    [InlineData(30, 75, 26.31)]
    public void Wet_bulb_agrees_with_the_worked_figures(double celsius, double percent, double wetBulb) =>
        At(celsius, percent).WetBulb.Celsius.ShouldBe(wetBulb, 0.02);

    [Fact]
    public void Pressure_at_1500_m_is_84556_Pa() => StandardAtmosphere.PressureAt(Length.FromMetres(1500)).Pascals.ShouldBe(84_556, 1);

    [Fact]
    public void The_dew_point_carries_the_vapour_pressure_of_the_air() =>
        Gen.Select(Gen.Double[-35, 60], Gen.Double[2, 100])
            .Sample(
                (celsius, percent) =>
                {
                    var air = At(celsius, percent);
                    var dew = air.DewPoint;
                    if (Math.Abs(dew.Celsius) > 0.01)
                    {
                        MoistAir
                            .SaturationPressureAt(dew, HumidityReference.Ice)
                            .Pascals.ShouldBe(air.VapourPressure.Pascals, air.VapourPressure.Pascals * 1e-6);
                    }
                }
            );

    [Fact]
    public void The_step_between_ice_and_water_at_zero_maps_to_zero()
    {
        var ice = MoistAir.SaturationPressureAt(Temperature.FromCelsius(-1e-9), HumidityReference.Ice).Pascals;
        var water = MoistAir.SaturationPressureAt(Temperature.FromCelsius(0), HumidityReference.Water).Pascals;
        water.ShouldBeGreaterThan(ice);
        MoistAir.DewPointOf(Pressure.FromPascals((ice + water) / 2)).Celsius.ShouldBe(0);
    }

    [Fact]
    public void More_humidity_raises_dew_point_and_wet_bulb() =>
        Gen.Select(Gen.Double[-30, 60], Gen.Double[5, 95])
            .Sample(
                (celsius, percent) =>
                {
                    var (dry, wet) = (At(celsius, percent), At(celsius, percent + 4));
                    wet.DewPoint.Celsius.ShouldBeGreaterThanOrEqualTo(dry.DewPoint.Celsius);
                    wet.WetBulb.Celsius.ShouldBeGreaterThanOrEqualTo(dry.WetBulb.Celsius - 1e-6);
                }
            );

    [Fact]
    public void The_wet_bulb_lies_between_dew_point_and_dry_bulb() =>
        Gen.Select(Gen.Double[-30, 95], Gen.Double[1, 100], Gen.Double[0, 4000])
            .Sample(
                (celsius, percent, altitude) =>
                {
                    var pressure = StandardAtmosphere.PressureAt(Length.FromMetres(altitude));
                    if (
                        MoistAir.SaturationPressureAt(Temperature.FromCelsius(celsius), HumidityReference.Water).Pascals * percent / 100
                        > pressure.Pascals * 0.95
                    )
                    {
                        return;
                    }

                    var air = MoistAir.Of(Temperature.FromCelsius(celsius), RelativeHumidity.FromPercent(percent), pressure);
                    var (low, high) = (Math.Min(air.DewPoint.Celsius, celsius), Math.Max(air.DewPoint.Celsius, celsius));
                    air.WetBulb.Celsius.ShouldBeInRange(low - 1e-6, high + 1e-6);
                }
            );

    [Fact]
    public void The_wet_bulb_satisfies_the_adiabatic_saturation_balance() =>
        Gen.Select(Gen.Double[1, 60], Gen.Double[30, 99])
            .Sample(
                (celsius, percent) =>
                {
                    var air = At(celsius, percent);
                    var wet = air.WetBulb.Celsius;
                    if (wet < 0.5)
                    {
                        return;
                    }

                    var saturated = At(wet, 100).HumidityRatio;
                    var ratio = ((2501 - 2.326 * wet) * saturated - 1.006 * (celsius - wet)) / (2501 + 1.86 * celsius - 4.186 * wet);
                    ratio.ShouldBe(air.HumidityRatio, 1e-8);
                }
            );

    [Fact]
    public void Dry_heat_leaves_the_dew_point_and_lowers_the_humidity()
    {
        var air = At(5, 90);
        var warm = air.TemperatureForHumidity(60);
        air.HumidityWhenDryHeatedTo(warm).Percent.ShouldBe(60, 1e-6);
        MoistAir.Of(warm, air.HumidityWhenDryHeatedTo(warm), SeaLevel).DewPoint.Celsius.ShouldBe(air.DewPoint.Celsius, 1e-5);
    }

    [Theory]
    [InlineData(201, 50)]
    [InlineData(-101, 50)]
    [InlineData(20, 0)]
    [InlineData(20, 140)]
    [InlineData(20, double.NaN)]
    [InlineData(double.NaN, 50)]
    [InlineData(150, 90)]
    public void Outside_its_range_the_model_refuses(double celsius, double percent) =>
        Should.Throw<QuantityRangeException>(() => At(celsius, percent));

    [Fact]
    public void Humidity_over_water_is_not_stated_below_minus_40()
    {
        Should.Throw<QuantityRangeException>(() => At(-45, 50));
        At(-45, 50, HumidityReference.Ice).DewPoint.Celsius.ShouldBeLessThan(-45);
    }

    private static MoistAir At(double celsius, double percent, HumidityReference over = HumidityReference.Water) =>
        MoistAir.Of(Temperature.FromCelsius(celsius), RelativeHumidity.FromPercent(percent, over), SeaLevel);
}
