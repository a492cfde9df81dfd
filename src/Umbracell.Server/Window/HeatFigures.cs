using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>Figures of a start that heat opens.</summary>
internal static class HeatFigures
{
    /// <summary>power, hold, heat and, for those who price, cost of the heat.</summary>
    public static IReadOnlyDictionary<string, FigureAnswer> Of(HeatedStart start, double watts, StudiedJob job, bool maySeeMoney)
    {
        var figures = new Dictionary<string, Figure>
        {
            ["power"] = new(watts, Dimension.Power),
            ["hold"] = start.Hold.ToFigure().AtLeast,
            ["heat"] = new(start.Heat, Dimension.Heat),
        };
        if (maySeeMoney && job.Means.Rates.HeatKilowattHour is > 0 and var price)
        {
            figures["cost"] = new(start.Heat / SpaceHeating.JoulesPerKilowattHour * price, Dimension.Money);
        }

        return FigureAnswer.All(figures);
    }
}
