using Umbracell.Core.Air;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather.Years;

/// <summary>Weather at an instant.</summary>
public readonly record struct MadeAir
{
    /// <summary>Air, °C.</summary>
    public required double TempC { get; init; }

    /// <summary>Relative humidity as weather services count it, percent.</summary>
    public required double RhPct { get; init; }

    /// <summary>Mean wind at 10 m, m/s.</summary>
    public required double WindMs { get; init; }

    /// <summary>Gusts, m/s.</summary>
    public required double GustMs { get; init; }

    /// <summary>Share of the sky under cloud, 0 to 1.</summary>
    public required double Cloud { get; init; }

    /// <summary>Rain, mm in an hour.</summary>
    public required double RainMmH { get; init; }
}

/// <summary>Weather as it could be at a place of which only monthly means are known: days and nights by cloud, fronts as correlated noise,
/// spells of rain, and the cold air that lies near the ground in clear calm nights.</summary>
/// <remarks>All of it follows from five numbers that move like noise, normal with mean 0 and spread 1; see docs/methods/climate.md for what
/// each does and where its figures come from.</remarks>
/// <param name="months">Monthly means, January first.</param>
/// <param name="longitude">Degrees east: it tells the time of the sun.</param>
public sealed class WeatherProcess(IReadOnlyList<MonthAir> months, double longitude)
{
    /// <summary>Numbers the weather follows from: fronts, cloud, dryness, wind, rain.</summary>
    public const int Numbers = 5;

    // Hours over which each number moves.
    private static readonly double[] Scales = [54, 14, 30, 16, 9];
    private static readonly DateTimeOffset Epoch = new(2020, 1, 1, 0, 0, 0, TimeSpan.Zero);

    /// <summary>The course of a number.</summary>
    /// <param name="seed">Which course.</param>
    /// <param name="number">Which number, from 0.</param>
    /// <param name="at">When.</param>
    public static double Course(ulong seed, int number, DateTimeOffset at) =>
        WeatherNoise.At(seed, (at - Epoch).TotalHours, Scales[number]);

    /// <summary>The weather at an instant.</summary>
    /// <param name="at">When.</param>
    /// <param name="number">What each number is then.</param>
    public MadeAir Air(DateTimeOffset at, Func<int, double> number)
    {
        Span<double> n = stackalloc double[Numbers];
        for (var i = 0; i < Numbers; i++)
        {
            n[i] = number(i);
        }

        var (mean, humidity) = MonthMeans(at);
        var solar = (at.UtcDateTime.TimeOfDay.TotalHours + longitude / 15 + 24) % 24;
        var day = Math.Cos((solar - 14.5) * Math.PI / 12);
        var cloud = 1 / (1 + Math.Exp(-(1.7 * n[1] + 0.25)));
        var wind = 3.3 * Math.Exp(0.45 * n[3]) * (1 + 0.2 * day);
        var calm = Math.Max(0, 1 - wind / 3);
        var air = mean + 4.2 * n[0];
        var temperature = air + 4.0 * (1 - 0.7 * cloud) * day - 2.0 * calm * (1 - cloud) * Math.Max(0, -day);
        var wetness = 0.8 * n[4] + 0.6 * n[1] - 1.15;
        var rain = wetness > 0 ? 2.2 * wetness : 0;
        var dry = Dryness(temperature - DewOf(air, humidity) - 1.6 * n[2]);
        return new()
        {
            TempC = temperature,
            RhPct = RelativeHumidity
                .OfDewPoint(
                    Temperature.FromCelsius(temperature - (rain > 0 ? Math.Min(dry, 1 + 0.1 * dry) : dry)),
                    Temperature.FromCelsius(temperature),
                    HumidityReference.Ice
                )
                .Percent,
            WindMs = wind,
            GustMs = wind * (1.35 + 0.15 * Math.Max(0, day) + 0.1 * cloud),
            Cloud = rain > 0 ? 0.9 + 0.1 * cloud : cloud,
            RainMmH = rain,
        };
    }

    // How far the dew point lies under the air: as it follows, and never down to nothing, since fog takes the water out.
    private static double Dryness(double kelvins) => Math.Log(1 + Math.Exp(1.2 * kelvins)) / 1.2 + 0.05;

    // Means stand for the middle of their months and pass into one another.
    private (double TempC, double RhPct) MonthMeans(DateTimeOffset at)
    {
        var month = (at.DayOfYear - 1) / 365.25 * 12 - 0.5;
        var first = (int)Math.Floor(month);
        var share = month - first;
        var (before, after) = (months[(first + YearOfAir.Months) % YearOfAir.Months], months[(first + 1) % YearOfAir.Months]);
        return (
            before.Temperature.Celsius * (1 - share) + after.Temperature.Celsius * share,
            before.Humidity.Percent * (1 - share) + after.Humidity.Percent * share
        );
    }

    private static double DewOf(double celsius, double rh)
    {
        var air = Temperature.FromCelsius(celsius);
        return MoistAir.DewPointOf(Pressure.FromPascals(rh / 100 * MoistAir.SaturationPressureOfWeather(air).Pascals)).Celsius;
    }
}
