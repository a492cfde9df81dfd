using CsCheck;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Core.Tests.Weather;

/// <summary>Hours of air made for tests.</summary>
internal static class MadeHours
{
    public static readonly DateTimeOffset Start = new(2026, 11, 21, 0, 0, 0, TimeSpan.Zero);

    public static readonly WeatherPlace Quay = new(new(43.9, -76.6), Length.FromMetres(180));

    public static AirHour Air(int hour, double celsius, double dew, double wind = 2, double cloud = 0, double rain = 0) =>
        new()
        {
            Start = Start.AddHours(hour),
            Temperature = Temperature.FromCelsius(celsius),
            Humidity = OfDew(celsius, dew),
            Wind = new(Speed.FromMetresPerSecond(wind)),
            Cloud = cloud,
            Precipitation = rain > 0 ? new(rain, celsius < 0 ? PrecipitationKind.Snow : PrecipitationKind.Rain) : Precipitation.Nothing,
        };

    private static RelativeHumidity OfDew(double celsius, double dew) =>
        RelativeHumidity.OfDewPoint(Temperature.FromCelsius(dew), Temperature.FromCelsius(celsius), HumidityReference.Ice);

    public static AirRun Run(int count, Func<int, AirHour> hour) =>
        new() { Source = AirSource.Forecast, Hours = [.. Enumerable.Range(0, count).Select(hour)] };

    public static PlaceSky Sky(int count, Func<int, AirHour> hour) => PlaceSky.Of(Run(count, hour), Quay);

    /// <summary>Days of weather of every kind that moist air allows.</summary>
    public static readonly Gen<AirHour[]> Any = Gen.Select(
            Gen.Double[-25, 40],
            Gen.Double[0, 12],
            Gen.Double[0.05, 25],
            Gen.Double[0, 1],
            Gen.Double[0, 15],
            Gen.Int[0, 10]
        )
        .SelectMany(
            (mean, swing, dryness, cloud, wind, wet) =>
                Gen.Double[0, 1]
                    .Array[72]
                    .Select(chance =>
                        chance
                            .Select(
                                (c, i) =>
                                {
                                    var t = mean + swing * Math.Sin((i - 9) * Math.PI / 12);
                                    return Air(
                                        i,
                                        t,
                                        t - dryness * (0.2 + c),
                                        wind * (0.5 + c),
                                        Math.Min(1, cloud * (0.5 + c)),
                                        wet > 7 && c > 0.7 ? 3 * c : 0
                                    );
                                }
                            )
                            .ToArray()
                    )
        );
}
