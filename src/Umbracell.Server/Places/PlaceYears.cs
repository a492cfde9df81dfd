using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Moisture;
using Umbracell.Core.Weather;
using Umbracell.Core.Weather.Years;
using Umbracell.Formats.Climate;
using Umbracell.Formats.DataFiles;
using Umbracell.Store;

namespace Umbracell.Server.Places;

/// <summary>A year of hours of a place.</summary>
/// <param name="Source">Its own hours, or hours made from its monthly means.</param>
/// <param name="Hours">The hours, January first.</param>
internal sealed record PlaceYear(AirSource Source, IReadOnlyList<AirHour> Hours);

/// <summary>Finds the hourly year of a place.</summary>
internal sealed class PlaceYears(UmbracellDb db)
{
    /// <summary>Its own hours where a weather file was read for it, else hours made from its months.</summary>
    /// <param name="place">The place, with its position.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<PlaceYear> OfAsync(Place place, CancellationToken stop) =>
        Guid.TryParse(place.Id, out var id) && await db.PlaceHours.FirstOrDefaultAsync(row => row.PlaceId == id, stop) is { } row
            ? new(AirSource.UsualYear, PlaceHours.Hours(row))
            : new(AirSource.GeneratedYear, Made(place));

    // The same place has the same year, whoever asks.
    private static IReadOnlyList<AirHour> Made(Place place) =>
        GeneratedYear.Of(
            MonthAir.All(place.MeanC, place.MeanRhPct),
            place.Longitude ?? 0,
            WeatherFile.NominalYear,
            WeatherNoise.Mixed(
                (ulong)Math.Round(100 * (place.Latitude ?? 0) + 9000),
                (ulong)Math.Round(100 * (place.Longitude ?? 0) + 18000)
            )
        );
}
