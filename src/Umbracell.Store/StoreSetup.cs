using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;
using Umbracell.Store.Tenancy;

namespace Umbracell.Store;

/// <summary>How the store is put together.</summary>
public static class StoreSetup
{
    // PostgreSQL takes a hundred connections as it comes: two copies of the server fit, and what comes on top waits instead of failing.
    private const int MostConnections = 40,
        MostPlans = 64;

    public static IServiceCollection AddUmbracellStore(this IServiceCollection services, string connectionString)
    {
        var connection = PooledConnection(connectionString);
        services.AddScoped<FirmScope>();
        services.AddScoped<FirmScopeInterceptor>();
        services.AddScoped<Written>();
        services.AddDbContext<UmbracellDb>(
            (provider, options) =>
                options
                    .UseNpgsql(connection)
                    .UseSnakeCaseNamingConvention()
                    .AddInterceptors(provider.GetRequiredService<FirmScopeInterceptor>())
                    .AddInterceptors(provider.GetRequiredService<Written>().Interceptors)
        );
        return services;
    }

    /// <summary>The connection as everything in the server takes it, so that all share one pool of at most so many connections.</summary>
    public static string PooledConnection(string connectionString)
    {
        var connection = new NpgsqlConnectionStringBuilder(connectionString);
        if (!connectionString.Contains("Pool Size", StringComparison.OrdinalIgnoreCase))
        {
            connection.MaxPoolSize = MostConnections;
        }

        // What every request asks is planned once for each connection. The database keeps each plan for each connection, so not all are.
        if (!connectionString.Contains("Auto Prepare", StringComparison.OrdinalIgnoreCase))
        {
            connection.MaxAutoPrepare = MostPlans;
        }

        return connection.ConnectionString;
    }
}

/// <summary>Lets the migration tool build the context without a server.</summary>
internal sealed class DesignTimeDb : IDesignTimeDbContextFactory<UmbracellDb>
{
    public UmbracellDb CreateDbContext(string[] args) =>
        new(
            new DbContextOptionsBuilder<UmbracellDb>()
                .UseNpgsql("Host=127.0.0.1;Database=umbracell")
                .UseSnakeCaseNamingConvention()
                .Options,
            new FirmScope()
        );
}
