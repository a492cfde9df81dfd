using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Means;

/// <summary>A rate of work: what it may be, and where it is kept.</summary>
/// <param name="Field">Field to change it by.</param>
/// <param name="Range">What it may be, in SI.</param>
/// <param name="Read">Reads it off the rates.</param>
/// <param name="With">The rates with it changed.</param>
internal sealed record WorkRate(string Field, FigureRange Range, Func<Rates, double> Read, Func<Rates, double, Rates> With)
{
    /// <summary>The rate as it is printed.</summary>
    public Figure Of(Rates rates) => new(Read(rates), Range.Dimension);
}

/// <summary>Hours, days, shares and paces of a firm, in the order they are shown.</summary>
internal static class WorkRates
{
    /// <summary>What anything is paid with.</summary>
    public static readonly FigureRange Price = new(0, 1_000_000, Dimension.Money);

    private static readonly FigureRange PerArea = new(0, 1_000_000, Dimension.MoneyPerArea),
        Pace = new(OfBoardFeet(0.1), OfBoardFeet(100_000), Dimension.FoamPace),
        AreaPace = new(0.1, 100_000, Dimension.AreaPace),
        Day = new(1, 24, Dimension.Number),
        Share = new(0, 95, Dimension.Percent),
        Hours = new(0, 40, Dimension.Number);

    /// <summary>All of them.</summary>
    public static IReadOnlyList<WorkRate> All { get; } =
    [
        new("crewHour", Price, r => r.CrewHour, (r, v) => r with { CrewHour = v }),
        new("setUpHours", Hours, r => r.SetUpHours, (r, v) => r with { SetUpHours = v }),
        new("closedPace", Pace, r => OfBoardFeet(r.ClosedBoardFeetPerHour), (r, v) => r with { ClosedBoardFeetPerHour = BoardFeet(v) }),
        new("openPace", Pace, r => OfBoardFeet(r.OpenBoardFeetPerHour), (r, v) => r with { OpenBoardFeetPerHour = BoardFeet(v) }),
        new("battPace", AreaPace, r => r.BattM2PerHour, (r, v) => r with { BattM2PerHour = v }),
        new("boardPace", AreaPace, r => r.BoardM2PerHour, (r, v) => r with { BoardM2PerHour = v }),
        new("coatPace", AreaPace, r => r.CoatM2PerHour, (r, v) => r with { CoatM2PerHour = v }),
        new("shavePace", AreaPace, r => r.ShaveM2PerHour, (r, v) => r with { ShaveM2PerHour = v }),
        new("tearOff", PerArea, r => r.TearOffPerM2, (r, v) => r with { TearOffPerM2 = v }),
        new("maskPace", AreaPace, r => r.MaskM2PerHour, (r, v) => r with { MaskM2PerHour = v }),
        new("crewDay", Day, r => r.CrewDayHours, (r, v) => r with { CrewDayHours = v }),
        new("rigDay", Price, r => r.RigDay, (r, v) => r with { RigDay = v }),
        new("travelDay", Price, r => r.TravelDay, (r, v) => r with { TravelDay = v }),
        new("consumables", Price, r => r.ConsumablesPerSet, (r, v) => r with { ConsumablesPerSet = v }),
        new("disposal", Price, r => r.DisposalPerSet, (r, v) => r with { DisposalPerSet = v }),
        new("scaffold", PerArea, r => r.ScaffoldPerM2, (r, v) => r with { ScaffoldPerM2 = v }),
        new("overhead", Share, r => r.OverheadPercent, (r, v) => r with { OverheadPercent = v }),
        new("profit", Share, r => r.ProfitPercent, (r, v) => r with { ProfitPercent = v }),
        new("tax", Share, r => r.TaxPercent, (r, v) => r with { TaxPercent = v }),
        new("heatKwh", Price, r => r.HeatKilowattHour, (r, v) => r with { HeatKilowattHour = v }),
        new("kitHour", Price, r => r.KitHour, (r, v) => r with { KitHour = v }),
        new("kitSetUpHours", Hours, r => r.KitSetUpHours, (r, v) => r with { KitSetUpHours = v }),
        new("kitPace", Pace, r => OfBoardFeet(r.KitBoardFeetPerHour), (r, v) => r with { KitBoardFeetPerHour = BoardFeet(v) }),
        new("leadDays", FieldRanges.Days, r => r.LeadDays, (r, v) => r with { LeadDays = v }),
        new("newCovering", PerArea, r => r.NewCoveringPerM2, (r, v) => r with { NewCoveringPerM2 = v }),
    ];

    /// <summary>The rates a crew may have its own of.</summary>
    public static IReadOnlyList<WorkRate> OfCrews { get; } =
    [.. All.Where(rate => rate.Field is "crewHour" or "crewDay" or "setUpHours" or "closedPace" or "openPace")];

    // Paces are kept by the board foot, and read in cubic metres.
    private static double OfBoardFeet(double boardFeet) => FoamVolume.FromBoardFeet(boardFeet).CubicMetres;

    private static double BoardFeet(double cubicMetres) => FoamVolume.FromCubicMetres(cubicMetres).BoardFeet;
}
