using System.IO.Compression;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Weather;
using Umbracell.Formats.Forecasts;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Forecasts;

/// <summary>Forecasts of places, kept so that everybody of a firm, every copy of the server and the next hour use one.</summary>
internal sealed partial class ForecastLibrary(
    UmbracellDb db,
    IHttpClientFactory clients,
    ForecastSettings settings,
    ReadForecasts read,
    ForecastMetrics metrics,
    TimeProvider clock,
    ILogger<ForecastLibrary> logger
)
{
    /// <summary>Hours before now that faces and rooms begin in: what came before is forgotten by then.</summary>
    public static readonly TimeSpan Before = TimeSpan.FromHours(48);

    /// <summary>Forecasts older than this are dropped.</summary>
    public static readonly TimeSpan KeptFor = TimeSpan.FromDays(30);

    // Issues come every few hours; a source is asked whether there is a new one this often.
    private static readonly TimeSpan AskedEvery = TimeSpan.FromHours(1);

    // An issue older than this says little of the days ahead: the next source is asked.
    private static readonly TimeSpan OldAfter = TimeSpan.FromHours(36);

    /// <summary>Whether any source is set up.</summary>
    public bool IsSetUp => settings.Sources.Count > 0;

    /// <summary>The forecast of a point: what is kept where that is fresh, else what the sources say now.</summary>
    public async Task<ForecastFound> FindAsync(GeoPoint point, CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        var kept = await KeptAsync(point, now, stop);
        var newest = kept.FirstOrDefault();
        if (!IsSetUp || (newest is not null && now - newest.Row.AskedAt < AskedEvery && now >= newest.Row.AskedAt))
        {
            return new(Composed(kept, now), []);
        }

        var troubles = new List<SourceTrouble>();
        foreach (var source in settings.Sources)
        {
            if (read.WaitsFor(source.Name, now) is { } waits)
            {
                troubles.Add(waits);
                continue;
            }

            try
            {
                await AskAsync(source, point, now, stop);
                metrics.Answered(source.Name);
                return new(Composed(await KeptAsync(point, now, stop), now), troubles);
            }
            catch (ForecastTroubleException e)
            {
                var trouble = new SourceTrouble(source.Name, e.Trouble, e.Detail);
                troubles.Add(trouble);
                metrics.Troubled(trouble);
                read.Wait(trouble, now);
                LogTroubled(e, source.Name, e.Trouble, e.Detail);
            }
        }

        metrics.NobodyAnswered();
        return new(Composed(kept, now), troubles);
    }

    /// <summary>Drops what is too old.</summary>
    public Task<int> DropOldAsync(CancellationToken stop)
    {
        var oldest = clock.GetUtcNow() - KeptFor;
        return db.Forecasts.Where(row => row.IssuedAt < oldest).ExecuteDeleteAsync(stop);
    }

    private async Task AskAsync(ForecastSource source, GeoPoint point, DateTimeOffset now, CancellationToken stop)
    {
        using var patience = CancellationTokenSource.CreateLinkedTokenSource(stop);
        patience.CancelAfter(TimeSpan.FromSeconds(settings.PatienceSeconds));
        try
        {
            var edr = new EdrClient(clients.CreateClient(EdrClient.Client));
            var offer = await edr.OfferAsync(source, patience.Token);
            var newest = offer.Runs[0];
            if (now - newest.IssuedAt > OldAfter)
            {
                throw new ForecastTroubleException(ForecastTrouble.Old, newest.IssuedAt.ToString("u"));
            }

            // The newest run, and one from which the hours before now are known when nothing is kept of them.
            var before = offer.Runs.Where(run => run.IssuedAt <= now - Before).Take(1);
            foreach (var run in before.Append(newest).Distinct())
            {
                var standing = await StandingAsync(source, point, run, patience.Token);
                await KeepAsync(
                    standing ?? New(source, point, run, await edr.RunAsync(source, point, run, offer.Format, patience.Token)),
                    run == newest ? now : null,
                    patience.Token
                );
            }
        }
        catch (OperationCanceledException e) when (!stop.IsCancellationRequested)
        {
            throw new ForecastTroubleException(ForecastTrouble.Late, "", e);
        }
    }

    private Task<ForecastRow?> StandingAsync(ForecastSource source, GeoPoint point, EdrRun run, CancellationToken stop)
    {
        var (north, east) = Key(point);
        return db
            .Forecasts.AsTracking()
            .FirstOrDefaultAsync(
                row => row.North == north && row.East == east && row.Source == source.Name && row.IssuedAt == run.IssuedAt,
                stop
            );
    }

    private ForecastRow New(ForecastSource source, GeoPoint point, EdrRun run, byte[] body)
    {
        Read(source, body, run.IssuedAt);
        var (north, east) = Key(point);
        var row = new ForecastRow
        {
            Id = Guid.CreateVersion7(),
            North = north,
            East = east,
            Source = source.Name,
            IssuedAt = run.IssuedAt,

            // An older run is no sign that somebody asked for the newest: whoever comes between the two asks as well.
            AskedAt = run.IssuedAt,
            Body = Packed(body),
        };
        db.Forecasts.Add(row);
        return row;
    }

    private async Task KeepAsync(ForecastRow row, DateTimeOffset? askedAt, CancellationToken stop)
    {
        row.AskedAt = askedAt ?? row.AskedAt;
        try
        {
            await db.SaveChangesAsync(stop);
        }
        catch (DbUpdateException)
        {
            // Another request kept the same run a moment before.
            db.Entry(row).State = EntityState.Detached;
        }
    }

    // What cannot be read is not kept.
    private static IReadOnlyList<AirRun> Read(ForecastSource source, byte[] body, DateTimeOffset issued)
    {
        try
        {
            return CoverageJson.Read(body, source.Names, issued);
        }
        catch (UnreadableForecastException e)
        {
            throw new ForecastTroubleException(
                e.Fault switch
                {
                    ForecastFault.CutShort => ForecastTrouble.CutShort,
                    ForecastFault.UnknownUnit => ForecastTrouble.UnknownUnit,
                    ForecastFault.Impossible => ForecastTrouble.Impossible,
                    _ => ForecastTrouble.NotACoverage,
                },
                e.Detail,
                e
            );
        }
    }

    private sealed record KeptRun(ForecastRow Row, IReadOnlyList<AirRun> Members);

    private async Task<List<KeptRun>> KeptAsync(GeoPoint point, DateTimeOffset now, CancellationToken stop)
    {
        var (north, east) = Key(point);
        var oldest = now - KeptFor;
        var rows = await db
            .Forecasts.AsNoTracking()
            .Where(row => row.North == north && row.East == east && row.IssuedAt >= oldest && row.IssuedAt <= now)
            .OrderByDescending(row => row.IssuedAt)
            .Select(row => new ForecastRow
            {
                Id = row.Id,
                Source = row.Source,
                IssuedAt = row.IssuedAt,
                AskedAt = row.AskedAt,
                Body = Array.Empty<byte>(),
            })
            .Take(24)
            .ToListAsync(stop);
        var known = rows.Where(row => settings.Sources.Any(source => source.Name == row.Source)).ToList();
        var first = known.FirstOrDefault();
        var needed = known
            .Where(row => row.Source == first?.Source && row.IssuedAt >= first!.IssuedAt - Before - TimeSpan.FromHours(12))
            .ToList();
        var kept = new List<KeptRun>();
        foreach (var row in needed)
        {
            if ((read.Of(row.Id) ?? await ReadKeptAsync(row, stop)) is { } members)
            {
                kept.Add(new(row, members));
            }
        }

        return kept;
    }

    // What was kept under other names of parameters than those in force is none.
    private async Task<IReadOnlyList<AirRun>?> ReadKeptAsync(ForecastRow row, CancellationToken stop)
    {
        var body = await db.Forecasts.Where(one => one.Id == row.Id).Select(one => one.Body).FirstAsync(stop);
        var source = settings.Sources.First(one => one.Name == row.Source);
        try
        {
            var members = Read(source, Unpacked(body), row.IssuedAt);
            read.Keep(row.Id, members);
            return members;
        }
        catch (ForecastTroubleException)
        {
            return null;
        }
    }

    // Of the hours before now each is told by the last run issued before it: what was then the nearest to the truth.
    private SiteForecast? Composed(List<KeptRun> kept, DateTimeOffset now)
    {
        if (kept.Count == 0)
        {
            return null;
        }

        var (newest, runs) = (kept[0].Row, kept[0].Members);
        var source = settings.Sources.First(one => one.Name == newest.Source);
        var older = kept.Skip(1).Select(one => one.Members).ToList();
        var start = Earliest(runs, older, now - Before);
        return new()
        {
            Members = [.. runs.Select((run, m) => run with { Hours = [.. Spliced(run, older, m, start)] })],
            Source = newest.Source,
            Credit = source.Credit,
            IssuedAt = newest.IssuedAt,
        };
    }

    // The first hour from which on every one is told by some run.
    private static DateTimeOffset Earliest(IReadOnlyList<AirRun> runs, List<IReadOnlyList<AirRun>> older, DateTimeOffset wanted)
    {
        var start = runs[0].Start;
        foreach (var run in older.Select(members => members[0]))
        {
            if (run.Start < start && run.End >= start)
            {
                start = run.Start;
            }
        }

        var first = new DateTimeOffset(wanted.Year, wanted.Month, wanted.Day, wanted.Hour, 0, 0, TimeSpan.Zero);
        return start > first ? start : first;
    }

    private static IEnumerable<AirHour> Spliced(AirRun newest, List<IReadOnlyList<AirRun>> older, int member, DateTimeOffset start)
    {
        for (var at = start; at < newest.Start; at = at.AddHours(1))
        {
            var members = older.First(run => run[0].Start <= at && run[0].End > at);
            var run = members[member % members.Count];
            yield return run.Hours[(int)(at - run.Start).TotalHours];
        }

        foreach (var hour in newest.Hours.Where(hour => hour.Start >= start))
        {
            yield return hour;
        }
    }

    // A service tells a field some kilometres wide: a hundredth of a degree is finer than that.
    private static (int North, int East) Key(GeoPoint point) =>
        ((int)Math.Round(100 * point.Latitude), (int)Math.Round(100 * point.Longitude));

    private static byte[] Packed(byte[] body)
    {
        using var packed = new MemoryStream();
        using (var gzip = new GZipStream(packed, CompressionLevel.Fastest))
        {
            gzip.Write(body);
        }

        return packed.ToArray();
    }

    private static byte[] Unpacked(byte[] body)
    {
        using var gzip = new GZipStream(new MemoryStream(body), CompressionMode.Decompress);
        using var whole = new MemoryStream();
        gzip.CopyTo(whole);
        return whole.ToArray();
    }

    [LoggerMessage(LogLevel.Warning, "The forecast source {Source} gave nothing that can be used: {Trouble} {Detail}")]
    private partial void LogTroubled(Exception cause, string source, ForecastTrouble trouble, string detail);
}
