using Umbracell.Server.Requests;

namespace Umbracell.Server.Jobs;

/// <summary>The list of jobs and the board.</summary>
internal sealed class JobsPart : IPart
{
    public void AddTo(IServiceCollection services)
    {
        services.AddSingleton<BoardKeeper>();
        services.AddHostedService(provider => provider.GetRequiredService<BoardKeeper>());
        services.AddScoped<KeptBoards>();
        services.AddScoped<KeptCards>();
    }

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapJobs();
    }
}
