using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Readings;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Baseline;

/// <summary>A spot read off a thermal picture: its temperature, and where that lies between outdoors and room.</summary>
/// <param name="Label">Its name.</param>
/// <param name="Row">From the top, from 0.</param>
/// <param name="Column">From the left, from 0.</param>
/// <param name="Temp">Temperature.</param>
/// <param name="Factor">Temperature factor; null where room and outdoors are too near each other to tell.</param>
public sealed record SpotAnswer(string Label, int Row, int Column, FigureAnswer Temp, FigureAnswer? Factor);

/// <summary>A thermal picture without its dots.</summary>
public sealed record ThermalAnswer
{
    public required Guid Id { get; init; }

    public required Guid? SurfaceId { get; init; }

    public required string Name { get; init; }

    public required WorkPhase Phase { get; init; }

    public required int Rows { get; init; }

    public required int Columns { get; init; }

    public required FigureAnswer Coldest { get; init; }

    public required FigureAnswer Warmest { get; init; }

    public required FigureAnswer Indoor { get; init; }

    public required FigureAnswer Outdoor { get; init; }

    public required string Conditions { get; init; }

    public required IReadOnlyList<SpotAnswer> Spots { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }

    public required uint Version { get; init; }
}

/// <summary>The dots of a thermal picture, thinned where there are more than a screen shows.</summary>
/// <param name="Rows">Rows sent.</param>
/// <param name="Columns">Columns sent.</param>
/// <param name="Step">Every how many-th dot.</param>
/// <param name="TempsC">Row by row.</param>
/// <param name="Scale">Printed marks of the scale, coldest first.</param>
public sealed record ThermalDots(int Rows, int Columns, int Step, IReadOnlyList<float> TempsC, IReadOnlyList<FigureAnswer> Scale);

internal static class ThermalPictures
{
    private const int MostOfAJob = 60;
    private const int MostSpots = 20;
    private const int WidestSent = 320;

    private static readonly string[] Fields = ["name", "phase", "surface", "indoor", "outdoor", "conditions", "spots"];

    public static void MapThermal(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/thermal", ListAsync)
            .WithTags("Baseline")
            .WithSummary("Thermal pictures of a job.")
            .Requires(Right.Look);
        app.MapPost("/api/jobs/{id:guid}/thermal", AddAsync)
            .WithTags("Baseline")
            .WithSummary("A thermal picture as a grid of temperatures; the file is the body.")
            .Requires(Right.Edit)
            .Accepts<byte[]>("application/octet-stream")
            .TakesFile(Limits.GridBytes);
        app.MapGet("/api/thermal/{id:guid}/dots", DotsAsync)
            .WithTags("Baseline")
            .WithSummary("The dots of a thermal picture.")
            .Requires(Right.Look);
        app.MapPatch("/api/thermal/{id:guid}", ChangeAsync)
            .WithTags("Baseline")
            .WithSummary("Name, conditions and spots of a thermal picture.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        app.MapDelete("/api/thermal/{id:guid}", RemoveAsync)
            .WithTags("Baseline")
            .WithSummary("Take a thermal picture off.")
            .Requires(Right.Edit);
    }

    private static async Task<Ok<List<ThermalAnswer>>> ListAsync(Guid id, SurfaceReader reader, UmbracellDb db) =>
        TypedResults.Ok(await AllAsync((await reader.FindJobAsync(id)).Id, db));

    private static async Task<List<ThermalAnswer>> AllAsync(Guid job, UmbracellDb db) =>
        (await db.ThermalPictures.AsNoTracking().Where(t => t.JobId == job).OrderBy(t => t.TakenAt).ToListAsync()).ConvertAll(Answer);

    private static async Task<Ok<List<ThermalAnswer>>> AddAsync(
        Guid id,
        HttpRequest request,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock,
        string name = "",
        bool fahrenheit = false,
        Guid? command = null
    )
    {
        var job = await reader.FindJobAsync(id);
        if (!await commands.TakeAsync(new SentAlone(command), null))
        {
            return TypedResults.Ok(await AllAsync(job.Id, db));
        }

        var grid = ThermalGrid.Read(await Uploads.ReadAsync(request), fahrenheit);
        if (await db.ThermalPictures.CountAsync(t => t.JobId == job.Id) >= MostOfAJob)
        {
            throw FieldFaultsException.Of("file", FaultCode.TooMany, name);
        }

        var stamp = Stamp.Of(user, clock);
        db.ThermalPictures.Add(
            new()
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                Name = name.Trim().Length is > 0 and <= 120 ? name.Trim() : "Thermal picture",
                Rows = grid.Rows,
                Columns = grid.Columns,
                TempsC = grid.Celsius,
                IndoorC = job.IndoorC,
                OutdoorC = job.OutdoorC,
                TakenAt = stamp.At,
                TakenBy = stamp.By,
            }
        );
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(job.Id, db));
    }

    private static async Task<Ok<ThermalDots>> DotsAsync(Guid id, UmbracellDb db)
    {
        var row = await FindAsync(id, db);
        var step = Math.Max(1, (int)Math.Ceiling(Math.Max(row.Rows, row.Columns) / (double)WidestSent));
        var (rows, columns) = ((row.Rows + step - 1) / step, (row.Columns + step - 1) / step);
        var dots = Enumerable
            .Range(0, rows)
            .SelectMany(r => Enumerable.Range(0, columns).Select(c => MathF.Round(row.TempsC[r * step * row.Columns + c * step], 2)));
        var (low, high) = (row.TempsC.Min(), row.TempsC.Max());
        return TypedResults.Ok(
            new ThermalDots(
                rows,
                columns,
                step,
                [.. dots],
                [.. Enumerable.Range(0, 5).Select(i => FigureAnswer.OfCelsius(low + (high - low) * i / 4.0))]
            )
        );
    }

    private static async Task<Ok<List<ThermalAnswer>>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands
    )
    {
        var row = await FindAsync(id, db);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(await AllAsync(row.JobId, db));
        }

        Seen.MustStand(edit.Version, row.Version, () => Answer(row));

        var known = await reader.NamesAsync(row.JobId);
        var fields = new TypedFields(edit);
        fields.Text("name", 120, required: true, text => row.Name = text);
        fields.Choice<WorkPhase>("phase", phase => row.Phase = phase);
        fields.Id("surface", known.ContainsKey, surface => row.SurfaceId = surface);
        fields.Quantity("indoor", FieldRanges.ReadTemperature, si => row.IndoorC = si);
        fields.Quantity("outdoor", FieldRanges.ReadTemperature, si => row.OutdoorC = si);
        fields.Text("conditions", 500, required: false, text => row.Conditions = text);
        TakeSpots(fields, row);
        fields.ThrowIfFaulty(Fields);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(row.JobId, db));
    }

    // "12,40,sill; 80,31,corner": row, column and name.
    private static void TakeSpots(TypedFields fields, ThermalPictureRow row)
    {
        if (!fields.Has("spots"))
        {
            return;
        }

        var spots = new List<ThermalSpot>();
        foreach (var one in fields.Raw("spots").Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            var parts = one.Split(',', 3, StringSplitOptions.TrimEntries);
            if (
                parts.Length < 2
                || !int.TryParse(parts[0], out var r)
                || !int.TryParse(parts[1], out var c)
                || r < 0
                || r >= row.Rows
                || c < 0
                || c >= row.Columns
                || spots.Count == MostSpots
            )
            {
                fields.Fault(
                    new()
                    {
                        Field = "spots",
                        Code = FaultCode.Unknown,
                        Typed = one,
                    }
                );
                return;
            }

            spots.Add(
                new()
                {
                    Row = r,
                    Column = c,
                    Label = parts.Length > 2 ? parts[2] : "",
                }
            );
        }

        row.Spots.Clear();
        row.Spots.AddRange(spots);
    }

    private static async Task<Ok<List<ThermalAnswer>>> RemoveAsync(Guid id, UmbracellDb db)
    {
        var row = await FindAsync(id, db);
        db.ThermalPictures.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(row.JobId, db));
    }

    private static async Task<ThermalPictureRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.ThermalPictures.SingleOrDefaultAsync(t => t.Id == id) ?? throw new NotFoundException("thermal picture");

    private static ThermalAnswer Answer(ThermalPictureRow row) =>
        new()
        {
            Id = row.Id,
            SurfaceId = row.SurfaceId,
            Name = row.Name,
            Phase = row.Phase,
            Rows = row.Rows,
            Columns = row.Columns,
            Coldest = FigureAnswer.OfCelsius(row.TempsC.Min()),
            Warmest = FigureAnswer.OfCelsius(row.TempsC.Max()),
            Indoor = FigureAnswer.OfCelsius(row.IndoorC),
            Outdoor = FigureAnswer.OfCelsius(row.OutdoorC),
            Conditions = row.Conditions,
            Spots = [.. row.Spots.Select(spot => Spot(spot, row))],
            TakenAt = row.TakenAt,
            TakenBy = row.TakenBy,
            Version = row.Version,
        };

    private static SpotAnswer Spot(ThermalSpot spot, ThermalPictureRow row)
    {
        var t = row.TempsC[spot.Row * row.Columns + spot.Column];
        var factor = TemperatureFactor.Of(
            Temperature.FromCelsius(t),
            Temperature.FromCelsius(row.IndoorC),
            Temperature.FromCelsius(row.OutdoorC)
        );
        return new(
            spot.Label,
            spot.Row,
            spot.Column,
            FigureAnswer.OfCelsius(t),
            factor is { } f ? FigureAnswer.Of(Figure.Number(f)) : null
        );
    }
}
