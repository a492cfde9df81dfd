using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Spray;

/// <summary>Puts the yield of a job under way to the core.</summary>
public static class YieldQuestions
{
    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static YieldAnswer Answer(YieldQuestion question) =>
        Told(
            RunningYield.Of(
                new()
                {
                    Expected = FoamVolume.FromCubicMetres(question.ExpectedM3),
                    Sd = question.YieldSd,
                    Sprayed = FoamVolume.FromCubicMetres(question.SprayedM3),
                    UsedA = question.UsedSetsA,
                    UsedB = question.UsedSetsB,
                    Left = FoamVolume.FromCubicMetres(question.LeftM3),
                    OnRigA = question.OnRigSetsA,
                    OnRigB = question.OnRigSetsB,
                }
            )
        );

    /// <summary>A yield as it is answered.</summary>
    public static YieldAnswer Told(RunningYield told) =>
        new()
        {
            Actual = FigureAnswer.Maybe(told.Actual?.ToFigure()),
            Expected = FigureAnswer.Of(told.Expected.ToFigure()),
            Low = FigureAnswer.Of(told.Low.ToFigure()),
            High = FigureAnswer.Of(told.High.ToFigure()),
            SetsLeft = FigureAnswer.Of(new(told.SetsLeft, Dimension.Sets)),
            ChanceShort = told.ChanceShort,
            Scarcer = told.Scarcer,
            Findings = FindingAnswer.All(told.Findings),
        };
}
