using CsCheck;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Moisture;
using Umbracell.Core.Weather.Years;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>A year made of monthly means keeps them, and is weather.</summary>
public sealed class GeneratedYearTests
{
    private const int Year = 2001;

    // A cold damp winter, a hot summer: months as they are told of places.
    private static readonly double[] Celsius = [-8.2, -6.9, -1.4, 6.1, 12.9, 18.4, 21.3, 20.2, 15.7, 9.1, 3.0, -4.4];
    private static readonly double[] RhPct = [78, 75, 72, 67, 66, 69, 70, 73, 75, 75, 78, 80];

    [Fact]
    public void Its_months_have_the_means_they_were_made_of() =>
        Gen.Select(Gen.ULong, Gen.Double[-6, 12], Gen.Bool)
            .Sample(
                (seed, warmer, isDry) =>
                {
                    var months = MonthAir.All([.. Celsius.Select(t => t + warmer)], [.. RhPct.Select(rh => isDry ? rh - 40 : rh)]);
                    var read = WeatherYear.Of(GeneratedYear.Of(months, -76.6, Year, seed)).Months;
                    foreach (var (made, wanted) in read.Zip(months))
                    {
                        made.Temperature.Celsius.ShouldBe(wanted.Temperature.Celsius, 0.1);
                        made.Humidity.Percent.ShouldBe(wanted.Humidity.Percent, 2.5);
                    }
                },
                iter: 12
            );

    [Fact]
    public void It_is_weather_days_are_warmer_than_nights_rain_comes_under_cloud_and_two_seeds_are_two_years()
    {
        var months = MonthAir.All(Celsius, RhPct);
        var hours = GeneratedYear.Of(months, -76.6, Year, 3);
        hours.Count.ShouldBe(GeneratedYear.Hours);
        (hours[0].Start, hours[^1].Start).ShouldBe(
            (
                new DateTimeOffset(Year, 1, 1, 0, 0, 0, TimeSpan.FromHours(-5)),
                new DateTimeOffset(Year, 12, 31, 23, 0, 0, TimeSpan.FromHours(-5))
            )
        );
        double At(int hour) => hours.Where(h => h.Start.Hour == hour).Average(h => h.Temperature!.Value.Celsius);
        (At(14) - At(4)).ShouldBeInRange(2.5, 8);
        hours.ShouldAllBe(h =>
            h.IsWhole
            && h.Humidity!.Value.Percent <= 100.0001
            && h.Wind!.Value.Gust!.Value.MetresPerSecond >= h.Wind!.Value.Mean.MetresPerSecond
        );
        hours.Where(h => h.Precipitation!.Value.Millimetres > 0).ShouldAllBe(h => h.Cloud >= 0.9);
        (hours.Count(h => h.Precipitation!.Value.Wets) / 8760.0).ShouldBeInRange(0.04, 0.25);
        GeneratedYear.Of(months, -76.6, Year, 3).ShouldBe(hours);
        GeneratedYear.Of(months, -76.6, Year, 4).ShouldNotBe(hours);
    }

    [Fact]
    public void Leap_years_and_half_years_are_refused()
    {
        Should.Throw<ArgumentException>(() => GeneratedYear.Of(MonthAir.All(Celsius, RhPct), 0, 2024));
        Should.Throw<ArgumentException>(() => GeneratedYear.Of(MonthAir.All(Celsius[..6], RhPct), 0, Year));
    }
}
