using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Formats.Forecasts;

/// <summary>An hour of air from the figures of a forecast.</summary>
internal static class ForecastHour
{
    /// <summary>The hour; what was not told is unknown.</summary>
    /// <param name="start">When it begins.</param>
    /// <param name="of">A figure in the unit its quantity is kept in, no number where it was not told.</param>
    public static AirHour Of(DateTimeOffset start, Func<ForecastQuantity, double> of)
    {
        var temperature = Known(ForecastQuantity.Temperature) is { } t ? Temperature.FromCelsius(t) : (Temperature?)null;
        return new()
        {
            Start = start,
            Temperature = temperature,
            Humidity = temperature is { } air ? Humidity(air) : null,
            Wind = Known(ForecastQuantity.Wind) is { } wind
                ? new(
                    Speed.FromMetresPerSecond(wind),
                    Known(ForecastQuantity.Gust) is { } gust ? Speed.FromMetresPerSecond(Math.Max(gust, wind)) : null,
                    Known(ForecastQuantity.WindFrom)
                )
                : null,
            Cloud = Known(ForecastQuantity.Cloud) is { } cloud ? Math.Min(1, cloud) : null,
            Precipitation = Known(ForecastQuantity.Precipitation) is { } fell ? Precipitation.Of(fell, temperature) : null,
            GlobalWm2 = Known(ForecastQuantity.Global) is { } sun ? Math.Max(0, sun) : null,
            Pressure = Known(ForecastQuantity.Pressure) is { } pascals ? Pressure.FromPascals(pascals) : null,
            Snow = Known(ForecastQuantity.Snow) is { } metres ? Length.FromMetres(metres) : null,
        };

        double? Known(ForecastQuantity quantity) => of(quantity) is var value && double.IsNaN(value) ? null : value;

        RelativeHumidity? Humidity(Temperature air) =>
            Known(ForecastQuantity.Humidity) is { } rh ? RelativeHumidity.OfWeather(Math.Clamp(rh, 1, 100), air)
            : Known(ForecastQuantity.DewPoint) is { } dew
                ? RelativeHumidity.OfDewPoint(Temperature.FromCelsius(dew), air, HumidityReference.Water)
            : null;
    }
}
