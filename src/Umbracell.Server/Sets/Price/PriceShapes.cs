using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Questions.Price;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Price;

/// <summary>A surface of a bid.</summary>
public sealed record BidSurfaceAnswer
{
    /// <summary>Surface.</summary>
    public required Guid Id { get; init; }

    /// <summary>Name.</summary>
    public required string Name { get; init; }

    /// <summary>Substrate temperature it is priced for; null where nothing is known.</summary>
    public required FigureAnswer? Substrate { get; init; }

    /// <summary>Where that comes from.</summary>
    public required SubstrateFrom From { get; init; }

    /// <summary>The way it is sprayed.</summary>
    public required string Route { get; init; }

    /// <summary>Whether every way is held on that day.</summary>
    public required bool AllHeld { get; init; }

    /// <summary>Sets.</summary>
    public required FigureAnswer Sets { get; init; }

    /// <summary>Area treated.</summary>
    public required FigureAnswer Treated { get; init; }

    /// <summary>What is put in, outermost first.</summary>
    public required IReadOnlyList<CandidateLayer> Layers { get; init; }

    /// <summary>Thermal resistance of what is put in; null without a section.</summary>
    public required FigureAnswer? R { get; init; }
}

/// <summary>A line that differs between a kept bid and today's figures.</summary>
public sealed record BidChangeAnswer
{
    public required string Key { get; init; }

    public required string Name { get; init; }

    public required FigureAnswer? QuantityBefore { get; init; }

    public required FigureAnswer? QuantityAfter { get; init; }

    public required FigureAnswer Before { get; init; }

    public required FigureAnswer After { get; init; }

    public required FigureAnswer Difference { get; init; }

    public required bool Dearer { get; init; }
}

/// <summary>A surface that is priced otherwise than in a kept bid.</summary>
public sealed record SurfaceChangeAnswer
{
    public required string Name { get; init; }

    public required FigureAnswer? SubstrateBefore { get; init; }

    public required FigureAnswer? SubstrateAfter { get; init; }

    public required string RouteBefore { get; init; }

    public required string RouteAfter { get; init; }

    public required FigureAnswer? SetsBefore { get; init; }

    public required FigureAnswer? SetsAfter { get; init; }
}

/// <summary>A bid as it was made, and what today's figures change of it.</summary>
public sealed record KeptBidAnswer
{
    public required Guid Id { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required string MadeBy { get; init; }

    public required DateOnly? WorkDate { get; init; }

    public required FigureAnswer Price { get; init; }

    public required FigureAnswer Difference { get; init; }

    public required bool Dearer { get; init; }

    public required IReadOnlyList<BidChangeAnswer> Changes { get; init; }

    public required IReadOnlyList<SurfaceChangeAnswer> Surfaces { get; init; }
}

/// <summary>The cold season of a product at the job's place.</summary>
public sealed record ColdSeasonAnswer(string Sheet, FigureAnswer Limit, DateOnly From, DateOnly Until, bool HasColdGrade);

/// <summary>The price of a job.</summary>
public sealed record JobPriceAnswer
{
    /// <summary>Day of the work; null until it is set.</summary>
    public required DateOnly? WorkDate { get; init; }

    /// <summary>Mean air of the place on that day; null where it is not known.</summary>
    public required FigureAnswer? SeasonAir { get; init; }

    /// <summary>Whether the job names a place with monthly means.</summary>
    public required bool HasPlace { get; init; }

    /// <summary>Volume heated; null where it is guessed.</summary>
    public required FigureAnswer? Space { get; init; }

    /// <summary>Its air changes.</summary>
    public required FigureAnswer AirChanges { get; init; }

    /// <summary>What is heated with.</summary>
    public required string Heater { get; init; }

    /// <summary>What is priced, as another program would ask.</summary>
    public required BidQuestion Question { get; init; }

    /// <summary>The bid.</summary>
    public required BidAnswer Bid { get; init; }

    /// <summary>Its surfaces.</summary>
    public required IReadOnlyList<BidSurfaceAnswer> Surfaces { get; init; }

    /// <summary>Bids as they were made, newest first.</summary>
    public required IReadOnlyList<KeptBidAnswer> Kept { get; init; }

    /// <summary>When stock changes to the cold grade.</summary>
    public required IReadOnlyList<ColdSeasonAnswer> Seasons { get; init; }

    /// <summary>Version of the job.</summary>
    public required uint JobVersion { get; init; }
}

/// <summary>The cold-weather routes of a surface; empty where no temperature is known.</summary>
public sealed record ColdRoutesAnswer
{
    public required FigureAnswer? Substrate { get; init; }

    public required SubstrateFrom From { get; init; }

    public required bool Needed { get; init; }

    public required bool Priced { get; init; }

    public required string Sheet { get; init; }

    public required IReadOnlyList<ColdRouteAnswer> Routes { get; init; }
}

/// <summary>A step of the inch ledger with money: heat cut and cost of each further step.</summary>
public sealed record InchMoneyAnswer(
    FigureAnswer Thickness,
    FigureAnswer Cut,
    FigureAnswer Cost,
    FigureAnswer Further,
    FigureAnswer? PerCut
);
