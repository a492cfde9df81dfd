using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Window;

/// <summary>Outdoor air read at the site of a job: by hand beside a surface, at the work on a face in the open, and by loggers that hung
/// outdoors.</summary>
internal sealed class SiteReadings(UmbracellDb db, TimeProvider clock)
{
    /// <summary>What was read since an instant, temperature and humidity of the same moment together.</summary>
    public async Task<IReadOnlyList<SiteReading>> OfAsync(Guid job, DateTimeOffset since, Pressure pressure, CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        var rows = await db
            .Readings.AsNoTracking()
            .Where(r => r.JobId == job && r.TakenAt >= since && r.TakenAt <= now)
            .Where(r =>
                r.Kind == ReadingKind.OutdoorTemperature
                || r.Kind == ReadingKind.OutdoorHumidity
                || (
                    (r.Kind == ReadingKind.AirTemperature || r.Kind == ReadingKind.Humidity)
                    && db.Surfaces.Any(s => s.Id == r.SurfaceId && s.OpenFace && s.RemovedAt == null)
                )
            )
            .ToListAsync(stop);
        // A series may be long: one that ended before is left where it is.
        var first = since.ToUnixTimeSeconds();
        var logs = await db
            .LoggerSeries.AsNoTracking()
            .Where(l => l.JobId == job && l.Outdoors && l.Times[l.Times.Length - 1] >= first)
            .ToListAsync(stop);
        return [.. Pairs(rows, pressure), .. logs.SelectMany(log => Logged(log, since, now, pressure))];
    }

    /// <summary>The last temperature read on each surface of a job since an instant.</summary>
    public async Task<Dictionary<Guid, FaceReading>> FacesAsync(Guid job, DateTimeOffset since, CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        var rows = await db
            .Readings.AsNoTracking()
            .Where(r => r.JobId == job && r.Kind == ReadingKind.SubstrateTemperature && r.SurfaceId != null)
            .Where(r => r.TakenAt >= since && r.TakenAt <= now && r.TempC != null)
            .OrderBy(r => r.TakenAt)
            .Select(r => new
            {
                r.SurfaceId,
                r.TakenAt,
                r.TempC,
            })
            .ToListAsync(stop);
        Dictionary<Guid, FaceReading> last = [];
        foreach (var row in rows)
        {
            last[row.SurfaceId!.Value] = new(row.TakenAt, Temperature.FromCelsius(row.TempC!.Value));
        }

        return last;
    }

    /// <summary>The last air read at each surface of a job within a building since an instant.</summary>
    public async Task<Dictionary<Guid, RoomReading>> RoomsAsync(Guid job, DateTimeOffset since, CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        var rows = await db
            .Readings.AsNoTracking()
            .Where(r => r.JobId == job && (r.Kind == ReadingKind.AirTemperature || r.Kind == ReadingKind.Humidity))
            .Where(r => r.TakenAt >= since && r.TakenAt <= now)
            .Where(r => db.Surfaces.Any(s => s.Id == r.SurfaceId && !s.OpenFace && s.RemovedAt == null))
            .ToListAsync(stop);
        Dictionary<Guid, RoomReading> last = [];
        foreach (var moment in rows.GroupBy(row => (row.SurfaceId, row.TakenAt)).OrderBy(moment => moment.Key.TakenAt))
        {
            if (moment.FirstOrDefault(row => row.TempC is not null) is { TempC: { } celsius })
            {
                var air = Temperature.FromCelsius(celsius);
                var humidity = moment.FirstOrDefault(row => row.Percent is not null);
                last[moment.Key.SurfaceId!.Value] = new(moment.Key.TakenAt, air, humidity is null ? null : HumidityOf(humidity, air));
            }
        }

        return last;
    }

    private static RelativeHumidity HumidityOf(ReadingRow row, Temperature air) =>
        row.HumidityOver == HumidityReference.Ice
            ? RelativeHumidity.FromPercent(Math.Max(1, row.Percent!.Value), HumidityReference.Ice)
            : RelativeHumidity.OfWeather(Math.Max(1, row.Percent!.Value), air);

    private static IEnumerable<SiteReading> Pairs(List<ReadingRow> rows, Pressure pressure) =>
        from row in rows
        group row by (row.SurfaceId, row.TakenAt) into moment
        let celsius = moment.Select(row => row.TempC).FirstOrDefault(value => value is not null)
        let humidity = moment.FirstOrDefault(row => row.Percent is not null)
        where celsius is not null && humidity is not null
        let air = Temperature.FromCelsius(celsius.Value)
        select new SiteReading(moment.Key.TakenAt, MoistAir.Of(air, HumidityOf(humidity, air), pressure));

    // Each hour that was logged is one reading, at its middle.
    private static IEnumerable<SiteReading> Logged(LoggerSeriesRow log, DateTimeOffset since, DateTimeOffset now, Pressure pressure) =>
        LoggedAir
            .Hours(
                log.Times.Select(
                        (time, i) =>
                            new LoggedReading(
                                DateTimeOffset.FromUnixTimeSeconds(time),
                                Temperature.FromCelsius(log.TempsC[i]),
                                Math.Max(1, log.RhPct[i])
                            )
                    )
                    .Where(reading => reading.At >= since && reading.At <= now)
            )
            .Select(hour => new SiteReading(hour.Start.AddMinutes(30), hour.StateAt(pressure)!.Value));
}
