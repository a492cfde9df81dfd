using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>A point of the globe.</summary>
/// <param name="Latitude">Degrees north, -90 to 90.</param>
/// <param name="Longitude">Degrees east, -180 to 180.</param>
public readonly record struct GeoPoint(double Latitude, double Longitude)
{
    /// <summary>The same point.</summary>
    /// <exception cref="QuantityRangeException">Not on the globe.</exception>
    public GeoPoint Checked()
    {
        QuantityRangeException.Within("latitude", Latitude, -90, 90, Dimension.Number);
        QuantityRangeException.Within("longitude", Longitude, -180, 180, Dimension.Number);
        return this;
    }
}

/// <summary>Where the sun stands, by the equations of NOAA's solar calculator (after Meeus, Astronomical Algorithms, chapter 25): within
/// 0.01° between the years 1900 and 2100. The true direction; air lifts what the eye sees by up to half a degree at the horizon.</summary>
/// <param name="SinElevation">Sine of the height over the horizon.</param>
/// <param name="East">Part of its direction towards east.</param>
/// <param name="North">Part of its direction towards north.</param>
public readonly record struct SunPosition(double SinElevation, double East, double North)
{
    /// <summary>Height over the horizon, degrees; below zero at night.</summary>
    public double ElevationDegrees => Math.Asin(Math.Clamp(SinElevation, -1, 1)) / Degree;

    /// <summary>Direction, degrees clockwise from north, 0 to 360.</summary>
    public double AzimuthDegrees => (Math.Atan2(East, North) / Degree + 360) % 360;

    /// <summary>Height at which the upper edge of the sun is seen on the horizon, degrees: half its width and the bending of the air
    /// (NOAA).</summary>
    public const double RiseDegrees = -0.833;

    private const double Degree = Math.PI / 180;

    // Noon of 1 January 2000.
    private static readonly DateTimeOffset Epoch = new(2000, 1, 1, 12, 0, 0, TimeSpan.Zero);

    /// <summary>The sun at an instant.</summary>
    /// <param name="at">The instant.</param>
    /// <param name="place">Where.</param>
    /// <exception cref="QuantityRangeException">Not on the globe.</exception>
    public static SunPosition At(DateTimeOffset at, GeoPoint place)
    {
        place.Checked();
        return Seen(SunPath.At(at), at, Math.Sin(place.Latitude * Degree), Math.Cos(place.Latitude * Degree), place.Longitude);
    }

    /// <summary>The sun at the middle of each of many hours.</summary>
    internal static SunPosition[] OfHours(DateTimeOffset start, int count, GeoPoint place)
    {
        place.Checked();
        var (sin, cos) = Math.SinCos(place.Latitude * Degree);
        var positions = new SunPosition[count];
        var at = start.AddMinutes(30);
        for (var i = 0; i < count; i++, at = at.AddHours(1))
        {
            positions[i] = Seen(SunPath.At(at), at, sin, cos, place.Longitude);
        }

        return positions;
    }

    private static SunPosition Seen(SunPath sun, DateTimeOffset at, double sinLatitude, double cosLatitude, double longitude)
    {
        var minutes = at.UtcDateTime.TimeOfDay.TotalMinutes + sun.EquationOfTimeMinutes + 4 * longitude;
        var (sinHour, cosHour) = Math.SinCos((minutes / 4 - 180) * Degree);
        var up = sinLatitude * sun.SinDeclination + cosLatitude * sun.CosDeclination * cosHour;
        var north = cosLatitude * sun.SinDeclination - sinLatitude * sun.CosDeclination * cosHour;
        return new(up, -sun.CosDeclination * sinHour, north);
    }

    /// <summary>Declination and equation of time.</summary>
    internal readonly record struct SunPath(double SinDeclination, double CosDeclination, double EquationOfTimeMinutes)
    {
        public static SunPath At(DateTimeOffset at)
        {
            var century = (at - Epoch).TotalDays / 36525;
            var longitude = (280.46646 + century * (36000.76983 + century * 0.0003032)) % 360 * Degree;
            var anomaly = (357.52911 + century * (35999.05029 - 0.0001537 * century)) % 360 * Degree;
            var eccentricity = 0.016708634 - century * (0.000042037 + 0.0000001267 * century);
            var (sin1, cos1) = Math.SinCos(anomaly);
            var sin2 = 2 * sin1 * cos1;
            var sin3 = sin1 * (3 - 4 * sin1 * sin1);
            var centre =
                (sin1 * (1.914602 - century * (0.004817 + 0.000014 * century)) + sin2 * (0.019993 - 0.000101 * century) + sin3 * 0.000289)
                * Degree;
            var (sinNode, cosNode) = Math.SinCos((125.04 - 1934.136 * century) * Degree);
            var apparent = longitude + centre + (-0.00569 - 0.00478 * sinNode) * Degree;
            var obliquity =
                (23 + (26 + (21.448 - century * (46.815 + century * (0.00059 - century * 0.001813))) / 60) / 60 + 0.00256 * cosNode)
                * Degree;
            var sinDeclination = Math.Sin(obliquity) * Math.Sin(apparent);
            var y = Math.Tan(obliquity / 2);
            y *= y;
            var (sinTwice, cosTwice) = Math.SinCos(2 * longitude);
            var time =
                y * sinTwice
                - 2 * eccentricity * sin1
                + 4 * eccentricity * y * sin1 * cosTwice
                - y * y * sinTwice * cosTwice
                - 1.25 * eccentricity * eccentricity * sin2;
            return new(sinDeclination, Math.Sqrt(1 - sinDeclination * sinDeclination), 4 * time / Degree);
        }
    }
}
