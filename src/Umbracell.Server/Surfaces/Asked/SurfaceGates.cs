using Umbracell.Core.Conditions;
using Umbracell.Questions.Window;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the gate question of a surface from its readings.</summary>
internal static class SurfaceGates
{
    /// <summary>The question of a surface; null until a sheet is chosen.</summary>
    public static GateQuestion? Of(Surface surface, Job job, SurveyRecords records, DateTimeOffset now)
    {
        var readings = records.Readings;
        if (surface.SheetSlug is not { } sheet)
        {
            return null;
        }

        var (a, b) = readings.Drums(sheet);
        var meter = surface.Substrate switch
        {
            SubstrateKind.Wood => readings.Wettest(surface.Id, ReadingKind.WoodMoisture),
            SubstrateKind.Mineral => readings.Wettest(surface.Id, ReadingKind.ConcreteMoisture),
            _ => null,
        };
        var seen = readings.Of(surface.Id, ReadingKind.FoundDry);
        return new()
        {
            SheetId = sheet,
            SubstrateKind = surface.Substrate,
            Substrate = Temperature(readings.Of(surface.Id, ReadingKind.SubstrateTemperature)),
            Air = Temperature(readings.Of(surface.Id, ReadingKind.AirTemperature)),
            Humidity = readings.Of(surface.Id, ReadingKind.Humidity) is { Percent: { } percent } rh
                ? new(percent, rh.HumidityOver, Age(rh), rh.Instrument)
                : null,
            Moisture = meter is null
                ? null
                : new(
                    meter.Kind == ReadingKind.WoodMoisture ? meter.Percent : null,
                    null,
                    Age(meter),
                    meter.Instrument,
                    meter.Kind == ReadingKind.ConcreteMoisture ? meter.Percent : null
                ),
            DrumA = Temperature(a),
            DrumB = Temperature(b),
            Prepared = records.Done(surface.Id),
            AltitudeM = job.AltitudeM,
            Required = [.. PreparationAnswers.List(surface).Select(task => task.Item)],
            JointsReady = records.JointsReady(surface.Id),
            LeakOpen = surface.OpenLeak is not null,
            Seen = seen is null ? null : new(seen.FoundDry == true, Age(seen), seen.Instrument),
        };

        double Age(ReadingRow reading) => Math.Max(0, (now - reading.TakenAt).TotalMinutes);
        ReadTemperature? Temperature(ReadingRow? reading) =>
            reading is not { TempC: { } celsius } ? null : new(celsius, Age(reading), reading.Instrument);
    }
}
