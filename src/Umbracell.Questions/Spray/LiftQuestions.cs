using Umbracell.Core.Lifts;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Spray;

/// <summary>Puts a lift to the core.</summary>
public static class LiftQuestions
{
    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static LiftAnswer Answer(LiftQuestion question, Supplies supplies)
    {
        var told = Forecast(question, supplies);
        return new()
        {
            Peak = FigureAnswer.Of(told.Heat.Peak.ToFigure()),
            Hot = FigureAnswer.Of(Figure.Duration(told.Heat.Hot)),
            Cool = told.Heat.Cool is { } cool ? FigureAnswer.Of(Figure.Duration(cool)) : null,
            Wait = told.Wait is { } wait ? FigureAnswer.Of(Figure.Duration(wait)) : null,
            Findings = FindingAnswer.All(told.Findings),
        };
    }

    /// <summary>What a lift does.</summary>
    public static LiftForecast Forecast(LiftQuestion question, Supplies supplies) =>
        LiftForecast.Of(
            new()
            {
                Sheet = supplies.SheetAtTheGate(question.SheetId),
                On = question.SubstrateKind,
                Substrate = Temperature.FromCelsius(question.SubstrateTempC),
                Air = Temperature.FromCelsius(question.AirTempC),
                Thickness = Length.FromMillimetres(question.ThicknessMm),
                Under = Length.FromMillimetres(QuantityRangeException.Within("under", question.UnderMm, 0, 1000, Dimension.Number)),
                UnderAt = question.UnderTempC is { } at ? Temperature.FromCelsius(at) : null,
                Gun = question.GunTempC is { } gun ? Temperature.FromCelsius(gun) : null,
            }
        );
}
