using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Window;
using Umbracell.Server.Access;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Window;

internal static class WindowEndpoints
{
    private static readonly string[] Fields =
    [
        "substrate",
        "air",
        "humidity",
        "humidityOver",
        "wood",
        "concrete",
        "foundDry",
        "drumA",
        "drumB",
        "outdoorAir",
        "outdoorHumidity",
        "instrument",
        "statedError",
        "thermometerError",
        "moistureError",
        "place",
        "species",
        "correction",
    ];

    public static void MapWindow(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/compute/gate", ComputeAsync)
            .WithTags("Compute")
            .WithSummary("May a surface be sprayed under these readings?")
            .Requires(Right.Look);
        app.MapGet("/api/surfaces/{id:guid}/window", OfSurfaceAsync)
            .WithTags("Window")
            .WithSummary("Today's readings of a surface and the gate.")
            .Requires(Right.Look);
        app.MapPost("/api/surfaces/{id:guid}/readings", AddReadingsAsync)
            .WithTags("Window")
            .WithSummary("Take down readings as typed.")
            .Requires(Right.Record);
    }

    private static async Task<Ok<GateAnswer>> ComputeAsync(GateQuestion question, SheetLibrary library, Guid? job = null) =>
        TypedResults.Ok(GateQuestions.Answer(question, await library.SuppliesAsync(job)));

    private static async Task<Ok<WindowOfSurface>> OfSurfaceAsync(Guid id, SurfaceReader reader, SheetLibrary library, TimeProvider clock)
    {
        var (surface, job) = await reader.FindAsync(id);
        return TypedResults.Ok(await AnswerAsync(surface, job, reader, library, clock));
    }

    private static async Task<Ok<WindowOfSurface>> AddReadingsAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, job) = await reader.FindAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            foreach (var reading in Read(edit, surface))
            {
                (reading.JobId, reading.TakenAt, reading.ReceivedAt, reading.TakenBy) = (job.Id, stamp.At, stamp.ReceivedAt, stamp.By);
                db.Readings.Add(reading);
            }

            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await AnswerAsync(surface, job, reader, library, clock));
    }

    private static List<ReadingRow> Read(TypedEdit edit, Surface surface)
    {
        var fields = new TypedFields(edit);
        var readings = new List<ReadingRow>();
        var (instrument, place, species) = ("", "", "");
        double? errorK = null,
            errorPoints = null;
        var correction = 0.0;
        var over = HumidityReference.Water;
        fields.Text("instrument", 80, required: false, text => instrument = text);
        fields.Text("place", 120, required: false, text => place = text);
        fields.Text("species", 60, required: false, text => species = text);

        // What waits from a page of before has one number for all instruments, in kelvins or points.
        fields.QuantityOrBlank("statedError", new(0, 20, Dimension.Number), value => (errorK, errorPoints) = (value, value));
        fields.QuantityOrBlank("thermometerError", FieldRanges.ThermometerError, value => errorK = value);
        fields.QuantityOrBlank("moistureError", FieldRanges.MoistureError, value => errorPoints = value);
        fields.QuantityOrBlank("correction", FieldRanges.MoistureCorrection, value => correction = value ?? 0);
        fields.Choice<HumidityReference>("humidityOver", value => over = value);
        Take("substrate", FieldRanges.ReadTemperature, ReadingKind.SubstrateTemperature, "surface thermometer");
        Take("air", FieldRanges.ReadTemperature, ReadingKind.AirTemperature, "thermo-hygrometer");
        Take("humidity", FieldRanges.Humidity, ReadingKind.Humidity, "thermo-hygrometer");
        Take("wood", FieldRanges.WoodMoisture, ReadingKind.WoodMoisture, "pin meter");
        Take("concrete", FieldRanges.WoodMoisture, ReadingKind.ConcreteMoisture, "concrete meter");
        Take("drumA", FieldRanges.DrumTemperature, ReadingKind.DrumA, "drum thermometer", ofDrum: true);
        Take("drumB", FieldRanges.DrumTemperature, ReadingKind.DrumB, "drum thermometer", ofDrum: true);
        Take("outdoorAir", FieldRanges.ReadTemperature, ReadingKind.OutdoorTemperature, "thermo-hygrometer", ofJob: true);
        Take("outdoorHumidity", FieldRanges.Humidity, ReadingKind.OutdoorHumidity, "thermo-hygrometer", ofJob: true);
        fields.Known(
            "foundDry",
            typed => typed is "yes" or "no",
            typed =>
                readings.Add(
                    new()
                    {
                        SurfaceId = surface.Id,
                        Kind = ReadingKind.FoundDry,
                        FoundDry = typed == "yes",
                        Instrument = instrument.Length > 0 ? instrument : "by eye",
                        Place = place,
                        TakenBy = "",
                    }
                )
        );
        fields.ThrowIfFaulty(Fields);
        return readings;

        void Take(string field, FigureRange range, ReadingKind kind, string usual, bool ofDrum = false, bool ofJob = false)
        {
            if (ofDrum && surface.SheetSlug is null && fields.Has(field))
            {
                fields.Fault(
                    new()
                    {
                        Field = field,
                        Code = FaultCode.NoSheet,
                        Typed = "",
                    }
                );
                return;
            }

            // A wood meter is made for one species: its own table gives the points for another.
            var corrects = kind == ReadingKind.WoodMoisture && correction != 0;
            var isTemperature = range.Dimension == Dimension.Temperature;
            fields.Quantity(
                field,
                range,
                si =>
                    readings.Add(
                        new()
                        {
                            SurfaceId = ofDrum || ofJob ? null : surface.Id,
                            SheetSlug = ofDrum ? surface.SheetSlug : null,
                            Kind = kind,
                            TempC = isTemperature ? si : null,
                            Percent =
                                isTemperature ? null
                                : corrects ? Math.Max(0, si + correction)
                                : si,
                            RawPercent = corrects ? si : null,
                            Species = kind == ReadingKind.WoodMoisture ? species : "",
                            ErrorK = isTemperature ? errorK : null,
                            ErrorPoints = isTemperature ? null : errorPoints,
                            Place = ofDrum || ofJob ? "" : place,
                            HumidityOver = kind is ReadingKind.Humidity or ReadingKind.OutdoorHumidity ? over : HumidityReference.Water,
                            Instrument = instrument.Length > 0 ? instrument : usual,
                            TakenBy = "",
                        }
                    )
            );
        }
    }

    private static async Task<WindowOfSurface> AnswerAsync(
        Surface surface,
        Job job,
        SurfaceReader reader,
        SheetLibrary library,
        TimeProvider clock
    )
    {
        var records = await reader.RecordsAsync(job.Id, [surface.Id]);
        var readings = records.Readings;
        var supplies = await library.SuppliesAsync(job);
        var question = SurfaceGates.Of(surface, job, records, clock.GetUtcNow());
        var sheet = question is null ? null : supplies.Sheets.GetValueOrDefault(question.SheetId);
        var answer = question is null || sheet is null ? null : GateQuestions.Answer(question, supplies);
        return new()
        {
            Question = question,
            Answer = answer,
            Sheet = sheet?.Name,
            SubstrateKind = surface.Substrate,
            OpenFace = surface.OpenFace,
            Preparation = PreparationAnswers.Of(surface, records),
            Readings = [.. readings.For(surface).Select(Shape)],
            Version = surface.Version,
        };
    }

    private static ReadingAnswer Shape(ReadingRow row)
    {
        return new()
        {
            Kind = row.Kind,
            Figure = FigureAnswer.Maybe(row.Measured),
            FoundDry = row.FoundDry,
            Instrument = row.Instrument,
            StatedError = FigureAnswer.Maybe(row.StatedError),
            Place = row.Place,
            Species = row.Species,
            TakenAt = row.TakenAt,
            TakenBy = row.TakenBy,
        };
    }
}
