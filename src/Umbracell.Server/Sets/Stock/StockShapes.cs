using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Server.Sets.Stock;

/// <summary>Drums of one side of one lot.</summary>
public sealed record StockLotAnswer
{
    public required Guid Id { get; init; }

    public required string SheetId { get; init; }

    public required string Sheet { get; init; }

    public required SetSide Side { get; init; }

    public required string Lot { get; init; }

    public required DateOnly? Expires { get; init; }

    public required int Full { get; init; }

    public required FigureAnswer Part { get; init; }

    public required uint Version { get; init; }
}

/// <summary>The firm's drums.</summary>
public sealed record StockAnswer(IReadOnlyList<StockLotAnswer> Lots, IReadOnlyList<StockProductAnswer> Products);

/// <summary>What a product's drums come to today.</summary>
public sealed record StockProductAnswer
{
    public required string SheetId { get; init; }

    public required string Sheet { get; init; }

    public required FigureAnswer SetsA { get; init; }

    public required FigureAnswer SetsB { get; init; }

    public required FigureAnswer Sets { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}

/// <summary>A product of a job: what is loaded, what is on hand, what is to be ordered.</summary>
public sealed record OrderLine
{
    /// <summary>Product.</summary>
    public required string SheetId { get; init; }

    /// <summary>Its name.</summary>
    public required string Sheet { get; init; }

    /// <summary>Whole sets to load.</summary>
    public required int Load { get; init; }

    /// <summary>Sets of A on hand.</summary>
    public required FigureAnswer SetsA { get; init; }

    /// <summary>Sets of B on hand.</summary>
    public required FigureAnswer SetsB { get; init; }

    /// <summary>Sets to order, with its working.</summary>
    public required WorkedFigure Order { get; init; }

    /// <summary>The same as a number.</summary>
    public required int OrderCount { get; init; }

    /// <summary>What the order costs; null without a price, and for whoever may not see prices.</summary>
    public required FigureAnswer? Price { get; init; }

    /// <summary>Weight of the load.</summary>
    public required FigureAnswer Weight { get; init; }

    /// <summary>When the blankets go on.</summary>
    public required IReadOnlyList<DrumAnswer> Drums { get; init; }

    /// <summary>All drums of the load warmed with blankets or in the hot room; null where the season is not known, and for
    /// kits.</summary>
    public required WarmingAnswer? Warming { get; init; }

    /// <summary>Sets that come back as often as not.</summary>
    public required FigureAnswer LeftOver { get; init; }

    /// <summary>Other jobs of the firm with surfaces of this product, where the rest could go.</summary>
    public required IReadOnlyList<string> NextJobs { get; init; }

    /// <summary>Findings.</summary>
    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}

/// <summary>A drum before the work.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Start">Temperature it stands at overnight.</param>
/// <param name="Wanted">Temperature wanted at the start.</param>
/// <param name="Lead">How long before the start the blanket goes on; null where it never gets there.</param>
public sealed record DrumAnswer(SetSide Side, FigureAnswer Start, FigureAnswer Wanted, WorkedFigure? Lead);

/// <summary>One way to warm the drums of a product.</summary>
/// <param name="Lead">How long before the start it begins; null where it never gets there.</param>
/// <param name="Heat">Heat it takes.</param>
/// <param name="Cost">Money for that heat.</param>
/// <param name="AtATime">How many of the drums are warmed at a time; null for all of them.</param>
public sealed record WarmingWayAnswer(FigureAnswer? Lead, WorkedFigure Heat, FigureAnswer Cost, int? AtATime);

/// <summary>Blankets on every drum against a hot room for all; null for what the firm has not.</summary>
public sealed record WarmingAnswer(WarmingWayAnswer? Blankets, WarmingWayAnswer? HotRoom);

/// <summary>Order and load of a job.</summary>
public sealed record JobOrderAnswer
{
    /// <summary>Day of the work; null until it is set.</summary>
    public required DateOnly? WorkDate { get; init; }

    /// <summary>Last day to order; null without a day of the work or a lead time.</summary>
    public required DateOnly? OrderBy { get; init; }

    /// <summary>By product.</summary>
    public required IReadOnlyList<OrderLine> Lines { get; init; }

    /// <summary>Weight of all drums loaded.</summary>
    public required FigureAnswer Weight { get; init; }

    /// <summary>What the trailer may carry; null where it is not entered.</summary>
    public required FigureAnswer? Trailer { get; init; }

    /// <summary>What is said of the load as a whole.</summary>
    public required IReadOnlyList<FindingAnswer> Findings { get; init; }

    /// <summary>Air the drums stand in, where the season is known.</summary>
    public required FigureAnswer? NightAir { get; init; }
}
