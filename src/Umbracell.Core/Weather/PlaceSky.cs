using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>A place in the weather.</summary>
/// <param name="Point">Where on the globe.</param>
/// <param name="Altitude">Height above the sea.</param>
public readonly record struct WeatherPlace(GeoPoint Point, Length Altitude)
{
    /// <summary>Usual pressure at its height.</summary>
    public Pressure Pressure => StandardAtmosphere.PressureAt(Altitude);
}

/// <summary>What the hours of a run hold for every face at a place: air, sun and sky heat, computed once for however many faces. Where an
/// hour lacks something, what hangs on it is no number in here and unknown in every answer.</summary>
public sealed class PlaceSky
{
    /// <summary>Numbers of one hour.</summary>
    internal readonly record struct Hour
    {
        /// <summary>Air, °C.</summary>
        public double Celsius { get; init; }

        /// <summary>Vapour pressure, Pa.</summary>
        public double Vapour { get; init; }

        /// <summary>Dew or frost point, °C.</summary>
        public double Dew { get; init; }

        /// <summary>Relative humidity over water, percent.</summary>
        public double RhPct { get; init; }

        /// <summary>Mean wind in the open at 10 m, m/s.</summary>
        public double Wind { get; init; }

        /// <summary>Gusts there, m/s.</summary>
        public double Gust { get; init; }

        /// <summary>Sun's beam on level ground, W/m².</summary>
        public double Beam { get; init; }

        /// <summary>Sun by way of the sky on level ground, W/m².</summary>
        public double Diffuse { get; init; }

        /// <summary>Heat from the whole sky, W/m².</summary>
        public double Sky { get; init; }

        /// <summary>Water that falls, kg/m².</summary>
        public double Rain { get; init; }

        /// <summary>Pressure, Pa.</summary>
        public double Pressure { get; init; }

        /// <summary>Whether snow lies on the ground.</summary>
        public bool HasSnow { get; init; }
    }

    private readonly Hour[] _hours;
    private readonly SunPosition[] _sun;

    private PlaceSky(AirRun run, WeatherPlace place, SunPosition[] sun)
    {
        (Run, Place, _sun) = (run, place, sun);
        _hours = new Hour[run.Hours.Count];
        var usual = place.Pressure;
        for (var i = 0; i < _hours.Length; i++)
        {
            _hours[i] = Read(run.Hours[i], sun[i].SinElevation, usual);
        }
    }

    /// <summary>The hours it was made from.</summary>
    public AirRun Run { get; }

    /// <summary>Where.</summary>
    public WeatherPlace Place { get; }

    internal ReadOnlySpan<Hour> Hours => _hours;

    internal ReadOnlySpan<SunPosition> Sun => _sun;

    /// <summary>A run at a place.</summary>
    /// <param name="run">The hours.</param>
    /// <param name="place">The place.</param>
    /// <exception cref="QuantityRangeException">The place is not on the globe, or an hour lies outside the formulas of moist air.</exception>
    public static PlaceSky Of(AirRun run, WeatherPlace place) =>
        new(run, place, SunPosition.OfHours(run.Start, run.Hours.Count, place.Point));

    /// <summary>Members of a forecast, which begin and end together: the sun is found once for all.</summary>
    /// <param name="runs">The members.</param>
    /// <param name="place">The place.</param>
    /// <exception cref="ArgumentException">They do not begin together or differ in length.</exception>
    public static IReadOnlyList<PlaceSky> OfMembers(IReadOnlyList<AirRun> runs, WeatherPlace place)
    {
        if (runs.Count == 0)
        {
            return [];
        }

        if (runs.Any(run => run.Start != runs[0].Start || run.Hours.Count != runs[0].Hours.Count))
        {
            throw new ArgumentException("The members do not hold the same hours.", nameof(runs));
        }

        var sun = SunPosition.OfHours(runs[0].Start, runs[0].Hours.Count, place.Point);
        return [.. runs.Select(run => new PlaceSky(run, place, sun))];
    }

    private static Hour Read(AirHour hour, double sinElevation, Pressure usual)
    {
        const double Unknown = double.NaN;
        var air = hour.StateAt(usual);
        var celsius = hour.Temperature?.Celsius ?? Unknown;
        var dew = air?.DewPoint.Celsius ?? Unknown;
        var pascals = (hour.Pressure ?? usual).Pascals;
        var global =
            sinElevation <= 0 ? 0
            : hour.GlobalWm2 is { } given ? Math.Max(0, given)
            : hour.Cloud is { } n ? Radiation.Global(sinElevation, n)
            : Unknown;
        var diffuse = global * Radiation.DiffuseShare(global, sinElevation, hour.Start.UtcDateTime.DayOfYear);
        return new()
        {
            Celsius = celsius,
            Vapour = air?.VapourPressure.Pascals ?? Unknown,
            Dew = dew,
            RhPct = air is null ? Unknown : OverWater(air.Value),
            Wind = hour.Wind?.Mean.MetresPerSecond ?? Unknown,
            Gust = hour.Wind?.StrongestGust.MetresPerSecond ?? Unknown,
            Beam = global - diffuse,
            Diffuse = diffuse,
            Sky = hour.Cloud is { } cloud
                ? Radiation.SkyEmissivity(dew + Temperature.IcePointKelvin, cloud, pascals) * Radiation.Sigma * Fourth(celsius)
                : Unknown,
            Rain = hour.Precipitation?.Millimetres ?? Unknown,
            Pressure = pascals,
            HasSnow = hour.Snow is { Metres: > 0 },
        };
    }

    // The sheet's limit and the meter are both over water, also in frost.
    private static double OverWater(MoistAir air) =>
        air.Humidity.Over == HumidityReference.Water || air.Temperature.Celsius >= 0
            ? air.Humidity.Percent
            : 100 * air.VapourPressure.Pascals / MoistAir.SaturationPressureOfWeather(air.Temperature).Pascals;

    private static double Fourth(double celsius)
    {
        var kelvin = celsius + Temperature.IcePointKelvin;
        return kelvin * kelvin * kelvin * kelvin;
    }
}
