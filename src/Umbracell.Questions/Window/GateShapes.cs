using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Window;

/// <summary>A temperature in a question with its age.</summary>
public sealed record ReadTemperature(
    [property: Range(-60, 100)] double TempC,
    [property: Range(0, 1e7)] double AgeMin = 0,
    string Instrument = ""
)
{
    /// <summary>The same reading so many minutes later.</summary>
    public ReadTemperature Later(double minutes) => this with { AgeMin = Math.Max(0, AgeMin + minutes) };
}

/// <summary>A humidity in a question with its age.</summary>
public sealed record ReadHumidity(
    [property: Range(0.1, 100)] double RhPct,
    HumidityReference RhOver = HumidityReference.Water,
    [property: Range(0, 1e7)] double AgeMin = 0,
    string Instrument = ""
);

/// <summary>Moisture of the substrate in a question with its age: by meter, by eye, or both. A meter outranks the eye, and of two that
/// differ the worse rules.</summary>
public sealed record ReadMoisture(
    [property: Range(0, 100)] double? WoodPct,
    bool? FoundDry,
    [property: Range(0, 1e7)] double AgeMin = 0,
    string Instrument = "",
    [property: Range(0, 100)] double? ConcretePct = null
);

/// <summary>What the eye found in a question with its age, where it was not looked at together with the meter.</summary>
public sealed record SeenDry(bool FoundDry, [property: Range(0, 1e7)] double AgeMin = 0, string Instrument = "");

/// <summary>All the gate needs to know, SI, units in the names. What is not read is left out.</summary>
public sealed record GateQuestion(
    [property: Required] string SheetId,
    SubstrateKind SubstrateKind,
    ReadTemperature? Substrate,
    ReadTemperature? Air,
    ReadHumidity? Humidity,
    ReadMoisture? Moisture,
    ReadTemperature? DrumA,
    ReadTemperature? DrumB,
    [property: Required] IReadOnlyList<PreparationItem> Prepared,
    [property: Range(-500, 11000)] double AltitudeM = 0,
    IReadOnlyList<PreparationItem>? Required = null,
    bool JointsReady = true,
    bool LeakOpen = false,
    SeenDry? Seen = null
)
{
    /// <summary>The same readings so many minutes later.</summary>
    public GateQuestion Later(double minutes)
    {
        return this with
        {
            Substrate = Substrate?.Later(minutes),
            Air = Air?.Later(minutes),
            Humidity = Humidity is { } rh ? rh with { AgeMin = Aged(rh.AgeMin) } : null,
            Moisture = Moisture is { } meter ? meter with { AgeMin = Aged(meter.AgeMin) } : null,
            DrumA = DrumA?.Later(minutes),
            DrumB = DrumB?.Later(minutes),
            Seen = Seen is { } seen ? seen with { AgeMin = Aged(seen.AgeMin) } : null,
        };

        double Aged(double age) => Math.Max(0, age + minutes);
    }
}

/// <summary>May the surface be sprayed now?</summary>
/// <param name="Verdict">The worst of all rules.</param>
/// <param name="Begun">Whether anything was read or ticked off yet.</param>
/// <param name="DewPointC">Dew or frost point of the air read.</param>
/// <param name="DewPoint">The same as it is read.</param>
/// <param name="Findings">One for each rule.</param>
/// <param name="Together">What would clear temperatures and humidity together.</param>
public sealed record GateAnswer(
    Verdict Verdict,
    bool Begun,
    double? DewPointC,
    FigureAnswer? DewPoint,
    IReadOnlyList<FindingAnswer> Findings,
    IReadOnlyList<RemedyAnswer> Together
);
