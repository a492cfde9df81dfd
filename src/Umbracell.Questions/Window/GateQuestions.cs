using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Planning;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Window;

/// <summary>Puts a gate question to the core and shapes the answer.</summary>
public static class GateQuestions
{
    /// <summary>Answers a question.</summary>
    public static GateAnswer Answer(GateQuestion question, Supplies supplies) => Answer(Check(question, supplies));

    /// <summary>What the gate says.</summary>
    /// <param name="question">The question.</param>
    /// <param name="supplies">The firm's sheets, among which a remedy may be found, and its margins.</param>
    public static SprayGate Check(GateQuestion question, Supplies supplies) =>
        SprayGate.Check(
            new()
            {
                Sheet = supplies.SheetAtTheGate(question.SheetId),
                SubstrateKind = question.SubstrateKind,
                Substrate = Reading(question.Substrate),
                Air = Reading(question.Air),
                Humidity = question.Humidity is { } rh
                    ? new(RelativeHumidity.FromPercent(rh.RhPct, rh.RhOver), TimeSpan.FromMinutes(rh.AgeMin), rh.Instrument)
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
                Pressure = StandardAtmosphere.PressureAt(Length.FromMetres(question.AltitudeM)),
                Practice = supplies.Gate,
                OtherSheets = [.. supplies.Offered],
            }
        );

    public static GateAnswer Answer(SprayGate gate) =>
        new()
        {
            Verdict = gate.Verdict,
            Begun = gate.Begun,
            DewPointC = gate.DewPoint?.Celsius,
            DewPoint = FigureAnswer.Maybe(gate.DewPoint?.ToFigure()),
            Findings = FindingAnswer.All(gate.Findings),
            Together = [.. gate.Remedies.Select(RemedyAnswer.Of)],
        };

    private static Reading<Temperature>? Reading(ReadTemperature? read) =>
        read is null ? null : new(Temperature.FromCelsius(read.TempC), TimeSpan.FromMinutes(read.AgeMin), read.Instrument);
}
