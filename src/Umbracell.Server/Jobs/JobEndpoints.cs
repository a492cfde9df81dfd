using System.Globalization;
using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Choose;
using Umbracell.Server.Places;
using Umbracell.Server.Problems;
using Umbracell.Server.Section;
using Umbracell.Server.Sets.PastJobs;
using Umbracell.Server.Sets.Price;
using Umbracell.Server.Sheets;
using Umbracell.Server.Targets;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Jobs;

internal static class JobEndpoints
{
    private static readonly string[] Fields =
    [
        "name",
        "crew",
        "climateZone",
        "targetSet",
        "indoorTemp",
        "indoorHumidity",
        "outdoorTemp",
        "outdoorHumidity",
        "summerIndoorTemp",
        "summerIndoorHumidity",
        "summerOutdoorTemp",
        "summerOutdoorHumidity",
        "height",
        "place",
        "humidityClass",
        "roomTemps",
        "roomHumidities",
        "altitude",
        "risk",
        .. JobChoosing.Fields,
        .. JobPricing.Fields,
    ];

    public static void MapJobs(this IEndpointRouteBuilder app)
    {
        var jobs = app.MapGroup("/api/jobs").WithTags("Jobs").RequireAuthorization();
        jobs.MapGet("", ListAsync).WithSummary("The firm's jobs, newest first.");
        jobs.MapPost("", CreateAsync).WithSummary("A new job from typed fields.").RequireAuthorization(Claims.MayEdit);
        jobs.MapPatch("/{id:guid}", ChangeAsync)
            .WithSummary("Change typed fields of a job.")
            .RequireAuthorization(Claims.MayEdit)
            .ProducesProblem(409);
        jobs.MapGet("/{id:guid}/board", BoardAsync).WithSummary("The board: every surface at every stage.");
    }

    private static async Task<Ok<List<JobCard>>> ListAsync(
        UmbracellDb db,
        SurfaceReader reader,
        SheetLibrary library,
        CrewYields crews,
        TimeProvider clock
    )
    {
        var cards = new List<JobCard>();
        foreach (var job in await db.Jobs.AsNoTracking().OrderByDescending(j => j.CreatedAt).Take(200).ToListAsync())
        {
            var study = await JobStudy.OfAsync(job, reader, library, crews, clock);
            var worst = study.Rows.Select(WorstOf).ToList();
            cards.Add(
                new(
                    Answer(job),
                    study.Rows.Count,
                    FigureAnswer.Of(AreaOf(study).ToFigure()),
                    worst.Count(v => v == Verdict.Hold),
                    worst.Count(v => v == Verdict.Care),
                    worst.Count(v => v == Verdict.Clear)
                )
            );
        }

        return TypedResults.Ok(cards);
    }

    private static async Task<Created<JobAnswer>> CreateAsync(TypedEdit edit, UmbracellDb db, TimeProvider clock)
    {
        var fields = new TypedFields(edit);
        if (!fields.Has("name"))
        {
            fields.Fault(new("name", "empty", ""));
        }

        var job = new Job
        {
            Id = Guid.NewGuid(),
            Name = "",
            ClimateZone = "5A",
            TargetSetId = edit.Units == UnitSystem.Metric ? "metric-sample" : "iecc-2021",
            CreatedAt = clock.GetUtcNow(),
        };
        Take(fields, job, await OwnPlacesAsync(db), await OwnTargetsAsync(db));
        db.Jobs.Add(job);
        await db.SaveChangesAsync();
        return TypedResults.Created($"/api/jobs/{job.Id}", Answer(job));
    }

    private static async Task<Ok<JobAnswer>> ChangeAsync(Guid id, TypedEdit edit, UmbracellDb db, SurfaceReader reader, Commands commands)
    {
        var job = await reader.FindJobAsync(id);
        if (!await commands.TakeAsync(edit, job))
        {
            return TypedResults.Ok(Answer(job));
        }

        if (edit.Version is { } seen && seen != job.Version)
        {
            throw new StaleEditException(Answer(job));
        }

        Take(new(edit), job, await OwnPlacesAsync(db), await OwnTargetsAsync(db));
        await db.SaveChangesAsync();
        return TypedResults.Ok(Answer(job));
    }

    private static async Task<Ok<BoardAnswer>> BoardAsync(Guid id, PriceReader prices, ClaimsPrincipal person)
    {
        var (study, bid) = await prices.BidAsync(id);
        var kept = await prices
            .Db.Bids.AsNoTracking()
            .Where(b => b.JobId == id)
            .OrderByDescending(b => b.MadeAt)
            .Select(b => b.Document)
            .FirstOrDefaultAsync();
        var changed = kept is null ? [] : PriceAnswers.ChangedSince(kept, bid);
        var sets = bid.Surfaces.ToDictionary(s => s.Row.Surface.Id, s => s.Priced.Foams.Sum(f => f.Sets));
        var rows = study
            .Rows.Select(row => new BoardRow(
                row.Surface.Id,
                row.Surface.Name,
                row.Surface.Kind,
                row.Sheet?.Cell,
                row.Sheet?.Name,
                WorstOf(row),
                SectionSketch.Of(row.Section?.Case ?? row.Bare),
                BoardCells.Of(row, sets.GetValueOrDefault(row.Surface.Id), changed.Contains(row.Surface.Name))
            ))
            .ToList();
        var feet = new BoardFeet(
            rows.Count,
            FigureAnswer.Of(AreaOf(study).ToFigure()),
            study.Rows.Count(r => r is { Sheet: null, Surface.System: null }),
            study.Rows.Count(r => r.Section?.Findings.Any(f => f.Rule == SectionRules.Target && f.Verdict != Verdict.Clear) == true),
            FigureAnswer.Of(new(sets.Values.Sum(), Dimension.Sets)),
            study.Rows.Count(r => r.Gate is { Verdict: not Verdict.Hold }),
            rows.Count(r => r.Worst == Verdict.Hold),
            Money(bid.Bid.Cost),
            Money(bid.Bid.Price)
        );
        return TypedResults.Ok(new BoardAnswer(Answer(study.Job), rows, feet));

        FigureAnswer? Money(double amount) =>
            bid.Bid.Missing.Count > 0 || bid.Surfaces.Count == 0 || !Claims.Prices(person)
                ? null
                : FigureAnswer.Of(new(amount, Dimension.Money));
    }

    private static Verdict WorstOf(SurfaceStudy row) =>
        row
            .Survey.Concat(row.Section?.Findings ?? [])
            .Concat(row.Year?.Findings ?? [])
            .Concat(row.AllSets.SelectMany(one => one.Sets.Findings))
            .Concat(row.Gate?.Findings ?? [])
            .Worst();

    private static Area AreaOf(JobStudy study) =>
        study.Rows.Aggregate(default(Area), (sum, r) => r.Takeoff is { OpeningsExceedSurface: false } t ? sum + t.Treated : sum);

    private static async Task<Dictionary<string, PlaceRow>> OwnPlacesAsync(UmbracellDb db) =>
        await db.Places.ToDictionaryAsync(p => p.Id.ToString());

    private static async Task<Dictionary<string, TargetSetRow>> OwnTargetsAsync(UmbracellDb db) =>
        await db.TargetSets.ToDictionaryAsync(t => t.Id.ToString());

    private static void Take(TypedFields fields, Job job, Dictionary<string, PlaceRow> own, Dictionary<string, TargetSetRow> ownTargets)
    {
        fields.Text("name", 200, required: true, text => job.Name = text);
        fields.Text("crew", 60, required: false, text => job.Crew = text);
        fields.Known("climateZone", ClimateZones.All.Contains, zone => job.ClimateZone = zone);
        fields.Known(
            "targetSet",
            id => ShippedData.TargetSets.ContainsKey(id) || ownTargets.ContainsKey(id),
            id => JobTargets.Set(job, id, ownTargets)
        );
        fields.Quantity("indoorTemp", FieldRanges.IndoorTemperature, si => job.IndoorC = si);
        fields.Quantity("indoorHumidity", FieldRanges.Humidity, si => job.IndoorRhPct = si);
        fields.Quantity("outdoorTemp", FieldRanges.OutdoorTemperature, si => job.OutdoorC = si);
        fields.Quantity("outdoorHumidity", FieldRanges.Humidity, si => job.OutdoorRhPct = si);
        fields.Quantity("summerIndoorTemp", FieldRanges.IndoorTemperature, si => job.SummerIndoorC = si);
        fields.Quantity("summerIndoorHumidity", FieldRanges.Humidity, si => job.SummerIndoorRhPct = si);
        fields.Quantity("summerOutdoorTemp", FieldRanges.OutdoorTemperature, si => job.SummerOutdoorC = si);
        fields.Quantity("summerOutdoorHumidity", FieldRanges.Humidity, si => job.SummerOutdoorRhPct = si);
        fields.Known(
            "place",
            id => id.Length == 0 || ShippedData.Places.ContainsKey(id) || own.ContainsKey(id),
            id => JobPlaces.Set(job, id, own)
        );
        fields.Known(
            "humidityClass",
            typed => typed is "" or "1" or "2" or "3" or "4" or "5",
            typed => job.HumidityClass = typed.Length == 0 ? null : int.Parse(typed, CultureInfo.InvariantCulture)
        );
        fields.Months("roomTemps", FieldRanges.IndoorTemperature, months => job.RoomMonthsC = months);
        fields.Months("roomHumidities", FieldRanges.Humidity, months => job.RoomMonthsRhPct = months);
        fields.QuantityOrBlank("height", FieldRanges.Height, si => job.HeightM = si);
        fields.Quantity("altitude", FieldRanges.Altitude, si => job.AltitudeM = si);
        fields.Quantity("risk", FieldRanges.Risk, si => job.RiskPct = si);
        JobChoosing.Take(fields, job);
        JobPricing.Take(fields, job);
        fields.ThrowIfFaulty(Fields);
    }

    private static JobAnswer Answer(Job job)
    {
        var figures = new Dictionary<string, Figure>
        {
            ["indoorTemp"] = new(job.IndoorC, Dimension.Temperature),
            ["indoorHumidity"] = new(job.IndoorRhPct, Dimension.RelativeHumidity),
            ["outdoorTemp"] = new(job.OutdoorC, Dimension.Temperature),
            ["outdoorHumidity"] = new(job.OutdoorRhPct, Dimension.RelativeHumidity),
            ["summerIndoorTemp"] = new(job.SummerIndoorC, Dimension.Temperature),
            ["summerIndoorHumidity"] = new(job.SummerIndoorRhPct, Dimension.RelativeHumidity),
            ["summerOutdoorTemp"] = new(job.SummerOutdoorC, Dimension.Temperature),
            ["summerOutdoorHumidity"] = new(job.SummerOutdoorRhPct, Dimension.RelativeHumidity),
            ["altitude"] = new(job.AltitudeM, Dimension.Altitude),
            ["risk"] = Figure.Percent(job.RiskPct),
        };
        if (job.HeightM is { } height)
        {
            figures["height"] = new(height, Dimension.Span);
        }

        foreach (var (field, figure) in JobPricing.Figures(job))
        {
            figures[field] = figure;
        }

        return new(
            job.Id,
            job.Name,
            job.Crew,
            job.ClimateZone,
            JobTargets.IdOf(job),
            FigureAnswer.All(figures),
            JobPlaces.IdOf(job),
            job.HumidityClass,
            [.. job.RoomMonthsC.Select(t => FigureAnswer.Of(new(t, Dimension.Temperature)))],
            [.. job.RoomMonthsRhPct.Select(rh => FigureAnswer.Of(new(rh, Dimension.RelativeHumidity)))],
            JobChoosing.Typed(job).Concat(JobPricing.Typed(job)).ToDictionary(),
            JobPlaces.Of(job)?.TimeZone,
            job.Version
        );
    }
}
