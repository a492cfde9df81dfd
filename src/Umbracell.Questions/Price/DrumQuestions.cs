using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Price;

/// <summary>A drum asked for: where it stands, and when it must be warm.</summary>
public sealed record DrumQuestion
{
    public required SetSide Side { get; init; }

    [Range(1, 1000)]
    public required double MassKg { get; init; }

    [Range(-40, 60)]
    public required double StartTempC { get; init; }

    [Range(-40, 60)]
    public required double AroundTempC { get; init; }

    [Range(-40, 60)]
    public required double WantedTempC { get; init; }

    [Range(0, 5000)]
    public double BlanketW { get; init; }

    [Range(0, 1000)]
    [DefaultValue(12.0)]
    public double AfterH { get; init; } = 12;
}

/// <summary>A drum after a time, and how long it needs.</summary>
/// <param name="AfterTempC">Temperature after the hours asked for.</param>
/// <param name="LeadMin">Minutes to the temperature wanted; null where it never gets there.</param>
/// <param name="Working">How that came about.</param>
public sealed record DrumTimeAnswer(double AfterTempC, double? LeadMin, WorkingAnswer Working);

/// <summary>Puts a question of a drum to the core and shapes the answer.</summary>
public static class DrumQuestions
{
    /// <summary>Answers a question.</summary>
    public static DrumTimeAnswer Answer(DrumQuestion question)
    {
        var drum = new DrumWarmth(
            question.Side,
            Mass.FromKilograms(question.MassKg),
            Temperature.FromCelsius(question.StartTempC),
            Temperature.FromCelsius(question.AroundTempC),
            question.BlanketW
        );
        var wanted = Temperature.FromCelsius(question.WantedTempC);
        return new(
            drum.After(TimeSpan.FromHours(question.AfterH)).Celsius,
            drum.TimeTo(wanted)?.TotalMinutes,
            WorkingAnswer.Of(drum.Working(wanted))
        );
    }
}
