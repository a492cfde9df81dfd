using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>A place of the firm's own.</summary>
public sealed class PlaceRow : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public required string Name { get; set; }

    public required string ClimateZone { get; set; }

    public double AltitudeM { get; set; }

    /// <summary>Degrees north; null where it was never said.</summary>
    public double? Latitude { get; set; }

    /// <summary>Degrees east.</summary>
    public double? Longitude { get; set; }

    /// <summary>Time zone by its IANA name; null where it was never said.</summary>
    public string? TimeZone { get; set; }

    /// <summary>Mean temperatures, °C, January first.</summary>
    public required double[] MeanC { get; set; }

    /// <summary>Mean relative humidities over water, percent.</summary>
    public required double[] MeanRhPct { get; set; }

    /// <summary>Winter design, °C.</summary>
    public double HeatingC { get; set; }

    /// <summary>Summer design, °C.</summary>
    public double CoolingC { get; set; }

    /// <summary>Humidity that goes with the summer design, percent.</summary>
    public double CoolingRhPct { get; set; }

    /// <summary>Where the figures come from.</summary>
    public required string Source { get; set; }

    public uint Version { get; set; }

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [FirmId];
}

/// <summary>The hours a place was reduced from, kept apart so that a place is read without them.</summary>
public sealed class PlaceHoursRow : IFirmRow
{
    public Guid PlaceId { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>°C, from the first hour of January; no number where it is missing.</summary>
    public required float[] TempC { get; set; }

    /// <summary>Relative humidity, percent; no number where it is missing.</summary>
    public required float[] RhPct { get; set; }

    /// <summary>Hours the clock of the record stands ahead of universal time; null for hours kept before wind, cloud and what follows were.
    /// Each of these has an entry for every hour, no number where it is missing.</summary>
    public double? UtcOffsetH { get; set; }

    /// <summary>Wind at 10 m, m/s.</summary>
    public float[]? WindMs { get; set; }

    /// <summary>Where it comes from, degrees.</summary>
    public float[]? WindFromDeg { get; set; }

    /// <summary>Share of the sky under cloud, 0 to 1.</summary>
    public float[]? Cloud { get; set; }

    /// <summary>What fell, mm.</summary>
    public float[]? PrecipMm { get; set; }

    /// <summary>Sun on level ground, W/m².</summary>
    public float[]? GlobalWm2 { get; set; }

    /// <summary>Pressure, Pa.</summary>
    public float[]? PressurePa { get; set; }

    /// <summary>Snow on the ground, m.</summary>
    public float[]? SnowM { get; set; }
}
