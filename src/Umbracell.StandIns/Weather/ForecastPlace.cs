using Umbracell.Core.Weather.Years;
using Umbracell.Formats.DataFiles;

namespace Umbracell.StandIns.Weather;

/// <summary>A place there is weather for.</summary>
/// <param name="Place">The place.</param>
/// <param name="Latitude">Degrees north.</param>
/// <param name="Longitude">Degrees east.</param>
/// <param name="Seed">Its weather.</param>
internal sealed record ForecastPlace(Place Place, double Latitude, double Longitude, ulong Seed)
{
    // Of all weathers the one that fits what the demo read there in its first hour: mild and damp, then a clear night with frost on the
    // roof, a dry noon, and rain the day after.
    private static readonly Dictionary<string, ulong> Chosen = new() { ["brindle-quay"] = 8769 };

    // A service tells the weather of the field a point lies in.
    private const double Reach = 0.5;

    /// <summary>Places of the demo.</summary>
    public static IReadOnlyList<ForecastPlace> Demo { get; } =
    [
        .. ShippedData
            .Places.Values.Where(place => place is { Latitude: not null, Longitude: not null })
            .OrderBy(place => place.Id, StringComparer.Ordinal)
            .Select(
                (place, i) =>
                    new ForecastPlace(
                        place,
                        place.Latitude!.Value,
                        place.Longitude!.Value,
                        Chosen.GetValueOrDefault(place.Id, WeatherNoise.Mixed(40, (ulong)i))
                    )
            ),
    ];

    /// <summary>Whether a point lies there.</summary>
    public bool Holds(double latitude, double longitude) =>
        Math.Abs(latitude - Latitude) <= Reach && Math.Abs(longitude - Longitude) <= Reach;
}
