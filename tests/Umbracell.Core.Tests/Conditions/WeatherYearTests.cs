using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Conditions;

/// <summary>A year of hours reduced to monthly means and design air.</summary>
public sealed class WeatherYearTests
{
    [Fact]
    public void A_year_that_never_changes_is_its_own_mean_and_its_own_design()
    {
        var year = WeatherYear.Of(Year((_, _, _) => (12, 60)));
        year.Months.ShouldAllBe(m => Math.Abs(m.Temperature.Celsius - 12) < 1e-9 && Math.Abs(m.Humidity.Percent - 60) < 1e-9);
        year.Heating.Temperature.Celsius.ShouldBe(12);
        year.Cooling.Humidity.Percent.ShouldBe(60, 1e-9);
        year.HeatingDegreeDays.ShouldBe(6 * 365, 1e-6);
        year.CoolingDegreeDays.ShouldBe(2 * 365, 1e-6);
    }

    [Fact]
    public void Winter_design_is_exceeded_in_99_of_100_hours_and_summer_design_in_one()
    {
        var hours = Year((month, day, hour) => (month * 2.3 + day * 0.31 + hour * 0.17, 50));
        var year = WeatherYear.Of(hours);
        (hours.Count(h => Celsius(h) > year.Heating.Temperature.Celsius) / 8760.0).ShouldBe(0.99, 0.002);
        (hours.Count(h => Celsius(h) > year.Cooling.Temperature.Celsius) / 8760.0).ShouldBe(0.01, 0.002);
    }

    [Fact]
    public void The_mean_of_a_month_holds_as_much_water_as_its_hours() =>
        Gen.Select(Gen.Double[-15, 25], Gen.Double[0, 10], Gen.Double[20, 70])
            .Sample(
                (mean, swing, rh) =>
                {
                    var hours = Year((_, _, hour) => (mean + swing * Math.Sin(hour / 24.0 * 2 * Math.PI), rh + hour));
                    var july = WeatherYear.Of(hours).Months[6];
                    var held = hours.Where(h => h.Start.Month == 7).Average(h => h.Humidity!.Value.Fraction * Saturation(Celsius(h)));
                    (july.Humidity.Percent / 100 * Saturation(july.Temperature.Celsius)).ShouldBe(held, held * 1e-9);
                },
                iter: 20
            );

    [Fact]
    public void The_order_of_hours_does_not_matter_and_a_warmer_year_is_warmer_throughout() =>
        Gen.Select(Gen.Int[1, 10_000], Gen.Double[0.1, 8])
            .Sample(
                (seed, shift) =>
                {
                    var hours = Year((month, day, hour) => (10 * Math.Cos(month) + day * 0.1 + hour * 0.2, 55));
                    var year = WeatherYear.Of(hours);
                    var random = new Random(seed);
                    var shuffled = WeatherYear.Of([.. hours.OrderBy(_ => random.Next())]).Heating;
                    shuffled.Temperature.ShouldBe(year.Heating.Temperature);
                    shuffled.Humidity.Percent.ShouldBe(year.Heating.Humidity.Percent, 1e-9);
                    var warmer = WeatherYear.Of([
                        .. hours.Select(h => h with { Temperature = Temperature.FromCelsius(Celsius(h) + shift) }),
                    ]);
                    (warmer.Heating.Temperature.Celsius - year.Heating.Temperature.Celsius).ShouldBe(shift, 1e-9);
                    warmer.HeatingDegreeDays.ShouldBeLessThan(year.HeatingDegreeDays);
                    warmer.ZoneNumber.ShouldBeLessThanOrEqualTo(year.ZoneNumber);
                },
                iter: 5
            );

    // Means of well-known kinds of climate: the code's thermal criteria put them where its map does.
    [Theory]
    [InlineData(27, 2, 1)]
    [InlineData(20, 8, 2)]
    [InlineData(15, 10, 3)]
    [InlineData(6.5, 13.5, 6)]
    [InlineData(-8, 15, 8)]
    public void The_zone_follows_from_degree_days(double mean, double swing, int zone) =>
        WeatherYear
            .Of(Year((month, day, _) => (mean - swing * Math.Cos((month - 1 + day / 31.0) / 12 * 2 * Math.PI), 60)))
            .ZoneNumber.ShouldBe(zone);

    [Fact]
    public void A_month_with_a_tenth_of_its_hours_missing_is_named_and_refused()
    {
        var hours = Year((month, day, _) => (month == 3 && day <= 4 ? double.NaN : 5, 70));
        WeatherYear.ThinMonths(hours).ShouldBe([3]);
        Should.Throw<ArgumentException>(() => WeatherYear.Of(hours));
        WeatherYear.ThinMonths(Year((month, day, _) => (month == 3 && day <= 3 ? double.NaN : 5, 70))).ShouldBeEmpty();
    }

    private static double Celsius(AirHour hour) => hour.Temperature!.Value.Celsius;

    private static List<AirHour> Year(Func<int, int, int, (double C, double Rh)> air) =>
        [
            .. from month in Enumerable.Range(1, 12)
            from day in Enumerable.Range(1, YearOfAir.DaysOf(month - 1))
            from hour in Enumerable.Range(0, 24)
            let at = air(month, day, hour)
            select new AirHour
            {
                Start = new(2001, month, day, hour, 0, 0, TimeSpan.FromHours(-5)),
                Temperature = double.IsNaN(at.C) ? null : Temperature.FromCelsius(at.C),
                Humidity = RelativeHumidity.FromPercent(at.Rh),
            },
        ];

    private static double Saturation(double celsius) =>
        MoistAir.SaturationPressureAt(Temperature.FromCelsius(celsius), HumidityReference.Water).Pascals;
}
