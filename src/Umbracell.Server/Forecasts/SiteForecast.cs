using Umbracell.Core.Weather;

namespace Umbracell.Server.Forecasts;

/// <summary>What is known of the hours at a point.</summary>
internal sealed record SiteForecast
{
    /// <summary>Members, all with the same hours: from up to 48 hours before now, and ten days on.</summary>
    public required IReadOnlyList<AirRun> Members { get; init; }

    /// <summary>Name of the source that answered.</summary>
    public required string Source { get; init; }

    /// <summary>What must be told with its figures.</summary>
    public required string Credit { get; init; }

    /// <summary>When it was issued.</summary>
    public required DateTimeOffset IssuedAt { get; init; }
}

/// <summary>A forecast where there is one, and what went wrong with the sources before it.</summary>
/// <param name="Forecast">The forecast; null where no source gave one and none is kept.</param>
/// <param name="Troubles">What went wrong, in the order of the sources.</param>
internal sealed record ForecastFound(SiteForecast? Forecast, IReadOnlyList<SourceTrouble> Troubles);
