using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

public sealed class LoggedAirTests
{
    private static readonly Gen<LoggedReading> Readings = Gen.Select(
        Gen.Int[0, 6 * 60],
        Gen.Double[-15, 35],
        Gen.Double[20, 80],
        (minute, celsius, percent) => new LoggedReading(MadeHours.Start.AddMinutes(minute), Temperature.FromCelsius(celsius), percent)
    );

    [Fact]
    public void Each_hour_has_the_mean_of_what_was_logged_in_it_and_no_hour_is_made_up() =>
        Readings
            .Array[1, 40]
            .Sample(readings =>
            {
                var hours = LoggedAir.Hours(readings).ToList();
                hours.Select(hour => hour.Start).ShouldBe(readings.Select(r => r.At.AddMinutes(-r.At.Minute)).Distinct().Order());
                foreach (var hour in hours)
                {
                    var own = readings.Where(r => r.At >= hour.Start && r.At < hour.Start.AddHours(1)).ToList();
                    hour.Temperature!.Value.Celsius.ShouldBe(own.Average(r => r.Temperature.Celsius), 1e-9);
                    if (own.Count == 1)
                    {
                        var pressure = StandardAtmosphere.PressureAt(Length.FromMetres(180));
                        var one = MoistAir.Of(
                            own[0].Temperature,
                            RelativeHumidity.OfWeather(own[0].RhPercent, own[0].Temperature),
                            pressure
                        );
                        hour.StateAt(pressure)!.Value.DewPoint.Celsius.ShouldBe(one.DewPoint.Celsius, 1e-6);
                    }
                }
            });
}
