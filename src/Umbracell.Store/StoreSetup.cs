using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.Extensions.DependencyInjection;
using Umbracell.Store.Tenancy;

namespace Umbracell.Store;

/// <summary>How the store is put together.</summary>
public static class StoreSetup
{
    public static IServiceCollection AddUmbracellStore(this IServiceCollection services, string connectionString)
    {
        services.AddScoped<FirmScope>();
        services.AddScoped<FirmScopeInterceptor>();
        services.AddDbContext<UmbracellDb>(
            (provider, options) =>
                options
                    .UseNpgsql(connectionString)
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
