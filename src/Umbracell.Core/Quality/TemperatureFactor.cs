using Umbracell.Core.Quantities;

namespace Umbracell.Core.Quality;

/// <summary>Where a surface temperature lies between outdoors and room: <c>f = (T_s − T_out)/(T_in − T_out)</c> (ISO 10211, temperature
/// factor). What makes two thermal pictures comparable.</summary>
public static class TemperatureFactor
{
    /// <summary>Under this difference the factor says more about the camera than about the wall, K.</summary>
    public const double LeastDifference = 5;

    /// <summary>The factor; null where room and outdoors are too near each other to tell. Below 0 and above 1 where the surface is colder
    /// or warmer than both airs.</summary>
    /// <param name="surface">Surface temperature.</param>
    /// <param name="indoor">Room air.</param>
    /// <param name="outdoor">Outdoor air.</param>
    public static double? Of(Temperature surface, Temperature indoor, Temperature outdoor)
    {
        var difference = (indoor - outdoor).Kelvins;
        return Math.Abs(difference) >= LeastDifference ? (surface - outdoor).Kelvins / difference : null;
    }
}
