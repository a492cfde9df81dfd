using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>Window: readings and the gate, and the hours to come.</summary>
internal sealed class WindowStage : IPart
{
    public void AddTo(IServiceCollection services)
    {
        services.AddSingleton<IStageCell, WindowCell>();
        services.AddScoped<SiteReadings>();
        services.AddScoped<SiteHoursReader>();
        services.AddScoped<SurfaceWindows>();
        services.AddScoped<Tonight>();
    }

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapWindow();
        api.MapHours();
    }
}
