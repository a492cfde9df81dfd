using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Airtightness;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Baseline;

/// <summary>A point of a fan test as typed and as fitted.</summary>
public sealed record FanPointAnswer(FigureAnswer Pressure, FigureAnswer Flow, double InducedPa, NumberInUnits Leak, NumberInUnits Fitted);

/// <summary>A bare number in both unit systems, for the axis of a chart.</summary>
public sealed record NumberInUnits(double Us, double Metric)
{
    internal static NumberInUnits Of(Figure figure) =>
        new(Round(QuantityPrinter.Value(figure, UnitSystem.Us)), Round(QuantityPrinter.Value(figure, UnitSystem.Metric)));

    private static double Round(double value) => Math.Round(value, 3);
}

/// <summary>What a fan test gives.</summary>
public sealed record FanResultAnswer
{
    public required bool IsSinglePoint { get; init; }

    public required double Coefficient { get; init; }

    public required double Exponent { get; init; }

    public required BoundedAnswer ExponentFigure { get; init; }

    public required FigureAnswer? Fit { get; init; }

    public required BoundedAnswer FlowAt50 { get; init; }

    public required BoundedAnswer? AirChangesAt50 { get; init; }

    public required FigureAnswer LeakageArea { get; init; }

    public required WorkingAnswer Working { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}

/// <summary>A fan test.</summary>
public sealed record FanTestAnswer
{
    public required Guid Id { get; init; }

    public required WorkPhase Phase { get; init; }

    public required FanDirection Direction { get; init; }

    public required FigureAnswer Indoor { get; init; }

    public required FigureAnswer Outdoor { get; init; }

    public required FigureAnswer? Volume { get; init; }

    public required FigureAnswer ZeroBefore { get; init; }

    public required FigureAnswer ZeroAfter { get; init; }

    public required IReadOnlyList<FanPointAnswer> Points { get; init; }

    public required TextInUnits PointsText { get; init; }

    public required string Words { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }

    public required FanResultAnswer? Result { get; init; }

    public required FieldFault? Fault { get; init; }

    public required uint Version { get; init; }
}

/// <summary>The fan tests of a job, and how much tighter it became.</summary>
public sealed record FanTestsAnswer(IReadOnlyList<FanTestAnswer> Tests, BoundedAnswer? Reduction);

/// <summary>Takes fan tests down and evaluates them.</summary>
internal static class FanTests
{
    private const int MostPoints = 60;

    private static readonly string[] Fields =
    [
        "phase",
        "direction",
        "indoor",
        "outdoor",
        "volume",
        "zeroBefore",
        "zeroAfter",
        "points",
        "words",
    ];

    public static void MapFanTests(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/fan-tests", ListAsync)
            .WithTags("Baseline")
            .WithSummary("Fan tests of a job with their regression.")
            .Requires(Right.Look);
        app.MapPost("/api/jobs/{id:guid}/fan-tests", AddAsync)
            .WithTags("Baseline")
            .WithSummary("Take down a fan test.")
            .Requires(Right.Edit);
        app.MapPatch("/api/fan-tests/{id:guid}", ChangeAsync)
            .WithTags("Baseline")
            .WithSummary("Change typed fields of a fan test.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        app.MapDelete("/api/fan-tests/{id:guid}", RemoveAsync)
            .WithTags("Baseline")
            .WithSummary("Take a fan test off.")
            .Requires(Right.Edit);
    }

    private static async Task<Ok<FanTestsAnswer>> ListAsync(Guid id, SurfaceReader reader, UmbracellDb db) =>
        TypedResults.Ok(await AllAsync(await reader.FindJobAsync(id), db));

    private static async Task<FanTestsAnswer> AllAsync(Job job, UmbracellDb db)
    {
        var rows = await db.FanTests.AsNoTracking().Where(t => t.JobId == job.Id).OrderBy(t => t.TakenAt).ToListAsync();
        var (before, after) = (JobFanTests.Newest(rows, WorkPhase.Before, job), JobFanTests.Newest(rows, WorkPhase.After, job));
        var cut = before is null || after is null ? (Bounded?)null : FanTest.Reduction(before.Value.Test, after.Value.Test);
        return new(
            rows.ConvertAll(row => Answer(row, job)),
            cut is { } share ? BoundedAnswer.Of(new(share.Value * 100, share.Low * 100, share.High * 100), Dimension.Percent) : null
        );
    }

    private static FanTestAnswer Answer(FanTestRow row, Job job)
    {
        var (result, fault) = Result(row, job);
        var points = row
            .PressuresPa.Zip(row.FlowsM3S)
            .Select(
                (p, i) =>
                    new FanPointAnswer(
                        FigureAnswer.Of(new(p.First, Dimension.AirPressure)),
                        FigureAnswer.Of(new(p.Second, Dimension.AirFlow)),
                        result?.Points[i].Pressure ?? p.First,
                        NumberInUnits.Of(new(result?.Points[i].Flow ?? p.Second, Dimension.AirFlow)),
                        NumberInUnits.Of(new(result?.Points[i].Fitted ?? 0, Dimension.AirFlow))
                    )
            );
        return new()
        {
            Id = row.Id,
            Phase = row.Phase,
            Direction = row.Direction,
            Indoor = FigureAnswer.OfCelsius(row.IndoorC),
            Outdoor = FigureAnswer.OfCelsius(row.OutdoorC),
            Volume = row.VolumeM3 is { } v ? FigureAnswer.Of(new(v, Dimension.RoomVolume)) : null,
            ZeroBefore = FigureAnswer.Of(new(row.ZeroBeforePa, Dimension.AirPressure)),
            ZeroAfter = FigureAnswer.Of(new(row.ZeroAfterPa, Dimension.AirPressure)),
            Points = [.. points],
            PointsText = new(Text(row, UnitSystem.Us), Text(row, UnitSystem.Metric)),
            Words = row.Words,
            TakenAt = row.TakenAt,
            TakenBy = row.TakenBy,
            Result = result is null ? null : Answer(result),
            Fault = fault,
            Version = row.Version,
        };
    }

    private static (FanTest? Result, FieldFault? Fault) Result(FanTestRow row, Job job)
    {
        try
        {
            return row.PressuresPa.Length == 0 ? (null, null) : (FanTest.Of(JobFanTests.Case(row, job)), null);
        }
        catch (QuantityRangeException e)
        {
            return (null, FieldFault.Of("points", e));
        }
    }

    private static FanResultAnswer Answer(FanTest test) =>
        new()
        {
            IsSinglePoint = test.IsSinglePoint,
            Coefficient = test.Coefficient,
            Exponent = test.Exponent.Value,
            ExponentFigure = BoundedAnswer.Of(test.Exponent, Dimension.Number),
            Fit = test.Fit is { } r2 ? FigureAnswer.Of(Figure.Number(r2)) : null,
            FlowAt50 = BoundedAnswer.Of(test.FlowAt50, Dimension.AirFlow),
            AirChangesAt50 = test.AirChangesAt50 is { } changes ? BoundedAnswer.Of(changes, Dimension.AirChanges) : null,
            LeakageArea = FigureAnswer.Of(new(test.LeakageArea, Dimension.LeakageArea)),
            Working = WorkingAnswer.Of(test.Working),
            Findings = FindingAnswer.All(test.Findings),
        };

    private static async Task<Ok<FanTestsAnswer>> AddAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var job = await reader.FindJobAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (!await commands.TakeAsync(edit, null, stamp))
        {
            return TypedResults.Ok(await AllAsync(job, db));
        }

        var row = new FanTestRow
        {
            Id = edit.Id ?? Guid.NewGuid(),
            JobId = job.Id,
            TakenAt = stamp.At,
            TakenBy = stamp.By,
        };
        var fields = new TypedFields(edit);
        fields.Require("points");
        Take(fields, row);
        db.FanTests.Add(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(job, db));
    }

    private static async Task<Ok<FanTestsAnswer>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands
    )
    {
        var row = await FindAsync(id, db);
        var job = await reader.FindJobAsync(row.JobId);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(await AllAsync(job, db));
        }

        Seen.MustStand(edit.Version, row.Version, () => Answer(row, job));

        Take(new(edit), row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(job, db));
    }

    private static async Task<Ok<FanTestsAnswer>> RemoveAsync(Guid id, SurfaceReader reader, UmbracellDb db)
    {
        var row = await FindAsync(id, db);
        db.FanTests.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(await reader.FindJobAsync(row.JobId), db));
    }

    private static async Task<FanTestRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.FanTests.SingleOrDefaultAsync(t => t.Id == id) ?? throw new NotFoundException("fan test");

    private static void Take(TypedFields fields, FanTestRow row)
    {
        fields.Choice<WorkPhase>("phase", phase => row.Phase = phase);
        fields.Choice<FanDirection>("direction", direction => row.Direction = direction);
        fields.Quantity("indoor", FieldRanges.ReadTemperature, si => row.IndoorC = si);
        fields.Quantity("outdoor", FieldRanges.ReadTemperature, si => row.OutdoorC = si);
        fields.QuantityOrBlank("volume", FieldRanges.Volume, si => row.VolumeM3 = si);
        fields.Quantity("zeroBefore", FieldRanges.ZeroPressure, si => row.ZeroBeforePa = si);
        fields.Quantity("zeroAfter", FieldRanges.ZeroPressure, si => row.ZeroAfterPa = si);
        fields.Text("words", 500, required: false, text => row.Words = text);
        TakePoints(fields, row);
        fields.ThrowIfFaulty(Fields);
    }

    // One point a line, pressure and flow, as read off the gauge: "50 2310".
    private static void TakePoints(TypedFields fields, FanTestRow row)
    {
        if (!fields.Has("points"))
        {
            return;
        }

        var points = new List<(double Pressure, double Flow)>();
        foreach (
            var line in fields.Raw("points").Split(['\n', ';'], StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
        )
        {
            var cells = line.Split(
                line.Contains('\t') ? ['\t']
                    : line.Contains(',') && !line.Contains(' ') ? [',']
                    : [' '],
                2,
                StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries
            );
            if (cells.Length != 2 || points.Count == MostPoints)
            {
                fields.Fault(
                    new()
                    {
                        Field = "points",
                        Code = FaultCode.Points,
                        Typed = line,
                    }
                );
                return;
            }

            var flow = cells[1].StartsWith("Pa ", StringComparison.OrdinalIgnoreCase) ? cells[1][3..] : cells[1];
            var pair = (
                P: QuantityParser.Parse(cells[0].TrimEnd(','), FieldRanges.FanPressure, fields.Units),
                Q: QuantityParser.Parse(flow, FieldRanges.FanFlow, fields.Units)
            );
            if (
                (
                    pair.P.Fault is not null ? pair.P
                    : pair.Q.Fault is not null ? pair.Q
                    : null
                ) is
                { } bad
            )
            {
                fields.Fault(FieldFault.Of("points", bad));
                return;
            }

            points.Add((pair.P.Figure!.Value.Amount, pair.Q.Figure!.Value.Amount));
        }

        if (points.Count == 0)
        {
            fields.Fault(
                new()
                {
                    Field = "points",
                    Code = FaultCode.Empty,
                    Typed = "",
                }
            );
            return;
        }

        row.PressuresPa = [.. points.Select(p => p.Pressure)];
        row.FlowsM3S = [.. points.Select(p => p.Flow)];
    }

    private static string Text(FanTestRow row, UnitSystem system) =>
        string.Join(
            '\n',
            row.PressuresPa.Zip(
                row.FlowsM3S,
                (p, q) =>
                    $"{QuantityPrinter.Print(new(p, Dimension.AirPressure), system)} {QuantityPrinter.Print(new(q, Dimension.AirFlow), system)}"
            )
        );
}
