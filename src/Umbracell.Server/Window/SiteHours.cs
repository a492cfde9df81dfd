using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Server.Forecasts;
using Umbracell.Server.Places;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Window;

/// <summary>Why there are no hours of a surface.</summary>
public enum HoursLack
{
    /// <summary>No product was chosen.</summary>
    Sheet,

    /// <summary>Its size was not taken.</summary>
    Size,

    /// <summary>The job names no place.</summary>
    Place,

    /// <summary>Nobody said where the place lies.</summary>
    Position,

    /// <summary>No source of forecasts answers, and no hourly year is kept.</summary>
    Forecast,
}

/// <summary>Hours of the place of a job: a forecast, or what is usual there at this time of the year.</summary>
internal sealed record SiteHours
{
    /// <summary>Members; empty where there are no hours.</summary>
    public IReadOnlyList<PlaceSky> Members { get; init; } = [];

    /// <summary>Forecast or usual year.</summary>
    public AirSource Source { get; init; }

    /// <summary>The forecast they are of; null for a usual year.</summary>
    public SiteForecast? Forecast { get; init; }

    /// <summary>What went wrong with sources.</summary>
    public IReadOnlyList<SourceTrouble> Troubles { get; init; } = [];

    /// <summary>Why there are none; null where there are.</summary>
    public HoursLack? Lack { get; init; }

    /// <summary>Where the place lies.</summary>
    public GeoPoint Point { get; init; }
}

/// <summary>Finds the hours of a job's place.</summary>
internal sealed class SiteHoursReader(ForecastLibrary forecasts, UmbracellDb db, TimeProvider clock)
{
    // Days to either side of today whose weather of a usual year stands for what may come.
    private const int DaysAround = 10,
        Ahead = 240;

    public async Task<SiteHours> OfAsync(Job job, CancellationToken stop)
    {
        if (JobPlaces.Of(job) is not { } place)
        {
            return new() { Lack = HoursLack.Place };
        }

        if (place is not { Latitude: { } latitude, Longitude: { } longitude })
        {
            return new() { Lack = HoursLack.Position };
        }

        var at = new WeatherPlace(new(latitude, longitude), Length.FromMetres(job.AltitudeM));
        var found = await forecasts.FindAsync(at.Point, stop);
        if (found.Forecast is { } forecast && forecast.Members[0].End > clock.GetUtcNow())
        {
            return new()
            {
                Members = PlaceSky.OfMembers(forecast.Members, at),
                Source = AirSource.Forecast,
                Forecast = forecast,
                Troubles = found.Troubles,
                Point = at.Point,
            };
        }

        var usual = await UsualAsync(job, stop);
        return new()
        {
            Members = usual.Count > 0 ? PlaceSky.OfMembers(usual, at) : [],
            Source = AirSource.UsualYear,
            Troubles = found.Troubles,
            Lack = usual.Count > 0 ? null : HoursLack.Forecast,
            Point = at.Point,
        };
    }

    // The same hours of the days around today: what a year had to offer at this time.
    private async Task<List<AirRun>> UsualAsync(Job job, CancellationToken stop)
    {
        if (job.OwnPlaceId is not { } id || await db.PlaceHours.FirstOrDefaultAsync(row => row.PlaceId == id, stop) is not { } row)
        {
            return [];
        }

        var year = PlaceHours.Hours(row);
        var now = clock.GetUtcNow();
        var start = new DateTimeOffset(now.Year, now.Month, now.Day, now.Hour, 0, 0, TimeSpan.Zero) - ForecastLibrary.Before;
        var first = HourOfYear(start.ToOffset(year[0].Start.Offset), year.Length);
        return
        [
            .. Enumerable
                .Range(-DaysAround, 2 * DaysAround + 1)
                .Select(
                    (days, member) =>
                        new AirRun
                        {
                            Source = AirSource.UsualYear,
                            Member = member,
                            Hours =
                            [
                                .. Enumerable
                                    .Range(0, Ahead + (int)ForecastLibrary.Before.TotalHours)
                                    .Select(i =>
                                        year[(first + 24 * days + i + 2 * year.Length) % year.Length] with
                                        {
                                            Start = start.AddHours(i),
                                        }
                                    ),
                            ],
                        }
                ),
        ];
    }

    private static int HourOfYear(DateTimeOffset local, int hours)
    {
        // The day a leap year has more is taken for the one before it.
        var day = local.DayOfYear - (DateTime.IsLeapYear(local.Year) && local.DayOfYear > 59 ? 1 : 0);
        return ((day - 1) * 24 + local.Hour) % hours;
    }
}
