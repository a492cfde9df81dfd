using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>Window: readings and the gate.</summary>
internal sealed class WindowStage : IPart
{
    public void AddTo(IServiceCollection services) => services.AddSingleton<IStageCell, WindowCell>();

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapWindow();
    }
}
