using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Price;

/// <summary>A foam in a bid that is asked for.</summary>
/// <param name="SheetId">Its sheet.</param>
/// <param name="BoardFeet">Foam in place before shaving.</param>
/// <param name="Sets">Sets that suffice as often as not.</param>
public sealed record BidFoamShape(
    [property: Required] string SheetId,
    [property: Range(0.001, 1e7)] double BoardFeet,
    [property: Range(0.0001, 1e5)] double Sets
);

/// <summary>A batt, board or coat in a bid that is asked for.</summary>
/// <param name="Id">Batt or material.</param>
/// <param name="CoveredM2">Area covered.</param>
/// <param name="Pace">At which pace of the firm it is laid.</param>
/// <param name="BoardThicknessMm">For boards, priced by the millimetre; left out elsewhere.</param>
public sealed record BidBoughtShape(
    [property: Required] string Id,
    [property: Range(0.0001, 1e6)] double CoveredM2,
    BidPace Pace,
    [property: Range(0.01, 1000)] double? BoardThicknessMm = null
);

/// <summary>A surface in a bid that is asked for.</summary>
public sealed record BidSurfaceShape
{
    /// <summary>Its name.</summary>
    [Required, MaxLength(200)]
    public required string Name { get; init; }

    /// <summary>Treated area.</summary>
    [Range(0.0001, 1e6)]
    public required double TreatedM2 { get; init; }

    /// <summary>Foams in the order they are sprayed.</summary>
    [Required, MaxLength(10)]
    public required IReadOnlyList<BidFoamShape> Foams { get; init; }

    /// <summary>What else is put in.</summary>
    [MaxLength(20)]
    public IReadOnlyList<BidBoughtShape>? Bought { get; init; }

    /// <summary>How it is reached.</summary>
    public AccessKind Access { get; init; } = AccessKind.Open;

    /// <summary>Whether it is shaved flush.</summary>
    public bool ShavedFlush { get; init; }

    /// <summary>Least waits between its lifts, and between one foam and the next.</summary>
    [Range(0, 100_000)]
    public double WaitMin { get; init; }

    /// <summary>Heat put into the building so that it can be sprayed.</summary>
    [Range(0, 1e6)]
    public double HeatKWh { get; init; }

    /// <summary>Whether the old roof is taken off and a new covering laid.</summary>
    public bool NewRoof { get; init; }
}

/// <summary>Surfaces priced together by the firm's rates.</summary>
/// <param name="Surfaces">The surfaces.</param>
public sealed record BidQuestion([property: Required, MaxLength(1000)] IReadOnlyList<BidSurfaceShape> Surfaces);

/// <summary>A line of a bid.</summary>
/// <param name="Key">What it is.</param>
/// <param name="Name">Product or material; empty for what the key's own name says.</param>
/// <param name="Quantity">How much.</param>
/// <param name="Amount">Money.</param>
public sealed record BidLineAnswer(string Key, string Name, FigureAnswer Quantity, WorkedFigure Amount);

/// <summary>A bid.</summary>
/// <param name="Lines">Lines in the order they add up.</param>
/// <param name="Figures">cost, net, price, crewHours, days, treated, foam, perArea, perVolume.</param>
/// <param name="Missing">Sheets and materials without a price, by name.</param>
/// <param name="Unentered">Rates that stand at nothing.</param>
/// <param name="Free">Products and materials whose price is zero, by name.</param>
public sealed record BidAnswer(
    IReadOnlyList<BidLineAnswer> Lines,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    IReadOnlyList<string> Missing,
    IReadOnlyList<string> Unentered,
    IReadOnlyList<string> Free
);
