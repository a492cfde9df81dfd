using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Planning;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the gate question of a surface from its readings, puts it to the core and shapes the answer.</summary>
internal static class GateQuestions
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
        return new(
            sheet,
            surface.Substrate,
            Temperature(readings.Of(surface.Id, ReadingKind.SubstrateTemperature)),
            Temperature(readings.Of(surface.Id, ReadingKind.AirTemperature)),
            readings.Of(surface.Id, ReadingKind.Humidity) is { } rh ? new(rh.Value, rh.HumidityOver, Age(rh), rh.Instrument) : null,
            meter is null
                ? null
                : new(
                    meter.Kind == ReadingKind.WoodMoisture ? meter.Value : null,
                    null,
                    Age(meter),
                    meter.Instrument,
                    meter.Kind == ReadingKind.ConcreteMoisture ? meter.Value : null
                ),
            Temperature(a),
            Temperature(b),
            records.Done(surface.Id),
            job.AltitudeM,
            [.. PreparationAnswers.List(surface).Select(task => task.Item)],
            records.JointsReady(surface.Id),
            surface.OpenLeak is not null,
            seen is null ? null : new(seen.Value > 0, Age(seen), seen.Instrument)
        );

        double Age(ReadingRow reading) => Math.Max(0, (now - reading.TakenAt).TotalMinutes);
        ReadTemperature? Temperature(ReadingRow? reading) => reading is null ? null : new(reading.Value, Age(reading), reading.Instrument);
    }

    public static SprayGate Check(GateQuestion question, ProductSheet sheet, IEnumerable<ProductSheet> others) =>
        SprayGate.Check(
            new()
            {
                Sheet = sheet,
                SubstrateKind = question.SubstrateKind,
                Substrate = Reading(question.Substrate),
                Air = Reading(question.Air),
                Humidity = question.Humidity is { } rh
                    ? new(new(rh.RhPct, rh.RhOver), TimeSpan.FromMinutes(rh.AgeMin), rh.Instrument)
                    : null,
                MoistureMeter =
                    question.Moisture is { } m
                    && (
                        question.SubstrateKind == SubstrateKind.Wood ? m.WoodPct
                        : question.SubstrateKind == SubstrateKind.Mineral ? m.ConcretePct
                        : null
                    )
                        is { } percent
                        ? new(percent, TimeSpan.FromMinutes(m.AgeMin), m.Instrument)
                        : null,
                FoundDry =
                    question.Seen is { } seen ? new(seen.FoundDry, TimeSpan.FromMinutes(seen.AgeMin), seen.Instrument)
                    : question.Moisture is { FoundDry: { } dry } eye ? new(dry, TimeSpan.FromMinutes(eye.AgeMin), eye.Instrument)
                    : null,
                DrumA = Reading(question.DrumA),
                DrumB = Reading(question.DrumB),
                Required = question.Required ?? PreparationList.Always,
                LeakOpen = question.LeakOpen,
                JointOpen = !question.JointsReady,
                Prepared = question.Prepared.ToHashSet(),
                Pressure = StandardAtmosphere.PressureAt(new(question.AltitudeM)),
                OtherSheets = [.. others],
            }
        );

    public static GateAnswer Answer(SprayGate gate) =>
        new(
            gate.Verdict,
            gate.Begun,
            gate.DewPoint?.Celsius,
            FigureAnswer.Maybe(gate.DewPoint?.ToFigure()),
            FindingAnswer.All(gate.Findings),
            [.. gate.Remedies.Select(RemedyAnswer.Of)]
        );

    private static Reading<Temperature>? Reading(ReadTemperature? read) =>
        read is null ? null : new(new(read.TempC), TimeSpan.FromMinutes(read.AgeMin), read.Instrument);
}
