using Umbracell.Server.Requests;
using Umbracell.Server.Scheduling;

namespace Umbracell.Server.Jobs;

/// <summary>The list of jobs and the board.</summary>
internal sealed class JobsPart : IPart
{
    public void AddTo(IServiceCollection services)
    {
        services.AddSingleton<BoardKeeper>();
        services.AddFirmWork<BoardWork>(BoardKeeper.Work);
        services.AddScoped<KeptBoards>();
        services.AddScoped<KeptCards>();
    }

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapJobs();
        api.MapDeletedJobs();
        api.MapSearch();
        api.MapJobEditions();
    }
}
