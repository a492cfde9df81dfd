using Microsoft.Extensions.Diagnostics.HealthChecks;

namespace Umbracell.Server.Forecasts;

/// <summary>Degraded while no source of forecasts answers: everything works, by what is kept or by the usual year.</summary>
internal sealed class ForecastHealth(ForecastMetrics metrics) : IHealthCheck
{
    public Task<HealthCheckResult> CheckHealthAsync(HealthCheckContext context, CancellationToken cancellationToken = default) =>
        Task.FromResult(
            metrics.StandsStill ? HealthCheckResult.Degraded("No source of forecasts answered last.") : HealthCheckResult.Healthy()
        );
}
