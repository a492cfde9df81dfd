using CsCheck;
using Shouldly;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>The sun against published figures, and how it cannot but stand.</summary>
public sealed class SunTests
{
    private static readonly DateTimeOffset Millennium = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);

    private static readonly Gen<(GeoPoint Place, DateTimeOffset At)> Anywhere = Gen.Select(
        Gen.Double[-90, 90],
        Gen.Double[-180, 180],
        Gen.Double[-18_000, 18_000],
        (lat, lon, days) => (new GeoPoint(lat, lon), Millennium.AddDays(days))
    );

    /// <summary>Meeus, Astronomical Algorithms, examples 25.a and 28.b: 13 October 1992 at 0 h, declination -7.78507°, equation of time
    /// 13 min 42.7 s.</summary>
    [Fact]
    public void Declination_and_equation_of_time_are_those_of_the_published_example()
    {
        var sun = SunPosition.SunPath.At(new(1992, 10, 13, 0, 0, 0, TimeSpan.Zero));
        (Math.Asin(sun.SinDeclination) * 180 / Math.PI).ShouldBe(-7.78507, 0.0005);
        (sun.EquationOfTimeMinutes * 60).ShouldBe(13 * 60 + 42.7, 1);
    }

    /// <summary>Reda and Andreas, Solar Position Algorithm (NREL/TP-560-34302), table A5.1: 17 October 2003, 12:30:30 seven hours behind,
    /// 39.742476 N, 105.1786 W: elevation 39.872046° before refraction, azimuth 194.340241°.</summary>
    [Fact]
    public void Height_and_direction_are_those_of_the_published_example()
    {
        var sun = SunPosition.At(new(2003, 10, 17, 12, 30, 30, TimeSpan.FromHours(-7)), new(39.742476, -105.1786));
        sun.ElevationDegrees.ShouldBe(39.872046, 0.01);
        sun.AzimuthDegrees.ShouldBe(194.340241, 0.015);
    }

    /// <summary>NOAA's own worked day: 40° N, 105° W, 21 June 2010: sunrise 04:31, noon 12:01:40, sunset 19:32, standard time.</summary>
    [Fact]
    public void Sunrise_and_sunset_of_the_longest_day()
    {
        var day = SunDay.Of(new(2010, 6, 21, 0, 0, 0, TimeSpan.FromHours(-7)), TimeSpan.FromHours(24), new(40, -105));
        var (rise, set) = (day.Rise!.Value.TimeOfDay.TotalMinutes, day.Set!.Value.TimeOfDay.TotalMinutes);
        rise.ShouldBe(4 * 60 + 31.5, 1.5);
        set.ShouldBe(19 * 60 + 32, 1.5);
        ((rise + set) / 2).ShouldBe(12 * 60 + 1.7, 0.5);
    }

    [Fact]
    public void Its_direction_has_length_one() =>
        Anywhere.Sample(
            x =>
            {
                var sun = SunPosition.At(x.At, x.Place);
                (sun.SinElevation * sun.SinElevation + sun.East * sun.East + sun.North * sun.North).ShouldBe(1, 1e-9);
                sun.AzimuthDegrees.ShouldBeInRange(0, 360);
            },
            iter: 2000
        );

    [Fact]
    public void At_the_poles_it_stands_at_its_declination_all_day() =>
        Gen.Double[0, 15_000]
            .Sample(
                days =>
                {
                    var at = Millennium.AddDays(days);
                    var declination = Math.Asin(SunPosition.SunPath.At(at).SinDeclination) * 180 / Math.PI;
                    SunPosition.At(at, new(90, 0)).ElevationDegrees.ShouldBe(declination, 1e-6);
                    SunPosition.At(at, new(-90, 30)).ElevationDegrees.ShouldBe(-declination, 1e-6);
                    declination.ShouldBeInRange(-23.46, 23.46);
                },
                iter: 500
            );

    [Fact]
    public void Seventy_north_has_no_day_in_December_and_no_night_in_June()
    {
        var north = new GeoPoint(70, 20);
        SunDay.Of(new(2026, 12, 21, 0, 0, 0, TimeSpan.Zero), TimeSpan.FromHours(24), north).ShouldBe(new SunDay(null, null, false));
        SunDay.Of(new(2026, 6, 21, 0, 0, 0, TimeSpan.Zero), TimeSpan.FromHours(24), north).ShouldBe(new SunDay(null, null, true));
    }

    [Fact]
    public void The_equator_has_twelve_hours_and_some_minutes_of_day_all_the_year()
    {
        for (var month = 1; month <= 12; month++)
        {
            var day = SunDay.Of(new(2026, month, 15, 0, 0, 0, TimeSpan.Zero), TimeSpan.FromHours(24), new(0, 0));
            (day.Set!.Value - day.Rise!.Value).TotalMinutes.ShouldBe(12 * 60 + 7, 1.5);
        }
    }

    [Fact]
    public void A_day_with_a_changed_clock_has_one_rise_and_one_set()
    {
        var spring = SunDay.Of(new(2026, 3, 8, 0, 0, 0, TimeSpan.FromHours(-5)), TimeSpan.FromHours(23), new(43.9, -76.6));
        var autumn = SunDay.Of(new(2026, 11, 1, 0, 0, 0, TimeSpan.FromHours(-4)), TimeSpan.FromHours(25), new(43.9, -76.6));
        (spring.Rise < spring.Set, autumn.Rise < autumn.Set).ShouldBe((true, true));
    }
}
