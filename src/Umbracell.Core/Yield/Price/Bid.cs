using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Yield.Price;

/// <summary>Foam of a surface as it is priced.</summary>
/// <param name="Sheet">The product.</param>
/// <param name="Volume">Foam in place before shaving.</param>
/// <param name="Sets">Sets that suffice as often as not.</param>
/// <param name="SetsWorking">How the sets came about.</param>
public sealed record BidFoam(ProductSheet Sheet, FoamVolume Volume, double Sets, Working? SetsWorking = null)
{
    /// <summary>Relative standard deviation of its mean depth, 0 where it is not known.</summary>
    public double MeanDepthSd { get; init; }
}

/// <summary>Batts, boards and coats of a surface.</summary>
/// <param name="Id">Batt or material.</param>
/// <param name="Covered">Area covered.</param>
/// <param name="BoardThickness">For boards, priced by the millimetre; null elsewhere.</param>
/// <param name="Pace">Which pace of the firm it is laid at.</param>
public sealed record BidBought(string Id, Area Covered, Length? BoardThickness, BidPace Pace);

/// <summary>The pace at which something is laid.</summary>
public enum BidPace
{
    /// <summary>Batts.</summary>
    Batt,

    /// <summary>Boards cut, fitted and sealed.</summary>
    Board,

    /// <summary>Coats.</summary>
    Coat,
}

/// <summary>Heat put into the building so that a surface can be sprayed.</summary>
/// <param name="KilowattHours">Heat.</param>
/// <param name="Working">How it came about; null where it was told and not reckoned.</param>
public sealed record BidHeat(double KilowattHours, Working? Working = null);

/// <summary>A surface as it is priced.</summary>
public sealed record BidSurface
{
    /// <summary>Its name.</summary>
    public required string Name { get; init; }

    /// <summary>Treated area, above zero.</summary>
    public required Area Treated { get; init; }

    /// <summary>How it is reached; acts on the hours alone.</summary>
    public required AccessKind Access { get; init; }

    /// <summary>Foams in the order they are sprayed.</summary>
    public required IReadOnlyList<BidFoam> Foams { get; init; }

    /// <summary>What else is put in.</summary>
    public required IReadOnlyList<BidBought> Bought { get; init; }

    /// <summary>Whether it is shaved flush.</summary>
    public required bool Shaved { get; init; }

    /// <summary>Least waits between its lifts, and between one foam and the next.</summary>
    public required TimeSpan Waits { get; init; }

    /// <summary>Heat it needs; null where none.</summary>
    public BidHeat? Heat { get; init; }

    /// <summary>From its first lift to the end of its last: hours of spraying and the waits between.</summary>
    /// <param name="rates">How fast the crew works.</param>
    public TimeSpan SprayingTime(Rates rates) => TimeSpan.FromHours(BidHours.Spraying(this, rates)) + Waits;

    /// <summary>Whether it is sprayed from hand kits alone, and needs no rig.</summary>
    public bool ByKit => Foams.Count > 0 && Foams.All(f => f.Sheet.IsKit);

    /// <summary>Work of others that comes with the system, by the square metre: taking off an old roof, laying a new covering.</summary>
    public IReadOnlyList<BidTrade> Trades { get; init; } = [];
}

/// <summary>Work of others on a surface.</summary>
/// <param name="Key">What: <c>tearOff</c> or <c>newCovering</c>.</param>
/// <param name="PerSquareMetre">Its price for a square metre.</param>
public sealed record BidTrade(string Key, double PerSquareMetre)
{
    /// <summary>The trades of a new roof: the old one taken off, a new covering laid.</summary>
    public static IReadOnlyList<BidTrade> OfNewRoof(Rates rates) =>
        [new("tearOff", rates.TearOffPerM2), new("newCovering", rates.NewCoveringPerM2)];
}

/// <summary>A line of a bid.</summary>
/// <param name="Key">What it is: <c>foam:</c> or <c>bought:</c> with an id, <c>tearOff</c>, <c>newCovering</c>, <c>crew</c>,
/// <c>kitWork</c>, <c>rig</c>, <c>travel</c>, <c>consumables</c>, <c>disposal</c>, <c>scaffold</c>, <c>heat</c>, <c>overhead</c>,
/// <c>profit</c>, <c>tax</c>.</param>
/// <param name="Quantity">How much of it.</param>
/// <param name="Amount">Money.</param>
/// <param name="Working">How it came about.</param>
public sealed record BidLine(string Key, Figure Quantity, double Amount, Working Working);

/// <summary>What a job costs and what is asked for it.</summary>
public sealed record Bid
{
    /// <summary>Costs, then overhead, profit and tax, in the order they add up.</summary>
    public required IReadOnlyList<BidLine> Lines { get; init; }

    /// <summary>Direct cost.</summary>
    public required double Cost { get; init; }

    /// <summary>Price before tax.</summary>
    public required double Net { get; init; }

    /// <summary>Price with tax.</summary>
    public required double Price { get; init; }

    /// <summary>Paid crew hours.</summary>
    public required double CrewHours { get; init; }

    /// <summary>Days on site, whole.</summary>
    public required int Days { get; init; }

    /// <summary>Treated area.</summary>
    public required Area Treated { get; init; }

    /// <summary>Foam in place.</summary>
    public required FoamVolume Foam { get; init; }

    /// <summary>Sheets and materials the firm has no price for; their lines are left out, so the price is short by them.</summary>
    public required IReadOnlyList<string> Missing { get; init; }

    /// <summary>Rates that stand at nothing.</summary>
    public required IReadOnlyList<string> Unentered { get; init; }

    /// <summary>Sheets and materials whose price is zero: taken as given, and said.</summary>
    public required IReadOnlyList<string> Free { get; init; }

    /// <summary>Price before tax for a square metre treated; nothing without area.</summary>
    public double PerSquareMetre => Treated.SquareMetres > 0 ? Net / Treated.SquareMetres : 0;

    /// <summary>Price before tax for a cubic metre of foam; nothing without foam.</summary>
    public double PerCubicMetre => Foam.CubicMetres > 0 ? Net / Foam.CubicMetres : 0;

    /// <summary>Prices surfaces together.</summary>
    /// <param name="surfaces">The surfaces; none gives a bid of nothing.</param>
    /// <param name="rates">What the firm pays and how fast it works. A margin is under 95 %.</param>
    /// <exception cref="QuantityRangeException">A percentage or the hours of a day out of range.</exception>
    public static Bid Of(IReadOnlyList<BidSurface> surfaces, Rates rates)
    {
        QuantityRangeException.Within("hours of a day", rates.CrewDayHours, 1, 24, Dimension.Number);
        QuantityRangeException.Within("overhead", rates.OverheadPercent, 0, 500, Dimension.Percent);
        QuantityRangeException.Within("profit", rates.ProfitPercent, 0, rates.ProfitIsMarkup ? 500 : 95, Dimension.Percent);
        QuantityRangeException.Within("tax", rates.TaxPercent, 0, 100, Dimension.Percent);
        return new BidSums(surfaces, rates).Told();
    }
}
