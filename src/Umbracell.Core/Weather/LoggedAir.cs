using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>What a logger took at an instant.</summary>
/// <param name="At">When.</param>
/// <param name="Temperature">Air temperature.</param>
/// <param name="RhPercent">Relative humidity over water, above 0 to 100 %.</param>
public readonly record struct LoggedReading(DateTimeOffset At, Temperature Temperature, double RhPercent);

/// <summary>Air of a logger by the hour.</summary>
public static class LoggedAir
{
    /// <summary>Hours in which something was logged, in their order: the mean temperature of each, and the mean water in its air.</summary>
    /// <param name="readings">What was logged, in any order.</param>
    public static IEnumerable<AirHour> Hours(IEnumerable<LoggedReading> readings) =>
        readings
            .GroupBy(reading => reading.At.ToUnixTimeSeconds() / 3600)
            .OrderBy(hour => hour.Key)
            .Select(hour =>
            {
                var mean = Temperature.FromCelsius(hour.Average(reading => reading.Temperature.Celsius));
                var vapour = hour.Average(reading =>
                    reading.RhPercent / 100 * MoistAir.SaturationPressureOfWeather(reading.Temperature).Pascals
                );
                var percent = 100 * vapour / MoistAir.SaturationPressureOfWeather(mean).Pascals;
                return new AirHour
                {
                    Start = DateTimeOffset.FromUnixTimeSeconds(hour.Key * 3600),
                    Temperature = mean,
                    Humidity = RelativeHumidity.OfWeather(Math.Clamp(percent, 1, 100), mean),
                };
            });
}
