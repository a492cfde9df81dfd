using System.Globalization;
using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Means;
using Umbracell.Server.Places;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
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
        "state",
        "archived",
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
        "correctsForecast",
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
        var jobs = app.MapGroup("/api/jobs").WithTags("Jobs").Requires(Right.Look);
        jobs.MapGet("", ListAsync).WithSummary("The firm's jobs, newest first; archived ones after those in work.");
        jobs.MapPost("", CreateAsync).WithSummary("A new job from typed fields.").Requires(Right.Edit);
        jobs.MapPatch("/{id:guid}", ChangeAsync).WithSummary("Change typed fields of a job.").Requires(Right.Edit).ProducesProblem(409);
        jobs.MapGet("/{id:guid}/board", BoardAsync).WithSummary("The board: every surface at every stage.");
    }

    private static async Task<Ok<List<JobCard>>> ListAsync(UmbracellDb db, KeptCards cards)
    {
        var jobs = await KeptCards.Shown(db.Jobs.AsNoTracking()).ToListAsync();
        var counts = await cards.OfAsync([.. jobs.Select(j => j.Id)]);
        return TypedResults.Ok(jobs.ConvertAll(job => Card(job, counts[job.Id])));
    }

    private static JobCard Card(Job job, KeptCard card) =>
        new()
        {
            Job = Answer(job),
            Place = JobPlaces.Of(job)?.Name,
            WorkDate = JobPricing.Of(job).WorkDate,
            Surfaces = card.Surfaces,
            Area = FigureAnswer.Of(card.Area.ToFigure()),
            Hold = card.Worst.GetValueOrDefault(Verdict.Hold),
            Care = card.Worst.GetValueOrDefault(Verdict.Care),
            Clear = card.Worst.GetValueOrDefault(Verdict.Clear),
            UpToDate = card.UpToDate,
        };

    private static async Task<Created<JobAnswer>> CreateAsync(
        TypedEdit edit,
        UmbracellDb db,
        SheetLibrary library,
        Commands commands,
        TimeProvider clock
    )
    {
        if (!await commands.TakeAsync(edit, null))
        {
            var first = await db.Jobs.SingleOrDefaultAsync(j => j.Id == edit.Id) ?? throw new NotFoundException("job");
            return TypedResults.Created($"/api/jobs/{first.Id}", Answer(first));
        }

        var fields = new TypedFields(edit);
        if (!fields.Has("name"))
        {
            fields.Fault(
                new()
                {
                    Field = "name",
                    Code = FaultCode.Empty,
                    Typed = "",
                }
            );
        }

        var job = new Job
        {
            Id = edit.Id ?? Guid.NewGuid(),
            Name = "",
            ClimateZone = "5A",
            TargetSetId = edit.Units == UnitSystem.Metric ? "metric-sample" : "iecc-2021",
            CreatedAt = clock.GetUtcNow(),
        };
        Take(
            fields,
            job,
            await OwnPlacesAsync(db),
            await OwnTargetsAsync(db),
            await MeansByName.OpenAsync(db),
            await library.ShelfAsync(),
            clock
        );
        db.Jobs.Add(job);
        await db.SaveChangesAsync();
        return TypedResults.Created($"/api/jobs/{job.Id}", Answer(job));
    }

    private static async Task<Ok<JobAnswer>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        UmbracellDb db,
        SurfaceReader reader,
        SheetLibrary library,
        Commands commands,
        TimeProvider clock
    )
    {
        var job = await reader.FindJobAsync(id);
        if (!await commands.TakeAsync(edit, job))
        {
            return TypedResults.Ok(Answer(job));
        }

        Seen.MustStand(edit.Version, job.Version, () => Answer(job));

        Take(
            new(edit),
            job,
            await OwnPlacesAsync(db),
            await OwnTargetsAsync(db),
            await MeansByName.OpenAsync(db),
            await library.ShelfAsync(),
            clock
        );
        await db.SaveChangesAsync();
        return TypedResults.Ok(Answer(job));
    }

    private static async Task<Ok<BoardAnswer>> BoardAsync(
        Guid id,
        SurfaceReader reader,
        KeptBoards boards,
        LoggedJobs logged,
        StageCells cells,
        UmbracellDb db,
        ClaimsPrincipal person
    )
    {
        var job = await reader.FindJobAsync(id);
        var board = await boards.OfAsync(id);
        var running = await logged.SetsAsync(id);
        var bid = await db
            .Bids.AsNoTracking()
            .Where(b => b.JobId == id)
            .OrderByDescending(b => b.MadeAt)
            .Select(b => b.Document)
            .FirstOrDefaultAsync();
        var changed = bid is null ? [] : KeptBids.ChangedSince(bid, board.Sums.Today);
        var rows = board
            .Rows.Select(row => new BoardRow
            {
                Id = row.Id,
                Name = row.Name,
                Kind = row.Kind,
                Cell = row.Cells.Cell,
                Sheet = row.Cells.Sheet,
                Worst = row.Cells.Worst,
                Sketch = row.Cells.Sketch,
                Cells = cells.Shown(row.Cells.Stages, new(board.Sums.Sets.GetValueOrDefault(row.Id), changed.Contains(row.Name))),
            })
            .ToList();
        var feet = new BoardFeet
        {
            Surfaces = rows.Count,
            Area = FigureAnswer.Of(Area.FromSquareMetres(board.Rows.Sum(row => row.Cells.AreaM2 ?? 0)).ToFigure()),
            ToChoose = Counted(Stage.Choose),
            ShortOfTarget = Counted(Stage.Section),
            Sets = FigureAnswer.Of(new(board.Sums.Sets.Values.Sum(), Dimension.Sets)),
            MayBeSprayedNow = Counted(Stage.Window),
            ShotStands = Counted(Stage.Rig),
            Sprayed = Counted(Stage.Spray),
            Covered = Counted(Stage.Prove),
            SetsUsed = Sets(running?.Used),
            SetsToGo = Sets(running?.ToGo),
            Held = rows.Count(row => row.Worst == Verdict.Hold),
            Cost = Money(board.Sums.Cost),
            Price = Money(board.Sums.Price),
        };
        return TypedResults.Ok(new BoardAnswer(Answer(job), rows, feet));

        static FigureAnswer? Sets(double? sets) => FigureAnswer.Maybe(sets is { } known ? new(known, Dimension.Sets) : null);

        int Counted(Stage stage) => board.Rows.Count(row => row.Cells.IsCounted(stage));

        FigureAnswer? Money(double? amount) =>
            amount is { } known && person.May(Right.Price) ? FigureAnswer.Of(new(known, Dimension.Money)) : null;
    }

    private static async Task<Dictionary<string, PlaceRow>> OwnPlacesAsync(UmbracellDb db) =>
        await db.Places.ToDictionaryAsync(p => p.Id.ToString());

    private static async Task<Dictionary<string, TargetSetRow>> OwnTargetsAsync(UmbracellDb db) =>
        await db.TargetSets.ToDictionaryAsync(t => t.Id.ToString());

    private static void Take(
        TypedFields fields,
        Job job,
        Dictionary<string, PlaceRow> own,
        Dictionary<string, TargetSetRow> ownTargets,
        MeansByName crews,
        SheetShelf editions,
        TimeProvider clock
    )
    {
        fields.Text("name", 200, required: true, text => job.Name = text);
        fields.Text("crew", MeansRow.LongestName, required: false, name => Crewed(job, crews.Named(name)));
        fields.Choice<JobState>("state", state => job.State = state);
        fields.YesNo("archived", yes => job.ArchivedAt = yes == true ? job.ArchivedAt ?? clock.GetUtcNow() : null);
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
        fields.YesNo("correctsForecast", yes => job.CorrectsForecast = yes != false);
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
        JobPricing.Take(fields, job, PlaceTime.Today(job, clock));
        JobEditions.Take(fields, job, editions);
        fields.ThrowIfFaulty([.. Fields, .. JobEditions.FieldsOf(editions)]);
    }

    private static void Crewed(Job job, MeansRow? crew) => (job.CrewId, job.CrewRow) = (crew?.Id, crew);

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

        return new()
        {
            Id = job.Id,
            Name = job.Name,
            Crew = job.Crew,
            State = job.State,
            Archived = job.ArchivedAt is not null,
            ClimateZone = job.ClimateZone,
            TargetSetId = JobTargets.IdOf(job),
            Figures = FigureAnswer.All(figures),
            PlaceId = JobPlaces.IdOf(job),
            HumidityClass = job.HumidityClass,
            RoomTemps = [.. job.RoomMonthsC.Select(t => FigureAnswer.OfCelsius(t))],
            RoomHumidities = [.. job.RoomMonthsRhPct.Select(rh => FigureAnswer.Of(new(rh, Dimension.RelativeHumidity)))],
            Words = JobChoosing.Typed(job).Concat(JobPricing.Typed(job)).Concat(JobEditions.Typed(job)).ToDictionary(),
            TimeZone = JobPlaces.Of(job)?.TimeZone,
            Version = job.Version,
        };
    }
}
