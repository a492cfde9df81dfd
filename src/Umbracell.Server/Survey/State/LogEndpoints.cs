using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Readings;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Places;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Survey.Baseline;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.State;

/// <summary>A log at one moment.</summary>
public sealed record LogPoint(long AtUnixS, NumberInUnits Temp, NumberInUnits Dew, double RhPct);

/// <summary>A data logger's series, thinned for a chart, with its extremes.</summary>
public sealed record LogAnswer
{
    public required Guid Id { get; init; }

    public required Guid? SurfaceId { get; init; }

    public required string Name { get; init; }

    /// <summary>Whether it hung outdoors, and so corrects the hours ahead.</summary>
    public required bool Outdoors { get; init; }

    public required int Count { get; init; }

    public required FigureAnswer Coldest { get; init; }

    public required FigureAnswer Warmest { get; init; }

    public required FigureAnswer Driest { get; init; }

    public required FigureAnswer Dampest { get; init; }

    public required FigureAnswer HighestDew { get; init; }

    public required IReadOnlyList<LogPoint> Points { get; init; }

    public required DateTimeOffset AddedAt { get; init; }

    public required string AddedBy { get; init; }
}

/// <summary>A log that was read, with the lines that did not read.</summary>
public sealed record LogAdded(IReadOnlyList<LogAnswer> Logs, IReadOnlyList<int> Skipped);

internal static class LogEndpoints
{
    private const int MostOfAJob = 40;
    private const int PointsOfAChart = 600;

    public static void MapLogs(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/logs", ListAsync)
            .WithTags("State")
            .WithSummary("Data-logger series of a job.")
            .Requires(Right.Look);
        app.MapPost("/api/jobs/{id:guid}/logs", AddAsync)
            .WithTags("State")
            .WithSummary("A data logger's CSV (time, temperature, humidity); the file is the body.")
            .Requires(Right.Edit)
            .Accepts<byte[]>("application/octet-stream")
            .TakesFile(Limits.GridBytes);
        app.MapDelete("/api/logs/{id:guid}", RemoveAsync).WithTags("State").WithSummary("Take a series off.").Requires(Right.Edit);
    }

    private static async Task<Ok<List<LogAnswer>>> ListAsync(Guid id, SurfaceReader reader, UmbracellDb db) =>
        TypedResults.Ok(await AllAsync((await reader.FindJobAsync(id)).Id, db));

    private static async Task<List<LogAnswer>> AllAsync(Guid job, UmbracellDb db) =>
        (await db.LoggerSeries.AsNoTracking().Where(l => l.JobId == job).OrderBy(l => l.AddedAt).ToListAsync()).ConvertAll(Answer);

    // A logger shows the time of the place it hangs in; where that is not known it is taken to be that of whoever sends the file.
    private static Func<DateTime, TimeSpan> OffsetAt(Job job, int sendersMinutes)
    {
        var sender = TimeSpan.FromMinutes(Math.Clamp(sendersMinutes, -840, 840));
        return PlaceTime.IsKnown(job) ? local => PlaceTime.OffsetAt(job, local) : _ => sender;
    }

    private static async Task<Ok<LogAdded>> AddAsync(
        Guid id,
        HttpRequest request,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock,
        Guid? surface = null,
        string name = "",
        int offsetMinutes = 0,
        bool outdoors = false,
        Guid? command = null
    )
    {
        var job = await reader.FindJobAsync(id);
        if (!await commands.TakeAsync(new SentAlone(command), null))
        {
            return TypedResults.Ok(new LogAdded(await AllAsync(job.Id, db), []));
        }

        if (surface is { } known && !(await reader.NamesAsync(job.Id)).ContainsKey(known))
        {
            throw new NotFoundException("surface");
        }

        var log = LoggerFile.Read(await Uploads.ReadAsync(request), OffsetAt(job, offsetMinutes));
        if (await db.LoggerSeries.CountAsync(l => l.JobId == job.Id) >= MostOfAJob)
        {
            throw FieldFaultsException.Of("file", FaultCode.TooMany, name);
        }

        var stamp = Stamp.Of(user, clock);
        db.LoggerSeries.Add(
            new()
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                SurfaceId = surface,
                Outdoors = outdoors,
                Name = name.Trim().Length is > 0 and <= 120 ? name.Trim() : "Logger",
                Times = log.Times,
                TempsC = log.Celsius,
                RhPct = log.Humidity,
                AddedAt = stamp.At,
                AddedBy = stamp.By,
            }
        );
        await db.SaveChangesAsync();
        return TypedResults.Ok(new LogAdded(await AllAsync(job.Id, db), [.. log.Skipped.Take(50)]));
    }

    private static async Task<Ok<List<LogAnswer>>> RemoveAsync(Guid id, UmbracellDb db)
    {
        var row = await db.LoggerSeries.SingleOrDefaultAsync(l => l.Id == id) ?? throw new NotFoundException("log");
        db.LoggerSeries.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(row.JobId, db));
    }

    private static LogAnswer Answer(LoggerSeriesRow row)
    {
        var dew = row.TempsC.Zip(row.RhPct, DewPoint).ToArray();
        var step = Math.Max(1, row.Times.Length / PointsOfAChart);
        var points = Enumerable
            .Range(0, (row.Times.Length + step - 1) / step)
            .Select(i => i * step)
            .Select(i => new LogPoint(row.Times[i], Number(row.TempsC[i]), Number(dew[i]), Math.Round(row.RhPct[i], 2)));
        return new()
        {
            Id = row.Id,
            SurfaceId = row.SurfaceId,
            Name = row.Name,
            Outdoors = row.Outdoors,
            Count = row.Times.Length,
            Coldest = FigureAnswer.OfCelsius(row.TempsC.Min()),
            Warmest = FigureAnswer.OfCelsius(row.TempsC.Max()),
            Driest = Humidity(row.RhPct.Min()),
            Dampest = Humidity(row.RhPct.Max()),
            HighestDew = FigureAnswer.OfCelsius(dew.Max()),
            Points = [.. points],
            AddedAt = row.AddedAt,
            AddedBy = row.AddedBy,
        };
    }

    private static double DewPoint(double celsius, double percent) =>
        MoistAir
            .Of(
                Temperature.FromCelsius(celsius),
                RelativeHumidity.FromPercent(Math.Max(1, percent)),
                StandardAtmosphere.PressureAt(Length.Zero)
            )
            .DewPoint.Celsius;

    private static NumberInUnits Number(double celsius) => NumberInUnits.Of(new(celsius, Dimension.Temperature));

    private static FigureAnswer Humidity(double percent) => FigureAnswer.Of(new(percent, Dimension.RelativeHumidity));
}
