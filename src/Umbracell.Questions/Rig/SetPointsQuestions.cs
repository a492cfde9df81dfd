using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Rig;

/// <summary>Puts a rig about to be set to the core.</summary>
public static class SetPointsQuestions
{
    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static SetPointsAnswer Answer(SetPointsQuestion question, Supplies supplies)
    {
        var plan = SetPointPlan.Of(
            new()
            {
                Sheet = supplies.SheetAtTheGate(question.SheetId),
                Gear = GearOf(question.Rig),
                DrumA = Celsius(question.DrumATempC),
                DrumB = Celsius(question.DrumBTempC),
                Around = Celsius(question.AirTempC),
                Tip = question.Tip,
                Pause = TimeSpan.FromMinutes(question.PauseMin),
            }
        );
        return new()
        {
            Primaries = FigureAnswer.Of(plan.Primaries.ToFigure()),
            Hose = FigureAnswer.Of(plan.Hose.ToFigure()),
            Pressure = FigureAnswer.Of(new(plan.Pressure, Dimension.MaterialPressure)),
            Tip = plan.Tip?.Name,
            LargestTip = plan.LargestTip?.Name,
            GreatestFlow = plan.GreatestFlow is { } flow ? FigureAnswer.Of(new Figure(flow, Dimension.MassFlow).AtMost) : null,
            Sides =
            [
                .. plan.Sides.Select(side => new SideReachAnswer(
                    side.Side,
                    FigureAnswer.Of(side.Reaches.ToFigure().AtMost),
                    FigureAnswer.Maybe(side.AtGun?.ToFigure()),
                    FigureAnswer.Maybe(side.Slug?.Temperature.ToFigure()),
                    side.Slug is { } slug ? FigureAnswer.Of(new(slug.Trigger.TotalSeconds, Dimension.ReactionTime)) : null
                )),
            ],
            Findings = FindingAnswer.All(plan.Findings),
        };
    }

    private static RigGear GearOf(RigAsked of) =>
        new()
        {
            LiquidWatts = of.LiquidHeatW,
            HoseWatts = of.HoseHeatW,
            Hose = of.HoseLengthM is { } metres ? Length.FromMetres(metres) : null,
            Lay = of.HoseLay,
            Wear = of.HoseWear,
            GreatestPressure = of.GreatestPressureMpa * 1e6,
            Tips = [.. of.Tips.Select(tip => new Tip(tip.Name, tip.FlowKgMin / 60)).OrderByDescending(tip => tip.KilogramsPerSecond)],
        };

    private static Temperature? Celsius(double? celsius) => celsius is { } read ? Temperature.FromCelsius(read) : null;
}
