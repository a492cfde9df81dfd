using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Price;

/// <summary>A drum asked for: where it stands, and when it must be warm.</summary>
public sealed record DrumQuestion(
    SetSide Side,
    [property: Range(1, 1000)] double MassKg,
    [property: Range(-40, 60)] double StartTempC,
    [property: Range(-40, 60)] double AroundTempC,
    [property: Range(-40, 60)] double WantedTempC,
    [property: Range(0, 5000)] double BlanketW = 0,
    [property: Range(0, 1000)] double AfterH = 12
);

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
