using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Window;

/// <summary>Hours and windows as they are told.</summary>
internal static class HourAnswers
{
    public static HourAnswer Of(GateHour hour, GateHours gate, bool light, double? start) =>
        new()
        {
            Start = hour.Start,
            Verdict = hour.Verdict,
            Passing = (int)Math.Round(hour.Passing * gate.Members.Count),
            Limit = hour.Limit,
            LimitShortfall = Math.Round(hour.LimitShortfall, 3),
            Depth = Math.Round(hour.Depth, 3),
            Shortfall = Told(hour.Shortfall, 3),
            Light = light,
            Worked = start is not null,
            SubstrateC = Told(hour.Substrate, 2),
            DewC = Told(hour.Dew, 2),
            Figures = hour.Verdict is null
                ? new Dictionary<string, FigureAnswer>()
                : FigureAnswer.All(Figures(hour, gate.Limits.IsOpen, start)),
        };

    public static WindowAnswer Of(SprayWindow window, GateHours gate, WindowNeeds needs) =>
        new()
        {
            From = gate.StartOf(window.From),
            BeginBy = gate.StartOf(window.LastStart),
            Until = gate.StartOf(window.From).AddHours(window.Until - window.From),
            Best = gate.StartOf(window.Start),
            Chance = FigureAnswer.Of(Figure.Chance(window.Chance)),
            Holding = (int)Math.Round(window.Chance * gate.Members.Count),
            Limit = gate.LimitOf(window.Start, needs.Hours),
        };

    public static MonthOfSurface Of(SprayMonth month) =>
        new(month.Month, FigureAnswer.Of(Figure.Percent(Math.Round(100 * month.Share))), month.Limit);

    public static SheetLimitsAnswer Of(ProductSheet sheet, GatePractice practice) =>
        new()
        {
            Sheet = sheet.Name,
            SubstrateLeast = FigureAnswer.Of(sheet.Substrate.Least.ToFigure()),
            SubstrateGreatest = FigureAnswer.Of(sheet.Substrate.Greatest.ToFigure()),
            AirLeast = FigureAnswer.Of(sheet.Air.Least.ToFigure()),
            AirGreatest = FigureAnswer.Of(sheet.Air.Greatest.ToFigure()),
            DewApart = FigureAnswer.Of(practice.DewHold.ToFigure()),
            DewClear = FigureAnswer.Of(practice.DewClear.ToFigure()),
            Humidity = FigureAnswer.Of(
                new(Math.Min(sheet.GreatestHumidityPercent, practice.GreatestHumidityPercent), Dimension.RelativeHumidity)
            ),
            Wind = FigureAnswer.Of(sheet.WindLimit.ToFigure()),
        };

    private static Dictionary<string, Figure> Figures(GateHour hour, bool isOpen, double? start)
    {
        var figures = new Dictionary<string, Figure>
        {
            ["substrate"] = new(hour.Substrate.Middle, Dimension.Temperature),
            ["dew"] = new(hour.Dew.Middle, Dimension.Temperature),
            ["apart"] = new(hour.Substrate.Middle - hour.Dew.Middle, Dimension.TemperatureDifference),
            ["air"] = new(hour.Air.Middle, Dimension.Temperature),
            ["humidity"] = new(Math.Min(100, hour.RhPct.Middle), Dimension.RelativeHumidity),
            ["wet"] = new(hour.Wet.Middle, Dimension.MassPerArea),
        };
        if (start is { } chance)
        {
            figures["start"] = Figure.Chance(chance);
        }

        if (isOpen)
        {
            figures["gust"] = new(hour.GustMs.Middle, Dimension.Speed);
            figures["rain"] = Figure.Chance(hour.RainChance);
        }

        return figures;
    }

    private static double[] Told(Band band, int digits) =>
        double.IsNaN(band.Middle) ? [] : [Math.Round(band.Low, digits), Math.Round(band.Middle, digits), Math.Round(band.High, digits)];
}
