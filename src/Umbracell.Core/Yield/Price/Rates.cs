using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield.Price;

/// <summary>What a firm pays and how fast it works. Money in the firm's own currency.</summary>
public sealed record Rates
{
    /// <summary>Rates of a firm that has entered none: usual paces. No price is guessed; systems are then weighed without their
    /// cost.</summary>
    public static Rates Unpriced { get; } =
        new()
        {
            SetPrice = new Dictionary<string, double>(),
            MaterialPrice = new Dictionary<string, double>(),
            ClosedBoardFeetPerHour = 1000,
            OpenBoardFeetPerHour = 3000,
            BattM2PerHour = 15,
            BoardM2PerHour = 6,
            CoatM2PerHour = 40,
            ShaveM2PerHour = 35,
            SetUpHours = 1.5,
        };

    /// <summary>Price of a set by sheet id.</summary>
    public required IReadOnlyDictionary<string, double> SetPrice { get; init; }

    /// <summary>Price by material or batt id: batts, boards and coats per m² at their thickness for batts and coats, per m² and mm for
    /// boards.</summary>
    public required IReadOnlyDictionary<string, double> MaterialPrice { get; init; }

    /// <summary>Cost of a crew hour.</summary>
    public double CrewHour { get; init; }

    /// <summary>Hours to set up, mask and clean for a surface.</summary>
    public double SetUpHours { get; init; }

    /// <summary>Board feet an hour a crew sprays of closed cell.</summary>
    public double ClosedBoardFeetPerHour { get; init; }

    /// <summary>Board feet an hour a crew sprays of open cell.</summary>
    public double OpenBoardFeetPerHour { get; init; }

    /// <summary>Square metres an hour of batts laid.</summary>
    public double BattM2PerHour { get; init; }

    /// <summary>Square metres an hour of board cut, fitted and sealed.</summary>
    public double BoardM2PerHour { get; init; }

    /// <summary>Square metres an hour of coat.</summary>
    public double CoatM2PerHour { get; init; }

    /// <summary>Square metres an hour shaved flush.</summary>
    public double ShaveM2PerHour { get; init; }

    /// <summary>Cost of taking off and carting away an old roof, per m².</summary>
    public double TearOffPerM2 { get; init; }

    /// <summary>Price of a new roof covering laid on boards, per m².</summary>
    public double NewCoveringPerM2 { get; init; }

    /// <summary>Square metres an hour masked and covered.</summary>
    public double MaskM2PerHour { get; init; }

    /// <summary>Hours a crew works in a day.</summary>
    public double CrewDayHours { get; init; } = 8;

    /// <summary>Cost of the rig for a day.</summary>
    public double RigDay { get; init; }

    /// <summary>Cost of travel for a day.</summary>
    public double TravelDay { get; init; }

    /// <summary>Consumables for a set sprayed: suits, filters, tips, film.</summary>
    public double ConsumablesPerSet { get; init; }

    /// <summary>Drums and waste carted away, for a set sprayed.</summary>
    public double DisposalPerSet { get; init; }

    /// <summary>Scaffold for a square metre of surface reached from one.</summary>
    public double ScaffoldPerM2 { get; init; }

    /// <summary>Overhead on the cost, percent.</summary>
    public double OverheadPercent { get; init; }

    /// <summary>Profit, percent: of the price before tax, or on the cost where <see cref="ProfitIsMarkup"/>.</summary>
    public double ProfitPercent { get; init; }

    /// <summary>Whether the profit is a markup on the cost and not a margin of the price.</summary>
    public bool ProfitIsMarkup { get; init; }

    /// <summary>Tax on the price, percent.</summary>
    public double TaxPercent { get; init; }

    /// <summary>What a kilowatt-hour of heat in the building costs.</summary>
    public double HeatKilowattHour { get; init; }

    /// <summary>Days from order to delivery.</summary>
    public double LeadDays { get; init; }

    /// <summary>Cost of an hour of the one who works with a hand kit.</summary>
    public double KitHour { get; init; }

    /// <summary>Hours to set up, mask and clean for a surface sprayed with a hand kit.</summary>
    public double KitSetUpHours { get; init; }

    /// <summary>Board feet an hour sprayed from a hand kit.</summary>
    public double KitBoardFeetPerHour { get; init; }

    /// <summary>Board feet an hour sprayed of a product, from the rig or from a kit.</summary>
    public double BoardFeetPerHour(ProductSheet sheet) =>
        sheet.IsKit ? KitBoardFeetPerHour
        : sheet.Cell == CellStructure.Closed ? ClosedBoardFeetPerHour
        : OpenBoardFeetPerHour;

    /// <summary>Cost of an hour with a product: of the crew with the rig, or of one with kits.</summary>
    public double HourWith(ProductSheet sheet) => sheet.IsKit ? KitHour : CrewHour;

    /// <summary>Hours to set up, mask and clean for a surface sprayed with a product.</summary>
    public double SetUpWith(ProductSheet sheet) => sheet.IsKit ? KitSetUpHours : SetUpHours;

    /// <summary>Consumables and disposal for a set sprayed; a kit brings its own hoses and nozzles, and its empties go with the site's
    /// waste.</summary>
    public double WornWith(ProductSheet sheet) => sheet.IsKit ? 0 : ConsumablesPerSet + DisposalPerSet;

    /// <summary>Price of a set; null where the firm has entered none.</summary>
    public double? PriceOf(ProductSheet sheet) => SetPrice.TryGetValue(sheet.Id, out var price) ? price : null;

    /// <summary>Price of a square metre of a material at a thickness; null where the firm has entered none.</summary>
    /// <param name="id">Material or batt.</param>
    /// <param name="boardThickness">For boards, priced by the millimetre; null elsewhere.</param>
    public double? PriceOf(string id, Length? boardThickness) =>
        MaterialPrice.TryGetValue(id, out var price) ? price * (boardThickness?.Millimetres ?? 1) : null;
}
