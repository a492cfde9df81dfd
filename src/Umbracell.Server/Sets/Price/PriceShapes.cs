using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Questions.Price;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Price;

/// <summary>A surface of a bid.</summary>
/// <param name="Id">Surface.</param>
/// <param name="Name">Name.</param>
/// <param name="Substrate">Substrate temperature it is priced for; null where nothing is known.</param>
/// <param name="From">Where that comes from.</param>
/// <param name="Route">The way it is sprayed.</param>
/// <param name="AllHeld">Whether every way is held on that day.</param>
/// <param name="Sets">Sets.</param>
/// <param name="Treated">Area treated.</param>
/// <param name="Layers">What is put in, outermost first.</param>
/// <param name="R">Thermal resistance of what is put in; null without a section.</param>
public sealed record BidSurfaceAnswer(
    Guid Id,
    string Name,
    FigureAnswer? Substrate,
    SubstrateFrom From,
    string Route,
    bool AllHeld,
    FigureAnswer Sets,
    FigureAnswer Treated,
    IReadOnlyList<CandidateLayer> Layers,
    FigureAnswer? R
);

/// <summary>A line that differs between a kept bid and today's figures.</summary>
public sealed record BidChangeAnswer(
    string Key,
    string Name,
    FigureAnswer? QuantityBefore,
    FigureAnswer? QuantityAfter,
    FigureAnswer Before,
    FigureAnswer After,
    FigureAnswer Difference,
    bool Dearer
);

/// <summary>A surface that is priced otherwise than in a kept bid.</summary>
public sealed record SurfaceChangeAnswer(
    string Name,
    FigureAnswer? SubstrateBefore,
    FigureAnswer? SubstrateAfter,
    string RouteBefore,
    string RouteAfter,
    FigureAnswer? SetsBefore,
    FigureAnswer? SetsAfter
);

/// <summary>A bid as it was made, and what today's figures change of it.</summary>
public sealed record KeptBidAnswer(
    Guid Id,
    DateTimeOffset MadeAt,
    string MadeBy,
    DateOnly? WorkDate,
    FigureAnswer Price,
    FigureAnswer Difference,
    bool Dearer,
    IReadOnlyList<BidChangeAnswer> Changes,
    IReadOnlyList<SurfaceChangeAnswer> Surfaces
);

/// <summary>The cold season of a product at the job's place.</summary>
public sealed record ColdSeasonAnswer(string Sheet, FigureAnswer Limit, DateOnly From, DateOnly Until, bool HasColdGrade);

/// <summary>The price of a job.</summary>
/// <param name="WorkDate">Day of the work; null until it is set.</param>
/// <param name="SeasonAir">Mean air of the place on that day; null where it is not known.</param>
/// <param name="HasPlace">Whether the job names a place with monthly means.</param>
/// <param name="Space">Volume heated; null where it is guessed.</param>
/// <param name="AirChanges">Its air changes.</param>
/// <param name="Heater">What is heated with.</param>
/// <param name="Question">What is priced, as another program would ask.</param>
/// <param name="Bid">The bid.</param>
/// <param name="Surfaces">Its surfaces.</param>
/// <param name="Kept">Bids as they were made, newest first.</param>
/// <param name="Seasons">When stock changes to the cold grade.</param>
/// <param name="JobVersion">Version of the job.</param>
public sealed record JobPriceAnswer(
    DateOnly? WorkDate,
    FigureAnswer? SeasonAir,
    bool HasPlace,
    FigureAnswer? Space,
    FigureAnswer AirChanges,
    string Heater,
    BidQuestion Question,
    BidAnswer Bid,
    IReadOnlyList<BidSurfaceAnswer> Surfaces,
    IReadOnlyList<KeptBidAnswer> Kept,
    IReadOnlyList<ColdSeasonAnswer> Seasons,
    uint JobVersion
);

/// <summary>The cold-weather routes of a surface; empty where no temperature is known.</summary>
public sealed record ColdRoutesAnswer(
    FigureAnswer? Substrate,
    SubstrateFrom From,
    bool Needed,
    bool Priced,
    string Sheet,
    IReadOnlyList<ColdRouteAnswer> Routes
);

/// <summary>A step of the inch ledger with money: heat cut and cost of each further step.</summary>
public sealed record InchMoneyAnswer(
    FigureAnswer Thickness,
    FigureAnswer Cut,
    FigureAnswer Cost,
    FigureAnswer Further,
    FigureAnswer? PerCut
);
