using Umbracell.Core.Assemblies;
using Umbracell.Core.Lifts;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield.Price;

/// <summary>A step of the inch ledger with money.</summary>
/// <param name="Line">Thickness and heat flow cut.</param>
/// <param name="Cost">Direct cost of a square metre sprayed to this thickness, set-up with it.</param>
/// <param name="Further">What this step alone costs; the first carries the set-up.</param>
/// <param name="PerCut">Money for a square metre for each hundredth of the bare heat flow that this step cuts; null where it cuts less
/// than a ten-thousandth.</param>
public sealed record InchCost(InchLine Line, double Cost, double Further, double? PerCut)
{
    /// <summary>The ledger of a section; empty without foam, or where its set has no price.</summary>
    /// <param name="section">The section.</param>
    /// <param name="conditions">Substrate and drums the yield is reckoned at.</param>
    /// <param name="crewFactor">What the crew yields against the sheet.</param>
    /// <param name="treated">Treated area the set-up is spread over, above zero.</param>
    /// <param name="rates">What the firm pays and how fast it works.</param>
    public static IReadOnlyList<InchCost> Of(SectionCase section, YieldConditions conditions, double crewFactor, Area treated, Rates rates)
    {
        if (section.Foam is not { } foam || rates.PriceOf(foam.Sheet) is not { } price)
        {
            return [];
        }

        List<InchCost> ledger = [];
        foreach (var line in InchLedger.Of(section))
        {
            var demand = FoamDemand.For(Area.FromSquareMetres(1), line.Thickness, FoamDemand.DefaultScatter(foam.Sheet.Cell), null);
            var yield = SetYield.For(foam.Sheet, conditions with { Lift = LiftPlan.For(foam.Sheet, line.Thickness).Lifts[0] }, crewFactor);
            var hours =
                (rates.BoardFeetPerHour(foam.Sheet) is > 0 and var pace ? demand.Volume.BoardFeet / pace : 0)
                + rates.SetUpWith(foam.Sheet) / treated.SquareMetres;
            var cost = demand.Volume / yield.Expected * (price + rates.WornWith(foam.Sheet)) + hours * rates.HourWith(foam.Sheet);
            var further = cost - (ledger.Count > 0 ? ledger[^1].Cost : 0);
            ledger.Add(new(line, cost, further, line.Further > 1e-4 ? further / (100 * line.Further) : null));
        }

        return ledger;
    }
}
