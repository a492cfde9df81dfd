using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Server.Sets.Stock;

/// <summary>Drums of one side of one lot.</summary>
public sealed record StockLotAnswer(
    Guid Id,
    string SheetId,
    string Sheet,
    SetSide Side,
    string Lot,
    DateOnly? Expires,
    int Full,
    FigureAnswer Part,
    uint Version
);

/// <summary>The firm's drums.</summary>
public sealed record StockAnswer(IReadOnlyList<StockLotAnswer> Lots, IReadOnlyList<StockProductAnswer> Products);

/// <summary>What a product's drums come to today.</summary>
public sealed record StockProductAnswer(
    string SheetId,
    string Sheet,
    FigureAnswer SetsA,
    FigureAnswer SetsB,
    FigureAnswer Sets,
    IReadOnlyList<FindingAnswer> Findings
);

/// <summary>A product of a job: what is loaded, what is on hand, what is to be ordered.</summary>
/// <param name="SheetId">Product.</param>
/// <param name="Sheet">Its name.</param>
/// <param name="Load">Whole sets to load.</param>
/// <param name="SetsA">Sets of A on hand.</param>
/// <param name="SetsB">Sets of B on hand.</param>
/// <param name="Order">Sets to order, with its working.</param>
/// <param name="OrderCount">The same as a number.</param>
/// <param name="Price">What the order costs; null without a price, and for whoever may not see prices.</param>
/// <param name="Weight">Weight of the load.</param>
/// <param name="Drums">When the blankets go on.</param>
/// <param name="Warming">All drums of the load warmed with blankets or in the hot room; null where the season is not known, and for
/// kits.</param>
/// <param name="LeftOver">Sets that come back as often as not.</param>
/// <param name="NextJobs">Other jobs of the firm with surfaces of this product, where the rest could go.</param>
/// <param name="Findings">Findings.</param>
public sealed record OrderLine(
    string SheetId,
    string Sheet,
    int Load,
    FigureAnswer SetsA,
    FigureAnswer SetsB,
    WorkedFigure Order,
    int OrderCount,
    FigureAnswer? Price,
    FigureAnswer Weight,
    IReadOnlyList<DrumAnswer> Drums,
    WarmingAnswer? Warming,
    FigureAnswer LeftOver,
    IReadOnlyList<string> NextJobs,
    IReadOnlyList<FindingAnswer> Findings
);

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
public sealed record WarmingWayAnswer(FigureAnswer? Lead, WorkedFigure Heat, FigureAnswer Cost);

/// <summary>Blankets on every drum against a hot room for all; null for what the firm has not.</summary>
public sealed record WarmingAnswer(WarmingWayAnswer? Blankets, WarmingWayAnswer? HotRoom);

/// <summary>Order and load of a job.</summary>
/// <param name="WorkDate">Day of the work; null until it is set.</param>
/// <param name="OrderBy">Last day to order; null without a day of the work or a lead time.</param>
/// <param name="Lines">By product.</param>
/// <param name="Weight">Weight of all drums loaded.</param>
/// <param name="Trailer">What the trailer may carry; null where it is not entered.</param>
/// <param name="Findings">What is said of the load as a whole.</param>
/// <param name="NightAir">Air the drums stand in, where the season is known.</param>
public sealed record JobOrderAnswer(
    DateOnly? WorkDate,
    DateOnly? OrderBy,
    IReadOnlyList<OrderLine> Lines,
    FigureAnswer Weight,
    FigureAnswer? Trailer,
    IReadOnlyList<FindingAnswer> Findings,
    FigureAnswer? NightAir
);
