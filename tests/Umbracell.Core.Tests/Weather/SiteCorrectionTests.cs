using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>Readings at the site correct the hours told for its place, by as much as they can know.</summary>
public sealed class SiteCorrectionTests
{
    private static readonly DateTimeOffset First = new(2026, 11, 23, 0, 0, 0, TimeSpan.Zero);

    private static AirHour Hour(int i, double celsius, double dew) =>
        new()
        {
            Start = First.AddHours(i),
            Temperature = Temperature.FromCelsius(celsius),
            Humidity = RelativeHumidity.OfDewPoint(Temperature.FromCelsius(dew), Temperature.FromCelsius(celsius), HumidityReference.Ice),
        };

    private static AirRun Run(Func<int, double> celsius, Func<int, double> dew) =>
        new() { Source = AirSource.Forecast, Hours = [.. Enumerable.Range(0, 72).Select(i => Hour(i, celsius(i), dew(i)))] };

    private static SiteReading Read(double hour, double celsius, double dew) =>
        new(First.AddHours(hour), Hour(0, celsius, dew).StateAt(StandardAtmosphere.SeaLevel)!.Value);

    private static double DewAt(AirRun run, int i) => run.Hours[i].StateAt(StandardAtmosphere.SeaLevel)!.Value.DewPoint.Celsius;

    [Theory]
    [InlineData(1, 0.5)]
    [InlineData(3, 1)]
    [InlineData(9, 1.5)]
    public void A_site_that_is_two_kelvin_warmer_is_believed_by_as_many_hours_as_were_read(int hours, double kelvins)
    {
        AirRun[] members = [Run(i => 5 + i % 7, i => 1 + i % 3), Run(i => 7 + i % 7, i => 3 + i % 3)];
        var readings = Enumerable.Range(0, hours).Select(i => Read(i + 0.4, 8 + i % 7, 1 + i % 3));
        var site = SiteCorrection.Of(readings, members)!;
        site.Hours.ShouldBe(hours);
        site.Temperature.Kelvins.ShouldBe(kelvins, 1e-9);
        site.DewPoint.Kelvins.ShouldBe(-kelvins / 2, 1e-3);
    }

    [Fact]
    public void Ten_readings_of_one_hour_are_one_and_those_of_other_days_none()
    {
        AirRun[] members = [Run(_ => 5, _ => 1)];
        SiteCorrection.Of(Enumerable.Range(0, 10).Select(i => Read(3 + i / 20.0, 7, 1)), members)!.Hours.ShouldBe(1);
        SiteCorrection.Of([Read(-5, 7, 1), Read(100, 7, 1)], members).ShouldBeNull();
        SiteCorrection.Of([], members).ShouldBeNull();
    }

    [Fact]
    public void It_never_passes_its_bounds_and_what_it_adds_comes_out() =>
        Gen.Select(Gen.Double[-30, 30], Gen.Double[-30, 30], Gen.Int[1, 40])
            .Sample(
                (warmer, damper, hours) =>
                {
                    AirRun[] members = [Run(i => 6 + i % 5, i => i % 4)];
                    var readings = Enumerable
                        .Range(0, hours)
                        .Select(i => Read(i, 6 + i % 5 + warmer, Math.Min(6 + i % 5 + warmer, i % 4 + damper)));
                    var site = SiteCorrection.Of(readings, members)!;
                    Math.Abs(site.Temperature.Kelvins).ShouldBeLessThanOrEqualTo(SiteCorrection.Greatest);
                    Math.Abs(site.DewPoint.Kelvins).ShouldBeLessThanOrEqualTo(SiteCorrection.Greatest);
                    var told = site.Applied(members[0]);
                    for (var i = 0; i < 72; i++)
                    {
                        var celsius = told.Hours[i].Temperature!.Value.Celsius;
                        celsius.ShouldBe(6 + i % 5 + site.Temperature.Kelvins, 1e-9);
                        DewAt(told, i).ShouldBe(Math.Min(celsius, i % 4 + site.DewPoint.Kelvins), 0.02);
                    }
                },
                iter: 60
            );

    [Fact]
    public void Hours_that_are_not_known_stay_so()
    {
        var run = Run(_ => 5, _ => 1);
        var holes = run with { Hours = [.. run.Hours.Select((hour, i) => i % 2 == 0 ? hour : new() { Start = hour.Start })] };
        var site = SiteCorrection.Of([Read(0.5, 7, 3), Read(1.5, 9, 3)], [holes])!;
        site.Hours.ShouldBe(1);
        site.Applied(holes).Hours.Count(hour => hour.IsWhole).ShouldBe(36);
    }
}
