using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Forecasts;
using Umbracell.Server.Places;
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
}

/// <summary>Hours of the place of a job: a forecast, or what is usual there at this time of the year.</summary>
internal sealed record SiteHours
{
    /// <summary>Members, with sun and sky found when they are first asked for; empty where there are no hours.</summary>
    public Lazy<IReadOnlyList<PlaceSky>> Skies { get; init; } = new([]);

    /// <summary>The same.</summary>
    public IReadOnlyList<PlaceSky> Members => Skies.Value;

    /// <summary>How many of them.</summary>
    public int MemberCount { get; init; }

    /// <summary>Forecast or usual year.</summary>
    public AirSource Source { get; init; }

    /// <summary>The forecast they are of; null for a usual year.</summary>
    public SiteForecast? Forecast { get; init; }

    /// <summary>What went wrong with sources.</summary>
    public IReadOnlyList<SourceTrouble> Troubles { get; init; } = [];

    /// <summary>Why there are none; null where there are.</summary>
    public HoursLack? Lack { get; init; }

    /// <summary>The last temperature read on each surface within these hours.</summary>
    public IReadOnlyDictionary<Guid, FaceReading> Faces { get; init; } = new Dictionary<Guid, FaceReading>();

    /// <summary>What was last read of the air at surfaces within a building.</summary>
    public IReadOnlyDictionary<Guid, RoomReading> Rooms { get; init; } = new Dictionary<Guid, RoomReading>();

    /// <summary>What readings at the site are off these hours by; null where none was taken in them.</summary>
    public SiteCorrection? Correction { get; init; }

    /// <summary>Where the place lies.</summary>
    public GeoPoint Point { get; init; }

    /// <summary>What tells these hours from others of the same job, so that what was made of them is not made again; null where nothing of
    /// them is kept.</summary>
    public string? Stamp =>
        Forecast is { } forecast
            ? string.Join(
                '|',
                forecast.Source,
                forecast.IssuedAt.ToUnixTimeSeconds(),
                forecast.Members[0].Start.ToUnixTimeSeconds(),
                Correction,
                string.Join(',', Faces.Select(face => $"{face.Key:N}{face.Value.At.ToUnixTimeSeconds()}")),
                string.Join(',', Rooms.Select(room => $"{room.Key:N}{room.Value.At.ToUnixTimeSeconds()}")),
                string.Join(',', Troubles.Select(one => $"{one.Source}{one.Trouble}{one.Detail}"))
            )
            : null;
}

/// <summary>Finds the hours of a job's place.</summary>
internal sealed class SiteHoursReader(ForecastLibrary forecasts, PlaceYears years, SiteReadings readings, TimeProvider clock)
{
    // Days to either side of today whose weather of a usual year stands for what may come.
    private const int DaysAround = 10,
        Ahead = 240;

    /// <summary>The hours of a job's place, as they are at its site.</summary>
    public async Task<SiteHours> OfAsync(Job job, CancellationToken stop) =>
        LackOf(JobPlaces.Of(job), job.AltitudeM, out var at) is { } lack
            ? new() { Lack = lack }
            : await FoundAsync(JobPlaces.Of(job)!, at, job, stop);

    /// <summary>The hours of a place.</summary>
    public async Task<SiteHours> OfPlaceAsync(Place place, CancellationToken stop) =>
        LackOf(place, place.AltitudeM, out var at) is { } lack ? new() { Lack = lack } : await FoundAsync(place, at, null, stop);

    /// <summary>A whole year of a job's place, January first.</summary>
    public async Task<SiteHours> YearAsync(Job job, CancellationToken stop)
    {
        if (LackOf(JobPlaces.Of(job), job.AltitudeM, out var at) is { } lack)
        {
            return new() { Lack = lack };
        }

        var year = await years.OfAsync(JobPlaces.Of(job)!, stop);
        return new()
        {
            Skies = new([PlaceSky.Of(new() { Source = year.Source, Hours = year.Hours }, at)]),
            MemberCount = 1,
            Source = year.Source,
            Point = at.Point,
        };
    }

    private static HoursLack? LackOf(Place? place, double altitude, out WeatherPlace at)
    {
        at = default;
        if (place is not { Latitude: { } latitude, Longitude: { } longitude })
        {
            return place is null ? HoursLack.Place : HoursLack.Position;
        }

        at = new(new(latitude, longitude), Length.FromMetres(altitude));
        return null;
    }

    private async Task<SiteHours> FoundAsync(Place place, WeatherPlace at, Job? job, CancellationToken stop)
    {
        var found = await forecasts.FindAsync(at.Point, stop);
        if (found.Forecast is { } forecast && forecast.Members[0].End > clock.GetUtcNow())
        {
            var plain = new SiteHours
            {
                Skies = new(() => PlaceSky.OfMembers(forecast.Members, at)),
                MemberCount = forecast.Members.Count,
                Source = AirSource.Forecast,
                Forecast = forecast,
                Troubles = found.Troubles,
                Point = at.Point,
            };
            return job is null ? plain : await AtSiteAsync(plain, at, job, stop);
        }

        var year = await years.OfAsync(place, stop);
        var usual = AroundToday(year);
        return new()
        {
            Skies = new(() => PlaceSky.OfMembers(usual, at)),
            MemberCount = usual.Count,
            Source = year.Source,
            Troubles = found.Troubles,
            Point = at.Point,
        };
    }

    // What was read at the site since these hours begin bears on them.
    private async Task<SiteHours> AtSiteAsync(SiteHours plain, WeatherPlace at, Job job, CancellationToken stop)
    {
        var members = plain.Forecast!.Members;
        var correction = SiteCorrection.Of(await readings.OfAsync(job.Id, members[0].Start, at.Pressure, stop), members);
        return plain with
        {
            Correction = correction,
            Faces = await readings.FacesAsync(job.Id, members[0].Start, stop),
            Rooms = await readings.RoomsAsync(job.Id, members[0].Start, stop),
            Skies =
                job.CorrectsForecast && correction is not null
                    ? new(() => PlaceSky.OfMembers([.. members.Select(correction.Applied)], at))
                    : plain.Skies,
        };
    }

    // The same hours of the days around today: what a year had to offer at this time.
    private List<AirRun> AroundToday(PlaceYear of)
    {
        var year = of.Hours;
        var now = clock.GetUtcNow();
        var start = new DateTimeOffset(now.Year, now.Month, now.Day, now.Hour, 0, 0, TimeSpan.Zero) - ForecastLibrary.Before;
        var first = HourOfYear(start.ToOffset(year[0].Start.Offset), year.Count);
        return
        [
            .. Enumerable
                .Range(-DaysAround, 2 * DaysAround + 1)
                .Select(
                    (days, member) =>
                        new AirRun
                        {
                            Source = of.Source,
                            Member = member,
                            Hours =
                            [
                                .. Enumerable
                                    .Range(0, Ahead + (int)ForecastLibrary.Before.TotalHours)
                                    .Select(i =>
                                        year[(first + 24 * days + i + 2 * year.Count) % year.Count] with
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
