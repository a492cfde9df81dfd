using Microsoft.Extensions.Diagnostics.HealthChecks;
using Umbracell.Store;

namespace Umbracell.Server.Setup;

/// <summary>Ready once the database answers.</summary>
internal sealed class DatabaseReady(UmbracellDb db) : IHealthCheck
{
    public async Task<HealthCheckResult> CheckHealthAsync(HealthCheckContext context, CancellationToken cancellationToken = default) =>
        await db.Database.CanConnectAsync(cancellationToken)
            ? HealthCheckResult.Healthy()
            : HealthCheckResult.Unhealthy("The database does not answer.");
}
