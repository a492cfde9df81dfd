using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Choosing;

/// <summary>What a system costs on a surface and how long it takes: material and crew hours by the firm's rates, simple until the
/// bid.</summary>
/// <param name="PerSquareMetre">Cost per m² of treated area; null where a price is missing.</param>
/// <param name="HoursPerSquareMetre">Crew hours per m², set-up with it where the area is known.</param>
/// <param name="Waits">Least waits between lifts, and between one foam and the next.</param>
/// <param name="Missing">Sheets and materials without a price.</param>
/// <param name="Lines">Lines the cost adds up from.</param>
public sealed record CandidateCost(
    double? PerSquareMetre,
    double HoursPerSquareMetre,
    TimeSpan Waits,
    IReadOnlyList<string> Missing,
    IReadOnlyList<WorkingTerm> Lines
)
{
    /// <summary>How the cost came about; null where a price is missing.</summary>
    public Working? Working =>
        PerSquareMetre is { } cost
            ? new(
                "candidateCost",
                "c = " + string.Join(" + ", Lines.Select(l => l.Symbol)),
                Lines,
                new(cost, Dimension.MoneyPerArea),
                Citations.CandidateCost
            )
            : null;

    internal static CandidateCost Of(ChoiceCase choice, CandidateKind kind, SectionCase section)
    {
        var sums = new Sums(choice);
        foreach (var layer in section.Fill)
        {
            sums.Add(section, layer);
        }

        foreach (
            var board in section
                .Outboard.Concat(section.Inboard)
                .Where(l => l.Material.IsInsulation)
                .Except(choice.Section.Outboard)
                .Except(choice.Section.Inboard)
        )
        {
            sums.Add(section, new SlabFill(board));
        }

        if (kind == CandidateKind.NewRoofOnBoard)
        {
            sums.Money("c_off", "tearOff", choice.Rates.TearOffPerM2);
            sums.Money("c_new", "newCovering", choice.Rates.NewCoveringPerM2);
        }

        return sums.Told();
    }

    private sealed class Sums(ChoiceCase choice)
    {
        private readonly List<WorkingTerm> _lines = [];
        private readonly List<string> _missing = [];
        private readonly List<LiftPlan> _lifts = [];
        private double _hours;

        public void Money(string symbol, string name, double perM2, Working? from = null) =>
            _lines.Add(new(symbol, name, new(perM2, Dimension.MoneyPerArea), from));

        public void Add(SectionCase section, FillLayer layer)
        {
            // Wood takes its share of the field; what lies before the members covers it.
            var share = section.Members.Material == MemberMaterial.Wood && layer is not SlabFill ? 1 - section.Members.Share : 1;
            switch (layer)
            {
                case FoamFill foam:
                    Foam(section, foam, share);
                    break;
                case BattFill batt:
                    Bought(batt.Batt.Id, null, share);
                    Worked(choice.Rates.BattM2PerHour, share);
                    break;
                case SlabFill { Layer: var slab }:
                    Bought(slab.Material.Id, slab.Material.IsInsulation ? slab.Thickness : null, share);
                    Worked(slab.Material.IsInsulation ? choice.Rates.BoardM2PerHour : choice.Rates.CoatM2PerHour, share);
                    break;
            }
        }

        private void Foam(SectionCase section, FoamFill foam, double share)
        {
            var sheet = foam.Sheet;
            var lifts = choice.Memo.Lifts(sheet, foam.Thickness);
            _lifts.Add(lifts);
            var flush =
                sheet.Cell == CellStructure.Open && section.FoamDepth is { } depth && section.FillThickness.Metres >= depth.Metres - 1e-3;
            var demand = FoamDemand.For(
                Area.FromSquareMetres(share),
                foam.Thickness,
                FoamDemand.DefaultScatter(sheet.Cell),
                flush ? FoamDemand.DefaultOverfill : null
            );
            var yield = Yield(sheet, lifts.Lifts[0]);
            _hours += demand.Volume.BoardFeet / choice.Rates.BoardFeetPerHour(sheet);
            if (flush && choice.Rates.ShaveM2PerHour > 0)
            {
                _hours += share / choice.Rates.ShaveM2PerHour;
            }

            if (choice.Rates.PriceOf(sheet) is not { } price)
            {
                _missing.Add(sheet.Id);
                return;
            }

            price *= sheet.Cell == CellStructure.Open ? choice.OpenPriceFactor : 1;
            var cost = demand.Volume / yield.Expected * price;
            Money(
                "c_" + sheet.Cell.ToString().ToLowerInvariant(),
                "foamCost",
                cost,
                new(
                    "foamCost",
                    "c = V / Y · p",
                    [
                        new("V", "foamVolume", demand.Volume.ToFigure(), demand.Working),
                        new("Y", "setYield", yield.Expected.ToFigure(), yield.Working),
                        new("p", "setPrice", new(price, Dimension.Money)),
                    ],
                    new(cost, Dimension.MoneyPerArea),
                    Citations.SquareMetre(sheet)
                )
            );
        }

        // Out of the sheet's window nothing can be sprayed: the yield is then told for a substrate warmed to the window's nearer edge.
        private SetYield Yield(ProductSheet sheet, Length lift) => choice.Memo.Yield(sheet, lift, () => Conditions(sheet, lift));

        private YieldConditions Conditions(ProductSheet sheet, Length lift)
        {
            var substrate = Math.Clamp(
                choice.Facts.ExpectedSubstrate?.Celsius ?? 21,
                sheet.YieldBySubstrate.First,
                sheet.YieldBySubstrate.Last
            );
            var drums = (sheet.Drums.Least.Celsius + sheet.Drums.Greatest.Celsius) / 2;
            return new(Temperature.FromCelsius(substrate), Temperature.FromCelsius(drums), lift, null);
        }

        private void Bought(string id, Length? boardThickness, double share)
        {
            if (choice.Rates.PriceOf(id, boardThickness) is { } price)
            {
                Money("c_" + id, "materialCost:" + id, price * share);
            }
            else
            {
                _missing.Add(id);
            }
        }

        private void Worked(double m2PerHour, double share) => _hours += m2PerHour > 0 ? share / m2PerHour : 0;

        public CandidateCost Told()
        {
            var hours = _hours + (choice.Facts.Treated is { SquareMetres: > 0 } area ? choice.Rates.SetUpHours / area.SquareMetres : 0);
            Money(
                "c_crew",
                "crewCost",
                hours * choice.Rates.CrewHour,
                new(
                    "crewCost",
                    "c = h · p_h",
                    [
                        new("h", "crewHours", Figure.Duration(TimeSpan.FromHours(hours))),
                        new("p_h", "crewHour", new(choice.Rates.CrewHour, Dimension.Money)),
                    ],
                    new(hours * choice.Rates.CrewHour, Dimension.MoneyPerArea),
                    Citations.CostPerSquareMetre
                )
            );
            return new(_missing.Count > 0 ? null : _lines.Sum(l => l.Value.Amount), hours, LiftPlan.LeastTimeOf(_lifts), _missing, _lines);
        }
    }
}
