using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Price;

/// <summary>The inch ledger of a surface with money.</summary>
internal static class InchMoney
{
    public static IReadOnlyList<InchMoneyAnswer> Of(SurfaceStudy row, Rates rates)
    {
        if (row is not { Section: { } section, Sets: { } sets, Takeoff: { Treated.SquareMetres: > 0 } takeoff })
        {
            return [];
        }

        var crew = sets.Yield.Factors.Single(f => f.Key == "crew").Value;
        return
        [
            .. InchCost
                .Of(section.Case, sets.Conditions, crew, takeoff.Treated, rates)
                .Select(line => new InchMoneyAnswer(
                    FigureAnswer.Of(line.Line.Thickness.ToThickness()),
                    FigureAnswer.Of(Figure.Percent(100 * line.Line.Cut)),
                    PerArea(line.Cost),
                    PerArea(line.Further),
                    line.PerCut is { } per ? PerArea(per) : null
                )),
        ];
    }

    private static FigureAnswer PerArea(double money) => FigureAnswer.Of(new(money, Dimension.MoneyPerArea));
}
