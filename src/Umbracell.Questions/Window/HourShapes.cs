using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Questions.Window;

/// <summary>Air of an hour in a question. What is left out is unknown, and what hangs on it is null in the answer.</summary>
public sealed record HourAsked
{
    /// <summary>Air temperature.</summary>
    [Range(-90, 70)]
    public double? TempC { get; init; }

    /// <summary>Dew point; below 0 °C the frost point.</summary>
    [Range(-99, 60)]
    public double? DewPointC { get; init; }

    /// <summary>Wind, m/s.</summary>
    [Range(0, 120)]
    public double? WindMs { get; init; }

    /// <summary>Strongest gust, m/s.</summary>
    [Range(0, 150)]
    public double? GustMs { get; init; }

    /// <summary>Share of the sky under cloud.</summary>
    [Range(0, 1)]
    public double? Cloud { get; init; }

    /// <summary>Water that fell.</summary>
    [Range(0, 500)]
    public double? PrecipMm { get; init; }

    /// <summary>Sun on level ground, W/m²; preferred to what cloud lets through.</summary>
    [Range(0, 1500)]
    public double? GlobalWm2 { get; init; }

    /// <summary>Snow on the ground.</summary>
    [Range(0, 20)]
    public double? SnowM { get; init; }

    /// <summary>Hours one after another as the core takes them.</summary>
    /// <exception cref="QuantityRangeException">A dew point above its air.</exception>
    internal static IReadOnlyList<AirHour> Run(IReadOnlyList<HourAsked> hours, DateTimeOffset start) =>
        [.. hours.Select((hour, i) => hour.At(start.ToUniversalTime().AddHours(i)))];

    private AirHour At(DateTimeOffset start)
    {
        var temperature = TempC is { } t ? Temperature.FromCelsius(t) : (Temperature?)null;
        return new()
        {
            Start = start,
            Temperature = temperature,
            Humidity = temperature is { } air && DewPointC is { } dew ? OfDewPoint(air, dew) : null,
            Wind = WindMs is { } wind
                ? new(Speed.FromMetresPerSecond(wind), GustMs is { } gust ? Speed.FromMetresPerSecond(gust) : null)
                : null,
            Cloud = Cloud,
            Precipitation = PrecipMm is { } fell ? Precipitation.Of(fell, temperature) : null,
            GlobalWm2 = GlobalWm2,
            Snow = SnowM is { } snow ? Length.FromMetres(snow) : null,
        };
    }

    private static RelativeHumidity OfDewPoint(Temperature air, double dew)
    {
        var greatest = MoistAir.DewPointOf(MoistAir.SaturationPressureOfWeather(air)).Celsius;
        QuantityRangeException.Within("dewPointC", dew, -99, greatest, Dimension.Temperature);
        return RelativeHumidity.OfDewPoint(Temperature.FromCelsius(dew), air, HumidityReference.Ice);
    }
}

/// <summary>A place and hours there in a question.</summary>
public abstract record HoursAsked
{
    /// <summary>Most hours one question may hold: a year with room to spare.</summary>
    public const int Most = 9000;

    /// <summary>Degrees north.</summary>
    [Range(-90, 90)]
    public required double Latitude { get; init; }

    /// <summary>Degrees east.</summary>
    [Range(-180, 180)]
    public required double Longitude { get; init; }

    /// <summary>Height above the sea.</summary>
    [Range(-500, 9000)]
    public double AltitudeM { get; init; }

    /// <summary>Instant at which the first hour begins.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>The hours, one after another.</summary>
    [Required]
    [MinLength(1)]
    [MaxLength(Most)]
    public required IReadOnlyList<HourAsked> Hours { get; init; }

    /// <summary>The hours as the core takes them.</summary>
    /// <exception cref="QuantityRangeException">A dew point above its air.</exception>
    internal PlaceSky Sky() =>
        PlaceSky.Of(
            new() { Source = AirSource.Forecast, Hours = HourAsked.Run(Hours, Start) },
            new(new(Latitude, Longitude), Length.FromMetres(AltitudeM))
        );
}
