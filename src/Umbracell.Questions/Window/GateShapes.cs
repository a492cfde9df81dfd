using System.ComponentModel;
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
public sealed record GateQuestion
{
    [Required]
    public required string SheetId { get; init; }

    public required SubstrateKind SubstrateKind { get; init; }

    public ReadTemperature? Substrate { get; init; }

    public ReadTemperature? Air { get; init; }

    public ReadHumidity? Humidity { get; init; }

    public ReadMoisture? Moisture { get; init; }

    public ReadTemperature? DrumA { get; init; }

    public ReadTemperature? DrumB { get; init; }

    [Required]
    public required IReadOnlyList<PreparationItem> Prepared { get; init; }

    [Range(-500, 11000)]
    public double AltitudeM { get; init; }

    public IReadOnlyList<PreparationItem>? Required { get; init; }

    [DefaultValue(true)]
    public bool JointsReady { get; init; } = true;

    public bool LeakOpen { get; init; }

    public SeenDry? Seen { get; init; }

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
public sealed record GateAnswer
{
    /// <summary>The worst of all rules.</summary>
    public required Verdict Verdict { get; init; }

    /// <summary>Whether anything was read or ticked off yet.</summary>
    public required bool Begun { get; init; }

    /// <summary>Dew or frost point of the air read.</summary>
    public required double? DewPointC { get; init; }

    /// <summary>The same as it is read.</summary>
    public required FigureAnswer? DewPoint { get; init; }

    /// <summary>One for each rule.</summary>
    public required IReadOnlyList<FindingAnswer> Findings { get; init; }

    /// <summary>What would clear temperatures and humidity together.</summary>
    public required IReadOnlyList<RemedyAnswer> Together { get; init; }
}
