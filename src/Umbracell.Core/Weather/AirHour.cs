using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>What falls from the sky.</summary>
public enum PrecipitationKind
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>Rain or drizzle.</summary>
    Rain,

    /// <summary>Snow, or snow with rain.</summary>
    Snow,
}

/// <summary>Wind 10 m above open ground, over an hour.</summary>
/// <param name="Mean">Mean speed, 0 to 120 m/s.</param>
/// <param name="Gust">Strongest gust; null where it was not told.</param>
/// <param name="FromDegrees">Where it comes from, clockwise from north, 0 to 360; null where it was not told.</param>
public readonly record struct Wind(Speed Mean, Speed? Gust = null, double? FromDegrees = null)
{
    /// <summary>Gusts over the mean where none are told: practice for built-up ground.</summary>
    public const double UsualGustFactor = 1.4;

    /// <summary>The strongest gust, or what usually goes with the mean.</summary>
    public Speed StrongestGust => Gust ?? Mean * UsualGustFactor;
}

/// <summary>Precipitation of an hour.</summary>
/// <param name="Millimetres">Water, 0 to 500 mm (kg/m²); snow as water.</param>
/// <param name="Kind">What fell.</param>
public readonly record struct Precipitation(double Millimetres, PrecipitationKind Kind)
{
    /// <summary>An hour in which nothing fell.</summary>
    public static readonly Precipitation Nothing = new(0, PrecipitationKind.None);

    /// <summary>What fell where only its amount is told: snow in frost.</summary>
    /// <param name="millimetres">0 to 500 mm.</param>
    /// <param name="air">Temperature of the air; null where it is not known.</param>
    public static Precipitation Of(double millimetres, Temperature? air) =>
        new(
            millimetres,
            millimetres == 0 ? PrecipitationKind.None
                : air is { Celsius: < 0 } ? PrecipitationKind.Snow
                : PrecipitationKind.Rain
        );

    /// <summary>Whether a face in the open gets wet: a tenth of a millimetre is the least a gauge tells.</summary>
    public bool Wets => Millimetres >= 0.1;
}

/// <summary>The air of one hour: the one shape of everything outdoors that has a time. Hours of weather files, forecasts and
/// loggers are it; what was not taken is null, never a guess.</summary>
public readonly record struct AirHour
{
    /// <summary>First instant of the hour.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Air temperature 2 m above ground.</summary>
    public Temperature? Temperature { get; init; }

    /// <summary>Relative humidity with what it is over: water for weather services and loggers.</summary>
    public RelativeHumidity? Humidity { get; init; }

    /// <summary>Wind in the open.</summary>
    public Wind? Wind { get; init; }

    /// <summary>Share of the sky under cloud, 0 to 1.</summary>
    public double? Cloud { get; init; }

    /// <summary>What fell.</summary>
    public Precipitation? Precipitation { get; init; }

    /// <summary>Sun on level ground, W/m², where it was measured or forecast; preferred to what cloud lets through.</summary>
    public double? GlobalWm2 { get; init; }

    /// <summary>Pressure at the place; null where it was not told, and then that of its height.</summary>
    public Pressure? Pressure { get; init; }

    /// <summary>Depth of snow on the ground.</summary>
    public Length? Snow { get; init; }

    /// <summary>Whether temperature and humidity are known: the least that says anything of the air.</summary>
    public bool IsWhole => Temperature is not null && Humidity is not null;

    /// <summary>The state of the air; null where temperature or humidity is not known.</summary>
    /// <param name="usual">Pressure of the place's height, where the hour tells none.</param>
    /// <exception cref="QuantityRangeException">Outside the psychrometric formulas.</exception>
    public MoistAir? StateAt(Pressure usual) => Temperature is { } t && Humidity is { } rh ? MoistAir.Of(t, rh, Pressure ?? usual) : null;
}
