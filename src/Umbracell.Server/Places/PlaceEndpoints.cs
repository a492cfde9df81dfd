using System.Globalization;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Conditions;
using Umbracell.Core.Moisture;
using Umbracell.Formats.Climate;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Places;

internal static class PlaceEndpoints
{
    private static readonly string[] Fields =
    [
        "name",
        "climateZone",
        "source",
        "latitude",
        "longitude",
        "timeZone",
        "altitude",
        "heating",
        "cooling",
        "coolingRh",
        "temps",
        "humidities",
    ];

    public static void MapPlaces(this IEndpointRouteBuilder app)
    {
        var places = app.MapGroup("/api/places").WithTags("Places").Requires(Right.Look);
        places
            .MapGet("", async (UmbracellDb db) => TypedResults.Ok(await AllAsync(db)))
            .WithSummary("Places that ship and the firm's own, with monthly means and design air.");
        places.MapPost("", AddAsync).WithSummary("A place of the firm's own from typed fields.").Requires(Right.Edit);
        places
            .MapPost("/weather-file", ReadAsync)
            .WithSummary("A place of the firm's own from an hourly weather file (EPW): means and design air, the hours kept.")
            .Requires(Right.Edit)
            .Accepts<byte[]>("application/octet-stream")
            .TakesFile(Limits.GridBytes);
        places
            .MapPost("/{id:guid}/hours", ReadHoursAsync)
            .WithSummary("Keep the hours of a weather file (EPW) with a place that stands, in the place of those it has.")
            .Requires(Right.Edit)
            .Accepts<byte[]>("application/octet-stream")
            .TakesFile(Limits.GridBytes);
        places
            .MapPatch("/{id:guid}", ChangeAsync)
            .WithSummary("Change typed fields of a place of the firm's own.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        places
            .MapDelete("/{id:guid}", RemoveAsync)
            .WithSummary("Take a place of the firm's own away; one that a job names stays.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
    }

    /// <summary>Every place, the firm's own first.</summary>
    public static async Task<List<PlaceAnswer>> AllAsync(UmbracellDb db)
    {
        var own = await db.Places.AsNoTracking().OrderBy(p => p.Name).ToListAsync();
        var kept = await PlaceHours.KeptAsync(db);
        return [.. own.Select(p => Answer(p, kept.GetValueOrDefault(p.Id))), .. ShippedData.Places.Values.Select(p => PlaceAnswer.Of(p))];
    }

    private static PlaceAnswer Answer(PlaceRow row, KeptHours hours) => PlaceAnswer.Of(JobPlaces.Of(row), own: true, hours, row.Version);

    private static async Task<Created<PlaceAnswer>> AddAsync(TypedEdit edit, UmbracellDb db, Commands commands)
    {
        if (!await commands.TakeAsync(edit, null))
        {
            var first = await FindAsync(edit.Id!.Value, db);
            return TypedResults.Created($"/api/places/{first.Id}", Answer(first, await PlaceHours.KeptAsync(db, first.Id)));
        }

        var fields = new TypedFields(edit);
        fields.Require("name", "climateZone", "altitude", "heating", "cooling", "coolingRh", "temps", "humidities");
        var row = new PlaceRow
        {
            Id = edit.Id ?? Guid.NewGuid(),
            Name = "",
            ClimateZone = "",
            MeanC = [],
            MeanRhPct = [],
            Source = "",
        };
        Take(fields, row);
        db.Places.Add(row);
        await db.SaveChangesAsync();
        return TypedResults.Created($"/api/places/{row.Id}", Answer(row, KeptHours.None));
    }

    private static async Task<Ok<PlaceAnswer>> ChangeAsync(Guid id, TypedEdit edit, UmbracellDb db, Commands commands)
    {
        var row = await FindAsync(id, db);
        var hours = await PlaceHours.KeptAsync(db, id);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(Answer(row, hours));
        }

        Seen.MustStand(edit.Version, row.Version, () => Answer(row, hours));

        Take(new(edit), row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(Answer(row, hours));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> RemoveAsync(Guid id, UmbracellDb db)
    {
        var row = await FindAsync(id, db);
        if (await db.Jobs.WithDeleted().CountAsync(j => j.OwnPlaceId == id) is > 0 and var jobs)
        {
            return InUse.Refusal("place", jobs);
        }

        db.Places.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Created<ReadPlace>> ReadAsync(HttpRequest request, UmbracellDb db)
    {
        var file = WeatherFile.Read(await Uploads.ReadAsync(request));
        var year = WeatherYear.Of(file.Hours);
        var row = new PlaceRow
        {
            Id = Guid.NewGuid(),
            Name = file.Name,
            ClimateZone = ClimateZones.ByNumber(year.ZoneNumber),
            AltitudeM = file.AltitudeM,
            Latitude = file.Latitude,
            Longitude = file.Longitude,
            MeanC = [.. year.Months.Select(m => m.Temperature.Celsius)],
            MeanRhPct = [.. year.Months.Select(m => m.Humidity.Percent)],
            HeatingC = year.Heating.Temperature.Celsius,
            CoolingC = year.Cooling.Temperature.Celsius,
            CoolingRhPct = year.Cooling.Humidity.Percent,
            Source = string.Create(CultureInfo.InvariantCulture, $"hourly weather file, {file.Hours.Count} hours"),
        };
        db.Places.Add(row);
        db.PlaceHours.Add(PlaceHours.Row(row.Id, file.Hours));
        await db.SaveChangesAsync();
        return TypedResults.Created($"/api/places/{row.Id}", Read(row, file));
    }

    private static async Task<Ok<ReadPlace>> ReadHoursAsync(Guid id, HttpRequest request, UmbracellDb db)
    {
        var row = await FindAsync(id, db);
        var file = WeatherFile.Read(await Uploads.ReadAsync(request));
        if (await db.PlaceHours.FirstOrDefaultAsync(h => h.PlaceId == id) is { } before)
        {
            db.PlaceHours.Remove(before);
        }

        await using var whole = await db.Database.BeginTransactionAsync();
        await db.SaveChangesAsync();
        db.PlaceHours.Add(PlaceHours.Row(id, file.Hours));
        await db.SaveChangesAsync();
        await whole.CommitAsync();
        return TypedResults.Ok(Read(row, file));
    }

    private static ReadPlace Read(PlaceRow row, WeatherFile file) =>
        new(Answer(row, KeptHours.Weather), file.Hours.Count, file.Hours.Count(h => !h.IsWhole), file.Filled);

    private static async Task<PlaceRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.Places.FirstOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("place");

    private static void Take(TypedFields fields, PlaceRow row)
    {
        fields.Text("name", 120, required: true, text => row.Name = text);
        fields.Text("source", 200, required: false, text => row.Source = text);
        fields.Known("climateZone", ClimateZones.All.Contains, zone => row.ClimateZone = zone);
        fields.QuantityOrBlank("latitude", FieldRanges.Latitude, degrees => row.Latitude = degrees);
        fields.QuantityOrBlank("longitude", FieldRanges.Longitude, degrees => row.Longitude = degrees);
        fields.Known(
            "timeZone",
            typed => typed.Length == 0 || PlaceTime.IsZone(typed),
            typed => row.TimeZone = typed.Length == 0 ? null : typed
        );
        fields.Quantity("altitude", FieldRanges.Altitude, si => row.AltitudeM = si);
        fields.Quantity("heating", FieldRanges.OutdoorTemperature, si => row.HeatingC = si);
        fields.Quantity("cooling", FieldRanges.OutdoorTemperature, si => row.CoolingC = si);
        fields.Quantity("coolingRh", FieldRanges.Humidity, si => row.CoolingRhPct = si);
        Months("temps", FieldRanges.OutdoorTemperature, months => row.MeanC = months);
        Months("humidities", FieldRanges.Humidity, months => row.MeanRhPct = months);
        if (fields.Has("heating") && fields.Has("cooling") && row.HeatingC >= row.CoolingC)
        {
            fields.Fault(
                new()
                {
                    Field = "cooling",
                    Code = FaultCode.NotWarmer,
                    Typed = fields.Raw("cooling"),
                }
            );
        }

        fields.ThrowIfFaulty(Fields);

        // A place without a year would leave its jobs without one.
        void Months(string field, Core.Quantities.FigureRange range, Action<double[]> take) =>
            fields.Months(
                field,
                range,
                months =>
                {
                    if (months.Length == YearOfAir.Months)
                    {
                        take(months);
                    }
                    else
                    {
                        fields.Fault(
                            new()
                            {
                                Field = field,
                                Code = FaultCode.Months,
                                Typed = fields.Raw(field),
                            }
                        );
                    }
                }
            );
    }
}
