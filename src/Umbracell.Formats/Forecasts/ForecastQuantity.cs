namespace Umbracell.Formats.Forecasts;

/// <summary>What a parameter of a forecast tells.</summary>
public enum ForecastQuantity
{
    /// <summary>Air temperature, °C.</summary>
    Temperature,

    /// <summary>Relative humidity over water, percent.</summary>
    Humidity,

    /// <summary>Dew point, °C; serves where no relative humidity is told.</summary>
    DewPoint,

    /// <summary>Mean wind at 10 m, m/s.</summary>
    Wind,

    /// <summary>Gusts, m/s.</summary>
    Gust,

    /// <summary>Where the wind comes from, degrees.</summary>
    WindFrom,

    /// <summary>Share of the sky under cloud, 0 to 1.</summary>
    Cloud,

    /// <summary>Water that falls, mm.</summary>
    Precipitation,

    /// <summary>Sun on level ground, W/m².</summary>
    Global,

    /// <summary>Pressure at the place, Pa.</summary>
    Pressure,

    /// <summary>Depth of snow on the ground, m.</summary>
    Snow,
}

/// <summary>How figures of a parameter stand in time.</summary>
internal enum Told
{
    /// <summary>At an instant.</summary>
    Instant,

    /// <summary>The mean of the time before an instant.</summary>
    Mean,

    /// <summary>The sum of the time before an instant.</summary>
    Sum,

    /// <summary>The sum since the run began.</summary>
    Accumulated,
}
