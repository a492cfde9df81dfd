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
    private const int MostConnections = 40;

    public static IServiceCollection AddUmbracellStore(this IServiceCollection services, string connectionString)
    {
        var connection = new NpgsqlConnectionStringBuilder(connectionString);
        if (!connectionString.Contains("Pool Size", StringComparison.OrdinalIgnoreCase))
        {
            connection.MaxPoolSize = MostConnections;
        }

        services.AddScoped<FirmScope>();
        services.AddScoped<FirmScopeInterceptor>();
        services.AddDbContext<UmbracellDb>(
            (provider, options) =>
                options
                    .UseNpgsql(connection.ConnectionString)
                    .UseSnakeCaseNamingConvention()
                    .AddInterceptors(provider.GetRequiredService<FirmScopeInterceptor>())
        );
        return services;
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
